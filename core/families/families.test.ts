import fc from 'fast-check';
import { type Bed, squareBed } from '../bed/bed';
import { survey } from '../bed/survey';
import { SECTION_BY_KEY, section } from '../catalog/sections';
import { pathLength } from '../assembly/outline';
import { hingeCount } from '../assembly/slopedLid';
import type { Assembly } from '../assembly/types';
import { sheetSize } from '../cover/rolls';
import { MM_PER_INCH } from '../units/length';
import { FAMILY_KEYS, familyOf } from '.';
import type { BuildSite } from '../bed/buildSite';
import { hingedHoopLidDefaults } from './hingedHoopLid/answers';
import { assembleHingedHoopLid } from './hingedHoopLid/assemble';
import { stakedTunnelDefaults } from './stakedTunnel/answers';
import { assembleStakedTunnel } from './stakedTunnel/assemble';

const inch = (x: number): number => x * MM_PER_INCH;
const WALL = { heightMm: inch(11), thicknessMm: inch(1.5) };

function site(bed: Bed, windy = false): BuildSite {
  return { bed, survey: survey(bed), windy };
}
const bedOf = (lengthMm: number, widthMm: number): Bed =>
  squareBed('b', 'Bed', lengthMm, widthMm, WALL, { xMm: 0, yMm: 0 });
const at = (lengthIn: number, widthIn: number, windy = false): BuildSite =>
  site(bedOf(inch(lengthIn), inch(widthIn)), windy);

function built(result: ReturnType<typeof assembleStakedTunnel>): Assembly {
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.value;
}
const piece = (a: Assembly, tag: string) => a.members.find((m) => m.tag === tag);
const count = (a: Assembly, key: string): number =>
  a.hardware.filter((h) => h.itemKey === key).reduce((sum, h) => sum + h.count, 0);

const sizes = fc.record({
  lengthMm: fc.double({ min: inch(48), max: inch(240), noNaN: true }),
  widthMm: fc.double({ min: inch(30), max: inch(60), noNaN: true }),
});

describe.each(FAMILY_KEYS)('%s', (key) => {
  const family = familyOf(key);

  test('stands on any ordinary bed, with sound members', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const s = site(bedOf(lengthMm, widthMm));
        const a = built(family.assemble(family.defaults(s), s));
        const tags = a.members.map((m) => m.tag);
        expect(new Set(tags).size).toBe(tags.length);
        for (const m of a.members) {
          expect(SECTION_BY_KEY.has(m.sectionKey)).toBe(true);
          const longest = Math.max(...section(m.sectionKey).stock.map((bar) => bar.lengthMm));
          expect(m.lengthMm).toBeLessThanOrEqual(longest + 0.5);
          if (m.shape.kind === 'straight') {
            const [x0, y0, z0] = m.shape.from;
            const [x1, y1, z1] = m.shape.to;
            expect(Math.hypot(x1 - x0, y1 - y0, z1 - z0)).toBeCloseTo(m.lengthMm, 3);
          }
          for (const mark of m.marks) {
            expect(mark.atMm).toBeGreaterThanOrEqual(-0.5);
            expect(mark.atMm).toBeLessThanOrEqual(m.lengthMm + 0.5);
          }
        }
        const arch = a.arches[0];
        const gaps = arch?.xsMm.slice(1).map((x, i) => x - (arch.xsMm[i] ?? 0)) ?? [];
        for (const gap of gaps) expect(gap).toBeCloseTo(arch?.spacingMm ?? 0, 6);
      }),
      { numRuns: 40 },
    );
  });

  test('its sheet covers the developed surface with every allowance', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const s = site(bedOf(lengthMm, widthMm));
        const a = built(family.assemble(family.defaults(s), s));
        const sheet = a.sheets[0];
        if (!sheet) throw new Error('no sheet');
        const profile = sheet.faces[sheet.faces.length - 1] ?? [];
        const developed = pathLength(profile.map(([, y, z]) => ({ y, z })));
        expect(sheetSize(sheet).acrossMm).toBeGreaterThan(developed + 2 * inch(3));
        expect(sheetSize(sheet).alongMm).toBeGreaterThan((a.arches[0]?.xsMm.length ?? 0) > 1 ? lengthMm * 0.8 : 0);
      }),
      { numRuns: 40 },
    );
  });

  test('a longer bed never makes anything shorter or fewer', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const small = site(bedOf(Math.min(lengthMm, inch(110)), widthMm));
        const large = site(bedOf(2 * Math.min(lengthMm, inch(110)), widthMm));
        const a = built(family.assemble(family.defaults(small), small));
        const b = built(family.assemble(family.defaults(large), large));
        expect(b.arches[0]?.tags.length).toBeGreaterThanOrEqual(a.arches[0]?.tags.length ?? 0);
        const total = (x: Assembly): number => x.members.reduce((sum, m) => sum + m.lengthMm, 0);
        expect(total(b)).toBeGreaterThan(total(a));
        expect(b.enclosure.volumeM3).toBeGreaterThan(a.enclosure.volumeM3);
      }),
      { numRuns: 30 },
    );
  });

  test('every question can be answered with each of its options', () => {
    const s = at(96, 48);
    const answers = family.defaults(s);
    const now = built(family.assemble(answers, s));
    for (const q of family.questions(answers, now)) {
      if (q.kind !== 'choice') continue;
      for (const option of q.options) {
        expect(option.why.length).toBeGreaterThan(2);
        const changed = family.answer(answers, q.id, option.value, now);
        expect(changed.ok).toBe(true);
        if (changed.ok) expect(family.assemble(changed.value, s).ok || option.value === 'stock').toBe(true);
      }
    }
  });

  test('typed dimensions come out as they were typed', () => {
    const s = at(120, 44);
    const answers = family.defaults(s);
    for (const [id, mm] of [
      ['pipeLength', 1900],
      ['height', 700],
      ['coverLength', 1500],
      ['endOffset', 120],
      ['rowFromEdge', 210],
    ] as const) {
      const changed = family.dimension(answers, id, mm, s);
      if (!changed.ok) throw new Error(id);
      const a = built(family.assemble(changed.value, s));
      expect(a.dimensions.find((d) => d.id === id)?.valueMm).toBeCloseTo(mm, 4);
    }
    expect(family.dimension(answers, 'coverLength', 99999, s)).toMatchObject({ ok: false });
  });
});

