/** What the wind puts on a cover, and what of it weighs against that. */
import { GRAVITY } from '../../base/gravity';
import type { Exposure } from '../../site/place';
import type { Assembly } from '../../cover/assembly/types';
import { panelAreaM2 } from '../../cover/assembly/pieces';
import { type Check, SPARE } from './check';
import { massKg } from '../../catalog/sections';

export const WIND_LEFT_OUT = [
  'A planning aid: steady gust on a simple shape. It leaves out gaps, flapping film, neighbours and hollows.',
  'Strengths of fastenings are our own middle figures; soft soil and old wood hold less.',
];
/** Safety against lifting and turning over: with so many times what the wind does a cover holds outright. */
export const SAFETY = 1.5;
/** The least of it: the rest is the spare that every check wants. */
export const WIND_MARGIN = SAFETY / SPARE;
/** Pressure inside, as a part of that of the gust, either way: when shut, and with an end open. Source: ASCE/SEI 7, table 26.13-1. */
export const INSIDE = { shut: 0.18, open: 0.55 } as const;
/** Pressure near the ground, as a part of that at 10 m: ASCE/SEI 7 exposures C, between, and B. */
const NEAR_GROUND: Readonly<Record<Exposure, number>> = { exposed: 0.85, normal: 0.7, sheltered: 0.57 };

/**
 * Pressure of a gust, Pa: q = 0.613 V^2, lowered near the ground. Source: ASCE/SEI 7, eq. 26.10-1, SI.
 * @example gustPa(30, 'normal') // 386.19
 */
export function gustPa(gustMPerS: number, exposure: Exposure): number {
  return 0.613 * gustMPerS ** 2 * NEAR_GROUND[exposure];
}

/** Fewer anchors than corners hold no cover, whatever each bears. */
const LEAST_ANCHORS = 4;

/**
 * What makes a cover hold more: as many of each kind of anchor as would do by itself, and other ways of fastening it.
 * @param missingN what is wanted beside all that holds already
 */
export const holdMore = (a: Assembly, missingN: number): Check['tries'] => [
  ...a.footing.holdDowns.flatMap(({ ask, what, count, eachN }) => {
    if (ask === undefined || missingN <= 0) return [];
    const need = Math.max(LEAST_ANCHORS, count + Math.ceil(missingN / eachN));
    return [{ label: [`${need} ${what}`], change: { kind: 'answer', id: ask, value: need } as const }];
  }),
  ...OTHER_HOLDS.map(([label, id, value]) => ({
    label: [label],
    change: { kind: 'answer', id, value } as const,
  })),
];

/** Other ways of fastening a cover, by the question that a kind may ask. */
const OTHER_HOLDS = [
  ['Battens on the bed wall, over both edges', 'edges', 'battened'],
  ['Straps on the bed wall for the hoops', 'feet', 'straps-inside'],
  ['Bags in place of what lies on the skirts', 'skirtUnder', 'bags'],
  ['Screwed down to the bed', 'mount', 'fixed'],
  ['Hooked down to the bed', 'mount', 'hooked'],
] as const;

/** Weight of its pieces and panels, N. */
export function weightN(a: Assembly): number {
  const members = a.members.reduce((sum, m) => sum + massKg(m.section, m.lengthMm), 0);
  const panels = a.panels.reduce((sum, p) => sum + panelAreaM2(p) * p.sheet.kgPerM2, 0);
  return (members + panels) * GRAVITY;
}

/** Rise over span beyond which an arch is no arch to the standard: so high it is taken at the most. */
const HIGHEST = 0.6;

/** Rise of the cover over its width: how much of an arch it is to the wind. */
export function riseToSpan(a: Assembly): number {
  const zs = a.under.map((p) => p.z);
  return Math.min(HIGHEST, (Math.max(...zs) - Math.min(...zs)) / a.footing.widthMm);
}

/**
 * Pressures on an arch from the ground, as parts of that of the gust, inward positive, by its rise over its span:
 * on the windward quarter, the middle half and the lee quarter. Source: ASCE/SEI 7, fig. 27.3-3, arched roofs springing from the ground.
 */
export const archPressures = (
  riseToSpan: number,
): { readonly windward: number; readonly middle: number; readonly lee: number } => {
  const r = Math.min(HIGHEST, riseToSpan);
  return { windward: 1.4 * r, middle: -0.7 - r, lee: -0.5 };
};

/**
 * Pressure on an arch by how far across it is, as parts of that of the gust, inward positive; the wind blows from the left.
 * @param inside what presses inside, outward positive
 */
export const pressureOn = (riseToSpan: number, inside: number): ((across: number) => number) => {
  const { windward, middle, lee } = archPressures(riseToSpan);
  return (across) => (across < 0.25 ? windward : across > 0.75 ? lee : middle) - inside;
};

/** What lifts an arch, level parts of it together, with what leaks inside. */
export function liftCoefficient(riseToSpan: number): number {
  const { windward, middle, lee } = archPressures(riseToSpan);
  return Math.max(0.2, -0.25 * windward - 0.5 * middle - 0.25 * lee + INSIDE.shut);
}
