import type { ReactNode } from 'react';
import { type Result, fail } from '../../core/base/result';
import { TypedField } from './TypedField';

/** A number that may be left unsaid. */
export function MaybeNumber({
  label,
  value,
  least,
  most,
  unsaid = '',
  onSet,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  /** What stands there while nothing is said. */
  readonly unsaid?: string;
  readonly onSet: (value: number | null) => Result<unknown>;
}): ReactNode {
  return (
    <TypedField
      label={label}
      shown={value === null ? unsaid : String(Math.round(value * 10) / 10).replace('-', '−')}
      boxed
      take={(text) => {
        const t = text.trim().replace('−', '-').replace(',', '.');
        if (t === '' || t === unsaid) return onSet(null);
        const x = Number(t);
        if (!Number.isFinite(x) || x < least || x > most)
          return fail(label, `A number from ${least} to ${most}, or nothing${unsaid === '' ? '' : ` for ${unsaid}`}.`);
        return onSet(x);
      }}
    />
  );
}
