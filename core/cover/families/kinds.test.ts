import fc from 'fast-check';
import { NOTHING_OWN, catalogOf } from '../../catalog/own';
/** Known answers of each kind, worked out by hand. */
import { at, build, inch, countItems, siteOf } from '../../testing/site';
import { SHIPPED, section } from '../../catalog/catalog';
import { outlineSize } from '../../base/geometry';
import type { BuildSite } from '../../site/buildSite';
import { mirrored } from '../assembly/mirror';
import { endsOf, panelNormal } from '../assembly/pieces';
import { hingeCount } from '../joints/hingeCount';
import type { Assembly, Member } from '../assembly/types';
import { takeUpMm } from '../../catalog/fittings';
import { coldestNight } from '../../judge/climate/coldest';
import { sheetSize } from '../../make/rolls/rolls';
import { MM_PER_INCH } from '../../base/length';
import { FAMILY_KEYS, familyOf } from '.';

const piece = (a: Assembly, tag: string): Member => {
  const found = a.members.find((m) => m.tag === tag);
  if (!found) throw new Error(`no ${tag}: ${a.members.map((m) => m.tag).join(' ')}`);
  return found;
};
const inches = (a: Assembly, tag: string): number => piece(a, tag).lengthMm / MM_PER_INCH;
const fault = (key: string, site: BuildSite, more: object): string | undefined => {
  const family = familyOf(key);
  const found = family.assemble({ ...family.defaults(site), ...more }, site);
  return found.ok ? undefined : found.faults[0]?.field;
};

test('a part that runs past the end of its bed is refused by every kind that covers a part', () => {
  const site = siteOf(2440, 1220);
  const past = (startMm: number) => ({ extent: { kind: 'part', startMm, lengthMm: 1600 } });
  const partly = FAMILY_KEYS.filter((key) => 'extent' in familyOf(key).defaults(site));
  // A house with a path round the bed is as long as it is said to be.
  expect(FAMILY_KEYS.filter((key) => !partly.includes(key))).toEqual(['walk-in']);
  for (const key of partly) expect([key, fault(key, site, past(900))]).toEqual([key, 'coverLength']);
  expect(fault('a-frame', site, past(840))).toBeUndefined();
});

test('walls and lids under film want film off a roll: fabric is refused by name, in whatever way it is given', () => {
  for (const key of ['double-wall-cold-frame', 'sloped-cold-frame', 'lean-to']) {
    const family = familyOf(key);
    const against = (cover: string) => family.against({ ...family.defaults(at(96, 48)), cover }, SHIPPED);
    expect([key, against('fabric-30')]).toEqual([key, [{ id: 'cover', message: 'must be a film off a roll' }]]);
    expect(against('film-uv')).toEqual([]);
  }
});

test('on rails too the roll limits the height: the sheet comes out as wide as its roll, pull and wraps with it', () => {
  const on = (key: string, more: object) => {
    const a = build(key, at(96, 36), { shape: { by: 'sheet' }, ...more });
    return { widthMm: a.sheets[0] ? sheetSize(a.sheets[0]).acrossMm : 0, heightMm: a.arches[0]?.hoop.heightMm ?? 0 };
  };
  const fabric = { cover: 'fabric-30', roll: 'fabric-30 83 in x 50 ft' };
  // Strapped inside the rails, held upright by them, or standing on them: each from where its free part begins.
  for (const [key, more] of [
    ['lift-off-cover', {}],
    ['hinged-hoop-lid', { feet: 'holes' }],
    ['hinged-hoop-lid', { feet: 'sockets' }],
  ] as const) {
    const hoop = on(key, { ...fabric, ...more });
    expect([key, hoop.widthMm / 25.4]).toEqual([key, expect.closeTo(83, 1)]);
    expect(hoop.heightMm).toBeGreaterThan(inch(12));
  }
});

