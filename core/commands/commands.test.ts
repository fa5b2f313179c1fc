import fc from 'fast-check';
import { crop } from '../catalog/crops';
import { phrase } from '../base/figure';
import type { Result } from '../base/result';
import { demoGarden } from '../garden/demo';
import { inverted, withChanges } from '../garden/difference';
import { type Garden, checkGarden, emptyGarden } from '../garden/garden';
import { cachedLayout } from '../layout';
import { addCover } from './addCover';
import {
  addCrop,
  addSize,
  nameOwnThing,
  addThing,
  noteFigure,
  removeCrop,
  removeOwnThing,
  removeSize,
  resetFigure,
  resetSize,
  setCrop,
  setFigure,
} from './catalog';
import type { Change, Command } from './change';
import {
  addSeasonalCover,
  buyAlso,
  goToStep,
  moveCover,
  putUpOrTakeDown,
  removeFromLog,
  removeSeasonalCover,
  setCalibration,
  setCoverState,
  setOperation,
  setSeasonalCover,
  tickCheck,
  toggleDayOff,
} from './covers';
import { addDesign, keepVersion, setAnswer, setAnswers, setDimension, takeVersion } from './design';
import {
  forgetFrost,
  nameGarden,
  setTown,
  startInTown,
  setExposure,
  setFrost,
  setGust,
  setNoon,
  setPaths,
  setPractice,
  setRoughGust,
  setRoughSnow,
  setSnow,
  setSnowBy,
  setSnowFactor,
  setUnits,
  setWhere,
  setWindFrom,
  turnPlot,
} from './place';
import { setCarry, setHalves } from './saw';
import {
  addBar,
  addFlat,
  addPriceList,
  keepPrices,
  removeFromShelf,
  removePriceList,
  setBar,
  setFlat,
  setGot,
  setNote,
  setOwned,
  setOwnedWhere,
  setPrice,
  takePrices,
  takeShippedPrices,
} from './shelf';
import {
  addBed,
  addLandmark,
  copyBed,
  copyCover,
  copyForNextYear,
  copyLandmark,
  layOnPlot,
  measureBed,
  takeMeasure,
  measureLandmark,
  moveInList,
  removeThing,
  rename,
  setBrief,
} from './things';

const garden = demoGarden();
const [bed] = garden.beds;
const [cover] = garden.covers;
if (!bed || !cover) throw new Error('empty');
const BURLINGTON = { name: 'Burlington', region: 'VT', country: 'US', latitudeDeg: 44.48, longitudeDeg: -73.21 };
const lumber = { kind: 'bar', entry: { key: '2x4', name: '2x4' } } as const;

/** What a command leaves; it must have been carried out. */
function after<T extends Change>(made: Result<T>): Garden {
  if (!made.ok) throw new Error(made.faults.map((f) => `${f.field}: ${f.message}`).join('; '));
  return made.value.garden;
}
const faultOf = (made: Result<Change>): string => (made.ok ? '' : (made.faults[0]?.field ?? ''));
/** One command after another. */
const all = (...commands: readonly Command[]): Garden => commands.reduce((g, command) => after(command(g)), garden);

test('a dimension typed is answered, drawn and named in one step; what cannot be is refused by its field', () => {
  const made = setDimension(garden, cover.id, 'height', 560);
  const now = after(made).covers.find((c) => c.id === cover.id);
  expect(made.ok && made.value.label).toBe('Set crown above feet');
  // Only this cover's answers are another.
  expect(made.ok && made.value.changes.every((c) => c.path[0] === 'covers' && c.path[1] === cover.id)).toBe(true);
  const laid = now && cachedLayout(after(made), now);
  expect(laid?.ok && laid.value.assembly.dimensions.find((d) => d.id === 'height')?.valueMm).toBeCloseTo(560, 0);
  expect(setDimension(garden, cover.id, 'height', 1e5).ok).toBe(false);
  expect(setDimension(garden, cover.id, 'no such', 500).ok).toBe(false);
  expect(faultOf(setDimension(garden, 'nobody', 'height', 500))).toBe('cover');
});

