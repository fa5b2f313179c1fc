import { SHIPPED, holdsN } from '../../catalog/catalog';
import type { Bed } from '../../site/bed';
import { at, build } from '../../testing/site';
import type { Opening } from '../assembly/openings';
import type { Joint, AssemblySpec } from '../assembly/types';
import { assembled, holdDownsOf } from './derive';

const ground = (soil: Bed['soil'] = 'loam') => ({ catalog: SHIPPED, market: 'imperial' as const, bed: { soil } });
const joint = (id: string, kind: string, more: Partial<Joint> = {}): Joint => ({
  id,
  kind,
  where: id,
  tags: [],
  places: [
    [0, 0, 0],
    [1000, 0, 0],
  ],
  ...more,
});
// A cover with nothing of its own but what a test says.
const plain = build('wire-tunnel', at(96, 48));
const said = (more: Partial<AssemblySpec>): AssemblySpec => ({
  ...plain,
  joints: [],
  openings: [],
  members: [],
  sheets: [],
  panels: [],
  steps: [],
  ...more,
});
const of = (more: Partial<AssemblySpec>) => assembled(said(more), ground());

describe('what holds a cover down', () => {
  test('each by the table, times how many; what the soil holds by the soil, what weighs by its weight', () => {
    const rods = [joint('Rods', 'drivenRod'), joint('Latches', 'latch', { ask: 'latches', count: 3 })];
    const [rod, latch] = holdDownsOf(rods, ground('soft'));
    // Soft mix holds half of what loam does; two places are two rods.
    expect(rod).toMatchObject({ count: 2, eachN: holdsN(SHIPPED, 'rod') / 2, soil: 'soft' });
    expect(holdDownsOf(rods, ground('clay'))[0]?.eachN).toBeCloseTo(1.2 * holdsN(SHIPPED, 'rod'), 9);
    expect(latch).toEqual({ what: 'latches', count: 3, eachN: 450, ask: 'latches' });
    // A bar of 7.5 kg for each place is one and a half bags of five.
    const [bar] = holdDownsOf([joint('Bars', 'weightBar', { with: { kgEach: 7.5 } })], ground());
    expect(bar?.eachN).toBeCloseTo(1.5 * holdsN(SHIPPED, 'bag'), 9);
  });
  test('not what has no strength, nor what is said to hold nothing there; named as the joint says', () => {
    expect(
      holdDownsOf([joint('Stays', 'stay'), joint('x', 'latch', { with: { holds: 'nothing' } })], ground()),
    ).toEqual([]);
    expect(holdDownsOf([joint('x', 'latch', { with: { what: 'hooks of the door' } })], ground())[0]?.what).toBe(
      'hooks of the door',
    );
  });
});

