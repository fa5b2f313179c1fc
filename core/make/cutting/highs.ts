import type { Highs, InterruptCallbackEvent, Model } from 'highs';
import type { IntegerSolver, SolverAnswer } from './linearProgram';

/** As much work as the command line and the tests may take, over what a person waits for. */
const UNHURRIED = 10;

/** Work is counted in entries of the matrix gone through: about so many in a second of the machine that the budgets are set for. */
const ENTRIES_A_SECOND = 2e6;
/** What a step of the tree search costs beside one of the simplex method. */
const TREE_STEP = 10;
/** What any programme costs before its first step, in entries. */
const ENTRIES_TO_BEGIN = 1000;

/**
 * Makes the solver of `solveBars` from a loaded HiGHS module.
 * @param clock the time, ms from any moment, where a person waits: it stops what takes too long. Without one work is counted, and a slow
 * machine gives the answer of a quick one
 */
export function highsSolver(highs: Highs, clock?: () => number): IntegerSolver {
  const { callbackType } = highs.constants;
  let counted = 0;
  return {
    patience: clock ? 1 : UNHURRIED,
    now: () => (clock ? clock() / 1000 : counted / ENTRIES_A_SECOND),
    solve: (lp, seconds) =>
      highs.withModel({ format: 'lp', data: lp }, (model) => {
        model.options.set({ mip_rel_gap: 0, mip_abs_gap: 1e-7, output_flag: false });
        const entries = ENTRIES_TO_BEGIN + model.getDimensions().numNonzeros;
        let steps = { tree: 0, simplex: 0 };
        const work = (): number => entries * (1 + TREE_STEP * steps.tree + steps.simplex);
        const count = (event: InterruptCallbackEvent, now: typeof steps): undefined => {
          steps = now;
          if (work() > seconds * ENTRIES_A_SECOND) event.interrupt();
        };
        if (clock) model.options.set('time_limit', Math.max(0.01, seconds));
        model.run(
          clock
            ? {}
            : {
                [callbackType.simplexInterrupt]: (event) =>
                  count(event, { ...steps, simplex: event.data.simplex_iteration_count ?? 0 }),
                [callbackType.mipInterrupt]: (event) =>
                  count(event, { tree: steps.tree + 1, simplex: Number(event.data.mip_total_lp_iterations ?? 0) }),
              },
        );
        counted += work();
        return answerOf(highs, model);
      }),
  };
}

const NO_VALUES = { colValue: new Float64Array(), rowDual: new Float64Array() };

function answerOf({ constants: { modelStatus, solutionStatus } }: Highs, model: Model): SolverAnswer {
  const status = model.getModelStatus();
  const values = model.info.get('primal_solution_status');
  const { numCols, numRows } = model.getDimensions();
  // Impossible before its first step, it has no values at all.
  const { colValue, rowDual } = values === solutionStatus.none ? NO_VALUES : model.getSolution();
  const named = (count: number, nameOf: (at: number) => string, of: Float64Array): Record<string, number> =>
    Object.fromEntries(Array.from({ length: count }, (_, at) => [nameOf(at), of[at] ?? NaN]));
  return {
    optimal: status === modelStatus.optimal,
    feasible: values === solutionStatus.feasible,
    infeasible: status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible,
    objective: model.getObjectiveValue(),
    values: named(numCols, (at) => model.getColName(at), colValue),
    duals: named(numRows, (at) => model.getRowName(at), rowDual),
  };
}
