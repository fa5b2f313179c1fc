import highsLoader from 'highs';
import { cutAndShop, provenPrice, quickPrice, quickShop } from './cut';
import { demoGarden } from './garden/demo';
import { everyKind } from './testing/everyKind';
import type { Cover, Garden } from './garden/garden';
import { highsSolver } from './make/cutting/highs';
import type { IntegerSolver } from './make/cutting/linearProgram';
import { assessCover } from './plan';

const STOPPED = { optimal: false, feasible: false, infeasible: false, objective: 0, values: {}, duals: {} };

/** A solver that counts how often it is asked, and one that never comes to anything. */
async function solvers() {
  const solver = highsSolver(await highsLoader());
  const asked = { times: 0 };
  const counting = (solve: IntegerSolver['solve'], now = solver.now): IntegerSolver => ({
    now,
    solve: (...lp) => {
      asked.times += 1;
      return solve(...lp);
    },
  });
  return {
    counted: counting(solver.solve),
    late: counting(
      () => STOPPED,
      () => 0,
    ),
    asked,
  };
}

const designed = (garden: Garden, cover: Cover | undefined) => {
  const made = cover && assessCover(garden, cover);
  if (!made?.ok) throw new Error('it cannot be built');
  return made.value;
};
// Of all kinds on the long bed these two have boards that take programmes to prove.
const every = everyKind();
const onLong = (family: string) =>
  designed(
    every,
    every.covers.find((c) => c.family === family && c.bedId === 'long'),
  );
const house = () => onLong('walk-in');

test('a section that was proven is not proven again, and comes out the same', async () => {
  const { counted, asked } = await solvers();
  const first = cutAndShop(house(), counted);
  expect(first.ok && first.value.cuts.every((c) => c.proven)).toBe(true);
  expect(asked.times).toBeGreaterThan(0);
  asked.times = 0;
  // Worked out anew and equal in value, as an edit and its undo leave it.
  expect(cutAndShop(house(), counted)).toEqual(first);
  expect(asked.times).toBe(0);
});

test('what was not proven is tried again', async () => {
  const { late, asked } = await solvers();
  const hurried = cutAndShop(onLong('double-wall-cold-frame'), late);
  expect(hurried.ok && hurried.value.cuts.filter((c) => !c.proven)).toHaveLength(1);
  const { times } = asked;
  cutAndShop(onLong('double-wall-cold-frame'), late);
  expect([times > 0, asked.times]).toEqual([true, 2 * times]);
});

test('every cover of the demo is proven without a programme', () => {
  const garden = demoGarden();
  const none: IntegerSolver = {
    now: () => 0,
    solve: () => {
      throw new Error('asked for a programme');
    },
  };
  for (const cover of garden.covers) {
    const cut = cutAndShop(designed(garden, cover), none);
    expect(cut.ok && cut.value.cuts.every((c) => c.proven)).toBe(true);
  }
});

test('a piece that no bar is long enough for is a fault that names its board, and there is no price', () => {
  const o = designed(demoGarden(), demoGarden().covers[0]);
  const [long] = o.assembly.members.filter((m) => m.section.key === '2x4');
  const members = o.assembly.members.map((m) => (m === long ? { ...m, lengthMm: 9000 } : m));
  const grown = { ...o, assembly: { ...o.assembly, members } };
  const none: IntegerSolver = { now: () => 0, solve: () => STOPPED };
  const made = cutAndShop(grown, none);
  expect(made.ok ? [] : made.faults.map((f) => f.field)).toEqual(['2x4']);
  expect(made.ok ? '' : made.faults[0]?.message).toMatch(/^2x4: .*9000.* mm$/);
  expect([quickShop(grown), quickPrice(grown), provenPrice(grown, none)]).toEqual([undefined, NaN, NaN]);
});
