import { writeLog } from '../../../core/commands/covers';
import { type ReactNode, useState } from 'react';
import { climatePlace, wornOf } from '../../../core/air';
import { formatAmount } from '../../../core/base/amount';
import { MS_PER_DAY, MS_PER_HOUR, addDays, dayAt, dayNumber, isoDay, sayDay } from '../../../core/base/days';
import { messageOf } from '../../../core/base/result';
import { evaluate } from '../../../core/evaluate';
import type { Cover } from '../../../core/garden/garden';
import { type LogEntry, newEntry } from '../../../core/garden/log';
import { dateAt } from '../../../core/site/clock';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { Button } from '../../parts/controls';
import { type StreamedReading, thermometers } from '../../weather/source';

/** Days of the simulated pair that are taken into the log at a time. */
const PAIR_DAYS = 14;
/** An hour of theirs goes by in so much: one sees the days come in. */
const PACE_MS = 5;

/** A pair of thermometers that is not there: for trying out what readings teach. */
export function Pair({ cover }: { readonly cover: Cover }): ReactNode {
  const garden = useGarden();
  const run = useRun();
  const units = useUnits();
  const [said, say] = useState<string>();
  const [busy, setBusy] = useState(false);
  const read = async (): Promise<void> => {
    const o = evaluate(garden, cover);
    if (!o.ok) return say('This cover cannot be drawn as it is.');
    setBusy(true);
    const today = dateAt(garden.site, Date.now());
    const place = climatePlace(garden, Date.now());
    const fromMs = dayNumber(addDays(today, -PAIR_DAYS - 2)) * MS_PER_DAY - place.utcHours * MS_PER_HOUR;
    const days = new Map<string, StreamedReading[]>();
    try {
      const seed = `${garden.name.slice(0, 20)} ${cover.id}`;
      await thermometers(
        {
          place,
          bed: wornOf(o.value)(today),
          tending: cover.tending,
          fromMs,
          hours: 24 * (PAIR_DAYS + 2),
          seed,
          paceMs: PACE_MS,
        },
        (r) => {
          say(
            `${sayDay(isoDay(dayAt(r.ms - 1, place.utcHours)))}: ${formatAmount(r.insideC, 'temperature', units)} in the bed…`,
          );
          const date = isoDay(dayAt(r.ms - 1, place.utcHours));
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
    const of = (list: readonly StreamedReading[], key: 'insideC' | 'outsideC', most: boolean): number =>
      (most ? Math.max : Math.min)(...list.map((r) => r[key]));
    const entries = fresh.map(([date, list]): LogEntry => ({
      ...newEntry(newId(), date, cover.id, 'reading'),
      insideLowC: of(list, 'insideC', false),
      insideHighC: of(list, 'insideC', true),
      outsideLowC: of(list, 'outsideC', false),
      outsideHighC: of(list, 'outsideC', true),
      note: 'Simulated thermometers',
    }));
    if (entries.length > 0) run((g) => writeLog(g, entries, 'Take in the simulated thermometers'));
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
