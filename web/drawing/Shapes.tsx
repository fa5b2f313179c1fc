import type { Flat } from '../../core/base/geometry';
import type { CSSProperties, ReactNode } from 'react';
import type { Drawn, Stuff } from '../../core/show/project';

/** From paper millimetres to screen pixels: v grows upward on paper. */
export interface DrawingScale {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
  readonly u0: number;
  readonly v1: number;
}

export function toScreen(sheet: DrawingScale, [u, v]: Flat): readonly [x: number, y: number] {
  return [sheet.left + (u - sheet.u0) * sheet.scale, sheet.top + (sheet.v1 - v) * sheet.scale];
}

const AREA: Readonly<Record<Stuff, { readonly fill: string; readonly stroke: string }>> = {
  wall: { fill: 'var(--wall)', stroke: 'var(--timber-edge)' },
  soil: { fill: 'var(--soil)', stroke: 'none' },
  timber: { fill: 'var(--timber)', stroke: 'var(--timber-edge)' },
  film: { fill: 'var(--film)', stroke: 'var(--film-edge)' },
  'film line': { fill: 'none', stroke: 'var(--film-edge)' },
  glazing: { fill: 'var(--film)', stroke: 'var(--pipe-edge)' },
  mesh: { fill: 'none', stroke: 'var(--pipe-edge)' },
  plywood: { fill: 'var(--timber-face)', stroke: 'var(--timber-edge)' },
  opening: { fill: 'var(--ground)', stroke: 'var(--timber-edge)' },
  straw: { fill: 'var(--straw)', stroke: 'var(--timber-edge)' },
  pipe: { fill: 'var(--pipe)', stroke: 'var(--pipe-edge)' },
  rod: { fill: 'var(--quiet)', stroke: 'none' },
};

/** What is drawn as a line and is no pipe. */
const LINE: Readonly<Partial<Record<Stuff, string>>> = { rod: 'var(--quiet)', 'film line': 'var(--film-edge)' };

/** Tenths of a pixel are fine enough. */
const tenth = (x: number): number => Math.round(10 * x) / 10;
function pointsOn(sheet: DrawingScale, { points }: Drawn): string {
  let text = '';
  for (const p of points) {
    const [x, y] = toScreen(sheet, p);
    text += `${tenth(x)},${tenth(y)} `;
  }
  return text;
}

/** One shape at true size: areas as they are, pipes as lines of their own width with a dark edge. */
export function Shape({ drawn, sheet }: { readonly drawn: Drawn; readonly sheet: DrawingScale }): ReactNode {
  const points = pointsOn(sheet, drawn);
  if (drawn.widthMm === undefined)
    return (
      <polygon
        points={points}
        fill={AREA[drawn.stuff].fill}
        stroke={AREA[drawn.stuff].stroke}
        strokeWidth={1}
        strokeLinejoin="round"
      />
    );
  const width = Math.max(2.5, drawn.widthMm * sheet.scale);
  return (
    <g fill="none" strokeLinejoin="round">
      {drawn.stuff === 'pipe' && <polyline points={points} stroke="var(--pipe-edge)" strokeWidth={width + 1.6} />}
      <polyline points={points} stroke={LINE[drawn.stuff] ?? 'var(--pipe)'} strokeWidth={width} />
    </g>
  );
}

/** A shape as its outline alone: what lights up, or what would be there. */
export function Outlined({
  drawn,
  sheet,
  className,
}: {
  readonly drawn: Drawn;
  readonly sheet: DrawingScale;
  readonly className: string;
}): ReactNode {
  const points = pointsOn(sheet, drawn);
  return drawn.widthMm === undefined ? (
    <polygon className={className} points={points} />
  ) : (
    <polyline
      className={className}
      points={points}
      style={{ '--wide': `${Math.max(2.5, drawn.widthMm * sheet.scale)}px` } as CSSProperties}
    />
  );
}
