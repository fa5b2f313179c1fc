import type { CSSProperties, ReactNode } from 'react';
import type { View } from '../../core/base/geometry';
import type { Result } from '../../core/base/result';
import type { CoverLayout } from '../../core/layout';
import { fitView } from '../../core/show/viewLayout';
import type { DrawingScale } from './Shapes';
import { ViewDrawing, useView } from './ViewDrawing';
import { useSize } from './useSize';

/** Lower than this a drawing is too small to use, px. */
const LEAST_PX = 350;

interface FittedProps {
  readonly outline: CoverLayout;
  readonly view: View;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
  readonly extra: (sheet: DrawingScale) => ReactNode;
  /** Room kept over the drawing, px. */
  readonly abovePx?: number;
}

/** One view as large as its place allows. */
export function FittedView({ outline: o, view, onSet, extra, abovePx = 0 }: FittedProps): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const of = useView(o, view);
  const layout = size && fitView(of, { width: size.width, height: Math.max(size.height, LEAST_PX) - abovePx });
  return (
    <div className="drawing" ref={ref}>
      {layout && (
        <div style={{ paddingTop: abovePx, '--above': `${abovePx}px` } as CSSProperties}>
          <ViewDrawing outline={o} view={view} of={of} layout={layout} onSet={onSet} extra={extra} />
        </div>
      )}
    </div>
  );
}
