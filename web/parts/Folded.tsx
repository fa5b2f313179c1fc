import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel } from 'react-aria-components';
import styled from 'styled-components';

const Box = styled(Disclosure)`
  border-top: 1px solid var(--hair);
  > button {
    width: 100%;
    min-height: var(--target);
    display: flex;
    gap: 0.5rem;
    align-items: center;
    padding: 0.3rem 0;
    border: 0;
    background: transparent;
    color: var(--ink);
    font: inherit;
    font-weight: 600;
    text-align: left;
    cursor: pointer;
  }
  > button > svg {
    flex: none;
    transition: transform 120ms;
  }
  &[data-expanded] > button > svg {
    transform: rotate(90deg);
  }
  @media (prefers-reduced-motion: reduce) {
    > button > svg {
      transition: none;
    }
  }
`;

interface FoldedProps {
  readonly title: ReactNode;
  readonly children: ReactNode;
  /** Where it is remembered elsewhere whether it is open. */
  readonly isExpanded?: boolean;
  readonly onExpandedChange?: (open: boolean) => void;
}

/** What is looked at when it is wanted: its title, and the rest folded under it. */
export function Folded({ title, children, ...open }: FoldedProps): ReactNode {
  return (
    <Box {...open}>
      {({ isExpanded }) => (
        <>
          <Button slot="trigger">
            <ChevronRight size={18} aria-hidden />
            {title}
          </Button>
          <DisclosurePanel>{isExpanded && children}</DisclosurePanel>
        </>
      )}
    </Box>
  );
}
