import { type ReactNode, useEffect, useState } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import type { NavigateFunction } from 'react-router';
import styled from 'styled-components';
import { Button } from '../parts/controls';
import { useAppDispatch } from './hooks';
import { redo, undo } from './store';

const LIST: readonly (readonly [string, string])[] = [
  ['?', 'Show these keys'],
  ['Alt 1', 'Plot'],
  ['Alt 2', 'Bed'],
  ['Alt 3', 'Bench'],
  ['Alt 4', 'Saw'],
  ['Alt 5', 'Cart'],
  ['Alt 6', 'Paper'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Tab', 'Next measure or control, in reading order'],
  ['Enter', 'Take what was typed'],
  ['Esc', 'Give up what was typed; close'],
];

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
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z' && !typing(e.target)) {
        e.preventDefault();
        dispatch(e.shiftKey ? redo() : undo());
        return;
      }
      if (!e.altKey || e.ctrlKey || e.metaKey) return;
      const to = [
        undefined,
        '/plot',
        bedId && `/bed/${bedId}`,
        ...['bench', 'saw', 'cart', 'paper'].map((place) => coverId && `/${place}/${coverId}`),
      ][Number(e.key)];
      if (!to) return;
      e.preventDefault();
      void navigate(to);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [dispatch, navigate, bedId, coverId]);
}

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 80;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 0.4);
  section {
    padding: 1.25rem;
    background: var(--sheet);
    color: var(--ink);
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    display: grid;
    gap: 0.8rem;
    outline: none;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.35rem 1.2rem;
  }
  dt {
    font-weight: 600;
  }
`;

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
  return (
    <Veil isOpen={open} onOpenChange={setOpen} isDismissable>
      <Modal>
        <Dialog aria-label="Keys">
          <h2>Keys</h2>
          <dl>
            {LIST.map(([key, deed]) => (
              <div key={key} style={{ display: 'contents' }}>
                <dt className="measure">{key}</dt>
                <dd>{deed}</dd>
              </div>
            ))}
          </dl>
          <Button onPress={() => setOpen(false)}>Close</Button>
        </Dialog>
      </Modal>
    </Veil>
  );
}
