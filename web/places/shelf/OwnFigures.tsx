import { resetAllFigures } from '../../../core/commands/catalog';
import type { EntryKind } from '../../../core/catalog/catalog';
import type { ReactNode } from 'react';
import { type OwnCatalog, entryOf, ownFigures } from '../../../core/catalog/own';
import type { Garden } from '../../../core/garden/garden';
import { formatLength } from '../../../core/base/length';
import { useCatalog, useRun, useGarden } from '../../app/hooks';
import { Button } from '../../parts/controls';
import { Rows } from '../../parts/lists';
import { shownValue } from './Figures';

/** How many figures, things and sizes are the gardener's own, and the way back to what ships. */
export function OwnFigures(): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const catalog = useCatalog();
  const { figures, things, sizes } = garden.catalog;
  const own = figures.length + things.length + sizes.length;
  const nameOf = (kind: EntryKind, key: string): string => entryOf(catalog, kind, key)?.name ?? key;
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
          <Button onPress={() => void run(resetAllFigures)}>Reset every figure to what ships</Button>
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
  const entry = entryOf(useCatalog(), figure.kind, figure.key);
  const found = entry && ownFigures(figure.kind, entry).find((f) => f.id === figure.figure);
  return <span className="measure">{found ? shownValue(found, figure.value, garden.units) : ''}</span>;
}
