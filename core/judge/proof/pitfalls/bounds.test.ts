/** Pitfalls at their bounds: said just beyond, not said just within. */
import { SHIPPED, coverMaterial, cropOf } from '../../../catalog/catalog';
import type { Assembly, SheetPart } from '../../../build/assembly/types';
import { at, build } from '../../../testing/site';
import { lid } from '../../../testing/judged';
import type { CheckSite } from '../check';
import { animals, cooks, latchedOpener, pollination, screenArm } from './air';
import { barePvc, hugeSheet, noUv, staples, tooLargeSheet, wear, whiteFilm } from './skin';

const tunnel = build('staked-tunnel', at(96, 44));
const site = (more: object): CheckSite => ({ sheets: { tooLarge: [] }, ...more }) as unknown as CheckSite;
/** A noon at which it is so warm inside when shut, and each of two vents wants a fifth of a square metre. */
const noon = (insideC: number): CheckSite => site({ outsideC: 20, air: { riseShutC: insideC - 20, ventEachM2: 0.2 } });
const aired = (more: Partial<Assembly['ventilation']>): Assembly => ({
  ...tunnel,
  ventilation: { ...tunnel.ventilation, aloneM2: 0, byHandM2: 0, screened: false, ...more },
});

describe('what cooks', () => {
  test.each([
    [32, 0, 0, false],
    [32.1, 0, 0, true],
    // What opens by itself is enough.
    [40, 0.4, 0, false],
    [40, 0.39, 0, true],
    // By hand alone it is still said: somebody must be there.
    [40, 0, 1, true],
  ])('%s C inside, %s m2 by itself, %s by hand: %s', (insideC, aloneM2, byHandM2, said) => {
    expect(cooks(aired({ aloneM2, byHandM2 }), noon(insideC)) !== undefined).toBe(said);
  });
  test.each([
    [0.1, 0.5, 'What opens by itself frees'],
    [0, 0.4, 'somebody must be there every such morning'],
    [0, 0.39, 'Even all open it is too hot'],
  ])('with %s m2 by itself and %s by hand: %s', (aloneM2, byHandM2, words) => {
    const check = cooks(aired({ aloneM2, byHandM2 }), noon(40));
    expect(JSON.stringify(check?.text)).toContain(words);
    expect(check).toMatchObject({ id: 'cooks', verdict: 'tight', leaf: 'air' });
  });
});

describe('a lid that stands open', () => {
  test.each([
    ['lid', false, 33, true],
    ['opener', false, 33, true],
    ['opener', true, 33, false],
    ['lid', false, 32, false],
    ['flap', false, 33, false],
  ] as const)('%s, screened %s, %s C: %s', (by, screened, insideC, said) => {
    const a = aired({ by: by as Assembly['ventilation']['by'], screened });
    expect(animals(a, noon(insideC)) !== undefined).toBe(said);
  });
  test('an opener lifts no lid that is latched, and its arm wants room beside a screen', () => {
    const opener = { behindScreen: false } as NonNullable<NonNullable<ReturnType<typeof lid>['hung']>['opener']>;
    const moving = (latches: number, arm: typeof opener | undefined): Assembly => ({
      ...tunnel,
      moving: [lid({ latches: { count: latches, eachN: 1 }, opener: arm })],
    });
    expect(latchedOpener(moving(1, opener), noon(20))?.verdict).toBe('fails');
    expect(latchedOpener(moving(0, opener), noon(20))).toBeUndefined();
    expect(latchedOpener(moving(1, undefined), noon(20))).toBeUndefined();
    expect(screenArm(moving(0, { ...opener, behindScreen: true }), noon(20))?.verdict).toBe('fails');
    expect(screenArm(moving(0, opener), noon(20))).toBeUndefined();
  });
});

