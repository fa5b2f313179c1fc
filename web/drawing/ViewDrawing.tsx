import type { Outline } from '../../core/outline';
import { type View, flatten } from '../../core/base/geometry';
import { type ReactNode, useMemo, useState } from 'react';
import styled from 'styled-components';
import { type Drawn, bounds, drawAssembly, standingTags } from '../../core/show/project';
import type { Dimension } from '../../core/build/assembly/types';
import type { Result } from '../../core/base/result';
import { crop } from '../../core/site/crops';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';
import { LengthField } from '../parts/TypedField';
import { jointMarks } from '../../core/show/jointMarks';
import { JointMarks } from './JointMarks';
import { Shape, type Sheet, toScreen } from './Shapes';

export interface ViewFrame {
  readonly shapes: readonly Drawn[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly u0: number;
  readonly v1: number;
}

export interface Margin {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const MARGIN: Readonly<Record<View, Margin>> = {
  end: { left: 20, right: 96, top: 58, bottom: 42 },
  side: { left: 8, right: 12, top: 40, bottom: 66 },
  plan: { left: 8, right: 62, top: 24, bottom: 40 },
};

/** Room round a view for its dimension lines, px: as much on the left as its figures there need. */
export function marginOf(o: Outline, view: View): Margin {
  const larger = typeScale();
  const { left: least, ...base } = MARGIN[view];
  const left = o.assembly.dimensions
    .filter((d) => d.view === view && d.side === 'left')
    .map((d) => ROW_PX * d.row + figureWidth(formatLength(d.valueMm, o.garden.units.length)));
  return { ...base, right: base.right * larger, left: Math.max(least, ...left) };
}

const scales = new Map<string, number>();

/** How much larger type is than on an ordinary screen: the outdoor theme is a step up. Asked of the page once a theme. */
function typeScale(): number {
  const root = document.documentElement;
  const theme = root.dataset['theme'] ?? '';
  const known = scales.get(theme) ?? parseFloat(getComputedStyle(root).fontSize) / 16;
  scales.set(theme, known);
  return known;
}

/** Width of a figure as it stands in the drawing, px: a field is never narrower than four letters. */
function figureWidth(text: string): number {
  return Math.max(4, text.length) * FIGURE_PX * typeScale() + 12;
}

/** The shapes of a view and the paper they need. */
export function useViewFrame(o: Outline, view: View): ViewFrame {
  return useMemo(() => {
    const shapes = drawAssembly(o.assembly, o.site.bed, o.site.survey, view);
    const b = bounds(shapes);
    return { shapes, widthMm: b.u1 - b.u0, heightMm: b.v1 - b.v0, u0: b.u0, v1: b.v1 };
  }, [o.assembly, o.site.bed, o.site.survey, view]);
}

const Paper = styled.figure`
  position: relative;
  flex: none;
  svg {
    display: block;
    overflow: visible;
  }
  .place {
    position: absolute;
    transform: translate(-50%, -50%);
    white-space: nowrap;
    font-size: 0.875rem;
  }
  .place.left {
    transform: translate(0, -50%);
  }
  .place.right {
    transform: translate(-100%, -50%);
  }
  .place input {
    --field-height: 1.75rem;
  }
  .fixed {
    padding: 0 0.3rem;
    background: var(--ground);
    color: var(--quiet);
  }
  .unit {
    position: absolute;
    left: 0;
    bottom: 100%;
    color: var(--quiet);
    font-size: 0.75rem;
    line-height: 1.2;
  }
  figcaption {
    position: absolute;
    left: 0;
    top: 0;
    font-weight: 600;
    font-size: 0.875rem;
  }
  figcaption .joint {
    margin-left: 0.6rem;
    padding: 0.1rem 0.3rem;
    background: var(--sheet);
    border: 1px solid var(--hairline);
    font-weight: 400;
    position: relative;
    z-index: 1;
  }
  text {
    font-family: inherit;
    font-size: 12px;
    fill: var(--ink);
  }
`;

interface LinePlace {
  readonly id: string;
  readonly dimension: Dimension;
  readonly a: readonly [number, number];
  readonly b: readonly [number, number];
  readonly label: readonly [number, number];
  readonly anchor: 'centre' | 'left' | 'right';
  /** Lines from the thing measured to the dimension line. */
  readonly feet: readonly (readonly [number, number, number, number])[];
  readonly tick: 'across' | 'none';
}

const ROW_PX = 28;
/** Width of one character of a figure. */
const FIGURE_PX = 8.6;

/** Where a dimension line and its figure stand on the screen. */
function placeDimension(
  d: Dimension,
  sheet: Sheet,
  figurePx: number,
  box: { readonly right: number; readonly bottom: number; readonly top: number; readonly left: number },
): LinePlace {
  const from = toScreen(sheet, flatten(d.from, d.view));
  const to = toScreen(sheet, flatten(d.to, d.view));
  const base = { id: d.id, dimension: d, tick: 'across' as const };
  switch (d.side) {
    case 'below':
    case 'above': {
      const y = d.side === 'below' ? box.bottom + ROW_PX * d.row - 6 : box.top - ROW_PX * d.row + 6;
      const narrow = Math.abs(to[0] - from[0]) < figurePx + 26;
      return {
        ...base,
        a: [from[0], y],
        b: [to[0], y],
        label: narrow ? [Math.max(from[0], to[0]) + 8, y] : [(from[0] + to[0]) / 2, y],
        anchor: narrow ? 'left' : 'centre',
        feet: [
          [from[0], from[1], from[0], y],
          [to[0], to[1], to[0], y],
        ],
      };
    }
    case 'left':
    case 'right': {
      const short = Math.abs(to[1] - from[1]) < 34;
      const right = d.side === 'right';
      const x = right ? box.right + (short ? 18 : 48) * d.row : box.left - ROW_PX * d.row + 8;
      const middle = (from[1] + to[1]) / 2;
      return {
        ...base,
        a: [x, from[1]],
        b: [x, to[1]],
        label: !right ? [x - 6, middle] : short ? [x + 6, middle] : [x, middle],
        anchor: !right ? 'right' : short ? 'left' : 'centre',
        feet: [
          [from[0], from[1], x, from[1]],
          [to[0], to[1], x, to[1]],
        ],
      };
    }
    case 'leader': {
      const label: readonly [number, number] = [box.right + 34, box.top - 22];
      return { ...base, a: from, b: [label[0] - 22, label[1] + 15], label, anchor: 'centre', feet: [], tick: 'none' };
    }
  }
}

/** A dimension line: a chalk tick across the line at each end. */
function Line({ place }: { readonly place: LinePlace }): ReactNode {
  const { a, b, feet, tick } = place;
  const colour = place.dimension.typed ? 'var(--chalk)' : 'var(--quiet)';
  const level = Math.abs(a[1] - b[1]) < 0.5;
  return (
    <g stroke={colour} fill="none" strokeWidth={1.3}>
      {feet.map((f, i) => (
        <line key={i} x1={f[0]} y1={f[1]} x2={f[2]} y2={f[3]} strokeDasharray="2 3" strokeWidth={1} opacity={0.75} />
      ))}
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {tick === 'across' &&
        [a, b].map(([x, y], i) => (
          <line
            key={i}
            x1={x - (level ? 4 : 7)}
            y1={y + (level ? 7 : 4)}
            x2={x + (level ? 4 : 7)}
            y2={y - (level ? 7 : 4)}
            strokeWidth={2.4}
          />
        ))}
    </g>
  );
}

const NAMES: Readonly<Record<View, string>> = { end: 'From the end', side: 'From the side', plan: 'From above' };

interface ViewProps {
  readonly outline: Outline;
  readonly view: View;
  readonly frame: ViewFrame;
  readonly scale: number;
  /** Sets a dimension; without it the figures are only shown, as on paper. */
  readonly onSet?: (id: string, mm: number) => Result<unknown>;
  /** The pieces in play, where the others only show where they are. */
  readonly play?: readonly string[];
  /** Joints that are marked, by id: a press says what they are. None where this is not said. */
  readonly joints?: readonly string[] | 'all';
  /** Things drawn over the shapes: vents, pushes. */
  readonly extra?: (sheet: Sheet) => ReactNode;
}

/** One view of the cover, its dimensions typed where they stand. */
export function ViewDrawing({ outline: o, view, frame, scale, onSet, play, joints, extra }: ViewProps): ReactNode {
  const units = useUnits();
  const m = marginOf(o, view);
  const sheet: Sheet = { scale, left: m.left, top: m.top, u0: frame.u0, v1: frame.v1 };
  const width = frame.widthMm * scale;
  const height = frame.heightMm * scale;
  const box = { left: m.left, right: m.left + width, top: m.top, bottom: m.top + height };
  const places = o.assembly.dimensions
    .filter((d) => d.view === view && !play)
    .map((d) => placeDimension(d, sheet, figureWidth(formatLength(d.valueMm, units.length)), box));
  const ground = toScreen(sheet, [0, 0])[1];
  const [picked, setPicked] = useState<string>();
  const marks = useMemo(
    () => (joints ? jointMarks(o.assembly, view).filter((x) => joints === 'all' || joints.includes(x.id)) : []),
    [o.assembly, view, joints],
  );
  const said = marks.find((x) => x.id === picked)?.text;
  return (
    <Paper style={{ width: width + m.left + m.right, height: height + m.top + m.bottom }} data-view={view}>
      <figcaption>
        {NAMES[view]}
        {said && <span className="joint">{said}</span>}
      </figcaption>
      <svg
        width={width + m.left + m.right}
        height={height + m.top + m.bottom}
        role="img"
        aria-label={`${o.cover.name} ${NAMES[view].toLowerCase()}: ${describe(o, units.length)}`}
      >
        {view !== 'plan' && <Ground y={ground} x0={box.left - 10} x1={box.right + 10} />}
        {frame.shapes.map((drawn, i) => (
          <g key={i} opacity={!play || play.includes(drawn.tag) ? 1 : drawn.tag === '' ? 0.45 : 0.16}>
            <Shape drawn={drawn} sheet={sheet} />
          </g>
        ))}
        {view === 'end' && !play && <CropLine outline={o} sheet={sheet} />}
        {view === 'plan' && !play && <CropRows outline={o} sheet={sheet} />}
        {view === 'side' &&
          readable(standingTags(o.assembly).map(({ tag, at }) => ({ tag, at: toScreen(sheet, at) }))).map(
            ({ tag, at: [x] }) => (
              <text key={tag} x={x} y={box.top - 8} textAnchor="middle">
                {tag}
              </text>
            ),
          )}
        {extra?.(sheet)}
        <JointMarks
          marks={marks}
          sheet={sheet}
          picked={picked}
          onPick={(id) => setPicked(id === picked ? undefined : id)}
        />
        {places.map((p) => (
          <Line key={p.id} place={p} />
        ))}
      </svg>
      {places.map((p) => (
        <div key={p.id} className={`place ${p.anchor}`} style={{ left: p.label[0], top: p.label[1] }}>
          {p.dimension.typed && onSet ? (
            <LengthField
              label={`${p.dimension.label}, ${NAMES[view].toLowerCase()}`}
              valueMm={p.dimension.valueMm}
              onSet={(mm) => onSet(p.id, mm)}
              testId={`dim-${p.id}`}
              boxed={p.dimension.side === 'leader'}
            />
          ) : (
            <span className="fixed measure">{formatLength(p.dimension.valueMm, units.length)}</span>
          )}
          {p.dimension.side === 'leader' && <span className="unit">{p.dimension.label}</span>}
        </div>
      ))}
    </Paper>
  );
}

/** Tags with room between them; one that would stand on its neighbour is left out. */
function readable<T extends { readonly at: readonly [number, number] }>(tags: readonly T[]): readonly T[] {
  const kept: T[] = [];
  for (const t of [...tags].sort((a, b) => a.at[0] - b.at[0])) {
    const last = kept[kept.length - 1];
    if (!last || t.at[0] - last.at[0] > 26) kept.push(t);
  }
  return kept;
}

function describe(o: Outline, unit: Parameters<typeof formatLength>[1]): string {
  const arch = o.assembly.arches[0];
  return arch
    ? `${arch.tags.length} hoops, span ${formatLength(arch.hoop.spanMm, unit)}, ${formatLength(arch.hoop.heightMm, unit)} high, pipe ${formatLength(arch.cutMm, unit)}`
    : `${o.assembly.members.length + o.assembly.panels.length} pieces, ${formatLength(o.assembly.footing.lengthMm, unit)} long, ${formatLength(o.assembly.footing.widthMm, unit)} wide`;
}

function Ground({ y, x0, x1 }: { readonly y: number; readonly x0: number; readonly x1: number }): ReactNode {
  const ticks = Array.from({ length: Math.max(0, Math.floor((x1 - x0) / 13)) }, (_, i) => x0 + 8 + i * 13);
  return (
    <g stroke="var(--quiet)" strokeWidth={1}>
      {ticks.map((x) => (
        <line key={x} x1={x} y1={y} x2={x - 6} y2={y + 7} opacity={0.6} />
      ))}
      <line x1={x0} y1={y} x2={x1} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
    </g>
  );
}

function CropLine({ outline: o, sheet }: { readonly outline: Outline; readonly sheet: Sheet }): ReactNode {
  const { cropKey, rowYsMm, topZMm, soilZMm, clearanceMm } = o.assembly.crop;
  const [left = 0, right = 0] = rowYsMm;
  const a = toScreen(sheet, [left, topZMm]);
  const b = toScreen(sheet, [right, topZMm]);
  const soil = toScreen(sheet, [left, soilZMm])[1];
  const colour = clearanceMm < 0 ? 'var(--fails)' : 'var(--holds)';
  return (
    <g stroke={colour} fill="none" strokeWidth={1.6}>
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {[a[0], b[0]].map((x) => (
        <line key={x} x1={x} y1={a[1]} x2={x} y2={soil} strokeDasharray="2 4" />
      ))}
      <text
        x={(a[0] + b[0]) / 2}
        y={a[1] + 15}
        textAnchor="middle"
        stroke="var(--ground)"
        strokeWidth={4}
        strokeLinejoin="round"
        // Read over whatever stands in front of it.
        style={{ fill: colour, fontWeight: 600, paintOrder: 'stroke' }}
      >
        {crop(cropKey).name}
      </text>
    </g>
  );
}

function CropRows({ outline: o, sheet }: { readonly outline: Outline; readonly sheet: Sheet }): ReactNode {
  const [first, last] = o.assembly.reachMm;
  return (
    <g stroke="var(--holds)" strokeWidth={1.6} strokeDasharray="2 4">
      {o.assembly.crop.rowYsMm.map((y) => {
        const a = toScreen(sheet, [first, y]);
        const b = toScreen(sheet, [last, y]);
        return <line key={y} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
      })}
    </g>
  );
}