test('a question answered is named as it is asked; a design that cannot be drawn is not taken', () => {
  const made = setAnswer(garden, cover.id, 'hoops', 6);
  expect(made.ok && made.value.label).toBe('Set how many');
  expect(faultOf(setAnswer(garden, cover.id, 'weather', 'fine'))).toBe('weather');
  expect(after(made).covers[0]?.answers).toMatchObject({ hoops: 6 });
  expect(setAnswer(garden, cover.id, 'hoops', 5000).ok).toBe(false);
  expect(setAnswers(garden, cover.id, { ...cover.answers, pipe: 'gold' }, 'Gold').ok).toBe(false);
  const mend = setAnswers(garden, cover.id, { ...cover.answers, hoops: 7 }, phrase`Mend: ${['7 hoops']}`);
  expect(mend.ok && mend.value.label).toBe('Mend: 7 hoops');
});

test('a version is kept, and another taken in its place; of another kind it keeps nothing', () => {
  const kept = all((g) => keepVersion(g, cover.id));
  expect(kept.covers[0]?.kept).toEqual(cover.answers);
  const changed = after(setAnswer(kept, cover.id, 'hoops', 6)).covers[0] ?? cover;
  const back = after(takeVersion(kept, cover.id, changed, 'six'));
  expect(back.covers[0]).toMatchObject({ answers: { hoops: 6 }, kept: cover.answers });
  const other = garden.covers.find((c) => c.family !== cover.family) ?? cover;
  const rival = { ...other, id: cover.id, bedId: cover.bedId, name: cover.name };
  expect(after(takeVersion(kept, cover.id, rival, 'other')).covers[0]).toMatchObject({
    family: other.family,
    kept: null,
  });
});

test('a cover of a kind is put on a bed under a name of its own', () => {
  const twice = all(
    (g) => addCover(g, bed.id, 'staked-tunnel', 'a'),
    (g) => addDesign(g, { ...cover, bedId: bed.id }, 'b', cover.name),
  );
  const [a, b] = twice.covers.slice(-2);
  expect([a?.bedId, b?.bedId]).toEqual([bed.id, bed.id]);
  expect(new Set(twice.covers.map((c) => c.name)).size).toBe(twice.covers.length);
  expect(faultOf(addCover(garden, 'nowhere', 'staked-tunnel', 'a'))).toBe('bed');
});

test('a cover moves to another bed whole or not at all, and what did not fit is said', () => {
  const others = garden.beds.filter((b) => b.id !== cover.bedId);
  for (const to of others) {
    const made = moveCover(garden, cover.id, to.id);
    if (!made.ok) expect(made.faults[0]?.message).toContain(to.name);
    else {
      const now = made.value.garden.covers.find((c) => c.id === cover.id);
      expect(now?.bedId).toBe(to.id);
      const same = JSON.stringify(now?.answers) === JSON.stringify(cover.answers);
      expect(made.value.altered.length === 0).toBe(same);
    }
  }
  expect(faultOf(moveCover(garden, cover.id, 'nowhere'))).toBe('bedId');
});

test('a cover put up and taken down: its state and the day book go together', () => {
  const stored = all((g) => setCoverState(g, cover.id, { is: 'stored', since: null, where: 'shed' }));
  const up = after(putUpOrTakeDown(stored, cover.id, 'e1', '2027-03-01', ''));
  expect(up.covers[0]?.state).toEqual({ is: 'standing', since: '2027-03-01' });
  expect(up.log.at(-1)).toMatchObject({ id: 'e1', kind: 'put-up', coverId: cover.id, note: 'From: shed' });
  const down = after(putUpOrTakeDown(up, cover.id, 'e2', '2027-05-01', 'attic'));
  expect(down.covers[0]?.state).toEqual({ is: 'stored', since: '2027-05-01', where: 'attic' });
  expect(down.log.at(-1)).toMatchObject({ kind: 'taken-down', note: 'To: attic' });
  expect(after(removeFromLog(down, 'e1')).log.map((e) => e.id)).not.toContain('e1');
});

