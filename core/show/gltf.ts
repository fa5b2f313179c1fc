/** A cover in the round as a glTF 2.0 file, in metres, y up, every piece a node named by its tag. Source: Khronos glTF 2.0 specification. */
import { type Vec3, cross, norm, subtract } from '../base/geometry';
import type { Assessment } from '../assessment';
import { type Mesh, type MeshStuff, meshesOf } from './meshes';

/** Red, green, blue and how much one does not see through it, from 0 to 1. */
const LOOK: Readonly<Record<MeshStuff, readonly [number, number, number, number]>> = {
  timber: [0.66, 0.47, 0.29, 1],
  pipe: [0.42, 0.48, 0.5, 1],
  film: [0.62, 0.78, 0.77, 0.35],
  panel: [0.8, 0.72, 0.58, 0.85],
  straw: [0.86, 0.78, 0.53, 1],
};
const STUFFS = Object.keys(LOOK) as MeshStuff[];

const FLOAT = 5126;
const ARRAY_BUFFER = 34962;
const METRE = 0.001;

/** Ours is z up, the far side away along y; in glTF y is up and z comes toward whoever looks. */
const turned = ([x, y, z]: Vec3): Vec3 => [x * METRE, z * METRE, -y * METRE];

/** Corners of each triangle by themselves with its own normal: edges stay sharp. What has no area is left out. */
function vertices(m: Mesh): { readonly positions: readonly Vec3[]; readonly normals: readonly Vec3[] } {
  const positions: Vec3[] = [];
  const normals: Vec3[] = [];
  for (const triangle of m.triangles) {
    const [a, b, c] = triangle.map((i) => turned(m.points[i] ?? [0, 0, 0])) as [Vec3, Vec3, Vec3];
    const n = cross(subtract(b, a), subtract(c, a));
    const length = norm(n);
    if (length < 1e-12) continue;
    positions.push(a, b, c);
    const unitNormal: Vec3 = [n[0] / length, n[1] / length, n[2] / length];
    normals.push(unitNormal, unitNormal, unitNormal);
  }
  return { positions, normals };
}

/** The whole of one cover as a glTF file with its buffer inside it. @returns JSON text */
export function gltf(o: Assessment): string {
  const parts = meshesOf(o.assembly)
    .map((m) => ({ m, ...vertices(m) }))
    .filter((p) => p.positions.length > 0);
  const floats: number[] = [];
  const accessors: object[] = [];
  const bufferViews: object[] = [];
  const store = (list: readonly Vec3[], bounds: boolean): number => {
    const byteOffset = floats.length * 4;
    // Bounds are those of the numbers as they are stored.
    const stored = list.map((v) => v.map(Math.fround));
    floats.push(...stored.flat());
    bufferViews.push({ buffer: 0, byteOffset, byteLength: list.length * 12, target: ARRAY_BUFFER });
    const column = (k: number): readonly number[] => stored.map((v) => v[k] ?? 0);
    accessors.push({
      bufferView: bufferViews.length - 1,
      componentType: FLOAT,
      count: list.length,
      type: 'VEC3',
      ...(bounds && {
        min: [0, 1, 2].map((k) => column(k).reduce((x, y) => Math.min(x, y), Infinity)),
        max: [0, 1, 2].map((k) => column(k).reduce((x, y) => Math.max(x, y), -Infinity)),
      }),
    });
    return accessors.length - 1;
  };
  const meshes = parts.map(({ m, positions, normals }) => ({
    name: m.name,
    primitives: [
      {
        attributes: { POSITION: store(positions, true), NORMAL: store(normals, false) },
        material: STUFFS.indexOf(m.stuff),
      },
    ],
  }));
  const bytes = new Uint8Array(new Float32Array(floats).buffer);
  return `${JSON.stringify({
    asset: { version: '2.0', generator: 'Cabanon' },
    scene: 0,
    scenes: [{ name: o.cover.name, nodes: parts.map((_, i) => i) }],
    nodes: parts.map(({ m }, i) => ({ name: m.name, mesh: i })),
    meshes,
    materials: STUFFS.map((name) => ({
      name,
      doubleSided: name === 'film',
      alphaMode: LOOK[name][3] < 1 ? 'BLEND' : 'OPAQUE',
      pbrMetallicRoughness: { baseColorFactor: LOOK[name], metallicFactor: 0, roughnessFactor: 0.9 },
    })),
    accessors,
    bufferViews,
    buffers: [{ byteLength: bytes.length, uri: `data:application/octet-stream;base64,${base64(bytes)}` }],
  })}\n`;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/';

/** Bytes as base64. Source: RFC 4648, section 4. */
function base64(bytes: Uint8Array): string {
  const out: string[] = [];
  for (let i = 0; i < bytes.length; i += 3) {
    const [a = 0, b, c] = [bytes[i], bytes[i + 1], bytes[i + 2]];
    const n = (a << 16) | ((b ?? 0) << 8) | (c ?? 0);
    const four = [n >> 18, (n >> 12) & 63, (n >> 6) & 63, n & 63].map((k) => LETTERS[k] ?? '');
    out.push(
      four[0] ?? '',
      four[1] ?? '',
      b === undefined ? '=' : (four[2] ?? ''),
      c === undefined ? '=' : (four[3] ?? ''),
    );
  }
  return out.join('');
}
