/** From an outline to bars and a shopping list: proven, or by the quick rule where a few coins either way do not matter. */
import type { Assessment } from './assessment';
import { type Result, failAll, ok } from './base/result';
import type { Assembly } from './cover/assembly/types';
import { catalogOf } from './catalog/own';
import type { Garden } from './garden/garden';
import { type ShoppingList, shoppingList } from './make/buying/shopping';
import { type SectionCuts, type SectionJob, labelCuts, sectionJobs } from './make/cutting/bars';
import { type BarJob, readBarJob } from './make/cutting/job';
import { type IntegerSolver, timeLeft } from './make/cutting/linearProgram';
import type { CutPlan } from './make/cutting/bestFitDecreasing';
import { quickPlan } from './make/cutting/quick';
import { solveBars } from './make/cutting/solve';

/** What cutting and buying need to know of one cover, or of several together. */
type ToCut = Pick<Assessment, 'rolls' | 'sheets' | 'done' | 'also'> & {
  readonly garden: Garden;
  readonly assembly: Pick<Assembly, 'members' | 'sheets' | 'panels' | 'hardware'>;
};

/** Cuts and purchases. */
export interface Cut {
  readonly cuts: readonly SectionCuts[];
  readonly shopping: ShoppingList;
}

/** That, cut and bought. */
export type CutCover = ToCut & Cut;

/** Cutting while it is worked out: how far it is, how many pieces the next section has, and the best plan so far. */
export interface CutProgress {
  readonly solved: number;
  readonly sections: number;
  readonly nextPieces: number;
  readonly best: () => Cut | undefined;
}

/** Most time for one section while a person waits; and for a cover of so many sections or fewer, seconds. */
const SECTION_SECONDS = 1.2;
const COVER_SECONDS = 1.5;
const SECTIONS = 6;

/**
 * The cuts, proven best where that can be, and what to buy for them.
 * @param onCut hears before every section how far it is
 */
export function cutAndShop(
  o: ToCut,
  solver: IntegerSolver,
  onCut: (progress: CutProgress) => void = () => undefined,
): Result<Cut> {
  const jobs = cuttingJobs(o);
  if (!jobs.ok) return jobs;
  const { patience = 1 } = solver;
  const left = timeLeft(solver, patience * COVER_SECONDS * Math.max(1, jobs.value.length / SECTIONS));
  const plans: CutPlan[] = [];
  for (const { job } of jobs.value) {
    onCut({
      solved: plans.length,
      sections: jobs.value.length,
      nextPieces: job.pieces.reduce((sum, p) => sum + p.quantity, 0),
      best: () => {
        const cuts = filledUp(jobs.value, plans);
        return cuts && { cuts, shopping: shop(o, cuts) };
      },
    });
    // Most sections are proven in an instant; what they leave is for the hard ones.
    const solved = solvedOnce(job, solver, Math.min(patience * SECTION_SECONDS, left()));
    if (!solved.ok) return solved;
    plans.push(solved.value);
  }
  const cuts = named(jobs.value, plans);
  return ok({ cuts, shopping: shop(o, cuts) });
}

/** Plans by their jobs, so many at the most: those that a solver has proven, and those of the quick rule. */
const proofs = new WeakMap<IntegerSolver, Map<string, CutPlan>>();
const byRule = new Map<string, CutPlan>();
const MOST_KEPT = 500;

function keep(known: Map<string, CutPlan>, key: string, plan: CutPlan): void {
  if (known.size >= MOST_KEPT) known.clear();
  known.set(key, plan);
}

/** The plan of one section: what was proven is not proven again, as most sections are the same after an edit or with a mend. */
function solvedOnce(job: BarJob, solver: IntegerSolver, seconds: number): Result<CutPlan> {
  const known = proofs.get(solver) ?? new Map<string, CutPlan>();
  proofs.set(solver, known);
  const key = JSON.stringify(job);
  const before = known.get(key);
  if (before) return ok(before);
  const solved = solveBars(job, solver, seconds);
  if (solved.ok && solved.value.proven) keep(known, key, solved.value);
  return solved;
}

/** The same by the quick rule. */
function ruledOnce(job: BarJob): CutPlan | undefined {
  const key = JSON.stringify(job);
  const before = byRule.get(key);
  const plan = before ?? quickPlan(job);
  if (plan && !before) keep(byRule, key, plan);
  return plan;
}

/** Price by the cuts, proven best where that can be; NaN where it cannot be cut. */
export function provenPrice(o: ToCut, solver: IntegerSolver): number {
  const cut = cutAndShop(o, solver);
  return cut.ok ? cut.value.shopping.paid : NaN;
}

/** Price by the quick cutting rule: for comparing changes. */
export function quickPrice(o: ToCut): number {
  return quickShop(o)?.paid ?? NaN;
}

/** What to buy by the quick cutting rule; undefined where it cannot be cut. */
export function quickShop(o: ToCut): ShoppingList | undefined {
  const jobs = cuttingJobs(o);
  const cuts = jobs.ok ? filledUp(jobs.value, []) : undefined;
  return cuts && shop(o, cuts);
}

/** The cutting jobs of a cover, one a section; a piece longer than every bar is a fault. */
function cuttingJobs(o: ToCut): Result<readonly SectionJob[]> {
  const jobs = sectionJobs(o.assembly, o.garden.prices, o.garden.shelf, o.done);
  for (const { section, job } of jobs) {
    const sound = readBarJob(job);
    if (!sound.ok)
      return failAll(sound.faults.map((f) => ({ field: section.name, message: `${section.name}: ${f.message} mm` })));
  }
  return ok(jobs);
}

/** Solved jobs as bars with tags and marks; boards and pipes are numbered through. */
function named(jobs: readonly SectionJob[], plans: readonly CutPlan[]): readonly SectionCuts[] {
  const numbers = { board: 1, tube: 1 };
  return jobs.flatMap((job, i) => {
    const solved = plans[i];
    if (!solved) return [];
    const { kind } = job.section.shape;
    const labelled = labelCuts(job, solved, numbers[kind]);
    numbers[kind] += labelled.bars.length;
    return [labelled];
  });
}

/** The plan by the quick rule for every job that is not solved yet; undefined where it finds none. */
function filledUp(jobs: readonly SectionJob[], solved: readonly CutPlan[]): readonly SectionCuts[] | undefined {
  const rest = jobs.slice(solved.length).map(({ job }) => ruledOnce(job));
  const plans = [...solved, ...rest.filter((p) => p !== undefined)];
  return plans.length === jobs.length ? named(jobs, plans) : undefined;
}

function shop(o: ToCut, cuts: readonly SectionCuts[]): ShoppingList {
  const { prices, owned, units, catalog } = o.garden;
  const hardware = [...o.assembly.hardware, ...o.also];
  return shoppingList(
    hardware,
    cuts,
    o.rolls,
    o.sheets,
    prices,
    owned,
    catalogOf(catalog, units.stock),
    units.currency,
  );
}
