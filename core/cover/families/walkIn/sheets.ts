import { type Vec3, sweptFaces } from '../../../base/geometry';
import { thicknessMm } from '../../../catalog/sections';
import { endsOf } from '../../assembly/pieces';
import type { Member, SheetPart } from '../../assembly/types';
import { MM_PER_INCH } from '../../../base/length';
import { WRAP_MM, mainAcross, rollAllowance } from './across';
import type { WalkInAnswers } from './answers';
import type { House } from './frame';

const inch = (x: number): number => x * MM_PER_INCH;

/** Film on both faces of every door, folded round its frame. */
export function doorFilm(a: WalkInAnswers, door: readonly Member[]): readonly SheetPart[] {
  const stiles = door.filter((m) => m.part === 'Door stile');
  return Array.from({ length: stiles.length / 2 }, (_, i) => stiles.slice(2 * i, 2 * i + 2)).flatMap((pair, i) => {
    const [left, right] = pair.map((m) => endsOf([m]));
    const [a0, a1, b0, b1] = [left?.[0], left?.[1], right?.[0], right?.[1]];
    const section = pair[0]?.section;
    if (!a0 || !a1 || !b0 || !b1 || !section) return [];
    const out = thicknessMm(section) / 2 + 1;
    return [-out, out].map((off, k): SheetPart => ({
      tag: `S${20 + 2 * i + k}`,
      part: 'Door film',
      cover: a.cover,
      rollKey: a.roll,
      across: [
        { what: 'Width of the door', mm: a.doorWidthMm },
        { what: 'Folded round both stiles', mm: 2 * DOOR_FOLD_MM },
      ],
      along: [
        { what: 'Height of the door', mm: a.doorHeightMm },
        { what: 'Folded round both rails', mm: 2 * DOOR_FOLD_MM },
      ],
      faces: [[a0, b0, b1, a1].map(([x, y, z]): Vec3 => [x + off, y, z])],
    }));
  });
}
/** What film takes round the frame of a door. */
const DOOR_FOLD_MM = inch(2);

/** The sheets of the house: over all in one, or a roof with its curtains, and the ends. */
export function houseSheets(a: WalkInAnswers, h: House): readonly SheetPart[] {
  const curtains = a.sheets === 'roof-and-curtains';
  const whole = sweptFaces(h.line, h.x0, h.x1);
  const roof = sweptFaces(h.roof, h.x0, h.x1);
  const length = h.x1 - h.x0;
  const high = Math.max(...h.line.map((p) => p.z));
  const width = Math.max(...h.line.map((p) => p.y)) - Math.min(...h.line.map((p) => p.y));
  const make = (
    tag: string,
    part: string,
    across: SheetPart['across'],
    along: SheetPart['along'],
    faces: SheetPart['faces'],
  ): SheetPart => ({ tag, part, cover: a.cover, rollKey: a.roll, across, along, faces });
  const line = curtains ? h.roof : h.line;
  const roll = rollAllowance(a.rollBar);
  const across = mainAcross(a, line);
  const mainAlong: SheetPart['along'] = [
    { what: 'Length of the house', mm: length },
    ...(a.sheets === 'one'
      ? [
          { what: 'Down both ends', mm: 2 * high },
          { what: 'Fastened below, both ends', mm: 2 * WRAP_MM },
        ]
      : [{ what: 'Over both end hoops', mm: 2 * WRAP_MM }]),
  ];
  const faces = curtains ? roof.strips : a.sheets === 'one' ? [...whole.strips, ...whole.ends] : whole.strips;
  const sheets = [make('S1', curtains ? 'Roof' : 'Cover', across, mainAlong, faces)];
  if (a.layers === 'double') sheets.push(make('S9', `Inner ${curtains ? 'roof' : 'cover'}`, across, mainAlong, faces));
  if (a.sheets !== 'one')
    whole.ends.forEach((face, i) =>
      sheets.push(
        make(
          `S${2 + i}`,
          'End',
          [
            { what: 'Width of the end', mm: width },
            { what: 'Fastened round the hoop, both sides', mm: 2 * WRAP_MM },
          ],
          [
            { what: 'Height of the end', mm: high },
            { what: 'Fastened above and below', mm: 2 * WRAP_MM },
          ],
          [face],
        ),
      ),
    );
  if (curtains) {
    const low = Math.min(...h.roof.map((p) => p.z));
    [Math.min(...h.line.map((p) => p.y)), Math.max(...h.line.map((p) => p.y))].forEach((y, i) => {
      const quad: readonly Vec3[] = [
        [h.x0, y, 0],
        [h.x1, y, 0],
        [h.x1, y, low],
        [h.x0, y, low],
      ];
      sheets.push(
        make(
          `S${4 + i}`,
          'Side curtain',
          [
            { what: `${h.rails.length > 0 ? 'Side rail' : 'Hip board'} to ground`, mm: low },
            { what: 'Fastened at the hip', mm: WRAP_MM },
            ...(a.sides === 'roll-up'
              ? [{ what: 'Round the roll bar, a turn and a half and six inches', mm: roll }]
              : [{ what: 'Fastened at the base', mm: WRAP_MM }]),
          ],
          [
            { what: 'Length of the house', mm: length },
            { what: 'Past both ends', mm: 2 * inch(6) },
          ],
          [quad],
        ),
      );
    });
  }
  return sheets;
}
