import type { SheetPart, Vec3 } from '../../assembly/types';
import { MM_PER_INCH } from '../../units/length';
import type { HingedHoopLidAnswers } from './answers';

const inch = (x: number): number => x * MM_PER_INCH;

interface LidCovered {
  readonly taut: number;
  readonly rise: number;
  readonly length: number;
  readonly width: number;
  readonly pullMm: number;
  readonly faces: {
    readonly strips: readonly (readonly Vec3[])[];
    readonly ends: readonly [readonly Vec3[], readonly Vec3[]];
  };
}

/** The lid's cover: one sheet folded down over the ends, or a sheet with a flap at each end. */
export function lidSheets(a: HingedHoopLidAnswers, c: LidCovered): readonly SheetPart[] {
  const folded = a.ends === 'folded';
  const cover: SheetPart = {
    tag: 'S1',
    part: 'Cover',
    coverKey: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Over hoop and rails, edge to edge', mm: c.taut },
      { what: 'Wrapped under the battens, both sides', mm: 2 * a.battenWrapMm },
      { what: 'To pull by', mm: c.pullMm },
    ],
    along: [
      { what: 'Frame length', mm: c.length },
      ...(folded
        ? [
            { what: 'End height, both ends', mm: 2 * c.rise },
            { what: 'Folded under, both ends', mm: 2 * inch(6) },
          ]
        : [{ what: 'Wrapped over the end hoops, both ends', mm: 2 * inch(4) }]),
    ],
    faces: folded ? [...c.faces.strips, ...c.faces.ends] : c.faces.strips,
  };
  if (folded) return [cover];
  const flaps = c.faces.ends.map((face, i): SheetPart => ({
    tag: `S${2 + i}`,
    part: 'End flap',
    coverKey: a.cover,
    rollKey: a.roll,
    across: [
      { what: 'Width of the opening', mm: c.width },
      { what: 'Wider than the opening, in all', mm: inch(9) },
    ],
    along: [
      { what: 'Height of the end', mm: c.rise },
      { what: 'Tucked under', mm: inch(12) },
    ],
    faces: [face],
  }));
  return [cover, ...flaps];
}
