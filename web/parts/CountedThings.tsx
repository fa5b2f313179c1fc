import { useCatalog } from '../app/hooks';
import type { HardwareItem } from '../../core/catalog/types';
import { type ReactNode, useState } from 'react';
import type { Result } from '../../core/base/result';
import { Pick } from './Pick';
import { Rows } from './lists';
import { CountField } from './CountField';

interface CountedProps {
  /** How many of each thing, by item key; those of nothing are not shown. */
  readonly counts: Readonly<Record<string, number>>;
  readonly onSet: (item: HardwareItem, count: number) => Result<unknown>;
  /** The thing that the last line begins with. */
  readonly first: string;
  /** What the fields are called: which to add, how many of it, and how many of one that is there. */
  readonly labels: { readonly which: string; readonly howMany: string; readonly of: string };
  /** What more is said of a thing. */
  readonly more?: (item: HardwareItem) => ReactNode;
}

/** Counted things of the catalogue, each with its number, and a line to add another. */
export function CountedThings({ counts, onSet, first, labels, more }: CountedProps): ReactNode {
  const [key, setKey] = useState(first);
  const catalog = useCatalog();
  const items = [...catalog.item.values()];
  const chosen = catalog.item.get(key);
  const count = (item: HardwareItem, label: string): ReactNode => (
    <CountField label={label} unit={item.unit} count={counts[item.key] ?? 0} onSet={(n) => onSet(item, n)} />
  );
  return (
    <Rows>
      {items
        .filter((item) => (counts[item.key] ?? 0) > 0)
        .map((item) => (
          <li key={item.key}>
            <b>{item.name}</b>
            <span className="where">{more?.(item)}</span>
            {count(item, `${labels.of}: ${item.name}`)}
          </li>
        ))}
      <li>
        <Pick
          label={labels.which}
          value={key}
          options={items.map((item) => ({ value: item.key, label: item.name }))}
          onChange={setKey}
        />
        <span style={{ color: 'var(--quiet)' }}>how {chosen?.unit === 'm' ? 'much' : 'many'}</span>
        {chosen && count(chosen, labels.howMany)}
      </li>
    </Rows>
  );
}
