import { joint, pairsAt, spreadAlong } from '../joints';
import type { Section } from '../../catalog/types';
import { type BuildSite, stock } from '../../site/buildSite';
import { type Vec3, add, distance, scale, subtract } from '../../base/geometry';
import { boardShape, thicknessMm } from '../../catalog/sections';
import { endsOf, piece } from '../assembly/pieces';
import { hoopMark, straightRun } from '../joints/runs';
import { tiePlaces } from './ties';
import type { Joint, Member } from '../assembly/types';

const BATTEN = '1x2';
const TIE = '1x4';

/** Which boards run over the others: the end boards to the hinge side, both rails, or the hinge rail alone. */
type CornerMeet = 'ends' | 'rails' | 'hinge rail';

/** What a frame is made of, and how its corners meet. */
export interface FrameChoices {
  readonly site: BuildSite;
  readonly frame: Section;
  readonly stand: 'on edge' | 'flat';
  /** Hinged along a long side; or with the end boards between two full rails. */
  readonly joint: 'hinged near' | 'hinged far' | 'between';
  /** Which boards of a hinged frame run over the others. */
  readonly meet?: CornerMeet;
  readonly crossTies: number;
  /** Battens over the cover along both rails; and over its folded ends. */
  readonly battens: boolean;
  readonly endBattens: boolean;
  /** The screw of its corners, and how many each. */
  readonly corner: { readonly screw: string; readonly each: number };
}

/** Where the frame stands and what it must leave room for, mm. */
interface FrameSite {
  readonly x0: number;
  readonly x1: number;
  /** Outside of the near rail, and the width from there. */
  readonly y0: number;
  readonly width: number;
  readonly z0: number;
  /** A rail's thickness as it stands, and its height. */
  readonly t: number;
  readonly railHeight: number;
  readonly xs: readonly number[];
  /** Thickness of the hoops' pipe. */
  readonly pipeMm: number;
  /** How far hoops stand out beyond the rails. */
  readonly outward: number;
}

export interface TimberFrame {
  readonly rails: readonly Member[];
  readonly endBoards: readonly Member[];
  readonly ties: readonly Member[];
  readonly battens: readonly Member[];
  /** Its corners, ties and spliced rails, screwed. */
  readonly joints: readonly Joint[];
  /** Screws through the battens, where there are any. */
  readonly battening: readonly Joint[];
}

/**
 * A rectangular frame with its ties and battens.
 *
 * Corner joints of a hinged frame, unless it is asked otherwise: the end boards run full length to the hinge side, so the hinge
 * rail fits between them and the frame does not rack; at the opening side the front rail runs the whole length and the end boards
 * stop against its back. Of a frame that is not hinged: both rails run the whole length and the end boards fit between them.
 */