describe('bees', () => {
  const grown = (key: string, cover: string, screened = false): Assembly => ({
    ...aired({ screened }),
    crop: { ...tunnel.crop, crop: cropOf(SHIPPED, key) },
    enclosure: { ...tunnel.enclosure, skins: [{ cover: coverMaterial(SHIPPED, cover), m2: 1 }] },
  });
  test.each([
    ['cucumber', 'film-uv', false, 'open the cover each day'],
    ['cucumber', 'net', false, 'the net keeps them out'],
    ['cucumber', 'film-uv', true, 'the net keeps them out'],
    ['spinach', 'film-uv', false, undefined],
  ])('%s under %s, screened %s: %s', (crop, cover, screened, words) => {
    const check = pollination(grown(crop, cover, screened), noon(20));
    if (words === undefined) expect(check).toBeUndefined();
    else expect(JSON.stringify(check?.text)).toContain(words);
  });
});

describe('sheets', () => {
  const [sheet] = tunnel.sheets;
  if (!sheet) throw new Error('no sheet');
  const sized = (acrossMm: number, alongMm: number): Assembly => ({
    ...tunnel,
    sheets: [{ ...sheet, across: [{ what: 'a', mm: acrossMm }], along: [{ what: 'b', mm: alongMm }] }],
  });
  test.each([
    [4000, 10_000, false],
    [4000.1, 10_000, true],
    [1000, 11_000, false],
    [1000, 11_001, true],
  ])('%s by %s mm is more than one person handles: %s', (across, along, said) =>
    expect(hugeSheet(sized(across, along), site({})) !== undefined).toBe(said),
  );

  const covered = (key: string, more: Partial<Assembly> = {}): Assembly => ({
    ...tunnel,
    sheets: [{ ...sheet, cover: coverMaterial(SHIPPED, key) } as SheetPart],
    enclosure: { ...tunnel.enclosure, skins: [{ cover: coverMaterial(SHIPPED, key), m2: 1 }] },
    ...more,
  });
  test('film without its stabiliser, white film, and neither', () => {
    expect(noUv(covered('film-clear'), site({}))?.id).toBe('no uv');
    expect(noUv(covered('film-uv'), site({}))).toBeUndefined();
    expect(whiteFilm(covered('film-white'), site({}))?.id).toBe('white film');
    expect(whiteFilm(covered('film-uv'), site({}))).toBeUndefined();
  });
  test('staples tear film, not fabric; battens over them hold', () => {
    expect(staples(covered('film-uv', { fixing: 'staples' }), site({}))?.verdict).toBe('fails');
    expect(staples(covered('fabric-30', { fixing: 'staples' }), site({}))).toBeUndefined();
    expect(staples(covered('film-uv', { fixing: 'battens' }), site({}))).toBeUndefined();
  });
  test('bare PVC, a sharp edge and an open end are said of film alone, and only where nothing guards it', () => {
    const on = (what: Assembly['contacts'][number]['what'], guarded: boolean, key = 'film-uv'): Assembly =>
      covered(key, { contacts: [{ what, guarded }] as unknown as Assembly['contacts'] });
    expect(barePvc(on('bare PVC', false), site({}))?.id).toBe('bare pvc');
    expect(barePvc(on('bare PVC', true), site({}))).toBeUndefined();
    expect(barePvc(on('bare PVC', false, 'fabric-30'), site({}))).toBeUndefined();
    for (const what of ['plywood edge', 'pipe end', 'timber corner'] as const) {
      expect(wear(on(what, false), site({}))).toMatchObject({ id: 'wear', verdict: 'tight' });
      expect(wear(on(what, true), site({}))).toBeUndefined();
      expect(wear(on(what, false, 'fabric-30'), site({}))).toBeUndefined();
    }
    expect(wear(on('bare PVC', false), site({}))).toBeUndefined();
  });
  test('a piece larger than any sheet is named', () => {
    const check = tooLargeSheet(tunnel, site({ sheets: { tooLarge: [{ tag: 'G4' }, { tag: 'G5' }] } }));
    expect(check).toMatchObject({ id: 'panel', verdict: 'fails' });
    expect(JSON.stringify(check?.text)).toContain('Piece G4');
    expect(tooLargeSheet(tunnel, site({}))).toBeUndefined();
  });
});
