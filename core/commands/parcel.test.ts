import { evaluate } from '../evaluate';
import { demoGarden } from '../garden/demo';
import { type Garden, checkGarden, emptyGarden } from '../garden/garden';
import { parcelOf, putParcelIn } from './parcel';
import { footprint } from '../site/plotting';

const garden: Garden = { ...demoGarden(), prices: { 'bar 2x4 3658': 9.5, 'pack nothing-here': 1 } };
let n = 0;
const newId = (): string => `new ${++n}`;

test.each(garden.covers.map((c) => c.id))('%s is handed on whole: the same plan comes of it', (id) => {
  const parcel = parcelOf(garden, id);
  if (!parcel.ok) throw new Error(id);
  expect(checkGarden(parcel.value).ok).toBe(true);
  const [cover] = parcel.value.covers;
  const [was, is] = [garden.covers.find((c) => c.id === id), cover].map(
    (c, i) => c && evaluate(i === 0 ? garden : parcel.value, c),
  );
  if (!was?.ok || !is?.ok) throw new Error('not built');
  expect(is.value.assembly.members).toEqual(was.value.assembly.members);
  // The wall beside its bed stays where it is, and what snow it gathers with it.
  const told = (o: typeof was.value) => o.judged().checks.flatMap((c) => (c.id === 'drift' ? [] : [[c.id, c.verdict]]));
  expect(told(is.value)).toEqual(told(was.value));
  // Neither what was built of it nor what its maker owns goes along.
  expect(parcel.value.shelf).toEqual([]);
  expect(cover?.cut).toEqual([]);
  expect(Object.keys(parcel.value.prices)).not.toContain('pack nothing-here');
});

test('it goes into another garden on its own bed, twice under two names, and into none that lacks its parts', () => {
  const parcel = parcelOf(garden, 'winter-lid');
  if (!parcel.ok) throw new Error('no parcel');
  const once = putParcelIn(emptyGarden('Other'), parcel.value, newId);
  if (!once.ok) throw new Error('not put in');
  const twice = putParcelIn(once.value.garden, parcel.value, newId);
  if (!twice.ok) throw new Error('not put in');
  expect(twice.value.garden.covers.map((c) => c.name)).toEqual(['Winter greens lid', 'Winter greens lid 2']);
  expect(checkGarden(twice.value.garden).ok).toBe(true);
  const own: Garden = {
    ...parcel.value,
    covers: parcel.value.covers.map((c) => ({ ...c, answers: { ...c.answers, pipe: 'my own' } })) as Garden['covers'],
  };
  const refused = putParcelIn(emptyGarden('Other'), own, newId);
  expect(refused.ok ? [] : refused.faults.map((f) => f.field)).toContain('covers[0].answers.pipe');
  expect(putParcelIn(emptyGarden('Other'), emptyGarden('Empty'), newId).ok).toBe(false);
  expect(parcelOf(garden, 'none').ok).toBe(false);
});

test('the prices go along that its list is bought at, and with them units, place and catalogue', () => {
  const own: Garden = {
    ...garden,
    prices: { strap: 1.25, 'bar never 1': 3 },
    units: { ...garden.units, currency: 'EUR' },
  };
  const parcel = parcelOf(own, 'winter-lid');
  if (!parcel.ok) throw new Error('no parcel');
  expect(parcel.value.prices).toEqual({ strap: 1.25 });
  expect(parcel.value.units).toEqual(own.units);
  expect(parcel.value.site).toEqual(own.site);
  expect(parcel.value.catalog).toEqual(own.catalog);
  // Nothing else of the garden: one bed, at its corner, and one cover.
  expect(parcel.value.beds.map((b) => [b.id, b.at])).toEqual([['long', { xMm: 0, yMm: 0 }]]);
  expect(parcel.value.covers).toHaveLength(1);
  expect(parcel.value.log).toEqual([]);
});

test('of a cover that is not there, or that has no bed, there is none', () => {
  const fault = { ok: false, faults: [{ field: 'cover' }] };
  expect(parcelOf(garden, 'no-such')).toMatchObject(fault);
  expect(parcelOf({ ...garden, beds: [] }, 'winter-lid')).toMatchObject(fault);
});

test('a cover that cannot be built as it stands is handed on all the same, without prices', () => {
  const broken: Garden = {
    ...garden,
    prices: { 'bar 2x4 3658': 9.5 },
    covers: garden.covers.map((c) =>
      c.id === 'winter-lid' ? { ...c, answers: { ...c.answers, shape: { by: 'length', lengthMm: 300 } } } : c,
    ) as Garden['covers'],
  };
  const lid = broken.covers.find((c) => c.id === 'winter-lid');
  expect(lid && evaluate(broken, lid).ok).toBe(false);
  const parcel = parcelOf(broken, 'winter-lid');
  expect(parcel.ok && parcel.value.prices).toEqual({});
  expect(parcel.ok && parcel.value.covers[0]?.answers).toMatchObject({ shape: { lengthMm: 300 } });
});

test('in its new garden it stands clear of the beds there, and that garden keeps its own prices, place and units', () => {
  const parcel = parcelOf(garden, 'winter-lid');
  if (!parcel.ok) throw new Error('no parcel');
  const home: Garden = { ...demoGarden(), name: 'Home', prices: { 'bar 2x4 3658': 4 } };
  const put = putParcelIn(home, parcel.value, newId);
  if (!put.ok) throw new Error('not put in');
  const { garden: after, coverId } = put.value;
  expect([after.name, after.prices, after.site, after.units]).toEqual([home.name, home.prices, home.site, home.units]);
  const cover = after.covers.find((c) => c.id === coverId);
  const bed = after.beds.find((b) => b.id === cover?.bedId);
  expect([cover?.name, bed?.name]).toEqual(['Winter greens lid 2', 'Long bed 2']);
  const box = (b: NonNullable<typeof bed>) => {
    const ps = footprint(b);
    return [
      Math.min(...ps.map((p) => p.x)),
      Math.max(...ps.map((p) => p.x)),
      Math.min(...ps.map((p) => p.y)),
      Math.max(...ps.map((p) => p.y)),
    ] as const;
  };
  if (!bed) throw new Error('no bed');
  const [x0, x1, y0, y1] = box(bed);
  for (const other of home.beds) {
    const [a0, a1, b0, b1] = box(other);
    expect(x0 >= a1 || x1 <= a0 || y0 >= b1 || y1 <= b0).toBe(true);
  }
  // Nothing of it is built or bought yet.
  expect([cover?.build.done, cover?.cut, cover?.state.is]).toEqual([[], [], 'planned']);
});
