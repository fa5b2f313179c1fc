/** `design`: the best covers for a brief. */
import { type WishCost, costsOf } from '../core/explore/brief/costs';
import { briefContext, searchWholeBrief } from '../core/explore/brief/find';
import { briefReport, readBriefJob } from '../core/explore/brief/job';
import { emptyScoreCache } from '../core/explore/brief/evaluator';
import { proven, provenIn } from '../core/explore/brief/offers';
import { type Result, ok } from '../core/base/result';
import type { IntegerSolver } from '../core/make/cutting/linearProgram';
import { type Options, json, numberOf, readText } from './read';

/** The wishes' costs, once all are known. */
function costsTo(run: ReturnType<typeof costsOf>): readonly WishCost[] {
  for (;;) {
    const { value, done } = run.next();
    if (done) return value;
  }
}

/** Reads a brief, searches, proves the prices and tells what each wish costs. */
export async function designCommand(path: string, options: Options, solver: IntegerSolver): Promise<Result<unknown>> {
  const seed = options['seed'] === undefined ? ok(1) : numberOf(options, 'seed', 0, 4294967295);
  if (!seed.ok) return seed;
  const text = await readText(path);
  if (!text.ok) return text;
  const value = json(text.value);
  if (!value.ok) return value;
  const job = readBriefJob(value.value);
  if (!job.ok) return job;
  const { garden, bedId, brief } = job.value;
  const known = emptyScoreCache();
  const found = proven(garden, brief, searchWholeBrief(garden, bedId, brief, { seed: seed.value, known }), solver);
  const [best] = found.offers;
  const costs = best
    ? costsTo(
        costsOf(garden, bedId, brief, best, found, { seed: seed.value, known, prove: provenIn(garden, brief, solver) }),
      )
    : [];
  return ok(briefReport(briefContext(garden, bedId, brief), found, costs, seed.value));
}
