/** A pent roof: rafters in hangers that fall from a plate behind to a header in front. */
import { amount, phrase } from '../../base/figure';
import type { Flat, Vec3 } from '../../base/geometry';
import { type Made, fail, ok } from '../../base/result';
import { section } from '../../catalog/catalog';
import { boardShape } from '../../catalog/sections';
import type { Section } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import { leader } from '../assembly/dimension';
import { endsOf, piece } from '../assembly/pieces';
import type { Member, AssemblySpec, Stage } from '../assembly/types';
import { MINUTES, stage, tagList } from '../guide/stage';
import { joint } from '../joints';
import { CAUTIONS } from '../joints/cautions';
import { straightRun } from '../joints/runs';
import { paneWidth } from './glazing';
import { hoopPlaces } from './hoops';

/** What it is covered with. */
export type PentGlazing = 'twin-wall-6' | 'film';

/** What is answered of a pent roof, lengths in mm; its heights are those of header and plate above what it stands on. */
interface PentAnswers {
  readonly extent: readonly [x0: number, x1: number];
  readonly glazing: PentGlazing;
  readonly frontMm: number;
  readonly backMm: number;
  readonly rafters: number | null;
  readonly rafter: Section;
  readonly maxSpacingMm: number;
}

/** What is under a pent roof and over it: bays of its front between studs, and how high a wall stands over its plate, mm. */
interface PentPlace {
  readonly bays: number;
  readonly wallOverMm: number;
}

/** Stud and header, by what shops sell in one thickness, so that they are flush. */
const SETS: Readonly<Record<BuildSite['market'], readonly (readonly [stud: string, header: string])[]>> = {
  imperial: [
    ['2x4', '2x4'],
    ['2x4', '2x6'],
  ],
  metric: [
    ['38x89 mm', '38x89 mm'],
    ['45x95 mm', '45x145 mm'],
  ],
};

/** The roof from the outer top edge of the header in front to the top of the plate: its angle, its top and its underside. */
function slopeOf(frontZ: number, backZ: number, runMm: number, depthMm: number) {
  const angle = Math.atan2(backZ - frontZ, runMm);
  const deg = (angle * 180) / Math.PI;
  if (deg < 8)
    return fail(
      'back',
      'The roof would be too flat for rain and snow to run off: raise the wall plate or lower the front.',
    );
  if (deg > 50)
    return fail('back', 'The roof would be steeper than 50 degrees: lower the wall plate or raise the front.');
  const top = (y: number): number => frontZ + y * Math.tan(angle);
  return ok({ angle, deg, top, under: (y: number) => top(y) - depthMm / Math.cos(angle) });
}

export type PentRoof = Made<typeof pentRoof>;

/** Studs and the shallowest header that the rafters can hang on, as deep as their plumb ends; with the roof's slope on them. */
function frontOf(a: PentAnswers, site: BuildSite, width: number) {
  const z0 = site.bed.wall.heightMm;
  const sets = SETS[site.market].map(([stud, head]) => {
    const [studBoard, headBoard] = [section(site.catalog, stud), section(site.catalog, head)];
    const t = boardShape(studBoard).thicknessMm;
    const slope = slopeOf(z0 + a.frontMm, z0 + a.backMm, width - t, boardShape(a.rafter).widthMm);
    const headZ = z0 + a.frontMm - boardShape(headBoard).widthMm;
    return { studBoard, headBoard, headZ, t, slope, deep: slope.ok && headZ <= slope.value.under(t) };
  });
  const { slope, deep, ...front } = sets.find((s) => s.deep) ?? (sets[sets.length - 1] as (typeof sets)[0]);
  if (width < boardShape(front.studBoard).widthMm + front.t + 300)
    return fail('wall', 'Between front and wall there is no room for a roof on so narrow a bed.');
  if (!slope.ok) return slope;
  if (!deep) return fail('rafter', 'No header is deep enough for such rafters: choose a shallower board.');
  return ok({ ...front, slope: slope.value });
}

