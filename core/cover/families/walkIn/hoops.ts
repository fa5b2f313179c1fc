/** The hoops of a house: one long pipe sprung over its posts, cored where it is asked, or two straight pipes and elbows. */
import type { Point2 } from '../../../base/geometry';
import { type Result, fail, ok } from '../../../base/result';
import { isFitted, takeUpMm } from '../../../catalog/fittings';
import { fitOf, sectionsWhere } from '../../../catalog/catalog';
import { shippedKey, thicknessMm, tubeShape } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { endsOf, piece } from '../../assembly/pieces';
import type { Bow, Joint, Member } from '../../assembly/types';
import { hoopCurve } from '../../hoop/curve';
import type { BentHoop, Elastica } from '../../hoop/types';
import { joint, pairsAt } from '../../joints';
import {
  type Knot,
  type RoofAt,
  betweenSlopes,
  fittingJoints,
  gableOver,
  ridgeFitting,
  roofOuter,
  roofUnder,
} from '../../parts/gable';
import { hoopMembers, outerFace, springHoop, underHoop } from '../../parts/hoops';
import type { WalkInAnswers } from './answers';

/** Where hoops of a house stand. */
interface HoopLine {
  readonly xs: readonly number[];
  readonly y0: number;
  readonly y1: number;
  /** What of the pipe goes over the post, or lies beside it, mm. */
  readonly lapMm: number;
}

interface HouseHoops {
  readonly hoop: Elastica | BentHoop;
  /** Pipe of one hoop, mm. */
  readonly cutMm: number;
  /** The pieces of each hoop, left to right. */
  readonly frames: readonly (readonly Member[])[];
  /** Ridge pipes between the hoops, where they are part of them. */
  readonly ridges: readonly Member[];
  readonly cores: readonly Member[];
  readonly core: Section | undefined;
  readonly joints: readonly Joint[];
  /** Outer face that film lies on, underside, and centre line across the house. */
  readonly outer: readonly Point2[];
  readonly under: readonly Point2[];
  readonly centre: readonly Point2[];
}

/** What a sprung hoop of a house must know of its sheet. */
interface SheetLimit {
  readonly acrossMm: (outer: readonly Point2[]) => number;
  readonly widestRollMm: number;
}

/** The hoops that are asked for, on posts so high. */
export function houseHoops(a: WalkInAnswers, at: HoopLine, sheet: SheetLimit, site: BuildSite): Result<HouseHoops> {
  return a.roof === 'straight' ? straightHoops(a, at) : sprungHoops(a, at, sheet, site);
}

function sprungHoops(a: WalkInAnswers, at: HoopLine, sheet: SheetLimit, site: BuildSite): Result<HouseHoops> {
  const { xs, y0, lapMm } = at;
  const sprung = springHoop(a.shape, a.pipe, {
    feet: { kind: 'fixed', angleDeg: 90 },
    spanMm: a.widthMm,
    tailMm: lapMm,
    tailAboveMm: a.sidewallMm,
    sheetAcrossMm: (hoop) => sheet.acrossMm(outerFace(hoop, a.pipe, y0, a.sidewallMm)),
    widestRollMm: sheet.widestRollMm,
  });
  if (!sprung.ok) return sprung;
  const { hoop, cutMm } = sprung.value;
  const members = hoopMembers(sprung.value, a.pipe, xs, {
    footY: y0,
    footZ: a.sidewallMm,
    tailMm: lapMm,
    bears: { sprung: true, baseZMm: 0 },
  });
  const core = coreOf(a, hoop.lengthMm, site);
  if (!core.ok) return core;
  const cored = core.value;
  const cores = cored
    ? hoopMembers({ hoop, cutMm: hoop.lengthMm }, cored, xs, { footY: y0, footZ: a.sidewallMm, tailMm: 0 }).map(
        (m, i) => ({
          ...m,
          tag: `K${i + 1}`,
          part: 'Core',
        }),
      )
    : [];
  const feet = pairsAt(xs, [y0, at.y1], a.sidewallMm);
  return ok({
    hoop,
    cutMm,
    frames: members.map((m) => [m]),
    ridges: [],
    cores,
    core: cored,
    joints:
      cores.length > 0
        ? joint('tekScrew', 'cores', 'Through each end of a hoop into its core', [...members, ...cores], feet)
        : [],
    outer: outerFace(hoop, a.pipe, y0, a.sidewallMm),
    under: underHoop(hoop, a.pipe, y0, a.sidewallMm),
    centre: hoopCurve(hoop, 200).map((p) => ({ y: y0 + p.y, z: a.sidewallMm + p.z })),
  });
}

