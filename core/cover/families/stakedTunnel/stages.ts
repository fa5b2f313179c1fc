import { bit } from '../../../catalog/handTools';
import type { TunnelRow } from '../../parts/tunnelRow';
import type { Joint, Member, Stage } from '../../assembly/types';
import { amount, phrase } from '../../../base/figure';
import type { Stages } from '../../guide/built';
import { MINUTES, bendStage, countKind, guardStages, sayCount, stage, tagList } from '../../guide/stage';
import { joint } from '../../joints';
import { holesStage, stringLine, tunnelRidgeStages } from '../../parts/tunnelStages';
import type { StakedTunnelAnswers } from './answers';

/** The tunnel in building order: cut, set the feet, bend, ridge, paint, cover. */
export function tunnelStages(
  a: StakedTunnelAnswers,
  row: TunnelRow,
  p: { readonly rods: readonly Member[]; readonly guard: readonly Joint[]; readonly cover: Stage },
): Stages {
  const spacing = (row.xs[1] ?? 0) - (row.xs[0] ?? 0);
  const bend = {
    rods: 'Slide one end over its rod, bend, and slide the other end over the rod across from it.',
    driven: 'Slide one end over its rod and push it into the soil, bend, and do the same over the rod across from it.',
    soil: 'Push one end into its hole, bend, and push the other in to the same depth.',
    straps: 'Slip both ends under their straps and tighten them.',
  }[a.feet];
  return [
    'cut',
    feetStage(a, row, p.rods),
    bendStage(row.hoops, spacing, [[bend]], []),
    ...tunnelRidgeStages(row),
    ...guardStages(row.hoops, p.guard),
    p.cover,
  ];
}

/** How the feet are held: over rods, in the soil, or strapped to the wall; ends that would cut or fill are capped. */
function feetStage(a: StakedTunnelAnswers, row: TunnelRow, rods: readonly Member[]): Stage {
  const { hoops, feetAt } = row;
  const caps = joint('cap', 'caps', 'Pipe ends that would cut the cover or fill with soil', hoops, feetAt);
  switch (a.feet) {
    case 'rods':
    case 'driven':
      return stage({
        id: 'rods',
        title: 'Drive the rods',
        view: 'side',
        pieces: rods,
        work: [
          stringLine(row),
          phrase`Set the strings ${amount(row.spanMm, 'length')} apart.`,
          phrase`Drive ${tagList(rods)} ${a.leanDeg > 0 ? '' : 'upright '}at the marks until ${amount(a.rodShownMm, 'length')} shows${a.leanDeg > 0 ? phrase`, leaning in ${amount(a.leanDeg, 'angle')} off plumb` : ''}.`,
          a.feet === 'driven' &&
            phrase`Loosen the soil round each rod, ${amount(a.buryMm, 'length')} deep: the pipe goes in as far.`,
        ],
        tools: ['string', 'tape', a.rod.material.behaviour.kind === 'metal' ? 'hammer' : 'mallet', 'eye protection'],
        checks: [
          a.leanDeg > 0 ? 'Every rod leans alike, in the line of its hoop' : 'Every rod plumb both ways',
          'Both diagonals between the end rods equal',
        ],
        joints: joint('drivenRod', 'feet', 'Hoops over driven rods', [...hoops, ...rods], feetAt),
        minutes: MINUTES.start,
      });
    case 'soil':
      return holesStage(row, a.buryMm, [
        ...joint('pipeInSoil', 'feet', 'Hoop feet in the soil', hoops, feetAt),
        ...caps,
      ]);
    case 'straps': {
      const straps = joint('strap', 'feet', 'Hoop feet to the bed wall', hoops, feetAt);
      return stage({
        id: 'straps',
        title: 'Mark the wall and set the straps',
        view: 'side',
        pieces: hoops,
        work: [
          stringLine(row),
          phrase`Screw a strap loosely inside the wall at every mark, with a ${bit('strap')} pilot near board ends.`,
        ],
        tools: ['tape'],
        joints: [...straps, ...caps],
        checks: [`${sayCount(countKind(straps, 'strap'), 'strap')}, loosely screwed`],
        minutes: MINUTES.start,
      });
    }
  }
}
