/** Load paths found from pieces alone: worked by hand on small frames, and walked over every kind of cover. */
import { SHIPPED, coverMaterial, section, stiffSheet } from '../../catalog/catalog';
import { demoGarden } from '../../garden/demo';
import type { Vec3 } from '../../base/geometry';
import { onSomeBed } from '../../testing/onBed';
import { siteOf } from '../../testing/site';
import { piece, rectangle } from '../assembly/pieces';
import type { Bow, Joint, Member, SheetPart } from '../assembly/types';
import { FAMILIES } from '../families';
import { solveHoop } from '../hoop/elastica';
import { joint } from '../joints';
import { COVER_JOINTS } from '../joints/coverJoints';
import { hoopMembers } from '../parts/hoops';
import { piecesUnder } from './bars';
import { bearingsOf } from './bearing';
import { roofFaces } from './roof';
import { type Built, structureOf } from './structure';

const demo = demoGarden();
const board = (key: string) => section(SHIPPED, key);
const UP: Vec3 = [0, 0, 1];
/** A bed of no height, so that frames stand on the ground. */
const site = (() => {
  const made = siteOf(3000, 1200);
  return { ...made, bed: { ...made.bed, wall: { ...made.bed.wall, heightMm: 0 } } };
})();

const bare = (more: Partial<Built>): Built => ({
  members: [],
  sheets: [],
  panels: [],
  blocks: [],
  joints: [],
  openings: [],
  enclosure: { skins: [{ cover: coverMaterial(SHIPPED, 'film-uv'), m2: 1 }], floorM2: 1, volumeM3: 6, heightM: 1 },
  footing: { on: 'ground', stiff: false, lengthMm: 3000, widthMm: 1200 },
  ...more,
});

test('studs on a sill carry a header, and that the rafters: spans from face to face, shares from middle to middle', () => {
  // A 2x4 is 38.1 by 88.9 mm. Sill flat on the ground, its top at 38.1; three studs 1000 mm apart; header on edge over them.
  const t = 38.1;
  const xs = [0, 1000, 2000];
  const sill = piece('A1', 'Sill', board('2x4 treated'), [-50, 0, t / 2], [2050, 0, t / 2], [0, 1, 0]);
  const studs = xs.map((x, i) => piece(`D${i}`, 'Stud', board('2x4'), [x, 0, t], [x, 0, 838.1], [1, 0, 0]));
  const header = piece('A2', 'Header', board('2x4'), [-50, 0, 838.1 + 44.45], [2050, 0, 838.1 + 44.45], UP);
  // Level joists from the header to a plate on a wall, 1000 mm clear between their faces.
  const z = 838.1 + 44.45;
  const plate = piece('W1', 'Wall plate', board('2x4 treated'), [-50, 1000 + t, z], [2050, 1000 + t, z], UP);
  const rafters = xs.map((x, i) =>
    piece(`R${i}`, 'Rafter', board('2x4'), [x, t / 2, z], [x, 1000 + t / 2, z], UP, { ends: ['square', 'square'] }),
  );
  const roof = rectangle(
    'G1',
    'Roof',
    stiffSheet(SHIPPED, 'twin-wall-6'),
    [-50, -t / 2, z + 44.45],
    [1, 0, 0],
    [0, 1, 0],
    [2100, 1000 + 2 * t],
  );
  const found = structureOf(
    bare({
      members: [sill, ...studs, header, plate, ...rafters],
      panels: [roof],
      joints: [
        ...joint(
          'buttScrew',
          'studs',
          'Studs',
          [sill, ...studs, header],
          xs.map((x): Vec3 => [x, 0, t]),
        ),
        ...joint(
          'hanger',
          'rafters',
          'Rafters',
          [...rafters, header, plate],
          rafters.map((r): Vec3 => [r.shape.kind === 'straight' ? r.shape.from[0] : 0, t / 2, z]),
        ),
        ...joint('wallAnchor', 'wall', 'Plate', [plate], [[0, 1000 + t, z]]),
      ],
    }),
    site,
  );
  const row = (what: string) => found.beams.find((b) => b.what === what);
  // The middle rafter has half of both bays.
  expect(row('Rafters')).toMatchObject({ spanMm: 1000, loadWidthMm: 1000, across: 'width', slopeDeg: 0 });
  // Between studs 88.9 wide: 911.1 clear, and half of 38 of each bearing.
  expect(row('Header')?.spanMm).toBeCloseTo(949.1, 1);
  // Half of the 1000 + 2 t from its middle to the far edge, and the half board outside it.
  expect(row('Header')?.loadWidthMm).toBeCloseTo((1000 + 1.5 * t) / 2 + t / 2, 0);
  // The sill lies on the ground, the plate is held to a wall: neither spans.
  expect(found.beams).toHaveLength(2);
  expect(found.spans).toMatchObject([{ spanMm: 1000, slopeDeg: 0 }]);
});

