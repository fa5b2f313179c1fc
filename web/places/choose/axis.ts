/** Figures whose largest is more times the least lie decades apart: they are set out by their ratios. */
const WIDE = 12;
/** More steps than this lie over one another on a phone. */
const MOST = 6;
const ROUND = [1, 2, 5];

/**
 * The axis that some figures are set out on: from one round figure to another, no two of them said alike.
 * @param unit what is round is a multiple of it
 */
export function axisOf(values: readonly number[], say: (x: number) => string, unit = 1) {
  const [least, most] = [Math.min(...values) / unit, Math.max(...values) / unit];
  const wide = least > 0 && most > WIDE * least;
  const round = wide ? ratios(least, most) : steps(least, most, (x) => say(x * unit));
  const all = round.map((x) => x * unit);
  return {
    scale: wide ? ('log' as const) : ('linear' as const),
    domain: [all[0] ?? 0, all[all.length - 1] ?? 0] as const,
    ticks: all.filter((x, i) => all.findIndex((y) => say(y) === say(x)) === i),
  };
}

const decade = (x: number): number => Math.floor(Math.log10(x));
const inDecade = (d: number): readonly number[] => ROUND.map((r) => Number(`${r}e${d}`));

/** 1, 2, 5, 10, 20 … from the last that is not above the least to the first that is not below the most. */
function ratios(least: number, most: number): readonly number[] {
  const [low, high] = [decade(least), decade(most)];
  const all = Array.from({ length: high - low + 2 }, (_, i) => inDecade(low + i)).flat();
  return all.slice(
    all.findLastIndex((x) => x <= least),
    all.findIndex((x) => x >= most) + 1,
  );
}

/** Even steps of 1, 2 or 5 of some decade: as many as there is room for and as are said differently. */
function steps(least: number, most: number, say: (x: number) => string): readonly number[] {
  const run = most - least || Math.abs(most) || 1;
  const by = (step: number): readonly number[] => {
    const [from, to] = [Math.floor(least / step), Math.ceil(most / step)];
    return Array.from({ length: Math.max(1, to - from) + 1 }, (_, i) => Number(((from + i) * step).toPrecision(12)));
  };
  const all = [-1, 0, 1].flatMap((d) => inDecade(decade(run) + d)).map(by);
  const few = all.filter((xs) => xs.length <= MOST + 1);
  return few.find((xs) => new Set(xs.map(say)).size === xs.length) ?? few[0] ?? [least, most];
}
