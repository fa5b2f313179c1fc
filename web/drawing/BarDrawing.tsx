import type { Section } from '../../core/catalog/types';
import type { ReactNode } from 'react';
import type { CutPiece, SectionBar } from '../../core/make/cutting/bars';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';
import { HALO, labelRows, markRows } from './labelRows';

/** Room for the bar's name: beside it, or above it on a narrow screen. */
const BESIDE = 128;
const ABOVE = 20;
const NARROW = 480;
const RIGHT = 48;
const BAR = 32;
/** A mark and, under it, the same in the other system: for whoever has the other tape. */
const MARK_ROW = 31;

interface BarProps {
  readonly bar: SectionBar;
  readonly section: Section;
  readonly width: number;
  /** Longest bar of the page, so that all are at one scale. */
  readonly longestMm: number;
}

/** The corners of a piece on its bar: slanted where its ends are; ripped or tapered ones still as their blank. */
function pieceOutline(
  p: CutPiece,
  section: Section,
  scale: number,
  from: number,
  y: number,
  w: number,
  h: number,
): string {
  const { shape } = section;
  const wide = shape.kind === 'board' ? shape.widthMm : 0;
  const [a, b] = (p.endAnglesDeg ?? [0, 0]).map((deg) => wide * Math.tan((deg * Math.PI) / 180) * scale);
  const [left = 0, right = 0] = [a, b];
  // A positive slant leaves the upper edge the longer.
  const points = [
    [from + Math.max(0, -left), y],
    [from + w - Math.max(0, -right), y],
    [from + w - Math.max(0, right), y + h],
    [from + Math.max(0, left), y + h],
  ];
  return points.map((q) => q.join(',')).join(' ');
}

/** One bar to scale: its pieces by tag, marks that run from the tape's end, what is left hatched. */
export function BarDrawing({ bar, section, width, longestMm }: BarProps): ReactNode {
  const { length } = useUnits();
  const narrow = width < NARROW;
  const left = narrow ? 1 : BESIDE;
  const scale = (width - left - RIGHT) / longestMm;
  const pipe = section.shape.kind === 'tube';
  const x = (mm: number): number => left + mm * scale;
  const tagOf = (p: CutPiece): string => (p.holds === undefined ? p.tag : `${p.tag} + ${p.holds}`);
  const inside = (p: CutPiece): boolean => p.lengthMm * scale > tagOf(p).length * 9;
  // Tags of pieces too short to hold them stand over the bar.
  const over = bar.pieces.filter((p) => !inside(p));
  const overAt = (p: CutPiece): number => x(p.markMm - p.lengthMm / 2);
  const overRows = labelRows(over.map((p) => ({ at: overAt(p), halfWidth: tagOf(p).length * 3.4 })));
  const y = (narrow ? ABOVE + 6 : 8) + (over.length > 0 ? 5 + 13 * (1 + Math.max(...overRows)) : 0);
  const h = pipe ? BAR * 0.66 : BAR;
  const figures = bar.pieces.map((p) => formatLength(p.markMm, length));
  const places = markRows(
    bar.pieces.map((p, i) => ({ at: x(p.markMm), halfWidth: ((figures[i]?.length ?? 0) * 8.2) / 2 })),
    narrow ? 0 : BESIDE / 2,
  );
  const other = length === 'ftin' || length === 'in' ? 'mm' : 'in';
  const marks = bar.pieces.map((p, i) => ({
    line: x(p.markMm),
    at: places[i]?.at ?? x(p.markMm),
    text: figures[i] ?? '',
    other: formatLength(p.markMm, other),
    drop: (places[i]?.row ?? 0) * MARK_ROW,
  }));
  const whole = bar.pieces.length === 1 && bar.offcutMm < 1;
  const height = y + h + (whole ? 12 : 38 + Math.max(0, ...marks.map((m) => m.drop)));
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${bar.label}, ${formatLength(bar.lengthMm, length)}${bar.fromShelf ? ', from the shelf' : ''}: ${bar.pieces.map((p) => `${p.tag} ${formatLength(p.lengthMm, length)}, mark ${formatLength(p.markMm, length)}`).join('; ')}`}
    >
      <text x={0} y={narrow ? 14 : y + h / 2 - 2} fontSize={13.5} fontWeight={600} fill="var(--ink)">
        {bar.label}
      </text>
      <text x={narrow ? 74 : 0} y={narrow ? 14 : y + h / 2 + 14} fontSize={12.5} fill="var(--quiet)">
        {formatLength(bar.lengthMm, length)}
        {bar.fromShelf ? ', shelf' : ''}
      </text>
      <rect
        x={left}
        y={y}
        width={Math.min(bar.lengthMm, longestMm) * scale}
        height={h}
        fill="url(#offcut)"
        stroke="var(--quiet)"
        strokeDasharray="5 4"
      />
      {bar.pieces.map((p) => {
        const from = x(p.markMm - p.lengthMm);
        const w = p.lengthMm * scale;
        const figure = formatLength(p.lengthMm, length);
        const tag = tagOf(p);
        const room = w > figure.length * 8 + tag.length * 9 + 26;
        return (
          <g key={p.tag}>
            <polygon
              points={pieceOutline(p, section, scale, from, y, w, h)}
              fill={pipe ? 'var(--pipe-face)' : 'var(--timber-face)'}
              stroke="var(--ink)"
              strokeWidth={1.3}
            />
            {p.holds !== undefined && <line x1={from} x2={from + w} y1={y + h} y2={y} stroke="var(--ink)" />}
            <text
              x={room ? from + 9 : from + w / 2}
              y={y + h / 2 + 5}
              textAnchor={room ? 'start' : 'middle'}
              fontSize={14}
              fontWeight={700}
              fill="var(--ink)"
            >
              {inside(p) ? tag : ''}
            </text>
            {room && (
              <text
                x={from + w - 9}
                y={y + h / 2 + 5}
                textAnchor="end"
                className="measure"
                fontSize={13.5}
                fill="var(--ink)"
              >
                {figure}
              </text>
            )}
          </g>
        );
      })}
      {over.map((p, i) => (
        <text
          key={p.tag}
          x={overAt(p)}
          y={y - 8 - (overRows[i] ?? 0) * 13}
          textAnchor="middle"
          fontSize={12}
          fontWeight={700}
          fill="var(--ink)"
          {...HALO}
        >
          {tagOf(p)}
        </text>
      ))}
      {!whole &&
        marks.map((m, i) => (
          <line
            key={i}
            x1={m.line}
            x2={m.line}
            y1={y - 5}
            y2={y + h + 7 + m.drop}
            stroke="var(--chalk)"
            strokeWidth={2}
          />
        ))}
      {!whole &&
        marks.map((m, i) => (
          <g key={i}>
            <text
              x={m.at}
              y={y + h + 21 + m.drop}
              textAnchor="middle"
              className="measure"
              fontSize={13.5}
              fontWeight={600}
              fill="var(--chalk-ink)"
              {...HALO}
            >
              {m.text}
            </text>
            <text
              x={m.at}
              y={y + h + 34 + m.drop}
              textAnchor="middle"
              className="measure"
              fontSize={11.5}
              fill="var(--quiet)"
              {...HALO}
            >
              {m.other}
            </text>
          </g>
        ))}
    </svg>
  );
}

/** The hatching of what is left over; once on a page of bars. */
export function OffcutPattern(): ReactNode {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="offcut" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--quiet)" strokeWidth="1" opacity="0.6" />
        </pattern>
      </defs>
    </svg>
  );
}
