import type { ReactNode } from 'react';
import styled from 'styled-components';
import { STATUS_WORDS, type CheckStatus, type Verdict } from '../../core/judge/strength/check';

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

/** A bar that rests on two posts, one that sags between them, one that is broken; a mark to look here, and a bar in dashes for what is not known. */
export const SIGNS: Readonly<Record<CheckStatus, string>> = {
  holds: 'M1 5H15M4 5V14M12 5V14',
  tight: 'M1 4Q8 12 15 4M4 6.5V14M12 6.5V14',
  fails: 'M1 4L7 11M15 4L9.5 10M4 8V14M12 8V14',
  heed: 'M8 1.5V9.5M8 12.5V14.5',
  unjudged: 'M1 5H3.5M6.75 5H9.25M12.5 5H15M4 8V14M12 8V14',
};

/** The verdict whose colour it has: what is advised or not known is warned of. */
export const colourOf = (status: CheckStatus): Verdict =>
  status === 'heed' || status === 'unjudged' ? 'tight' : status;

/** A verdict by word, shape and colour. */
export function VerdictMark({
  verdict,
  word = STATUS_WORDS[verdict],
}: {
  readonly verdict: CheckStatus;
  readonly word?: string;
}): ReactNode {
  return (
    <Mark style={{ color: `var(--${colourOf(verdict)})` }}>
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
