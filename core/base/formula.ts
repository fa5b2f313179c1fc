/** What a figure's formula comes to with its own shown terms: so that nobody is shown a working that does not give the answer. */
import type { Figure } from './figure';
import type { Quantity } from './amount';

/** SI of a shown value: lengths are kept in mm, angles in degrees, percents in hundredths; all else is SI already. */
const TO_SI: Readonly<Partial<Record<Quantity, number>>> = {
  length: 1e-3,
  film: 1e-3,
  byEye: 1e-3,
  snowDepth: 1e-3,
  angle: Math.PI / 180,
  percent: 1e-2,
};

const FUNCTIONS: Readonly<Record<string, (...values: readonly number[]) => number>> = {
  '√': Math.sqrt,
  '∛': Math.cbrt,
  sin: Math.sin,
  cos: Math.cos,
  min: Math.min,
  max: Math.max,
};
const POWERS: Readonly<Record<string, number>> = { '²': 2, '³': 3, '⁴': 4 };

/** A number, a sign, or a term by its place in the list. */
type Token = number | string | { readonly term: number };
/** What an expression comes to with the values of its terms, in SI. */
type Expression = (values: readonly number[]) => number;

/** Numbers, signs and the terms' own names, the longest name first. */
function tokens(text: string, terms: readonly string[]): readonly Token[] {
  const names = [...terms].sort((a, b) => b.length - a.length);
  const found: Token[] = [];
  let rest = text.trim();
  while (rest !== '') {
    const name = names.find((n) => rest.startsWith(n));
    const number = /^\d+(\.\d+)?/.exec(rest)?.[0];
    const call = Object.keys(FUNCTIONS).find((f) => rest.startsWith(`${f}(`));
    if (name !== undefined) found.push({ term: terms.indexOf(name) });
    else if (number !== undefined) found.push(Number(number));
    else if (call !== undefined) found.push(call);
    else if (/^[-+−×/();²³⁴]/.test(rest)) found.push(rest.charAt(0));
    else throw new Error(`“${rest}” in “${text}” is no term of it`);
    rest = rest.slice((name ?? number ?? call ?? ' ').length).trim();
  }
  return found;
}

/** @throws when something in it is no expression, or a term is not named in it */
function parse(formula: string, terms: readonly string[]): Expression {
  const list = tokens(formula.slice(formula.indexOf('=') + 1), terms);
  const unnamed = terms.filter((_, i) => !list.some((t) => typeof t === 'object' && t.term === i));
  if (unnamed.length > 0) throw new Error(`“${unnamed.join('”, “')}” is not named in “${formula}”`);
  let at = 0;
  const take = (...signs: readonly string[]): string | undefined => {
    const next = list[at];
    if (typeof next !== 'string' || !signs.includes(next)) return undefined;
    at += 1;
    return next;
  };
  const need = (sign: string): void => {
    if (take(sign) === undefined) throw new Error(`“${sign}” is missing in “${formula}”`);
  };
  const atom = (): Expression => {
    const call = take(...Object.keys(FUNCTIONS));
    if (call !== undefined || take('(') !== undefined) {
      if (call !== undefined) need('(');
      const first = sum();
      const rest: Expression[] = [];
      while (take(';') !== undefined) rest.push(sum());
      need(')');
      const of = call === undefined ? undefined : FUNCTIONS[call];
      return of ? (v) => of(first(v), ...rest.map((e) => e(v))) : first;
    }
    if (take('−', '-') !== undefined) {
      const of = atom();
      return (v) => -of(v);
    }
    const value = list[at++];
    if (typeof value === 'number') return () => value;
    if (typeof value === 'object') return (v) => v[value.term] ?? NaN;
    throw new Error(`A number or a term is missing in “${formula}”`);
  };
  const power = (): Expression => {
    let value = atom();
    for (let sign = take('²', '³', '⁴'); sign !== undefined; sign = take('²', '³', '⁴')) {
      const [base, n] = [value, POWERS[sign] ?? 1];
      value = (v) => base(v) ** n;
    }
    return value;
  };
  const product = (): Expression => {
    let value = power();
    for (let sign = take('×', '/'); sign !== undefined; sign = take('×', '/')) {
      const [left, right, times] = [value, power(), sign === '×'];
      value = times ? (v) => left(v) * right(v) : (v) => left(v) / right(v);
    }
    return value;
  };
  const sum = (): Expression => {
    let value = product();
    for (let sign = take('+', '−', '-'); sign !== undefined; sign = take('+', '−', '-')) {
      const [left, right, plus] = [value, product(), sign === '+'];
      value = plus ? (v) => left(v) + right(v) : (v) => left(v) - right(v);
    }
    return value;
  };
  const value = sum();
  if (at < list.length) throw new Error(`“${formula}” goes on after its end`);
  return value;
}

/** Formulas read already: the same few dozen are asked for with every design. */
const KEPT = 400;
const read = new Map<string, Expression>();

/**
 * The value of a figure's formula with its terms put in, in the figure's own unit.
 *
 * A formula is `name = expression` in numbers, + − × / ² ³ ⁴ √() ∛() sin() cos() min(;) max(;) and the names of the terms.
 * @throws when something in it is neither, or a term is not named in it
 * @example formulaValue({ formula: 'area = long × wide', terms: [{ name: 'long', value: 2000, quantity: 'length' }, { name: 'wide', value: 500, quantity: 'length' }], quantity: 'area' }) // 1
 */
export function formulaValue({ formula, terms, quantity }: Pick<Figure, 'formula' | 'terms' | 'quantity'>): number {
  const names = terms.map((t) => t.name);
  const key = [formula, ...names].join('\n');
  let expression = read.get(key);
  if (!expression) {
    if (read.size >= KEPT) read.clear();
    read.set(key, (expression = parse(formula, names)));
  }
  return expression(terms.map((t) => t.value * (TO_SI[t.quantity] ?? 1))) / (TO_SI[quantity] ?? 1);
}

/** A figure whose value is what its own formula comes to: what is shown is what was reckoned. */
export const worked = (figure: Omit<Figure, 'value'>): Figure => ({ ...figure, value: formulaValue(figure) });

/** A formula that adds every one of some terms up. */
export const addedUp = (name: string, terms: readonly { readonly name: string }[]): string =>
  `${name} = ${terms.map((t) => t.name).join(' + ')}`;
