import type { ArchRow } from '../../cover/assembly/rows';
import { GRAVITY } from '../../base/gravity';
import { SHIPPED, spreadOf } from '../../catalog/catalog';
import { stiffnessNMm2 } from '../../catalog/sections';
import type { Section, Spread } from '../../catalog/types';
import { type Figure, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { type Borne, type LoadCurve, type NamedLoad, borneOn, keptLoadCurve } from '../frame/hoop';
import { breakingMomentNMm, curvatureLimitPerMm } from './limits';
import { COSTS, joiningRidge, timesShared } from './row';
import {
  type DesignSnow,
  type DriftBeside,
  type SnowCase,
  PRACTICES,
  SNOW_DENSITY,
  archCases,
  driftedCase,
} from './snow';
import { type Reliability, reliabilityOf } from './reliability';

/** What stops a part first under snow. */
type SnowLimit = 'fibre strain' | 'yield' | 'sway' | 'snapping through' | 'ridge board' | 'bending' | 'sag';

/** What happens then, as one sees it. */
export const PAST_LIMIT: Readonly<Record<SnowLimit, string>> = {
  'fibre strain': 'the pipe kinks',
  yield: 'the pipe bends for good',
  sway: 'the hoops lean over',
  'snapping through': 'the crown snaps down',
  'ridge board': 'the ridge board sags too far',
  bending: 'it may break',
  sag: 'it sags too far',
};

/** How much of the design snow a row of hoops or bars carries, and what stops it first. */
export interface SnowStrength {
  /** What carries it: "Hoops", "Lid bars". */
  readonly what: string;
  /** Load that it carries over the design load. */
  readonly ratio: number;
  readonly governs: SnowLimit;
  readonly snowCase: 'even' | 'one-sided' | 'drifted';
  readonly wetSnowMm: number;
  /** How sure it is that it carries what is asked; nothing where none is. */
  readonly sure: Reliability | undefined;
  readonly figures: readonly Figure[];
}

export const UNIT_PA = 100;
export const LEFT_OUT = [
  'A planning aid. It leaves out ice, wear and bad fastenings; the drift beside a wall is judged by itself.',
  'The pipe has its weeks-long stiffness, half of fresh for PVC.',
  'Ask the local building office about snow loads; a licensed engineer for anything a person walks into.',
];

/** A prop gives this little: so many times EI / span³. */
const PROP = 5000;

/** A limit is asked about up to so many times over, by what it may be off. */
const MOST_LIMIT = 1.25;

const WORDS = { sway: 'sway', snap: 'snapping through', drop: 'ridge board' } as const;

/**
 * Snow that a row of hoops carries: a slender pipe with large displacements, from its sprung shape with the bending locked in it,
 * at its weeks-long stiffness, until it sways, snaps through, kinks or yields, or the board under its crown breaks.
 *
 * Even and one-sided cases of the snow practice; every hoop carries its spacing, but where a ridge shares it (`timesShared`). What is found
 * for one form of hoop holds for every size and pipe of it, as w span^3 / EI (see `loadCurve`), and agrees with the hoop solved afresh
 * within 1 %.
 * @param asked the design snow; a ratio above 1 holds
 * @param weight how far the weight of that snow may be off
 * @param propped a prop stands under the crown of every hoop
 * @param drift what a wall beside it gathers, in place of those cases
 */
export function hoopStrength(
  arch: ArchRow,
  asked: DesignSnow,
  weight: Spread = spreadOf(SHIPPED, 'snow wet'),
  propped = false,
  drift?: DriftBeside,
): SnowStrength {
  // With no snow asked for, what it carries is still worth knowing: a unit load stands in.
  const snow = asked.flatPa > 0 ? asked : { ...asked, flatPa: UNIT_PA };
  const s = arch.section;
  const ei = stiffnessNMm2(s, 'weeks');
  const span = arch.hoop.spanMm;
  const tributary = arch.spacingMm;
  const lineLoad = (snow.flatPa * tributary) / 1e6;
  const unitNPerMm = ei / span ** 3;
  const spring = propped ? PROP * unitNPerMm : ridgeSpringNPerMm(arch);
  const mostCurvature = curvatureLimitPerMm(s) * span;
  const mostDrop = spring > 0 && !propped ? ridgeBoardN(arch) / spring / span : Infinity;
  const plastic = s.material.behaviour.kind === 'plastic';
  const ridge = propped ? undefined : joiningRidge(arch);

  // A hoop that finds no rest by itself bears nothing.
  const alone = (curve: LoadCurve | undefined, limit: number): Borne =>
    curve ? borneOn(curve, mostCurvature * limit, mostDrop) : { load: 0, by: 'sway' };
  const cases = (drift ? [driftedCase(snow, drift, arch.hoop.spanMm)] : archCases(snow, arch.hoop)).map((load) => {
    const curve = keptLoadCurve(arch.hoop, arch.sprung, load, spring / unitNPerMm, MOST_LIMIT * mostCurvature);
    const borne = alone(curve, 1);
    return {
      snowCase: load.snowCase,
      curve,
      core: coreBears(arch, load),
      shared: ridge && curve ? timesShared(curve, borne.load, ridge, load.snowCase) : 1,
      by: borne.by,
    };
  });
  const bears = ({ curve, core, shared }: (typeof cases)[number], limit: number): number =>
    alone(curve, limit).load * shared + core;
  const least = cases.reduce((a, b) => (bears(b, 1) < bears(a, 1) ? b : a));
  const { by, snowCase, core, shared } = least;
  const load = bears(least, 1);
  const governs = by === 'curvature' ? (plastic ? 'fibre strain' : 'yield') : WORDS[by];
  const bearsNPerMm = load * unitNPerMm;
  const hungNPerMm = hungAsSpreadNPerMm(arch);
  const alsoNPerMm = hungNPerMm + ownAsSpreadNPerMm(arch);
  const ratio = Math.max(0, bearsNPerMm - alsoNPerMm) / lineLoad;
  const { name, product } = PRACTICES[snow.practice];
  const carried = worked({
    label: 'Wet snow it carries',
    quantity: 'snowDepth',
    formula: `depth = max(0; load that one hoop bears − what it bears besides) / spacing of hoops / ${product} / (density of wet snow × 9.80665)`,
    terms: [
      term('load that one hoop bears', bearsNPerMm * 1000, 'loadPerLength'),
      term('what it bears besides', alsoNPerMm * 1000, 'loadPerLength'),
      term('spacing of hoops', tributary, 'length'),
      term(product, snow.flatPerGround, 'ratio'),
      term('density of wet snow', SNOW_DENSITY.wet, 'density'),
    ],
    besides: [
      ...(hungNPerMm > 0
        ? [term('of what it bears besides, what hangs, as if it were spread', hungNPerMm * 1000, 'loadPerLength')]
        : []),
      term('the hoop and its cover, along it', (arch.weighsNPerMm ?? 0) * 1000, 'loadPerLength'),
      term('load that one hoop bears × span³ / EI', load, 'ratio'),
      ...(core > 0 ? [term('of it, by what goes inside', core, 'ratio')] : []),
      ...(ridge ? [term('times what it bears alone: the ridge shares', shared, 'times')] : []),
      term('span', span, 'length'),
      term('stiffness EI after weeks', ei / 1e6, 'stiffness'),
      term('snow asked of one hoop', lineLoad * 1000, 'loadPerLength'),
    ],
    source: `${name} snow, ${snowCase} case; slender frame with large displacements (M. A. Crisfield, Non-linear Finite Element Analysis, vol. 1, ch. 7), its path followed until it gives way. Stopped by ${governs}.`,
    assumes: LEFT_OUT,
  });
  return {
    what: arch.what ?? 'Hoops',
    ratio: asked.flatPa > 0 ? ratio : Infinity,
    governs,
    snowCase,
    wetSnowMm: carried.value,
    sure:
      asked.flatPa > 0
        ? snowSure(s, weight, (stiffness, limit, times) => {
            const load = Math.min(...cases.map((one) => bears(one, limit)));
            return Math.max(0, load * unitNPerMm * stiffness - alsoNPerMm) / (lineLoad * times);
          })
        : undefined,
    figures: [carried],
  };
}

/** What hangs from the ridge at one hoop, N; a ridge on posts carries it past the hoops. */
export const hungN = ({ hungKgPerM = 0, spacingMm, ridge }: ArchRow): number =>
  ridge.kind === 'posted' ? 0 : hungKgPerM * GRAVITY * (spacingMm / 1000);

/** The same as a load spread over the span of the hoop, N/mm. */
const hungAsSpreadNPerMm = (arch: ArchRow): number => (COSTS * hungN(arch)) / arch.hoop.spanMm;

/**
 * A hoop and its cover, whose weight lies on the sides as on the crown, are as bad as so many times their weight spread over the span: hoops
 * as for `timesShared`, solved with and without it.
 */
const OWN = 1.5;
const ownAsSpreadNPerMm = ({ weighsNPerMm = 0, hoop }: ArchRow): number =>
  (OWN * weighsNPerMm * hoop.lengthMm) / hoop.spanMm;

/** So much of what a core could carry alone is counted: it yields before the pipe kinks, and sinks as it goes on with it. */
export const CORE_COUNTS = 0.5;

/**
 * What a core adds to the load of its hoop, as that load × span³ / EI of the pipe. It is bent to shape beforehand, or takes a set as it
 * is bent in: either way no bending is locked in a ductile bar that counts against its limit.
 * Source: lower bound theorem of plasticity (Drucker, Prager and Greenberg, 1952): each part within its own limit, and half of it.
 */
function coreBears(arch: ArchRow, load: NamedLoad): number {
  if (!arch.core) return 0;
  const most = curvatureLimitPerMm(arch.core) * arch.hoop.spanMm;
  const curve = keptLoadCurve(arch.hoop, false, load, 0, most);
  const alone = curve ? borneOn(curve, most, Infinity).load : 0;
  return (CORE_COUNTS * alone * stiffnessNMm2(arch.core, 'weeks')) / stiffnessNMm2(arch.section, 'weeks');
}

/** What the bare pipe of a hoop bears of a load, as that load × span³ / EI, and the curve of it. */
function bareBorne(
  { section, hoop, sprung }: ArchRow,
  load: NamedLoad,
): { readonly curve: LoadCurve; readonly load: number } | undefined {
  const most = curvatureLimitPerMm(section) * hoop.spanMm;
  const curve = keptLoadCurve(hoop, sprung, load, 0, MOST_LIMIT * most);
  return curve && { curve, load: borneOn(curve, most, Infinity).load };
}

/** The part of a load that is left to the pipe of a hoop, where something goes inside it. */
export function partOfPipe(arch: ArchRow, load: NamedLoad): number {
  const core = coreBears(arch, load);
  if (core === 0) return 1;
  const pipe = bareBorne(arch, load)?.load ?? 0;
  return pipe / Math.max(1e-9, pipe + core);
}

/** The part of its snow that a hoop keeps, where its ridge hands some on: as when it gives way. */
export function partKept(arch: ArchRow, load: SnowCase): number {
  const ridge = joiningRidge(arch);
  const bare = ridge && bareBorne(arch, load);
  return bare ? 1 / timesShared(bare.curve, bare.load, ridge, load.snowCase) : 1;
}

/** How sure it is that something of a section carries snow, all that its stiffness, its limit and the snow may be off by. */
export const snowSure = (
  section: Section,
  weight: Spread,
  ratioAt: (stiffness: number, limit: number, snow: number) => number,
): Reliability => {
  const spreads = [section.spreads.stiffness, section.spreads.limit, weight];
  return reliabilityOf(([stiffness = 1, limit = 1, snow = 1]) => ratioAt(stiffness, limit, snow), spreads);
};

/** How stiffly a posted ridge holds one crown: a uniform row of hoops on a simply supported beam, N/mm. */
export function ridgeSpringNPerMm(arch: ArchRow): number {
  if (arch.ridge.kind !== 'posted') return 0;
  const { section, spanMm } = arch.ridge;
  // From post to post, both end hoops among them.
  const hoops = Math.round(spanMm / arch.spacingMm) + 1;
  if (hoops < 3) return 0;
  const ei = stiffnessNMm2(section, 'weeks', 'width');
  return hoops === 3 ? (48 * ei) / spanMm ** 3 : (384 * ei * arch.spacingMm) / (5 * spanMm ** 4);
}

/** Push of one crown, the same on each, under which the board of a posted ridge breaks, N. */
function ridgeBoardN(arch: ArchRow): number {
  if (arch.ridge.kind !== 'posted') return Infinity;
  const { section: s, spanMm } = arch.ridge;
  const bears = (8 * breakingMomentNMm(s) * arch.spacingMm) / spanMm ** 2;
  return Math.max(0, bears - (arch.hungKgPerM ?? 0) * GRAVITY * (arch.spacingMm / 1000));
}

/**
 * Wet snow that a whole design carries by its weakest part, mm: Infinity where snow slides off all of it, NaN where something that bears it
 * is not judged, or nothing is. What is not judged is never strong.
 */
export const carriedMm = (
  strengths: readonly Pick<SnowStrength, 'wetSnowMm'>[],
  unjudged: readonly string[],
): number => (unjudged.length > 0 || strengths.length === 0 ? NaN : Math.min(...strengths.map((s) => s.wetSnowMm)));

/** Depth of one kind of snow, lying level, at which it is time to brush. */
interface BrushBy {
  readonly kind: keyof typeof SNOW_DENSITY;
  readonly depthMm: number;
}

/** How much of what it carries may lie before it is brushed: down to where a check is tight. */
export const BRUSH_AT = 1 / 1.25;

/** When to brush a cover that carries so much wet snow: the same weight of each kind. */
export const brushBy = (wetSnowMm: number): readonly BrushBy[] =>
  (Object.keys(SNOW_DENSITY) as (keyof typeof SNOW_DENSITY)[]).map((kind) => ({
    kind,
    depthMm: (BRUSH_AT * wetSnowMm * SNOW_DENSITY.wet) / SNOW_DENSITY[kind],
  }));
