import type { ReactNode } from 'react';
import { type SheetCut, cutsText } from '../../core/make/cutting/panels';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';

const HEAD = 26;

/** One stiff sheet to scale, lying on its long side: pieces with their sizes, cut strip by strip from the left. */
export function SheetDrawing({ cut, width }: { readonly cut: SheetCut; readonly width: number }): ReactNode {
  const { length } = useUnits();
  const scale = Math.min((width - 8) / cut.size.lengthMm, 190 / cut.size.widthMm);
  const w = cut.size.lengthMm * scale;
  const h = cut.size.widthMm * scale;
  const text = (mm: number): string => formatLength(mm, length);
  const order = cutsText(cut, length);
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
      <svg
        width={w + 4}
        height={h + HEAD}
        role="img"
        aria-label={cut.placed.map((p) => `${p.tag} ${text(p.widthMm)} by ${text(p.lengthMm)}`).join(', ')}
      >
        <rect x={1} y={1} width={w} height={h} fill="url(#offcut)" stroke="var(--ink)" strokeWidth={1.5} />
        {cut.placed.map((p) => {
          const x = 1 + p.yMm * scale;
          const y = 1 + p.xMm * scale;
          const pw = p.lengthMm * scale;
          const ph = p.widthMm * scale;
          const sizes = `${text(p.lengthMm)} × ${text(p.widthMm)}`;
          const roomy = pw > sizes.length * 7.4 + 10 && ph > 40;
          return (
            <g key={p.tag}>
              <polygon
                points={p.outline.map(([a, b]) => `${1 + b * scale},${1 + a * scale}`).join(' ')}
                fill={cut.sheet.kind === 'plywood' ? 'var(--timber-face)' : 'var(--pipe-face)'}
                stroke="var(--ink)"
                strokeWidth={1.3}
              />
              <text
                x={x + pw / 2}
                y={y + ph / 2 + (roomy ? -3 : 5)}
                textAnchor="middle"
                fontWeight={700}
                fill="var(--ink)"
              >
                {p.tag}
              </text>
              {roomy && (
                <text
                  x={x + pw / 2}
                  y={y + ph / 2 + 15}
                  textAnchor="middle"
                  className="measure"
                  fontSize={12.5}
                  fill="var(--ink)"
                >
                  {sizes}
                </text>
              )}
            </g>
          );
        })}
        {[...new Set(cut.blanks.map((p) => p.yMm + p.lengthMm))].map((end) => (
          <g key={end}>
            <line x1={1 + end * scale} x2={1 + end * scale} y1={1} y2={h + 7} stroke="var(--chalk)" strokeWidth={2} />
            <text
              x={Math.min(w - 30, 1 + end * scale)}
              y={h + 21}
              textAnchor="middle"
              className="measure"
              fontSize={13}
              fontWeight={600}
              fill="var(--chalk-ink)"
            >
              {text(end)}
            </text>
          </g>
        ))}
      </svg>
      {order !== '' && <p style={{ fontSize: '0.875rem', color: 'var(--quiet)' }}>In order: {order}.</p>}
    </figure>
  );
}
