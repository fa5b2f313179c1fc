import { Minus, Plus } from 'lucide-react';
import { type ReactNode, memo } from 'react';
import {
  Button as AriaButton,
  type ButtonProps,
  Group,
  Input,
  NumberField as AriaNumberField,
} from 'react-aria-components';
import styled, { css } from 'styled-components';
import { Pick } from './Pick';
import type { Picked } from './picked';
import { typedInto, typedText } from './look';

export const plainButton = css`
  min-height: var(--target);
  padding: 0 0.8rem;
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  background: transparent;
  color: var(--ink);
  font-weight: 600;
  font-size: 0.9375rem;
  cursor: pointer;
  &:hover:not(:disabled) {
    background: var(--hair);
  }
  &:disabled {
    border-color: var(--hair);
    color: var(--quiet);
    cursor: default;
  }
`;

/** The one button; `strong` for the place's main deed. */
export const Button = styled(AriaButton)<ButtonProps & { $strong?: boolean }>`
  ${plainButton}
  ${(p) =>
    p.$strong &&
    css`
      background: var(--ink);
      color: var(--ground);
      &:hover:not(:disabled) {
        background: var(--ink);
        opacity: 0.88;
      }
    `}
`;

/** Names on the left, controls on the right, a hairline between. */
export const Field = styled.div`
  display: grid;
  grid-template-columns: 5.6rem 1fr;
  gap: 0.25rem 0.6rem;
  align-items: center;
  padding: 0.3rem 0;
  > .name {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  > .why {
    grid-column: 2;
    color: var(--quiet);
    font-size: 0.8125rem;
    line-height: 1.3;
  }
`;

interface RowProps {
  readonly name: string;
  /** Said after the field. */
  readonly unit?: string;
  readonly children: ReactNode;
}

/** One typed value in a panel: its name, its field, its unit. */
export function Row({ name, unit, children }: RowProps): ReactNode {
  return (
    <Field>
      <span className="name">{name}</span>
      <span>
        {children}
        {unit !== undefined && ` ${unit}`}
      </span>
    </Field>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly Picked[];
  readonly onChange: (value: string) => void;
  readonly onOpen?: (() => void) | undefined;
}

const sameOption = (was: Picked, is: Picked | undefined): boolean =>
  is !== undefined &&
  (Object.keys(was) as (keyof Picked)[])
    .concat(Object.keys(is) as (keyof Picked)[])
    .every((key) => was[key] === is[key] || JSON.stringify(was[key]) === JSON.stringify(is[key]));

const sameChoice = (a: ChoiceProps, b: ChoiceProps): boolean =>
  a.label === b.label &&
  a.value === b.value &&
  a.onChange === b.onChange &&
  a.onOpen === b.onOpen &&
  a.options.length === b.options.length &&
  a.options.every((o, i) => sameOption(o, b.options[i]));

/**
 * A choice between named schools, each with its reason in the list.
 * Most edits leave most choices as they are, so it is drawn again only when what it shows has changed.
 */
export const Choice = memo(function Choice({ label, ...pick }: ChoiceProps): ReactNode {
  return (
    <Field>
      <span className="name">{label}</span>
      <Pick label={label} {...pick} />
    </Field>
  );
}, sameChoice);

const Count = styled(AriaNumberField)`
  .react-aria-Group {
    display: flex;
    align-items: center;
    gap: 0.5rem;
  }
  input {
    width: 3.4ch;
    height: var(--target);
    padding: 0;
    border: 1.5px solid transparent;
    border-radius: 2px;
    background: transparent;
    text-align: center;
    ${typedText}
    font-size: 1.25rem;
  }
  input:hover {
    border-color: var(--chalk);
  }
  input:focus {
    ${typedInto}
  }
  button {
    width: var(--target);
    min-height: var(--target);
    display: grid;
    place-items: center;
    padding: 0;
  }
`;

interface StepperProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onChange: (value: number) => void;
}

/** A whole number with a less and a more. */
export const Stepper = memo(function Stepper({ label, value, min, max, onChange }: StepperProps): ReactNode {
  return (
    <Count
      aria-label={label}
      value={value}
      minValue={min}
      maxValue={max}
      step={1}
      onChange={(x) => Number.isFinite(x) && x !== value && onChange(x)}
    >
      <Group>
        <Button slot="decrement" aria-label={`${label}: fewer`}>
          <Minus size={18} aria-hidden />
        </Button>
        <Input />
        <Button slot="increment" aria-label={`${label}: more`}>
          <Plus size={18} aria-hidden />
        </Button>
      </Group>
    </Count>
  );
});
