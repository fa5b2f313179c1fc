/** Questions that several families ask in the same words, each school with its reason. */
import type { Assembly } from '../assembly/types';
import { countOf } from '../guide/tunnelSteps';
import type { Change, Question } from './family';
import { choice } from './questions';

type Said = readonly (readonly [value: string, label: string, why: string])[];

/** The options of a list that a family offers, in the list's order. */
function offered(all: Said, values: readonly string[]): Said {
  return all.filter(([value]) => values.includes(value));
}

/** A count, asked with a stepper. */
export function count(
  id: string,
  label: string,
  value: number,
  [min, max]: readonly [number, number],
  leaf?: 'skin',
): Question {
  return { kind: 'count', id, label, value, min, max, ...(leaf && { leaf }) };
}

/** A length that has no place in the drawing. */
export function lengthOf(id: string, label: string, valueMm: number, leaf?: 'skin'): Question {
  return { kind: 'length', id, label, valueMm, ...(leaf && { leaf }) };
}

/** How many hold-downs that the footing asks for under this question's id. */
export function holdDownCount(id: string, label: string, built: Assembly | undefined, max: number): Question {
  const found = built?.footing.holdDowns.find((h) => h.ask === id);
  return count(id, label, found?.count ?? 0, [0, max]);
}

const RIDGES: Said = [
  ['none', 'None', 'Lightest, and enough for two or three hoops; hoops may lean.'],
  ['rope', 'Rope', 'Tied hoop to hoop; weighs and costs next to nothing.'],
  ['pipe', 'Pipe', 'Tied under the crowns with crossed ties; shares load between hoops.'],
  ['pipe-bolted', 'Pipe, bolted', 'U-bolts round every crown: holds for years, and costs more.'],
  ['timber', '2x2 under', 'Screwed through every crown; keeps hoops true.'],
  ['posted', 'On posts', 'A board on posts at both ends carries snow itself.'],
];
export function ridgeQuestion(value: string, values: readonly string[]): Question {
  return choice('ridge', 'Ridge', value, offered(RIDGES, values));
}

const ENDS: Said = [
  ['gathered', 'Gathered', 'Pulled together and weighted: tight against wind.'],
  ['folded', 'Folded', 'Folded down like a parcel: nothing leaks, and less to cut.'],
  ['flap', 'Flaps', 'Separate flaps that lift for air and for reaching in.'],
  ['plywood', 'Plywood', 'Firm ends with vents, cut to the true curve of the hoop.'],
];
/** How the ends are closed. */
export function endsQuestion(value: string, values: readonly string[]): Question {
  return choice('ends', 'Ends', value, offered(ENDS, values), 'skin');
}

const EDGES: Said = [
  ['guarded', 'Guarded', 'Rounded, padded or taped: film lives its years.'],
  ['bare', 'Bare', 'Cuts through the film within a season.'],
];
/** Whether what the film lies on is kept from cutting it. */
export function edgeQuestion(label: string, value: string): Question {
  return choice('edge', label, value, EDGES, 'skin');
}

const FIXINGS: Said = [
  ['battens', 'Battens', 'Screwed strips hold film all along.'],
  ['channel', 'Channel and wire', 'Fast to open each spring; the dearest.'],
  ['clips', 'Clips', 'Soft-sleeved clips on every hoop: off in a minute.'],
  ['staples', 'Staples alone', 'Quick, and they tear out in wind.'],
];
export function fixingQuestion(value: string, values: readonly string[]): Question {
  return choice('fixing', 'Fastened with', value, offered(FIXINGS, values), 'skin');
}

