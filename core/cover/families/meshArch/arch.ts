import { type Point2, type Vec3, pathLength, sweptFaces } from '../../../base/geometry';
import { MM_PER_INCH } from '../../../base/length';
import { type Made, fail, ok } from '../../../base/result';
import { coverMaterial, section } from '../../../catalog/catalog';
import { thicknessMm } from '../../../catalog/sections';
import type { CoverMaterial } from '../../../catalog/types';
import type { BuildSite } from '../../../site/buildSite';
import { FOLDS } from '../../answers/skin';
import { soilZ } from '../../assembly/crop';
import { endRun, looseRun, pastEnds } from '../../assembly/sheetRun';
import type { Bow, SheetPart } from '../../assembly/types';
import { hoopCurve } from '../../hoop/curve';
import { solveHoop } from '../../hoop/elastica';
import type { Elastica } from '../../hoop/types';
import { PULL_MM } from '../../parts/framedSheet';
import { outerFace } from '../../parts/hoops';
import { drawnRun, endFaces, skirtFaces } from '../../parts/looseSheet';
import { type MeshArchAnswers, SQUARE_MM } from './answers';

const WIRE = 'mesh-wire';
const FROM_WALL_MM = 25;

/** Panels of mesh side by side along the bed, each whole squares wide and lapping the next by one square. */
function panelsAlong(mesh: CoverMaterial, lengthMm: number): { readonly count: number; readonly squares: number } {
  const widest = Math.max(...mesh.rolls.map((r) => r.widthMm));
  const most = Math.round(widest / SQUARE_MM);
  const whole = Math.max(1, Math.floor(lengthMm / SQUARE_MM + 1e-6));
  const count = whole <= most ? 1 : Math.ceil((whole - 1) / (most - 1));
  return { count, squares: Math.min(most, Math.floor((whole + count - 1) / count)) };
}

/** Places on the arch at every wire across, from the left prong's top to the right one's, and the prongs below. */
function wirePlaces(hoop: Elastica, a: MeshArchAnswers, footY: number, footZ: number): readonly Point2[] {
  const curve = hoopCurve(hoop, 240);
  const step = hoop.lengthMm / (curve.length - 1);
  const at = (s: number): Point2 => {
    const i = Math.max(0, Math.min(curve.length - 2, Math.floor(s / step)));
    const p = curve[i] ?? { y: 0, z: 0 };
    const q = curve[i + 1] ?? p;
    const f = s / step - i;
    return { y: footY + p.y + (q.y - p.y) * f, z: footZ + p.z + (q.z - p.z) * f };
  };
  // The first wire left stands a prong's show above the soil; the wire below it has been cut away.
  const shown = SQUARE_MM - a.prongMm;
  const wires = Array.from({ length: a.squares - 1 }, (_, i) => at(shown + i * SQUARE_MM));
  const angle = curve[0]?.angle ?? Math.PI / 2;
  const tip = (side: -1 | 1, y: number): Point2 => ({
    y: y + side * Math.cos(angle) * a.prongMm,
    z: footZ - Math.sin(angle) * a.prongMm,
  });
  return [tip(-1, footY), ...wires, tip(1, footY + hoop.spanMm)];
}

export type Arch = Made<typeof archOf>;

