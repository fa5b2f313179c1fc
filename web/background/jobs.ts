/** What is worked out in the background, by kind. Each job is given the garden as it was when it was asked for. */
import { type WithThumbnail, withThumbnail } from '../../core/show/thumbnail';
import { type Fix } from '../../core/explore/fixes';
import { type CutProgress, cutAndShop } from '../../core/cut';
import { withSolver } from './solver';
import { FAMILY_KEYS } from '../../core/cover/families';
import { type Candidate, type Standing, candidates } from '../../core/explore/compare';
import type { Cover } from '../../core/garden/garden';
import { type LoadedHoop, type Loading, loadHoop } from '../../core/judge/strength/loaded';
import type { Assessment } from '../../core/assessment';
import { memoizeByIdentity } from '../../core/base/memoize';
import { evaluate } from '../../core/evaluate';
import { type Plan, fixesFor } from '../../core/plan';
import { type OptionCost, optionCosts } from '../../core/explore/options';
import { type Result, fail, ok } from '../../core/base/result';
import { airOf, fitOfCover, seasonOfCover, tonightOfCover } from '../../core/air';
import type { Task } from '../../core/judge/season/calendar';
import type { CalibrationFit, Reading } from '../../core/judge/climate/fit';
import type { Tonight } from '../../core/judge/season/tonight';
import type { Climate } from '../../core/judge/climate/climate';
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
import type { ComparisonAnswer } from '../../core/explore/brief/compareDesigns';
import type { WishCost } from '../../core/explore/brief/costs';
import type { BriefAsked, ShownFound } from './briefJobs';
import type { Given, OnBest } from './given';

/** Kinds and versions as the screen shows them. */
export type ShownKind = WithThumbnail<Standing>;
export type WorkerView = ShownKind | Exclude<Candidate, Standing>;
export type ShownVersion = WithThumbnail<Version>;

/** What the screen needs beyond the outline that it works out itself. */
export type PlanWork = Pick<Plan, 'cuts' | 'shopping'>;

/** Quicker work than this is not told of, ms; and sections with fewer pieces are quick. */
const TELL_MS = 150;
const MANY_PIECES = 100;

function whenSlow<T>(onBest: OnBest<T>): (p: CutProgress, best: () => T | undefined) => void {
  const began = performance.now();
  return ({ solved, sections, nextPieces }, best) => {
    if (performance.now() - began > TELL_MS || nextPieces > MANY_PIECES) onBest({ solved, sections, work: best() });
  };
}

const assessed = ({ garden }: Pick<Given<unknown>, 'garden'>, coverId: string): Result<Assessment> => {
  const cover = garden.covers.find((c) => c.id === coverId);
  return cover ? evaluate(garden, cover) : fail('cover', 'It is not in the garden any more.');
};

