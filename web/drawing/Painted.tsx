import type { ReactNode } from 'react';
import type { Fill, Ink, DrawnMark, MarkList } from '../../core/show/drawing';

const FILLS: Readonly<Record<Fill, string>> = {
  timber: 'var(--timber-face)',
  pipe: 'var(--pipe-face)',
  film: 'var(--film)',
  'left over': 'url(#offcut)',
  none: 'none',
};
const INKS: Readonly<Record<Ink, string>> = { ink: 'var(--ink)', mark: 'var(--chalk)', quiet: 'var(--quiet)' };

/** Keeps a line from running through the figures that lie on it. */
const HALO = { paintOrder: 'stroke', stroke: 'var(--ground)', strokeWidth: 4 } as const;

function painted(m: DrawnMark, key: number): ReactNode {
  switch (m.kind) {
    case 'outline': {
      const points = m.points.map((p) => p.join(',')).join(' ');
      const edge =
        m.fill === 'left over'
          ? { stroke: 'var(--quiet)', strokeDasharray: '5 4' }
          : { stroke: m.fill === 'film' ? 'var(--film-edge)' : 'var(--ink)', strokeWidth: 1.3 };
      return (
        <g key={key}>
          {m.fill === 'film' && <polygon points={points} fill="var(--ground)" />}
          <polygon points={points} fill={FILLS[m.fill]} {...edge} />
        </g>
      );
    }
    case 'line':
      return (
        <line
          key={key}
          x1={m.from[0]}
          y1={m.from[1]}
          x2={m.to[0]}
          y2={m.to[1]}
          stroke={INKS[m.ink]}
          strokeWidth={m.thick}
        />
      );
    case 'hole':
      return (
        <circle
          key={key}
          cx={m.at[0]}
          cy={m.at[1]}
          r={m.radius}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      );
    case 'text':
      return (
        <text
          key={key}
          x={m.at[0]}
          y={m.at[1]}
          textAnchor={m.anchor}
          fontSize={m.size}
          {...(m.bold && { fontWeight: m.figure ? 600 : 700 })}
          {...(m.figure && { className: 'measure' })}
          fill={m.ink === 'mark' ? 'var(--chalk-ink)' : INKS[m.ink]}
          {...(m.over && HALO)}
        >
          {m.text}
        </text>
      );
  }
}

/** A drawing painted on the screen. @param said what it shows, for who does not see it */
export function Painted({ list, said }: { readonly list: MarkList; readonly said: string }): ReactNode {
  return (
    <svg width={list.width} height={list.height} role="img" aria-label={said}>
      {list.marks.map(painted)}
    </svg>
  );
}

/** The hatching of what is left over; once on a page of drawings. */
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
