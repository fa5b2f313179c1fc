import { at, build } from '../../testing/site';
import { boardShape } from '../../catalog/sections';
import type { Assembly } from '../assembly/types';

const frame = (more: object = {}): Assembly => build('sloped-cold-frame', at(96, 48), { lids: 2, ...more });
const lids = (a: Assembly) => a.openings.filter((o) => o.by === 'lid');
const xs = (p: Assembly['panels'][number]): readonly number[] => {
  const along = p.outline.map(([u]) => p.at[0] + u);
  return [Math.min(...along), Math.max(...along)];
};
/** From the back edge of a lid to its front edge, mm. */
const slope = (a: Assembly): number => {
  const stile = a.members.find((m) => m.part === 'Lid stile');
  const rail = a.members.find((m) => m.part === 'Lid rail, back');
  return (stile?.lengthMm ?? NaN) + 2 * (rail ? boardShape(rail.section).widthMm : NaN);
};

test('two lids share the length, four millimetres of play between them', () => {
  const a = frame();
  const rails = a.members.filter((m) => m.part === 'Lid rail, front');
  // 96 in and two ends that may hang over nothing: both and the play make the whole.
  const whole = at(96, 48).survey.frameOn.lengthMm;
  expect(rails.map((m) => m.lengthMm)).toEqual([(whole - 4) / 2, (whole - 4) / 2]);
  expect(lids(a).map((o) => o.line[0][0])).toEqual([0, (whole - 4) / 2 + 4]);
});

test.each([
  ['twin-wall-6', 'v'],
  ['corrugated', 'v'],
  ['old-window', undefined],
])('channels of %s run down the slope: %s', (glazing, channels) => {
  const a = frame({ glazing });
  expect(a.panels.filter((p) => p.part !== 'Gusset').map((p) => p.channels)).toEqual(a.panels.map(() => channels));
});

test('corrugated sheets lap over the bar, flat ones meet on its middle', () => {
  const [flat, waves] = ['twin-wall-6', 'corrugated'].map((glazing) => {
    const a = build('sloped-cold-frame', at(96, 48), { lids: 1, glazing });
    return a.panels.map(xs);
  });
  const gaps = (all: readonly (readonly number[])[] = []): readonly number[] =>
    all.slice(1).map(([from], i) => (from ?? NaN) - (all[i]?.[1] ?? NaN));
  expect(flat?.length).toBeGreaterThan(1);
  expect(waves?.length).toBeGreaterThan(1);
  for (const gap of gaps(flat)) expect(gap).toBeCloseTo(0, 6);
  for (const gap of gaps(waves)) expect(gap).toBeLessThan(-30);
  // The outer edges stay with the frame.
  expect(waves?.[0]?.[0]).toBeCloseTo(flat?.[0]?.[0] ?? NaN, 6);
  expect(waves?.at(-1)?.[1]).toBeCloseTo(flat?.at(-1)?.[1] ?? NaN, 6);
});

test('marks for bars from the end of the rail, on the rail at the back and at the front', () => {
  const a = frame({ bars: 1 });
  for (const part of ['Lid rail, back', 'Lid rail, front']) {
    const [rail] = a.members.filter((m) => m.part === part);
    const [bar] = a.members.filter((m) => m.part === 'Lid bar');
    const [from] = bar?.shape.kind === 'straight' ? [bar.shape.from[0]] : [NaN];
    expect(rail?.marks?.map((m) => [m.atMm, m.label])).toEqual([[from, bar?.tag]]);
    // One bar stands in the middle.
    expect(from).toBeCloseTo((rail?.lengthMm ?? NaN) / 2, 6);
    // The second lid's is measured from its own end.
    expect(a.members.filter((m) => m.part === part)[1]?.marks?.[0]?.atMm).toBeCloseTo(from ?? NaN, 6);
  }
});

test('two openers on a lid lift and hold twice as much as one; what opens is the lid with all that is on it', () => {
  const [one, two] = [1, 2].map((openers) => lids(frame({ airing: 'opener', openers }))[0]?.lift?.hung?.opener);
  expect([one?.liftsKg, two?.liftsKg]).toEqual([7, 14]);
  expect((two?.holdsN ?? NaN) / (one?.holdsN ?? NaN)).toBe(2);
  const a = frame({ glazing: 'film-both' });
  const [first, second] = lids(a).map((o) => o.tags);
  expect(first?.filter((t) => t.startsWith('F'))).toEqual(['F1', 'F2']);
  expect(second?.filter((t) => t.startsWith('F'))).toEqual(['F3', 'F4']);
  expect(first?.filter((t) => t.startsWith('K'))).toEqual(
    a.members.filter((m) => m.tag.startsWith('K1')).map((m) => m.tag),
  );
});

test('the overhang in front makes the lid longer by as much', () => {
  const [short, long] = [0, 100].map((overhangMm) => slope(frame({ overhangMm })));
  expect((long ?? NaN) - (short ?? NaN)).toBeCloseTo(100, 6);
});

test('film on both faces is wrapped three inches round each edge', () => {
  const a = frame({ glazing: 'film-both' });
  const [sheet] = a.sheets;
  const reach = slope(a);
  expect(sheet?.across.map((l) => l.mm)).toEqual([expect.closeTo(reach, 6), expect.closeTo(152.4, 6)]);
  const [rail] = a.members.filter((m) => m.part === 'Lid rail, front');
  expect(sheet?.along.map((l) => l.mm)).toEqual([rail?.lengthMm, expect.closeTo(152.4, 6)]);
});
