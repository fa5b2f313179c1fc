import { type Pictured, pictured } from '../../core/show/picture';
import { type Mend } from '../../core/mends';
import { type CutProgress, cutAndShop } from '../../core/cut';
import { expose } from 'comlink';
import highsLoader from 'highs';
import wasmUrl from 'highs/runtime?url';
import { highsSolver } from '../../core/make/cutting/highs';
import type { IntegerSolver } from '../../core/make/cutting/programme';
import { type Candidate, type Standing, candidates } from '../../core/compare';
import type { Cover, Garden } from '../../core/garden/garden';
import { type Plan, mendsOf, outline } from '../../core/plan';
import type { Result } from '../../core/base/result';
import { type Together, planTogether } from '../../core/together';
import { type Version, versionsOf } from '../../core/versions';

/** Kinds and versions as the screen shows them. */
export type ShownKind = Pictured<Standing>;
export type Shown = ShownKind | Exclude<Candidate, Standing>;
export type ShownVersion = Pictured<Version>;

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
  (solver ??= highsLoader({ locateFile: () => wasmUrl })
    .then(highsSolver)
    .catch((why: unknown) => {
      // Tried again with the next call.
      solver = undefined;
      throw why;
    }));

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
  compare(garden: Garden, bedId: string, cropKey: string): readonly Shown[] {
    return candidates(garden, bedId, cropKey).map((c) => ('outline' in c ? pictured(c) : c));
  },
  /** Versions of one cover, worked out. */
  async versions(garden: Garden, cover: Cover): Promise<readonly ShownVersion[]> {
    return versionsOf(garden, cover, await loadSolver()).map(pictured);
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
    return outlined.ok ? mendsOf(outlined.value) : [];
  },
};

export type PlanService = typeof service;
expose(service);
