import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element on the screen, kept up to date. */
export function useSize<E extends HTMLElement>(): readonly [RefObject<E | null>, Size | undefined] {
  const ref = useRef<E>(null);
  const [size, setSize] = useState<Size>();
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    // Known before the page is drawn, so that what fits it is drawn at once.
    setSize({ width: element.clientWidth, height: element.clientHeight });
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [ref, size];
}
