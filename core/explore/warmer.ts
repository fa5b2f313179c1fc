/** What would keep a cover warmer: each change tried on the design itself, run through the coldest clear night. */
import { airOf, climatePlace } from '../air';
import { MS_PER_HOUR } from '../base/days';
import type { Answers } from '../cover/answers/parameter';
import { familyOf } from '../cover/families/registry';
import { notableDays } from '../judge/weather/days';
import { type Weather, weatherSpan } from '../judge/weather/weather';
import type { Assessment } from '../assessment';
import { reassess } from '../plan';
import { pricedBeside, whatIf } from './whatIf';

/** One change, and what it does on that night. */
export interface WarmerChange {
  readonly question: string;
  readonly label: string;
  /** Degrees milder at the coldest, C; and what it costs, by the quick cutting rule. */
  readonly gainC: number;
  readonly cost: number;
  /** Part of the light that is lost by it. */
  readonly lightLost: number;
  readonly answers: Answers;
}

/** Questions whose options keep warmth in. */
const ASKED = ['inner', 'layers', 'extra', 'glazing'];
/** So many days before the night, so that what stores warmth has some. */
const DAYS_BEFORE = 6;
/** Less than this nobody would notice, C. */
const LEAST_C = 0.2;

/** The days about the coldest clear night of a weather. */
export function coldSpell(o: Assessment, weather: Weather): Weather {
  const { utcHours } = climatePlace(o.garden, weather.startMs);
  const [night] = notableDays(weather, utcHours);
  if (!night) return weather;
  const at = Math.round((Date.parse(`${night.date}T12:00:00Z`) - weather.startMs) / MS_PER_HOUR - utcHours);
  const from = Math.max(0, at - 24 * DAYS_BEFORE);
  return weatherSpan(weather, from, 24 * (DAYS_BEFORE + 1));
}

const lowOf = (o: Assessment, spell: Weather): number =>
  airOf(o, spell)
    .days.slice(-2)
    .reduce((low, d) => Math.min(low, d.lowC), Infinity);

/**
 * Every single change that makes the coldest clear night milder, the cheapest degree first.
 * @param weather a winter at least, so that there is such a night
 */
export function warmerBy(
  o: Assessment,
  weather: Weather,
): { readonly lowC: number; readonly date: string; readonly changes: readonly WarmerChange[] } {
  const spell = coldSpell(o, weather);
  const lowC = lowOf(o, spell);
  const family = familyOf(o.cover.family);
  const light = o.air.light;
  const redo = reassess(o);
  const tried = family
    .questions(o.cover.answers, o)
    .flatMap((q) =>
      q.kind === 'choice' && ASKED.includes(q.id)
        ? q.options.filter((x) => x.value !== q.value).map((x) => ({ q, x }))
        : [],
    )
    .flatMap(({ q, x }) => {
      const outline = whatIf(family.answer(o.cover.answers, q.id, x.value, o), redo);
      const gainC = outline.ok ? lowOf(outline.value, spell) - lowC : 0;
      return outline.ok && gainC >= LEAST_C
        ? [{ question: q.label, label: x.label, gainC, outline: outline.value }]
        : [];
    });
  const changes = pricedBeside(o, tried)
    .map(({ outline, ...change }): WarmerChange => ({
      ...change,
      lightLost: 1 - outline.air.light / light,
      answers: outline.cover.answers,
    }))
    .sort((a, b) => a.cost / a.gainC - b.cost / b.gainC);
  return { lowC, date: notableDays(spell, climatePlace(o.garden, spell.startMs).utcHours)[0]?.date ?? '', changes };
}
