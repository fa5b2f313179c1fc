/** Bearings on the compass, degrees from north by east. */
const NAMES = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** The winds that one can name, with their bearings. */
export const WINDS = NAMES.map((name, i) => ({ name, deg: 45 * i }));

/**
 * A bearing by the name of the nearest of eight winds.
 * @example windName(200) // "south"
 */
export const windName = (deg: number): string => NAMES[Math.round((((deg % 360) + 360) % 360) / 45) % 8] ?? NAMES[0];

/** How far two bearings are from one another, degrees: 0 to 180. */
export const apartDeg = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

/** Bearing of the sun at noon: south of the equator it stands in the north. */
export const noonSunDeg = (latitudeDeg: number): number => (latitudeDeg >= 0 ? 180 : 0);
