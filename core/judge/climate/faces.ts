/** Which way each part of a cover looks, how large it is and what of the light it lets through. */
import { type Vec3, add, cross, dot, faceArea, scale, subtract, unit } from '../../base/geometry';
import { inPlace } from '../../cover/assembly/pieces';
import type { Assembly, Skin } from '../../cover/assembly/types';
import { skinU } from './losses';

/** A flat part of a cover: outward unit direction along the bed, across it and up. */
interface Face {
  readonly out: Vec3;
  readonly m2: number;
  readonly light: number;
  readonly uWPerM2K: number;
}

/** A face along the bed rather than across it: an end. */
const END = 0.7;
/** Faces whose directions are nearer than this are one, as the cosine of their angle. */
const SAME = 0.985;

type Drawn = readonly (readonly Vec3[])[];

/** What is drawn of a skin: sheets or panels of its cover; where none is (two films), what no other skin is drawn by. */
function drawnOf(a: Assembly, skin: Skin): { readonly faces: Drawn; readonly gathered: boolean } {
  const sheets = a.sheets.filter((s) => s.cover.key === skin.cover.key);
  const panels = a.panels.filter((p) => p.sheet.coverKey === skin.cover.key);
  const keys = new Set(a.enclosure.skins.map((s) => s.cover.key));
  const others =
    sheets.length + panels.length > 0
      ? []
      : a.sheets.filter((s) => s.cover.kind === skin.cover.kind && !keys.has(s.cover.key));
  return {
    faces: [
      ...[...sheets, ...others].flatMap((s) => s.faces),
      ...panels.map((p) => p.outline.map((corner) => inPlace(p, corner))),
    ],
    gathered: sheets.some((s) => s.gathered === true),
  };
}

/** Outward direction and area of a drawn face over a level; undefined for what lies under it. */
function faceOf(corners: readonly Vec3[], middle: Vec3, floorZ: number): { out: Vec3; m2: number } | undefined {
  const [p, q, r] = corners;
  const m2 = faceArea(corners) / 1e6;
  if (!p || !q || !r || m2 < 1e-6) return undefined;
  const centre = scale(
    corners.reduce((sum, c) => add(sum, c), [0, 0, 0] as Vec3),
    1 / corners.length,
  );
  if (centre[2] < floorZ) return undefined;
  // Newell's sum: right for any flat outline, wherever it is bent in.
  const normal = corners.reduce(
    (sum, c, i) => add(sum, cross(subtract(c, p), subtract(corners[(i + 1) % corners.length] ?? c, p))),
    [0, 0, 0] as Vec3,
  );
  const n = unit([0, 0, 0], normal);
  return { out: dot(n, subtract(centre, middle)) < 0 ? scale(n, -1) : n, m2 };
}

/** Faces that look nearly the same way, as one. */
function merged(faces: readonly { out: Vec3; m2: number }[]): readonly { out: Vec3; m2: number }[] {
  const bins: { out: Vec3; m2: number }[] = [];
  for (const f of faces) {
    const bin = bins.find((b) => dot(b.out, f.out) > SAME);
    if (bin) {
      bin.out = unit([0, 0, 0], add(scale(bin.out, bin.m2), scale(f.out, f.m2)));
      bin.m2 += f.m2;
    } else bins.push({ ...f });
  }
  return bins;
}

/**
 * The faces of a cover. Areas are those of its enclosure; directions those of what is drawn of it, over the level where it closes.
 * @returns faces with outward directions in the bed's own axes
 */
export function facesOf(a: Assembly): readonly Face[] {
  const { under, reachMm, crop } = a;
  const ys = under.map((p) => p.y);
  const floorZ = crop.soilZMm - 1;
  const middle: Vec3 = [(reachMm[0] + reachMm[1]) / 2, (Math.min(...ys) + Math.max(...ys)) / 2, floorZ];
  return a.enclosure.skins.flatMap((skin, i) => {
    const { faces, gathered } = drawnOf(a, skin);
    const all = faces.flatMap((corners) => faceOf(corners, middle, floorZ) ?? []);
    const rivals = a.enclosure.skins.filter((s) => s.cover.key === skin.cover.key);
    // Two skins of one cover are its roof and its ends.
    const mine = rivals.length < 2 ? all : all.filter((f) => Math.abs(f.out[0]) > END === rivals.indexOf(skin) > 0);
    const drawnM2 = mine.reduce((sum, f) => sum + f.m2, 0);
    const missing = gathered && rivals.length < 2 ? Math.max(0, skin.m2 - drawnM2) : 0;
    // Ends that are drawn together look along the bed; a skin of which nothing is drawn looks up or, beside another, round.
    const ends: readonly { out: Vec3; m2: number }[] = [1, -1].map((x) => ({ out: [x, 0, 0], m2: missing / 2 }));
    const round = drawnM2 + missing > 0 ? [] : i === 0 ? [{ out: [0, 0, 1] as Vec3, m2: skin.m2 }] : ends;
    const shape = merged([...mine, ...(missing > 0 ? ends : []), ...round]);
    const sum = shape.reduce((m2, f) => m2 + f.m2, 0);
    const light = skin.cover.light * (skin.inner?.light ?? 1);
    return shape.map((f) => ({
      out: f.out,
      m2: sum > 0 ? (f.m2 * skin.m2) / sum : skin.m2 / shape.length,
      light,
      uWPerM2K: skinU(skin),
    }));
  });
}
