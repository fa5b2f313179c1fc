import type { ReactNode } from 'react';
import type { RollCut } from '../../core/make/rolls/rolls';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';

/** A roll laid flat to scale, its sheets on it and what is left hatched. */
export function RollDrawing({ cut, width }: { readonly cut: RollCut; readonly width: number }): ReactNode {
  const { length } = useUnits();
  const left = 64;
  const top = 26;
  const shown = Math.min(cut.roll.lengthMm, Math.max(...cut.placed.map((p) => p.atMm + p.runMm)) * 1.5 + 500);
  const scale = Math.min((width - left - 16) / shown, 150 / cut.roll.widthMm);
  const w = shown * scale;
  const h = cut.roll.widthMm * scale;
  const used = cut.roll.lengthMm - cut.leftMm;
  const cover = cut.cover;
  return (
    <figure>
      <figcaption style={{ fontSize: '0.9375rem' }}>
        <b>{cut.label}</b>, {cover.name}{' '}
        <span className="measure">
          {formatLength(cut.roll.widthMm, length)} × {formatLength(cut.roll.lengthMm, length)}
        </span>
        {cut.fromShelf && ', from the shelf'}
        {cover.outerFace !== null && `; ${cover.outerFace}, so mark it on every piece`}
      </figcaption>
      <svg
        width={width}
        height={h + top + 40}
        role="img"
        aria-label={`Roll ${formatLength(cut.roll.widthMm, length)} wide: ${cut.placed.map((p) => `${p.tag} ${formatLength(p.runMm, length)} long`).join(', ')}; ${formatLength(cut.leftMm, length)} left over`}
      >
        <defs>
          <pattern id="left-over" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="8" stroke="var(--quiet)" strokeWidth="1" opacity="0.55" />
          </pattern>
        </defs>
        <rect
          x={left}
          y={top}
          width={w}
          height={h}
          fill="url(#left-over)"
          stroke="var(--quiet)"
          strokeDasharray="5 4"
        />
        {cut.placed.map((p) => (
          <g key={p.tag}>
            <rect
              x={left + p.atMm * scale}
              y={top + p.sideMm * scale}
              width={p.runMm * scale}
              height={p.widthMm * scale}
              fill="var(--ground)"
            />
            <rect
              x={left + p.atMm * scale}
              y={top + p.sideMm * scale}
              width={p.runMm * scale}
              height={p.widthMm * scale}
              fill="var(--film)"
              stroke="var(--film-edge)"
              strokeWidth={1.5}
            />
            <text
              x={left + (p.atMm + p.runMm / 2) * scale}
              y={top + (p.sideMm + p.widthMm / 2) * scale + 5}
              textAnchor="middle"
              fontWeight={600}
              fontSize={14}
              fill="var(--ink)"
            >
              {p.tag} {p.part.toLowerCase()}
            </text>
          </g>
        ))}
        <line
          x1={left + used * scale}
          x2={left + used * scale}
          y1={top - 6}
          y2={top + h + 10}
          stroke="var(--chalk)"
          strokeWidth={2}
        />
        <text
          x={left + used * scale}
          y={top + h + 26}
          textAnchor="middle"
          className="measure"
          fontSize={13}
          fontWeight={600}
          fill="var(--chalk-ink)"
        >
          {formatLength(used, length)}
        </text>
        <text x={left + w} y={top - 9} textAnchor="end" fontSize={13} fill="var(--quiet)">
          {formatLength(cut.leftMm, length)} left over
        </text>
        <text x={left - 8} y={top + h / 2 + 4} textAnchor="end" className="measure" fontSize={13} fill="var(--quiet)">
          {formatLength(cut.roll.widthMm, length)}
        </text>
      </svg>
    </figure>
  );
}
