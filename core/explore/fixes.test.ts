import { ok } from '../base/result';
import { phraseText } from '../base/figure';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import type { Check, CheckId, Verdict } from '../judge/strength/check';
import { quickPrice } from '../cut';
import { tryChanges } from './fixSpace';
import { findFixes } from './fixes';
import { firstCover } from './firstDesigns';
import type { Assessment } from '../assessment';
import { assessCover } from '../plan';

const made = assessCover(demoGarden(), demoGarden().covers[0] as Cover);
if (!made.ok) throw new Error('not built');
const base = made.value;

const check = (id: CheckId, verdict: Verdict, tries: Check['tries'] = []): Check => ({
  id,
  about: { tags: [], places: [] },
  // Its verdict is what counts here: any number that comes to it will do.
  kind: 'measured',
  measure: { demand: 1, capacity: { fails: 0.5, tight: 1.1, holds: 2 }[verdict] },
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

/** The same design with other checks. */
const checked = (o: Assessment, checks: readonly Check[]): Assessment => ({
  ...o,
  judged: () => ({ ...o.judged(), checks }),
});

/** An outline with these checks; when it is worked out anew, others, by what was answered. */
const mends = (now: readonly Check[], after: (answers: Readonly<Record<string, unknown>>) => readonly Check[]) =>
  findFixes(checked(base, now), (answers) =>
    ok({ ...checked(base, after(answers)), cover: { ...base.cover, answers } as Cover }),
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

test('of one kind no more is tried once one is enough', () => {
  const ill = check('snow', 'fails', [hoops(6), hoops(8), ridge]);
  const tried = (enoughAt: number) =>
    tryChanges(checked(base, [ill]), ill, (answers) =>
      ok({
        ...checked(base, Number(answers['hoops']) >= enoughAt ? [] : [ill]),
        cover: { ...base.cover, answers } as Cover,
      }),
    ).map(({ label }) => label.join(''));
  expect(tried(6)).toEqual(['6 hoops', 'Ridge on posts']);
  expect(tried(8)).toEqual(['6 hoops', '8 hoops', 'Ridge on posts']);
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
  const ill = [check('snow', 'fails', all), check('sits', 'holds', [hoops(6)])];
  const redo = (answers: Readonly<Record<string, unknown>>) => {
    const tried = assessCover(base.garden, { ...base.cover, answers } as Cover);
    if (!tried.ok) return tried;
    return ok(checked(tried.value, [check('sits', 'holds'), check('snow', 'holds')]));
  };
  const found = findFixes(checked(base, ill), redo);
  expect(found).toHaveLength(3);
  expect(found.map((m) => m.checkId)).toEqual(['snow', 'snow', 'snow']);
  const costs = found.map((m) => m.cost);
  expect(costs).toEqual([...costs].sort((a, b) => a - b));
  // What a mend costs is the price after less the price before.
  for (const m of found) {
    const after = assessCover(base.garden, { ...base.cover, answers: m.answers } as Cover);
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
  expect(findFixes(checked(base, two), redo).map((m) => m.label.join(''))).toEqual(
    expect.arrayContaining(['Latches', 'Stays']),
  );
});

test('sets of changes leave nothing failing, want every one of their changes, and the cheapest comes first', () => {
  const demo = demoGarden();
  const harsh = {
    ...demo,
    site: { ...demo.site, snow: { by: 'depth', depthMm: 500, kind: 'wet' } as const, gustMPerS: 38 },
  };
  let sets = 0;
  for (const [garden, key] of [
    [demo, 'hinged-hoop-lid'],
    [demo, 'walk-in'],
    [harsh, 'bent-conduit'],
    [harsh, 'sloped-cold-frame'],
    [harsh, 'fitting-gable'],
  ] as const) {
    const cover = firstCover(garden, 'long', key, 'x', 'X') as Cover;
    const before = assessCover(garden, cover);
    if (!before.ok) throw new Error(key);
    const redo = (answers: Readonly<Record<string, unknown>>) => assessCover(garden, { ...cover, answers } as Cover);
    const found = findFixes(before.value, redo);
    const whole = found.filter((m) => m.checkId === undefined);
    sets += whole.length;
    expect(whole.map((m) => m.cost)).toEqual(whole.map((m) => m.cost).sort((a, b) => a - b));
    for (const m of whole) {
      const after = redo(m.answers);
      if (!after.ok) throw new Error(key);
      expect(
        after.value
          .judged()
          .checks.filter((c) => c.verdict === 'fails')
          .map((c) => c.id),
      ).toEqual([]);
      expect(quickPrice(after.value) - quickPrice(before.value)).toBeCloseTo(m.cost, 6);
      // It is more than one change, and no single one of those offered does it all.
      expect(phraseText(m.label, garden.units)).toMatch(/ and /);
      const alone = found.filter(
        (s) => s.checkId !== undefined && JSON.stringify(s.answers) === JSON.stringify(m.answers),
      );
      expect(alone).toEqual([]);
    }
  }
  expect(sets).toBeGreaterThan(5);
});

test('where all that is asked for is little, the first set is proven the cheapest of it; where it is much, nothing is', () => {
  const demo = demoGarden();
  const setsOf = (key: string, bed = 'long') => {
    const cover = firstCover(demo, bed, key, 'x', 'X') as Cover;
    const o = assessCover(demo, cover);
    if (!o.ok) throw new Error(key);
    const redo = (answers: Readonly<Record<string, unknown>>) => assessCover(demo, { ...cover, answers } as Cover);
    return { o: o.value, redo, sets: findFixes(o.value, redo).filter((m) => m.checkId === undefined) };
  };
  const { o, redo, sets } = setsOf('walk-in');
  expect(sets[0]?.proven).toBe(true);
  // Every design that the tries lead to, gone through here by hand.
  const answersOf = (x: Assessment): string => JSON.stringify(x.cover.answers);
  const queue = [o];
  const seen = new Set([answersOf(o)]);
  let least = Infinity;
  for (const now of queue) {
    const fails = now.judged().checks.filter((c) => c.verdict === 'fails');
    if (fails.length === 0) least = Math.min(least, quickPrice(now) - quickPrice(o));
    for (const { outline: next } of fails.flatMap((c) => tryChanges(now, c, redo))) {
      if (!seen.has(answersOf(next))) queue.push(next);
      seen.add(answersOf(next));
    }
  }
  expect(seen.size).toBeGreaterThan(20);
  expect(sets[0]?.cost).toBeCloseTo(least, 6);
  expect(setsOf('walk-in', 'wall').sets.map((m) => m.proven)).toEqual([false, false, false]);
});

test('what a set does not need is not in it', () => {
  // The ridge mends both; six hoops only the one, so that hoops and then a ridge are found too.
  const ill = [check('snow', 'fails', [hoops(6), ridge]), check('wind', 'fails', [ridge])];
  const after = (a: Readonly<Record<string, unknown>>) => [
    check('snow', a['ridge'] === 'posted' || Number(a['hoops']) >= 6 ? 'holds' : 'fails', [hoops(6), ridge]),
    check('wind', a['ridge'] === 'posted' ? 'holds' : 'fails', [ridge]),
  ];
  expect(mends(ill, after).filter((label) => label.includes(' and '))).toEqual([]);
  // Where each mends one, both are wanted.
  const each = (a: Readonly<Record<string, unknown>>) => [
    check('snow', Number(a['hoops']) >= 6 ? 'holds' : 'fails', [hoops(6)]),
    check('wind', a['ridge'] === 'posted' ? 'holds' : 'fails', [ridge]),
  ];
  const two = [check('snow', 'fails', [hoops(6)]), check('wind', 'fails', [ridge])];
  expect(mends(two, each).filter((label) => label.includes(' and '))).toEqual(['6 hoops and ridge on posts']);
  // Hoops mend snow, a ridge wind, more height snow and the room under it: hoops are not wanted beside that.
  const higher: Check['tries'][number] = { label: ['Higher'], change: { kind: 'higher', byMm: 100 } };
  const three = (a: Readonly<Record<string, unknown>>) => {
    const high = (a['shape'] as { by: string }).by === 'height';
    return [
      check('snow', Number(a['hoops']) >= 6 || high ? 'holds' : 'fails', [hoops(6)]),
      check('wind', a['ridge'] === 'posted' ? 'holds' : 'fails', [ridge]),
      check('crop', high ? 'holds' : 'fails', [higher]),
    ];
  };
  const all = [check('snow', 'fails', [hoops(6)]), check('wind', 'fails', [ridge]), check('crop', 'fails', [higher])];
  const named = mends(all, three).filter((label) => label.includes(' and '));
  expect(named.map((label) => label.toLowerCase().split(' and ').sort())).toEqual([['higher', 'ridge on posts']]);
});
