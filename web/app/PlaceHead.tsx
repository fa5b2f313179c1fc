import { Children, type ReactNode, memo, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../parts/controls';
import { KeptLine } from './Kept';
import { useApp, useAppDispatch } from './hooks';
import { redo, undo } from './store';
import { Redo2, Undo2 } from 'lucide-react';

const Head = styled.header`
  position: relative;
  display: flex;
  align-items: center;
  gap: 0.6rem 1rem;
  min-height: 4rem;
  padding: 0.5rem 1.25rem;
  border-bottom: 1px solid var(--hair);
  flex-wrap: wrap;
  .where {
    display: flex;
    align-items: baseline;
    gap: 0.9rem;
    flex: 1 1 8rem;
    min-width: 0;
  }
  .where span {
    color: var(--quiet);
  }
  h1,
  .where span {
    min-width: 2rem;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  h1 {
    flex: 0 1 auto;
  }
  .ways,
  .deeds {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
  .deeds button {
    white-space: nowrap;
  }
  .more {
    display: none;
  }
  .ways button {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
  }
  @media (max-width: 760px) {
    flex-wrap: nowrap;
    min-height: 3.25rem;
    padding: 0.3rem 0.6rem;
    gap: 0.4rem;
    .where {
      flex: 1 1 0;
      display: block;
      line-height: 1.2;
    }
    .where span {
      display: block;
      font-size: 0.8125rem;
    }
    h1 {
      font-size: 1.0625rem;
    }
    .ways {
      gap: 0.3rem;
    }
    .ways button {
      min-width: var(--target);
      padding: 0;
      justify-content: center;
    }
    .ways .word {
      display: none;
    }
    .more {
      display: block;
      flex: none;
    }
    .deeds {
      display: none;
    }
    .deeds.open {
      position: absolute;
      z-index: 40;
      top: 100%;
      right: 0.6rem;
      display: grid;
      gap: 0.5rem;
      padding: 0.7rem;
      background: var(--sheet);
      border: 1.5px solid var(--ink);
      border-radius: 2px;
      box-shadow: 0 4px 16px rgb(0 0 0 / 0.25);
    }
  }
`;

interface PlaceHeadProps {
  readonly title: string;
  readonly subtitle: string;
  /** What is done at this place. */
  readonly children?: ReactNode;
}

/** Undo and redo: the same everywhere, and drawn again only when they change. */
const Ways = memo(function Ways(): ReactNode {
  const last = useApp((s) => s.open?.edits[s.open.at - 1]?.label);
  const next = useApp((s) => s.open?.edits[s.open.at]?.label);
  const open = useApp((s) => s.open !== null);
  const dispatch = useAppDispatch();
  if (!open) return null;
  return (
    <div className="ways">
      <Button isDisabled={!last} onPress={() => dispatch(undo())} aria-label={last ? `Undo: ${last}` : 'Undo'}>
        <Undo2 size={16} aria-hidden />
        <span className="word">Undo</span>
      </Button>
      <Button isDisabled={!next} onPress={() => dispatch(redo())} aria-label={next ? `Redo: ${next}` : 'Redo'}>
        <Redo2 size={16} aria-hidden />
        <span className="word">Redo</span>
      </Button>
    </div>
  );
});

/** A place's name, the ways back and forth, and its own deeds; one row on a phone, the deeds behind one press. */
export function PlaceHead({ title, subtitle, children }: PlaceHeadProps): ReactNode {
  const [open, setOpen] = useState(false);
  const many = Children.toArray(children).length > 0;
  return (
    <Head className="screen-only">
      <div className="where">
        <h1>{title}</h1>
        {subtitle && <span>{subtitle}</span>}
      </div>
      <Ways />
      {many && (
        <>
          <span className="more">
            <Button aria-label="What can be done here" aria-expanded={open} onPress={() => setOpen(!open)}>
              ⋯
            </Button>
          </span>
          <div className={`deeds ${open ? 'open' : ''}`} onClickCapture={() => setOpen(false)}>
            {children}
          </div>
        </>
      )}
      <KeptLine />
    </Head>
  );
}
