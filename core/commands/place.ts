/** What is said of the garden as a whole and of its place. */
import type { Draft } from 'immer';
import type { Result } from '../base/result';
import type { Garden } from '../garden/garden';
import { frostOf } from '../judge/season/frost';
import { unitsOf } from '../site/locale';
import type { FrostDates } from '../site/place';
import { type Town, townName } from '../site/town';
import { type Change, change } from './change';

type Place = Garden['site'];
type Where = Pick<Place, 'place' | 'latitudeDeg' | 'longitudeDeg' | 'elevationM' | 'timeZone'>;
type RoughFact = Place['rough'][number];

const whereOf = (town: Town): Partial<Where> => ({
  place: townName(town).slice(0, 80),
  latitudeDeg: town.latitudeDeg,
  longitudeDeg: town.longitudeDeg,
});

/** A change to the place; what is typed or read off a table is rough no more. */
const changePlace = (
  garden: Garden,
  label: string,
  recipe: (site: Draft<Place>) => void,
  known?: RoughFact,
): Result<Change> =>
  change(garden, label, ({ site }) => {
    recipe(site);
    if (known) site.rough = site.rough.filter((r) => r !== known);
  });

/** Names the garden. */
export const nameGarden = (garden: Garden, name: string): Result<Change> =>
  change(garden, 'Name the garden', (g) => void (g.name = name.trim()));

/** Sets how wide the paths between beds are, mm. */
export const setPaths = (garden: Garden, mm: number): Result<Change> =>
  change(garden, 'Set the paths', (g) => void (g.plot.pathMm = mm));

/** Sets which bearing is up on the plot, degrees. */
export const turnPlot = (garden: Garden, upDeg: number): Result<Change> =>
  change(garden, 'Turn the plot', (g) => void (g.plot.upDeg = upDeg));

/** Sets the units and the shop of the garden. */
export const setUnits = (garden: Garden, label: string, part: Partial<Garden['units']>): Result<Change> =>
  change(garden, label, (g) => void Object.assign(g.units, part));

/** Sets where the garden lies, and how high. */
export const setWhere = (garden: Garden, label: string, where: Partial<Where>): Result<Change> =>
  changePlace(garden, label, (site) => void Object.assign(site, where));

/** Sets where the garden lies by its town; the town's height is not known, and stays as it was. */
export const setTown = (garden: Garden, town: Town): Result<Change> => setWhere(garden, 'Set the town', whereOf(town));

/** Sets a garden's town, and measures, money and shops as its country has them: for one that nothing is planned in yet. */
export function startInTown(garden: Garden, town: Town): Result<Change> {
  return change(garden, 'Set the town', (g) => {
    Object.assign(g.site, whereOf(town));
    Object.assign(g.units, unitsOf(town.country));
  });
}

/** Sets the worst gust, m/s. */
export const setGust = (garden: Garden, gustMPerS: number): Result<Change> =>
  changePlace(garden, 'Set the gust', (site) => void (site.gustMPerS = gustMPerS), 'gust');

/** Says about how it blows, m/s, where nobody knows the worst gust. */
export const setRoughGust = (garden: Garden, gustMPerS: number): Result<Change> =>
  changePlace(garden, 'Say about how it blows', (site) => void (site.gustMPerS = gustMPerS));

/** Sets from where the worst wind comes, degrees from north; null where that is not known. */
export const setWindFrom = (garden: Garden, deg: number | null): Result<Change> =>
  changePlace(garden, 'Set the wind', (site) => void (site.windFromDeg = deg));

/** Sets how open the garden lies to the wind. */
export const setExposure = (garden: Garden, exposure: Place['exposure']): Result<Change> =>
  changePlace(garden, 'Set the wind', (site) => void (site.exposure = exposure));

/** Sets what snow is asked of covers. */
export const setSnow = (garden: Garden, snow: Place['snow']): Result<Change> =>
  changePlace(garden, 'Set the snow', (site) => void (site.snow = snow), 'snow');

/** A depth that many put in before they know more, and a ground load likewise, mm and Pa. */
const FIRST_SNOW = {
  depth: { by: 'depth', depthMm: 150, kind: 'wet' },
  ground: { by: 'ground', groundPa: 2400 },
} as const;

/** Changes how snow is known: by its depth, or by the ground load of a table. */
export const setSnowBy = (garden: Garden, by: Place['snow']['by']): Result<Change> => setSnow(garden, FIRST_SNOW[by]);

/** Says about what wet snow lies, mm, where nobody knows. */
export const setRoughSnow = (garden: Garden, depthMm: number): Result<Change> =>
  changePlace(garden, 'Say about what snow lies', (site) => void (site.snow = { by: 'depth', depthMm, kind: 'wet' }));

/** Sets by whose practice snow is reckoned. */
export const setPractice = (garden: Garden, practice: Place['practice']): Result<Change> =>
  changePlace(garden, 'Set whose practice snow is reckoned by', (site) => void (site.practice = practice));

/** Sets a factor of the snow load; null takes the practice's own. */
export const setSnowFactor = (
  garden: Garden,
  factor: keyof Place['snowFactors'],
  name: string,
  value: number | null,
): Result<Change> => changePlace(garden, `Set ${name}`, (site) => void (site.snowFactors[factor] = value));

/** Sets the noon that vents are sized for. */
export const setNoon = (garden: Garden, part: Partial<Place['noon']>): Result<Change> =>
  changePlace(garden, 'Set the noon', (site) => void Object.assign(site.noon, part));

const FIRST_FROST: FrostDates = { lastSpring: '05-01', firstAutumn: '10-15', spreadDays: 14 };

/** Sets when frost ends and begins here; what is not said stays as latitude and height have it. */
export const setFrost = (garden: Garden, part: Partial<FrostDates>): Result<Change> =>
  changePlace(
    garden,
    'Set the frost dates',
    (site) => {
      const { lastSpring, firstAutumn, spreadDays } = { ...(frostOf(garden.site) ?? FIRST_FROST), ...part };
      site.frost = { lastSpring, firstAutumn, spreadDays };
    },
    'frost',
  );

/** Goes back to frost dates by latitude and height. */
export const forgetFrost = (garden: Garden): Result<Change> =>
  changePlace(garden, 'Use rough frost dates', (site) => void (site.frost = null));
