import { Sentence } from '../../parts/Said';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { climatePlace } from '../../../core/air';
import { MS_PER_HOUR, isoDay, MS_PER_DAY, sayDay } from '../../../core/base/days';
import { messageOf, type Fault } from '../../../core/base/result';
import type { Garden } from '../../../core/garden/garden';
import { COLUMN_USES, type Column, guessColumns } from '../../../core/judge/weather/columns';
import { isEpw, readEpw } from '../../../core/judge/weather/epw';
import { type ReadWeather, type WeatherTable, readTable, weatherOf } from '../../../core/judge/weather/table';
import { Button } from '../../parts/controls';
import { FaultList, FileFaults, OpenFile } from '../../parts/OpenFile';
import { Pick } from '../../parts/Pick';
import type { useWeather } from '../../weather/useWeather';

const Box = styled.section`
  display: grid;
  gap: 0.5rem;
  justify-items: start;
  font-size: 0.9375rem;
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem 0.8rem;
    align-items: center;
  }
  .mark {
    border: 1.5px solid var(--sun-ink);
    color: var(--sun-ink);
    padding: 0 0.4rem;
    font-weight: 600;
  }
  .scroll {
    max-width: 100%;
    overflow-x: auto;
  }
  td,
  th {
    padding: 0.2rem 0.7rem 0.2rem 0;
    text-align: left;
    white-space: nowrap;
    border-bottom: 1px solid var(--hair);
    font-weight: 400;
  }
  td {
    font-family: var(--mono);
    font-size: 0.8125rem;
  }
  .faults {
    display: grid;
    gap: 0.2rem;
  }
`;

interface Opened {
  readonly name: string;
  readonly table: WeatherTable;
  readonly columns: readonly Column[];
}

const MOST_BYTES = 20_000_000;

/** Where the weather comes from, and how to put one’s own in its place: a table whose columns are picked, or an EPW file. */
export function WeatherFrom({
  had,
  place,
}: {
  readonly had: ReturnType<typeof useWeather>;
  readonly place: Pick<Garden, 'site'>;
}): ReactNode {
  const [opened, open] = useState<Opened>();
  const [wrong, setWrong] = useState<{ readonly file: string; readonly faults: readonly Fault[] }>();
  const [read, setRead] = useState<ReadWeather>();
  const { weather } = had;

  const take = (r: ReadWeather): void => {
    setRead(r);
    open(undefined);
    had.take(r.weather);
  };
  const onFile = async (file: File): Promise<void> => {
    setWrong(undefined);
    open(undefined);
    setRead(undefined);
    const refuse = (faults: readonly Fault[]): void => setWrong({ file: file.name, faults });
    if (file.size > MOST_BYTES)
      return refuse([{ field: 'file', message: 'is larger than 20 MB: ten years of hours are about 5' }]);
    try {
      const text = await file.text();
      if (isEpw(text)) {
        const epw = readEpw(text);
        if (epw.ok) take(epw.value);
        else refuse(epw.faults);
        return;
      }
      const table = readTable(text);
      if (table.ok)
        open({ name: file.name.slice(0, 80), table: table.value, columns: guessColumns(table.value.headers) });
      else refuse(table.faults);
    } catch (why) {
      refuse([{ field: 'file', message: messageOf(why) }]);
    }
  };
  const use = ({ name, table, columns }: Opened): void => {
    const r = weatherOf(table, columns, climatePlace(place, Date.now()), name);
    if (r.ok) take(r.value);
    else setWrong({ file: name, faults: r.faults });
  };

  const until = weather && isoDay(Math.floor((weather.startMs + weather.airC.length * MS_PER_HOUR - 1) / MS_PER_DAY));
  return (
    <Box aria-label="Where the weather comes from" data-testid="weather-from">
      {had.state === 'asking' && <p role="status">Asking for the weather of this place…</p>}
      {had.state === 'none' && (
        <p role="alert">
          The weather service does not answer ({had.stale}), and none is kept from before. Open a file of weather, or{' '}
          <Button onPress={had.retry}>Ask again</Button>
        </p>
      )}
      {weather && (
        <div className="line">
          {weather.simulated ? <span className="mark">Simulated weather</span> : <b>{weather.source}</b>}
          <span>
            {weather.simulated ? 'made up for this place, with the manners of the real' : 'as it was read'}; until{' '}
            {until && `${sayDay(until)} ${until.slice(0, 4)}`}.
          </span>
          {had.stale !== undefined && <span>The service does not answer: this is the last that it told.</span>}
          {had.imported && <Button onPress={had.putAway}>Put it away</Button>}
          <OpenFile
            label="Open a weather file"
            takes="weather"
            accept={['.csv', '.txt', '.epw', 'text/csv']}
            onFile={(f) => void onFile(f)}
          />
        </div>
      )}
      {!weather && (
        <OpenFile
          label="Open a weather file"
          takes="weather"
          accept={['.csv', '.txt', '.epw', 'text/csv']}
          onFile={(f) => void onFile(f)}
        />
      )}
      {wrong && <FileFaults file={wrong.file} faults={wrong.faults} />}
      {opened && <Columns opened={opened} onChange={open} onUse={() => use(opened)} onLeave={() => open(undefined)} />}
      {read && <Told read={read} />}
    </Box>
  );
}

