import { GRAVITY } from '../../base/gravity';
import { getPosition, getTimes } from 'suncalc';
import type { Enclosure } from '../../build/assembly/types';
import { coverM2, mainCover, meanOf } from '../../build/assembly/enclosure';
import { type Figure, amount } from '../../base/figure';
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
  const riseShutC = gainW / lossWPerK;

  const rise = place.allowedRiseC;
  const toVentW = Math.max(0, gainW - lossWPerK * rise);
  const flow = toVentW / (AIR_J_PER_M3K * rise);
  const kelvin = place.outsideC + 273.15;
  // Two equal vents in series: effective area A / sqrt(2).
  const stackPerM2 = (DISCHARGE / Math.SQRT2) * Math.sqrt((2 * GRAVITY * e.heightM * rise) / kelvin);
  const windPerM2 = 0.3 * place.windMPerS;
  const ventEachM2 = flow / Math.hypot(stackPerM2, windPerM2);
  return {
    sunAltitudeDeg: sun.altitudeDeg,
    sunWPerM2: levelWPerM2,
    light: meanOf(e, ({ cover, inner }) => cover.light * (inner?.light ?? 1)),
    riseShutC,
    ventEachM2,
    ruleM2: [0.15 * e.floorM2, 0.2 * e.floorM2],
    figures: {
      rise: {
        label: 'Warmer than outside when shut, clear noon',
        value: riseShutC,
        quantity: 'warming',
        formula:
          'rise = 0.6 × sun that comes in and is caught, W / (heat loss U, W/m²K × cover + boards and bales, W/K + 1206 × air changes an hour × air inside / 3600)',
        terms: [
          { name: 'sun that comes in and is caught, W', ...amount(caughtW, 'plain') },
          { name: 'cover', ...amount(area, 'area') },
          { name: 'heat loss U, W/m²K', ...amount(u, 'plain') },
          { name: 'boards and bales, W/K', ...amount(walls, 'plain') },
          { name: 'air changes an hour', ...amount(changes, 'plain') },
          { name: 'air inside', ...amount(e.volumeM3, 'volume') },
        ],
        source: `Steady heat balance; clear sun after Meinel, air mass after Kasten and Young, on each face of the cover by its slope and bearing, past what stands on the plot. Leaks of ${mainCover(e).name}: ${mainCover(e).leaksRange.join(' to ')} changes an hour (trade ranges)${e.loose ? ', twice as much where edges only lie weighted' : ''}; heat through cloth after FAO Irrigation and Drainage Paper 56.`,
        assumes: LEFT_OUT,
      },
      vent: {
        label: 'Open area of each of two vents',
        value: ventEachM2,
        quantity: 'area',
        formula:
          'area = flow / √((0.6 / √(2))² × 2 × 9.80665 × low vent to high vent × rise allowed / outside, kelvin + (0.3 × light air, m/s)²)',
        terms: [
          { name: 'flow', ...amount(flow, 'flow') },
          { name: 'rise allowed', ...amount(rise, 'warming') },
          { name: 'low vent to high vent', ...amount(e.heightM * 1000, 'length') },
          { name: 'outside, kelvin', ...amount(kelvin, 'plain') },
          { name: 'light air, m/s', ...amount(place.windMPerS, 'plain') },
          { name: 'heat to carry off', ...amount(toVentW, 'power') },
        ],
        source: 'Orifice flow by stack and wind, root of the summed squares.',
        assumes: [...LEFT_OUT, 'One vent low at one end and one high at the other, equal in area.'],
      },
    },
  };
}
