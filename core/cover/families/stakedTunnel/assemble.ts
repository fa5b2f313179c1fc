import { soilZ } from '../../assembly/crop';
import { addInnerTunnel } from '../../parts/innerTunnel';
import { guardPvcJoints } from '../../parts/guard';
import { looseTunnel } from '../../parts/looseTunnel';
import { type TunnelFoot, type TunnelRow, footDimension, tunnelRow } from '../../parts/tunnelRow';
import type { Member, AssemblySpec } from '../../assembly/types';
import { thicknessMm } from '../../../catalog/sections';
import { type Result, fail } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import type { Vec3 } from '../../../base/geometry';
import type { StakedTunnelAnswers } from './answers';
import { tunnelStages } from './stages';

/** Rods stand this far inside the bed's wall, so that they can be driven. */
const ROD_FROM_WALL_MM = 25;

/** Builds the tunnel: hoops over rods, in the soil or in straps; ridge; cover weighted at the foot. */
export function assembleStakedTunnel(a: StakedTunnelAnswers, site: BuildSite): Result<AssemblySpec> {
  const rodded = a.feet === 'rods' || a.feet === 'driven';
  if (rodded && a.rodShownMm >= a.rodLengthMm)
    return fail('rodShown', 'A rod cannot show more than its whole length: most of it belongs in the soil.');
  const found = tunnelRow(a, footing(a, site), site);
  if (!found.ok) return found;
  const row = found.value;
  const rods = rodded ? rodMembers(a, row) : [];
  const guard = guardPvcJoints(a.paint, a.cover, a.pipe, row.hoops);
  return addInnerTunnel(
    looseTunnel(a, row, site, {
      guard,
      on: a.feet === 'straps' ? 'wall' : 'soil',
      dimensions: [
        footDimension('span', 'span', row, row.spanMm),
        ...(rodded ? [footDimension('rodShown', 'rod shows', row, a.rodShownMm)] : []),
        ...(a.feet === 'soil' || a.feet === 'driven' ? [footDimension('bury', 'in the soil', row, a.buryMm)] : []),
      ],
      stages: (cover) => tunnelStages(a, row, { rods, guard, cover }),
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
      feet: { kind: 'pinned' },
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
  return a.feet === 'rods' || a.feet === 'driven'
    ? {
        ...soil,
        feet: { kind: 'fixed', angleDeg: 90 - a.leanDeg },
        aboveMm: a.rodShownMm,
        belowMm: a.feet === 'driven' ? a.buryMm : 0,
      }
    : { ...soil, feet: { kind: 'pinned' }, aboveMm: 0, belowMm: a.buryMm };
}

function rodMembers(a: StakedTunnelAnswers, row: TunnelRow): readonly Member[] {
  const lean = (a.leanDeg * Math.PI) / 180;
  const up = Math.cos(lean);
  return row.xs.flatMap((x, i) =>
    [row.baseY, row.baseY + row.spanMm].map((y, side): Member => {
      const inward = side === 0 ? Math.sin(lean) : -Math.sin(lean);
      /** A place along the rod from where it meets the soil. */
      const at = (mm: number): Vec3 => [x, y + inward * mm, row.baseZ + up * mm];
      return {
        tag: `D${2 * i + side + 1}`,
        part: 'Driven rod',
        section: a.rod,
        shape: { kind: 'straight', from: at(a.rodShownMm - a.rodLengthMm), to: at(a.rodShownMm), wide: [1, 0, 0] },
        lengthMm: a.rodLengthMm,
        ends: ['square', 'square'],
        holes: [],
        marks: [{ atMm: a.rodLengthMm - a.rodShownMm, label: 'soil' }],
      };
    }),
  );
}
