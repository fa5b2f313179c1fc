/** What a design comes to: the figures of the strip. */
import { type Preferences, formatAmount } from '../../core/base/amount';
import { type Figure, term } from '../../core/base/figure';
import { carriedMm } from '../../core/judge/strength/snowStrength';
import { addedUp, worked } from '../../core/base/formula';
import { AISLES, AISLE_KEYS } from '../../core/catalog/types';
import { type ShoppingList, priceName } from '../../core/make/buying/shopping';
import { sheetSize } from '../../core/make/rolls/rolls';
import type { Assessment } from '../../core/assessment';

function priceFigure(shopping: ShoppingList): Figure {
  const aisles = AISLE_KEYS.map((aisle) =>
    term(
      AISLES[aisle],
      shopping.lines.filter((l) => l.aisle === aisle).reduce((sum, l) => sum + l.paid, 0),
      'money',
    ),
  );
  return worked({
    label: priceName(shopping),
    quantity: 'money',
    formula: addedUp('price', aisles),
    terms: aisles,
    besides: [term('of that, used up in this cover', shopping.used, 'money')],
    source: 'Prices of the catalogue, which ship made up; type your shop’s own in the Cart.',
    assumes: ['Whole bars, rolls and packs. What is on the shelf costs nothing.'],
  });
}

/** A figure as the strip shows it. */
interface StripFigure {
  readonly id: string;
  readonly name: string;
  readonly figure: Figure;
  readonly text: string;
}

/** What a design comes to. @param shopping undefined where its price is told elsewhere */
export function stripFigures(
  o: Assessment,
  shopping: ShoppingList | undefined,
  units: Preferences,
): readonly StripFigure[] {
  return listed(o, shopping, units).map((f) => ({
    ...f,
    text: f.text ?? formatAmount(f.figure.value, f.figure.quantity, units),
  }));
}

/** What stands for the snow that is carried, where that is not known. */
const notJudged = (unjudged: readonly string[]) => ({
  id: 'snow',
  name: 'Wet snow it carries',
  figure: {
    label: 'Wet snow it carries',
    value: NaN,
    quantity: 'snowDepth' as const,
    formula: 'Not judged.',
    terms: [],
    source:
      unjudged.length > 0
        ? `No strength is known of: ${unjudged.join(', ')}.`
        : 'Nothing of it is judged by what it carries.',
    assumes: ['What is not judged is never counted as strong: brush snow off early.'],
  },
  text: 'not judged',
});

function listed(
  o: Assessment,
  shopping: ShoppingList | undefined,
  units: Preferences,
): readonly (Omit<StripFigure, 'text'> & { readonly text?: string })[] {
  const [weakest] = o.judged().strengths;
  const carried = carriedMm(o.judged().strengths, o.judged().unjudged);
  const snow = Number.isFinite(carried) ? weakest?.figures[0] : undefined;
  const sheet = o.assembly.sheets.find((s) => s.cover.kind !== 'mesh');
  const mesh = o.assembly.sheets.filter((s) => s.cover.kind === 'mesh');
  const pieces = [...o.assembly.members, ...o.assembly.panels, ...mesh];
  const size = sheet && sheetSize(sheet);
  const across = (sheet?.across ?? []).map((a) => term(`across: ${a.what}`, a.mm, 'length'));
  const parts = [...new Set(pieces.map((m) => m.part))].map((part) =>
    term(part, pieces.filter((m) => m.part === part).length, 'count'),
  );
  return [
    ...(shopping ? [{ id: 'price', name: priceName(shopping), figure: priceFigure(shopping) }] : []),
    ...(snow ? [{ id: 'snow', name: 'Wet snow it carries', figure: snow }] : []),
    ...(Number.isNaN(carried) ? [notJudged(o.judged().unjudged)] : []),
    { id: 'coldest', name: o.coldest.label, figure: o.coldest },
    ...(sheet && size
      ? [
          {
            id: 'sheet',
            name: 'Sheet',
            figure: worked({
              label: 'Sheet, across by along',
              quantity: 'film',
              formula: addedUp('across', across),
              terms: across,
              besides: sheet.along.map((a) => term(`along: ${a.what}`, a.mm, 'length')),
              source: 'Developed length of the taut outline over the true bent hoop; allowances are trade practice.',
              assumes: ['The sheet is pulled tight.'],
            }),
            text: `${formatAmount(size.acrossMm, 'film', units)} × ${formatAmount(size.alongMm, 'film', units)}`,
          },
        ]
      : []),
    {
      id: 'pieces',
      name: 'Pieces',
      figure: worked({
        label: 'Pieces to cut',
        quantity: 'count',
        formula: addedUp('pieces', parts),
        terms: parts,
        source: 'Counted from the assembly.',
        assumes: ['Film, fabric and hardware are not in it.'],
      }),
    },
    { id: 'hours', name: 'Hours to build', figure: o.hours },
  ];
}