describe('hinged hoop lid', () => {
  const lid = (s: BuildSite, more: Partial<ReturnType<typeof hingedHoopLidDefaults>> = {}): Assembly =>
    built(assembleHingedHoopLid({ ...hingedHoopLidDefaults(s), ...more }, s));

  test('the frame adds up to the bed: butt joints and actual sizes counted', () => {
    const a = lid(at(128, 44));
    expect(piece(a, 'A1')?.lengthMm).toBeCloseTo(inch(128), 6);
    // The end boards run full length to the hinge side; the hinge rail fits between them.
    expect(piece(a, 'A2')?.lengthMm).toBeCloseTo(inch(128 - 2 * 1.5), 6);
    expect(piece(a, 'A3')?.lengthMm).toBeCloseTo(inch(44 - 1.5), 6);
    const end = piece(a, 'A3')?.shape;
    const front = piece(a, 'A1')?.shape;
    if (end?.kind !== 'straight' || front?.kind !== 'straight') throw new Error('straight boards');
    expect(end.to[1]).toBeCloseTo(inch(44), 6);
    expect(end.from[1]).toBeCloseTo(front.from[1] + inch(0.75), 6);
  });

  test('hardware is counted by the joint', () => {
    const a = lid(at(128, 44, true));
    expect(count(a, 'strap')).toBe(2 * 5);
    expect(count(a, 'screw-1')).toBe(2 * 10);
    expect(count(a, 'screw-3')).toBe(12);
    expect(count(a, 'hinge')).toBe(4);
    expect(count(a, 'latch')).toBe(2);
    expect(count(a, 'handle')).toBe(1);
    expect(count(lid(at(48, 30)), 'latch')).toBe(1);
    expect(count(lid(at(96, 44), { feet: 'sockets' }), 'socket-cap')).toBe(
      2 * (lid(at(96, 44)).arches[0]?.tags.length ?? 0),
    );
    expect(count(lid(at(96, 44), { feet: 'straps-outside' }), 'end-cap')).toBeGreaterThan(0);
  });

  test.each([
    [60, 2],
    [61, 3],
    [120, 3],
    [121, 4],
    [168, 4],
    [169, 5],
  ])('hinges for %d in: %d', (lengthIn, hinges) => expect(hingeCount(inch(lengthIn))).toBe(hinges));

  test('a lid over part of a bed gets a board across the soil', () => {
    const a = lid(at(128, 44), { extent: { kind: 'part', startMm: 0, lengthMm: inch(60) } });
    expect(piece(a, 'C1')?.lengthMm).toBeCloseTo(inch(41), 6);
    expect(piece(a, 'A1')?.lengthMm).toBeCloseTo(inch(60), 6);
    expect(piece(lid(at(128, 44)), 'C1')).toBeUndefined();
  });

  test('rails longer than any board are joined on a hoop', () => {
    const a = lid(at(228, 44));
    const parts = a.members.filter((m) => m.tag.startsWith('A1'));
    expect(parts.map((m) => m.tag)).toEqual(['A1a', 'A1b']);
    expect(parts.reduce((sum, m) => sum + m.lengthMm, 0)).toBeCloseTo(inch(228), 4);
    const joint = parts[0]?.lengthMm ?? 0;
    expect(a.arches[0]?.xsMm.some((x) => Math.abs(x - joint) < 0.01)).toBe(true);
    expect(count(a, 'corner-plate')).toBeGreaterThanOrEqual(2);
  });
});