/** What goes inside the hoops: a reinforcing bar, or the stoutest conduit that slides in; in one piece, or it carries nothing. */
function coreOf(a: WalkInAnswers, lengthMm: number, site: BuildSite): Result<Section | undefined> {
  if (a.core === 'none') return ok(undefined);
  const { leastMm } = fitOf(site.catalog, 'sleeve');
  const room = tubeShape(a.pipe).insideMm - leastMm;
  const core =
    a.core === 'conduit'
      ? sectionsWhere(
          site.catalog,
          (s) => shippedKey(s).startsWith('emt-') && thicknessMm(s) <= room && s.stock.length > 0,
        )
          .slice()
          .sort((x, y) => thicknessMm(y) - thicknessMm(x))[0]
      : stock(site, a.core);
  if (!core || (core.overRibsMm ?? thicknessMm(core)) > room)
    return fail('core', 'Nothing of that kind goes into this pipe: take a stouter pipe, or a thinner bar.');
  return Math.max(...core.stock.map((bar) => bar.lengthMm)) < lengthMm
    ? fail(
        'core',
        `The longest ${core.name} on sale does not reach from foot to foot, and one in pieces folds where they meet: take a reinforcing bar, or a narrower or lower house.`,
      )
    : ok(core);
}

/** What stands free of a stub above its post, under the elbow, mm. */
const STUB_FREE_MM = 50;

const FITTING_WHERE = {
  'elbow-45': 'Eaves: stub to rafter',
  'three-way': 'Both ends of the ridge',
  'four-way': 'Ridge at every hoop between',
} as const;

function straightHoops(a: WalkInAnswers, { xs, y0, y1, lapMm }: HoopLine): Result<HouseHoops> {
  if (!isFitted(a.pipe))
    return fail('pipe', 'No fittings are moulded for this pipe: take 3/4 to 1-1/2 PVC, or sprung hoops.');
  const r = thicknessMm(a.pipe) / 2;
  const eaveMm = STUB_FREE_MM + takeUpMm(a.pipe, 'elbow-45');
  const gable = gableOver(y1 - y0, eaveMm, { kind: 'fixed', angleDeg: 90 });
  if (!gable) return fail('width', 'There is no such roof over this house: make it wider.');
  const roof: RoofAt = { y0, y1, eaveZ: a.sidewallMm + eaveMm, ridgeZ: a.sidewallMm + gable.ridgeMm };
  const bow: Bow = { hoop: gable.hoop, sprung: false, footYMm: y0, footZMm: a.sidewallMm, baseZMm: 0 };
  const middle = (y0 + y1) / 2;
  const eave = (x: number, y: number): Knot => ({ at: [x, y, roof.eaveZ], fitting: 'elbow-45' });
  const ridge = (i: number): Knot => ({ at: [xs[i] ?? 0, middle, roof.ridgeZ], fitting: ridgeFitting(i, xs.length) });
  const frames = xs.map((x, i) => {
    const stubs = [y0, y1].map((y, k) =>
      piece(
        `H${2 * i + k + 1}`,
        'Stub',
        a.pipe,
        [x, y, a.sidewallMm - lapMm],
        [x, y, roof.eaveZ - takeUpMm(a.pipe, 'elbow-45')],
        [0, 1, 0],
      ),
    );
    const rafters = [y0, y1].map((y, k) => betweenSlopes(a.pipe, `Q${2 * i + k + 1}`, 'Rafter', eave(x, y), ridge(i)));
    return [...stubs, ...rafters].map((m) => ({ ...m, bow }));
  });
  const ridges = xs.slice(1).map((_, i) => betweenSlopes(a.pipe, `U${i + 1}`, 'Ridge pipe', ridge(i), ridge(i + 1)));
  const all = [...frames.flat(), ...ridges];
  if (all.some((m) => m.lengthMm < 20))
    return fail('width', 'The fittings leave no pipe between them: make the house wider, or its hoops fewer.');
  const longest = Math.max(...a.pipe.stock.map((bar) => bar.lengthMm));
  if (all.some((m) => m.lengthMm > longest))
    return fail('width', `A rafter would be longer than any ${a.pipe.name} on sale: make the house narrower.`);
  const knots = xs.flatMap((x, i) => [eave(x, y0), eave(x, y1), ridge(i)]);
  const sockets = endsOf(all).filter(([, , z]) => z > a.sidewallMm + 1);
  return ok({
    hoop: gable.hoop,
    cutMm: (frames[0] ?? []).reduce((sum, m) => sum + m.lengthMm, 0),
    frames,
    ridges,
    cores: [],
    core: undefined,
    joints: [
      ...fittingJoints(FITTING_WHERE, all, knots),
      ...joint('tekScrew', 'sockets', 'One through each socket of the roof; no glue', all, sockets),
    ],
    outer: roofOuter(roof, r),
    under: [{ y: y0 + r, z: a.sidewallMm }, ...roofUnder(roof, r), { y: y1 - r, z: a.sidewallMm }],
    centre: [
      { y: y0, z: a.sidewallMm },
      { y: y0, z: roof.eaveZ },
      { y: middle, z: roof.ridgeZ },
      { y: y1, z: roof.eaveZ },
      { y: y1, z: a.sidewallMm },
    ],
  });
}
