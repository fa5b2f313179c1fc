import { CLIPPED, type LooseHold } from './looseHold';
import type { LooseTunnelAnswers, TunnelRow } from './tunnelRow';
import type { Joint, SheetPart, Stage } from '../assembly/types';
import { type Phrase, amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { type Saying, MINUTES, countKind, namedPieces, ridgeStage, stage, tagList } from '../guide/stage';

/** Where the hoops go along a string, from the left end, in tape order. */
export function stringLine(row: TunnelRow): Phrase {
  return phrase`Stretch a string along each side and mark it from the left end: ${row.xs.flatMap((x, i) => phrase`${i > 0 ? ', ' : ''}H${i + 1} at ${amount(x - row.startMm, 'length')}`)}.`;
}

/** Sets the strings and makes a hole for every foot. */
export function holesStage(row: TunnelRow, depthMm: number, joints: readonly Joint[]): Stage {
  return stage({
    id: 'holes',
    title: 'Make the holes',
    view: 'side',
    pieces: row.hoops,
    work: [
      stringLine(row),
      phrase`Set the strings ${amount(row.spanMm, 'length')} apart.`,
      phrase`Push a bar into the soil at every mark, ${amount(depthMm, 'length')} deep.`,
    ],
    tools: ['string', 'tape'],
    joints,
    checks: ['Both diagonals between the end holes equal'],
    cautions: [CAUTIONS.rods],
    minutes: MINUTES.start + 3.4 * row.hoops.length,
  });
}

/** The ridge, where there is one. */
export function tunnelRidgeStages(row: TunnelRow): readonly Stage[] {
  const { members, joints } = row.ridge;
  return joints.length === 0 ? [] : [ridgeStage(members, joints, 'staked')];
}

/** Pulls the sheet over, clips the ends and weights it. */
export function looseCoverStage(a: LooseTunnelAnswers, row: TunnelRow, sheet: SheetPart, hold: LooseHold): Stage {
  const { joints, bars, flaps } = hold;
  const clips = countKind(joints, 'clip');
  const bags = countKind(namedPieces(joints, 'weights'), 'bag') + countKind(namedPieces(joints, 'weights'), 'brick');
  const film = row.cover.kind === 'film';
  const skirted = row.run.folds.some((fold) => fold !== 'wall');
  return stage({
    id: 'cover',
    title: skirted ? 'Cover and weight it' : 'Cover and fasten it',
    view: 'end',
    pieces: [sheet, ...bars, ...flaps, ...row.battens],
    work: [
      film
        ? 'Unroll the film with its outer face, usually the printed one, to the sky.'
        : 'Unroll the cover along the bed.',
      layWork(a),
      `Clip it to ${CLIPPED[a.clipped]} with ${clips} clips, a sleeve under each.`,
      ENDS_WORK[a.ends],
      a.edges === 'one-open' && 'Turn the near edge in and clip it to every hoop, half way up: that side stays open.',
      ...fastenWork(a, row),
      bars.length > 0 && [
        a.skirtUnder === 'rods'
          ? `Roll the edge of the skirt once round ${tagList(bars)} and lay it down. Pins alone do not hold it.`
          : `Lay ${tagList(bars)} along the skirts, end to end. Pins alone do not hold it.`,
      ],
      bags > 0 &&
        `Weight the ${skirted && bars.length === 0 ? 'skirts and ends' : 'ends'} with ${bags} ${a.skirtUnder === 'bricks' ? 'bricks' : 'bags'}. Pins alone do not hold it.`,
    ],
    tools: ['knife'],
    checks: ['No bare end or screw head against the cover', 'The cover is tight, and nothing flaps'],
    cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
    joints,
    minutes: MINUTES.sheet,
  });
}

const ENDS_WORK: Readonly<Record<LooseTunnelAnswers['ends'], Saying>> = {
  gathered: 'Gather both ends and weight them.',
  folded: 'Fold both ends like a parcel and clip them.',
  flap: 'Turn the cover over both end hoops. Clip a flap on each, wider than the end, and lay two bags on its foot.',
};

/** How the sheet is laid over, by where its long edges end. */
function layWork(a: LooseTunnelAnswers): Saying {
  switch (a.edges) {
    case 'ground':
      return phrase`Pull it over and down the outside of the wall, equal on both sides: ${amount(a.skirtMm, 'length')} lie on the ground on each.`;
    case 'one-open':
      return phrase`Pull it over from the near side and down the outside of the far wall: ${amount(a.skirtMm, 'length')} lie on the ground there.`;
    case 'inside':
      return phrase`Pull it over and tuck it down inside the wall: ${amount(a.skirtMm, 'length')} lie on the soil on each side.`;
    case 'one-battened':
      return phrase`Pull it over from the far side, where it is fastened, until ${amount(a.skirtMm, 'length')} lie on the ground on the near one.`;
    case 'battened':
    case 'stapled':
      return ['Pull it over and down the outside of the wall, equal on both sides.'];
  }
}

/** How its edges are fastened to the wall, where they are. */
function fastenWork(a: LooseTunnelAnswers, row: TunnelRow): readonly Saying[] {
  if (!row.run.folds.includes('wall')) return [];
  return a.edges === 'stapled'
    ? ['Fold the edge twice and staple it along both walls.']
    : [`Staple one edge, wrap it round ${tagList(row.battens)}, and screw the batten to the wall.`];
}
