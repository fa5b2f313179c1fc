/** A winter on a cover of a garden, and which one change would have helped it most. */
import type { Phrase } from '../base/figure';
import { climatePlace, coveredBedModel, sheetsInSun, wornOf } from '../air';
import { addDays } from '../base/days';
import { coatOn } from '../judge/season/seasonalCovers';
import type { Answers } from '../cover/answers/parameter';
import { SNOW_DENSITY } from '../judge/strength/snow';
import { type Reliability, logSpread } from '../judge/strength/reliability';
import {
  type Bears,
  type Brushing,
  type RehearsalAsk,
  type Winter,
  type Winters,
  rehearse,
  rehearseMany,
  winterStartMs,
} from '../judge/season/rehearsal';
import { type TrainerAsk, trainerFrom } from '../judge/season/trainer';
import type { SheetLife } from '../judge/season/sheetLife';
import { simulatedWeather } from '../judge/weather/simulated';
import type { SnowStrength } from '../judge/strength/snowStrength';
import type { Assessment } from '../assessment';
import { type WarmerChange, warmerBy } from './warmer';
import { familyOf } from '../cover/families/registry';
import { reassess } from '../plan';
import { pricedBeside } from './whatIf';

/** What bears so much in the middle, as surely as its check tells; where that tells nothing, off by a fifth. */
const bearsOf = (middle: number, sure: Reliability | undefined): Bears => ({
  middle,
  deviation: sure && sure.low > 0 ? logSpread(sure).deviation : 0.2,
});

/** Snow on the level that folds its weakest part that is judged, kg/m2; nothing where none of that can be folded. */
function foldsUnder(o: Assessment): Bears | undefined {
  const weakest = o
    .judged()
    .strengths.filter((s) => Number.isFinite(s.wetSnowMm))
    .reduce<SnowStrength | undefined>((a, s) => (a && a.wetSnowMm <= s.wetSnowMm ? a : s), undefined);
  return weakest && bearsOf((weakest.wetSnowMm / 1000) * SNOW_DENSITY.wet, weakest.sure);
}

/** A cover as a winter meets it: strengths from its checks, air from what it is made of. */
export function rehearsalOf(o: Assessment, year: number, brushing: Brushing): RehearsalAsk {
  const { killingC, hotC, name } = o.assembly.crop.crop;
  const held = o.judged().checks.find((c) => c.id === 'wind')?.sure?.of;
  const place = climatePlace(o.garden, Date.UTC(year, 11, 1));
  return {
    place,
    model: coveredBedModel(o),
    tending: o.cover.tending,
    limits: { killingC, hotC },
    cropName: name,
    snow: foldsUnder(o),
    // The load grows with the square of the gust.
    gust: held && {
      middle: o.asked.gustMPerS * Math.exp(logSpread(held).middle / 2),
      deviation: logSpread(held).deviation / 2,
    },
    brushing,
    bare: (date) => coatOn(o.cover.coats, date)?.coverKey === null,
    options: { worn: wornOf(o), ...(o.cover.taught && { taught: o.cover.taught }) },
  };
}

/** One change, and how the same winter would have gone with it. */
interface Helped {
  readonly label: Phrase;
  readonly cost: number;
  readonly winter: Pick<Winter, 'cover' | 'crop' | 'sums'>;
  /** The changed answers; nothing where it is the tending that changes. */
  readonly answers: Answers | undefined;
  readonly brushing: Brushing | undefined;
}

export interface Played {
  readonly winter: Winter;
  /** What the light of these months took of each sheet that was out. */
  readonly aged: readonly SheetLife[];
  /** The change after which it ends best, the cheapest of them; nothing where none helps or nothing is wrong. */
  readonly helped: Helped | undefined;
}

/** The sheets in the light of a winter, as long as they were on the frame. */
function agedBy(o: Assessment, { days, events }: Winter): readonly SheetLife[] {
  const from = days[0]?.date ?? '';
  const lost = events.find((e) => e.kind === 'folded' || e.kind === 'blown')?.date;
  const to = addDays(lost ?? days[days.length - 1]?.date ?? from, 1);
  return sheetsInSun(o, [[from, to]], to).filter((l) => l.hours > 0);
}

/** How a winter ended, without its hours. */
const endOf = ({ cover, crop, sums }: Winter): Helped['winter'] => ({ cover, crop, sums });

