import { demoGarden } from '../garden/demo';
import { type Cover, type Garden, checkGarden } from '../garden/garden';
import { movedCover } from './moved';
import { assessCover } from '../plan';
import { firstCover } from '../explore/firstDesigns';

const garden = demoGarden();
const byFamily = (family: string): Cover => {
  const found = garden.covers.find((c) => c.family === family);
  if (!found) throw new Error(family);
  return found;
};

/** The garden with a square bed more, its wall 38 mm thick. */
const withBed = (id: string, lengthMm: number, widthMm: number): Garden => {
  const diagonal = Math.hypot(lengthMm, widthMm);
  const bed = {
    ...garden.beds[0],
    id,
    name: id,
    outside: { nearMm: lengthMm, farMm: lengthMm, leftMm: widthMm, rightMm: widthMm },
    inside: { lengthMm: lengthMm - 76, widthMm: widthMm - 76 },
    diagonals: { risingMm: diagonal, fallingMm: diagonal },
  } as Garden['beds'][number];
  return { ...garden, beds: [...garden.beds, bed] };
};

test('every cover of the demo goes to every bed: it can be built there, or it is said why not', () => {
  for (const cover of garden.covers)
    for (const bed of garden.beds) {
      const moved = movedCover(garden, cover, bed.id);
      if (!moved.ok) {
        expect(moved.faults[0]?.message).toBeTruthy();
        continue;
      }
      const after: Garden = {
        ...garden,
        covers: garden.covers.map((c) => (c.id === cover.id ? moved.value.cover : c)),
      };
      expect(checkGarden(after).ok).toBe(true);
      expect(assessCover(after, moved.value.cover).ok).toBe(true);
      // Nothing is said to have changed that did not, and nothing changes unsaid.
      const same = JSON.stringify(moved.value.cover.answers) === JSON.stringify(cover.answers);
      expect(moved.value.changed.length === 0).toBe(same);
    }
});

test('an answer that does not fit the new bed is changed alone, and named', () => {
  const cover = byFamily('hinged-hoop-lid');
  // A hoop of 2.2 m goes over the long bed's 44 in and is too short for a bed twice as wide.
  const g = withBed('wide', 3000, 2400);
  const cut = { ...cover, answers: { ...cover.answers, shape: { by: 'length', lengthMm: 2200 }, crop: 'lettuce' } };
  const moved = movedCover(g, cut as Cover, 'wide');
  if (!moved.ok) throw new Error(JSON.stringify(moved.faults));
  expect(moved.value.changed).toEqual(['Height']);
  expect(moved.value.cover.answers['crop']).toBe('lettuce');
});

test('where no cover of its kind can stand, it is said why, and nothing is moved', () => {
  // 300 mm wide: a lean-to has no room for its roof.
  const g = withBed('narrow', 3000, 300);
  const leanTo = firstCover(g, 'long', 'lean-to', 'x', 'Lean-to') as Cover;
  const moved = movedCover(g, leanTo, 'narrow');
  expect(moved.ok ? '' : moved.faults[0]?.message).toMatch(/no room for a roof/);
});

test('there must be such a bed', () => {
  expect(movedCover(garden, byFamily('hinged-hoop-lid'), 'none').ok).toBe(false);
});
