/** The design search against designs that it never saw: drawn by answering questions at random, those that do all that is asked, of every kind. */
import type { Assessment } from '../../core/assessment';
import { chance } from '../../core/base/noise';
import { FAMILIES } from '../../core/cover/families';
import type { Family } from '../../core/cover/families/registry';
import { createEvaluator, coverKey, meets } from '../../core/explore/brief/evaluator';
import { briefContext, searchWholeBrief } from '../../core/explore/brief/find';
import { startingCover } from '../../core/explore/firstDesigns';
import { demoGarden } from '../../core/garden/demo';
import type { Cover } from '../../core/garden/garden';
import { type Brief, NOTHING_SAID } from '../../core/site/brief';
import { type Tally, fails, tally, took } from './trial';

const BED = 'long';
/** Answers given anew at once, at the most. */
const MOST_CHANGES = 4;
/** The search proves nothing: so much dearer than what chance finds beside it is let through. */
const MOST_DEARER = 0.1;
/** Briefs of a gardener in the demo's village. */
const BRIEFS: readonly Brief[] = [
  { ...NOTHING_SAID, crops: ['spinach'] },
  { ...NOTHING_SAID, crops: ['spinach'], wetSnowMm: 150, hours: 25 },
];

/** One answer of a cover given anew at random. */
function answeredAnew(cover: Cover, family: Family, o: Assessment, draw: () => number): Cover | undefined {
  const questions = family.questions(cover.answers, o).filter((q) => q.id !== 'crop' && q.id !== 'people');
  const q = questions[Math.floor(draw() * questions.length)];
  if (!q) return undefined;
  const value =
    q.kind === 'choice'
      ? q.options[Math.floor(draw() * q.options.length)]?.value
      : q.kind === 'count'
        ? Math.max(0, Math.round(q.value * (0.5 + draw())))
        : q.valueMm * (0.6 + 0.8 * draw());
  if (value === undefined) return undefined;
  const answers = family.answer(cover.answers, q.id, value, o);
  return answers.ok ? ({ ...cover, answers: answers.value } as Cover) : undefined;
}

/**
 * Searches a brief kind by kind, and changes up to four answers at once, at random, of what was found and of the kind's own start.
 * @param each designs of a kind that meet the brief and are warned of no more
 */
export function tryBriefs(seed: number, each: number): Tally {
  const t = tally('the search against random designs of a kind');
  const garden = demoGarden();
  for (const brief of BRIEFS)
    for (const family of FAMILIES) {
      const asked = { ...brief, kinds: [family.key] };
      const context = briefContext(garden, BED, asked);
      const began = performance.now();
      const found = searchWholeBrief(garden, BED, asked, { seed: 7 }).kinds[0]?.best;
      took(t, family.key, performance.now() - began, 10_000, asked);
      const evaluator = createEvaluator(context.garden, brief, context.wishes);
      let n = 0;
      const draw = (): number => chance(seed, 0, n++);
      const starts = [found?.cover, startingCover(garden, BED, family.key, 'r', family.name, 'spinach')].filter(
        (c) => c !== undefined,
      );
      let met = 0;
      let cheapest: { price: number; cover: Cover } | undefined;
      const seen = new Set<string>();
      for (let step = 0; starts.length > 0 && met < each && step < 3 * each; step++) {
        let cover: Cover | undefined = starts[step % starts.length];
        for (let change = Math.floor(draw() * MOST_CHANGES); cover && change >= 0; change--) {
          const o = evaluator.outlineOf(cover);
          cover = o && answeredAnew(cover, family, o, draw);
        }
        if (!cover || seen.has(coverKey(cover))) continue;
        seen.add(coverKey(cover));
        const weighed = evaluator.weigh(cover);
        if (!weighed || !meets(weighed) || weighed.warnings > (found?.weighed.warnings ?? 0)) continue;
        met++;
        if (!cheapest || weighed.price < cheapest.price) cheapest = { price: weighed.price, cover };
      }
      t.tried++;
      const price = found?.weighed.price ?? Infinity;
      if (cheapest && price > cheapest.price * (1 + MOST_DEARER))
        fails(t, `${family.key}: ${price} where ${cheapest.price} does it`, [
          brief,
          found?.cover.answers,
          cheapest.cover.answers,
        ]);
      else t.through++;
    }
  return t;
}
