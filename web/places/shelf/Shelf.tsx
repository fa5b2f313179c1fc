import { setOwned, setOwnedWhere } from '../../../core/commands/shelf';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { PlaceHead } from '../../app/PlaceHead';
import { useGarden, useRun } from '../../app/hooks';
import { useWay } from '../../app/way';
import { CountedThings } from '../../parts/CountedThings';
import { Leaves } from '../../parts/Leaves';
import { Body, PanelBox } from '../../parts/layout';
import { TypedField } from '../../parts/TypedField';
import { Catalogue } from './Catalogue';
import { Crops } from './Crops';
import { OwnFigures } from './OwnFigures';
import { BarsOnHand, FlatOnHand } from '../../parts/OnHand';
import { PriceLists } from './PriceLists';

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 0 1.25rem 0.9rem;
  display: grid;
  /* What scrolls sideways would give its height away. */
  grid-auto-rows: max-content;
  align-content: start;
  gap: 2rem;
  > section {
    max-width: 52rem;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  .faults {
    display: grid;
    gap: 0.2rem;
    padding: 0.7rem 0.9rem;
    border-left: 4px solid var(--fails);
    background: var(--sheet);
  }
  @media (max-width: 760px) {
    padding: 0.9rem 0.6rem;
  }
`;

const LEAVES = [
  { key: '', name: 'On hand' },
  { key: 'catalogue', name: 'Catalogue' },
  { key: 'crops', name: 'Crops' },
] as const;

/** What is on hand, what things cost, and every figure that the plans lean on. */
export function Shelf(): ReactNode {
  const way = useWay();
  const garden = useGarden();
  const { leaf } = useParams();
  const catalogue = leaf === 'catalogue';
  return (
    <>
      <PlaceHead title="Shelf" subtitle={`what ${garden.name} has, and what things cost`} />
      <Body>
        <Page tabIndex={0} role="region" aria-label={LEAVES.find((l) => l.key === leaf)?.name ?? 'On hand'}>
          <Leaves label="Leaves of the shelf" to={way('shelf')} leaves={LEAVES} />
          {catalogue && <Catalogue />}
          {leaf === 'crops' && <Crops />}
          {leaf === undefined && (
            <>
              <BarsOnHand />
              <FlatOnHand />
              <OwnedThings />
            </>
          )}
        </Page>
        <PanelBox aria-label={catalogue ? 'Your own figures' : 'Prices'}>
          {catalogue ? <OwnFigures /> : <PriceLists />}
        </PanelBox>
      </Body>
    </>
  );
}

/** Counted things on hand: they are taken off what is bought. */
function OwnedThings(): ReactNode {
  const garden = useGarden();
  const run = useRun();
  return (
    <section aria-label="Counted things on hand" data-testid="owned">
      <h2>Counted things on hand</h2>
      <CountedThings
        counts={garden.owned}
        onSet={(item, n) => run((g) => setOwned(g, item, n))}
        first="screw-2-1/2"
        labels={{ which: 'What to add', howMany: 'How many of it are on hand', of: 'On hand' }}
        more={(item) => (
          <TypedField
            label={`Where it is: ${item.name}`}
            shown={garden.ownedWhere[item.key] || 'where'}
            boxed
            take={(text) => run((g) => setOwnedWhere(g, item, text))}
          />
        )}
      />
    </section>
  );
}
