import { addBar, addFlat, removeFromShelf, setBar, setFlat } from '../../core/commands/shelf';
import { section } from '../../core/catalog/catalog';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { entryOf } from '../../core/catalog/own';
import type { Garden } from '../../core/garden/garden';
import { fail, ok } from '../../core/base/result';
import { useCatalog, useRun, useGarden } from '../app/hooks';
import { newId } from '../app/names';
import { Button } from './controls';
import { Pick } from './Pick';
import { LengthField, NumberField, TypedField } from './TypedField';

type Bar = Garden['shelf'][number];
type Flat = Garden['shelfFlat'][number];

/** One line a thing: what, how many, how long, how it is, where it is. */
const Lines = styled.ul`
  > li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 0.6rem;
    align-items: center;
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
    font-size: 0.9375rem;
  }
  @media (min-width: 761px) {
    > li.whole {
      display: grid;
      grid-template-columns: minmax(8rem, 1fr) 4rem 13.5rem 6.5rem 10rem auto;
    }
  }
  .size {
    display: flex;
    gap: 0.4rem;
    align-items: center;
    justify-content: end;
  }
  > li.brief .name {
    flex: 1 0 100%;
  }
  .name {
    flex: 1 0 8.5rem;
    font-weight: 600;
  }
  .add {
    flex: 1 0 8rem;
    max-width: 15rem;
  }
  .quiet {
    color: var(--quiet);
  }
  .condition {
    width: 6.5rem;
  }
  .where input {
    text-align: left;
  }
`;

const CONDITIONS = [
  ['sound', 'sound'],
  ['bowed', 'bowed'],
  ['worn', 'worn out'],
] as const;

interface LineProps<T> {
  readonly item: T;
  readonly name: string;
  readonly list: 'shelf' | 'shelfFlat';
  /** The narrow form, beside a drawing. */
  readonly brief?: boolean;
  readonly children: ReactNode;
}

/** How many there are, how they are and where, whatever they are. */
function Line({ item, name, list, brief, children }: LineProps<Bar | Flat>): ReactNode {
  const run = useRun();
  const change = (part: Partial<Pick<Bar & Flat, 'quantity' | 'condition' | 'where'>>) =>
    run((g) => (list === 'shelf' ? setBar(g, item.id, part) : setFlat(g, item.id, part)));
  return (
    <li className={brief ? 'brief' : 'whole'}>
      <span className="name">{name}</span>
      <NumberField
        label={`How many ${name}`}
        value={item.quantity}
        decimals={0}
        min={0}
        max={999}
        onSet={(n) => change({ quantity: Math.round(n) })}
      />
      <span className="size">{children}</span>
      {!brief && (
        <>
          <Pick
            className="condition"
            label={`How the ${name} is`}
            value={item.condition}
            options={CONDITIONS.filter(([key]) => list === 'shelf' || key !== 'bowed').map(([value, label]) => ({
              value,
              label,
            }))}
            onChange={(value) => void change({ condition: value as Bar['condition'] })}
          />
          <span className="where">
            <TypedField
              label={`Where the ${name} is`}
              shown={item.where === '' ? 'where' : item.where}
              boxed
              take={(text) => change({ where: text.trim() })}
            />
          </span>
        </>
      )}
      <Button aria-label={`Take ${name} off the shelf`} onPress={() => void run((g) => removeFromShelf(g, item.id))}>
        Remove
      </Button>
    </li>
  );
}

/** Bars and pipes on hand: they are cut first and cost nothing. */
export function BarsOnHand({ brief = false }: { readonly brief?: boolean }): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const catalog = useCatalog();
  const [key, setKey] = useState('2x4');
  return (
    <section aria-label="On the shelf" data-testid="shelf">
      <h2>{brief ? 'On the shelf' : 'Boards and pipes'}</h2>
      <Lines>
        {garden.shelf.map((bar) => (
          <Line key={bar.id} item={bar} name={section(catalog, bar.sectionKey).name} list="shelf" brief={brief}>
            <LengthField
              label={`Real length of ${section(catalog, bar.sectionKey).name}`}
              valueMm={bar.lengthMm}
              boxed
              positive
              onSet={(lengthMm) => run((g) => setBar(g, bar.id, { lengthMm }))}
            />
          </Line>
        ))}
        <li>
          <Pick
            className="add"
            label="What to add to the shelf"
            value={key}
            options={[...catalog.bar.values()]
              .filter((s) => s.stock.length > 0)
              .map((s) => ({ value: s.key, label: s.name }))}
            onChange={setKey}
          />
          <LengthField
            label="Length of the bar to add"
            valueMm={undefined}
            boxed
            positive
            onSet={(lengthMm) => run((g) => addBar(g, newId(), key, lengthMm))}
          />
          <span className="quiet">Enter adds it</span>
        </li>
      </Lines>
      {!brief && (
        <p className="quiet">
          A bowed bar gives pieces of at most half its length; a worn-out one is kept but not planned with.
        </p>
      )}
    </section>
  );
}

/** Sheets and rolls on hand, whole or what is left of them. */
export function FlatOnHand(): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const catalog = useCatalog();
  const all = [
    ...[...catalog.sheet.values()]
      .filter((s) => s.sizes.length > 0)
      .map(({ key, name }) => ({ kind: 'sheet' as const, key, name })),
    ...[...catalog.cover.values()]
      .filter((c) => c.rolls.length > 0)
      .map(({ key, name }) => ({ kind: 'cover' as const, key, name })),
  ];
  const [at, setAt] = useState(0);
  const [widthMm, setWidthMm] = useState<number>();
  const chosen = all[at] ?? all[0];
  return (
    <section aria-label="Sheets and rolls on the shelf" data-testid="shelf-flat">
      <h2>Sheets and rolls</h2>
      <Lines>
        {garden.shelfFlat.map((flat) => {
          const name = entryOf(catalog, flat.kind, flat.key)?.name ?? flat.key;
          const side = (which: 'widthMm' | 'lengthMm', said: string): ReactNode => (
            <LengthField
              label={`${said} of ${name}`}
              valueMm={flat[which]}
              boxed
              positive
              onSet={(mm) => run((g) => setFlat(g, flat.id, { [which]: mm }))}
            />
          );
          return (
            <Line key={flat.id} item={flat} name={name} list="shelfFlat">
              {side('widthMm', 'Width')}
              <span className="quiet">×</span>
              {side('lengthMm', 'Length')}
            </Line>
          );
        })}
        <li>
          <Pick
            className="add"
            label="Sheet or roll to add"
            value={String(at)}
            options={all.map((a, i) => ({ value: String(i), label: a.name }))}
            onChange={(value) => setAt(Number(value))}
          />
          <LengthField
            label="Width of the sheet or roll to add"
            valueMm={widthMm}
            hint="width"
            boxed
            positive
            onSet={(mm) => {
              setWidthMm(mm);
              return ok(mm);
            }}
          />
          <span className="quiet">×</span>
          <LengthField
            label="Length of the sheet or roll to add"
            valueMm={undefined}
            boxed
            positive
            onSet={(lengthMm) =>
              widthMm === undefined || !chosen
                ? fail('width', 'Type its width first.')
                : run((g) => addFlat(g, { id: newId(), kind: chosen.kind, key: chosen.key, widthMm, lengthMm }))
            }
          />
          <span className="quiet">Enter adds it</span>
        </li>
      </Lines>
      <p className="quiet">Width across the channels or the roll, length along them. They are cut first.</p>
    </section>
  );
}
