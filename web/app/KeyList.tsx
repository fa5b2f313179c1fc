import type { ReactNode } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/controls';

const LIST: readonly (readonly [string, string])[] = [
  ['?', 'Show these keys'],
  ['Alt 1', 'Plot'],
  ['Alt 2', 'Bed'],
  ['Alt 3', 'Choose'],
  ['Alt 4', 'Bench'],
  ['Alt 5', 'Saw'],
  ['Alt 6', 'Cart'],
  ['Alt 7', 'Build'],
  ['Alt 8', 'Paper'],
  ['Alt 9', 'Shelf'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Tab', 'Next measure or control, in reading order'],
  ['Enter', 'Take what was typed'],
  ['Esc', 'Give up what was typed; close'],
];

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

/** The keys that work in every place. */
export default function KeyList({ onClose }: { readonly onClose: () => void }): ReactNode {
  return (
    <Veil isOpen onOpenChange={(open) => !open && onClose()} isDismissable>
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
          <Button onPress={onClose}>Close</Button>
        </Dialog>
      </Modal>
    </Veil>
  );
}
