import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { type Entry, type OwnCatalog, ownSizeName } from '../../../core/catalog/own';
import { pricedThings } from '../../../core/show/prices';
import { fail, ok } from '../../../core/base/result';
import { currencyDecimals } from '../../../core/base/amount';
import { formatLength } from '../../../core/base/length';
import { useCatalog, useGarden, useTake } from '../../app/hooks';
import { Button } from '../../parts/controls';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { FigureValue, FiguresTable, type ThingProps, useFigures, useOwn } from './Figures';

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
  const take = useTake();
  const own = useOwn();
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
  const without = (figures: OwnCatalog['figures'], name: string): OwnCatalog['figures'] =>
    figures.filter((f) => f.kind !== kind || f.key !== entry.key || !f.figure.endsWith(` ${name}`));
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
                    onSet={(x) => take(`Price ${entry.name}`, (g) => void (g.prices[t.key] = x))}
                  />
                </td>
                <td className="measure shipped">{yours ? '–' : t.shipped.toFixed(currencyDecimals(units.currency))}</td>
                <td>
                  {yours ? (
                    <Button
                      aria-label={`Remove the size ${name} of ${entry.name}`}
                      onPress={() =>
                        void own(`Remove a size of ${entry.name}`, (c) => {
                          c.sizes = c.sizes.filter(
                            (s) => s.key !== yours.key || s.lengthMm !== yours.lengthMm || s.widthMm !== yours.widthMm,
                          );
                          c.figures = without(c.figures, name);
                        })
                      }
                    >
                      Remove
                    </Button>
                  ) : (
                    changed && (
                      <Button
                        aria-label={`Reset ${entry.name}, ${name}`}
                        onPress={() =>
                          void take(`Reset ${entry.name}`, (g) => {
                            g.prices = Object.fromEntries(Object.entries(g.prices).filter(([k]) => k !== t.key));
                            g.catalog.figures = without(g.catalog.figures, name);
                          })
                        }
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
  const own = useOwn();
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
          const answer = own(`Add a size of ${entry.name}`, (c) => {
            c.sizes.push({
              kind,
              key: entry.key,
              lengthMm,
              ...(kind !== 'bar' && widthMm !== undefined && { widthMm }),
              price,
            });
          });
          if (answer.ok) setSize({});
          return answer;
        }}
      />
      <span className="quiet">Enter adds it</span>
    </Adding>
  );
}
