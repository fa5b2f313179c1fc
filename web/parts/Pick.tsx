import { type KeyboardEvent, type ReactNode, memo, useRef, useState } from 'react';
import styled from 'styled-components';
import { lazyPart } from '../app/appUpdate';
import type { PickProps } from './picked';

const PickList = lazyPart(() => import('./PickList').then((m) => m.default));

const Opener = styled.button`
  width: 100%;
  min-height: var(--target);
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.4rem;
  padding: 0.2rem 0.6rem;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--ground);
  color: var(--ink);
  font: inherit;
  font-weight: 600;
  font-size: 0.9375rem;
  line-height: 1.2;
  text-align: left;
  cursor: pointer;
  overflow-wrap: anywhere;
  &:hover {
    border-color: var(--ink);
  }
  svg {
    flex: none;
  }
`;

/** Chooses one of several things from a list that opens over the page; the list comes when it is first opened. */
export const Pick = memo(function Pick(props: PickProps): ReactNode {
  const { label, value, options, empty = 'choose', onOpen, className } = props;
  const [open, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const chosen = options.find((o) => o.value === value)?.label ?? empty;
  const show = (): void => {
    onOpen?.();
    setOpen(true);
  };
  const onKeyDown = (e: KeyboardEvent): void => {
    if (e.key !== 'ArrowDown' && e.key !== 'ArrowUp') return;
    e.preventDefault();
    show();
  };
  return (
    <>
      <Opener
        ref={opener}
        type="button"
        className={className}
        aria-haspopup="listbox"
        aria-expanded={open}
        aria-label={`${label}: ${chosen}`}
        onClick={show}
        onKeyDown={onKeyDown}
      >
        {chosen}
        <svg width="10" height="12" aria-hidden="true" stroke="currentColor" strokeWidth="1.6" fill="none">
          <path d="M1 4.5 L5 1 L9 4.5 M1 7.5 L5 11 L9 7.5" />
        </svg>
      </Opener>
      {open && <PickList {...props} anchor={opener} onClose={() => setOpen(false)} />}
    </>
  );
});
