import { type ReactNode, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { type EntryFigure, type EntryKind, type FigureUnit, KINDS } from '../../../core/catalog/figures';
import { type OwnCatalog, figuresOf } from '../../../core/catalog/own';
import { type Section, materialOf } from '../../../core/catalog/sections';
import type { Garden } from '../../../core/files/garden';
import { pricedThings } from '../../../core/files/prices';
import { type Result, fail } from '../../../core/result';
import { currencyDecimals } from '../../../core/units/amount';
import { type LengthUnit, MM_PER_INCH, formatLength, parseLength } from '../../../core/units/length';
import { useEdit, useGarden, useTake, useUnits } from '../../app/hooks';
import { freshName, newId } from '../../app/names';
import { Button, Choice } from '../../parts/controls';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { Rows } from '../../parts/Rows';

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  font-size: 0.9375rem;
  th {
    text-align: left;
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.8125rem;
    padding: 0.3rem 0.6rem 0.3rem 0;
  }
  tbody td {
    border-top: 1px solid var(--hair);
    padding: 0.35rem 0.6rem 0.35rem 0;
  }
  td:last-child {
    text-align: right;
    padding-right: 0;
  }
  .note input {
    text-align: left;
  }
  @media (max-width: 760px) {
    display: block;
    thead {
      display: none;
    }
    tr {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 0.7rem;
      padding: 0.5rem 0;
      border-top: 1px solid var(--hair);
    }
    td {
      border: 0;
      padding: 0;
    }
    td:first-child {
      flex: 1 0 100%;
    }
  }
`;

/** The catalogue as it is walked through; boards and pipes are bars of two shapes. */
const AISLES: readonly {
  readonly key: string;
  readonly name: string;
  readonly kind: EntryKind;
  readonly holds?: (entry: Entry) => boolean;
}[] = [
  { key: 'board', name: 'Boards', kind: 'bar', holds: (e) => (e as Section).shape.kind === 'board' },
  { key: 'pipe', name: 'Pipes, rods, wire', kind: 'bar', holds: (e) => (e as Section).shape.kind === 'tube' },
  { key: 'sheet', name: 'Stiff sheets', kind: 'sheet' },
  { key: 'cover', name: 'Covers', kind: 'cover' },
  { key: 'item', name: 'Small things', kind: 'item' },
  { key: 'material', name: 'Materials', kind: 'material' },
  { key: 'fit', name: 'Fits', kind: 'fit' },
  { key: 'tool', name: 'Saws', kind: 'tool' },
];

interface Entry {
  readonly key: string;
  readonly name: string;
  readonly source: string;
  readonly like?: string;
}

const SMALL_MM = 400;
const DECIMALS: Readonly<Record<FigureUnit, number>> = {
  mm: 1,
  'kg/m³': 0,
  'kg/m²': 3,
  GPa: 2,
  MPa: 1,
  part: 2,
  years: 1,
  '°C': 1,
  'W/m²K': 1,
  piece: 0,
  m: 1,
};

/** How a figure is shown: pipes and boards to a thousandth of an inch, where lengths are shown in inches. */
function scaleOf(
  f: EntryFigure<Entry>,
  length: LengthUnit,
): { readonly unit: string; readonly by: number; readonly decimals: number } {
  const inches = f.unit === 'mm' && (length === 'ftin' || length === 'in');
  if (inches) return { unit: 'in', by: MM_PER_INCH, decimals: 3 };
  return { unit: f.unit === 'part' || f.unit === 'piece' ? '' : f.unit, by: 1, decimals: DECIMALS[f.unit] };
}

function shownValue(f: EntryFigure<Entry>, value: number, length: LengthUnit): string {
  if (f.unit === 'mm' && f.max > SMALL_MM) return formatLength(value, length);
  const { unit, by, decimals } = scaleOf(f, length);
  return `${(value / by).toFixed(decimals)} ${unit}`.trim();
}

type Change = (label: string, change: (own: OwnCatalog) => void) => Result<true>;

function useOwn(): Change {
  const take = useTake();
  return (label, change) => take(label, (g) => change(g.catalog as OwnCatalog));
}

const is =
  (kind: EntryKind, key: string, figure: string) =>
  (f: OwnCatalog['figures'][number]): boolean =>
    f.kind === kind && f.key === key && f.figure === figure;

/** The value of one figure, typed in the units it is bought in. */
function FigureValue({
  f,
  name,
  onSet,
}: {
  readonly f: EntryFigure<Entry>;
  readonly name: string;
  readonly onSet: (value: number) => Result<unknown>;
}): ReactNode {
  const { length } = useUnits();
  const label = `${f.label} of ${name}`;
  if (f.unit === 'mm' && f.max > SMALL_MM) return <LengthField label={label} valueMm={f.value} boxed onSet={onSet} />;
  const { unit, by, decimals } = scaleOf(f, length);
  return (
    <>
      <NumberField
        label={label}
        value={f.value / by}
        decimals={decimals}
        min={Number((f.min / by).toFixed(decimals))}
        max={Number((f.max / by).toFixed(decimals))}
        onSet={(x) => onSet(x * by)}
      />{' '}
      {unit}
    </>
  );
}

interface ThingProps {
  readonly kind: EntryKind;
  readonly entry: Entry;
}

/** Sets, notes and resets the figures of one entry. */
function useFigures({ kind, entry }: ThingProps) {
  const { catalog } = useGarden();
  const own = useOwn();
  const shipped = KINDS[kind].table.shipped.get(entry.like ?? entry.key);
  const ships = shipped ? figuresOf(kind, shipped) : [];
  return {
    all: figuresOf(kind, entry),
    shippedValue: (id: string) => ships.find((f) => f.id === id)?.value,
    changed: (id: string) => catalog.figures.find(is(kind, entry.key, id)),
    set: (id: string, value: number) =>
      own(`Change ${entry.name}`, (c) => {
        const found = c.figures.find(is(kind, entry.key, id));
        if (found) found.value = value;
        else c.figures.push({ kind, key: entry.key, figure: id, value, note: '' });
      }),
    note: (id: string, text: string) =>
      own(`Note on ${entry.name}`, (c) => {
        const found = c.figures.find(is(kind, entry.key, id));
        if (found) found.note = text;
      }),
    reset: (id: string) =>
      own(`Reset ${entry.name}`, (c) => {
        c.figures = c.figures.filter((f) => !is(kind, entry.key, id)(f));
      }),
  };
}

/** The figures of one entry: what is in force, what ships, and where a gardener's own comes from. */
function Figures({ kind, entry }: ThingProps): ReactNode {
  const { length } = useUnits();
  const figures = useFigures({ kind, entry });
  const plain = figures.all.filter((f) => !f.id.includes(' '));
  if (plain.length === 0) return null;
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">In force</th>
          <th scope="col">Shipped</th>
          <th scope="col">Where yours comes from</th>
          <td />
        </tr>
      </thead>
      <tbody>
        {plain.map((f) => {
          const own = figures.changed(f.id);
          const ships = figures.shippedValue(f.id);
          return (
            <tr key={f.id}>
              <td>{f.label}</td>
              <td className="measure">
                <FigureValue f={f} name={entry.name} onSet={(x) => figures.set(f.id, x)} />
              </td>
              <td className="measure">{ships === undefined ? '–' : shownValue(f, ships, length)}</td>
              <td className="note">
                {own && (
                  <TypedField
                    label={`Where the ${f.label.toLowerCase()} comes from`}
                    shown={own.note === '' ? 'measured, or who says so' : own.note}
                    boxed
                    take={(text) => figures.note(f.id, text.trim())}
                  />
                )}
              </td>
              <td>
                {own && (
                  <Button aria-label={`Reset ${f.label} of ${entry.name}`} onPress={() => void figures.reset(f.id)}>
                    Reset
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

/** The sizes an entry is sold in, measured and priced. */
function Sizes({ kind, entry }: ThingProps): ReactNode {
  const garden = useGarden();
  const { units } = garden;
  const take = useTake();
  const own = useOwn();
  const figures = useFigures({ kind, entry });
  const priced = pricedThings().filter((t) => t.of === `${kind} ${entry.key}`);
  if (priced.length === 0) return null;
  /** A size is named by what follows the entry in its price key. */
  const nameOf = (key: string): string => {
    const name = key.slice(key.indexOf(' ') + entry.key.length + 2);
    return kind === 'bar' ? `${name} mm` : name;
  };
  const ownSize = (name: string) =>
    garden.catalog.sizes.find(
      (s) =>
        s.kind === kind &&
        s.key === entry.key &&
        (kind === 'bar'
          ? `${Math.round(s.lengthMm)} mm`
          : `${Math.round(s.widthMm ?? 0)}x${Math.round(s.lengthMm)} mm`) === name,
    );
  return (
    <Table>
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
              <td className="measure">{yours ? '–' : t.shipped.toFixed(currencyDecimals(units.currency))}</td>
              <td>
                {yours ? (
                  <Button
                    aria-label={`Remove the size ${name} of ${entry.name}`}
                    onPress={() =>
                      void own(`Remove a size of ${entry.name}`, (c) => {
                        c.sizes = c.sizes.filter(
                          (s) => s.key !== yours.key || s.lengthMm !== yours.lengthMm || s.widthMm !== yours.widthMm,
                        );
                        c.figures = c.figures.filter((f) => f.key !== entry.key || !f.figure.endsWith(` ${name}`));
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
                          g.catalog.figures = g.catalog.figures.filter(
                            (f) => f.kind !== kind || f.key !== entry.key || !f.figure.endsWith(` ${name}`),
                          );
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
    </Table>
  );
}

const Adding = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.8rem;
  align-items: center;
`;

/** A size that the shop here sells beside the shipped ones; typing its price adds it. */
function AddSize({ kind, entry }: { readonly kind: 'bar' | 'sheet' | 'cover'; readonly entry: Entry }): ReactNode {
  const { units } = useGarden();
  const own = useOwn();
  const [size, setSize] = useState<{ readonly widthMm?: number; readonly lengthMm?: number }>({});
  const side = (which: 'widthMm' | 'lengthMm', said: string): ReactNode => {
    const mm = size[which];
    return (
      <TypedField
        label={`${said} of another size of ${entry.name}`}
        shown={mm === undefined ? said.toLowerCase() : formatLength(mm, units.length)}
        boxed
        take={(text) => {
          const read = parseLength(text, units.length);
          if (!read.ok) return read;
          if (read.value <= 0) return fail(which, 'It is more than nothing.');
          setSize((s) => ({ ...s, [which]: read.value }));
          return read;
        }}
      />
    );
  };
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

/** Every figure that the plans lean on, changed where it stands; each change is followed by every plan at once. */
export function Catalogue(): ReactNode {
  const garden = useGarden();
  const own = useOwn();
  const [at, setAt] = useSearchParams();
  const aisle = AISLES.find((a) => a.key === at.get('kind')) ?? AISLES[0];
  if (!aisle) return null;
  const { kind, holds } = aisle;
  const entries = [...(KINDS[kind].table.all() as ReadonlyMap<string, Entry>).values()].filter(
    (e) => holds?.(e) ?? true,
  );
  const entry = entries.find((e) => e.key === at.get('thing')) ?? entries[0];
  if (!entry) return null;
  const show = (kindKey: string, thing?: string): void =>
    setAt({ kind: kindKey, ...(thing !== undefined && { thing }) }, { replace: true });
  const changed = new Set(garden.catalog.figures.filter((f) => f.kind === kind).map((f) => f.key));
  const made = garden.catalog.things.find((t) => t.kind === kind && t.key === entry.key);
  const copied = kind === 'bar' || kind === 'cover' || kind === 'item';
  return (
    <section aria-label="One thing of the catalogue" data-testid="catalogue" style={{ display: 'grid', gap: '1rem' }}>
      <div style={{ maxWidth: '26rem' }}>
        <Choice
          label="Aisle"
          value={aisle.key}
          options={AISLES.map((a) => ({ value: a.key, label: a.name, why: '' }))}
          onChange={(k) => show(k)}
        />
        <Choice
          label="Thing"
          value={entry.key}
          options={entries.map((e) => ({
            value: e.key,
            label: `${e.name}${e.like === undefined ? '' : ', your own'}${changed.has(e.key) ? ', changed' : ''}`,
            why: e.source,
          }))}
          onChange={(k) => show(aisle.key, k)}
        />
      </div>
      <Figures kind={kind} entry={entry} />
      {kind === 'bar' && <MadeOf bar={entry as Section} show={show} />}
      <Sizes kind={kind} entry={entry} />
      {(kind === 'bar' || kind === 'sheet' || kind === 'cover') && entryHasSizes(kind, entry) && (
        <AddSize key={entry.key} kind={kind} entry={entry} />
      )}
      {copied && (
        <Adding>
          {made ? (
            <>
              <span>It is called</span>
              <TypedField
                label="Name of your own thing"
                shown={made.name}
                boxed
                take={(text) =>
                  own(`Name ${text.trim()}`, (c) => {
                    const found = c.things.find((t) => t.key === made.key);
                    if (found) found.name = text.trim();
                  })
                }
              />
              <RemoveThing thing={made} />
            </>
          ) : (
            <>
              <span>One of your own like this, called</span>
              <TypedField
                label={`Name of one of your own like ${entry.name}`}
                shown="a name"
                boxed
                take={(text) => {
                  const key = `own-${newId()}`;
                  const names = entries.map((e) => e.name);
                  const answer = own(`Add ${text.trim()}`, (c) => {
                    c.things.push({
                      kind,
                      key,
                      name: freshName(text.trim(), names),
                      like: entry.like ?? entry.key.replace(/ treated$/, ''),
                    });
                  });
                  if (answer.ok) show(aisle.key, key);
                  return answer;
                }}
              />
              <span className="quiet">It is then offered wherever {entry.name} is.</span>
            </>
          )}
        </Adding>
      )}
    </section>
  );
}

/** The way to the figures that many bars share. */
function MadeOf({
  bar,
  show,
}: {
  readonly bar: Section;
  readonly show: (aisle: string, thing: string) => void;
}): ReactNode {
  return (
    <Adding>
      <Button onPress={() => show('material', bar.material)}>Figures of {materialOf(bar).name}</Button>
      <Button onPress={() => show('tool', bar.tool)}>Cut with a {bar.tool}</Button>
    </Adding>
  );
}

function entryHasSizes(kind: EntryKind, entry: Entry): boolean {
  return pricedThings().some((t) => t.of === `${kind} ${entry.key}`);
}

/** Takes a thing of one's own out, with its figures and sizes; not while a cover is made of it. */
function RemoveThing({ thing }: { readonly thing: OwnCatalog['things'][number] }): ReactNode {
  const take = useTake();
  const [fault, setFault] = useState<string>();
  const mine = (x: { readonly kind: string; readonly key: string }): boolean =>
    x.kind === thing.kind && (x.key === thing.key || x.key === `${thing.key} treated`);
  return (
    <>
      <Button
        onPress={() => {
          const answer = take(`Remove ${thing.name}`, (g) => {
            g.catalog.things = g.catalog.things.filter((t) => t.key !== thing.key);
            g.catalog.figures = g.catalog.figures.filter((f) => !mine(f));
            g.catalog.sizes = g.catalog.sizes.filter((s) => !mine(s));
          });
          setFault(answer.ok ? undefined : usedBy(answer.faults[0]?.field ?? ''));
        }}
      >
        Remove it
      </Button>
      {fault !== undefined && <span role="alert">{fault}</span>}
    </>
  );
}

function usedBy(field: string): string {
  return field.startsWith('covers')
    ? 'A cover is made of it: choose something else there first.'
    : 'It is on the shelf: take it off first.';
}

/** How many figures, things and sizes are the gardener's own, and the way back to what ships. */
export function OwnFigures(): ReactNode {
  const garden = useGarden();
  const edit = useEdit();
  const { figures, things, sizes } = garden.catalog;
  const own = figures.length + things.length + sizes.length;
  const nameOf = (kind: EntryKind, key: string): string =>
    (KINDS[kind].table.find(key) as Entry | undefined)?.name ?? key;
  return (
    <section aria-label="Your own figures" data-testid="own-figures">
      <h2>Your own</h2>
      {own === 0 ? (
        <p>Every figure is as shipped. Type over one that you have measured: every plan follows.</p>
      ) : (
        <>
          <Rows>
            {things.map((t) => (
              <li key={t.key}>
                <b>{t.name}</b>
                <span>like {nameOf(t.kind, t.like)}</span>
                <span />
              </li>
            ))}
            {figures.map((f) => (
              <li key={`${f.kind} ${f.key} ${f.figure}`}>
                <b>{nameOf(f.kind, f.key)}</b>
                <span>{f.note === '' ? 'figure' : f.note}</span>
                <OneFigure garden={garden} figure={f} />
              </li>
            ))}
            {sizes.map((s, i) => (
              <li key={i}>
                <b>{nameOf(s.kind, s.key)}</b>
                <span>another size</span>
                <span className="measure">{formatLength(s.lengthMm, garden.units.length)}</span>
              </li>
            ))}
          </Rows>
          <Button
            onPress={() =>
              void edit('Reset the figures to those shipped', (g) => {
                g.catalog.figures = [];
              })
            }
          >
            Reset every figure to what ships
          </Button>
        </>
      )}
      <p className="quiet" style={{ paddingTop: '0.8rem' }}>
        Prices are kept in lists under On hand. Trade figures are the middle of a range; your own measure is better.
      </p>
    </section>
  );
}

function OneFigure({
  garden,
  figure,
}: {
  readonly garden: Garden;
  readonly figure: OwnCatalog['figures'][number];
}): ReactNode {
  const entry = KINDS[figure.kind].table.find(figure.key) as Entry | undefined;
  const found = entry && figuresOf(figure.kind, entry).find((f) => f.id === figure.figure);
  return <span className="measure">{found ? shownValue(found, figure.value, garden.units.length) : ''}</span>;
}
