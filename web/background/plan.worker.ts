import { type WithThumbnail, withThumbnail } from '../../core/show/thumbnail';
import { type Fix } from '../../core/explore/fixes';
import { type CutProgress, cutAndShop } from '../../core/cut';
import { expose } from 'comlink';
import { withSolver } from './solver';
import { FAMILY_KEYS } from '../../core/cover/families';
import { type Candidate, type Standing, candidates } from '../../core/explore/compare';
import type { Cover, Garden } from '../../core/garden/garden';
import { type LoadedHoop, type Loading, loadHoop } from '../../core/judge/strength/loaded';
import type { Assessment } from '../../core/assessment';
import { memoizeByIdentity } from '../../core/base/memoize';
import { evaluate } from '../../core/evaluate';
import { type GardenChange, withChanges } from '../../core/garden/difference';
import { type Plan, fixesFor } from '../../core/plan';
import { type OptionCost, optionCosts } from '../../core/explore/options';
import { type Result, ok } from '../../core/base/result';
import { airOf, fitOfCover, seasonOfCover, tonightOfCover } from '../../core/air';
import type { Task } from '../../core/judge/season/calendar';
import type { CalibrationFit, Reading } from '../../core/judge/climate/fit';
import type { Tonight } from '../../core/judge/season/tonight';
import type { Climate } from '../../core/judge/climate/climate';
import type { Weather } from '../../core/judge/weather/weather';
import { type ShownClimate, shownClimate } from '../../core/show/dayCurve';
import { warmerBy } from '../../core/explore/warmer';
import type { Brushing, Winters } from '../../core/judge/season/rehearsal';
import {
  type Decision,
  EVENINGS,
  type Foreseen,
  type Outcome,
  foreseen,
  trained,
} from '../../core/judge/season/trainer';
import { type Played, playWinter, playWinters, trainerOf } from '../../core/explore/rehearse';
import { type MergeProposal, planTogether } from '../../core/explore/together';
import { type Rival, type Version, versionsOf } from '../../core/explore/versions';

/** Kinds and versions as the screen shows them. */
export type ShownKind = WithThumbnail<Standing>;
export type WorkerView = ShownKind | Exclude<Candidate, Standing>;
export type ShownVersion = WithThumbnail<Version>;

/** What the screen needs beyond the outline that it works out itself. */
export type PlanWork = Pick<Plan, 'cuts' | 'shopping'>;

/** What there is while work goes on: how far it is, and the best so far, to be kept if it is stopped. */
export interface BestSoFar<T> {
  readonly solved: number;
  readonly sections: number;
  readonly work: T | undefined;
}
export type OnBest<T> = (best: BestSoFar<T>) => void;

/** Quicker work than this is not told of, ms; and sections with fewer pieces are quick. */
const TELL_MS = 150;
const MANY_PIECES = 100;

function whenSlow<T>(onBest: OnBest<T>): (p: CutProgress, best: () => T | undefined) => void {
  const began = performance.now();
  return ({ solved, sections, nextPieces }, best) => {
    if (performance.now() - began > TELL_MS || nextPieces > MANY_PIECES) onBest({ solved, sections, work: best() });
  };
}

/** The garden as the screen has it, kept here so that an edit sends only what it changed. */
let kept: Garden | undefined;
const garden = (): Garden => {
  if (!kept) throw new Error('no garden was sent');
  return kept;
};
const coverOf = (id: string): Cover => {
  const found = garden().covers.find((c) => c.id === id);
  if (!found) throw new Error(`no cover ${id}`);
  return found;
};

/** All that cuts, prices and mends are made of, beside the outline. */
const pricedBy = (o: Assessment): readonly unknown[] => {
  const { prices, shelf, shelfFlat, owned, units } = o.garden;
  return [o.judged().checks, o.done, prices, shelf, shelfFlat, owned, units.currency];
};
/** The weather as the screen has it. */
let air: Weather | undefined;
const weatherNow = (): Weather => {
  if (!air) throw new Error('no weather was sent');
  return air;
};
const climates = memoizeByIdentity<Climate>();
const works = memoizeByIdentity<Result<PlanWork>>();
const mends = memoizeByIdentity<readonly Fix[]>();

/** The calendar of a cover, and what it is of. */
export interface CoverSeason {
  readonly coverId: string;
  readonly wears: string;
  readonly tasks: readonly Task[];
}

/** Evenings as far as they are decided. */
export interface Evenings {
  readonly next: Foreseen | undefined;
  readonly outcomes: readonly Outcome[];
}

