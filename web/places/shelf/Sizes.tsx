import { addSize, removeSize, resetSize } from '../../../core/commands/catalog';
import { setPrice } from '../../../core/commands/shelf';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { type Entry, ownSizeName } from '../../../core/catalog/own';
import { pricedThings } from '../../../core/show/prices';
import { fail, ok } from '../../../core/base/result';
import { currencyDecimals } from '../../../core/base/amount';
import { formatLength } from '../../../core/base/length';
import { useCatalog, useGarden, useRun } from '../../app/hooks';
import { Button } from '../../parts/controls';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { FigureValue, FiguresTable, type ThingProps, useFigures } from './Figures';

/** Something typed in a line of words. */
export const Adding = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.8rem;
  align-items: center;
`;

/** The sizes an entry is sold in, measured and priced. */
export function Sizes({ kind, entry }: ThingProps): ReactNode {
  const garden = useGarden();
  const { units } = garden;
  const run = useRun();
  const figures = useFigures({ kind, entry });
  const catalog = useCatalog();
  const priced = pricedThings(catalog).filter((t) => t.of === `${kind} ${entry.key}`);
  if (priced.length === 0) return null;
  /** A size is named by what follows the entry in its price key. */
  const nameOf = (key: string): string => {
    const name = key.slice(key.indexOf(' ') + entry.key.length + 2);
    return kind === 'bar' ? `${name} mm` : name;
  };
  const ownSize = (name: string) =>
    garden.catalog.sizes.find((s) => s.kind === kind && s.key === entry.key && ownSizeName(s) === name);
  return (
    <>
      <FiguresTable>
        <thead>
          <tr>
            <th scope="col">Sold as</th>
            {kind !== 'item' && <th scope="col">Real size</th>}
            <th scope="col">Price, {units.currency}</th>
            <th scope="col">Shipped price</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {priced.map((t) => {
            const name = nameOf(t.key);
            const sides = figures.all.filter((f) => f.id === `widthMm ${name}` || f.id === `lengthMm ${name}`);
            const yours = ownSize(name);
            const changed = t.key in garden.prices || sides.some((f) => figures.changed(f.id));
            return (
              <tr key={t.key}>
                <td>
                  {kind === 'item'
                    ? t.size
                    : kind === 'bar'
                      ? formatLength(Number(name.slice(0, -3)), units.length)
                      : name}
                </td>
                {kind !== 'item' && (
                  <td>
                    {sides.map((f, i) => (
                      <span key={f.id}>
                        {i > 0 && ' × '}
                        <FigureValue f={f} name={entry.name} onSet={(x) => figures.set(f.id, x)} />
                      </span>
                    ))}
                  </td>
                )}
                <td className="measure">
                  <NumberField
                    label={`Price of ${entry.name}, ${name}`}
                    value={garden.prices[t.key] ?? t.shipped}
                    decimals={currencyDecimals(units.currency)}
                    min={0}
                    max={100000}
                    onSet={(x) => run((g) => setPrice(g, t.key, entry.name, x))}
                  />
                </td>
                <td className="measure shipped">{yours ? '–' : t.shipped.toFixed(currencyDecimals(units.currency))}</td>
                <td>
                  {yours ? (
                    <Button
                      aria-label={`Remove the size ${name} of ${entry.name}`}
                      onPress={() => void run((g) => removeSize(g, { kind, entry }, yours, name))}
                    >
                      Remove
                    </Button>
                  ) : (
                    changed && (
                      <Button
                        aria-label={`Reset ${entry.name}, ${name}`}
                        onPress={() => void run((g) => resetSize(g, { kind, entry }, t.key, name))}
                      >
                        Reset
                      </Button>
                    )
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </FiguresTable>
      {(kind === 'bar' || kind === 'sheet' || kind === 'cover') && (
        <AddSize key={entry.key} kind={kind} entry={entry} />
      )}
    </>
  );
}

/** A size that the shop here sells beside the shipped ones; typing its price adds it. */
function AddSize({ kind, entry }: { readonly kind: 'bar' | 'sheet' | 'cover'; readonly entry: Entry }): ReactNode {
  const run = useRun();
  const [size, setSize] = useState<{ readonly widthMm?: number; readonly lengthMm?: number }>({});
  const side = (which: 'widthMm' | 'lengthMm', said: string): ReactNode => (
    <LengthField
      label={`${said} of another size of ${entry.name}`}
      valueMm={size[which]}
      hint={said.toLowerCase()}
      boxed
      positive
      onSet={(mm) => {
        setSize((s) => ({ ...s, [which]: mm }));
        return ok(mm);
      }}
    />
  );
  return (
    <Adding>
      <span>Another size:</span>
      {kind !== 'bar' && (
        <>
          {side('widthMm', 'Width')} <span>×</span>
        </>
      )}
      {side('lengthMm', 'Length')}
      <TypedField
        label={`Price of another size of ${entry.name}`}
        shown="price"
        boxed
        take={(text) => {
          const price = Number(text.trim().replace(',', '.'));
          const { widthMm, lengthMm } = size;
          if (text.trim() === '' || !Number.isFinite(price) || price < 0)
            return fail('price', `“${text}” is not a price.`);
          if (lengthMm === undefined || (kind !== 'bar' && widthMm === undefined))
            return fail('price', 'Type the size first.');
          const made = {
            kind,
            key: entry.key,
            lengthMm,
            ...(kind !== 'bar' && widthMm !== undefined && { widthMm }),
            price,
          };
          const answer = run((g) => addSize(g, { kind, entry }, made));
          if (answer.ok) setSize({});
          return answer;
        }}
      />
      <span className="quiet">Enter adds it</span>
    </Adding>
  );
}
