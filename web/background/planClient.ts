import type { Fix } from '../../core/explore/fixes';
import { type Remote, proxy } from 'comlink';
import { changesBetween } from '../../core/garden/difference';
import type { Garden } from '../../core/garden/garden';
import type { LoadedHoop, Loading } from '../../core/judge/strength/loaded';
import type { OptionCost } from '../../core/explore/options';
import type { Result } from '../../core/base/result';
import type { Weather } from '../../core/judge/weather/weather';
import type { ShownClimate } from '../../core/show/dayCurve';
import type { warmerBy } from '../../core/explore/warmer';
import type { CalibrationFit, Reading } from '../../core/judge/climate/fit';
import type { Tonight } from '../../core/judge/season/tonight';
import type { Brushing, Winters } from '../../core/judge/season/rehearsal';
import type { Decision } from '../../core/judge/season/trainer';
import type { Played } from '../../core/explore/rehearse';
import type { MergeProposal } from '../../core/explore/together';
import type { Rival } from '../../core/explore/versions';
import { remoteWork } from './remote';
import type { CoverSeason, Evenings, OnBest, PlanService, PlanWork, WorkerView, ShownVersion } from './plan.worker';

/** The garden that the worker has, and the weather. */
let sent: Garden | undefined;
let skySent: Weather | undefined;

const { ask, stop } = remoteWork<PlanService>(
  () => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }),
  () => {
    sent = undefined;
    skySent = undefined;
  },
);

/** Ends all work; the next call starts afresh. */
export const stopWork = (): void => stop();

/** Asks about a garden: what the worker does not have of it goes ahead of the question. */
function askOf<T>(garden: Garden, of: (service: Remote<PlanService>, alive: () => void) => Promise<T>): Promise<T> {
  return ask((s, alive) => {
    const before = sent;
    sent = garden;
    const told = before === garden ? undefined : before ? s.change(changesBetween(before, garden)) : s.open(garden);
    // Messages arrive in order: the question need not wait for the answer to what goes ahead of it.
    return Promise.all([of(s, alive), told]).then(([answer]) => answer);
  });
}

/** Hears how far it is, which is a sign of life too. */
function heard<T>(onBest: OnBest<T>, alive: () => void): OnBest<T> {
  return (best) => {
    alive();
    onBest(best);
  };
}

/** Works a cover out in the background. */
export function workOut(garden: Garden, coverId: string, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
  return askOf<Result<PlanWork>>(garden, (s, alive) => s.work(coverId, proxy(heard(onBest, alive))));
}

/** Looks for mends in the background. */
export function lookForMends(garden: Garden, coverId: string): Promise<readonly Fix[]> {
  return askOf(garden, (s) => s.mends(coverId));
}

/** Prices the options of a question in the background. */
export function priceOptions(garden: Garden, coverId: string, questionId: string): Promise<readonly OptionCost[]> {
  return askOf(garden, (s) => s.options(coverId, questionId));
}

/** Bends a row of hoops under a load in the background. */
export function bendUnder(
  garden: Garden,
  coverId: string,
  row: number,
  loading: Loading,
): Promise<LoadedHoop | undefined> {
  return askOf(garden, (s) => s.loaded(coverId, row, loading));
}

/** Asks about a garden in a weather: that goes ahead where the worker does not have it. */
function askInWeather<T>(
  garden: Garden,
  weather: Weather,
  of: (service: Remote<PlanService>) => Promise<T>,
): Promise<T> {
  return askOf(garden, (s) => {
    const told = skySent === weather ? undefined : s.sky(weather);
    skySent = weather;
    return Promise.all([of(s), told]).then(([answer]) => answer);
  });
}

/** Runs a cover through weather in the background. */
export function climateIn(
  garden: Garden,
  weather: Weather,
  coverId: string,
  date: string | undefined,
): Promise<Result<ShownClimate>> {
  return askInWeather(garden, weather, (s) => s.climate(coverId, date) as Promise<Result<ShownClimate>>);
}

