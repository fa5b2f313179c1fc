/** How the open garden is kept, said in the head of every place. */
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { FaultList } from '../parts/OpenFile';
import { Button } from '../parts/controls';
import { saveGarden } from '../parts/saveFile';
import { useApp, useAppDispatch } from './hooks';
import { newId } from './names';
import { addGarden, closeGarden, restoreDeleted, save } from './saving';
import { wayTo } from './way';

const Line = styled.div`
  flex: 1 0 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.8rem;
  align-items: center;
  padding: 0.4rem 0.8rem;
  border-left: 4px solid var(--fails);
  background: var(--sheet);
  > span {
    flex: 1 1 18rem;
    min-width: 0;
  }
`;

const since = (at: number): string => new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });

/** Nothing while the garden is kept; else what is wrong and what to do. */
export function KeptLine(): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const open = useApp((s) => s.open);
  if (!open) return null;
  const toFile = (
    <Button $strong onPress={() => saveGarden(open.doc.name, open.doc)}>
      Save to a file
    </Button>
  );
  if (open.look)
    return (
      <Line role="status">
        <span>
          <b>Looked at only.</b> What does not read is left out; what is stored stays as it is.{' '}
          <FaultList faults={open.look.slice(0, 2)} />
        </span>
        <Button
          onPress={() => {
            const id = newId();
            void dispatch(addGarden(id, open.doc)).then(() => navigate(wayTo(id, 'plot')));
          }}
        >
          Work on a copy
        </Button>
      </Line>
    );
  if (open.save.kind === 'gone')
    return (
      <Line role="alert">
        <span>
          <b>Deleted in another tab.</b> What you see is kept nowhere any more.
        </span>
        {toFile}
        <Button onPress={() => void dispatch(restoreDeleted())}>Keep it after all</Button>
        <Button
          onPress={() => {
            dispatch(closeGarden());
            void navigate('/gardens');
          }}
        >
          Let it go
        </Button>
      </Line>
    );
  if (open.save.kind === 'failed')
    return (
      <Line role="alert">
        <span>
          <b>Not saved since {since(open.save.since)}:</b> {open.save.why}. Cabanon goes on trying; do not close this
          page before it is saved, here or to a file.
        </span>
        {toFile}
        <Button onPress={() => void dispatch(save())}>Try now</Button>
      </Line>
    );
  return null;
}
