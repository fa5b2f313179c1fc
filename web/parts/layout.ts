import styled from 'styled-components';

/** A place: its main thing, the panel beside it, the strip beneath. */
export const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 21rem;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  > footer {
    grid-column: 1 / -1;
  }
  @media print {
    display: block;
  }
  @media (max-width: 1000px) {
    display: block;
    overflow: auto;
    > footer {
      position: sticky;
      bottom: 0;
      z-index: 10;
    }
  }
`;

/** Holds only what has no place in the drawing. */
export const PanelBox = styled.aside`
  background: var(--sheet);
  border-left: 1px solid var(--hair);
  padding: 0.9rem 1.1rem 1.2rem;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 1.1rem;
  h2 {
    margin-bottom: 0.3rem;
  }
  @media (max-width: 1000px) {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
`;

/** A page that says something instead of a place: what it is, and what can be done. */
export const Message = styled.section`
  padding: 1.5rem 1.25rem 3rem;
  display: grid;
  gap: 1rem;
  align-content: start;
  max-width: 46rem;
  overflow: auto;
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
  }
`;
