import { type Flat, type Vec3, add, cross, scale, unit } from '../../base/geometry';
import { boardShape } from '../../catalog/sections';
import { inPlace, panelNormal } from './pieces';
import type { Block, Member, Panel } from './types';

/** The eight corners of a straight board; none of a pipe. */
export function boardCorners(member: Member): readonly Vec3[] {
  if (member.shape.kind !== 'straight') return [];
  const { from, to, wide } = member.shape;
  const { thicknessMm, widthMm } = boardShape(member.section);
  const along = unit(from, to);
  const thin = cross(along, wide);
  const slant = (member.endAnglesDeg ?? [0, 0]).map((deg) => Math.tan((deg * Math.PI) / 180));
  const widths = member.taperMm ?? [widthMm, widthMm];
  return [from, to].flatMap((end, i) =>
    [-widthMm / 2, (widths[i] ?? widthMm) - widthMm / 2].flatMap((w) =>
      [-thicknessMm / 2, thicknessMm / 2].map((t) => {
        const out = w * (slant[i] ?? 0) * (i === 0 ? -1 : 1);
        return add(end, add(scale(wide, w), add(scale(thin, t), scale(along, out))));
      }),
    ),
  );
}

/** Both faces of a panel as points in place: the near one, then the far one. */
export function panelFaces(
  p: Panel,
  outline: readonly Flat[] = p.outline,
): readonly [readonly Vec3[], readonly Vec3[]] {
  const off = scale(panelNormal(p), p.sheet.thicknessMm);
  const face = outline.map((c) => inPlace(p, c));
  return [face, face.map((q) => add(q, off))];
}

/** The eight corners of a block. */
export function blockCorners({ low, high }: Block): readonly Vec3[] {
  return [low[0], high[0]].flatMap((x) =>
    [low[1], high[1]].flatMap((y) => [low[2], high[2]].map((z): Vec3 => [x, y, z])),
  );
}

/** The points of a member's centre line. */
export function memberPoints(member: Member): readonly Vec3[] {
  return member.shape.kind === 'curve' ? member.shape.points : [member.shape.from, member.shape.to];
}
