/** What is done to beds, covers and landmarks on the plot, each one step that can be undone. */
import type { Draft } from 'immer';
import { useMemo } from 'react';
import { freshName } from '../../../core/base/ids';
import { MM_PER_INCH, isMetric } from '../../../core/base/length';
import { roundLength } from '../../../core/catalog/market';
import type { Cover, CoverState, Garden } from '../../../core/garden/garden';
import { withCopiedBed, withCopiedCover, withCopiedLandmark, withMoved, withoutBed } from '../../../core/garden/order';
import { movedCover } from '../../../core/moved';
import { type Bed, squareBed } from '../../../core/site/bed';
import { LANDMARKS, type LandmarkKind } from '../../../core/site/landmark';
import { freeSpot } from '../../../core/site/plotting';
import type { PlanPoint } from '../../../core/site/survey';
import { useAppDispatch, useEdit, useGarden } from '../../app/hooks';
import { newId } from '../../app/names';
import { noticeShown } from '../../app/state';
import type { Laying, Thing } from './useLying';

/** A list's entry by its id, to be changed. */
function found<T extends { readonly id: string }>(list: T[], id: string, change: (entry: T) => void): void {
  const entry = list.find((x) => x.id === id);
  if (entry) change(entry);
}

export type PlotItemKind = 'bed' | 'cover' | 'landmark';
const LIST = { bed: 'beds', cover: 'covers', landmark: 'landmarks' } as const;

/** Deeds on the open garden. */
export function usePlotDeeds() {
  const garden = useGarden();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  return useMemo(() => deedsOf(garden, edit, (words) => dispatch(noticeShown(words))), [garden, edit, dispatch]);
}
export type Deeds = ReturnType<typeof usePlotDeeds>;

