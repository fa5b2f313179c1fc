import { underLine } from '../../assembly/enclosure';
import { BARE } from '../../assembly/bare';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { guardPvc } from '../../parts/guard';
import { straightRun } from '../../joints/runs';
import { endsOf } from '../../assembly/pieces';
import { stripOver } from '../../parts/frame';
import { tagsOf } from '../../parts/frameSteps';
import type { Member, Said } from '../../assembly/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { enclosedArea } from '../../../base/geometry';
import { section } from '../../../catalog/catalog';
import type { Section } from '../../../catalog/types';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import { HUNG_KG_PER_M, POSTS, type WalkInAnswers, onTimber } from './answers';
import { endBarsOf, endFrame } from './ends';
import { type House, buildHouse, postTimber } from './frame';
import { fastenedTo, houseJoints, houseOpenings } from './joints';
import { doorFilm, houseSheets } from './sheets';
import { walkInSteps } from './steps';

/** Builds the house: posts, hoops over them, purlins, boards, framed ends with doors, sheets and roll-up sides. */
export function assembleWalkIn(answers: WalkInAnswers, site: BuildSite): Result<Said> {
  const settled = onItsBed(answers, site);
  if (!settled.ok) return settled;
  const a = settled.value;
  const built = buildHouse(a, site);
  if (!built.ok) return built;
  const h = built.value;
  const front = endFrame(a, h, site, true, a.doors !== 'none');
  if (!front.ok) return front;
  const back = endFrame(a, h, site, false, a.doors === 'two');
  if (!back.ok) return back;
  const ends = [...front.value.frame, ...back.value.frame];
  const door = [...front.value.door, ...back.value.door];
  const doorSheets = doorFilm(a, door);
  const sheets = houseSheets(a, h);
  const runs = a.sides === 'roll-up' ? bars(a, h) : [];
  const rollBars = runs.flatMap((r) => r.members);
  const battens = a.fixing === 'battens' ? edgeBattens(a, h, site) : [];
  const endBattens = battensOf(ends, h, site);
  const anchors = a.anchors ?? Math.max(4, h.xs.length);
  const guard = guardPvc(a.paint, a.cover, a.pipe, h.hoops);
  const parts = {
    house: h,
    ends,
    door,
    doors: { none: 0, one: 1, two: 2 }[a.doors],
    rollBars,
    rollSplices: runs.flatMap((r) => r.joints),
    sheets,
    doorSheets,
    battens,
    endBattens,
    anchors,
    guard,
  };
  const joints = houseJoints(a, parts);
  const length = h.x1 - h.x0;
  const width = h.y1 - h.y0;
  const film = a.cover.kind === 'film';
  const first = h.xs[0] ?? h.x0;
  const middle = (h.y0 + h.y1) / 2;
  const { bed, survey } = site;
  const offers = Object.keys(POSTS).map((key) => section(site.catalog, key));
  const members = [
    ...h.posts,
    ...h.hoops,
    ...h.cores,
    ...h.ridgePipes,
    ...h.adapters,
    ...h.purlins,
    ...h.beam,
    ...h.boards,
    ...h.ties,
    ...h.braces,
    ...ends,
    ...door,
    ...battens,
    ...endBattens,
    ...rollBars,
  ];
  return ok({
    ...BARE,
    members,
    sheets: [...sheets, ...doorSheets],
    joints,
    openings: houseOpenings(a, parts),
    arches: [
      {
        ...(a.roof === 'straight' && { what: 'Frames' }),
        tags: tagsOf(h.leftFeet),
        section: a.pipe,
        ...(h.core && { core: h.core }),
        ...(a.hung !== 'none' && { hungKgPerM: HUNG_KG_PER_M[a.hung] }),
        hoop: h.hoop,
        sprung: a.roof === 'sprung',
        xsMm: h.xs,
        spacingMm: h.spacingMm,
        footYMm: h.y0,
        footZMm: a.sidewallMm,
        baseZMm: 0,
        cutMm: h.cutMm,
        ridge: h.ridge,
      },
    ],
    sleeves: sleevesOf(a, h, offers),
    posts: [
      {
        tags: h.posts.map((m) => m.tag),
        section: h.postSection,
        offers: onTimber(a) ? [] : offers.filter((s) => s.key !== a.post.key),
        depthMm: h.depthMm,
        aboveMm: a.sidewallMm,
        set: a.posts === 'driven' ? 'driven' : 'dug',
        ...(h.bolts && { bolts: h.bolts }),
        spacingMm: h.spacingMm,
        crownMm: h.crownZ,
        endM2: enclosedArea(h.line) / 1e6,
        braces: h.braces.length,
      },
    ],
    endBars: endBarsOf(ends, h),
    under: [{ y: h.y0, z: 0 }, ...h.under, { y: h.y1, z: 0 }],
    reachMm: [bed.wall.thicknessMm, survey.frameOn.lengthMm - bed.wall.thicknessMm],
    footing: { on: 'ground', stiff: false, lengthMm: length, widthMm: width },
    fixing: a.fixing,
    // The second layer lies inside the main sheet: over the roof alone where the curtains are apart.
    enclosure: underLine(
      a.cover,
      h.line,
      { lengthMm: length, widthMm: width, heightMm: h.crownZ },
      a.layers === 'double' && film ? a.cover : undefined,
    ),
    dimensions: [
      leader(
        'pipeLength',
        a.roof === 'straight' ? 'pipe of a frame' : 'hoop, cut',
        'end',
        a.roof === 'straight'
          ? [first, middle + width * 0.25, h.crownZ - width * 0.25]
          : [first, middle + width * 0.3, a.sidewallMm + h.hoop.heightMm * 0.8],
        h.cutMm,
        a.roof === 'sprung',
      ),
      endWidth('width', 'post to post', first, [h.y0, h.y1], h.bolts === undefined),
      ...h.ties.slice(0, 1).map((tie) => {
        const z = endsOf([tie])[0]?.[2] ?? 0;
        return endHeight('tieHeight', 'cross tie', 'right', [first, middle], [0, z], true, 2);
      }),
      endHeight('sidewall', 'sidewall', 'left', [first, h.y0], [0, a.sidewallMm]),
      ...(h.bolts ? [] : [endHeight('postDepth', 'post in the ground', 'left', [first, h.y0], [0, -h.depthMm])]),
      endHeight('height', 'crown above the ground', 'right', [first, middle], [0, h.crownZ], a.roof === 'sprung'),
      ...alongBed(a, site, [h.x0, h.x1], 'house', { xs: h.xs, label: 'hoop to hoop' }, survey.frameOn.lengthMm).map(
        (d) => (d.id === 'coverLength' && h.bolts ? { ...d, typed: false } : d),
      ),
    ],
    steps: walkInSteps(a, { ...parts, members, joints }),
    remarks: [
      'A person walks into this. Ask the building office, and a licensed engineer, before you build; brush snow early, from outside.',
    ],
  });
}

