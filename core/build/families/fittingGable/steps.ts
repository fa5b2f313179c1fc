import type { Joint, Member, SaidStep, SheetPart } from '../../assembly/types';
import { takeUpMm } from '../../../catalog/fittings';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../joints/cautions';
import { tagsOf } from '../../parts/frameSteps';
import { MINUTES, countKind, cutStep, guardSteps, named, sayCount, step, tagList } from '../../guide/step';
import type { FittingGableAnswers } from './answers';

interface Built {
  readonly baseRails: readonly Member[];
  readonly endRails: readonly Member[];
  readonly posts: readonly Member[];
  readonly rafters: readonly Member[];
  readonly ridges: readonly Member[];
  readonly sheets: readonly SheetPart[];
  readonly joints: readonly Joint[];
}

/** The gable in building order: cut, base, frames, ridge, strap down, paint, cover. */
export function gableSteps(a: FittingGableAnswers, b: Built): readonly SaidStep[] {
  const base = [...b.baseRails, ...b.endRails];
  const all = [...base, ...b.posts, ...b.rafters, ...b.ridges];
  const straps = countKind(b.joints, 'strap');
  const film = a.cover.kind === 'film';
  const push =
    a.joints === 'pinned'
      ? 'Push every pipe to the stop with a twist and drive one self-drilling screw through the socket. No glue: it comes apart for the summer.'
      : 'Push every pipe to the stop with a twist. No glue: it comes apart for the summer.';
  return [
    cutStep(all),
    step({
      id: 'base',
      title: 'Push the base together',
      view: 'plan',
      tags: tagsOf(base),
      work: [
        [
          'Each piece is the distance from joint to joint less what its fittings take up: ',
          amount(takeUpMm(a.pipe, 'tee'), 'length'),
          ' in a tee or corner, ',
          amount(takeUpMm(a.pipe, 'elbow-45'), 'length'),
          ' in an eave elbow. The cut list has counted it.',
        ],
        'Mark how deep each pipe goes in, so that you see it is at the stop.',
        `Corners with ${tagList(b.endRails)}${b.baseRails.length > 2 ? `, tees between ${tagList(b.baseRails)}` : ` and ${tagList(b.baseRails)}`}, all outlets up.`,
        [push],
      ],
      tools: ['marker'],
      joints: named(b.joints, 'fittings tee', 'pins'),
      checks: ['Both diagonals of the base equal', 'Every outlet points straight up'],
      minutes: MINUTES.start + base.length * 3,
    }),
    step({
      id: 'frames',
      title: 'Stand posts and rafters',
      view: 'end',
      tags: [...tagsOf(b.posts), ...tagsOf(b.rafters)],
      work: [
        `Posts ${tagList(b.posts)} in the base, an eave elbow on each.`,
        `Rafters ${tagList(b.rafters)} in the elbows, two meeting in a ridge corner at the ends${b.ridges.length > 1 ? ' and in a four-way between' : ''}.`,
      ],
      tools: ['level'],
      joints: named(b.joints, 'fittings elbow-45'),
      checks: ['End frames plumb'],
      minutes: MINUTES.start + (b.posts.length + b.rafters.length) * 3,
    }),
    step({
      id: 'ridge',
      title: 'Push the ridge in',
      view: 'side',
      tags: tagsOf(b.ridges),
      work: [`From one end to the other: ${tagList(b.ridges)} between the ridge corners.`],
      joints: named(b.joints, 'fittings three-way', 'fittings four-way'),
      checks: ['The ridge is straight by eye from the end'],
      minutes: MINUTES.start + b.ridges.length * 4,
    }),
    step({
      id: 'strap',
      title: 'Strap it down',
      view: 'side',
      tags: tagsOf(base),
      work: [`Two people set it on the wall; ${sayCount(straps, 'strap')} over the base rails, two screws each.`],
      tools: ['driver', 'level'],
      joints: named(b.joints, 'straps'),
      checks: ['It sits down all round'],
      minutes: MINUTES.start + straps * 1.8,
    }),
    ...guardSteps(b.rafters, named(b.joints, 'guard')),
    step({
      id: 'cover',
      title: 'Cover and clip it',
      view: 'end',
      tags: tagsOf(b.sheets),
      work: [
        [
          film
            ? 'Lay the film with its outer face, usually the printed one, to the sky.'
            : 'Lay the cover over, equal on both sides.',
        ],
        `Clip it along both base rails and ${a.clipped === 'every' ? 'every frame' : 'both end frames'}, ${sayCount(countKind(named(b.joints, 'clips'), 'clip'), 'clip')} in all.`,
        [
          a.ends === 'flap'
            ? 'Hang a flap at each end and tuck it under.'
            : 'Fold both ends like a parcel and clip them.',
        ],
      ],
      tools: ['knife'],
      checks: ['The cover is tight, and nothing flaps'],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      joints: named(b.joints, 'clips', 'flap clips', 'flap weights'),
      minutes: b.sheets.length * MINUTES.sheet,
    }),
  ];
}
