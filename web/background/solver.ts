/** The integer solver of a worker: most cuts are proven without it, so it comes when it is first asked for. */
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { highsSolver } from '../../core/make/cutting/highs';
import type { IntegerSolver } from '../../core/make/cutting/linearProgram';

const now = (): number => performance.now();
const wanted = new Error('The solver is not here yet.');

let here: IntegerSolver | undefined;
/** One solver before and after it has come, so that what it has proven stays known. */
const solver: IntegerSolver = {
  patience: 1,
  now: () => now() / 1000,
  solve: (lp, seconds) => {
    if (!here) throw wanted;
    return here.solve(lp, seconds);
  },
};

let loading: Promise<void> | undefined;
/** The solver, loaded: once, or again after it did not come. */
export async function loadSolver(): Promise<IntegerSolver> {
  await (loading ??= highsLoader({ locateFile: () => wasmUrl })
    .then((highs) => {
      here = highsSolver(highs, now);
    })
    .catch((cause: unknown) => {
      loading = undefined;
      throw new Error('the part that proves hard cuts did not come', { cause });
    }));
  return solver;
}

/** Does work that may need the solver; where it turns out to, the work is done again once that is here. */
export async function withSolver<T>(work: (solver: IntegerSolver) => T): Promise<T> {
  try {
    return work(solver);
  } catch (why) {
    if (why !== wanted) throw why;
    return work(await loadSolver());
  }
}
