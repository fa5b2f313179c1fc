/** What this browser keeps, listed. */
import { database } from '../app/world';
import { type AsideRow, asked } from './db';
import type { GardenRow } from './rows';

export interface Kept {
  readonly gardens: readonly GardenRow[];
  readonly aside: readonly AsideRow[];
  /** Storage cannot be read. */
  readonly shut: boolean;
}
const NOTHING: Kept = { gardens: [], aside: [], shut: true };

/** All gardens of this browser, the last worked on first. */
export async function readKept(): Promise<Kept> {
  try {
    const [gardens, aside] = await asked(database(), (db) => Promise.all([db.getAll('gardens'), db.getAll('aside')]));
    // The date of a damaged row may be none.
    const at = (row: GardenRow): number => (typeof row.savedAt === 'number' ? row.savedAt : 0);
    return { gardens: gardens.sort((a, b) => at(b) - at(a)), aside, shut: false };
  } catch {
    return NOTHING;
  }
}

const MEGABYTE = 1e6;
/** So many bytes, as people say them. */
export const sizeOf = (bytes: number): string =>
  bytes < 1000 * MEGABYTE ? `${(bytes / MEGABYTE).toFixed(1)} MB` : `${(bytes / MEGABYTE / 1000).toFixed(1)} GB`;
