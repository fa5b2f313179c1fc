import { type Figure, capital, term } from '../../base/figure';
import { worked } from '../../base/formula';
import type { Assembly } from '../../cover/assembly/types';
import { coverM2 } from '../../cover/assembly/enclosure';

/** The coldest night that the crop lives through under its cover: killing temperature less what each layer helps. */
export function coldestNight({ crop: row, enclosure }: Pick<Assembly, 'crop' | 'enclosure'>): Figure {
  const c = row.crop;
  // With a side open the night comes in.
  const shut = enclosure.open ? 0 : 1;
  const all = coverM2(enclosure);
  const layers = enclosure.skins.flatMap(({ cover, inner, m2 }, i) => {
    // A skin over a part of it helps by its part.
    const part = m2 / all;
    const of = part > 0.999 ? '' : `, over ${Math.round(part * 100)} % of it${i === 0 ? '' : ` (${i + 1})`}`;
    return [
      term(`${cover.name} helps by${of}`, shut * part * cover.frostHelpC, 'warming'),
      ...(inner ? [term(`${inner.name} inside it by${of}`, shut * part * inner.frostHelpC, 'warming')] : []),
    ];
  });
  const dies = `${c.name} dies at`;
  return worked({
    label: `${capital(c.name)} lives down to`,
    quantity: 'livesTo',
    formula: `coldest night = ${dies} − ${layers.map((l) => l.name).join(' − ')}`,
    terms: [term(dies, c.killingC, 'temperature'), ...layers],
    source: 'Trade figures for crops and covers; later your own readings replace them.',
    assumes: [
      'Hardened, well-rooted plants; a shut cover; one night, not a week of frost.',
      'A planning aid, not a promise.',
    ],
  });
}
