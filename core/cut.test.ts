import highsLoader from 'highs';
import { cutAndShop } from './cut';
import { demoGarden } from './garden/demo';
import { highsSolver } from './make/cutting/highs';
import type { IntegerSolver } from './make/cutting/linearProgram';
import { outline } from './plan';

/** A solver that counts how often it is asked, and one whose time is always up. */
async function solvers() {
  const solver = highsSolver(await highsLoader(), () => performance.now());
  const asked = { times: 0 };
  let seconds = 0;
  const counted: IntegerSolver = {
    ...solver,
    solve: (lp, most) => {
      asked.times += 1;
      return solver.solve(lp, most);
    },
  };
  return { counted, asked, late: { ...counted, now: () => (seconds += 100) } };
}

const garden = demoGarden();
const cover = garden.covers.find((c) => c.id === 'winter-lid');
const designed = (answers: object = {}) => {
  const made = cover && outline(garden, { ...cover, answers: { ...cover.answers, ...answers } });
  if (!made?.ok) throw new Error('no winter lid');
  return made.value;
};

test('a section that was proven is not proven again, and comes out the same', async () => {
  const { counted, asked } = await solvers();
  const first = cutAndShop(designed(), counted);
  expect(asked.times).toBeGreaterThan(0);
  asked.times = 0;
  // Worked out anew, equal in value: as an edit and its undo leave it.
  expect(cutAndShop(designed(), counted)).toEqual(first);
  expect(asked.times).toBe(0);
  // One hoop more is other pipe alone: its section is solved, and those of timber are not.
  const more = cutAndShop(designed({ hoops: 7 }), counted);
  expect(more.ok && more.value.cuts.every((c) => c.proven)).toBe(true);
  const pipes = more.ok ? more.value.cuts.filter((c) => c.section.shape.kind === 'tube') : [];
  expect(pipes.flatMap((c) => c.bars.flatMap((b) => b.pieces)).filter((p) => p.tag.startsWith('H'))).toHaveLength(7);
});

test('what time has cut short is tried again', async () => {
  const { counted, asked, late } = await solvers();
  const hurried = cutAndShop(designed(), late);
  const open = hurried.ok ? hurried.value.cuts.filter((c) => !c.proven) : [];
  expect(open.length).toBeGreaterThan(0);
  asked.times = 0;
  cutAndShop(designed(), late);
  expect(asked.times).toBeGreaterThan(0);
  // Another solver knows nothing of it.
  asked.times = 0;
  const calm = cutAndShop(designed(), counted);
  expect(asked.times).toBeGreaterThan(0);
  expect(calm.ok && calm.value.cuts.every((c) => c.proven)).toBe(true);
});
