import { type ReactNode, useState } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { HARDWARE } from '../../../core/catalog/hardware';
import { PlaceHead } from '../../app/Shell';
import { useGarden, useTake } from '../../app/hooks';
import { Select } from '../../parts/controls';
import { Leaves } from '../../parts/Leaves';
import { Body, Panel } from '../../parts/layout';
import { NumberField, TypedField } from '../../parts/TypedField';
import { Rows } from '../../parts/Rows';
import { Catalogue } from './Catalogue';
import { OwnFigures } from './OwnFigures';
import { BarsOnHand, FlatOnHand } from './OnHand';
import { PriceLists } from './PriceLists';

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 0 1.25rem 0.9rem;
  display: grid;
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
] as const;

/** What is on hand, what things cost, and every figure that the plans lean on. */
export function Shelf(): ReactNode {
  const garden = useGarden();
  const catalogue = useParams()['leaf'] === 'catalogue';
  return (
    <>
      <PlaceHead title="Shelf" subtitle={`what ${garden.name} has, and what things cost`} />
      <Body>
        <Page tabIndex={0} role="region" aria-label={catalogue ? 'Catalogue' : 'On hand'}>
          <Leaves label="Leaves of the shelf" to="/shelf" leaves={LEAVES} />
          {catalogue ? (
            <Catalogue />
          ) : (
            <>
              <BarsOnHand />
              <FlatOnHand />
              <OwnedThings />
            </>
          )}
        </Page>
        <Panel aria-label={catalogue ? 'Your own figures' : 'Prices'}>
          {catalogue ? <OwnFigures /> : <PriceLists />}
        </Panel>
      </Body>
    </>
  );
}

/** Counted things on hand: they are taken off what is bought. */
function OwnedThings(): ReactNode {
  const garden = useGarden();
  const take = useTake();
  const [key, setKey] = useState('screw-2-1/2');
  const owned = Object.entries(garden.owned).filter(([k, n]) => n > 0 && HARDWARE.find(k) !== undefined);
  const set = (id: string, name: string, n: number) => take(`Own ${name}`, (g) => void (g.owned[id] = n));
  return (
    <section aria-label="Counted things on hand" data-testid="owned">
      <h2>Counted things on hand</h2>
      <Rows>
        {owned.map(([id, n]) => {
          const item = HARDWARE.find(id);
          if (!item) return null;
          return (
            <li key={id}>
              <b>{item.name}</b>
              <span className="where">
                {item.unit === 'm' ? 'metres ' : ''}
                <TypedField
                  label={`Where it is: ${item.name}`}
                  shown={garden.ownedWhere[id] ?? 'where'}
                  boxed
                  take={(text) => take(`Place ${item.name}`, (g) => void (g.ownedWhere[id] = text.trim()))}
                />
              </span>
              <NumberField
                label={`On hand: ${item.name}`}
                value={n}
                decimals={0}
                min={0}
                max={100000}
                onSet={(x) => set(id, item.name, x)}
              />
            </li>
          );
        })}
        <li>
          <Select aria-label="What to add" value={key} onChange={(e) => setKey(e.target.value)}>
            {[...HARDWARE.all().values()].map((item) => (
              <option key={item.key} value={item.key}>
                {item.name}
              </option>
            ))}
          </Select>
          <span style={{ color: 'var(--quiet)' }}>how many</span>
          <NumberField
            label="How many of it are on hand"
            value={garden.owned[key] ?? 0}
            decimals={0}
            min={0}
            max={100000}
            onSet={(x) => set(key, HARDWARE.find(key)?.name ?? key, x)}
          />
        </li>
      </Rows>
    </section>
  );
}
