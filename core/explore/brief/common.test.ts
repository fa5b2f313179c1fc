import { catalogOf } from '../../catalog/own';
import { demoGarden } from '../../garden/demo';
import { briefSchema } from '../../site/brief';
import { commonBriefs, placeWeather } from './common';
import { cropsOf } from './wishes';

const garden = demoGarden();

test('whole briefs to begin from: each says something, of crops that there are', () => {
  const all = commonBriefs(garden);
  expect(new Set(all.map((b) => b.key)).size).toBe(all.length);
  for (const { brief } of all) {
    expect(briefSchema.parse(brief)).toEqual(brief);
    expect(brief.purposes).toHaveLength(1);
    expect(cropsOf(brief, catalogOf(garden.catalog, garden.units.stock))).toHaveLength(brief.crops.length);
  }
});

test('what stands in winter is asked the snow of the place, what stands in summer none', () => {
  const { wetSnowMm, gustMPerS } = placeWeather(garden);
  expect(gustMPerS).toBe(garden.site.gustMPerS);
  for (const { brief } of commonBriefs(garden)) {
    expect(brief.gustMPerS).toBe(gustMPerS);
    expect(brief.wetSnowMm).toBe(brief.purposes.includes('winter') ? wetSnowMm : null);
  }
});

test('the coldest night of a place follows its latitude and height', () => {
  // 45 N: mean 27 - 37 * 0.52 = 7.76, swing 1 + 0.26 * 45 = 12.7, a cold spell 11 below: -15.9; 100 m are 0.65 colder.
  const at = (elevationM: number) =>
    placeWeather({ ...garden, site: { ...garden.site, latitudeDeg: 45, elevationM } }).coldestC;
  expect([at(0), at(100)]).toEqual([-16, -17]);
});
