import { GRAVITY } from '../../base/gravity';
import { getPosition, getTimes } from 'suncalc';
import type { Enclosure } from '../../cover/assembly/types';
import { coverM2, mainCover, meanOf } from '../../cover/assembly/enclosure';
import { type Figure, term } from '../../base/figure';
import { worked } from '../../base/formula';
import type { SunInside } from './drive';
import { clearSkyWPerM2 } from './sky';
import { AIR_J_PER_M3K, leaksPerHour, skinU, wallsWPerK } from './losses';

/** The air that the covered bed meets at noon. */
export interface NoonPlace {
  readonly outsideC: number;
  /** Light air that the vents can count on, m/s. */
  readonly windMPerS: number;
  /** Rise over outside air that the gardener allows, C. */
  readonly allowedRiseC: number;
}

/** The covered bed at clear noon. */
export interface NoonAir {
  readonly sunAltitudeDeg: number;
  readonly sunWPerM2: number;
  /** Part of the light that comes through the cover. */
  readonly light: number;
  readonly riseShutC: number;
  /** Area of each of two vents, one low and one high, m2. */
  readonly ventEachM2: number;
  readonly ruleM2: readonly [number, number];
  readonly figures: { readonly rise: Figure; readonly vent: Figure };
}

/** Part of the light caught inside that warms the air; the rest dries soil and leaves or goes into the soil. */
const WARMS_AIR = 0.6;
const DISCHARGE = 0.6;
const LEFT_OUT = [
  'A planning aid: a steady clear noon over soil that is warm and dry already, with a grown crop. Cold or wet soil takes much of the warmth: hour by hour it gets less warm.',
];

/** The instant at which the sun stands highest on a date. */
export const noonMs = (latitudeDeg: number, longitudeDeg: number, date: string): number =>
  getTimes(new Date(`${date}T12:00:00Z`), latitudeDeg, longitudeDeg).solarNoon.getTime();

/**
 * Sun on level ground under a clear sky at solar noon, W/m2.
 * Sun height from the astronomical almanac series in the sun library.
 * @example noonSun(44.1, -72.6, '2027-06-21').altitudeDeg // 69.34
 */
export function noonSun(
  latitudeDeg: number,
  longitudeDeg: number,
  date: string,
  elevationM = 0,
): { readonly altitudeDeg: number; readonly levelWPerM2: number } {
  const noon = noonMs(latitudeDeg, longitudeDeg, date);
  const altitudeDeg = getPosition(new Date(noon), latitudeDeg, longitudeDeg).altitude;
  return { altitudeDeg, levelWPerM2: clearSkyWPerM2(altitudeDeg, elevationM) };
}

/**
 * Steady balance of the covered bed at clear noon: the rise when shut, and the pair of vents that keeps a chosen rise.
 * @param e areas in m2, volume in m3, height in m
 * @param sun what of the noon's sun comes in and is caught
 * @returns rise in C, open area of each vent in m2, the floor rule in m2, sun in W/m2 and degrees
 */
export function noonAir(e: Enclosure, { sun, levelWPerM2, caughtW }: SunInside, place: NoonPlace): NoonAir {
  const gainW = caughtW * WARMS_AIR;
  const u = meanOf(e, skinU);
  const changes = leaksPerHour(e);
  const area = coverM2(e);
  const walls = wallsWPerK(e);
  const lossWPerK = u * area + walls + (AIR_J_PER_M3K * changes * e.volumeM3) / 3600;
  const shut = worked({
    label: 'Warmer than outside when shut, clear noon',
    quantity: 'warming',
    formula: `rise = ${WARMS_AIR} × sun that comes in and is caught, W / (heat loss U, W/m²K × cover + boards and bales, W/K + ${AIR_J_PER_M3K} × air changes an hour × air inside / 3600)`,
    terms: [
      term('sun that comes in and is caught, W', caughtW, 'plain'),
      term('cover', area, 'area'),
      term('heat loss U, W/m²K', u, 'plain'),
      term('boards and bales, W/K', walls, 'plain'),
      term('air changes an hour', changes, 'plain'),
      term('air inside', e.volumeM3, 'volume'),
    ],
    besides: [
      term('sun on level ground, W/m²', levelWPerM2, 'plain'),
      term('height of the sun', sun.altitudeDeg, 'angle'),
      term('floor', e.floorM2, 'area'),
    ],
    source: `Steady heat balance; clear sun after Meinel, air mass after Kasten and Young, on each face of the cover by its slope and bearing, past what stands on the plot. Leaks of ${mainCover(e).name}: ${mainCover(e).leaksRange.join(' to ')} changes an hour (trade ranges)${e.loose ? ', twice as much where edges only lie weighted' : ''}; heat through cloth after FAO Irrigation and Drainage Paper 56.`,
    assumes: LEFT_OUT,
  });

  const rise = place.allowedRiseC;
  const toVentW = Math.max(0, gainW - lossWPerK * rise);
  const flow = toVentW / (AIR_J_PER_M3K * rise);
  const kelvin = place.outsideC + 273.15;
  const vent = worked({
    label: 'Open area of each of two vents',
    quantity: 'area',
    // Two equal vents in series: effective area A / √2.
    formula: `area = flow / √((${DISCHARGE} / √(2))² × 2 × ${GRAVITY} × low vent to high vent × rise allowed / outside, kelvin + (0.3 × light air, m/s)²)`,
    terms: [
      term('flow', flow, 'flow'),
      term('rise allowed', rise, 'warming'),
      term('low vent to high vent', e.heightM * 1000, 'length'),
      term('outside, kelvin', kelvin, 'plain'),
      term('light air, m/s', place.windMPerS, 'plain'),
    ],
    besides: [term('heat to carry off', toVentW, 'power')],
    source: 'Orifice flow by stack and wind, root of the summed squares.',
    assumes: [...LEFT_OUT, 'One vent low at one end and one high at the other, equal in area.'],
  });
  return {
    sunAltitudeDeg: sun.altitudeDeg,
    sunWPerM2: levelWPerM2,
    light: meanOf(e, ({ cover, inner }) => cover.light * (inner?.light ?? 1)),
    riseShutC: shut.value,
    ventEachM2: vent.value,
    ruleM2: [0.15 * e.floorM2, 0.2 * e.floorM2],
    figures: { rise: shut, vent },
  };
}
