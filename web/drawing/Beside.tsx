/** What a view shows beside the cover itself: the ground, the crop and its rows, and where checks fail or are tight. */
import type { ReactNode } from 'react';
import type { Flat } from '../../core/base/geometry';
import type { CheckStatus } from '../../core/judge/strength/check';
import type { CoverLayout } from '../../core/layout';
import { SIGNS, colourOf } from '../parts/VerdictMark';
import { type DrawingScale, toScreen } from './Shapes';

/** Where a check fails or is tight, in a view. */
export interface Flag {
  readonly id: string;
  readonly status: CheckStatus;
  readonly at: readonly Flat[];
  /** It is being looked at: all its places are shown. */
  readonly pointed: boolean;
}

const FLAG_PX = 18;

/** Signs where checks fail or are tight; several at one place stand side by side. */
export function Flags({ flags, sheet }: { readonly flags: readonly Flag[]; readonly sheet: DrawingScale }): ReactNode {
  const taken = new Map<string, number>();
  return flags.map((f) => (
    <g key={f.id} stroke={`var(--${colourOf(f.status)})`} pointerEvents="none" data-flag={f.id}>
      {(f.pointed ? f.at : f.at.slice(0, 1)).map((p, i) => {
        const [x, y] = toScreen(sheet, p);
        if (f.pointed) return <circle key={i} cx={x} cy={y} r={11} fill="none" strokeWidth={2.5} />;
        const place = `${Math.round(x / FLAG_PX)} ${Math.round(y / FLAG_PX)}`;
        const beside = taken.get(place) ?? 0;
        taken.set(place, beside + 1);
        return (
          <g key={i} transform={`translate(${x + 8 + beside * FLAG_PX} ${y + 8})`}>
            <rect x={-2} y={-2} width={18} height={18} fill="var(--ground)" stroke="none" />
            <path d={SIGNS[f.status]} transform="scale(0.88)" fill="none" strokeWidth={2.2} />
          </g>
        );
      })}
    </g>
  ));
}

/** The ground line. */
export function Ground({ y, x0, x1 }: { readonly y: number; readonly x0: number; readonly x1: number }): ReactNode {
  const ticks = Array.from({ length: Math.max(0, Math.floor((x1 - x0) / 13)) }, (_, i) => x0 + 8 + i * 13);
  return (
    <g stroke="var(--quiet)" strokeWidth={1}>
      {ticks.map((x) => (
        <line key={x} x1={x} y1={y} x2={x - 6} y2={y + 7} opacity={0.6} />
      ))}
      <line x1={x0} y1={y} x2={x1} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
    </g>
  );
}

/** The full-grown crop from the end, between its first and its last row. */
export function CropOutline({
  outline: o,
  sheet,
}: {
  readonly outline: CoverLayout;
  readonly sheet: DrawingScale;
}): ReactNode {
  const { crop, rowYsMm, topZMm, soilZMm, clearanceMm } = o.assembly.crop;
  const [left = 0, right = 0] = rowYsMm;
  const a = toScreen(sheet, [left, topZMm]);
  const b = toScreen(sheet, [right, topZMm]);
  const soil = toScreen(sheet, [left, soilZMm])[1];
  const colour = clearanceMm < 0 ? 'var(--fails)' : 'var(--holds)';
  return (
    <g stroke={colour} fill="none" strokeWidth={1.6}>
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {[a[0], b[0]].map((x) => (
        <line key={x} x1={x} y1={a[1]} x2={x} y2={soil} strokeDasharray="2 4" />
      ))}
      <text
        x={(a[0] + b[0]) / 2}
        y={a[1] + 15}
        textAnchor="middle"
        stroke="var(--ground)"
        strokeWidth={4}
        strokeLinejoin="round"
        // Read over whatever stands in front of it.
        style={{ fill: colour, fontWeight: 600, paintOrder: 'stroke' }}
      >
        {crop.name}
      </text>
    </g>
  );
}

/** Its rows from above. */
export function CropRows({
  outline: o,
  sheet,
}: {
  readonly outline: CoverLayout;
  readonly sheet: DrawingScale;
}): ReactNode {
  const [first, last] = o.assembly.reachMm;
  return (
    <g stroke="var(--holds)" strokeWidth={1.6} strokeDasharray="2 4">
      {o.assembly.crop.rowYsMm.map((y) => {
        const a = toScreen(sheet, [first, y]);
        const b = toScreen(sheet, [last, y]);
        return <line key={y} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
      })}
    </g>
  );
}
