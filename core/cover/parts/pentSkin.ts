import type { Flat, Vec3 } from '../../base/geometry';
import { stiffSheet } from '../../catalog/catalog';
import type { CoverMaterial } from '../../catalog/types';
import { thicknessMm } from '../../catalog/sections';
import { type BuildSite, stock } from '../../site/buildSite';
import { rectangle } from '../assembly/pieces';
import type { Joint, Panel, Piece, SheetPart, Skin, Stage } from '../assembly/types';
import { type List, MINUTES, type Saying, stage, tagList } from '../guide/stage';
import { amount, phrase } from '../../base/figure';
import { joint, spread } from '../joints';
import { CAUTIONS } from '../joints/cautions';
import { straightRun } from '../joints/runs';
import { batteningOf, stripOver, BATTEN_SCREWS_MM } from './frame';
import { glazingCover, GLAZING_SCREWS_MM } from './glazing';
import type { PentGlazing, PentRoof } from './pentRoof';

/** Roof sheets stand out this far over the header, to drip clear of the front. */
const DRIP_MM = 75;

/** What covers a pent roof and its ends, and how. */
interface PentSkin {
  readonly pieces: readonly Piece[];
  readonly joints: readonly Joint[];
  readonly work: List<Saying>;
  /** What it is to light and warmth. */
  readonly closes: Skin;
}

/** What is answered of it: stiff sheet, or film off a roll and how far it wraps under its battens. */
interface SkinAnswers {
  readonly glazing: PentGlazing;
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly wrapMm: number;
}

type Tagged = readonly { readonly tag: string }[];

/** Covers the roof and both ends, on what frames them. */
export const pentSkin = (a: SkinAnswers, f: PentRoof, framing: Tagged, site: BuildSite): PentSkin => ({
  ...(a.glazing === 'film' ? filmSkin(a, f, framing, site) : glazedSkin(a.glazing, f, framing, site)),
  closes: {
    cover: a.glazing === 'film' ? a.cover : glazingCover(site.catalog, a.glazing),
    m2: (f.slopeMm * (f.x1 - f.x0) + f.width * (f.lowMm + f.highMm)) / 1e6,
  },
});

/** A place on the roof. */
const onRoof = (f: PentRoof, x: number, y: number): Vec3 => [x, y, f.top(y)];

/** Stiff sheets on the rafters and the ends, their channels down the slope and upright. */
function glazedSkin(
  key: Exclude<PentGlazing, 'film'>,
  f: PentRoof,
  framing: Tagged,
  site: BuildSite,
): Omit<PentSkin, 'closes'> {
  const { x0, x1, z0, width, xs, sheetXs, end, slopeMm } = f;
  const [cos, sin] = [Math.cos(f.angle), Math.sin(f.angle)];
  const sheet = stiffSheet(site.catalog, key);
  const roofs = sheetXs.slice(1).map((to, i) => {
    const from = sheetXs[i] ?? x0;
    const size = [to - from, slopeMm + DRIP_MM] as const;
    const foot = onRoof(f, from, -DRIP_MM * cos);
    return rectangle(`G${i + 1}`, 'Roof glazing', sheet, foot, [1, 0, 0], [0, cos, sin], size, 'v');
  });
  const ends = [false, true].map((right, i): Panel => {
    const tag = `G${roofs.length + i + 1}`;
    const foot: Vec3 = right ? [x1, 0, z0] : [x0, width, z0];
    return {
      ...rectangle(tag, 'End glazing', sheet, foot, [0, right ? 1 : -1, 0], [0, 0, 1], [width, f.highMm], 'v'),
      outline: right ? end : end.map(([y, z]): Flat => [width - y, z]).reverse(),
    };
  });
  const corners = (x: number): readonly Vec3[] => end.map(([y, z]) => [x, y, z0 + z]);
  const rows = [
    ...xs.map((x) => spread(onRoof(f, x, 0), onRoof(f, x, width), GLAZING_SCREWS_MM)),
    ...[x0, x1]
      .map(corners)
      .flatMap((ring) => ring.map((from, k) => spread(from, ring[(k + 1) % ring.length] ?? from, GLAZING_SCREWS_MM))),
  ].flat();
  const pieces = [...roofs, ...ends];
  return {
    pieces,
    joints: joint('glazing', 'roof glazing', 'Roof and ends to the frame', [...pieces, ...framing], rows, {
      with: {
        tapeM: Math.ceil((2 * (x1 - x0) + 4 * width) / 1000),
        joinM: Math.ceil(((roofs.length - 1) * slopeMm) / 1000),
      },
    }),
    work: [
      'Tape both open ends of every sheet. Channels run down the slope, and upright in the ends.',
      phrase`Lay the roof sheets with their joints on rafters and ${amount(DRIP_MM, 'length')} over the header; then the ends under them.`,
      roofs.length > 1 && 'Press a joining strip over every joint of the roof before its screws go in.',
      phrase`Drill ${amount(2, 'length')} wider than the screws and put a screw every ${amount(GLAZING_SCREWS_MM, 'byEye')}, until its washer just grips.`,
    ],
  };
}

