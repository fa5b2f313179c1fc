import { bit } from '../../../catalog/handTools';
import { amount, phrase } from '../../../base/figure';
import { type Vec3, pathLength } from '../../../base/geometry';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import type { Section } from '../../../catalog/types';
import type { Panel, SheetPart, Stage } from '../../assembly/types';
import type { Stages } from '../../guide/built';
import { MINUTES, countKind, sayCount, stage, tagList } from '../../guide/stage';
import { joint, pairsAt } from '../../joints';
import { CAUTIONS } from '../../joints/cautions';
import { hoopMark, straightRun } from '../../joints/runs';
import { firmEndStages, framedCoverStage } from '../../parts/framedHoops';
import { clipPlaces } from '../../parts/framedSheet';
import { type SetDown, frameStage, markRailsStage, setStage } from '../../parts/frameStages';
import { type HoopFrame, alongRails } from '../../parts/hoopFrame';
import { endsOfRow } from '../../parts/hoops';
import { type BentConduitAnswers, bendRadiusMm } from './answers';

/** The frame in building order, but for setting it down: cut, bend, mark and drill, frame, hoops, furring, ends, cover. */
export function bentStages(
  a: BentConduitAnswers,
  f: HoopFrame,
  p: { readonly panels: readonly Panel[]; readonly sheets: readonly SheetPart[]; readonly furring: readonly Stage[] },
): Stages {
  const { frame, hoops } = f;
  const od = thicknessMm(a.pipe);
  const legs = pairsAt(f.xs, [f.footY, f.footY + f.hoop.spanMm], f.railTop);
  const endHoops = endsOfRow(hoops);
  const each = Math.ceil(pathLength(f.line) / 450);
  const ends = {
    plywood: 'Fold the film over both plywood edges and fasten it on their outer faces.',
    folded: 'Fold both ends down like a parcel and clip them to the end hoops.',
    flap: 'Hang a flap at each end and tuck it under.',
  };
  return [
    'cut',
    bendStage(a, f),
    markRailsStage(
      frame,
      hoops,
      `Lay ${tagList(frame.rails)} side by side on edge, ends flush.`,
      phrase`Drill a blind hole in the middle of the top edge at each mark, ${amount(od + 1, 'length')} wide and ${amount(a.legDepthMm, 'length')} deep: tape on the bit shows the depth.`,
      'spade bit',
    ),
    frameStage(frame, [
      phrase`On flat ground, set the end boards between the rails, flush outside. Drill ${bit('screw')} pilots, then screw each corner.`,
    ]),
    stage({
      id: 'stand',
      title: 'Stand the hoops in their holes',
      view: 'end',
      pieces: hoops,
      work: [
        'Press both legs of each hoop into their holes, down to the bottom.',
        'Drive one self-drilling screw through the inner face of the rail into each leg.',
      ],
      tools: ['mallet'],
      joints: joint('tekScrew', 'legs', 'Through the rail into each leg', [...hoops, ...frame.rails], legs),
      checks: ['Every crown at one height along a string', 'Hoops upright by the level'],
      minutes: hoops.length * MINUTES.place * 2,
    }),
    ...p.furring,
    ...firmEndStages(f, p.panels, { edge: a.edge, louvres: false }, { kind: 'uStrap', eachEnd: 5 }, [
      'Screw each end to its end board and strap the end hoop to it, five straps.',
    ]),
    framedCoverStage(f, p.sheets, a, {
      ends: [ends[a.ends]],
      staples: 0,
      joints:
        a.ends === 'folded' && a.fixing !== 'clips'
          ? joint(
              'clip',
              'end clips',
              'Folded ends to the end hoops',
              [...p.sheets, ...endHoops],
              clipPlaces(endHoops, each),
            )
          : [],
    }),
  ];
}

