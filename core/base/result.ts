/** One thing wrong with something that was typed, imported or asked: which field, and what would be right. */
export interface Fault {
  readonly field: string;
  readonly message: string;
}

/** A value, or the faults that stood in its way. Used at every edge; exceptions are for bugs. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly faults: readonly Fault[] };

/** What a function makes when nothing stands in its way: `Made<typeof frameOf>`. */
export type Made<F extends (...args: never[]) => Result<unknown>> = Extract<
  ReturnType<F>,
  { readonly ok: true }
>['value'];

/** Wraps a good value. */
export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** A result with a single fault. */
export function fail<T = never>(field: string, message: string): Result<T> {
  return { ok: false, faults: [{ field, message }] };
}

/** Several faults at once. */
export function failAll<T = never>(faults: readonly Fault[]): Result<T> {
  return { ok: false, faults };
}

/** What something thrown says of itself. */
export function messageOf(thrown: unknown): string {
  return typeof thrown === 'object' && thrown !== null && 'message' in thrown
    ? String(thrown.message)
    : 'it cannot be read';
}