describe('lift-off hoop cover', () => {
  test('on the wall: plywood outside the frame takes its thickness off the rails', () => {
    const a = build('lift-off-cover', at(96, 48));
    expect(inches(a, 'A1')).toBeCloseTo(96 - (2 * 6.4) / 25.4, 3);
    expect(inches(a, 'A3')).toBeCloseTo(48 - 2 * 1.5, 6);
    expect(outlineSize(a.panels[0]?.outline ?? []).uMm / 25.4).toBeCloseTo(48, 2);
    expect(inches(build('lift-off-cover', at(96, 48), { ends: 'folded' }), 'A1')).toBeCloseTo(96, 6);
  });
  test('inside the wall: as wide as the bed inside, less the room all round', () => {
    const a = build('lift-off-cover', at(96, 48), { sits: 'inside' });
    expect(a.footing.widthMm).toBeCloseTo(inch(45) - 12, 6);
    expect(a.footing.lengthMm).toBeCloseTo(inch(93) - 12, 6);
  });
});

describe('bent-conduit frame', () => {
  const a = build('bent-conduit', at(96, 48), { shoulderMm: 300, crownMm: 520, legDepthMm: 60 });
  test('the crown stands where it was asked for, and the pipe is straights, arcs and both legs', () => {
    const arch = a.arches[0];
    expect(arch?.hoop.heightMm).toBeCloseTo(520, 3);
    expect(arch?.cutMm).toBeCloseTo((arch?.hoop.lengthMm ?? 0) + 120, 6);
    const marks = piece(a, 'H1').marks.map((m) => m.atMm);
    expect(marks).toHaveLength(6);
    // Alike from both ends: the first bend begins as far from its end as the last one stops from the other.
    expect(marks[0]).toBeCloseTo(piece(a, 'H1').lengthMm - (marks[5] ?? 0), 4);
  });
  test('a hole in both rails for every leg, and a ridge too deep or a leg too long is refused', () => {
    expect(piece(a, 'A1').holes.map((h) => h.atMm)).toEqual(piece(a, 'A1').marks.map((m) => m.atMm));
    expect(fault('bent-conduit', at(96, 48), { legDepthMm: 85 })).toBe('legDepth');
    expect(fault('bent-conduit', at(96, 48), { crownMm: 200, shoulderMm: 300 })).toBe('height');
  });
});

describe('A-frame', () => {
  test('legs by Pythagoras, cut plumb above and level below', () => {
    const a = build('a-frame', at(96, 48), { heightMm: inch(32), ridge: '2x4', leg: '2x3', pairs: 3 });
    // From the outside of the bed to the face of the ridge: 24 less three quarters.
    expect(inches(a, 'L1')).toBeCloseTo(Math.hypot(23.25, 32), 6);
    const [foot = 0, top = 0] = piece(a, 'L1').endAnglesDeg ?? [];
    expect(foot + top).toBeCloseTo(90, 9);
    expect(Math.tan((top * Math.PI) / 180)).toBeCloseTo(32 / 23.25, 9);
    expect(a.members.filter((m) => m.part === 'Leg')).toHaveLength(6);
    expect(countItems(a, 'bracket')).toBe(6);
  });
  test('too flat or too steep is refused', () => {
    expect(fault('a-frame', at(96, 48), { heightMm: 210 })).toBe('height');
    expect(fault('a-frame', at(96, 48), { heightMm: 2600 })).toBe('height');
  });
});

