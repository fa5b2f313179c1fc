import type { Vec3 } from '../../base/geometry';
import type { Bow, Member, Panel, AssemblySpec } from './types';

const OTHER = { left: 'right', right: 'left' } as const;

/** The same assembly with its near and far sides changed over; a family builds one way and turns round when asked. */
export function mirrored(a: AssemblySpec, widthMm: number): AssemblySpec {
  const point = ([x, y, z]: Vec3): Vec3 => [x, widthMm - y, z];
  const way = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
  // Pieces of one row keep one bow between them.
  const bows = new Map<Bow, Bow>();
  const bow = (b: Bow): Bow => {
    const turned = bows.get(b) ?? { ...b, footYMm: widthMm - b.footYMm - b.hoop.spanMm };
    bows.set(b, turned);
    return turned;
  };
  const member = (m: Member): Member => ({
    ...m,
    ...(m.bow && { bow: bow(m.bow) }),
    shape:
      m.shape.kind === 'straight'
        ? { kind: 'straight', from: point(m.shape.from), to: point(m.shape.to), wide: way(m.shape.wide) }
        : { kind: 'curve', points: m.shape.points.map(point) },
  });
  // Axes change over, so that the thickness still grows outward.
  const panel = (p: Panel): Panel => ({
    ...p,
    at: point(p.at),
    u: way(p.v),
    v: way(p.u),
    outline: p.outline.map(([u, v]) => [v, u]),
    openings: p.openings.map((o) => o.map(([u, v]) => [v, u])),
    channels: p.channels === undefined ? undefined : p.channels === 'u' ? 'v' : 'u',
  });
  return {
    ...a,
    members: a.members.map(member),
    panels: a.panels.map(panel),
    blocks: a.blocks.map((b) => ({
      ...b,
      low: [b.low[0], widthMm - b.high[1], b.low[2]],
      high: [b.high[0], widthMm - b.low[1], b.high[2]],
    })),
    sheets: a.sheets.map((s) => ({ ...s, faces: s.faces.map((f) => f.map(point)) })),
    joints: a.joints.map((j) => ({ ...j, places: j.places.map(point) })),
    openings: a.openings.map((o) => ({
      ...o,
      line: [point(o.line[0]), point(o.line[1])],
      reachedFrom: o.reachedFrom === 'near' ? 'far' : o.reachedFrom === 'far' ? 'near' : o.reachedFrom,
    })),
    under: a.under.map((p) => ({ y: widthMm - p.y, z: p.z })).reverse(),
    dimensions: a.dimensions.map((d) => {
      if (d.view === 'side') return d;
      const side = d.view === 'end' && d.side in OTHER ? OTHER[d.side as keyof typeof OTHER] : d.side;
      return { ...d, side, from: point(d.from), to: point(d.to) };
    }),
  };
}
