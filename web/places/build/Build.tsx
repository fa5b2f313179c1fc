import { goToStep, tickCheck } from '../../../core/commands/covers';
import { type ReactNode, useEffect, useRef } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { amount } from '../../../core/base/figure';
import { PlaceHead } from '../../app/PlaceHead';
import { useAwake } from '../../app/awake';
import { useCurrent } from '../../app/current';
import { useRun } from '../../app/hooks';
import { useWay } from '../../app/way';
import { useOutline } from '../../background/useOutline';
import { useSize } from '../../drawing/useSize';
import { Button } from '../../parts/controls';
import { Sentence } from '../../parts/Said';
import { StepCard, checkKey } from '../../parts/StepCard';

const Layout = styled.div`
  min-height: 0;
  display: grid;
  grid-template-columns: 17rem minmax(0, 1fr);
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr);
  }
`;

const List = styled.ol`
  overflow: auto;
  padding: 0.75rem 0;
  border-right: 1px solid var(--hair);
  background: var(--sheet);
  counter-reset: step;
  button {
    width: 100%;
    min-height: var(--target);
    padding: 0.55rem 1.25rem;
    border: 0;
    border-left: 4px solid transparent;
    background: none;
    text-align: left;
    font-size: 0.9375rem;
    cursor: pointer;
  }
  button[aria-current='step'] {
    border-left-color: var(--chalk);
    font-weight: 600;
    background: var(--ground);
  }
  .ticked {
    color: var(--holds);
    font-weight: 600;
  }
  @media (max-width: 760px) {
    display: none;
  }
`;

const Stage = styled.div`
  overflow: auto;
  min-height: 0;
  .inner {
    max-width: 46rem;
    margin: 0 auto;
    padding: 1rem 1.25rem 1.5rem;
  }
  .bar {
    height: 8px;
    margin-bottom: 1rem;
    background: var(--hair);
  }
  .bar i {
    display: block;
    height: 100%;
    background: var(--ink);
  }
  .deeds {
    display: flex;
    gap: 0.75rem;
    margin-top: 1.5rem;
  }
  .deeds button {
    min-height: 3.6rem;
    font-size: 1.0625rem;
  }
  .deeds button:last-child {
    flex: 1;
  }
`;

/** The step in hand. Another step begins at its title, with the keyboard there. */
function StepStage({ at, children }: { readonly at: number; readonly children: ReactNode }): ReactNode {
  const stage = useRef<HTMLDivElement>(null);
  const shown = useRef(at);
  useEffect(() => {
    if (shown.current === at) return;
    shown.current = at;
    stage.current?.firstElementChild?.scrollIntoView({ block: 'start' });
    stage.current?.querySelector<HTMLElement>('h2')?.focus({ preventScroll: true });
  }, [at]);
  return (
    <Stage ref={stage} tabIndex={0} role="region" aria-label="The step in hand">
      {children}
    </Stage>
  );
}

/** Put it together: one step at a time, in big type, keeping its place. */
export function Build(): ReactNode {
  useAwake();
  const way = useWay();
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const run = useRun();
  const navigate = useNavigate();
  const [ref, size] = useSize<HTMLDivElement>();
  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  if (!outlined?.ok) return <Navigate to={way('bench', cover.id)} replace />;
  const { steps } = outlined.value.assembly;
  const { done } = cover.build;
  const at = Math.min(cover.build.at, steps.length - 1);
  const now = steps[at];
  const go = (to: number): void => void run((g) => goToStep(g, cover.id, to));
  const finished = (i: number): boolean => {
    const s = steps[i];
    return s !== undefined && s.checks.length > 0 && s.checks.every((_, k) => done.includes(checkKey(s, k)));
  };
  const next = steps[at + 1];
  const hours = steps.reduce((sum, s) => sum + s.minutes, 0) / 60;
  if (!now) return <Navigate to={way('bench', cover.id)} replace />;
  return (
    <>
      <PlaceHead title="Build" subtitle={`${cover.name} on ${bed.name}`}>
        <Button onPress={() => void navigate(way('paper', cover.id))}>Print the steps</Button>
      </PlaceHead>
      <Layout>
        <List aria-label="Steps">
          {steps.map((s, i) => (
            <li key={s.id}>
              <button type="button" aria-current={i === at ? 'step' : undefined} onClick={() => go(i)}>
                {i + 1}. {s.title} {finished(i) && <span className="ticked">checked</span>}
              </button>
            </li>
          ))}
          <li>
            <p style={{ padding: '0.8rem 1.4rem', fontSize: '0.875rem', color: 'var(--quiet)' }}>
              In all about <Sentence phrase={[amount(hours, 'hours')]} /> for one person.
            </p>
          </li>
        </List>
        <StepStage at={at}>
          <div className="inner" ref={ref}>
            <div
              className="bar"
              role="progressbar"
              aria-label="Steps done"
              aria-valuemin={0}
              aria-valuemax={steps.length}
              aria-valuenow={at}
            >
              <i style={{ width: `${(100 * at) / steps.length}%` }} />
            </div>
            {size && (
              <StepCard
                outline={outlined.value}
                step={now}
                number={at + 1}
                of={steps.length}
                width={size.width}
                done={done}
                onTick={(key, ticked) => void run((g) => tickCheck(g, cover.id, key, ticked))}
              />
            )}
            <div className="deeds">
              <Button isDisabled={at === 0} onPress={() => go(at - 1)}>
                Back
              </Button>
              {next ? (
                <Button $strong onPress={() => go(at + 1)}>
                  Done, next: {next.title.charAt(0).toLowerCase() + next.title.slice(1)}
                </Button>
              ) : (
                <Button $strong onPress={() => void navigate(way('plot'))}>
                  Done: back to the plot
                </Button>
              )}
            </div>
          </div>
        </StepStage>
      </Layout>
    </>
  );
}
