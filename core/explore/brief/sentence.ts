/** A brief read back as one sentence. */
import { sayMonthDay } from '../../base/days';
import { cropsOf, wishesOf } from './wishes';
import { type Phrase, listed } from '../../base/figure';
import { familyOf } from '../../cover/families/registry';
import { catalogOf } from '../../catalog/own';
import type { Garden } from '../../garden/garden';
import { type Brief, PURPOSES } from '../../site/brief';

/** A brief read back as one sentence. */
export function sentenceOf(garden: Garden, brief: Brief): Phrase {
  const catalog = catalogOf(garden.catalog, garden.units.stock);
  const crops = cropsOf(brief, catalog).map((c) => c.name);
  const purposes = brief.purposes.map((p) => PURPOSES[p]);
  const does = wishesOf(garden, brief).filter((w) => !w.unsaid);
  // What follows a comma already is set apart by one.
  const plain = crops.length + purposes.length === 0 && brief.from === null;
  const kinds = brief.kinds.map((k) => familyOf(k).name.toLowerCase());
  const not = brief.notKinds.map((k) => familyOf(k).name.toLowerCase());
  return [
    kinds.length > 0 ? `${/^[aeiou]/.test(kinds[0] ?? '') ? 'An' : 'A'} ${listed(kinds, 'or')}` : 'A cover',
    crops.length + purposes.length + does.length + not.length + kinds.length === 0 ? ' of any kind, for anything' : '',
    crops.length > 0 ? ` for ${listed(crops)}` : '',
    purposes.length > 0 ? `, ${listed(purposes)}` : '',
    brief.from !== null && brief.until !== null
      ? `, from ${sayMonthDay(brief.from)} until ${sayMonthDay(brief.until)}`
      : '',
    ...does.flatMap((w, i): Phrase => [
      i === 0 ? (plain ? ' that ' : ', that ') : i === does.length - 1 ? ' and ' : ', ',
      ...w.does,
    ]),
    not.length > 0 ? `; no ${listed(not, 'or')}` : '',
    '.',
  ];
}
