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

/** Facts in two columns: what it is, and its figure on the right; each pair in a div. */
export const Facts = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  font-size: 0.9375rem;
  > div {
    display: contents;
  }
  dt,
  dd {
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
  }
  dd {
    padding-left: 1rem;
    text-align: right;
    font-weight: 600;
  }
`;

/** Things to tick: each a label with its box, large enough for a gloved finger. */
export const Ticks = styled.ul`
  label {
    overflow-wrap: anywhere;
  }
`;

/** A table with quiet heads and a hairline over each row. */
export const ListTable = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 0.9375rem;
  th {
    text-align: left;
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.8125rem;
    padding: 0.35rem 0.6rem 0.35rem 0;
  }
  td {
    border-top: 1px solid var(--hair);
    padding: 0.35rem 0.6rem 0.35rem 0;
  }
`;
