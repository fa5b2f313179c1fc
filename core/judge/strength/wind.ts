/** Wind: uplift of the whole cover, and the moment on a lid, shut and propped. */
import type { Assembly } from '../../cover/assembly/types';
import type { Fastening, MovingPart } from '../../cover/assembly/openings';
import { KINDS } from '../../cover/joints';
import { GRAVITY } from '../../base/gravity';
import { type Figure, type Term, amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { SOIL_HOLDS, SOIL_SOURCE } from '../../site/soil';
import { spreadOf } from '../../catalog/catalog';
import { aboutHolds, aboutJoints, aboutMoving } from './about';
import { type About, type Check, type CheckSite, measured } from './check';
import { pushCheck } from './push';
import {
  INSIDE,
  SAFETY,
  WIND_LEFT_OUT,
  WIND_MARGIN,
  gustPa,
  holdMore,
  liftCoefficient,
  riseToSpan,
  weightN,
} from './windLoads';
import { reliabilityOf, reliabilityWords } from './reliability';

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
  const weight = weightN(a);
  const held = a.footing.holdDowns.reduce((sum, h) => sum + h.count * h.eachN, 0);
  const figure = worked({
    label: 'Uplift in the gust asked for',
    quantity: 'force',
    formula: 'uplift = pressure near the ground × suction and inside, together × area',
    terms: [
      term('pressure near the ground', q, 'pressure'),
      term('suction and inside, together', up, 'ratio'),
      term('area', areaM2, 'area'),
    ],
    besides: [
      term('gust', site.gustMPerS, 'speed'),
      term('rise over width', r, 'ratio'),
      term('weight of the cover', weight, 'force'),
      ...a.footing.holdDowns.map((h) =>
        term(
          `${h.what}, ${h.count} of them${h.soil === undefined ? '' : `, ${SOIL_HOLDS[h.soil]} of what they hold in loam`}`,
          h.count * h.eachN,
          'force',
        ),
      ),
      term('safety', SAFETY, 'ratio'),
    ],
    source: 'ASCE/SEI 7, arched roofs springing from the ground, with inside pressure of a shut cover.',
    assumes: a.footing.holdDowns.some((h) => h.soil) ? [...WIND_LEFT_OUT, SOIL_SOURCE] : WIND_LEFT_OUT,
  });
  const lift = figure.value;
  const inSoil = a.footing.holdDowns.reduce((sum, h) => sum + (h.soil === undefined ? 0 : h.count * h.eachN), 0);
  // Without the margin of safety: how often it would hold as it is.
  const of =
    lift > 0
      ? reliabilityOf(
          ([gust = 1, soil = 1, joint = 1]) => (weight + inSoil * soil + (held - inSoil) * joint) / (lift * gust ** 2),
          [site.gustSpread, ...['hold soil', 'hold joint'].map((key) => spreadOf(site.site.catalog, key))],
        )
      : undefined;
  return measured({
    id: 'wind',
    leaf: 'stand',
    about: aboutHolds(a),
    under: 'gust',
    measure: { demand: lift, capacity: weight + held, margin: WIND_MARGIN },
    sure: of && { of, words: reliabilityWords(of, ['such a gust']) },
    text:
      lift === 0
        ? ['No wind is asked of this cover.']
        : phrase`The wind lifts it with ${amount(lift, 'force')}. Its weight and what holds it down bear ${amount(weight + held, 'force')}; you need ${amount(SAFETY * lift, 'force')}.`,
    figure,
    caution: 'On a wind warning shut, latch and weight the cover, or strip it. ' + WIND_LEFT_OUT[0],
    tries: weight + held >= SAFETY * lift ? [] : holdMore(a, SAFETY * lift - weight - held),
  });
}

