import type { CoverLayout } from '../../core/layout';
import { type View, flatten } from '../../core/base/geometry';
import { type ReactNode, useMemo, useState } from 'react';
import styled from 'styled-components';
import { type Drawn, type ViewFrame, showsOneOf, standingTags, viewFrame } from '../../core/show/project';
import { type LayoutOf, type PlacedDimension, type ViewLayout, dimensionWidth } from '../../core/show/viewLayout';
import type { Dimension } from '../../core/cover/assembly/types';
import type { Result } from '../../core/base/result';
import { formatLength } from '../../core/base/length';
import { useUnits } from '../app/hooks';
import { LengthField } from '../parts/TypedField';
import { ON_SCREEN } from '../../core/show/drawing';
import { pieceTags } from '../../core/show/pieceTags';
import { jointMarks } from '../../core/show/jointMarks';
import { JointMarks } from './JointMarks';
import { CropOutline, CropRows, Ground } from './Beside';
import { Handles, type Pulling } from './Handles';
import { Outlined, Shape, type DrawingScale, toScreen } from './Shapes';

const scales = new Map<string, number>();

/** How much larger type is than on an ordinary screen: the outdoor theme is a step up. Asked of the page once a theme. */
function typeScale(): number {
  const root = document.documentElement;
  const theme = root.dataset['theme'] ?? '';
  const known = scales.get(theme) ?? parseFloat(getComputedStyle(root).fontSize) / 16;
  scales.set(theme, known);
  return known;
}

/**
 * A view and all that stands round it, to be laid out at some size.
 * @param bare without dimensions, as where pieces are in play
 * @param still the paper that it keeps while it is pulled at
 */
export function useView(o: CoverLayout, view: View, bare = false, still?: Omit<ViewFrame, 'shapes'>): LayoutOf {
  const unit = o.garden.units.length;
  const type = typeScale();
  const { assembly } = o;
  const { bed, survey } = o.site;
  const frame = useMemo(
    () => ({ ...viewFrame(assembly, bed, survey, view), ...still }),
    [assembly, bed, survey, view, still],
  );
  return useMemo(
    () => ({
      frame,
      dimensions: bare ? [] : assembly.dimensions.filter((d) => d.view === view),
      tags: view === 'side' && !bare ? standingTags(assembly) : [],
      widthOf: (d: Dimension) => type * dimensionWidth(d, unit),
      type,
    }),
    [frame, assembly, view, bare, unit, type],
  );
}

/** Letters of the tags on pieces in play, px. */
const TAG_PX = 13;

const Paper = styled.figure`
  position: relative;
  flex: none;
  svg {
    display: block;
    overflow: visible;
  }
  .place {
    position: absolute;
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: end;
    white-space: nowrap;
    font-size: 0.875rem;
  }
  .place input {
    --field-height: 1.75rem;
  }
  .fixed {
    padding: 0.2rem 0.3rem;
    background: var(--ground);
    color: var(--quiet);
  }
  .unit {
    color: var(--quiet);
    font-size: 0.75rem;
    line-height: 1.3;
  }
  .lit {
    fill: none;
    stroke: var(--chalk);
    stroke-width: calc(var(--wide, 0px) + 3px);
    stroke-opacity: 0.85;
    stroke-linejoin: round;
  }
  polyline.lit {
    stroke-opacity: 0.5;
  }
  .ghost {
    fill: none;
    stroke: var(--frost);
    stroke-width: 2px;
    stroke-dasharray: 6 4;
  }
  .handle {
    outline: none;
    touch-action: none;
  }
  .handle.level {
    cursor: ew-resize;
  }
  .handle.upright {
    cursor: ns-resize;
  }
  .handle .dot {
    fill: var(--sheet);
    stroke: var(--chalk);
    stroke-width: 2.5;
  }
  .handle .ways {
    fill: var(--chalk);
    opacity: 0;
  }
  .handle:hover .ways,
  .handle.held .ways,
  .handle:focus-visible .ways {
    opacity: 1;
  }
  .handle.held .dot,
  .handle:focus-visible .dot {
    fill: var(--chalk);
  }
  .snap {
    position: absolute;
    z-index: 5;
    transform: translate(16px, -150%);
    max-width: 15rem;
    padding: 0.15rem 0.5rem;
    background: var(--sheet);
    border: 1.5px solid var(--chalk);
    border-radius: 2px;
    font-size: 0.875rem;
    font-weight: 600;
    pointer-events: none;
  }
  .snap.limit {
    border-color: var(--fails);
    font-weight: 400;
  }
  .large {
    border: 0;
    padding: 0;
    background: none;
    font: inherit;
    color: inherit;
    cursor: pointer;
    text-decoration: underline dotted;
    text-underline-offset: 0.2em;
  }
  figcaption {
    position: absolute;
    left: 0;
    /* Over what is laid on the drawing. */
    top: calc(-1 * var(--above, 0px));
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
  text.piece {
    font-size: ${TAG_PX}px;
    font-weight: 600;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
`;

