import type { Section } from '../../../catalog/types';
import { type BuildSite, stock } from '../../../site/buildSite';
import { heightAt } from '../../../base/geometry';
import { piece } from '../../assembly/pieces';
import type { Member } from '../../assembly/types';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import type { WalkInAnswers } from './answers';
import type { House } from './frame';

const PLATE = '2x4 treated';
const STUD = '2x4';
const DOOR = '2x2';
const STUD_SPACING_MM = 900;
/** Room round the door, and under it. */
export const DOOR_PLAY_MM = 6;
const SILL_MM = 40;

interface EndFrame {
  readonly frame: readonly Member[];
  readonly door: readonly Member[];
}

/**
 * One framed end just inside its hoop: bottom plates, studs that run up beside the hoop, and where there is a door its
 * jambs and header, with the door itself between them.
 */
export function endFrame(a: WalkInAnswers, h: House, site: BuildSite, left: boolean, door: boolean): Result<EndFrame> {
  const [plateKey, studKey, doorKey] = [PLATE, STUD, DOOR].map((key) => stock(site, key)) as [
    Section,
    Section,
    Section,
  ];
  const letter = left ? 'E' : 'F';
  const r = thicknessMm(a.pipe) / 2;
  const plate = boardShape(plateKey);
  const t = plate.thicknessMm;
  const hoopX = (left ? h.xs[0] : h.xs[h.xs.length - 1]) ?? h.x0;
  const x = hoopX + (left ? 1 : -1) * (r + plate.widthMm / 2);
  const middle = (h.y0 + h.y1) / 2;
  const [ya, yb] = [middle - a.doorWidthMm / 2 - DOOR_PLAY_MM - t, middle + a.doorWidthMm / 2 + DOOR_PLAY_MM + t];
  // Studs end beside the hoop, at the height of its centre line; one that a purlin crosses stands under that.
  const top = (y: number): number => heightAt(h.centre, y);
  const topOf = (y: number): number =>
    Math.min(
      top(y - t / 2),
      top(y + t / 2),
      ...h.purlinsAt.filter((p) => Math.abs(p.y - y) < t / 2 + p.r).map((p) => p.z - p.r),
    );
  const inner = h.postInMm + 4;
  const stud = (tag: string, part: string, y: number, from: number): Member =>
    // What stands on the ground is treated.
    piece(tag, part, from === h.endsOnMm ? plateKey : studKey, [x, y, from], [x, y, topOf(y)], [1, 0, 0], {
      ends: ['square', 'curve'],
    });
  const bottom = (tag: string, from: number, to: number): Member =>
    piece(tag, 'Bottom plate', plateKey, [x, from, h.endsOnMm + t / 2], [x, to, h.endsOnMm + t / 2], [1, 0, 0]);

  if (!door) {
    const bays = Math.max(2, Math.ceil((h.y1 - h.y0) / STUD_SPACING_MM));
    const ys = Array.from({ length: bays - 1 }, (_, i) => h.y0 + ((h.y1 - h.y0) * (i + 1)) / bays);
    return ok({
      frame: [
        bottom(`${letter}1`, h.y0 + inner, h.y1 - inner),
        ...ys.map((y, i) => stud(`${letter}${i + 2}`, 'End stud', y, h.endsOnMm + t)),
      ],
      door: [],
    });
  }
  const headerZ = SILL_MM + a.doorHeightMm + DOOR_PLAY_MM + t / 2;
  if (headerZ + t / 2 + 60 > Math.min(top(ya), top(yb)))
    return fail(
      'doorHeightMm',
      'The door does not fit under the end hoop: make it lower or narrower, or the house higher.',
    );
  const sideStuds = [ya - t / 2, yb + t / 2].flatMap((edge, k) => {
    const [from, to] = k === 0 ? [h.y0, edge] : [edge, h.y1];
    return to - from > STUD_SPACING_MM ? [(from + to) / 2] : [];
  });
  const frame = [
    bottom(`${letter}1`, h.y0 + inner, ya),
    bottom(`${letter}2`, yb, h.y1 - inner),
    stud(`${letter}3`, 'Door jamb', ya + t / 2, 0),
    stud(`${letter}4`, 'Door jamb', yb - t / 2, 0),
    piece(`${letter}5`, 'Door header', studKey, [x, ya + t, headerZ], [x, yb - t, headerZ], [1, 0, 0]),
    ...sideStuds.map((y, i) => stud(`${letter}${i + 6}`, 'End stud', y, t)),
  ];
  const d = boardShape(doorKey).widthMm;
  const [da, db] = [middle - a.doorWidthMm / 2, middle + a.doorWidthMm / 2];
  const stile = (tag: string, y: number): Member =>
    piece(tag, 'Door stile', doorKey, [x, y, SILL_MM], [x, y, SILL_MM + a.doorHeightMm], [1, 0, 0]);
  const rail = (tag: string, z: number): Member =>
    piece(tag, 'Door rail', doorKey, [x, da + d, z], [x, db - d, z], [1, 0, 0]);
  const n = left ? 'G' : 'H0';
  return ok({
    frame,
    door: [
      stile(`${n}1`, da + d / 2),
      stile(`${n}2`, db - d / 2),
      rail(`${n}3`, SILL_MM + d / 2),
      rail(`${n}4`, SILL_MM + a.doorHeightMm / 2),
      rail(`${n}5`, SILL_MM + a.doorHeightMm - d / 2),
    ],
  });
}
