import type { ToolKey } from '../../catalog/handTools';
import { type TimberFrame, BATTEN_SCREWS_MM } from './frame';
import type { BuildSite } from '../../site/buildSite';
import { type CrossBoards, crossBoards, overSoil } from './crossBoards';
import type { Fixing, Joint, Member, Panel, SheetPart, Stage } from '../assembly/types';
import { CORNERS, CORNER_NAMES } from '../../site/bed';
import type { Survey } from '../../site/survey';
import { amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { type Saying, MINUTES, present, stage, tagList, countKind, sayCount } from '../guide/stage';

/** Marks both long rails side by side, and drills what the feet need. */
export function markRailsStage(
  frame: TimberFrame,
  hoops: readonly Member[],
  lay: Saying,
  drill: Saying,
  tool: ToolKey,
): Stage {
  return stage({
    id: 'mark',
    title: 'Mark both long rails',
    view: 'plan',
    pieces: frame.rails,
    work: [lay, 'Hook the tape on the left end of each and mark every hoop as drawn.', drill],
    tools: ['tape', 'square', 'pencil', tool],
    checks: ['Laid as they will stand, the marks face each other'],
    minutes: MINUTES.start + 2 * hoops.length,
  });
}

/** Screws the frame together, square and flat. */
export function frameStage(frame: TimberFrame, corners: readonly Saying[]): Stage {
  const boards = [...frame.rails, ...frame.endBoards, ...frame.ties];
  // A long rail comes in parts: A1a, A1b.
  const frontMm = frame.rails.filter((m) => m.tag.startsWith('A1')).reduce((sum, m) => sum + m.lengthMm, 0);
  return stage({
    id: 'frame',
    title: 'Screw the frame together',
    view: 'plan',
    pieces: boards,
    work: [...corners, frame.ties.length > 0 && `Screw ${tagList(frame.ties)} between the rails at their marks.`],
    tools: ['tape'],
    checks: [
      'Both diagonals of the frame equal',
      'It lies flat without rocking',
      phrase`It measures ${amount(frontMm, 'length')} along the front`,
    ],
    joints: frame.joints,
    minutes: boards.length * MINUTES.place,
  });
}

/** What a cover on a frame is fastened with. */
interface CoverWork {
  readonly sheets: readonly SheetPart[];
  readonly battens: readonly Member[];
  readonly fastening: readonly Saying[];
  readonly ends: Saying;
  /** What fastens it. */
  readonly joints: readonly Joint[];
}

/** Stretches the cover over the frame and fastens it. */
export function coverFrameStage(c: CoverWork): Stage {
  const film = c.sheets.some((s) => s.cover.kind === 'film');
  return stage({
    id: 'cover',
    title: 'Cover it',
    view: 'end',
    pieces: [...c.sheets, ...c.battens],
    work: [
      'Break every sharp edge of timber with a rasp: film wears through at corners and screw heads.',
      film
        ? 'Lay the film with its outer face, usually the printed one, to the sky.'
        : 'Lay the cover over the frame, equal on both sides.',
      ...c.fastening,
      c.ends,
    ],
    tools: ['rasp', 'knife'],
    checks: ['The cover is tight as a drum and no metal touches it'],
    cautions: [CAUTIONS.windyFilm, CAUTIONS.knife],
    joints: c.joints,
    minutes: c.sheets.length * MINUTES.sheet + c.battens.length * MINUTES.place,
  });
}

/** Battens over the wrapped edges of the cover, the usual way. */
function battenWork(wrapMm: number): readonly Saying[] {
  return [
    phrase`Staple one long side, wrap ${amount(wrapMm, 'length')} under the batten and screw it on every ${amount(BATTEN_SCREWS_MM, 'byEye')}.`,
    'Pull the other side tight, then do the same. Staples only hold until the batten is on.',
  ];
}

/** How a cover is fastened along its rails, by the school chosen. */
export function fasteningWork(fixing: Exclude<Fixing, 'weights'>, wrapMm: number): readonly Saying[] {
  switch (fixing) {
    case 'battens':
      return battenWork(wrapMm);
    case 'channel':
      return [
        'Screw the channel along both rails, then press the film in with the spring wire, one side after the other.',
      ];
    case 'clips':
      return ['Pull the cover over and clip it to every hoop, a soft sleeve under each clip.'];
    case 'staples':
      return [
        phrase`Staple the cover along both rails every ${amount(150, 'byEye')}, pulling from the middle outward.`,
      ];
  }
}

/** What brings a frame level on its bed, corner by corner. */
export function packerWork(survey: Survey): readonly Saying[] {
  return CORNERS.filter((c) => survey.packersMm[c] > 1.5).map(
    (c) =>
      phrase`Screw a packer of ${amount(survey.packersMm[c], 'length')} on the ${CORNER_NAMES[c]} corner of the bed.`,
  );
}

/** What comes before a frame is set down, as a part of its stage. */
export type SetDown = Pick<Stage, 'pieces' | 'joints'> & { readonly work: readonly Saying[] };

/**
 * What comes before a frame is set on its bed: packers, and boards across the soil under its open ends.
 * @param ground what is done where it stands
 * @param end what of it may stand over soil, as it is called
 */
export function setOnBed(
  boards: readonly Member[],
  across: CrossBoards,
  ground: readonly Saying[],
  end = 'open end',
): SetDown {
  return {
    work: present([
      ...ground,
      across.members.length > 0 && `Set ${tagList(across.members)} across the soil under the ${end}.`,
    ]),
    pieces: [...boards, ...across.members],
    joints: across.joints,
  };
}

/** The same for what stands on the wall of its bed from x0 to x1. @param letter of the tags of boards across the soil */
export const setOnWall = (
  boards: readonly Member[],
  letter: string,
  span: readonly [x0: number, x1: number],
  site: BuildSite,
): SetDown => setOnBed(boards, crossBoards(letter, overSoil(span, site), site), packerWork(site.survey));

/** Sets it on its bed, with what comes before that. @param joints what fixes it there */
export function setStage(
  title: string,
  set: SetDown,
  work: readonly Saying[],
  joints: readonly Joint[],
  more: Partial<Pick<Stage, 'view' | 'cautions' | 'minutes'>> & { readonly checks?: readonly Saying[] } = {},
): Stage {
  return stage({
    id: 'set',
    title,
    view: 'end',
    pieces: set.pieces,
    work: [...set.work, ...work],
    tools: ['level'],
    joints: [...joints, ...set.joints],
    minutes: MINUTES.start,
    ...more,
    checks: ['It sits down all round without rocking', ...(more.checks ?? [])],
  });
}

/** Saws firm ends to the true curve from their template, and their vents. */
export function plywoodStage(panels: readonly Panel[], how: readonly Saying[], joints: readonly Joint[]): Stage {
  const openings = panels.reduce((sum, p) => sum + p.openings.length, 0);
  const louvres = countKind(joints, 'louvre');
  return stage({
    id: 'ends',
    title: panels[0]?.sheet.kind === 'plywood' ? 'Saw and fix the plywood ends' : 'Saw and fix the clear ends',
    view: 'end',
    pieces: panels,
    work: [
      'Draw the curve from the table of offsets, or stick the full-size template on the board.',
      'Saw outside the line, both clamped together, and round the edge with a rasp.',
      panels[0]?.sheet.kind === 'plywood'
        ? 'Paint or seal both faces and every edge before it goes on: bare plywood comes apart in two winters.'
        : 'Channels stand upright; tape their open ends.',
      openings > 0 &&
        (louvres > 0
          ? `Drill a hole in a corner of each vent, saw it out, and screw ${sayCount(louvres, 'louvre')} in.`
          : 'Drill a hole in a corner of each vent and saw it out; hang the piece there as its flap.'),
      ...how,
    ],
    tools: ['jigsaw', 'blade bit', 'rasp'],
    checks: ['The curve lies under the end hoop all along'],
    cautions: [CAUTIONS.saw],
    joints,
    minutes: MINUTES.start + panels.length * 25,
  });
}
