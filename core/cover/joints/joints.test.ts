import type { BuildSite } from '../../site/buildSite';
import { SHIPPED, SHIPPED_ENTRIES, catalogFrom, section } from '../../catalog/catalog';
import type { Joint, Member, AssemblySpec } from '../assembly/types';
import type { Opening } from '../assembly/openings';
import { at, build } from '../../testing/site';
import { assembled } from './derive';
import { KINDS, type KindKey, evenly, hardwareOf, joint, jointKind, roundBox, spread } from '.';

const PLACE = [0, 0, 0] as const;
const some = (kind: KindKey, count: number, more: Joint['with'] = {}): readonly Joint[] =>
  joint(kind, 'j', 'here', [], [], { count, with: more });
const takes = (joints: readonly Joint[]): string =>
  hardwareOf(joints)
    .map((h) => `${h.count} ${h.itemKey}`)
    .join(', ');

// Worked by hand: so many joints, and what each takes.
test.each<[KindKey, number, Joint['with'], string]>([
  ['strap', 10, {}, '10 strap, 20 screw-1'], // a strap has two holes
  ['buttScrew', 4, { screw: 'screw-3', each: 3 }, '12 screw-3'], // 4 corners of 3 screws
  ['buttScrew', 6, {}, '12 screw-2-1/2'], // two an end unless said
  ['channel', 7, {}, '7 channel, 7 spring-wire, 21 tek-screw'], // a screw each third of a metre
  ['batten', 14, {}, '14 screw-1-5/8'],
  ['glazing', 30, { tapeM: 4, joinM: 3 }, '30 glazing-screw, 4 edge-tape, 3 joining-strip'],
  ['glazing', 30, { tapeM: 4, stripM: 0 }, '30 glazing-screw, 4 edge-tape'], // no strip under flat sheet
  ['guardPvc', 1, { how: 'paint', tins: 2 }, '2 paint'],
  ['guardPvc', 1, { how: 'tape', metres: 9 }, '9 pipe-tape'],
  ['guardPvc', 1, { how: 'none' }, ''],
  ['edgeGuard', 5, { how: 'hose' }, '5 edge-guard'],
  ['edgeGuard', 5, { how: 'bare' }, ''],
  ['cap', 6, {}, '6 end-cap'],
  ['cap', 6, { of: 'wire' }, '6 end-sleeve'],
  ['post', 8, { set: 'dug' }, '8 post-mix'],
  ['post', 8, { set: 'driven' }, ''],
  ['pipeInSoil', 12, {}, ''],
  ['laid', 3, {}, ''],
  ['latch', 2, {}, '2 latch'],
  ['bag', 5, {}, '5 sandbag'],
])('%s, %d of them, %j: %s', (kind, count, more, expected) => expect(takes(some(kind, count, more))).toBe(expected));

const LOAM = { catalog: SHIPPED, market: 'imperial' as const, bed: { soil: 'loam' as const } };

test('every kind takes things of the catalogue, and what holds down has its strength there', () => {
  for (const [key, kind] of Object.entries(KINDS)) {
    for (const { itemKey } of kind.takes({ id: '', kind: key, where: '', tags: [], places: [PLACE] }, 1))
      if (itemKey !== '') expect([key, itemKey, SHIPPED.item.has(itemKey)]).toEqual([key, itemKey, true]);
    if (kind.holds) expect([key, SHIPPED.joint.get(kind.holds.key)?.holdsN ?? 0]).not.toEqual([key, 0]);
  }
  expect(() => jointKind('glue')).toThrow('glue');
});

test('none of a kind is no joint; but a bare edge, and what is asked for by number, are said', () => {
  expect(joint('clip', 'c', 'here', [], [])).toEqual([]);
  expect(joint('latch', 'l', 'here', [], [], { ask: 'latches' })).toHaveLength(1);
  expect(joint('edgeGuard', 'e', 'here', [], [], { with: { how: 'bare' } })).toHaveLength(1);
});

