/** Rows of the storage, read as far as they go: another build or a fault of the browser may have written them. */
import type { Weather, WeatherPlace } from '../../core/judge/weather/weather';
import type { Patch } from 'immer';
import type { Fault } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import { readKept } from '../../core/garden/read';
import { type Edit, type Replayed, type Step, replay } from './edits';

export interface GardenRow {
  id: string;
  name: string;
  doc: Garden;
  /** Grows by one with each save; a save on top of another tab's work is refused. */
  revision: number;
  /** How many of the kept edits are done; the rest can be redone. */
  at: number;
  /** By tab, the last step of its journal that this garden has. */
  seen: Readonly<Record<string, number>>;
  savedAt: number;
}

/** A step of work, written before the screen is drawn again; `tab` and `n` say whether a saved garden has it already. */
export interface JournalRow {
  gardenId: string;
  tab: string;
  n: number;
  step: Step;
}

export interface EditRow extends Edit {
  gardenId: string;
  seq: number;
}

/** A stored garden. */
export interface Stored {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** The document as it is stored. */
  readonly raw: unknown;
  /** As this build reads it, or why it does not. */
  readonly read:
    { readonly ok: true; readonly value: Garden } | { readonly ok: false; readonly faults: readonly Fault[] };
  readonly edits: readonly Edit[];
  readonly at: number;
  /** The garden with the work of a tab that ended before it was saved; undefined when there is none such. */
  readonly late: (Replayed & { readonly seen: Readonly<Record<string, number>> }) | undefined;
  /** What of the rows beside the document did not read. */
  readonly damage: readonly string[];
}

type Loose = Readonly<Record<string, unknown>>;
const isWhole = (value: unknown): value is number =>
  typeof value === 'number' && Number.isSafeInteger(value) && value >= 0;
const isPatches = (value: unknown): value is readonly Patch[] =>
  Array.isArray(value) &&
  value.every(
    (p: Partial<Patch> | null) => p && ['add', 'remove', 'replace'].includes(String(p.op)) && Array.isArray(p.path),
  );

/** The revision of a row; one that is not a number counts as the first. */
export const revisionOf = (row: { readonly revision?: unknown }): number => (isWhole(row.revision) ? row.revision : 0);

/** The edits that follow one another without a gap from the first. */
function editsOf(rows: readonly unknown[]): readonly Edit[] {
  const edits: Edit[] = [];
  for (const [i, row] of (rows as readonly Loose[]).entries()) {
    if (row['seq'] !== i || !isPatches(row['patches']) || !isPatches(row['inverse'])) break;
    edits.push({ label: String(row['label']), patches: row['patches'], inverse: row['inverse'] });
  }
  return edits;
}

/** Steps of the journal that the saved garden does not have, in the order they were made. */
function lateSteps(seen: unknown, journal: readonly JournalRow[]): readonly JournalRow[] {
  const known = (typeof seen === 'object' && seen !== null ? seen : {}) as Readonly<Record<string, unknown>>;
  return journal.filter((j) => j.n > Number(known[j.tab] ?? 0)).sort((a, b) => a.n - b.n);
}

/** Reads a garden's rows as far as they go. */
export function readStored(
  id: string,
  found: unknown,
  editRows: readonly unknown[],
  journal: readonly JournalRow[],
): Stored {
  const row = found as Loose;
  const edits = editsOf(editRows);
  const at = isWhole(row['at']) ? Math.min(row['at'], edits.length) : edits.length;
  const damage = [
    ...(isWhole(row['revision']) ? [] : ['its revision is not a number']),
    ...(edits.length === editRows.length ? [] : [`${editRows.length - edits.length} of its undo steps do not read`]),
    // Steps that were done and are not there any more.
    ...(row['at'] === at ? [] : ['its place among the undo steps is lost']),
  ];
  // Where the way back is broken it is not offered: patches on another garden than they were made for would spoil it.
  const whole = damage.length === 0 || row['at'] === at;
  const read = readKept(row['doc']);
  const kept = whole ? { edits, at } : { edits: [], at: 0 };
  const steps = lateSteps(row['seen'], journal);
  const late = read.ok &&
    steps.length > 0 && {
      ...replay(
        { doc: read.value, ...kept },
        steps.map((j) => j.step),
      ),
      seen: Object.fromEntries(steps.map((j) => [j.tab, j.n])),
    };
  return {
    id,
    name: typeof row['name'] === 'string' ? row['name'] : id,
    revision: revisionOf(row),
    raw: row['doc'],
    read,
    ...kept,
    late: late || undefined,
    damage,
  };
}

/** A picture of a garden's day book. */
export interface PictureRow {
  readonly gardenId: string;
  readonly key: string;
  readonly picture: Blob;
}

/** Weather of a garden: a year as the service told it, or what was read from a file. */
export interface WeatherRow {
  readonly gardenId: string;
  readonly kind: 'year' | 'file' | 'forecast';
  /** When it was told, ms since 1970. */
  readonly at: number;
  readonly place: WeatherPlace;
  readonly weather: Weather;
}
