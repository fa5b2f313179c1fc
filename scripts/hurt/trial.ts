/** What a trial counts: how much was tried, and everything that failed, each kind of failure with one example. */
export interface Tally {
  readonly name: string;
  tried: number;
  /** Of those, what was let in and gone through to the end. */
  through: number;
  worstMs: number;
  readonly failed: Map<string, { count: number; readonly example: string }>;
  /** What took longer than it may: told by `npm run hurt`, but no fault on a machine whose pace is not known. */
  readonly slow: Map<string, { count: number; readonly example: string }>;
}

export function tally(name: string): Tally {
  return { name, tried: 0, through: 0, worstMs: 0, failed: new Map(), slow: new Map() };
}

function note(all: Tally['failed'], what: string, example: unknown): void {
  const known = all.get(what);
  if (known) known.count++;
  else all.set(what, { count: 1, example: JSON.stringify(example)?.slice(0, 3000) ?? '' });
}

export function fails(t: Tally, what: string, example: unknown): void {
  note(t.failed, what, example);
}

/** Counts how long something took. @param mostMs longest that it may take */
export function took(t: Tally, what: string, ms: number, mostMs: number, example: unknown): void {
  t.worstMs = Math.max(t.worstMs, ms);
  if (ms > mostMs) note(t.slow, `${what}: slower than ${mostMs} ms`, example);
}

/** Everything that failed or was too slow. */
export const faultsOf = ({ failed, slow }: Tally): Tally['failed'] => new Map([...failed, ...slow]);

/** Where a value holds something that is no number; undefined when all is sound. */
export function notANumber(value: unknown, path = ''): string | undefined {
  if (typeof value === 'number') return Number.isNaN(value) ? path : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, inner] of Object.entries(value)) {
    const found = notANumber(inner, `${path}.${/^\d+$/.test(key) ? '#' : key}`);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** The place in the program that something was thrown from. */
export function thrownFrom(error: unknown): string {
  const stack = error instanceof Error ? (error.stack ?? error.message) : String(error);
  return stack
    .split('\n')
    .slice(0, 3)
    .map((line) => line.trim().replace(/\(?(file:\/\/)?\/[^)]*\/(core|web|cli)\//, '$2/'))
    .join(' | ')
    .slice(0, 300);
}

/** One line of the table. */
export function row(t: Tally): string {
  const failed = [...faultsOf(t).values()].reduce((sum, f) => sum + f.count, 0);
  return `${t.name.padEnd(44)} ${String(t.tried).padStart(8)} ${String(t.through).padStart(9)} ${String(failed).padStart(7)} ${Math.round(t.worstMs).toString().padStart(9)}`;
}
export const HEAD = `${'trial'.padEnd(44)} ${'tried'.padStart(8)} ${'through'.padStart(9)} ${'failed'.padStart(7)} ${'worst ms'.padStart(9)}`;