describe('sloped cold frame', () => {
  test('front boards that come to a sliver share what is left', () => {
    const a = build('sloped-cold-frame', at(96, 48), { board: '2x8', frontMm: inch(7.5), backMm: inch(13) });
    expect(piece(a, 'A1').taperMm?.[0]).toBeCloseTo(inch(3.75), 6);
    expect(piece(a, 'A2').taperMm?.[0]).toBeCloseTo(inch(3.75), 6);
  });
  test('windows first: the box is made to them; bed first: the list says what to look for', () => {
    const sash = { glazing: 'old-window', lids: 3, sashAlongMm: inch(28), sashReachMm: inch(49), overhangMm: 0 };
    const box = build('sloped-cold-frame', at(96, 48), { ...sash, sashBy: 'sash' });
    // Three of 28 in and 4 mm of play between them.
    expect(box.footing.lengthMm).toBeCloseTo(inch(84) + 8, 6);
    const [g] = box.panels;
    expect(outlineSize(g?.outline ?? []).vMm).toBeCloseTo(inch(49), 1);
    const bed = build('sloped-cold-frame', at(96, 48), { ...sash, sashBy: 'bed' });
    // A third of 96 in, less the play between three lids.
    expect(outlineSize(bed.panels[0]?.outline ?? []).uMm).toBeCloseTo(inch(32) - (2 * 4) / 3, 6);
    expect(countItems(bed, 'old-window')).toBe(3);
    expect(countItems(bed, 'safety-film')).toBe(3);
  });
  test('turned round, nothing changes but the side', () => {
    const far = build('sloped-cold-frame', at(96, 48));
    const near = build('sloped-cold-frame', at(96, 48), { back: 'near' });
    expect(near.members.map((m) => m.lengthMm)).toEqual(far.members.map((m) => m.lengthMm));
    const there = mirrored(mirrored(far, 1000), 1000);
    const rounded = (a: Pick<Assembly, 'members'>): string =>
      JSON.stringify(a.members, (_, x: unknown) => (typeof x === 'number' ? Math.round(x * 1000) / 1000 + 0 : x));
    expect(rounded(there)).toBe(rounded(far));
    // Glazing still grows outward, away from the plants.
    for (const p of [...far.panels, ...near.panels]) expect(panelNormal(p)[2]).toBeGreaterThan(0.5);
  });
  test.each([
    [60, 2],
    [61, 3],
    [168, 4],
  ])('hinges for %d in: %d', (lengthIn, hinges) => expect(hingeCount(inch(lengthIn))).toBe(hinges));
});

test('double-wall: walls that meet inside are refused, not built with skins of less than nothing', () => {
  // Two walls of a 2x4 laid flat are 7 in, and 200 mm must be left between them: 377.8 mm, across and along.
  const along = (lengthMm: number) => ({ stud: '2x4', extent: { kind: 'part', startMm: 0, lengthMm } });
  expect(fault('double-wall-cold-frame', at(96, 14), { stud: '2x4' })).toBe('stud');
  expect(fault('double-wall-cold-frame', at(96, 24), along(370))).toBe('stud');
  expect(fault('double-wall-cold-frame', at(96, 24), along(1000))).toBeUndefined();
});

test('double-wall: plates run whole, sides between, and the gap is the stud', () => {
  const a = build('double-wall-cold-frame', at(96, 48), { stud: '2x3', frontMm: inch(14), backMm: inch(20) });
  expect(inches(a, 'A1')).toBeCloseTo(96, 6);
  expect(inches(a, 'C1')).toBeCloseTo(48 - 2 * 2.5, 6);
  expect(inches(a, 'A3')).toBeCloseTo(14 - 3, 6);
  const [outer, inner] = a.sheets;
  if (!outer || !inner) throw new Error('two skins');
  expect((sheetSize(outer).alongMm - sheetSize(inner).alongMm) / 25.4).toBeCloseTo(8 * 2.5, 6);
});

test('straw bales: each row starts at a corner and runs past the next; the back stands on edge', () => {
  const a = build('straw-bale', at(96, 48), { courses: 1 });
  // Three of 36 in along 96 in, two along 48 in, both sides.
  expect(a.blocks).toHaveLength(10);
  expect(countItems(a, 'straw-bale')).toBe(10);
  const tops = a.blocks.map((b) => Math.round(b.high[2] / 25.4));
  expect(tops.filter((z) => z === 18)).toHaveLength(3);
  expect(tops.filter((z) => z === 14)).toHaveLength(7);
  for (const [i, p] of a.blocks.entries())
    for (const q of a.blocks.slice(i + 1)) {
      const apart = [0, 1, 2].some(
        (k) => (p.high[k] ?? 0) <= (q.low[k] ?? 0) + 1e-6 || (q.high[k] ?? 0) <= (p.low[k] ?? 0) + 1e-6,
      );
      expect(apart).toBe(true);
    }
});