/** A dimension line: a chalk tick across the line at each end. */
function Line({ place }: { readonly place: PlacedDimension }): ReactNode {
  const { a, b, feet } = place;
  const leads = place.dimension.side === 'leader';
  const colour = place.dimension.typed ? 'var(--chalk)' : 'var(--quiet)';
  const level = Math.abs(a[1] - b[1]) < 0.5;
  return (
    <g stroke={colour} fill="none" strokeWidth={1.3}>
      {feet.map((f, i) => (
        <line
          key={i}
          x1={f[0][0]}
          y1={f[0][1]}
          x2={f[1][0]}
          y2={f[1][1]}
          strokeDasharray="2 3"
          strokeWidth={1}
          opacity={0.75}
        />
      ))}
      <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
      {!leads &&
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
  readonly outline: CoverLayout;
  readonly view: View;
  /** What is drawn, and where all that stands round it is. */
  readonly of: LayoutOf;
  readonly layout: ViewLayout;
  /** Makes this view the large one, where there is a choice. */
  readonly onLarge?: (() => void) | undefined;
  /** Sets a dimension; without it the figures are only shown, as on paper. */
  readonly onSet?: (id: string, mm: number) => Result<unknown>;
  /** The pieces in play, where the others only show where they are. */
  readonly play?: readonly string[];
  /** Joints that are marked, by id: a press says what they are. None where this is not said. */
  readonly joints?: readonly string[] | 'all';
  /** Pieces that light up, by tag: what a check is about. */
  readonly lit?: readonly string[];
  /** What would be there, over what is. */
  readonly ghost?: readonly Drawn[] | undefined;
  readonly pulling?: Pulling | undefined;
  /** Things drawn over the shapes: vents, pushes. */
  readonly extra?: (sheet: DrawingScale) => ReactNode;
  /** Signs over all lines: where checks fail or are tight. */
  readonly signs?: (sheet: DrawingScale) => ReactNode;
}

/** One view of the cover, its dimensions typed where they stand. */
export function ViewDrawing(props: ViewProps): ReactNode {
  const { outline: o, view, of, layout, onSet, play, joints, extra, signs, onLarge, lit = [], ghost, pulling } = props;
  const { frame } = of;
  const { box } = layout;
  const units = useUnits();
  const sheet: DrawingScale = { scale: layout.scale, left: box.x0, top: box.y0, u0: frame.u0, v1: frame.v1 };
  const ground = toScreen(sheet, [0, 0])[1];
  const [picked, setPicked] = useState<string>();
  const marks = useMemo(
    () => (joints ? jointMarks(o.assembly, view).filter((x) => joints === 'all' || joints.includes(x.id)) : []),
    [o.assembly, view, joints],
  );
  const inPlay = play && new Set(play);
  const alight = new Set(lit);
  const said = marks.find((x) => x.id === picked)?.text;
  const held = of.dimensions.find((d) => d.id === pulling?.now?.id);
  const name = `${NAMES[view]}, 1 : ${scaleText(layout.scale)}`;
  return (
    <Paper style={{ width: layout.width, height: layout.height }} data-view={view}>
      <figcaption>
        {onLarge ? (
          <button
            type="button"
            className="large"
            onClick={onLarge}
            aria-label={`${NAMES[view]}: make it the large view`}
          >
            {name}
          </button>
        ) : (
          name
        )}
        {said && <span className="joint">{said}</span>}
      </figcaption>
      <svg
        width={layout.width}
        height={layout.height}
        // What can be pulled at is no mere picture.
        role={pulling ? 'group' : 'img'}
        aria-label={`${o.cover.name} ${NAMES[view].toLowerCase()}: ${describe(o, units.length)}`}
      >
        {view !== 'plan' && <Ground y={ground} x0={box.x0 - 10} x1={box.x1 + 10} />}
        {frame.shapes.map((drawn, i) => (
          <g key={i} opacity={!inPlay || showsOneOf(drawn, inPlay) ? 1 : drawn.tag === '' ? 0.45 : 0.16}>
            <Shape drawn={drawn} sheet={sheet} />
          </g>
        ))}
        {frame.shapes
          .filter((drawn) => drawn.tag !== '' && showsOneOf(drawn, alight))
          .map((drawn, i) => (
            <Outlined key={i} drawn={drawn} sheet={sheet} className="lit" />
          ))}
        {ghost?.map((drawn, i) => (
          <Outlined key={i} drawn={drawn} sheet={sheet} className="ghost" />
        ))}
        {view === 'end' && !play && <CropOutline outline={o} sheet={sheet} />}
        {view === 'plan' && !play && <CropRows outline={o} sheet={sheet} />}
        {inPlay &&
          pieceTags(frame.shapes, inPlay, {
            on: (p) => toScreen(sheet, p),
            widthOf: (text) => ON_SCREEN.widthOf(text, TAG_PX) + 6,
            high: TAG_PX + 2,
            left: 0,
            right: layout.width,
          }).map(({ text, at: [x, y] }) => (
            <text key={text} className="piece" x={x} y={y + 0.36 * TAG_PX} textAnchor="middle">
              {text}
            </text>
          ))}
        {layout.tags.map(({ tag, label }) => (
          <text key={tag} x={(label.x0 + label.x1) / 2} y={label.y1 - 3} textAnchor="middle">
            {tag}
          </text>
        ))}
        {extra?.(sheet)}
        <JointMarks
          marks={marks}
          sheet={sheet}
          picked={picked}
          onPick={(id) => setPicked(id === picked ? undefined : id)}
        />
        {layout.dimensions.map((p) => (
          <Line key={p.dimension.id} place={p} />
        ))}
        {signs?.(sheet)}
        {pulling && <Handles dimensions={of.dimensions} sheet={sheet} unit={units.length} pulling={pulling} />}
      </svg>
      {held && pulling?.now && (pulling.now.said || pulling.now.limit) && (
        <span
          className={`snap ${pulling.now.limit ? 'limit' : ''}`}
          role="status"
          style={{ left: toScreen(sheet, flatten(held.to, view))[0], top: toScreen(sheet, flatten(held.to, view))[1] }}
        >
          {pulling.now.limit || pulling.now.said}
        </span>
      )}
      {layout.dimensions.map(({ dimension: d, label }) => (
        <div
          key={d.id}
          className="place"
          style={{ left: label.x0, top: label.y0, width: label.x1 - label.x0, height: label.y1 - label.y0 }}
        >
          {d.side === 'leader' && <span className="unit">{d.label}</span>}
          {d.typed && onSet ? (
            <LengthField
              label={`${d.label}, ${NAMES[view].toLowerCase()}`}
              valueMm={d.valueMm}
              onSet={(mm) => onSet(d.id, mm)}
              testId={`dim-${d.id}`}
              boxed={d.side === 'leader'}
            />
          ) : (
            <span className="fixed measure">{formatLength(d.valueMm, units.length)}</span>
          )}
        </div>
      ))}
    </Paper>
  );
}

/** A pixel of a screen as browsers reckon it, mm. */
const PIXEL_MM = 25.4 / 96;

/** How many times smaller than life, to two digits. */
function scaleText(pxPerMm: number): string {
  const times = 1 / (pxPerMm * PIXEL_MM);
  return times < 10 ? times.toFixed(1).replace(/\.0$/, '') : String(Number(times.toPrecision(2)));
}

function describe(o: CoverLayout, unit: Parameters<typeof formatLength>[1]): string {
  const arch = o.assembly.arches[0];
  return arch
    ? `${arch.xsMm.length} hoops, span ${formatLength(arch.hoop.spanMm, unit)}, ${formatLength(arch.hoop.heightMm, unit)} high, pipe ${formatLength(arch.cutMm, unit)}`
    : `${o.assembly.members.length + o.assembly.panels.length} pieces, ${formatLength(o.assembly.footing.lengthMm, unit)} long, ${formatLength(o.assembly.footing.widthMm, unit)} wide`;
}
