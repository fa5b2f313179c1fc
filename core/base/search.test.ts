import fc from 'fast-check';
import { chance } from './noise';
import {
  type SearchState,
  type Space,
  type Score,
  better,
  search,
  paretoFront,
  beamSearch,
  enumerateFeasible,
} from './search';

type Point = readonly number[];
interface Grid {
  readonly sizes: readonly number[];
  readonly worth: (p: Point) => Score | undefined;
}

/** Every point of a grid. */
const points = ({ sizes }: Grid): readonly Point[] =>
  sizes.reduce<readonly Point[]>((all, n) => all.flatMap((p) => Array.from({ length: n }, (_, i) => [...p, i])), [[]]);

const spaceOf = ({ sizes, worth }: Grid, more: Partial<Space<Point, Score>> = {}): Space<Point, Score> => ({
  keyOf: String,
  judge: worth,
  movesOf: (p) =>
    sizes.flatMap((n, axis) =>
      Array.from({ length: n }, (_, i) => i)
        .filter((i) => i !== p[axis])
        .map((i) => p.map((x, a) => (a === axis ? i : x))),
    ),
  ...more,
});

function run(grid: Grid, small: number, more: Partial<Space<Point, Score>> = {}, seed = 1, most = 1e4) {
  const of = search(spaceOf(grid, more), [grid.sizes.map(() => 0)], { seed, most, small });
  let last: SearchState<Point, Score>;
  for (;;) {
    const { value, done } = of.next();
    last = value;
    if (done) return last;
  }
}

/** A grid whose worth is drawn point by point: no slope to follow anywhere; some points cannot be. */
const rough = fc
  .record({ sizes: fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 4 }), seed: fc.nat() })
  .map(({ sizes, seed }): Grid => {
    let at = 0;
    const roll = (): number => chance(seed, 0, at++);
    const drawn = new Map<string, Score | undefined>();
    return {
      sizes,
      worth: (p) => {
        const key = String(p);
        if (!drawn.has(key)) {
          const [a, b, c] = [roll(), roll(), roll()];
          const start = p.every((x) => x === 0);
          drawn.set(
            key,
            a < 0.1 && !start
              ? undefined
              : { violation: a < 0.5 ? a : 0, warnings: Math.floor(b * 2), price: Math.round(100 * c) },
          );
        }
        return drawn.get(key);
      },
    };
  });

const bestBy = (grid: Grid, all: readonly Point[]): Score | undefined =>
  all
    .map((p) => grid.worth(p))
    .filter((w) => w !== undefined)
    .reduce<Score | undefined>((a, w) => (a && !better(w, a) ? a : w), undefined);

test('a small space is gone through whole: the best and all that nothing beats are the true ones, wherever they lie', () => {
  fc.assert(
    fc.property(rough, (grid) => {
      const found = run(grid, 1000);
      // What changes cannot lead to, past points that cannot be, is not asked for: each point here is one change from many.
      const all = points(grid);
      fc.pre(found.pool.length === all.filter((p) => grid.worth(p)).length);
      expect(found.whole).toBe(true);
      expect(found.best?.worth).toEqual(bestBy(grid, all));
      const front = (list: readonly Score[]) => paretoFront(list, (w) => [w.violation, w.warnings, w.price]);
      expect(front(found.pool.map((j) => j.worth))).toHaveLength(front(all.flatMap((p) => grid.worth(p) ?? [])).length);
    }),
  );
});

test('what one that misses rules out is not judged, and the best is the same', () => {
  // Hoops from few to many: fewer never carry more. Seven of them are enough; each costs 3.
  const judged: number[] = [];
  const grid: Grid = {
    sizes: [12],
    worth: ([n = 0]) => {
      judged.push(n);
      return { violation: n < 7 ? (7 - n) / 10 : 0, warnings: 0, price: 3 * n };
    },
  };
  const fewer = ([n = 0]: Point): readonly Point[] => Array.from({ length: n }, (_, i) => [i]);
  const of = search(spaceOf(grid, { worse: fewer }), [[6]], { seed: 1, most: 100, small: 100 });
  let last: SearchState<Point, Score> | undefined;
  for (let r = of.next(); ; r = of.next()) {
    last = r.value;
    if (r.done) break;
  }
  expect(last.best?.s).toEqual([7]);
  expect(judged.filter((n) => n < 6)).toEqual([]);
});

