import { NOTHING_OWN, catalogOf } from '../../catalog/own';
import { survey } from '../../site/survey';
import { at, build, inch, siteOf, countItems } from '../../testing/site';
import type { Result } from '../../base/result';
import { SHIPPED } from '../../catalog/catalog';
import { faceArea } from '../../base/geometry';
import fc from 'fast-check';
import { panelAreaM2 } from '../assembly/pieces';
import { hingeCount } from '../joints/hingeCount';
import type { Assembly } from '../assembly/types';
import { sheetSize } from '../../make/rolls/rolls';
import { FAMILY_KEYS, familyOf } from '.';
import type { BuildSite } from '../../site/buildSite';

function built(result: Result<Assembly>): Assembly {
  if (!result.ok) throw new Error(JSON.stringify(result.faults));
  return result.value;
}
const piece = (a: Assembly, tag: string) => a.members.find((m) => m.tag === tag);

const sizes = fc.record({
  lengthMm: fc.double({ min: inch(48), max: inch(240), noNaN: true }),
  widthMm: fc.double({ min: inch(30), max: inch(60), noNaN: true }),
});

describe.each(FAMILY_KEYS)('%s', (key) => {
  const family = familyOf(key);

  test('stands on any ordinary bed, with sound members', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const s = siteOf(lengthMm, widthMm);
        const a = built(family.assemble(family.defaults(s), s));
        const tags = [...a.members, ...a.panels, ...a.blocks, ...a.sheets].map((m) => m.tag);
        expect(new Set(tags).size).toBe(tags.length);
        for (const m of a.members) {
          expect(SHIPPED.bar.get(m.section.key)).toBeDefined();
          const longest = Math.max(...m.section.stock.map((bar) => bar.lengthMm));
          expect(m.lengthMm).toBeLessThanOrEqual(longest + 0.5);
          if (m.shape.kind === 'straight') {
            const [x0, y0, z0] = m.shape.from;
            const [x1, y1, z1] = m.shape.to;
            const shape = m.section.shape;
            const half = shape.kind === 'board' ? shape.widthMm / 2 : 0;
            // A slanted end is longer at one edge: the piece is as long as its blank.
            const slant = (m.endAnglesDeg ?? []).reduce(
              (sum, deg) => sum + half * Math.abs(Math.tan((deg * Math.PI) / 180)),
              0,
            );
            expect(Math.hypot(x1 - x0, y1 - y0, z1 - z0) + slant).toBeCloseTo(m.lengthMm, 3);
          }
          for (const mark of m.marks) {
            expect(mark.atMm).toBeGreaterThanOrEqual(-0.5);
            expect(mark.atMm).toBeLessThanOrEqual(m.lengthMm + 0.5);
          }
        }
        for (const arch of a.arches.filter((x) => x.tags.length === x.xsMm.length && x.xsMm.length > 2))
          arch.xsMm.slice(1).forEach((x, i) => expect(x - (arch.xsMm[i] ?? 0)).toBeCloseTo(arch.spacingMm, 6));
        expect(a.members.length + a.sheets.length + a.panels.length).toBeGreaterThan(2);
      }),
      { numRuns: 40 },
    );
  });

  test('every sheet is larger than the surface it covers', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const s = siteOf(lengthMm, widthMm);
        const a = built(family.assemble(family.defaults(s), s));
        for (const sheet of a.sheets) {
          const { acrossMm, alongMm } = sheetSize(sheet);
          const surface = sheet.faces.reduce((sum, face) => sum + faceArea(face), 0);
          // Mesh is cut to its squares, with nothing to fasten.
          const least = sheet.cover.key === 'mesh' ? 0.999 : 1.02;
          expect(acrossMm * alongMm).toBeGreaterThan(surface * least);
        }
        // Panels and sheets together close what the cover is said to close.
        expect(a.sheets.length + a.panels.length).toBeGreaterThan(0);
      }),
      { numRuns: 40 },
    );
  });

  test('doubling the length never makes anything shorter or fewer', () => {
    fc.assert(
      fc.property(sizes, ({ lengthMm, widthMm }) => {
        const short = Math.min(lengthMm, inch(110));
        const small = siteOf(short, widthMm);
        const large = siteOf(2 * short, widthMm);
        const a = built(family.assemble(family.defaults(small), small));
        const b = built(family.assemble(family.defaults(large), large));
        const total = (x: Assembly): number => x.members.reduce((sum, m) => sum + m.lengthMm, 0);
        expect(total(b)).toBeGreaterThanOrEqual(total(a));
        expect(b.members.length).toBeGreaterThanOrEqual(a.members.length);
        expect(b.blocks.length).toBeGreaterThanOrEqual(a.blocks.length);
        expect(b.enclosure.volumeM3).toBeGreaterThanOrEqual(a.enclosure.volumeM3 - 1e-9);
        const area = (x: Assembly): number =>
          x.sheets.reduce((sum, sh) => sum + sheetSize(sh).acrossMm * sheetSize(sh).alongMm, 0) / 1e6 +
          x.panels.reduce((sum, p) => sum + panelAreaM2(p), 0);
        expect(area(b)).toBeGreaterThanOrEqual(area(a) * 0.9999);
        // Wire ends that are cut depend on what is left of the last panel of mesh, joints of sheets on how many lids share the length.
        const others = a.hardware.map((h) => h.itemKey).filter((k) => k !== 'end-sleeve' && k !== 'joining-strip');
        for (const item of new Set(others))
          expect([item, countItems(b, item) >= countItems(a, item)]).toEqual([item, true]);
      }),
      { numRuns: 30 },
    );
  });

  test('every question can be answered with each of its options, or says why not', () => {
    const s = at(96, 48);
    const answers = family.defaults(s);
    const now = built(family.assemble(answers, s));
    let options = 0;
    let stood = 0;
    for (const q of family.questions(answers, { site: s, assembly: now })) {
      if (q.kind !== 'choice') continue;
      expect(q.options.some((o) => o.value === q.value)).toBe(true);
      for (const option of q.options) {
        options++;
        expect(option.why.length).toBeGreaterThan(2);
        const changed = family.answer(answers, q.id, option.value, { site: s, assembly: now });
        expect(changed.ok).toBe(true);
        const found = changed.ok ? family.assemble(changed.value, s) : changed;
        if (found.ok) stood++;
        else expect(found.faults[0]?.message.length).toBeGreaterThan(20);
      }
    }
    expect(stood).toBeGreaterThanOrEqual(options * 0.9);
  });

  test('what is typed into the drawing is what the drawing then measures', () => {
    const s = at(120, 44);
    const answers = family.defaults(s);
    const now = built(family.assemble(answers, s));
    const typed = now.dimensions.filter((d) => d.typed);
    expect(typed.length).toBeGreaterThanOrEqual(2);
    for (const d of typed) {
      const tries = [0.96, 1.04].map((by) => ({
        mm: d.valueMm * by,
        changed: family.dimension(answers, d.id, d.valueMm * by, { site: s, assembly: now }),
      }));
      const good = tries.flatMap(({ mm, changed }) => {
        const found = changed.ok ? family.assemble(changed.value, s) : changed;
        return found.ok ? [{ mm, a: found.value }] : [];
      });
      // One way or the other it must go.
      expect([d.id, good.length > 0]).toEqual([d.id, true]);
      // A spacing is asked for and rounded to whole bays.
      if (d.id === 'spacing') continue;
      for (const { mm, a } of good) expect(a.dimensions.find((x) => x.id === d.id)?.valueMm).toBeCloseTo(mm, 3);
    }
    expect(family.dimension(answers, 'coverLength', 99999, { site: s, assembly: now })).toMatchObject({ ok: false });
    expect(family.dimension(answers, 'nonsense', 100, { site: s, assembly: now })).toMatchObject({
      ok: false,
      faults: [{ field: 'nonsense' }],
    });
  });

  test.each([
    ['a box of 2 x 3 ft', 36, 24],
    ['a long narrow bed', 288, 30],
    ['a wide bed', 144, 72],
  ])('%s is built, or the limit is named', (_, lengthIn, widthIn) => {
    const s = at(lengthIn, widthIn);
    const found = family.assemble(family.defaults(s), s);
    if (found.ok) expect(found.value.enclosure.volumeM3).toBeGreaterThan(0);
    else expect(found.faults[0]?.message).toMatch(/[a-z]{3}.*[.:]/);
  });
});

