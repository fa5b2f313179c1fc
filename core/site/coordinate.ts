/** Latitude and longitude as people write them. */
import { type Result, fail, ok } from '../base/result';

type Axis = 'latitude' | 'longitude';

/** Its two directions, the first counted up; the most that is let through, degrees; and how it may be written. */
const AXES: Readonly<
  Record<Axis, { readonly up: string; readonly down: string; readonly most: number; readonly as: string }>
> = {
  latitude: { up: 'N', down: 'S', most: 89, as: '44.1 N or 44° 6′ N' },
  longitude: { up: 'E', down: 'W', most: 180, as: '72.6 W or 72° 36′ W' },
};

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
/** A direction before or after; degrees, and where they are whole minutes, and seconds. */
const WRITTEN = new RegExp(
  String.raw`^([NSEW])?\s*([+-])?\s*${NUMBER}\s*(?:°|deg)?\s*(?:${NUMBER}\s*(?:'|min)?\s*(?:${NUMBER}\s*(?:"|''|sec)?)?)?\s*([NSEW])?$`,
  'i',
);
const MINUTES = 60;

/**
 * Reads a latitude or a longitude.
 * @param text degrees with or without their direction, minutes and seconds: `71.1 W`, `W 71.1`, `-71.1`, `42° 24' N`
 * @returns degrees, north and east counted up; or a fault that says what would be right
 * @example readCoordinate('71.1 W', 'longitude').value // -71.1
 */
export function readCoordinate(text: string, axis: Axis): Result<number> {
  const { up, down, most, as } = AXES[axis];
  const clean = text.trim().replace(/[−–]/g, '-').replace(/[′’]/g, "'").replace(/[″”]/g, '"');
  const [found, before, sign, whole = '', minutes = '0', seconds = '0', after] = WRITTEN.exec(clean) ?? [];
  const number = (part: string): number => Number(part.replace(',', '.'));
  const [min, sec] = [number(minutes), number(seconds)];
  const direction = (before ?? after)?.toUpperCase();
  if (found === undefined || (before && after) || min >= MINUTES || sec >= MINUTES)
    return fail(axis, `“${text}” is no ${axis}. Write it as ${as}.`);
  if (direction !== undefined && direction !== up && direction !== down)
    return fail(axis, `A ${axis} is ${up} or ${down}. Write it as ${as}.`);
  if (direction !== undefined && sign !== undefined)
    return fail(axis, `Write ${direction} or a sign, not both: ${as}.`);
  const deg = number(whole) + min / MINUTES + sec / MINUTES ** 2;
  if (deg > most) return fail(axis, `A ${axis} goes from ${most} ${down} to ${most} ${up}.`);
  return ok(direction === down || sign === '-' ? -deg : deg);
}

/**
 * Writes a latitude or a longitude to a tenth of a degree: about ten kilometres, as near as the sun and the weather need it.
 * @example formatCoordinate(-71.06, 'longitude') // "71.1° W"
 */
export function formatCoordinate(deg: number, axis: Axis): string {
  const { up, down } = AXES[axis];
  const text = Math.abs(deg).toFixed(1);
  return `${text}° ${deg < 0 && Number(text) > 0 ? down : up}`;
}
