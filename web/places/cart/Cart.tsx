import { type ReactNode, useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { ShoppingLine, ShoppingList } from '../../../core/buying/shopping';
import { HARDWARE, hardwareItem } from '../../../core/catalog/hardware';
import type { Cover } from '../../../core/files/garden';
import { shoppingCsv, shoppingText } from '../../../core/files/csv';
import { phraseText } from '../../../core/figure';
import { currencyDecimals, formatMoney } from '../../../core/units/amount';
import { PlaceHead } from '../../app/Shell';
import { Strip } from '../../app/Strip';
import { useCurrent } from '../../app/current';
import { useAppDispatch, useEdit, useGarden, useTake, useUnits } from '../../app/hooks';
import { said } from '../../app/store';
import { useOutline, useWork } from '../../app/usePlan';
import { Button, Select } from '../../parts/controls';
import { Rows } from '../../parts/Rows';
import { saveFile } from '../../parts/saveFile';
import { NumberField, TypedField } from '../../parts/TypedField';
import { Body, Panel } from '../../parts/layout';

const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  min-width: 0;
  padding: 0.5rem 1.25rem 1rem;
  @media (max-width: 760px) {
    padding: 0.5rem 0.6rem 1rem;
  }
`;

export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 0.9375rem;
  th {
    text-align: left;
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.8125rem;
    padding: 0.4rem 0.5rem 0.4rem 0;
    position: sticky;
    top: -0.5rem;
    background: var(--ground);
    z-index: 1;
  }
  td {
    padding: 0.35rem 0.5rem 0.35rem 0;
    border-top: 1px solid var(--hair);
    vertical-align: middle;
  }
  .got input {
    width: 1.6rem;
    height: 1.6rem;
    accent-color: var(--ink);
  }
  .note {
    padding-left: 0.6rem;
  }
  .note input {
    height: 1.6rem;
    padding: 0;
    font: inherit;
    font-size: 0.8125rem;
    text-align: left;
    color: var(--quiet);
    background: transparent;
  }
  .number {
    text-align: right;
    white-space: nowrap;
  }
  .aisle td {
    padding-top: 1.1rem;
    border-top: 0;
    font-weight: 600;
    font-size: 1rem;
  }
  .thing b {
    display: block;
  }
  .thing small {
    color: var(--quiet);
    font-size: 0.8125rem;
  }
  @media print {
    /* Once at the end, not at the foot of every page. */
    tfoot {
      display: table-row-group;
    }
    .aisle {
      break-after: avoid;
    }
  }
  tfoot td {
    border-top: 1.5px solid var(--ink);
    font-weight: 600;
  }
  @media (max-width: 760px) {
    .wide-only {
      display: none;
    }
    /* For a thumb, with the other hand on the trolley. */
    .got input {
      width: 2.6rem;
      height: 2.6rem;
    }
    .note {
      display: block;
      padding: 0;
    }
  }
`;

function needText(line: ShoppingLine): string {
  return line.unit === 'm' ? `${line.need} m` : String(line.need);
}

interface CartTableProps {
  readonly list: ShoppingList;
  /** Prices and owned amounts as fields; as plain figures on paper. */
  readonly typed: boolean;
}

/** The list by aisle. */
export function CartTable({ list, typed }: CartTableProps): ReactNode {
  const units = useUnits();
  const edit = useEdit();
  const take = useTake();
  const { got, notes } = useGarden();
  const tick = (l: ShoppingLine, on: boolean): void =>
    void edit(`${on ? 'Got' : 'Put back'} ${l.name}`, (g) => {
      g.got = on ? [...g.got, l.priceKey] : g.got.filter((key) => key !== l.priceKey);
    });
  const money = (x: number): string => formatMoney(x, units.currency);
  const aisles = [...new Set(list.lines.map((l) => l.aisle))];
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Got</th>
          <th scope="col">Thing</th>
          <th scope="col" className="number wide-only">
            Need
          </th>
          <th scope="col" className="number wide-only">
            Owned
          </th>
          <th scope="col" className="number">
            Buy
          </th>
          <th scope="col" className="number">
            Each, {units.currency}
          </th>
          <th scope="col" className="number wide-only">
            Pay
          </th>
          <th scope="col" className="number wide-only">
            Used of it
          </th>
        </tr>
      </thead>
      <tbody>
        {aisles.flatMap((aisle) => [
          <tr className="aisle" key={aisle}>
            <td colSpan={9}>{aisle}</td>
          </tr>,
          ...list.lines
            .filter((l) => l.aisle === aisle)
            .map((l) => (
              <tr key={l.priceKey} data-line={l.key}>
                <td className="got">
                  {typed ? (
                    <input
                      type="checkbox"
                      aria-label={`In the basket: ${l.name}, ${phraseText(l.size, units)}`}
                      checked={got.includes(l.priceKey)}
                      onChange={(e) => tick(l, e.target.checked)}
                    />
                  ) : (
                    '☐'
                  )}
                </td>
                <td className="thing">
                  <b>
                    {l.name}, {phraseText(l.size, units)}
                  </b>
                  <small>
                    {l.uses
                      .map((u) => (l.unit === 'bar' || l.unit === 'roll' ? u.joint : `${u.count}: ${u.joint}`))
                      .join(' · ')}
                  </small>
                  <Note line={l} typed={typed} note={notes[l.priceKey] ?? ''} />
                </td>
                <td className="number measure wide-only">{needText(l)}</td>
                <td className="number measure wide-only">
                  {typed && l.canOwn ? (
                    <NumberField
                      label={`Owned: ${l.name}`}
                      value={l.owned}
                      decimals={0}
                      min={0}
                      max={100000}
                      onSet={(n) => take(`Own ${l.name}`, (g) => void (g.owned[l.key] = n))}
                    />
                  ) : l.canOwn ? (
                    l.owned
                  ) : (
                    'shelf'
                  )}
                </td>
                <td className="number measure">
                  <b>{l.packs}</b>
                </td>
                <td className="number measure">
                  {typed ? (
                    <NumberField
                      label={`Price of ${l.name}, ${phraseText(l.size, units)}`}
                      value={l.price}
                      decimals={currencyDecimals(units.currency)}
                      min={0}
                      max={100000}
                      onSet={(price) => take(`Price ${l.name}`, (g) => void (g.prices[l.priceKey] = price))}
                    />
                  ) : (
                    money(l.price)
                  )}
                </td>
                <td className="number measure wide-only">{money(l.paid)}</td>
                <td className="number measure wide-only">{money(l.used)}</td>
              </tr>
            )),
        ])}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2}>In all</td>
          <td className="wide-only" />
          <td className="wide-only" />
          <td />
          <td className="wide-only" />
          <td className="number measure" data-testid="cart-paid">
            {money(list.paid)}
          </td>
          <td className="number measure wide-only">{money(list.used)}</td>
        </tr>
      </tfoot>
    </Table>
  );
}

