import type { Elastica } from '../../hoop/types';
import type { CoverMaterial } from '../../../catalog/types';
import { placeExtent } from '../../answers/place';
import { coverMaterial, section } from '../../../catalog/catalog';
import { BARE } from '../../assembly/bare';
import { cropUnder, soilZ } from '../../assembly/crop';
import { alongBed, dimension } from '../../assembly/dimension';
import { outerFace, underHoop } from '../../parts/hoops';
import { PULL_MM } from '../../parts/hoopFrame';
import { type Point2, type Vec3, enclosedArea, pathLength, sweptFaces, tautOutline } from '../../../base/geometry';
import { some, use } from '../../assembly/pieces';
import type { Assembly, SheetPart } from '../../assembly/types';
import type { BuildSite } from '../../../site/buildSite';
import { thicknessMm } from '../../../catalog/sections';
import { hoopCurve } from '../../hoop/curve';
import { solveHoop } from '../../hoop/elastica';
import { type Result, fail, ok } from '../../../base/result';
import { MM_PER_INCH } from '../../../base/length';
import { type MeshArchAnswers, SQUARE_MM } from './answers';
import { meshSteps } from './steps';

const WIRE = 'mesh-wire';
const FROM_WALL_MM = 25;
const STRAP_SPACING_MM = 1200;
const BAG_N = 49;
const PRONG_N = 15;

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

