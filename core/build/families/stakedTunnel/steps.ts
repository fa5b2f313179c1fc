import type { TunnelRow } from '../../parts/tunnelRow';
import type { Joint, Member, SaidStep } from '../../assembly/types';
import { amount } from '../../../base/figure';
import { MINUTES, bendStep, countKind, cutStep, guardSteps, sayCount, step, tagList } from '../../guide/step';
import { holesStep, looseCoverStep, stringLine, tunnelRidge } from '../../parts/tunnelSteps';
import type { StakedTunnelAnswers } from './answers';

/** Joints by the work that makes them. */
interface TunnelJoints {
  readonly feet: readonly Joint[];
  readonly guard: readonly Joint[];
  readonly covering: readonly Joint[];
}

/**
 * The tunnel in building order: cut, set the feet, bend, ridge, paint, cover.
 * @param beside rods, and bars for the skirts, that are cut with the hoops
 */
export function tunnelSteps(
  a: StakedTunnelAnswers,
  row: TunnelRow,
  beside: readonly Member[],
  rods: readonly Member[],
  joints: TunnelJoints,
): readonly SaidStep[] {
  const spacing = (row.xs[1] ?? 0) - (row.xs[0] ?? 0);
  const bend = {
    rods: 'Slide one end over its rod, bend, and slide the other end over the rod across from it.',
    driven: 'Slide one end over its rod and push it into the soil, bend, and do the same over the rod across from it.',
    soil: 'Push one end into its hole, bend, and push the other in to the same depth.',
    straps: 'Slip both ends under their straps and tighten them.',
  }[a.feet];
  return [
    cutStep([...row.hoops, ...beside, ...row.ridge.members, ...row.battens]),
    feetStep(a, row, rods, joints.feet),
    bendStep(row.hoops, spacing, [[bend]], []),
    ...tunnelRidge(row),
    ...guardSteps(row.hoops, joints.guard),
    looseCoverStep(a, row, joints.covering),
  ];
}

function feetStep(a: StakedTunnelAnswers, row: TunnelRow, rods: readonly Member[], feet: readonly Joint[]): SaidStep {
  switch (a.feet) {
    case 'rods':
    case 'driven':
      return step({
        id: 'rods',
        title: 'Drive the rods',
        view: 'side',
        tags: rods.map((r) => r.tag),
        work: [
          stringLine(row),
          ['Set the strings ', amount(row.spanMm, 'length'), ' apart.'],
          [
            `Drive ${tagList(rods)} ${a.leanDeg > 0 ? '' : 'upright '}at the marks until `,
            amount(a.rodShownMm, 'length'),
            ' shows',
            ...(a.leanDeg > 0 ? [', leaning in ', amount(a.leanDeg, 'angle'), ' off plumb'] : []),
            '.',
          ],
          ...(a.feet === 'driven'
            ? [['Loosen the soil round each rod, ', amount(a.buryMm, 'length'), ' deep: the pipe goes in as far.']]
            : []),
        ],
        tools: ['string', 'tape', a.rod.materialKey === 'steel' ? 'hammer' : 'mallet', 'eye protection'],
        checks: [
          a.leanDeg > 0 ? 'Every rod leans alike, in the line of its hoop' : 'Every rod plumb both ways',
          'Both diagonals between the end rods equal',
        ],
        joints: feet,
        minutes: MINUTES.start,
      });
    case 'soil':
      return holesStep(row, a.buryMm, feet);
    case 'straps':
      return step({
        id: 'straps',
        title: 'Mark the wall and set the straps',
        view: 'side',
        tags: row.hoops.map((h) => h.tag),
        work: [stringLine(row), 'Screw a strap loosely inside the wall at every mark; pilot 3/32 near board ends.'],
        tools: ['tape'],
        joints: feet,
        checks: [`${sayCount(countKind(feet, 'strap'), 'strap')}, loosely screwed`],
        minutes: MINUTES.start,
      });
  }
}
