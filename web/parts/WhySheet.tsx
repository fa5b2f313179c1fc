import type { ReactNode, RefObject } from 'react';
import { Dialog, Popover } from 'react-aria-components';
import styled from 'styled-components';
import type { Figure, Term } from '../../core/base/figure';
import { type Preferences, formatAmount, formatFully } from '../../core/base/amount';
import { useUnits } from '../app/hooks';
import { overPage } from './look';

const Sheet = styled(Popover)`
  max-width: min(26rem, 94vw);
  max-height: 80vh;
  overflow: auto;
  ${overPage}
  section {
    padding: 1rem;
    outline: none;
    display: grid;
    gap: 0.6rem;
  }
  .formula {
    padding: 0.5rem 0.6rem;
    background: var(--ground);
    font-size: 0.875rem;
  }
  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 0.2rem 1rem;
    font-size: 0.875rem;
  }
  dd {
    text-align: right;
    font-weight: 600;
  }
  p,
  li {
    font-size: 0.875rem;
    color: var(--quiet);
  }
`;

interface WhySheetProps {
  readonly figure: Figure;
  readonly anchor: RefObject<HTMLButtonElement | null>;
  readonly onClose: () => void;
}

/** A figure's formula with the values put in, its source and what it takes for granted. */
export default function WhySheet({ figure, anchor, onClose }: WhySheetProps): ReactNode {
  const units = useUnits();
  const read = formatAmount(figure.value, figure.quantity, units);
  const fully = formatFully(figure.value, figure.quantity, units);
  return (
    <Sheet triggerRef={anchor} isOpen onOpenChange={(open) => !open && onClose()} placement="bottom start">
      <Dialog aria-label={`Why ${figure.label}`}>
        <h2>
          {figure.label}: <span className="measure">{read}</span>
        </h2>
        {read !== fully && <p className="measure">Worked out as {fully}; told as a builder can use it.</p>}
        <p className="formula measure">{figure.formula}</p>
        <Terms terms={figure.terms} units={units} />
        {figure.besides && figure.besides.length > 0 && (
          <>
            <p>Good to know with it:</p>
            <Terms terms={figure.besides} units={units} />
          </>
        )}
        <p>Source: {figure.source}</p>
        <ul>
          {figure.assumes.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </Dialog>
    </Sheet>
  );
}

function Terms({ terms, units }: { readonly terms: readonly Term[]; readonly units: Preferences }): ReactNode {
  return (
    <dl>
      {terms.map((term) => (
        <div key={term.name} style={{ display: 'contents' }}>
          <dt>{term.name}</dt>
          <dd className="measure">{formatFully(term.value, term.quantity, units)}</dd>
        </div>
      ))}
    </dl>
  );
}
