import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  type LabelProps,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { degreesIn, formatAmount } from '../../../core/base/amount';
import type { Crop } from '../../../core/catalog/crops';
import type { ShownClimate } from '../../../core/show/dayCurve';
import { useUnits } from '../../app/hooks';

const Figure = styled.figure`
  /* The table for those who hear it is laid out within. */
  position: relative;
  margin: 0;
  height: 17.5rem;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  .recharts-text {
    font-family: var(--mono);
    font-size: 0.8125rem;
    fill: var(--quiet);
  }
  .line-name {
    font-weight: 600;
    font-size: 0.9375rem;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 5px;
    stroke-linejoin: round;
  }
`;

/** Degrees of the axis: whole steps of 5 C or 10 F that hold everything. */
function steps(values: readonly number[], step: number): readonly number[] {
  const low = Math.floor(Math.min(...values) / step) * step;
  const high = Math.ceil(Math.max(...values) / step) * step;
  return Array.from({ length: Math.round((high - low) / step) + 1 }, (_, i) => low + i * step);
}

/** A day under the cover: outside and in by the hour, what stands open, and what the crop bears. */
export function DayCurve({ shown, crop }: { readonly shown: ShownClimate; readonly crop: Crop }): ReactNode {
  const units = useUnits();
  const degree = (c: number): number => degreesIn(c, units);
  const say = (c: number): string => formatAmount(c, 'temperature', units);
  const data = shown.curve.map((h) => ({
    hour: h.hour,
    out: degree(h.outC),
    in: degree(h.inC),
    open: h.open,
    sun: h.sunWPerM2,
  }));
  const all = data.flatMap((d) => [d.out, d.in]);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  // Limits are drawn where they are near enough to matter.
  const near = (c: number): boolean => degree(c) > low - 15 && degree(c) < high + 12;
  const limits = [
    { c: crop.killingC, word: `${crop.name} dies at ${say(crop.killingC)}`, colour: 'var(--frost)' },
    { c: crop.hotC, word: `too hot for ${crop.name} over ${say(crop.hotC)}`, colour: 'var(--sun-ink)' },
  ].filter((l) => near(l.c));
  const ticks = steps([...all, ...limits.map((l) => degree(l.c))], units.temperature === 'F' ? 10 : 5);
  const warmest = data.reduce((a, b) => (b.in > a.in ? b : a), data[0] ?? { hour: 0, in: 0, out: 0, open: 0, sun: 0 });
  const name = (at: number, word: string, colour: string, above: boolean) => {
    const label = ({ x, y, index }: LabelProps): ReactElement =>
      index === at ? (
        <text className="line-name" x={Number(x)} y={Number(y) + (above ? -9 : 19)} textAnchor="middle" fill={colour}>
          {word}
        </text>
      ) : (
        <g />
      );
    return label;
  };
  const [inAt, outAt] = [Math.max(1, data.indexOf(warmest)), 4];
  return (
    <Figure
      role="img"
      aria-label={`${shown.date}: outside from ${say(Math.min(...shown.curve.map((h) => h.outC)))} to ${say(Math.max(...shown.curve.map((h) => h.outC)))}, inside from ${say(Math.min(...shown.curve.map((h) => h.inC)))} to ${say(Math.max(...shown.curve.map((h) => h.inC)))}`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} margin={{ top: 18, right: 12, bottom: 0, left: -8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hair)" vertical={false} />
          <XAxis
            dataKey="hour"
            type="number"
            domain={[0, 24]}
            ticks={[0, 3, 6, 9, 12, 15, 18, 21, 24]}
            tickFormatter={(h: number) => `${h}:00`}
            stroke="var(--ink)"
            tickLine={false}
          />
          <YAxis
            ticks={[...ticks]}
            domain={[ticks[0] ?? 0, ticks[ticks.length - 1] ?? 1]}
            tickFormatter={(t: number) => `${String(t).replace('-', '−')}°`}
            stroke="var(--ink)"
            tickLine={false}
            width={52}
          />
          <YAxis yAxisId="sun" hide domain={[0, 2600]} />
          <YAxis yAxisId="open" hide domain={[0, 12]} />
          <Area
            yAxisId="sun"
            dataKey="sun"
            fill="var(--sun)"
            fillOpacity={0.18}
            stroke="none"
            isAnimationActive={false}
          />
          <Area
            yAxisId="open"
            dataKey="open"
            type="step"
            fill="var(--holds)"
            fillOpacity={0.45}
            stroke="none"
            isAnimationActive={false}
          />
          {limits.map((l) => (
            <ReferenceLine
              key={l.word}
              y={degree(l.c)}
              stroke={l.colour}
              strokeDasharray="7 4"
              label={{ value: l.word, position: 'insideBottomLeft', fill: l.colour }}
            />
          ))}
          <Line
            dataKey="out"
            stroke="var(--frost)"
            strokeWidth={2}
            strokeDasharray="2 3"
            dot={false}
            isAnimationActive={false}
            label={name(outAt, 'outside', 'var(--frost)', false)}
          />
          <Line
            dataKey="in"
            stroke="var(--sun-ink)"
            strokeWidth={3}
            dot={false}
            isAnimationActive={false}
            label={name(inAt, 'inside', 'var(--sun-ink)', true)}
          />
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="quiet">Bar at the foot: stands open. Hill behind: light of the sun.</figcaption>
      <table className="visually-hidden">
        <caption>Hour by hour</caption>
        <thead>
          <tr>
            <th>Hour</th>
            <th>Outside</th>
            <th>Inside</th>
            <th>Open</th>
          </tr>
        </thead>
        <tbody>
          {shown.curve.map((h) => (
            <tr key={h.hour}>
              <td>{h.hour}:00</td>
              <td>{say(h.outC)}</td>
              <td>{say(h.inC)}</td>
              <td>{h.open > 0.02 ? 'open' : 'shut'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Figure>
  );
}
