import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { squareBed } from '../../../core/site/bed';
import { WINDS } from '../../../core/site/compass';
import { survey } from '../../../core/site/survey';
import { familyOf } from '../../../core/build/families';
import type { Garden } from '../../../core/garden/garden';
import { type Result, failAll, ok } from '../../../core/base/result';
import { MM_PER_INCH, formatLength } from '../../../core/base/length';
import { PlaceHead } from '../../app/Shell';
import { useEdit, useGarden } from '../../app/hooks';
import { freshName } from '../../../core/base/ids';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';
import { Button, Choice, Field, Row, Select } from '../../parts/controls';
import { NumberField, TypedField } from '../../parts/TypedField';
import { Body, Panel } from '../../parts/layout';
import { PlotMap } from './PlotMap';

const Ground = styled.div`
  min-height: 0;
  min-width: 0;
  height: 100%;
  padding: 1rem 1.25rem;
  @media (max-width: 1000px) {
    height: 22rem;
  }
  .sheet {
    height: 100%;
  }
  a {
    cursor: pointer;
  }
  a:hover .bed,
  a:focus-visible .bed {
    stroke: var(--chalk);
    stroke-width: 3;
  }
`;

const List = styled.ul`
  display: grid;
  gap: 0;
  li {
    display: grid;
    gap: 0.3rem;
    padding: 0.7rem 0;
    border-top: 1px solid var(--hair);
  }
  .size {
    color: var(--quiet);
    font-size: 0.875rem;
  }
  .covers {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1rem;
    font-size: 0.9375rem;
  }
`;

/** A place for the next bed: to the right of everything. */
function freeSpot(garden: Garden): { xMm: number; yMm: number } {
  const right = Math.max(0, ...garden.beds.map((b) => b.at.xMm + b.outside.nearMm));
  return { xMm: garden.beds.length === 0 ? 0 : right + 900, yMm: 0 };
}

/** The garden from above, to scale. */
export function Plot(): ReactNode {
  const way = useWay();
  const garden = useGarden();
  const edit = useEdit();
  const navigate = useNavigate();
  const { length } = garden.units;
  const addBed = (): void => {
    const metric = length === 'cm' || length === 'mm';
    const [l, w, h, t, soil] = metric ? [2400, 1200, 300, 38, 50] : [96, 48, 11, 1.5, 2].map((x) => x * MM_PER_INCH);
    const bed = squareBed(
      newId(),
      freshName(
        'New bed',
        garden.beds.map((b) => b.name),
      ),
      l ?? 0,
      w ?? 0,
      { heightMm: h ?? 0, thicknessMm: t ?? 0 },
      freeSpot(garden),
      soil,
    );
    if (edit('Add a bed', (g) => void g.beds.push(bed)).length === 0) void navigate(way('bed', bed.id));
  };
  return (
    <>
      <PlaceHead title={garden.name} subtitle={garden.site.place === garden.name ? '' : garden.site.place}>
        <Link to="/gardens">All gardens</Link>
        <Button $strong onPress={addBed}>
          Add a bed
        </Button>
      </PlaceHead>
      <Body>
        <Ground>
          {garden.beds.length === 0 ? <p>Add a bed, then measure it where it stands.</p> : <PlotMap garden={garden} />}
        </Ground>
        <Panel aria-label="Beds and covers">
          <section>
            <h2>Beds and covers</h2>
            <List>
              {garden.beds.map((bed) => (
                <li key={bed.id}>
                  <Link to={way('bed', bed.id)}>
                    <b>{bed.name}</b>
                  </Link>
                  <span className="size measure">
                    {formatLength(survey(bed).frameOn.lengthMm, length)} ×{' '}
                    {formatLength(survey(bed).frameOn.widthMm, length)}
                  </span>
                  <span className="covers">
                    {garden.covers
                      .filter((c) => c.bedId === bed.id)
                      .map((c) => (
                        <Link key={c.id} to={way('bench', c.id)}>
                          {c.name}, {familyOf(c.family).name.toLowerCase()}
                        </Link>
                      ))}
                    {!garden.covers.some((c) => c.bedId === bed.id) && <span className="size">no cover yet</span>}
                  </span>
                </li>
              ))}
            </List>
          </section>
          <ThePlace garden={garden} />
        </Panel>
      </Body>
    </>
  );
}