/** Hoops over a space 1200 mm wide, their feet at a height. */
function hoopsAt(footZ: number, xs: readonly number[]) {
  const hoop = solveHoop({ kind: 'pinned' }, { spanMm: 1200, lengthMm: 1900 });
  if (!hoop.ok) throw new Error('no hoop');
  const made = { hoop: hoop.value, cutMm: hoop.value.lengthMm };
  const bears = { sprung: true, baseZMm: 0 };
  return {
    hoop: hoop.value,
    hoops: hoopMembers(made, board('pvc-3/4'), xs, { footY: 0, footZ, tailMm: 0, bears }),
  };
}

test('rails between corner posts carry hoops: loaded beams, pushed apart between the posts', () => {
  const xs = [0, 750, 1500, 2250, 3000];
  const { hoop, hoops } = hoopsAt(900, xs);
  const posts = [0, 3000].flatMap((x) =>
    [-60, 1260].map((y) => piece(`P${x}${y}`, 'Post', board('4x4 treated'), [x, y, -500], [x, y, 811.1], [0, 1, 0])),
  );
  // Rails on edge on the posts, the hoops strapped to their inner faces.
  const rails = [-33, 1233].map((y, i) =>
    piece(`A${i}`, 'Side rail', board('2x4'), [0, y, 855.5], [3000, y, 855.5], UP),
  );
  const feet = xs.flatMap((x): readonly Vec3[] => [0, 1200].map((y) => [x, y, 900] as const));
  const joints: readonly Joint[] = [
    ...joint(
      'post',
      'posts',
      'Posts',
      posts,
      posts.map((): Vec3 => [0, 0, 0]),
      { with: { set: 'dug', depthMm: 500 } },
    ),
    ...joint('plate', 'tops', 'Rails on posts', [...posts, ...rails], [[0, -33, 811.1]]),
    ...joint('uStrap', 'feet', 'Hoops', [...hoops, ...rails], feet),
  ];
  const found = structureOf(bare({ members: [...hoops, ...posts, ...rails], joints }), site);
  const [arch] = found.arches;
  expect(arch).toMatchObject({ sprung: true, spacingMm: 750, ridge: { kind: 'none' } });
  expect(arch?.cutMm).toBeCloseTo(1900, 6);
  // Half of the span's snow on each rail, which spans from post to post, 3000 mm.
  expect(found.beams).toMatchObject([{ what: 'Side rails', spanMm: 3000, across: 'width' }]);
  expect(found.beams[0]?.loadWidthMm).toBeCloseTo(600, 6);
  expect(found.pushedRails).toMatchObject([{ freeLengthMm: 3000, across: 'thickness', pushesAtMm: 750 }]);
  expect(found.posts).toMatchObject([{ tags: posts.map((p) => p.tag), depthMm: 500, set: 'dug', spacingMm: 3000 }]);
  expect(found.posts[0]?.crownMm).toBeCloseTo(900 + hoop.heightMm, 6);
  // A post more in the middle halves what each of them does.
  const middle = [-60, 1260].map((y) =>
    piece(`M${y}`, 'Post', board('4x4 treated'), [1500, y, -500], [1500, y, 811.1], [0, 1, 0]),
  );
  const more = joints.map((j) => (j.id === 'feet' ? j : { ...j, tags: [...j.tags, ...middle.map((m) => m.tag)] }));
  const braced = structureOf(bare({ members: [...hoops, ...posts, ...middle, ...rails], joints: more }), site);
  expect(braced.beams[0]?.spanMm).toBe(1500);
  expect(braced.pushedRails[0]?.freeLengthMm).toBe(1500);
});

test('a beam on posts under the crowns carries them; in one piece without posts it shares, in two it keeps them apart', () => {
  const xs = [0, 1000, 2000];
  const { hoop, hoops } = hoopsAt(0, xs);
  const z = hoop.heightMm - 13.3 - 44.45;
  const beam = (from: number, to: number, tag: string) =>
    piece(tag, 'Beam', board('2x4'), [from, 600, z], [to, 600, z], UP);
  const crowns = xs.map((x): Vec3 => [x, 600, hoop.heightMm]);
  const tied = (members: readonly Member[]) => joint('tie', 'ridge', 'Ridge', [...hoops, ...members], crowns);
  const ridge = (members: readonly Member[]) =>
    structureOf(bare({ members: [...hoops, ...members], joints: tied(members) }), site).arches[0]?.ridge;
  const whole = beam(0, 2000, 'R1');
  expect(ridge([whole])).toMatchObject({ kind: 'tied', section: { key: '2x4' } });
  expect(ridge([beam(0, 1000, 'R1a'), beam(1000, 2000, 'R1b')])).toEqual({ kind: 'tied' });
  const posts = [200, 1800].map((x, i) =>
    piece(`M${i}`, 'Post', board('4x4'), [x, 600, 0], [x, 600, z - 44.45], [0, 1, 0]),
  );
  // 1600 mm between the posts; 200 mm stand out at each end.
  expect(ridge([whole, ...posts])).toMatchObject({ kind: 'posted', spanMm: 1600 });
  expect(ridge([])).toEqual({ kind: 'none' });
});

