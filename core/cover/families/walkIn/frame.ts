import type { Section } from '../../../catalog/types';
import { hoopPlaces } from '../../parts/hoops';
import { type Point2, type Vec3, heightAt, slopeAt } from '../../../base/geometry';
import { roundLength } from '../../../catalog/market';
import { sheetRun } from '../../assembly/sheetRun';
import { piece } from '../../assembly/pieces';
import { pairsAt } from '../../joints';
import { hoopMark, straightRun } from '../../joints/runs';
import type { Joint, Member } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { type Catalog, fitOf, sectionsWhere } from '../../../catalog/catalog';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Made, fail, ok } from '../../../base/result';
import { mainAcross } from './across';
import { centreBeam } from './beam';
import { type WalkInAnswers, onTimber } from './answers';
import { houseHoops } from './hoops';
import { askedPosts, hoopsAtPosts, sideRails } from './rails';

const BASE = '2x6 treated';
const HIP = '2x4 treated';
const TIE = '2x4';
const BRACE = 'emt-3/4';
const POSTS_OF = {
  one: { key: '4x4 treated', pieces: 1 },
  'two-2x4': { key: '2x4 treated', pieces: 2 },
  'two-2x3': { key: '2x3', pieces: 2 },
} as const;
/** Bolts stand so far in from both edges of the bed’s wall, mm. */
const BOLT_IN_MM = 45;
/** Film is fastened so far under the top of a hip board, its middle, mm. */
const HEM_MM = 45;

export type House = Made<typeof buildHouse>;

/** The timber that posts are of: how many pieces are nailed side by side along the house, and its size along and across it, mm. */
export function postTimber({ postOf }: Pick<WalkInAnswers, 'postOf'>, site: BuildSite) {
  const { key, pieces } = POSTS_OF[postOf];
  const section = stock(site, key);
  const { thicknessMm: thin, widthMm: wide } = boardShape(section);
  return { section, pieces, alongMm: pieces * thin, acrossMm: wide };
}

/** Depth of the posts: a third of their length where it is windy, a quarter elsewhere. */
export function postDepth(a: Pick<WalkInAnswers, 'depthMm' | 'sidewallMm'>, { windy, market }: BuildSite): number {
  return a.depthMm ?? roundLength(Math.max(450, windy ? a.sidewallMm / 2 : a.sidewallMm / 3), market, 'up');
}

