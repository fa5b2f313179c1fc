/** Rows of the storage, read as far as they go: another build or a fault of the browser may have written them. */
// A garden may hold covers of any kind.
import '../../core/cover/families';
import { checkGarden } from '../../core/garden/garden';
import type { GardenChange } from '../../core/garden/difference';
import { type Edit, type Replayed, type UndoHistory, replay } from '../../core/garden/history';
import { type JournalRow, type Stored, isWhole, revisionOf } from './rows';

type Loose = Readonly<Record<string, unknown>>;
const isChanges = (value: unknown): value is readonly GardenChange[] =>
  Array.isArray(value) && value.every((c: Loose | null) => Array.isArray(c?.['path']));

/** The edits that follow one another without a gap from the first. */
function editsOf(rows: readonly unknown[]): readonly Edit[] {
  const edits: Edit[] = [];
  for (const [i, row] of (rows as readonly Loose[]).entries()) {
    if (row['seq'] !== i || !isChanges(row['changes'])) break;
    edits.push({ label: String(row['label']), changes: row['changes'] });
  }
  return edits;
}

/** Whether a row of the journal is one. */
function isJournal(row: unknown): row is JournalRow {
  const { tab, n, at, step } = (row ?? {}) as Loose;
  const { kind, label, changes } = (step ?? {}) as Loose;
  return (
    typeof tab === 'string' &&
    isWhole(n) &&
    typeof at === 'number' &&
    ['edit', 'undo', 'redo'].includes(String(kind)) &&
    typeof label === 'string' &&
    isChanges(changes)
  );
}

/** Steps of the journal that the saved garden does not have, in the order they were made. */
function lateSteps(seen: unknown, journal: readonly JournalRow[]): readonly JournalRow[] {
  const known = (typeof seen === 'object' && seen !== null ? seen : {}) as Readonly<Record<string, unknown>>;
  return journal.filter((j) => j.n > Number(known[j.tab] ?? 0)).sort((a, b) => a.at - b.at || a.n - b.n);
}

/** Steps done again, one row after another; a row that cannot even be tried is spoilt. */
function replayed(
  onto: UndoHistory,
  steps: readonly JournalRow[],
): Replayed & { readonly spoilt: readonly JournalRow[] } {
  return steps.reduce<Replayed & { readonly spoilt: readonly JournalRow[] }>(
    ({ work, lost, spoilt }, row) => {
      try {
        const next = replay(work, [row.step]);
        return { work: next.work, lost: [...lost, ...next.lost], spoilt };
      } catch {
        return { work, lost, spoilt: [...spoilt, row] };
      }
    },
    { work: onto, lost: [], spoilt: [] },
  );
}

/** Reads a garden's rows as far as they go. */
export function readStored(
  id: string,
  found: unknown,
  editRows: readonly unknown[],
  journalRows: readonly unknown[],
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
  // Where the way back is broken it is not offered: changes made to another garden than they were made for would spoil it.
  const whole = damage.length === 0 || row['at'] === at;
  const read = checkGarden(row['doc']);
  const kept = whole ? { edits, at } : { edits: [], at: 0 };
  const steps = lateSteps(row['seen'], journalRows.filter(isJournal));
  const again = read.ok && steps.length > 0 ? replayed({ doc: read.value, ...kept }, steps) : undefined;
  const late = again && {
    work: again.work,
    lost: again.lost,
    seen: steps.reduce<Record<string, number>>(
      (seen, { tab, n }) => ({ ...seen, [tab]: Math.max(n, seen[tab] ?? 0) }),
      {},
    ),
  };
  const spoilt = [...journalRows.filter((found) => !isJournal(found)), ...(again?.spoilt ?? [])];
  return {
    id,
    name: typeof row['name'] === 'string' ? row['name'] : id,
    revision: revisionOf(row),
    raw: row['doc'],
    read,
    ...kept,
    late,
    damage:
      spoilt.length === 0 ? damage : [...damage, `${spoilt.length} of its steps that were not saved yet do not read`],
    spoilt,
  };
}