/** A word to oneself beside a line: which shop, which colour. */
function Note({
  line,
  typed,
  note,
}: {
  readonly line: ShoppingLine;
  readonly typed: boolean;
  readonly note: string;
}): ReactNode {
  const take = useTake();
  if (!typed) return note === '' ? null : <em>{note}</em>;
  return (
    <span className={note === '' ? 'note screen-only' : 'note'}>
      <TypedField
        label={`Note on ${line.name}`}
        shown={note === '' ? 'note' : note}
        take={(text) =>
          take(`Note on ${line.name}`, (g) => {
            if (text.trim() === '')
              g.notes = Object.fromEntries(Object.entries(g.notes).filter(([k]) => k !== line.priceKey));
            else g.notes[line.priceKey] = text.trim();
          })
        }
      />
    </span>
  );
}

/** Things that no part of the cover asks for, bought with it all the same. */
function AlsoBuy({ cover }: { readonly cover: Cover }): ReactNode {
  const take = useTake();
  const [key, setKey] = useState('seam-tape');
  const set = (itemKey: string, name: string, count: number) =>
    take(`Buy ${name}`, (g) => {
      const also = g.covers.find((c) => c.id === cover.id)?.also;
      if (!also) return;
      const found = also.find((a) => a.itemKey === itemKey);
      if (found) found.count = count;
      else also.push({ itemKey, count });
    });
  const wanted = cover.also.filter((a) => a.count > 0);
  const amountOf = (itemKey: string): number => cover.also.find((a) => a.itemKey === itemKey)?.count ?? 0;
  return (
    <section aria-label="Also buy" data-testid="also">
      <h2>Also buy</h2>
      <Rows>
        {wanted.map((a) => (
          <li key={a.itemKey}>
            <b>{hardwareItem(a.itemKey).name}</b>
            <span>{hardwareItem(a.itemKey).unit === 'm' ? 'metres' : ''}</span>
            <NumberField
              label={`Also buy: ${hardwareItem(a.itemKey).name}`}
              value={a.count}
              decimals={0}
              min={0}
              max={100000}
              onSet={(n) => set(a.itemKey, hardwareItem(a.itemKey).name, n)}
            />
          </li>
        ))}
        <li>
          <Select aria-label="What else to buy" value={key} onChange={(e) => setKey(e.target.value)}>
            {[...HARDWARE.all().values()].map((item) => (
              <option key={item.key} value={item.key}>
                {item.name}
              </option>
            ))}
          </Select>
          <span />
          <NumberField
            label="How many of it to buy"
            value={amountOf(key)}
            decimals={0}
            min={0}
            max={100000}
            onSet={(n) => set(key, hardwareItem(key).name, n)}
          />
        </li>
      </Rows>
    </section>
  );
}

