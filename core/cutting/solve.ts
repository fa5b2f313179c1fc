import { type Result, fail, ok } from '../result';
import type { BarJob } from './job';
import { type Pattern, bestPattern, maximalPatterns } from './patterns';

/** A linear or integer programme solver, given a problem in LP format; a library supplies it at the edge. */
export interface IntegerSolver {
  readonly solve: (lp: string, seconds: number) => SolverAnswer;
}

export interface SolverAnswer {
  readonly optimal: boolean;
  readonly feasible: boolean;
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

const PATTERN_LIMIT = 12000;
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
  readonly integer: boolean;
}

function lpText(job: BarJob, { patterns, objective, priceCap, integer }: Programme): string {
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
  const goal = sum(patterns.map((p, k) => `${plain(objective(p))} x${k}`));
  const kinds = integer ? `General\n ${patterns.map((_, k) => `x${k}`).join('\n ')}\n` : '';
  return `Minimize\n obj: ${goal}\nSubject To\n${rows.join('\n')}\n${kinds}End\n`;
}

/** Turns chosen patterns into bars with just the wanted pieces, longest first from the tape's end. */
function toBars(job: BarJob, patterns: readonly Pattern[], values: Readonly<Record<string, number>>): CutBar[] {
  const wanted = job.pieces.map((p) => p.quantity);
  const chosen = patterns.flatMap((p, k) => Array.from({ length: Math.round(values[`x${k}`] ?? 0) }, () => p));
  // Fullest bars first, so that a surplus piece is dropped where most is left over anyway.
  chosen.sort((a, b) => b.used / (job.stock[b.stock]?.length ?? 1) - a.used / (job.stock[a.stock]?.length ?? 1));
  const order = job.pieces.map((_, i) => i).sort((a, b) => (job.pieces[b]?.length ?? 0) - (job.pieces[a]?.length ?? 0));
  return chosen.flatMap((pattern) => {
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
    const fits = open.filter((b) => b.room >= need - CENT).sort((a, b) => a.room - b.room)[0];
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
    if ((left[s] ?? 0) <= 0 || bar.length + job.kerf < need - CENT) return;
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

/** Columns by Gilmore and Gomory's generation, for jobs with too many patterns to list; also the linear bound. */
function generateColumns(job: BarJob, solver: IntegerSolver): { patterns: Pattern[]; bound: number } {
  const seed = quickPlan(job);
  const patterns: Pattern[] = (seed?.bars ?? []).map((bar) => ({
    stock: bar.stock,
    counts: job.pieces.map((p) => bar.pieces.filter((l) => l === p.length).length),
    used: bar.pieces.reduce((total, l) => total + l + job.kerf, 0) - job.kerf,
  }));
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  let bound = 0;
  for (let round = 0; round < 200; round++) {
    const lp = solver.solve(lpText(job, { patterns, objective: price, integer: false }), 5);
    if (!lp.feasible) break;
    const worth = job.pieces.map((_, i) => Math.max(0, lp.duals[`d${i}`] ?? 0));
    let worstRatio = 1;
    let added = 0;
    job.stock.forEach((bar, s) => {
      if (bar.available === 0) return;
      const limit = Math.min(0, lp.duals[`a${s}`] ?? 0);
      const found = bestPattern(job, s, worth);
      if (found.worth > bar.price - limit + 1e-7) {
        patterns.push(found.pattern);
        added++;
      }
      if (bar.price - limit > 0) worstRatio = Math.max(worstRatio, found.worth / (bar.price - limit));
    });
    // Farley's bound: scaling the duals until no pattern is worth more than its bar keeps them feasible.
    bound = Math.max(bound, lp.objective / worstRatio);
    if (added === 0) break;
  }
  return { patterns, bound };
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
 * Cuts every piece for the least price, then the least stock used.
 *
 * Small jobs: an integer programme over all maximal patterns, proven best. Larger ones: generated columns, with the bound shown.
 * @param solver solves programmes in LP format
 * @param seconds most time for one programme
 * @returns the plan, or a fault when limited stock cannot hold every piece
 */
export function solveBars(job: BarJob, solver: IntegerSolver, seconds = 10): Result<CutPlan> {
  if (job.pieces.every((p) => p.quantity === 0)) return ok({ cost: 0, bars: [], bound: 0, proven: true });
  const all = maximalPatterns(job, PATTERN_LIMIT);
  const generated = all ? undefined : generateColumns(job, solver);
  const patterns = all ?? generated?.patterns ?? [];
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const lengthWeight = all && all.length < 500 ? tieBreak(job) : 0;
  const best = solver.solve(
    lpText(job, {
      patterns,
      objective: (p) => price(p) + lengthWeight * (job.stock[p.stock]?.length ?? 0),
      integer: true,
    }),
    seconds,
  );
  if (!best.feasible) {
    const start = quickPlan(job);
    return start ? ok(start) : fail('stock', 'There are not enough bars to cut every piece from.');
  }
  const found = toBars(job, patterns, best.values);
  const cost = costOf(found);
  // Stopped before its proof: the linear programme over all patterns still bounds the price.
  const relaxed = (): number =>
    all
      ? solver.solve(lpText(job, { patterns, objective: price, integer: false }), seconds).objective
      : (generated?.bound ?? 0);
  const bound = all && best.optimal ? cost : Math.min(cost, relaxed());
  const proven = (all !== undefined && best.optimal) || bound >= cost - 1e-6;
  if (lengthWeight > 0) return ok({ cost, bars: found, bound: proven ? cost : bound, proven });
  const least = solver.solve(
    lpText(job, { patterns, objective: (p) => job.stock[p.stock]?.length ?? 0, priceCap: cost + 1e-7, integer: true }),
    Math.min(seconds, 3),
  );
  const tidy = least.feasible ? toBars(job, patterns, least.values) : found;
  const bars = costOf(tidy) <= cost + CENT ? tidy : found;
  return ok({ cost, bars, bound: proven ? cost : bound, proven });
}