const service = {
  /** Takes a garden to work on. */
  open(whole: Garden): void {
    kept = whole;
  },
  /** Takes what is new in the garden. */
  change(changes: readonly GardenChange[]): void {
    kept = withChanges(garden(), changes);
  },
  /** Cuts and shopping list of one cover. */
  async work(coverId: string, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
    const outlined = evaluate(garden(), coverOf(coverId));
    const tell = whenSlow(onBest);
    if (!outlined.ok) return outlined;
    const o = outlined.value;
    return withSolver((solver) => works(o.assembly, pricedBy(o), () => cutAndShop(o, solver, (p) => tell(p, p.best))));
  },
  /** Every kind of cover on a bed, drawn and measured. */
  compare(bedId: string, cropKey: string, onEach: (one: WorkerView, of: number) => void): readonly WorkerView[] {
    const shown: WorkerView[] = [];
    candidates(garden(), bedId, cropKey, (c) => {
      const one = 'outline' in c ? withThumbnail(c) : c;
      shown.push(one);
      onEach(one, FAMILY_KEYS.length);
    });
    return shown;
  },
  /** Versions of one cover, worked out. */
  async versions(coverId: string, rivals: readonly Rival[]): Promise<readonly ShownVersion[]> {
    const [g, cover] = [garden(), coverOf(coverId)];
    return withSolver((solver) => versionsOf(g, cover, solver, rivals).map(withThumbnail));
  },
  /** Several covers cut and bought as one. */
  async together(ids: readonly string[], onBest: OnBest<MergeProposal>): Promise<Result<MergeProposal>> {
    const g = garden();
    const covers = g.covers.filter((c) => ids.includes(c.id));
    const tell = whenSlow(onBest);
    return withSolver((solver) => planTogether(g, covers, solver, (p, best) => tell(p, best)));
  },
  /** Changes that would mend what fails, priced. */
  async mends(coverId: string): Promise<readonly Fix[]> {
    const outlined = evaluate(garden(), coverOf(coverId));
    if (!outlined.ok) return [];
    const o = outlined.value;
    return withSolver((solver) => mends(o.assembly, pricedBy(o), () => fixesFor(o, solver)));
  },
  /** One row of hoops of a cover, bent by a load. */
  loaded(coverId: string, row: number, loading: Loading): LoadedHoop | undefined {
    const outlined = evaluate(garden(), coverOf(coverId));
    const arch = outlined.ok ? outlined.value.assembly.arches[row] : undefined;
    return outlined.ok && arch ? loadHoop(arch, outlined.value.snow, loading) : undefined;
  },
  /** Takes the weather to work with. */
  sky(weather: Weather): void {
    air = weather;
  },
  /** A cover in that weather: every day, and the hours about one of them. */
  climate(coverId: string, date: string | undefined): Result<ShownClimate> {
    const outlined = evaluate(garden(), coverOf(coverId));
    if (!outlined.ok) return outlined;
    const o = outlined.value;
    const weather = weatherNow();
    const climate = climates(o.assembly, [weather, o.cover.tending, o.cover.taught, garden().landmarks], () =>
      airOf(o, weather),
    );
    return ok(shownClimate(o, climate, weather, date));
  },
  /** The word for the next day and night of covers; nothing of one that cannot be built. */
  tonight(coverIds: readonly string[], weather: Weather, now: number): readonly (Tonight | undefined)[] {
    return coverIds.map((id) => {
      const outlined = evaluate(garden(), coverOf(id));
      return outlined.ok ? tonightOfCover(outlined.value, weather, now) : undefined;
    });
  },
  /** Calendars of covers for twelve months from a date; nothing of one that cannot be built. */
  seasons(coverIds: readonly string[], from: string): readonly CoverSeason[] {
    return coverIds.flatMap((coverId): readonly CoverSeason[] => {
      const outlined = evaluate(garden(), coverOf(coverId));
      if (!outlined.ok) return [];
      const { key } = outlined.value.assembly.enclosure.skins[0].cover;
      return [{ coverId, wears: key, tasks: seasonOfCover(outlined.value, from) }];
    });
  },
  /** One winter played on a cover, and what would have helped. */
  winter(coverId: string, year: number, seed: string, brushing: Brushing): Result<Played> {
    const outlined = evaluate(garden(), coverOf(coverId));
    return outlined.ok ? ok(playWinter(outlined.value, year, seed, brushing)) : outlined;
  },
  /** Five evenings: what is foreseen for the next, and how those went that were decided. */
  evenings(coverId: string, year: number, seed: string, decisions: readonly Decision[]): Result<Evenings> {
    const outlined = evaluate(garden(), coverOf(coverId));
    if (!outlined.ok) return outlined;
    const ask = trainerOf(outlined.value, year, seed);
    const next = decisions.length < EVENINGS ? foreseen(ask, decisions.length) : undefined;
    return ok({ next, outcomes: trained(ask, decisions) });
  },
  /** Many winters at once. */
  async winters(
    coverId: string,
    year: number,
    count: number,
    brushing: Brushing,
    onBest: OnBest<Winters>,
  ): Promise<Result<Winters>> {
    const outlined = evaluate(garden(), coverOf(coverId));
    await Promise.resolve();
    return outlined.ok
      ? ok(
          playWinters(outlined.value, year, count, brushing, (done) =>
            onBest({ solved: done, sections: count, work: undefined }),
          ),
        )
      : outlined;
  },
  /** What the readings of a cover teach of it. */
  fit(coverId: string, readings: readonly Reading[]): Result<CalibrationFit | undefined> {
    const outlined = evaluate(garden(), coverOf(coverId));
    return outlined.ok ? ok(fitOfCover(outlined.value, weatherNow(), readings)) : outlined;
  },
  /** What would keep it warmer through the coldest clear night. */
  warmer(coverId: string): Result<ReturnType<typeof warmerBy>> {
    const outlined = evaluate(garden(), coverOf(coverId));
    return outlined.ok ? ok(warmerBy(outlined.value, weatherNow())) : outlined;
  },
  /** What each option of a question would cost. */
  options(coverId: string, questionId: string): readonly OptionCost[] {
    const outlined = evaluate(garden(), coverOf(coverId));
    return outlined.ok ? optionCosts(outlined.value, questionId) : [];
  },
};

export type PlanService = typeof service;
expose(service);
