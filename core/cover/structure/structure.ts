/** What bears what, worked out of pieces, where they stand and how they are joined. Nothing else lists it. */
import { type Catalog, holdsN } from '../../catalog/catalog';
import type { BuildSite } from '../../site/buildSite';
import type { Structure } from '../assembly/rows';
import type { AssemblySpec } from '../assembly/types';
import { type Pieces, archRow, meshArches, rowsOf } from './arches';
import { barRows, barsOf, piecesUnder, spansOf } from './bars';
import { COVER_JOINTS } from '../joints/coverJoints';
import { bearingsOf } from './bearing';
import { endBarsOf } from './ends';
import { ladenRails, postsUnder, pushedBy, railsUnder } from './feet';
import { roofFaces } from './roof';
import { runRows, runsOf } from './runs';
import { sleevesOf } from './sleeves';

/** What of a cover its structure is read from. */
export type Built = Pick<
  AssemblySpec,
  | 'members'
  | 'sheets'
  | 'panels'
  | 'blocks'
  | 'joints'
  | 'openings'
  | 'hungKgPerM'
  | 'wallOver'
  | 'enclosure'
  | 'footing'
>;

/**
 * The rows that strength is judged by: hoops, bars, sheets, rails, sleeves, posts and the bars of ends.
 * @param a what a family says of a cover, lengths in mm
 * @param site the bed that it stands on, and the catalogue that strengths are read from
 */
export function structureOf(
  a: Built,
  { bed, survey, catalog }: Pick<BuildSite, 'bed' | 'survey'> & { readonly catalog: Catalog },
): Structure {
  const on = bearingsOf(a, {
    wallTopMm: bed.wall.heightMm,
    lengthMm: survey.frameOn.lengthMm,
    widthMm: survey.frameOn.widthMm,
    wallMm: bed.wall.thicknessMm,
  });
  const mesh = new Set(a.sheets.flatMap((s) => (s.wires ? [s.tag] : [])));
  // What holds a cover does not hold its pieces to one another; a rope from crown to crown does, and staples over wires.
  const joints = a.joints.filter(
    (j) => j.kind === 'rope' || !(j.kind in COVER_JOINTS) || j.tags.some((t) => mesh.has(t)),
  );
  const runs = runsOf(on, joints);
  const all: Pieces = { members: a.members, joints, runs, on };
  const arches = [...rowsOf(a.members).map((row) => archRow(row, all)), ...meshArches(a.sheets, all)].map((arch) => ({
    ...arch,
    ...(a.hungKgPerM !== undefined && { hungKgPerM: a.hungKgPerM }),
  }));
  const faces = arches.length > 0 ? [] : roofFaces(a);
  const under = piecesUnder(faces, on, { frame: joints, all: a.joints });
  const bars = barsOf(under, on);
  const endM2 = a.enclosure.volumeM3 / (a.footing.lengthMm / 1000);
  const standing = arches.map((arch) => ({ arch, rails: railsUnder(arch, all) }));
  const worth = { endM2, boltN: holdsN(catalog, 'wall-bolt') };
  const posts = standing.flatMap(({ arch, rails }) => postsUnder(arch, rails, all, worth));
  return {
    arches,
    beams: [
      ...barRows(bars, a.wallOver),
      ...runRows(runs, bars, faces, a.wallOver),
      ...standing.flatMap(({ arch, rails }) => ladenRails(arch, rails, on)),
    ],
    spans: spansOf(a.panels, faces, under, a.wallOver),
    pushedRails: standing.flatMap(({ arch, rails }) => pushedBy(arch, rails, on)),
    sleeves: sleevesOf(a.members, joints),
    posts,
    endBars: endBarsOf(on, { ...a, joints }, arches, posts, runs),
  };
}
