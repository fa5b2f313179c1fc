import { evaluate } from './evaluate';
import { demoGarden } from './garden/demo';
import { type Garden, checkGarden, emptyGarden } from './garden/garden';
import { parcelOf, withParcel } from './parcel';

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
  const told = (o: typeof was.value) => o.checks.flatMap((c) => (c.id === 'drift' ? [] : [[c.id, c.verdict]]));
  expect(told(is.value)).toEqual(told(was.value));
  // Neither what was built of it nor what its maker owns goes along.
  expect(parcel.value.shelf).toEqual([]);
  expect(cover?.cut).toEqual([]);
  expect(Object.keys(parcel.value.prices)).not.toContain('pack nothing-here');
});

test('it goes into another garden on its own bed, twice under two names, and into none that lacks its parts', () => {
  const parcel = parcelOf(garden, 'winter-lid');
  if (!parcel.ok) throw new Error('no parcel');
  const once = withParcel(emptyGarden('Other'), parcel.value, newId);
  if (!once.ok) throw new Error('not put in');
  const twice = withParcel(once.value.garden, parcel.value, newId);
  if (!twice.ok) throw new Error('not put in');
  expect(twice.value.garden.covers.map((c) => c.name)).toEqual(['Winter greens lid', 'Winter greens lid 2']);
  expect(checkGarden(twice.value.garden).ok).toBe(true);
  const own: Garden = {
    ...parcel.value,
    covers: parcel.value.covers.map((c) => ({ ...c, answers: { ...c.answers, pipe: 'my own' } })) as Garden['covers'],
  };
  const refused = withParcel(emptyGarden('Other'), own, newId);
  expect(refused.ok ? [] : refused.faults.map((f) => f.field)).toContain('covers[0].answers.pipe');
  expect(withParcel(emptyGarden('Other'), emptyGarden('Empty'), newId).ok).toBe(false);
  expect(parcelOf(garden, 'none').ok).toBe(false);
});
