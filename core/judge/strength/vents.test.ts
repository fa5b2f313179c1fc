import type { Enclosure } from '../../cover/assembly/types';
import { at, build } from '../../testing/site';
import { NOON, skin, sunFromAbove, shown } from '../../testing/judged';
import { noonAir } from '../climate/noon';
import { MORE_AIR, ventCheck, ventsWantedM2 } from './vents';

const a = build('a-frame', at(96, 48));
const enclosure: Enclosure = { skins: [skin('film-uv', 8)], floorM2: 3, volumeM3: 2, heightM: 1 };
const air = {
  ...noonAir(enclosure, sunFromAbove(enclosure), NOON),
  ventEachM2: 0.2,
};
const opening = (aloneM2: number, byHandM2: number) => ({ ...a, ventilation: { ...a.ventilation, aloneM2, byHandM2 } });

test('one vent low and one high are wanted: as much again', () => expect(ventsWantedM2(air)).toBe(0.4));

test.each([
  // What opens by itself and what is opened by hand count alike.
  [0.25, 0.2, 'holds'],
  [0, 0.4, 'holds'],
  [0.4, 0, 'holds'],
  [0.25, 0.1, 'tight'],
  [0, 0, 'tight'],
] as const)('%s m2 by itself and %s by hand: %s', (alone, byHand, verdict) => {
  const check = ventCheck(opening(alone, byHand), air);
  expect(check).toMatchObject({ id: 'vents', leaf: 'air', verdict, tries: MORE_AIR });
  expect(check?.figure?.value).toBeCloseTo(alone + byHand, 12);
  expect(Object.values(shown(check?.figure))).toEqual([alone, byHand, 0.4]);
});

test('nothing is said where no vent is wanted', () =>
  expect(ventCheck(opening(1, 1), { ...air, ventEachM2: 0 })).toBeUndefined());

test('every way to more air is an answer that some family asks', () => {
  const asked = new Set(MORE_AIR.flatMap(({ change }) => (change.kind === 'answer' ? [change.id] : [])));
  expect(asked).toEqual(new Set(['airing', 'openers', 'vents', 'doors', 'sides', 'ends']));
});
