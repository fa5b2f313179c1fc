import { type Figure, amount } from '../../base/figure';
import type { Assembly } from '../../build/assembly/types';
import { crop } from '../../site/crops';

/** The coldest night that the crop lives through under its cover: killing temperature less what each layer helps. */
export function coldestNight({ crop: row, enclosure }: Pick<Assembly, 'crop' | 'enclosure'>): Figure {
  const c = crop(row.cropKey);
  const { cover, inner } = enclosure;
  return {
    label: `${c.name.charAt(0).toUpperCase()}${c.name.slice(1)} lives down to`,
    value: c.killingC - cover.frostHelpC - (inner?.frostHelpC ?? 0),
    quantity: 'temperature',
    formula: 'coldest night = killing temperature − help of the cover',
    terms: [
      { name: `${c.name} dies at`, ...amount(c.killingC, 'temperature') },
      { name: `${cover.name} helps by`, ...amount(cover.frostHelpC, 'warming') },
      ...(inner ? [{ name: `${inner.name} inside it by`, ...amount(inner.frostHelpC, 'warming') }] : []),
    ],
    source: 'Trade figures for crops and covers; later your own readings replace them.',
    assumes: [
      'Hardened, well-rooted plants; a shut cover; one night, not a week of frost.',
      'A planning aid, not a promise.',
    ],
  };
}