const BOARDS: Said = [
  ['1x3', '1x3', 'Lightest; short pieces only.'],
  ['1x4', '1x4', 'Light to lift; bows soonest.'],
  ['1x6', '1x6', 'Light and thin: cold, and short-lived.'],
  ['2x2', '2x2', 'Light and square: the usual one for lids and covers.'],
  ['2x3', '2x3', 'Stiffer, for longer ones.'],
  ['2x4', '2x4', 'Stiff and strong, and heavy to lift.'],
  ['2x6', '2x6', 'Deep: for long spans and deep snow.'],
  ['2x8', '2x8', 'The usual height of a box.'],
  ['2x10', '2x10', 'For taller greens.'],
  ['2x12', '2x12', 'One board high in front, for leeks and kale.'],
  ['38x63 mm', '38 x 63 mm', 'The light metric board.'],
  ['38x89 mm', '38 x 89 mm', 'The usual metric board.'],
  ['45x45 mm', '45 x 45 mm', 'The metric square.'],
  ['45x70 mm', '45 x 70 mm', 'The deeper metric one.'],
  ['45x145 mm', '45 x 145 mm', 'The lower metric board of a box.'],
  ['45x195 mm', '45 x 195 mm', 'The higher metric board of a box.'],
];
/** Which board a part is made of. */
export function boardQuestion(id: string, label: string, value: string, values: readonly string[]): Question {
  return choice(id, label, value, offered(BOARDS, values));
}

/** What is asked of every lid that is framed, hung and aired. */
export function lidFrameQuestions(a: { readonly lidFrame: string; readonly bars: number | null }): readonly Question[] {
  return [
    boardQuestion('lidFrame', 'Lid frame', a.lidFrame, ['1x3', '2x2', '2x3', '2x4', '45x45 mm', '45x70 mm']),
    count('bars', 'Bars between the stiles', a.bars ?? 0, [0, 12]),
  ];
}

/** Latches and stays, so many on each lid. */
export function hangingQuestions(built: Assembly | undefined, lids: number): readonly Question[] {
  const each = lids > 1 ? ' on each lid' : '';
  const hardware = built?.hardware ?? [];
  return [
    count('latches', `Latches${each}`, countOf(hardware, 'latch') / lids, [0, 12]),
    count('stays', `Stays${each}`, countOf(hardware, 'stay') / lids, [0, 8]),
  ];
}

/** Which side is the high one. */
export function backQuestion(value: string): Question {
  return choice('back', 'High side', value, [
    ['far', 'Far side', 'The lid leans towards you; right where the noon sun is on your side.'],
    ['near', 'Near side', 'The lid leans away from you.'],
  ]);
}

/** How a lid is opened for air. */
export function airingQuestions(a: { readonly airing: string; readonly openers: number }): readonly Question[] {
  return [
    choice('airing', 'Airing', a.airing, [
      ['prop', 'By hand', 'A stay holds the lid; somebody must be there.'],
      ['opener', 'Wax opener', 'Opens by itself when it is warm inside.'],
    ]),
    ...(a.airing === 'opener' ? [count('openers', 'Openers on each lid', a.openers, [1, 4])] : []),
  ];
}

/** Old glass, with or without a film that holds it together. */
export function safetyQuestion(value: string): Question {
  return choice('safety', 'Glass', value, [
    ['film', 'Safety film', 'Broken glass hangs together over bed and child.'],
    ['none', 'As it is', 'Only where nobody falls on it.'],
  ]);
}

/** Sets cover or roll: a new cover gives up the old roll; undefined when the id is another's. */
export function answerCover<A extends { readonly cover: string; readonly roll: string | null }>(
  a: A,
  id: string,
  value: string | number,
): A | undefined {
  if (id === 'cover') return { ...a, cover: String(value), roll: null };
  if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
  return undefined;
}

interface Lidded {
  readonly lidFrame: string;
  readonly bars: number | null;
  readonly lids: number;
  readonly frontMm: number;
  readonly backMm: number;
  readonly roll: string | null;
}

/** Carries out the changes that mean the same in every box with lids. */
export function changeLidded<A extends Lidded>(a: A, change: Change): A | undefined {
  switch (change.kind) {
    case 'bar':
      return { ...a, lidFrame: change.key };
    case 'bars':
      // Two of those counted on each lid are its stiles.
      return { ...a, bars: Math.ceil((change.count - 2 * a.lids) / a.lids) };
    case 'higher':
      return { ...a, frontMm: a.frontMm + change.byMm, backMm: a.backMm + change.byMm };
    case 'roll':
      return { ...a, roll: change.key };
    default:
      return undefined;
  }
}
