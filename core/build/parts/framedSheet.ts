import type { CoverMaterial } from '../../catalog/types';
import { MM_PER_INCH } from '../../base/length';
import { type Point2, pathLength, sweptFaces } from '../../base/geometry';
import { PULL_MM } from './hoopFrame';
import type { SheetPart } from '../assembly/types';

const inch = (x: number): number => x * MM_PER_INCH;

/** What a sheet lies on and is fastened to, mm. */
export interface FramedCover {
  readonly line: readonly Point2[];
  readonly x0: number;
  readonly x1: number;
  readonly lengthMm: number;
  readonly riseMm: number;
  readonly widthMm: number;
  readonly wrapMm: number;
}

interface SheetChoice {
  readonly cover: CoverMaterial;
  readonly roll: string | null;
}

/** One sheet over a frame, wrapped along both rails; its ends folded down, stopped at flaps, or wrapped over plywood. */
export function framedSheet(a: SheetChoice, ends: 'folded' | 'flap' | 'plywood', c: FramedCover): SheetPart {
  const faces = sweptFaces(c.line, c.x0, c.x1);
  return {
    tag: 'S1',
    part: 'Cover',
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Over hoop and rails, edge to edge', mm: pathLength(c.line) },
      { what: 'Wrapped and fastened, both sides', mm: 2 * c.wrapMm },
      { what: 'To pull by', mm: PULL_MM },
    ],
    along: [
      { what: 'Frame length', mm: c.lengthMm },
      ...(ends === 'folded'
        ? [
            { what: 'End height, both ends', mm: 2 * c.riseMm },
            { what: 'Folded under, both ends', mm: 2 * inch(6) },
          ]
        : [{ what: `Wrapped over the ${ends === 'plywood' ? 'plywood' : 'end hoops'}, both ends`, mm: 2 * inch(4) }]),
    ],
    faces: ends === 'folded' ? [...faces.strips, ...faces.ends] : faces.strips,
  };
}

/** A separate flap at each end, wider than its opening and tucked under. */
export function endSheets(a: SheetChoice, c: FramedCover): readonly SheetPart[] {
  return sweptFaces(c.line, c.x0, c.x1).ends.map((face, i): SheetPart => ({
    tag: `S${2 + i}`,
    part: 'End flap',
    cover: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Width of the opening', mm: c.widthMm },
      { what: 'Wider than the opening, in all', mm: inch(9) },
    ],
    along: [
      { what: 'Height of the end', mm: c.riseMm },
      { what: 'Tucked under', mm: inch(12) },
    ],
    faces: [face],
  }));
}
