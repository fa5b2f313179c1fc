import type { Outline } from '../../../core/outline';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { phraseText } from '../../../core/base/figure';
import { formatMoney } from '../../../core/base/amount';
import { useUnits } from '../../app/hooks';
import { useMends } from '../../background/usePlan';
import { Button } from '../../parts/controls';
import { Said } from '../../parts/Said';
import { VerdictMark } from '../../parts/VerdictMark';
import { Why } from '../../parts/Why';

const List = styled.ul`
  columns: 20rem;
  column-gap: 2rem;
  li {
    break-inside: avoid;
    display: grid;
    grid-template-columns: 4.6rem 1fr;
    gap: 0.3rem 0.7rem;
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
    font-size: 0.875rem;
    line-height: 1.3;
  }
  .mends {
    grid-column: 2;
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .mends button {
    font-size: 0.875rem;
    padding: 0 0.6rem;
    min-height: calc(var(--target) - 4px);
  }
  .caution {
    grid-column: 2;
    font-size: 0.8125rem;
    color: var(--quiet);
  }
`;

const Section = styled.section`
  small {
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.8125rem;
    margin-left: 0.6rem;
  }
`;

interface ChecksProps {
  readonly outline: Outline;
  readonly priced: boolean;
  readonly only: string | undefined;
  readonly setAnswers: (label: string, answers: unknown) => unknown;
}

/** Will it do? Every check, worst first, with the mends that work and what they cost. */
export function Checks({ outline: o, priced, only, setAnswers }: ChecksProps): ReactNode {
  const units = useUnits();
  const checks = o.checks.filter((c) => only === undefined || c.leaf === only);
  const job = useMends(priced ? o.cover : undefined);
  const found = job.state === 'done' ? job.value : undefined;
  if (checks.length === 0) return null;
  return (
    <Section aria-label="Will it do?" data-testid="checks" tabIndex={0}>
      <h2>
        Will it do? <small>A planning aid; local codes come first.</small>
      </h2>
      <List>
        {checks.map((c) => {
          const mends = found?.filter((m) => m.checkId === c.id) ?? [];
          return (
            <li key={c.id} data-check={c.id} data-verdict={c.verdict}>
              <VerdictMark verdict={c.verdict} />
              <span>
                <Said phrase={c.text} /> {c.figure && <Why figure={c.figure}>Why?</Why>}
              </span>
              {mends.length > 0 && (
                <span className="mends">
                  {mends.map((m) => {
                    const label = phraseText(m.label, units);
                    const cost = `${m.cost < 0 ? '−' : '+'}${formatMoney(Math.abs(m.cost), units.currency)}`;
                    return (
                      <Button key={label} onPress={() => setAnswers(`Mend: ${label}`, m.answers)}>
                        {label} <span className="measure">{cost}</span>
                      </Button>
                    );
                  })}
                </span>
              )}
              {c.verdict === 'fails' && mends.length === 0 && c.tries.length > 0 && found && (
                <span className="caution">No single change mends this. Try two together, or ask less of it.</span>
              )}
              {c.verdict === 'fails' && c.tries.length > 0 && (job.state === 'pending' || !priced) && (
                <span className="caution">Looking for mends…</span>
              )}
              {c.verdict === 'fails' && c.tries.length > 0 && (job.state === 'failed' || job.state === 'stopped') && (
                <span className="caution">
                  Mends could not be looked for. <Button onPress={job.retry}>Try again</Button>
                </span>
              )}
              {c.caution !== undefined && only !== undefined && <span className="caution">{c.caution}</span>}
            </li>
          );
        })}
      </List>
    </Section>
  );
}
