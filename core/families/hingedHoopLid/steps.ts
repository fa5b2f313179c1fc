import type { RidgeBuilt } from '../../assembly/ridge';
import type { HardwareUse, Member, SheetPart, Step } from '../../assembly/types';
import { CORNERS, CORNER_NAMES } from '../../bed/bed';
import type { Survey } from '../../bed/survey';
import { coverMaterial } from '../../catalog/covers';
import { amount } from '../../figure';
import { CAUTIONS } from '../../guide/cautions';
import { MINUTES, bendStep, cutStep, paintStep, ridgeStep, step, tagList } from '../../guide/step';
import { countOf } from '../../guide/tunnelSteps';
import type { HingedHoopLidAnswers } from './answers';
import type { Frame } from './frame';

interface Built {
  readonly frame: Frame;
  readonly hoops: readonly Member[];
  readonly ridge: RidgeBuilt;
  readonly hardware: readonly HardwareUse[];
  readonly spacingMm: number;
  readonly survey: Survey;
  readonly sheets: readonly SheetPart[];
}

/** The lid in building order: cut, mark, frame, hoops, ridge, paint, cover, hang. */
export function lidSteps(a: HingedHoopLidAnswers, b: Built): readonly Step[] {
  const { frame, hoops, ridge, hardware, survey } = b;
  const count = (key: string): number => countOf(hardware, key);
  const tags = (members: readonly Member[]): readonly string[] => members.map((m) => m.tag);
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  const feet = count('strap') + count('socket-cap');
  const packers = CORNERS.filter((c) => survey.packersMm[c] > 1.5);
  const film = coverMaterial(a.cover).kind === 'film';
  return [
    cutStep([...boards, ...hoops, ...ridge.members, ...frame.battens, ...frame.crossBoards]),
    step({
      id: 'mark',
      title: 'Mark both long rails',
      view: 'plan',
      tags: tags(frame.rails),
      work: [
        [`Lay ${tagList(frame.rails)} side by side as they will stand: the hinge rail sits between the end boards.`],
        ['Hook the tape on the left end of each and mark every hoop as drawn.'],
        [
          a.feet === 'sockets'
            ? 'Drill a 3/32 pilot for each socket in the middle of the top edge.'
            : 'Drill 3/32 pilots for the straps, 1 in up from the bottom edge.',
        ],
      ],
      tools: ['tape', 'square', 'pencil', 'drill, 3/32 bit'],
      checks: [['Laid as they will stand, the marks face each other']],
      minutes: MINUTES.start + 2 * hoops.length,
    }),
    step({
      id: 'frame',
      title: 'Screw the frame together',
      view: 'plan',
      tags: tags(boards),
      work: [
        ['On flat ground, stand the hinge rail between the end boards, flush with their ends.'],
        ['Set the front rail across the other ends, flush outside. Drill 1/8 pilots, then screw each corner.'],
        ...(frame.ties.length > 0 ? [[`Screw ${tagList(frame.ties)} between the rails beside their hoops.`]] : []),
      ],
      tools: ['drill, 1/8 bit', 'driver', 'tape'],
      checks: [
        ['Both diagonals of the frame equal'],
        ['It lies flat without rocking'],
        ['It measures ', amount(frame.rails[0]?.lengthMm ?? 0, 'length'), ' along the front'],
      ],
      minutes: boards.length * MINUTES.place + (count('screw-3') + 4 * frame.ties.length) * MINUTES.fixing * 2,
    }),
    bendStep(
      hoops,
      b.spacingMm,
      [
        [
          a.feet === 'sockets'
            ? 'Screw the sockets down, set one foot, bend, and set the other.'
            : 'Slip one foot under its loose strap, bend, slip the other under, and tighten both.',
        ],
      ],
      feet * 2,
    ),
    ...(a.ridge === 'none'
      ? []
      : [
          ridgeStep(
            ridge.members,
            count('cable-tie') + (a.ridge === 'pipe' || a.ridge === 'rope' ? 0 : hoops.length),
            a.ridge === 'rope',
          ),
        ]),
    ...(count('paint') > 0 ? [paintStep(hoops)] : []),
    step({
      id: 'cover',
      title: 'Cover the lid',
      view: 'end',
      tags: [...b.sheets.map((s) => s.tag), ...tags(frame.battens)],
      work: [
        ['Break every sharp edge of timber with a rasp: film wears through at corners and screw heads.'],
        [
          film
            ? 'Lay the film with its outer face, usually the printed one, to the sky.'
            : 'Lay the cover over the hoops, equal on both sides.',
        ],
        ['Staple one long side, wrap ', amount(a.battenWrapMm, 'length'), ' under the batten and screw it on.'],
        ['Pull the other side tight, then do the same. Staples only hold until the batten is on.'],
        [
          a.ends === 'folded'
            ? 'Fold both ends down like a parcel and batten or staple them to the end boards.'
            : 'Hang a flap at each end and tuck it under.',
        ],
      ],
      tools: ['rasp', 'stapler', 'driver', 'knife'],
      checks: [['The cover is tight as a drum and no metal touches it']],
      cautions: [CAUTIONS.windyFilm],
      minutes:
        b.sheets.length * MINUTES.sheet +
        frame.battens.length * MINUTES.place +
        (count('staple') / 4 + count('screw-1-5/8')) * MINUTES.fixing,
    }),
    step({
      id: 'hang',
      title: 'Level the bed and hang the lid',
      view: 'end',
      tags: [...tags(boards), ...tags(frame.crossBoards)],
      work: [
        ...packers.map((c) => [
          'Screw a packer of ',
          amount(survey.packersMm[c], 'length'),
          ` on the ${CORNER_NAMES[c]} corner of the bed.`,
        ]),
        ...(frame.crossBoards.length > 0
          ? [[`Set ${tagList(frame.crossBoards)} across the soil under the lid’s open end.`]]
          : []),
        ['Two people: set the lid on the bed, flush all round.'],
        [`Screw ${count('hinge')} hinges to the ${a.hinges} side, the outer two a hand from the ends.`],
        [
          `Handle in the middle of the front rail; ${count('latch') === 1 ? 'a latch' : 'two latches, a hand from each end'}; ${count('stay') === 1 ? 'a stay' : 'a stay at each end'}.`,
        ],
      ],
      tools: ['level', 'driver'],
      checks: [['The lid swings free and shuts flat'], ['The stay holds it open, and the latch holds it shut']],
      cautions: [CAUTIONS.lid, CAUTIONS.snow],
      minutes:
        MINUTES.start +
        count('hinge') * 6 +
        (count('handle') + count('latch') + count('stay')) * 5 +
        packers.length * 5,
    }),
  ];
}
