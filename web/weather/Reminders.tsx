import { writeLog } from '../../core/commands/covers';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { hourAt } from '../../core/base/days';
import { phraseText } from '../../core/base/figure';
import { isInUse } from '../../core/garden/garden';
import { newEntry } from '../../core/garden/log';
import { type Reminder, dueAt, remindersOf } from '../../core/judge/season/reminders';
import { dateAt, utcHoursAt } from '../../core/site/clock';
import { useGarden, useRun, useUnits } from '../app/hooks';
import { newId } from '../app/names';
import { Button } from '../parts/controls';
import { putPast, usePast } from './reminding';
import { useForecast } from './useForecast';
import { useSeasons } from './useSeasons';
import { useTonight } from './useTonight';

const Bar = styled.aside`
  position: fixed;
  right: 1rem;
  bottom: 1rem;
  z-index: 60;
  width: min(26rem, calc(100vw - 2rem));
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-left: 6px solid var(--tight);
  border-radius: 2px;
  padding: 0.7rem 0.9rem;
  display: grid;
  gap: 0.5rem;
  .deeds {
    display: flex;
    gap: 0.5rem;
  }
  @media (max-width: 760px) {
    bottom: 4.6rem;
  }
  @media print {
    display: none;
  }
`;

/** Looked at the clock so often, ms. */
const EVERY_MS = 30_000;

/** What is due at the covers of the open garden, as its hour comes. */
export default function Reminders(): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const run = useRun();
  const past = usePast();
  const [nowMs, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  const standing = garden.covers.filter(isInUse);
  const { forecast } = useForecast();
  const words = useTonight(
    forecast,
    standing.map((c) => c.id),
  );
  const today = dateAt(garden.site, nowMs);
  const { value: seasons } = useSeasons(today);
  const all = useMemo(
    () =>
      remindersOf(
        (seasons ?? []).map(({ cover, tasks }) => ({
          coverId: cover.id,
          name: cover.name,
          word: words?.find((w) => w.id === cover.id)?.word,
          tasks,
        })),
        today,
      ),
    [words, seasons, today],
  );
  const hour = hourAt(nowMs, utcHoursAt(garden.site, nowMs));
  const due = dueAt(all, hour, new Set(past.split('\n')));
  const [first] = due;
  if (!first) return null;
  const done = (r: Reminder): void => {
    putPast(r.id);
    const note = r.does === 'note' ? phraseText(r.text, units).slice(0, 500) : '';
    const entry = { ...newEntry(newId(), today, r.coverId, r.does), note };
    run((g) => writeLog(g, [entry], 'Write down what was done'));
  };
  return (
    <Bar role="status" aria-label="Reminder">
      <div>
        <b>{phraseText(first.text, units)}</b>
        {due.length > 1 && <div className="quiet">and {due.length - 1} more</div>}
      </div>
      <div className="deeds">
        <Button $strong onPress={() => done(first)}>
          Done: write it down
        </Button>
        <Button onPress={() => putPast(first.id)}>Not today</Button>
      </div>
    </Bar>
  );
}