test('places lie as even as can be, ends with one each', () => {
  expect(evenly([0, 0, 0], [900, 0, 0], 4).map((p) => p[0])).toEqual([0, 300, 600, 900]);
  expect(evenly([0, 0, 0], [900, 0, 0], 1)).toEqual([[450, 0, 0]]);
  // 1000 mm at no more than 300 apart: four gaps of 250, five places.
  expect(spread([0, 0, 0], [0, 1000, 0], 300).map((p) => p[1])).toEqual([0, 250, 500, 750, 1000]);
  const round = roundBox([0, 1000, 0, 500, 80], 5);
  expect(round.filter((p) => p[1] === 0)).toHaveLength(3);
  expect(round.filter((p) => p[1] === 500)).toHaveLength(2);
});

const board: Member = {
  tag: 'A1',
  part: 'Front',
  section: section(SHIPPED, '2x4'),
  shape: { kind: 'straight', from: [0, 0, 0], to: [1000, 0, 0], wide: [0, 0, 1] },
  lengthMm: 1000,
  ends: ['square', 'square'],
  holes: [],
  marks: [],
};
const lid: Opening = {
  name: 'Lid',
  by: 'lid',
  tags: ['A1'],
  line: [
    [0, 0, 0],
    [1000, 0, 0],
  ],
  travel: { deg: 60 },
  shut: ['latches'],
  open: ['stays'],
  reachedFrom: 'near',
  screened: true,
  lift: {
    motion: 'hinged',
    extraKg: 0,
    people: 1,
    hung: { alongMm: 1000, reachMm: 500, pitchDeg: 0, opener: undefined },
  },
};
const made: AssemblySpec = {
  ...build('hinged-hoop-lid', at(96, 44)),
  members: [board],
  sheets: [],
  panels: [],
  blocks: [],
  joints: [
    ...joint('latch', 'latches', 'Lid to the bed', [board], [PLACE, PLACE], { ask: 'latches' }),
    ...joint('latch', 'other', 'Of another lid', [board], [PLACE]),
    ...joint('stay', 'stays', 'Lid to the bed', [board], [PLACE]),
    ...joint('strap', 'feet', 'Feet to the lid', [board], [PLACE, PLACE], { with: { holds: 'nothing' } }),
    ...joint('strap', 'down', 'Lid to the wall', [board], [PLACE, PLACE, PLACE], { with: { what: 'wall straps' } }),
    ...joint('post', 'posts', 'Posts', [board], [PLACE, PLACE], { with: { depthMm: 900 } }),
    ...joint('cap', 'ends', 'Pipe ends', [board], [PLACE], { with: { how: 'bare' } }),
  ],
  openings: [lid],
  steps: [
    {
      id: 'hang',
      title: 'Hang',
      view: 'plan',
      tags: ['A1'],
      joints: ['latches', 'down'],
      work: [],
      tools: ['driver', 'square'],
      checks: [],
      cautions: [],
      minutes: 10,
    },
  ],
};

test('what holds the cover down is counted of the joints that do, by the strengths of the catalogue in hand', () => {
  const holds = assembled(made, LOAM).footing.holdDowns.filter((h) => h.what !== KINDS.latch.name[1]);
  // Posts of 900 mm hold 900/600 of 900 N; straps that only hold a hoop in its lid hold nothing down.
  expect(holds).toContainEqual({ what: 'wall straps', count: 3, eachN: 300 });
  expect(holds).toContainEqual({ what: 'posts in the ground', count: 2, eachN: 1350, soil: 'loam' });
  expect(holds.filter((h) => h.what.includes('strap'))).toHaveLength(1);
  const strong = catalogFrom({
    ...SHIPPED_ENTRIES,
    joint: new Map([...SHIPPED.joint].map(([key, s]) => [key, { ...s, holdsN: 2 * s.holdsN }])),
  });
  expect(assembled(made, { ...LOAM, catalog: strong }).footing.holdDowns).toContainEqual({
    what: 'wall straps',
    count: 3,
    eachN: 600,
  });
});

