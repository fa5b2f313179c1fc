import type { ReactNode } from 'react';
import { formatLength, parseLength } from '../../../core/base/length';
import type { Result } from '../../../core/base/result';
import { useUnits } from '../../app/hooks';
import { MaybeNumber } from '../../parts/MaybeNumber';
import { Pick } from '../../parts/Pick';
import { TypedField } from '../../parts/TypedField';
import { Button, Field, Row } from '../../parts/controls';

/** A number that may be left unsaid, with its name and unit. */
export function Maybe({
  name,
  label,
  unit,
  ...field
}: {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly onSet: (value: number | null) => Result<unknown>;
}): ReactNode {
  return (
    <Row name={name} unit={unit}>
      <MaybeNumber label={`${label}; nothing means any`} unsaid="any" {...field} />
    </Row>
  );
}

/** A length that may be left unsaid. */
export function MaybeLength({
  name,
  label,
  valueMm,
  onSet,
}: {
  readonly name: string;
  readonly label: string;
  readonly valueMm: number | null;
  readonly onSet: (mm: number | null) => Result<unknown>;
}): ReactNode {
  const { length } = useUnits();
  return (
    <Row name={name}>
      <TypedField
        label={`${label}; nothing means any`}
        shown={valueMm === null ? 'any' : formatLength(valueMm, length)}
        boxed
        take={(text) => {
          if (text.trim() === '' || text.trim() === 'any') return onSet(null);
          const read = parseLength(text, length);
          return read.ok ? onSet(read.value) : read;
        }}
      />
    </Row>
  );
}

/** A few of many, each taken away again with a press. */
export function Several<K extends string>({
  name,
  add,
  chosen,
  options,
  onSet,
}: {
  readonly name: string;
  readonly add: string;
  readonly chosen: readonly K[];
  readonly options: readonly { readonly value: K; readonly label: string }[];
  readonly onSet: (keys: K[]) => void;
}): ReactNode {
  const nameOf = (key: K): string => options.find((o) => o.value === key)?.label ?? key;
  return (
    <Field>
      <span className="name">{name}</span>
      <span className="chips">
        {chosen.map((key) => (
          <Button
            key={key}
            aria-label={`${name}: take ${nameOf(key)} out`}
            onPress={() => onSet(chosen.filter((k) => k !== key))}
          >
            {nameOf(key)} ×
          </Button>
        ))}
        <Pick
          label={add}
          value=""
          empty={add}
          options={options.filter((o) => !chosen.includes(o.value))}
          onChange={(key) => onSet([...chosen, ...options.flatMap((o) => (o.value === key ? [o.value] : []))])}
        />
      </span>
    </Field>
  );
}
