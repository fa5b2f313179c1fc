import type { ReactNode } from 'react';
import { type Garden, isInUse } from '../../../core/garden/garden';
import type { Bed } from '../../../core/site/bed';
import { formatLength } from '../../../core/base/length';
import { LANDMARKS, type Landmark } from '../../../core/site/landmark';
import { bearing, footprint } from '../../../core/site/plotting';
import { Shape } from '../../drawing/Shapes';
import { LandmarkShape } from './LandmarkShape';
import type { PlotDeeds } from './mapDeeds';
import { reach, seenFromAbove } from './fromAbove';
import { type Thing, useLying } from './useLying';
import { type PlotView, type ScreenBox, boxOf, fittedName, letterSpot, nameBox, plotToScreen } from './view';

interface OnPlotProps {
  readonly thing: Thing;
  readonly garden: Garden;
  readonly view: PlotView;
  readonly steps: { readonly stepMm: number; readonly largeMm: number };
  readonly held: boolean;
  /** What everything takes up on the screen, by id. */
  readonly boxes: ReadonlyMap<string, ScreenBox>;
  /** What every name takes up. */
  readonly names: ReadonlyMap<string, ScreenBox>;
  readonly onTake: () => void;
  readonly deeds: PlotDeeds;
}

/** One bed or landmark where it lies, with its handle to turn it by while it is in hand. */
export function OnPlot({ thing, garden, view, steps, held, boxes, names, onTake, deeds }: OnPlotProps): ReactNode {
  const isBed = 'outside' in thing;
  const others = [...garden.beds, ...garden.landmarks].filter((t) => t.id !== thing.id);
  const { onLay, onOpen, onTakeAway, onHold } = deeds;
  const { length } = garden.units;
  const saySize = (l: Landmark): string =>
    LANDMARKS[l.kind].round
      ? `${formatLength(l.lengthMm, length)} across`
      : `${formatLength(l.lengthMm, length)} × ${formatLength(l.widthMm, length)}`;
  const lying = useLying({ thing, others, view, pathMm: garden.plot.pathMm, ...steps, onTake, onLay, saySize });
  const { shown } = lying;
  const screen = (isBed ? reach(garden, thing, shown) : footprint(shown)).map((p) => plotToScreen(view, p));
  const box = boxOf(screen);
  const name = lying.said || fittedName(thing.name, box);
  const taken = [...boxes, ...names].flatMap(([id, other]) => (id === thing.id ? [] : [other]));
  const [nameX, nameY] = letterSpot(nameBox(box, name, taken));
  const what = isBed ? 'Bed' : 'Landmark';
  return (
    <>
      <g
        {...lying.moveProps}
        className={`thing ${held ? 'held' : ''}`}
        role="button"
        tabIndex={0}
        aria-label={`${what}: ${thing.name}`}
        aria-pressed={held}
        onFocus={() => onHold(thing.id)}
        onDoubleClick={() => isBed && onOpen(thing.id)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && isBed) onOpen(thing.id);
          else if (event.key === 'Delete') onTakeAway(thing);
          else lying.moveProps.onKeyDown?.(event);
        }}
      >
        {isBed ? (
          <BedShape bed={shown as Bed} garden={garden} view={view} />
        ) : (
          <LandmarkShape landmark={shown as Exclude<Thing, Bed>} view={view} />
        )}
      </g>
      <text className="name" x={nameX} y={nameY} fontSize={isBed ? 16 : 13}>
        {name}
      </text>
      {held && (
        <g
          {...lying.turnProps}
          className="handle"
          role="slider"
          tabIndex={0}
          aria-label={`Turn ${thing.name}`}
          aria-valuemin={0}
          aria-valuemax={360}
          aria-valuenow={Math.round(shown.bearingDeg)}
          aria-valuetext={`points to ${Math.round(shown.bearingDeg)} degrees`}
        >
          <Knob at={lying.handle} round />
        </g>
      )}
      {held && !('outside' in shown) && (
        <g
          {...lying.sizeProps}
          className="handle"
          role="slider"
          tabIndex={0}
          aria-label={`Size of ${thing.name}`}
          aria-valuemin={20}
          aria-valuemax={100000}
          aria-valuenow={shown.lengthMm}
          aria-valuetext={saySize(shown)}
        >
          <Knob at={lying.corner} />
        </g>
      )}
    </>
  );
}

/** What is taken hold of: round to turn by, square to pull larger. */
function Knob({
  at: [x, y],
  round = false,
}: {
  readonly at: readonly [number, number];
  readonly round?: boolean;
}): ReactNode {
  const look = { fill: 'var(--sheet)', stroke: 'var(--chalk)', strokeWidth: 2.5 };
  return (
    <>
      <circle cx={x} cy={y} r={18} fill="transparent" />
      {round ? <circle cx={x} cy={y} r={8} {...look} /> : <rect x={x - 7} y={y - 7} width={14} height={14} {...look} />}
    </>
  );
}

function BedShape({
  bed,
  garden,
  view,
}: {
  readonly bed: Bed;
  readonly garden: Garden;
  readonly view: PlotView;
}): ReactNode {
  const { scale } = view;
  const [bx, by] = plotToScreen(view, { x: bed.at.xMm, y: bed.at.yMm });
  const original = garden.beds.find((b) => b.id === bed.id) ?? bed;
  const covers = garden.covers.filter((c) => c.bedId === bed.id && isInUse(c));
  return (
    <>
      <polygon
        className="mark"
        points={footprint(bed)
          .map((p) => plotToScreen(view, p).join(','))
          .join(' ')}
        fill="var(--soil)"
        stroke="var(--wall)"
        strokeWidth={Math.max(3, bed.wall.thicknessMm * scale)}
      />
      <g pointerEvents="none" transform={`translate(${bx} ${by}) rotate(${bearing(bed.bearingDeg - 90 - view.upDeg)})`}>
        {covers.map((c) =>
          seenFromAbove(garden, c, original).map((drawn, i) => (
            <Shape key={`${c.id} ${i}`} drawn={drawn} sheet={{ scale, left: 0, top: 0, u0: 0, v1: 0 }} />
          )),
        )}
      </g>
    </>
  );
}
