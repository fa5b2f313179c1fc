/** What several tests of the judges look at. */
import type { Preferences } from '../base/amount';
import type { Skin } from '../build/assembly/types';
import type { Hung, MovingPart } from '../build/assembly/openings';
import { SHIPPED, coverMaterial } from '../catalog/catalog';
import type { NoonPlace } from '../judge/climate/noon';

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

/** A clear noon in March at the height of the sea. */
export const NOON: NoonPlace = {
  latitudeDeg: 44.1,
  longitudeDeg: -72.6,
  elevationM: 0,
  date: '2027-03-01',
  outsideC: 2,
  windMPerS: 1,
  allowedRiseC: 10,
};

/** Words in millimetres. */
export const METRIC: Preferences = { length: 'mm', temperature: 'C', currency: 'EUR' };
