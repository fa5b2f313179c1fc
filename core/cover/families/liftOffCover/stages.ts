import { phrase } from '../../../base/figure';
import { bit } from '../../../catalog/handTools';
import { pathLength } from '../../../base/geometry';
import type { Joint, Panel, SheetPart } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { bendStage, guardStages, ridgeStage, tagList } from '../../guide/stage';
import { joint, pairsAt } from '../../joints';
import { firmEndStages, framedCoverStage } from '../../parts/framedHoops';
import { frameStage, markRailsStage } from '../../parts/frameStages';
import type { HoopFrame } from '../../parts/hoopFrame';
import type { LiftOffCoverAnswers } from './answers';

/** The cover in building order, but for setting it down: cut, mark, frame, hoops, ridge, paint, ends, cover. */
export function liftOffStages(
  a: LiftOffCoverAnswers,
  f: HoopFrame,
  p: { readonly panels: readonly Panel[]; readonly sheets: readonly SheetPart[]; readonly guard: readonly Joint[] },
): Stages {
  const { frame, hoops, ridge } = f;
  const firm = p.panels.length > 0;
  const feet = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], f.footZ);
  return [
    'cut',
    markRailsStage(
      frame,
      hoops,
      `Lay ${tagList(frame.rails)} side by side, ends flush.`,
      phrase`Drill ${bit('strap')} pilots for the straps in the middle of the inner face.`,
      'strap bit',
    ),
    frameStage(frame, [
      phrase`On flat ground, set the end boards between the rails, flush outside. Drill ${bit('screw')} pilots, then screw each corner.`,
    ]),
    bendStage(
      hoops,
      f.spacingMm,
      ['Slip one foot under its loose strap, bend, slip the other under, and tighten both.'],
      joint('strap', 'feet', 'Hoop feet to the rails', [...hoops, ...frame.rails], feet, {
        with: { holds: 'nothing' },
      }),
    ),
    ...(a.ridge === 'none' ? [] : [ridgeStage(ridge.members, ridge.joints, 'framed')]),
    ...guardStages(hoops, p.guard),
    ...firmEndStages(f, p.panels, { ...a, louvres: a.vents === 'louvres' }, { kind: 'strap', eachEnd: 3 }, [
      'Screw each end to its end board, and strap the end hoop to it at the crown and both shoulders.',
      ...(a.edge === 'guarded' ? ['Push split hose over the curved edge: bare plywood cuts film.'] : []),
    ]),
    framedCoverStage(f, p.sheets, a, {
      ends: firm
        ? 'Fold the film over both plywood edges and fasten it on their outer faces.'
        : 'Fold both ends down like a parcel, staple them to the end boards, and screw a batten over each.',
      staples: firm ? (2 * pathLength(f.line)) / 250 : (2 * (f.width + 2 * f.covered.riseMm)) / 150,
    }),
  ];
}
