/** What any hoops in a frame bring with them, whatever the family. */
import { pathLength } from '../../base/geometry';
import type { CoverMaterial } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import { underLine, withFirmEnds } from '../assembly/enclosure';
import type { Fixing, FootingOn, Joint, Panel, Said, SheetPart } from '../assembly/types';
import { plywoodJoints, ventJoints } from './ends';
import { fastened, flapJoints } from './framedSheet';
import type { HoopFrame } from './hoopFrame';

/** What follows of any hoops in a frame: what they carry, what rails they push, what they enclose, on what they stand. */
export function framedHoops(
  cover: CoverMaterial,
  f: HoopFrame,
  panels: readonly Panel[],
  on: FootingOn,
  { catalog }: BuildSite,
): Pick<Said, 'arches' | 'pushedRails' | 'under' | 'reachMm' | 'footing' | 'enclosure'> {
  const over = { lengthMm: f.lengthMm, widthMm: f.width };
  return {
    arches: [f.arch],
    // What was bent beforehand pushes nothing.
    pushedRails: f.arch.sprung ? [f.pushed] : [],
    under: f.under,
    reachMm: [f.x0 + f.t, f.x1 - f.t],
    footing: { on, stiff: true, ...over },
    enclosure: withFirmEnds(underLine(cover, f.line, { ...over, heightMm: f.covered.riseMm }), panels, catalog),
  };
}

/** What fastens sheets and firm ends on a frame of hoops. @param at what straps each end to its hoop, and staples over both ends */
export function coveringJoints(
  f: HoopFrame,
  a: { readonly fixing: Exclude<Fixing, 'weights'>; readonly edge: 'guarded' | 'bare'; readonly louvres: boolean },
  p: { readonly sheets: readonly SheetPart[]; readonly panels: readonly Panel[] },
  at: { readonly kind: 'strap' | 'uStrap'; readonly eachEnd: number; readonly staples: number },
): readonly Joint[] {
  const { frame, hoops, covered } = f;
  const endHoops = [hoops[0], hoops[hoops.length - 1]].flatMap((m) => m ?? []);
  return [
    ...plywoodJoints(p.panels, frame.endBoards, endHoops, {
      ...at,
      edge: a.edge,
      widthMm: f.width,
      curveMm: pathLength(f.line),
    }),
    ...ventJoints(p.panels, a.louvres ? 'louvre' : 'ventFlap'),
    ...fastened(a.fixing, {
      sheets: p.sheets.slice(0, 1),
      rails: frame.rails,
      hoops,
      battening: frame.battening,
      cover: covered,
      railZ: f.z0,
      y0: f.y0,
      endStaples: Math.ceil(at.staples),
    }),
    ...flapJoints(p.sheets.slice(1), endHoops, covered),
  ];
}
