import type { Option } from '../../core/build/answers/asked';
import { type ReactNode, memo, useId } from 'react';
import { Button as AriaButton, type ButtonProps, Radio, RadioGroup } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { Said } from './Said';

const plainButton = css`
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

const Choices = styled(RadioGroup)`
  display: flex;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--ground);
  .option {
    flex: 1 1 0;
    min-height: var(--target);
    padding: 0.2rem 0.3rem;
    display: grid;
    place-items: center;
    text-align: center;
    font-size: 0.8125rem;
    line-height: 1.15;
    font-weight: 600;
    cursor: pointer;
  }
  .option + .option {
    border-left: 1px solid var(--hair);
  }
  .option[data-selected] {
    background: var(--ink);
    color: var(--ground);
  }
  .option[data-focus-visible] {
    outline: 3px solid var(--chalk);
    outline-offset: 1px;
    z-index: 1;
  }
`;

export const Select = styled.select`
  width: 100%;
  min-height: var(--target);
  padding: 0 0.5rem;
  border: 1px solid var(--hair);
  border-radius: 2px;
  background: var(--ground);
  font-weight: 600;
  font-size: 0.9375rem;
`;

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (value: string) => void;
}

function sameChoice(a: ChoiceProps, b: ChoiceProps): boolean {
  const { options: was, ...before } = a;
  const { options: is, ...after } = b;
  return (
    before.label === after.label &&
    before.value === after.value &&
    before.onChange === after.onChange &&
    was.length === is.length &&
    was.every(
      (o, i) =>
        o.value === is[i]?.value &&
        o.label === is[i].label &&
        (o.why === is[i].why || JSON.stringify(o.why) === JSON.stringify(is[i].why)),
    )
  );
}

/** Letters that stand side by side in a panel, words of one label under one another; and what lies round each label, in letters. */
const LETTERS = 27;
const ROUND = 1.4;

/** Whether labels stand side by side in a panel with no word cut. */
const besides = (options: readonly Option[]): boolean =>
  options.reduce((sum, o) => sum + ROUND + Math.max(...o.label.split(' ').map((w) => w.length)), 0) <= LETTERS;

/**
 * A choice between named schools, with the reason of the chosen one under it.
 * Most edits leave most choices as they are, so it is drawn again only when what it shows has changed.
 */
export const Choice = memo(function Choice({ label, value, options, onChange }: ChoiceProps): ReactNode {
  const id = useId();
  const chosen = options.find((o) => o.value === value);
  const few = options.length <= 4 && options.every((o) => o.label.length <= 15) && besides(options);
  return (
    <Field>
      <span className="name" id={id}>
        {label}
      </span>
      {few ? (
        <Choices aria-labelledby={id} value={value} onChange={onChange} orientation="horizontal">
          {options.map((o) => (
            <Radio key={o.value} value={o.value} className="option">
              {o.label}
            </Radio>
          ))}
        </Choices>
      ) : (
        <Select aria-labelledby={id} value={value} onChange={(e) => onChange(e.target.value)}>
          {options.map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ))}
        </Select>
      )}
      {chosen && (
        <span className="why">{typeof chosen.why === 'string' ? chosen.why : <Said phrase={chosen.why} />}</span>
      )}
    </Field>
  );
}, sameChoice);

const Count = styled.div`
  display: flex;
  align-items: center;
  gap: 0.5rem;
  output {
    min-width: 2.4ch;
    text-align: center;
    font-size: 1.25rem;
    font-weight: 600;
    color: var(--chalk-ink);
  }
  button {
    width: var(--target);
    min-height: var(--target);
    padding: 0;
    font-size: 1.25rem;
    line-height: 1;
  }
`;

/** A whole number with a less and a more. */
export const Stepper = memo(function Stepper({
  label,
  value,
  min,
  max,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onChange: (value: number) => void;
}): ReactNode {
  return (
    <Count role="group" aria-label={label}>
      <Button aria-label={`${label}: fewer`} isDisabled={value <= min} onPress={() => onChange(value - 1)}>
        −
      </Button>
      <output className="measure" aria-live="polite">
        {value}
      </output>
      <Button aria-label={`${label}: more`} isDisabled={value >= max} onPress={() => onChange(value + 1)}>
        +
      </Button>
    </Count>
  );
});