/** A lid in the wind: shut it pulls at its latches, propped at its stays. */
function lidChecks(part: MovingPart, lift: Figure | undefined, a: Assembly, site: CheckSite): readonly Check[] {
  const hung = part.hung;
  if (!hung) return [];
  const { opener } = hung;
  const areaM2 = (hung.alongMm * hung.reachMm) / 1e6;
  const weight = 2 * (lift?.value ?? 0) * GRAVITY;
  const common = [term('area of the lid', areaM2, 'area'), term('weight of the lid', weight, 'force')];
  const holding = (name: string, { count, eachN }: Fastening): readonly Term[] => [
    term(`${name}, ${count} of them, each`, eachN, 'force'),
    term('safety', SAFETY, 'ratio'),
  ];
  const figure = (
    label: string,
    formula: string,
    terms: readonly Term[],
    besides: readonly Term[],
    assumes: readonly string[],
  ): Figure =>
    worked({
      label,
      quantity: 'force',
      formula,
      terms: [...common, ...terms],
      besides,
      source: 'Moments about the hinge; pressure 0.613 V² near the ground, ASCE/SEI 7.',
      assumes: [...assumes, ...WIND_LEFT_OUT],
    });
  const shut = figure(
    'Pull of the shut lid',
    'pull at the edge = max(0; (pressure near the ground × suction and inside, together × area of the lid − weight of the lid × cos(slope of the shut lid)) / 2)',
    [
      term('pressure near the ground', gustPa(site.gustMPerS, site.exposure), 'pressure'),
      term('suction and inside, together', 0.7 + riseToSpan(a) + INSIDE.shut, 'ratio'),
      // The steeper it lies, the less its own weight keeps it shut.
      term('slope of the shut lid', hung.pitchDeg, 'angle'),
    ],
    [
      ...(opener
        ? [
            term('opener, its spring and arm', opener.holdsN, 'force'),
            term('its arm from the hinge', opener.armMm, 'length'),
            term('hinge to edge', hung.reachMm, 'length'),
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
    [term('pressure of a fresh wind', gustPa(PROPPED_GUST, site.exposure), 'pressure')],
    holding('stays', hung.stays),
    ['Wind, weight and stays work at the middle of the lid.'],
  );
  // The weight helps without a margin; the wind is taken half as strong again.
  const q = gustPa(site.gustMPerS, site.exposure) * (0.7 + riseToSpan(a) + INSIDE.shut) * areaM2;
  const level = weight * Math.cos((hung.pitchDeg * Math.PI) / 180);
  const sprung = opener ? (opener.holdsN * opener.armMm) / hung.reachMm : 0;
  const lidSure = (asN: number, holdsN: number, restN: number): Check['sure'] => {
    if (!(asN > 0)) return undefined;
    const of = reliabilityOf(
      ([gust = 1, joint = 1]) => (restN + holdsN * joint) / (asN * gust ** 2),
      [site.gustSpread, spreadOf(site.site.catalog, 'hold joint')],
    );
    return { of, words: reliabilityWords(of, ['such a gust']) };
  };
  const under = gustPa(PROPPED_GUST, site.exposure) * 1.2 * areaM2;
  // What is asked for by itself is judged by itself.
  const own = <T extends 'latch' | 'stay'>({ ask }: Fastening, id: T): T | `${T} ${string}` =>
    ask === undefined || ask === 'latches' || ask === 'stays' ? id : `${id} ${part.name.toLowerCase()}`;
  // However heavy it is; an opener holds it by itself.
  const looseOpen = hung.stays.count === 0 && !opener;
  const more = (id: string, [one, many]: readonly [string, string], now: number) =>
    [1, 2, 3, 4, 6].map((by) => ({
      label: [`${now + by} ${now + by === 1 ? one : many}`],
      change: { kind: 'answer', id, value: now + by } as const,
    }));
  const kept = (kind: string): About => {
    const joints = a.joints.filter((j) => j.kind === kind);
    return joints.length > 0 ? aboutJoints(joints) : aboutMoving(a, part);
  };
  const latched = hung.latches.count * hung.latches.eachN;
  // Beside the weight of the lid, which helps without a margin.
  const needed = amount(Math.max(0, (SAFETY * q - level) / 2), 'force');
  return [
    measured({
      id: own(hung.latches, 'latch'),
      leaf: 'stand',
      about: kept('latch'),
      under: 'gust',
      measure: { demand: q / 2, capacity: level / 2 + latched + sprung, margin: WIND_MARGIN },
      sure: lidSure(q / 2, latched, level / 2 + sprung),
      text:
        opener && hung.latches.count === 0
          ? phrase`Shut, the wind pulls with ${amount(shut.value, 'force')} at the edge of the lid in the gust asked for; beside its weight the spring of its opener holds ${amount(sprung, 'force')} there; you need ${needed}.`
          : phrase`${hung.latches.count === 0 ? 'No latch' : hung.latches.count === 1 ? 'One latch' : `${hung.latches.count} latches`}: the shut lid pulls with ${amount(shut.value, 'force')} at its edge in the gust asked for. ${hung.latches.count === 0 ? phrase`It goes over its hinges: latches must hold ${needed}.` : phrase`Beside its weight ${amount(latched + sprung, 'force')} is held; you need ${needed}.`}`,
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
    }),
    measured({
      id: own(hung.stays, 'stay'),
      leaf: 'stand',
      about: kept('stay'),
      measure: {
        demand: under,
        capacity: looseOpen ? 0 : 0.7 * weight + hung.stays.count * hung.stays.eachN,
        margin: WIND_MARGIN,
      },
      text: looseOpen
        ? ['No stay: nothing stops it and holds it open. It goes over its hinges, or falls shut on hands and heads.']
        : hung.stays.count === 0
          ? phrase`Propped in a fresh wind it pulls with ${amount(propped.value, 'force')}; its opener alone holds it. Shut it before it blows harder.`
          : phrase`Propped in a fresh wind it pulls ${amount(propped.value, 'force')} on ${hung.stays.count === 1 ? 'one stay' : `${hung.stays.count} stays`}. A thin chain snaps; shut it before it blows harder.`,
      figure: propped,
      caution: WIND_LEFT_OUT[0],
      tries: more(hung.stays.ask ?? 'stays', KINDS.stay.name, hung.stays.count),
    }),
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
