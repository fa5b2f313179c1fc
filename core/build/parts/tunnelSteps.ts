import type { LooseTunnelAnswers, TunnelRow } from './looseTunnel';
import type { Joint, SaidStep } from '../assembly/types';
import { type Phrase, amount } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { MINUTES, countKind, ridgeStep, step } from '../guide/step';

/** Where the hoops go along a string, from the left end, in tape order. */
export function stringLine(row: TunnelRow): Phrase {
  return [
    'Stretch a string along each side and mark it from the left end: ',
    ...row.xs.flatMap((x, i) => [`${i > 0 ? ', ' : ''}H${i + 1} at `, amount(x - row.startMm, 'length')]),
    '.',
  ];
}

/** Sets the strings and makes a hole for every foot. */
export function holesStep(row: TunnelRow, depthMm: number, joints: readonly Joint[]): SaidStep {
  return step({
    id: 'holes',
    title: 'Make the holes',
    view: 'side',
    tags: row.hoops.map((h) => h.tag),
    work: [
      stringLine(row),
      ['Set the strings ', amount(row.spanMm, 'length'), ' apart.'],
      ['Push a bar into the soil at every mark, ', amount(depthMm, 'length'), ' deep.'],
    ],
    tools: ['string', 'tape'],
    joints,
    checks: [['Both diagonals between the end holes equal']],
    cautions: [CAUTIONS.rods],
    minutes: MINUTES.start + 3.4 * row.hoops.length,
  });
}

/** The ridge, where there is one. */
export function tunnelRidge(row: TunnelRow): readonly SaidStep[] {
  const { members, joints } = row.ridge;
  return joints.length === 0 ? [] : [ridgeStep(members, joints)];
}

/** Pulls the sheet over, clips the ends and weights it. */
export function looseCoverStep(a: LooseTunnelAnswers, row: TunnelRow, joints: readonly Joint[]): SaidStep {
  const clips = countKind(joints, 'clip');
  const bags = countKind(joints, 'bag');
  const film = row.cover.kind === 'film';
  return step({
    id: 'cover',
    title: 'Cover and weight it',
    view: 'end',
    tags: ['S1'],
    work: [
      [
        film
          ? 'Unroll the film with its outer face, usually the printed one, to the sky.'
          : 'Unroll the cover along the bed.',
      ],
      ['Pull it over with the skirts equal on both sides: ', amount(a.skirtMm, 'length'), ' each.'],
      [`Clip it to the end hoops with ${clips} clips, a sleeve under each.`],
      [a.ends === 'gathered' ? 'Gather both ends and weight them.' : 'Fold both ends like a parcel and clip them.'],
      [`Weight the skirts and ends with ${bags} bags. No pins or staples alone.`],
    ],
    tools: ['knife'],
    checks: [['No bare end or screw head against the cover'], ['The cover is tight, and nothing flaps']],
    cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
    joints,
    minutes: MINUTES.sheet,
  });
}
