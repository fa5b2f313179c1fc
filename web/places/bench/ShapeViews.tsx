import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import styled from 'styled-components';
import { type Flat, type View, flatten } from '../../../core/base/geometry';
import type { Result } from '../../../core/base/result';
import type { CoverLayout } from '../../../core/layout';
import type { Assessment } from '../../../core/assessment';
import { type Check, checkStatus } from '../../../core/judge/strength/check';
import { type Drawn, drawAssembly } from '../../../core/show/project';
import type { LayoutOf } from '../../../core/show/viewLayout';
import { useJudged } from '../../background/useJudged';
import type { Pulling } from '../../drawing/Handles';
import { PulledView } from '../../drawing/PulledView';
import { type Flag, Flags } from '../../drawing/Beside';
import type { DrawingScale } from '../../drawing/Shapes';
import { type Size, useSize } from '../../drawing/useSize';
import { Headroom } from './Headroom';

const Views = styled.div`
  position: relative;
  min-height: 0;
  min-width: 0;
  overflow: hidden;
  > div {
    position: absolute;
    display: grid;
    place-items: center;
  }
  > .beside {
    place-items: start;
  }
  &.narrow {
    overflow: visible;
    display: grid;
    gap: 0.5rem;
    justify-items: center;
  }
  &.narrow > div {
    position: static;
  }
`;

interface ShapeViewsProps {
  readonly outline: CoverLayout;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
  readonly pulling: Pulling;
  /** What a mend that is tried out would make of it. */
  readonly mended: CoverLayout | undefined;
  /** The check that is being looked at. */
  readonly pointed: Check | undefined;
}

const VIEWS = ['end', 'side', 'plan'] as const;

interface Cell extends Size {
  readonly left: number;
  readonly top: number;
}

const GAP_PX = 12;
/** Narrower than this the views stand under one another. */
const NARROW_PX = 640;
/** What the large view takes of the width, or of the height where it is a long one. */
const LARGE = { across: 0.64, down: 0.58 } as const;
/** What is read off the drawing stands under the large view, px. */
const READ_PX = 124;

/** Where the views stand: the end view large at the left with two beside it; a long one large on top with two under it. */
function cells({ width, height }: Size, large: View): Readonly<Record<View, Cell>> {
  const [first, second] = VIEWS.filter((v) => v !== large) as [View, View];
  if (large === 'end') {
    const w = Math.floor(width * LARGE.across);
    const half = (height - GAP_PX) / 2;
    const beside = { left: w + GAP_PX, width: width - w - GAP_PX, height: half };
    return {
      [large]: { left: 0, top: 0, width: w, height: height - READ_PX },
      [first]: { ...beside, top: 0 },
      [second]: { ...beside, top: half + GAP_PX },
    } as Record<View, Cell>;
  }
  const h = Math.floor(height * LARGE.down);
  const half = (width - GAP_PX) / 2;
  const under = { top: h + GAP_PX, width: half, height: height - h - GAP_PX };
  return {
    [large]: { left: 0, top: 0, width, height: h },
    [first]: { ...under, left: 0 },
    [second]: { ...under, left: half + GAP_PX },
  } as Record<View, Cell>;
}

/** End, side and plan, one of them large; all are typed in and pulled at. */
export function ShapeViews({ outline: o, onSet, pulling, mended, pointed }: ShapeViewsProps): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const [large, setLarge] = useState<View>('end');
  const narrow = size !== undefined && size.width < NARROW_PX;
  const places = size && cells(size, large);
  return (
    <Views ref={ref} className={narrow ? 'narrow' : ''}>
      {size &&
        VIEWS.map((view) => {
          const cell = narrow ? { width: size.width, height: NARROW_HIGH_PX } : places?.[view];
          return (
            cell && (
              <div key={view} className={view === large ? '' : 'beside'} style={narrow ? undefined : cell}>
                <OneView
                  outline={o}
                  view={view}
                  cell={cell}
                  onSet={onSet}
                  pulling={pulling}
                  mended={mended}
                  lit={pointed?.about.tags ?? []}
                  pointed={pointed}
                  flagged={narrow || view === large}
                  onLarge={narrow || view === large ? undefined : () => setLarge(view)}
                />
              </div>
            )
          );
        })}
      {size && (narrow || large === 'end') && (
        <div style={narrow ? undefined : { left: 0, bottom: 0, height: READ_PX }}>
          <Headroom outline={o} />
        </div>
      )}
    </Views>
  );
}
const NARROW_HIGH_PX = 460;

interface OneViewProps extends Omit<ShapeViewsProps, 'outline'> {
  readonly outline: CoverLayout;
  readonly view: View;
  readonly cell: Size;
  readonly lit: readonly string[];
  /** Signs of checks stand in it. */
  readonly flagged: boolean;
  readonly onLarge: (() => void) | undefined;
}

function OneView({ mended, pointed, flagged, ...view }: OneViewProps): ReactNode {
  const signed = { outline: view.outline, view: view.view, pointed, flagged };
  return (
    <PulledView
      joints="all"
      signs={(sheet) => <Signs sheet={sheet} {...signed} />}
      ghostOf={(of) => mended && ghostOf(of, mended, view.view)}
      {...view}
    />
  );
}

type SignsProps = Pick<OneViewProps, 'outline' | 'view' | 'pointed' | 'flagged'> & { readonly sheet: DrawingScale };

/** The drawing first: what is wrong with it is signed as soon as it is known, and nothing else is drawn again for that. */
function Signs({ outline, view, pointed, flagged, sheet }: SignsProps): ReactNode {
  const judged = useJudged(useDeferredValue(outline, null) ?? undefined);
  const flags = useMemo(
    () => (judged ? flagsOf(judged, view, pointed).filter((f) => flagged || f.pointed) : []),
    [judged, view, pointed, flagged],
  );
  return <Flags flags={flags} sheet={sheet} />;
}

/** Signs of what fails or is tight, where the view shows it. */
function flagsOf(o: Assessment, view: View, pointed: Check | undefined): readonly Flag[] {
  return o
    .judged()
    .checks.filter((c) => c.verdict !== 'holds' || c.id === pointed?.id)
    .map((c) => {
      const at = c.about.places.map((p) => flatten(p, view));
      const once = at.filter((p, i) => at.findIndex((q) => same(p, q)) === i);
      return { id: c.id, status: checkStatus(c), at: once, pointed: c.id === pointed?.id };
    })
    .filter((f) => f.at.length > 0);
}
const same = (p: Flat, q: Flat): boolean => Math.hypot(p[0] - q[0], p[1] - q[1]) < 5;

/** What a mended design has that this one has not, in a view. */
function ghostOf(of: LayoutOf, mended: CoverLayout, view: View): readonly Drawn[] {
  const key = (d: Drawn): string => d.points.map(([u, v]) => `${Math.round(u)},${Math.round(v)}`).join(' ');
  const here = new Set(of.frame.shapes.map(key));
  return drawAssembly(mended.assembly, mended.site.bed, mended.site.survey, view).filter((d) => !here.has(key(d)));
}
