import type { ReactNode } from 'react';
import { flatten } from '../../core/base/geometry';
import type { LengthUnit } from '../../core/base/length';
import { formatLength } from '../../core/base/length';
import type { Dimension } from '../../core/cover/assembly/types';
import { type DrawingScale, toScreen } from './Shapes';
import { type Way, useDrag } from './useDrag';

/** How the drawing is pulled at: what moves, how far, and what comes of it. */
export interface Pulling {
  /** The dimension in hand, what it is drawn to, the limit it has met. */
  readonly now: { readonly id: string; readonly said: string; readonly limit: string } | undefined;
  /** Pulls: how far the end was moved along its line, mm, or by how many steps. */
  readonly onPull: (id: string, wayMm: number, way: Way, mmPerPx: number) => void;
  readonly onDrop: () => void;
  readonly onCancel: () => void;
}

interface HandlesProps {
  readonly dimensions: readonly Dimension[];
  readonly sheet: DrawingScale;
  readonly unit: LengthUnit;
  readonly pulling: Pulling;
}

/** A handle at the end of everything that can be pulled: what is typed in the drawing, at the end that moves. */
export function Handles({ dimensions, sheet, unit, pulling }: HandlesProps): ReactNode {
  return dimensions
    .filter((d) => d.typed && d.side !== 'leader')
    .map((d) => <Handle key={d.id} dimension={d} sheet={sheet} unit={unit} pulling={pulling} />);
}

const TOUCH_PX = 15;
const DOT_PX = 6;

function Handle({
  dimension: d,
  sheet,
  unit,
  pulling,
}: Omit<HandlesProps, 'dimensions'> & { readonly dimension: Dimension }): ReactNode {
  const level = d.side === 'below' || d.side === 'above';
  const [x, y] = toScreen(sheet, flatten(d.to, d.view));
  const drag = useDrag({
    onDrag: (way) => {
      const steps = level ? way.dx : -way.dy;
      // Arrows across its line do nothing.
      if (way.keys && steps === 0) return;
      pulling.onPull(d.id, way.keys ? steps : steps / sheet.scale, way, 1 / sheet.scale);
    },
    onDrop: pulling.onDrop,
    onCancel: pulling.onCancel,
  });
  const held = pulling.now?.id === d.id;
  return (
    <g
      {...drag.props}
      className={`handle ${level ? 'level' : 'upright'} ${held ? 'held' : ''}`}
      role="slider"
      tabIndex={0}
      aria-label={`Pull ${d.label}`}
      aria-orientation={level ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={100_000}
      aria-valuenow={Math.round(d.valueMm)}
      aria-valuetext={formatLength(d.valueMm, unit)}
      data-testid={`pull-${d.id}`}
    >
      <circle cx={x} cy={y} r={TOUCH_PX} fill="transparent" />
      <circle className="dot" cx={x} cy={y} r={DOT_PX} />
      <path
        className="ways"
        d={
          level
            ? `M${x - 13} ${y} l5 -4 v8 z M${x + 13} ${y} l-5 -4 v8 z`
            : `M${x} ${y - 13} l-4 5 h8 z M${x} ${y + 13} l-4 -5 h8 z`
        }
      />
    </g>
  );
}
