import { type KeyboardEvent, useState } from 'react';
import { type Result, ok } from '../../core/base/result';

/**
 * A value that is typed part by part: taken as a whole with Enter or when its field is left, given up with Escape.
 * What cannot be taken is said, and the old value stays.
 */
export function useTaken<T>(value: T, onSet: (value: NonNullable<T>) => Result<unknown>) {
  const [draft, setDraft] = useState<NonNullable<T>>();
  const [fault, setFault] = useState<string>();
  const take = (typed = draft): void => {
    setDraft(undefined);
    const answer = typed === undefined || typed === value ? ok(undefined) : onSet(typed);
    setFault(answer.ok ? undefined : (answer.faults[0]?.message ?? 'That cannot be used here.'));
  };
  return {
    shown: draft ?? value,
    fault,
    take,
    /** One part of it was typed. */
    type: (typed: NonNullable<T>): void => {
      setFault(undefined);
      setDraft(typed);
    },
    onKeyDownCapture: (e: KeyboardEvent): void => {
      if (e.key === 'Enter') take();
      else if (e.key === 'Escape') setDraft(undefined);
    },
  };
}
