/** When a cover stood, by the day book. */
import type { Cover } from './garden';
import type { LogEntry, LogKind } from './log';

const ON: readonly LogKind[] = ['put-up', 'cover-on'];
const OFF: readonly LogKind[] = ['taken-down', 'cover-off'];

/** When a cover stood with its sheet on, by the day book and by since when it is said to stand: pairs of dates, the last one open. */
export function spellsOf(
  { id, state }: Pick<Cover, 'id' | 'state'>,
  log: readonly LogEntry[],
): readonly (readonly [from: string, to: string])[] {
  const said: readonly Pick<LogEntry, 'date' | 'kind'>[] =
    state.is === 'standing' && state.since !== null ? [{ date: state.since, kind: 'put-up' }] : [];
  const turns = [...said, ...log.filter((e) => e.coverId === id && (ON.includes(e.kind) || OFF.includes(e.kind)))].sort(
    (a, b) => a.date.localeCompare(b.date),
  );
  const spells: (readonly [string, string])[] = [];
  let since: string | undefined;
  for (const { date, kind } of turns) {
    if (ON.includes(kind)) since ??= date;
    else if (since !== undefined) {
      spells.push([since, date]);
      since = undefined;
    }
  }
  return since === undefined ? spells : [...spells, [since, '9999-12-31']];
}