test('what is read off a table is rough no more; what is only said about stays rough', () => {
  expect(all((g) => setGust(g, 30)).site).toMatchObject({ gustMPerS: 30 });
  expect(all((g) => setRoughGust({ ...g, site: { ...g.site, rough: ['gust'] } }, 30)).site.rough).toEqual(['gust']);
  const rough: Garden = { ...garden, site: { ...garden.site, rough: ['snow', 'gust', 'frost'] } };
  expect(after(setGust(rough, 30)).site.rough).toEqual(['snow', 'frost']);
  expect(after(setSnowBy(rough, 'ground')).site).toMatchObject({ snow: { by: 'ground' }, rough: ['gust', 'frost'] });
  expect(after(setRoughSnow(rough, 300)).site).toMatchObject({
    snow: { depthMm: 300, kind: 'wet' },
    rough: rough.site.rough,
  });
  const frost = after(setFrost(rough, { lastSpring: '05-20' })).site;
  expect(frost).toMatchObject({ frost: { lastSpring: '05-20' }, rough: ['snow', 'gust'] });
  expect(after(forgetFrost({ ...rough, site: frost })).site.frost).toBeNull();
});

test('a size that came out of a round landmark goes both ways; one of a wall its own', () => {
  const tree = all(
    (g) => addLandmark(g, 'tree', 't'),
    (g) => measureLandmark(g, 't', 'lengthMm', 3000),
  );
  expect(tree.landmarks.at(-1)).toMatchObject({ lengthMm: 3000, widthMm: 3000 });
  const wall = all(
    (g) => addLandmark(g, 'wall', 'w'),
    (g) => measureLandmark(g, 'w', 'lengthMm', 3000),
  );
  expect(wall.landmarks.at(-1)?.widthMm).not.toBe(3000);
});

test('a figure of one’s own is set, explained and given back; a size goes with its figures', () => {
  const set = all(
    (g) => setFigure(g, lumber, 'thicknessMm', 37),
    (g) => noteFigure(g, lumber, 'thicknessMm', ' measured '),
  );
  expect(set.catalog.figures).toEqual([
    { kind: 'bar', key: '2x4', figure: 'thicknessMm', value: 37, note: 'measured' },
  ]);
  expect(after(setFigure(set, lumber, 'thicknessMm', 38)).catalog.figures).toHaveLength(1);
  expect(after(resetFigure(set, lumber, 'thicknessMm')).catalog.figures).toEqual([]);
  const size = { kind: 'bar', key: '2x4', lengthMm: 5000, price: 9 } as const;
  const sized = all((g) => addSize(g, lumber, size));
  expect(after(removeSize(sized, lumber, size, '5000')).catalog.sizes).toEqual([]);
  const priced = all((g) => setPrice(g, '2x4 2438.4', '2x4', 9));
  expect(after(resetSize(priced, lumber, '2x4 2438.4', '2438.4')).prices).toEqual(
    after(resetSize(garden, lumber, '2x4 2438.4', '2438.4')).prices,
  );
  const thing = { kind: 'bar', key: 'own-1', name: 'Old 2x4', like: '2x4' } as const;
  const own = all(
    (g) => addThing(g, thing),
    (g) => nameOwnThing(g, 'own-1', ' Barn 2x4 '),
  );
  expect(own.catalog.things).toEqual([{ ...thing, name: 'Barn 2x4' }]);
  // Not while something is made of it.
  const used = after(addBar(own, 'b', 'own-1', 2000));
  expect(faultOf(removeOwnThing(used, thing))).toMatch(/^shelf/);
  expect(after(removeOwnThing(own, thing)).catalog.things).toEqual([]);
});

