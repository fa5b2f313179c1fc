import { type ReactNode, useEffect, useState } from 'react';
import type { NavigateFunction } from 'react-router';
import { useAppDispatch } from './hooks';
import { Boundary } from './Boundary';
import { lazyPart } from './appUpdate';
import { redo, undo } from './store';
import { useWay } from './way';

const KeyList = lazyPart(() => import('./KeyList').then((m) => m.default));

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Keys that work in every place. */
export function useKeys(
  navigate: NavigateFunction,
  hand: { readonly bedId: string | undefined; readonly coverId: string | undefined },
): void {
  const dispatch = useAppDispatch();
  const { bedId, coverId } = hand;
  const way = useWay();
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !typing(e.target)) {
        e.preventDefault();
        dispatch(e.shiftKey ? redo() : undo());
        return;
      }
      // Only figures: a space would count as nought.
      if (!e.altKey || e.ctrlKey || e.metaKey || !/^\d$/.test(e.key)) return;
      const to = [
        way('settings'),
        way('plot'),
        bedId && way('bed', bedId),
        bedId && way('choose', bedId),
        ...['bench', 'saw', 'cart', 'build', 'paper'].map((place) => coverId && way(place, coverId)),
        way('shelf'),
      ][Number(e.key)];
      if (!to) return;
      e.preventDefault();
      void navigate(to);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch, navigate, way, bedId, coverId]);
}

/** The list of keys, opened with a question mark. */
export function Keys(): ReactNode {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (e.key === '?' && !typing(e.target)) setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return open ? (
    <Boundary what="The list of keys">
      <KeyList onClose={() => setOpen(false)} />
    </Boundary>
  ) : null;
}
