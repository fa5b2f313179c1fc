/** What a figure's formula comes to with its own shown terms: so that nobody is shown a working that does not give the answer. */
import type { Amount, Figure } from './figure';
import type { Quantity } from './amount';

/** SI of a shown value: lengths are kept in mm, angles in degrees, percents in hundredths; all else is SI already. */
const TO_SI: Readonly<Partial<Record<Quantity, number>>> = {
  length: 1e-3,
  film: 1e-3,
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

type Token = number | string;

/** Numbers, signs and the terms' own names, the longest name first. */
function tokens(text: string, terms: Figure['terms']): readonly Token[] {
  const names = terms.map((t) => t.name).sort((a, b) => b.length - a.length);
  const found: Token[] = [];
  let rest = text.trim();
  while (rest !== '') {
    const name = names.find((n) => rest.startsWith(n));
    const number = /^\d+(\.\d+)?/.exec(rest)?.[0];
    const call = Object.keys(FUNCTIONS).find((f) => rest.startsWith(`${f}(`));
    if (name !== undefined) found.push(si(terms.find((t) => t.name === name)));
    else if (number !== undefined) found.push(Number(number));
    else if (call !== undefined) found.push(call);
    else if (/^[-+−×/();²³⁴]/.test(rest)) found.push(rest.charAt(0));
    else throw new Error(`“${rest}” in “${text}” is no term of it`);
    rest = rest.slice((name ?? number ?? call ?? ' ').length).trim();
  }
  return found;
}

const si = (a: Amount | undefined): number => (a ? a.value * (TO_SI[a.quantity] ?? 1) : NaN);

/**
 * The value of a figure's formula with its terms put in, in the figure's own unit.
 *
 * A formula is `name = expression` in numbers, + − × / ² ³ ⁴ √() ∛() sin() cos() min(;) max(;) and the names of the terms.
 * @throws when something in it is neither
 * @example formulaValue({ formula: 'area = long × wide', terms: [{ name: 'long', value: 2000, quantity: 'length' }, { name: 'wide', value: 500, quantity: 'length' }], quantity: 'area' }) // 1
 */
export function formulaValue(f: Pick<Figure, 'formula' | 'terms' | 'quantity'>): number {
  const list = tokens(f.formula.slice(f.formula.indexOf('=') + 1), f.terms);
  let at = 0;
  const take = (...signs: readonly string[]): string | undefined => {
    const next = list[at];
    if (typeof next !== 'string' || !signs.includes(next)) return undefined;
    at += 1;
    return next;
  };
  const need = (sign: string): void => {
    if (take(sign) === undefined) throw new Error(`“${sign}” is missing in “${f.formula}”`);
  };
  const atom = (): number => {
    const call = take(...Object.keys(FUNCTIONS));
    if (call !== undefined || take('(') !== undefined) {
      if (call !== undefined) need('(');
      const values = [sum()];
      while (take(';') !== undefined) values.push(sum());
      need(')');
      return call === undefined ? (values[0] ?? NaN) : (FUNCTIONS[call]?.(...values) ?? NaN);
    }
    if (take('−', '-') !== undefined) return -atom();
    const value = list[at++];
    if (typeof value !== 'number') throw new Error(`A number or a term is missing in “${f.formula}”`);
    return value;
  };
  const power = (): number => {
    let value = atom();
    for (let sign = take('²', '³', '⁴'); sign !== undefined; sign = take('²', '³', '⁴')) value **= POWERS[sign] ?? 1;
    return value;
  };
  const product = (): number => {
    let value = power();
    for (let sign = take('×', '/'); sign !== undefined; sign = take('×', '/'))
      value = sign === '×' ? value * power() : value / power();
    return value;
  };
  const sum = (): number => {
    let value = product();
    for (let sign = take('+', '−', '-'); sign !== undefined; sign = take('+', '−', '-'))
      value += sign === '+' ? product() : -product();
    return value;
  };
  const value = sum();
  if (at < list.length) throw new Error(`“${f.formula}” goes on after its end`);
  return value / (TO_SI[f.quantity] ?? 1);
}

/** A formula that adds every one of some terms up. */
export const addedUp = (name: string, terms: readonly { readonly name: string }[]): string =>
  `${name} = ${terms.map((t) => t.name).join(' + ')}`;
