import type { Outline } from '../../core/outline';
import { AISLES } from '../../core/catalog/types';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { sheetSize } from '../../core/make/rolls/rolls';
import { type Figure, amount } from '../../core/base/figure';
import { addedUp } from '../../core/base/formula';
import type { Cover } from '../../core/garden/garden';
import type { ShoppingList } from '../../core/make/buying/shopping';
import { formatAmount } from '../../core/base/amount';
import { Button } from '../parts/controls';
import type { Job } from '../background/useJob';
import type { PlanWork } from '../background/plan.worker';
import { Why } from '../parts/Why';
import { useUnits } from './hooks';
import { useWay } from './way';
import { useOutline, useWork } from '../background/usePlan';

const Bar = styled.footer`
  display: flex;
  align-items: stretch;
  background: var(--strip);
  color: var(--strip-ink);
  overflow-x: auto;
  flex: none;
  .cell {
    flex: 1 0 auto;
    padding: 0.65rem 0.95rem 0.75rem;
    border-right: 1px solid var(--strip-hair);
    display: grid;
    gap: 0.1rem;
    align-content: center;
    white-space: nowrap;
  }
  .name {
    color: var(--strip-quiet);
    font-size: 0.8125rem;
  }
  .figure {
    font-size: 1.2rem;
    font-weight: 600;
  }
  .since {
    color: var(--strip-quiet);
    font-size: 0.8125rem;
  }
  .deed {
    display: grid;
    place-items: center;
    padding: 0 1.1rem;
    margin-left: auto;
    background: var(--strip);
    /* What does not fit passes under it. */
    @media (min-width: 761px) {
      position: sticky;
      right: 0;
    }
  }
  .deed button {
    background: var(--act);
    color: var(--act-ink);
    border-color: var(--act);
    white-space: nowrap;
  }
`;

function priceFigure(shopping: ShoppingList): Figure {
  const aisles = AISLES.map((aisle) => ({
    name: aisle,
    ...amount(
      shopping.lines.filter((l) => l.aisle === aisle).reduce((sum, l) => sum + l.paid, 0),
      'money',
    ),
  }));
  return {
    label: 'Price',
    value: shopping.paid,
    quantity: 'money',
    formula: addedUp('price', aisles),
    terms: [...aisles, { name: 'of that, used up in this cover', ...amount(shopping.used, 'money') }],
    source: 'Prices of the catalogue, which ship made up; type your shop’s own in the Cart.',
    assumes: ['Whole bars, rolls and packs. What is on the shelf costs nothing.'],
  };
}

function figures(
  o: Outline,
  work: PlanWork | undefined,
): readonly { readonly id: string; readonly name: string; readonly figure: Figure; readonly text?: string }[] {
  const weakest = o.strengths[0];
  const snow = weakest && Number.isFinite(weakest.wetSnowMm) ? weakest.figures[0] : undefined;
  const sheet = o.assembly.sheets.find((s) => s.cover.kind !== 'mesh');
  const mesh = o.assembly.sheets.filter((s) => s.cover.kind === 'mesh');
  const pieces = [...o.assembly.members, ...o.assembly.panels, ...mesh];
  const size = sheet && sheetSize(sheet);
  const { units } = o.garden;
  const across = (sheet?.across ?? []).map((a) => ({ name: `across: ${a.what}`, ...amount(a.mm, 'length') }));
  const parts = [...new Set(pieces.map((m) => m.part))].map((part) => ({
    name: part,
    ...amount(pieces.filter((m) => m.part === part).length, 'count'),
  }));
  return [
    ...(work ? [{ id: 'price', name: 'Price', figure: priceFigure(work.shopping) }] : []),
    ...(snow ? [{ id: 'snow', name: 'Wet snow it carries', figure: snow }] : []),
    { id: 'coldest', name: o.coldest.label, figure: o.coldest },
    ...(sheet && size
      ? [
          {
            id: 'sheet',
            name: 'Sheet',
            figure: {
              label: 'Sheet, across by along',
              value: size.acrossMm,
              quantity: 'length' as const,
              formula: addedUp('across', across),
              terms: [...across, ...sheet.along.map((a) => ({ name: `along: ${a.what}`, ...amount(a.mm, 'length') }))],
              source: 'Developed length of the taut outline over the true bent hoop; allowances are trade practice.',
              assumes: ['The sheet is pulled tight.'],
            },
            text: `${formatAmount(size.acrossMm, 'length', units)} × ${formatAmount(size.alongMm, 'length', units)}`,
          },
        ]
      : []),
    {
      id: 'pieces',
      name: 'Pieces',
      figure: {
        label: 'Pieces to cut',
        value: pieces.length,
        quantity: 'count',
        formula: addedUp('pieces', parts),
        terms: parts,
        source: 'Counted from the assembly.',
        assumes: ['Film, fabric and hardware are not in it.'],
      },
    },
    { id: 'hours', name: 'Hours to build', figure: o.hours },
  ];
}

/** What this design leads to, with the change since the version last kept; it never leaves the screen. */
export function Strip({
  cover,
  outline: o,
  work,
}: {
  readonly cover: Cover;
  readonly outline: Outline;
  readonly work: Job<PlanWork>;
}): ReactNode {
  const way = useWay();
  const units = useUnits();
  const navigate = useNavigate();
  const keptCover = cover.kept ? ({ ...cover, answers: cover.kept } as Cover) : undefined;
  const changed = cover.kept !== null && JSON.stringify(cover.kept) !== JSON.stringify(cover.answers);
  const keptOutline = useOutline(changed ? keptCover : undefined);
  const keptWork = useWork(changed ? keptCover : undefined);
  const before = keptOutline?.ok ? figures(keptOutline.value, keptWork.value) : [];
  /** No answer, and none to come. */
  const over = work.state !== 'pending';
  return (
    <Bar className="screen-only" aria-label="What it comes to" tabIndex={0}>
      {!work.value && (
        <div className="cell">
          <span className="name">Price</span>
          <span className="figure measure">{over ? '–' : '…'}</span>
          <span className="since">{over ? 'see the cut list' : 'working it out'}</span>
        </div>
      )}
      {figures(o, work.value).map(({ id, name, figure, text }) => {
        const old = before.find((f) => f.id === id)?.figure;
        const difference = old ? figure.value - old.value : 0;
        const shown = formatAmount(
          Math.abs(difference),
          figure.quantity === 'temperature' ? 'warming' : figure.quantity,
          units,
        );
        const still =
          !old || shown === formatAmount(0, figure.quantity === 'temperature' ? 'warming' : figure.quantity, units);
        return (
          <div className="cell" key={id} data-testid={`strip-${id}`}>
            <span className="name">{name}</span>
            <span className="figure measure">
              <Why figure={figure}>{text ?? formatAmount(figure.value, figure.quantity, units)}</Why>
            </span>
            <span className="since">
              {cover.kept === null
                ? 'not kept yet'
                : still
                  ? 'as kept'
                  : `${difference > 0 ? '+' : '−'}${shown} since kept`}
            </span>
          </div>
        );
      })}
      {work.slow && (
        <div className="cell" role="status">
          <span className="name">
            Working out the cuts
            {work.progress && `: ${work.progress.solved} of ${work.progress.sections} kinds`}…
          </span>
          <Button onPress={work.stop}>Stop</Button>
        </div>
      )}
      <div className="deed">
        <Button onPress={() => void navigate(way('paper', cover.id))}>Paper to take along</Button>
      </div>
    </Bar>
  );
}
