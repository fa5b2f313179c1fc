import type { ReactNode } from 'react';
import { useWay } from '../../app/way';
import { Link } from 'react-router';
import { type Drawn, bounds, drawAssembly } from '../../../core/show/project';
import type { Bed } from '../../../core/site/bed';
import { survey } from '../../../core/site/survey';
import type { Cover, Garden } from '../../../core/garden/garden';
import { remembered } from '../../../core/base/remember';
import { assemblyOf } from '../../../core/garden/assemblyOf';
import { MM_PER_INCH, formatLength } from '../../../core/base/length';
import { Shape } from '../../drawing/Shapes';
import { useSize } from '../../drawing/useSize';

const drawings = remembered<readonly Drawn[]>();

/** A cover from above, without the bed it stands on. */
function seenFromAbove(garden: Garden, cover: Cover, bed: Bed): readonly Drawn[] {
  const built = assemblyOf(garden, cover);
  if (!built?.ok) return [];
  return drawings(built.value, [bed], () =>
    drawAssembly(built.value, bed, survey(bed), 'plan').filter((d) => d.stuff !== 'wall' && d.stuff !== 'soil'),
  );
}

/** About the width of a letter of a label, and the least that a label may take, px. */
const LETTER_PX = 8.6;
const MIN_LABEL_PX = 130;

/** A name as far as it goes; the whole of it stands in the list beside the map. */
function fitted(name: string, widthPx: number): string {
  const most = Math.floor(widthPx / LETTER_PX);
  return name.length > most ? `${name.slice(0, most - 1)}…` : name;
}

/** The garden from above, to scale: beds as they were measured, covers as they are built. */
export function PlotMap({ garden }: { readonly garden: Garden }): ReactNode {
  const way = useWay();
  const [ref, size] = useSize<HTMLDivElement>();
  const beds = garden.beds.map((bed) => ({ bed, s: survey(bed) }));
  // A walk-in house stands out beyond its bed.
  const outer = garden.covers.flatMap((c) => {
    const bed = garden.beds.find((b) => b.id === c.bedId);
    const shapes = bed ? seenFromAbove(garden, c, bed) : [];
    if (!bed || shapes.length === 0) return [];
    const { u0, v0, u1, v1 } = bounds(shapes);
    return [
      { x: bed.at.xMm + u0, y: bed.at.yMm + v0 },
      { x: bed.at.xMm + u1, y: bed.at.yMm + v1 },
    ];
  });
  const corners = beds.flatMap(({ bed, s }) =>
    Object.values(s.corners).map((c) => ({ x: bed.at.xMm + c.x, y: bed.at.yMm + c.y })),
  );
  const xs = [...corners, ...outer].map((c) => c.x);
  const ys = [...corners, ...outer].map((c) => c.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const pad = 56;
  const scale = size ? Math.min((size.width - 2 * pad) / (x1 - x0), (size.height - 2 * pad) / (y1 - y0)) : 0;
  const slack = size ? Math.max(0, (size.height - 2 * pad - (y1 - y0) * scale) / 2) : 0;
  const px = (x: number, y: number): [number, number] => [pad + (x - x0) * scale, slack + pad + (y1 - y) * scale];
  const metric = garden.units.length === 'cm' || garden.units.length === 'mm';
  const barMm = metric ? 1000 : 4 * 12 * MM_PER_INCH;
  return (
    <div className="sheet" ref={ref}>
      {size && (
        <svg width={size.width} height={size.height} aria-label="The garden from above">
          {beds.map(({ bed, s }) => {
            const corners = (['nearLeft', 'nearRight', 'farRight', 'farLeft'] as const).map((c) =>
              px(bed.at.xMm + s.corners[c].x, bed.at.yMm + s.corners[c].y),
            );
            const [bx, by] = px(bed.at.xMm, bed.at.yMm);
            const covers = garden.covers.filter((c) => c.bedId === bed.id);
            return (
              <g key={bed.id} transform={`rotate(${bed.bearingDeg - 90} ${bx} ${by})`}>
                <Link to={way('bed', bed.id)} aria-label={`Bed: ${bed.name}`}>
                  <polygon
                    className="bed"
                    points={corners.map((p) => p.join(',')).join(' ')}
                    fill="var(--soil)"
                    stroke="var(--wall)"
                    strokeWidth={Math.max(3, bed.wall.thicknessMm * scale)}
                  />
                </Link>
                <g pointerEvents="none">
                  {covers.map((c) => (
                    <g key={c.id}>
                      {seenFromAbove(garden, c, bed).map((drawn, i) => (
                        <Shape key={i} drawn={drawn} sheet={{ scale, left: bx, top: by, u0: 0, v1: 0 }} />
                      ))}
                    </g>
                  ))}
                </g>
                <text
                  x={bx}
                  y={by + 22}
                  fontWeight={600}
                  fill="var(--ink)"
                  stroke="var(--ground)"
                  strokeWidth={4}
                  style={{ paintOrder: 'stroke' }}
                >
                  {fitted(bed.name, Math.max(MIN_LABEL_PX, bed.outside.nearMm * scale))}
                </text>
              </g>
            );
          })}
          <g stroke="var(--ink)" fill="none" strokeWidth={1.6}>
            <path d={`M${size.width - 24} 52 V16 m-7 11 l7 -11 l7 11`} />
          </g>
          <text x={size.width - 24} y={68} textAnchor="middle" fontSize={13} fill="var(--ink)">
            N
          </text>
          <g stroke="var(--quiet)" strokeWidth={1.6}>
            <path
              d={`M${pad} ${size.height - 14} h${barMm * scale} m0 -5 v10 m${-barMm * scale} -10 v10`}
              fill="none"
            />
          </g>
          <text x={pad + barMm * scale + 10} y={size.height - 9} fontSize={13} fill="var(--quiet)">
            {formatLength(barMm, garden.units.length)}
          </text>
        </svg>
      )}
    </div>
  );
}