/** All that cuts, prices and mends are made of, beside the outline. */
const pricedBy = (o: Assessment): readonly unknown[] => {
  const { prices, shelf, shelfFlat, owned, units } = o.garden;
  return [o.judged().checks, o.done, prices, shelf, shelfFlat, owned, units.currency];
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

/** A winter that is asked for: the year it begins in, and how snow is brushed. */
interface WinterAsked {
  readonly coverId: string;
  readonly year: number;
  readonly brushing: Brushing;
}

export const jobs = {
  /** Cuts and shopping list of one cover. */
  async work(given: Given<PlanWork>, coverId: string): Promise<Result<PlanWork>> {
    const tell = whenSlow(given.hear);
    return outlined(given, coverId, (o) =>
      withSolver((solver) => works(o.assembly, pricedBy(o), () => cutAndShop(o, solver, (p) => tell(p, p.best)))),
    );
  },
  /** Every kind of cover on a bed, drawn and measured, as they come. */
  compare(
    { garden, hear }: Given<readonly WorkerView[]>,
    { bedId, cropKey }: { readonly bedId: string; readonly cropKey: string },
  ): Result<readonly WorkerView[]> {
    const shown: WorkerView[] = [];
    candidates(garden, bedId, cropKey, (c) => {
      shown.push('outline' in c ? withThumbnail(c) : c);
      hear({ solved: shown.length, sections: FAMILY_KEYS.length, work: shown });
    });
    return ok(shown);
  },
  /** Versions of one cover, worked out. */
  async versions(
    { garden }: Given<readonly ShownVersion[]>,
    { coverId, rivals }: { readonly coverId: string; readonly rivals: readonly Rival[] },
  ): Promise<Result<readonly ShownVersion[]>> {
    const cover = garden.covers.find((c) => c.id === coverId);
    if (!cover) return fail('cover', 'It is not in the garden any more.');
    return ok(await withSolver((solver) => versionsOf(garden, cover, solver, rivals).map(withThumbnail)));
  },
  /** Several covers cut and bought as one. */
  async together({ garden, hear }: Given<MergeProposal>, ids: readonly string[]): Promise<Result<MergeProposal>> {
    const covers = garden.covers.filter((c) => ids.includes(c.id));
    const tell = whenSlow(hear);
    return withSolver((solver) => planTogether(garden, covers, solver, (p, best) => tell(p, best)));
  },
  /** Changes that would mend what fails, priced. */
  async mends(given: Given<readonly Fix[]>, coverId: string): Promise<Result<readonly Fix[]>> {
    return outlined(given, coverId, async (o) =>
      ok(await withSolver((solver) => mends(o.assembly, pricedBy(o), () => fixesFor(o, solver)))),
    );
  },
  /** One row of hoops of a cover, bent by a load; nothing where it has no such row. */
  loaded(
    given: Given<LoadedHoop | undefined>,
    { coverId, row, loading }: { readonly coverId: string; readonly row: number; readonly loading: Loading },
  ): Promise<Result<LoadedHoop | undefined>> {
    return outlined(given, coverId, (o) => {
      const arch = o.assembly.arches[row];
      return ok(arch && loadHoop(arch, o.snow, loading));
    });
  },
  /** A cover in the weather: every day, and the hours about one of them. */
  climate(
    given: Given<ShownClimate>,
    { coverId, date }: { readonly coverId: string; readonly date: string | undefined },
  ): Promise<Result<ShownClimate>> {
    return outlined(given, coverId, (o) => {
      const weather = given.weather();
      const climate = climates(o.assembly, [weather, o.cover.tending, o.cover.taught, given.garden.landmarks], () =>
        airOf(o, weather),
      );
      return ok(shownClimate(o, climate, weather, date));
    });
  },
  /** The word for the next day and night of covers; nothing of one that cannot be built. */
  tonight(
    given: Given<readonly (Tonight | undefined)[]>,
    { coverIds, now }: { readonly coverIds: readonly string[]; readonly now: number },
  ): Result<readonly (Tonight | undefined)[]> {
    return ok(
      coverIds.map((id) => {
        const o = assessed(given, id);
        return o.ok ? tonightOfCover(o.value, given.weather(), now) : undefined;
      }),
    );
  },
  /** Calendars of covers for twelve months from a date; nothing of one that cannot be built. */
  seasons(
    given: Given<readonly CoverSeason[]>,
    { coverIds, from }: { readonly coverIds: readonly string[]; readonly from: string },
  ): Result<readonly CoverSeason[]> {
    return ok(
      coverIds.flatMap((coverId): readonly CoverSeason[] => {
        const o = assessed(given, coverId);
        if (!o.ok) return [];
        const { key } = o.value.assembly.enclosure.skins[0].cover;
        return [{ coverId, wears: key, tasks: seasonOfCover(o.value, from) }];
      }),
    );
  },
  /** One winter played on a cover, and what would have helped. */
  winter(
    given: Given<Played>,
    { coverId, year, seed, brushing }: WinterAsked & { readonly seed: string },
  ): Promise<Result<Played>> {
    return outlined(given, coverId, (o) => ok(playWinter(o, year, seed, brushing)));
  },
  /** Five evenings: what is foreseen for the next, and how those went that were decided. */
  evenings(
    given: Given<Evenings>,
    {
      coverId,
      year,
      seed,
      decisions,
    }: {
      readonly coverId: string;
      readonly year: number;
      readonly seed: string;
      readonly decisions: readonly Decision[];
    },
  ): Promise<Result<Evenings>> {
    return outlined(given, coverId, (o) => {
      const ask = trainerOf(o, year, seed);
      const next = decisions.length < EVENINGS ? foreseen(ask, decisions.length) : undefined;
      return ok({ next, outcomes: trained(ask, decisions) });
    });
  },
  /** Many winters at once. */
  winters(
    given: Given<Winters>,
    { coverId, year, brushing, count }: WinterAsked & { readonly count: number },
  ): Promise<Result<Winters>> {
    return outlined(given, coverId, (o) =>
      ok(
        playWinters(o, year, count, brushing, (done) => given.hear({ solved: done, sections: count, work: undefined })),
      ),
    );
  },
  /** What the readings of a cover teach of it; nothing where there are too few. */
  fit(
    given: Given<CalibrationFit | undefined>,
    { coverId, readings }: { readonly coverId: string; readonly readings: readonly Reading[] },
  ): Promise<Result<CalibrationFit | undefined>> {
    return outlined(given, coverId, (o) => ok(fitOfCover(o, given.weather(), readings)));
  },
  /** What would keep it warmer through the coldest clear night. */
  warmer(given: Given<WarmerFound>, coverId: string): Promise<Result<WarmerFound>> {
    return outlined(given, coverId, (o) => ok(warmerBy(o, given.weather())));
  },
  /** What each option of a question would cost. */
  options(
    given: Given<readonly OptionCost[]>,
    { coverId, questionId }: { readonly coverId: string; readonly questionId: string },
  ): Promise<Result<readonly OptionCost[]>> {
    return outlined(given, coverId, (o) => ok(optionCosts(o, questionId)));
  },
  /** Every kind of cover searched for a brief. */
  async find(given: Given<ShownFound>, asked: BriefAsked): Promise<Result<ShownFound>> {
    return (await briefJobs()).find(given, asked);
  },
  /** What each wish of a brief costs beside one of the designs that were found for it. */
  async costs(
    given: Given<readonly WishCost[]>,
    asked: BriefAsked & { readonly offerId: string },
  ): Promise<Result<readonly WishCost[]>> {
    return (await briefJobs()).costs(given, asked);
  },
  /** A design of the gardener's own beside another. */
  async whyNot(
    { garden }: Given<ComparisonAnswer>,
    { bedId, brief, ownId, other }: BriefAsked & { readonly ownId: string; readonly other: Cover },
  ): Promise<Result<ComparisonAnswer>> {
    const own = garden.covers.find((c) => c.id === ownId);
    const held = own && (await briefJobs()).compareDesigns(garden, bedId, brief, own, other);
    return held ? ok(held) : fail('cover', 'One of the two cannot be built on this bed.');
  },
};

/** Searching for a brief is a large part of the program, and comes when it is first asked for. */
const briefJobs = () => import('./briefJobs');

async function outlined<T>(
  given: Given<T>,
  coverId: string,
  of: (o: Assessment) => Result<T> | Promise<Result<T>>,
): Promise<Result<T>> {
  const o = assessed(given, coverId);
  return o.ok ? of(o.value) : o;
}

export type WarmerFound = ReturnType<typeof warmerBy>;

type Jobs = typeof jobs;
export type JobKind = keyof Jobs;
/** What is asked of a kind of job, beside the garden. */
export type JobInput<K extends JobKind> = Parameters<Jobs[K]>[1];
/** What comes of it. */
export type JobAnswer<K extends JobKind> = Extract<Awaited<ReturnType<Jobs[K]>>, { ok: true }>['value'];
