import type { ReactNode } from 'react';
import { ToggleButton, ToggleButtonGroup, type Key } from 'react-aria-components';
import styled from 'styled-components';
import { plainButton } from './controls';

/** A press that stays: on or off. */
export const Toggle = styled(ToggleButton)`
  ${plainButton}
  &[data-selected] {
    background: var(--ink);
    color: var(--ground);
  }
`;

const Group = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
`;

interface TogglesProps<K extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: K; readonly label: ReactNode; readonly said?: string }[];
  readonly chosen: readonly K[];
  readonly onChange: (chosen: readonly K[]) => void;
  /** One of them and no more; several where not said. */
  readonly one?: boolean;
}

/** Presses of one question beside one another, any of them on, or one alone. */
export function Toggles<K extends string>({ label, options, chosen, onChange, one }: TogglesProps<K>): ReactNode {
  const known = (keys: Iterable<Key>): readonly K[] =>
    [...keys].flatMap((key) => options.find((o) => o.value === key)?.value ?? []);
  return (
    <Group
      aria-label={label}
      selectionMode={one ? 'single' : 'multiple'}
      disallowEmptySelection={one ?? false}
      selectedKeys={chosen}
      onSelectionChange={(keys) => onChange(known(keys))}
    >
      {options.map((o) => (
        <Toggle key={o.value} id={o.value} {...(o.said !== undefined && { 'aria-label': o.said })}>
          {o.label}
        </Toggle>
      ))}
    </Group>
  );
}