describe('what moves', () => {
  const lid: Opening = {
    name: 'Lid 1',
    by: 'lid',
    tags: ['B1', 'S1', 'P1'],
    line: [
      [0, 0, 0],
      [1000, 0, 0],
    ],
    travel: { deg: 90 },
    shut: ['shut'],
    open: ['open'],
    reachedFrom: 'near',
    screened: true,
    lift: {
      motion: 'hinged',
      extraKg: 2,
      people: 1,
      hung: { alongMm: 1000, reachMm: 600, pitchDeg: 10, opener: undefined },
    },
  };
  const joints = [
    joint('shut', 'latch', { ask: 'latches' }),
    joint('open', 'stay'),
    joint('other', 'latch'),
    // A hinge is no latch, though it is named among what holds it shut.
    joint('hinges', 'hinge'),
  ];
  const board = plain.members.slice(0, 1).map((m) => ({ ...m, tag: 'B1' }));

  test('its own pieces, its own latches and stays, and what one of them holds', () => {
    const [part, ...more] = of({
      openings: [
        { ...lid, shut: ['shut', 'hinges'] },
        { ...lid, name: 'Flap', lift: undefined as never },
      ],
      joints,
      members: [...board, ...board.map((m) => ({ ...m, tag: 'B2' }))],
    }).moving;
    expect(more).toEqual([]);
    expect(part).toMatchObject({
      name: 'Lid 1',
      memberTags: ['B1'],
      sheetTags: [],
      panelTags: [],
      extraKg: 2,
      people: 1,
    });
    expect(part?.hung).toMatchObject({
      alongMm: 1000,
      latches: { count: 2, eachN: 450, ask: 'latches' },
      stays: { count: 2, eachN: holdsN(SHIPPED, 'stay') },
    });
    expect(part?.hung?.stays).not.toHaveProperty('ask');
  });

  test('air by what opens by itself where anything does, else by vents, else by what is opened first', () => {
    const opener = { armMm: 200, liftsKg: 7, holdsN: 100, opensDeg: 30, behindScreen: false };
    const hung = lid.lift?.hung;
    if (!hung || !lid.lift) throw new Error('no lid');
    const waxed: Opening = { ...lid, screened: false, lift: { ...lid.lift, hung: { ...hung, opener } } };
    const vent: Opening = { ...lid, by: 'vent', screened: false, airM2: 0.05, lift: undefined as never };
    const air = (...openings: Opening[]) => of({ openings, joints }).ventilation;
    // 45 degrees: the front 1 x .6 x 2 sin 22.5, and two triangles .36 sin 45 / 2.
    const byHand = 0.6 * 2 * Math.sin(Math.PI / 8) + 0.36 * Math.sin(Math.PI / 4);
    expect(air(lid)).toEqual({ by: 'lid', screened: true, aloneM2: 0, byHandM2: expect.closeTo(byHand, 9) as number });
    expect(air(lid, vent)).toMatchObject({
      by: 'vent',
      screened: false,
      byHandM2: expect.closeTo(byHand + 0.05, 9) as number,
    });
    // As far as the wax pushes: 30 degrees.
    const alone = 0.6 * 2 * Math.sin(Math.PI / 12) + 0.36 * Math.sin(Math.PI / 6);
    expect(air(lid, vent, waxed)).toEqual({
      by: 'opener',
      screened: false,
      aloneM2: expect.closeTo(alone, 9) as number,
      byHandM2: expect.closeTo(byHand + 0.05, 9) as number,
    });
    expect(air()).toEqual({ by: 'none', screened: false, aloneM2: 0, byHandM2: 0 });
  });
});

test('a step takes what its joints take, with their tools, cautions and minutes, each said once', () => {
  const [step] = of({
    joints: [joint('a', 'latch'), joint('b', 'latch', { count: 3 }), joint('c', 'drivenRod'), joint('d', 'stay')],
    steps: [
      {
        id: 'x',
        title: 'X',
        parts: [],
        joints: ['a', 'b', 'c'],
        work: [['Do it.']],
        checks: [],
        tools: ['driver', 'hand saw'],
        cautions: [],
        minutes: 7,
      } as unknown as AssemblySpec['steps'][number],
    ],
  }).steps;
  // Two and three latches at 5 minutes, two rods at 4, and its own 7.
  expect(step?.minutes).toBe(7 + 5 * 5 + 2 * 4);
  expect(step?.tools).toEqual(['driver', 'hand saw', 'level']);
  expect(step?.takes.map(({ itemKey, count }) => [itemKey, count])).toEqual([
    ['latch', 2],
    ['latch', 3],
  ]);
  expect(step?.cautions).toHaveLength(1);
});

test('blocks by kind and old windows by the piece are bought whole', () => {
  const block = (itemKey: string) => ({ itemKey }) as unknown as AssemblySpec['blocks'][number];
  const window = { sheet: { key: 'old-window' } } as unknown as AssemblySpec['panels'][number];
  const { hardware } = of({ blocks: [block('bale'), block('brick'), block('bale')], panels: [window, window] });
  expect(hardware).toEqual([
    { itemKey: 'bale', count: 2, joint: 'Round the bed' },
    { itemKey: 'brick', count: 1, joint: 'Round the bed' },
    { itemKey: 'old-window', count: 2, joint: 'One to a lid' },
  ]);
});
