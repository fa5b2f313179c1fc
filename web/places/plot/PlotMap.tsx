import { type ReactNode, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { MM_PER_INCH, formatLength, isMetric } from '../../../core/base/length';
import type { Garden } from '../../../core/garden/garden';
import { footprint, middleOf } from '../../../core/site/plotting';
import { useSize } from '../../drawing/useSize';
import { Button } from '../../parts/controls';
import { Compass } from './Compass';
import { GroundBehind } from './GroundBehind';
import { OnPlot } from './OnPlot';
import { reach } from './fromAbove';
import type { PlotDeeds } from './mapDeeds';
import type { Thing } from './useLying';
import { type PlotView, boxOf, fitToWindow, plotToScreen, zoomed, nameBoxes } from './view';

const Field = styled.div`
  position: relative;
  height: 100%;
  min-height: 0;
  svg {
    display: block;
    touch-action: pan-y;
  }
  svg.drawing {
    touch-action: none;
    cursor: crosshair;
  }
  .thing {
    cursor: grab;
    touch-action: none;
    outline: none;
  }
  .thing:hover .mark,
  .thing:focus-visible .mark,
  .thing.held .mark {
    stroke: var(--chalk);
    stroke-width: 3;
    stroke-dasharray: none;
  }
  .handle {
    cursor: grab;
    touch-action: none;
    outline: none;
  }
  .handle:focus-visible circle {
    stroke-width: 5;
  }
  .name {
    font-weight: 600;
    fill: var(--ink);
    stroke: var(--ground);
    stroke-width: 4;
    paint-order: stroke;
    text-anchor: middle;
    pointer-events: none;
  }
  .tools {
    position: absolute;
    right: 0;
    bottom: 0;
    display: flex;
    gap: 0.3rem;
  }
  .tools button {
    min-width: var(--target);
    background: var(--ground);
  }
  .word {
    position: absolute;
    left: 0;
    top: 0;
    padding: 0.2rem 0.5rem;
    background: var(--sheet);
    border: 1px solid var(--hair);
    font-size: 0.875rem;
  }
`;

interface PlotMapProps {
  readonly garden: Garden;
  /** The bed or landmark in hand, by its id. */
  readonly held: string | undefined;
  readonly deeds: PlotDeeds;
}

/** The garden from above, to scale: beds as they were measured, covers as they are built, moved and turned where they lie. */
export function PlotMap({ garden, held, deeds }: PlotMapProps): ReactNode {
  const { onHold, drawing } = deeds;
  const [ref, size] = useSize<HTMLDivElement>();
  /** Undefined: all of it is shown, whatever it becomes. */
  const [looked, setLooked] = useState<Pick<PlotView, 'middle' | 'scale'>>();
  const { upDeg } = garden.plot;
  const things: readonly Thing[] = [...garden.landmarks, ...garden.beds];
  // Each is looked at once, however many there are.
  const reached = useMemo(
    () => [
      ...garden.landmarks.map((l) => [l.id, footprint(l)] as const),
      ...garden.beds.map((b) => [b.id, reach(garden, b)] as const),
    ],
    [garden],
  );
  const all = reached.flatMap(([, points]) => points);
  const view: PlotView | undefined = size && (looked ? { ...looked, upDeg, size } : fitToWindow(all, upDeg, size));
  const [lastHeld, setLastHeld] = useState(held);
  if (held !== lastHeld) {
    setLastHeld(held);
    // What was just taken in hand, or put there, is shown wherever one looked before.
    const thing = things.find((t) => t.id === held);
    if (view && thing && !isOnScreen(view, plotToScreen(view, middleOf(thing)))) setLooked(undefined);
  }
  const boxes = view && new Map(reached.map(([id, points]) => [id, boxOf(points.map((p) => plotToScreen(view, p)))]));
  const names = boxes && nameBoxes([...garden.beds, ...garden.landmarks], boxes);
  const metric = isMetric(garden.units.length);
  const steps = metric ? { stepMm: 10, largeMm: 300 } : { stepMm: MM_PER_INCH / 2, largeMm: 12 * MM_PER_INCH };
  const look = (v: PlotView): void => setLooked({ middle: v.middle, scale: v.scale });
  const nearer = (by: number): void => {
    if (view) look(zoomed(view, by, [view.size.width / 2, view.size.height / 2]));
  };
  useWheel(ref, (at, by) => view && look(zoomed(view, by, at)));
  const barMm = metric ? 1000 : 4 * 12 * MM_PER_INCH;
  return (
    <Field ref={ref}>
      {view && size && boxes && names && (
        <>
          <svg
            width={size.width}
            height={size.height}
            aria-label="The garden from above"
            className={drawing ? 'drawing' : ''}
          >
            <GroundBehind view={view} deeds={deeds} onLook={look} />
            {things.map((thing) => (
              <OnPlot
                key={thing.id}
                thing={thing}
                garden={garden}
                view={view}
                steps={steps}
                held={held === thing.id}
                boxes={boxes}
                names={names}
                deeds={deeds}
                // What is being moved holds the view still.
                onTake={() => {
                  onHold(thing.id);
                  look(view);
                }}
              />
            ))}
            <Compass view={view} onUp={deeds.onUp} />
            <g stroke="var(--quiet)" strokeWidth={1.6}>
              <path
                d={`M16 ${size.height - 14} h${barMm * view.scale} m0 -5 v10 m${-barMm * view.scale} -10 v10`}
                fill="none"
              />
            </g>
            <text x={26 + barMm * view.scale} y={size.height - 9} fontSize={13} fill="var(--quiet)">
              {formatLength(barMm, garden.units.length)}
            </text>
          </svg>
          {drawing && <span className="word">Draw the bed on the ground: from corner to corner.</span>}
          <div className="tools">
            <Button aria-label="Look nearer" onPress={() => nearer(1.4)}>
              +
            </Button>
            <Button aria-label="Look from farther off" onPress={() => nearer(1 / 1.4)}>
              −
            </Button>
            <Button isDisabled={!looked} onPress={() => setLooked(undefined)}>
              Show all
            </Button>
          </div>
        </>
      )}
    </Field>
  );
}

const isOnScreen = ({ size }: PlotView, [x, y]: readonly [number, number]): boolean =>
  x >= 0 && y >= 0 && x <= size.width && y <= size.height;

/** The wheel looks nearer and farther, about where the pointer is. */
function useWheel(
  ref: RefObject<HTMLDivElement | null>,
  turn: (at: readonly [number, number], by: number) => void,
): void {
  const latest = useRef(turn);
  useEffect(() => {
    latest.current = turn;
  });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const onWheel = (e: WheelEvent): void => {
      e.preventDefault();
      const { left, top } = element.getBoundingClientRect();
      latest.current([e.clientX - left, e.clientY - top], Math.exp(-e.deltaY / 500));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [ref]);
}
