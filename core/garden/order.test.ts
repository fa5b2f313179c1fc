import { plotExtent } from '../site/plotting';
import { demoGarden } from './demo';
import { type Garden, checkGarden } from './garden';
import { withCopiedBed, withCopiedCover, withCopiedLandmark, withMoved, withoutBed } from './order';

const garden = demoGarden();
const [cover] = garden.covers;
const onLong = garden.covers.filter((c) => c.bedId === 'long');
const with_ = (part: Partial<Garden>): Garden => ({ ...garden, ...part });

test('a copied cover is the same design, with none of what was built or cut', () => {
  if (!cover) throw new Error('no cover');
  const worked = with_({
    covers: [
      {
        ...cover,
        state: { is: 'standing', since: '2027-03-01' },
        build: { at: 2, done: ['a'] },
        cut: [{ tag: 'A1', sectionKey: '2x4', lengthMm: 900 }],
      },
      ...garden.covers.slice(1),
    ],
  });
  const { covers } = withCopiedCover(worked, cover.id, 'new');
  expect(covers[1]).toEqual({ ...cover, id: 'new', name: `${cover.name} 2` });
  expect(covers).toHaveLength(garden.covers.length + 1);
  expect(checkGarden({ ...worked, covers }).ok).toBe(true);
});

test('a copied bed lies a path beyond the first, by itself or with its covers', () => {
  const alone = withCopiedBed(garden, 'long', 'new');
  expect(alone.covers).toEqual(garden.covers);
  const [bed, copy] = alone.beds;
  if (!bed || !copy) throw new Error('no bed');
  expect(copy).toMatchObject({ id: 'new', name: 'Long bed 2' });
  expect(plotExtent(copy).y0 - plotExtent(bed).y1).toBeCloseTo(garden.plot.pathMm, 6);
  const whole = withCopiedBed(garden, 'long', 'new', (c) => `copy of ${c.id}`);
  expect(whole.covers.filter((c) => c.bedId === 'new').map((c) => c.family)).toEqual(onLong.map((c) => c.family));
  expect(checkGarden({ ...garden, ...whole }).ok).toBe(true);
});

test('a copied landmark lies a path beyond the first, the way it runs', () => {
  const fence = {
    id: 'f',
    name: 'Fence',
    kind: 'fence' as const,
    at: { xMm: 0, yMm: 0 },
    bearingDeg: 30,
    lengthMm: 4000,
    widthMm: 80,
    heightMm: 1500,
  };
  const [first, copy] = withCopiedLandmark({ ...garden, landmarks: [fence] }, 'f', 'new').landmarks;
  if (!first || !copy) throw new Error('no copy');
  expect([first, copy.name]).toEqual([fence, 'Fence 2']);
  expect(plotExtent(copy).y0 - plotExtent(first).y1).toBeCloseTo(garden.plot.pathMm, 6);
});

test('a bed goes with its covers, and what is left is sound', () => {
  const left = withoutBed(garden, 'long');
  expect(left.beds.map((b) => b.id)).not.toContain('long');
  expect(left.covers).toHaveLength(garden.covers.length - onLong.length);
  expect(checkGarden({ ...garden, ...left }).ok).toBe(true);
});

test('an entry moves past its neighbour among its own, and stays at the ends', () => {
  const list = ['a1', 'b1', 'a2', 'a3'].map((id) => ({ id }));
  const ids = (l: readonly { id: string }[]): string => l.map((x) => x.id).join(' ');
  const a = (x: { id: string }): boolean => x.id.startsWith('a');
  expect(ids(withMoved(list, 'a1', 1, a))).toBe('a2 b1 a1 a3');
  expect(ids(withMoved(list, 'a3', 1, a))).toBe('a1 b1 a2 a3');
  expect(ids(withMoved(list, 'a1', -1))).toBe('a1 b1 a2 a3');
  expect(ids(withMoved(list, 'b1', -1))).toBe('b1 a1 a2 a3');
  expect(ids(withMoved(list, 'none', 1))).toBe('a1 b1 a2 a3');
});

test('what is not there changes nothing', () => {
  const garden = demoGarden();
  expect(withCopiedCover(garden, 'none', 'x').covers).toBe(garden.covers);
  expect(withCopiedLandmark(garden, 'none', 'x').landmarks).toBe(garden.landmarks);
  expect(withCopiedBed(garden, 'none', 'x').beds).toBe(garden.beds);
  expect(withoutBed(garden, 'none').beds).toEqual(garden.beds);
});
