import { type Result, fail, ok } from '../result';
import type { BarJob } from './job';
import { type Pattern, bestPattern, maximalPatterns, patternsWithin } from './patterns';

/** A linear or integer programme solver, given a problem in LP format; a library supplies it at the edge. */
export interface IntegerSolver {
  readonly solve: (lp: string, seconds: number) => SolverAnswer;
}

export interface SolverAnswer {
  readonly optimal: boolean;
  readonly feasible: boolean;
  /** Proven to have no answer at all. */
  readonly infeasible: boolean;
  readonly objective: number;
  readonly values: Readonly<Record<string, number>>;
  /** Dual value of each constraint, for linear programmes. */
  readonly duals: Readonly<Record<string, number>>;
}

export interface CutBar {
  readonly stockLength: number;
  readonly price: number;
  /** Index into the job's stock. */
  readonly stock: number;
  readonly pieces: readonly number[];
}

/** Bars to cut and what has been proven about their price. */
export interface CutPlan {
  readonly cost: number;
  readonly bars: readonly CutBar[];
  /** No plan costs less than this. */
  readonly bound: number;
  readonly proven: boolean;
}

/** Patterns that are all put before the integer programme; and those that a gap may leave. */
const LISTED = 1500;
const LEFT_BY_GAP = 15000;
const CENT = 1e-6;

function sum(terms: readonly string[]): string {
  // LP format wants lines of bearable length.
  const lines: string[] = [];
  for (let i = 0; i < terms.length; i += 20) lines.push(terms.slice(i, i + 20).join(' + '));
  return lines.join('\n + ');
}

const plain = (x: number): string => {
  const text = String(x);
  return /e/i.test(text) ? x.toFixed(12) : text;
};

interface Programme {
  readonly patterns: readonly Pattern[];
  readonly objective: (p: Pattern) => number;
  readonly priceCap?: number;
  /** What the objective cannot go below; said, it spares most of the proof. */
  readonly floor?: number;
  /** Most stock of all bars together. */
  readonly lengthCap?: number;
  /** Counts the patterns used in place of the objective. */
  readonly setUps?: boolean;
  readonly integer: boolean;
}

function lpText(job: BarJob, { patterns, objective, floor, priceCap, lengthCap, setUps, integer }: Programme): string {
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const rows: string[] = [];
  job.pieces.forEach((piece, i) => {
    if (piece.quantity === 0) return;
    const terms = patterns.flatMap((p, k) => ((p.counts[i] ?? 0) > 0 ? [`${p.counts[i]} x${k}`] : []));
    rows.push(` d${i}: ${sum(terms)} >= ${piece.quantity}`);
  });
  job.stock.forEach((bar, s) => {
    if (bar.available === undefined) return;
    const terms = patterns.flatMap((p, k) => (p.stock === s ? [`x${k}`] : []));
    if (terms.length > 0) rows.push(` a${s}: ${sum(terms)} <= ${bar.available}`);
  });
  if (priceCap !== undefined) {
    const terms = patterns.flatMap((p, k) => (price(p) > 0 ? [`${plain(price(p))} x${k}`] : []));
    if (terms.length > 0) rows.push(` price: ${sum(terms)} <= ${plain(priceCap)}`);
  }
  if (lengthCap !== undefined)
    rows.push(
      ` stuff: ${sum(patterns.map((p, k) => `${plain(job.stock[p.stock]?.length ?? 0)} x${k}`))} <= ${plain(lengthCap)}`,
    );
  const bars = job.pieces.reduce((total, piece) => total + piece.quantity, 0);
  if (setUps) patterns.forEach((_, k) => rows.push(` s${k}: x${k} - ${bars} y${k} <= 0`));
  if (floor !== undefined && floor > 0)
    rows.push(` floor: ${sum(patterns.map((p, k) => `${plain(objective(p))} x${k}`))} >= ${plain(floor)}`);
  const goal = sum(patterns.map((p, k) => (setUps ? `y${k}` : `${plain(objective(p))} x${k}`)));
  const names = (letter: string): string => patterns.map((_, k) => `${letter}${k}`).join('\n ');
  const kinds = `${integer ? `General\n ${names('x')}\n` : ''}${setUps ? `Binary\n ${names('y')}\n` : ''}`;
  return `Minimize\n obj: ${goal}\nSubject To\n${rows.join('\n')}\n${kinds}End\n`;
}