/** Builds the arch: mesh bent over the bed with its prongs in the soil, two sheets lapping at the crown, straps over all. */
export function assembleMeshArch(a: MeshArchAnswers, site: BuildSite): Result<Assembly> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const material = coverMaterial(site.catalog, 'mesh');
  const wire = section(site.catalog, WIRE);
  const wall = bed.wall.thicknessMm;
  const from = extent.value.startMm < 1 ? wall : extent.value.startMm;
  const to = extent.value.endMm > survey.frameOn.lengthMm - 1 ? survey.frameOn.lengthMm - wall : extent.value.endMm;
  const spanMm = a.spanMm ?? bed.inside.widthMm - 2 * FROM_WALL_MM;
  if (spanMm > bed.inside.widthMm)
    return fail('span', 'The prongs would stand outside the bed: make the span smaller.');
  const above = (a.squares - 2) * SQUARE_MM + 2 * (SQUARE_MM - a.prongMm);
  const solved = solveHoop({ kind: 'loose' }, { spanMm, lengthMm: above });
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
    };
  });

  const r = thicknessMm(wire) / 2;
  const line = tautOutline(outerFace(hoop, wire, footY, footZ), [
    { y: footY - r, z: footZ },
    { y: footY + spanMm + r, z: footZ },
  ]);
  const half = pathLength(line) / 2;
  const faces = sweptFaces(line, x0, x1);
  const rise = hoop.heightMm;
  const gathered = a.ends === 'gathered';
  const along: SheetPart['along'] = [
    { what: 'Over the mesh, end to end', mm: covered },
    { what: 'End height, both ends', mm: 2 * rise },
    { what: `${gathered ? 'Gathered' : 'Folded'} and weighted, both ends`, mm: 2 * (gathered ? 12 : 6) * MM_PER_INCH },
  ];
  const middle = Math.floor(faces.strips.length / 2);
  const sheets = [
    { tag: 'S1', part: 'Sheet, near side', faces: [...faces.strips.slice(0, middle), ...faces.ends] },
    { tag: 'S2', part: 'Sheet, far side', faces: faces.strips.slice(middle) },
  ].map((s): SheetPart => ({
    ...s,
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Half over the arch, foot to crown', mm: half },
      { what: 'Past the crown, half of the lap', mm: a.overlapMm / 2 },
      { what: 'Weighted skirt', mm: a.skirtMm },
      { what: 'To pull by', mm: PULL_MM },
    ],
    along,
  }));
  const straps = a.straps ?? Math.max(2, Math.ceil(covered / STRAP_SPACING_MM) + 1);
  const bags = a.weights ?? 2 * Math.ceil(covered / 1000) + 4;
  const narrow = squares < Math.round(Math.max(...material.rolls.map((x) => x.widthMm)) / SQUARE_MM);
  const cutEnds = narrow ? count * (a.squares + 1) : 0;
  const hardware = some([
    use('end-sleeve', a.caps === 'capped' ? cutEnds : 0, 'Cut wire ends along the mesh'),
    use('cable-tie', (count - 1) * a.squares, 'Panels of mesh where they lap'),
    use('rope', Math.ceil((straps * (pathLength(line) + 1200)) / 1000), 'Straps over the sheets'),
    use('sandbag', bags + 2 * straps, 'On the skirts and ends, and on both ends of every strap'),
  ]);
  const under = underHoop(hoop, wire, footY, footZ);
  const sectionM2 = enclosedArea(line) / 1e6;
  return ok({
    ...BARE,
    members: [],
    sheets: [...sheets, ...mesh],
    hardware,
    arches: [
      {
        what: 'Wires',
        tags: mesh.map((m) => m.tag),
        section: wire,
        hoop,
        // Mesh comes off the roll bent already, and keeps part of every bend it is given.
        sprung: false,
        xsMm: [x0, x1],
        spacingMm: SQUARE_MM,
        footYMm: footY,
        footZMm: footZ,
        baseZMm: footZ,
        cutMm: a.squares * SQUARE_MM,
        ridge: { kind: 'tied' },
      },
    ],
    under,
    reachMm: [x0, x1],
    moving: mesh.map((m) => ({
      name: count === 1 ? 'Mesh' : m.tag.replace('M', 'Mesh '),
      memberTags: [],
      sheetTags: [m.tag],
      panelTags: [],
      motion: 'carried',
      extraKg: 0,
      people: 2,
    })),
    footing: {
      on: 'soil',
      stiff: false,
      lengthMm: covered,
      widthMm: spanMm,
      holdDowns: [
        { what: 'prongs in the soil', count: 2 * count * (squares + 1), eachN: PRONG_N },
        { what: 'bags on the straps', count: 2 * straps, eachN: BAG_N },
        { what: 'weights on the skirts', count: bags, eachN: BAG_N, ask: 'weights' },
      ],
    },
    contacts: cutEnds > 0 ? [{ what: 'pipe end', guarded: a.caps === 'capped' }] : [],
    fixing: 'weights',
    airing: { by: 'crown', screened: false },
    crop: cropUnder(bed, survey.frameOn.widthMm, a.crop, a.rowFromEdgeMm, under),
    enclosure: {
      cover: a.cover,
      floorM2: (covered * spanMm) / 1e6,
      coverM2: (pathLength(line) * covered) / 1e6 + 2 * sectionM2,
      volumeM3: (sectionM2 * covered) / 1000,
      heightM: rise / 1000,
    },
    dimensions: [
      dimension('span', 'span', 'end', 'below', 1, [x0, footY, footZ], [x0, footY + spanMm, footZ]),
      dimension('prong', 'prongs in the soil', 'end', 'left', 1, [x0, footY, footZ - a.prongMm], [x0, footY, footZ]),
      dimension(
        'archHeight',
        'crown above the soil',
        'end',
        'right',
        1,
        [x0, footY + spanMm / 2, footZ],
        [x0, footY + spanMm / 2, footZ + rise],
        false,
      ),
      dimension('mesh', 'mesh', 'side', 'below', 1, [x0, 0, 0], [x1, 0, 0], false),
      ...alongBed({
        x0: extent.value.startMm,
        x1: extent.value.endMm,
        label: 'bed covered',
        wallMm: wall,
        rowFromEdgeMm: a.rowFromEdgeMm,
        xs: [],
        spacingLabel: '',
      }),
    ],
    steps: meshSteps(a, { mesh, sheets, hardware, spanMm, squares, straps, bags, cutEnds, riseMm: rise }),
    remarks: [],
  });
}
