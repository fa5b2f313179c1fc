import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';

const Label = styled(Checkbox)`
  /* What the keyboard reaches lies in it, so that the page does not jump. */
  position: relative;
  display: flex;
  gap: 0.6rem;
  align-items: center;
  min-height: var(--target);
  min-width: var(--target);
  cursor: pointer;
  .box {
    flex: none;
    width: 1.35rem;
    height: 1.35rem;
    display: grid;
    place-items: center;
    border: 1.5px solid var(--ink);
    border-radius: 2px;
    background: var(--sheet);
    color: var(--ground);
  }
  &[data-selected] .box {
    background: var(--ink);
  }
  &[data-focus-visible] .box {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }
  &[data-disabled] {
    color: var(--quiet);
    cursor: default;
  }
  &[data-disabled] .box {
    border-color: var(--hair);
  }
`;

interface TickProps {
  readonly on: boolean;
  /** Without it the tick is shown and cannot be changed. */
  readonly onChange?: ((on: boolean) => void) | undefined;
  readonly isDisabled?: boolean;
  /** What is ticked, where no words stand beside the box. */
  readonly label?: string;
  readonly children?: ReactNode;
}

/** A box to tick, and what is ticked. */
export function Tick({ on, onChange, isDisabled = false, label, children }: TickProps): ReactNode {
  return (
    <Label
      isSelected={on}
      isReadOnly={!onChange}
      isDisabled={isDisabled}
      {...(onChange && { onChange })}
      {...(label !== undefined && { 'aria-label': label })}
    >
      <span className="box">{on && <Check size={18} strokeWidth={3} aria-hidden />}</span>
      {children}
    </Label>
  );
}
