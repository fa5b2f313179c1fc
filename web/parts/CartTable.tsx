import { countOf } from '../../core/catalog/counted';
import { AISLES } from '../../core/catalog/types';
import { setGot, setNote, setOwned, setPrice } from '../../core/commands/shelf';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { ShoppingLine, ShoppingList } from '../../core/make/buying/shopping';
import { phraseText } from '../../core/base/figure';
import { currencyDecimals, formatMoney } from '../../core/base/amount';
import { useRun, useGarden, useUnits } from '../app/hooks';
import { CountField } from './CountField';
import { ListTable } from './lists';
import { NumberField, TypedField } from './TypedField';
import { Tick } from './Tick';

const List = styled(ListTable)`
  th {
    position: sticky;
    top: -0.5rem;
    background: var(--ground);
    z-index: 1;
  }
  td {
    vertical-align: middle;
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
    .got .box {
      width: 2.6rem;
      height: 2.6rem;
    }
    .note {
      display: block;
      padding: 0;
    }
  }
`;

interface CartTableProps {
  readonly list: ShoppingList;
  /** Prices and owned amounts as fields; as plain figures on paper. */
  readonly typed: boolean;
}

/** The list by aisle. */
export function CartTable({ list, typed }: CartTableProps): ReactNode {
  const units = useUnits();
  const run = useRun();
  const { got, notes } = useGarden();
  const tick = (l: ShoppingLine, on: boolean): void => void run((g) => setGot(g, l.priceKey, l.name, on));
  const money = (x: number): string => formatMoney(x, units.currency);
  const count = ({ unit }: ShoppingLine, n: number): string => phraseText([countOf(unit, n)], units);
  const aisles = [...new Set(list.lines.map((l) => l.aisle))];
  return (
    <List>
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
            <td colSpan={9}>{AISLES[aisle]}</td>
          </tr>,
          ...list.lines
            .filter((l) => l.aisle === aisle)
            .map((l) => (
              <tr key={l.priceKey} data-line={l.key}>
                <td className="got">
                  {typed ? (
                    <Tick
                      label={`In the basket: ${l.name}, ${phraseText(l.size, units)}`}
                      on={got.includes(l.priceKey)}
                      onChange={(on) => tick(l, on)}
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
                      .map((u) =>
                        l.unit === 'bar' || l.unit === 'roll' ? u.joint : `${count(l, u.count)}: ${u.joint}`,
                      )
                      .join(' · ')}
                  </small>
                  <Note line={l} typed={typed} note={notes[l.priceKey] ?? ''} />
                </td>
                <td className="number measure wide-only">{count(l, l.need)}</td>
                <td className="number measure wide-only">
                  {typed && l.canOwn ? (
                    <CountField
                      label={`Owned: ${l.name}`}
                      unit={l.unit}
                      count={l.owned}
                      onSet={(n) => run((g) => setOwned(g, l, n))}
                    />
                  ) : l.canOwn ? (
                    count(l, l.owned)
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
                      onSet={(price) => run((g) => setPrice(g, l.priceKey, l.name, price))}
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
    </List>
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
  const run = useRun();
  if (!typed) return note === '' ? null : <em>{note}</em>;
  return (
    <span className={note === '' ? 'note screen-only' : 'note'}>
      <TypedField
        label={`Note on ${line.name}`}
        shown={note === '' ? 'note' : note}
        take={(text) => run((g) => setNote(g, line.priceKey, line.name, text))}
      />
    </span>
  );
}
