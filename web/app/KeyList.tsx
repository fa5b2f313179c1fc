import type { ReactNode } from 'react';
import { KeysTable } from '../parts/Keys';
import { Sheet } from '../parts/Sheet';
import { Button } from '../parts/controls';

/** The keys that work in every place. */
export default function KeyList({ onClose }: { readonly onClose: () => void }): ReactNode {
  return (
    <Sheet label="Keys" onClose={onClose}>
      <h2>Keys</h2>
      <KeysTable />
      <Button onPress={onClose}>Close</Button>
    </Sheet>
  );
}