test('where single changes lead downhill the cheapest is found without going through it all, and no bound hides it', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 7 }), { minLength: 2, maxLength: 4 }), fc.nat(), (goal, seed) => {
      // Each axis alone has its best at the goal; the price is the sum.
      const price = (p: Point): number => p.reduce((sum, x, i) => sum + Math.abs(x - (goal[i] ?? 0)), 10);
      const grid: Grid = { sizes: goal.map(() => 8), worth: (p) => ({ violation: 0, warnings: 0, price: price(p) }) };
      const found = run(grid, 0, { bound: price }, seed, 400);
      expect(found.best?.s).toEqual(goal);
      expect(found.pool.length).toBeLessThan(8 ** goal.length + 1);
    }),
  );
});

test('going downhill comes to the best by itself, before anything is begun anew', () => {
  // Missing, then dear: each axis is best at 5.
  const grid: Grid = {
    sizes: [8, 8],
    worth: ([x = 0, y = 0]) => ({
      violation: x < 3 ? (3 - x) / 10 : 0,
      warnings: 0,
      price: Math.abs(x - 5) + Math.abs(y - 5),
    }),
  };
  const of = search(spaceOf(grid), [[0, 0]], { seed: 1, most: 1000, small: 0 });
  let last: SearchState<Point, Score> | undefined;
  for (let r = of.next(); r.value.phase === 'descent'; r = of.next()) last = r.value;
  expect(last?.best?.s).toEqual([5, 5]);
});

test('a change that made it better is made again before others are tried', () => {
  // One axis by single steps, ten of them; each is cheaper. Beside it nine switches that only cost.
  const asked: Point[] = [];
  const space: Space<Point, Score> = {
    keyOf: String,
    judge: (p) => {
      asked.push(p);
      return { violation: 0, warnings: 0, price: 20 - (p[0] ?? 0) + p.slice(1).reduce((sum, x) => sum + x, 0) };
    },
    movesOf: ([n = 0, ...rest]) => [
      ...(n < 10 ? [[n + 1, ...rest]] : []),
      ...rest.map((_, i) => [n, ...rest.map((y, k) => (k === i ? 1 : y))]),
    ],
  };
  const of = search(space, [[0, ...new Array<number>(9).fill(0)]], { seed: 1, most: 1000 });
  for (let r = of.next(); !(r.value.best && r.value.best.s[0] === 10); r = of.next()) if (r.done) break;
  expect(asked).toHaveLength(11);
});

test('where nothing of what is known to mend it does, anything else is tried, before anything is begun anew', () => {
  // Known to mend: steps to the right, which only miss more. One down mends it all.
  const space: Space<Point, Score> = {
    keyOf: String,
    judge: ([x = 0, y = 0]) => ({ violation: y > 0 ? 0 : 0.2 + x / 10, warnings: 0, price: 5 }),
    movesOf: ([x = 0, y = 0], _, wide) => [[Math.min(3, x + 1), y], ...(wide ? [[x, 1]] : [])],
  };
  const of = search(space, [[0, 0]], { seed: 1, most: 1000, restarts: 0 });
  let last: SearchState<Point, Score> | undefined;
  for (let r = of.next(); r.value.phase === 'descent'; r = of.next()) last = r.value;
  expect(last?.best?.s).toEqual([0, 1]);
});

test('what is cheaper and misses little is mended by another change, before anything is changed blindly', () => {
  // From (0, 0): one step aside is cheaper and misses a little, another step aside mends that: (1, 1) at 4. Dead ends beside it.
  const worth = new Map([
    ['0,0', { violation: 0, warnings: 0, price: 10 }],
    ['1,0', { violation: 0.2, warnings: 0, price: 3 }],
    ['1,1', { violation: 0, warnings: 0, price: 4 }],
    ['0,1', { violation: 0.9, warnings: 0, price: 2 }],
  ]);
  const space: Space<Point, Score> = {
    keyOf: String,
    // All others are dearer, though they miss hardly anything.
    judge: (p) => worth.get(String(p)) ?? { violation: 0.05, warnings: 0, price: 50 },
    movesOf: ([x = 0, y = 0]) => [
      [1 - x, y],
      [x, 1 - y],
      ...Array.from({ length: 8 }, (_, i): Point => [x + 2 + i, y]),
    ],
  };
  const of = search(space, [[0, 0]], { seed: 1, most: 1000, restarts: 1 });
  let last = of.next();
  while (!last.done && (last.value.phase === 'descent' || last.value.phase === 'restart')) last = of.next();
  expect(last.value.best?.s).toEqual([1, 1]);
});

