/** The whole way: a garden and one of its covers in; drawing, checks, cuts, sheets, prices and hours out. */
import type { AssessedParts, Assessment } from './assessment';
import { memoizeByIdentity } from './base/memoize';
import { type Result, ok } from './base/result';
import { buildHours } from './cover/guide/hours';
import { spreadOf } from './catalog/catalog';
import { type Cut, cutAndShop, provenPrice } from './cut';
import type { Cover, Garden } from './garden/garden';
import { coldestNight } from './judge/climate/coldest';
import { clearSunInside } from './judge/climate/drive';
import { bedModel } from './judge/climate/model';
import { noonAir, noonMs } from './judge/climate/noon';
import { designConditions } from './judge/strength/designConditions';
import { type Judgement, checkAssembly } from './judge/strength/checks';
import { designSnow } from './judge/strength/snow';
import { liftFigure } from './judge/weights';
import type { IntegerSolver } from './make/cutting/linearProgram';
import { type CoverLayout, layoutCover } from './layout';
import { type Fix, findFixes } from './explore/fixes';
import type { Reassess } from './explore/whatIf';
import { type Obstacle, nearestObstacle } from './site/plotting';

const LIGHT_AIR_M_PER_S = 1;

/** The outline with its cuts, prices and mends. */
export type Plan = Assessment & Cut & { readonly mends: readonly Fix[] };

/**
 * Works out one cover as far as the drawing, checks and figures.
 * @returns the outline, or the fault that keeps the cover from being built, with the field that would mend it
 * @example assessCover(demoGarden(), demoGarden().covers[0]).value.assembly.members.length // 18
 */
export function assessCover(garden: Garden, cover: Cover): Result<Assessment> {
  const laid = layoutCover(garden, cover);
  return laid.ok ? ok(assess(laid.value)) : laid;
}

const besides = memoizeByIdentity<Obstacle | undefined>();

/** Judges what is laid out: strength, wind, air, hours, weights. */
export const assess = (laid: CoverLayout): Assessment => ({
  ...assessParts(laid),
  garden: laid.garden,
  cover: laid.cover,
});

/** The same without the garden and the cover that it is of, to be remembered by itself. */
export function assessParts({ garden, cover, ...parts }: CoverLayout): AssessedParts {
  const { site, assembly, rolls, sheets } = parts;
  const { landmarks } = garden;
  const { exposure, noon, latitudeDeg, windFromDeg, rough } = garden.site;
  const asked = designConditions(garden.site, cover.brief);
  const snow = designSnow(asked.snow, exposure, garden.site);
  const air = noonAir(
    assembly.enclosure,
    clearSunInside(
      bedModel(assembly, site.bed, landmarks),
      noonMs(latitudeDeg, garden.site.longitudeDeg, noon.date),
      garden.site,
    ),
    { ...noon, windMPerS: LIGHT_AIR_M_PER_S },
  );
  const lifts = assembly.moving.map((part) => liftFigure(assembly, part));
  const outsideC = noon.outsideC;
  const conditions = {
    rolls,
    sheets,
    snow,
    air,
    lifts,
    site,
    gustMPerS: asked.gustMPerS,
    exposure,
    outsideC,
    latitudeDeg,
    windFromDeg,
    beside: besides(site.bed, [landmarks], () => nearestObstacle(site.bed, landmarks)),
    brushed: cover.tending.brushes,
    gustSpread: spreadOf(site.catalog, asked.gustBy === 'place' && rough.includes('gust') ? 'gust rough' : 'gust said'),
    snowSpread: spreadOf(site.catalog, `snow ${asked.snow.by === 'ground' ? 'ground' : asked.snow.kind}`),
  };
  let judgement: Judgement | undefined;
  return {
    ...parts,
    asked,
    snow,
    judged: () => (judgement ??= checkAssembly(assembly, conditions)),
    air,
    hours: buildHours(assembly),
    coldest: coldestNight(assembly),
    lifts,
  };
}

/** The whole way for one cover. */
export function plan(garden: Garden, cover: Cover, solver: IntegerSolver): Result<Plan> {
  const outlined = assessCover(garden, cover);
  if (!outlined.ok) return outlined;
  const cut = cutAndShop(outlined.value, solver);
  return cut.ok ? ok({ ...outlined.value, ...cut.value, mends: fixesFor(outlined.value, solver) }) : cut;
}

/** Works a design out once more, with other answers. */
export const reassess =
  ({ garden, cover }: Pick<CoverLayout, 'garden' | 'cover'>): Reassess =>
  (answers) =>
    assessCover(garden, { ...cover, answers } as Cover);

/** Changes that mend what fails in a design, each tried on the design itself; priced by the proven cuts where there is a solver. */
export const fixesFor = (o: Assessment, solver?: IntegerSolver): readonly Fix[] =>
  findFixes(o, reassess(o), solver && ((of) => provenPrice(of, solver)));
