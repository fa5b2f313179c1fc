/** The film of a house: how it is held along boards and ends, sides that roll up, and the anchors that come last. */
import { amount, phrase } from '../../../base/figure';
import type { Vec3 } from '../../../base/geometry';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type BuildSite, stock } from '../../../site/buildSite';
import { endsOf } from '../../assembly/pieces';
import type { Opening } from '../../assembly/openings';
import type { Joint, Member, SheetPart, Stage } from '../../assembly/types';
import { type Saying, MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { evenly, joint, pairsAt, spreadAlong } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { straightRun } from '../../joints/runs';
import { batteningOf, stripOver, BATTEN_SCREWS_MM } from '../../parts/frame';
import { clipPlaces } from '../../parts/framedSheet';
import type { WalkInAnswers } from './answers';
import type { House } from './frame';
import { roomUp } from './frameStages';

const BATTEN = '1x2';
const CRANK_KG = 2;
/** A house that an arm reaches across from both sides, mm. */
const NARROW_MM = 1300;

const FASTENING: Readonly<Record<WalkInAnswers['fixing'], Saying>> = {
  channel: 'Press the film into its channels with the spring wire: ridge middle first, then outward to both ends.',
  battens: phrase`Screw battens over the film along every board, every ${amount(BATTEN_SCREWS_MM, 'byEye')}: middle first, then outward to both ends; clip it round both end hoops.`,
  staples: phrase`Staple the film along every board, every ${amount(125, 'byEye')}, middle first, then outward, and clip it round both end hoops.`,
};

const isCurtain = (s: SheetPart): boolean => s.part === 'Side curtain';

/** The boards that film is fastened along: a rolled side at the hip, and nowhere below. */
function fastenedTo(a: WalkInAnswers, h: House): readonly Member[] {
  const roll = a.sides === 'roll-up';
  // Film that runs on to the roll bar is held at the hip as well, or the whole sheet rolls up.
  return [...(a.sheets === 'roof-and-curtains' || roll ? h.hips : []), ...(roll ? [] : h.baseBoards)];
}

/** Battens over the film, outside each board that it is fastened along. */
function edgeBattens(a: WalkInAnswers, h: House, site: BuildSite): readonly Member[] {
  if (a.fixing !== 'battens') return [];
  const section = stock(site, BATTEN);
  const middle = (h.y0 + h.y1) / 2;
  return fastenedTo(a, h).flatMap((board, i) => {
    const [from, to] = endsOf([board]);
    if (!from || !to) return [];
    const out = (thicknessMm(board.section) + thicknessMm(section)) / 2;
    const y = from[1] + (from[1] < middle ? -out : out);
    return straightRun(`N${i + 1}`, 'Batten', section, [from[0], to[0]], [y, from[2]], [0, 0, 1], { xs: h.xs }).members;
  });
}

/** Battens over the film of the ends, outside every stud and jamb, from a finger over its foot to a finger under its top. */
function endBattensOf(ends: readonly Member[], h: House, site: BuildSite): readonly Member[] {
  const section = stock(site, BATTEN);
  return ends
    .filter((m) => m.ends[1] === 'curve')
    .flatMap((m, i) => {
      const [from, to] = endsOf([m]);
      if (!from || !to) return [];
      const out = (boardShape(m.section).widthMm + thicknessMm(section)) / 2;
      const x = from[0] + (from[0] < (h.x0 + h.x1) / 2 ? -out : out);
      const line = [
        [x, from[1], from[2] + 20],
        [x, to[1], to[2] - 20],
      ] as const;
      return stripOver(`J${i + 1}`, 'End batten', section, line, [0, 1, 0]);
    });
}

/** Film over the whole, fastened along boards and end hoops. */
export function coverStage(
  a: WalkInAnswers,
  h: House,
  ends: readonly Member[],
  sheets: readonly SheetPart[],
  site: BuildSite,
): Stage {
  const main = sheets.filter((s) => !isCurtain(s));
  const battens = edgeBattens(a, h, site);
  const endBattens = endBattensOf(ends, h, site);
  const { endHoops, boards, purlins } = h;
  const doorless = a.doors === 'none';
  const sideMetres = Math.ceil((fastenedTo(a, h).reduce((sum, m) => sum + m.lengthMm, 0) - 1e-6) / 1000);
  const endsMm = 2 * (h.y1 - h.y0 + 2 * h.crownZ);
  const along = spreadAlong(boards, 500);
  const ofEnds = endHoops.flat();
  const held: readonly Joint[] =
    a.fixing === 'channel'
      ? joint('channel', 'channel', 'Along boards and end hoops', [...sheets, ...boards, ...ofEnds], along, {
          count: sideMetres + Math.ceil(endsMm / 1000),
        })
      : [
          ...joint('staple', 'staples', 'Along the boards', [...sheets, ...boards], along, {
            count: 8 * sideMetres,
            ...(a.fixing === 'staples' && { alone: 'fixing' }),
          }),
          // No staple holds in pipe.
          ...joint(
            'clip',
            'end clips',
            'Film round the end hoops',
            [...sheets, ...ofEnds],
            clipPlaces(endHoops, Math.ceil(endsMm / 2 / 450)),
          ),
        ];
  return stage({
    id: 'cover',
    title: 'Cover it',
    view: 'end',
    pieces: [...main, ...battens, ...endBattens],
    work: [
      'Round every edge of timber that film will lie on with a rasp, and tape over every screw head and sharp end. Unroll the film beside the house, outer face, usually the printed one, up.',
      'Throw three ropes over, tie them to its edge, and pull it across with two or three people.',
      FASTENING[a.fixing],
      phrase`Screw ${tagList(endBattens)} over the film on the studs${doorless ? '' : ' and jambs'} of both ends, every ${amount(BATTEN_SCREWS_MM, 'byEye')}${doorless ? '' : ', then cut the door out'}.`,
      a.layers === 'double' &&
        phrase`Hang the inner sheet first, and keep ${amount(10, 'length')} of air between: stick foam strip along the purlins.`,
    ],
    tools: ['rope', 'knife', ...roomUp(h)],
    joints: [
      ...held,
      ...(a.layers === 'double'
        ? joint('seal', 'spacers', 'Along the purlins, between the two films', purlins, [], {
            count: Math.ceil(purlins.reduce((sum, m) => sum + m.lengthMm, 0) / 1000),
          })
        : []),
      ...joint('roundedEdge', 'edges', 'Outer edges of the boards and the end frames', [...boards, ...ends], [], {
        count: boards.length + ends.length,
        with: { how: 'guarded' },
      }),
      ...batteningOf(battens, boards),
      ...joint(
        'batten',
        'end battens',
        'Battens over the film on studs and jambs',
        [...endBattens, ...ends, ...main.filter((s) => s.part !== 'Roof')],
        spreadAlong(endBattens, BATTEN_SCREWS_MM),
      ),
      ...joint(
        'clip',
        'clips',
        'Cover to the hoops at the hip, a sleeve under each',
        [...sheets, ...h.hoops],
        pairsAt(h.xs, [h.y0, h.y1], a.sidewallMm),
      ),
    ],
    checks: ['Tight everywhere, and no metal touches it'],
    cautions: [CAUTIONS.windyFilm, CAUTIONS.ladder, CAUTIONS.knife],
    minutes: main.length * MINUTES.sheet,
  });
}

/** A bar at the foot of each side that rolls up, jointed on hoops; none where the sides are fixed. */
export function rollBarsOf(a: WalkInAnswers, h: House): RollBars {
  if (a.sides !== 'roll-up') return { members: [], joints: [] };
  const out = 2 + thicknessMm(a.rollBar) / 2;
  const z = thicknessMm(a.rollBar) / 2 + 4;
  const ys = h.line.map((p) => p.y);
  const runs = [Math.min(...ys) - out, Math.max(...ys) + out].map((y, i) =>
    straightRun(`L${i + 1}`, 'Roll bar', a.rollBar, [h.x0, h.x1], [y, z], [0, 0, 1], { xs: h.xs }),
  );
  return { members: runs.flatMap((r) => r.members), joints: runs.flatMap((r) => r.joints) };
}

type RollBars = ReturnType<typeof straightRun>;

/** Curtains and roll bars hung, with the rope that holds them; nothing where the cover reaches the ground and stays. */
export function sideStages(
  a: WalkInAnswers,
  h: House,
  { members: rollBars, joints: splices }: RollBars,
  sheets: readonly SheetPart[],
): readonly Stage[] {
  const curtains = sheets.filter(isCurtain);
  const rolled = rollBars.length > 0;
  if (!rolled && curtains.length === 0) return [];
  const length = h.x1 - h.x0;
  const laced = a.lacing === 'rope';
  const rope = 2 * Math.hypot(a.sidewallMm, h.spacingMm) * h.xs.length;
  return [
    stage({
      id: 'sides',
      title: rolled ? 'Hang the roll-up sides' : 'Hang the side curtains',
      view: 'side',
      pieces: [...curtains, ...rollBars],
      work: [
        curtains.length > 0 &&
          `Fasten the curtains at the ${h.rails.length > 0 ? 'side rails' : 'hip boards'}, lapping the end hoops.`,
        ...(rolled
          ? [
              phrase`Join ${tagList(rollBars)}, turn the film a turn and a half round each bar, and clip it every ${amount(300, 'byEye')}.`,
              'Fit the cranks.',
            ]
          : ['Fasten them at the base boards.']),
        laced &&
          'Lace a rope zigzag over each side from hip to base, round a screw at every hoop: wind cannot lift it.',
      ],
      tools: ['knife'],
      joints: [
        ...(rolled
          ? [
              ...joint(
                'crank',
                'cranks',
                'One to each roll-up side',
                rollBars,
                [h.y0, h.y1].map((y): Vec3 => [h.x0, y, 100]),
              ),
              ...joint('rollClip', 'roll clips', 'Film on the roll bars', rollBars, spreadAlong(rollBars, 300), {
                count: 2 * Math.ceil(length / 300),
              }),
            ]
          : []),
        ...(laced
          ? joint(
              'lacing',
              'lacing',
              'Tied down zigzag over both sides',
              [...h.boards, ...curtains],
              pairsAt(h.xs, [h.y0, h.y1], a.sidewallMm / 2),
              { count: Math.ceil(rope / 1000) + 4, with: { screws: 2 } },
            )
          : []),
        ...splices,
      ],
      checks: [
        rolled ? `Each side rolls up level${laced ? ' under its rope' : ''}` : 'The curtains are tight all along',
      ],
      cautions: [CAUTIONS.windyFilm],
      minutes: MINUTES.start + 20,
    }),
  ];
}

/** Sides that roll up for air. */
export function sideOpenings(
  a: WalkInAnswers,
  h: House,
  rollBars: readonly Member[],
  sheets: readonly SheetPart[],
): readonly Opening[] {
  return (rollBars.length === 0 ? [] : [h.y0, h.y1]).map((y, i): Opening => ({
    name: `Roll-up side ${i + 1}`,
    by: 'roll-up',
    tags: [
      ...rollBars.filter((m) => m.tag.startsWith(`L${i + 1}`)),
      ...sheets.filter((s) => isCurtain(s) && s.tag === `S${4 + i}`),
    ].map((p) => p.tag),
    line: [
      [h.x0, y, 0],
      [h.x0, y, a.sidewallMm],
    ],
    travel: { mm: a.sidewallMm },
    shut: a.lacing === 'rope' ? ['lacing'] : [],
    open: ['cranks'],
    // Over one bed, or with no door, one kneels outside.
    reachedFrom: a.doors === 'none' || a.widthMm < NARROW_MM ? 'both sides' : 'inside',
    lift: { motion: 'rolled', extraKg: CRANK_KG, people: 1 },
  }));
}

/** Anchors at the corners and beside the base boards, last of all. */
export function anchorStage(a: WalkInAnswers, h: House): Stage {
  const count = a.anchors ?? Math.max(4, h.xs.length);
  const near = Math.ceil(count / 2);
  const places = [
    ...evenly([h.x0, h.y0, 0], [h.x1, h.y0, 0], near),
    ...evenly([h.x0, h.y1, 0], [h.x1, h.y1, 0], count - near),
  ];
  const anchors = joint('anchor', 'anchors', 'Corners and every other hoop', h.boards, places, { ask: 'anchors' });
  return stage({
    id: 'anchor',
    title: count > 0 ? 'Anchor it' : 'Bank soil against it',
    view: 'side',
    pieces: h.boards,
    work: [
      count > 0 &&
        `Screw in ${sayCount(countKind(anchors, 'anchor'), 'anchor')} at the corners and beside the base boards, and wire each to its board.`,
      'Fill soil against the base boards outside.',
    ],
    joints: anchors,
    checks: ['Nothing moves when two people push at a hip'],
    cautions: [CAUTIONS.rods, CAUTIONS.heat, CAUTIONS.loaded, CAUTIONS.snow],
    minutes: MINUTES.start,
  });
}
