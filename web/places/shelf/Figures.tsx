import { noteFigure, resetFigure, setFigure } from '../../../core/commands/catalog';
import type { EntryKind } from '../../../core/catalog/catalog';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { type EntryFigure, type FigureUnit } from '../../../core/catalog/figures';
import { type Entry, entryOf, ownFigures, shippedIn } from '../../../core/catalog/own';
import type { Result } from '../../../core/base/result';
import { type Preferences, unitOf } from '../../../core/base/amount';
import { MM_PER_INCH, formatLength, isMetric } from '../../../core/base/length';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import { Button } from '../../parts/controls';
import { ListTable } from '../../parts/lists';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';

export const FiguresTable = styled(ListTable)`
  td:last-child {
    text-align: right;
    padding-right: 0;
  }
  .note input {
    text-align: left;
  }
  @media (max-width: 760px) {
    display: block;
    thead {
      display: none;
    }
    tr {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 0.7rem;
      padding: 0.5rem 0;
      border-top: 1px solid var(--hair);
    }
    tbody td {
      border: 0;
      padding: 0;
    }
    .shipped::before {
      content: 'shipped ';
      color: var(--quiet);
    }
    td:first-child {
      flex: 1 0 100%;
    }
  }
`;

const SMALL_MM = 400;
const DECIMALS: Readonly<Record<FigureUnit, number>> = {
  mm: 1,
  '/h': 1,
  'kg/m³': 0,
  'kg/m²': 3,
  GPa: 2,
  MPa: 1,
  part: 2,
  years: 1,
  '°C': 1,
  'W/m²K': 1,
  piece: 0,
  m: 1,
  N: 0,
};

/** How a figure is shown: pipes and boards to a thousandth of an inch, where lengths are shown in inches. */
function scaleOf(
  f: EntryFigure<Entry>,
  units: Preferences,
): { readonly unit: string; readonly by: number; readonly decimals: number } {
  if (f.unit === 'mm' && !isMetric(units.length)) return { unit: 'in', by: MM_PER_INCH, decimals: 3 };
  if (f.unit === 'm') {
    const { sign, per } = unitOf('coil', units);
    return { unit: sign, by: 1 / per, decimals: DECIMALS.m };
  }
  return { unit: f.unit === 'part' || f.unit === 'piece' ? '' : f.unit, by: 1, decimals: DECIMALS[f.unit] };
}

export function shownValue(f: EntryFigure<Entry>, value: number, units: Preferences): string {
  if (f.unit === 'mm' && f.max > SMALL_MM) return formatLength(value, units.length);
  const { unit, by, decimals } = scaleOf(f, units);
  return `${(value / by).toFixed(decimals)} ${unit}`.trim();
}

/** The value of one figure, typed in the units it is bought in. */
export function FigureValue({
  f,
  name,
  onSet,
}: {
  readonly f: EntryFigure<Entry>;
  readonly name: string;
  readonly onSet: (value: number) => Result<unknown>;
}): ReactNode {
  const units = useUnits();
  const label = `${f.label} of ${name}`;
  if (f.unit === 'mm' && f.max > SMALL_MM) return <LengthField label={label} valueMm={f.value} boxed onSet={onSet} />;
  const { unit, by, decimals } = scaleOf(f, units);
  return (
    <>
      <NumberField
        label={label}
        value={f.value / by}
        decimals={decimals}
        min={Number((f.min / by).toFixed(decimals))}
        max={Number((f.max / by).toFixed(decimals))}
        onSet={(x) => onSet(x * by)}
      />{' '}
      {unit}
    </>
  );
}

export interface ThingProps {
  readonly kind: EntryKind;
  readonly entry: Entry;
}

/** Sets, notes and resets the figures of one entry. */
export function useFigures({ kind, entry }: ThingProps) {
  const { catalog, units } = useGarden();
  const run = useRun();
  const shipped = entryOf(shippedIn(units.stock), kind, entry.like ?? entry.key);
  const ships = shipped ? ownFigures(kind, shipped) : [];
  const of = { kind, entry };
  return {
    all: ownFigures(kind, entry),
    shippedValue: (id: string) => ships.find((f) => f.id === id)?.value,
    changed: (id: string) => catalog.figures.find((f) => f.kind === kind && f.key === entry.key && f.figure === id),
    set: (id: string, value: number) => run((g) => setFigure(g, of, id, value)),
    note: (id: string, text: string) => run((g) => noteFigure(g, of, id, text)),
    reset: (id: string) => run((g) => resetFigure(g, of, id)),
  };
}

/** The figures of one entry: what is in force, what ships, and where a gardener's own comes from. */
export function CatalogFigures({ kind, entry }: ThingProps): ReactNode {
  const units = useUnits();
  const figures = useFigures({ kind, entry });
  const plain = figures.all.filter((f) => !f.id.includes(' '));
  if (plain.length === 0) return null;
  return (
    <FiguresTable>
      <thead>
        <tr>
          <th scope="col">Figure</th>
          <th scope="col">In force</th>
          <th scope="col">Shipped</th>
          <th scope="col">Where yours comes from</th>
          <td />
        </tr>
      </thead>
      <tbody>
        {plain.map((f) => {
          const own = figures.changed(f.id);
          const ships = figures.shippedValue(f.id);
          return (
            <tr key={f.id}>
              <td>{f.label}</td>
              <td className="measure">
                <FigureValue f={f} name={entry.name} onSet={(x) => figures.set(f.id, x)} />
              </td>
              <td className="measure shipped">{ships === undefined ? '–' : shownValue(f, ships, units)}</td>
              <td className="note">
                {own && (
                  <TypedField
                    label={`Where the ${f.label.toLowerCase()} comes from`}
                    shown={own.note === '' ? 'measured, or who says so' : own.note}
                    boxed
                    take={(text) => figures.note(f.id, text)}
                  />
                )}
              </td>
              <td>
                {own && (
                  <Button aria-label={`Reset ${f.label} of ${entry.name}`} onPress={() => void figures.reset(f.id)}>
                    Reset
                  </Button>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </FiguresTable>
  );
}
