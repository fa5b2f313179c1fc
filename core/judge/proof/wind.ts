/** Wind: uplift of the whole cover, and the moment on a lid, shut and propped. */
import type { Assembly } from '../../build/assembly/types';
import type { Fastening, MovingPart } from '../../build/assembly/openings';
import { KINDS } from '../../build/joints';
import { GRAVITY } from '../../base/gravity';
import { type Figure, amount, phrase } from '../../base/figure';
import { formulaValue } from '../../base/formula';
import { SOIL_HOLDS, SOIL_SOURCE } from '../../site/soil';
import { spreadOf } from '../../catalog/catalog';
import { type Check, type CheckSite, sureIn, verdictOf } from './check';
import { pushCheck } from './push';
import { INSIDE, SAFETY, WIND_LEFT_OUT, gustPa, holdMore, liftCoefficient, riseToSpan, weightN } from './windLoads';
import { sureOf, sureWords } from './sure';

/** A gust in which a lid may still stand propped; above it, shut and latch. */
const PROPPED_GUST = 12;

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
      { name: 'gust', ...amount(site.gustMPerS, 'speed') },
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
    assumes: a.footing.holdDowns.some((h) => h.soil) ? [...WIND_LEFT_OUT, SOIL_SOURCE] : WIND_LEFT_OUT,
  };
  const inSoil = a.footing.holdDowns.reduce((sum, h) => sum + (h.soil === undefined ? 0 : h.count * h.eachN), 0);
  // Without the margin of safety: how often it would hold as it is.
  const of =
    lift > 0
      ? sureOf(
          ([gust = 1, soil = 1, joint = 1]) => (weight + inSoil * soil + (held - inSoil) * joint) / (lift * gust ** 2),
          [site.gustSpread, ...['hold soil', 'hold joint'].map((key) => spreadOf(site.site.catalog, key))],
        )
      : undefined;
  return {
    id: 'wind',
    leaf: 'stand',
    ...sureIn(of && { of, words: sureWords(of, ['such a gust']) }),
    verdict: verdictOf(ratio * 1.25),
    text:
      lift === 0
        ? ['No wind is asked of this cover.']
        : phrase`Wind lifts with ${amount(lift, 'force')}; weight and anchors hold ${amount(weight + held, 'force')}, and a half more than the lift is wanted.`,
    figure,
    caution: 'On a wind warning shut, latch and weight the cover, or strip it. ' + WIND_LEFT_OUT[0],
    tries: ratio >= 1 ? [] : holdMore(a, SAFETY * lift - weight - held),
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
      assumes: [...assumes, ...WIND_LEFT_OUT],
    };
  };
  const shut = figure(
    'Pull of the shut lid',
    'pull at the edge = max(0; (pressure near the ground × suction and inside, together × area of the lid − weight of the lid × cos(slope of the shut lid)) / 2)',
    [
      ...common,
      { name: 'pressure near the ground', ...amount(gustPa(site.gustMPerS, site.exposure), 'pressure') },
      { name: 'suction and inside, together', ...amount(0.7 + riseToSpan(a) + INSIDE.shut, 'ratio') },
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
  const q = gustPa(site.gustMPerS, site.exposure) * (0.7 + riseToSpan(a) + INSIDE.shut) * areaM2;
  const level = weight * Math.cos((hung.pitchDeg * Math.PI) / 180);
  const sprung = opener ? (opener.holdsN * opener.armMm) / hung.reachMm : 0;
  const shutRatio = (level / 2 + hung.latches.count * hung.latches.eachN + sprung) / ((SAFETY * q) / 2);
  const lidSure = (asN: number, holdsN: number, restN: number): Check['sure'] => {
    if (!(asN > 0)) return undefined;
    const of = sureOf(
      ([gust = 1, joint = 1]) => (restN + holdsN * joint) / (asN * gust ** 2),
      [site.gustSpread, spreadOf(site.site.catalog, 'hold joint')],
    );
    return { of, words: sureWords(of, ['such a gust']) };
  };
  const under = gustPa(PROPPED_GUST, site.exposure) * 1.2 * areaM2;
  const proppedRatio = (0.7 * weight + hung.stays.count * hung.stays.eachN) / (SAFETY * under);
  // What is asked for by itself is judged by itself.
  const own = ({ ask }: Fastening, id: string): string =>
    ask === undefined || ask === 'latches' || ask === 'stays' ? id : `${id} ${part.name.toLowerCase()}`;
  // However heavy it is; an opener holds it by itself.
  const looseOpen = hung.stays.count === 0 && !opener;
  const more = (id: string, [one, many]: readonly [string, string], now: number) =>
    [1, 2, 3, 4, 6].map((by) => ({
      label: [`${now + by} ${now + by === 1 ? one : many}`],
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
          ? phrase`Shut, the wind pulls with ${amount(shut.value, 'force')} at the edge of the lid in the gust asked for; beside its weight the spring of its opener holds ${amount(sprung, 'force')} there.`
          : phrase`${hung.latches.count === 0 ? 'No latch' : hung.latches.count === 1 ? 'One latch' : `${hung.latches.count} latches`}: the shut lid pulls with ${amount(shut.value, 'force')} at its edge in the gust asked for. An unlatched lid goes over its hinges.`,
      figure: shut,
      caution: WIND_LEFT_OUT[0],
      tries: opener
        ? [
            ...[2, 3, 4].map((count) => ({
              label: [`${count} openers`],
              change: { kind: 'answer', id: 'openers', value: count } as const,
            })),
            { label: ['By hand, with a latch'], change: { kind: 'answer', id: 'airing', value: 'prop' } },
          ]
        : more(hung.latches.ask ?? 'latches', KINDS.latch.name, hung.latches.count),
    },
    {
      id: own(hung.stays, 'stay'),
      leaf: 'stand',
      verdict: looseOpen ? 'fails' : verdictOf(proppedRatio * 1.25),
      text: looseOpen
        ? ['No stay: nothing stops it and holds it open. It goes over its hinges, or falls shut on hands and heads.']
        : hung.stays.count === 0
          ? phrase`Propped in a fresh wind it pulls with ${amount(propped.value, 'force')}; its opener alone holds it. Shut it before it blows harder.`
          : phrase`Propped in a fresh wind it pulls ${amount(propped.value, 'force')} on ${hung.stays.count === 1 ? 'one stay' : `${hung.stays.count} stays`}. A thin chain snaps; shut it before it blows harder.`,
      figure: propped,
      caution: WIND_LEFT_OUT[0],
      tries: more(hung.stays.ask ?? 'stays', KINDS.stay.name, hung.stays.count),
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
