import { type PointerEvent, type ReactNode, useRef, useState } from 'react';
import { useDrag } from '../../drawing/useDrag';
import type { PlotDeeds } from './mapDeeds';
import { type PlotView, toPlot } from './view';

/** Smaller than this, px, what is drawn was a slip of the hand. */
const LEAST_DRAWN_PX = 12;

/** The ground: dragged to look elsewhere, or drawn on. */
export function GroundBehind({
  view,
  deeds,
  onLook,
}: {
  readonly view: PlotView;
  readonly deeds: PlotDeeds;
  readonly onLook: (v: PlotView) => void;
}): ReactNode {
  const from = useRef<{ readonly view: PlotView; readonly at: readonly [number, number] }>(undefined);
  const [drawn, setDrawn] = useState<readonly [number, number, number, number]>();
  const latest = useRef(drawn);
  const show = (box: typeof drawn): void => {
    latest.current = box;
    setDrawn(box);
  };
  const { drawing, onDrawn, onHold } = deeds;
  const drag = useDrag({
    onTake: (event: PointerEvent<Element>) => {
      const { left, top } = event.currentTarget.getBoundingClientRect();
      from.current = { view, at: [event.clientX - left, event.clientY - top] };
      if (!drawing) onHold(undefined);
    },
    onDrag: ({ dx, dy, keys }) => {
      if (keys || !from.current) return;
      const { view: was, at } = from.current;
      if (drawing) show([at[0], at[1], at[0] + dx, at[1] + dy]);
      else onLook({ ...was, middle: toPlot(was, was.size.width / 2 - dx, was.size.height / 2 - dy) });
    },
    onDrop: () => {
      if (latest.current) {
        const [x0, y0, x1, y1] = latest.current;
        const [w, h] = [Math.abs(x1 - x0), Math.abs(y1 - y0)];
        // Its near side is the lower one on the screen.
        if (w > LEAST_DRAWN_PX && h > LEAST_DRAWN_PX)
          onDrawn(toPlot(view, Math.min(x0, x1), Math.max(y0, y1)), w / view.scale, h / view.scale);
      }
      show(undefined);
    },
    onCancel: () => show(undefined),
  });
  const { width, height } = view.size;
  const { onPointerDown } = drag.props;
  return (
    <>
      <rect width={width} height={height} fill="transparent" onPointerDown={onPointerDown} data-testid="plot-ground" />
      {drawn && (
        <rect
          x={Math.min(drawn[0], drawn[2])}
          y={Math.min(drawn[1], drawn[3])}
          width={Math.abs(drawn[2] - drawn[0])}
          height={Math.abs(drawn[3] - drawn[1])}
          fill="var(--soil)"
          stroke="var(--chalk)"
          strokeWidth={2}
          pointerEvents="none"
        />
      )}
    </>
  );
}
