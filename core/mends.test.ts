import { ok } from './base/result';
import { demoGarden } from './garden/demo';
import type { Cover } from './garden/garden';
import type { Check, Verdict } from './judge/proof/check';
import { quickPrice } from './cut';
import { findMends } from './mends';
import type { Outline } from './outline';
import { outline } from './plan';

const made = outline(demoGarden(), demoGarden().covers[0] as Cover);
if (!made.ok) throw new Error('not built');
const base = made.value;

const check = (id: string, verdict: Verdict, tries: Check['tries'] = []): Check => ({
  id,
  verdict,
  text: [id],
  figure: undefined,
  caution: undefined,
  tries,
});
const hoops = (count: number): Check['tries'][number] => ({
  label: [`${count} hoops`],
  change: { kind: 'hoops', count },
});
const ridge: Check['tries'][number] = { label: ['Ridge on posts'], change: { kind: 'ridge', value: 'posted' } };

/** An outline with these checks; when it is worked out anew, others, by what was answered. */
const mends = (now: readonly Check[], after: (answers: Readonly<Record<string, unknown>>) => readonly Check[]) =>
  findMends({ ...base, checks: now } as Outline, (answers) =>
    ok({ ...base, cover: { ...base.cover, answers } as Cover, checks: after(answers) }),
  ).map((m) => m.label.join(''));

test('a change that helps is a mend; one that does not is none', () => {
  const ill = [check('snow', 'fails', [hoops(6), hoops(8)])];
  expect(mends(ill, (a) => [check('snow', Number(a['hoops']) >= 8 ? 'holds' : 'fails')])).toEqual(['8 hoops']);
  expect(mends(ill, () => [check('snow', 'fails')])).toEqual([]);
  // Of one kind only the least that works is offered.
  expect(mends(ill, () => [check('snow', 'tight')])).toEqual(['6 hoops']);
});

test('a change that mends one check and breaks another is no mend', () => {
  const ill = [check('snow', 'fails', [hoops(6), ridge]), check('bend', 'holds')];
  expect(
    mends(ill, (a) => [check('snow', 'holds'), check('bend', a['ridge'] === 'posted' ? 'fails' : 'holds')]),
  ).toEqual(['6 hoops']);
  // One that failed before may fail on.
  const both = [check('snow', 'fails', [hoops(6)]), check('bend', 'fails')];
  expect(mends(both, () => [check('snow', 'holds'), check('bend', 'fails')])).toEqual(['6 hoops']);
});

test('what is tight is mended only by what makes it hold', () => {
  const tight = [check('snow', 'tight', [hoops(6)])];
  expect(mends(tight, () => [check('snow', 'tight')])).toEqual([]);
  expect(mends(tight, () => [check('snow', 'holds')])).toEqual(['6 hoops']);
  // A check that is gone is mended.
  expect(mends(tight, () => [])).toEqual(['6 hoops']);
});

test('mends are priced against the design as it is, the cheapest first and three at the most', () => {
  const hoop = (n: number): Check['tries'][number] => ({
    label: [`${n} hoops`],
    change: { kind: 'answer', id: `a${n}`, value: n },
  });
  const all = [
    { label: ['Roof'], change: { kind: 'hoops', count: 9 } },
    { label: ['Pipe'], change: { kind: 'pipe', key: 'pvc-3/4' } },
    ridge,
    { label: ['Higher'], change: { kind: 'higher', byMm: 50 } },
  ] as Check['tries'];
  const ill = [check('snow', 'fails', all), check('fine', 'holds', [hoops(6)])];
  const redo = (answers: Readonly<Record<string, unknown>>) => {
    const tried = outline(base.garden, { ...base.cover, answers } as Cover);
    if (!tried.ok) return tried;
    return ok({ ...tried.value, checks: [check('fine', 'holds'), check('snow', 'holds')] });
  };
  const found = findMends({ ...base, checks: ill } as Outline, redo);
  expect(found).toHaveLength(3);
  expect(found.map((m) => m.checkId)).toEqual(['snow', 'snow', 'snow']);
  const costs = found.map((m) => m.cost);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
  // What a mend costs is the price after less the price before.
  for (const m of found) {
    const after = outline(base.garden, { ...base.cover, answers: m.answers } as Cover);
    expect(after.ok && quickPrice(after.value) - quickPrice(base)).toBeCloseTo(m.cost, 6);
  }
  // Answers to two questions are two kinds of try.
  const two = [
    check('snow', 'fails', [
      hoop(1),
      hoop(2),
      { label: ['Latches'], change: { kind: 'answer', id: 'latches', value: 3 } },
      { label: ['Stays'], change: { kind: 'answer', id: 'stays', value: 3 } },
    ]),
  ];
  expect(findMends({ ...base, checks: two } as Outline, redo).map((m) => m.label.join(''))).toEqual(
    expect.arrayContaining(['Latches', 'Stays']),
  );
});
