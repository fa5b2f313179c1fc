import type { ReactNode } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { degreesIn } from '../../../core/base/amount';
import { sayDay } from '../../../core/base/days';
import type { WinterDay, Winters } from '../../../core/judge/season/rehearsal';
import { useUnits } from '../../app/hooks';

const TEXT = { fontFamily: 'var(--mono)', fontSize: '0.8125rem', fill: 'var(--quiet)' };

function useDegrees(): (c: number) => number {
  const units = useUnits();
  return (c) => degreesIn(c, units);
}

const monthTick = (date: string): string => sayDay(date).replace(/^\d+ (\w{3}).*$/, '$1');

/** Whole tens of degrees that hold everything. */
function tens(values: readonly number[]): readonly number[] {
  const [low, high] = [Math.floor(Math.min(...values) / 10), Math.ceil(Math.max(...values) / 10)];
  return Array.from({ length: high - low + 1 }, (_, i) => 10 * (low + i));
}

/** The first day of each month among days. */
const firsts = (dates: readonly string[]): string[] => dates.filter((d) => d.endsWith('-01'));

/** Both charts have the same frame: months below, degrees on the left. */
const PLAIN = { margin: { top: 8, right: 8, bottom: 0, left: -8 }, accessibilityLayer: false } as const;
const LINE = { tick: TEXT, stroke: 'var(--ink)', tickLine: false } as const;
const monthAxis = (days: readonly { readonly date: string }[]) => ({
  ...LINE,
  dataKey: 'date',
  ticks: firsts(days.map((d) => d.date)),
  tickFormatter: monthTick,
  interval: 0 as const,
});
const degreeAxis = (ticks: readonly number[]) => ({
  ...LINE,
  ticks: [...ticks],
  domain: [ticks[0] ?? 0, ticks[ticks.length - 1] ?? 1],
  tickFormatter: (t: number) => `${String(t).replace('-', '−')}°`,
  width: 52,
});

/** A winter as far as it has come: lows inside and out, and the snow on the cover. */
export function WinterChart({
  days,
  upTo,
  killingC,
  cropName,
}: {
  readonly days: readonly WinterDay[];
  readonly upTo: number;
  readonly killingC: number;
  readonly cropName: string;
}): ReactNode {
  const degrees = useDegrees();
  const data = days.map((d, i) => ({
    date: d.date,
    out: i <= upTo ? degrees(d.outLowC) : null,
    in: i <= upTo ? degrees(d.lowC) : null,
    snow: i <= upTo ? d.snowKgPerM2 : null,
  }));
  const all = days.flatMap((d) => [degrees(d.outLowC), degrees(d.lowC)]);
  const ticks = tens([...all, degrees(killingC)]);
  return (
    <div
      role="img"
      style={{ height: '100%' }}
      aria-label={`Lows of a winter to ${sayDay(days[upTo]?.date ?? '')}; what happened stands in the ledger`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} {...PLAIN}>
          <CartesianGrid stroke="var(--hair)" vertical={false} />
          <XAxis {...monthAxis(days)} />
          <YAxis {...degreeAxis(ticks)} />
          <YAxis yAxisId="snow" hide domain={[0, 120]} />
          <Area
            yAxisId="snow"
            dataKey="snow"
            fill="var(--pipe)"
            fillOpacity={0.45}
            stroke="none"
            isAnimationActive={false}
          />
          <ReferenceLine
            y={degrees(killingC)}
            stroke="var(--frost)"
            strokeDasharray="7 4"
            label={{ value: `${cropName} dies`, position: 'insideTopRight', ...TEXT, fill: 'var(--frost)' }}
          />
          <Line
            dataKey="out"
            stroke="var(--frost)"
            strokeWidth={1.5}
            strokeDasharray="2 3"
            dot={false}
            isAnimationActive={false}
          />
          <Line dataKey="in" stroke="var(--sun-ink)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
      <p className="quiet">Solid: low inside. Dotted: low outside. Grey at the foot: snow on the cover.</p>
    </div>
  );
}

/** Lows inside through many winters: the middle one, and between which eight of ten lie. */
export function BandChart({ bands }: { readonly bands: Winters['bands'] }): ReactNode {
  const degrees = useDegrees();
  const ticks = tens(bands.flatMap((b) => [degrees(b.low), degrees(b.high)]));
  const data = bands.map((b) => ({ date: b.date, band: [degrees(b.low), degrees(b.high)], middle: degrees(b.middle) }));
  return (
    <div
      role="img"
      style={{ height: '100%' }}
      aria-label="Lows inside through a hundred winters: the middle one, and between which eight of ten lie"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={data} {...PLAIN}>
          <CartesianGrid stroke="var(--hair)" vertical={false} />
          <XAxis {...monthAxis(bands)} />
          <YAxis {...degreeAxis(ticks)} />
          <Area dataKey="band" fill="var(--frost)" fillOpacity={0.25} stroke="none" isAnimationActive={false} />
          <Line dataKey="middle" stroke="var(--frost)" strokeWidth={2} dot={false} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
      <p className="quiet">Line: the middle winter’s low inside. Band: eight winters of ten.</p>
    </div>
  );
}
