/** A dimension pulled at in the drawing: how its value follows the hand, and what it is drawn to. */
import { type Phrase, amount, phrase } from '../base/figure';
import { flatten } from '../base/geometry';
import { type Result, ok } from '../base/result';
import type { Answers } from '../cover/answers/parameter';
import type { Assembly, Dimension, Member } from '../cover/assembly/types';
import { familyOf } from '../cover/families/registry';
import type { Cover } from '../garden/garden';
import { type CoverLayout, cachedLayout } from '../layout';

/** A value that a pull is drawn to, and why. */
interface PullSnap {
  readonly valueMm: number;
  readonly said: Phrase;
}

export interface Pull {
  readonly dimension: Dimension;
  /** How much its value grows while its end moves one mm to the right or up. */
  readonly perMm: number;
  readonly snaps: readonly PullSnap[];
}

/** What a design becomes under a pull. */
export interface Pulled {
  readonly answers: Answers;
  readonly valueMm: number;
  /** What it was drawn to; nothing where it was not. */
  readonly said: Phrase;
}

/** Enough to see how a design changes, and too little to change what it is made of, mm. */
const BIT_MM = 2;

type Changed = Result<{ readonly answers: Answers; readonly assembly: Assembly }>;

/** The design with a dimension set, laid out. */
function withDimension(o: CoverLayout, id: string, valueMm: number): Changed {
  const answers = familyOf(o.cover.family).dimension(o.cover.answers, id, valueMm, o);
  if (!answers.ok) return answers;
  // Remembered with the answers: what is drawn next is this.
  const laid = cachedLayout(o.garden, { ...o.cover, answers: answers.value } as Cover);
  return laid.ok ? ok({ answers: answers.value, assembly: laid.value.assembly }) : laid;
}

const along = (d: Dimension): 0 | 1 => (d.side === 'below' || d.side === 'above' ? 0 : 1);
const endOf = (d: Dimension): number => flatten(d.to, d.view)[along(d)];
const find = (a: Assembly, id: string): Dimension | undefined => a.dimensions.find((d) => d.id === id);

/**
 * What is needed to pull at a dimension.
 * @returns undefined where it cannot be pulled: it is not typed, or stands beside what it measures
 */
export function pullOf(o: CoverLayout, id: string): Pull | undefined {
  const dimension = find(o.assembly, id);
  if (!dimension?.typed || dimension.side === 'leader') return undefined;
  const upward =
    flatten(dimension.to, dimension.view)[along(dimension)] >=
    flatten(dimension.from, dimension.view)[along(dimension)];
  const plain = { dimension, perMm: upward ? 1 : -1 };
  for (const by of [BIT_MM, -BIT_MM]) {
    const bit = withDimension(o, id, dimension.valueMm + by);
    const now = bit.ok ? find(bit.value.assembly, id) : undefined;
    if (!bit.ok || !now) continue;
    const [grown, moved] = [now.valueMm - dimension.valueMm, endOf(now) - endOf(dimension)];
    // What goes by whole steps has not moved yet.
    const perMm = Math.abs(moved) > BIT_MM / 10 && Math.abs(grown) > BIT_MM / 10 ? grown / moved : plain.perMm;
    return { dimension, perMm, snaps: snapsOf(o, dimension, bit.value.assembly, grown) };
  }
  return { ...plain, snaps: [] };
}

/** All that a dimension may be drawn to, each once, the reason that says most first. */
function snapsOf(o: CoverLayout, d: Dimension, bit: Assembly, grownMm: number): readonly PullSnap[] {
  const all = [...schoolSnaps(o, d), ...cropSnaps(o, d, bit, grownMm), ...stockSnaps(o, d, bit, grownMm)];
  return all.filter((s, i) => s.valueMm > 0 && all.findIndex((t) => Math.abs(t.valueMm - s.valueMm) < 0.5) === i);
}

/** The schools of a hoop's height: a half circle, a whole pipe, the width of the roll. */
function schoolSnaps(o: CoverLayout, d: Dimension): readonly PullSnap[] {
  if (d.id !== 'height') return [];
  const family = familyOf(o.cover.family);
  const school = family.questions(o.cover.answers, o).find((q) => q.id === 'school');
  if (school?.kind !== 'choice') return [];
  return school.options.flatMap(({ value, label }): PullSnap[] => {
    // What is typed is no place to be drawn to.
    if (value === 'length' || value === 'height') return [];
    const answers = family.answer(o.cover.answers, 'school', value, o);
    const built = answers.ok ? family.assemble(answers.value, o.site) : answers;
    const there = built.ok ? find(built.value, d.id) : undefined;
    return there ? [{ valueMm: there.valueMm, said: [label.toLowerCase()] }] : [];
  });
}

