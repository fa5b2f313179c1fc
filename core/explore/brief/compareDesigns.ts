/** A design of the gardener's own held against another, wish by wish. */
import { meritPhrase, MERIT_QUANTITY, type Merits } from '../merits';
import type { Phrase } from '../../base/figure';
import type { Assessment } from '../../assessment';
import type { Cover, Garden } from '../../garden/garden';
import type { Brief } from '../../site/brief';
import { type ScoredDesign, scoreIn } from './evaluator';
import { briefContext } from './find';
import { type Wish } from './wishes';

/** One wish, and how both do by it. */
interface DesignComparison {
  readonly id: string;
  readonly wish: Phrase;
  readonly own: { readonly meets: boolean; readonly said: Phrase };
  readonly other: { readonly meets: boolean; readonly said: Phrase };
}

/** Both designs, and each wish. */
export interface ComparisonAnswer {
  readonly own: ScoredDesign;
  readonly other: ScoredDesign;
  readonly wishes: readonly DesignComparison[];
}

/** What a design does by a wish: its figure where there is one, else the checks that fail, else yes or no. */
function said(wish: Wish, o: Assessment, figures: Merits, meets: boolean): Phrase {
  if (wish.bound) {
    const value = figures[wish.bound.figure];
    return meritPhrase(value, MERIT_QUANTITY[wish.bound.figure]);
  }
  const [first] = o.judged().checks.filter((c) => c.verdict === 'fails');
  if (wish.id === 'stands' && !meets && first) return first.text;
  return [meets ? 'yes' : 'no'];
}

/**
 * Holds a design against another on the same bed.
 * @returns undefined where one of them cannot be built or cut there
 */
export function compareDesigns(
  garden: Garden,
  bedId: string,
  brief: Brief,
  own: Cover,
  other: Cover,
): ComparisonAnswer | undefined {
  const ask = briefContext(garden, bedId, brief);
  const [a, b] = [own, other].map((cover) => scoreIn(ask.garden, { ...cover, bedId }, ask.wishes, brief));
  if (!a || !b) return undefined;
  return {
    own: a.w,
    other: b.w,
    wishes: ask.wishes.map((wish): DesignComparison => {
      const side = ({ o, w }: NonNullable<typeof a>) => {
        const meets = w.misses[wish.id] === undefined;
        return { meets, said: said(wish, o, w.figures, meets) };
      };
      return { id: wish.id, wish: wish.thing, own: side(a), other: side(b) };
    }),
  };
}
