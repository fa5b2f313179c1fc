import type { MovingPart } from '../cover/assembly/openings';
import { at, build } from '../testing/site';
import { lid } from '../testing/judged';
import { liftFigure, partsKg } from './weights';

const a = build('lift-off-cover', at(96, 48));
const [board] = a.members.filter((m) => m.section.key === '2x2 treated');
const [panel] = a.panels;
const [sheet] = a.sheets;
if (!board || !panel || !sheet) throw new Error('not built');
const none = { members: [], sheets: [], panels: [] };

test('a board weighs its section times its length, a sheet as it is cut, a panel what is left of it', () => {
  // 38.1 mm square of 530 kg/m3 is .769 kg a metre.
  const { densityKgPerM3 } = board.section.material;
  expect(partsKg({ ...none, members: [board] }).barsKg).toBeCloseTo(
    (0.0381 ** 2 * densityKgPerM3 * board.lengthMm) / 1000,
    9,
  );
  const [across, along] = [sheet.across, sheet.along].map((lines) => lines.reduce((sum, l) => sum + l.mm, 0));
  expect(partsKg({ ...none, sheets: [sheet] })).toEqual({
    barsKg: 0,
    sheetsKg: (((across ?? 0) * (along ?? 0)) / 1e6) * sheet.cover.kgPerM2,
  });
  // An opening of half a square metre in it weighs nothing.
  const whole = partsKg({ ...none, panels: [{ ...panel, openings: [] }] }).sheetsKg;
  const opening = [
    [0, 0],
    [1000, 0],
    [1000, 500],
    [0, 500],
  ] as const;
  const holed = partsKg({ ...none, panels: [{ ...panel, openings: [opening] }] }).sheetsKg;
  expect(whole - holed).toBeCloseTo(0.5 * panel.sheet.kgPerM2, 9);
  expect(partsKg({ members: [board], sheets: [sheet], panels: [panel] }).barsKg).toBe(
    partsKg({ ...none, members: [board] }).barsKg,
  );
});

test('half of a lid is at the hand, the whole of what is carried; only what moves with it counts', () => {
  const part = (motion: MovingPart['motion'], extraKg = 0): MovingPart => ({
    ...lid(),
    motion,
    memberTags: [board.tag],
    sheetTags: [sheet.tag],
    panelTags: [panel.tag],
    extraKg,
  });
  const { barsKg, sheetsKg } = partsKg({ members: [board], sheets: [sheet], panels: [panel] });
  expect(liftFigure(a, part('hinged')).value).toBeCloseTo((barsKg + sheetsKg) / 2, 9);
  expect(liftFigure(a, part('carried')).value).toBeCloseTo(barsKg + sheetsKg, 9);
  expect(liftFigure(a, part('hinged', 3)).value - liftFigure(a, part('hinged')).value).toBeCloseTo(1.5, 9);
  expect(liftFigure(a, lid()).value).toBe(0);
  const names = (f: ReturnType<typeof liftFigure>): readonly string[] => f.terms.map((t) => t.name);
  expect(names(liftFigure(a, part('carried')))).toEqual(['boards and pipes', 'sheets']);
  expect(names(liftFigure(a, part('carried', 3)))).toEqual([
    'boards and pipes',
    'sheets',
    'hardware that moves with it',
  ]);
  expect(liftFigure(a, part('hinged')).formula).toBe('lift = (boards and pipes + sheets) / 2');
  expect(liftFigure(a, part('rolled')).label).toBe('Lid: weight rolled');
});
