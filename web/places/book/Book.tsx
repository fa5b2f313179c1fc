import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { PlaceHead } from '../../app/PlaceHead';
import { useGarden } from '../../app/hooks';
import { useWay } from '../../app/way';
import { Leaves } from '../../parts/Leaves';
import { Body, PanelBox } from '../../parts/layout';
import { Coats } from './Coats';
import { Covers } from './Covers';
import { Log } from './Log';
import { LogPanel } from './LogPanel';
import { FrostPanel } from './FrostPanel';
import { Rehearsal, RehearsalPanel } from './Rehearsal';
import { Today } from './Today';
import { Year } from './Year';

const Marked = styled(Body)`
  .mark {
    border: 1.5px solid var(--sun-ink);
    color: var(--sun-ink);
    padding: 0 0.4rem;
    font-weight: 600;
  }
`;

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 0 1.25rem 1.2rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  /* What scrolls sideways would give its height away. */
  grid-auto-rows: max-content;
  align-content: start;
  gap: 1.1rem;
  overflow-wrap: anywhere;
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  @media (max-width: 1000px) {
    overflow: visible;
  }
  @media (max-width: 760px) {
    padding: 0.3rem 0.6rem 1rem;
  }
`;

const LEAVES = [
  { key: '', name: 'Today' },
  { key: 'year', name: 'Year' },
  { key: 'log', name: 'Log' },
  { key: 'covers', name: 'Covers' },
  { key: 'winter', name: 'Rehearse a winter' },
] as const;

/** What the panel beside each leaf is about. */
const BESIDE: Readonly<Record<string, string>> = {
  year: 'Sheets by season, and frost',
  log: 'What the readings teach',
  winter: 'What it takes for granted',
};

/** Keep the covers: what to do today, what the year asks, what was done and read. */
export function Book(): ReactNode {
  const way = useWay();
  const garden = useGarden();
  const leaf = useParams()['leaf'] ?? '';
  const name = LEAVES.find((l) => l.key === leaf)?.name ?? 'Today';
  return (
    <>
      <PlaceHead title="Day book" subtitle={`of ${garden.name}`} />
      <Marked>
        <Page tabIndex={0} role="region" aria-label={name}>
          <Leaves label="Leaves of the day book" to={way('book')} leaves={LEAVES} />
          {leaf === 'year' ? (
            <Year />
          ) : leaf === 'log' ? (
            <Log />
          ) : leaf === 'covers' ? (
            <Covers />
          ) : leaf === 'winter' ? (
            <Rehearsal />
          ) : (
            <Today />
          )}
        </Page>
        <PanelBox aria-label={BESIDE[leaf] ?? 'Kept in mind'}>
          {leaf === 'year' ? (
            <>
              <Coats />
              <FrostPanel />
            </>
          ) : leaf === 'log' ? (
            <LogPanel />
          ) : leaf === 'winter' ? (
            <RehearsalPanel />
          ) : (
            <Cautions />
          )}
        </PanelBox>
      </Marked>
    </>
  );
}

/** What can go wrong, where it is decided from. */
function Cautions(): ReactNode {
  return (
    <section aria-label="Kept in mind">
      <h2>Kept in mind</h2>
      <p>
        A forecast can be wrong, and a model of a bed is not a thermometer in it. Look outside before you trust either.
      </p>
      <p style={{ marginTop: '0.7rem' }}>
        Never burn a heater or a barbecue inside. Electric warmth is rated for outdoors, on a residual-current protected
        outlet, clear of film.
      </p>
      <p style={{ marginTop: '0.7rem' }}>
        Brush snow early and from outside; nobody under a loaded cover. Paths freeze: grit them before you carry
        anything.
      </p>
    </section>
  );
}
