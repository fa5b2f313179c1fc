import { Check, ChevronsUpDown } from 'lucide-react';
import { type ReactNode, memo, useMemo } from 'react';
import {
  Button,
  Collection,
  Header,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  Popover,
  Select,
  SelectValue,
  Text,
} from 'react-aria-components';
import styled from 'styled-components';
import type { PickProps, Picked } from './picked';
import { Sentence } from './Said';
import { overPage } from './look';

const Box = styled(Select)`
  min-width: 0;
  > button {
    width: 100%;
    min-height: var(--target);
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 0.4rem;
    padding: 0.2rem 0.6rem;
    border: 1px solid var(--hair);
    border-radius: 2px;
    background: var(--ground);
    color: var(--ink);
    font: inherit;
    font-weight: 600;
    font-size: 0.9375rem;
    line-height: 1.2;
    text-align: left;
    cursor: pointer;
    overflow-wrap: anywhere;
  }
  > button:hover {
    border-color: var(--ink);
  }
`;

/** The list that opens under a choice. */
export const PickSheet = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: min(26rem, calc(100vw - 1rem));
  overflow: auto;
  ${overPage}
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
  p.why {
    margin: 0;
    padding: 0.6rem 0.7rem;
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

/** Chooses one of several things: every one with its reason, and what it would cost beside the chosen one. */
export const Pick = memo(function Pick({
  label,
  value,
  options,
  onChange,
  empty = 'choose',
  onOpen,
  className,
}: PickProps): ReactNode {
  const groups = useMemo(() => {
    const names = [...new Set(options.map((o) => o.group ?? ''))];
    return names.map((name) => ({ name, options: options.filter((o) => (o.group ?? '') === name) }));
  }, [options]);
  const chosen = options.find((o) => o.value === value);
  return (
    <Box
      aria-label={label}
      className={className ?? ''}
      value={chosen ? value : null}
      disabledKeys={options.filter((o) => o.not !== undefined).map((o) => o.value)}
      onOpenChange={(open) => open && onOpen?.()}
      // Pressed again, the chosen one stays chosen.
      onChange={(key) => key !== null && key !== value && onChange(String(key))}
    >
      <Button>
        <SelectValue>{chosen?.label ?? empty}</SelectValue>
        <ChevronsUpDown size={14} aria-hidden />
      </Button>
      <PickSheet placement="bottom start">
        <ListBox className="list">
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
      </PickSheet>
    </Box>
  );
});

function Item({ option: o }: { readonly option: Picked }): ReactNode {
  const why = o.not ?? o.why;
  return (
    <ListBoxItem id={o.value} textValue={o.label} className="item">
      {({ isSelected }) => (
        <>
          <span>{isSelected && <Check size={16} aria-hidden />}</span>
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
