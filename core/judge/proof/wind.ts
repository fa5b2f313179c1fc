/** Wind: uplift of the whole cover, and the moment on a lid, shut and propped. */
import type { Exposure } from '../../site/place';
import type { Assembly } from '../../build/assembly/types';
import type { Fastening, MovingPart } from '../../build/assembly/openings';
import { panelAreaM2 } from '../../build/assembly/pieces';
import { massKg } from '../../catalog/sections';
import { type Figure, amount } from '../../base/figure';
import { formulaValue } from '../../base/formula';
import { SOIL_HOLDS, SOIL_SOURCE } from '../../site/soil';
import { HOLD_SPREADS } from '../../catalog/spreads';
import { type Check, type CheckSite, sureIn, verdictOf } from './check';
import { sureOf, sureWords } from './sure';
import { GRAVITY } from './snow';

const LEFT_OUT = [
  'A planning aid: steady gust on a simple shape. It leaves out gaps, flapping film, neighbours and hollows.',
  'Strengths of fastenings are our own middle figures; soft soil and old wood hold less.',
];
/** Safety against lifting and turning over. */
const SAFETY = 1.5;
/** Pressure inside, as a part of that of the gust, either way: when shut, and with an end open. Source: ASCE/SEI 7, table 26.13-1. */
export const INSIDE = { shut: 0.18, open: 0.55 } as const;
const INSIDE_SHUT = INSIDE.shut;
/** A gust in which a lid may still stand propped; above it, shut and latch. */
const PROPPED_GUST = 12;
/** Pressure near the ground, as a part of that at 10 m: ASCE/SEI 7 exposures C, between, and B. */
const NEAR_GROUND: Readonly<Record<Exposure, number>> = { exposed: 0.85, normal: 0.7, sheltered: 0.57 };

/**
 * Pressure of a gust, Pa: q = 0.613 V^2, lowered near the ground. Source: ASCE/SEI 7, eq. 26.10-1, SI.
 * @example gustPa(30, 'normal') // 386.19
 */
export function gustPa(gustMPerS: number, exposure: Exposure): number {
  return 0.613 * gustMPerS ** 2 * NEAR_GROUND[exposure];
}

function weightN(a: Assembly): number {
  const members = a.members.reduce((sum, m) => sum + massKg(m.section, m.lengthMm), 0);
  const panels = a.panels.reduce((sum, p) => sum + panelAreaM2(p) * p.sheet.kgPerM2, 0);
  return (members + panels) * GRAVITY;
}

/** Rise of the cover over its width: how much of an arch it is to the wind. */
function riseToSpan(a: Assembly): number {
  const zs = a.under.map((p) => p.z);
  return Math.min(0.6, (Math.max(...zs) - Math.min(...zs)) / a.footing.widthMm);
}

/**
 * Pressures on an arch from the ground, as parts of that of the gust, inward positive, by its rise over its span:
 * on the windward quarter, the middle half and the lee quarter. Source: ASCE/SEI 7, fig. 27.3-3, arched roofs springing from the ground.
 */
export const archPressures = (
  riseToSpan: number,
): { readonly windward: number; readonly middle: number; readonly lee: number } => ({
  windward: 1.4 * riseToSpan,
  middle: -0.7 - riseToSpan,
  lee: -0.5,
});

/** What lifts an arch, level parts of it together, with what leaks inside. */
function liftCoefficient(riseToSpan: number): number {
  const { windward, middle, lee } = archPressures(riseToSpan);
  return Math.max(0.2, -0.25 * windward - 0.5 * middle - 0.25 * lee + INSIDE_SHUT);
}

/**
 * Uplift of a cover from the ground against its weight and what holds it.
 * Level parts of the arch as in `archPressures`: a quarter, a half and a quarter.
 */