/**
 * Turns chosen patterns into bars with just the wanted pieces, longest first from the tape's end; undefined when they do not
 * hold every piece, as when a programme was stopped before it had a whole answer.
 */
function toBars(
  job: BarJob,
  patterns: readonly Pattern[],
  values: Readonly<Record<string, number>>,
): readonly CutBar[] | undefined {
  const wanted = job.pieces.map((p) => p.quantity);
  const chosen = patterns.flatMap((p, k) => Array.from({ length: Math.round(values[`x${k}`] ?? 0) }, () => p));
  // Fullest bars first, so that a surplus piece is dropped where most is left over anyway.
  chosen.sort((a, b) => b.used / (job.stock[b.stock]?.length ?? 1) - a.used / (job.stock[a.stock]?.length ?? 1));
  const order = job.pieces.map((_, i) => i).sort((a, b) => (job.pieces[b]?.length ?? 0) - (job.pieces[a]?.length ?? 0));
  const bars = chosen.flatMap((pattern) => {
    const pieces = order.flatMap((i) => {
      const take = Math.min(pattern.counts[i] ?? 0, wanted[i] ?? 0);
      wanted[i] = (wanted[i] ?? 0) - take;
      return Array.from({ length: take }, () => job.pieces[i]?.length ?? 0);
    });
    const bar = job.stock[pattern.stock];
    return bar && pieces.length > 0
      ? [{ stockLength: bar.length, price: bar.price, stock: pattern.stock, pieces }]
      : [];
  });
  return wanted.every((left) => left === 0) ? bars : undefined;
}

function costOf(bars: readonly CutBar[]): number {
  return Math.round(bars.reduce((total, bar) => total + bar.price, 0) * 1e8) / 1e8;
}

/** Best fit, longest piece first: a plan to start from, never proven; undefined when limited stock runs out on the way. */
export function quickPlan(job: BarJob): CutPlan | undefined {
  const left = job.stock.map((s) => s.available ?? Infinity);
  const open: { stock: number; room: number; pieces: number[] }[] = [];
  const all = job.pieces.flatMap((p) => Array.from({ length: p.quantity }, () => p.length)).sort((a, b) => b - a);
  let remaining = all.reduce((total, l) => total + l + job.kerf, 0);
  for (const length of all) {
    const need = length + job.kerf;
    const fits = open
      .filter((b) => b.room >= need - CENT && length <= (job.stock[b.stock]?.longestPiece ?? Infinity) + CENT)
      .sort((a, b) => a.room - b.room)[0];
    const into = fits ?? openBar(job, left, need, remaining);
    if (!into) return undefined;
    if (!fits) open.push(into);
    into.room -= need;
    into.pieces.push(length);
    remaining -= need;
  }
  const bars = open.map((b) => ({
    stockLength: job.stock[b.stock]?.length ?? 0,
    price: job.stock[b.stock]?.price ?? 0,
    stock: b.stock,
    pieces: b.pieces,
  }));
  return { cost: costOf(bars), bars, bound: 0, proven: false };
}

function openBar(
  job: BarJob,
  left: number[],
  need: number,
  remaining: number,
): { stock: number; room: number; pieces: number[] } | undefined {
  let best = -1;
  let bestRate = Infinity;
  job.stock.forEach((bar, s) => {
    if ((left[s] ?? 0) <= 0 || Math.min(bar.length, bar.longestPiece ?? Infinity) + job.kerf < need - CENT) return;
    const rate = bar.price / Math.min(bar.length, Math.max(need, remaining)) + bar.length * 1e-12;
    if (rate < bestRate) {
      bestRate = rate;
      best = s;
    }
  });
  if (best < 0) return undefined;
  left[best] = (left[best] ?? 1) - 1;
  return { stock: best, room: (job.stock[best]?.length ?? 0) + job.kerf, pieces: [] };
}

interface Columns {
  readonly patterns: Pattern[];
  readonly bound: number;
  /** Worth of each piece and cost of each bar by the last linear programme. */
  readonly worth: readonly number[];
  readonly barCost: readonly number[];
}

