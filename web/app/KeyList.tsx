import type { ReactNode } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { KeysTable } from '../parts/Keys';
import { Button } from '../parts/controls';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 80;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 0.4);
  section {
    max-height: 92vh;
    overflow: auto;
    padding: 1.25rem;
    background: var(--sheet);
    color: var(--ink);
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    display: grid;
    gap: 0.8rem;
    outline: none;
  }
`;

/** The keys that work in every place. */
export default function KeyList({ onClose }: { readonly onClose: () => void }): ReactNode {
  return (
    <Veil isOpen onOpenChange={(open) => !open && onClose()} isDismissable>
      <Modal>
        <Dialog aria-label="Keys">
          <h2>Keys</h2>
          <KeysTable />
          <Button onPress={onClose}>Close</Button>
        </Dialog>
      </Modal>
    </Veil>
  );
}
