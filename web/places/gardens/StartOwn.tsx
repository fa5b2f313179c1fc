import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { type Result, failAll, ok } from '../../../core/base/result';
import { type Garden, PATH_MM, checkEdit, emptyGarden } from '../../../core/garden/garden';
import { proposedUnits } from '../../../core/site/locale';
import { ShownUnits } from '../../app/hooks';
import { TypedField } from '../../parts/TypedField';
import { ShopField, UnitFields, WhereFields } from '../../parts/UnitFields';
import { Button, Row } from '../../parts/controls';

const Form = styled.section`
  display: grid;
  gap: 1.2rem;
  max-width: 30rem;
  fieldset {
    display: grid;
    padding-top: 0.4rem;
    border-top: 1px solid var(--hair);
  }
  legend {
    font-weight: 600;
    padding-right: 0.6rem;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.6rem;
    align-items: center;
  }
`;

/** Metric shops sell where European practice is at home. */
const usualPractice = (stock: Garden['units']['stock']): Garden['site']['practice'] =>
  stock === 'metric' ? 'en' : 'asce';

const round = (deg: number): number => Math.round(deg * 10) / 10;

/** Three questions before a garden of one's own; every one of them can be left as it is. */
export function StartOwn({
  name,
  onStart,
  onLeave,
}: {
  readonly name: string;
  readonly onStart: (garden: Garden) => void;
  readonly onLeave: () => void;
}): ReactNode {
  const [garden, setGarden] = useState<Garden>(() => ({
    ...emptyGarden(name),
    units: proposedUnits(navigator.language),
  }));
  const [heard, hear] = useState('');
  const { site, units } = garden;
  const set = (part: Partial<Garden>): void => setGarden({ ...garden, ...part });
  const setUnits = (_: string, part: Partial<Garden['units']>): Result<unknown> => {
    const next = { ...garden, units: { ...units, ...part } };
    const faults = checkEdit(garden, next);
    if (faults.length > 0) return failAll(faults);
    setGarden(next);
    return ok(next);
  };
  const askBrowser = (): void => {
    hear('Asking the browser…');
    const refused = (why: string): void => hear(`The browser did not give its place: ${why}. Type it, or leave it.`);
    if (!('geolocation' in navigator)) return refused('it has none to give');
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        const elevationM = coords.altitude === null ? site.elevationM : Math.round(coords.altitude);
        set({
          site: { ...site, latitudeDeg: round(coords.latitude), longitudeDeg: round(coords.longitude), elevationM },
        });
        hear('To a tenth of a degree. It stays in this browser.');
      },
      (error) => refused(error.message || 'it was not allowed'),
      { timeout: 15_000 },
    );
  };
  return (
    <ShownUnits value={units}>
      <Form aria-label="Start my own garden">
        <p>Three questions. What you leave as it is can be set later.</p>
        <Row name="Name">
          <TypedField
            label="Name of the garden"
            shown={garden.name}
            boxed
            take={(text) => {
              if (text.trim() !== '') set({ name: text.trim().slice(0, 60) });
              return ok(text);
            }}
          />
        </Row>
        <fieldset>
          <legend>Where is it?</legend>
          <div className="deeds">
            <Button onPress={askBrowser}>Use my place</Button>
            <span className="quiet" role="status">
              {heard || 'The sun is reckoned from it.'}
            </span>
          </div>
          <WhereFields site={site} onSet={(_, where) => ok(set({ site: { ...site, ...where } }))} />
        </fieldset>
        <fieldset>
          <legend>How do you measure and pay?</legend>
          <UnitFields units={units} onSet={setUnits} />
        </fieldset>
        <fieldset>
          <legend>What does your shop sell?</legend>
          <ShopField units={units} onSet={setUnits} />
        </fieldset>
        <div className="deeds">
          <Button
            $strong
            onPress={() =>
              onStart({
                ...garden,
                site: { ...site, practice: usualPractice(units.stock) },
                plot: { ...garden.plot, pathMm: PATH_MM[units.stock] },
              })
            }
          >
            Start the garden
          </Button>
          <Button onPress={onLeave}>Not now</Button>
        </div>
      </Form>
    </ShownUnits>
  );
}
