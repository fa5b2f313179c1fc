import type { Garden } from '../../../core/garden/garden';
import { demoGarden } from '../../../core/garden/demo';
import type { useRun } from '../../app/hooks';
import { deedsOf } from './deeds';

/** A garden that deeds are done to: each step written down with what was said. */
function garden(first: Garden = demoGarden()) {
  let now = first;
  const steps: string[] = [];
  const words: string[] = [];
  const run: ReturnType<typeof useRun> = (command) => {
    const made = command(now);
    if (made.ok) {
      steps.push(made.value.label);
      now = made.value.garden;
    }
    return made;
  };
  const deeds = () => deedsOf(now, run, (said) => void words.push(said));
  return { deeds, now: () => now, steps, words };
}
const ids = (list: readonly { readonly id: string }[]): readonly string[] => list.map((x) => x.id);

test('a name is trimmed, of whatever it is; one that no schema takes changes nothing', () => {
  const g = garden();
  const [cover] = g.now().covers;
  const [bed] = g.now().beds;
  if (!cover || !bed) throw new Error('empty');
  g.deeds().rename('cover', cover.id, '  Early ');
  g.deeds().rename('bed', bed.id, 'Kitchen');
  expect([g.now().covers[0]?.name, g.now().beds[0]?.name]).toEqual(['Early', 'Kitchen']);
  expect(g.steps).toEqual([`Rename ${cover.name}`, `Rename ${bed.name}`]);
  expect(g.deeds().rename('bed', bed.id, '   ').ok).toBe(false);
  expect(g.now().beds[0]?.name).toBe('Kitchen');
});

test('a bed drawn on the ground is as large as a builder makes it: whole inches, or two centimetres', () => {
  const g = garden();
  const id = g.deeds().addBed({ at: { x: 100.4, y: -50.6 }, lengthMm: 1834, widthMm: 100 });
  const bed = g.now().beds.find((b) => b.id === id);
  // 1834 mm is 72.2 in; a bed is at least a foot wide.
  expect(bed?.outside).toMatchObject({ nearMm: 72 * 25.4 });
  expect(bed?.outside.leftMm).toBeCloseTo(12 * 25.4, 6);
  expect(bed?.at).toEqual({ xMm: 100, yMm: -51 });
  expect(bed?.wall).toEqual(demoGarden().beds[demoGarden().beds.length - 1]?.wall);
  const first = demoGarden();
  const metric = garden({ ...first, units: { ...first.units, length: 'cm' }, beds: [], covers: [] });
  const other = metric.deeds().addBed({ at: { x: 0, y: 0 }, lengthMm: 1834, widthMm: 900 });
  const made = metric.now().beds.find((b) => b.id === other);
  expect([made?.outside.nearMm, made?.outside.leftMm]).toEqual([1840, 900]);
  expect(made?.wall).toEqual({ heightMm: 300, thicknessMm: 38 });
});

test('without a place it stands clear of all that is there, and each new one has a name of its own', () => {
  const g = garden();
  g.deeds().addBed();
  g.deeds().addBed();
  const names = g.now().beds.map((b) => b.name);
  expect(new Set(names).size).toBe(names.length);
  const right = Math.max(...demoGarden().beds.map((b) => b.at.xMm));
  expect(
    g
      .now()
      .beds.slice(-2)
      .every((b) => b.at.xMm > right),
  ).toBe(true);
  const tree = g.deeds().addLandmark('tree');
  expect(g.now().landmarks.find((l) => l.id === tree)).toMatchObject({ kind: 'tree', bearingDeg: 90 });
});

test('a copied bed brings its covers only where that is asked', () => {
  const g = garden();
  const on = g.now().covers[0]?.bedId ?? '';
  const covers = g.now().covers.filter((c) => c.bedId === on).length;
  const alone = g.deeds().copyBed(on, false);
  expect(g.now().covers.filter((c) => c.bedId === alone)).toEqual([]);
  const whole = g.deeds().copyBed(on, true);
  expect(g.now().covers.filter((c) => c.bedId === whole)).toHaveLength(covers);
  expect(new Set(ids(g.now().covers)).size).toBe(g.now().covers.length);
  const copy = g.deeds().copyCover(g.now().covers[0]?.id ?? '');
  expect(ids(g.now().covers)).toContain(copy);
});

test('a bed goes with its covers, and that is said; a cover goes alone', () => {
  const g = garden();
  const bed = g.now().beds.find((b) => g.now().covers.some((c) => c.bedId === b.id));
  if (!bed) throw new Error('no bed');
  const covers = g.now().covers.filter((c) => c.bedId === bed.id).length;
  g.deeds().takeAway('bed', bed);
  expect(ids(g.now().beds)).not.toContain(bed.id);
  expect(g.now().covers.some((c) => c.bedId === bed.id)).toBe(false);
  expect(g.words[0]).toBe(
    `${bed.name} is taken away with ${covers === 1 ? 'its cover' : `its ${covers} covers`}. Undo brings it back.`,
  );
  const [cover] = g.now().covers;
  if (cover) g.deeds().takeAway('cover', cover);
  expect(g.words[1]).toBe(`${cover?.name ?? ''} is taken away. Undo brings it back.`);
});

test('things change places with their neighbour, covers with one of the same bed; the first goes no farther up', () => {
  const g = garden();
  const [first, second] = ids(g.now().beds);
  g.deeds().order('bed', second ?? '', -1);
  expect(ids(g.now().beds).slice(0, 2)).toEqual([second, first]);
  const before = ids(g.now().beds);
  g.deeds().order('bed', second ?? '', -1);
  expect(ids(g.now().beds)).toEqual(before);
  const cover = g.now().covers[0];
  const copy = g.deeds().copyCover(cover?.id ?? '');
  g.deeds().order('cover', copy, -1);
  const same = g.now().covers.filter((c) => c.bedId === cover?.bedId);
  expect(ids(same).indexOf(copy)).toBeLessThan(same.length - 1);
});

test('a cover on another bed says what was changed to fit, or why it cannot stand there', () => {
  const g = garden();
  const tunnel = g.now().covers.find((c) => c.family === 'staked-tunnel');
  const others = g.now().beds.filter((b) => b.id !== tunnel?.bedId);
  if (!tunnel) throw new Error('no tunnel');
  for (const bed of others) {
    const said = g.words.length;
    g.deeds().moveCover(tunnel, bed.id);
    expect(g.words.length).toBe(said + 1);
    const stands = g.now().covers.find((c) => c.id === tunnel.id)?.bedId;
    if (stands === bed.id) expect(g.words[said]).toMatch(new RegExp(`^${tunnel.name} is on ${bed.name} now`));
    else expect(g.words[said]).toMatch(new RegExp(`^It cannot stand on ${bed.name}: `));
  }
});