test('fittings: a piece is the distance of its joints less what both take up', () => {
  const a = build('fitting-gable', at(96, 48), { pipe: 'pvc-3/4', eaveMm: inch(16), frames: 4 });
  const span = 48 - 2 * 0.75;
  expect(takeUpMm(section(SHIPPED, 'pvc-3/4'), 'tee') / 25.4).toBeCloseTo(9 / 16, 9);
  expect(inches(a, 'E1')).toBeCloseTo(span - 2 * (9 / 16), 6);
  expect(inches(a, 'P1')).toBeCloseTo(16 - 9 / 16 - 5 / 16, 6);
  expect(inches(a, 'Q1')).toBeCloseTo(span / Math.SQRT2 - 5 / 16 - 9 / 16, 6);
  expect([
    countItems(a, 'three-way'),
    countItems(a, 'tee'),
    countItems(a, 'elbow-45'),
    countItems(a, 'four-way'),
  ]).toEqual([6, 4, 8, 2]);
  expect(() => takeUpMm(section(SHIPPED, 'emt-1/2'), 'tee')).toThrow('No fittings');
});

test('mesh: whole squares, prongs in the soil, two sheets that lap at the crown', () => {
  const a = build('mesh-arch', at(96, 48), { squares: 12, prongMm: inch(5), overlapMm: inch(10), skirtMm: inch(10) });
  const mesh = a.sheets.filter((s) => s.cover.key === 'mesh');
  // 93 in inside is fifteen squares: two panels of eight lap by one.
  expect(mesh.map((m) => sheetSize(m).alongMm / inch(6))).toEqual([8, 8].map((n) => expect.closeTo(n, 6) as number));
  expect(a.arches[0]?.hoop.lengthMm).toBeCloseTo(inch(10 * 6 + 2), 6);
  const [near, far] = a.sheets;
  if (!near || !far) throw new Error('two sheets');
  expect(sheetSize(near).acrossMm).toBeCloseTo(sheetSize(far).acrossMm, 6);
  expect(near.across.map((l) => Math.round(l.mm / 25.4)).slice(1)).toEqual([5, 10, 2]);
});

describe('walk-in hoop house', () => {
  test('twelve by thirty feet of twenty-foot pipe stands', () => {
    const a = build('walk-in', at(240, 48), { widthMm: inch(144), lengthMm: inch(360) });
    const arch = a.arches[0];
    expect(arch?.cutMm).toBeCloseTo((Math.PI / 2) * inch(144) + inch(12), 3);
    expect(arch?.tags.length).toBe(9);
    expect(a.members.filter((m) => m.part === 'Post')).toHaveLength(18);
  });
  test('where it is windy a third of the post is in the ground', () => {
    const windy = build('walk-in', at(96, 48, true), { sidewallMm: 1200 });
    // Half of 1200 mm, up to the next half inch: 24 in.
    expect(piece(windy, 'P1').lengthMm).toBeCloseTo(1200 + inch(24), 6);
    const calm = build('walk-in', at(96, 48), { sidewallMm: 1500 });
    // A third of 1500 mm is 19.69 in, up to the next quarter.
    expect(piece(calm, 'P1').lengthMm).toBeCloseTo(1500 + inch(19.75), 6);
  });
  test('limits are named: too wide for its pipe, a door too high', () => {
    const s = at(96, 48);
    expect(
      familyOf('walk-in').dimension(familyOf('walk-in').defaults(s), 'width', 6000, { site: s, assembly: undefined }),
    ).toMatchObject({ ok: false, faults: [{ field: 'width', message: expect.stringContaining('14 ft') as string }] });
    expect(fault('walk-in', s, { doorHeightMm: 2200, sidewallMm: 300 })).toBe('doorHeightMm');
  });
  test('film for a roll-up side goes a turn and a half round its bar', () => {
    const a = build('walk-in', at(96, 48), { rollBar: 'emt-3/4' });
    const curtain = a.sheets.find((s) => s.part === 'Side curtain');
    expect(curtain?.across[2]?.mm).toBeCloseTo(1.5 * Math.PI * inch(0.922) + inch(6), 6);
  });
});

