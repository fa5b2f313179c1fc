/** Steps of work as they can be done again on a garden that has moved on. */
import { type FieldPath, type GardenChange, changesBetween, inverted, same, withChanges } from './difference';
import { type Garden, checkGarden } from './garden';

/** One step of the gardener's work, kept so that undo survives a reload. */
export interface Edit {
  readonly label: string;
  readonly changes: readonly GardenChange[];
}

/** A garden with its way back and forth. */
export interface UndoHistory {
  readonly doc: Garden;
  readonly edits: readonly Edit[];
  /** How many of the edits are done. */
  readonly at: number;
}

/** One step of work, as the journal has it. */
export interface Step extends Edit {
  readonly kind: 'edit' | 'undo' | 'redo';
}

/** The work with one more edit done; what could be redone until now no longer can. */
export function withEdit(work: UndoHistory, edit: Edit, doc: Garden): UndoHistory {
  const edits = [...work.edits.slice(0, work.at), edit];
  return { doc, edits, at: edits.length };
}

/** The next step back or forth; undefined when there is none. */
export function nextTurn({ edits, at }: UndoHistory, kind: 'undo' | 'redo'): Step | undefined {
  const edit = edits[kind === 'undo' ? at - 1 : at];
  return edit && { kind, label: edit.label, changes: kind === 'undo' ? inverted(edit.changes) : edit.changes };
}

/** Undoes or redoes one edit; undefined when there is none. */
export function turned(work: UndoHistory, kind: 'undo' | 'redo'): UndoHistory | undefined {
  const step = nextTurn(work, kind);
  return step && { ...work, doc: withChanges(work.doc, step.changes), at: work.at + (kind === 'undo' ? -1 : 1) };
}

const WORDS = { edit: '', undo: 'Undo: ', redo: 'Redo: ' } as const;

/**
 * One step done again: exactly where it was made, or else carried over.
 * @param after the garden after it, where that is still at hand: it gives back what was taken away meanwhile
 * @returns undefined where that makes no sound garden
 */
function again(
  work: UndoHistory,
  step: Step,
  leave: readonly FieldPath[] = [],
  after?: Garden,
): UndoHistory | undefined {
  const doc = withChanges(work.doc, step.changes, after, leave);
  if (same(work.doc, doc)) return work;
  const exact = step.kind === 'edit' ? undefined : turned(work, step.kind);
  if (exact && same(exact.doc, doc)) return exact;
  const edit = { label: `${WORDS[step.kind]}${step.label}`, changes: changesBetween(work.doc, doc) };
  return checkGarden(doc).ok ? withEdit(work, edit, doc) : undefined;
}

export interface Replayed {
  readonly work: UndoHistory;
  /** What could not be done on the garden as it is now. */
  readonly lost: readonly Step[];
}

/** Steps done again, one after another, each undoable. */
export function replay(onto: UndoHistory, steps: readonly Step[]): Replayed {
  return steps.reduce<Replayed>(
    ({ work, lost }, step) => {
      const next = again(work, step);
      return next ? { work: next, lost } : { work, lost: [...lost, step] };
    },
    { work: onto, lost: [] },
  );
}

/**
 * The steps of this tab done again on what the other tab saved; those that go together only as a whole become one.
 * @param base the garden that the first of them was made on
 * @param leave what of them is left as it stands in the other's garden
 * @param depth told no finer than so many keys from the root
 */
export function rebased(
  onto: UndoHistory,
  base: Garden,
  steps: readonly Step[],
  leave: readonly FieldPath[],
  depth: number,
): UndoHistory {
  const coarse = (before: Garden, after: Garden): Pick<Step, 'changes'> => ({
    changes: changesBetween(before, after, depth),
  });
  let work: UndoHistory | undefined = onto;
  let before = base;
  for (const step of steps) {
    const after = withChanges(before, step.changes);
    work &&= again(work, { ...step, ...coarse(before, after) }, leave, after);
    before = after;
  }
  const label = steps.at(-1)?.label ?? '';
  return work ?? again(onto, { kind: 'edit', label, ...coarse(base, before) }, leave, before) ?? onto;
}
