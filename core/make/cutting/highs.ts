import type { Highs } from 'highs';
import type { IntegerSolver } from './linearProgram';

/** As long as the command line and the tests may take, over what a person waits. */
const UNHURRIED = 10;

/**
 * Makes the solver of `solveBars` from a loaded HiGHS module.
 * @param now the time, ms from any moment
 * @param patience as in `IntegerSolver`
 */
export function highsSolver(highs: Highs, now: () => number, patience = UNHURRIED): IntegerSolver {
  return {
    patience,
    now: () => now() / 1000,
    solve: (lp, seconds) => {
      const answer = highs.solve(lp, {
        time_limit: Math.max(0.01, seconds),
        mip_rel_gap: 0,
        mip_abs_gap: 1e-7,
        output_flag: false,
      });
      const optimal = answer.Status === 'Optimal';
      const columns = Object.entries(answer.Columns).map(([name, column]): [string, number] => [
        name,
        'Primal' in column ? column.Primal : NaN,
      ]);
      const duals = answer.Rows.flatMap((row): [string, number][] =>
        'Dual' in row && 'Name' in row ? [[row.Name, row.Dual]] : [],
      );
      return {
        optimal,
        feasible:
          optimal || (answer.Status === 'Time limit reached' && columns.every(([, value]) => Number.isFinite(value))),
        infeasible: answer.Status === 'Infeasible' || answer.Status === 'Primal infeasible or unbounded',
        objective: answer.ObjectiveValue,
        values: Object.fromEntries(columns),
        duals: Object.fromEntries(duals),
      };
    },
  };
}
