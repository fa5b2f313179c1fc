import { putUpOrTakeDown, removeFromLog, writeLog } from '../../../core/commands/covers';
import { copyForNextYear } from '../../../core/commands/things';
import { type ReactNode, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { sheetsInSun } from '../../../core/air';
import { MONTHS, sayDay } from '../../../core/base/days';
import { fail, ok } from '../../../core/base/result';
import { coverMaterial } from '../../../core/catalog/catalog';
import { lifeText } from '../../../core/catalog/covers';
import { capital } from '../../../core/base/figure';
import { evaluate } from '../../../core/evaluate';
import type { Cover, CoverState } from '../../../core/garden/garden';
import { newEntry } from '../../../core/garden/log';
import { spellsOf } from '../../../core/garden/spells';
import type { Assessment } from '../../../core/assessment';
import { partsOf } from '../../../core/show/parts';
import { useCurrent } from '../../app/current';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';
import { Button, Choice, Row } from '../../parts/controls';
import { ListTable } from '../../parts/lists';
import { DateField } from '../../parts/DateField';
import { TypedField } from '../../parts/TypedField';
import { useToday } from '../../app/clock';

const Parts = styled(ListTable)`
  td:nth-child(2) {
    padding-right: 1.6rem;
    text-align: right;
    font-family: var(--mono);
  }
  .tags {
    color: var(--quiet);
    font-family: var(--mono);
  }
`;

const Lives = styled.ul`
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 0.8rem;
    padding: 0.45rem 0;
    border-top: 1px solid var(--hair);
  }
  .measure {
    margin-left: auto;
  }
`;

const WORDS: Readonly<Record<CoverState['is'], string>> = {
  planned: 'It is planned, and stands nowhere yet.',
  standing: 'It stands',
  stored: 'It is taken down',
  'next-year': 'It is for next year.',
};

/** One cover through the years: put up, taken down and stored with its parts, how far its sheets are worn, what to change next time. */
export function Covers(): ReactNode {
  const garden = useGarden();
  const { cover } = useCurrent();
  const [chosen, choose] = useState<string>();
  const shown = garden.covers.find((c) => c.id === chosen) ?? cover ?? garden.covers[0];
  if (!shown) return <p>No cover is planned or standing yet.</p>;
  const o = evaluate(garden, shown);
  return (
    <>
      <div style={{ maxWidth: '26rem' }}>
        <Choice
          label="Cover"
          value={shown.id}
          options={garden.covers.map((c) => ({ value: c.id, label: c.name }))}
          onChange={choose}
        />
      </div>
      <PutUp key={shown.id} cover={shown} />
      {o.ok ? (
        <>
          <Sheets o={o.value} />
          <NextTime cover={shown} />
          <PartsList o={o.value} />
        </>
      ) : (
        <p role="alert">It cannot be drawn as it is: {o.faults[0]?.message}</p>
      )}
    </>
  );
}

/** Put up or taken down, on a date, and where it lies: the day book gets its line with it. */
function PutUp({ cover }: { readonly cover: Cover }): ReactNode {
  const run = useRun();
  const today = useToday();
  const [date, setDate] = useState(today);
  const [where, setWhere] = useState('');
  const { state } = cover;
  const turn = (): void => void run((g) => putUpOrTakeDown(g, cover.id, newId(), date, where));
  const since = 'since' in state && state.since !== null ? ` since ${sayDay(state.since)}` : '';
  const lies = state.is === 'stored' && state.where !== '' ? `, and lies in: ${state.where}` : '';
  const up = state.is === 'standing';
  return (
    <section aria-label="Put up and taken down">
      <h2>Up and down</h2>
      <p>{up || state.is === 'stored' ? `${WORDS[state.is]}${since}${lies}.` : WORDS[state.is]}</p>
      <div style={{ maxWidth: '34rem', marginTop: '0.5rem' }}>
        <Row name={up ? 'Taken down on' : 'Put up on'}>
          <DateField
            label={up ? 'Date it is taken down' : 'Date it is put up'}
            date={date}
            onSet={(to) => {
              setDate(to);
              return ok(to);
            }}
          />
        </Row>
        {up && (
          <Row name="Stored where">
            <TypedField
              label="Where it is stored"
              shown={where === '' ? 'a place' : where}
              boxed
              take={(text) => {
                if (text.trim().length > 60) return fail('where', 'At most 60 letters.');
                setWhere(text.trim());
                return ok(text);
              }}
            />
          </Row>
        )}
        <div style={{ display: 'flex', gap: '0.6rem', marginTop: '0.5rem' }}>
          <Button $strong onPress={turn}>
            {up ? 'Take it down' : 'Put it up'}
          </Button>
        </div>
      </div>
    </section>
  );
}

const sayMonth = (date: string): string => `${MONTHS[Number(date.slice(5, 7)) - 1]} ${date.slice(0, 4)}`;

/** How far the sun has worn each sheet, and when it wants another. */
function Sheets({ o }: { readonly o: Assessment }): ReactNode {
  const { garden, cover, site } = o;
  const today = useToday();
  const lives = useMemo(() => sheetsInSun(o, spellsOf(cover, garden.log), today), [o, cover, garden.log, today]);
  return (
    <section aria-label="Sheets in the sun">
      <h2>Sheets in the sun</h2>
      <Lives data-testid="sheet-life">
        {lives.map((l) => {
          const material = coverMaterial(site.catalog, l.coverKey);
          return (
            <li key={l.coverKey}>
              <b>{capital(material.name)}</b>
              <span>
                {l.hours < 1
                  ? `not out yet; lasts ${lifeText(material)}`
                  : `${Math.round(l.hours / 10) * 10} hours of daylight, about ${Math.round(100 * l.worn)} % of ${lifeText(material)}`}
              </span>
              <span className="measure">
                {l.worn >= 1
                  ? 'replace it now'
                  : l.replaceBy === null
                    ? 'no end in sight'
                    : `replace by ${sayMonth(l.replaceBy)}`}
              </span>
            </li>
          );
        })}
      </Lives>
      <p className="quiet">
        Counted from when it was put up to when it was taken down, in the sun of this latitude, and on from today as the
        calendar of its sheets says. Sheets of one kind differ by half: look for cracks, and pull at a fold.
      </p>
    </section>
  );
}

/** What was noted to be changed, and the design once more to change it on. */
function NextTime({ cover }: { readonly cover: Cover }): ReactNode {
  const today = useToday();
  const garden = useGarden();
  const run = useRun();
  const navigate = useNavigate();
  const way = useWay();
  const notes = garden.log.filter((e) => e.coverId === cover.id && e.kind === 'change');
  return (
    <section aria-label="Next time">
      <h2>To change next time</h2>
      {notes.length > 0 && (
        <ul style={{ margin: '0 0 0.4rem', paddingLeft: '1.2rem' }}>
          {notes.map((e) => (
            <li key={e.id}>
              {e.note === '' ? '(nothing written)' : e.note}{' '}
              <Button
                aria-label={`Take away: ${e.note}`}
                onPress={() => void run((g) => removeFromLog(g, e.id, 'Take a note away'))}
              >
                Take away
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: '0.6rem', alignItems: 'center' }}>
        <TypedField
          label="What to change next time"
          shown="write it here"
          boxed
          take={(text) => {
            const note = text.trim();
            if (note === '' || note.length > 500) return fail('note', 'From one to 500 letters.');
            const entry = { ...newEntry(newId(), today, cover.id, 'change'), note };
            return run((g) => writeLog(g, [entry], 'Note what to change'));
          }}
        />
        <Button
          onPress={() => {
            const id = newId();
            const done = run((g) => copyForNextYear(g, cover.id, id));
            if (done.ok) void navigate(way('bench', id));
          }}
        >
          Copy the design for next year
        </Button>
        {notes.length > 0 && <Link to={way('bench', cover.id)}>Look at it on the bench</Link>}
      </div>
    </section>
  );
}

function PartsList({ o }: { readonly o: Assessment }): ReactNode {
  const units = useUnits();
  const lines = partsOf(o, units);
  return (
    <section aria-label="Its parts">
      <h2>Its parts</h2>
      <p className="quiet">What goes into store together. Tie what belongs together, and write the tags on.</p>
      <Parts data-testid="parts">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">How many</th>
            <th scope="col">Size</th>
            <th scope="col">Tags</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l) => (
            <tr key={`${l.what} ${l.size}`}>
              <td>{l.what}</td>
              <td>{l.count}</td>
              <td className="measure">{l.size}</td>
              <td className="tags">{l.tags.join(' ')}</td>
            </tr>
          ))}
        </tbody>
      </Parts>
    </section>
  );
}
