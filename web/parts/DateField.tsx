import type { ReactNode } from 'react';
import { isDate } from '../../core/base/days';
import { type Result, fail } from '../../core/base/result';
import { TypedField } from './TypedField';

/** A date, typed as it is written down: year-month-day. */
export function DateField({
  label,
  date,
  onSet,
}: {
  readonly label: string;
  readonly date: string;
  readonly onSet: (date: string) => Result<unknown>;
}): ReactNode {
  return (
    <TypedField
      label={`${label}, as year-month-day`}
      shown={date}
      boxed
      take={(text) =>
        isDate(text.trim()) ? onSet(text.trim()) : fail('date', 'Write it as year-month-day, for example 2027-01-15.')
      }
    />
  );
}
