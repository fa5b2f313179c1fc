import type { ReactNode } from 'react';
import styled from 'styled-components';
import { type Drawn, bounds } from '../../../core/show/project';
import { Shape } from '../../drawing/Shapes';

const Strip = styled.div`
  /* Its bar is there from the first on: what stands under it does not move as the others come. */
  overflow-x: scroll;
  overflow-y: hidden;
  padding: 0 1.25rem;
  border-bottom: 1px solid var(--hair);
  svg {
    display: block;
  }
  g.kind {
    cursor: pointer;
    outline: none;
  }
  g.kind text {
    font-size: 12.5px;
    font-weight: 600;
    fill: var(--ink);
    text-anchor: middle;
  }
  g.kind rect {
    fill: transparent;
  }
  g.kind:hover rect,
  g.kind:focus-visible rect {
    fill: var(--hair);
  }
  g.kind.out {
    opacity: 0.45;
  }
`;

/** Height of the drawings over the ground, and of the names under it, px. */
const HIGH_PX = 168;
const NAMES_PX = 46;
const WORD_PX = 16;
/** From one cover to the next, and the least that a name takes, px. */
const GAP_PX = 26;
const NAME_PX = 118;

/** A cover in the line. */
interface InLine {
  readonly key: string;
  readonly name: string;
  readonly shapes: readonly Drawn[];
  /** A word under its name. */
  readonly word?: string;
}

/** Covers on one ground line, at one scale; a press goes to what is said of each. */
export function Lineup<K extends InLine>({
  kinds,
  label = 'All kinds on one ground line, at one scale',
  isOut = () => false,
  onGo,
}: {
  readonly kinds: readonly K[];
  readonly label?: string;
  readonly isOut?: (kind: K) => boolean;
  readonly onGo?: (key: string) => void;
}): ReactNode {
  const sized = kinds.map((kind) => ({ kind, b: bounds(kind.shapes) }));
  const scale = HIGH_PX / Math.max(1, ...sized.map(({ b }) => b.v1));
  const widths = sized.map(({ b }) => Math.max(NAME_PX, (b.u1 - b.u0) * scale));
  const leftOf = (i: number): number => widths.slice(0, i).reduce((x, width) => x + width + GAP_PX, GAP_PX / 2);
  const placed = sized.map(({ kind, b }, i) => ({ kind, b, x: leftOf(i), width: widths[i] ?? 0 }));
  const ground = HIGH_PX + 12;
  const names = NAMES_PX + (kinds.some((k) => k.word !== undefined) ? WORD_PX : 0);
  const go = (key: string): void =>
    onGo
      ? onGo(key)
      : document.querySelector(`[data-family="${key}"]`)?.scrollIntoView({ block: 'start', behavior: 'smooth' });
  return (
    <Strip tabIndex={0} role="region" aria-label={label}>
      <svg width={leftOf(sized.length)} height={ground + names + 8}>
        {placed.map(({ kind, b, x: left, width }) => (
          <g
            key={kind.key}
            className={`kind ${isOut(kind) ? 'out' : ''}`}
            role="button"
            tabIndex={0}
            aria-label={`To ${kind.name}`}
            onClick={() => go(kind.key)}
            onKeyDown={(e) => e.key === 'Enter' && go(kind.key)}
          >
            <rect x={left - GAP_PX / 2} y={0} width={width + GAP_PX} height={ground + names} />
            {kind.shapes.map((drawn, i) => (
              <Shape
                key={i}
                drawn={drawn}
                sheet={{
                  scale,
                  left: left + (width - (b.u1 - b.u0) * scale) / 2,
                  top: ground - b.v1 * scale,
                  u0: b.u0,
                  v1: b.v1,
                }}
              />
            ))}
            {[...wrapped(kind.name), ...(kind.word === undefined ? [] : [kind.word])].map((line, i) => (
              <text key={line} x={left + width / 2} y={ground + 26 + i * 15}>
                {line}
              </text>
            ))}
          </g>
        ))}
        <path d={`M0 ${ground} H${leftOf(sized.length)}`} stroke="var(--ink)" strokeWidth={1.5} />
      </svg>
    </Strip>
  );
}

/** A name in two lines at the most. */
function wrapped(name: string): readonly string[] {
  const words = name.split(' ');
  const half = Math.ceil(words.length / 2);
  return name.length > 17 ? [words.slice(0, half).join(' '), words.slice(half).join(' ')] : [name];
}
