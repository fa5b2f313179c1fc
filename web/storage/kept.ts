/** What this browser keeps, listed. */
import { storageFault } from './storageFault';
import { database } from '../app/world';
import { useEffect, useState } from 'react';
import { type AsideRow, type Database, dbRequest, liveQuery } from './db';
import type { GardenRow } from './rows';

interface StoredGarden {
  readonly gardens: readonly GardenRow[];
  readonly aside: readonly AsideRow[];
  /** Why storage cannot be read; nothing where it can. */
  readonly shut: string | undefined;
}

const rowsOf = (db: Database): Promise<readonly [GardenRow[], AsideRow[]]> =>
  db.transaction('r', [db.gardens, db.aside], () => Promise.all([db.gardens.toArray(), db.aside.toArray()]));

// The date of a damaged row may be none.
const at = (row: GardenRow): number => (typeof row.savedAt === 'number' ? row.savedAt : 0);

/**
 * All gardens of this browser, the last worked on first: told at once, and again whenever this tab or another changes one.
 * @returns what ends it
 */
function watchKept(hear: (kept: StoredGarden) => void): () => void {
  let over = false;
  let end = (): void => undefined;
  const shut = (why: unknown): void => {
    if (!over) hear({ gardens: [], aside: [], shut: storageFault(why) });
  };
  dbRequest(database(), (db) => {
    if (!over)
      ({ unsubscribe: end } = liveQuery(() => rowsOf(db)).subscribe(
        ([gardens, aside]) => hear({ gardens: gardens.sort((a, b) => at(b) - at(a)), aside, shut: undefined }),
        shut,
      ));
    return Promise.resolve();
  }).catch(shut);
  return () => {
    over = true;
    end();
  };
}

/** All gardens of this browser, as they are now. */
export function useKept(): StoredGarden | undefined {
  const [kept, set] = useState<StoredGarden>();
  useEffect(() => watchKept(set), []);
  return kept;
}

const MEGABYTE = 1e6;
/** So many bytes, as people say them. */
export const sizeOf = (bytes: number): string =>
  bytes < 1000 * MEGABYTE ? `${(bytes / MEGABYTE).toFixed(1)} MB` : `${(bytes / MEGABYTE / 1000).toFixed(1)} GB`;
