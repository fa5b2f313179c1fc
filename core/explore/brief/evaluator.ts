/** A design as the search sees it: a cover of a kind with its answers, weighed against wishes; and what differs from it by one change. */
import { MM_PER_INCH } from '../../base/length';
import type { Score } from '../../base/search';
import { familyOf } from '../../cover/families/registry';
import { quickPrice } from '../../cut';
import type { Cover, Garden } from '../../garden/garden';
import { failingChecks } from '../fixSpace';
import type { Assessment } from '../../assessment';
import { type CoverLayout, layoutCover } from '../../layout';
import { assess, assessCover } from '../../plan';
import type { Brief } from '../../site/brief';
import { type Merits, meritsOf } from '../merits';
import { doesFor } from './abilities';
import { type Wish, cropsOf } from './wishes';

/** A design weighed. Plain data: thousands of them are kept. */
export interface ScoredDesign extends Score {
  readonly figures: Merits;
  /** What it misses, by wish. */
  readonly misses: Readonly<Record<string, number>>;
  /** Checks that are tight, by id. */
  readonly tight: readonly string[];
}

/** Whether it does all that is wished, at no more than the price that is. */
export const meets = ({ misses }: Pick<ScoredDesign, 'misses'>): boolean => Object.keys(misses).length === 0;

/**
 * What a search goes by: all that is missed but the price. A limit on the price leads no search another way, it only rules out what is
 * dearer: so a higher one never brings a dearer design.
 */
const missOfAll = (misses: ScoredDesign['misses']): number =>
  Object.entries(misses).reduce((sum, [id, miss]) => (id === 'price' ? sum : sum + miss), 0);

/** What can be asked and is not a matter of search: said by the brief, or of no weight in it. */
const NOT_SEARCHED = new Set(['crop', 'people', 'hung']);
/** Counts are tried so many to either side; of many, half of them fewer or more before that. */
const COUNT_STEPS = [-2, 2, -1, 1] as const;
const MANY = 6;
/** Heights and lengths are tried so many steps to either side. */
const STEPS = [-6, -3, -1, 1, 3, 6] as const;
const stepMm = ({ garden }: Assessment): number => (garden.units.stock === 'metric' ? 25 : MM_PER_INCH);

/** The merits of a design for the crops of a brief: the tallest and the tenderest of them. */
export function meritsFor(o: Assessment, brief: Brief, price: number): Merits {
  const own = o.assembly.crop.crop;
  const merits = meritsOf(o, price);
  const crops = cropsOf(brief, o.site.catalog);
  if (crops.length === 0) return merits;
  return {
    ...merits,
    coldestC: merits.coldestC + Math.max(...crops.map((c) => c.killingC)) - own.killingC,
    clearanceMm: merits.clearanceMm + own.heightMm - Math.max(...crops.map((c) => c.heightMm)),
  };
}

/** Weighs an outline against wishes; nothing where it cannot be cut from what is sold. */
export function scoreDesign(
  o: Assessment,
  wishes: readonly Wish[],
  brief: Brief,
  price = quickPrice(o),
): ScoredDesign | undefined {
  if (!Number.isFinite(price)) return undefined;
  const figures = meritsFor(o, brief, price);
  const misses = Object.fromEntries(
    wishes.flatMap((w) => [[w.id, w.miss(o, figures)] as const]).filter(([, m]) => m > 0),
  );
  const tight = o
    .judged()
    .checks.filter((c) => c.verdict === 'tight')
    .map((c) => c.id);
  return { figures, misses, violation: missOfAll(misses), tight, warnings: tight.length, price: figures.price };
}

/** What a design weighs where it misses something else, or nothing, of one wish. */
export function withViolation(w: ScoredDesign, id: string, miss: number): ScoredDesign {
  const others = Object.entries(w.misses).filter(([wish]) => wish !== id);
  const misses = Object.fromEntries(miss > 0 ? [...others, [id, miss]] : others);
  return { ...w, misses, violation: missOfAll(misses) };
}

