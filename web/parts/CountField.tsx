import type { ReactNode } from 'react';
import { unitOf } from '../../core/base/amount';
import type { Result } from '../../core/base/result';
import { useUnits } from '../app/hooks';
import { NumberField } from './TypedField';

interface CountProps {
  readonly label: string;
  /** Whether it is counted, or measured in m as what comes from a coil is. */
  readonly unit: string;
  readonly count: number;
  readonly onSet: (count: number) => Result<unknown>;
}

/** How many of a counted thing, or how much of what is sold by the length in the gardener's own units. */
export function CountField({ label, unit, count, onSet }: CountProps): ReactNode {
  const units = useUnits();
  const { sign, per } = unit === 'm' ? unitOf('coil', units) : { sign: '', per: 1 };
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <NumberField label={label} value={count * per} decimals={0} min={0} max={100000} onSet={(n) => onSet(n / per)} />
      {sign && ` ${sign}`}
    </span>
  );
}
