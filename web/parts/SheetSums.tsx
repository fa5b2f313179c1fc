import { useUnits } from '../app/hooks';
import { formatAmount } from '../../core/base/amount';
import { sheetSize } from '../../core/make/rolls/rolls';
import { formatLength } from '../../core/base/length';
import type { SheetPart } from '../../core/cover/assembly/types';
import type { ReactNode } from 'react';
import styled from 'styled-components';

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  gap: 0.5rem 2.5rem;
  max-width: 52rem;
`;

const Sums = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 0.9375rem;
  caption {
    text-align: left;
    font-weight: 600;
    padding-bottom: 0.3rem;
  }
  th,
  td {
    padding: 0.35rem 0;
    border-top: 1px solid var(--hair);
    text-align: left;
    font-weight: 400;
  }
  td {
    text-align: right;
    white-space: nowrap;
  }
  tfoot th,
  tfoot td {
    border-top: 1.5px solid var(--ink);
    font-weight: 600;
  }
`;

/** A sheet's size, added up line by line. */
export function SheetSums({ part }: { readonly part: SheetPart }): ReactNode {
  const units = useUnits();
  const { length } = units;
  const size = sheetSize(part);
  const sides = [
    { name: 'Across', lines: part.across, sum: size.acrossMm },
    { name: 'Along', lines: part.along, sum: size.alongMm },
  ];
  return (
    <section aria-label={`${part.tag} ${part.part}`}>
      <h2>
        {part.tag} {part.part}
      </h2>
      <Pair>
        {sides.map((side) => (
          <Sums key={side.name}>
            <caption>{side.name}</caption>
            <tbody>
              {side.lines.map((line) => (
                <tr key={line.what}>
                  <th scope="row">{line.what}</th>
                  <td className="measure">{formatLength(line.mm, length)}</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">Cut it</th>
                <td className="measure" data-testid={`sheet-${part.tag}-${side.name.toLowerCase()}`}>
                  {formatAmount(side.sum, 'film', units)}
                </td>
              </tr>
            </tfoot>
          </Sums>
        ))}
      </Pair>
    </section>
  );
}