describe('a second layer inside', () => {
  test.each(['hinged-hoop-lid', 'lift-off-cover', 'staked-tunnel', 'bent-conduit'] as const)(
    '%s: an even gap, and two degrees more of frost',
    (key) => {
      const s = at(128, 48);
      const outer = build(key, s);
      const both = build(key, s, { inner: 'fabric-30', innerGapMm: 90 });
      const hoops = both.members.filter((m) => m.part === 'Inner hoop');
      expect(hoops).toHaveLength(outer.arches[0]?.tags.length ?? 0);
      const top = (a: Assembly): number => Math.max(...a.under.map((p) => p.z));
      // From underside to underside: the gap and the inner pipe, and more where the shoulders would come too near.
      expect(top(outer) - top(both)).toBeGreaterThan(90 + 21.336 - 0.5);
      // Nowhere less than the gap, from the inner pipe's centre line: as its points and the outer underside are.
      const points = hoops.flatMap((m) => (m.shape.kind === 'curve' ? m.shape.points : []));
      const gap = Math.min(
        ...points
          .filter((p) => p[2] > 400)
          .map((p) => Math.min(...outer.under.map((q) => Math.hypot(q.y - p[1], q.z - p[2])))),
      );
      expect(gap).toBeGreaterThan(90 + 21.336 / 2 - 3);
      // Fabric of 30 g saves two degrees more.
      expect(coldestNight(both).value).toBeCloseTo(coldestNight(outer).value - 2, 9);
      expect(both.crop.clearanceMm).toBeLessThan(outer.crop.clearanceMm);
      expect(fault(key, s, { inner: 'film-uv', innerGapMm: 400 })).toBe('innerGapMm');
    },
  );
});

test('metric shops: the same lid of metric boards and pipe', () => {
  const s: BuildSite = { ...at(96, 48), market: 'metric' };
  const a = build('hinged-hoop-lid', s);
  expect(a.members.filter((m) => !/mm|pvc-\d\d$/.test(m.section.key)).map((m) => m.tag)).toEqual([]);
  expect(piece(a, 'A3').lengthMm).toBeCloseTo(inch(48) - 38, 6);
});

test('pipe against film: painted by the tin, taped by the metre, or said to be bare', () => {
  const s = at(96, 48);
  expect(countItems(build('staked-tunnel', s, { paint: 'paint' }), 'paint')).toBe(1);
  const taped = build('staked-tunnel', s, { paint: 'tape' });
  const metres = taped.members.filter((m) => m.part === 'Hoop').reduce((sum, m) => sum + m.lengthMm, 0) / 1000;
  expect(countItems(taped, 'pipe-tape')).toBe(Math.ceil(metres));
  expect(build('staked-tunnel', s, { paint: 'none', ridge: 'none' }).contacts).toEqual([
    { what: 'bare PVC', guarded: false },
  ]);
});

test('extra warmth goes into any cover: what it takes, its step, and its caution', () => {
  const s = at(96, 48);
  const jugs = build('sloped-cold-frame', s, { extra: 'jugs' });
  // 96 by 48 in is 2.97 m2: a jug for each quarter of a square metre.
  expect(countItems(jugs, 'water-jug')).toBe(12);
  const lights = build('hinged-hoop-lid', s, { extra: 'lights' });
  expect(lights.steps.find((x) => x.id === 'extra')?.cautions.join(' ')).toContain('residual-current');
  expect(build('hinged-hoop-lid', s, { extra: 'stones' }).hardware).toEqual(build('hinged-hoop-lid', s).hardware);
  expect(build('hinged-hoop-lid', s).steps.some((x) => x.id === 'extra')).toBe(false);
});

