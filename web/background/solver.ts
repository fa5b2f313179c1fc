/** The integer solver of a worker: loaded once. */
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { highsSolver } from '../../core/make/cutting/highs';
import type { IntegerSolver } from '../../core/make/cutting/linearProgram';

let solver: Promise<IntegerSolver> | undefined;
export const loadSolver = (): Promise<IntegerSolver> =>
  (solver ??= highsLoader({ locateFile: () => wasmUrl })
    .then((highs) => highsSolver(highs, () => performance.now()))
    .catch((why: unknown) => {
      // Tried again with the next call.
      solver = undefined;
      throw why;
    }));
