/** How things look that stand in more than one place. */
import styled, { css } from 'styled-components';

/** What lies over the page: a list, a calendar, a working, a piece of news. */
export const overPage = css`
  background: var(--sheet);
  color: var(--ink);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  box-shadow: 0 4px 16px rgb(0 0 0 / 0.25);
`;

/** What a gardener types, in one measure's letters. */
export const typedText = css`
  color: var(--chalk-ink);
  font-family: 'Atkinson Hyperlegible Mono', ui-monospace, monospace;
  font-weight: 600;
`;

/** A box that is typed into, while the keyboard is in it. */
export const typedInto = css`
  outline: none;
  border-color: var(--chalk);
  box-shadow: 0 0 0 2px var(--chalk);
  background: var(--sheet);
`;

/** A date or an hour that is typed part by part: one box round all of it. */
export const segments = css`
  display: inline-flex;
  align-items: center;
  min-height: var(--target);
  padding: 0 0.2rem 0 0.5rem;
  border: 1.5px solid var(--chalk);
  border-radius: 2px;
  background: var(--ground);
  ${typedText}
  white-space: nowrap;
  &:focus-within {
    ${typedInto}
  }
  &[data-invalid] {
    border-color: var(--fails);
  }
  .react-aria-DateInput {
    display: inline-flex;
  }
  .react-aria-DateSegment {
    padding: 0.15rem 1px;
    outline: none;
    border-radius: 2px;
  }
  .react-aria-DateSegment[data-focused] {
    background: var(--ink);
    color: var(--ground);
  }
`;

/** What is wrong with what was typed, said beneath its middle. */
export const FaultBelow = styled.span`
  position: absolute;
  z-index: 20;
  top: calc(100% + 6px);
  left: 50%;
  transform: translateX(-50%);
  width: max-content;
  max-width: 16rem;
  padding: 0.4rem 0.6rem;
  background: var(--sheet);
  border: 1.5px solid var(--fails);
  border-radius: 2px;
  color: var(--ink);
  font-size: 0.875rem;
  line-height: 1.3;
  text-align: left;
  box-shadow: 0 2px 8px rgb(0 0 0 / 0.2);
`;