/** Columns by Gilmore and Gomory's generation, for jobs with too many patterns to list; also the linear bound. */
function generateColumns(job: BarJob, solver: IntegerSolver): Columns {
  const patterns: Pattern[] = (quickPlan(job)?.bars ?? []).map((bar) => ({
    stock: bar.stock,
    counts: job.pieces.map((p) => bar.pieces.filter((l) => l === p.length).length),
    used: bar.pieces.reduce((total, l) => total + l + job.kerf, 0) - job.kerf,
  }));
  // One kind of piece to a bar: enough to start from, whatever the quick plan found.
  job.pieces.forEach((piece, i) => {
    job.stock.forEach((bar, s) => {
      if (piece.length > (bar.longestPiece ?? Infinity) + CENT) return;
      const most = Math.min(piece.quantity, Math.floor((bar.length + job.kerf + CENT) / (piece.length + job.kerf)));
      if (most > 0 && bar.available !== 0)
        patterns.push({
          stock: s,
          counts: job.pieces.map((_, k) => (k === i ? most : 0)),
          used: most * (piece.length + job.kerf) - job.kerf,
        });
    });
  });
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  let bound = 0;
  let worth: number[] = [];
  let barCost: number[] = [];
  for (let round = 0; round < 300; round++) {
    const lp = solver.solve(lpText(job, { patterns, objective: price, integer: false }), 5);
    if (!lp.feasible) break;
    worth = job.pieces.map((_, i) => Math.max(0, lp.duals[`d${i}`] ?? 0));
    barCost = job.stock.map((bar, s) => bar.price - Math.min(0, lp.duals[`a${s}`] ?? 0));
    let worstRatio = 1;
    let added = 0;
    job.stock.forEach((bar, s) => {
      if (bar.available === 0) return;
      const cost = barCost[s] ?? bar.price;
      const found = bestPattern(job, s, worth);
      if (found.worth > cost + 1e-7) {
        patterns.push(found.pattern);
        added++;
      }
      if (cost > 0) worstRatio = Math.max(worstRatio, found.worthAtMost / cost);
    });
    // Farley's bound: scaling the duals until no pattern is worth more than its bar keeps them feasible.
    bound = Math.max(bound, lp.objective / worstRatio);
    if (added === 0) break;
  }
  return { patterns, bound, worth, barCost };
}

/** Largest amount that every price is a whole multiple of, where prices are whole hundredths; else 0. */
function priceStep(job: BarJob): number {
  const cents = job.stock.map((s) => Math.round(s.price * 100));
  if (job.stock.some((s, i) => Math.abs(s.price * 100 - (cents[i] ?? 0)) > 1e-9)) return 0;
  const common = (a: number, b: number): number => (b === 0 ? a : common(b, a % b));
  return cents.reduce(common, 0) / 100;
}

/** A price is a whole multiple of the step, so a bound may be raised to the next one. */
function roundUp(bound: number, step: number): number {
  return step > 0 ? Math.round(Math.ceil(bound / step - 1e-6) * step * 100) / 100 : bound;
}

/**
 * Closes the gap of generated columns: either a better plan out of the patterns that one could be made of, or proof that there is none.
 * @returns the better plan's bars, 'none' when the plan in hand is proven best, or undefined when it stays open
 */
function closeGap(
  job: BarJob,
  columns: Columns,
  cost: number,
  solver: IntegerSolver,
  seconds: number,
): readonly CutBar[] | 'none' | undefined {
  const better = cost - (priceStep(job) || CENT);
  const slack = better - columns.bound + CENT;
  if (slack < 0) return 'none';
  const patterns = patternsWithin(job, columns.worth, columns.barCost, slack, LEFT_BY_GAP);
  if (!patterns) return undefined;
  if (patterns.length === 0) return 'none';
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const answer = solver.solve(
    lpText(job, { patterns, objective: price, priceCap: better + CENT, integer: true }),
    seconds,
  );
  if (answer.optimal) return toBars(job, patterns, answer.values);
  return answer.infeasible ? 'none' : undefined;
}

/**
 * The least that whole bars cost whose length together is that of all pieces and their cuts: however they are cut, no plan goes
 * below it. A knapsack in as many variables as there are stock lengths.
 */
