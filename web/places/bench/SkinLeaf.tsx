import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { SheetPart } from '../../../core/assembly/types';
import { coverMaterial } from '../../../core/catalog/covers';
import { sheetSize } from '../../../core/cover/rolls';
import type { Outline } from '../../../core/plan';
import { formatLength } from '../../../core/units/length';
import { useUnits } from '../../app/hooks';
import { OffcutPattern } from '../../drawing/BarDrawing';
import { RollDrawing } from '../../drawing/RollDrawing';
import { SheetDrawing } from '../../drawing/SheetDrawing';
import { useSize } from '../../drawing/useSize';

const Area = styled.div`
  min-height: 0;
  overflow: auto;
  padding: 0.75rem 0;
  display: grid;
  gap: 1.2rem;
  align-content: start;
`;

const Pair = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  gap: 0.5rem 2.5rem;
  max-width: 52rem;
`;

export const Sums = styled.table`
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
  const { length } = useUnits();
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
                  {formatLength(side.sum, length)}
                </td>
              </tr>
            </tfoot>
          </Sums>
        ))}
      </Pair>
    </section>
  );
}

/** Sheets: each allowance on its own line, and how they lie on the roll. */
export function SkinLeaf({ outline: o }: { readonly outline: Outline }): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const film = o.assembly.sheets.some((s) => coverMaterial(s.coverKey).kind === 'film');
  return (
    <Area ref={ref} tabIndex={0} role="region" aria-label="Sheets">
      <OffcutPattern />
      {o.rolls.rolls.map((cut) => (
        <div key={cut.label}>{size && <RollDrawing cut={cut} width={Math.max(280, size.width - 8)} />}</div>
      ))}
      {o.sheets.sheets.map((cut) => (
        <div key={cut.label}>{size && <SheetDrawing cut={cut} width={Math.max(280, size.width - 8)} />}</div>
      ))}
      {o.rolls.tooWide.length > 0 && (
        <p>No roll on sale is wide and long enough. The checks beside this say what to change.</p>
      )}
      {o.assembly.sheets.map((part) => (
        <SheetSums key={part.tag} part={part} />
      ))}
      {film && <p>UV film has an outer face, usually the printed one: it goes to the sky.</p>}
    </Area>
  );
}
