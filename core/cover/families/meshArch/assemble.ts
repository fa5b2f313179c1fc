import { pathLength } from '../../../base/geometry';
import { type Result, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import { alongBed, dimension, endHeight, endWidth } from '../../assembly/dimension';
import { underLine } from '../../assembly/enclosure';
import { type Opening, liftedOff } from '../../assembly/openings';
import type { AssemblySpec } from '../../assembly/types';
import { built } from '../../guide/built';
import { underHoop } from '../../parts/hoops';
import { aboveWall, skirtDimension } from '../../parts/looseSheet';
import { buildRidge, soilPosts } from '../../parts/ridge';
import type { MeshArchAnswers } from './answers';
import { type Arch, archOf } from './arch';
import { meshStages } from './stages';

/** Builds the arch: mesh bent over the bed with its prongs in the soil, two sheets lapping at the crown, straps over all. */
export function assembleMeshArch(a: MeshArchAnswers, site: BuildSite): Result<AssemblySpec> {
  const found = archOf(a, site);
  if (!found.ok) return found;
  const f = found.value;
  const { x0, x1, wire, hoop, spanMm, footY, footZ, mesh, run } = f;
  const middle = footY + spanMm / 2;
  const crownZ = footZ + hoop.heightMm;
  const ridge = buildRidge(
    a.ridge,
    { site, pipe: wire, hoopXs: [...new Set(f.prongXs)], y: middle, crownZ, post: soilPosts(site, [x0, x1]) },
    mesh,
  );
  const over = { lengthMm: f.covered, widthMm: spanMm };
  return ok({
    ...built(...meshStages(a, f, ridge)),
    openings: [
      parting(f),
      ...mesh.map((m) =>
        liftedOff(f.count === 1 ? 'Mesh' : m.tag.replace('M', 'Mesh '), [m], [x0, footY, footZ], 'prongs', 2),
      ),
    ],
    under: underHoop(hoop, wire, footY, footZ),
    reachMm: [x0, x1],
    footing: { on: 'soil', stiff: false, ...over },
    fixing: 'weights',
    enclosure: { ...underLine(a.cover, aboveWall(run, site), { ...over, heightMm: hoop.heightMm }), loose: true },
    dimensions: [
      endWidth('span', 'span', x0, [footY, footY + spanMm], true, footZ),
      ...(f.lying.length > 0 ? [skirtDimension(a.skirtMm, run, x0)] : []),
      endHeight('prong', 'prongs in the soil', 'left', [x0, footY], [footZ, footZ - a.prongMm]),
      endHeight('archHeight', 'crown above the soil', 'right', [x0, middle], [footZ, crownZ], false),
      dimension('mesh', 'mesh', 'side', 'below', 1, [x0, 0, 0], [x1, 0, 0], false),
      ...alongBed(a, site, a.extent, 'bed covered'),
    ],
  });
}

/** The two sheets part where they lap, along the crown. */
function parting({ sheets, run: { line }, x0, x1 }: Arch): Opening {
  const crown = line.reduce((best, p) => (p.z > best.z ? p : best));
  return {
    name: 'Lap at the crown',
    by: 'crown',
    tags: sheets.map((s) => s.tag),
    line: [
      [x0, crown.y, crown.z],
      [x1, crown.y, crown.z],
    ],
    travel: { mm: pathLength(line) / 3 },
    shut: ['straps', 'strap weights'],
    open: [],
    reachedFrom: 'both sides',
  };
}
