import styled from 'styled-components';

/** A list of names, what is said of each, and its figure on the right. */
export const Rows = styled.ul`
  li {
    display: grid;
    grid-template-columns: minmax(0, auto) 1fr auto;
    gap: 0.6rem;
    align-items: center;
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
    font-size: 0.9375rem;
  }
  li > :last-child {
    text-align: right;
    font-weight: 600;
  }
`;
