import type { ReactNode } from 'react';
import type { Landmark } from '../../../core/site/landmark';
import { footprint, middleOf } from '../../../core/site/plotting';
import { type PlotView, plotToScreen } from './view';

/** A landmark from above, each kind drawn in its own way. */
export function LandmarkShape({ landmark, view }: { readonly landmark: Landmark; readonly view: PlotView }): ReactNode {
  const { kind } = landmark;
  const corners = footprint(landmark).map((p) => plotToScreen(view, p));
  const points = corners.map((p) => p.join(',')).join(' ');
  const [a, b, c, d] = corners as [Point, Point, Point, Point];
  switch (kind) {
    case 'path':
      return (
        <polygon className="mark" points={points} fill="var(--hair)" stroke="var(--quiet)" strokeDasharray="2 5" />
      );
    case 'wall':
      return (
        <>
          <polygon className="mark" points={points} fill="var(--quiet)" stroke="var(--ink)" strokeWidth={1.5} />
          {courses(a, b, d, 26).map((line) => (
            <path key={line} d={line} stroke="var(--ground)" strokeWidth={1} />
          ))}
        </>
      );
    case 'fence':
      return (
        <>
          <polygon className="mark" points={points} fill="var(--timber)" stroke="var(--timber-edge)" />
          {along(mid(a, d), mid(b, c), 34).map(([x, y]) => (
            <rect key={`${x} ${y}`} x={x - 2.5} y={y - 2.5} width={5} height={5} fill="var(--timber-edge)" />
          ))}
        </>
      );
    case 'hedge':
      return (
        <polygon
          className="mark"
          points={points}
          fill="var(--leaf)"
          stroke="var(--holds)"
          strokeWidth={2.5}
          strokeDasharray="5 4"
          strokeLinecap="round"
        />
      );
    case 'tree': {
      const [x, y] = plotToScreen(view, middleOf(landmark));
      const r = (landmark.lengthMm / 2) * view.scale;
      return (
        <>
          <circle
            className="mark"
            cx={x}
            cy={y}
            r={r}
            fill="var(--leaf)"
            fillOpacity={0.55}
            stroke="var(--holds)"
            strokeDasharray="1 6"
            strokeLinecap="round"
            strokeWidth={3}
          />
          <circle cx={x} cy={y} r={Math.max(2.5, r * 0.07)} fill="var(--timber-edge)" />
        </>
      );
    }
  }
}

type Point = readonly [number, number];
const mid = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

/** Points along a line, about so far apart, both ends among them. */
function along(a: Point, b: Point, apartPx: number): readonly Point[] {
  const n = Math.max(1, Math.min(200, Math.round(Math.hypot(b[0] - a[0], b[1] - a[1]) / apartPx)));
  return Array.from({ length: n + 1 }, (_, i) => [a[0] + ((b[0] - a[0]) * i) / n, a[1] + ((b[1] - a[1]) * i) / n]);
}

/** Lines across a wall, as its stones meet. */
function courses(a: Point, b: Point, d: Point, apartPx: number): readonly string[] {
  const [ax, ay] = [d[0] - a[0], d[1] - a[1]];
  return along(a, b, apartPx)
    .slice(1, -1)
    .map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)} l${ax.toFixed(1)} ${ay.toFixed(1)}`);
}
