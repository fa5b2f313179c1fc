import type { ReactNode } from 'react';
import type { Job } from '../background/useJob';
import { Button } from './controls';

/** What background work has to say while there is nothing of it to show: that it goes on, or why there is nothing. */
export function JobSays(p: { readonly job: Job<unknown>; readonly doing: string }): ReactNode {
  const { state, value, faults, retry } = p.job;
  if (state === 'pending' && value === undefined) return <p role="status">{p.doing}…</p>;
  if (state === 'failed' || (state === 'stopped' && value === undefined))
    return (
      <p role="alert">
        {state === 'failed'
          ? `This could not be worked out${faults[0] ? `: ${faults[0].message.slice(0, 120)}` : ''}.`
          : 'Stopped before anything was found.'}{' '}
        <Button onPress={retry}>Try again</Button>
      </p>
    );
  return faults.map((f) => (
    <p key={f.message} role="alert">
      {f.message}
    </p>
  ));
}
