import * as z from 'zod/mini';
import type { Fault } from './result';
import { MM_PER_INCH } from './length';

// The small form of the library says only that something is wrong until it is given words.
z.config(z.locales.en());

/** Longest word and longest message that are shown of what a file holds. */
const WORD = 60;
const MESSAGE = 240;
const clipped = (text: string, most: number): string => (text.length > most ? `${text.slice(0, most)}…` : text);

/** A path as a person would say it: beds[1].outside.nearMm. */
function pathText(path: readonly PropertyKey[]): string {
  return (
    path
      .map((part, i) => (typeof part === 'number' ? `[${part}]` : `${i > 0 ? '.' : ''}${clipped(String(part), WORD)}`))
      .join('') || 'file'
  );
}

/** A bound in words; lengths in both systems, since whoever reads it may use either. */
function bound(value: number, path: readonly PropertyKey[]): string {
  const isLength = path.some((part) => /Mm$/.test(String(part)) || part === 'drops');
  return isLength ? `${value} mm (${Math.round((value / MM_PER_INCH) * 10) / 10} in)` : String(value);
}

function issueMessage(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_small' && (issue.origin === 'number' || issue.origin === 'int'))
    return `must be ${issue.inclusive === false ? 'more than' : 'at least'} ${bound(Number(issue.minimum), issue.path)}`;
  if (issue.code === 'too_big' && (issue.origin === 'number' || issue.origin === 'int'))
    return `must be ${issue.inclusive === false ? 'less than' : 'at most'} ${bound(Number(issue.maximum), issue.path)}`;
  if (issue.code === 'too_small' && issue.origin === 'string') return 'must not be empty';
  if (issue.code === 'too_big' && issue.origin === 'string') return `must be at most ${issue.maximum} characters long`;
  return issue.message;
}

/** Schema issues as faults that name the field and what would be right. */
export function issueFaults(issues: readonly z.core.$ZodIssue[]): readonly Fault[] {
  return issues.map((issue) => ({ field: pathText(issue.path), message: clipped(issueMessage(issue), MESSAGE) }));
}
