import type { ReactNode } from 'react';
import { quickShop } from '../../../core/cut';
import { evaluate } from '../../../core/evaluate';
import type { CoverLayout } from '../../../core/layout';
import { stripFigures } from '../../app/figures';

/** What the cover that is pulled at comes to. */
export function TryFigures({ laid }: { readonly laid: CoverLayout }): ReactNode {
  const judged = evaluate(laid.garden, laid.cover);
  if (!judged.ok) return null;
  return stripFigures(judged.value, quickShop(judged.value), laid.garden.units).map((f) => (
    <div key={f.id}>
      <span>{f.name}</span>
      <b className="measure">
        {f.id === 'price' && '≈ '}
        {f.text}
      </b>
    </div>
  ));
}
