/** Cutting jobs as linear and integer programmes, and their answers as bars. */
import type { BarJob } from './job';
import type { Pattern } from './patterns';
import type { CutBar } from './bestFitDecreasing';

/** A linear or integer programme solver, given a problem in LP format; a library supplies it at the edge. */
export interface IntegerSolver {
  readonly solve: (lp: string, seconds: number) => SolverAnswer;
  /** Seconds from any moment: of a clock where a person waits, else of the work of a usual machine. The core has no clock of its own. */
  readonly now: () => number;
  /** How many times as long as a person would wait a job may take; 1 when not said. */
  readonly patience?: number;
}

/** What is left of the time for a job, seconds. */
export type TimeLeft = () => number;

/** Counts the time for a job down from now. */
export function timeLeft(solver: IntegerSolver, seconds: number): TimeLeft {
  const until = solver.now() + seconds;
  return () => Math.max(0, until - solver.now());
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

interface LinearProgram {
  readonly patterns: readonly Pattern[];
  readonly objective: (p: Pattern) => number;
  readonly priceCap?: number;
  /** What the objective cannot go below; said, it spares most of the proof. */
  readonly floor?: number;
  /** Most stock of all bars together. */
  readonly lengthCap?: number;
  /** Most bars of each stock, over what is available. */
  readonly most?: readonly number[];
  /** Counts the patterns used in place of the objective. */
  readonly setUps?: boolean;
  readonly integer: boolean;
}

/** A programme over patterns in LP format: how many bars to cut by each. */
export function lpText(
  job: BarJob,
  { patterns, objective, floor, priceCap, lengthCap, most, setUps, integer }: LinearProgram,
): string {
  const price = (p: Pattern): number => job.stock[p.stock]?.price ?? 0;
  const rows: string[] = [];
  const demand: string[][] = job.pieces.map(() => []);
  const supply: string[][] = job.stock.map(() => []);
  patterns.forEach((p, k) => {
    p.counts.forEach((count, i) => count > 0 && demand[i]?.push(`${count} x${k}`));
    supply[p.stock]?.push(`x${k}`);
  });
  job.pieces.forEach((piece, i) => {
    if (piece.quantity > 0) rows.push(` d${i}: ${sum(demand[i] ?? [])} >= ${piece.quantity}`);
  });
  job.stock.forEach((bar, s) => {
    const terms = supply[s] ?? [];
    const limit = most?.[s] ?? bar.available;
    if (limit !== undefined && terms.length > 0) rows.push(` a${s}: ${sum(terms)} <= ${limit}`);
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
export function toBars(
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