/** How ill a winter went: its end weighs more than all near things. */
const illness = (w: Pick<Winter, 'cover' | 'crop' | 'sums'>): number =>
  (w.cover === undefined ? 0 : 2000) +
  (w.crop === undefined ? 0 : 1000 - 5 * w.sums.livedDays) +
  w.sums.nearNights +
  w.sums.hotHours / 10;

/** Changes that are tried on a winter, of each kind the cheapest few. */
const TRIED = 4;

/** Other designs that a winter is played on: warmer ones where its crop froze or nearly; where the cover fell, what snow and wind ask for. */
export function designsFor(
  o: Assessment,
  winter: Pick<Winter, 'cover' | 'crop' | 'sums'>,
  warmer: () => readonly WarmerChange[],
): readonly Pick<Helped & { readonly answers: Answers }, 'label' | 'answers'>[] {
  const family = familyOf(o.cover.family);
  const cold = winter.crop === 'killed' || winter.sums.nearNights > 0;
  const firm = o
    .judged()
    .checks.filter((c) => c.id === 'snow' || c.id === 'wind')
    .flatMap((c) => c.tries.slice(0, TRIED));
  return [
    ...(cold ? warmer().slice(0, TRIED) : []).map((c) => ({
      label: [`${c.question}: ${c.label.toLowerCase()}`],
      answers: c.answers,
    })),
    ...(winter.cover === undefined ? [] : firm).flatMap(({ label, change }) => {
      const answers = family.change(o.cover.answers, change, o);
      return answers ? [{ label, answers }] : [];
    }),
  ];
}

/**
 * Plays one winter, and the same winter with one thing changed.
 * @param year in which it begins; @param seed which winter
 */
export function playWinter(o: Assessment, year: number, seed: string, brushing: Brushing): Played {
  const ask = rehearsalOf(o, year, brushing);
  const winter = rehearse(ask, year, seed);
  const aged = agedBy(o, winter);
  if (illness(winter) === 0) return { winter, aged, helped: undefined };
  const tried: Helped[] = [];
  if (brushing !== 'at once') {
    const w = rehearse({ ...ask, brushing: 'at once' }, year, seed);
    tried.push({
      label: ['Brushing snow off as soon as it lies'],
      cost: 0,
      winter: endOf(w),
      answers: undefined,
      brushing: 'at once',
    });
  }
  const warmer = (): readonly WarmerChange[] =>
    warmerBy(o, simulatedWeather(ask.place, seed, winterStartMs(ask.place, year), 24 * 120)).changes;
  const redo = reassess(o);
  const designs = designsFor(o, winter, warmer).flatMap(({ label, answers }) => {
    const outline = redo(answers);
    return outline.ok ? [{ label, answers, outline: outline.value }] : [];
  });
  for (const { outline, ...design } of pricedBeside(o, designs)) {
    const w = rehearse(rehearsalOf(outline, year, brushing), year, seed);
    tried.push({ ...design, winter: endOf(w), brushing: undefined });
  }
  return { winter, aged, helped: mostHelped(winter, tried) };
}

/** The change with which a winter ends best, of as good ones the cheapest; nothing where none helps by more than a night. */
export function mostHelped(winter: Helped['winter'], tried: readonly Helped[]): Helped | undefined {
  return tried
    .filter((t) => illness(t.winter) < illness(winter) - 1)
    .sort((a, b) => illness(a.winter) - illness(b.winter) || a.cost - b.cost)[0];
}

/** Many winters on a cover. */
export const playWinters = (
  o: Assessment,
  year: number,
  count: number,
  brushing: Brushing,
  hear?: (done: number) => void,
): Winters => rehearseMany(rehearsalOf(o, year, brushing), year, count, hear);

/** A cover as five evenings in March meet it. */
export function trainerOf(o: Assessment, year: number, seed: string): TrainerAsk {
  const from = trainerFrom(o.garden.site.latitudeDeg, year);
  const { killingC, hotC, name } = o.assembly.crop.crop;
  return {
    place: climatePlace(o.garden, Date.UTC(year, 11, 1)),
    model: wornOf(o)(from),
    limits: { killingC, hotC },
    cropName: name,
    foldsKgPerM2: foldsUnder(o)?.middle,
    from,
    seed,
  };
}