export function buildFrame(a: FrameChoices, s: FrameSite): TimberFrame {
  const { x0, x1, y0, width, t, xs } = s;
  const y1 = y0 + width;
  const middleY = y0 + width / 2;
  const hingeNear = a.joint === 'hinged near';
  const hinged = a.joint !== 'between';
  const yOf = (side: 'back' | 'front'): number => ((side === 'back') === hingeNear ? y0 + t / 2 : y1 - t / 2);
  const z = s.z0 + s.railHeight / 2;
  const onEdge = a.stand === 'on edge';
  const up: Vec3 = [0, 0, 1];
  const rail = (tag: string, part: string, side: 'back' | 'front', inset: number) =>
    straightRun(tag, part, a.frame, [x0 + inset, x1 - inset], [yOf(side), z], onEdge ? up : [0, 1, 0], {
      xs,
      mark: hoopMark,
    });
  const meet = hinged ? (a.meet ?? 'ends') : 'rails';
  // A rail that does not run the whole length stands between the end boards, which reach its outside.
  const between = { front: meet === 'hinge rail', back: meet === 'ends' };
  const front = rail('A1', hinged ? 'Front rail' : 'Side rail', 'front', between.front ? t : 0);
  const back = rail('A2', hinged ? 'Hinge rail' : 'Side rail', 'back', between.back ? t : 0);
  const [nearBetween, farBetween] = hingeNear ? [between.back, between.front] : [between.front, between.back];
  const [endFrom, endTo] = [nearBetween ? y0 : y0 + t, farBetween ? y1 : y1 - t];
  const endBoards = [x0 + t / 2, x1 - t / 2].map((x, i) =>
    piece(`A${3 + i}`, 'End board', a.frame, [x, endFrom, z], [x, endTo, z], onEdge ? up : [1, 0, 0]),
  );

  const tie = stock(a.site, TIE);
  const batten = stock(a.site, BATTEN);
  const tieThickness = thicknessMm(tie);
  // Flush with the underside of the frame.
  const tieZ = s.z0 + boardShape(tie).widthMm / 2;
  const tieSite = {
    from: x0 + t / 2,
    to: x1 - t / 2,
    beside: xs.flatMap((x) => [-1, 1].map((k) => x + (k * (s.pipeMm + tieThickness)) / 2)),
    // Clear of an end board on edge, and of each other.
    apart: Math.max(t, tieThickness) + tieThickness,
  };
  const tieXs = tiePlaces(a.crossTies, tieSite);
  const ties = tieXs.map((x, i) => piece(`T${i + 1}`, 'Cross tie', tie, [x, y0 + t, tieZ], [x, y1 - t, tieZ], up));

  const battens = !a.battens
    ? []
    : (['front', 'back'] as const).flatMap((side, i) => {
        const out = t / 2 + thicknessMm(batten) / 2 + s.outward;
        const y = yOf(side) + (yOf(side) < middleY ? -out : out);
        return straightRun(`B${i + 1}`, 'Cover batten', batten, [x0, x1], [y, z], up, { xs }).members;
      });

  const endBattens = !a.endBattens
    ? []
    : [x0 - thicknessMm(batten) / 2, x1 + thicknessMm(batten) / 2].map((x, i) =>
        piece(`B${battens.length > 0 ? 3 + i : 1 + i}`, 'End batten', batten, [x, y0, z], [x, y1, z], up),
      );

  const corners = pairsAt([x0 + t / 2, x1 - t / 2], [y0 + t / 2, y1 - t / 2], z);
  const rails = [...front.members, ...back.members].map((m) => withTieMarks(m, ties));
  return {
    rails,
    endBoards,
    ties,
    battens: [...battens, ...endBattens],
    joints: [
      ...joint('buttScrew', 'corners', `Frame corners, ${a.corner.each} each`, [...rails, ...endBoards], corners, {
        with: a.corner,
      }),
      ...joint('buttScrew', 'cross ties', 'Cross ties, two screws an end', [...ties, ...rails], endsOf(ties)),
      ...front.joints,
      ...back.joints,
    ],
    battening: batteningOf([...battens, ...endBattens], [...rails, ...endBoards]),
  };
}

/** A batten over a sheet along a slope or a post: in equal parts, end to end, where no bar is long enough. */
export function stripOver(
  tag: string,
  part: string,
  section: Section,
  [from, to]: readonly [Vec3, Vec3],
  wide: Vec3,
): readonly Member[] {
  const longest = Math.max(...section.stock.map((bar) => bar.lengthMm)) - section.squareMm;
  const parts = Math.ceil(distance(from, to) / longest);
  const at = (i: number): Vec3 => add(from, scale(subtract(to, from), i / parts));
  return Array.from({ length: parts }, (_, i) =>
    piece(parts > 1 ? `${tag}${String.fromCharCode(97 + i)}` : tag, part, section, at(i), at(i + 1), wide),
  );
}

/** Screws along battens stand so far apart, mm. */
export const BATTEN_SCREWS_MM = 300;

/** Screws along battens, and one at each end. */
export function batteningOf(battens: readonly Member[], onto: readonly { readonly tag: string }[]): readonly Joint[] {
  const places = spreadAlong(battens, BATTEN_SCREWS_MM);
  return joint('batten', 'battens', 'Cover battens', [...battens, ...onto], places);
}

/** A rail with a mark for every tie that meets it, in tape order. */
function withTieMarks(rail: Member, ties: readonly Member[]): Member {
  const from = rail.shape.kind === 'straight' ? rail.shape.from[0] : 0;
  const marks = ties.flatMap((tie) => {
    const atMm = (tie.shape.kind === 'straight' ? tie.shape.from[0] : 0) - from;
    return atMm >= 0 && atMm <= rail.lengthMm ? [{ atMm, label: tie.tag }] : [];
  });
  return { ...rail, marks: [...rail.marks, ...marks].sort((a, b) => a.atMm - b.atMm) };
}

/** A rail with a blind hole in the middle of its top edge at every mark, for the feet of hoops. */
export function withHoles(rail: Member, od: number): Member {
  return {
    ...rail,
    holes: rail.marks
      .filter((mark) => mark.label.startsWith('H'))
      .map((mark) => ({ atMm: mark.atMm, diameterMm: od + 1 })),
  };
}
