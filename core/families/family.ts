import type { z } from 'zod';
import type { Assembly } from '../assembly/types';
import type { BuildSite } from '../bed/buildSite';
import type { Phrase } from '../figure';
import type { Result } from '../result';

export interface Option {
  readonly value: string;
  readonly label: string;
  /** The reason of this school, shown where it is chosen. */
  readonly why: string | Phrase;
}

/** What a side panel asks; whatever has a place in a drawing is a dimension instead. */
export type Question = (
  | {
      readonly kind: 'choice';
      readonly id: string;
      readonly label: string;
      readonly value: string;
      readonly options: readonly Option[];
    }
  | {
      readonly kind: 'count';
      readonly id: string;
      readonly label: string;
      readonly value: number;
      readonly min: number;
      readonly max: number;
    }
  | { readonly kind: 'length'; readonly id: string; readonly label: string; readonly valueMm: number }
) & {
  /** Which leaf of the bench asks it; the shape's when not said. */
  readonly leaf?: 'skin';
};

/** A change that would mend a failed check; a family carries out the ones that mean something to it. */
export type Change =
  | { readonly kind: 'hoops'; readonly count: number }
  | { readonly kind: 'pipe'; readonly key: string }
  | { readonly kind: 'ridge'; readonly value: 'tied' | 'posted' }
  | { readonly kind: 'ties'; readonly count: number }
  | { readonly kind: 'rod'; readonly key: string }
  | { readonly kind: 'higher'; readonly byMm: number }
  | { readonly kind: 'roll'; readonly key: string | null }
  /** A stouter board for the bars that carry, or more of them. */
  | { readonly kind: 'bar'; readonly key: string }
  | { readonly kind: 'bars'; readonly count: number }
  /** Any question's answer, where the family asks it. */
  | { readonly kind: 'answer'; readonly id: string; readonly value: string | number };

/**
 * A parametric recipe: from a bed and the gardener's answers to an assembly.
 * Answers are plain data checked by the family's own schema.
 */
export interface Family<A> {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
  readonly schema: z.ZodType<A>;
  readonly defaults: (site: BuildSite) => A;
  /** `built` is what these answers gave, where they gave anything. */
  readonly questions: (answers: A, built: Assembly | undefined) => readonly Question[];
  /** Sets one question's answer. */
  readonly answer: (answers: A, id: string, value: string | number, built: Assembly | undefined) => A;
  /** Sets one typed dimension of the drawing, mm. */
  readonly dimension: (answers: A, id: string, valueMm: number, site: BuildSite) => Result<A>;
  /** The answers with a change made, or undefined when it means nothing here. */
  readonly change: (answers: A, change: Change, built: Assembly) => A | undefined;
  readonly assemble: (answers: A, site: BuildSite) => Result<Assembly>;
}