test('where one and two changes lead nowhere and nothing near is cheaper, three blind ones may', () => {
  // All three switches must be thrown; until then each costs.
  const grid: Grid = {
    sizes: [2, 2, 2],
    worth: (p) => ({
      violation: 0,
      warnings: 0,
      price: p.every((x) => x === 1) ? 1 : 10 + p.reduce((a, x) => a + x, 0),
    }),
  };
  const inRestarts = (restarts: number) => {
    const of = search(spaceOf(grid), [[0, 0, 0]], { seed: 1, most: 1e4, restarts });
    let last = of.next();
    while (last.value.phase === 'descent' || last.value.phase === 'restart') last = of.next();
    return last.value.best?.worth.price;
  };
  expect([inRestarts(0), inRestarts(30)]).toEqual([10, 1]);
});

test('two changes at once are tried where one alone leads nowhere', () => {
  // Both switches must be thrown: each alone is dearer.
  const grid: Grid = {
    sizes: [2, 2, 3],
    worth: ([a = 0, b = 0, c = 0]) => ({
      violation: 0,
      warnings: 0,
      price: a === 1 && b === 1 ? 5 + c : 10 + a + b + c,
    }),
  };
  expect(run(grid, 0, {}, 3).best?.s).toEqual([1, 1, 0]);
});

test('what is missed comes before warnings, and these before money; the same seed goes the same way, and work is bounded', () => {
  const w = (violation: number, warnings: number, price: number): Score => ({ violation, warnings, price });
  expect(better(w(0, 1, 99), w(0.1, 0, 1))).toBe(true);
  expect(better(w(0, 0, 99), w(0, 1, 1))).toBe(true);
  expect(better(w(0, 0, 1), w(0, 0, 1))).toBe(false);
  const grid: Grid = { sizes: [9, 9, 9], worth: (p) => w(0, 0, (7 * p.reduce((s, x) => s + x * x, 3)) % 101) };
  const [a, b] = [run(grid, 0, {}, 5, 60), run(grid, 0, {}, 5, 60)];
  expect(a.pool.map((j) => j.s)).toEqual(b.pool.map((j) => j.s));
  expect(a.effort).toBeLessThanOrEqual(61);
  expect(run(grid, 100, {}, 5, 60).whole).toBe(false);
});

test('nothing beats those that are unbeaten, and something beats every other', () => {
  expect(
    paretoFront(
      [
        [1, 2],
        [2, 1],
        [2, 2],
      ],
      (x) => x,
    ),
  ).toEqual([
    [1, 2],
    [2, 1],
  ]);
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(9), fc.nat(9)), { maxLength: 30 }), (all) => {
      const front = paretoFront(all, (x) => x);
      const beats = (a: readonly number[], b: readonly number[]): boolean =>
        a.every((x, i) => x <= (b[i] ?? 0)) && a.some((x, i) => x < (b[i] ?? 0));
      for (const x of all) expect(front.includes(x)).toBe(!all.some((y) => beats(y, x)));
    }),
  );
});

test('a space too large to go through whole is still searched from starts that are made one by one', () => {
  const grid: Grid = {
    sizes: [9, 9],
    worth: (p) => ({ violation: 0, warnings: 0, price: p.reduce((s, x) => s + x, 1) }),
  };
  function* starts(): Generator<Point> {
    yield [5, 5];
  }
  const of = search(spaceOf(grid), starts(), { seed: 1, most: 500, small: 3 });
  let last = of.next();
  while (!last.done) last = of.next();
  expect(last.value).toMatchObject({ whole: false, best: { s: [0, 0] } });
});

