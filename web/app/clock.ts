import { useSyncExternalStore } from 'react';
import { dateAt } from '../../core/site/clock';
import { useOf } from './hooks';

const MINUTE_MS = 60_000;

const everyMinute = (hear: () => void): (() => void) => {
  const timer = setInterval(hear, MINUTE_MS);
  return () => clearInterval(timer);
};
const thisMinute = (): number => Math.floor(Date.now() / MINUTE_MS) * MINUTE_MS;

/** The time to the minute, ms since 1970; what shows it is drawn again as it goes on. */
export const useNow = (): number => useSyncExternalStore(everyMinute, thisMinute);

/** Today at the open garden's place. */
export function useToday(): string {
  const site = useOf((g) => g.site);
  return dateAt(site, useNow());
}
