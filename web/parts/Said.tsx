import type { ReactNode } from 'react';
import type { Phrase } from '../../core/base/figure';
import { formatAmount } from '../../core/base/amount';
import { useUnits } from '../app/hooks';

/** A sentence from the core, its numbers in the gardener's own units and set to stand out. */
export function Sentence({ phrase }: { readonly phrase: Phrase }): ReactNode {
  const units = useUnits();
  return (
    <>
      {phrase.map((part, i) =>
        typeof part === 'string' ? part : <b key={i}>{formatAmount(part.value, part.quantity, units)}</b>,
      )}
    </>
  );
}
