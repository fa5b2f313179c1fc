/** What a cover is judged for, where that needs a word: more than its place asks, or asked by nobody yet. */
import { type Phrase, amount, phrase } from './base/figure';
import type { Assessment } from './assessment';
import { snowDepthMm } from './judge/strength/snow';

type Judged = Pick<Assessment, 'asked' | 'garden' | 'snow'>;

/** Of what its checks lean on, what nobody has said of the place. */
export const unsaid = ({ asked, garden: { site } }: Judged): { readonly snow: boolean; readonly gust: boolean } => ({
  snow: asked.snowBy === 'place' && site.rough.includes('snow'),
  gust: asked.gustBy === 'place' && site.rough.includes('gust'),
});

/**
 * A line for the snow and one for the gust that a cover is judged for: where it was chosen for more than its place asks, and where the
 * place has not said it.
 */
export function conditionLines(o: Judged): readonly Phrase[] {
  const snow = amount(snowDepthMm(o.snow.groundPa), 'length');
  const gust = amount(o.asked.gustMPerS, 'speed');
  const not = unsaid(o);
  return [
    ...(o.asked.snowBy === 'wish'
      ? [phrase`You chose it to carry ${snow} of wet snow, more than this place asks. It is judged for that.`]
      : []),
    ...(not.snow
      ? [phrase`Nobody has said what snow lies here. Until then it is judged for ${snow} of wet snow.`]
      : []),
    ...(o.asked.gustBy === 'wish'
      ? [phrase`You chose it to hold in a gust of ${gust}, more than this place asks. It is judged for that.`]
      : []),
    ...(not.gust ? [phrase`Nobody has said how it blows here. Until then it is judged for a gust of ${gust}.`] : []),
  ];
}
