import { type DOMAttributes, type PointerEvent as ReactPointerEvent, useEffect, useRef, useState } from 'react';
import { useMove } from 'react-aria/useMove';

/** What can be taken hold of. */
type Held = Element & HTMLOrSVGElement;

/** How far something was dragged since it was taken hold of. */
export interface Way {
  /** Screen pixels; with keys, how many steps. */
  readonly dx: number;
  readonly dy: number;
  readonly keys: boolean;
  /** Shift is held: large steps, with keys. */
  readonly large: boolean;
  /** Alt is held: nothing is snapped to. */
  readonly free: boolean;
}

interface DragOf {
  /** Taken hold of, or focused. */
  readonly onTake?: (event: ReactPointerEvent<Held>) => void;
  readonly onDrag: (way: Way) => void;
  /** Let go where it is. */
  readonly onDrop: () => void;
  /** Put back where it was. */
  readonly onCancel: () => void;
}

/**
 * Something that is dragged with a pointer, or moved with the arrow keys. Escape puts it back.
 * @returns what to put on its element, and whether it is being dragged
 */
export function useDrag({ onTake, onDrag, onDrop, onCancel }: DragOf): {
  readonly props: DOMAttributes<Held>;
  readonly dragging: boolean;
} {
  const [dragging, setDragging] = useState(false);
  const at = useRef({ dx: 0, dy: 0, given: false });
  const latest = useRef(onCancel);
  useEffect(() => {
    latest.current = onCancel;
  });
  const { moveProps } = useMove({
    onMoveStart: ({ pointerType }) => {
      at.current = { dx: 0, dy: 0, given: false };
      setDragging(pointerType !== 'keyboard');
    },
    onMove: ({ deltaX, deltaY, pointerType, shiftKey, altKey }) => {
      if (at.current.given) return;
      at.current.dx += deltaX;
      at.current.dy += deltaY;
      const { dx, dy } = at.current;
      onDrag({ dx, dy, keys: pointerType === 'keyboard', large: shiftKey, free: altKey });
    },
    onMoveEnd: () => {
      setDragging(false);
      if (!at.current.given) onDrop();
    },
  });
  useEffect(() => {
    if (!dragging) return;
    const onKey = (e: KeyboardEvent): void => {
      if (e.key !== 'Escape') return;
      e.preventDefault();
      e.stopPropagation();
      at.current.given = true;
      setDragging(false);
      latest.current();
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [dragging]);
  return {
    dragging,
    props: {
      ...moveProps,
      onPointerDown: (event) => {
        // Taking hold keeps the browser from giving it the focus.
        event.currentTarget.focus({ preventScroll: true });
        onTake?.(event);
        moveProps.onPointerDown?.(event);
      },
    },
  };
}
