import { useRef, useState } from 'react';
import type { Bed } from '../../../core/site/bed';
import type { Landmark } from '../../../core/site/landmark';
import {
  bearing,
  plotExtent,
  footprint,
  middleOf,
  onPlot,
  sizedTo,
  snapped,
  snappedBearing,
  turnedTo,
} from '../../../core/site/plotting';
import type { PlanPoint } from '../../../core/site/survey';
import { type Way, useDrag } from '../../drawing/useDrag';
import { type PlotView, plotToScreen, wayOnPlot } from './view';

export type Thing = Bed | Landmark;
/** What is done to a thing where it lies. */
export type Laying = 'Move' | 'Turn' | 'Size';

/** How near a thing must come to be drawn to its neighbour, px. */
const SNAP_PX = 9;
/** From a thing's end to the handle that turns it, px. */
const HANDLE_PX = 26;

/** Where it would lie, and what it is drawn to there. */
interface Laid<T> {
  readonly thing: T;
  readonly said: string;
}

interface LyingProps<T extends Thing> {
  readonly thing: T;
  readonly others: readonly Thing[];
  readonly view: PlotView;
  readonly pathMm: number;
  /** One step of the arrow keys, and a large one, mm. */
  readonly stepMm: number;
  readonly largeMm: number;
  readonly onTake: () => void;
  readonly saySize: (landmark: Landmark) => string;
  /** Lays it there for good. */
  readonly onLay: (how: Laying, thing: T) => void;
}

/** Where a thing lies while it is moved and turned on the plot, and what that is done with. */
export function useLying<T extends Thing>(p: LyingProps<T>) {
  const { thing, others, view, onTake, onLay } = p;
  const [now, show] = useState<Laid<T>>();
  // A key takes, moves and lets go before anything is drawn again.
  const latest = useRef<Laid<T>>(undefined);
  const setNow = (laid: Laid<T> | undefined): void => {
    latest.current = laid;
    show(laid);
  };
  const shown = now?.thing ?? thing;
  const clear = (): void => setNow(undefined);

  /** So far that its middle stays on the screen. */
  const kept = (moved: T): T => {
    const [x, y] = plotToScreen(view, middleOf(moved));
    const { width, height } = view.size;
    const back = wayOnPlot(view, Math.min(width, Math.max(0, x)) - x, Math.min(height, Math.max(0, y)) - y);
    return shifted(moved, back);
  };
  const moved = ({ dx, dy, keys, large, free }: Way): Laid<T> => {
    if (keys) {
      const step = large ? p.largeMm : p.stepMm;
      const way = wayOnPlot(view, dx * view.scale * step, dy * view.scale * step);
      return { thing: kept(shifted(thing, way)), said: '' };
    }
    const there = kept(shifted(thing, wayOnPlot(view, dx, dy)));
    if (free) return { thing: there, said: '' };
    const s = snapped(plotExtent(there), others.map(plotExtent), p.pathMm, SNAP_PX / view.scale);
    return { thing: shifted(there, { x: s.dx, y: s.dy }), said: s.said.join(', ') };
  };
  const drop = (how: Laying): void => {
    if (latest.current) onLay(how, rounded(latest.current.thing));
    clear();
  };
  const move = useDrag({
    onTake,
    onDrag: (way) => setNow(moved(way)),
    onDrop: () => drop('Move'),
    onCancel: clear,
  });

  const handleOf = (t: T): readonly [number, number] => {
    const [x, y] = plotToScreen(view, middleOf(t));
    const turn = ((t.bearingDeg - 90 - view.upDeg) * Math.PI) / 180;
    const out = (lengthOf(t) / 2) * view.scale + HANDLE_PX;
    return [x + out * Math.cos(turn), y + out * Math.sin(turn)];
  };
  const [middleX, middleY] = plotToScreen(view, middleOf(thing));
  const [handleX, handleY] = handleOf(thing);
  const turn = useDrag({
    onDrag: ({ dx, dy, keys, large, free }) => {
      if (keys) {
        const deg = (dx - dy) * (large ? 15 : 1);
        setNow({ thing: turnedTo(thing, thing.bearingDeg + deg), said: '' });
        return;
      }
      const deg = (Math.atan2(handleY + dy - middleY, handleX + dx - middleX) * 180) / Math.PI + 90 + view.upDeg;
      const to = free
        ? bearing(deg)
        : snappedBearing(
            deg,
            others.map((o) => o.bearingDeg),
          );
      setNow({ thing: turnedTo(thing, to), said: `${Math.round(to)}°` });
    },
    onDrop: () => drop('Turn'),
    onCancel: clear,
  });
  const size = useDrag({
    onTake,
    onDrag: ({ dx, dy, keys, large }) => {
      if ('outside' in thing) return;
      const step = large ? p.largeMm : p.stepMm;
      // By keys along its own sides, whichever way it lies.
      const sized: Landmark = keys
        ? sizedTo(thing, onPlot(thing, { x: thing.lengthMm + dx * step, y: thing.widthMm - dy * step }))
        : sizedTo(thing, added(cornerOf(thing), wayOnPlot(view, dx, dy)));
      setNow({ thing: { ...thing, ...sized }, said: p.saySize(sized) });
    },
    onDrop: () => drop('Size'),
    onCancel: clear,
  });
  return {
    shown,
    said: now?.said ?? '',
    moving: move.dragging || turn.dragging || size.dragging,
    moveProps: move.props,
    turnProps: turn.props,
    sizeProps: size.props,
    /** Its far right corner, that its size is pulled by. */
    corner: plotToScreen(view, cornerOf(shown)),
    handle: handleOf(shown),
  };
}

const cornerOf = (t: Thing): PlanPoint => footprint(t)[2] ?? middleOf(t);
const added = (a: PlanPoint, b: PlanPoint): PlanPoint => ({ x: a.x + b.x, y: a.y + b.y });

const lengthOf = (t: Thing): number => ('outside' in t ? t.outside.nearMm : t.lengthMm);

const shifted = <T extends Thing>(thing: T, by: PlanPoint): T => ({
  ...thing,
  at: { xMm: thing.at.xMm + by.x, yMm: thing.at.yMm + by.y },
});

/** As finely as anyone sets a bed: whole millimetres and tenths of a degree. */
const rounded = <T extends Thing>(thing: T): T => ({
  ...thing,
  at: { xMm: Math.round(thing.at.xMm), yMm: Math.round(thing.at.yMm) },
  bearingDeg: bearing(Math.round(thing.bearingDeg * 10) / 10),
});