/** Each conduit bent to its three marks. */
function bendStage(a: BentConduitAnswers, f: HoopFrame): Stage {
  const [shoulder, crown] = f.bends;
  return stage({
    id: 'bend',
    title: 'Bend the conduit',
    view: 'end',
    pieces: f.hoops,
    work: [
      'Mark each pipe from its left end as drawn: where every bend starts, and where it ends.',
      phrase`Set the bender so that the bend starts on its mark: the crown turns ${amount(crown?.angleDeg ?? 0, 'angle')}, each shoulder ${amount(shoulder?.angleDeg ?? 0, 'angle')}, on a centre line of ${amount(bendRadiusMm(a.pipe), 'length')}.`,
      phrase`A bend is shorter than its corner: the crown gains ${amount(crown?.gainMm ?? 0, 'length')} and each shoulder ${amount(shoulder?.gainMm ?? 0, 'length')}; the marks have counted it.`,
      'Bend the crown first, then both shoulders, all in one plane: sight along the pipe before each.',
    ],
    tools: ['conduit bender', 'tape', 'marker', 'eye protection'],
    checks: [
      'Every hoop lies on the first without a gap',
      phrase`Its legs stand ${amount(f.hoop.spanMm, 'length')} apart, centre to centre`,
    ],
    cautions: [CAUTIONS.bend],
    minutes: MINUTES.start + f.hoops.length * 15,
  });
}

/** Strips along the hoops, under the crown and inside both shoulders: they keep the hoops apart and carry the film. */
export function furringStages(a: BentConduitAnswers, f: HoopFrame, strip: Section): readonly Stage[] {
  if (a.ridge === 'none') return [];
  const od = thicknessMm(a.pipe);
  const { thicknessMm: t, widthMm: w } = boardShape(strip);
  const [first, last] = [f.xs[0] ?? f.x0, f.xs[f.xs.length - 1] ?? f.x1];
  const crownZ = f.footZ + f.hoop.heightMm - od / 2 - t / 2;
  const shoulderZ = f.footZ + a.shoulderMm * 0.6;
  const inset = od / 2 + t / 2;
  const sides = a.shoulderMm * 0.6 > w ? [f.footY + inset, f.footY + f.hoop.spanMm - inset] : [];
  const places = [
    { part: 'Furring ridge', y: f.footY + f.hoop.spanMm / 2, z: crownZ, wide: [0, 1, 0] as const },
    ...sides.map((y) => ({ part: 'Side strip', y, z: shoulderZ, wide: [0, 0, 1] as const })),
  ];
  const runs = places.map((p, i) =>
    straightRun(`R${i + 1}`, p.part, strip, [first - od / 2, last + od / 2], [p.y, p.z], p.wide, {
      xs: f.xs,
      mark: hoopMark,
    }),
  );
  const strips = runs.flatMap((r) => r.members);
  const crossings = places.flatMap((p) => f.xs.map((x): Vec3 => [x, p.y, p.z]));
  return [
    stage({
      id: 'furring',
      title: 'Fix the furring',
      view: 'side',
      pieces: strips,
      work: [
        `Mark ${tagList(strips)} from the tape end as drawn and hold them under the crowns and inside the legs.`,
        'One self-drilling screw through each hoop into the strip, from outside; file the heads smooth.',
      ],
      tools: ['file'],
      joints: [
        ...joint('tekScrew', 'furring', 'Furring to every hoop', [...strips, ...f.hoops], crossings),
        ...runs.flatMap((r) => r.joints),
      ],
      checks: ['Hoops stand at their marks at the crown as at the rail'],
      minutes: MINUTES.start + strips.length * 7,
    }),
  ];
}

/** Set down and screwed to the bed for the season. */
export function bracketedStage(a: BentConduitAnswers, f: HoopFrame, set: SetDown): Stage {
  const anchors = a.anchors ?? 2 * Math.max(2, Math.ceil(f.lengthMm / 1200));
  const brackets = joint('bracket', 'anchors', 'Frame to the bed wall', f.frame.rails, alongRails(f, anchors), {
    ask: 'anchors',
  });
  return setStage(
    'Set it on the bed and fix it down',
    set,
    [
      'Two people: set the frame on the bed, flush all round.',
      ...(countKind(brackets, 'bracket') > 0
        ? [`Screw ${sayCount(countKind(brackets, 'bracket'), 'bracket')} between the rails and the wall.`]
        : []),
    ],
    brackets,
    { cautions: [CAUTIONS.snow] },
  );
}
