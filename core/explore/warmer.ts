/** What would keep a cover warmer: each change tried on the design itself, run through the coldest clear night. */
import { airOf, climatePlace } from '../air';
import { MS_PER_HOUR } from '../base/days';
import type { Answers } from '../cover/answers/parameter';
import { familyOf } from '../cover/families/registry';
import { quickPrice } from '../cut';
import { notableDays } from '../judge/weather/days';
import { type Weather, weatherSpan } from '../judge/weather/weather';
import type { Assessment } from '../assessment';
import { assessCover } from '../plan';

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
  const now = quickPrice(o);
  const family = familyOf(o.cover.family);
  const light = o.air.light;
  const changes = family
    .questions(o.cover.answers, o)
    .flatMap((q) =>
      q.kind === 'choice' && ASKED.includes(q.id)
        ? q.options.filter((x) => x.value !== q.value).map((x) => ({ q, x }))
        : [],
    )
    .flatMap(({ q, x }): readonly WarmerChange[] => {
      const answers = family.answer(o.cover.answers, q.id, x.value, o);
      const tried = answers.ok
        ? assessCover(o.garden, { ...o.cover, answers: answers.value } as Assessment['cover'])
        : answers;
      if (!answers.ok || !tried.ok) return [];
      const gainC = lowOf(tried.value, spell) - lowC;
      const cost = quickPrice(tried.value) - now;
      if (gainC < LEAST_C || !Number.isFinite(cost)) return [];
      return [
        {
          question: q.label,
          label: x.label,
          gainC,
          cost,
          lightLost: 1 - tried.value.air.light / light,
          answers: answers.value,
        },
      ];
    })
    .sort((a, b) => a.cost / a.gainC - b.cost / b.gainC);
  return { lowC, date: notableDays(spell, climatePlace(o.garden, spell.startMs).utcHours)[0]?.date ?? '', changes };
}
