import type { Draft } from 'immer';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { bounds, drawAssembly } from '../../../core/assembly/project';
import { type Candidate, type Measures, candidates, firstCover, measuresOf, reasons } from '../../../core/compare';
import type { FamilyKey } from '../../../core/families';
import { amount } from '../../../core/figure';
import type { Cover } from '../../../core/files/garden';
import type { Outline } from '../../../core/plan';
import { ok } from '../../../core/result';
import { CROPS, crop } from '../../../core/season/crops';
import type { Quantity } from '../../../core/units/amount';
import { PlaceHead } from '../../app/Shell';
import { useCurrent } from '../../app/current';
import { useEdit, useGarden } from '../../app/hooks';
import { freshName, newId } from '../../app/names';
import { Shape } from '../../drawing/Shapes';
import { Button, Field, Select } from '../../parts/controls';
import { Body, Panel } from '../../parts/layout';
import { Said } from '../../parts/Said';
import { NumberField } from '../../parts/TypedField';
import { priceAll } from '../../workers/planClient';
import { Scatter } from './Scatter';

const Rows = styled.ul`
  overflow: auto;
  min-height: 0;
  padding: 0.5rem 1.25rem 1rem;
  > li {
    display: grid;
    grid-template-columns: 240px minmax(0, 1fr) auto;
    gap: 0.5rem 1.5rem;
    align-items: center;
    padding: 0.9rem 0;
    border-bottom: 1px solid var(--hair);
  }
  > li.out {
    opacity: 0.75;
  }
  .words {
    display: grid;
    gap: 0.35rem;
  }
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.4rem;
    font-size: 0.9375rem;
  }
  .figures dt {
    color: var(--quiet);
    font-size: 0.8125rem;
  }
  .figures dd {
    font-weight: 600;
  }
  .small {
    font-size: 0.875rem;
    color: var(--quiet);
  }
  @media (max-width: 900px) {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** The figures that families are compared by, in the order a gardener asks for them. */
export const COMPARED: readonly {
  readonly key: keyof Measures;
  readonly label: string;
  readonly quantity: Quantity;
}[] = [
  { key: 'price', label: 'Price', quantity: 'money' },
  { key: 'wetSnowMm', label: 'Wet snow', quantity: 'length' },
  { key: 'coldestC', label: 'Coldest night', quantity: 'temperature' },
  { key: 'clearanceMm', label: 'Over the crop', quantity: 'length' },
  { key: 'hours', label: 'Hours', quantity: 'hours' },
  { key: 'massKg', label: 'Weight', quantity: 'mass' },
];

const DRAWING = { width: 240, height: 150 };

/** What kind of cover: every family drawn at one scale on this bed, with what it comes to. */
export function Choose(): ReactNode {
  const { bed } = useCurrent();
  const garden = useGarden();
  const edit = useEdit();
  const navigate = useNavigate();
  const [cropKey, setCropKey] = useState('spinach');
  const [budget, setBudget] = useState(0);
  const [without, setWithout] = useState<readonly string[]>([]);
  const bedId = bed?.id;
  const found = useMemo(
    () => (bedId === undefined ? [] : candidates(garden, bedId, cropKey)),
    [garden, bedId, cropKey],
  );
  const prices = usePrices(found);
  if (!bed) return <Navigate to="/plot" replace />;

  const stand = found.filter((c): c is Extract<Candidate, { outline: Outline }> => 'outline' in c);
  const measured = new Map(stand.map((c) => [c.key, measuresOf(c.outline, prices?.[c.key] ?? NaN)]));
  const all = [...measured.values()];
  const scale = Math.min(
    ...stand.map(({ outline: o }) => {
      const b = bounds(drawAssembly(o.assembly, o.site.bed, o.site.survey, 'end'));
      return Math.min((DRAWING.width - 8) / (b.u1 - b.u0), (DRAWING.height - 8) / (b.v1 - b.v0));
    }),
  );
  const tools = [...new Set(stand.flatMap((c) => c.tools))].sort();
  const choose = (key: FamilyKey): void => {
    const c = found.find((x) => x.key === key);
    const made = firstCover(
      garden,
      bed.id,
      key,
      newId(),
      freshName(
        c?.family.name ?? 'Cover',
        garden.covers.map((x) => x.name),
      ),
    );
    if (!made) return;
    const cover = { ...made, answers: { ...made.answers, crop: cropKey } } as Draft<Cover>;
    if (edit(`Cover ${bed.name}`, (g) => void g.covers.push(cover)).length === 0) void navigate(`/bench/${made.id}`);
  };
  const barred = (c: Extract<Candidate, { outline: Outline }>): string | undefined => {
    const m = measured.get(c.key);
    const missing = c.tools.filter((t) => without.includes(t));
    if (missing.length > 0) return `needs ${missing.join(', ')}`;
    return budget > 0 && m && m.price > budget ? 'over the budget' : undefined;
  };

  return (
    <>
      <PlaceHead title="Choose" subtitle={`a cover for ${bed.name}`} />
      <Body>
        <Rows aria-label="Kinds of cover">
          {found.map((c) => {
            if (!('outline' in c))
              return (
                <li key={c.key} className="out">
                  <span className="small">not on this bed</span>
                  <div className="words">
                    <h2>{c.family.name}</h2>
                    <p>{c.faults[0]?.message}</p>
                  </div>
                </li>
              );
            const m = measured.get(c.key);
            const why = m ? reasons(m, all) : { good: [], bad: [] };
            const bar = barred(c);
            return (
              <li key={c.key} className={bar === undefined ? '' : 'out'} data-family={c.key}>
                <EndDrawing outline={c.outline} scale={scale} />
                <div className="words">
                  <h2>{c.family.name}</h2>
                  <p>{c.family.sentence}</p>
                  <dl className="figures">
                    {COMPARED.map(({ key, label, quantity }) => (
                      <div key={key}>
                        <dt>{label}</dt>
                        <dd className="measure">
                          {m && <Measured value={m[key]} quantity={quantity} waits={key === 'price'} />}
                        </dd>
                      </div>
                    ))}
                  </dl>
                  {(why.good.length > 0 || why.bad.length > 0) && (
                    <p>
                      {why.good.length > 0 && (
                        <>
                          <b>For:</b> {why.good.join(', ')}.{' '}
                        </>
                      )}
                      {why.bad.length > 0 && (
                        <>
                          <b>Against:</b> {why.bad.join(', ')}.
                        </>
                      )}
                    </p>
                  )}
                  <p className="small">Tools: {c.tools.join(', ')}.</p>
                </div>
                <div>
                  {bar === undefined ? (
                    <Button $strong onPress={() => choose(c.key)} aria-label={`Choose ${c.family.name}`}>
                      Choose
                    </Button>
                  ) : (
                    <span className="small">{bar}</span>
                  )}
                </div>
              </li>
            );
          })}
        </Rows>
        <Panel aria-label="What it is for">
          <section aria-label="What it is for">
            <h2>What it is for</h2>
            <Field>
              <span className="name" id="choose-crop">
                Crop
              </span>
              <Select aria-labelledby="choose-crop" value={cropKey} onChange={(e) => setCropKey(e.target.value)}>
                {CROPS.map((c) => (
                  <option key={c.key} value={c.key}>
                    {c.name}
                  </option>
                ))}
              </Select>
              <span className="why">
                <Said phrase={['Grows ', amount(crop(cropKey).heightMm, 'length'), ' high.']} />
              </span>
            </Field>
            <Field>
              <span className="name">Budget</span>
              <span>
                <NumberField
                  label="Budget; nothing means any"
                  value={budget}
                  decimals={0}
                  min={0}
                  max={100000}
                  onSet={(x) => {
                    setBudget(x);
                    return ok(x);
                  }}
                />{' '}
                {budget === 0 ? 'any' : garden.units.currency}
              </span>
            </Field>
          </section>
          <section aria-label="Any two figures against each other">
            <h2>Two figures against each other</h2>
            <Scatter
              points={stand.flatMap((c) => {
                const m = measured.get(c.key);
                return m ? [{ name: c.family.name, measures: m }] : [];
              })}
            />
          </section>
          <section aria-label="Tools I have">
            <h2>Tools I have</h2>
            <ul>
              {tools.map((tool) => (
                <li key={tool}>
                  <label style={{ display: 'flex', gap: '0.6rem', alignItems: 'center', minHeight: '2rem' }}>
                    <input
                      type="checkbox"
                      checked={!without.includes(tool)}
                      onChange={(e) =>
                        setWithout(e.target.checked ? without.filter((t) => t !== tool) : [...without, tool])
                      }
                    />
                    {tool}
                  </label>
                </li>
              ))}
            </ul>
          </section>
        </Panel>
      </Body>
    </>
  );
}

function Measured(p: { readonly value: number; readonly quantity: Quantity; readonly waits: boolean }): ReactNode {
  if (Number.isFinite(p.value)) return <Said phrase={[amount(p.value, p.quantity)]} />;
  if (p.waits) return '…';
  return Number.isNaN(p.value) ? 'not judged' : 'slides off';
}

/** Prices by family, once the background has worked them out. */
function usePrices(found: readonly Candidate[]): Readonly<Record<string, number>> | undefined {
  const garden = useGarden();
  const [known, setKnown] = useState<{
    readonly for: readonly Candidate[];
    readonly prices: Readonly<Record<string, number>>;
  }>();
  useEffect(() => {
    let current = true;
    const covers = found.flatMap((c) => ('outline' in c ? [c.outline.cover] : []));
    const keys = found.flatMap((c) => ('outline' in c ? [c.key] : []));
    priceAll(garden, covers).then(
      (prices) => {
        if (current)
          setKnown({ for: found, prices: Object.fromEntries(keys.map((key, i) => [key, prices[i] ?? NaN])) });
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [garden, found]);
  return known?.for === found ? known.prices : undefined;
}

function EndDrawing({ outline: o, scale }: { readonly outline: Outline; readonly scale: number }): ReactNode {
  const shapes = useMemo(() => drawAssembly(o.assembly, o.site.bed, o.site.survey, 'end'), [o]);
  const b = bounds(shapes);
  const height = (b.v1 - b.v0) * scale + 8;
  const sheet = { scale, left: (DRAWING.width - (b.u1 - b.u0) * scale) / 2, top: 4, u0: b.u0, v1: b.v1 };
  return (
    <svg width={DRAWING.width} height={height} role="img" aria-label={`${o.cover.name} from the end`}>
      {shapes.map((drawn, i) => (
        <Shape key={i} drawn={drawn} sheet={sheet} />
      ))}
    </svg>
  );
}
