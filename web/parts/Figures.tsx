import type { ReactNode } from 'react';
import type { Figure } from '../../core/base/figure';
import { Facts } from './lists';
import { Why } from './Why';

/** Figures in a column, each of which can be asked why. */
export function FigureList({ figures }: { readonly figures: readonly Figure[] }): ReactNode {
  return (
    <Facts>
      {figures.map((f) => (
        <div key={f.label}>
          <dt>{f.label}</dt>
          <dd className="measure">
            <Why figure={f} />
          </dd>
        </div>
      ))}
    </Facts>
  );
}
