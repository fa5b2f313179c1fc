import type { Outline } from '../../../core/outline';
import type { Place } from '../../../core/site/place';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { type Result, failAll, ok } from '../../../core/base/result';
import { formatAmount } from '../../../core/base/amount';
import { useEdit, useUnits } from '../../app/hooks';
import { type Sheet, toScreen } from '../../drawing/Shapes';
import { FittedView } from '../../drawing/FittedView';
import { Row } from '../../parts/controls';
import { NumberField, TypedField } from '../../parts/TypedField';
import { Why } from '../../parts/Why';

const Area = styled.div`
  min-height: 0;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(16rem, 1fr);
  gap: 1.5rem;
  padding: 0.75rem 0;
  .drawing {
    min-height: 22rem;
    display: grid;
    place-items: center;
  }
  .words {
    display: grid;
    gap: 1.1rem;
    align-content: start;
  }
  .big {
    font-size: 1.9rem;
    font-weight: 600;
    line-height: 1.2;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.875rem;
  }
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Clear noon under the cover: how warm when shut, and the vents that would do. */
export function AirLeaf({
  outline: o,
  onSet,
}: {
  readonly outline: Outline;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
}): ReactNode {
  const units = useUnits();
  const { air } = o;
  const { noon } = o.garden.site;
  const inside = noon.outsideC + air.riseShutC;
  return (
    <Area>
      <FittedView outline={o} view="end" onSet={onSet} extra={(sheet) => <Vents outline={o} sheet={sheet} />} />
      <div className="words">
        <div>
          <h2>Shut, at a clear noon</h2>
          <div className="big measure" style={{ color: 'var(--sun-ink)' }}>
            +<Why figure={air.figures.rise} />
          </div>
          <p className="quiet">
            {formatAmount(noon.outsideC, 'temperature', units)} outside, about{' '}
            {formatAmount(inside, 'temperature', units)} inside. Sun {formatAmount(air.sunAltitudeDeg, 'angle', units)}{' '}
            high.
          </p>
        </div>
        <div>
          <h2>Two vents, one low, one high, each</h2>
          <div className="big measure">
            <Why figure={air.figures.vent} />
          </div>
          <p className="quiet">
            {air.ventEachM2 > 0
              ? `A square ${formatAmount(Math.sqrt(air.ventEachM2) * 1000, 'length', units)} a side keeps it within ${formatAmount(noon.allowedRiseC, 'warming', units)} of outside.`
              : `It stays within ${formatAmount(noon.allowedRiseC, 'warming', units)} of outside with no vent.`}
          </p>
        </div>
        <div>
          <h2>The common rule</h2>
          <p>
            15 to 20 % of the floor: <b className="measure">{formatAmount(air.ruleM2[0], 'area', units)}</b> to{' '}
            <b className="measure">{formatAmount(air.ruleM2[1], 'area', units)}</b> of opening in all. Here the two
            vents make <b className="measure">{formatAmount(2 * air.ventEachM2, 'area', units)}</b>.
          </p>
        </div>
        <p className="quiet">
          Air any sunny day above about {formatAmount(7, 'temperature', units)} outside. {air.figures.rise.assumes[0]}
        </p>
      </div>
    </Area>
  );
}

/** The two vents, to scale, as squares on the end of the cover. */
function Vents({ outline: o, sheet }: { readonly outline: Outline; readonly sheet: Sheet }): ReactNode {
  const { under } = o.assembly;
  const top = under.reduce((best, p) => (p.z > best.z ? p : best));
  const foot = Math.min(...under.map((p) => p.z));
  const side = Math.sqrt(o.air.ventEachM2) * 1000;
  if (side < 1) return null;
  const middle = top.y;
  const px = side * sheet.scale;
  return (
    <g>
      {[
        { name: 'low', z: foot + side },
        { name: 'high', z: foot + (top.z - foot) * 0.93 },
      ].map(({ name, z }) => {
        const [x, y] = toScreen(sheet, [middle, z]);
        return (
          <g key={name}>
            <rect
              x={x - px / 2}
              y={y}
              width={px}
              height={px}
              fill="var(--sun)"
              fillOpacity={0.25}
              stroke="var(--sun-ink)"
              strokeWidth={1.5}
              strokeDasharray="5 3"
            />
            <text x={x + px / 2 + 5} y={y + px / 2 + 4} style={{ fill: 'var(--sun-ink)', fontWeight: 600 }}>
              {name}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** The noon that airing is reckoned for. */
export function AirPanel({ outline: o }: { readonly outline: Outline }): ReactNode {
  const edit = useEdit();
  const { noon } = o.garden.site;
  const { temperature } = useUnits();
  const set = (recipe: (noon: Place['noon']) => void) => {
    const faults = edit('Set the noon', (garden) => recipe(garden.site.noon));
    return faults.length > 0 ? failAll(faults) : ok(undefined);
  };
  const shown = (c: number): number => (temperature === 'F' ? c * 1.8 + 32 : c);
  const read = (x: number): number => (temperature === 'F' ? (x - 32) / 1.8 : x);
  const step = temperature === 'F' ? 1.8 : 1;
  return (
    <section aria-label="The noon asked of it">
      <h2>The noon asked of it</h2>
      <Row name="Date">
        <TypedField
          label="Date of the noon, as year-month-day"
          shown={noon.date}
          boxed
          take={(text) =>
            /^\d{4}-\d{2}-\d{2}$/.test(text.trim()) && set((n) => void (n.date = text.trim())).ok
              ? ok(text)
              : {
                  ok: false,
                  faults: [{ field: 'date', message: 'Write it as year-month-day, for example 2027-03-01.' }],
                }
          }
        />
      </Row>
      <Row name="Outside" unit={`°${temperature}`}>
        <NumberField
          label="Outside temperature"
          value={shown(noon.outsideC)}
          decimals={0}
          min={Math.round(shown(-40))}
          max={Math.round(shown(50))}
          onSet={(x) => set((n) => void (n.outsideC = read(x)))}
        />
      </Row>
      <Row name="Rise allowed" unit={`°${temperature}`}>
        <NumberField
          label="Rise allowed over outside"
          value={noon.allowedRiseC * step}
          decimals={0}
          min={1}
          max={40 * step}
          onSet={(x) => set((n) => void (n.allowedRiseC = x / step))}
        />
      </Row>
    </section>
  );
}
