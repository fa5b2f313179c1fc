import type { ReactNode } from 'react';
import { formatLength } from '../../core/base/length';
import { type SheetCut, cutsText } from '../../core/make/cutting/panels';
import { ON_SCREEN } from '../../core/show/drawing';
import { flatDrawing, sheetStock } from '../../core/show/flatDrawing';
import { useUnits } from '../app/hooks';
import { Painted } from './Painted';

const HIGH = 190;

/** One stiff sheet to scale, lying on its long side: pieces with their sizes, cut strip by strip from the left. */
export function SheetDrawing({ cut, width }: { readonly cut: SheetCut; readonly width: number }): ReactNode {
  const { length: unit } = useUnits();
  const text = (mm: number): string => formatLength(mm, unit);
  const order = cutsText(cut, unit);
  return (
    <figure>
      <figcaption style={{ fontSize: '0.9375rem' }}>
        <b>{cut.label}</b>, {cut.sheet.name}{' '}
        <span className="measure">
          {text(cut.size.widthMm)} × {text(cut.size.lengthMm)}
        </span>
        {cut.fromShelf && ', from the shelf'}
        {cut.sheet.channels && ', channels along its length'}
      </figcaption>
      <Painted
        list={flatDrawing(sheetStock(cut, unit), { width, high: HIGH }, ON_SCREEN)}
        said={cut.placed.map((p) => `${p.tag} ${text(p.widthMm)} by ${text(p.lengthMm)}`).join(', ')}
      />
      {order !== '' && <p style={{ fontSize: '0.875rem', color: 'var(--quiet)' }}>In order: {order}.</p>}
    </figure>
  );
}
