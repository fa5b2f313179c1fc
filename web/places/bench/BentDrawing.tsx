import type { ReactNode } from 'react';
import type { LoadedPoint } from '../../../core/judge/strength/loaded';
import { type DrawingScale, toScreen } from '../../drawing/Shapes';
import type { UnderLoad } from './underLoad';

/** How hard a stretch is bent: its colour, and its width, so that it is told without colour. */
export const strain = (used: number): { readonly colour: string; readonly wide: number } =>
  used > 0.8
    ? { colour: 'var(--fails)', wide: 8 }
    : used > 0.5
      ? { colour: 'var(--tight)', wide: 6 }
      : { colour: 'var(--holds)', wide: 4 };

export const TALL_PX = 34;

/** The hoop as it bends over the hoop as it is built, with what lies and blows on it. */
export function BentDrawing({ sheet, under }: { readonly sheet: DrawingScale; readonly under: UnderLoad }): ReactNode {
  const { bent, laid, mostMm } = under;
  if (!bent) return null;
  const { still, points, gives } = bent;
  const drawn = points.map((p, i) => {
    const s = still[i] ?? p;
    return toScreen(sheet, [s.y + laid.times * (p.y - s.y), s.z + laid.times * (p.z - s.z)]);
  });
  return (
    <g aria-hidden="true">
      <SnowOn sheet={sheet} still={still} tall={TALL_PX * Math.min(1, laid.depthMm / mostMm)} />
      <WindOn sheet={sheet} still={still} />
      {drawn.slice(1).map(([x, y], i) => {
        const [px, py] = drawn[i] ?? [x, y];
        const { colour, wide } = strain(Math.max(points[i]?.used ?? 0, points[i + 1]?.used ?? 0));
        return <line key={i} x1={px} y1={py} x2={x} y2={y} stroke={colour} strokeWidth={wide} strokeLinecap="round" />;
      })}
      {gives && <Cross at={drawn[gives.at]} />}
    </g>
  );
}

/** Where it gives way. */
function Cross({ at }: { readonly at: readonly [number, number] | undefined }): ReactNode {
  if (!at) return null;
  const [x, y] = at;
  return (
    <g stroke="var(--fails)" strokeWidth={2.5} fill="none">
      <circle cx={x} cy={y} r={14} />
      <path d={`M${x - 6} ${y - 6} l12 12 m0 -12 l-12 12`} />
    </g>
  );
}

/** Snow over the hoop, as thick as it lies on each stretch. */
export function SnowOn({
  sheet,
  still,
  tall,
}: {
  readonly sheet: DrawingScale;
  readonly still: readonly LoadedPoint[];
  readonly tall: number;
}): ReactNode {
  const most = Math.max(...still.map((p) => p.snowPa));
  if (!(most > 0) || tall < 1) return null;
  const base = Math.min(...still.map((p) => toScreen(sheet, [p.y, p.z])[1])) - 14;
  const top = still.map((p) => [toScreen(sheet, [p.y, 0])[0], base - (tall * p.snowPa) / most] as const);
  const [first, last] = [top[0]?.[0] ?? 0, top.at(-1)?.[0] ?? 0];
  return (
    <path
      d={`M${first} ${base} ${top.map(([x, y]) => `L${x} ${y}`).join(' ')} L${last} ${base} Z`}
      fill="var(--frost)"
      fillOpacity={0.25}
      stroke="var(--frost)"
      strokeWidth={1.3}
    />
  );
}

const ARROW_PX = 26;

/** Pressure and suction of the wind, square to the hoop. */
function WindOn({ sheet, still }: { readonly sheet: DrawingScale; readonly still: readonly LoadedPoint[] }): ReactNode {
  const most = Math.max(...still.map((p) => Math.abs(p.windPa)));
  if (!(most > 0)) return null;
  return (
    <g stroke="var(--ink)" strokeWidth={1.6} fill="none">
      {still.map((p, i) => {
        const [before, after] = [still[i - 1], still[i + 1]];
        if (i % 3 !== 1 || !before || !after) return null;
        const [x, y] = toScreen(sheet, [p.y, p.z]);
        const long = Math.hypot(after.y - before.y, after.z - before.z);
        // Outward, on the screen.
        const [nx, ny] = [-(after.z - before.z) / long, -(after.y - before.y) / long];
        const size = (ARROW_PX * Math.abs(p.windPa)) / most;
        const [near, far] = [9, 9 + size];
        const [from, to] = p.windPa > 0 ? [far, near] : [near, far];
        const [tx, ty] = [x + nx * to, y + ny * to];
        const back = p.windPa > 0 ? 5 : -5;
        return (
          <path
            key={i}
            d={`M${x + nx * from} ${y + ny * from} L${tx} ${ty} m${nx * back - ny * 3} ${ny * back + nx * 3} L${tx} ${ty} l${nx * back + ny * 3} ${ny * back - nx * 3}`}
          />
        );
      })}
    </g>
  );
}
