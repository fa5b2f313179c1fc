/** What is done with a cover that stands or is to stand: its season, its upkeep, its building, its corrections. */
import { type Result, failAll, ok } from '../base/result';
import type { Cover, CoverState, Garden } from '../garden/garden';
import { type LogEntry, newEntry } from '../garden/log';
import type { Operation } from '../judge/climate/operation';
import type { SeasonalCover } from '../judge/season/seasonalCovers';
import { type Change, change, changeCover, notThere } from './change';
import { movedCover } from './moved';

/** A change that something could not follow. */
export interface Move extends Change {
  /** The questions whose answers were changed to fit, by the words they are asked in. */
  readonly altered: readonly string[];
}

/** Moves a cover to another bed; what does not fit there is changed, and said. */
export function moveCover(garden: Garden, coverId: string, bedId: string): Result<Move> {
  const cover = garden.covers.find((c) => c.id === coverId);
  const bed = garden.beds.find((b) => b.id === bedId);
  const moved = cover && movedCover(garden, cover, bedId);
  if (moved && !moved.ok)
    return failAll(
      moved.faults.map((f) => ({ ...f, message: `It cannot stand on ${bed?.name ?? bedId}: ${f.message}` })),
    );
  const label = (name: string): string => `Move ${name} to ${bed?.name ?? bedId}`;
  const made = changeCover(garden, coverId, label, (c) => void Object.assign(c, moved?.value.cover));
  return made.ok ? ok({ ...made.value, altered: moved?.value.changed ?? [] }) : made;
}

/** Says whether a cover is planned, stands, is stored, or is for next year. */
export const setCoverState = (garden: Garden, coverId: string, state: CoverState): Result<Change> =>
  changeCover(
    garden,
    coverId,
    (name) => `Mark ${name}`,
    (c) => void (c.state = state),
  );

/** A cover that stands is taken down on a date, and stored; one that does not is put up. The day book gets its line. */
export function putUpOrTakeDown(
  garden: Garden,
  coverId: string,
  entryId: string,
  date: string,
  where: string,
): Result<Change> {
  const cover = garden.covers.find((c) => c.id === coverId);
  if (!cover) return notThere('cover', coverId);
  const { name, state: was } = cover;
  const down = was.is === 'standing';
  const from = was.is === 'stored' && was.where !== '' ? `From: ${was.where}` : '';
  const to = where === '' ? '' : `To: ${where}`;
  const entry = { ...newEntry(entryId, date, coverId, down ? 'taken-down' : 'put-up'), note: down ? to : from };
  const state: CoverState = down ? { is: 'stored', since: date, where } : { is: 'standing', since: date };
  return change(garden, down ? `Take ${name} down` : `Put ${name} up`, (g) => {
    g.covers = g.covers.map((c) => (c.id === coverId ? { ...c, state } : c));
    g.log.push(entry);
  });
}

/** Says more of how a cover is tended. */
export const setOperation = (garden: Garden, coverId: string, part: Partial<Operation>): Result<Change> =>
  changeCover(garden, coverId, 'Set how it is tended', (c) => void Object.assign(c.tending, part));

/** Says how often one must come: on which days of the week nobody does, 0 is Sunday. */
export const toggleDayOff = (garden: Garden, coverId: string, day: number): Result<Change> =>
  changeCover(garden, coverId, 'Set how it is tended', ({ tending }) => {
    const { forgets } = tending;
    tending.forgets = forgets.includes(day) ? forgets.filter((d) => d !== day) : [...forgets, day].sort();
  });

/** A net for early summer, when the film comes off. */
const FIRST_SEASONAL_COVER: SeasonalCover = { coverKey: 'net', from: '06-01', to: '08-15' };

/** Adds a cover that the frame wears for a season. */
export const addSeasonalCover = (garden: Garden, coverId: string): Result<Change> =>
  changeCover(garden, coverId, 'Add a sheet for a season', (c) => void c.coats.push({ ...FIRST_SEASONAL_COVER }));

/** Says more of a seasonal cover, by its place in the list. */
export const setSeasonalCover = (
  garden: Garden,
  coverId: string,
  at: number,
  part: Partial<SeasonalCover>,
): Result<Change> =>
  changeCover(
    garden,
    coverId,
    'coverKey' in part ? 'Choose a sheet' : 'Set when a sheet is on',
    (c) => void (c.coats = c.coats.map((coat, i) => (i === at ? { ...coat, ...part } : coat))),
  );

/** Takes a seasonal cover away, by its place in the list. */
export const removeSeasonalCover = (garden: Garden, coverId: string, at: number): Result<Change> =>
  changeCover(garden, coverId, 'Take a sheet away', (c) => void c.coats.splice(at, 1));

/** Corrects what is reckoned of a cover to what was read in it; null forgets it. */
export const setCalibration = (garden: Garden, coverId: string, calibration: Cover['taught']): Result<Change> =>
  changeCover(
    garden,
    coverId,
    calibration ? 'Correct the cover to its readings' : 'Forget what the readings taught',
    (c) => void (c.taught = calibration),
  );

/** Goes to a step of building, by its place in the order. */
export const goToStep = (garden: Garden, coverId: string, at: number): Result<Change> =>
  changeCover(garden, coverId, 'Go to a step', (c) => void (c.build.at = at));

/** Ticks something to look at while building, or takes the tick away. */
export const tickCheck = (garden: Garden, coverId: string, key: string, done: boolean): Result<Change> =>
  changeCover(garden, coverId, done ? 'Tick a check' : 'Untick a check', ({ build }) => {
    build.done = [...build.done.filter((k) => k !== key), ...(done ? [key] : [])];
  });

/** Buys so many of an item with a cover, though no part of it asks for them. */
export const buyAlso = (
  garden: Garden,
  coverId: string,
  item: { readonly key: string; readonly name: string },
  count: number,
): Result<Change> =>
  changeCover(garden, coverId, `Buy ${item.name}`, (c) => {
    const found = c.also.find((a) => a.itemKey === item.key);
    if (found) found.count = count;
    else c.also.push({ itemKey: item.key, count });
  });

/** Writes entries into the day book. */
export const writeLog = (garden: Garden, entries: readonly LogEntry[], label: string): Result<Change> =>
  change(garden, label, (g) => void g.log.push(...entries.map((e) => ({ ...e, pictures: [...e.pictures] }))));

/** Takes an entry out of the day book. */
export const removeFromLog = (garden: Garden, id: string, label = 'Take an entry away'): Result<Change> =>
  change(garden, label, (g) => void (g.log = g.log.filter((e) => e.id !== id)));
