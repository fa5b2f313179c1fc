/** What is done to beds, covers and landmarks alike, and what is put on the plot. */
import type { Draft } from 'immer';
import { freshName } from '../base/ids';
import { MM_PER_INCH, isMetric } from '../base/length';
import type { Result } from '../base/result';
import { roundLength } from '../catalog/market';
import type { Garden } from '../garden/garden';
import {
  withCopiedBed,
  withCopiedCover,
  withCopiedLandmark,
  withMoved,
  withNextYear,
  withoutBed,
} from '../garden/order';
import { type Bed, type MeasureId, squareBed } from '../site/bed';
import { type Brief, NOTHING_SAID } from '../site/brief';
import { LANDMARKS, type Landmark, type LandmarkKind } from '../site/landmark';
import { MEASURES, withMeasure } from '../site/measures';
import { freeSpot } from '../site/plotting';
import type { PlanPoint } from '../site/survey';
import { type Change, LISTS, type ThingKind, change, changeThing, withThing } from './change';

const lists = (part: Partial<Garden>) => (g: Draft<Garden>) => void Object.assign(g, part);

/** Gives a thing another name. */
export const rename = (garden: Garden, kind: ThingKind, id: string, name: string): Result<Change> =>
  changeThing(
    garden,
    kind,
    id,
    (was) => `Rename ${was}`,
    (thing) => void (thing.name = name.trim()),
  );

/** Puts a thing where it was moved or turned to on the plot; a landmark as large as it was drawn. */
export function layOnPlot(garden: Garden, how: string, thing: Bed | Landmark): Result<Change> {
  const where = { at: { ...thing.at }, bearingDeg: thing.bearingDeg };
  const label = (name: string): string => `${how} ${name}`;
  if ('outside' in thing) return changeThing(garden, 'bed', thing.id, label, (bed) => void Object.assign(bed, where));
  const { lengthMm, widthMm } = thing;
  return changeThing(garden, 'landmark', thing.id, label, (l) => void Object.assign(l, where, { lengthMm, widthMm }));
}

const rest = <T extends { readonly id: string }>(list: readonly T[], id: string): T[] =>
  list.filter((x) => x.id !== id);

/** Takes a thing away; a bed with the covers on it. */
export const removeThing = (garden: Garden, kind: ThingKind, id: string): Result<Change> =>
  withThing(garden, kind, id, (name) =>
    change(
      garden,
      `Take ${name} away`,
      lists(
        kind === 'bed'
          ? withoutBed(garden, id)
          : { [LISTS[kind]]: rest<{ readonly id: string }>(garden[LISTS[kind]], id) },
      ),
    ),
  );

/** Moves a bed or a cover one place up or down in its list; a cover among those of its bed. */
export function moveInList(garden: Garden, kind: 'bed' | 'cover', id: string, by: -1 | 1): Result<Change> {
  const cover = garden.covers.find((c) => c.id === id);
  const moved =
    kind === 'bed'
      ? { beds: withMoved(garden.beds, id, by) }
      : { covers: withMoved(garden.covers, id, by, (c) => c.bedId === cover?.bedId) };
  return withThing(garden, kind, id, (name) => change(garden, `Move ${name} ${by < 0 ? 'up' : 'down'}`, lists(moved)));
}

/** The size of a bed before anything of it is measured, and the least that is drawn by hand, mm. */
const FIRST_BED = { metric: [2400, 1200], imperial: [96 * MM_PER_INCH, 48 * MM_PER_INCH] } as const;
const LEAST_BED_MM = 12 * MM_PER_INCH;

/**
 * Adds a bed with the walls of the last one; where and as large as it is drawn, or to the right of everything.
 * @param drawn its near left corner and size, mm
 */
export function addBed(
  garden: Garden,
  id: string,
  drawn?: { readonly at: PlanPoint; readonly lengthMm: number; readonly widthMm: number },
): Result<Change> {
  const metric = isMetric(garden.units.length);
  const last = garden.beds[garden.beds.length - 1];
  const wall =
    last?.wall ??
    (metric ? { heightMm: 300, thicknessMm: 38 } : { heightMm: 11 * MM_PER_INCH, thicknessMm: 1.5 * MM_PER_INCH });
  // As a builder would make it: whole inches, or two centimetres.
  const step = metric ? 20 : MM_PER_INCH;
  const round = (mm: number): number => Math.max(LEAST_BED_MM, Math.round(mm / step) * step);
  const [length, width] = drawn
    ? [round(drawn.lengthMm), round(drawn.widthMm)]
    : FIRST_BED[metric ? 'metric' : 'imperial'];
  const at = drawn
    ? { xMm: Math.round(drawn.at.x), yMm: Math.round(drawn.at.y) }
    : freeSpot([...garden.beds, ...garden.landmarks], garden.plot.pathMm);
  const name = freshName(
    'New bed',
    garden.beds.map((b) => b.name),
  );
  const soilMm = last?.soilBelowRimMm ?? (metric ? 50 : 2 * MM_PER_INCH);
  const bed = {
    ...squareBed(id, name, length, width, wall, at, soilMm),
    bearingDeg: drawn ? (garden.plot.upDeg + 90) % 360 : 90,
  };
  return change(garden, 'Add a bed', (g) => void g.beds.push(bed));
}

