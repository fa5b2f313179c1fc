import type { ReactNode } from 'react';
import { formatLength } from '../../core/base/length';
import type { Member } from '../../core/cover/assembly/types';
import { markedPiece } from '../../core/show/barDrawing';
import { ON_SCREEN } from '../../core/show/drawing';
import { useUnits } from '../app/hooks';
import { Painted } from './Painted';

/** A piece lying down with its marks in tape order, on the screen. */
export function MarkedPiece({ member, width }: { readonly member: Member; readonly width: number }): ReactNode {
  const { length: unit } = useUnits();
  const marks = member.marks.map((m) => `${m.label} at ${formatLength(m.atMm, unit)}`).join(', ');
  return <Painted list={markedPiece(member, width, unit, ON_SCREEN)} said={`${member.tag} ${member.part}: ${marks}`} />;
}