function upliftCheck(a: Assembly, site: CheckSite): Check {
  const q = gustPa(site.gustMPerS, site.exposure);
  const r = riseToSpan(a);
  const up = liftCoefficient(r);
  const areaM2 = (a.footing.lengthMm * a.footing.widthMm) / 1e6;
  const lift = q * up * areaM2;
  const weight = weightN(a);
  const held = a.footing.holdDowns.reduce((sum, h) => sum + h.count * h.eachN, 0);
  const ratio = lift > 0 ? (weight + held) / (SAFETY * lift) : Infinity;
  const figure: Figure = {
    label: 'Uplift in the gust asked for',
    value: lift,
    quantity: 'force',
    formula: 'uplift = pressure near the ground × suction and inside, together × area',
    terms: [
      { name: 'gust, m/s', ...amount(site.gustMPerS, 'plain') },
      { name: 'pressure near the ground', ...amount(q, 'pressure') },
      { name: 'rise over width', ...amount(r, 'ratio') },
      { name: 'suction and inside, together', ...amount(up, 'ratio') },
      { name: 'area', ...amount(areaM2, 'area') },
      { name: 'weight of the cover', ...amount(weight, 'force') },
      ...a.footing.holdDowns.map((h) => ({
        name: `${h.what}, ${h.count} of them${h.soil === undefined ? '' : `, ${SOIL_HOLDS[h.soil]} of what they hold in loam`}`,
        ...amount(h.count * h.eachN, 'force'),
      })),
      { name: 'safety', ...amount(SAFETY, 'ratio') },
    ],
    source: 'ASCE/SEI 7, arched roofs springing from the ground, with inside pressure of a shut cover.',
    assumes: a.footing.holdDowns.some((h) => h.soil) ? [...LEFT_OUT, SOIL_SOURCE] : LEFT_OUT,
  };
  const inSoil = a.footing.holdDowns.reduce((sum, h) => sum + (h.soil === undefined ? 0 : h.count * h.eachN), 0);
  // Without the margin of safety: how often it would hold as it is.
  const of =
    lift > 0
      ? sureOf(
          ([gust = 1, soil = 1, joint = 1]) => (weight + inSoil * soil + (held - inSoil) * joint) / (lift * gust ** 2),
          [site.gustSpread, HOLD_SPREADS.soil, HOLD_SPREADS.joint],
        )
      : undefined;
  return {
    id: 'wind',
    leaf: 'stand',
    ...sureIn(of && { of, words: sureWords(of, ['such a gust']) }),
    verdict: verdictOf(ratio * 1.25),
    text: [
      'Wind lifts with ',
      amount(lift, 'force'),
      '; weight and anchors hold ',
      amount(weight + held, 'force'),
      ', and a half more than the lift is wanted.',
    ],
    figure,
    caution: 'On a wind warning shut, latch and weight the cover, or strip it. ' + LEFT_OUT[0],
    // As many of each kind of anchor as would do by itself.
    tries: a.footing.holdDowns.flatMap(({ ask, what, count, eachN }) => {
      if (ask === undefined || ratio >= 1) return [];
      const need = count + Math.ceil((SAFETY * lift - weight - held) / eachN);
      return [{ label: [`${need} ${what}`], change: { kind: 'answer', id: ask, value: need } as const }];
    }),
  };
}

/** What rubs of the weight that is left on a wall or on soil. Source: our own low figure for wood on wood and on earth. */
const FRICTION = 0.4;
/** Push on an upright side and suction behind the other, together. Source: ASCE/SEI 7, fig. 27.3-1. */
const ON_SIDES = 1.3;

/** How high the cover stands above its feet a part of its width in from the side, mm. */
function heightAt(a: Assembly, part: number): number {
  const ys = a.under.map((p) => p.y);
  const [left, right, base] = [Math.min(...ys), Math.max(...ys), Math.min(...a.under.map((p) => p.z))];
  const y = left + part * (right - left);
  // The highest of what is there: a side may lean out.
  const over = a.under.slice(1).flatMap((q, i) => {
    const p = a.under[i] ?? q;
    if ((p.y - y) * (q.y - y) > 0) return [];
    const along = q.y === p.y ? 0 : (y - p.y) / (q.y - p.y);
    return [Math.max(p.z + along * (q.z - p.z), q.y === p.y ? q.z : -Infinity)];
  });
  return Math.max(0, ...over) - base;
}

/**
 * Whether wind from the side pushes a cover off its place, or over the edge on its lee side.
 * Pressures as `archPressures`: what presses on the windward quarter and sucks at the lee one works on their height.
 */
