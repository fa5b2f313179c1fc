import { SECTION_BY_KEY, boardShape, section } from '../../catalog/sections';
import { countOf } from '../../guide/tunnelSteps';
import { fail, ok } from '../../result';
import type { Family, Question } from '../family';
import { choice, coverQuestions, cropQuestion, dimensionPlace, peopleQuestion, woodQuestion } from '../questions';
import { type SlopedColdFrameAnswers, slopedColdFrameDefaults, slopedColdFrameSchema } from './answers';
import { assembleSlopedColdFrame } from './assemble';

function glazingQuestions(a: SlopedColdFrameAnswers): readonly Question[] {
  const window = a.glazing === 'old-window';
  return [
    choice('glazing', 'Lid', a.glazing, [
      ['twin-wall-6', 'Twin-wall', 'Warm, light to lift, and does not break.'],
      ['corrugated', 'Corrugated', 'Cheap and tough; cold air creeps in at the waves.'],
      ['old-window', 'Old windows', 'Cost next to nothing; heavy, and glass breaks.'],
      ['film-both', 'Film, both faces', 'Two films with air between: lightest and cheap.'],
    ]),
    { kind: 'count', id: 'lids', label: 'How many lids', value: a.lids, min: 1, max: 12 },
    ...(window
      ? [
          choice('sashBy', 'What comes first', a.sashBy, [
            ['bed', 'The bed', 'The box fits the bed, and the list says what windows to look for.'],
            ['sash', 'The windows', 'You have the windows: the box is made to them.'],
          ]),
          ...(a.sashBy === 'sash'
            ? ([
                { kind: 'length', id: 'sashAlongMm', label: 'Window, along the bed', valueMm: a.sashAlongMm },
                { kind: 'length', id: 'sashReachMm', label: 'Window, front to back', valueMm: a.sashReachMm },
              ] as const)
            : []),
          choice('safety', 'Glass', a.safety, [
            ['film', 'Safety film', 'Broken glass hangs together over bed and child.'],
            ['none', 'As it is', 'Only where nobody falls on it.'],
          ]),
        ]
      : [
          choice('lidFrame', 'Lid frame', a.lidFrame, [
            ['1x3', '1x3', 'Lightest; short lids only.'],
            ['2x2', '2x2', 'The usual one.'],
            ['2x3', '2x3', 'Stiffer under snow.'],
            ['2x4', '2x4', 'For long reaches and deep snow.'],
            ['45x45 mm', '45 x 45 mm', 'The usual metric one.'],
            ['45x70 mm', '45 x 70 mm', 'The stiffer metric one.'],
          ]),
          { kind: 'count', id: 'bars', label: 'Bars between the stiles', value: a.bars ?? 0, min: 0, max: 12 } as const,
        ]),
    { kind: 'length', id: 'overhangMm', label: 'Overhang in front', valueMm: a.overhangMm },
  ];
}

function boardWidth(key: string): number {
  return boardShape(section(key)).widthMm;
}

/** Another board: as many whole ones in front as now, and near one more behind. */
function withBoard(a: SlopedColdFrameAnswers, board: string): SlopedColdFrameAnswers {
  const found = SECTION_BY_KEY.get(board)?.shape;
  if (found?.kind !== 'board') return { ...a, board };
  const w = found.widthMm;
  const frontMm = w * Math.max(1, Math.round(a.frontMm / w));
  return { ...a, board, frontMm, backMm: Math.round(frontMm + w - 15) };
}

/** A solid board box, back higher than front, with a glazed lid. */
export const slopedColdFrame: Family<SlopedColdFrameAnswers> = {
  key: 'sloped-cold-frame',
  name: 'Sloped cold frame',
  sentence: 'A board box with its glazed lid leaning to the noon sun: the warmest for its price, for low crops.',
  schema: slopedColdFrameSchema,
  defaults: slopedColdFrameDefaults,
  questions: (a, built) => [
    choice('board', 'Boards', a.board, [
      ['1x6', '1x6', 'Light and thin: cold, and short-lived.'],
      ['2x6', '2x6', 'Low front for seedlings.'],
      ['2x8', '2x8', 'The usual height.'],
      ['2x10', '2x10', 'For taller greens.'],
      ['2x12', '2x12', 'One board high in front, for leeks and kale.'],
      ['45x145 mm', '45 x 145 mm', 'The lower metric board.'],
      ['45x195 mm', '45 x 195 mm', 'The usual metric board.'],
    ]),
    woodQuestion(a.wood),
    choice('back', 'High side', a.back, [
      ['far', 'Far side', 'The lid leans towards you; right where the noon sun is on your side.'],
      ['near', 'Near side', 'The lid leans away from you.'],
    ]),
    ...glazingQuestions(a),
    choice('airing', 'Airing', a.airing, [
      ['prop', 'By hand', 'A stay holds the lid; somebody must be there.'],
      ['opener', 'Wax opener', 'Opens by itself when it is warm inside.'],
    ]),
    ...(a.airing === 'opener'
      ? [{ kind: 'count', id: 'openers', label: 'Openers on each lid', value: a.openers, min: 1, max: 4 } as const]
      : []),
    {
      kind: 'count',
      id: 'latches',
      label: 'Latches on each lid',
      value: countOf(built?.hardware ?? [], 'latch') / a.lids,
      min: 0,
      max: 8,
    },
    {
      kind: 'count',
      id: 'stays',
      label: 'Stays on each lid',
      value: countOf(built?.hardware ?? [], 'stay') / a.lids,
      min: 0,
      max: 8,
    },
    peopleQuestion(a.people),
    {
      kind: 'count',
      id: 'anchors',
      label: 'Brackets to the bed',
      value: built?.footing.holdDowns[0]?.count ?? 4,
      min: 0,
      max: 40,
    },
    ...(a.glazing === 'film-both' ? coverQuestions(a, (c) => c.kind === 'film') : []),
    cropQuestion(a),
  ],
  answer: (a, id, value) => {
    if (id === 'cover') return { ...a, cover: String(value), roll: null };
    if (id === 'roll') return { ...a, roll: value === '' ? null : String(value) };
    if (id === 'board') return withBoard(a, String(value));
    return { ...a, [id]: value };
  },
  dimension: (a, id, valueMm, { survey }) => {
    if (id === 'front') {
      // The sides taper within one board: a lower front brings the back down with it.
      return ok({ ...a, frontMm: valueMm, backMm: Math.min(a.backMm, valueMm + boardWidth(a.board)) });
    }
    if (id === 'backHeight') return ok({ ...a, backMm: valueMm });
    return (
      dimensionPlace(a, id, valueMm, survey.frameOn.lengthMm) ??
      fail(id, 'This dimension follows from the others and cannot be typed.')
    );
  },
  change: (a, change) => {
    switch (change.kind) {
      case 'bar':
        return { ...a, lidFrame: change.key };
      case 'bars':
        return { ...a, bars: Math.ceil((change.count - 2 * a.lids) / a.lids) };
      case 'higher':
        return { ...a, frontMm: a.frontMm + change.byMm, backMm: a.backMm + change.byMm };
      case 'roll':
        return { ...a, roll: change.key };
      default:
        return undefined;
    }
  },
  assemble: assembleSlopedColdFrame,
};
