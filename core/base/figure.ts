import { type Preferences, type Quantity, formatAmount } from './amount';

/** A value inside a sentence or a formula, printed in the gardener's own units. */
export interface Amount {
  readonly value: number;
  readonly quantity: Quantity;
}

/** A sentence whose numbers keep their meaning until they are shown. */
export type Phrase = readonly (string | Amount)[];

/** A value by its name. */
export interface Term extends Amount {
  readonly name: string;
}

/** A number that can answer "why": its formula, the values put in, where it comes from, what it takes for granted. */
export interface Figure extends Amount {
  readonly label: string;
  readonly formula: string;
  readonly terms: readonly Term[];
  /** What is good to know beside it: what it is held against, and where its terms come from. */
  readonly besides?: readonly Term[];
  readonly source: string;
  readonly assumes: readonly string[];
}

/** A value and its quantity. */
export function amount(value: number, quantity: Quantity): Amount {
  return { value, quantity };
}

/** A value by its name: a term of a formula, or what stands beside it. */
export const term = (name: string, value: number, quantity: Quantity): Term => ({ name, value, quantity });

/**
 * A sentence as it is read, with its amounts, words and other sentences where they stand in it.
 * @example phrase`Stand it ${amount(610, 'length')} high.` // ["Stand it ", {"value": 610, "quantity": "length"}, " high."]
 */
export function phrase(words: TemplateStringsArray, ...within: readonly (string | number | Amount | Phrase)[]): Phrase {
  const parts: (string | Amount)[] = [];
  for (const part of words.flatMap((text, i) => [text, within[i] ?? ''].flat())) {
    const last = parts[parts.length - 1];
    if (typeof part === 'object') parts.push(part);
    else if (typeof last === 'string') parts[parts.length - 1] = last + part;
    else if (part !== '') parts.push(String(part));
  }
  return parts;
}

/** The words of a sentence in the gardener's own units. */
export function phraseText(phrase: Phrase, p: Preferences): string {
  return phrase.map((part) => (typeof part === 'string' ? part : formatAmount(part.value, part.quantity, p))).join('');
}

/** Phrases one after another, with a sign between any two. */
export const joinPhrases = (phrases: readonly Phrase[], between: string): Phrase =>
  phrases.flatMap((p, i) => (i === 0 ? p : [between, ...p]));

/** A word as a sentence begins with it. */
export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** Names joined as they are said: a, b and c. */
export const listed = (names: readonly string[], and = 'and'): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} ${and} ${names[names.length - 1] ?? ''}`;
