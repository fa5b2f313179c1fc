/** What is to be done at a cover through the next twelve months, by date, each with its reason. */
import { addDays, daysBetween, sayDay } from '../../base/days';
import { type Phrase, amount, phrase, capital } from '../../base/figure';
import type { Crop } from '../../catalog/crops';
import type { Place } from '../../site/place';
import type { SeasonalCover } from './seasonalCovers';
import { tenHours } from './daylight';
import { frostOf, nextOf, warmingPerDay } from './frost';

/** What an entry is about. */
type TaskKind = 'sow' | 'grown' | 'harvest' | 'flower' | 'harden' | 'coat' | 'light' | 'frost';

/** One entry of the calendar: on a date, or from one to another. */
export interface Task {
  readonly id: string;
  readonly kind: TaskKind;
  readonly date: string;
  readonly until?: string;
  readonly title: string;
  readonly why: Phrase;
}

/** What the calendar of one cover is made of. */
export interface SeasonAsk {
  readonly place: Place;
  readonly crop: Crop;
  /** Degrees by which a night under it stays milder, C. */
  readonly helpC: number;
  readonly coats: readonly SeasonalCover[];
  /** What a cover of the catalogue is called. */
  readonly coverName: (key: string) => string;
  /** What the frame wears when no coat is said. */
  readonly ownCover: string;
  /** First day of the twelve months. */
  readonly from: string;
}

/** Plants grow this much slower toward winter than the seed packet says. Source: growers' rule, half as long again. */
const AUTUMN_SLOWER = 1.5;
/** Nearly grown: so much of the way by the first day under ten hours. */
const NEARLY = 0.8;
/** Never count on more than so many days from a cover. */
const MOST_SHIFT_DAYS = 45;
const HARDEN_DAYS = 7;
const HARVEST_WEEKS = { cool: 4, warm: 10 } as const;

/**
 * The calendar of a cover.
 * Frost dates move by the degrees its cover gains over how fast the usual year warms there; sowing for winter counts back from the
 * first day under ten hours of light.
 * @returns entries of the twelve months from `from`, in order of date
 */
export function seasonOf(ask: SeasonAsk): readonly Task[] {
  const { place, from } = ask;
  const until = addDays(from, 365);
  const frost = frostOf(place);
  const year = Number(from.slice(0, 4));
  // The dark part that begins in these months: this winter's or the next one's.
  const dark = [year - 1, year, year + 1]
    .map((y) => tenHours(place.latitudeDeg, place.longitudeDeg, y))
    .filter((d) => d.from !== null && d.to !== null && d.to >= from && d.from < until);
  const shift = frost
    ? Math.min(MOST_SHIFT_DAYS, Math.round(ask.helpC / Math.max(0.05, warmingPerDay(place, frost.lastSpring))))
    : 0;
  const spring = frost && nextOf(addDays(from, -60), frost.lastSpring);
  const autumn = frost && nextOf(from, frost.firstAutumn);
  const tasks: Task[] = [];
  const add = (task: Task): void => {
    if ((task.until ?? task.date) >= from && task.date < until) tasks.push(task);
  };
  const days = (n: number): Phrase[number] => amount(n, 'count');

  for (const d of dark) {
    if (d.from === null || d.to === null) continue;
    add({
      id: `light-${d.from.slice(0, 4)}`,
      kind: 'light',
      date: d.from,
      until: d.to,
      title: 'Under ten hours of light',
      why: ['Most plants stand still until ', sayDay(d.to), ': what is not nearly grown by then stays small.'],
    });
  }
  if (frost && spring && autumn) {
    const rough = frost.rough ? ' Rough, by latitude and height: put in your own dates.' : '';
    add({
      id: 'frost-spring',
      kind: 'frost',
      date: spring,
      title: 'Usual last frost',
      why: [
        'In the open; a year may be ',
        days(frost.spreadDays),
        ' days off. Under this cover frost ends about ',
        days(shift),
        ` days sooner.${rough}`,
      ],
    });
    add({
      id: 'frost-autumn',
      kind: 'frost',
      date: autumn,
      title: 'Usual first frost',
      why: [
        'In the open; a year may be ',
        days(frost.spreadDays),
        ' days off. Under this cover it comes about ',
        days(shift),
        ` days later.${rough}`,
      ],
    });
  }

  sowing(ask, { spring, autumn, shift, dark, add });
  coats(ask, add);
  return tasks.sort((a, b) => a.date.localeCompare(b.date) || a.id.localeCompare(b.id));
}

interface Dates {
  readonly spring: string | undefined;
  readonly autumn: string | undefined;
  readonly shift: number;
  readonly dark: readonly { readonly from: string | null; readonly to: string | null }[];
  readonly add: (task: Task) => void;
}

