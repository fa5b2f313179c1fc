/** Covers worked by hand: every member, sheet, panel, thing to buy and dimension, in inches. */
import { MM_PER_INCH } from '../base/length';
import type { Assembly } from '../cover/assembly/types';

export interface Golden {
  /** By tags, several of them with spaces between and runs as "H1..H5": section and length. */
  readonly members: Readonly<Record<string, readonly [section: string, lengthIn: number]>>;
  /** By tags: sheet, width and height over all. */
  readonly panels?: Readonly<Record<string, readonly [sheet: string, uIn: number, vIn: number]>>;
  /** By tag: every line of its size across and along. */
  readonly sheets: Readonly<Record<string, { readonly across: readonly number[]; readonly along: readonly number[] }>>;
  readonly blocks?: number;
  /** What is bought, line by line: how many of what, and how its joint begins. */
  readonly hardware: readonly (readonly [count: number, item: string, where: string])[];
  readonly dimensions: Readonly<Record<string, number>>;
}

/** "H1..H3 K1a" as H1, H2, H3, K1a. */
function tagsOf(said: string): readonly string[] {
  return said.split(' ').flatMap((part) => {
    const run = /^([A-Z]+)(\d+)\.\.[A-Z]+(\d+)$/.exec(part);
    if (!run) return [part];
    const [, letters = '', from = '0', to = '0'] = run;
    return Array.from({ length: Number(to) - Number(from) + 1 }, (_, i) => `${letters}${Number(from) + i}`);
  });
}

const inches = (mm: number): number => mm / MM_PER_INCH;
/** Half a millimetre; a sheet over a curve is told by short straight lines, a little within it. */
const LENGTH_IN = 0.02;
const SHEET_IN = 0.06;

/** Every way in which an assembly is not the one worked by hand; empty when it is. */
export function differences(a: Assembly, g: Golden): readonly string[] {
  const said: string[] = [];
  const number = (what: string, is: number | undefined, want: number, within: number): void => {
    if (is === undefined || Math.abs(is - want) > within)
      said.push(`${what}: ${is?.toFixed(3) ?? 'missing'}, by hand ${want.toFixed(3)}`);
  };
  const same = (what: string, is: readonly string[], want: readonly string[]): void => {
    said.push(...is.filter((x) => !want.includes(x)).map((x) => `${what} ${x} is not there by hand`));
    said.push(...want.filter((x) => !is.includes(x)).map((x) => `${what} ${x} is missing`));
  };
  const members = Object.entries(g.members).flatMap(([tags, want]) => tagsOf(tags).map((tag) => [tag, want] as const));
  same(
    'member',
    a.members.map((m) => m.tag),
    members.map(([tag]) => tag),
  );
  for (const [tag, [section, lengthIn]] of members) {
    const m = a.members.find((x) => x.tag === tag);
    if (m && m.section.key !== section) said.push(`${tag}: ${m.section.key}, by hand ${section}`);
    number(tag, m && inches(m.lengthMm), lengthIn, LENGTH_IN);
  }
  const panels = Object.entries(g.panels ?? {}).flatMap(([tags, want]) => tagsOf(tags).map((t) => [t, want] as const));
  same(
    'panel',
    a.panels.map((p) => p.tag),
    panels.map(([tag]) => tag),
  );
  for (const [tag, [sheet, uIn, vIn]] of panels) {
    const p = a.panels.find((x) => x.tag === tag);
    const span = (k: 0 | 1): number | undefined =>
      p && inches(Math.max(...p.outline.map((q) => q[k])) - Math.min(...p.outline.map((q) => q[k])));
    if (p && p.sheet.key !== sheet) said.push(`${tag}: ${p.sheet.key}, by hand ${sheet}`);
    number(`${tag} across`, span(0), uIn, LENGTH_IN);
    number(`${tag} up`, span(1), vIn, LENGTH_IN);
  }
  same(
    'sheet',
    a.sheets.map((s) => s.tag),
    Object.keys(g.sheets),
  );
  for (const [tag, want] of Object.entries(g.sheets)) {
    const s = a.sheets.find((x) => x.tag === tag);
    for (const way of ['across', 'along'] as const) {
      if (s && s[way].length !== want[way].length) said.push(`${tag} ${way}: ${s[way].length} lines`);
      want[way].forEach((w, i) => {
        const line = s?.[way][i];
        number(`${tag} ${way}, ${line?.what ?? i}`, line && inches(line.mm), w, SHEET_IN);
      });
    }
  }
  if (a.blocks.length !== (g.blocks ?? 0)) said.push(`${a.blocks.length} blocks, by hand ${g.blocks ?? 0}`);
  const left = a.hardware.map((h) => ({ ...h }));
  for (const [count, item, where] of g.hardware) {
    const at = left.findIndex((h) => h.itemKey === item && h.joint.startsWith(where) && h.count === count);
    if (at < 0) {
      const near = left.filter((h) => h.itemKey === item).map((h) => `${h.count} ${h.joint}`);
      said.push(`by hand ${count} ${item} ${where}; listed: ${near.join(', ') || 'none'}`);
    } else left.splice(at, 1);
  }
  said.push(...left.map((h) => `${h.count} ${h.itemKey} ${h.joint} is not there by hand`));
  same(
    'dimension',
    a.dimensions.map((d) => d.id),
    Object.keys(g.dimensions),
  );
  for (const [id, want] of Object.entries(g.dimensions)) {
    const d = a.dimensions.find((x) => x.id === id);
    number(`dimension ${id}`, d && inches(d.valueMm), want, LENGTH_IN);
  }
  return said;
}

