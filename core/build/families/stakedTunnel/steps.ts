import { countOf } from '../../answers/skin';
import type { TunnelRow } from '../../parts/looseTunnel';
import type { HardwareUse, Member, Step } from '../../assembly/types';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../guide/cautions';
import { MINUTES, bendStep, cutStep, guardSteps, step, tagList } from '../../guide/step';
import { holesStep, looseCoverStep, stringLine, tunnelRidge } from '../../parts/tunnelSteps';
import type { StakedTunnelAnswers } from './answers';

/** The tunnel in building order: cut, set the feet, bend, ridge, paint, cover. */
export function tunnelSteps(
  a: StakedTunnelAnswers,
  row: TunnelRow,
  rods: readonly Member[],
  hardware: readonly HardwareUse[],
): readonly Step[] {
  const spacing = (row.xs[1] ?? 0) - (row.xs[0] ?? 0);
  const bend = {
    rods: 'Slide one end over its rod, bend, and slide the other end over the rod across from it.',
    soil: 'Push one end into its hole, bend, and push the other in to the same depth.',
    straps: 'Slip both ends under their straps and tighten them.',
  }[a.feet];
  return [
    cutStep([...row.hoops, ...rods, ...row.ridge.members]),
    feetStep(a, row, rods, hardware),
    bendStep(row.hoops, spacing, [[bend]], 0),
    ...tunnelRidge(a, row, hardware),
    ...guardSteps(row.hoops, hardware),
    looseCoverStep(a, row, hardware),
  ];
}

function feetStep(
  a: StakedTunnelAnswers,
  row: TunnelRow,
  rods: readonly Member[],
  hardware: readonly HardwareUse[],
): Step {
  switch (a.feet) {
    case 'rods':
      return step({
        id: 'rods',
        title: 'Drive the rods',
        view: 'side',
        tags: rods.map((r) => r.tag),
        work: [
          stringLine(row),
          ['Set the strings ', amount(row.spanMm, 'length'), ' apart.'],
          [`Drive ${tagList(rods)} upright at the marks until `, amount(a.rodShownMm, 'length'), ' shows.'],
        ],
        tools: ['string', 'tape', a.rod.materialKey === 'steel' ? 'hammer' : 'mallet', 'level', 'eye protection'],
        checks: [['Every rod plumb both ways'], ['Both diagonals between the end rods equal']],
        cautions: [CAUTIONS.rods],
        minutes: MINUTES.start + rods.length * MINUTES.drive,
      });
    case 'soil':
      return holesStep(row, a.buryMm);
    case 'straps':
      return step({
        id: 'straps',
        title: 'Mark the wall and set the straps',
        view: 'side',
        tags: [],
        work: [stringLine(row), ['Screw a strap loosely inside the wall at every mark; pilot 3/32 near board ends.']],
        tools: ['tape', 'drill'],
        checks: [[`${countOf(hardware, 'strap')} straps, loosely screwed`]],
        minutes: MINUTES.start + countOf(hardware, 'strap') * 2,
      });
  }
}
