/** Steps of work as they can be done again on a garden that has moved on. */
import { type Patch, applyPatches, enablePatches } from 'immer';
import { type Garden, checkGarden } from '../../core/garden/garden';
import { type GardenChange, type FieldPath, changesBetween, same, withChanges } from '../../core/garden/merge';

enablePatches();

/** One step of the gardener's work, kept so that undo survives a reload. */
export interface Edit {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** A garden with its way back and forth. */
export interface UndoHistory {
  readonly doc: Garden;
  readonly edits: readonly Edit[];
  /** How many of the edits are done. */
  readonly at: number;
}

/** One step of work as the journal has it: what it changed, each thing by its name. */
export interface JournalStep {
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  readonly changes: readonly GardenChange[];
  /** The garden after it, where that is still at hand: it gives back what was taken away meanwhile. */
  readonly after?: Garden;
}

/** A step of this tab, with what it was made on. */
export interface OwnStep extends Pick<JournalStep, 'kind' | 'label'> {
  readonly before: Garden;
  readonly after: Garden;
}

/** A step told as the journal has it. */
export function told({ kind, label, before, after }: OwnStep, depth = Infinity): JournalStep {
  return { kind, label, changes: changesBetween(before, after, depth) };
}

/** What turns one value into another, part by part. */
export function patchesBetween(was: unknown, is: unknown, path: readonly (string | number)[] = []): readonly Patch[] {
  if (same(was, is)) return [];
  const open = (v: unknown): v is object => typeof v === 'object' && v !== null;
  const list = Array.isArray(was) && Array.isArray(is) && was.length === is.length;
  if (!open(was) || !open(is) || Array.isArray(was) !== Array.isArray(is) || (Array.isArray(was) && !list))
    return [{ op: 'replace', path: [...path], value: is }];
  const [from, to] = [was, is] as readonly Readonly<Record<string, unknown>>[];
  return [...new Set([...Object.keys(was), ...Object.keys(is)])].flatMap((key): readonly Patch[] => {
    const at = [...path, list ? Number(key) : key];
    if (!Object.hasOwn(is, key)) return [{ op: 'remove', path: at }];
    if (!Object.hasOwn(was, key)) return [{ op: 'add', path: at, value: to?.[key] }];
    return patchesBetween(from?.[key], to?.[key], at);
  });
}

function editBetween(label: string, before: Garden, after: Garden): Edit {
  return { label, patches: patchesBetween(before, after), inverse: patchesBetween(after, before) };
}

/** The work with one more edit done; what could be redone until now no longer can. */
export function withEdit(work: UndoHistory, edit: Edit, doc: Garden): UndoHistory {
  const edits = [...work.edits.slice(0, work.at), edit];
  return { doc, edits, at: edits.length };
}

/** Undoes or redoes one edit; undefined when there is none. */
export function turned(work: UndoHistory, kind: 'undo' | 'redo'): UndoHistory | undefined {
  const edit = work.edits[kind === 'undo' ? work.at - 1 : work.at];
  if (!edit) return undefined;
  const doc = applyPatches(work.doc, kind === 'undo' ? [...edit.inverse] : [...edit.patches]);
  return { ...work, doc, at: work.at + (kind === 'undo' ? -1 : 1) };
}

const WORDS = { edit: '', undo: 'Undo: ', redo: 'Redo: ' } as const;

/** One step done again: exactly where it was made, or else carried over; undefined where that makes no sound garden. */
function again(work: UndoHistory, step: JournalStep, leave: readonly FieldPath[]): UndoHistory | undefined {
  const doc = withChanges(work.doc, step.changes, step.after, leave);
  if (same(work.doc, doc)) return work;
  const exact = step.kind === 'edit' ? undefined : turned(work, step.kind);
  if (exact && same(exact.doc, doc)) return exact;
  return checkGarden(doc).ok
    ? withEdit(work, editBetween(`${WORDS[step.kind]}${step.label}`, work.doc, doc), doc)
    : undefined;
}

export interface Replayed {
  readonly work: UndoHistory;
  /** What could not be done on the garden as it is now. */
  readonly lost: readonly JournalStep[];
}

/**
 * Steps done again, one after another, each undoable.
 * @param leave what of them is left as it stands in the garden
 */
export function replay(onto: UndoHistory, steps: readonly JournalStep[], leave: readonly FieldPath[] = []): Replayed {
  return steps.reduce<Replayed>(
    ({ work, lost }, step) => {
      const next = again(work, step, leave);
      return next ? { work: next, lost } : { work, lost: [...lost, step] };
    },
    { work: onto, lost: [] },
  );
}

/** The steps of this tab done again on what the other tab saved; those that go together only as a whole become one. */
export function rebased(
  onto: UndoHistory,
  steps: readonly OwnStep[],
  leave: readonly FieldPath[],
  depth: number,
): UndoHistory {
  const one = replay(
    onto,
    steps.map((step) => ({ ...told(step, depth), after: step.after })),
    leave,
  );
  const [first, last] = [steps[0], steps.at(-1)];
  if (one.lost.length === 0 || !first || !last) return one.work;
  const whole = { ...last, kind: 'edit' as const, before: first.before };
  return replay(onto, [{ ...told(whole, depth), after: last.after }], leave).work;
}
