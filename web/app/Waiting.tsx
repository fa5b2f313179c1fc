import type { ReactNode } from 'react';

/** What is shown while something comes. */
export function Waiting(): ReactNode {
  return (
    <p role="status" style={{ padding: '1.25rem' }}>
      Opening…
    </p>
  );
}
