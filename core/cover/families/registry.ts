import type * as z from 'zod/mini';
import type { Result } from '../../base/result';
import type { Catalog } from '../../catalog/catalog';
import type { BuildSite } from '../../site/buildSite';
import type { Answers, At, AnswerChange, Question } from '../answers/parameter';
import type { Assembly } from '../assembly/types';

/** A parametric recipe: from a bed and the gardener's answers to an assembly. Nothing after it asks which family it was. */
export interface Family {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
  readonly rank: number;
  /** What it may stand on, where there are several ways that change nothing else: it starts as the cheapest that holds. */
  readonly standsOn?: { readonly id: string; readonly ways: readonly string[] };
  readonly schema: z.ZodMiniType<Answers>;
  /** What the catalogue in hand has against answers: the answer's name, and what would be right. */
  readonly against: (
    answers: Answers,
    catalog: Catalog,
  ) => readonly { readonly id: string; readonly message: string }[];
  readonly defaults: (site: BuildSite) => Answers;
  readonly questions: (answers: Answers, at: At) => readonly Question[];
  /** Sets one question's answer. */
  readonly answer: (answers: Answers, id: string, value: string | number, at: At) => Result<Answers>;
  /** Sets one typed dimension of the drawing, mm. */
  readonly dimension: (answers: Answers, id: string, valueMm: number, at: At) => Result<Answers>;
  /** The answers with a change made, or undefined when it means nothing here. */
  readonly change: (answers: Answers, change: AnswerChange, at: At) => Answers | undefined;
  /** What an answer is called, where it is spoken of. */
  readonly labelOf: (id: string) => string;
  readonly assemble: (answers: Answers, site: BuildSite) => Result<Assembly>;
}

let kinds: readonly Family[] = [];
const byKey = new Map<string, Family>();

/** Puts a kind in hand as soon as its folder is read: a page fetches them by and by, all else reads `index` and has every one. */
export function registerFamily(family: Family): Family {
  byKey.set(family.key, family);
  kinds = [...byKey.values()].sort((a, b) => a.rank - b.rank);
  return family;
}

/** The kinds in hand, from the lightest to the largest; another list once there are more. */
export const registeredFamilies = (): readonly Family[] => kinds;

/**
 * The family of a key.
 * @throws when it is not in hand: what makes or reads a cover has its kind
 * @example familyOf('lean-to').assemble(familyOf('lean-to').defaults(buildSite(demoGarden(), 'wall')), buildSite(demoGarden(), 'wall')).value.members.length // 23
 */
export function familyOf(key: string): Family {
  const found = byKey.get(key);
  if (!found) throw new Error(`No family "${key}"`);
  return found;
}