/** Buy it once: by aisle, in packs, less what is owned. */
export function Cart(): ReactNode {
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const units = useUnits();
  if (!cover || !bed) return <Navigate to="/plot" replace />;
  if (!outlined?.ok) return <Navigate to={`/bench/${cover.id}`} replace />;
  const list = work.work?.shopping;
  return (
    <>
      <PlaceHead title="Shopping list" subtitle={cover.name}>
        <Button onPress={() => void navigate('/together/cart')}>All covers</Button>
        {work.work && (
          <Button
            onPress={() =>
              work.work &&
              void navigator.clipboard.writeText(shoppingText({ garden: outlined.value.garden, ...work.work })).then(
                () => dispatch(said('The list is copied: paste it into a message.')),
                () => dispatch(said('This browser does not let the list be copied. Save it as CSV or print it.')),
              )
            }
          >
            Copy as text
          </Button>
        )}
        {work.work && (
          <Button
            onPress={() =>
              work.work &&
              saveFile(
                `${cover.name} shopping.csv`,
                'text/csv',
                shoppingCsv({ garden: outlined.value.garden, ...work.work }),
              )
            }
          >
            Save as CSV
          </Button>
        )}
        <Button $strong onPress={() => void navigate(`/paper/${cover.id}`)}>
          Print
        </Button>
      </PlaceHead>
      <Body>
        <Scroll tabIndex={0} role="region" aria-label="Shopping list">
          {work.problem !== undefined && <p role="alert">{work.problem}</p>}
          {list ? <CartTable list={list} typed /> : work.problem === undefined && <p>Working out the list…</p>}
        </Scroll>
        <Panel aria-label="What it comes to">
          {list && (
            <section aria-label="Paid and used">
              <h2>Paid and used</h2>
              <p>
                You pay <b className="measure">{formatMoney(list.paid, units.currency)}</b> for whole bars, rolls and
                packs. This cover uses up <b className="measure">{formatMoney(list.used, units.currency)}</b> of it; the
                rest goes to the shelf for the next one.
              </p>
            </section>
          )}
          <section aria-label="Prices">
            <h2>Prices</h2>
            <p>
              The shipped prices are made up. Type your shop’s over them: they stay with this garden, for every cover.
            </p>
          </section>
          <AlsoBuy cover={cover} />
          {list && list.lines.some((l) => l.leftOver > 0) && (
            <section aria-label="Left over">
              <h2>Left over from packs</h2>
              <ul>
                {list.lines
                  .filter((l) => l.leftOver > 0)
                  .map((l) => (
                    <li key={l.key}>
                      <span className="measure">{l.leftOver}</span> {l.name}
                    </li>
                  ))}
              </ul>
            </section>
          )}
        </Panel>
        <Strip cover={cover} outline={outlined.value} work={work} />
      </Body>
    </>
  );
}
