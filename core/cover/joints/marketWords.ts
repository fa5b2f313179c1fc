import type { Phrase } from '../../base/figure';
import type { Market } from '../../catalog/market';
import type { BuildStep } from '../assembly/types';

/** Drills and distances that steps say in inches, and what a metric workshop has. */
const METRIC: readonly (readonly [RegExp, string])[] = [
  [/\b3\/32( pilots?| bit)?\b/g, '2.5 mm$1'],
  [/\b1\/8( pilots?| bit)\b/g, '3 mm$1'],
  [/\b1\/4( bit)\b/g, '6 mm$1'],
  [/\b3\/8( bit)\b/g, '10 mm$1'],
  [/\b1 and 3 in from/g, '25 and 75 mm from'],
  [/\b1 in up\b/g, '25 mm up'],
];

const metric = (text: string): string => METRIC.reduce((now, [inches, mm]) => now.replace(inches, mm), text);
const phrase = (line: Phrase): Phrase => line.map((x) => (typeof x === 'string' ? metric(x) : x));

/** A step in the sizes of the drills and rules that are sold where the garden is. */
export function inMarket(step: BuildStep, market: Market): BuildStep {
  if (market === 'imperial') return step;
  return { ...step, work: step.work.map(phrase), checks: step.checks.map(phrase), tools: step.tools.map(metric) };
}