/** Takes one measure of a bed, mm; what was not measured follows from what was. */
export function takeMeasure(garden: Garden, bedId: string, id: MeasureId, mm: number): Result<Change> {
  const label = MEASURES.find((m) => m.id === id)?.label ?? id;
  const bed = garden.beds.find((b) => b.id === bedId);
  return changeThing(
    garden,
    'bed',
    bedId,
    () => `Measure ${label.toLowerCase()}`,
    (draft) => void (bed && Object.assign(draft, withMeasure(bed, id, mm))),
  );
}

/** Puts in what is said of a bed beside its measures. @param what was said, as the screen calls it */
export const measureBed = (garden: Garden, bed: Bed, what: string): Result<Change> =>
  changeThing(
    garden,
    'bed',
    bed.id,
    () => `Measure ${what.toLowerCase()}`,
    (b) => void Object.assign(b, bed),
  );

/** Says more of what the next cover of a bed is wanted for. */
export const setBrief = (garden: Garden, bedId: string, label: string, part: Partial<Brief>): Result<Change> =>
  changeThing(
    garden,
    'bed',
    bedId,
    () => label,
    (bed) => void (bed.brief = { ...(bed.brief ?? NOTHING_SAID), ...part } as Draft<Brief>),
  );

/** Adds a landmark of its kind's first size, to the right of everything. */
export function addLandmark(garden: Garden, kind: LandmarkKind, id: string): Result<Change> {
  const { name, first } = LANDMARKS[kind];
  const { stock } = garden.units;
  const at = freeSpot([...garden.beds, ...garden.landmarks], garden.plot.pathMm);
  return change(
    garden,
    `Add a ${name.toLowerCase()}`,
    (g) =>
      void g.landmarks.push({
        id,
        name: freshName(
          name,
          garden.landmarks.map((l) => l.name),
        ),
        kind,
        at: { xMm: Math.round(at.xMm), yMm: Math.round(at.yMm) },
        bearingDeg: 90,
        lengthMm: roundLength(first.lengthMm, stock),
        widthMm: roundLength(first.widthMm, stock),
        heightMm: roundLength(first.heightMm, stock),
      }),
  );
}

/** Sets a size of a landmark, mm; a round one is as wide as it is long. */
export const measureLandmark = (
  garden: Garden,
  id: string,
  side: 'lengthMm' | 'widthMm' | 'heightMm',
  mm: number,
): Result<Change> =>
  changeThing(
    garden,
    'landmark',
    id,
    (name) => `Measure ${name}`,
    (l) => {
      l[side] = mm;
      if (LANDMARKS[l.kind].round && side === 'lengthMm') l.widthMm = mm;
    },
  );

/** The same bed once more. @param coverIds gives ids for copies of its covers; none where only the bed is copied */
export const copyBed = (garden: Garden, id: string, copyId: string, coverIds?: () => string): Result<Change> =>
  withThing(garden, 'bed', id, (name) =>
    change(garden, `Duplicate ${name}`, lists(withCopiedBed(garden, id, copyId, coverIds))),
  );

/** The same design once more on its bed. */
export const copyCover = (garden: Garden, id: string, copyId: string): Result<Change> =>
  withThing(garden, 'cover', id, (name) =>
    change(garden, `Duplicate ${name}`, lists(withCopiedCover(garden, id, copyId))),
  );

/** The same design once more, to be changed for next year. */
export const copyForNextYear = (garden: Garden, id: string, copyId: string): Result<Change> =>
  withThing(garden, 'cover', id, (name) =>
    change(garden, `${name} for next year`, lists(withNextYear(garden, id, copyId))),
  );

/** The same landmark once more. */
export const copyLandmark = (garden: Garden, id: string, copyId: string): Result<Change> =>
  withThing(garden, 'landmark', id, (name) =>
    change(garden, `Duplicate ${name}`, lists(withCopiedLandmark(garden, id, copyId))),
  );
