import { TwoFiguresLater } from './TwoFiguresLater';
import { plainToolName, type ToolKey } from '../../../core/catalog/handTools';
import { type Merits, meritPhrase, reasons } from '../../../core/explore/merits';
import { JobSays } from '../../parts/JobSays';
import { useJob } from '../../background/useJob';
import { fail, ok } from '../../../core/base/result';
import type { ShownKind } from '../../background/jobs';
import { COMPARED } from './compared';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { type Drawn, bounds } from '../../../core/show/project';
import { amount, phrase } from '../../../core/base/figure';
import type { Bed } from '../../../core/site/bed';
import type { Quantity } from '../../../core/base/amount';
import { useCatalog, useGarden } from '../../app/hooks';
import { Shape } from '../../drawing/Shapes';
import { Button, Choice, Row } from '../../parts/controls';
import { Body, PanelBox } from '../../parts/layout';
import { Sentence } from '../../parts/Said';
import { LengthField, NumberField } from '../../parts/TypedField';
import { ChooseLeaves } from './ChooseLeaves';
import { Lineup } from './Lineup';
import { useChosen } from './useChosen';
import { Tick } from '../../parts/Tick';

const Rows = styled.ul`
  overflow: auto;
  min-height: 0;
  padding: 0.5rem 1.25rem 1rem;
  > li {
    display: grid;
    grid-template-columns: 300px minmax(0, 1fr) auto;
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
  /* Known once all have come: its room is kept, so that nothing moves from under a hand. */
  .why {
    min-height: 2lh;
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

const KindsBox = styled.div`
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto auto minmax(0, 1fr);
  /* The list goes to the foot, whatever stands over it. */
  > :last-child {
    grid-row: 3;
  }