/** Posts, hoops sleeved over them, purlins, base and hip boards, cross ties. */
export function buildHouse(a: WalkInAnswers, site: BuildSite) {
  const { lengthMm, widthMm } = site.survey.frameOn;
  const [x0, x1] = [(lengthMm - a.lengthMm) / 2, (lengthMm + a.lengthMm) / 2];
  const [y0, y1] = [(widthMm - a.widthMm) / 2, (widthMm + a.widthMm) / 2];
  const od = thicknessMm(a.pipe);
  const r = od / 2;
  const [baseKey, hipKey, tieKey] = [BASE, HIP, TIE].map((key) => stock(site, key)) as [Section, Section, Section];
  const base = boardShape(baseKey);
  const out = r + base.thicknessMm;
  const anchors = (z: number): readonly [Point2, Point2] => [
    { y: y0 - out, z },
    { y: y1 + out, z },
  ];
  const over = (outer: readonly Point2[], z: number): readonly Point2[] =>
    sheetRun([...outer, ...anchors(a.sidewallMm)], anchors(z));
  const rolls = a.cover.rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const roofOnly = a.sheets === 'roof-and-curtains';
  const timber = onTimber(a);
  const timbers = timber ? postTimber(a, site) : { section: a.post, pieces: 1, alongMm: 0, acrossMm: 0 };
  const postSection = timbers.section;
  const adapted = !timber && a.join === 'adapter';
  const adapter = adapted ? adapterOver([a.pipe, a.post], site.catalog) : undefined;
  if (adapted && !adapter) return fail('join', 'No pipe on sale goes over both ends: choose a thinner post or hoop.');
  const railed = a.posts === 'rails';
  const rail = boardShape(a.rail);
  // A hoop lies beside its rail no further than the rail is high.
  const lapMm = adapted ? 0 : railed ? Math.min(a.sleeveMm, rail.widthMm) : a.sleeveMm;
  /** Where the film of a roof ends: at the middle of the board it is fastened along. */
  const hemMm = railed ? rail.widthMm / 2 : HEM_MM;
  if (a.sleeveMm > a.sidewallMm)
    return fail('sleeveMm', 'The hoop can slide over no more of the post than stands above the ground.');
  const found = hoopPlaces(x0, x1, r, a.hoops, a.maxSpacingMm);
  if (!found.ok) return found;
  const xs = found.value;
  const n = xs.length;
  const hooped = houseHoops(
    a,
    { xs, y0, y1, lapMm },
    {
      acrossMm: (outer) =>
        mainAcross(a, over(outer, roofOnly ? a.sidewallMm - hemMm : 0)).reduce((sum, l) => sum + l.mm, 0),
      widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
    },
    site,
  );
  if (!hooped.ok) return hooped;
  const { hoop, cutMm, frames, outer, under, centre } = hooped.value;
  const crownZ = a.sidewallMm + hoop.heightMm;
  const { heightMm: wallMm } = site.bed.wall;
  const bolted = a.posts === 'bolted';
  // Through the wall of the bed: how far apart, and the lower one above the ground; none where posts are in the ground.
  const bolts = bolted ? { apartMm: wallMm - 2 * BOLT_IN_MM, lowMm: BOLT_IN_MM } : undefined;
  const depthMm = bolted ? 0 : postDepth(a, site);
  // A timber post stands beside its hoop, toward the middle of the house, flush with it outside.
  const beside = timber ? { x: r + timbers.alongMm / 2, y: timbers.acrossMm / 2 - r } : { x: 0, y: 0 };
  const atPosts = railed ? hoopsAtPosts(a, xs) : xs.map((_, i) => i);
  const postXs = atPosts.map((i) => xs[i] ?? x0);
  const besideHoop = (i: number): number => (xs[i] ?? x0) + (i === n - 1 ? -beside.x : beside.x);
  const marks = [
    ...(bolts
      ? [bolts.lowMm, bolts.lowMm + bolts.apartMm].map((atMm) => ({ atMm, label: 'bolt' }))
      : [{ atMm: depthMm, label: 'ground' }]),
    ...(railed ? [] : [{ atMm: depthMm + a.sidewallMm - a.sleeveMm, label: adapted ? 'sleeve' : 'hoop' }]),
  ];
  const posts = atPosts.flatMap((i, p) =>
    [y0, y1].flatMap((hoopY, k) => {
      const x = besideHoop(i);
      const y = hoopY + (k === 0 ? beside.y : -beside.y);
      return standing(`P${2 * p + k + 1}`, timbers, [x, y], [-depthMm, a.sidewallMm]).map((m) => ({
        ...m,
        ...(railed && { asked: askedPosts(atPosts.length) }),
        marks,
      }));
    }),
  );
  const longestPost = Math.max(...postSection.stock.map((bar) => bar.lengthMm));
  if (depthMm + a.sidewallMm > longestPost)
    return fail('sidewall', 'The posts would be longer than any on sale: lower the sidewall or set them less deep.');

  const splices: Joint[] = [];
  const run = (tag: string, part: string, key: Section, y: number, z: number): readonly Member[] => {
    const made = straightRun(tag, part, key, [x0, x1], [y, z], [0, 0, 1], { xs, mark: hoopMark });
    splices.push(...made.joints);
    return made.members;
  };
  const pd = thicknessMm(a.purlin);
  const middle = (y0 + y1) / 2;
  // Under the hoop, square to it, so that the film does not touch the purlin.
  const sideY = y0 + a.widthMm * 0.2;
  const sideZ = heightAt(under, sideY) - (pd / 2) * Math.hypot(1, slopeAt(under, sideY));
  const beam = a.beam === 'posts' ? centreBeam(xs, [x0, x1], middle, crownZ - r, site, frames.flat()) : undefined;
  const ridge =
    beam || hooped.value.ridges.length > 0 ? [] : run('R1', 'Ridge purlin', a.purlin, middle, crownZ - r - pd / 2);
  const purlins = [
    ...ridge,
    ...(a.purlins === 'three'
      ? [
          ...run('R2', 'Side purlin', a.purlin, sideY, sideZ),
          ...run('R3', 'Side purlin', a.purlin, y0 + y1 - sideY, sideZ),
        ]
      : []),
  ];
  const boardY = r + base.thicknessMm / 2;
  const hip = boardShape(hipKey);
  const baseBoards = [
    ...run('A1', 'Base board', baseKey, y0 - boardY, base.widthMm / 2),
    ...run('A2', 'Base board', baseKey, y1 + boardY, base.widthMm / 2),
  ];
  const railYs = [y0 - r - rail.thicknessMm / 2, y1 + r + rail.thicknessMm / 2] as const;
  const carried = railed
    ? sideRails(
        a.rail,
        { x0, x1, xs, postXs: atPosts.map(besideHoop), ys: railYs, topZ: a.sidewallMm, baseZ: base.widthMm },
        site,
      )
    : ok({ rails: [], blocks: [], joints: [] });
  if (!carried.ok) return carried;
  const { rails, blocks } = carried.value;
  splices.push(...carried.value.joints);
  const hips =
    !railed && a.sidewallMm > base.widthMm + hip.widthMm
      ? [
          ...run('B1', 'Hip board', hipKey, y0 - boardY, a.sidewallMm - hip.widthMm / 2),
          ...run('B2', 'Hip board', hipKey, y1 + boardY, a.sidewallMm - hip.widthMm / 2),
        ]
      : rails;
  const boards = [...baseBoards, ...hips];
  const tie = boardShape(tieKey);
  const tieZ = a.tieMm ?? a.sidewallMm + hoop.heightMm * 0.62;
  if (a.crossTies > 0 && (tieZ > crownZ - 2 * tie.widthMm || tieZ < a.sidewallMm + tie.widthMm))
    return fail('tieHeight', 'Cross ties go from hoop to hoop: between the sidewall and the crown.');
  const ties = Array.from({ length: a.crossTies }, (_, i) => {
    const at = xs[Math.round(((n - 1) * (i + 1)) / (a.crossTies + 1))] ?? x0;
    const left = edgeAt(under, tieZ + tie.widthMm / 2, middle);
    const x = at + r + tie.thicknessMm / 2;
    return piece(`T${i + 1}`, 'Cross tie', tieKey, [x, left, tieZ], [x, y0 + y1 - left, tieZ], [0, 0, 1]);
  });
  const sleeve = ([x, y, z]: Vec3, tag: string, of: Section): Member =>
    piece(tag, 'Sleeve', of, [x, y, z - a.sleeveMm], [x, y, z + a.sleeveMm], [0, 1, 0]);
  return ok({
    ...{ x0, x1, y0, y1, xs, postXs, crownZ, hoop, cutMm, lapMm, depthMm, posts, purlins, ties, bolts },
    /** On the ground; at the hips, that the roof's film ends on; rails among them that carry the hoops, on blocks. */
    ...{ boards, baseBoards, hips, rails, blocks },
    spacingMm: ((xs[n - 1] ?? x1) - (xs[0] ?? x0)) / (n - 1),
    hoops: frames.flat(),
    /** First and last, each by its pieces from foot to foot. */
    endHoops: [frames[0] ?? [], frames[n - 1] ?? []],
    /** Pipes along the ridge that are part of the hoops, and what goes inside the hoops. */
    ridgePipes: hooped.value.ridges,
    cores: hooped.value.cores,
    core: hooped.value.core,
    hoopJoints: hooped.value.joints,
    /** A beam under the crowns and its posts, where there is one. */
    beam: beam?.members ?? [],
    /** Short sleeves over the ends of hoop and post, where they do not go over one another. */
    adapters: adapter ? pairsAt(xs, [y0, y1], a.sidewallMm).map((at, i) => sleeve(at, `W${i + 1}`, adapter)) : [],
    /** What the ends stand on, above the ground, mm. */
    endsOnMm: bolted ? wallMm : 0,
    /** How far posts stand in from the centre line of the hoops' feet, mm. */
    postInMm: timber ? timbers.acrossMm - r : r,
    /** Pieces that one post is nailed of. */
    nailed: timbers.pieces,
    // Boards on timber posts brace them.
    braces: a.braces === 'corners' && !timber ? bracesOf(xs, [y0, y1], a, stock(site, BRACE)) : [],
    /** Splices of purlins and boards, and what holds the beam. */
    runJoints: [...splices, ...(beam?.joints ?? [])],
    /** Over the whole, ground to ground; and over the roof alone, hip to hip. */
    line: over(outer, 0),
    roof: over(outer, a.sidewallMm - hemMm),
    under,
    centre,
    /** Where purlins run along the centre line, with the radius of their pipe. */
    purlinsAt: [
      beam
        ? { y: middle, z: crownZ - r - beam.deepMm / 2, r: beam.deepMm / 2 }
        : hooped.value.ridges.length > 0
          ? { y: middle, z: crownZ, r }
          : { y: middle, z: crownZ - r - pd / 2, r: pd / 2 },
      ...(a.purlins === 'three' ? [sideY, y0 + y1 - sideY].map((y) => ({ y, z: sideZ, r: pd / 2 })) : []),
    ],
  });
}

