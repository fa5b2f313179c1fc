import type { ReactNode } from 'react';
import type { LengthUnit } from '../../core/base/length';
import type { Result } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import { NumberField, TypedField } from './TypedField';
import { Choice, Row } from './controls';

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
          { value: 'cm', label: 'Centimetres', why: 'To the millimetre, as 168.3 cm.' },
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

/** Where a garden is on the earth. */
export function WhereFields({
  site,
  onSet,
}: {
  readonly site: Pick<Garden['site'], 'latitudeDeg' | 'longitudeDeg'>;
  readonly onSet: (
    label: string,
    where: Partial<Pick<Garden['site'], 'latitudeDeg' | 'longitudeDeg'>>,
  ) => Result<unknown>;
}): ReactNode {
  return (
    <>
      <Row name="Latitude" unit="° N">
        <NumberField
          label="Latitude, degrees north"
          value={site.latitudeDeg}
          decimals={1}
          min={-89}
          max={89}
          onSet={(latitudeDeg) => onSet('Set the latitude', { latitudeDeg })}
        />
      </Row>
      <Row name="Longitude" unit="° E">
        <NumberField
          label="Longitude, degrees east"
          value={site.longitudeDeg}
          decimals={1}
          min={-180}
          max={180}
          onSet={(longitudeDeg) => onSet('Set the longitude', { longitudeDeg })}
        />
      </Row>
    </>
  );
}
