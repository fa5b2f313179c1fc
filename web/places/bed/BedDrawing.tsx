import { type ReactNode, useMemo } from 'react';
import styled from 'styled-components';
import { type Bed, CORNERS, type Corner, type MeasureId } from '../../../core/site/bed';
import { MEASURES, readMeasure } from '../../../core/site/measures';
import type { Survey } from '../../../core/site/survey';
import type { Result } from '../../../core/base/result';
import { useUnits } from '../../app/hooks';
import { LengthField } from '../../parts/TypedField';
import { useSize } from '../../drawing/useSize';
import { TapeLine } from './TapeLine';

const Sheet = styled.div`
  position: relative;
  min-height: 0;
  height: 100%;
  overflow: hidden;
  @media (max-width: 760px) {
    height: 44rem;
  }
  svg {
    display: block;
  }
  svg text {
    font-size: 12.5px;
    fill: var(--quiet);
  }
  .place {
    position: absolute;
    transform: translate(-50%, -50%);
    font-size: 0.875rem;
    white-space: nowrap;
    display: grid;
    justify-items: center;
    line-height: 1.15;
  }
  .place small {
    font-size: 0.75rem;
    color: var(--quiet);
    background: var(--ground);
    padding: 0 0.25rem;
  }
  .place.on-soil {
    --field-ground: var(--sheet);
  }
  .place.on-soil small {
    background: var(--sheet);
    color: var(--ink);
  }
  .place.unmeasured input {
    color: var(--quiet);
    font-weight: 400;
  }
  .place input {
    --field-height: 1.6rem;
  }
`;

type Point = readonly [number, number];

/** Where a measure stands in the drawing. */
interface Place {
  readonly at: Point;
  readonly line?: readonly [Point, Point];
  readonly soil?: boolean;
}

const mix = (a: Point, b: Point, t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
const shift = (p: Point, x: number, y: number): Point => [p[0] + x, p[1] + y];

interface BedDrawingProps {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly onTake: (id: MeasureId, mm: number) => Result<unknown>;
}

/** The bed from above and cut across, drawn to its measures, which are typed where they are taken. */
export function BedDrawing({ bed, survey: s, onTake }: BedDrawingProps): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  return (
    <Sheet ref={ref} aria-label="The bed as measured" role="group">
      {size && size.width > 50 && (
        <Drawing bed={bed} survey={s} onTake={onTake} width={size.width} height={size.height} />
      )}
    </Sheet>
  );
}

const SIDE = 108;
const TOP = 84;
const SECTION = 150;

