import { MM_PER_INCH } from '../base/length';
import type { CoverMaterial, Roll } from './types';

const FOOT = 12 * MM_PER_INCH;
const TABLE = 'Trade table of covers: middle of the stated range';

function rolls(key: string, sizes: readonly (readonly [widthFt: number, lengthFt: number, price: number])[]): Roll[] {
  return sizes.map(([w, l, price]) => ({
    key: `${key} ${Number.isInteger(w) ? `${w}x${l} ft` : `${Math.round(w * 12)} in x ${l} ft`}`,
    widthMm: Math.round(w * FOOT * 10) / 10,
    lengthMm: l * FOOT,
    price: Math.round(price * (DEARER[key] ?? 1)),
  }));
}

const FILM_SIZES = [
  [10, 25, 24],
  [10, 50, 42],
  [10, 100, 74],
  [12, 25, 29],
  [20, 50, 79],
  [20, 100, 139],
] as const;

const FABRIC_SIZES = [
  [83 / 12, 20, 13],
  [83 / 12, 50, 26],
  [10, 50, 38],
  [12, 50, 46],
] as const;

/** Welded mesh comes in rolls too: it is cut by whole squares. */
const MESH_SIZES = [
  [5, 10, 21],
  [5, 25, 46],
  [5, 50, 84],
  [7, 10, 29],
  [7, 25, 64],
  [7, 50, 118],
] as const;

/** What a cover costs beside UV film or the light fabric, in every market. */
export const DEARER: Readonly<Record<string, number>> = {
  'film-clear': 0.6,
  'film-white': 0.9,
  'fabric-30': 1.3,
  'fabric-50': 1.8,
  'fabric-70': 2.3,
  net: 1.6,
  'shade-30': 1.7,
  'shade-50': 1.9,
};

/** What leaks when shut. Source: trade ranges; a glazed box 0.5 to 1.5, film well fastened 0.5 to 2, fabric 10 to 40, rising with wind. */
const leaks = (perHour: number, low: number, high: number, throughWPerM2K = 0) => ({
  leaksPerHour: perHour,
  leaksRange: [low, high] as const,
  throughWPerM2K,
});
const FILM_LEAKS = leaks(1.2, 0.5, 2);
const GLAZED_LEAKS = leaks(1, 0.5, 1.5);
/**
 * Fabric: the open ones let a bare wet soil's heat nearly all through, which in light air is about 20 W/m2K, 5 of them radiation
 * (FAO Irrigation and Drainage Paper 56, eq. 6 and 39); the heavy ones about half of it.
 */
const clothLeaks = (perHour: number, through: number) => leaks(perHour, 10, 40, through);
/** Net and shade: light air of 1 m/s crosses a bed in a second or two, and half of it passes the cloth. */
const OPEN_LEAKS = leaks(3000, 100, 6000, 20);