/** Mesh bent over the bed with its prongs in the soil, and the two sheets on it, lapping at the crown. */
export function archOf(a: MeshArchAnswers, site: BuildSite) {
  const { bed, survey } = site;
  const [startMm, endMm] = a.extent;
  const material = coverMaterial(site.catalog, 'mesh');
  const wire = section(site.catalog, WIRE);
  const wall = bed.wall.thicknessMm;
  const from = startMm < 1 ? wall : startMm;
  const to = endMm > survey.frameOn.lengthMm - 1 ? survey.frameOn.lengthMm - wall : endMm;
  const spanMm = a.spanMm ?? bed.inside.widthMm - 2 * FROM_WALL_MM;
  if (spanMm > bed.inside.widthMm)
    return fail('span', 'The prongs would stand outside the bed: make the span smaller.');
  const above = (a.squares - 2) * SQUARE_MM + 2 * (SQUARE_MM - a.prongMm);
  const solved = solveHoop({ kind: 'pinned' }, { spanMm, lengthMm: above });
  if (!solved.ok)
    return fail('squares', 'So few squares do not reach over this span: take more squares, or make the span smaller.');
  const hoop = solved.value;
  const footY = (survey.frameOn.widthMm - spanMm) / 2;
  const footZ = soilZ(bed);
  const { count, squares } = panelsAlong(material, to - from);
  const covered = (count * squares - (count - 1)) * SQUARE_MM;
  if (covered < 300) return fail('coverLength', 'Mesh comes in whole squares: cover at least two.');
  const x0 = (from + to - covered) / 2;
  const x1 = x0 + covered;
  const places = wirePlaces(hoop, a, footY, footZ);
  const wires = places.slice(1, -1);

  // Mesh comes off the roll bent already, and keeps part of every bend it is given.
  const bow: Bow = { hoop, sprung: false, footYMm: footY, footZMm: footZ, baseZMm: footZ };
  const mesh = Array.from({ length: count }, (_, p): SheetPart => {
    const start = x0 + p * (squares - 1) * SQUARE_MM;
    const xs = Array.from({ length: squares + 1 }, (_, i) => start + i * SQUARE_MM);
    const point = (x: number, q: Point2): Vec3 => [x, q.y, q.z];
    const cells = wires.slice(1).flatMap((q, j) => {
      const b = wires[j] ?? q;
      return xs.slice(1).map((x, i): readonly Vec3[] => {
        const w = xs[i] ?? x;
        return [point(w, b), point(x, b), point(x, q), point(w, q)];
      });
    });
    const prongs = [
      [places[0], wires[0]],
      [wires[wires.length - 1], places[places.length - 1]],
    ].flatMap(([b, q]) => (b && q ? xs.map((x): readonly Vec3[] => [point(x, b), point(x, q)]) : []));
    return {
      tag: `M${p + 1}`,
      part: 'Mesh',
      cover: material,
      rollKey: null,
      across: [{ what: `${a.squares} squares over the bed, prongs included`, mm: a.squares * SQUARE_MM }],
      along: [{ what: `${squares} squares along the bed`, mm: squares * SQUARE_MM }],
      faces: [...cells, ...prongs],
      wires: { section: wire, everyMm: SQUARE_MM, cutMm: a.squares * SQUARE_MM, bow },
    };
  });

  const r = thicknessMm(wire) / 2;
  const legs: readonly [Point2, Point2] = [
    { y: footY - r, z: footZ },
    { y: footY + spanMm + r, z: footZ },
  ];
  const run = looseRun([...outerFace(hoop, wire, footY, footZ), ...legs], legs, FOLDS[a.edges], site);
  const { line } = run;
  const half = pathLength(line) / 2;
  const past = pastEnds(a.extent, [x0, x1], run, site);
  const crownZ = footZ + hoop.heightMm + r;
  const down = past.map((mm) => endRun(crownZ, mm, footZ, bed));
  const faces = sweptFaces(line, x0, x1);
  const rise = hoop.heightMm;
  const gathered = a.ends === 'gathered';
  const along: SheetPart['along'] = [
    { what: 'Over the mesh, end to end', mm: covered },
    { what: 'Down both ends', mm: down.reduce((sum, end) => sum + pathLength(end), 0) },
    { what: `${gathered ? 'Gathered' : 'Folded'} and weighted, both ends`, mm: 2 * (gathered ? 12 : 6) * MM_PER_INCH },
  ];
  const middle = Math.floor(faces.strips.length / 2);
  const lying = skirtFaces(a.skirtMm, run, x0, x1);
  const sheets = [
    {
      tag: 'S1',
      part: 'Sheet, near side',
      faces: [...faces.strips.slice(0, middle), ...endFaces(line, down, x0, x1), ...lying.slice(0, 1)],
    },
    { tag: 'S2', part: 'Sheet, far side', faces: [...faces.strips.slice(middle), ...lying.slice(1)] },
  ].map((s): SheetPart => ({
    ...s,
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: a.edges === 'ground' ? 'Crown to ground, over arch and wall' : 'Crown to soil', mm: half },
      { what: 'Past the crown, half of the lap', mm: a.overlapMm / 2 },
      { what: a.edges === 'ground' ? 'Skirt on the ground' : 'Tucked in on the soil', mm: a.skirtMm },
      { what: 'Spare, to pull it tight', mm: PULL_MM },
    ],
    along,
    run: halfOf(drawnRun(a.skirtMm, run, x0), s.tag === 'S1'),
    skirt: {
      askedMm: a.skirtMm,
      sides: 1,
      runMm: half,
      besideMm: PULL_MM + a.overlapMm / 2,
      on: a.edges === 'ground' ? 'ground' : 'soil',
    },
  }));
  return ok({
    ...{ x0, x1, covered, count, squares, material, wire, hoop, spanMm, footY, footZ, rise },
    ...{ places, wires, mesh, sheets, run, lying },
    /** Where the wires along the bed go into the soil. */
    prongXs: mesh.flatMap((_, p) =>
      Array.from({ length: squares + 1 }, (__, i) => x0 + (p * (squares - 1) + i) * SQUARE_MM),
    ),
  });
}

/** The near or the far half of a line over the crown. */
function halfOf(line: readonly Vec3[], near: boolean): readonly Vec3[] {
  const top = line.reduce((best, p, i) => (p[2] > (line[best]?.[2] ?? 0) ? i : best), 0);
  return near ? line.slice(0, top + 1) : line.slice(top);
}
