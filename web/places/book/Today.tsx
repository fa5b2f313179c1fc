import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { addDays, sayDay } from '../../../core/base/days';
import { phraseText } from '../../../core/base/figure';
import { isInUse } from '../../../core/garden/garden';
import { useGarden, useUnits } from '../../app/hooks';
import { useWay } from '../../app/way';
import { Button } from '../../parts/controls';
import { MoodMark } from '../../weather/MoodMark';
import { type Forecast, useForecast } from '../../weather/useForecast';
import { useTonight } from '../../weather/useTonight';
import { JobSays } from '../../parts/JobSays';
import { useSeasons } from '../../weather/useSeasons';
import { useToday } from '../../app/clock';

const List = styled.ul`
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
    gap: 0.1rem 1.2rem;
    padding: 0.7rem 0;
    border-top: 1px solid var(--hair);
  }
  > li:last-child {
    border-bottom: 1px solid var(--hair);
  }
  .word {
    font-size: 1.375rem;
    font-weight: 600;
    line-height: 1.25;
  }
  .deed {
    grid-column: 1 / -1;
    border-left: 4px solid var(--tight);
    padding-left: 0.6rem;
    margin-top: 0.3rem;
  }
  .danger .deed {
    border-color: var(--fails);
  }
  .figures {
    font-family: var(--mono);
    font-weight: 600;
  }
  .figures span {
    font-family: var(--sans);
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.875rem;
  }
  @media (max-width: 760px) {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** Days ahead that are told as due. */
const DUE_DAYS = 14;

/** Tonight's word for each cover, and what is due. */
export function Today(): ReactNode {
  const garden = useGarden();
  const { forecast, retry } = useForecast();
  const covers = garden.covers.filter(isInUse);
  if (covers.length === 0) return <p>No cover is planned or standing yet: the day book begins with one.</p>;
  return (
    <>
      {forecast === undefined && <p role="status">Asking what is foreseen…</p>}
      {typeof forecast === 'string' && (
        <p role="alert">
          There is no forecast ({forecast}). What is due stands below. <Button onPress={retry}>Ask again</Button>
        </p>
      )}
      {forecast !== undefined && typeof forecast !== 'string' && (
        <Words forecast={forecast} coverIds={covers.map((c) => c.id)} />
      )}
      <Due />
    </>
  );
}

function Words({
  forecast,
  coverIds,
}: {
  readonly forecast: Forecast;
  readonly coverIds: readonly string[];
}): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const way = useWay();
  const found = useTonight(forecast, coverIds);
  const { weather, now } = forecast;
  const next = weather.airC.slice(now, now + 24);
  const say = (c: number): string => formatAmount(c, 'temperature', units);
  return (
    <section aria-label="The next day and night">
      <p>
        {weather.simulated && <span className="mark">Simulated forecast</span>} The next day and night:{' '}
        {say(Math.min(...next))} to {say(Math.max(...next))} outside
        {Math.max(...weather.gustMPerS.slice(now, now + 24)) > 15 ? ', gusty' : ''}
        {weather.snowMm.slice(now, now + 24).some((s) => s > 1)
          ? ', snow'
          : weather.rainMm.slice(now, now + 24).some((r) => r > 0.2)
            ? ', rain'
            : ''}
        .{forecast.stale !== undefined && ' The service does not answer: this is the last that it told.'}
      </p>
      {!found && <p role="status">Working out every cover…</p>}
      {found && (
        <List style={{ marginTop: '0.8rem' }}>
          {found.map(({ word, id }) => {
            const cover = garden.covers.find((c) => c.id === id);
            if (!cover) return null;
            if (!word)
              return (
                <li key={id}>
                  <Link to={way('bench', cover.id)}>{cover.name}</Link>{' '}
                  <span>cannot be drawn as it is: look at it on the bench.</span>
                </li>
              );
            return (
              <li key={id} className={word.mood} data-testid={`tonight-${cover.id}`}>
                <div>
                  <Link to={`${way('bench', cover.id)}/air`}>{cover.name}</Link>
                  <div className="word">{phraseText(word.word, units)}</div>
                </div>
                <div>
                  <MoodMark mood={word.mood} />
                  <div className="figures">
                    {say(word.low.insideC)} <span>low inside, {say(word.low.outsideC)} out</span>
                  </div>
                  <div className="figures">
                    {say(word.high.insideC)} <span>high inside when shut</span>
                  </div>
                </div>
                {word.deeds.map((d, i) => (
                  <p key={i} className="deed">
                    {phraseText(d, units)}
                  </p>
                ))}
              </li>
            );
          })}
        </List>
      )}
    </section>
  );
}

/** What the calendar asks for in the next two weeks. */
function Due(): ReactNode {
  const units = useUnits();
  const way = useWay();
  const today = useToday();
  const job = useSeasons(today);
  const until = addDays(today, DUE_DAYS);
  const due = (job.value ?? []).flatMap(({ cover, tasks }) =>
    tasks
      .filter((t) => t.kind !== 'light' && t.kind !== 'frost' && t.date <= until && (t.until ?? t.date) >= today)
      .map((task) => ({ cover, task })),
  );
  return (
    <section aria-label="Due now">
      <h2>Due within two weeks</h2>
      <JobSays job={job} doing="Looking through the calendar" />
      {job.value === undefined ? null : due.length === 0 ? (
        <p>
          Nothing. <Link to={`${way('book')}/year`}>The whole year</Link>
        </p>
      ) : (
        <List>
          {due.map(({ cover, task }) => (
            <li key={`${cover.id} ${task.id}`}>
              <div>
                <b>{task.title}</b>
                <div className="quiet">{phraseText(task.why, units)}</div>
              </div>
              <div>
                {task.date < today ? `until ${sayDay(task.until ?? task.date)}` : sayDay(task.date)}
                <div className="quiet">{cover.name}</div>
              </div>
            </li>
          ))}
        </List>
      )}
    </section>
  );
}