/** A cover worked out in the garden of its brief, and weighed; nothing where it cannot be built or cut there. */
export function scoreIn(
  garden: Garden,
  cover: Cover,
  wishes: readonly Wish[],
  brief: Brief,
): { readonly o: Assessment; readonly w: ScoredDesign } | undefined {
  const o = assessCover(garden, cover);
  const w = o.ok ? scoreDesign(o.value, wishes, brief) : undefined;
  return o.ok && w ? { o: o.value, w } : undefined;
}

/** The same answers in an object of their own: what is remembered by it goes with it. */
const fresh = (cover: Cover): Cover => ({ ...cover, answers: { ...cover.answers } }) as Cover;

/** Designs of one brief that were weighed, or only priced, by what they are; nothing for those that cannot be. */
export interface ScoreCache {
  readonly weighed: Map<string, ScoredDesign | undefined>;
  readonly prices: Map<string, number | undefined>;
}
export const emptyScoreCache = (): ScoreCache => ({ weighed: new Map(), prices: new Map() });

/**
 * What works designs of one brief out, keeping no more than the one in hand and what they weighed.
 * @param known what was weighed before, for the same garden and wishes
 */
export function createEvaluator(garden: Garden, brief: Brief, wishes: readonly Wish[], known = emptyScoreCache()) {
  let last: { of: Cover; laid: CoverLayout | undefined; outline?: Assessment } | undefined;
  const laidOf = (cover: Cover): CoverLayout | undefined => {
    if (last?.of !== cover) {
      const laid = layoutCover(garden, fresh(cover));
      last = { of: cover, laid: laid.ok ? laid.value : undefined };
    }
    return last.laid;
  };
  const outlineOf = (cover: Cover): Assessment | undefined => {
    const laid = laidOf(cover);
    if (last && laid && !last.outline) last.outline = assess(laid);
    return last?.outline;
  };
  /** What it costs by the quick cutting rule, before anything is judged; nothing where it cannot be cut from what is sold. */
  const priceOf = (cover: Cover): number | undefined => {
    const key = coverKey(cover);
    if (known.prices.has(key)) return known.prices.get(key);
    const laid = laidOf(cover);
    const price = laid ? quickPrice(laid) : NaN;
    known.prices.set(key, Number.isFinite(price) ? price : undefined);
    return known.prices.get(key);
  };
  return {
    outlineOf,
    priceOf,
    weigh: (cover: Cover): ScoredDesign | undefined => {
      const key = coverKey(cover);
      if (known.weighed.has(key)) return known.weighed.get(key);
      const price = priceOf(cover);
      const o = price === undefined ? undefined : outlineOf(cover);
      const weighed = o && scoreDesign(o, wishes, brief, price);
      known.weighed.set(key, weighed);
      return weighed;
    },
  };
}
export type Evaluator = ReturnType<typeof createEvaluator>;

/** What tells one change of a design from another. */
export function coverDifference(from: Cover, to: Cover): string {
  const [a, b] = [from.answers, to.answers] as Readonly<Record<string, unknown>>[];
  const changed = Object.keys(b ?? {}).filter((key) => JSON.stringify(a?.[key]) !== JSON.stringify(b?.[key]));
  return JSON.stringify([changed.map((key) => [key, b?.[key]]), from.coats === to.coats ? [] : to.coats]);
}

/** What is the same design. */
export const coverKey = ({ family, answers, coats }: Cover): string => `${family} ${JSON.stringify([answers, coats])}`;

/**
 * Designs that differ from one by a single change: an answer of a panel, one or two more or fewer of what is counted, another height,
 * a coat for what its own cover does not do, and whatever its failing checks ask for.
 * @param only questions that may be answered anew; all where none are said
 * @param helpful questions that may mend what the design misses: only those are answered anew then
 */
