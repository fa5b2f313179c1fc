import { at, build } from '../../testing/site';
import { largestFree } from './filmFlutter';

const IN = 25.4;
/** The largest free part, in whole inches: along and across. */
const free = (family: string, length: number, width: number, more: object = {}): readonly number[] => {
  const found = largestFree(build(family, at(length, width), more));
  return found ? [Math.round(found.alongMm / IN), Math.round(found.acrossMm / IN)] : [];
};

test('a batten at the foot does not quiet a slope; a batten on every leg divides it at every leg', () => {
  // From the rail of 1x4 straight to the ridge 37 in up: hypot(hypot(21.25, 37) - 3.5, .75), all along the frame.
  expect(free('a-frame', 128, 44, { slopes: 'none' })).toEqual([128, 39]);
  // With end flaps of 44 x 37.4 in, which are larger than a bay of 31.6 x 39.5.
  expect(free('a-frame', 128, 44, { slopes: 'battens' })).toEqual(
    free('a-frame', 128, 44, { slopes: 'battens', pairs: 9 }),
  );
  expect(free('a-frame', 128, 44, { slopes: 'battens', ends: 'flap' })[0]).toBeLessThan(50);
});

test('a rope in every bay leaves from the middle of one bay to that of the next', () => {
  // Two bays of 63.25 in: between the ropes 63.25, from an end 32.4.
  expect(free('a-frame', 128, 44, { slopes: 'rope', pairs: 3 })[0]).toBe(63);
});

test('a curtain of thirty feet is one sail until a rope is laced over it at every hoop', () => {
  const long = { lengthMm: 360 * IN, sides: 'fixed', maxSpacingMm: 48 * IN };
  const bare = free('walk-in', 128, 44, { ...long, lacing: 'none' });
  // Along the whole house, from the middle of the base board, 2.75 in, to 45 mm under the hip at 24.
  expect(bare).toEqual([360, 19]);
  // Then only an end between two jambs or studs is left, less than a bay of 48 in across.
  expect(Math.min(...free('walk-in', 128, 44, { ...long, lacing: 'rope' }))).toBeLessThan(48);
});

test('film tight over curved hoops is held by them; over straight frames it needs its clips', () => {
  const spacing = Math.max(...free('staked-tunnel', 240, 44));
  expect(spacing).toBeLessThan(37);
  expect(free('fitting-gable', 128, 44)[0]).toBeGreaterThan(100);
  // Frames stand 32 in apart at the most; the largest free part is then half an end.
  expect(free('fitting-gable', 128, 44, { clipped: 'every' })[0]).toBeLessThan(36);
});

test('cloth without film is no sail', () => {
  expect(free('staked-tunnel', 128, 44, { cover: 'fabric-30' })).toEqual([]);
});
