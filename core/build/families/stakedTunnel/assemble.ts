import { soilZ } from '../../assembly/crop';
import { nest } from '../../parts/nested';
import { guardPvc } from '../../parts/guard';
import { type TunnelFoot, type TunnelRow, footDimension, looseTunnel, tunnelRow } from '../../parts/looseTunnel';
import type { Assembly, HardwareUse, HoldDown, Member } from '../../assembly/types';
import { thicknessMm } from '../../../catalog/sections';
import { type Result, fail } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import type { StakedTunnelAnswers } from './answers';
import { tunnelSteps } from './steps';

/** Rods stand this far inside the bed's wall, so that they can be driven. */
const ROD_FROM_WALL_MM = 25;

/** What one foot holds against lifting, N: our own middle figures for loam. */
const HOLDS: Readonly<Record<StakedTunnelAnswers['feet'], (count: number) => HoldDown>> = {
  rods: (count) => ({ what: 'pipes over driven rods', count, eachN: 60 }),
  soil: (count) => ({ what: 'pipe ends in the soil', count, eachN: 40 }),
  straps: (count) => ({ what: 'straps on the wall', count, eachN: 300 }),
};

/** Builds the tunnel: hoops over rods, in the soil or in straps; ridge; cover weighted at the foot. */
export function assembleStakedTunnel(a: StakedTunnelAnswers, site: BuildSite): Result<Assembly> {
  if (a.feet === 'rods' && a.rodShownMm >= a.rodLengthMm)
    return fail('rodShown', 'A rod cannot show more than its whole length: most of it belongs in the soil.');
  const found = tunnelRow(a, footing(a, site), site);
  if (!found.ok) return found;
  const row = found.value;
  const rods = a.feet === 'rods' ? rodMembers(a, row) : [];
  const guard = guardPvc(a.paint, a.cover, a.pipe, row.hoops);
  return nest(
    looseTunnel(a, row, site, {
      members: rods,
      hardware: [...feetHardware(a, row.hoops.length), ...guard.hardware],
      on: a.feet === 'straps' ? 'wall' : 'soil',
      holdDowns: [HOLDS[a.feet](2 * row.hoops.length)],
      contacts: guard.contacts,
      sleeves: a.feet === 'rods' ? [{ outer: a.pipe, inner: a.rod, where: 'pipe over rod' }] : [],
      dimensions: [
        footDimension('span', 'span', row, row.spanMm),
        ...(a.feet === 'rods' ? [footDimension('rodShown', 'rod shows', row, a.rodShownMm)] : []),
        ...(a.feet === 'soil' ? [footDimension('bury', 'in the soil', row, a.buryMm)] : []),
      ],
      steps: (hardware) => tunnelSteps(a, row, rods, hardware),
      remarks: [],
    }),
    a,
    site,
  );
}

function footing(a: StakedTunnelAnswers, { bed }: BuildSite): TunnelFoot {
  const od = thicknessMm(a.pipe);
  const inside = bed.inside.widthMm;
  if (a.feet === 'straps')
    return {
      feet: { kind: 'loose' },
      spanMm: a.spanMm ?? inside - od,
      baseZ: bed.wall.heightMm,
      aboveMm: 0,
      belowMm: Math.min(150, bed.wall.heightMm),
      endInsetMm: 0,
      sprung: true,
    };
  const soil = {
    spanMm: a.spanMm ?? inside - 2 * ROD_FROM_WALL_MM - od,
    baseZ: soilZ(bed),
    endInsetMm: bed.wall.thicknessMm,
    sprung: true,
  };
  return a.feet === 'rods'
    ? { ...soil, feet: { kind: 'held', angleDeg: 90 }, aboveMm: a.rodShownMm, belowMm: 0 }
    : { ...soil, feet: { kind: 'loose' }, aboveMm: 0, belowMm: a.buryMm };
}

function rodMembers(a: StakedTunnelAnswers, row: TunnelRow): readonly Member[] {
  const top = row.baseZ + a.rodShownMm;
  return row.xs.flatMap((x, i) =>
    [row.footY, row.footY + row.spanMm].map((y, side): Member => ({
      tag: `D${2 * i + side + 1}`,
      part: 'Driven rod',
      section: a.rod,
      shape: { kind: 'straight', from: [x, y, top - a.rodLengthMm], to: [x, y, top], wide: [1, 0, 0] },
      lengthMm: a.rodLengthMm,
      ends: ['square', 'square'],
      holes: [],
      marks: [{ atMm: a.rodLengthMm - a.rodShownMm, label: 'soil' }],
    })),
  );
}

function feetHardware(a: StakedTunnelAnswers, hoops: number): readonly HardwareUse[] {
  if (a.feet === 'rods') return [];
  const caps: HardwareUse = {
    itemKey: 'end-cap',
    count: 2 * hoops,
    joint: 'Pipe ends that would cut the cover or fill with soil',
  };
  if (a.feet === 'soil') return [caps];
  return [
    { itemKey: 'strap', count: 2 * hoops, joint: 'Hoop feet to the bed wall' },
    { itemKey: 'screw-1', count: 4 * hoops, joint: 'Two screws a strap' },
    caps,
  ];
}
