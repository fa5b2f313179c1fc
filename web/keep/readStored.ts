/** Rows of the storage, read as far as they go: another build or a fault of the browser may have written them. */
import type { Patch } from 'immer';
import { readKept } from '../../core/garden/read';
import { type Edit, replay } from './edits';
import { type JournalRow, type Stored, isWhole, revisionOf } from './rows';

type Loose = Readonly<Record<string, unknown>>;
const isPatches = (value: unknown): value is readonly Patch[] =>
  Array.isArray(value) &&
  value.every(
    (p: Partial<Patch> | null) => p && ['add', 'remove', 'replace'].includes(String(p.op)) && Array.isArray(p.path),
  );

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