/** Film on roof and ends, battened along every edge and over the rafters, so that wind makes no sail of it. */
function filmSkin(a: SkinAnswers, f: PentRoof, framing: Tagged, site: BuildSite): Omit<PentSkin, 'closes'> {
  const { x0, x1, z0, width, xs, end, slopeMm, lowMm, highMm } = f;
  const [cos, sin] = [Math.cos(f.angle), Math.sin(f.angle)];
  const both = (what: string) => ({ what, mm: 2 * a.wrapMm });
  const film = { cover: a.cover, rollKey: a.roll };
  const sheets: readonly SheetPart[] = [
    {
      ...film,
      tag: 'S1',
      part: 'Roof film',
      across: [{ what: 'Wall to header, down the slope', mm: slopeMm }, both('Wrapped under the battens, both edges')],
      along: [{ what: 'Along the roof', mm: x1 - x0 }, both('Wrapped over the end rafters, both ends')],
      faces: [[onRoof(f, x0, 0), onRoof(f, x1, 0), onRoof(f, x1, width), onRoof(f, x0, width)]],
    },
    ...[x0, x1].map((x, i): SheetPart => ({
      ...film,
      tag: `S${i + 2}`,
      part: 'End film',
      across: [{ what: 'Front to wall', mm: width }, both('Wrapped under the battens, both edges')],
      along: [{ what: 'Height at the wall', mm: highMm }, both('Wrapped under the battens, top and bottom')],
      faces: [end.map(([y, z]): Vec3 => [x, y, z0 + z])],
    })),
  ];
  const batten = stock(site, '1x2');
  const out = thicknessMm(batten) / 2;
  const top = (y: number, over: number): Flat => [y, f.top(y) + over];
  const line = ([xa, xb]: Flat, from: Flat, to: Flat, wide: Vec3) => [[xa, ...from], [xb, ...to], wide] as const;
  const lines = [
    // Over the wall plate and the header, and round each end.
    line([x0, x1], top(width - 30, out), top(width - 30, out), [0, cos, sin]),
    line([x0, x1], [-out, f.top(0) - 30], [-out, f.top(0) - 30], [0, 0, 1]),
    ...[x0 - out, x1 + out].flatMap((x) => [
      line([x, x], top(0, -30), top(width, -30), [0, -sin, cos]),
      line([x, x], [0, z0 + 20], [width, z0 + 20], [0, 0, 1]),
      line([x, x], [20, z0 + 40], top(20, -60), [0, 1, 0]),
      line([x, x], [width - 20, z0 + 40], top(width - 20, -60), [0, 1, 0]),
    ]),
    ...xs.slice(1, -1).map((x) => line([x, x], top(30, out), top(width - 80, out), [1, 0, 0])),
  ];
  const battens = lines.flatMap(([from, to, wide], i) =>
    // Those along the roof may be longer than any bar: joined on a rafter.
    i < 2
      ? straightRun(`B${i + 1}`, 'Batten', batten, [from[0], to[0]], [from[1], from[2]], wide, { xs }).members
      : stripOver(`B${i + 1}`, 'Batten', batten, [from, to], wide),
  );
  const edges = lines.flatMap(([from, to]) => spread(from, to, 300));
  const onto = [...sheets, ...framing];
  return {
    pieces: [...sheets, ...battens],
    joints: [
      ...joint('staple', 'staples', 'Film along every edge, until it is battened', onto, edges, {
        count: Math.ceil((2 * (slopeMm + x1 - x0) + 2 * (2 * width + lowMm + highMm)) / 150),
      }),
      ...batteningOf(battens, onto),
    ],
    work: [
      'Roof film first, its outer face, usually the printed one, to the sky: staple along the wall plate, pull down over the header and staple there.',
      phrase`Then the ends. Wrap every edge ${amount(a.wrapMm, 'length')} and screw ${tagList(battens)} over it every ${amount(BATTEN_SCREWS_MM, 'byEye')}.`,
    ],
  };
}

/** Covers roof and ends. @param edge what keeps water from running in behind them: work, what it takes, and how it is looked at */
export function pentCoverStage(
  skin: PentSkin,
  edge: { readonly work: Saying; readonly joints: readonly Joint[]; readonly check: Saying },
): Stage {
  const film = skin.pieces.some((p) => 'cover' in p);
  return stage({
    id: 'cover',
    title: 'Cover roof and ends',
    view: 'end',
    pieces: skin.pieces,
    work: [...skin.work, edge.work],
    tools: film ? ['knife'] : ['fine saw', 'knife'],
    joints: [...skin.joints, ...edge.joints],
    checks: [edge.check],
    cautions: [CAUTIONS.knife, CAUTIONS.ladder, film && CAUTIONS.windyFilm],
    minutes: MINUTES.start + skin.pieces.filter((p) => !('section' in p)).length * MINUTES.sheet,
  });
}
