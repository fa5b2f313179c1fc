/** What each step takes beside its joints, by hand: minutes to begin, and so many a piece. Covers of a bed of 96 by 48 in. */
import { at, build } from '../../testing/site';
import { jointKind } from '../joints';
import { countOfJoint } from '../joints/kind';
import { FAMILY_KEYS } from '.';

/** Ten to begin; six a board, two a pipe to cut; four to put a piece where it goes; six to bend one; 25 a sheet. */
const CASES: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  'staked-tunnel': { cut: 10 + 13 * 2, rods: 10, bend: 4 * (6 + 4), ridge: 10 + 4, paint: 20, cover: 25 },
  // Holes: two feet of a hoop, 1.7 each.
  'wire-tunnel': { cut: 10 + 5 * 2, bend: 5 * 6, holes: 10 + 5 * 2 * 1.7, cover: 25 },
  'hinged-hoop-lid': {
    cut: 10 + 10 * 6 + 4 * 2,
    mark: 10 + 2 * 4,
    frame: 5 * 4,
    bend: 4 * 10,
    ridge: 10 + 4,
    paint: 20,
    cover: 25 + 4 * 4,
    hang: 10,
  },
  'lift-off-cover': {
    cut: 10 + 7 * 6 + 6 * 2,
    mark: 10 + 2 * 5,
    frame: 5 * 4,
    bend: 5 * 10,
    ridge: 10 + 4,
    paint: 20,
    ends: 10 + 2 * 25,
    cover: 25 + 2 * 4,
    set: 10,
  },
  // A hoop of conduit is bent at several marks; it is stood, and then plumbed.
  'bent-conduit': {
    cut: 10 + 10 * 6 + 4 * 2,
    bend: 10 + 4 * 15,
    mark: 10 + 2 * 4,
    frame: 4 * 4,
    stand: 4 * 2 * 4,
    furring: 10 + 3 * 7,
    cover: 25 + 2 * 4,
    'hang whole': 10,
  },
  // Three sheets: the slopes, and a flap for each end; two battens.
  'a-frame': {
    cut: 10 + 23 * 6,
    pattern: 10 + 8 * 5,
    ridge: 10 + 8 * 4,
    raise: 10 + 10,
    rails: 10 + 2 * 4,
    cover: 3 * 25 + 2 * 4,
    slopes: 10,
    use: 5,
  },
  'sloped-cold-frame': {
    cut: 10 + 18 * 6,
    taper: 10 + 20,
    box: 10 + 4 * 4,
    set: 10,
    lids: 10 + 10 * 5,
    glaze: 10 + 2 * 18,
    hang: 10,
  },
  'double-wall-cold-frame': {
    cut: 10 + 43 * 6,
    walls: 10 + 24 * 2,
    corners: 10 + 10,
    skins: 2 * 25,
    'hang whole': 10,
    lids: 10 + 12 * 5,
    net: 10 + 10 + 6 * 4,
    glaze: 10 + 3 * 18,
    hang: 10,
  },
  'lean-to': {
    cut: 10 + 25 * 6,
    front: 10 + 11 * 4,
    wall: 10,
    rafters: 10 + 5 * 4,
    cover: 10 + 4 * 25,
    lids: 10 + 8 * 5,
    glaze: 10 + 2 * 18,
    hang: 10,
  },
  // Twenty bales round it; weights on three windows.
  'straw-bale': { cut: 10 + 4 * 6, bales: 10 + 20 * 5, supports: 10, glaze: 10 + 3 * 18, hang: 10, weights: 8 },
  // Ten straps of 1.8 each.
  'fitting-gable': {
    cut: 10 + 27 * 2,
    base: 10 + 8 * 3,
    frames: 10 + 16 * 3,
    ridge: 10 + 3 * 4,
    strap: 10 + 10 * 1.8,
    paint: 20,
    cover: 25,
  },
  'mesh-arch': { cut: 10 + 2 * 20, set: 10 + 2 * 15, cover: 2 * 25 + 3 * 3 },
  // An hour to ask what is allowed; eight posts driven, twelve minutes each; the side that rolls up takes 20.
  'walk-in': {
    codes: 60,
    cut: 10 + 27 * 6 + 22 * 2,
    posts: 8 * 12,
    bend: 4 * 10,
    purlins: 10 + 10 * 8,
    ends: 10 + 11 * 8,
    paint: 20,
    cover: 3 * 25,
    sides: 10 + 20,
    door: 5 * 8 + 20,
    anchor: 10,
  },
};

/** Minutes of each step without those of the joints made in it. */
function beside(family: string, more: object = {}): Readonly<Record<string, number>> {
  const a = build(family, at(96, 48), more);
  return Object.fromEntries(
    a.steps.map((s) => {
      const made = a.joints.filter((j) => s.joints.includes(j.id));
      const ofJoints = made.reduce((sum, j) => sum + countOfJoint(j) * jointKind(j.kind).minutes, 0);
      return [s.id, Math.round((s.minutes - ofJoints) * 1e6) / 1e6];
    }),
  );
}

test.each(FAMILY_KEYS)('%s', (family) => {
  expect(beside(family)).toEqual(CASES[family]);
});

test('a second layer inside: its hoops bent and cut, and its sheet', () => {
  const [one, two] = [{}, { inner: 'fabric-30' }].map((more) => beside('staked-tunnel', more));
  const added = Object.entries(two ?? {}).filter(([id]) => one?.[id] === undefined);
  expect(added).toEqual([['inner', 10 + 4 * (6 + 2) + 25]]);
});