function pushCheck(a: Assembly, site: CheckSite): Check {
  const q = gustPa(site.gustMPerS, site.exposure);
  const { lengthMm, widthMm, holdDowns } = a.footing;
  const r = riseToSpan(a);
  const { windward, lee } = archPressures(r);
  const quarterMm = heightAt(a, 0.25);
  const upright = heightAt(a, 0.02) > quarterMm / 2;
  const coefficient = upright ? ON_SIDES : windward - lee;
  const push = (q * coefficient * quarterMm * lengthMm) / 1e6;
  const lift = q * liftCoefficient(r) * ((lengthMm * widthMm) / 1e6);
  const weight = weightN(a);
  const held = holdDowns.reduce((sum, h) => sum + h.count * h.eachN, 0);
  const slides = push > 0 ? (FRICTION * Math.max(0, weight - lift) + held) / (SAFETY * push) : Infinity;
  // About the edge on the lee side: half of what holds is on the other one.
  const over = (lift * widthMm) / 2 + (push * quarterMm) / 2;
  const tips = over > 0 ? (weight * (widthMm / 2) + (held / 2) * widthMm) / (SAFETY * over) : Infinity;
  const ratio = Math.min(slides, tips);
  const figure: Figure = {
    label: 'Push of the wind from the side',
    value: push,
    quantity: 'force',
    formula:
      'push = pressure near the ground × pressing and sucking, together × height at a quarter of the width × length',
    terms: [
      { name: 'pressure near the ground', ...amount(q, 'pressure') },
      { name: 'pressing and sucking, together', ...amount(coefficient, 'ratio') },
      { name: 'height at a quarter of the width', ...amount(quarterMm, 'length') },
      { name: 'length', ...amount(lengthMm, 'length') },
      { name: 'lift at the same time', ...amount(lift, 'force') },
      { name: 'weight of the cover', ...amount(weight, 'force') },
      { name: 'what holds it, all together', ...amount(held, 'force') },
      { name: 'friction', ...amount(FRICTION, 'ratio') },
      { name: 'holds against sliding, times over, a half more than the push wanted', ...amount(slides, 'times') },
      { name: 'holds against tipping, times over, a half more wanted', ...amount(tips, 'times') },
    ],
    source: 'ASCE/SEI 7, fig. 27.3-1 and 27.3-3; moments about the edge on the lee side.',
    assumes: [...LEFT_OUT, 'What holds stands half on each long side, and holds sideways as much as upward.'],
  };
  return {
    id: 'push',
    leaf: 'stand',
    verdict: verdictOf(ratio * 1.25),
    text: [
      'Wind from the side pushes with ',
      amount(push, 'force'),
      slides < tips ? ': it slides first, ' : ': it tips first, ',
      amount(ratio * SAFETY, 'times'),
      ' times the wind asked for; a half more is wanted.',
    ],
    figure,
    caution: LEFT_OUT[0],
    tries: holdDowns.flatMap(({ ask, what, count, eachN }) => {
      if (ask === undefined || ratio >= 1) return [];
      const slip = SAFETY * push - FRICTION * Math.max(0, weight - lift);
      const turn = (2 * (SAFETY * over - weight * (widthMm / 2))) / widthMm;
      const need = count + Math.ceil((Math.max(slip, turn) - held) / eachN);
      return [{ label: [`${need} ${what}`], change: { kind: 'answer', id: ask, value: need } as const }];
    }),
  };
}

