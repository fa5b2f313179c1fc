import type { ReactNode } from 'react';
import type { View } from '../../core/base/geometry';
import type { Result } from '../../core/base/result';
import type { Outline } from '../../core/outline';
import type { Sheet } from './Shapes';
import { ViewDrawing, marginOf, useViewFrame } from './ViewDrawing';
import { useSize } from './useSize';

/** Lower than this a drawing is too small to use, px. */
const LEAST_PX = 350;

interface FittedProps {
  readonly outline: Outline;
  readonly view: View;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
  readonly extra: (sheet: Sheet) => ReactNode;
  /** Room kept over the drawing, px. */
  readonly abovePx?: number;
}

/** One view as large as its place allows. */
export function FittedView({ outline: o, view, onSet, extra, abovePx = 0 }: FittedProps): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const frame = useViewFrame(o, view);
  const m = marginOf(o, view);
  const scale = size
    ? Math.min(
        (size.width - m.left - m.right) / frame.widthMm,
        (Math.max(size.height, LEAST_PX) - m.top - m.bottom - abovePx) / frame.heightMm,
      )
    : 0;
  return (
    <div className="drawing" ref={ref}>
      {scale > 0 && (
        <div style={{ paddingTop: abovePx }}>
          <ViewDrawing outline={o} view={view} frame={frame} scale={scale} onSet={onSet} extra={extra} />
        </div>
      )}
    </div>
  );
}