describe('staked tunnel', () => {
  const tunnel = (s: BuildSite, more: Partial<ReturnType<typeof stakedTunnelDefaults>> = {}): Assembly =>
    built(assembleStakedTunnel({ ...stakedTunnelDefaults(s), ...more }, s));

  test('over rods the cut pipe is the sprung length and what slides over the rod', () => {
    const a = tunnel(at(96, 48), { spanMm: inch(44), shape: { by: 'half-circle' }, rodShownMm: inch(8) });
    const arch = a.arches[0];
    expect(arch?.hoop.lengthMm).toBeCloseTo((Math.PI / 2) * inch(44), 6);
    expect(arch?.cutMm).toBeCloseTo((Math.PI / 2) * inch(44) + inch(16), 6);
    expect(arch?.hoop.heightMm).toBeCloseTo(inch(22), 2);
  });

  test('in the soil the buried ends are cut too', () => {
    const a = tunnel(at(96, 48), {
      feet: 'soil',
      buryMm: inch(10),
      spanMm: inch(44),
      shape: { by: 'length', lengthMm: inch(100) },
    });
    expect(a.arches[0]?.hoop.lengthMm).toBeCloseTo(inch(80), 6);
    expect(a.arches[0]?.hoop.heightMm).toBeCloseTo(inch(28.967), 0);
  });

  test('the sheet limits the height', () => {
    const s = at(96, 48);
    const narrow = tunnel(s, { shape: { by: 'sheet' }, cover: 'fabric-30', roll: `fabric-30 ${83 / 12}x50 ft` });
    const wide = tunnel(s, { shape: { by: 'sheet' }, cover: 'fabric-30', roll: 'fabric-30 10x50 ft' });
    const across = (a: Assembly): number => (a.sheets[0] ? sheetSize(a.sheets[0]).acrossMm : 0);
    expect(across(narrow)).toBeCloseTo(inch(83), 0);
    expect(across(wide)).toBeCloseTo(inch(120), 0);
    expect(narrow.arches[0]?.hoop.heightMm).toBeLessThan(wide.arches[0]?.hoop.heightMm ?? 0);
  });

  test('a whole pipe needs no cut', () => {
    const s = at(96, 48);
    expect(tunnel(s, { shape: { by: 'stock' } }).arches[0]?.cutMm).toBeCloseTo(inch(120), 6);
  });

  test.each([
    [{ rodShownMm: 900, rodLengthMm: 600 }, 'rodShown'],
    [{ shape: { by: 'length', lengthMm: 500 } }, 'length'],
    [{ extent: { kind: 'part', startMm: 2000, lengthMm: 2000 } }, 'coverLength'],
    [{ shape: { by: 'height', heightMm: 5000 } }, 'pipeLength'],
    [{ endOffsetMm: 1000, extent: { kind: 'part', startMm: 0, lengthMm: 1500 } }, 'endOffset'],
  ] as const)('what cannot be built names the field: %j', (more, field) => {
    const s = at(96, 48);
    const result = assembleStakedTunnel({ ...stakedTunnelDefaults(s), ...more }, s);
    expect(result).toMatchObject({ ok: false, faults: [{ field }] });
  });
});
