import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import type { Measures } from '../../../core/compare';
import { formatAmount } from '../../../core/base/amount';
import { useUnits } from '../../app/hooks';
import { Pick } from '../../parts/Pick';
import { COMPARED } from './compared';

const Box = styled.div`
  display: grid;
  gap: 0.5rem;
  .axes {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.5rem;
  }
`;

const WIDTH = 290;
const HEIGHT = 210;
const PAD = 34;

interface Point {
  readonly name: string;
  readonly measures: Measures;
}

/** Every kind of cover as a point between two figures of the gardener's choice. */
export function Scatter({ points }: { readonly points: readonly Point[] }): ReactNode {
  const units = useUnits();
  const [across, setAcross] = useState<keyof Measures>('price');
  const [up, setUp] = useState<keyof Measures>('wetSnowMm');
  const known = points.filter((p) => Number.isFinite(p.measures[across]) && Number.isFinite(p.measures[up]));
  // Figures that lie decades apart are set out by their ratios.
  const wide = (key: keyof Measures): boolean => {
    const values = known.map((p) => p.measures[key]);
    return values.every((v) => v > 0) && Math.max(...values) > 12 * Math.min(...values);
  };
  const [logAcross, logUp] = [wide(across), wide(up)];
  const range = (key: keyof Measures, log: boolean): readonly [number, number] => {
    const values = known.map((p) => (log ? Math.log(p.measures[key]) : p.measures[key]));
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const room = (high - low || Math.abs(high) || 1) * 0.18;
    return [low - room, high + room];
  };
  const axis = (key: keyof Measures) => COMPARED.find((c) => c.key === key) ?? COMPARED[0];
  const place = (value: number, [low, high]: readonly [number, number], length: number): number =>
    ((value - low) / (high - low)) * length;
  const xs = range(across, logAcross);
  const ys = range(up, logUp);
  const at = (value: number, log: boolean): number => (log ? Math.log(value) : value);
  const show = (key: keyof Measures, value: number): string =>
    formatAmount(value, axis(key)?.quantity ?? 'plain', units);
  const choice = (label: string, value: keyof Measures, set: (key: keyof Measures) => void): ReactNode => (
    <Pick
      label={label}
      value={value}
      options={COMPARED.map((c) => ({ value: c.key, label: c.label }))}
      onChange={(key) => set(key as keyof Measures)}
    />
  );
  // A name that would stand on another name or mark is left to the pointer.
  const marks = known.map((p) => ({
    p,
    x: PAD + place(at(p.measures[across], logAcross), xs, WIDTH - PAD - 10),
    y: HEIGHT - PAD - place(at(p.measures[up], logUp), ys, HEIGHT - PAD - 14),
  }));
  const taken = marks.map(({ x, y }) => ({ x0: x - 6, x1: x + 6, y }));
  const named = marks.map(({ p, x, y }, i) => {
    const long = p.name.length * 7 + 10;
    const spans = [
      { flip: false, x0: x + 7, x1: x + long },
      { flip: true, x0: x - long, x1: x - 7 },
    ].filter((s) => s.x1 < WIDTH && s.x0 > PAD);
    const span = spans.find((s) =>
      taken.every((t, j) => j === i || Math.abs(t.y - y) > 13 || t.x1 < s.x0 || t.x0 > s.x1),
    );
    if (span) taken.push({ x0: span.x0, x1: span.x1, y });
    return { p, x, y, flip: span?.flip ?? false, free: span !== undefined };
  });
  return (
    <Box>
      <div className="axes">
        {choice('Figure upward', up, setUp)}
        {choice('Figure to the right', across, setAcross)}
      </div>
      {known.length > 0 && (
        <svg
          width={WIDTH}
          height={HEIGHT}
          role="img"
          aria-label={known
            .map(
              (p) =>
                `${p.name}: ${axis(across)?.label} ${show(across, p.measures[across])}, ${axis(up)?.label} ${show(up, p.measures[up])}`,
            )
            .join('; ')}
        >
          <path d={`M${PAD} 8 V${HEIGHT - PAD} H${WIDTH - 4}`} fill="none" stroke="var(--quiet)" />
          <text x={WIDTH - 6} y={HEIGHT - 10} textAnchor="end" fontSize={12.5} fill="var(--quiet)">
            {axis(across)?.label} →
          </text>
          <text x={14} y={14} fontSize={12.5} fill="var(--quiet)" transform={`rotate(-90 14 14)`} textAnchor="end">
            {axis(up)?.label} →
          </text>
          {named.map(({ p, x, y, flip, free }) => {
            return (
              <g key={p.name}>
                <path d={`M${x - 5} ${y + 5} L${x + 5} ${y - 5}`} stroke="var(--ink)" strokeWidth={3} />
                <title>{p.name}</title>
                {free && (
                  <text
                    x={x + (flip ? -9 : 9)}
                    y={y + 4}
                    textAnchor={flip ? 'end' : 'start'}
                    fontSize={13}
                    fontWeight={600}
                    fill="var(--ink)"
                  >
                    {p.name}
                  </text>
                )}
              </g>
            );
          })}
        </svg>
      )}
    </Box>
  );
}
