/** Pitfalls at their bounds: said just beyond, not said just within. */
import { phraseText } from '../../../base/figure';
import { thicknessMm } from '../../../catalog/sections';
import { SHIPPED, coverMaterial, cropOf } from '../../../catalog/catalog';
import type { Assembly, Joint, SheetPart } from '../../../cover/assembly/types';
import { at, build } from '../../../testing/site';
import { METRIC, lid } from '../../../testing/judged';
import type { CheckSite } from '../check';
import { animals, cooks, latchedOpener, pollination, screenArm } from './air';
import { bulge, crowded, fits, noWayIn, rot, sits, unheld, wallInBed, wholeBar } from './frame';
import { barePvc, hugeSheet, noUv, staples, tooLargeSheet, unweighted, wear, whiteFilm } from './skin';

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
  test('staples with nothing over them tear film, in time fabric and film under tape, not a net', () => {
    const of = (cover: string, alone?: Joint['alone']) =>
      staples(covered(cover, { joints: tunnel.joints.map((j) => ({ ...j, ...(alone && { alone }) })) }), site({}));
    expect(of('film-uv', 'fixing')).toMatchObject({
      verdict: 'fails',
      tries: [{ change: { id: 'fixing', value: 'battens' } }],
    });
    expect(of('film-uv', 'edges')).toMatchObject({
      verdict: 'fails',
      tries: [{ change: { id: 'edges', value: 'battened' } }],
    });
    expect(of('film-uv', 'tape')).toMatchObject({
      verdict: 'tight',
      tries: [{ change: { id: 'tape', value: 'tape' } }],
    });
    expect(of('fabric-30', 'fixing')?.verdict).toBe('tight');
    expect([of('net', 'fixing'), of('film-uv')]).toEqual([undefined, undefined]);
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

/** A bed of 96 by 48 in with walls of 1-1/2 in, and a frame on it. */
const BED = at(96, 48);
const onBed = (more: object = {}): CheckSite => site({ site: { ...BED, ...more } });
const { lengthMm: LONG, widthMm: WIDE } = BED.survey.frameOn;
const WALL = BED.bed.wall.thicknessMm;
const framed = build('hinged-hoop-lid', BED);
const stands = (more: Partial<Assembly['footing']>): Assembly => ({
  ...framed,
  footing: { ...framed.footing, stiff: true, on: 'wall', lengthMm: LONG, widthMm: WIDE, ...more },
});

describe('a frame that is not the size of its bed', () => {
  test.each<[Partial<Assembly['footing']>, string | undefined]>([
    [{}, undefined],
    // Three millimetres are the saw's; half a wall is more than it can sit on.
    [{ widthMm: WIDE + 3 }, undefined],
    [{ widthMm: WIDE + 3.1 }, 'tight'],
    [{ lengthMm: LONG + 3.1 }, 'tight'],
    [{ widthMm: WIDE + WALL / 2 }, 'tight'],
    [{ widthMm: WIDE + WALL / 2 + 0.1 }, 'fails'],
    // Smaller by a wall it falls inside.
    [{ widthMm: WIDE - WALL }, undefined],
    [{ widthMm: WIDE - WALL - 0.1 }, 'fails'],
    // Over a part of the bed it is as short as it likes.
    [{ lengthMm: LONG / 2 }, undefined],
    [{ widthMm: WIDE + 50, on: 'ground' }, undefined],
    [{ widthMm: WIDE + 50, on: 'soil' }, undefined],
    [{ widthMm: WIDE + 50, stiff: false }, undefined],
  ])('%j: %s', (more, verdict) => {
    expect(fits(stands(more), onBed())?.verdict).toBe(verdict);
  });
  test('it is said what it goes on, or into', () => {
    const said = (on: 'wall' | 'inside the wall') =>
      phraseText(fits(stands({ on, widthMm: WIDE + 50 }), onBed())?.text ?? [], METRIC);
    expect(said('wall')).toMatch(/^The frame is 50 mm larger than the bed it goes on\./);
    // The same 50 mm, both walls, and the play of 6 mm on either side.
    expect(said('inside the wall')).toMatch(/^The frame is 138 mm larger than the bed it goes into\./);
  });
});

describe('what keeps it from sitting down', () => {
  const told = (survey: object, bed: object = {}, footing: Partial<Assembly['footing']> = {}) =>
    sits(stands(footing), onBed({ bed: { ...BED.bed, ...bed }, survey: { ...BED.survey, ...survey } }));
  const packers = (nearRight: number) => ({ packersMm: { ...BED.survey.packersMm, nearRight } });
  test.each<[object, boolean]>([
    [{}, false],
    [packers(3), false],
    [packers(3.1), true],
    [{ skewMm: 10 }, false],
    [{ skewMm: 10.1 }, true],
    [{ skewMm: -10.1 }, true],
  ])('%j: %s', (survey, said) => {
    expect(told(survey) !== undefined).toBe(said);
  });
  test('it says what is wrong: the level, the square, or both', () => {
    const words = (survey: object) => JSON.stringify(told(survey)?.text);
    const [level, square] = [words(packers(20)), words({ skewMm: 12 })];
    expect([level.includes('not level'), level.includes('out of square')]).toEqual([true, false]);
    expect([square.includes('not level'), square.includes('out of square')]).toEqual([false, true]);
    expect(words({ ...packers(20), skewMm: 12 })).toMatch(/not level.*out of square/);
    // Nothing but its words and figures.
    expect(told(packers(20))?.text).toHaveLength(3);
  });
  test('lines over the wall; nothing of it where it stands on the ground or gives way', () => {
    expect(told({}, { wateringOverWall: true })?.id).toBe('sits');
    for (const footing of [{ on: 'ground' }, { on: 'soil' }, { stiff: false }] as const)
      expect(told(packers(20), { wateringOverWall: true }, footing)).toBeUndefined();
  });
});

describe('wood at the soil', () => {
  const board = framed.members.find((m) => m.shape.kind === 'straight' && m.section.shape.kind === 'board');
  const spruce = (thickMm: number, zMm: number, y = -100): Assembly => {
    if (board?.shape.kind !== 'straight') throw new Error('no board');
    return {
      ...framed,
      members: [
        {
          ...board,
          section: {
            ...board.section,
            materialKey: 'spruce',
            shape: { kind: 'board', thicknessMm: thickMm, widthMm: 89 },
          },
          shape: { ...board.shape, from: [0, y, zMm], to: [1000, y, zMm], wide: [0, 0, 1] },
        } as Assembly['members'][number],
      ],
    };
  };
  test.each([
    // Its lower edge is half its width under its middle: within five millimetres of the ground it gets wet.
    [38, 89 / 2 + 4, -100, 'tight'],
    [38, 89 / 2 + 6, -100, undefined],
    [25, 89 / 2, -100, 'fails'],
    [26, 89 / 2, -100, 'tight'],
  ])('%d mm thick, its middle %d mm up: %s', (thick, z, y, verdict) => {
    expect(rot(spruce(thick, z, y), onBed())?.verdict).toBe(verdict);
  });
  test('inside the bed it is the soil that is wet, not the ground', () => {
    expect(rot(spruce(38, 89 / 2 + 100, WIDE / 2), onBed())?.verdict).toBe('tight');
    expect(rot(spruce(38, 89 / 2 + 100, -100), onBed())).toBeUndefined();
  });
});

describe('a post in the bed', () => {
  const house = build('walk-in', at(96, 48));
  const post = (x: number, y: number): Assembly => {
    const tag = house.posts[0]?.tags[0] ?? '';
    return {
      ...house,
      members: house.members
        .filter((m) => m.tag === tag)
        .map((m) => ({ ...m, shape: { ...m.shape, to: [x, y, 500] } }) as typeof m),
    };
  };
  test.each([
    [LONG / 2, WIDE / 2, true],
    [1, 1, true],
    [LONG - 1, WIDE - 1, true],
    [0, WIDE / 2, false],
    [LONG, WIDE / 2, false],
    [LONG / 2, 0, false],
    [LONG / 2, WIDE, false],
    [-50, WIDE / 2, false],
    [LONG / 2, WIDE + 50, false],
  ])('at %d along and %d across: %s', (x, y, said) => {
    expect(wallInBed(post(x, y), onBed()) !== undefined).toBe(said);
  });
});

test.each([
  // Wider than its feet by an inch, and than what it stands on by as much with its own thickness.
  [1026, 1000, 21, true, 13],
  [1025, 1000, 21, false, 0],
  [1100, 1000, 21, true, 50],
  [1100, 1000, 200, false, 0],
])('a hoop %d wide on feet %d apart, over %d mm more of frame: %s', (maxWidthMm, spanMm, more, said, eachMm) => {
  const [arch] = framed.arches;
  if (!arch) throw new Error('no hoops');
  const od = thicknessMm(arch.section);
  const a: Assembly = {
    ...framed,
    footing: { ...framed.footing, widthMm: spanMm + more - 25 },
    arches: [{ ...arch, sprung: true, hoop: { ...arch.hoop, maxWidthMm, spanMm } }],
  };
  const check = bulge(a, onBed());
  expect(od).toBeGreaterThan(20);
  expect(check !== undefined).toBe(said);
  if (said) expect(check?.text[1]).toMatchObject({ value: eachMm });
});

test('hoops that crowd: three and more, nearer than 29 cm', () => {
  const row = (n: number, spacingMm: number): Assembly => {
    const [arch] = framed.arches;
    if (!arch) throw new Error('no hoops');
    const places = Array.from({ length: n }, (_, i) => i * spacingMm);
    return { ...framed, arches: [{ ...arch, xsMm: places, spacingMm }] };
  };
  expect([row(3, 289), row(3, 290), row(2, 100), row(9, 200)].map((a) => crowded(a, onBed()) !== undefined)).toEqual([
    true,
    false,
    false,
    true,
  ]);
});

test('a piece as long as a whole board, within three millimetres; and a cover that nothing opens', () => {
  const long = (mm: number): Assembly => {
    const m = framed.members.find((x) => x.section.shape.kind === 'board');
    const bar = m?.section.stock[0]?.lengthMm ?? NaN;
    return { ...framed, members: m ? [{ ...m, lengthMm: bar + mm }] : [] };
  };
  expect([0, 2.9, -2.9, 3, -3].map((mm) => wholeBar(long(mm), onBed()) !== undefined)).toEqual([
    true,
    true,
    true,
    false,
    false,
  ]);
  const [opening] = framed.openings;
  const reached = (...from: readonly ('near' | 'none')[]): Assembly => ({
    ...framed,
    openings: from.flatMap((reachedFrom) => (opening ? [{ ...opening, reachedFrom }] : [])),
  });
  expect(JSON.stringify(noWayIn(reached(), onBed())?.text)).toContain('nothing of it opens');
  expect(JSON.stringify(noWayIn(reached('none'), onBed())?.text)).toContain('for air alone');
  expect(noWayIn(reached('none', 'near'), onBed())).toBeUndefined();
});

test('a roof wants an anchor in the wall each 500 mm, and two in each post', () => {
  // 96 in are 2438 mm: five spaces and so six, and two posts.
  const of = (wallAnchors: number) => unheld(build('lean-to', at(96, 44), { wallAnchors }), site({}));
  expect([10, 9, 5, 4, 0].map((n) => of(n)?.verdict)).toEqual([undefined, 'tight', 'tight', 'fails', 'fails']);
  expect([0, 1, 4].map((n) => String(of(n)?.text[0]).slice(0, 16))).toEqual([
    'No anchor holds ',
    'One anchor holds',
    '4 anchors hold t',
  ]);
  expect(of(4)?.tries).toMatchObject([{ change: { id: 'wallAnchors', value: 10 } }]);
});

test('its brackets are those of a box: each 1.2 m of both long sides, and four at the least', () => {
  const of = (long: number, anchors: number) => unheld(build('lean-to', at(long, 44), { anchors }), site({}))?.verdict;
  // 96 in are three spaces and so six; 40 in four.
  expect([6, 5, 3, 2].map((n) => of(96, n))).toEqual([undefined, 'tight', 'tight', 'fails']);
  expect([4, 3, 1].map((n) => of(40, n))).toEqual([undefined, 'tight', 'fails']);
});

describe('weights on a loose sheet', () => {
  // 96 in are 2.4 m: one bag each metre of both skirts, three each, and one at every corner; of bricks twice as many.
  test.each([
    ['bags', 10, undefined],
    ['bags', 9, 'tight'],
    ['bags', 5, 'tight'],
    ['bags', 4, 'fails'],
    ['bags', 0, 'fails'],
    ['bricks', 20, undefined],
    ['bricks', 19, 'tight'],
    ['bricks', 9, 'fails'],
  ])('%s, %s of them: %s', (skirtUnder, weights, verdict) => {
    const said = unweighted(build('staked-tunnel', at(96, 44), { skirtUnder, weights }), site({}));
    expect(said?.verdict).toBe(verdict);
  });

  test('it says how many there are and how many are usual, and offers these', () => {
    const of = (weights: number) => unweighted(build('staked-tunnel', at(96, 44), { weights }), site({}));
    expect(of(0)?.text).toEqual([expect.stringContaining('No weight holds the loose sheet, where 10 are usual')]);
    expect(of(1)?.text).toEqual([expect.stringContaining('One weight holds')]);
    expect(of(7)?.text).toEqual([expect.stringContaining('7 weights hold')]);
    expect(of(7)?.tries).toMatchObject([{ change: { id: 'weights', value: 10 } }]);
  });

  test('where the edges are battened to the wall only the ends want theirs; bars lie by themselves', () => {
    const of = (more: object) => unweighted(build('staked-tunnel', at(96, 44), more), site({}))?.verdict;
    expect([of({ edges: 'battened', weights: 4 }), of({ edges: 'battened', weights: 3 })]).toEqual([
      undefined,
      'tight',
    ]);
    expect(of({ skirtUnder: 'boards', weights: 0 })).toBeUndefined();
  });
});