describe('vents and louvres in plywood ends', () => {
  /** Middle of each opening above the foot of its end, as a part of its height. */
  const heights = (vents: string): readonly number[] =>
    build('lift-off-cover', at(96, 48), { vents }).panels.flatMap((p) =>
      p.openings.map((o) => {
        const vs = p.outline.map((c) => c[1]);
        const [low, high] = [Math.min(...vs), Math.max(...vs)];
        return (o.reduce((sum, c) => sum + c[1], 0) / o.length - low) / (high - low);
      }),
    );
  test('vents are high in both ends, so that warm air leaves', () => {
    const [one = 0, two = 0, ...none] = heights('vents');
    expect(none).toEqual([]);
    expect(Math.min(one, two)).toBeGreaterThan(0.6);
  });
  test('of two louvres one is low and one high, so that air moves through', () => {
    const [low = 1, high = 0] = heights('louvres');
    expect(low).toBeLessThan(0.4);
    expect(high).toBeGreaterThan(0.55);
    expect(countItems(build('lift-off-cover', at(96, 48), { vents: 'louvres' }), 'louvre')).toBe(2);
  });
  test('the hole of a louvre has two centimetres of wood over and under it, or is refused', () => {
    const [family, site] = [familyOf('lift-off-cover'), at(96, 48)];
    let refused = 0;
    for (let heightMm = 250; heightMm < 700; heightMm += 10) {
      const more = { vents: 'louvres', shape: { by: 'height', heightMm } };
      const found = family.assemble({ ...family.defaults(site), ...more }, site);
      if (!found.ok) {
        refused += found.faults[0]?.field === 'vents' ? 1 : 0;
        continue;
      }
      for (const p of found.value.panels)
        for (const [u, v] of p.openings.flat()) {
          // Where a line up through the corner crosses the edges of the end.
          const crossed = p.outline.flatMap((a, i) => {
            const b = p.outline[(i + 1) % p.outline.length] ?? a;
            return (a[0] - u) * (b[0] - u) > 0 || a[0] === b[0]
              ? []
              : [a[1] + ((b[1] - a[1]) * (u - a[0])) / (b[0] - a[0])];
          });
          expect(v - Math.min(...crossed)).toBeGreaterThan(20);
          expect(Math.max(...crossed) - v).toBeGreaterThan(20);
        }
    }
    expect(refused).toBeGreaterThan(3);
  });
});

test('hoops stand where their feet do: inside the rails, in their middle, or outside them', () => {
  const span = (feet: string): number =>
    (build('hinged-hoop-lid', at(96, 44), { feet }).arches[0]?.hoop.spanMm ?? NaN) / MM_PER_INCH;
  // Rails of 2x4 on edge, 1.5 thick; pipe of .84.
  expect(span('straps-inside')).toBeCloseTo(44 - 3 - 0.84, 6);
  expect(span('sockets')).toBeCloseTo(44 - 1.5, 6);
  expect(span('straps-outside')).toBeCloseTo(44 + 0.84, 6);
});

test('wire is stiff enough for its span: 10 gauge to 36 in, 9 gauge to 48', () => {
  const s = at(96, 48);
  const f = familyOf('wire-tunnel');
  const here = { site: s, assembly: undefined };
  const thin = f.answer(f.defaults(s), 'pipe', 'wire-10', here);
  if (!thin.ok) throw new Error('no wire');
  expect(Number(thin.value['spanMm'])).toBeLessThanOrEqual(inch(36) + 0.1);
  expect(fault('wire-tunnel', s, { pipe: 'wire-10', spanMm: inch(40) })).toBe('span');
  expect(fault('wire-tunnel', s, { pipe: 'wire-10', spanMm: inch(36) })).toBeUndefined();
  expect(fault('wire-tunnel', at(96, 60), { pipe: 'wire-9', spanMm: inch(50) })).toBe('span');
});

