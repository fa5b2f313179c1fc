import type { ReactNode } from 'react';

type Point = readonly [number, number];

/** A tape between two points, a chalk tick across each end. */
export function TapeLine({
  a,
  b,
  wide = false,
}: {
  readonly a: Point;
  readonly b: Point;
  /** To be seen from an arm’s length. */
  readonly wide?: boolean;
}): ReactNode {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
  const [tx, ty] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  return (
    <g stroke="var(--chalk)" strokeWidth={wide ? 3 : 1.3}>
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {[a, b].map(([x, y], i) => (
        <line
          key={i}
          x1={x + nx * 7 - tx * 4}
          y1={y + ny * 7 - ty * 4}
          x2={x - nx * 7 + tx * 4}
          y2={y - ny * 7 + ty * 4}
          strokeWidth={wide ? 4 : 2.4}
        />
      ))}
    </g>
  );
}
