/** The days that a cover's warmth is tried on. */
import { MS_PER_HOUR } from '../base/days';
import { climatePlace } from '../air';
import { demoGarden } from '../garden/demo';
import type { Cover } from '../garden/garden';
import { assessCover } from '../plan';
import { steady } from '../testing/weather';
import { coldSpell } from './warmer';

const garden = demoGarden();
const made = assessCover(garden, garden.covers[0] as Cover);
if (!made.ok) throw new Error('not built');
const o = made.value;

/** Forty clear days that begin at midnight of the place, with the coldest hour at four in the morning of one of them. */
function weatherWith(coldDay: number) {
  const calm = steady(24 * 40, { airC: -5, cloud: 0 });
  const { utcHours } = climatePlace(garden, calm.startMs);
  const startMs = Date.UTC(2027, 0, 1) - utcHours * MS_PER_HOUR;
  return { ...calm, startMs, airC: calm.airC.map((c, i) => (i === 24 * coldDay + 4 ? -20 : c)) };
}

test('a cold spell is the six days before the coldest clear night and the one after, noon to noon', () => {
  const weather = weatherWith(20);
  const spell = coldSpell(o, weather);
  expect((spell.startMs - weather.startMs) / MS_PER_HOUR).toBe(24 * 14 + 12);
  expect(spell.airC).toHaveLength(24 * 7);
  // Four in the morning of the twentieth, from noon of the fourteenth.
  expect(spell.airC.indexOf(-20)).toBe(24 * 6 - 8);
});

test('where there is no weather there is no spell of it', () => {
  const none = steady(0);
  expect(coldSpell(o, none)).toBe(none);
});

test('near the ends of the weather it is as long as there is weather', () => {
  const early = coldSpell(o, weatherWith(2));
  expect(early.startMs).toBe(weatherWith(2).startMs);
  expect(early.airC.indexOf(-20)).toBe(24 * 2 + 4);
  const late = coldSpell(o, weatherWith(39));
  expect(late.airC).toHaveLength(24 * 6 + 12);
});
