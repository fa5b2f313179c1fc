import type { ReactNode } from 'react';
import type { Member } from '../../core/cover/assembly/types';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';
import { HALO, labelRows, markRows } from './labelRows';

/** A piece lying down with its marks in tape order, from its left end. */
export function MarkedPiece({ member, width }: { readonly member: Member; readonly width: number }): ReactNode {
  const { length } = useUnits();
  const left = 4;
  const scale = (width - left - 40) / member.lengthMm;
  const board = member.section.shape.kind === 'board';
  const h = board ? 26 : 14;
  const figures = member.marks.map((m) => formatLength(m.atMm, length));
  const half = (i: number): number => ((figures[i]?.length ?? 0) * 8.4) / 2;
  const places = markRows(
    member.marks.map((m, i) => ({ at: left + m.atMm * scale, halfWidth: half(i) })),
    left - 2,
  );
  const placed = member.marks.map((m, i) => {
    const tick = left + m.atMm * scale;
    const { at, row } = places[i] ?? { at: tick, row: 0 };
    return { ...m, at, tick, row, text: figures[i] ?? '' };
  });
  const rows = Math.max(0, ...placed.map((p) => p.row));
  const labels = labelRows(placed.map((p) => ({ at: p.tick, halfWidth: p.label.length * 3.4 })));
  const above = Math.max(0, ...labels) * 15;
  const y = 22 + above;
  return (
    <svg
      width={width}
      height={y + h + 26 + (rows + 1) * 17}
      role="img"
      aria-label={`${member.tag} ${member.part}: ${placed.map((p) => `${p.label} at ${p.text}`).join(', ')}`}
    >
      <rect
        x={left}
        y={y}
        width={member.lengthMm * scale}
        height={h}
        fill={board ? 'var(--timber-face)' : 'var(--pipe-face)'}
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
      <text
        x={left + (((member.marks[0]?.atMm ?? 0) + (member.marks[1]?.atMm ?? member.lengthMm)) / 2) * scale}
        y={y + h / 2 + 5}
        textAnchor="middle"
        fontWeight={700}
        fontSize={14}
        fill="var(--ink)"
      >
        {member.tag}
      </text>
      {member.holes.map((hole, i) => (
        <circle
          key={`hole ${i}`}
          cx={left + hole.atMm * scale}
          cy={y + h / 2}
          r={Math.max(3, Math.min(h / 3, (hole.diameterMm * scale) / 2))}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ))}
      <g stroke="var(--ink)" fill="none">
        <path d={`M${left} ${y - 5} V${y + h + 6}`} strokeWidth={2.4} />
      </g>
      <text x={left} y={y + h + 20 + (rows + 1) * 17} fontSize={12.5} fill="var(--quiet)">
        0: hook the tape here
      </text>
      {placed.map((p, i) => (
        <line
          key={i}
          x1={p.tick}
          x2={p.tick}
          y1={y - 5}
          y2={y + h + 6 + p.row * 17}
          stroke="var(--chalk)"
          strokeWidth={2}
        />
      ))}
      {placed.map((p, i) => (
        <g key={i}>
          <text
            x={Math.max(p.tick, p.label.length * 3.6)}
            y={y - 8 - (labels[i] ?? 0) * 15}
            textAnchor="middle"
            fontSize={12.5}
            fill="var(--ink)"
          >
            {p.label}
          </text>
          <text
            x={p.at}
            y={y + h + 20 + p.row * 17}
            textAnchor="middle"
            className="measure"
            fontSize={13.5}
            fontWeight={600}
            fill="var(--chalk-ink)"
            {...HALO}
          >
            {p.text}
          </text>
        </g>
      ))}
    </svg>
  );
}
