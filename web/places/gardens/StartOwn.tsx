import { type ReactNode, useRef, useState } from 'react';
import styled from 'styled-components';
import { sayMonthDay } from '../../../core/base/days';
import type { Result } from '../../../core/base/result';
import { nameGarden, setUnits, setWhere, startInTown } from '../../../core/commands/place';
import { type Garden, PATH_MM, emptyGarden } from '../../../core/garden/garden';
import { frostOf } from '../../../core/judge/season/frost';
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
    padding-bottom: 0.4rem;
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

/** What follows from where a garden lies, until its gardener knows better. */
function frostSaid(site: Garden['site']): string {
  const frost = frostOf(site);
  if (!frost) return 'By latitude and height it never freezes there, or never thaws.';
  return `Frost until about ${sayMonthDay(frost.lastSpring)} and again from about ${sayMonthDay(frost.firstAutumn)}, ${frost.spreadDays} days either way: rough, by latitude and height. Snow and wind are asked where they matter. All of it can be set later.`;
}

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
  const form = useRef<HTMLElement>(null);
  const { site, units } = garden;
  const take = (done: Result<{ readonly garden: Garden }>): Result<unknown> => {
    if (done.ok) setGarden(done.value.garden);
    return done;
  };
  const askBrowser = (): void => {
    hear('Asking the browser…');
    const refused = (why: string): void => hear(`The browser did not give its place: ${why}. Type it, or leave it.`);
    if (!('geolocation' in navigator)) return refused('it has none to give');
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        const done = take(
          setWhere(garden, 'Use my place', {
            latitudeDeg: round(coords.latitude),
            longitudeDeg: round(coords.longitude),
            ...(coords.altitude !== null && { elevationM: Math.round(coords.altitude) }),
          }),
        );
        hear(done.ok ? 'To a tenth of a degree. It stays in this browser.' : (done.faults[0]?.message ?? ''));
      },
      (error) => refused(error.message || 'it was not allowed'),
      { timeout: 15_000 },
    );
  };
  const start = (): void => {
    // What was refused is not passed over: it is gone back to, and stands as it was if it is left so.
    const refused = form.current?.querySelector<HTMLInputElement>('input[aria-invalid="true"]');
    if (refused) return refused.focus();
    onStart({
      ...garden,
      site: { ...site, practice: usualPractice(units.stock) },
      plot: { ...garden.plot, pathMm: PATH_MM[units.stock] },
    });
  };
  return (
    <ShownUnits value={units}>
      <Form ref={form} aria-label="Start my own garden">
        <p>Three questions. What you leave as it is can be set later.</p>
        <Row name="Name">
          <TypedField
            label="Name of the garden"
            shown={garden.name}
            boxed
            take={(text) => take(nameGarden(garden, text))}
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
          <WhereFields
            site={site}
            onTown={(town) => take(startInTown(garden, town))}
            onSet={(label, where) => take(setWhere(garden, label, where))}
          />
          <p className="quiet">{frostSaid(site)}</p>
        </fieldset>
        <fieldset>
          <legend>How do you measure and pay?</legend>
          <UnitFields units={units} onSet={(label, part) => take(setUnits(garden, label, part))} />
        </fieldset>
        <fieldset>
          <legend>What does your shop sell?</legend>
          <ShopField units={units} onSet={(label, part) => take(setUnits(garden, label, part))} />
        </fieldset>
        <div className="deeds">
          <Button $strong onPress={start}>
            Start the garden
          </Button>
          <Button onPress={onLeave}>Not now</Button>
        </div>
      </Form>
    </ShownUnits>
  );
}