export function nextDesigns(
  cover: Cover,
  o: Assessment,
  brief: Brief,
  only?: readonly string[],
  helpful?: ReadonlySet<string>,
): readonly Cover[] {
  const family = familyOf(cover.family);
  const { answers } = cover;
  const moves: Cover[] = [];
  const now = JSON.stringify(answers);
  const put = (changed: Cover['answers'] | undefined): void =>
    void (changed && JSON.stringify(changed) !== now && moves.push({ ...cover, answers: changed } as Cover));
  for (const q of family.questions(answers, o)) {
    if (only ? !only.includes(q.id) : NOT_SEARCHED.has(q.id)) continue;
    if (!only && helpful && !helpful.has(q.id)) continue;
    const values: readonly (string | number)[] =
      q.kind === 'choice'
        ? q.options.filter((x) => x.value !== q.value).map((x) => x.value)
        : q.kind === 'count'
          ? countsBeside(Math.round(q.value))
          : STEPS.map((n) => q.valueMm + n * stepMm(o)).filter((mm) => mm >= 0);
    for (const value of values) {
      const changed = family.answer(answers, q.id, value, o);
      if (changed.ok) put(changed.value as Cover['answers']);
    }
  }
  if (only) return moves;
  for (const n of STEPS)
    put(family.change(answers, { kind: 'higher', byMm: n * stepMm(o) }, o) as Cover['answers'] | undefined);
  for (const check of failingChecks(o))
    for (const { change, instead } of check.tries)
      if (change.kind !== 'higher' && !instead) put(family.change(answers, change, o) as Cover['answers'] | undefined);
  return [...moves, ...coated(cover, o, brief)];
}

/** Counts beside one; what is not allowed is refused as an answer. */
const countsBeside = (now: number): readonly number[] => {
  const half = Math.floor(now / 2);
  return [...(now >= MANY ? [-half, half] : []), ...COUNT_STEPS].map((n) => now + n);
};

/** Rows that carry snow side by side, by how they are counted. */
const ROWS = ['hoops', 'frames', 'pairs'];

/** The same with one or two hoops fewer: each then bears more of the snow, so it carries no more. */
export function withFewerHolds(cover: Cover): readonly Cover[] {
  const answers: Readonly<Record<string, unknown>> = cover.answers;
  return ROWS.flatMap((id) => {
    const { [id]: count } = answers;
    return typeof count === 'number'
      ? COUNT_STEPS.filter((n) => n < 0).map((n) => ({ ...cover, answers: { ...answers, [id]: count + n } }) as Cover)
      : [];
  });
}

/** When summer cloth is on. Source: usual weeks of pests and of the highest sun; half a year later in the south. */
const CLOTH_DAYS = { insects: ['05-15', '09-15'], sun: ['06-15', '08-31'] } as const;
const SOUTH_DAYS = { insects: ['11-15', '03-15'], sun: ['12-15', '02-28'] } as const;

/** The same with a coat for a purpose that its own cover does not serve, one design for each cloth that would. */
function coated(cover: Cover, o: Assessment, { purposes }: Brief): readonly Cover[] {
  const [main] = o.assembly.enclosure.skins;
  if (main.cover.rolls.length === 0) return [];
  const days = o.garden.site.latitudeDeg < 0 ? SOUTH_DAYS : CLOTH_DAYS;
  return purposes.flatMap((purpose) => {
    if (purpose !== 'insects' && purpose !== 'sun') return [];
    if (doesFor(main.cover, purpose)) return [];
    const [from, to] = days[purpose];
    return [...o.site.catalog.cover.values()]
      .filter(
        (cloth) => cloth.rolls.length > 0 && doesFor(cloth, purpose) && (purpose === 'sun' || cloth.kind === 'net'),
      )
      .filter((cloth) => !cover.coats.some((c) => c.coverKey === cloth.key))
      .map((cloth): Cover => {
        const others = cover.coats.filter((c) => c.from !== from);
        return { ...cover, coats: [...others, { coverKey: cloth.key, from, to }] };
      });
  });
}
