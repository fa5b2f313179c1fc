import type { ReactNode } from 'react';
import styled from 'styled-components';

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
  ['Alt 0', 'Settings'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Tab', 'Next measure, handle or control, in reading order'],
  ['Enter', 'Take what was typed; open the bed in hand'],
  ['Esc', 'Give up what was typed; put back what is dragged; close'],
  ['Arrows', 'Move what is in hand a small step; with Shift a large one'],
  ['Alt, dragging', 'Snap to nothing'],
  ['Delete', 'Take the bed in hand away'],
];

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.35rem 1.2rem;
  dt {
    font-weight: 600;
    white-space: nowrap;
  }
`;

/** The keys that work in every place. */
export function KeysTable(): ReactNode {
  return (
    <Keys>
      {LIST.map(([key, deed]) => (
        <div key={key} style={{ display: 'contents' }}>
          <dt className="measure">{key}</dt>
          <dd>{deed}</dd>
        </div>
      ))}
    </Keys>
  );
}