const spinach = crop('spinach');
const MINE = { key: 'own-crop', name: 'Mine' } as const;
/** The demo with one of everything that can be changed. */
const ready = all(
  (g) => addSeasonalCover(g, cover.id),
  (g) => keepPrices(g, 'mine', 'Mine'),
  (g) => setPrice(g, 'rope', 'Rope', 1),
  (g) => addBar(g, 'bar', '2x4', 1500),
  (g) => addFlat(g, { id: 'flat', kind: 'cover', key: 'net', widthMm: 900, lengthMm: 2000 }),
  (g) => addCrop(g, { ...spinach, ...MINE }),
);

test('what is not there is a fault by its kind, and nothing is changed', () => {
  const gone: readonly (readonly [string, Command])[] = [
    ['bed', (g) => rename(g, 'bed', 'none', 'x')],
    ['bed', (g) => copyBed(g, 'none', 'x')],
    ['bed', (g) => measureBed(g, { ...bed, id: 'none' }, 'Soil')],
    ['bed', (g) => takeMeasure(g, 'none', 'near', 2000)],
    ['cover', (g) => removeThing(g, 'cover', 'none')],
    ['cover', (g) => copyCover(g, 'none', 'x')],
    ['cover', (g) => moveInList(g, 'cover', 'none', 1)],
    ['cover', (g) => goToStep(g, 'none', 1)],
    ['cover', (g) => putUpOrTakeDown(g, 'none', 'e', '2027-03-01', '')],
    ['landmark', (g) => copyLandmark(g, 'none', 'x')],
    ['priceLists', (g) => takePrices(g, 'none')],
  ];
  for (const [field, command] of gone) expect(faultOf(command(garden))).toBe(field);
  // A measure that no bed has is named as it is in the garden.
  expect(faultOf(measureBed(garden, { ...bed, soilBelowRimMm: -5 }, 'Soil'))).toBe('beds[0].soilBelowRimMm');
  expect(faultOf(takeMeasure(garden, bed.id, 'near', 5))).toContain('beds[0].outside.nearMm');
});

/** Commands of every kind, as they are carried out on it. */
const COMMANDS: readonly Command[] = [
  (g) => setDimension(g, cover.id, 'height', 540),
  (g) => setAnswer(g, cover.id, 'hoops', 6),
  (g) => keepVersion(g, cover.id),
  (g) => addCover(g, bed.id, 'wire-tunnel', 'new-cover'),
  (g) => rename(g, 'bed', bed.id, ' Kitchen '),
  (g) => layOnPlot(g, 'Move', { ...bed, at: { xMm: 9000, yMm: -40 } }),
  (g) => addBed(g, 'new-bed'),
  (g) => addBed(g, 'drawn-bed', { at: { x: 1, y: 2 }, lengthMm: 1834, widthMm: 100 }),
  (g) => measureBed(g, { ...bed, soilBelowRimMm: 70 }, 'Soil'),
  (g) => takeMeasure(g, bed.id, 'far', 3100),
  (g) => setBrief(g, bed.id, 'Say', { price: 80 }),
  (g) => addLandmark(g, 'wall', 'new-wall'),
  (g) => copyBed(g, bed.id, 'copied-bed', () => 'copied-cover'),
  (g) => copyCover(g, cover.id, 'copied'),
  (g) => copyForNextYear(g, cover.id, 'next'),
  (g) => copyLandmark(g, g.landmarks[0]?.id ?? '', 'copied-landmark'),
  (g) => removeThing(g, 'bed', bed.id),
  (g) => removeThing(g, 'cover', cover.id),
  (g) => moveInList(g, 'bed', garden.beds[1]?.id ?? '', -1),
  (g) => setCoverState(g, cover.id, { is: 'standing', since: null }),
  (g) => setOperation(g, cover.id, { brushes: !cover.tending.brushes }),
  (g) => toggleDayOff(g, cover.id, 3),
  (g) => addSeasonalCover(g, cover.id),
  (g) => setSeasonalCover(g, cover.id, 0, { from: '05-10' }),
  (g) => removeSeasonalCover(g, cover.id, 0),
  (g) => setCalibration(g, cover.id, { loss: 1.1, gain: 0.9, readings: 20 }),
  (g) => goToStep(g, cover.id, 2),
  (g) => tickCheck(g, cover.id, 'cut 0', true),
  (g) => buyAlso(g, cover.id, { key: 'seam-tape', name: 'Tape' }, 3),
  (g) => nameGarden(g, ' Hollow '),
  (g) => setPaths(g, 700),
  (g) => turnPlot(g, 15),
  (g) => setUnits(g, 'Units', { length: 'mm' }),
  (g) => setWhere(g, 'Where', { latitudeDeg: 44 }),
  (g) => setWhere(g, 'Set the height', { elevationM: 320 }),
  (g) => setTown(g, BURLINGTON),
  (g) => setWindFrom(g, 225),
  (g) => setExposure(g, 'exposed'),
  (g) => setSnow(g, { by: 'ground', groundPa: 1900 }),
  (g) => setPractice(g, 'en'),
  (g) => setSnowFactor(g, 'thermal', 'Thermal', 1.2),
  (g) => setNoon(g, { outsideC: 4 }),
  (g) => setOwned(g, { key: 'rope', name: 'Rope' }, 4),
  (g) => setOwnedWhere(g, { key: 'rope', name: 'Rope' }, ' shed '),
  (g) => setGot(g, 'rope', 'Rope', true),
  (g) => setNote(g, 'rope', 'Rope', ' the red one '),
  (g) => addPriceList(g, 'list', 'Mill', { rope: 2 }),
  (g) => takePrices(g, 'mine'),
  (g) => removePriceList(g, 'mine'),
  (g) => takeShippedPrices(g),
  (g) => addBar(g, 'more', '2x4', 1500),
  (g) => setBar(g, 'bar', { quantity: 3, condition: 'bowed' }),
  (g) => setFlat(g, 'flat', { where: 'loft' }),
  (g) => removeFromShelf(g, 'bar'),
  (g) => setCarry(g, 3000),
  (g) => setHalves(g, 'middle'),
  (g) => setCrop(g, MINE, { days: 44 }),
  (g) => removeCrop(g, MINE),
];

