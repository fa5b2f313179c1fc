import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { coverMaterial } from '../../../core/catalog/catalog';
import { sayDay } from '../../../core/base/days';
import { phraseText } from '../../../core/base/figure';
import { useCatalog, useGarden, useUnits } from '../../app/hooks';
import { Button, Choice } from '../../parts/controls';
import { ListTable } from '../../parts/lists';
import { saveFile } from '../../parts/saveFile';
import { Ribbon } from './Ribbon';
import { JobSays } from '../../parts/JobSays';
import { type SeasonOf, useSeasons } from '../../weather/useSeasons';
import { useNow, useToday } from '../../app/clock';

const Tasks = styled(ListTable)`
  td {
    vertical-align: top;
  }
  td:first-child {
    white-space: nowrap;
  }
  @media (max-width: 760px) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      padding: 0.4rem 0;
      border-bottom: 1px solid var(--hair);
      grid-template-columns: minmax(0, 1fr);
    }
    td {
      border: 0;
      padding: 0;
    }
  }
`;

const NONE: readonly SeasonOf[] = [];

/** The twelve months ahead: in one drawing, and as a list that goes into any calendar. */
export function Year(): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const catalog = useCatalog();
  const from = useToday();
  const now = useNow();
  const job = useSeasons(from);
  const seasons = job.value ?? NONE;
  const [only, setOnly] = useState('');
  const coverName = (key: string): string => coverMaterial(catalog, key).name;
  const shown = seasons.filter(({ cover }) => only === '' || cover.id === only);
  const rows = shown
    .flatMap(({ cover, tasks }) => tasks.map((task) => ({ cover, task })))
    // Light and frost are of the place: said once.
    .filter(({ cover, task }) => (task.kind !== 'light' && task.kind !== 'frost') || cover.id === shown[0]?.cover.id)
    .sort((a, b) => a.task.date.localeCompare(b.task.date));
  const save = async (): Promise<void> => {
    const { icalendar } = await import('../../../core/show/icalendar');
    const covers = shown.map(({ cover, tasks }) => ({ coverId: cover.id, coverName: cover.name, tasks }));
    saveFile(`${garden.name} season.ics`, 'text/calendar', icalendar(garden.name, covers, garden.units, now));
  };
  return (
    <>
      <Ribbon from={from} place={garden.site} seasons={seasons} coverName={coverName} />
      <section aria-label="Calendar">
        <div style={{ display: 'flex', gap: '1rem', alignItems: 'center', flexWrap: 'wrap' }}>
          <h2 style={{ flex: 1 }}>Calendar</h2>
          <div style={{ width: '17rem' }}>
            <Choice
              label="Of"
              value={only}
              options={[
                { value: '', label: 'every cover' },
                ...seasons.map(({ cover }) => ({ value: cover.id, label: cover.name })),
              ]}
              onChange={setOnly}
            />
          </div>
          <Button onPress={() => void save()}>Save as calendar file</Button>
        </div>
        <p className="quiet">
          Usual dates, to be read with an eye on the weather. The file goes into any calendar program, which then
          reminds you the evening before.
        </p>
        <JobSays job={job} doing="Laying the year out" />
        <Tasks>
          <thead>
            <tr>
              <th>When</th>
              <th>What</th>
              <th>Cover</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ cover, task }) => (
              <tr key={`${cover.id} ${task.id}`}>
                <td>
                  {sayDay(task.date)}
                  {task.until !== undefined && ` – ${sayDay(task.until)}`}
                </td>
                <td>
                  <b>{task.title}</b>
                  <div className="quiet">{phraseText(task.why, units)}</div>
                </td>
                <td className="quiet">{task.kind === 'light' || task.kind === 'frost' ? 'all of them' : cover.name}</td>
              </tr>
            ))}
          </tbody>
        </Tasks>
      </section>
    </>
  );
}
