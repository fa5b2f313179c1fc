import { useEffect, useState } from 'react';
import { messageOf } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import type { Brief } from '../../core/site/brief';
import type { ShownFound } from './search.worker';
import { findIn, stopSearch } from './searchClient';

/** A search as a screen sees it. */
export interface Search {
  readonly state: 'pending' | 'done' | 'failed' | 'stopped';
  /** The answer, or as far as it has come. */
  readonly found: ShownFound | undefined;
  readonly fault: string | undefined;
  readonly stop: () => void;
}

/** What is asked: of the garden as it was then. Edits afterwards do not start it anew. */
export interface SearchFor {
  readonly garden: Garden;
  readonly bedId: string;
  readonly brief: Brief;
}

/** Searches once for each thing that is asked; leaving the screen ends it. */
export function useSearch(of: SearchFor): Search {
  const [now, set] = useState<Omit<Search, 'stop'>>({ state: 'pending', found: undefined, fault: undefined });
  useEffect(() => {
    let current = true;
    const hear = (found: ShownFound): void => {
      if (current) set((s) => (s.state === 'pending' ? { ...s, found } : s));
    };
    findIn(of.garden, of.bedId, of.brief, hear).then(
      (answer) => {
        if (!current) return;
        if (answer.ok) set({ state: 'done', found: answer.value, fault: undefined });
        else set((s) => ({ ...s, state: 'failed', fault: answer.faults[0]?.message }));
      },
      (why: unknown) => {
        if (current) set((s) => (s.state === 'stopped' ? s : { ...s, state: 'failed', fault: messageOf(why) }));
      },
    );
    return () => {
      current = false;
      stopSearch();
    };
  }, [of]);
  const stop = (): void => {
    set((s) => ({ ...s, state: 'stopped' }));
    stopSearch();
  };
  return { ...now, stop };
}
