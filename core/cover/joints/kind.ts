import type { Phrase } from '../../base/figure';
import type { ToolKey } from '../../catalog/handTools';
import type { Contact, Joint } from '../assembly/types';

/** A number of one counted thing. */
export interface Takes {
  readonly itemKey: string;
  readonly count: number;
}

/** One kind of joint: all that is to be known of it, in one place. */
export interface JointKind {
  /** What one is called, and many. */
  readonly name: readonly [one: string, many: string];
  /** What so many of them take of the shopping list. */
  readonly takes: (joint: Joint, count: number) => readonly Takes[];
  readonly tools: readonly ToolKey[];
  /** Minutes that one takes, by one person without hurry. */
  readonly minutes: number;
  /** How it is drawn: a point, a line along what it holds, nothing where it only stands there. */
  readonly symbol: 'point' | 'line' | 'none';
  /** What it keeps the film from, and whether it does. */
  readonly guards?: (joint: Joint) => Contact;
  /** Its entry in the table of strengths, how many of those figures one is worth, and whether the soil is what holds. */
  readonly holds?: { readonly key: string; readonly worth: (joint: Joint) => number; readonly inSoil?: true };
  /** It keeps a sheet from lifting: at its places, or over its whole width where it is laced across. */
  readonly divides?: 'there' | 'across';
  readonly caution?: string;
  /** Small knowledge, said at the step that makes it. */
  readonly tip?: Phrase;
}

/** How many there are. */
export const countOfJoint = (j: Joint): number => j.count ?? j.places.length;

/** So many of one thing for each. */
export const each =
  (itemKey: string, perOne = 1) =>
  (_: Joint, count: number): readonly Takes[] => [{ itemKey, count: perOne * count }];

/** One is worth one figure of the table. */
export const holdsAs = (key: string): NonNullable<JointKind['holds']> => ({ key, worth: () => 1 });

/** A number that the joint says beside. */
export const said = (j: Joint, name: string, otherwise: number): number => Number(j.with?.[name] ?? otherwise);