/** What can be done to a garden, by the way that edits are made. */
export function deedsOf(garden: Garden, edit: ReturnType<typeof useEdit>, say: (words: string) => void) {
  const set = (lists: Partial<Garden>) => (g: Draft<Garden>) => void Object.assign(g, lists);
  const nameOf = (kind: PlotItemKind, id: string): string =>
    (garden[LIST[kind]] as readonly { id: string; name: string }[]).find((x) => x.id === id)?.name ?? '';
  /** A change to one thing, whatever it is. */
  const change = (kind: PlotItemKind, id: string, label: string, recipe: (thing: { name: string }) => void) =>
    edit(label, (g) => found(g[LIST[kind]] as Draft<{ id: string; name: string }>[], id, recipe));
  return {
    rename: (kind: PlotItemKind, id: string, name: string) =>
      change(kind, id, `Rename ${nameOf(kind, id)}`, (thing) => void (thing.name = name.trim())),

    /** Lays a bed or a landmark where it was moved or turned to; a landmark as large as it was drawn. */
    lay: (how: Laying, thing: Thing) =>
      edit(`${how} ${thing.name}`, (g) =>
        found(('outside' in thing ? g.beds : g.landmarks) as Draft<Thing>[], thing.id, (t) => {
          t.at = { ...thing.at };
          t.bearingDeg = thing.bearingDeg;
          if ('outside' in thing || 'outside' in t) return;
          t.lengthMm = thing.lengthMm;
          t.widthMm = thing.widthMm;
        }),
      ),

    /** A new bed, of the walls of the last one; where it is drawn, or to the right of everything. */
    addBed: (drawn?: { readonly at: PlanPoint; readonly lengthMm: number; readonly widthMm: number }): string => {
      const { length } = garden.units;
      const last = garden.beds[garden.beds.length - 1];
      const metric = isMetric(length);
      const wall =
        last?.wall ??
        (metric ? { heightMm: 300, thicknessMm: 38 } : { heightMm: 11 * MM_PER_INCH, thicknessMm: 1.5 * MM_PER_INCH });
      const first = metric ? [2400, 1200] : [96 * MM_PER_INCH, 48 * MM_PER_INCH];
      // As a builder would make it: whole inches, or two centimetres.
      const step = metric ? 20 : MM_PER_INCH;
      const round = (mm: number): number => Math.max(12 * MM_PER_INCH, Math.round(mm / step) * step);
      const [l, w] = drawn ? [round(drawn.lengthMm), round(drawn.widthMm)] : first;
      const at = drawn
        ? { xMm: Math.round(drawn.at.x), yMm: Math.round(drawn.at.y) }
        : freeSpot([...garden.beds, ...garden.landmarks], garden.plot.pathMm);
      const name = freshName(
        'New bed',
        garden.beds.map((b) => b.name),
      );
      const soilMm = last?.soilBelowRimMm ?? (metric ? 50 : 2 * MM_PER_INCH);
      const square = squareBed(newId(), name, l ?? 0, w ?? 0, wall, at, soilMm);
      const bed: Bed = { ...square, bearingDeg: drawn ? (garden.plot.upDeg + 90) % 360 : 90 };
      const faults = edit('Add a bed', (g) => void g.beds.push(bed));
      if (faults[0]) say(faults[0].message);
      return faults.length > 0 ? '' : bed.id;
    },

    addLandmark: (kind: LandmarkKind): string => {
      const { name, first } = LANDMARKS[kind];
      const { stock } = garden.units;
      const at = freeSpot([...garden.beds, ...garden.landmarks], garden.plot.pathMm);
      const id = newId();
      const faults = edit(
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
      return faults.length > 0 ? '' : id;
    },

    copyBed: (id: string, withCovers: boolean): string => {
      const copy = newId();
      const lists = withCopiedBed(garden, id, copy, withCovers ? () => newId() : undefined);
      edit(`Duplicate ${nameOf('bed', id)}`, set(lists));
      return copy;
    },
    copyCover: (id: string): string => {
      const copy = newId();
      edit(`Duplicate ${nameOf('cover', id)}`, set(withCopiedCover(garden, id, copy)));
      return copy;
    },
    copyLandmark: (id: string): string => {
      const copy = newId();
      const { landmarks } = withCopiedLandmark(garden, id, copy);
      edit(`Duplicate ${nameOf('landmark', id)}`, (g) => {
        g.landmarks = [...landmarks];
      });
      return copy;
    },

    takeAway: (kind: PlotItemKind, id: string): void => {
      const name = nameOf(kind, id);
      const covers = kind === 'bed' ? garden.covers.filter((c) => c.bedId === id).length : 0;
      const lists =
        kind === 'bed'
          ? withoutBed(garden, id)
          : kind === 'cover'
            ? { covers: garden.covers.filter((c) => c.id !== id) }
            : { landmarks: garden.landmarks.filter((l) => l.id !== id) };
      edit(`Take ${name} away`, set(lists));
      const also = covers === 0 ? '' : ` with ${covers === 1 ? 'its cover' : `its ${covers} covers`}`;
      say(`${name} is taken away${also}. Undo brings it back.`);
    },

    /** One place up or down in its list. */
    order: (kind: PlotItemKind, id: string, by: -1 | 1): void => {
      const cover = garden.covers.find((c) => c.id === id);
      const lists =
        kind === 'bed'
          ? { beds: withMoved(garden.beds, id, by) }
          : { covers: withMoved(garden.covers, id, by, (c) => c.bedId === cover?.bedId) };
      edit(`Move ${nameOf(kind, id)} ${by < 0 ? 'up' : 'down'}`, set(lists));
    },

    setState: (id: string, state: CoverState) =>
      edit(`Mark ${nameOf('cover', id)}`, (g) => found(g.covers, id, (c) => void (c.state = state))),

    /** A cover to another bed; what could not follow is said. */
    moveCover: (cover: Cover, bedId: string): void => {
      const moved = movedCover(garden, cover, bedId);
      const bed = nameOf('bed', bedId);
      if (!moved.ok) return say(`It cannot stand on ${bed}: ${moved.faults[0]?.message ?? 'it does not fit'}`);
      const { changed } = moved.value;
      const covers = garden.covers.map((c) => (c.id === cover.id ? moved.value.cover : c));
      const faults = edit(`Move ${cover.name} to ${bed}`, set({ covers }));
      say(
        faults[0]?.message ??
          (changed.length === 0
            ? `${cover.name} is on ${bed} now, all as it was.`
            : `${cover.name} is on ${bed} now. To fit, these were changed: ${changed.join(', ').toLowerCase()}.`),
      );
    },
  };
}
