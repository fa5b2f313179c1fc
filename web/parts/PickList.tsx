import { type ReactNode, type RefObject, useMemo } from 'react';
import { Collection, Header, ListBox, ListBoxItem, ListBoxSection, Popover, Text } from 'react-aria-components';
import styled from 'styled-components';
import type { PickProps, Picked } from './picked';
import { Sentence } from './Said';

const Sheet = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: min(26rem, calc(100vw - 1rem));
  overflow: auto;
  background: var(--sheet);
  color: var(--ink);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  box-shadow: 0 4px 16px rgb(0 0 0 / 0.25);
  .list {
    outline: none;
    display: grid;
  }
  header {
    padding: 0.5rem 0.7rem 0.2rem;
    color: var(--quiet);
    font-size: 0.8125rem;
    font-weight: 600;
  }
  .item {
    display: grid;
    grid-template-columns: 1rem minmax(0, 1fr) auto;
    gap: 0 0.5rem;
    align-items: center;
    min-height: var(--target);
    padding: 0.35rem 0.7rem;
    border-top: 1px solid var(--hair);
    outline: none;
    cursor: pointer;
    line-height: 1.25;
  }
  .item[data-focused] {
    background: var(--hair);
  }
  .item[data-focus-visible] {
    box-shadow: inset 0 0 0 3px var(--chalk);
  }
  .item[data-disabled] {
    color: var(--quiet);
    cursor: default;
  }
  .name {
    font-weight: 600;
    font-size: 0.9375rem;
  }
  .cost {
    color: var(--quiet);
    font-size: 0.875rem;
    white-space: nowrap;
  }
  .why {
    grid-column: 2 / -1;
    color: var(--quiet);
    font-size: 0.8125rem;
  }
  .item[data-focused] .why,
  .item[data-focused] .cost {
    color: var(--ink);
  }
`;

/** The list of a choice: every option with its reason, and what it would cost beside the chosen one. */
export default function PickList({
  label,
  value,
  options,
  onChange,
  anchor,
  onClose,
}: PickProps & { readonly anchor: RefObject<HTMLButtonElement | null>; readonly onClose: () => void }): ReactNode {
  const groups = useMemo(() => {
    const names = [...new Set(options.map((o) => o.group ?? ''))];
    return names.map((name) => ({ name, options: options.filter((o) => (o.group ?? '') === name) }));
  }, [options]);
  return (
    <Sheet triggerRef={anchor} isOpen onOpenChange={(open) => !open && onClose()} placement="bottom start">
      <ListBox
        className="list"
        aria-label={label}
        autoFocus
        selectionMode="single"
        selectedKeys={[value]}
        disabledKeys={options.filter((o) => o.not !== undefined).map((o) => o.value)}
        onSelectionChange={(keys) => {
          const [key] = keys === 'all' ? [] : [...keys];
          onClose();
          // Pressed again, the chosen one stays chosen.
          if (key !== undefined && key !== value) onChange(String(key));
        }}
      >
        {groups.map((g) =>
          g.name === '' ? (
            <Collection key="" items={g.options.map((o) => ({ ...o, id: o.value }))}>
              {(o) => <Item option={o} />}
            </Collection>
          ) : (
            <ListBoxSection key={g.name}>
              <Header>{g.name}</Header>
              <Collection items={g.options.map((o) => ({ ...o, id: o.value }))}>
                {(o) => <Item option={o} />}
              </Collection>
            </ListBoxSection>
          ),
        )}
      </ListBox>
    </Sheet>
  );
}

function Item({ option: o }: { readonly option: Picked }): ReactNode {
  const why = o.not ?? o.why;
  return (
    <ListBoxItem id={o.value} textValue={o.label} className="item">
      {({ isSelected }) => (
        <>
          <svg width="14" height="14" aria-hidden="true" stroke="currentColor" strokeWidth="2" fill="none">
            {isSelected && <path d="M2 7.5 L5.5 11 L12 3" />}
          </svg>
          <Text slot="label" className="name">
            {o.label}
          </Text>
          <span className="cost measure">{o.cost}</span>
          {why !== undefined && (
            <Text slot="description" className="why">
              {typeof why === 'string' ? why : <Sentence phrase={why} />}
            </Text>
          )}
        </>
      )}
    </ListBoxItem>
  );
}
