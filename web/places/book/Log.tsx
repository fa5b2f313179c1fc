import { removeFromLog, writeLog } from '../../../core/commands/covers';
import { type ReactNode, useMemo, useState } from 'react';
import styled from 'styled-components';
import { celsiusOf, degreesIn, formatAmount, unitOf } from '../../../core/base/amount';
import { type Fault, ok } from '../../../core/base/result';
import { LOG_KINDS, LOG_KIND_KEYS, type LogEntry, type LogKind, newEntry } from '../../../core/garden/log';
import { logCsv } from '../../../core/show/log';
import { useCurrent } from '../../app/current';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { Button, Choice, Field, Row } from '../../parts/controls';
import { FaultList } from '../../parts/OpenFile';
import { DateField } from '../../parts/DateField';
import { MaybeNumber } from '../../parts/MaybeNumber';
import { ListTable } from '../../parts/lists';
import { saveFile } from '../../parts/saveFile';
import { AddPictures, PicturesPanel } from './Pictures';
import { TextArea, TextField } from 'react-aria-components';
import { useToday } from '../../app/clock';

const Form = styled.form`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 1.6rem;
  border-bottom: 1px solid var(--hair);
  padding-bottom: 0.7rem;
  .wide {
    grid-column: 1 / -1;
    padding-bottom: 0.4rem;
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

const Entries = styled(ListTable)`
  td {
    vertical-align: top;
  }
  .n {
    font-family: var(--mono);
    white-space: nowrap;
  }
`;

/** Rows that are drawn at a time: ten years of days are thousands. */
const PAGE = 60;

/** Degrees that may be left unsaid, as thermometers read them. */
function MaybeDegrees({
  label,
  value,
  onSet,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onSet: (c: number | null) => void;
}): ReactNode {
  const units = useUnits();
  return (
    <MaybeNumber
      label={label}
      value={value === null ? null : degreesIn(value, units)}
      least={degreesIn(-60, units)}
      most={degreesIn(80, units)}
      onSet={(x) => {
        onSet(x === null ? null : celsiusOf(x, units));
        return ok(x);
      }}
    />
  );
}

/** What was done and read, written down and looked back at. */
export function Log(): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const units = useUnits();
  const mass = unitOf('mass', units);
  const { cover } = useCurrent();
  const today = useToday();
  const [entry, setEntry] = useState<LogEntry>(() => newEntry(newId(), today, cover?.id ?? null, 'reading'));
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [pages, setPages] = useState(1);
  const set = (more: Partial<LogEntry>): void => setEntry((e) => ({ ...e, ...more }));
  const write = (): void => {
    const done = run((g) => writeLog(g, [entry], `Log: ${LOG_KINDS[entry.kind]}`));
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
          <DateField
            label="Date of the entry"
            date={entry.date}
            onSet={(date) => {
              set({ date });
              return ok(date);
            }}
          />
        </Row>
        {entry.kind === 'harvested' ? (
          <Row name="Weight" unit={mass.sign}>
            <MaybeNumber
              label={`Weight, ${mass.name}`}
              value={entry.kg === null ? null : entry.kg * mass.per}
              least={0}
              most={10_000}
              onSet={(x) => {
                set({ kg: x === null ? null : x / mass.per });
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
            <TextField aria-label="Note" maxLength={500} value={entry.note} onChange={(note) => set({ note })}>
              <TextArea rows={2} />
            </TextField>
          </Field>
        </div>
        <div className="wide">
          <AddPictures keys={entry.pictures} onSet={(pictures) => set({ pictures })} />
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
        <Entries data-testid="log">
          <thead>
            <tr>
              <th>Date</th>
              <th>What</th>
              <th>Inside</th>
              <th>Outside</th>
              <th>
                <span className="visually-hidden">Take away</span>
              </th>
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
                  <PicturesPanel keys={e.pictures} about={`${LOG_KINDS[e.kind]}, ${e.date}`} />
                  {e.note !== '' && <div style={{ overflowWrap: 'anywhere' }}>{e.note}</div>}
                </td>
                <td className="n">{degrees(e.insideLowC, e.insideHighC)}</td>
                <td className="n">{degrees(e.outsideLowC, e.outsideHighC)}</td>
                <td>
                  <Button
                    aria-label={`Take away: ${LOG_KINDS[e.kind]}, ${e.date}`}
                    onPress={() => void run((g) => removeFromLog(g, e.id))}
                  >
                    Take away
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </Entries>
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
