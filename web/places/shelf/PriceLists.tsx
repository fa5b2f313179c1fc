import { addPriceList, keepPrices, removePriceList, takePrices, takeShippedPrices } from '../../../core/commands/shelf';
import { type ReactNode, useState } from 'react';
import { pricesCsv, readPricesCsv } from '../../../core/show/prices';
import type { Fault } from '../../../core/base/result';
import { useCatalog, useRun, useGarden } from '../../app/hooks';
import { newId } from '../../app/names';
import { Button } from '../../parts/controls';
import { FileFaults, OpenFile } from '../../parts/OpenFile';
import { Rows } from '../../parts/lists';
import { saveFile } from '../../parts/saveFile';
import { TypedField } from '../../parts/TypedField';

/** Named lists of prices: kept, used, saved and opened as CSV. */
export function PriceLists(): ReactNode {
  const garden = useGarden();
  const catalog = useCatalog();
  const run = useRun();
  const [faults, setFaults] = useState<{ readonly file: string; readonly list: readonly Fault[] }>();
  const changed = Object.keys(garden.prices).length;
  const same = (prices: object): boolean => JSON.stringify(prices) === JSON.stringify(garden.prices);
  const take = async (file: File): Promise<void> => {
    const read = readPricesCsv(catalog, await file.text());
    if (!read.ok) {
      setFaults({ file: file.name, list: read.faults });
      return;
    }
    setFaults(undefined);
    const name = file.name.replace(/\.csv$/i, '').slice(0, 50) || 'Prices';
    run((g) => addPriceList(g, newId(), name, read.value));
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
            onPress={() => void run(takeShippedPrices)}
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
                onPress={() => saveFile(`${l.name}.csv`, 'text/csv', pricesCsv(catalog, l.prices))}
              >
                CSV
              </Button>{' '}
              <Button aria-label={`Remove ${l.name}`} onPress={() => void run((g) => removePriceList(g, l.id))}>
                Remove
              </Button>
            </span>
            <Button
              isDisabled={same(l.prices)}
              aria-label={`Use ${l.name}`}
              onPress={() => void run((g) => takePrices(g, l.id))}
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
            take={(text) => run((g) => keepPrices(g, newId(), text))}
          />
        </span>
        <Button onPress={() => saveFile(`${garden.name} prices.csv`, 'text/csv', pricesCsv(catalog, garden.prices))}>
          Save the prices in force as CSV
        </Button>
        <OpenFile
          label="Open a price list"
          takes="prices"
          accept={['.csv', 'text/csv']}
          onFile={(file) => void take(file)}
        />
      </div>
      {faults && <FileFaults file={faults.file} faults={faults.list} />}
    </section>
  );
}
