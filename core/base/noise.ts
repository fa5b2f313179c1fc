/** Chance that can be asked at any place and gives the same again: so that a winter of one seed is the same winter. */

/** A whole number from text, for a seed. Source: FNV-1a hash. */
export function seedOf(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/** A number from 0 up to 1 for a seed, a channel and a place. Source: the finalizer of MurmurHash3. */
export function chance(seed: number, channel: number, at: number): number {
  let h = (seed ^ Math.imul(channel + 1, 0x9e3779b1) ^ Math.imul(at | 0, 0x85ebca6b)) | 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** About normal: mean 0, spread 1, from four even numbers. */
export const bell = (seed: number, channel: number, at: number): number =>
  (chance(seed, channel, 4 * at) +
    chance(seed, channel, 4 * at + 1) +
    chance(seed, channel, 4 * at + 2) +
    chance(seed, channel, 4 * at + 3) -
    2) *
  Math.sqrt(3);

/** A smooth line through such numbers, one at each whole place: mean 0, spread about 1. */
export function swell(seed: number, channel: number, at: number): number {
  const k = Math.floor(at);
  const f = at - k;
  // Weights whose squares sum to one: the line is as lively between the places as at them.
  const [a, b] = [Math.cos((f * Math.PI) / 2), Math.sin((f * Math.PI) / 2)];
  return a * bell(seed, channel, k) + b * bell(seed, channel, k + 1);
}