/** The nearest of the winds that one can choose. */
const nearestWind = (deg: number): number => (Math.round(deg / 45) % 8) * 45;

/** What the place is like, and how its gardener counts. */
function ThePlace({ garden }: { readonly garden: Garden }): ReactNode {
  const edit = useEdit();
  const change = (label: string, recipe: (g: Garden) => void): Result<unknown> => {
    const faults = edit(label, recipe);
    return faults.length > 0 ? failAll(faults) : ok(undefined);
  };
  const { site, units } = garden;
  const metric = units.length === 'cm' || units.length === 'mm';
  const gust = metric
    ? { unit: 'm/s', name: 'metres a second', per: 1 }
    : { unit: 'mph', name: 'miles an hour', per: 2.23694 };
  const high = metric ? { unit: 'm', name: 'metres', per: 1 } : { unit: 'ft', name: 'feet', per: 3.28084 };
  return (
    <section aria-label="The place">
      <h2>The place</h2>
      <Row name="Garden">
        <TypedField
          label="Name of the garden"
          shown={garden.name}
          boxed
          take={(text) => change('Name the garden', (g) => void (g.name = text.trim()))}
        />
      </Row>
      <Row name="Latitude" unit="° N">
        <NumberField
          label="Latitude, degrees north"
          value={site.latitudeDeg}
          decimals={1}
          min={-89}
          max={89}
          onSet={(x) => change('Set the latitude', (g) => void (g.site.latitudeDeg = x))}
        />
      </Row>
      <Row name="Longitude" unit="° E">
        <NumberField
          label="Longitude, degrees east"
          value={site.longitudeDeg}
          decimals={1}
          min={-180}
          max={180}
          onSet={(x) => change('Set the longitude', (g) => void (g.site.longitudeDeg = x))}
        />
      </Row>
      <Row name="Height" unit={`${high.unit} above the sea`}>
        <NumberField
          label={`Height above the sea, ${high.name}`}
          value={site.elevationM * high.per}
          decimals={0}
          min={Math.ceil(-430 * high.per)}
          max={Math.floor(6000 * high.per)}
          onSet={(x) => change('Set the height', (g) => void (g.site.elevationM = x / high.per))}
        />
      </Row>
      <Row name="Worst gust" unit={gust.unit}>
        <NumberField
          label={`Worst gust, ${gust.name}`}
          value={site.gustMPerS * gust.per}
          decimals={0}
          min={0}
          max={Math.floor(90 * gust.per)}
          onSet={(x) => change('Set the gust', (g) => void (g.site.gustMPerS = x / gust.per))}
        />
      </Row>
      <Field>
        <span className="name">Wind from</span>
        <Select
          aria-label="Where the wind mostly comes from"
          value={site.windFromDeg === null ? '' : String(nearestWind(site.windFromDeg))}
          onChange={(event) => {
            const deg = event.target.value === '' ? null : Number(event.target.value);
            void change('Set the wind', (g) => void (g.site.windFromDeg = deg));
          }}
        >
          <option value="">not known</option>
          {WINDS.map((w) => (
            <option key={w.name} value={w.deg}>
              the {w.name}
            </option>
          ))}
        </Select>
      </Field>
      <Row name="Money">
        <TypedField
          label="Currency, a three-letter code"
          shown={units.currency}
          boxed
          take={(text) => change('Set the currency', (g) => void (g.units.currency = text.trim().toUpperCase()))}
        />
      </Row>
      <Choice
        label="Degrees"
        value={units.temperature}
        options={[
          { value: 'C', label: 'Celsius', why: 'Water freezes at 0.' },
          { value: 'F', label: 'Fahrenheit', why: 'Water freezes at 32.' },
        ]}
        onChange={(value) => void change('Set the degrees', (g) => void (g.units.temperature = value as 'C' | 'F'))}
      />
      <Choice
        label="Shops sell"
        value={units.stock}
        options={[
          { value: 'imperial', label: 'Inch stock', why: '2x4 and its kin, pipe by the inch.' },
          { value: 'metric', label: 'Metric stock', why: 'New covers start from metric boards and pipe.' },
        ]}
        onChange={(value) =>
          void change('Set the stock', (g) => void (g.units.stock = value as Garden['units']['stock']))
        }
      />
    </section>
  );
}
