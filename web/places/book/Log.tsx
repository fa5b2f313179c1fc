import { type ReactNode, useMemo, useState } from 'react';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { climatePlace, modelOf } from '../../../core/air';
import { MS_PER_DAY, MS_PER_HOUR, addDays, dayNumber, isDate, isoDay } from '../../../core/base/days';
import { evaluate } from '../../../core/evaluate';
import { type Fault, fail, messageOf, ok } from '../../../core/base/result';
import { LOG_KINDS, LOG_KIND_KEYS, type LogEntry, type LogKind, newEntry } from '../../../core/garden/log';
import type { Cover } from '../../../core/garden/garden';
import { LEAST_READINGS, type Reading } from '../../../core/judge/climate/fit';
import { weatherKey, type Weather } from '../../../core/judge/weather/weather';
import { logCsv } from '../../../core/show/log';
import { useCurrent } from '../../app/current';
import { useGarden, useTake, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { fitIn } from '../../background/planClient';
import { useJob } from '../../background/useJob';
import { Button, Choice, Field, Row } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { FaultList } from '../../parts/OpenFile';
import { saveFile } from '../../parts/saveFile';
import { TypedField } from '../../parts/TypedField';
import { type PairReading, thermometers } from '../../weather/source';
import { useWeather } from '../../weather/useWeather';
import { todayOf } from './Today';

const Form = styled.form`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 1.6rem;
  border-bottom: 1px solid var(--hair);
  padding-bottom: 0.7rem;
  .wide {
    grid-column: 1 / -1;
  }
  textarea {
    width: 100%;
    font: inherit;
    color: inherit;
    background: var(--ground);
    border: 1.5px solid var(--chalk);
    border-radius: 2px;
    padding: 0.4rem 0.6rem;
  }
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  th {
    text-align: left;
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.875rem;
  }
  td,
  th {
    padding: 0.4rem 0.9rem 0.4rem 0;
    border-bottom: 1px solid var(--hair);
    vertical-align: top;
  }
  .n {
    font-family: var(--mono);
    white-space: nowrap;
  }
`;

/** Rows that are drawn at a time: ten years of days are thousands. */
const PAGE = 60;

/** An empty or typed number in the unit of the garden. */
function MaybeDegrees({
  label,
  value,
  onSet,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onSet: (c: number | null) => void;
}): ReactNode {
  const { temperature } = useUnits();
  const shown =
    value === null
      ? ''
      : (temperature === 'F' ? value * 1.8 + 32 : value).toFixed(1).replace(/\.0$/, '').replace('-', '−');
  return (
    <TypedField
      label={label}
      shown={shown}
      boxed
      take={(text) => {
        const t = text.trim().replace('−', '-').replace(',', '.');
        if (t === '') {
          onSet(null);
          return ok(null);
        }
        const x = Number(t);
        if (!Number.isFinite(x))
          return fail(label, `A number of degrees, such as ${temperature === 'F' ? '23' : '-5'}; or nothing.`);
        onSet(temperature === 'F' ? (x - 32) / 1.8 : x);
        return ok(x);
      }}
    />
  );
}

/** What was done and read, written down and looked back at. */
export function Log(): ReactNode {
  const garden = useGarden();
  const take = useTake();
  const units = useUnits();
  const { cover } = useCurrent();
  const today = todayOf(garden, Date.now());
  const [entry, setEntry] = useState<LogEntry>(() => newEntry(newId(), today, cover?.id ?? null, 'reading'));
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [pages, setPages] = useState(1);
  const set = (more: Partial<LogEntry>): void => setEntry((e) => ({ ...e, ...more }));
  const write = (): void => {
    const done = take(`Log: ${LOG_KINDS[entry.kind]}`, (g) => void g.log.push(entry));
    setFaults(done.ok ? [] : done.faults);
    if (done.ok) setEntry(newEntry(newId(), entry.date, entry.coverId, entry.kind));
  };
  const rows = useMemo(
    () => garden.log.map((e, i) => ({ e, i })).sort((a, b) => b.e.date.localeCompare(a.e.date) || b.i - a.i),
    [garden.log],
  );
  const name = (id: string | null): string =>
    id === null ? 'the garden' : (garden.covers.find((c) => c.id === id)?.name ?? 'a cover that is gone');
  const degrees = (low: number | null, high: number | null): string =>
    low === null && high === null
      ? ''
      : `${low === null ? '–' : formatAmount(low, 'temperature', units)} / ${high === null ? '–' : formatAmount(high, 'temperature', units)}`;
  const reading = entry.kind === 'reading';
  return (
    <>
      <Form
        aria-label="A new entry"
        onSubmit={(e) => {
          e.preventDefault();
          write();
        }}
      >
        <Choice
          label="What"
          value={entry.kind}
          options={LOG_KIND_KEYS.map((k) => ({ value: k, label: LOG_KINDS[k] }))}
          onChange={(k) => set({ kind: k as LogKind })}
        />
        <Choice
          label="Where"
          value={entry.coverId ?? ''}
          options={[...garden.covers.map((c) => ({ value: c.id, label: c.name })), { value: '', label: 'the garden' }]}
          onChange={(id) => set({ coverId: id === '' ? null : id })}
        />
        <Row name="Date">
          <TypedField
            label="Date of the entry, as year-month-day"
            shown={entry.date}
            boxed
            take={(text) => {
              const date = text.trim();
              if (!isDate(date)) return fail('date', 'Write it as year-month-day, for example 2027-01-15.');
              set({ date });
              return ok(date);
            }}
          />
        </Row>
        {entry.kind === 'harvested' ? (
          <Row name="Weight" unit="kg">
            <TypedField
              label="Weight, kg"
              shown={entry.kg === null ? '' : String(entry.kg)}
              boxed
              take={(text) => {
                const x = Number(text.trim().replace(',', '.'));
                if (text.trim() !== '' && !(x >= 0 && x <= 10_000))
                  return fail('kg', 'A weight in kilograms, such as 1.2; or nothing.');
                set({ kg: text.trim() === '' ? null : x });
                return ok(x);
              }}
            />
          </Row>
        ) : (
          <div />
        )}
        {reading && (
          <>
            <Row name="Inside" unit={`low, °${units.temperature}`}>
              <MaybeDegrees label="Low inside" value={entry.insideLowC} onSet={(insideLowC) => set({ insideLowC })} />
            </Row>
            <Row name="" unit={`high, °${units.temperature}`}>
              <MaybeDegrees
                label="High inside"
                value={entry.insideHighC}
                onSet={(insideHighC) => set({ insideHighC })}
              />
            </Row>
            <Row name="Outside" unit={`low, °${units.temperature}`}>
              <MaybeDegrees
                label="Low outside"
                value={entry.outsideLowC}
                onSet={(outsideLowC) => set({ outsideLowC })}
              />
            </Row>
            <Row name="" unit={`high, °${units.temperature}`}>
              <MaybeDegrees
                label="High outside"
                value={entry.outsideHighC}
                onSet={(outsideHighC) => set({ outsideHighC })}
              />
            </Row>
          </>
        )}
        <div className="wide">
          <Field>
            <span className="name">Note</span>
            <textarea
              aria-label="Note"
              rows={2}
              maxLength={500}
              value={entry.note}
              onChange={(e) => set({ note: e.target.value })}
            />
          </Field>
        </div>
        {faults.length > 0 && (
          <p className="wide" role="alert">
            <FaultList faults={faults} />
          </p>
        )}
        <div className="wide" style={{ display: 'flex', gap: '0.6rem' }}>
          <Button $strong type="submit">
            Write it down
          </Button>
          {rows.length > 0 && (
            <Button onPress={() => saveFile(`${garden.name} day book.csv`, 'text/csv', logCsv(garden))}>
              Save the log as CSV
            </Button>
          )}
        </div>
      </Form>
      {rows.length === 0 ? (
        <p>Nothing is written down yet. A low and a high inside, a week long, is enough for Cabanon to learn from.</p>
      ) : (
        <Table data-testid="log">
          <thead>
            <tr>
              <th>Date</th>
              <th>What</th>
              <th>Inside</th>
              <th>Outside</th>
              <th aria-label="Take away" />
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, PAGE * pages).map(({ e }) => (
              <tr key={e.id}>
                <td className="n">{e.date}</td>
                <td>
                  {LOG_KINDS[e.kind]}
                  {e.kg !== null && ` ${formatAmount(e.kg, 'mass', units)}`}
                  <div className="quiet">{name(e.coverId)}</div>
                  {e.note !== '' && <div style={{ overflowWrap: 'anywhere' }}>{e.note}</div>}
                </td>
                <td className="n">{degrees(e.insideLowC, e.insideHighC)}</td>
                <td className="n">{degrees(e.outsideLowC, e.outsideHighC)}</td>
                <td>
                  <Button
                    aria-label={`Take away: ${LOG_KINDS[e.kind]}, ${e.date}`}
                    onPress={() =>
                      void take('Take an entry away', (g) => void (g.log = g.log.filter((x) => x.id !== e.id)))
                    }
                  >
                    Take away
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {rows.length > PAGE * pages && (
        <div>
          <Button onPress={() => setPages((n) => n + 1)}>
            Show {Math.min(PAGE, rows.length - PAGE * pages)} more of {rows.length}
          </Button>
        </div>
      )}
    </>
  );
}

/** What the readings of the cover in hand teach of it. */
export function LogPanel(): ReactNode {
  const garden = useGarden();
  const { cover } = useCurrent();
  const [chosen, choose] = useState<string>();
  const shown = garden.covers.find((c) => c.id === chosen) ?? cover;
  const { weather } = useWeather();
  if (!shown) return null;
  const readings = garden.log.filter(
    (e) => e.coverId === shown.id && (e.insideLowC !== null || e.insideHighC !== null),
  );
  return (
    <section aria-label="What the readings teach">
      <h2>What the readings teach</h2>
      <Choice
        label="Cover"
        value={shown.id}
        options={garden.covers.map((c) => ({ value: c.id, label: c.name }))}
        onChange={choose}
      />
      {readings.length < LEAST_READINGS ? (
        <p>
          {readings.length} of at least {LEAST_READINGS} readings of lows or highs inside: until then the figures of the
          catalogue stand.
        </p>
      ) : weather ? (
        <Fitted cover={shown} readings={readings} weather={weather} />
      ) : (
        <p role="status">Asking for the weather of those days…</p>
      )}
      {shown.taught && <Taught cover={shown} />}
      <Pair cover={shown} />
    </section>
  );
}

/** Days of the simulated pair that are taken into the log at a time. */
const PAIR_DAYS = 14;

/** A pair of thermometers that is not there: for trying out what readings teach. */
function Pair({ cover }: { readonly cover: Cover }): ReactNode {
  const garden = useGarden();
  const take = useTake();
  const [said, say] = useState<string>();
  const [busy, setBusy] = useState(false);
  const read = async (): Promise<void> => {
    const o = evaluate(garden, cover);
    if (!o.ok) return say('This cover cannot be drawn as it is.');
    setBusy(true);
    const today = todayOf(garden, Date.now());
    const place = climatePlace(garden, Date.now());
    const fromMs = dayNumber(addDays(today, -PAIR_DAYS - 2)) * MS_PER_DAY - place.utcHours * MS_PER_HOUR;
    const days = new Map<string, PairReading[]>();
    try {
      const seed = `${garden.name.slice(0, 20)} ${cover.id}`;
      await thermometers(
        { place, bed: modelOf(o.value), tending: cover.tending, fromMs, hours: 24 * (PAIR_DAYS + 2), seed },
        (r) => {
          const date = isoDay(Math.floor((r.ms - 1) / MS_PER_DAY + place.utcHours / 24));
          days.set(date, [...(days.get(date) ?? []), r]);
        },
      );
    } catch (why) {
      setBusy(false);
      return say(`The thermometers do not answer (${messageOf(why)}).`);
    }
    setBusy(false);
    const there = new Set(garden.log.filter((e) => e.coverId === cover.id && e.kind === 'reading').map((e) => e.date));
    const fresh = [...days].filter(
      ([date, list]) => date >= addDays(today, -PAIR_DAYS) && date < today && list.length > 12 && !there.has(date),
    );
    const of = (list: readonly PairReading[], key: 'insideC' | 'outsideC', most: boolean): number =>
      (most ? Math.max : Math.min)(...list.map((r) => r[key]));
    const entries = fresh.map(([date, list]): LogEntry => ({
      ...newEntry(newId(), date, cover.id, 'reading'),
      insideLowC: of(list, 'insideC', false),
      insideHighC: of(list, 'insideC', true),
      outsideLowC: of(list, 'outsideC', false),
      outsideHighC: of(list, 'outsideC', true),
      note: 'Simulated thermometers',
    }));
    if (entries.length > 0) take('Take in the simulated thermometers', (g) => void g.log.push(...entries));
    say(entries.length > 0 ? `${entries.length} days taken in.` : 'Every day of these is written down already.');
  };
  return (
    <div style={{ marginTop: '1.2rem' }}>
      <h2>
        <span className="mark">Simulated</span> thermometers
      </h2>
      <p>
        A made-up pair, one in the bed and one beside it, for trying out what readings teach. Its bed is not quite what
        was reckoned.
      </p>
      <Button isDisabled={busy} onPress={() => void read()}>
        Take in its last {PAIR_DAYS} days
      </Button>
      {said !== undefined && <p role="status">{said}</p>}
    </div>
  );
}

function Taught({ cover }: { readonly cover: Cover }): ReactNode {
  const take = useTake();
  return (
    <p style={{ marginTop: '0.8rem' }}>
      In force since {cover.taught?.readings} readings: loses {cover.taught?.loss.toFixed(2)} times, takes in{' '}
      {cover.taught?.gain.toFixed(2)} times as much as reckoned.{' '}
      <Button
        onPress={() =>
          void take('Forget what the readings taught', (g) => {
            const found = g.covers.find((c) => c.id === cover.id);
            if (found) found.taught = null;
          })
        }
      >
        Forget it
      </Button>
    </p>
  );
}

function Fitted({
  cover,
  readings,
  weather,
}: {
  readonly cover: Cover;
  readonly readings: readonly Reading[];
  readonly weather: Weather;
}): ReactNode {
  const units = useUnits();
  const take = useTake();
  const input = {
    coverId: cover.id,
    key: weatherKey(weather),
    readings: readings.map(({ date, insideLowC, insideHighC }) => ({ date, insideLowC, insideHighC })),
  };
  const job = useJob('what readings teach', input, (garden, q: typeof input) =>
    fitIn(garden, weather, q.coverId, q.readings),
  );
  if (job.state !== 'done') return <JobSays job={job} doing="Setting what was read beside what was reckoned" />;
  const fit = job.value;
  if (!fit) return <p>Too few of the readings lie in days whose weather is known.</p>;
  const said = (factor: number, sure: number | null, what: string): ReactNode =>
    sure !== null && (
      <p>
        It {what} <b className="measure">{factor.toFixed(2)}</b> times as much as reckoned, nine times in ten from{' '}
        {(factor / sure).toFixed(2)} to {(factor * sure).toFixed(2)}.
      </p>
    );
  return (
    <div data-testid="fit">
      {said(fit.taught.loss, fit.sure.loss, 'loses')}
      {said(fit.taught.gain, fit.sure.gain, 'takes in')}
      <p className="quiet">
        From {fit.lows} lows and {fit.highs} highs of days in {weather.simulated ? 'simulated weather' : weather.source}
        . The middle reading was off by {formatAmount(fit.offBeforeC, 'warming', units)}, and is by{' '}
        {formatAmount(fit.offAfterC, 'warming', units)} with it.
      </p>
      <Button
        $strong
        onPress={() =>
          void take('Correct the cover to its readings', (g) => {
            const found = g.covers.find((c) => c.id === cover.id);
            if (found) found.taught = { loss: fit.taught.loss, gain: fit.taught.gain, readings: fit.lows + fit.highs };
          })
        }
      >
        Correct it to this garden
      </Button>
    </div>
  );
}
