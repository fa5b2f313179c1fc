import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Figure } from '../../core/base/figure';
import { Why } from './Why';

const List = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 1rem;
  font-size: 0.9375rem;
  > div {
    display: contents;
  }
  dt,
  dd {
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
  }
  dd {
    text-align: right;
    font-weight: 600;
  }
`;

/** Figures in a column, each of which can be asked why. */
export function Figures({ figures }: { readonly figures: readonly Figure[] }): ReactNode {
  return (
    <List>
      {figures.map((f) => (
        <div key={f.label}>
          <dt>{f.label}</dt>
          <dd className="measure">
            <Why figure={f} />
          </dd>
        </div>
      ))}
    </List>
  );
}