function Drawing({
  bed,
  survey: s,
  onTake,
  width,
  height,
}: BedDrawingProps & { readonly width: number; readonly height: number }): ReactNode {
  const { length } = useUnits();
  const places = useMemo(() => {
    const corners = CORNERS.map((c) => s.corners[c]);
    const minX = Math.min(...corners.map((p) => p.x));
    const maxX = Math.max(...corners.map((p) => p.x));
    const maxY = Math.max(...corners.map((p) => p.y));
    const side = width < 600 ? 78 : SIDE;
    const scale = Math.min((width - 2 * side) / (maxX - minX), (height - 2 * TOP - SECTION - 20) / maxY, 0.45);
    const left = (width - (maxX - minX) * scale) / 2;
    const top = TOP;
    const at = (c: Corner): Point => [left + (s.corners[c].x - minX) * scale, top + (maxY - s.corners[c].y) * scale];
    const P = { nl: at('nearLeft'), nr: at('nearRight'), fr: at('farRight'), fl: at('farLeft') };
    const bottom = top + maxY * scale;
    const t = Math.max(3, bed.wall.thicknessMm * scale);
    // Cut across: width by wall height, at the same scale.
    const sectionScale = Math.min(scale * 1.15, 70 / Math.max(1, bed.wall.heightMm));
    const sw = s.frameOn.widthMm * sectionScale;
    const sh = bed.wall.heightMm * sectionScale;
    const st = Math.max(4, bed.wall.thicknessMm * sectionScale);
    const sx = (width - sw) / 2;
    const sy = Math.min(height - 42, bottom + TOP + 44 + sh);
    const inset = mix(P.fl, P.nl, 0.2);
    const insetR = mix(P.fr, P.nr, 0.2);
    const nearIn = mix(P.nl, P.nr, 0.88);
    const farIn = mix(P.fl, P.fr, 0.88);
    const corner = (p: Point, dx: -1 | 1, dy: -1 | 1): Place => ({
      at: shift(p, dx * side * 0.45, dy * (dy < 0 ? 36 : 44)),
    });
    const where: Readonly<Record<string, Place>> = {
      near: { at: shift(mix(P.nl, P.nr, 0.5), 0, 34), line: [shift(P.nl, 0, 34), shift(P.nr, 0, 34)] },
      right: { at: shift(mix(P.nr, P.fr, 0.5), side * 0.52, 0), line: [shift(P.nr, 34, 0), shift(P.fr, 34, 0)] },
      far: { at: shift(mix(P.fl, P.fr, 0.5), 0, -34), line: [shift(P.fl, 0, -34), shift(P.fr, 0, -34)] },
      left: { at: shift(mix(P.nl, P.fl, 0.5), -side * 0.52, 0), line: [shift(P.nl, -34, 0), shift(P.fl, -34, 0)] },
      rising: { at: mix(P.nl, P.fr, 0.27), line: [P.nl, P.fr], soil: true },
      falling: { at: mix(P.nr, P.fl, 0.27), line: [P.nr, P.fl], soil: true },
      insideLength: { at: mix(inset, insetR, 0.5), line: [shift(inset, t, 0), shift(insetR, -t, 0)], soil: true },
      insideWidth: { at: mix(nearIn, farIn, 0.5), line: [shift(nearIn, 0, -t), shift(farIn, 0, t)], soil: true },
      nearLeft: corner(P.nl, -1, 1),
      nearRight: corner(P.nr, 1, 1),
      farRight: corner(P.fr, 1, -1),
      farLeft: corner(P.fl, -1, -1),
      wallHeight: {
        at: [sx - 62, sy - sh / 2],
        line: [
          [sx - 18, sy],
          [sx - 18, sy - sh],
        ],
      },
      wallThickness: {
        at: [sx + st / 2 + 34, sy - sh - 24],
        line: [
          [sx, sy - sh - 10],
          [sx + st, sy - sh - 10],
        ],
      },
      soil: {
        at: [sx + sw + 74, sy - sh + 8],
        line: [
          [sx + sw + 18, sy - sh],
          [sx + sw + 18, sy - sh + bed.soilBelowRimMm * sectionScale],
        ],
      },
    };
    const list = MEASURES.flatMap((m) => {
      const place = where[m.id];
      return place ? [{ ...m, ...place }] : [];
    });
    // Out of level as it is: each wall stands lower by the mean drop of its two corners.
    const lower = (a: Corner, b: Corner): number => ((s.packersMm[a] + s.packersMm[b]) / 2) * sectionScale;
    const near = lower('nearLeft', 'nearRight');
    const far = lower('farLeft', 'farRight');
    return { list, P, t, bottom, section: { sx, sy, sw, sh, st, near, far, soil: bed.soilBelowRimMm * sectionScale } };
  }, [bed, s, width, height]);

  const isMeasured = (id: MeasureId): boolean => bed.measured.includes(id);
  const { P, t, section: c } = places;
  const outer = [P.nl, P.nr, P.fr, P.fl];
  const inner = [shift(P.nl, t, -t), shift(P.nr, -t, -t), shift(P.fr, -t, t), shift(P.fl, t, t)];
  const text = (list: readonly Point[]): string => list.map((p) => p.map((x) => x.toFixed(1)).join(',')).join(' ');
  return (
    <>
      <svg width={width} height={height} role="img" aria-label="Plan of the bed, and the bed cut across">
        <text x={0} y={16} style={{ fontWeight: 600, fontSize: 14, fill: 'var(--ink)' }}>
          From above
        </text>
        <polygon points={text(outer)} fill="var(--wall)" stroke="var(--timber-edge)" />
        <polygon points={text(inner)} fill="var(--soil)" stroke="var(--timber-edge)" strokeWidth={0.8} />
        <text x={0} y={c.sy - c.sh - 34} style={{ fontWeight: 600, fontSize: 14, fill: 'var(--ink)' }}>
          Cut across
        </text>
        <polygon
          points={text([
            [c.sx + c.st, c.sy - c.sh + c.soil + c.near],
            [c.sx + c.sw - c.st, c.sy - c.sh + c.soil + c.far],
            [c.sx + c.sw - c.st, c.sy + c.far],
            [c.sx + c.st, c.sy + c.near],
          ])}
          fill="var(--soil)"
        />
        {[[c.sx, c.near] as const, [c.sx + c.sw - c.st, c.far] as const].map(([x, drop]) => (
          <rect
            key={x}
            x={x}
            y={c.sy - c.sh + drop}
            width={c.st}
            height={c.sh}
            fill="var(--wall)"
            stroke="var(--timber-edge)"
          />
        ))}
        <line
          x1={c.sx - 40}
          x2={c.sx + c.sw + 40}
          y1={c.sy + c.near}
          y2={c.sy + c.far}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        {s.outOfLevelMm > 0 && (
          <>
            <line
              x1={c.sx - 10}
              x2={c.sx + c.sw + 10}
              y1={c.sy - c.sh}
              y2={c.sy - c.sh}
              stroke="var(--quiet)"
              strokeDasharray="6 4"
            />
            <text x={c.sx + c.sw / 2} y={c.sy - c.sh - 6} textAnchor="middle">
              level
            </text>
          </>
        )}
        {places.list.map(({ id, line }) => line && <TapeLine key={id} a={line[0]} b={line[1]} />)}
      </svg>
      {places.list.map((p) => (
        <div
          key={p.id}
          className={`place ${p.soil ? 'on-soil' : ''} ${isMeasured(p.id) ? '' : 'unmeasured'}`}
          style={{ left: p.at[0], top: p.at[1] }}
        >
          <LengthField
            label={isMeasured(p.id) ? p.label : `${p.label}, not measured yet`}
            valueMm={p.of(bed)}
            read={(text) => readMeasure(bed, p.id, text, length)}
            onSet={(mm) => onTake(p.id, mm)}
            testId={`bed-${p.id}`}
          />
          <small>{p.short}</small>
        </div>
      ))}
    </>
  );
}
