import type { RidgeBuilt } from '../../assembly/ridge';
import type { HardwareUse, Member, Step } from '../../assembly/types';
import { coverMaterial } from '../../catalog/covers';
import { section } from '../../catalog/sections';
import { amount } from '../../figure';
import { CAUTIONS } from '../../guide/cautions';
import { MINUTES, bendStep, cutStep, paintStep, ridgeStep, step, tagList } from '../../guide/step';
import type { StakedTunnelAnswers } from './answers';

interface Built {
  readonly hoops: readonly Member[];
  readonly rods: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly hardware: readonly HardwareUse[];
  readonly xs: readonly number[];
  readonly startMm: number;
  readonly baseZ: number;
  readonly footY: number;
  readonly spanMm: number;
}

/** The tunnel in building order: cut, set the feet, bend, ridge, paint, cover. */
export function tunnelSteps(a: StakedTunnelAnswers, b: Built): readonly Step[] {
  const count = (key: string): number =>
    b.hardware.filter((h) => h.itemKey === key).reduce((sum, h) => sum + h.count, 0);
  const spacing = (b.xs[1] ?? 0) - (b.xs[0] ?? 0);
  const line = [
    'Stretch a string along each side and mark it from the left end: ',
    ...b.xs.flatMap((x, i) => [`${i > 0 ? ', ' : ''}H${i + 1} at `, amount(x - b.startMm, 'length')]),
    '.',
  ];
  const feet: Record<StakedTunnelAnswers['feet'], Step> = {
    rods: step({
      id: 'rods',
      title: 'Drive the rods',
      view: 'side',
      tags: b.rods.map((r) => r.tag),
      work: [
        line,
        ['Set the strings ', amount(b.spanMm, 'length'), ' apart.'],
        [`Drive ${tagList(b.rods)} upright at the marks until `, amount(a.rodShownMm, 'length'), ' shows.'],
      ],
      tools: ['string', 'tape', 'hammer', 'level', 'eye protection'],
      checks: [['Every rod plumb both ways'], ['Both diagonals between the end rods equal']],
      cautions: [CAUTIONS.rods],
      minutes: MINUTES.start + b.rods.length * MINUTES.drive,
    }),
    soil: step({
      id: 'holes',
      title: 'Make the holes',
      view: 'side',
      tags: b.hoops.map((h) => h.tag),
      work: [
        line,
        ['Set the strings ', amount(b.spanMm, 'length'), ' apart.'],
        ['Push a bar into the soil at every mark, ', amount(a.buryMm, 'length'), ' deep.'],
      ],
      tools: ['string', 'tape', 'iron bar'],
      checks: [['Both diagonals between the end holes equal']],
      cautions: [CAUTIONS.rods],
      minutes: MINUTES.start + 2 * b.hoops.length * 2,
    }),
    straps: step({
      id: 'straps',
      title: 'Mark the wall and set the straps',
      view: 'side',
      tags: [],
      work: [line, ['Screw a strap loosely inside the wall at every mark; pilot 3/32 near board ends.']],
      tools: ['tape', 'drill'],
      checks: [[`${count('strap')} straps, loosely screwed`]],
      minutes: MINUTES.start + count('strap') * 2,
    }),
  };
  const bend = {
    rods: 'Slide one end over its rod, bend, and slide the other end over the rod across from it.',
    soil: 'Push one end into its hole, bend, and push the other in to the same depth.',
    straps: 'Slip both ends under their straps and tighten them.',
  }[a.feet];
  return [
    cutStep([...b.hoops, ...b.rods, ...b.ridge.members]),
    feet[a.feet],
    bendStep(b.hoops, spacing, [[bend]], 0),
    ...(a.ridge === 'none'
      ? []
      : [ridgeStep(b.ridge.members, count('cable-tie') + count('screw-1-5/8'), a.ridge === 'rope')]),
    ...(count('paint') > 0 ? [paintStep(b.hoops)] : []),
    step({
      id: 'cover',
      title: 'Cover and weight it',
      view: 'end',
      tags: ['S1'],
      work: [
        [
          coverMaterial(a.cover).kind === 'film'
            ? 'Unroll the film with its outer face, usually the printed one, to the sky.'
            : 'Unroll the cover along the bed.',
        ],
        ['Pull it over with the skirts equal on both sides: ', amount(a.skirtMm, 'length'), ' each.'],
        [`Clip it to the end hoops with ${count('clip')} clips, a sleeve under each.`],
        [a.ends === 'gathered' ? 'Gather both ends and weight them.' : 'Fold both ends like a parcel and clip them.'],
        [`Weight the skirts and ends with ${count('sandbag')} bags. No pins or staples alone.`],
      ],
      tools: ['knife'],
      checks: [['No bare pipe end or screw head against the cover'], ['The cover is tight, and nothing flaps']],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      minutes: MINUTES.sheet + (count('clip') + count('sandbag')) * MINUTES.fixing * 2,
    }),
  ].map((s) =>
    s.id === 'rods' && section(a.rod).material !== 'steel'
      ? { ...s, tools: s.tools.filter((t) => t !== 'hammer').concat('mallet') }
      : s,
  );
}
