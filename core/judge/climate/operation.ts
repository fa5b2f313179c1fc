/** Who opens and shuts it, and when: the rule that a gardener keeps. */
import * as z from 'zod/mini';
import { between, whole } from '../../base/schema';

const hour = between(0, 24);
const span = z.strictObject({ from: hour, to: hour });

/** A rule of tending. Hours by the clock of the place. */
export const tendingSchema = z.strictObject({
  /** Opened and shut by hand between these hours; null: never opened. */
  open: z.nullable(span),
  /** Opened only on days that get warmer than this outside, C. */
  fromC: between(-30, 40),
  /** Days of the week on which nobody comes, 0 is Sunday. */
  forgets: z.array(whole(0, 6)).check(z.maxLength(7)),
  /** From evening to morning, where there is a blanket or lights. */
  blanket: span,
  lights: span,
  /** Snow is brushed off in the mornings. */
  brushes: z.boolean(),
});
export type Operation = z.infer<typeof tendingSchema>;

/** Air on any sunny day above about 7 C; shut early enough to keep the warmth. */
export const USUAL_TENDING: Operation = {
  open: { from: 9, to: 15 },
  fromC: 7,
  forgets: [],
  blanket: { from: 16, to: 8 },
  lights: { from: 20, to: 7 },
  brushes: true,
};

/** Whether somebody comes on a day. @param day days since 1970, a Thursday */
export const comes = ({ forgets }: Operation, day: number): boolean => !forgets.includes((((day + 4) % 7) + 7) % 7);

/** Whether an hour of the clock lies in a span; one that ends before it begins goes over midnight. */
export const withinHours = ({ from, to }: { readonly from: number; readonly to: number }, at: number): boolean =>
  from <= to ? at >= from && at < to : at >= from || at < to;