describe('hinged hoop lid', () => {
  const lid = (s: BuildSite, more: object = {}): Assembly => build('hinged-hoop-lid', s, more);

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
    expect(countItems(a, 'strap')).toBe(2 * 5);
    expect(countItems(a, 'screw-1')).toBe(2 * 10);
    expect(countItems(a, 'screw-3')).toBe(12);
    expect(countItems(a, 'hinge')).toBe(4);
    expect(countItems(a, 'latch')).toBe(2);
    expect(countItems(a, 'handle')).toBe(1);
    expect(countItems(lid(at(48, 30)), 'latch')).toBe(1);
    expect(countItems(lid(at(96, 44), { feet: 'sockets' }), 'socket-cap')).toBe(
      2 * (lid(at(96, 44)).arches[0]?.tags.length ?? 0),
    );
    expect(countItems(lid(at(96, 44), { feet: 'straps-outside' }), 'end-cap')).toBeGreaterThan(0);
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
    expect(countItems(a, 'corner-plate')).toBeGreaterThanOrEqual(2);
  });
});

describe('staked tunnel', () => {
  const tunnel = (s: BuildSite, more: object = {}): Assembly => build('staked-tunnel', s, more);

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
    const s = at(96, 36);
    const narrow = tunnel(s, {
      shape: { by: 'sheet' },
      skirtMm: inch(6),
      cover: 'fabric-30',
      roll: 'fabric-30 83 in x 50 ft',
    });
    const wide = tunnel(s, { shape: { by: 'sheet' }, cover: 'fabric-30', roll: 'fabric-30 10x50 ft' });
    const across = (a: Assembly): number => (a.sheets[0] ? sheetSize(a.sheets[0]).acrossMm : 0);
    expect(across(narrow)).toBeCloseTo(inch(83), 0);
    expect(across(wide)).toBeCloseTo(inch(120), 0);
    expect(narrow.arches[0]?.hoop.heightMm).toBeLessThan(wide.arches[0]?.hoop.heightMm ?? 0);
  });

  test('two hoops come out of one pipe, each half a saw’s width shorter than half of it', () => {
    const s = at(96, 36);
    const a = tunnel(s, { shape: { by: 'half' } });
    // 1/2 PVC of 10 ft is sheared: 60 in each. A hand saw would take 1/16.
    const kerf = a.arches[0]?.section.tool.kerfMm ?? NaN;
    expect(a.arches[0]?.cutMm).toBeCloseTo((inch(120) - kerf) / 2, 6);
    const sawn = {
      ...s,
      catalog: catalogOf(
        { ...NOTHING_OWN, figures: [{ kind: 'tool' as const, key: 'shear', figure: 'kerfMm', value: 3, note: '' }] },
        'imperial',
      ),
    };
    expect(tunnel(sawn, { shape: { by: 'half' } }).arches[0]?.cutMm).toBeCloseTo((inch(120) - 3) / 2, 6);
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
    const family = familyOf('staked-tunnel');
    const result = family.assemble({ ...family.defaults(s), ...more }, s);
    expect(result).toMatchObject({ ok: false, faults: [{ field }] });
  });
});

