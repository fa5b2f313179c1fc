import type { Flat, Vec3 } from '../../../base/geometry';
import { stiffSheet } from '../../../catalog/catalog';
import { thicknessMm } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { rectangle } from '../../assembly/pieces';
import type { Joint, Member, Panel, SheetPart } from '../../assembly/types';
import { joint, spread } from '../../joints';
import { straightRun } from '../../joints/runs';
import { batteningOf, stripOver } from '../../parts/frame';
import type { LeanToAnswers } from './answers';
import type { LeanToFrame } from './frame';

/** Roof sheets stand out this far over the header, to drip clear of the shutters. */
const DRIP_MM = 75;
const SCREWS_APART_MM = 250;

export interface Skin {
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
  readonly battens: readonly Member[];
  readonly joints: readonly Joint[];
  readonly areaM2: number;
}

/** A batten from one point to another, and the way of its wider side. */
type Line = readonly [from: Vec3, to: Vec3, wide: Vec3];

/** Roof and ends: stiff sheets on the rafters, their channels down the slope; or film under battens along every edge. */
export function buildSkin(a: LeanToAnswers, f: LeanToFrame, site: BuildSite, x0: number, x1: number): Skin {
  const width = site.survey.frameOn.widthMm;
  const z0 = site.bed.wall.heightMm;
  const { roof, xs, sheetXs, end } = f;
  const [cos, sin] = [Math.cos(roof.angle), Math.sin(roof.angle)];
  const at = (x: number, y: number): Vec3 => [x, y, roof.top(y)];
  const slopeMm = width / cos;
  const [low = 0, high = 0] = [end[3]?.[1], end[2]?.[1]];
  const areaM2 = (slopeMm * (x1 - x0) + width * (low + high)) / 1e6;
  const framing = [...f.rafters, ...f.uprights, ...f.plates];
  const wall = joint(
    'flashing',
    'flashing',
    'Cover to the wall: along the top and down both ends',
    [...f.plates, ...f.uprights],
    spread(at(x0, width), at(x1, width), 1000),
    { count: Math.ceil((x1 - x0 + 2 * high) / 1000) },
  );
  if (a.glazing !== 'film') {
    const sheet = stiffSheet(site.catalog, a.glazing);
    const roofs = sheetXs.slice(1).map((to, i) => {
      const from = sheetXs[i] ?? x0;
      const size = [to - from, slopeMm + DRIP_MM] as const;
      return rectangle(
        `G${i + 1}`,
        'Roof glazing',
        sheet,
        at(from, -DRIP_MM * cos),
        [1, 0, 0],
        [0, cos, sin],
        size,
        'v',
      );
    });
    const ends = [false, true].map((right, i): Panel => {
      const tag = `G${roofs.length + i + 1}`;
      const foot: Vec3 = right ? [x1, 0, z0] : [x0, width, z0];
      return {
        ...rectangle(tag, 'End glazing', sheet, foot, [0, right ? 1 : -1, 0], [0, 0, 1], [width, high], 'v'),
        outline: right ? end : end.map(([y, z]): Flat => [width - y, z]).reverse(),
      };
    });
    const rows = [
      ...xs.map((x) => spread(at(x, 0), at(x, width), SCREWS_APART_MM)),
      ...[x0, x1].flatMap((x) =>
        end.map(([y, z], k): readonly Vec3[] => {
          const [ny = 0, nz = 0] = end[(k + 1) % end.length] ?? [];
          return spread([x, y, z0 + z], [x, ny, z0 + nz], SCREWS_APART_MM);
        }),
      ),
    ].flat();
    const panels = [...roofs, ...ends];
    return {
      panels,
      sheets: [],
      battens: [],
      areaM2,
      joints: [
        ...joint(
          'glazing',
          'roof glazing',
          `Roof and ends to the frame, every ${SCREWS_APART_MM} mm`,
          [...panels, ...framing],
          rows,
          {
            with: {
              tapeM: Math.ceil((2 * (x1 - x0) + 4 * width) / 1000),
              joinM: Math.ceil(((roofs.length - 1) * slopeMm) / 1000),
            },
          },
        ),
        ...wall,
      ],
    };
  }
  const both = (what: string) => ({ what, mm: 2 * a.wrapMm });
  const sheets: readonly SheetPart[] = [
    {
      tag: 'S1',
      part: 'Roof film',
      cover: a.cover,
      rollKey: a.roll,
      across: [{ what: 'Wall to header, down the slope', mm: slopeMm }, both('Wrapped under the battens, both edges')],
      along: [{ what: 'Along the roof', mm: x1 - x0 }, both('Wrapped over the end rafters, both ends')],
      faces: [[at(x0, 0), at(x1, 0), at(x1, width), at(x0, width)]],
    },
    ...[x0, x1].map((x, i): SheetPart => ({
      tag: `S${i + 2}`,
      part: 'End film',
      cover: a.cover,
      rollKey: a.roll,
      across: [{ what: 'Front to wall', mm: width }, both('Wrapped under the battens, both edges')],
      along: [{ what: 'Height at the wall', mm: high }, both('Wrapped under the battens, top and bottom')],
      faces: [end.map(([y, z]): Vec3 => [x, y, z0 + z])],
    })),
  ];
  const batten = stock(site, '1x2');
  const out = thicknessMm(batten) / 2;
  const line = ([xa, xb]: Flat, from: Flat, to: Flat, wide: Vec3): Line => [[xa, ...from], [xb, ...to], wide];
  const top = (y: number, over: number): Flat => [y, roof.top(y) + over];
  const lines: readonly Line[] = [
    // Over the wall plate and the header, and round each end.
    line([x0, x1], top(width - 30, out), top(width - 30, out), [0, cos, sin]),
    line([x0, x1], [-out, roof.top(0) - 30], [-out, roof.top(0) - 30], [0, 0, 1]),
    ...[x0 - out, x1 + out].flatMap((x) => [
      line([x, x], top(0, -30), top(width, -30), [0, -sin, cos]),
      line([x, x], [0, z0 + 20], [width, z0 + 20], [0, 0, 1]),
      line([x, x], [20, z0 + 40], top(20, -60), [0, 1, 0]),
      line([x, x], [width - 20, z0 + 40], top(width - 20, -60), [0, 1, 0]),
    ]),
    // Over the rafters between, so that wind makes no sail of the roof.
    ...xs.slice(1, -1).map((x) => line([x, x], top(30, out), top(width - 80, out), [1, 0, 0])),
  ];
  const battens = lines.flatMap(([from, to, wide], i): readonly Member[] => {
    const tag = `B${i + 1}`;
    // Those along the roof may be longer than any bar: joined on a rafter.
    return i < 2
      ? straightRun(tag, 'Batten', batten, [from[0], to[0]], [from[1], from[2]], wide, { xs }).members
      : stripOver(tag, 'Batten', batten, [from, to], wide);
  });
  return {
    panels: [],
    sheets,
    battens,
    areaM2,
    joints: [
      ...joint(
        'staple',
        'staples',
        'Film along every edge, until it is battened',
        [...sheets, ...framing],
        lines.flatMap(([from, to]) => spread(from, to, 300)),
        { count: Math.ceil((2 * (slopeMm + x1 - x0) + 2 * (2 * width + low + high)) / 150) },
      ),
      ...batteningOf(battens, [...sheets, ...framing]),
      ...wall,
    ],
  };
}
