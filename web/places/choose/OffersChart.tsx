import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from 'recharts';
import { formatAmount } from '../../../core/base/amount';
import type { FigureKey } from '../../../core/brief/wishes';
import type { ShownOffer } from '../../background/search.worker';
import { useUnits } from '../../app/hooks';
import { Pick } from '../../parts/Pick';
import { WEIGHED_BY } from './weighedBy';

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

/** Designs as points between any two of their figures; the arrow keys go from one to the next. */
export default function OffersChart({
  offers,
  held,
  onHold,
}: {
  readonly offers: readonly ShownOffer[];
  readonly held: string | undefined;
  readonly onHold: (id: string) => void;
}): ReactNode {
  const units = useUnits();
  const [across, setAcross] = useState<FigureKey>('price');
  const [up, setUp] = useState<FigureKey>('hours');
  const of = (key: FigureKey) => WEIGHED_BY.find((w) => w.key === key) ?? WEIGHED_BY[0];
  const value = (o: ShownOffer, key: FigureKey): number => (key === 'price' ? o.price : o.weighed.figures[key]);
  const say = (key: FigureKey, x: number): string => formatAmount(x, of(key)?.quantity ?? 'plain', units);
  const data = offers
    .filter((o) => Number.isFinite(value(o, across)) && Number.isFinite(value(o, up)))
    .map((o) => ({ x: value(o, across), y: value(o, up), id: o.id, name: o.name, held: o.id === held }));
  const axis = (label: string, now: FigureKey, set: (key: FigureKey) => void): ReactNode => (
    <Pick
      label={label}
      value={now}
      options={WEIGHED_BY.map((w) => ({ value: w.key, label: w.label }))}
      onChange={(key) => set(key as FigureKey)}
    />
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
  return (
    <Box>
      <div className="axes">
        {axis('Across', across, setAcross)}
        {axis('Up', up, setUp)}
      </div>
      <div className="chart" role="group" aria-label={`${of(across)?.label} across, ${of(up)?.label} up`}>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 4 }} accessibilityLayer>
            <CartesianGrid stroke="var(--hair)" />
            <XAxis type="number" dataKey="x" domain={['auto', 'auto']} tickFormatter={(x: number) => say(across, x)} />
            <YAxis
              type="number"
              dataKey="y"
              domain={['auto', 'auto']}
              width={64}
              tickFormatter={(y: number) => say(up, y)}
            />
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
              onClick={(p) => onHold((p as { payload?: { id?: string } }).payload?.id ?? '')}
            />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
    </Box>
  );
}