/** A lid in the wind: shut it pulls at its latches, propped at its stays. */
function lidChecks(part: MovingPart, lift: Figure | undefined, a: Assembly, site: CheckSite): readonly Check[] {
  const hung = part.hung;
  if (!hung) return [];
  const { opener } = hung;
  const areaM2 = (hung.alongMm * hung.reachMm) / 1e6;
  const weight = 2 * (lift?.value ?? 0) * GRAVITY;
  const common = [
    { name: 'area of the lid', ...amount(areaM2, 'area') },
    { name: 'weight of the lid', ...amount(weight, 'force') },
  ];
  const holding = (name: string, { count, eachN }: Fastening): Figure['terms'] => [
    { name: `${name}, ${count} of them, each`, ...amount(eachN, 'force') },
    { name: 'safety', ...amount(SAFETY, 'ratio') },
  ];
  const figure = (label: string, formula: string, terms: Figure['terms'], assumes: readonly string[]): Figure => {
    const working = { label, quantity: 'force' as const, formula, terms };
    return {
      ...working,
      value: formulaValue(working),
      source: 'Moments about the hinge; pressure 0.613 V² near the ground, ASCE/SEI 7.',
      assumes: [...assumes, ...LEFT_OUT],
    };
  };
  const shut = figure(
    'Pull of the shut lid',
    'pull at the edge = max(0; (pressure near the ground × suction and inside, together × area of the lid − weight of the lid × cos(slope of the shut lid)) / 2)',
    [
      ...common,
      { name: 'pressure near the ground', ...amount(gustPa(site.gustMPerS, site.exposure), 'pressure') },
      { name: 'suction and inside, together', ...amount(0.7 + riseToSpan(a) + INSIDE_SHUT, 'ratio') },
      // The steeper it lies, the less its own weight keeps it shut.
      { name: 'slope of the shut lid', ...amount(hung.pitchDeg, 'angle') },
      ...(opener
        ? [
            { name: 'opener, its spring and arm', ...amount(opener.holdsN, 'force') },
            { name: 'its arm from the hinge', ...amount(opener.armMm, 'length') },
            { name: 'hinge to edge', ...amount(hung.reachMm, 'length') },
          ]
        : []),
      ...holding('latches', hung.latches),
    ],
    [
      'Wind and weight work at the middle of the lid, the latches at its edge.',
      ...(opener ? ['The opener is strong enough at its joints, and cold: warm wax holds less.'] : []),
    ],
  );
  const propped = figure(
    'Pull of the propped lid',
    'pull on the stays = max(0; pressure of a fresh wind × 1.2 × area of the lid − 0.7 × weight of the lid)',
    [
      ...common,
      { name: 'pressure of a fresh wind', ...amount(gustPa(PROPPED_GUST, site.exposure), 'pressure') },
      ...holding('stays', hung.stays),
    ],
    ['Wind, weight and stays work at the middle of the lid.'],
  );
  // The weight helps without a margin; the wind is taken half as strong again.
  const q = gustPa(site.gustMPerS, site.exposure) * (0.7 + riseToSpan(a) + INSIDE_SHUT) * areaM2;
  const level = weight * Math.cos((hung.pitchDeg * Math.PI) / 180);
  const sprung = opener ? (opener.holdsN * opener.armMm) / hung.reachMm : 0;
  const shutRatio = (level / 2 + hung.latches.count * hung.latches.eachN + sprung) / ((SAFETY * q) / 2);
  const lidSure = (asN: number, holdsN: number, restN: number): Check['sure'] => {
    if (!(asN > 0)) return undefined;
    const of = sureOf(
      ([gust = 1, joint = 1]) => (restN + holdsN * joint) / (asN * gust ** 2),
      [site.gustSpread, HOLD_SPREADS.joint],
    );
    return { of, words: sureWords(of, ['such a gust']) };
  };
  const under = gustPa(PROPPED_GUST, site.exposure) * 1.2 * areaM2;
  const proppedRatio = (0.7 * weight + hung.stays.count * hung.stays.eachN) / (SAFETY * under);
  // What is asked for by itself is judged by itself.
  const own = ({ ask }: Fastening, id: string): string =>
    ask === undefined || ask === 'latches' || ask === 'stays' ? id : `${id} ${part.name.toLowerCase()}`;
  const more = (id: string, name: string, now: number) =>
    [1, 2, 3, 4, 6].map((by) => ({
      label: [`${now + by} ${name}`],
      change: { kind: 'answer', id, value: now + by } as const,
    }));
  return [
    {
      id: own(hung.latches, 'latch'),
      leaf: 'stand',
      ...sureIn(lidSure(q / 2, hung.latches.count * hung.latches.eachN, level / 2 + sprung)),
      verdict: verdictOf(shutRatio * 1.25),
      text:
        opener && hung.latches.count === 0
          ? [
              'Shut, the wind pulls with ',
              amount(shut.value, 'force'),
              ' at the edge of the lid in the gust asked for; beside its weight the spring of its opener holds ',
              amount(sprung, 'force'),
              ' there.',
            ]
          : [
              `${hung.latches.count === 0 ? 'No latch' : hung.latches.count === 1 ? 'One latch' : `${hung.latches.count} latches`}: the shut lid pulls with `,
              amount(shut.value, 'force'),
              ' at its edge in the gust asked for. An unlatched lid goes over its hinges.',
            ],
      figure: shut,
      caution: LEFT_OUT[0],
      tries: opener
        ? [
            ...[2, 3, 4].map((count) => ({
              label: [`${count} openers`],
              change: { kind: 'answer', id: 'openers', value: count } as const,
            })),
            { label: ['By hand, with a latch'], change: { kind: 'answer', id: 'airing', value: 'prop' } },
          ]
        : more(hung.latches.ask ?? 'latches', 'latches', hung.latches.count),
    },
    {
      id: own(hung.stays, 'stay'),
      leaf: 'stand',
      verdict: verdictOf(proppedRatio * 1.25),
      text: [
        'Propped in a fresh wind it pulls ',
        amount(propped.value, 'force'),
        ` on ${hung.stays.count === 1 ? 'one stay' : `${hung.stays.count} stays`}. A thin chain snaps; shut it before it blows harder.`,
      ],
      figure: propped,
      caution: LEFT_OUT[0],
      tries: more(hung.stays.ask ?? 'stays', 'stays', hung.stays.count),
    },
  ];
}

/** Every check of an assembly in the wind. */
export function windChecks(a: Assembly, site: CheckSite): readonly Check[] {
  return [
    upliftCheck(a, site),
    pushCheck(a, site),
    ...a.moving.flatMap((part, i) => lidChecks(part, site.lifts[i], a, site)),
  ];
}
