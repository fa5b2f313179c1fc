import { type ReactNode, useRef, useState } from 'react';
import { bearing } from '../../../core/site/plotting';
import { useDrag } from '../../drawing/useDrag';
import type { PlotView } from './view';

const COMPASS = { x: 34, y: 42, r: 26 } as const;

/** The compass: north is where it points, and it can be turned. */
export function Compass({
  view,
  onUp,
}: {
  readonly view: PlotView;
  readonly onUp: (upDeg: number) => void;
}): ReactNode {
  const [turned, show] = useState<number>();
  const latest = useRef<number>(undefined);
  const set = (deg: number | undefined): void => {
    latest.current = deg;
    show(deg);
  };
  const up = turned ?? view.upDeg;
  const cx = view.size.width - COMPASS.x;
  const drag = useDrag({
    onDrag: ({ dx, dy, keys, large, free }) => {
      if (keys) return set(bearing(view.upDeg - (dx - dy) * (large ? 15 : 1)));
      const start = (-view.upDeg * Math.PI) / 180;
      const [x, y] = [COMPASS.r * Math.sin(start) + dx, -COMPASS.r * Math.cos(start) + dy];
      const deg = bearing((-Math.atan2(x, -y) * 180) / Math.PI);
      set(free ? Math.round(deg) : bearing(Math.round(deg / 5) * 5));
    },
    onDrop: () => {
      if (latest.current !== undefined) onUp(latest.current);
      set(undefined);
    },
    onCancel: () => set(undefined),
  });
  return (
    <g
      {...drag.props}
      className="handle"
      role="slider"
      tabIndex={0}
      aria-label="Turn the plot: bearing that is up"
      aria-valuemin={0}
      aria-valuemax={360}
      aria-valuenow={Math.round(up)}
      aria-valuetext={`${Math.round(up)} degrees up`}
    >
      <circle cx={cx} cy={COMPASS.y} r={COMPASS.r} fill="var(--ground)" stroke="var(--hair)" strokeWidth={1.5} />
      <g transform={`rotate(${-up} ${cx} ${COMPASS.y})`}>
        <path
          d={`M${cx} ${COMPASS.y + 12} V${COMPASS.y - 12} m-6 9 l6 -9 l6 9`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.8}
        />
        <text x={cx} y={COMPASS.y - 30} textAnchor="middle" fontSize={13} fontWeight={600} fill="var(--ink)">
          N
        </text>
      </g>
    </g>
  );
}
