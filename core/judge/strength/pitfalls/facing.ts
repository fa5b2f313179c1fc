/** Which way a cover faces: its glass to the noon sun, its hinges to the wind. */
import { type Vec3, add, cross, faceArea, scale, subtract, unit } from '../../../base/geometry';
import { inPlace } from '../../../cover/assembly/pieces';
import type { Assembly } from '../../../cover/assembly/types';
import { apartDeg, noonSunDeg, windName } from '../../../site/compass';
import { amount, phrase } from '../../../base/figure';
import { aboutFaces, aboutOpenings } from '../about';
import { type Pitfall, answer, saidOn } from './pitfall';

const said = saidOn('air');

/** Less of a slope than this, as a part of all that lets light in, faces no way. */
const SLOPES = 0.08;
/** Farther from the noon sun than this a slope looks away from it, degrees. */
const AWAY_DEG = 100;
/** Nearer to the wind than this an opening side takes it, degrees. */
const INTO_DEG = 60;
/** Tilt of the earth’s axis: how much lower than at the equinox the noon sun stands in midwinter. */
const TILT_DEG = 23.4;

/** Compass bearing of a direction on the plan, where a bed's left-to-right runs so. */
const bearing = ([x, y]: readonly [number, number], bedDeg: number): number =>
  (bedDeg + (Math.atan2(-y, x) * 180) / Math.PI + 360) % 360;

/** Outward directions of all that lets light in, each as long as its area; upright and hanging faces count by what they have of a slope. */
function lookingTo(a: Assembly): { readonly sum: Vec3; readonly areaMm2: number } {
  const glazed = a.panels.filter((p) => p.sheet.kind === 'glazing').map((p) => p.outline.map((c) => inPlace(p, c)));
  const filmed = a.sheets.filter((s) => s.cover.kind === 'film' || s.cover.kind === 'glazing').flatMap((s) => s.faces);
  return [...glazed, ...filmed].reduce(
    ({ sum, areaMm2 }, face) => {
      const [p, q, r] = face;
      const area = faceArea(face);
      if (!p || !q || !r || area < 1) return { sum, areaMm2 };
      const n = unit([0, 0, 0], cross(subtract(q, p), subtract(r, q)));
      // Up is outward; what stands upright has no up, and another face across from it.
      const up = n[2] < 0 ? scale(n, -1) : n;
      return { sum: add(sum, scale(up, Math.abs(n[2]) < 0.02 ? 0 : area)), areaMm2: areaMm2 + area };
    },
    { sum: [0, 0, 0] as Vec3, areaMm2: 0 },
  );
}

/** Glass that leans away from the noon sun. */
export const facing: Pitfall = (a, { site, latitudeDeg }) => {
  // Hoops look both ways, whatever of them lies open.
  if (a.arches.length > 0) return undefined;
  const { sum, areaMm2 } = lookingTo(a);
  if (Math.hypot(sum[0], sum[1]) < SLOPES * areaMm2) return undefined;
  const to = bearing([sum[0], sum[1]], site.bed.bearingDeg);
  const sun = noonSunDeg(latitudeDeg);
  return apartDeg(to, sun) > AWAY_DEG
    ? said(
        'facing',
        'tight',
        aboutFaces([...a.panels, ...a.sheets]),
        [
          `Its glass leans to the ${windName(to)}, away from the noon sun in the ${windName(sun)}: cold and dark from autumn on. Turn its high side to the ${windName(sun + 180)}.`,
        ],
        [answer('High side far', 'back', 'far'), answer('High side near', 'back', 'near')],
      )
    : undefined;
};

/** An end of boards no lower than this shades what stands behind it, mm. */
const TALL_MM = 300;

/** A tall end that lets no light through on the side of the noon sun: what it shades when the sun is lowest. */
export const tallEnd: Pitfall = (a, { site, latitudeDeg }) => {
  const sun = noonSunDeg(latitudeDeg);
  const middle = a.footing.lengthMm / 2;
  const ends = a.panels.flatMap((p) => {
    const corners = p.outline.map((c) => inPlace(p, c));
    const zs = corners.map((c) => c[2]);
    const tallMm = Math.max(...zs) - site.bed.wall.heightMm;
    // What is of plywood is an end.
    if (p.sheet.kind !== 'plywood' || tallMm < TALL_MM) return [];
    return [{ panel: p, to: bearing([(corners[0]?.[0] ?? 0) < middle ? -1 : 1, 0], site.bed.bearingDeg), tallMm }];
  });
  const end = ends.find((e) => apartDeg(e.to, sun) < INTO_DEG);
  if (!end) return undefined;
  const low = Math.max(5, 90 - Math.abs(latitudeDeg) - TILT_DEG);
  return said(
    'tall end',
    'tight',
    aboutFaces([end.panel]),
    phrase`Its board end stands to the ${windName(end.to)}, where the noon sun is: in midwinter it shades the first ${amount(Math.min(end.tallMm / Math.tan((low * Math.PI) / 180), a.footing.lengthMm), 'length')} behind it. A clear end lets the light in.`,
    [answer('Ends of twin-wall', 'plywood', 'twin-wall-6')],
  );
};

/** A lid whose opening side takes the wind, which then gets under it. */
export const intoWind: Pitfall = ({ openings, footing }, { site, windFromDeg }) => {
  const lid = openings.find(
    (o) => o.lift?.hung && (o.reachedFrom === 'near' || o.reachedFrom === 'far' || o.by === 'lid'),
  );
  if (windFromDeg === null || !lid) return undefined;
  // Reached from one side it opens there; else across from its hinges.
  const across = lid.line[0][1] > footing.widthMm / 2 ? -1 : 1;
  const opens = lid.reachedFrom === 'near' ? -1 : lid.reachedFrom === 'far' ? 1 : across;
  // What hangs on the side that it opens cannot be hung from another.
  const turns = opens === across;
  const to = bearing([0, opens], site.bed.bearingDeg);
  return apartDeg(to, windFromDeg) < INTO_DEG
    ? said(
        'into wind',
        'tight',
        aboutOpenings([lid]),
        [
          `Its opening side looks to the ${windName(to)}, and the wind mostly comes from the ${windName(windFromDeg)}: it gets under ${turns ? 'the lid' : 'it'} and throws it over. ${turns ? `Hinge it on the ${windName(to)} side, or open it` : 'Open it'} only in still air.`,
        ],
        [
          answer('Hinged on the far side', 'hinges', 'far'),
          answer('Hinged on the near side', 'hinges', 'near'),
          answer('High side far', 'back', 'far'),
          answer('High side near', 'back', 'near'),
        ],
      )
    : undefined;
};
