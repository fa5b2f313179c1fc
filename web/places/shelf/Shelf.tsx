import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { HARDWARE } from '../../../core/catalog/hardware';
import { pricesCsv, readPricesCsv } from '../../../core/files/prices';
import { type Fault, failAll, ok } from '../../../core/result';
import { PlaceHead } from '../../app/Shell';
import { useEdit, useGarden } from '../../app/hooks';
import { freshName, newId } from '../../app/names';
import { Button, Select } from '../../parts/controls';
import { Body, Panel } from '../../parts/layout';
import { FileFaults, OpenFile } from '../../parts/OpenFile';
import { saveFile } from '../../parts/saveFile';
import { NumberField, TypedField } from '../../parts/TypedField';
import { OnHand, Rows } from '../saw/Saw';

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 0.9rem 1.25rem;
  display: grid;
  align-content: start;
  gap: 2rem;
  > section {
    max-width: 44rem;
  }
  .faults {
    display: grid;
    gap: 0.2rem;
    padding: 0.7rem 0.9rem;
    border-left: 4px solid var(--fails);
    background: var(--sheet);
  }
  @media (max-width: 760px) {
    padding: 0.9rem 0.6rem;
  }
`;

/** What is on hand, and what things cost. */
export function Shelf(): ReactNode {
  const garden = useGarden();
  return (
    <>
      <PlaceHead title="Shelf" subtitle={`what ${garden.name} has, and what things cost`} />
      <Body>
        <Page tabIndex={0} role="region" aria-label="On hand">
          <OnHand />
          <OwnedThings />
        </Page>
        <Panel aria-label="Prices">
          <PriceLists />
        </Panel>
      </Body>
    </>
  );
}

/** Counted things on hand: they are taken off what is bought. */
function OwnedThings(): ReactNode {
  const garden = useGarden();
  const edit = useEdit();
  const [key, setKey] = useState('screw-2-1/2');
  const owned = Object.entries(garden.owned).filter(([k, n]) => n > 0 && HARDWARE.find(k) !== undefined);
  const set = (id: string, name: string, n: number) => {
    const faults = edit(`Own ${name}`, (g) => void (g.owned[id] = n));
    return faults.length > 0 ? failAll(faults) : ok(n);
  };
  return (
    <section aria-label="Counted things on hand" data-testid="owned">
      <h2>Counted things on hand</h2>
      <Rows>
        {owned.map(([id, n]) => {
          const item = HARDWARE.find(id);
          if (!item) return null;
          return (
            <li key={id}>
              <b>{item.name}</b>
              <span>{item.unit === 'm' ? 'metres' : ''}</span>
              <NumberField
                label={`On hand: ${item.name}`}
                value={n}
                decimals={0}
                min={0}
                max={100000}
                onSet={(x) => set(id, item.name, x)}
              />
            </li>
          );
        })}
        <li>
          <Select aria-label="What to add" value={key} onChange={(e) => setKey(e.target.value)}>
            {[...HARDWARE.all().values()].map((item) => (
              <option key={item.key} value={item.key}>
                {item.name}
              </option>
            ))}
          </Select>
          <span style={{ color: 'var(--quiet)' }}>how many</span>
          <NumberField
            label="How many of it are on hand"
            value={garden.owned[key] ?? 0}
            decimals={0}
            min={0}
            max={100000}
            onSet={(x) => set(key, HARDWARE.find(key)?.name ?? key, x)}
          />
        </li>
      </Rows>
    </section>
  );
}

/** Named lists of prices: kept, used, saved and opened as CSV. */
function PriceLists(): ReactNode {
  const garden = useGarden();
  const edit = useEdit();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const changed = Object.keys(garden.prices).length;
  const names = garden.priceLists.map((l) => l.name);
  const same = (prices: object): boolean => JSON.stringify(prices) === JSON.stringify(garden.prices);
  const take = async (file: File): Promise<void> => {
    const read = readPricesCsv(await file.text());
    if (!read.ok) {
      setFaults({ file: file.name, list: read.faults });
      return;
    }
    setFaults(undefined);
    const name = freshName(file.name.replace(/\.csv$/i, '').slice(0, 50) || 'Prices', names);
    edit(`Open the prices ${name}`, (g) => {
      g.priceLists.push({ id: newId(), name, prices: { ...read.value } });
      g.prices = { ...read.value };
    });
  };
  return (
    <section aria-label="Price lists" data-testid="price-lists">
      <h2>Price lists</h2>
      <p>
        {changed === 0
          ? 'The shipped prices are in force. They are made up.'
          : `${changed} ${changed === 1 ? 'price differs' : 'prices differ'} from the shipped ones.`}
      </p>
      <Rows>
        <li>
          <b>Shipped</b>
          <span>{changed === 0 && 'in force'}</span>
          <Button
            isDisabled={changed === 0}
            aria-label="Use the shipped prices"
            onPress={() => void edit('Use the shipped prices', (g) => void (g.prices = {}))}
          >
            Use
          </Button>
        </li>
        {garden.priceLists.map((l) => (
          <li key={l.id}>
            <b>{l.name}</b>
            <span>
              {same(l.prices) ? 'in force' : ''}{' '}
              <Button
                aria-label={`Save ${l.name} as CSV`}
                onPress={() => saveFile(`${l.name}.csv`, 'text/csv', pricesCsv(l.prices))}
              >
                CSV
              </Button>{' '}
              <Button
                aria-label={`Remove ${l.name}`}
                onPress={() =>
                  void edit(`Remove ${l.name}`, (g) => void (g.priceLists = g.priceLists.filter((x) => x.id !== l.id)))
                }
              >
                Remove
              </Button>
            </span>
            <Button
              isDisabled={same(l.prices)}
              aria-label={`Use ${l.name}`}
              onPress={() => void edit(`Use the prices ${l.name}`, (g) => void (g.prices = { ...l.prices }))}
            >
              Use
            </Button>
          </li>
        ))}
      </Rows>
      <div style={{ display: 'grid', gap: '0.6rem', justifyItems: 'start', paddingTop: '0.8rem' }}>
        <span>
          Keep the prices in force as{' '}
          <TypedField
            label="Name of the list to keep"
            shown="a name"
            boxed
            take={(text) => {
              const found = edit(
                `Keep the prices ${text.trim()}`,
                (g) =>
                  void g.priceLists.push({ id: newId(), name: freshName(text.trim(), names), prices: { ...g.prices } }),
              );
              return found.length > 0 ? failAll(found) : ok(text);
            }}
          />
        </span>
        <Button onPress={() => saveFile(`${garden.name} prices.csv`, 'text/csv', pricesCsv(garden.prices))}>
          Save the prices in force as CSV
        </Button>
        <OpenFile
          label="Open a price list"
          fileLabel="Price list file"
          accept=".csv,text/csv"
          onFile={(file) => void take(file)}
        />
      </div>
      {faults && <FileFaults file={faults.file} faults={faults.list} />}
    </section>
  );
}