/** How often a snap is looked at again, and how near it must come, mm. */
const LOOKS = 6;
const MET_MM = 0.5;

/**
 * The value of a dimension at which a part of the design misses by nothing, by secants: what follows it is curved.
 * @param per how much the miss grows while the value grows by one mm
 */
function metAt(
  o: CoverLayout,
  d: Dimension,
  per: number,
  missOf: (a: Assembly) => number,
  reach = Infinity,
): number | undefined {
  let [valueMm, miss, slope] = [d.valueMm, missOf(o.assembly), per];
  for (let i = 0; i < LOOKS && Math.abs(miss) > MET_MM; i++) {
    const next = valueMm - miss / slope;
    if (!(Math.abs(next - d.valueMm) <= reach)) return undefined;
    const there = withDimension(o, d.id, next);
    const then = there.ok ? missOf(there.value.assembly) : NaN;
    if (Number.isNaN(then)) return undefined;
    if (then !== miss) slope = (then - miss) / (next - valueMm);
    [valueMm, miss] = [next, then];
  }
  return Math.abs(miss) <= MET_MM ? valueMm : undefined;
}

/** Where the crop just fits under the cover. */
function cropSnaps(o: CoverLayout, d: Dimension, bit: Assembly, grownMm: number): readonly PullSnap[] {
  const per = (bit.crop.clearanceMm - o.assembly.crop.clearanceMm) / grownMm;
  if (Math.abs(per) < 0.05 || d.id === 'rowFromEdge') return [];
  const valueMm = metAt(o, d, per, (a) => a.crop.clearanceMm);
  return valueMm === undefined ? [] : [{ valueMm, said: [`${o.assembly.crop.crop.name} just fits`] }];
}

/** Shares of a bar that pieces are drawn to. */
const SHARES = [
  [1, 'a whole'],
  [2, 'half a'],
  [3, 'a third of a'],
] as const;
/** No farther than this from where it is now, as a part of it. */
const REACH = 0.6;

/** Where a piece that follows the dimension is a whole bar from the shop, half of one or a third. */
function stockSnaps(o: CoverLayout, d: Dimension, bit: Assembly, grownMm: number): readonly PullSnap[] {
  const parts = new Map<string, Member>();
  for (const m of o.assembly.members) if (!parts.has(m.part)) parts.set(m.part, m);
  return [...parts.values()].flatMap((m) => {
    const then = bit.members.find((x) => x.tag === m.tag);
    const per = then ? (then.lengthMm - m.lengthMm) / grownMm : 0;
    if (Math.abs(per) < 0.2) return [];
    return m.section.stock.flatMap((bar) =>
      SHARES.flatMap(([n, words]): PullSnap[] => {
        // Cut pieces of one bar lose the saw's width between them.
        const pieceMm = (bar.lengthMm - (n - 1) * m.section.tool.kerfMm) / n;
        const missOf = (a: Assembly): number => (a.members.find((x) => x.tag === m.tag)?.lengthMm ?? NaN) - pieceMm;
        const valueMm = metAt(o, d, per, missOf, REACH * d.valueMm);
        if (valueMm === undefined) return [];
        return [
          {
            valueMm,
            said: phrase`${m.part.toLowerCase()} ${words} ${amount(bar.lengthMm, 'length')} ${m.section.name}`,
          },
        ];
      }),
    );
  });
}

/**
 * The design with its dimension pulled.
 * @param wayMm how far its end was moved, to the right or up
 * @param stepMm otherwise it goes by such steps
 * @param withinMm how near it must be to a snap to be drawn to it; 0: it is drawn to none
 * @returns what it becomes, or the limit that it has met
 */
export function pulled(o: CoverLayout, pull: Pull, wayMm: number, stepMm: number, withinMm: number): Result<Pulled> {
  const { dimension: d, perMm, snaps } = pull;
  const wanted = Math.max(0, d.valueMm + wayMm * perMm);
  const near = snaps
    .filter((s) => Math.abs(s.valueMm - wanted) <= withinMm * Math.abs(perMm))
    .sort((a, b) => Math.abs(a.valueMm - wanted) - Math.abs(b.valueMm - wanted))[0];
  const valueMm = near?.valueMm ?? (stepMm > 0 ? Math.round(wanted / stepMm) * stepMm : wanted);
  const changed = withDimension(o, d.id, valueMm);
  if (!changed.ok) return changed;
  const now = find(changed.value.assembly, d.id);
  return ok({ answers: changed.value.answers, valueMm: now?.valueMm ?? valueMm, said: near?.said ?? [] });
}
