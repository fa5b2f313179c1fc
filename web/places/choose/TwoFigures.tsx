import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts';
import { type Quantity, formatAmount, unitRead } from '../../../core/base/amount';
import { useUnits } from '../../app/hooks';
import { Pick } from '../../parts/Pick';
import { axisOf } from './axis';

const Box = styled.div`
  display: grid;
  gap: 0.5rem;
  .axes {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.5rem;
  }
  .chart {
    height: 15rem;
  }
  .recharts-text {
    font-family: var(--mono);
    font-size: 0.75rem;
    fill: var(--quiet);
  }
  .said {
    background: var(--sheet);
    border: 1.5px solid var(--ink);
    padding: 0.3rem 0.5rem;
    font-size: 0.875rem;
  }
  .recharts-surface:focus-visible {
    outline: 3px solid var(--chalk);
  }
`;

interface Figure {
  readonly key: string;
  readonly label: string;
  readonly quantity: Quantity;
}

interface Point {
  readonly id: string;
  readonly name: string;
  readonly value: (key: string) => number;
}

/** Designs as points between any two of their figures; the arrow keys go from one to the next, and the whole is said in words. */
export default function TwoFigures({
  points,
  figures,
  first: [firstAcross, firstUp],
  held,
  onHold,
}: {
  readonly points: readonly Point[];
  readonly figures: readonly Figure[];
  readonly first: readonly [across: string, up: string];
  readonly held?: string | undefined;
  readonly onHold?: (id: string) => void;
}): ReactNode {
  const units = useUnits();
  const [across, setAcross] = useState(firstAcross);
  const [up, setUp] = useState(firstUp);
  const of = (key: string): Figure | undefined => figures.find((f) => f.key === key);
  const say = (key: string, x: number): string => formatAmount(x, of(key)?.quantity ?? 'plain', units);
  const data = points
    .map((p) => ({ x: p.value(across), y: p.value(up), id: p.id, name: p.name, held: p.id === held }))
    .filter(({ x, y }) => Number.isFinite(x) && Number.isFinite(y));
  const along = (dataKey: 'x' | 'y', key: string) => {
    const said = (x: number): string => say(key, x);
    const values = data.map((p) => p[dataKey]);
    const { ticks, domain, scale } = axisOf(values, said, unitRead(of(key)?.quantity ?? 'plain', units));
    return { type: 'number', dataKey, ticks: [...ticks], domain: [...domain], scale, tickFormatter: said } as const;
  };
  const axis = (label: string, now: string, set: (key: string) => void): ReactNode => (
    <Pick label={label} value={now} options={figures.map((f) => ({ value: f.key, label: f.label }))} onChange={set} />
  );
  const mark = (p: {
    cx?: number | undefined;
    cy?: number | undefined;
    payload?: (typeof data)[number];
  }): ReactNode => {
    const { cx = 0, cy = 0, payload } = p;
    const r = payload?.held ? 8 : 5;
    return (
      <path
        d={`M${cx - r} ${cy + r} L${cx + r} ${cy - r}`}
        stroke={payload?.held ? 'var(--chalk)' : 'var(--ink)'}
        strokeWidth={payload?.held ? 5 : 3}
      />
    );
  };
  const words = data
    .map((p) => `${p.name}: ${of(across)?.label} ${say(across, p.x)}, ${of(up)?.label} ${say(up, p.y)}`)
    .join('; ');
  return (
    <Box>
      <div className="axes">
        {axis('Across', across, setAcross)}
        {axis('Up', up, setUp)}
      </div>
      {data.length === 0 ? (
        <p>No design has both figures.</p>
      ) : (
        <div className="chart" role="group" aria-label={words}>
          <ResponsiveContainer width="100%" height="100%">
            <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 4 }} accessibilityLayer>
              <CartesianGrid stroke="var(--hair)" />
              <XAxis {...along('x', across)} />
              <YAxis {...along('y', up)} width={64} />
              <Tooltip
                isAnimationActive={false}
                content={({ payload }) => {
                  const p = payload?.[0]?.payload as (typeof data)[number] | undefined;
                  return p ? (
                    <div className="said">
                      <b>{p.name}</b>
                      <br />
                      {say(across, p.x)}, {say(up, p.y)}
                    </div>
                  ) : null;
                }}
              />
              <Scatter
                data={data}
                isAnimationActive={false}
                shape={mark}
                onClick={(p) => onHold?.((p as { payload?: { id?: string } }).payload?.id ?? '')}
              />
            </ScatterChart>
          </ResponsiveContainer>
        </div>
      )}
    </Box>
  );
}