test('a lid hangs by its own latches and stays, not by those of another', () => {
  const [part] = assembled(made, LOAM).moving;
  expect(part).toMatchObject({
    name: 'Lid',
    memberTags: ['A1'],
    hung: { latches: { count: 2, eachN: 450 }, stays: { count: 1, eachN: 700 } },
  });
});

test('a bare edge is a contact; air leaves by the lid, by itself only where something opens it', () => {
  const a = assembled(made, LOAM);
  expect(a.contacts).toEqual([{ what: 'pipe end', guarded: false }]);
  // Propped at 45 degrees: 1 m x .5 m x 2 sin 22.5 in front, .5 m x .5 m x sin 45 at both sides; nothing by itself.
  const { aloneM2, byHandM2, ...by } = a.ventilation;
  expect(by).toEqual({ by: 'lid', screened: true });
  expect([aloneM2, byHandM2]).toEqual([0, expect.closeTo(0.3827 + 0.1768, 3)]);
  const hung = {
    alongMm: 1000,
    reachMm: 500,
    pitchDeg: 0,
    opener: { armMm: 300, liftsKg: 7, holdsN: 120, behindScreen: false, opensDeg: 50 },
  };
  const alone: Opening = { ...lid, lift: { motion: 'hinged', extraKg: 0, people: 1, hung } };
  expect(assembled({ ...made, openings: [alone] }, LOAM).ventilation.by).toBe('opener');
  expect(assembled({ ...made, openings: [lid, { ...lid, by: 'vent' }] }, LOAM).ventilation.by).toBe('vent');
  expect(assembled({ ...made, openings: [] }, LOAM).ventilation.by).toBe('none');
});

test('a step takes what its joints take, with their tools and minutes', () => {
  const [step] = assembled(made, LOAM).steps;
  expect(step?.takes.map((t) => `${t.count} ${t.itemKey}`)).toEqual(['2 latch', '3 strap', '6 screw-1']);
  expect(new Set(step?.tools).size).toBe(step?.tools.length);
  expect(step?.tools).toEqual(expect.arrayContaining(['driver', 'square', 'strap bit']));
  // 10, two latches, and three straps of 1.2.
  expect(step?.minutes).toBeCloseTo(10 + 2 * KINDS.latch.minutes + 3.6, 9);
});

test('what holds in the soil holds by the soil; what holds on the wall or by its weight does not', () => {
  const bed = (soil: 'soft' | 'loam' | 'clay' | 'stony'): BuildSite => {
    const s = at(96, 48);
    return { ...s, bed: { ...s.bed, soil } };
  };
  const holds = (soil: Parameters<typeof bed>[0], family: string) =>
    Object.fromEntries(build(family, bed(soil)).footing.holdDowns.map((h) => [h.what, h.eachN]));
  // A rod holds 60 N in loam: half in soft mix, a fifth more in clay, a fifth less among stones.
  expect(
    (['soft', 'loam', 'clay', 'stony'] as const).map((s) => holds(s, 'staked-tunnel')['pipes over driven rods']),
  ).toEqual([30, 60, 72, 48]);
  expect(holds('soft', 'staked-tunnel')['weights on skirts and ends']).toBe(49);
  expect(holds('soft', 'a-frame')).toEqual(holds('clay', 'a-frame'));
});

test('small knowledge of a joint is said at the step that makes it, once', () => {
  const a = build('hinged-hoop-lid', at(128, 44), { feet: 'screwed' });
  const said = (id: string): readonly string[] =>
    a.steps
      .find((s) => s.id === id)
      ?.work.flat()
      .map(String) ?? [];
  expect(said('bend').filter((x) => x.includes('snug, not tight'))).toHaveLength(1);
  expect(said('hang').filter((x) => x.includes('Galvanised or stainless'))).toHaveLength(1);
  expect(said('cover').filter((x) => x.includes('a crushed lath splits'))).toHaveLength(1);
  expect(said('cut').filter((x) => /snug|stainless|crushed/.test(x))).toEqual([]);
});
