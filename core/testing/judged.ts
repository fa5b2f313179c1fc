/** What several tests of the judges look at. */
import type { Figure } from '../base/figure';
import type { Preferences } from '../base/amount';
import { meanOf } from '../cover/assembly/enclosure';
import type { Assembly, Enclosure, Skin } from '../cover/assembly/types';
import type { Hung, MovingPart } from '../cover/assembly/openings';
import { SHIPPED, coverMaterial } from '../catalog/catalog';
import type { SunInside } from '../judge/climate/drive';
import { type NoonPlace, noonMs } from '../judge/climate/noon';
import { clearSkyWPerM2, sunAt } from '../judge/climate/sky';

/** A level lid of 1 x .8 m, its hinges apart from all that holds it, with some of it otherwise. */
export const lid = (more: Partial<Hung> = {}): MovingPart => ({
  name: 'Lid',
  memberTags: [],
  sheetTags: [],
  panelTags: [],
  motion: 'hinged',
  extraKg: 0,
  people: 1,
  hung: {
    alongMm: 1000,
    reachMm: 800,
    pitchDeg: 0,
    latches: { count: 1, eachN: 1 },
    stays: { count: 1, eachN: 1 },
    opener: undefined,
    ...more,
  },
});

/** So much of a cover of the catalogue, with a second layer inside it or none. */
export const skin = (cover: string, m2: number, inner?: string): Skin => ({
  cover: coverMaterial(SHIPPED, cover),
  ...(inner !== undefined && { inner: coverMaterial(SHIPPED, inner) }),
  m2,
});

/** Air at a clear noon in March. */
export const NOON: NoonPlace = { outsideC: 2, windMPerS: 1, allowedRiseC: 10 };

/** A clear noon of March at the height of the sea over covers that let the sun in from above alone, four fifths of it caught. */
export function sunFromAbove(e: Enclosure): SunInside {
  const ms = noonMs(44.1, -72.6, '2027-03-01');
  const sun = sunAt(ms, 44.1, -72.6);
  const levelWPerM2 = clearSkyWPerM2(sun.altitudeDeg, 0);
  const light = meanOf(e, ({ cover, inner }) => cover.light * (inner?.light ?? 1));
  return { sun, levelWPerM2, caughtW: 0.8 * light * levelWPerM2 * e.floorM2 };
}

/** Words in millimetres. */
export const METRIC: Preferences = { length: 'mm', temperature: 'C', currency: 'EUR' };

/** A cover of which nothing is drawn: for checks that are tried by themselves. */
export const UNDRAWN: Pick<Assembly, 'members' | 'sheets' | 'panels' | 'joints'> = {
  members: [],
  sheets: [],
  panels: [],
  joints: [],
};

/** All values that a figure shows, by their names: the terms of its formula, and what stands beside it. */
export const shown = (figure: Figure | undefined): Readonly<Record<string, number>> =>
  Object.fromEntries([...(figure?.terms ?? []), ...(figure?.besides ?? [])].map((x) => [x.name, x.value]));