function leastOfBars(job: BarJob, value: (bar: BarJob['stock'][number]) => number, solver: IntegerSolver): number {
  const need = job.pieces.reduce((total, p) => total + p.quantity * (p.length + job.kerf), 0);
  const names = job.stock.map((_, s) => ` n${s}`);
  const limits = job.stock.flatMap((bar, s) => (bar.available === undefined ? [] : [` n${s} <= ${bar.available}`]));
  const rows = [
    ` need: ${sum(job.stock.map((bar, s) => `${plain(bar.length + job.kerf)} n${s}`))} >= ${plain(need - CENT)}`,
    ...limits.map((limit, i) => ` l${i}:${limit}`),
  ];
  const goal = sum(job.stock.map((bar, s) => `${plain(value(bar))} n${s}`));
  const found = solver.solve(
    `Minimize\n obj: ${goal}\nSubject To\n${rows.join('\n')}\nGeneral\n${names.join('\n')}\nEnd\n`,
    1,
  );
  return found.optimal ? found.objective - CENT : 0;
}

/**
 * Weight that makes one programme prefer less stock among plans of one price: all of it together is worth less than
 * half of the smallest coin. 0 where prices are not whole hundredths, and a second programme breaks the tie.
 */
function tieBreak(job: BarJob): number {
  if (job.stock.some((s) => Math.abs(s.price * 100 - Math.round(s.price * 100)) > 1e-9)) return 0;
  const most = quickPlan(job)?.bars.reduce((total, bar) => total + bar.stockLength, 0);
  const longest = Math.max(...job.stock.map((s) => s.length));
  return most === undefined ? 0 : 0.004 / (most + longest * job.pieces.length * 4);
}

/**
 * Cuts every piece for the least price, then the least stock used, then the fewest set-ups.
 *
 * Small jobs: an integer programme over all maximal patterns, proven best. Larger ones: generated columns, then the patterns
 * that the gap leaves possible; the bound is shown where even those are too many.
 * @param solver solves programmes in LP format
 * @param seconds most time for one programme
 * @returns the plan, or a fault when limited stock cannot hold every piece
 */
export function solveBars(job: BarJob, solver: IntegerSolver, seconds = 10): Result<CutPlan> {
  if (job.pieces.every((p) => p.quantity === 0)) return ok({ cost: 0, bars: [], bound: 0, proven: true });
  const all = maximalPatterns(job, LISTED);
  return all ? solveListed(job, all, solver, seconds) : solveGenerated(job, solver, seconds);
}

/** Beyond so many pieces a plan within half a percent now is worth more than a proof later. */
const LARGE = 800;
const LARGE_SECONDS = 1;

const SHORT: Result<CutPlan> = fail('stock', 'There are not enough bars to cut every piece from.');

/** The integer programme over every maximal pattern. */
function solveListed(
  job: BarJob,
  patterns: readonly Pattern[],
  solver: IntegerSolver,
  seconds: number,
): Result<CutPlan> {
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const weight = patterns.length < 500 ? tieBreak(job) : 0;
  const objective = (p: Pattern): number => price(p) + weight * (job.stock[p.stock]?.length ?? 0);
  const floor = leastOfBars(job, (bar) => bar.price + weight * bar.length, solver);
  const finish = (bars: readonly CutBar[], bound: number, proven: boolean): Result<CutPlan> => {
    const least = weight > 0 ? bars : leastStock(job, patterns, bars, solver, seconds);
    return ok({ cost: costOf(bars), bars: fewestSetUps(job, patterns, least, solver), bound, proven });
  };
  // Where the quick rule meets the floor there is nothing left to find.
  const quick = quickPlan(job);
  if (quick && quick.bars.reduce((sum, b) => sum + b.price + weight * b.stockLength, 0) <= floor + 2 * CENT)
    return finish(quick.bars, quick.cost, true);
  const best = solver.solve(lpText(job, { patterns, objective, floor, integer: true }), seconds);
  const found = best.feasible ? toBars(job, patterns, best.values) : undefined;
  if (!found) return quick && !best.infeasible ? ok(quick) : SHORT;
  if (best.optimal) return finish(found, costOf(found), true);
  // Stopped before its proof: the linear programme over all patterns still bounds the price.
  const linear = solver.solve(lpText(job, { patterns, objective: price, integer: false }), seconds).objective;
  const least = leastOfBars(job, (bar) => bar.price, solver);
  const bound = roundUp(Math.max(linear, least), priceStep(job));
  return finish(found, Math.min(costOf(found), bound), costOf(found) <= bound + CENT);
}