/** The pieces of one post, side by side along the house. */
function standing(
  tag: string,
  { section, pieces, alongMm }: { readonly section: Section; readonly pieces: number; readonly alongMm: number },
  [x, y]: readonly [number, number],
  [from, to]: readonly [number, number],
): readonly Member[] {
  return Array.from({ length: pieces }, (_, i) => {
    const at = x + (i - (pieces - 1) / 2) * (alongMm / pieces);
    const own = pieces > 1 ? `${tag}${String.fromCharCode(97 + i)}` : tag;
    return piece(own, 'Post', section, [at, y, from], [at, y, to], [0, 1, 0]);
  });
}

/** The smallest pipe that goes over all of these. */
function adapterOver(inner: readonly Section[], catalog: Catalog): Section | undefined {
  const { leastMm } = fitOf(catalog, 'sleeve');
  const most = Math.max(...inner.map(thicknessMm)) + leastMm;
  return sectionsWhere(catalog, (s) => s.shape.kind === 'tube' && s.shape.insideMm >= most && s.stock.length > 0)
    .slice()
    .sort((a, b) => thicknessMm(a) - thicknessMm(b))[0];
}

/** A diagonal in each corner bay of both sides: from a post’s foot to the top of its neighbour, inside the posts. */
function bracesOf(
  xs: readonly number[],
  ys: readonly [number, number],
  a: WalkInAnswers,
  brace: Section,
): readonly Member[] {
  const off = (thicknessMm(a.post) + thicknessMm(brace)) / 2;
  const n = xs.length;
  const bays = n > 2 ? [[0, 1] as const, [n - 1, n - 2] as const] : [[0, 1] as const];
  return ys.flatMap((y, k) =>
    bays.map(([from, to], i) => {
      const at = y + (k === 0 ? off : -off);
      return piece(
        `Z${2 * k + i + 1}`,
        'Brace',
        brace,
        [xs[from] ?? 0, at, 60],
        [xs[to] ?? 0, at, Math.max(120, a.sidewallMm - a.sleeveMm - 40)],
        [0, 1, 0],
      );
    }),
  );
}

/** Where the left side of a line stands at a height, mm. */
function edgeAt(line: readonly Point2[], z: number, middleY: number): number {
  const left = line.filter((p) => p.y <= middleY);
  for (let i = 1; i < left.length; i++) {
    const p = left[i - 1];
    const q = left[i];
    if (p && q && p.z <= z && q.z >= z) return p.y + ((q.y - p.y) * (z - p.z)) / Math.max(1e-9, q.z - p.z);
  }
  return left[0]?.y ?? 0;
}
