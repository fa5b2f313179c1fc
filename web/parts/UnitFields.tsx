import type { ReactNode } from 'react';
import { unitOf } from '../../core/base/amount';
import type { LengthUnit } from '../../core/base/length';
import type { Result } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import { formatCoordinate, readCoordinate } from '../../core/site/coordinate';
import type { Town } from '../../core/site/town';
import { lazyPart } from '../app/appUpdate';
import { useUnits } from '../app/hooks';
import { NumberField, TypedField } from './TypedField';
import { Choice, Row } from './controls';

const TownField = lazyPart(() => import('./TownField').then((m) => m.TownField));

type Units = Garden['units'];

interface UnitFieldsProps {
  readonly units: Units;
  readonly onSet: (label: string, units: Partial<Units>) => Result<unknown>;
}

/** How a garden is measured and paid for. */
export function UnitFields({ units, onSet }: UnitFieldsProps): ReactNode {
  return (
    <>
      <Choice
        label="Lengths"
        value={units.length}
        options={[
          { value: 'ftin', label: 'Feet and inches', why: 'As a tape reads: 5\' 6 3/8".' },
          { value: 'in', label: 'Inches', why: 'Inches alone, with their fractions.' },
          { value: 'cm', label: 'Centimetres', why: 'To a tenth of one.' },
          { value: 'mm', label: 'Millimetres', why: 'As drawings are measured.' },
        ]}
        onChange={(length) => void onSet('Change units', { length: length as LengthUnit })}
      />
      <Choice
        label="Degrees"
        value={units.temperature}
        options={[
          { value: 'C', label: 'Celsius', why: 'Water freezes at 0.' },
          { value: 'F', label: 'Fahrenheit', why: 'Water freezes at 32.' },
        ]}
        onChange={(temperature) => void onSet('Set the degrees', { temperature: temperature as 'C' | 'F' })}
      />
      <Row name="Money" unit="three letters, as USD">
        <TypedField
          label="Currency, a three-letter code"
          shown={units.currency}
          boxed
          take={(text) => onSet('Set the currency', { currency: text.trim().toUpperCase() })}
        />
      </Row>
    </>
  );
}

/** What the shops sell: new covers start from it. */
export function ShopField({ units, onSet }: UnitFieldsProps): ReactNode {
  return (
    <Choice
      label="Shops sell"
      value={units.stock}
      options={[
        { value: 'imperial', label: 'Inch stock', why: '2x4 and its kin, pipe by the inch.' },
        { value: 'metric', label: 'Metric stock', why: 'New covers start from metric boards and pipe.' },
      ]}
      onChange={(stock) => void onSet('Set the stock', { stock: stock as Units['stock'] })}
    />
  );
}

type Where = Pick<Garden['site'], 'latitudeDeg' | 'longitudeDeg' | 'elevationM'>;

interface WhereProps {
  readonly site: Where;
  readonly onTown: (town: Town) => Result<unknown>;
  readonly onSet: (label: string, where: Partial<Where>) => Result<unknown>;
}

/** Where a garden is on the earth: by its town, or by its latitude and longitude; and how high. */
export function WhereFields({ site, onTown, onSet }: WhereProps): ReactNode {
  const high = unitOf('elevation', useUnits());
  const angle = (name: string, axis: 'latitude' | 'longitude', key: 'latitudeDeg' | 'longitudeDeg'): ReactNode => (
    <Row name={name}>
      <TypedField
        label={name}
        shown={formatCoordinate(site[key], axis)}
        boxed
        take={(text) => {
          const read = readCoordinate(text, axis);
          return read.ok ? onSet(`Set the ${axis}`, { [key]: read.value }) : read;
        }}
      />
    </Row>
  );
  return (
    <>
      <TownField onTown={onTown} />
      {angle('Latitude', 'latitude', 'latitudeDeg')}
      {angle('Longitude', 'longitude', 'longitudeDeg')}
      <Row name="Height" unit={`${high.sign} above the sea`}>
        <NumberField
          label={`Height above the sea, ${high.name}`}
          value={site.elevationM * high.per}
          decimals={0}
          min={Math.ceil(-430 * high.per)}
          max={Math.floor(6000 * high.per)}
          onSet={(x) => onSet('Set the height', { elevationM: x / high.per })}
        />
      </Row>
    </>
  );
}
