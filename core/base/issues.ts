import * as z from 'zod/mini';
import { listed } from './figure';
import type { Fault } from './result';
import { lengthInBoth } from './length';

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
  return isLength ? lengthInBoth(value) : String(value);
}

function issueMessage(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_small' && (issue.origin === 'number' || issue.origin === 'int'))
    return `must be ${issue.inclusive === false ? 'more than' : 'at least'} ${bound(Number(issue.minimum), issue.path)}`;
  if (issue.code === 'too_big' && (issue.origin === 'number' || issue.origin === 'int'))
    return `must be ${issue.inclusive === false ? 'less than' : 'at most'} ${bound(Number(issue.maximum), issue.path)}`;
  if (issue.code === 'too_small' && issue.origin === 'string') return 'must not be empty';
  if (issue.code === 'too_big' && issue.origin === 'string') return `must be at most ${issue.maximum} characters long`;
  // What a schema says in its own words stands.
  if (!/^(Invalid|Unrecognized|Too)/.test(issue.message)) return issue.message;
  if (issue.code === 'invalid_type') {
    // The library tells what it found nowhere but in its message.
    const found = /received (\w+)/.exec(issue.message)?.[1] ?? '';
    const what = KIND[issue.expected] ?? `a ${issue.expected}`;
    return found === 'undefined' ? `must be ${what}, and is missing` : `must be ${what}, not ${KIND[found] ?? found}`;
  }
  if (issue.code === 'invalid_value')
    return `must be ${listed(
      issue.values.map((v) => JSON.stringify(v)),
      'or',
    )}`;
  if (issue.code === 'unrecognized_keys')
    return `holds what is not known here: ${clipped(issue.keys.map((k) => `"${clipped(k, WORD)}"`).join(', '), MESSAGE)}`;
  if (issue.code === 'invalid_union') return 'is none of the forms that it may have';
  if (issue.code === 'too_big') return `must have at most ${String(issue.maximum)} entries`;
  if (issue.code === 'too_small') return `must have at least ${String(issue.minimum)} entries`;
  if (issue.code === 'invalid_format') return FORMAT[issue.format] ?? `must be a ${issue.format}`;
  return issue.message;
}

/** What a field may be, in words. */
const KIND: Readonly<Record<string, string>> = {
  object: 'an object with named fields',
  record: 'an object with named fields',
  array: 'a list',
  tuple: 'a list',
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  null: 'null',
};
const FORMAT: Readonly<Record<string, string>> = {
  date: 'must be a date such as 2027-03-15',
  datetime: 'must be a date and time such as 2027-03-15T12:00:00Z',
  safeint: 'must be a whole number',
};

/** Schema issues as faults that name the field and what would be right. */
export function issueFaults(issues: readonly z.core.$ZodIssue[]): readonly Fault[] {
  return issues.map((issue) => ({ field: pathText(issue.path), message: clipped(issueMessage(issue), MESSAGE) }));
}