test('a hoop of two joined lengths is one hoop, as long as both', () => {
  const { hoops } = hoopsAt(0, [0, 1000]);
  const halves = hoops.flatMap((h) => [
    { ...h, tag: `${h.tag}a`, lengthMm: 1000 },
    { ...h, tag: `${h.tag}b`, lengthMm: 900 },
  ]);
  const [arch] = structureOf(bare({ members: halves }), site).arches;
  expect(arch).toMatchObject({ xsMm: [0, 1000], spacingMm: 1000, cutMm: 1900 });
});

test('what is there twice in one place is one in the other: a hoop over a rod, pinned where it is screwed', () => {
  const { hoops } = hoopsAt(0, [0]);
  const bow = hoops[0]?.bow as Bow;
  const stub: Member = { ...piece('H1', 'Stub', board('pvc-1'), [0, 0, 0], [0, 0, 600], [0, 1, 0]), bow };
  const rod = piece('D1', 'Rod', board('rod-4'), [0, 0, -400], [0, 0, 200], [0, 1, 0]);
  const sleeve = (kind: 'drivenRod' | 'tekScrew') =>
    structureOf(bare({ members: [stub, rod], joints: joint(kind, 'feet', 'Feet', [stub, rod], [[0, 0, 0]]) }), site)
      .sleeves;
  expect(sleeve('drivenRod')).toMatchObject([{ where: 'stub over rod' }]);
  expect(sleeve('drivenRod')[0]?.pinned).toBeUndefined();
  expect(sleeve('tekScrew')[0]?.pinned).toBe(true);
  // Beside one another they are two.
  const beside = piece('D1', 'Rod', board('rod-4'), [30, 0, -400], [30, 0, 200], [0, 1, 0]);
  const apart = joint('strap', 'feet', 'Feet', [stub, beside], [[0, 0, 0]]);
  expect(structureOf(bare({ members: [stub, beside], joints: apart }), site).sleeves).toEqual([]);
});

/** Every first cover and every single other answer of it. */
const designs = FAMILIES.flatMap((family) => {
  const first = onSomeBed(demo, family.key);
  const { answers } = first.cover;
  const others = family.questions(answers, first).flatMap((q) =>
    q.kind === 'choice'
      ? q.options.flatMap((o) => {
          const other = family.answer(answers, q.id, o.value, first);
          return other.ok ? [other.value] : [];
        })
      : [],
  );
  return [answers, ...others].map((a) => ({ ...first, made: family.assemble(a, first.site) }));
});

test('whatever is answered, no piece that bears the cover is left unjudged', () => {
  let walked = 0;
  for (const { made, site } of designs) {
    if (!made.ok) continue;
    const a = made.value;
    const { bed, survey } = site;
    const on = bearingsOf(a, {
      wallTopMm: bed.wall.heightMm,
      lengthMm: survey.frameOn.lengthMm,
      widthMm: survey.frameOn.widthMm,
      wallMm: bed.wall.thicknessMm,
    });
    const judged = new Set([...a.arches, ...a.beams].flatMap((row) => row.tags));
    // A lath that holds the cover down is in joints of the cover alone.
    const frame = a.joints.filter((j) => !(j.kind in COVER_JOINTS));
    // Hoops carry their cover all over; without them, all that the roof lies on.
    const hooped = a.arches.length > 0;
    const bears = hooped
      ? a.members.filter((m) => m.bow).map((m) => m.tag)
      : piecesUnder(roofFaces(a), on, { frame, all: a.joints })
          .filter((u) => !on.liesAlong(u.piece))
          .map((u) => u.piece.tag);
    expect(bears.filter((tag) => !judged.has(tag))).toEqual([]);
    const covers = (s: SheetPart): boolean => s.cover.kind !== 'mesh';
    expect(judged.size + a.spans.length).toBeGreaterThan(a.sheets.some(covers) ? 0 : -1);
    // What bends has a length, a share and something at both ends.
    for (const row of a.beams) expect(Math.min(row.spanMm, row.loadWidthMm)).toBeGreaterThan(10);
    for (const row of a.arches) expect(row.spacingMm).toBeGreaterThan(10);
    for (const row of a.posts) expect(row.tags.length).toBeGreaterThan(1);
    for (const span of a.spans) expect(span.spanMm).toBeGreaterThan(10);
    walked++;
  }
  expect(walked).toBeGreaterThan(designs.length / 2);
});