/** A point of a cross-section, inches. */
export type Point = readonly [y: number, z: number];

/**
 * A pipe sprung between feet that turn freely, by stepping along it: with no bending at the foot it curves as a pendulum
 * swings, theta'' = -sin theta, from its foot angle down to level at the crown. Independent of the integrals the core uses.
 * @returns height of the crown, foot angle in radians, and points from foot to foot
 */
export function sprung(spanIn: number, lengthIn: number): { height: number; foot: number; points: readonly Point[] } {
  const swing = (foot: number): { span: number; rise: number; length: number; points: Point[]; angles: number[] } => {
    const step = 0.0005;
    let [theta, speed, y, z, s] = [foot, 0, 0, 0, 0];
    const points: Point[] = [[0, 0]];
    const angles = [foot];
    while (theta > 0) {
      // Midpoint rule.
      const half = theta + (speed * step) / 2;
      const halfSpeed = speed - (Math.sin(theta) * step) / 2;
      y += Math.cos(half) * step;
      z += Math.sin(half) * step;
      theta += halfSpeed * step;
      speed -= Math.sin(half) * step;
      s += step;
      points.push([y, z]);
      angles.push(theta);
    }
    return { span: 2 * y, rise: z, length: 2 * s, points, angles };
  };
  let [low, high] = [0.05, 2.2];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    const tried = swing(middle);
    if (tried.span / tried.length > spanIn / lengthIn) low = middle;
    else high = middle;
  }
  const found = swing((low + high) / 2);
  const scale = lengthIn / found.length;
  const left = found.points.map(([y, z]): Point => [y * scale, z * scale]);
  const right = [...left].reverse().map(([y, z]): Point => [spanIn - y, z]);
  return { height: found.rise * scale, foot: (low + high) / 2, points: [...left, ...right] };
}

/** Points of a line moved outward by a distance, square to it. */
export function outward(points: readonly Point[], by: number): readonly Point[] {
  return points.flatMap((p, i): Point[] => {
    const [a, b] = [points[Math.max(0, i - 1)] ?? p, points[Math.min(points.length - 1, i + 1)] ?? p];
    const [dy, dz] = [b[0] - a[0], b[1] - a[1]];
    const d = Math.hypot(dy, dz);
    return d === 0 ? [] : [[p[0] - (dz / d) * by, p[1] + (dy / d) * by]];
  });
}

/** Length of a sheet pulled taut over points from the first to the last: the upper hull. */
export function taut(from: Point, over: readonly Point[], to: Point): number {
  // Seen from the chord's middle, the hull of all points less the chord.
  const all = [from, ...over, to].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (points: readonly Point[]): Point[] => {
    const kept: Point[] = [];
    for (const p of points) {
      for (let n = kept.length; n >= 2; n = kept.length) {
        const [a, b] = [kept[n - 2] ?? p, kept[n - 1] ?? p];
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        kept.pop();
      }
      kept.push(p);
    }
    return kept;
  };
  const [lower, upper] = [chain(all), chain([...all].reverse())];
  const hull = [...lower.slice(0, -1), ...upper.slice(0, -1)];
  const round = hull.reduce((sum, p, i) => {
    const q = hull[(i + 1) % hull.length] ?? p;
    return sum + Math.hypot(q[0] - p[0], q[1] - p[1]);
  }, 0);
  return round - Math.hypot(to[0] - from[0], to[1] - from[1]);
}