/** Where rafters stand, and on which of them stiff sheets meet: as many bays to each, the outer ones half a rafter wider. */
function raftersOf({ extent: [x0, x1], ...a }: PentAnswers, site: BuildSite) {
  const t = boardShape(a.rafter).thicknessMm;
  const sheets =
    a.glazing === 'film' ? 1 : Math.ceil((x1 - x0 - t) / (paneWidth({ site, glazing: a.glazing }) - t / 2) - 1e-6);
  const spaced = hoopPlaces(x0, x1, t / 2, a.rafters, a.maxSpacingMm);
  if (!spaced.ok) return spaced;
  const even = hoopPlaces(x0, x1, t / 2, sheets * Math.ceil((spaced.value.length - 1) / sheets) + 1, a.maxSpacingMm);
  if (!even.ok) return even;
  const xs = even.value;
  const last = xs.length - 1;
  return ok({ xs, sheetXs: [x0, ...xs.filter((_, i) => i > 0 && i < last && i % (last / sheets) === 0), x1] });
}

/** A header on studs in front and rafters from it to a plate behind, over the whole width of the bed. */
export function pentRoof(a: PentAnswers, site: BuildSite, place: PentPlace) {
  const [x0, x1] = a.extent;
  const width = site.survey.frameOn.widthMm;
  const z0 = site.bed.wall.heightMm;
  const front = frontOf(a, site, width);
  if (!front.ok) return front;
  const { studBoard, headBoard, headZ, t, slope } = front.value;
  const { angle, deg } = slope;
  const places = raftersOf(a, site);
  if (!places.ok) return places;
  const { xs, sheetXs } = places.value;
  const marked = { xs, mark: (n: number): string => `R${n + 1}` };
  const header = straightRun(
    'A2',
    'Front header',
    headBoard,
    [x0, x1],
    [t / 2, headZ + boardShape(headBoard).widthMm / 2],
    [0, 0, 1],
    marked,
  );
  const midway = (x: number, y: number): Vec3 => [x, y, (slope.top(y) + slope.under(y)) / 2];
  const asked = { id: 'rafters', now: xs.length, words: ['rafter', 'rafters'] } as const;
  const rafters = xs.map((x, i) => ({
    ...piece(
      `R${i + 1}`,
      'Rafter',
      a.rafter,
      midway(x, t),
      midway(x, width - t),
      [0, -Math.sin(angle), Math.cos(angle)],
      {
        ends: ['mitre', 'mitre'],
        endAnglesDeg: [-deg, deg],
      },
    ),
    asked,
  }));
  const [lowMm, highMm] = [slope.top(0) - z0, slope.top(width) - z0];
  return ok({
    ...slope,
    ...{ x0, x1, z0, width, t, xs, studBoard, marked, headZ, header, rafters, lowMm, highMm },
    /** Down its slope. */
    slopeMm: width / Math.cos(angle),
    /** Where stiff sheets begin, meet and end along the roof. */
    sheetXs,
    /** The end wall from the bed to the roof, front edge first, as (y, height above the bed). */
    end: [
      [0, 0],
      [width, 0],
      [width, highMm],
      [0, lowMm],
    ] as readonly Flat[],
    rafterLength: leader(
      'rafterLength',
      'rafter, long points',
      'end',
      [x0, width / 2, slope.top(width / 2)],
      rafters[0]?.lengthMm ?? 0,
      false,
    ),
    /** The wall that snow drifts against, and what there is room under. */
    carries: {
      wallOver: { wallMm: place.wallOverMm, runMm: width },
      under: [
        { y: 0, z: headZ },
        { y: t, z: Math.min(headZ, slope.under(t)) },
        { y: t, z: slope.under(t) },
        { y: width - t, z: slope.under(width - t) },
      ],
    } satisfies Partial<AssemblySpec>,
  });
}

/** Hangs the rafters between header and plate. */
export function raftersStage({ deg, header, rafters }: PentRoof, plate: readonly Member[]): Stage {
  return stage({
    id: 'rafters',
    title: 'Hang the rafters',
    view: 'end',
    pieces: rafters,
    work: [
      phrase`Saw both ends of every rafter at ${amount(deg, 'angle')} off square, both the same way.`,
      `Fix a hanger at every mark and hang ${tagList(rafters)} in them: tops level with the wall plate, and in line with the outer edge of the header.`,
    ],
    tools: ['hand saw', 'bevel gauge'],
    joints: joint(
      'hanger',
      'rafter ends',
      'Rafters to the header and the wall plate',
      [...rafters, ...header.members, ...plate],
      endsOf(rafters),
    ),
    checks: ['A straight board laid on any three rafters touches all of them'],
    cautions: [CAUTIONS.saw],
    minutes: MINUTES.start + rafters.length * MINUTES.place,
  });
}
