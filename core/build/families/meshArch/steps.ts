import { countOf } from '../../answers/skin';
import type { HardwareUse, SheetPart, Step } from '../../assembly/types';
import { amount } from '../../../base/figure';
import { CAUTIONS } from '../../guide/cautions';
import { tagsOf } from '../../parts/frameSteps';
import { MINUTES, step } from '../../guide/step';
import type { MeshArchAnswers } from './answers';

interface Built {
  readonly mesh: readonly SheetPart[];
  readonly sheets: readonly SheetPart[];
  readonly hardware: readonly HardwareUse[];
  readonly spanMm: number;
  readonly squares: number;
  readonly straps: number;
  readonly bags: number;
  readonly cutEnds: number;
  readonly riseMm: number;
}

/** The arch in building order: cut the mesh, set it, lay the sheets, strap them. */
export function meshSteps(a: MeshArchAnswers, b: Built): readonly Step[] {
  const film = a.cover.kind === 'film';
  const ties = countOf(b.hardware, 'cable-tie');
  return [
    step({
      id: 'cut',
      title: 'Cut the mesh by whole squares',
      view: 'side',
      tags: tagsOf(b.mesh),
      work: [
        ['Stand on the roll as you unroll it: it springs back.'],
        [`Count ${a.squares} squares from prong to prong and ${b.squares} along the bed, and cut just past the wire.`],
        ['At both feet cut away the last wire that runs along the bed: its prongs go into the soil.'],
        ...(b.cutEnds > 0 && a.caps === 'capped'
          ? [[`Push a sleeve on each of the ${b.cutEnds} cut ends along the mesh.`]]
          : []),
      ],
      tools: ['bolt cutter', 'gloves', 'eye protection'],
      checks: [[`Every prong as long as its neighbours`]],
      cautions: [CAUTIONS.wire],
      minutes: MINUTES.start + b.mesh.length * 20 + b.cutEnds * 0.3,
    }),
    step({
      id: 'set',
      title: 'Bend it over the bed',
      view: 'end',
      tags: tagsOf(b.mesh),
      work: [
        ['Stretch two strings ', amount(b.spanMm, 'length'), ' apart inside the walls.'],
        [
          'Two people: stand one side’s prongs on its string, bend the mesh over, stand the other side’s, and tread both ',
          amount(a.prongMm, 'length'),
          ' into the soil.',
        ],
        ...(ties > 0 ? [[`Lap the panels by one square and tie them with ${ties} ties.`]] : []),
      ],
      tools: ['string', 'tape', 'gloves'],
      checks: [['The crown stands ', amount(b.riseMm, 'length'), ' above the soil all along']],
      cautions: [CAUTIONS.bend, CAUTIONS.rods],
      minutes: MINUTES.start + b.mesh.length * 15,
    }),
    step({
      id: 'cover',
      title: 'Lay both sheets and strap them',
      view: 'end',
      tags: tagsOf(b.sheets),
      work: [
        [film ? 'Film with its outer face, usually the printed one, to the sky.' : 'Lay the sheets along the bed.'],
        [
          'One sheet on each side, skirts on the soil, lapping ',
          amount(a.overlapMm, 'length'),
          ' at the crown; the side away from the wind lies under.',
        ],
        [
          `Throw ${b.straps} straps of rope over, a bag on both ends of each. Weight skirts and ends with ${b.bags} bags.`,
        ],
        ['To reach in or to air, loosen a strap and part the sheets at the crown.'],
      ],
      tools: ['knife'],
      checks: [['The sheets part and close at the crown without coming out from under the straps']],
      cautions: [CAUTIONS.windyFilm, CAUTIONS.snow],
      minutes: b.sheets.length * MINUTES.sheet + b.straps * 5 + b.bags,
    }),
  ];
}
