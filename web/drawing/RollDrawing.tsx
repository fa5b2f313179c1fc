import type { ReactNode } from 'react';
import { formatAmount } from '../../core/base/amount';
import { formatLength } from '../../core/base/length';
import type { RollCut } from '../../core/make/rolls/rolls';
import { ON_SCREEN } from '../../core/show/drawing';
import { flatDrawing, rollStock } from '../../core/show/flatDrawing';
import { useUnits } from '../app/hooks';
import { Painted } from './Painted';

const HIGH = 150;

/** A roll laid flat to scale, its sheets on it and what is left hatched. */
export function RollDrawing({ cut, width }: { readonly cut: RollCut; readonly width: number }): ReactNode {
  const units = useUnits();
  const text = (mm: number): string => formatLength(mm, units.length);
  const left = `${formatAmount(cut.leftMm, 'byEye', units)} left over`;
  const { name, outerFace } = cut.cover;
  return (
    <figure>
      <figcaption style={{ fontSize: '0.9375rem' }}>
        <b>{cut.label}</b>, {name}{' '}
        <span className="measure">
          {text(cut.roll.widthMm)} × {text(cut.roll.lengthMm)}
        </span>
        {cut.fromShelf && ', from the shelf'}
        {outerFace !== null && `; ${outerFace}, so mark it on every piece`}; {left}
      </figcaption>
      <Painted
        list={flatDrawing(rollStock(cut, units), { width, high: HIGH }, ON_SCREEN)}
        said={`Roll ${text(cut.roll.widthMm)} wide: ${cut.placed.map((p) => `${p.tag} ${text(p.runMm)} long`).join(', ')}; ${left}`}
      />
    </figure>
  );
}