test('a further start is only for what the first ones have missed, unless every one is asked for', () => {
  const asked = (every: boolean | undefined, missed: boolean): number => {
    const grid: Grid = { sizes: [3], worth: ([x = 0]) => ({ violation: missed ? 1 : 0, warnings: 0, price: 1 + x }) };
    let begun = 0;
    function* starts(): Generator<Point> {
      for (; begun < 3;) {
        begun++;
        yield [begun - 1];
      }
    }
    const of = search(spaceOf(grid), starts(), { seed: 1, most: 50, ...(every !== undefined && { every }) });
    while (!of.next().done);
    return begun;
  };
  expect([asked(undefined, false), asked(false, true), asked(true, false)]).toEqual([2, 3, 3]);
});

test('everything that changes lead to: each way that misses nothing once, or nothing where there is too much of it', () => {
  // Steps of one for 2 and of two for 3 up to 5: by five ones, three and a two, or one and two twos.
  const space = {
    keyOf: (s: readonly [at: number, spent: number]) => s.join(' '),
    movesOf: ([at, spent]: readonly [number, number]) =>
      at < 5 ? [[at + 1, spent + 2] as const, [at + 2, spent + 3] as const] : [],
    judge: ([at, spent]: readonly [number, number]) =>
      at > 5 ? undefined : { violation: 5 - at, warnings: 0, price: spent },
  };
  const found = enumerateFeasible(space, [0, 0], 100);
  expect(found?.map((j) => j.worth.price).sort((a, b) => a - b)).toEqual([8, 9, 10]);
  // (0,0) (1,2) (2,4) (2,3) ... : more than four.
  expect(enumerateFeasible(space, [0, 0], 4)).toBeUndefined();
  expect(enumerateFeasible(space, [5, 1], 1)).toEqual([{ s: [5, 1], worth: { violation: 0, warnings: 0, price: 1 } }]);
  expect(enumerateFeasible(space, [6, 0], 9)).toEqual([]);
});

describe('climbing round by round', () => {
  /** Steps of one on a line from 0; the goal is 5. A step of two costs three, a step of one costs two. */
  interface At {
    readonly at: number;
    readonly spent: number;
  }
  const line = (dead: readonly number[] = []) => ({
    keyOf: (s: At) => `${s.at} ${s.spent}`,
    movesOf: (s: At) => [
      { at: s.at + 1, spent: s.spent + 2 },
      { at: s.at + 2, spent: s.spent + 3 },
      { at: s.at - 1, spent: s.spent + 1 },
    ],
    judge: (s: At) =>
      dead.includes(s.at) ? undefined : { violation: Math.abs(5 - s.at), warnings: 0, price: s.spent },
  });
  const start = { at: 0, spent: 0 };

  test('the best of each round goes on: two, two and one', () => {
    const found = beamSearch(line(), start, { breadth: 1, rounds: 6 });
    expect(found?.best.s).toEqual({ at: 5, spent: 3 + 3 + 2 });
    expect(found?.whole).toHaveLength(1);
  });

  test('too few rounds end with the nearest; what cannot be is gone round', () => {
    expect(beamSearch(line(), start, { breadth: 1, rounds: 2 })?.best.s.at).toBe(4);
    expect(beamSearch(line(), start, { breadth: 1, rounds: 2 })?.whole).toEqual([]);
    // At 4 nothing stands: 2, then 3, then 5.
    expect(beamSearch(line([4]), start, { breadth: 1, rounds: 6 })?.best.s).toEqual({ at: 5, spent: 3 + 2 + 3 });
    expect(beamSearch(line([0]), start, { breadth: 1, rounds: 6 })).toBeUndefined();
  });

  test('a start that misses nothing is left as it is; only changes that lead on are followed', () => {
    expect(beamSearch(line(), { at: 5, spent: 9 }, { breadth: 3, rounds: 6 })).toEqual({
      best: { s: { at: 5, spent: 9 }, worth: { violation: 0, warnings: 0, price: 9 } },
      whole: [],
    });
    const none = beamSearch(line(), start, { breadth: 2, rounds: 6, leadsOn: () => false });
    expect(none?.best.s).toEqual(start);
  });

  test('wider, more ways there are found, and no more are looked at than is said', () => {
    const many = beamSearch(line(), start, { breadth: 4, rounds: 8, enough: 3 });
    expect(many?.whole.length).toBeGreaterThanOrEqual(3);
    expect(Math.min(...(many?.whole.map((w) => w.worth.price) ?? []))).toBe(8);
    expect(beamSearch(line(), start, { breadth: 4, rounds: 8, most: 0 })?.whole).toEqual([]);
  });
});