/** What was put in place of what the file does not say. */
function Told({ read }: { readonly read: ReadWeather }): ReactNode {
  const gaps = read.gaps.reduce((sum, g) => sum + g.hours, 0);
  return (
    <div className="faults" role="status">
      {read.gaps.length > 0 && (
        <span>
          {gaps} {gaps === 1 ? 'hour' : 'hours'} in {read.gaps.length} {read.gaps.length === 1 ? 'gap' : 'gaps'} had no
          reading and were filled from the hours about them, the first on{' '}
          {isoDay(Math.floor((read.gaps[0]?.startMs ?? 0) / MS_PER_DAY))}.
        </span>
      )}
      {read.assumed.map((a, i) => (
        <span key={i}>
          Not in the file: <Sentence phrase={a} />
        </span>
      ))}
      {read.bad.length > 0 && (
        <>
          <b>Left out:</b>
          <FaultList faults={read.bad} />
        </>
      )}
    </div>
  );
}

/** The columns of a table, what each is taken for and in which unit. */
function Columns({
  opened,
  onChange,
  onUse,
  onLeave,
}: {
  readonly opened: Opened;
  readonly onChange: (o: Opened) => void;
  readonly onUse: () => void;
  readonly onLeave: () => void;
}): ReactNode {
  const { table, columns } = opened;
  const set = (i: number, column: Column): void =>
    onChange({ ...opened, columns: columns.map((c, k) => (k === i ? column : c)) });
  const unitsOf = (use: string): readonly string[] => Object.keys(COLUMN_USES.find((u) => u.use === use)?.units ?? {});
  return (
    <>
      <h2 ref={(h) => h?.scrollIntoView({ block: 'nearest' })}>Columns of {opened.name}</h2>
      <div className="scroll">
        <table>
          <thead>
            <tr>
              <th>Column</th>
              <th>Is the</th>
              <th>In</th>
              <th>First rows</th>
            </tr>
          </thead>
          <tbody>
            {table.headers.map((h, i) => {
              const column = columns[i] ?? { use: 'none', unit: '' };
              const units = unitsOf(column.use);
              return (
                <tr key={i}>
                  <th scope="row">{h || `column ${i + 1}`}</th>
                  <td>
                    <Pick
                      label={`What ${h || `column ${i + 1}`} is`}
                      value={column.use}
                      options={COLUMN_USES.map((u) => ({ value: u.use, label: u.name }))}
                      onChange={(use) => set(i, { use: use as Column['use'], unit: unitsOf(use)[0] ?? '' })}
                    />
                  </td>
                  <td>
                    {units.length > 1 && (
                      <Pick
                        label={`Unit of ${h || `column ${i + 1}`}`}
                        value={column.unit}
                        options={units.map((u) => ({ value: u, label: u }))}
                        onChange={(unit) => set(i, { ...column, unit })}
                      />
                    )}
                  </td>
                  <td>
                    {table.rows
                      .slice(0, 3)
                      .map((r) => (r[i] ?? '').slice(0, 20))
                      .join(' · ')}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="line">
        <Button $strong onPress={onUse}>
          Use this weather
        </Button>
        <Button onPress={onLeave}>Leave it</Button>
      </div>
    </>
  );
}
