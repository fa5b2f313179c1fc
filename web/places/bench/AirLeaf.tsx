import type { TakeAnswers } from '../../drawing/usePull';
import type { Assessment } from '../../../core/assessment';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { addDays, sayDay } from '../../../core/base/days';
import { type Result, fail, ok } from '../../../core/base/result';
import { type Weather } from '../../../core/judge/weather/weather';
import type { ShownClimate } from '../../../core/show/dayCurve';
import { lazyPart } from '../../app/appUpdate';
import { useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import { Button } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { DateField } from '../../parts/DateField';
import { Toggles } from '../../parts/Toggle';
import { useWeather } from '../../weather/useWeather';
import { AirNoon } from './AirNoon';
import { WarmerPanel } from './Warmer';
import { WeatherFrom } from './WeatherFrom';

// Charts come when they are looked at.
const DayCurve = lazyPart(() => import('./DayCurve').then((m) => m.DayCurve), <p role="status">Opening the curve…</p>);

const Area = styled.div`
  min-height: 0;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
  align-content: start;
  padding: 0.75rem 0;
  .days {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
    align-items: center;
  }
  .step {
    display: flex;
    gap: 0.4rem;
    align-items: center;
  }
  .sums {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    border-top: 1px solid var(--hair);
    border-bottom: 1px solid var(--hair);
  }
  .sums > div {
    padding: 0.45rem 0.8rem;
  }
  .sums > div + div {
    border-left: 1px solid var(--hair);
  }
  .sums b {
    display: block;
    font-family: var(--mono);
    font-size: 1.375rem;
    font-weight: 600;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.875rem;
  }
  .noon {
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) minmax(16rem, 1fr);
    gap: 1.5rem;
    border-top: 1px solid var(--hair);
    padding-top: 0.9rem;
  }
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
  .curve {
    min-height: 17.5rem;
  }
  @media (max-width: 1000px) {
    overflow: visible;
  }
  @media (max-width: 760px) {
    .sums {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .sums > div:nth-child(odd) {
      border-left: 0;
    }
    .sums > div:nth-child(n + 3) {
      border-top: 1px solid var(--hair);
    }
    .noon {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** How warm and how cold it gets: any day of a year, what would make nights milder, and the clear noon that vents are sized for. */
export function AirLeaf({
  outline: o,
  onSet,
  takeAnswers,
}: {
  readonly outline: Assessment;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
  readonly takeAnswers: TakeAnswers;
}): ReactNode {
  const had = useWeather();
  const { weather } = had;
  return (
    <Area>
      {weather ? (
        <>
          <InWeather outline={o} weather={weather} />
          <WeatherFrom had={had} place={o.garden} />
          <WarmerPanel outline={o} weather={weather} takeAnswers={takeAnswers} />
        </>
      ) : (
        <WeatherFrom had={had} place={o.garden} />
      )}
      <div className="noon">
        <AirNoon outline={o} onSet={onSet} />
      </div>
    </Area>
  );
}

function InWeather({ outline: o, weather }: { readonly outline: Assessment; readonly weather: Weather }): ReactNode {
  const [asked, ask] = useState<string>();
  const job = useJob('climate', { coverId: o.cover.id, date: asked }, { weather });
  const shown = job.value;
  if (!shown) return <JobSays job={job} doing="Running a year under the cover" />;
  const { days, date } = shown;
  const [first, last] = [days[0]?.date ?? date, days[days.length - 1]?.date ?? date];
  return (
    <>
      <div className="days">
        <Toggles
          label="Days worth seeing"
          one
          options={shown.notable.map((d) => ({ value: d.key, label: d.name }))}
          chosen={shown.notable.flatMap((d) => (d.date === date ? [d.key] : []))}
          onChange={([key]) => {
            const day = shown.notable.find((d) => d.key === key);
            if (day) ask(day.date);
          }}
        />
        <div className="step">
          <Button aria-label="The day before" isDisabled={date <= first} onPress={() => ask(addDays(date, -1))}>
            ‹
          </Button>
          <DateField
            label="Day that is shown"
            date={date}
            first={first}
            last={last}
            onSet={(day) => {
              if (!days.some((d) => d.date === day)) return fail('date', `From ${sayDay(first)} to ${sayDay(last)}.`);
              ask(day);
              return ok(day);
            }}
          />
          <Button aria-label="The day after" isDisabled={date >= last} onPress={() => ask(addDays(date, 1))}>
            ›
          </Button>
        </div>
      </div>
      <div className="curve">
        <DayCurve shown={shown} crop={o.assembly.crop.crop} />
      </div>
      <Sums outline={o} shown={shown} />
    </>
  );
}

/** The day in four figures, and the year behind it. */
function Sums({ outline: o, shown }: { readonly outline: Assessment; readonly shown: ShownClimate }): ReactNode {
  const units = useUnits();
  const row = o.assembly.crop.crop;
  const day = shown.days.find((d) => d.date === shown.date);
  if (!day) return null;
  const say = (c: number): string => formatAmount(c, 'temperature', units);
  const more = (c: number): string => `${c < 0 ? '' : '+'}${formatAmount(c, 'warming', units)}`;
  const margin = day.lowC - row.killingC;
  const deadly = shown.days.filter((d) => d.killHours > 0).length;
  const hot = shown.days.filter((d) => d.hotHours > 0).length;
  const open = shown.curve.filter((h) => h.open > 0.02).map((h) => h.hour);
  return (
    <div className="sums" data-testid="air-sums">
      <div>
        Low inside
        <b style={{ color: 'var(--frost)' }}>{say(day.lowC)}</b>
        <span className="quiet">
          {more(day.lowC - day.outLowC)} on outside;{' '}
          {margin >= 0
            ? `${formatAmount(margin, 'warming', units)} above`
            : `${formatAmount(-margin, 'warming', units)} below`}{' '}
          what kills {row.name}
        </span>
      </div>
      <div>
        High inside
        <b style={{ color: 'var(--sun-ink)' }}>{say(day.highC)}</b>
        <span className="quiet">
          {day.hotHours > 0 ? `${day.hotHours} h too hot for ${row.name}` : `never too hot for ${row.name}`}
        </span>
      </div>
      <div>
        Open
        <b>{open.length > 0 ? `${open[0] ?? 0}:00–${open[open.length - 1] ?? 0}:00` : 'shut'}</b>
        <span className="quiet">{open.length > 0 ? `on ${sayDay(day.date)}` : `all of ${sayDay(day.date)}`}</span>
      </div>
      <div>
        In this year
        <b>
          {deadly} {deadly === 1 ? 'night' : 'nights'}
        </b>
        <span className="quiet">
          that would kill {row.name}; {hot} {hot === 1 ? 'day' : 'days'} with hours too hot
        </span>
      </div>
    </div>
  );
}