test('stiff sheets of a lid meet on its bars, none is a strip, and lids have room beside each other', () => {
  fc.assert(
    fc.property(
      fc.double({ min: inch(40), max: inch(200), noNaN: true }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 4 }),
      fc.constantFrom('twin-wall-6', 'corrugated'),
      (lengthMm, lids, bars, glazing) => {
        const s = siteOf(lengthMm, inch(44));
        const built = familyOf('sloped-cold-frame').assemble(
          { ...familyOf('sloped-cold-frame').defaults(s), lids, bars, glazing },
          s,
        );
        if (!built.ok) return;
        const a = built.value;
        const sold = Math.max(...(a.panels[0]?.sheet.sizes ?? []).map((x) => x.widthMm));
        const stiles = a.members.filter((m) => /stile|bar/.test(m.part));
        const centres = stiles.map((m) => (m.shape.kind === 'straight' ? m.shape.from[0] : NaN));
        const reach = a.panels.map((p) => {
          const us = p.outline.map((c) => p.at[0] + p.u[0] * c[0]);
          return [Math.min(...us), Math.max(...us)] as const;
        });
        for (const [from, to] of reach) {
          expect(to - from).toBeLessThanOrEqual(sold + 0.5);
          expect(to - from).toBeGreaterThan(Math.min(250, lengthMm / lids / 2));
        }
        const each = reach.length / lids;
        reach.slice(1).forEach(([from], i) => {
          const end = reach[i]?.[1] ?? NaN;
          // Between lids there is play; within one the joint, or the middle of the lap, is over a bar.
          if ((i + 1) % each === 0) expect(from - end).toBeCloseTo(4, 6);
          else expect(Math.min(...centres.map((c) => Math.abs(c - (from + end) / 2)))).toBeLessThan(1);
        });
      },
    ),
    { numRuns: 80 },
  );
});

test('a stile wider than the sheets that are sold ends too, with what is too large said', () => {
  const figure = (kind: 'bar' | 'sheet', key: string, id: string, value: number) => ({
    kind,
    key,
    figure: id,
    value,
    note: '',
  });
  const sizes = SHIPPED.sheet.get('twin-wall-6')?.sizes.map((s) => s.key.slice('twin-wall-6 '.length)) ?? [];
  const catalog = catalogOf(
    {
      ...NOTHING_OWN,
      figures: [
        figure('bar', '2x4', 'widthMm', 400),
        ...sizes.map((s) => figure('sheet', 'twin-wall-6', `widthMm ${s}`, 100)),
      ],
    },
    'imperial',
  );
  const site = { ...at(96, 44), catalog };
  const family = familyOf('sloped-cold-frame');
  const built = family.assemble({ ...family.defaults(site), lids: 1, lidFrame: '2x4' }, site);
  // Bars beyond count do not stand beside each other: it may be refused, but it ends.
  expect(typeof built.ok).toBe('boolean');
});

describe('side purlins of a lid in fittings', () => {
  const a = build('hinged-hoop-lid', at(96, 48), { purlins: 'tees', hoops: 4 });
  const purlins = a.members.filter((m) => m.part === 'Side purlin');

  test('three short pipes a side, each a bay less what two fittings take up', () => {
    expect(purlins).toHaveLength(6);
    const bay = a.arches[0]?.spacingMm ?? NaN;
    // 1/2 PVC fittings take up .5 in each.
    for (const m of purlins) expect(m.lengthMm).toBeCloseTo(bay - 2 * inch(0.5), 6);
    expect(new Set(purlins.map((m) => m.tag)).size).toBe(6);
    expect([countItems(a, 'tee'), countItems(a, 'four-way')]).toEqual([4, 4]);
    expect(a.joints.find((j) => j.id === 'purlin screws')?.places).toHaveLength(8);
  });

  test('they run in the line of the hoops, a third of the height up, and slide on before these are bent', () => {
    const arch = a.arches[0];
    const ends = purlins.flatMap((m) => (m.shape.kind === 'straight' ? [m.shape.from] : []));
    for (const [, , z] of ends)
      expect(Math.abs(z - ((arch?.footZMm ?? 0) + (arch?.hoop.heightMm ?? 0) / 3))).toBeLessThan(12);
    const ids = a.steps.map((s) => s.id);
    expect(ids.indexOf('sides')).toBeLessThan(ids.indexOf('bend'));
    expect(ids.indexOf('sides')).toBeGreaterThan(0);
  });

  test('a pipe without fittings is refused by name', () => {
    const family = familyOf('hinged-hoop-lid');
    const site = at(96, 48);
    const made = family.assemble({ ...family.defaults(site), purlins: 'tees', pipe: 'pe-25' }, site);
    expect(made.ok ? '' : made.faults[0]?.field).toBe('purlins');
  });
});

