/** Sun and sky over a bed, hour by hour. Angles in degrees, heat in W/m2, temperatures in C. */

const RAD = Math.PI / 180;
/** Sun outside the air, W/m2. Source: WMO; ISO 9060. */
const SOLAR_CONSTANT = 1361;
const STEFAN_BOLTZMANN = 5.670374e-8;

/** Where the sun stands: unit direction east, north, up. */
export interface Sun {
  readonly east: number;
  readonly north: number;
  readonly up: number;
  readonly azimuthDeg: number;
  readonly altitudeDeg: number;
}

/**
 * Where the sun stands at an instant, to a third of a degree. Source: J. W. Spencer, Search 2 (1971) 172: declination and equation
 * of time by Fourier series.
 * @example sunAt(Date.parse('2027-03-01T16:57:00Z'), 44.1, -72.6).altitudeDeg // 38.3
 */
export function sunAt(ms: number, latitudeDeg: number, longitudeDeg: number): Sun {
  const days = ms / 86_400_000;
  const year = new Date(ms).getUTCFullYear();
  const g = (2 * Math.PI * (days - Date.UTC(year, 0, 1) / 86_400_000)) / 365.2422;
  const [c, s, c2, s2] = [Math.cos(g), Math.sin(g), Math.cos(2 * g), Math.sin(2 * g)];
  const declination =
    0.006918 -
    0.399912 * c +
    0.070257 * s -
    0.006758 * c2 +
    0.000907 * s2 -
    0.002697 * Math.cos(3 * g) +
    0.00148 * Math.sin(3 * g);
  const equation = 0.000075 + 0.001868 * c - 0.032077 * s - 0.014615 * c2 - 0.04089 * s2;
  const hourAngle = 2 * Math.PI * (days - Math.floor(days)) - Math.PI + equation + longitudeDeg * RAD;
  const phi = latitudeDeg * RAD;
  const [sinPhi, cosPhi] = [Math.sin(phi), Math.cos(phi)];
  const [sinDec, cosDec] = [Math.sin(declination), Math.cos(declination)];
  const up = sinPhi * sinDec + cosPhi * cosDec * Math.cos(hourAngle);
  const east = -cosDec * Math.sin(hourAngle);
  const north = cosPhi * sinDec - sinPhi * cosDec * Math.cos(hourAngle);
  return {
    east,
    north,
    up,
    azimuthDeg: (Math.atan2(east, north) / RAD + 360) % 360,
    altitudeDeg: Math.asin(Math.max(-1, Math.min(1, up))) / RAD,
  };
}

/** Sun outside the air on a plane square to it: nearer in January. Source: Spencer (1971), first term. */
const outsideAirWPerM2 = (ms: number): number =>
  SOLAR_CONSTANT * (1 + 0.033 * Math.cos((2 * Math.PI * (ms / 86_400_000 - 0.5)) / 365.2422));

/**
 * Sun on level ground under a clear sky, W/m2.
 * Beam 1353 ((1 - 0.14 h) 0.7^(AM^0.678) + 0.14 h) at h km above the sea (A. B. and M. P. Meinel, Applied Solar Energy, 1976),
 * air mass after Kasten and Young (1989), a tenth more from the sky.
 * @example clearSkyWPerM2(90, 0) // 1042
 */
export function clearSkyWPerM2(altitudeDeg: number, elevationM: number): number {
  if (altitudeDeg <= 0) return 0;
  const sin = Math.sin(altitudeDeg * RAD);
  const airMass = 1 / (sin + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
  const thin = (0.14 * Math.min(3000, Math.max(0, elevationM))) / 1000;
  return 1.1 * 1353 * ((1 - thin) * 0.7 ** (airMass ** 0.678) + thin) * sin;
}

/** What of the sun comes through cloud of so many tenths, as a part. Source: Kasten and Czeplak, Solar Energy 24 (1980) 177. */
export const throughCloud = (cloud: number): number => 1 - 0.75 * cloud ** 3.4;
/** How much cloud lets such a part through: the same turned round. */
export const cloudOf = (part: number): number => Math.max(0, Math.min(1, (1 - part) / 0.75)) ** (1 / 3.4);

/**
 * The part of the light on level ground that comes from the whole sky instead of from the sun.
 * Source: Erbs, Klein and Duffie, Solar Energy 28 (1982) 293.
 * @param levelWPerM2 light on level ground
 */
export function diffusePart(levelWPerM2: number, ms: number, sinAltitude: number): number {
  const k = levelWPerM2 / Math.max(1, outsideAirWPerM2(ms) * sinAltitude);
  if (k <= 0.22) return 1 - 0.09 * k;
  if (k > 0.8) return 0.165;
  return 0.9511 - 0.1604 * k + 4.388 * k ** 2 - 16.638 * k ** 3 + 12.336 * k ** 4;
}

/** Vapour that air can hold, kg/m3. Source: Magnus formula (WMO-No. 8, annex 4.B) and the gas law. */
export function saturatedKgPerM3(c: number): number {
  const pascal = 611.2 * Math.exp((17.62 * c) / (243.12 + c));
  return pascal / (461.5 * (c + 273.15));
}

/** How steeply that grows, as a part of it for each degree: the same formula, differentiated. */
export const saturationSlope = (c: number): number => (17.62 * 243.12) / (243.12 + c) ** 2 - 1 / (c + 273.15);

/**
 * Heat that level ground loses to a sky colder than the air, W/m2.
 * Clear sky: emissivity 0.711 + 0.56 (td/100) + 0.73 (td/100)^2 (Berdahl and Martin, Solar Energy 32 (1984) 663); cloud closes 0.84
 * of what is left of it (Unsworth and Monteith, 1975).
 * @param dewC dew point of the air
 */
export function skyLossWPerM2(airC: number, dewC: number, cloud: number): number {
  const t = dewC / 100;
  const clear = 0.711 + 0.56 * t + 0.73 * t * t;
  const emissivity = clear + (1 - clear) * 0.84 * cloud;
  return STEFAN_BOLTZMANN * (airC + 273.15) ** 4 * (1 - emissivity);
}

/**
 * How much less light comes through a cover aslant than straight on.
 * 1 - 0.1 (1/cos - 1) up to 60 degrees, then straight down with the cosine (Souka and Safwat; Duffie and Beckman, Solar Engineering
 * of Thermal Processes, eq. 6.17.10).
 */
export const aslant = (cos: number): number => (cos <= 0 ? 0 : cos >= 0.5 ? 1 - 0.1 * (1 / cos - 1) : 1.8 * cos);
/** The same for light from everywhere: as at 60 degrees (Duffie and Beckman, sec. 5.4). */
export const ASLANT_DIFFUSE = 0.9;
