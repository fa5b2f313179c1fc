import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { highsSolver } from '../../core/cutting/highs';
import type { IntegerSolver } from '../../core/cutting/programme';
import { type Candidate, candidates } from '../../core/compare';
import type { Cover, Garden } from '../../core/files/garden';
import { type CutProgress, type Mend, type Plan, cutAndShop, findMends, outline } from '../../core/plan';
import type { Result } from '../../core/result';
import { type Together, planTogether } from '../../core/together';
import { type Version, versionsOf } from '../../core/versions';

/** What the screen needs beyond the outline that it works out itself. */
export type PlanWork = Pick<Plan, 'cuts' | 'shopping'>;

/** What there is while work goes on: how far it is, and the best so far, to be kept if it is stopped. */
export interface BestSoFar<T> {
  readonly solved: number;
  readonly sections: number;
  readonly work: T | undefined;
}
export type OnBest<T> = (best: BestSoFar<T>) => void;

/** Quicker work than this is not told of, ms; and sections with fewer pieces are quick. */
const TELL_MS = 150;
const MANY_PIECES = 100;

function whenSlow<T>(onBest: OnBest<T>): (p: CutProgress, best: () => T | undefined) => void {
  const began = performance.now();
  return ({ solved, sections, nextPieces }, best) => {
    if (performance.now() - began > TELL_MS || nextPieces > MANY_PIECES) onBest({ solved, sections, work: best() });
  };
}

let solver: Promise<IntegerSolver> | undefined;
const loadSolver = (): Promise<IntegerSolver> =>
  (solver ??= highsLoader({ locateFile: () => wasmUrl }).then(highsSolver));

const service = {
  /** Loads the solver, so that the first plan need not wait for it. */
  async warmUp(): Promise<void> {
    await loadSolver();
  },
  /** Cuts and shopping list of one cover. */
  async work(garden: Garden, cover: Cover, onBest: OnBest<PlanWork>): Promise<Result<PlanWork>> {
    const outlined = outline(garden, cover);
    const solver = await loadSolver();
    const tell = whenSlow(onBest);
    return outlined.ok ? cutAndShop(outlined.value, solver, (p) => tell(p, p.best)) : outlined;
  },
  /** Every kind of cover on a bed, drawn and measured. */
  compare(garden: Garden, bedId: string, cropKey: string): readonly Candidate[] {
    return candidates(garden, bedId, cropKey);
  },
  /** Versions of one cover, worked out. */
  async versions(garden: Garden, cover: Cover): Promise<readonly Version[]> {
    return versionsOf(garden, cover, await loadSolver());
  },
  /** Several covers cut and bought as one. */
  async together(garden: Garden, ids: readonly string[], onBest: OnBest<Together>): Promise<Result<Together>> {
    const covers = garden.covers.filter((c) => ids.includes(c.id));
    const tell = whenSlow(onBest);
    return planTogether(garden, covers, await loadSolver(), (p, best) => tell(p, best));
  },
  /** Changes that would mend what fails, priced. */
  mends(garden: Garden, cover: Cover): readonly Mend[] {
    const outlined = outline(garden, cover);
    return outlined.ok ? findMends(outlined.value) : [];
  },
};

export type PlanService = typeof service;
expose(service);
