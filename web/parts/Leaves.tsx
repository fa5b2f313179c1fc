import { type ReactNode, memo } from 'react';
import { NavLink } from 'react-router';
import styled from 'styled-components';

const Row = styled.nav`
  display: flex;
  gap: 0.25rem;
  padding-top: 0.25rem;
  overflow-x: auto;
  a {
    padding: 0.55rem 1.05rem;
    min-height: var(--target);
    color: var(--quiet);
    font-weight: 600;
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  a[aria-current='page'] {
    color: var(--ink);
    border-bottom-color: var(--chalk);
  }
  @media (max-width: 760px) {
    gap: 0;
    a {
      flex: 1 0 auto;
      padding: 0.55rem 0.5rem;
      text-align: center;
    }
  }
`;

interface LeavesProps {
  readonly label: string;
  /** Where the first leaf is; the others are under it. */
  readonly to: string;
  readonly leaves: readonly { readonly key: string; readonly name: string }[];
}

/** The leaves of one place, side by side; the first has no key. */
export const Leaves = memo(function Leaves({ label, to, leaves }: LeavesProps): ReactNode {
  return (
    <Row aria-label={label}>
      {leaves.map((l) => (
        <NavLink key={l.key} to={l.key === '' ? to : `${to}/${l.key}`} end={l.key === ''}>
          {l.name}
        </NavLink>
      ))}
    </Row>
  );
});
