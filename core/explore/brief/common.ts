/** Briefs that most gardeners would begin with, whole, for the place of a garden. */
import { roundLength } from '../../catalog/market';
import type { Garden } from '../../garden/garden';
import { normalsOf } from '../../judge/weather/normals';
import { type Brief, NOTHING_SAID } from '../../site/brief';
import { placeSnowMm } from './wishes';

/** A cold night of a winter is so far below the mean of its coldest month, C. Source: our own middle figure, away from the sea. */
const COLD_SPELL_C = 11;

/** What of the weather a cover at this place must stand and help through. */
export function placeWeather({ site, units }: Garden): Pick<Brief, 'coldestC' | 'wetSnowMm' | 'gustMPerS'> {
  const { meanC, swingC } = normalsOf(site);
  return {
    // A clear night of midwinter is as much below the month's mean again as a cold spell is.
    coldestC: Math.round(meanC - swingC - COLD_SPELL_C),
    wetSnowMm: roundLength(placeSnowMm(site), units.stock),
    gustMPerS: site.gustMPerS,
  };
}

interface CommonBrief {
  readonly key: string;
  readonly name: string;
  readonly brief: Brief;
}

/** Whole briefs to begin from. What stands in summer alone is asked no snow. */
export function commonBriefs(garden: Garden): readonly CommonBrief[] {
  const { wetSnowMm, gustMPerS } = placeWeather(garden);
  const wanted = (key: string, name: string, said: Partial<Brief>): CommonBrief => ({
    key,
    name,
    brief: { ...NOTHING_SAID, gustMPerS, ...said },
  });
  return [
    wanted('greens', 'Greens through the winter', { crops: ['spinach'], purposes: ['winter'], wetSnowMm }),
    wanted('early', 'Peppers a month earlier', { crops: ['pepper'], purposes: ['spring'] }),
    wanted('moths', 'Moths kept off the cabbage', { crops: ['cabbage'], purposes: ['insects'] }),
    wanted('shade', 'Lettuce out of sun and hail', { crops: ['lettuce'], purposes: ['sun'] }),
  ];
}