function sowing(ask: SeasonAsk, { spring, autumn, shift, dark, add }: Dates): void {
  const { crop } = ask;
  const name = capital(crop.name);
  const heat = phrase`Shade it, or leave it for autumn, where it gets hotter than ${amount(crop.hotC, 'temperature')}.`;
  if (spring) {
    const open = addDays(spring, crop.sowWeeks * 7);
    const back = dark.map((d) => d.to).find((to) => to !== null && to <= spring && daysBetween(to, spring) < 200);
    const early = addDays(open, -shift);
    const sow = back && early < back ? back : early;
    const words: Phrase =
      crop.season === 'warm'
        ? phrase`Raised indoors. In the open from ${sayDay(open)}; the cover buys ${amount(daysBetween(sow, open), 'count')} days.`
        : phrase`In the open from ${sayDay(open)}; the cover buys ${amount(Math.max(0, daysBetween(sow, open)), 'count')} days. The soil must have ${amount(crop.soilC, 'temperature')}.`;
    const verb = crop.season === 'warm' ? 'Plant out' : 'Sow';
    add({ id: 'sow-spring', kind: 'sow', date: sow, title: `${verb} ${crop.name} for spring`, why: words });
    const ready = addDays(sow, crop.days);
    add({
      id: 'harvest-spring',
      kind: 'harvest',
      date: ready,
      until: addDays(ready, HARVEST_WEEKS[crop.season === 'warm' ? 'warm' : 'cool'] * 7),
      title: `Harvest ${crop.name}`,
      why: phrase`${amount(crop.days, 'count')} days from sowing in good weather. ${crop.season === 'warm' ? '' : heat}`,
    });
    if (crop.flowerDays !== undefined && crop.insects === 'yes')
      add({
        id: 'flower',
        kind: 'flower',
        date: addDays(sow, crop.flowerDays),
        until: addDays(sow, crop.flowerDays + 28),
        title: `${name} flowers: uncover it for bees`,
        why: ['Take the cover off, or open it each day, as long as it flowers; no net over it then.'],
      });
    if (crop.raised) {
      const off = crop.season === 'warm' ? addDays(spring, 14) : spring;
      add({
        id: 'harden',
        kind: 'harden',
        date: addDays(off, -HARDEN_DAYS),
        until: off,
        title: 'Harden seedlings off',
        why: [
          'Open for 1 hour on the first day, 2 on the second, 3, 4, 6, 8, then all day; shut at night until the last frost is past.',
        ],
      });
    }
  }
  if (crop.season === 'warm') {
    if (autumn)
      add({
        id: 'end',
        kind: 'harvest',
        date: addDays(autumn, shift),
        title: `Last harvest of ${crop.name}`,
        why: phrase`It dies at ${amount(crop.killingC, 'temperature')}; the cover carries it about ${amount(shift, 'count')} days past the first frost.`,
      });
    return;
  }
  // Where no day is so short, frost ends the growing.
  const stops = dark.length > 0 ? dark : autumn ? [{ from: addDays(autumn, shift), to: null }] : [];
  for (const { from: stop, to: end } of stops) if (stop !== null) winterOf(ask, stop, end, heat, add);
}

/** One winter: sown so that it is nearly grown when the light goes, and picked through it. */
function winterOf(
  { crop, helpC }: SeasonAsk,
  stop: string,
  end: string | null,
  heat: Phrase,
  add: (task: Task) => void,
): void {
  const name = capital(crop.name);
  const year = stop.slice(0, 4);
  const sow = addDays(stop, -Math.round(crop.days * AUTUMN_SLOWER * NEARLY));
  add({
    id: `sow-autumn-${year}`,
    kind: 'sow',
    date: sow,
    title: crop.season === 'winter' ? `Sow ${crop.name} for winter` : `Last sowing of ${crop.name} for autumn`,
    why: phrase`${amount(crop.days, 'count')} days on the packet, half as long again toward winter: so it is nearly grown by ${sayDay(stop)}. ${heat}`,
  });
  add({
    id: `grown-${year}`,
    kind: 'grown',
    date: stop,
    title: `${name} must be nearly grown`,
    why: ['From here on it grows next to nothing; it keeps in the ground like in a cold larder.'],
  });
  add({
    id: `harvest-winter-${year}`,
    kind: 'harvest',
    date: stop,
    until: crop.season === 'winter' && end ? addDays(end, 28) : addDays(stop, 28),
    title: `Harvest ${crop.name} through ${crop.season === 'winter' ? 'the winter' : 'autumn'}`,
    why: phrase`Lives under this cover down to ${amount(crop.killingC - helpC, 'livesTo')} outside. Pick when the leaves have thawed.`,
  });
}

function coats({ coats: worn, coverName, ownCover, from }: SeasonAsk, add: (task: Task) => void): void {
  worn.forEach((c, i) => {
    const on = nextOf(from, c.from);
    const off = nextOf(from, c.to);
    const name = c.coverKey === null ? 'Nothing' : capital(coverName(c.coverKey));
    add({
      id: `coat-${i}-on`,
      kind: 'coat',
      date: on,
      title: c.coverKey === null ? 'Take the cover off' : `${name} on`,
      why:
        c.coverKey === null
          ? ['Fold it dry and dark; it lasts longer.']
          : [`In place of ${coverName(ownCover)}. Fold what comes off dry and dark.`],
    });
    if (worn.some((other) => other.from === c.to)) return;
    add({
      id: `coat-${i}-off`,
      kind: 'coat',
      date: off,
      title: `${capital(coverName(ownCover))} on again`,
      why: [`${name} comes off.`],
    });
  });
}
