import { type ReactNode, useRef, useState } from 'react';
import styled from 'styled-components';
import type { Figure } from '../../core/base/figure';
import { formatAmount } from '../../core/base/amount';
import { lazyPart } from '../app/appUpdate';
import { useUnits } from '../app/hooks';

const WhySheet = lazyPart(() => import('./WhySheet').then((m) => m.default));

const Ask = styled.button`
  border: 0;
  padding: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
  text-decoration: underline dotted;
  text-underline-offset: 0.2em;
  text-decoration-thickness: 1.5px;
  &:hover {
    text-decoration-style: solid;
  }
`;

/** A figure that opens to its reasons. */
export function Why({ figure, children }: { readonly figure: Figure; readonly children?: ReactNode }): ReactNode {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const value = formatAmount(figure.value, figure.quantity, units);
  return (
    <>
      <Ask
        ref={button}
        type="button"
        aria-haspopup="dialog"
        aria-label={`${figure.label}: ${value}. Why?`}
        onClick={() => setOpen(true)}
      >
        {children ?? value}
      </Ask>
      {open && <WhySheet figure={figure} anchor={button} onClose={() => setOpen(false)} />}
    </>
  );
}
