import type { ReactNode } from 'react';
import { ComboBox, Input, ListBox, ListBoxItem, Text, useAsyncList } from 'react-aria-components';
import styled from 'styled-components';
import * as z from 'zod/mini';
import type { Result } from '../../core/base/result';
import { formatCoordinate } from '../../core/site/coordinate';
import { LEAST_LETTERS, MOST_LETTERS, type Town, townName, townSchema } from '../../core/site/town';
import { Field } from './controls';
import { PickSheet } from './Pick';
import { typedInto, typedText } from './look';

const Box = styled(ComboBox)`
  min-width: 0;
  input {
    width: 100%;
    min-height: var(--target);
    padding: 0 0.6rem;
    border: 1.5px solid var(--chalk);
    border-radius: 2px;
    background: var(--ground);
    ${typedText}
  }
  input:focus {
    ${typedInto}
  }
  .react-aria-Text {
    color: var(--quiet);
    font-size: 0.875rem;
  }
`;

const answerSchema = z.object({ towns: z.array(townSchema) });

async function townsCalled(name: string, signal: AbortSignal): Promise<readonly Town[]> {
  const response = await fetch(`/api/places?${new URLSearchParams({ q: name }).toString()}`, { signal });
  if (!response.ok) throw new Error(`the list of towns answered with ${response.status}`);
  return answerSchema.parse(await response.json()).towns;
}

const keyOf = ({ latitudeDeg, longitudeDeg }: Town): string => `${latitudeDeg} ${longitudeDeg}`;

/** A town found by its name; without the network latitude and longitude are typed. */
export function TownField({ onTown }: { readonly onTown: (town: Town) => Result<unknown> }): ReactNode {
  const list = useAsyncList<Town>({
    load: async ({ signal, filterText = '' }) => {
      const name = filterText.trim();
      return { items: name.length < LEAST_LETTERS ? [] : await townsCalled(name, signal) };
    },
  });
  const typed = list.filterText.trim();
  const nothing =
    list.error !== undefined
      ? 'The list of towns needs the network. Type latitude and longitude instead.'
      : typed.length < LEAST_LETTERS
        ? 'Two letters of its name, please.'
        : list.loadingState === 'idle'
          ? 'No town of that name. Try the next larger one, or type latitude and longitude.'
          : 'Looking…';
  return (
    <Field>
      <span className="name">Town</span>
      <Box
        aria-label="Town"
        items={list.items}
        inputValue={list.filterText}
        onInputChange={list.setFilterText}
        onSelectionChange={(key) => {
          const town = list.items.find((t) => keyOf(t) === key);
          if (!town) return;
          list.setFilterText(townName(town));
          onTown(town);
        }}
        allowsCustomValue
        allowsEmptyCollection
      >
        <Input placeholder="the nearest one" autoComplete="off" maxLength={MOST_LETTERS} />
        <PickSheet>
          <ListBox<Town>
            className="list"
            renderEmptyState={() => (
              <p className="why" role="status">
                {nothing}
              </p>
            )}
          >
            {(town) => (
              <ListBoxItem id={keyOf(town)} className="item" textValue={townName(town)}>
                <span />
                <Text slot="label" className="name">
                  {townName(town)}
                </Text>
                <Text slot="description" className="why">
                  {formatCoordinate(town.latitudeDeg, 'latitude')}, {formatCoordinate(town.longitudeDeg, 'longitude')}
                </Text>
              </ListBoxItem>
            )}
          </ListBox>
        </PickSheet>
      </Box>
    </Field>
  );
}
