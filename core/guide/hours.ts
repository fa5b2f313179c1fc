import type { Assembly } from '../assembly/types';
import { section } from '../catalog/sections';
import { type Figure, amount } from '../figure';

const MINUTES = { setOut: 30, boardCut: 6, pipeCut: 2, placeMember: 4, bendHoop: 6, fixing: 0.6, sheet: 25 } as const;

/** Hours to build alone: setting out, cutting, placing, bending, fixing and covering, counted from the assembly. */
export function buildHours(assembly: Assembly): Figure {
  const boards = assembly.members.filter((m) => section(m.sectionKey).shape.kind === 'board').length;
  const pipes = assembly.members.length - boards;
  const hoops = assembly.arches.reduce((sum, a) => sum + a.tags.length, 0);
  const fixings = assembly.hardware
    .filter((h) => !['staple', 'rope', 'paint'].includes(h.itemKey))
    .reduce((sum, h) => sum + h.count, 0);
  const minutes =
    MINUTES.setOut +
    boards * (MINUTES.boardCut + MINUTES.placeMember) +
    pipes * (MINUTES.pipeCut + MINUTES.placeMember) +
    hoops * MINUTES.bendHoop +
    fixings * MINUTES.fixing +
    assembly.sheets.length * MINUTES.sheet;
  return {
    label: 'Hours to build, alone',
    value: minutes / 60,
    quantity: 'hours',
    formula: '30 + boards × 10 + pipes × 6 + hoops × 6 + fixings × 0.6 + sheets × 25 minutes',
    terms: [
      { name: 'boards', ...amount(boards, 'count') },
      { name: 'pipes and rods', ...amount(pipes, 'count') },
      { name: 'hoops to bend', ...amount(hoops, 'count') },
      { name: 'screws, straps and other fixings', ...amount(fixings, 'count') },
      { name: 'sheets', ...amount(assembly.sheets.length, 'count') },
    ],
    source: 'Counts from the assembly; minutes a piece are our own estimate for unhurried work.',
    assumes: ['One person with a drill and a saw, nothing going wrong. Shopping is not in it.'],
  };
}
