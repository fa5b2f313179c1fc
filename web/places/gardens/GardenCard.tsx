import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
// A garden may hold covers of any kind.
import '../../../core/cover/families';
import { type Garden, checkGarden } from '../../../core/garden/garden';
import { extentOf, footprint } from '../../../core/site/plotting';
import { wayTo } from '../../app/way';
import { useNow } from '../../app/clock';

const Card = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0.2rem 1rem;
  align-items: start;
  padding: 0.8rem 0;
  border-top: 1px solid var(--hair);
  svg {
    grid-row: span 3;
    background: var(--sheet);
    border: 1px solid var(--hair);
  }
  .words {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  .deeds {
    padding-top: 0.3rem;
  }
`;

const SIZE = { width: 132, height: 92, pad: 9 } as const;

/** The plot of a garden, small: its beds, and what else stands there. */
function Small({ garden }: { readonly garden: Garden }): ReactNode {
  const beds = garden.beds.map((b) => footprint(b));
  const others = garden.landmarks.map((l) => footprint(l));
  const e = extentOf([...beds, ...others].flat());
  const scale = e
    ? Math.min((SIZE.width - 2 * SIZE.pad) / (e.x1 - e.x0), (SIZE.height - 2 * SIZE.pad) / (e.y1 - e.y0))
    : 0;
  const polygon = (points: ReturnType<typeof footprint>): string =>
    points
      .map(({ x, y }) => {
        const [mx, my] = e ? [(e.x0 + e.x1) / 2, (e.y0 + e.y1) / 2] : [0, 0];
        return `${(SIZE.width / 2 + (x - mx) * scale).toFixed(1)},${(SIZE.height / 2 - (y - my) * scale).toFixed(1)}`;
      })
      .join(' ');
  return (
    <svg width={SIZE.width} height={SIZE.height} aria-hidden="true">
      {others.map((points, i) => (
        <polygon key={`o${i}`} points={polygon(points)} fill="var(--leaf)" />
      ))}
      {beds.map((points, i) => (
        <polygon
          key={i}
          points={polygon(points)}
          fill={garden.covers.some((c) => c.bedId === garden.beds[i]?.id) ? 'var(--film)' : 'var(--soil)'}
          stroke="var(--wall)"
          strokeWidth={2}
        />
      ))}
    </svg>
  );
}

const plural = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;

/** How much of a garden is built, in words. */
function built({ beds, covers }: Garden): string {
  const standing = covers.filter((c) => c.state.is === 'standing' || c.state.is === 'stored').length;
  const begun = covers.filter(
    (c) => c.state.is === 'planned' && (c.build.at > 0 || c.build.done.length > 0 || c.cut.length > 0),
  ).length;
  const how = [standing > 0 ? `${standing} built` : '', begun > 0 ? `${begun} begun` : ''].filter((w) => w !== '');
  const said = covers.length === 0 ? 'no cover yet' : how.length === 0 ? 'none built yet' : how.join(', ');
  return `${plural(beds.length, 'bed')}, ${plural(covers.length, 'cover')}: ${said}.`.replace(', 0 covers:', ':');
}

const DAY_MS = 86_400_000;

/** When it was last worked on, in words. */
function since(savedAt: number, now: number): string {
  const days = Math.floor(now / DAY_MS) - Math.floor(savedAt / DAY_MS);
  if (days > 60) return `Worked on ${new Date(savedAt).toLocaleDateString()}.`;
  return `Worked on ${new Intl.RelativeTimeFormat('en', { numeric: 'auto' }).format(-Math.max(0, days), 'day')}.`;
}

interface GardenCardProps {
  readonly id: string;
  readonly name: string;
  readonly doc: unknown;
  readonly savedAt: number | undefined;
  readonly note: string;
  readonly children: ReactNode;
}

/** A garden that is kept here: drawn small, with how much of it is built and when it was worked on. */
export function GardenCard({ id, name, doc, savedAt, note, children }: GardenCardProps): ReactNode {
  const now = useNow();
  const garden = useMemo(() => {
    const read = checkGarden(doc);
    return read.ok ? read.value : undefined;
  }, [doc]);
  return (
    <Card>
      {garden ? <Small garden={garden} /> : <svg width={SIZE.width} height={SIZE.height} aria-hidden="true" />}
      <Link to={wayTo(id, 'plot')}>
        <b>
          {name}
          {note}
        </b>
      </Link>
      <p className="words">
        {garden ? built(garden) : 'It does not read as a whole; open it to see what can be done.'}{' '}
        {savedAt !== undefined && since(savedAt, now)}
      </p>
      <div className="deeds">{children}</div>
    </Card>
  );
}
