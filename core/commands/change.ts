/** Every edit of a garden is a command: a pure function of the garden and what is wanted, checked here and nowhere else. */
import { type Draft, produce } from 'immer';
import { type Result, fail, failAll, ok } from '../base/result';
import { changesBetween } from '../garden/difference';
import { type Garden, checkEdit } from '../garden/garden';
import type { Edit } from '../garden/history';

/** What a command comes to: the edit, without changes where all is as it was wanted already, and the garden after it. */
export interface Change extends Edit {
  readonly garden: Garden;
}

/** What is wanted of a garden, with all but the garden given. */
export type Command<T extends Change = Change> = (garden: Garden) => Result<T>;

/** The lists of things that have a name and a place of their own. */
export const LISTS = { bed: 'beds', cover: 'covers', landmark: 'landmarks' } as const;
export type ThingKind = keyof typeof LISTS;

/**
 * One named change to a garden, checked as a whole.
 * @param recipe changes the draft it is given
 * @returns the change, or every fault of what it touched, with the path of its field
 * @example change(demoGarden(), 'Name it', (g) => void (g.name = '')).faults[0].field // "name"
 */
export function change(garden: Garden, label: string, recipe: (draft: Draft<Garden>) => void): Result<Change> {
  const after = produce(garden, (draft: Draft<Garden>) => void recipe(draft));
  const faults = after === garden ? [] : checkEdit(garden, after);
  return faults.length > 0 ? failAll(faults) : ok({ label, garden: after, changes: changesBetween(garden, after) });
}

/** The fault of a thing that is not in its list. */
export const notThere = (kind: ThingKind, id: string): Result<never> => fail(kind, `There is no ${kind} "${id}".`);

/** What is done with one thing of a list, by its name; the fault where it is not there. */
export function withThing(
  garden: Garden,
  kind: ThingKind,
  id: string,
  make: (name: string) => Result<Change>,
): Result<Change> {
  const name = garden[LISTS[kind]].find((x) => x.id === id)?.name;
  return name === undefined ? notThere(kind, id) : make(name);
}

/** The change to one thing of a list. */
export const changeThing = <K extends ThingKind>(
  garden: Garden,
  kind: K,
  id: string,
  label: (name: string) => string,
  recipe: (thing: Draft<Garden[(typeof LISTS)[K]][number]>) => void,
): Result<Change> =>
  withThing(garden, kind, id, (name) =>
    change(garden, label(name), (g) =>
      recipe(g[LISTS[kind]].find((x) => x.id === id) as Draft<Garden[(typeof LISTS)[K]][number]>),
    ),
  );

/** The change to one cover. */
export const changeCover = (
  garden: Garden,
  id: string,
  label: string | ((name: string) => string),
  recipe: (cover: Draft<Garden['covers'][number]>) => void,
): Result<Change> => changeThing(garden, 'cover', id, typeof label === 'string' ? () => label : label, recipe);