test('a cover inside the wall is as large as the survey has it, on a bed of any shape', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 40, noNaN: true }),
      fc.constantFrom('plywood', 'folded'),
      (skew, shorter, narrower, ends) => {
        const made = siteOf(2400, 1200);
        const bed = {
          ...made.bed,
          outside: { nearMm: 2400, farMm: 2400 - shorter, leftMm: 1200, rightMm: 1200 - narrower },
          diagonals: { risingMm: Math.hypot(2400 + skew, 1200), fallingMm: Math.hypot(2400 - skew, 1200) },
        };
        const site = { ...made, bed, survey: survey(bed) };
        const family = familyOf('lift-off-cover');
        const a = built(family.assemble({ ...family.defaults(site), sits: 'inside', ends }, site));
        expect(a.footing.lengthMm).toBeCloseTo(site.survey.frameIn.lengthMm, 6);
        expect(a.footing.widthMm).toBeCloseTo(site.survey.frameIn.widthMm, 6);
        // Rails with their plywood are what is cut.
        const rail = a.members.filter((m) => m.tag.startsWith('A1')).reduce((sum, m) => sum + m.lengthMm, 0);
        const ply = a.panels.length > 0 ? 2 * (a.panels[0]?.sheet.thicknessMm ?? 0) : 0;
        expect(rail + ply).toBeCloseTo(site.survey.frameIn.lengthMm, 6);
      },
    ),
  );
});

test('what sits on the wall in one stiff piece rocks on a wall that is not level; what is sheet or loose legs does not', () => {
  const stiff = FAMILY_KEYS.filter((key) => build(key, siteOf(3251, 1118)).footing.stiff);
  expect([...stiff].sort()).toEqual(
    [
      'a-frame',
      'bent-conduit',
      'double-wall-cold-frame',
      'fitting-gable',
      'hinged-hoop-lid',
      'lean-to',
      'lift-off-cover',
      'sloped-cold-frame',
    ].sort(),
  );
});

test('a kind that there is none of is an error in the program, said by its key', () => {
  expect(() => familyOf('no-such')).toThrow('No family "no-such"');
});
