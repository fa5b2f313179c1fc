/** Whether this screen reminds, and of what it has already: kept with the browser, not with the garden. */
import { useSyncExternalStore } from 'react';
import { remembering } from '../storage/browser';

const ON_KEY = 'cabanon.remind';
const PAST_KEY = 'cabanon.reminded';
/** Ids kept: those of older days are never asked for again. */
const MOST_PAST = 200;

const heard = new Set<() => void>();
const tell = (): void => heard.forEach((hear) => hear());
const listen = (hear: () => void): (() => void) => {
  heard.add(hear);
  return () => heard.delete(hear);
};

export function setReminding(on: boolean): void {
  remembering.set(ON_KEY, on ? 'yes' : 'no');
  tell();
}
export const useReminding = (): boolean => useSyncExternalStore(listen, () => remembering.get(ON_KEY) === 'yes');

const pastText = (): string => remembering.get(PAST_KEY) ?? '';
/** Ids that were done or put off, a line each. */
export const usePast = (): string => useSyncExternalStore(listen, pastText);
export function putPast(id: string): void {
  remembering.set(PAST_KEY, [...pastText().split('\n'), id].slice(-MOST_PAST).join('\n'));
  tell();
}