test('a command leaves a sound garden, says all that it changed, and is undone by turning that round', () => {
  for (const command of COMMANDS) {
    const made = command(ready);
    if (!made.ok) throw new Error(`${command.toString()}: ${made.faults[0]?.message ?? ''}`);
    const { garden: end, changes, label } = made.value;
    expect([label === '', changes.length, checkGarden(end)]).toEqual([
      false,
      expect.any(Number),
      { ok: true, value: end },
    ]);
    expect(changes.length).toBeGreaterThan(0);
    expect(withChanges(ready, structuredClone(changes))).toEqual(end);
    expect(withChanges(end, inverted(changes))).toEqual(ready);
  }
});

test('commands in any order: each is carried out whole or refused, and all of them are undone one by one', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...COMMANDS), { minLength: 2, maxLength: 6 }), (commands) => {
      const steps: Change[] = [];
      const end = commands.reduce((g, command) => {
        const made = command(g);
        if (!made.ok) return g;
        steps.push(made.value);
        return made.value.garden;
      }, ready);
      expect(checkGarden(end).ok).toBe(true);
      expect(steps.reduceRight((g, { changes }) => withChanges(g, inverted(changes)), end)).toEqual(ready);
    }),
    { numRuns: 60, seed: 7 },
  );
});

test('a garden that begins in a town measures and pays as its country does', () => {
  const zurich = { name: 'Zürich', region: 'ZH', country: 'CH', latitudeDeg: 47.37, longitudeDeg: 8.55 };
  const begun = after(startInTown(emptyGarden('G'), zurich));
  expect(begun.units).toEqual({ length: 'cm', temperature: 'C', stock: 'metric', currency: 'CHF' });
  expect(begun.site).toMatchObject({ place: 'Zürich, ZH, Switzerland', latitudeDeg: 47.37, longitudeDeg: 8.55 });
  // One that is planned in already keeps its measures.
  expect(after(setTown(garden, zurich)).units).toEqual(garden.units);
  expect(startInTown(garden, { ...zurich, latitudeDeg: 90 })).toMatchObject({ ok: false });
});