const SOFT: readonly CoverMaterial[] = [
  {
    key: 'film-uv',
    name: 'UV film 6 mil',
    kind: 'film',
    light: 0.9,
    frostHelpC: 2.5,
    uWPerM2K: 6.3,
    ...FILM_LEAKS,
    kgPerM2: 0.14,
    lifeYears: 5,
    rolls: rolls('film-uv', FILM_SIZES),
    outerFace: 'printed face outside',
    source: TABLE,
  },
  {
    key: 'film-clear',
    name: 'clear film, no UV',
    kind: 'film',
    light: 0.88,
    frostHelpC: 2,
    uWPerM2K: 6.5,
    ...FILM_LEAKS,
    kgPerM2: 0.1,
    lifeYears: 0.6,
    rolls: rolls('film-clear', FILM_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'film-white',
    name: 'white film 4 mil',
    kind: 'film',
    light: 0.35,
    frostHelpC: 2.5,
    uWPerM2K: 6.3,
    ...FILM_LEAKS,
    kgPerM2: 0.1,
    lifeYears: 2,
    rolls: rolls('film-white', FILM_SIZES),
    outerFace: null,
    source: 'Our own middle figure for milky film: a third of the light, for plants that sleep the winter',
  },
  {
    key: 'fabric-19',
    name: 'fabric 19 g',
    kind: 'fabric',
    light: 0.87,
    frostHelpC: 1,
    uWPerM2K: null,
    ...clothLeaks(40, 20),
    kgPerM2: 0.019,
    lifeYears: 2,
    rolls: rolls('fabric-19', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'fabric-30',
    name: 'fabric 30 g',
    kind: 'fabric',
    light: 0.8,
    frostHelpC: 2,
    uWPerM2K: null,
    ...clothLeaks(35, 17),
    kgPerM2: 0.03,
    lifeYears: 3,
    rolls: rolls('fabric-30', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'fabric-50',
    name: 'fabric 50 g',
    kind: 'fabric',
    light: 0.65,
    frostHelpC: 3.5,
    uWPerM2K: null,
    ...clothLeaks(25, 14),
    kgPerM2: 0.05,
    lifeYears: 4,
    rolls: rolls('fabric-50', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'fabric-70',
    name: 'fabric 70 g',
    kind: 'fabric',
    light: 0.4,
    frostHelpC: 4.5,
    uWPerM2K: null,
    ...clothLeaks(15, 12),
    kgPerM2: 0.07,
    lifeYears: 4,
    rolls: rolls('fabric-70', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'net',
    name: 'insect net',
    kind: 'net',
    light: 0.88,
    frostHelpC: 0,
    uWPerM2K: null,
    ...OPEN_LEAKS,
    kgPerM2: 0.06,
    lifeYears: 5,
    rolls: rolls('net', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'shade-30',
    name: 'shade cloth 30 %',
    kind: 'shade',
    light: 0.7,
    frostHelpC: 0,
    uWPerM2K: null,
    ...OPEN_LEAKS,
    kgPerM2: 0.08,
    lifeYears: 7,
    rolls: rolls('shade-30', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
  {
    key: 'shade-50',
    name: 'shade cloth 50 %',
    kind: 'shade',
    light: 0.5,
    frostHelpC: 0,
    uWPerM2K: null,
    ...OPEN_LEAKS,
    kgPerM2: 0.1,
    lifeYears: 7,
    rolls: rolls('shade-50', FABRIC_SIZES),
    outerFace: null,
    source: TABLE,
  },
];

/** A cover that is no sheet off a roll: stiff glazing, or two films with air between. */
const glazing = (
  key: string,
  name: string,
  kind: 'glazing' | 'film',
  [light, frostHelpC, uWPerM2K, kgPerM2]: readonly [number, number, number, number],
  lifeYears: number,
): CoverMaterial => ({
  key,
  name,
  kind,
  light,
  frostHelpC,
  uWPerM2K,
  ...(kind === 'film' ? FILM_LEAKS : GLAZED_LEAKS),
  kgPerM2,
  lifeYears,
  rolls: [],
  outerFace: null,
  source: TABLE,
});

const STIFF: readonly CoverMaterial[] = [
  glazing('film-double', 'two UV films, air between', 'film', [0.8, 4.5, 4, 0.28], 5),
  glazing('glass', 'glass 3 mm', 'glazing', [0.88, 2.5, 5.8, 7.5], 50),
  glazing('corrugated', 'corrugated polycarbonate', 'glazing', [0.9, 2.5, 5.8, 1.1], 10),
  glazing('twin-wall', 'twin-wall polycarbonate 6 mm', 'glazing', [0.8, 3.5, 3.5, 1.3], 10),
];

const MESH: CoverMaterial = {
  key: 'mesh',
  name: 'welded mesh 6 x 6 in',
  kind: 'mesh',
  light: 1,
  frostHelpC: 0,
  uWPerM2K: null,
  ...OPEN_LEAKS,
  kgPerM2: 1.1,
  lifeYears: 20,
  rolls: rolls('mesh', MESH_SIZES),
  outerFace: null,
  source: 'Reinforcing mesh of .148 in wire, 6 in squares, 5 or 7 ft wide',
};

/** How long a cover lasts, in words. */
export function lifeText({ lifeYears }: CoverMaterial): string {
  return lifeYears < 1 ? `about ${Math.round(lifeYears * 12)} months` : `about ${Math.round(lifeYears)} years`;
}

/** Every cover that ships with the program. */
export const COVERS: readonly CoverMaterial[] = [...SOFT, ...STIFF, MESH];