/** A wall that bolts go through, and take hold of, mm. */
const BOLTED = { thickestMm: 60, lowestMm: 180 } as const;

/** A house that is bolted to its bed is as wide and as long as that, without a door; every other is as it was answered. */
function onItsBed(a: WalkInAnswers, site: BuildSite): Result<WalkInAnswers> {
  const { bed, survey } = site;
  if (a.posts !== 'bolted') return ok(a);
  const { thicknessMm: wallMm, heightMm } = bed.wall;
  if (wallMm > BOLTED.thickestMm || heightMm < BOLTED.lowestMm)
    return fail(
      'posts',
      'Posts are bolted to a board wall of up to 60 mm (2 3/8 in), at least 180 mm (7 in) high: set them in the ground here.',
    );
  if (a.sidewallMm < heightMm + a.sleeveMm)
    return fail('sidewall', 'The posts end below the feet of the hoops: raise the sidewall over the wall of the bed.');
  const r = thicknessMm(a.pipe) / 2;
  return ok({
    ...a,
    doors: 'none',
    // Posts stand against the wall outside, flush with the outside of their hoops; the ends stand on the end walls.
    widthMm: survey.frameOn.widthMm + 2 * (thicknessMm(postTimber(site)) - r),
    lengthMm: survey.frameOn.lengthMm + 4 * r,
  });
}

/** What goes over what: the hoop over its post, or a short sleeve over both. */
function sleevesOf(a: WalkInAnswers, h: House, offers: readonly Section[]): Said['sleeves'] {
  const cored = h.core
    ? [{ outer: a.pipe, inner: h.core, where: 'hoop over core', offers: [], pinned: true as const }]
    : [];
  if (onTimber(a)) return cored;
  const outer = h.adapters[0]?.section;
  return outer
    ? [
        ...cored,
        { outer, inner: a.pipe, where: 'sleeve over hoop', offers: [], pinned: true },
        { outer, inner: a.post, where: 'sleeve over post', offers: [], pinned: true },
      ]
    : [...cored, { outer: a.pipe, inner: a.post, where: 'hoop over post', offers }];
}

/** Battens over the film, outside each board that it is fastened along. */
function edgeBattens(a: WalkInAnswers, h: House, site: BuildSite): readonly Member[] {
  const section = stock(site, '1x2');
  const middle = (h.y0 + h.y1) / 2;
  return fastenedTo(a, h).flatMap((board, i) => {
    const [from, to] = endsOf([board]);
    if (!from || !to) return [];
    const out = (thicknessMm(board.section) + thicknessMm(section)) / 2;
    const y = from[1] + (from[1] < middle ? -out : out);
    return straightRun(`N${i + 1}`, 'Batten', section, [from[0], to[0]], [y, from[2]], [0, 0, 1], { xs: h.xs }).members;
  });
}

/** Battens over the film of the ends, outside every stud and jamb, from a finger over its foot to a finger under its top. */
function battensOf(ends: readonly Member[], h: House, site: BuildSite): readonly Member[] {
  const section = stock(site, '1x2');
  return ends
    .filter((m) => m.ends[1] === 'curve')
    .flatMap((m, i) => {
      const [from, to] = endsOf([m]);
      if (!from || !to) return [];
      const out = (boardShape(m.section).widthMm + thicknessMm(section)) / 2;
      const x = from[0] + (from[0] < (h.x0 + h.x1) / 2 ? -out : out);
      const line = [
        [x, from[1], from[2] + 20],
        [x, to[1], to[2] - 20],
      ] as const;
      return stripOver(`J${i + 1}`, 'End batten', section, line, [0, 1, 0]);
    });
}

/** A bar at the foot of each side curtain, jointed on hoops. */
function bars(a: WalkInAnswers, h: House): readonly ReturnType<typeof straightRun>[] {
  const out = 2 + thicknessMm(a.rollBar) / 2;
  const z = thicknessMm(a.rollBar) / 2 + 4;
  return [Math.min(...h.line.map((p) => p.y)) - out, Math.max(...h.line.map((p) => p.y)) + out].map((y, i) =>
    straightRun(`L${i + 1}`, 'Roll bar', a.rollBar, [h.x0, h.x1], [y, z], [0, 0, 1], { xs: h.xs }),
  );
}
