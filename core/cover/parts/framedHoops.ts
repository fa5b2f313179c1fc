/** What any hoops in a frame bring with them, whatever the family. */
import { pathLength } from '../../base/geometry';
import type { CoverMaterial } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import { underLine, withFirmEnds } from '../assembly/enclosure';
import type { Fixing, FootingOn, Joint, Panel, AssemblySpec, SheetPart, Stage } from '../assembly/types';
import type { Saying } from '../guide/stage';
import { plywoodJoints, ventJoints } from './ends';
import { coverFrameStage, fasteningWork, plywoodStage } from './frameStages';
import { fastened, flapJoints } from './framedSheet';
import type { HoopFrame } from './hoopFrame';
import { endsOfRow } from './hoops';

/** What follows of any hoops in a frame: what they enclose, and on what they stand. */
export function framedHoops(
  cover: CoverMaterial,
  f: HoopFrame,
  panels: readonly Panel[],
  on: FootingOn,
  { catalog }: BuildSite,
): Pick<AssemblySpec, 'under' | 'reachMm' | 'footing' | 'enclosure'> {
  const over = { lengthMm: f.lengthMm, widthMm: f.width };
  return {
    under: f.under,
    reachMm: [f.x0 + f.t, f.x1 - f.t],
    footing: { on, stiff: true, ...over },
    enclosure: withFirmEnds(underLine(cover, f.line, { ...over, heightMm: f.covered.riseMm }), panels, catalog),
  };
}

/** Firm ends sawn and fixed, where there are any. @param how they are fixed; `at` what straps each to its hoop, and how many */
export function firmEndStages(
  f: HoopFrame,
  panels: readonly Panel[],
  a: { readonly edge: 'guarded' | 'bare'; readonly louvres: boolean },
  at: { readonly kind: 'strap' | 'uStrap'; readonly eachEnd: number },
  how: readonly Saying[],
): readonly Stage[] {
  if (panels.length === 0) return [];
  const fixing = { ...at, edge: a.edge, widthMm: f.width, curveMm: pathLength(f.line) };
  return [
    plywoodStage(panels, how, [
      ...plywoodJoints(panels, f.frame.endBoards, endsOfRow(f.hoops), fixing),
      ...ventJoints(panels, a.louvres ? 'louvre' : 'ventFlap'),
    ]),
  ];
}

/** The cover stretched over its frame and fastened. @param own how its ends are fastened: in words, by staples, and by what else */
export function framedCoverStage(
  f: HoopFrame,
  sheets: readonly SheetPart[],
  a: { readonly fixing: Exclude<Fixing, 'weights'>; readonly wrapMm: number },
  own: { readonly ends: Saying; readonly staples: number; readonly joints?: readonly Joint[] },
): Stage {
  const { frame, hoops, covered } = f;
  return coverFrameStage({
    sheets,
    battens: frame.battens,
    fastening: fasteningWork(a.fixing, a.wrapMm),
    ends: own.ends,
    joints: [
      ...fastened(a.fixing, {
        sheets: sheets.slice(0, 1),
        rails: frame.rails,
        hoops,
        battening: frame.battening,
        cover: covered,
        railZ: f.z0,
        y0: f.y0,
        endStaples: Math.ceil(own.staples),
      }),
      ...flapJoints(sheets.slice(1), endsOfRow(hoops), covered),
      ...(own.joints ?? []),
    ],
  });
}
