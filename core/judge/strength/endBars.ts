/** Studs, jambs and headers of a framed end, in the wind that blows on it. */
import { PAST_LIMIT } from './snowStrength';
import type { EndBar } from '../../cover/assembly/rows';
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { aboutTags } from './about';
import { ASK, type Check, type CheckSite, measured } from './check';
import { MOST_SAG, perNewtonMm } from './simpleBeam';
import { reliabilityOf, reliabilityWords } from './reliability';
import { bendingLimitMPa } from './limits';
import { INSIDE, WIND_LEFT_OUT, gustPa } from './windLoads';

/** Push of the wind on an upright end and suction inside, together. Source: ASCE/SEI 7, fig. 27.3-1, windward wall 0.8; table 26.13-1. */
const ON_END = 0.8 + INSIDE.shut;

/** Times the gust asked for that a bar bears, by its stress and by its sag. */
function borne(
  { section, spanMm, loadWidthMm }: EndBar,
  pa: number,
): { readonly bending: number; readonly sagging: number; readonly perMm: number } {
  const perMm = (ON_END * pa * loadWidthMm) / 1e6;
  const { stressMPa, sagMm } = perNewtonMm(section, 'width', spanMm, 'fresh');
  const limit = bendingLimitMPa(section.material, 'gust');
  return { bending: limit / (perMm * stressMPa), sagging: (spanMm * MOST_SAG) / (perMm * sagMm), perMm };
}

/** Whether the bars of framed ends bear the gust asked for, the weakest of each kind: beams on edge between two ends. */
export function endBarChecks(a: Pick<Assembly, 'endBars' | 'members'>, site: CheckSite): readonly Check[] {
  const bars = a.endBars;
  const pa = gustPa(site.gustMPerS, site.exposure);
  if (pa <= 0) return [];
  return [...new Set(bars.map((b) => b.what))].flatMap((what): readonly Check[] => {
    const [weakest] = bars
      .filter((b) => b.what === what)
      .map((bar) => ({ bar, ...borne(bar, pa) }))
      .sort((a, b) => Math.min(a.bending, a.sagging) - Math.min(b.bending, b.sagging));
    if (!weakest) return [];
    const { bar, bending, sagging, perMm } = weakest;
    const figure = worked({
      label: 'Times the gust that bars of an end bear',
      quantity: 'times',
      formula: 'times = min(by bending, most stress / (w span² depth / 16 I); by sag, most sag / (5 w span⁴ / 384 EI))',
      terms: [
        term('by bending, most stress / (w span² depth / 16 I)', bending, 'times'),
        term('by sag, most sag / (5 w span⁴ / 384 EI)', sagging, 'times'),
      ],
      besides: [
        term('span', bar.spanMm, 'length'),
        term('width of the end on it', bar.loadWidthMm, 'length'),
        term('wind on it', perMm * 1000, 'loadPerLength'),
        term('pressure near the ground', pa, 'pressure'),
      ],
      source:
        'Simply supported beam; ASCE/SEI 7, fig. 27.3-1, wall 0.8 and 0.18 inside; NDS load duration 1.6 for wind.',
      assumes: [...WIND_LEFT_OUT, 'Nailed or screwed at both ends, with the end covered from side to side.'],
    });
    const { stiffness, limit } = bar.section.spreads;
    const of = reliabilityOf(
      ([gust = 1, stiff = 1, stands = 1]) => Math.min(bending * stands, sagging * stiff) / gust ** 2,
      [site.gustSpread, stiffness, limit],
    );
    return [
      measured({
        id: `end ${what}`,
        leaf: 'stand',
        about: aboutTags(
          a,
          bars.filter((b) => b.what === what).map((b) => b.tag),
        ),
        under: 'gust',
        measure: { demand: 1, capacity: figure.value },
        sure: { of, words: reliabilityWords(of, ['such a gust']) },
        text: phrase`${what} of a framed end: wind on it may push ${amount(figure.value, 'times')} times as hard as in the gust asked for before ${PAST_LIMIT[bending < sagging ? 'bending' : 'sag']}.`,
        figure,
        caution: ASK,
        tries: [{ label: phrase`Lower by ${amount(150, 'length')}`, change: { kind: 'higher', byMm: -150 } }],
      }),
    ];
  });
}
