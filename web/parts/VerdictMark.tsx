import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Verdict } from '../../core/judge/strength/check';

const Mark = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  font-weight: 600;
  font-size: 0.9375rem;
  svg {
    flex: none;
  }
`;

const WORDS: Readonly<Record<Verdict, string>> = { holds: 'Holds', tight: 'Tight', fails: 'Fails' };
/** A bar that rests on two posts, one that sags between them, one that is broken. */
export const SIGNS: Readonly<Record<Verdict, string>> = {
  holds: 'M1 5H15M4 5V14M12 5V14',
  tight: 'M1 4Q8 12 15 4M4 6.5V14M12 6.5V14',
  fails: 'M1 4L7 11M15 4L9.5 10M4 8V14M12 8V14',
};

/** A verdict by word, shape and colour. */
export function VerdictMark({
  verdict,
  word = WORDS[verdict],
}: {
  readonly verdict: Verdict;
  readonly word?: string;
}): ReactNode {
  return (
    <Mark style={{ color: `var(--${verdict})` }}>
      <svg
        width="16"
        height="16"
        viewBox="0 0 16 16"
        fill="none"
        stroke="currentColor"
        strokeWidth="2.2"
        aria-hidden="true"
      >
        <path d={SIGNS[verdict]} />
      </svg>
      {word}
    </Mark>
  );
}
