/** The first half of the way: a garden and one of its covers in, its parts and what its sheets are cut from out. Enough to draw it. */
import { memoizeByIdentity } from './base/memoize';
import { type Result, fail, ok } from './base/result';
import type { Assembly, HardwareUse } from './cover/assembly/types';
import { weighed } from './cover/structure/weighed';
import { rollPrice, sheetPrice } from './catalog/prices';
import { assemblyOf, builtFrom } from './garden/assemblyOf';
import { buildSite } from './garden/buildSite';
import type { Cover, Garden } from './garden/garden';
import { withCoats } from './judge/season/seasonalCovers';
import type { CutDone } from './make/cutting/onHand';
import { type SheetCuts, planSheets } from './make/cutting/panels';
import { type RollPlan, planRolls, seamHardware } from './make/rolls/rolls';
import { withSeams } from './make/rolls/seamSteps';
import type { BuildSite } from './site/buildSite';

/** What a cover is made of and what its sheets are cut from, before anything is judged. */
export interface LaidParts {
  readonly site: BuildSite;
  readonly assembly: Assembly;
  readonly rolls: RollPlan;
  readonly sheets: SheetCuts;
  /** Pieces sawn already. */
  readonly done: readonly CutDone[];
  /** Things to buy that no part asks for: seams in sheets, and what the gardener adds. */
  readonly also: readonly HardwareUse[];
}

/** A cover laid out, with what it was laid out of. Enough to draw and to price it. */
export interface CoverLayout extends LaidParts {
  readonly garden: Garden;
  readonly cover: Cover;
}

/**
 * Lays one cover out.
 * @returns what it is made of, or the fault that keeps it from being built, with the field that would mend it
 */
export function layoutCover(garden: Garden, cover: Cover): Result<CoverLayout> {
  const laid = layParts(garden, cover);
  return laid.ok ? ok({ ...laid.value, garden, cover }) : laid;
}

function layParts(garden: Garden, cover: Cover): Result<LaidParts> {
  const site = buildSite(garden, cover.bedId, cover.brief);
  const built = assemblyOf(garden, cover);
  if (!site || !built) return fail('bedId', `There is no bed "${cover.bedId}".`);
  if (!built.ok) return built;

  const { prices, shelfFlat } = garden;
  const worn = withCoats(built.value, cover.coats, site.catalog);
  const rolls = planRolls(worn.sheets, (roll) => rollPrice(prices, roll), shelfFlat, cover.cutFlat);
  const assembly = weighed({ ...worn, steps: withSeams(worn.steps, rolls.seams) });
  const sheets = planSheets(assembly.panels, (size) => sheetPrice(prices, size), shelfFlat, cover.cutFlat);
  const added = cover.also.filter((a) => a.count > 0).map((a) => ({ ...a, joint: 'Added by you' }));
  const also = [...seamHardware(rolls.seams), ...added];
  return ok({ site, assembly, rolls, sheets, done: cover.cut, also });
}

// Without the garden they came from: it would hold the covers of every step before.
const covers = memoizeByIdentity<Result<LaidParts>>();
const current = memoizeByIdentity<Result<CoverLayout>>();

/**
 * The cover as `layoutCover` lays it out, remembered by all that it and what is said of it are made of.
 * @returns the same as `layoutCover`
 */
export function cachedLayout(garden: Garden, cover: Cover): Result<CoverLayout> {
  const { prices, shelfFlat, landmarks } = garden;
  const { answers, cut, cutFlat, also, coats, tending } = cover;
  const made = [...builtFrom(garden, cover), prices, shelfFlat, landmarks, cut, cutFlat, also, coats, tending.brushes];
  const laid = covers(answers, made, () => layParts(garden, cover));
  return current(cover, [garden, laid], () => (laid.ok ? ok({ ...laid.value, garden, cover }) : laid));
}
