import type { Assessment } from '../../../core/assessment';
import { SheetSums } from '../../parts/SheetSums';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { OffcutPattern } from '../../drawing/Painted';
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

export /** Sheets: each allowance on its own line, and how they lie on the roll. */
function SkinLeaf({ outline: o }: { readonly outline: Assessment }): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const film = o.assembly.sheets.some((s) => s.cover.kind === 'film');
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
