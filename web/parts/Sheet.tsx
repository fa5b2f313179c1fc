import type { ReactNode } from 'react';
import { Dialog, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 80;
  display: grid;
  place-items: center;
  padding: 0.5rem;
  background: rgb(0 0 0 / 0.4);
  section {
    max-width: 27rem;
    max-height: 94vh;
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
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.875rem;
  }
`;

/** A sheet over the page, that Escape and a press beside it close. */
export function Sheet({
  label,
  onClose,
  children,
}: {
  readonly label: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <Veil isOpen onOpenChange={(open) => !open && onClose()} isDismissable>
      <Modal>
        <Dialog aria-label={label}>{children}</Dialog>
      </Modal>
    </Veil>
  );
}
