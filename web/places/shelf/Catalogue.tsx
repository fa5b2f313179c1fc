import { untreatedKey } from '../../../core/catalog/treatment';
import { addThing, nameOwnThing, removeOwnThing } from '../../../core/commands/catalog';
import type { EntryKind } from '../../../core/catalog/catalog';
import type { Section } from '../../../core/catalog/types';
import { type ReactNode, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Entry, OwnCatalog } from '../../../core/catalog/own';
import { useCatalog, useGarden, useRun } from '../../app/hooks';
import { freshName } from '../../../core/base/ids';
import { newId } from '../../app/names';
import { Button, Choice } from '../../parts/controls';
import { TypedField } from '../../parts/TypedField';
import { CatalogFigures } from './Figures';
import { Adding, Sizes } from './Sizes';

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
  { key: 'joint', name: 'Joints', kind: 'joint' },
  { key: 'tool', name: 'Saws', kind: 'tool' },
  { key: 'spread', name: 'How far off they may be', kind: 'spread' },
];

/** Every figure that the plans lean on, changed where it stands; each change is followed by every plan at once. */
export function Catalogue(): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const catalog = useCatalog();
  const [at, setAt] = useSearchParams();
  const aisle = AISLES.find((a) => a.key === at.get('kind')) ?? AISLES[0];
  if (!aisle) return null;
  const { kind, holds } = aisle;
  const entries = [...(catalog[kind] as ReadonlyMap<string, Entry>).values()].filter((e) => holds?.(e) ?? true);
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
          options={AISLES.map((a) => ({ value: a.key, label: a.name }))}
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
      <CatalogFigures kind={kind} entry={entry} />
      {kind === 'bar' && <MadeOf bar={entry as Section} show={show} />}
      <Sizes kind={kind} entry={entry} />
      {copied && (
        <Adding>
          {made ? (
            <>
              <span>It is called</span>
              <TypedField
                label="Name of your own thing"
                shown={made.name}
                boxed
                take={(text) => run((g) => nameOwnThing(g, made.key, text))}
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
                  const like = entry.like ?? untreatedKey(entry.key);
                  const answer = run((g) => addThing(g, { kind, key, name: freshName(text.trim(), names), like }));
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
      <Button onPress={() => show('material', bar.materialKey)}>Figures of {bar.material.name}</Button>
      <Button onPress={() => show('tool', bar.toolKey)}>Cut with a {bar.tool.name}</Button>
    </Adding>
  );
}

/** Takes a thing of one's own out, with its figures and sizes; not while a cover is made of it. */
function RemoveThing({ thing }: { readonly thing: OwnCatalog['things'][number] }): ReactNode {
  const run = useRun();
  const [fault, setFault] = useState<string>();
  return (
    <>
      <Button
        onPress={() => {
          const answer = run((g) => removeOwnThing(g, thing));
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
