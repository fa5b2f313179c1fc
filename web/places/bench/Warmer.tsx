import type { TakeAnswers } from '../../drawing/usePull';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { sayDay } from '../../../core/base/days';
import { type Weather } from '../../../core/judge/weather/weather';
import type { Assessment } from '../../../core/assessment';
import { useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import { Button } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { ListTable } from '../../parts/lists';

const Gains = styled(ListTable)`
  .n {
    text-align: right;
    font-family: var(--mono);
    white-space: nowrap;
  }
  td:last-child,
  th:last-child {
    padding-right: 0;
    text-align: right;
  }
`;

const Scroll = styled.div`
  overflow-x: auto;
`;

const SHOWN = 6;

/** What would make the coldest clear night milder, the cheapest degree first; each taken with a press. */
export function WarmerPanel({
  outline: o,
  weather,
  takeAnswers,
}: {
  readonly outline: Assessment;
  readonly weather: Weather;
  readonly takeAnswers: TakeAnswers;
}): ReactNode {
  const units = useUnits();
  const job = useJob('warmer', o.cover.id, { weather });
  const found = job.value;
  if (!found) return <JobSays job={job} doing="Looking for what would keep it warmer" />;
  if (found.changes.length === 0)
    return (
      <p className="quiet">Nothing that this kind of cover can be given makes the coldest night noticeably milder.</p>
    );
  return (
    <section aria-label="What would keep it warmer" data-testid="warmer">
      <h2>Milder on {sayDay(found.date)}, the coldest clear night</h2>
      <Scroll>
        <Gains>
          <thead>
            <tr>
              <th>With</th>
              <th className="n">Low</th>
              <th className="n">Costs</th>
              <th className="n">A degree</th>
              <th className="n">Light lost</th>
              <th>
                <span className="visually-hidden">Take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.changes.slice(0, SHOWN).map((c) => (
              <tr key={`${c.question} ${c.label}`}>
                <td>{c.question === 'Second layer' ? `Second layer: ${c.label.toLowerCase()}` : c.label}</td>
                <td className="n">+{formatAmount(c.gainC, 'warming', units)}</td>
                <td className="n">≈ {formatAmount(Math.max(0, c.cost), 'money', units)}</td>
                <td className="n">
                  {formatAmount(
                    Math.max(0, c.cost) / (units.temperature === 'F' ? c.gainC * 1.8 : c.gainC),
                    'money',
                    units,
                  )}
                </td>
                <td className="n">{Math.round(100 * c.lightLost)} %</td>
                <td>
                  <Button onPress={() => void takeAnswers(`${c.question}: ${c.label}`, c.answers)}>Take it</Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Gains>
      </Scroll>
    </section>
  );
}