/** Looks for what would keep a cover warmer, in the background. */
export function lookForWarmth(garden: Garden, weather: Weather, coverId: string): Promise<Result<WarmerFound>> {
  return askInWeather(garden, weather, (s) => s.warmer(coverId) as Promise<Result<WarmerFound>>);
}
/** Asks for the word of the next day and night, in the background. */
export function askTonight(
  garden: Garden,
  coverIds: readonly string[],
  weather: Weather,
  now: number,
): Promise<readonly (Tonight | undefined)[]> {
  return askOf(garden, (s) => s.tonight(coverIds, weather, now) as Promise<readonly (Tonight | undefined)[]>);
}

/** Lays the calendars of covers out in the background. */
export function seasonsIn(garden: Garden, coverIds: readonly string[], from: string): Promise<readonly CoverSeason[]> {
  return askOf(garden, (s) => s.seasons(coverIds, from) as Promise<readonly CoverSeason[]>);
}

/** Plays a winter on a cover in the background. */
export function playIn(
  garden: Garden,
  coverId: string,
  year: number,
  seed: string,
  brushing: Brushing,
): Promise<Result<Played>> {
  return askOf(garden, (s) => s.winter(coverId, year, seed, brushing) as Promise<Result<Played>>);
}

/** Plays the evenings that were decided, in the background. */
export function eveningsIn(
  garden: Garden,
  coverId: string,
  year: number,
  seed: string,
  decisions: readonly Decision[],
): Promise<Result<Evenings>> {
  return askOf(garden, (s) => s.evenings(coverId, year, seed, decisions) as Promise<Result<Evenings>>);
}

/** Plays many winters on a cover in the background. */
export function playManyIn(
  garden: Garden,
  coverId: string,
  year: number,
  count: number,
  brushing: Brushing,
  onBest: OnBest<Winters>,
): Promise<Result<Winters>> {
  return askOf<Result<Winters>>(
    garden,
    (s, alive) => s.winters(coverId, year, count, brushing, proxy(heard(onBest, alive))) as Promise<Result<Winters>>,
  );
}

/** Fits the readings of a cover in the background. */
export function fitIn(
  garden: Garden,
  weather: Weather,
  coverId: string,
  readings: readonly Reading[],
): Promise<Result<CalibrationFit | undefined>> {
  return askInWeather(garden, weather, (s) => s.fit(coverId, readings) as Promise<Result<CalibrationFit | undefined>>);
}
export type WarmerFound = ReturnType<typeof warmerBy>;

/** Compares every kind of cover on a bed in the background. */
export function compareKinds(
  garden: Garden,
  bedId: string,
  cropKey: string,
  onBest: OnBest<readonly WorkerView[]>,
): Promise<readonly WorkerView[]> {
  let come: readonly WorkerView[] = [];
  return askOf<readonly WorkerView[]>(garden, (s, alive) =>
    s.compare(
      bedId,
      cropKey,
      proxy((one, of) => {
        alive();
        come = [...come, one];
        onBest({ solved: come.length, sections: of, work: come });
      }),
    ),
  );
}

/** Cuts and buys several covers as one in the background. */
export function planAllTogether(
  garden: Garden,
  ids: readonly string[],
  onBest: OnBest<MergeProposal>,
): Promise<Result<MergeProposal>> {
  return askOf<Result<MergeProposal>>(garden, (s, alive) => s.together(ids, proxy(heard(onBest, alive))));
}

/** Works versions of a cover out in the background. */
export function workOutVersions(
  garden: Garden,
  coverId: string,
  rivals: readonly Rival[],
): Promise<readonly ShownVersion[]> {
  return askOf(garden, (s) => s.versions(coverId, rivals));
}

/** Starts the worker before it is needed. */
export function warmUp(): void {
  // A call that needs it says what is wrong with it.
  ask(() => Promise.resolve()).catch(() => undefined);
}