/** Generated columns; then, where the gap can be closed, proof. */
function solveGenerated(job: BarJob, solver: IntegerSolver, patience: number): Result<CutPlan> {
  const pieces = job.pieces.reduce((sum, p) => sum + p.quantity, 0);
  const seconds = pieces > LARGE ? Math.min(patience, LARGE_SECONDS) : patience;
  const columns = generateColumns(job, solver);
  const { patterns } = columns;
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const floor = leastOfBars(job, (bar) => bar.price, solver);
  const start = quickPlan(job);
  const least = (bars: readonly CutBar[]): boolean => costOf(bars) <= floor + 2 * CENT;
  const best =
    start && least(start.bars)
      ? undefined
      : solver.solve(lpText(job, { patterns, objective: price, floor, integer: true }), seconds);
  const first = (best?.feasible ? toBars(job, patterns, best.values) : undefined) ?? start?.bars;
  if (!first) return SHORT;
  const found = start && start.cost < costOf(first) ? start.bars : first;
  const closed = least(found) ? 'none' : closeGap(job, columns, costOf(found), solver, seconds);
  const bars = closed === undefined || closed === 'none' ? found : closed;
  const cost = costOf(bars);
  const proven = closed !== undefined;
  return ok({
    cost,
    bars: leastStock(job, patterns, bars, solver, seconds),
    bound: proven ? cost : Math.min(cost, roundUp(Math.max(columns.bound, floor), priceStep(job))),
    proven,
  });
}

const LEAST_SECONDS = 0.6;

/** Of plans at the same price, one that uses less stock, where these patterns have one. */
function leastStock(
  job: BarJob,
  patterns: readonly Pattern[],
  bars: readonly CutBar[],
  solver: IntegerSolver,
  seconds: number,
): readonly CutBar[] {
  const length = (list: readonly CutBar[]): number => list.reduce((sum, bar) => sum + bar.stockLength, 0);
  const cost = costOf(bars);
  const objective = (p: Pattern): number => job.stock[p.stock]?.length ?? 0;
  const floor = leastOfBars(job, (bar) => bar.length, solver);
  if (length(bars) <= floor + 1) return bars;
  const least = solver.solve(
    lpText(job, { patterns, objective, floor, priceCap: cost + 1e-7, integer: true }),
    Math.min(seconds, LEAST_SECONDS),
  );
  if (!least.feasible) return bars;
  const tidy = toBars(job, patterns, least.values);
  return tidy && costOf(tidy) <= cost + CENT && length(tidy) < length(bars) ? tidy : bars;
}

/** A tie among more patterns than this, or more bars, is not worth the wait. */
const SET_UPS_AMONG = 120;
const SET_UP_SECONDS = 0.25;

/** How many different ways of cutting a bar there are in a plan. */
export function setUpsOf(bars: readonly CutBar[]): number {
  return new Set(bars.map((bar) => `${bar.stock}: ${bar.pieces.join(' ')}`)).size;
}

/** Of plans at the same price and with no more stock, one with fewer different bars, where these patterns have one. */
function fewestSetUps(
  job: BarJob,
  patterns: readonly Pattern[],
  bars: readonly CutBar[],
  solver: IntegerSolver,
): readonly CutBar[] {
  if (patterns.length > SET_UPS_AMONG || setUpsOf(bars) < 2) return bars;
  const stuff = (list: readonly CutBar[]): number => list.reduce((total, bar) => total + bar.stockLength, 0);
  const caps = { priceCap: costOf(bars) + 1e-7, lengthCap: stuff(bars) + 1e-6 };
  const found = solver.solve(
    lpText(job, { patterns, objective: () => 1, ...caps, setUps: true, integer: true }),
    SET_UP_SECONDS,
  );
  const fewer = found.feasible ? toBars(job, patterns, found.values) : undefined;
  return fewer &&
    costOf(fewer) <= costOf(bars) + CENT &&
    stuff(fewer) <= stuff(bars) + CENT &&
    setUpsOf(fewer) < setUpsOf(bars)
    ? fewer
    : bars;
}
