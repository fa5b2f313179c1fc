import type { ReactNode } from 'react';
import styled from 'styled-components';

/** The strip along the foot of a place. */
export const SkeletonBar = styled.footer`
  display: flex;
  align-items: stretch;
  background: var(--strip);
  color: var(--strip-ink);
  overflow-x: auto;
  flex: none;
  .cell {
    flex: 1 0 auto;
    padding: 0.65rem 0.95rem 0.75rem;
    border-right: 1px solid var(--strip-hair);
    display: grid;
    gap: 0.1rem;
    align-content: center;
    white-space: nowrap;
  }
  .name {
    color: var(--strip-quiet);
    font-size: 0.8125rem;
  }
  .figure {
    font-size: 1.2rem;
    line-height: 1.3;
    font-weight: 600;
  }
  .since {
    color: var(--strip-quiet);
    font-size: 0.8125rem;
  }
  .deed {
    display: grid;
    place-items: center;
    padding: 0 1.1rem;
    margin-left: auto;
    background: var(--strip);
    /* What does not fit passes under it. */
    @media (min-width: 761px) {
      position: sticky;
      right: 0;
    }
  }
  @media (max-width: 760px) {
    .cell {
      display: flex;
      align-items: baseline;
      gap: 0.5rem;
      padding: 0.5rem 0.8rem;
    }
    .figure {
      font-size: 1.0625rem;
    }
    .deed {
      padding: 0 0.6rem;
    }
  }
  .deed button {
    background: var(--act);
    color: var(--act-ink);
    border-color: var(--act);
    white-space: nowrap;
  }
`;

/** Its place, while it is worked out for the first time. */
export function StripToCome(): ReactNode {
  return (
    <SkeletonBar className="screen-only" aria-hidden>
      <div className="cell">
        <span className="name">&nbsp;</span>
        <span className="figure measure">&nbsp;</span>
      </div>
    </SkeletonBar>
  );
}