`;

const DRAWING = { width: 300, height: 210 };

/** Every family with its usual answers, drawn at one scale on this bed, with what it comes to. */
export function Kinds({ bed }: { readonly bed: Bed }): ReactNode {
  const garden = useGarden();
  const catalog = useCatalog();
  const [cropKey, setCropKey] = useState('spinach');
  const [budget, setBudget] = useState(0);
  const [without, setWithout] = useState<readonly ToolKey[]>([]);
  const [lowest, setLowest] = useState(0);
  const job = useJob('compare', { bedId: bed.id, cropKey });
  const choose = useChosen();
  const coming = job.value ? undefined : job.progress;
  const found = job.value ?? coming?.work;

  const stand = (found ?? []).filter((c): c is ShownKind => 'cover' in c);
  const all = stand.map((c) => c.merits);
  const tools = [...new Set(stand.flatMap((c) => c.tools))].sort();
  const barred = ({ merits: m, tools: needs }: ShownKind): string | undefined => {
    const missing = needs.filter((t) => without.includes(t));
    if (missing.length > 0) return `needs ${missing.map(plainToolName).join(', ')}`;
    if (lowest > 0 && m.heightMm > lowest) return 'too high';
    return budget > 0 && m.price > budget ? 'over the budget' : undefined;
  };

  return (
    <>
      <Body>
        <KindsBox>
          <ChooseLeaves />
          {stand.length > 0 && <Lineup kinds={stand} isOut={(c) => barred(c) !== undefined} />}
          <Rows aria-label="Kinds of cover">
            {!found && (
              <li>
                <span />
                <JobSays job={job} doing="Trying every kind of cover on this bed" />
              </li>
            )}
            {found?.map((c) => {
              if (!('cover' in c))
                return (
                  <li key={c.key} className="out">
                    <span className="small">not on this bed</span>
                    <div className="words">
                      <h2>{c.name}</h2>
                      <p>{c.fault}</p>
                    </div>
                  </li>
                );
              const m = c.merits;
              const why = coming ? { good: [], bad: [] } : reasons(m, all);
              const bar = barred(c);
              return (
                <li key={c.key} className={bar === undefined ? '' : 'out'} data-family={c.key}>
                  <EndDrawing name={c.name} shapes={c.shapes} />
                  <div className="words">
                    <h2>{c.name}</h2>
                    <p>{c.sentence}</p>
                    <dl className="figures">
                      {COMPARED.map(({ key, label, quantity }) => (
                        <div key={key}>
                          <dt>{label}</dt>
                          <dd className="measure">
                            <Measured value={m[key]} quantity={quantity} />
                          </dd>
                        </div>
                      ))}
                      <div>
                        <dt>Warmth</dt>
                        <dd>{c.warmth}</dd>
                      </div>
                    </dl>
                    <p className="why">
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
                    <p className="small">Tools: {c.tools.map(plainToolName).join(', ')}.</p>
                  </div>
                  <div>
                    {bar === undefined ? (
                      <Button $strong onPress={() => choose(c)} aria-label={`Choose ${c.name}`}>
                        Choose
                      </Button>
                    ) : (
                      <span className="small">{bar}</span>
                    )}
                  </div>
                </li>
              );
            })}
            {coming && (
              <li>
                <span />
                <p role="status">
                  Trying the others: {coming.solved} of {coming.sections} kinds so far…
                </p>
              </li>
            )}
          </Rows>
        </KindsBox>
        <PanelBox aria-label="What it is for">
          <section aria-label="What it is for">
            <h2>What it is for</h2>
            <Choice
              label="Crop"
              value={cropKey}
              options={[...catalog.crop.values()].map((c) => ({
                value: c.key,
                label: c.name,
                why: phrase`Grows ${amount(c.heightMm, 'growth')} high.`,
              }))}
              onChange={setCropKey}
            />
            <Row name="Budget" unit={budget === 0 ? 'any' : garden.units.currency}>
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
              />
            </Row>
            <Row name="No higher than" {...(lowest === 0 && { unit: 'any' })}>
              <LengthField
                label="No higher than; nothing means any height"
                valueMm={lowest}
                boxed
                onSet={(mm) => {
                  if (mm < 0) return fail('height', 'A height is not less than nothing; nothing means any.');
                  setLowest(mm);
                  return ok(mm);
                }}
              />
            </Row>
          </section>
          <section aria-label="Any two figures against each other">
            <h2>Two figures against each other</h2>
            <TwoFiguresLater
              points={stand.map((c) => ({
                id: c.key,
                name: c.name,
                value: (key) => c.merits[key as keyof Merits],
              }))}
              figures={COMPARED}
              first={['price', 'wetSnowMm']}
            />
          </section>
          <section aria-label="Tools I have">
            <h2>Tools I have</h2>
            <ul>
              {tools.map((tool) => (
                <li key={tool}>
                  <Tick
                    on={!without.includes(tool)}
                    onChange={(on) => setWithout(on ? without.filter((t) => t !== tool) : [...without, tool])}
                  >
                    {plainToolName(tool)}
                  </Tick>
                </li>
              ))}
            </ul>
          </section>
        </PanelBox>
      </Body>
    </>
  );
}

function Measured(p: { readonly value: number; readonly quantity: Quantity }): ReactNode {
  return <Sentence phrase={meritPhrase(p.value, p.quantity)} />;
}

/** A kind by itself, as large as its row allows; on one scale they all stand over the list. */
function EndDrawing(p: { readonly name: string; readonly shapes: readonly Drawn[] }): ReactNode {
  const b = bounds(p.shapes);
  const scale = Math.min((DRAWING.width - 8) / (b.u1 - b.u0), (DRAWING.height - 8) / (b.v1 - b.v0));
  const height = (b.v1 - b.v0) * scale + 8;
  const left = (DRAWING.width - (b.u1 - b.u0) * scale) / 2;
  const sheet = { scale, left, top: 4, u0: b.u0, v1: b.v1 };
  return (
    <svg width={DRAWING.width} height={height} role="img" aria-label={`${p.name} from the end`}>
      {p.shapes.map((drawn, i) => (
        <Shape key={i} drawn={drawn} sheet={sheet} />
      ))}
    </svg>
  );
}