test('an opener in front lifts with a longer arm and opens less; its pocket runs up from the front plate', () => {
  const frame = (pocket: string) => build('double-wall-cold-frame', at(96, 48), { pocket });
  const of = (a: ReturnType<typeof frame>) => a.moving.find((m) => m.hung?.opener)?.hung?.opener;
  const [back, front] = [frame('pocket'), frame('front')];
  // 48 in less 100 mm; its arm moves 300 mm: 2 asin(150 / 1119) = 15.4 degrees.
  expect(of(front)?.armMm).toBeCloseTo(inch(48) - 100, 6);
  expect(of(front)?.opensDeg).toBeCloseTo((2 * Math.asin(150 / (inch(48) - 100)) * 180) / Math.PI, 6);
  // At the back the arm is 350 mm at the most: wider than a lid is propped for air.
  expect(of(back)?.armMm).toBeCloseTo(350, 6);
  expect(of(back)?.opensDeg).toBeGreaterThan(45);
  expect(front.ventilation.aloneM2).toBeLessThan(0.5 * back.ventilation.aloneM2);
  const ys = (a: ReturnType<typeof frame>): number[] =>
    a.members.filter((m) => m.part === 'Pocket board').flatMap((m) => endsOf([m]).map((p) => p[1]));
  // The film walls are a stud and two skins thick; boards of 300 mm lie near their wall.
  expect(Math.max(...ys(front))).toBeLessThan(inch(48) / 2);
  expect(Math.min(...ys(back))).toBeGreaterThan(inch(48) / 2);
  expect(front.members.filter((m) => m.part === 'Pocket board').map((m) => m.lengthMm)).toEqual(
    back.members.filter((m) => m.part === 'Pocket board').map(() => expect.closeTo(300, 6)),
  );
});

test('a lid’s frame step says how its corners meet, for each way they can', () => {
  const said = (corners: string): string => {
    const step = build('hinged-hoop-lid', at(96, 48), { corners }).steps.find((s) => s.id === 'frame');
    return String(step?.work[0]?.[0] ?? '');
  };
  expect(said('ends')).toContain('stand the hinge rail between the end boards');
  expect(said('rails')).toContain('set the end boards between both rails');
  expect(said('hinge rail')).toContain('set the hinge rail across the end boards');
});

test.each(['a-frame', 'bent-conduit', 'lift-off-cover', 'walk-in'])(
  'a %s has battens over its cover where that is how it is fastened',
  (key) => {
    const site = at(128, 44);
    const family = familyOf(key);
    const first = family.defaults(site);
    const built = build(key, site);
    const fixing = family.questions(first, { site, assembly: built }).find((q) => q.id === 'fixing');
    if (fixing?.kind !== 'choice') throw new Error('not asked');
    const battened = (how: string): boolean =>
      build(key, site, { fixing: how }).members.some(
        (m) => m.tag.startsWith(key === 'walk-in' ? 'N' : 'B') && /batten/i.test(m.part),
      );
    expect(fixing.options.length).toBeGreaterThan(1);
    for (const { value } of fixing.options) expect([value, battened(value)]).toEqual([value, value === 'battens']);
  },
);
