import { AISLES } from '../catalog/types';
import { phraseText } from '../base/figure';
import type { Plan } from '../plan';
import { formatMoney } from '../base/amount';
import { formatLength } from '../base/length';
import { csvText } from './cells';

/** The cut list: one row a piece, in the order it is cut. */
export function cutsCsv(p: Pick<Plan, 'cuts' | 'garden'>): string {
  const unit = p.garden.units.length;
  return csvText(
    [
      'bar',
      'material',
      'bar length',
      'from shelf',
      'tag',
      'part',
      'length',
      'length mm',
      'mark from tape end',
      'mark mm',
    ],
    p.cuts.flatMap((cut) =>
      cut.bars.flatMap((bar) =>
        bar.pieces.map((piece) => [
          bar.label,
          cut.section.name,
          formatLength(bar.lengthMm, unit),
          bar.fromShelf ? 'yes' : 'no',
          piece.tag,
          piece.part,
          formatLength(piece.lengthMm, unit),
          piece.lengthMm,
          formatLength(piece.markMm, unit),
          Math.round(piece.markMm * 10) / 10,
        ]),
      ),
    ),
  );
}

/** The shopping list with its totals. */
export function shoppingCsv(p: Pick<Plan, 'shopping' | 'garden'>): string {
  const { units } = p.garden;
  return csvText(
    ['aisle', 'thing', 'size', 'need', 'unit', 'owned', 'buy', 'price each', 'paid', 'used', 'currency', 'note'],
    [
      ...p.shopping.lines.map((l) => [
        AISLES[l.aisle],
        l.name,
        phraseText(l.size, units),
        l.need,
        l.unit,
        l.owned,
        l.packs,
        l.price,
        l.paid,
        l.used,
        units.currency,
        p.garden.notes[l.priceKey] ?? '',
      ]),
      ['', 'Total', '', '', '', '', '', '', p.shopping.paid, p.shopping.used, units.currency, ''],
    ],
  );
}

/** The shopping list in plain words, aisle by aisle, to send or to paste. */
export function shoppingText(p: Pick<Plan, 'shopping' | 'garden'>): string {
  const { units } = p.garden;
  const buying = p.shopping.lines.filter((l) => l.packs > 0);
  const aisles = [...new Set(buying.map((l) => l.aisle))];
  const lines = aisles.flatMap((aisle) => [
    AISLES[aisle],
    ...buying
      .filter((l) => l.aisle === aisle)
      .map((l) => {
        const note = p.garden.notes[l.priceKey];
        return `  ${l.packs} × ${l.name}, ${phraseText(l.size, units)}${note === undefined ? '' : ` (${note})`}`;
      }),
  ]);
  return [...lines, `In all ${formatMoney(p.shopping.paid, units.currency)}`, ''].join('\n');
}
