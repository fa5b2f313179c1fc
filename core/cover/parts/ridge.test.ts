import { hardwareOf } from '../joints';
import { at } from '../../testing/site';
import { SHIPPED, section } from '../../catalog/catalog';
import { type RidgeSite, buildRidge } from './ridge';

const site: RidgeSite = {
  site: at(96, 48),
  pipe: section(SHIPPED, 'pvc-1/2'),
  hoopXs: [100, 700, 1300],
  y: 550,
  crownZ: 900,
  post: { section: section(SHIPPED, '2x2 treated'), xs: [100, 1300], footZ: -457, inSoilMm: 457 },
};
const hoops = [{ tag: 'H1' }, { tag: 'H2' }, { tag: 'H3' }];
const count = (built: ReturnType<typeof buildRidge>, key: string): number =>
  hardwareOf(built.joints)
    .filter((h) => h.itemKey === key)
    .reduce((sum, h) => sum + h.count, 0);

test('none is nothing', () => {
  expect(buildRidge('none', site, hoops)).toEqual({ members: [], joints: [] });
});

test('a rope is bought by the metre for three lines with their knots and tails', () => {
  const built = buildRidge('rope', site, hoops);
  expect(built.members).toEqual([]);
  expect(count(built, 'rope')).toBeGreaterThanOrEqual(Math.ceil((3 * (1200 + 1200)) / 1000));
});

test('a pipe hangs under the crowns, two ties to each', () => {
  const built = buildRidge('pipe', site, hoops);
  const shape = built.members[0]?.shape;
  if (shape?.kind !== 'straight') throw new Error('straight');
  expect(shape.from[2]).toBeCloseTo(900 - 21.336, 3);
  expect(count(built, 'cable-tie')).toBe(6);
});

test('a board on posts bears on them and touches the pipes from below', () => {
  const built = buildRidge('posted', site, hoops);
  const [board, ...posts] = built.members;
  if (board?.shape.kind !== 'straight') throw new Error('straight');
  const top = board.shape.from[2] + 88.9 / 2;
  expect(top).toBeCloseTo(900 - 21.336 / 2, 3);
  expect(posts.length).toBe(2);
  for (const post of posts) {
    if (post.shape.kind !== 'straight') throw new Error('straight');
    expect(post.shape.to[2]).toBeCloseTo(top - 88.9, 3);
    expect(post.shape.from[2]).toBe(-457);
    expect(post.lengthMm).toBeCloseTo(post.shape.to[2] + 457, 6);
    expect(post.marks).toEqual([{ atMm: 457, label: 'soil' }]);
  }
  expect(count(built, 'screw-1-5/8')).toBe(3);
});
