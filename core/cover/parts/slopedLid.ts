/** Lids on a slope: their frames, glazing and what they are judged by. */
import { stiffSheet } from '../../catalog/catalog';
import type { Vec3 } from '../../base/geometry';
import { capital } from '../../base/figure';
import { boardShape } from '../../catalog/sections';
import { MM_PER_INCH } from '../../base/length';
import { piece, rectangle } from '../assembly/pieces';
import type { Member, Panel, SheetPart } from '../assembly/types';
import type { Opening } from '../assembly/openings';
import { type Glazing, LAP_MM, panesAndBars } from './glazing';
import { type LidJoints, lidJoints } from './lidJoints';
import type { LidSite, LidWords } from './lidSite';

const LIDS: LidWords = {
  one: 'lid',
  many: 'lids',
  upper: 'back',
  lower: 'front',
  hang: 'Lids to the back',
  shut: 'Lids to the front',
  pane: 'G',
};

export interface Lids {
  readonly glazing: Glazing;
  readonly called: LidWords;
  readonly members: readonly Member[];
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
  readonly joints: LidJoints;
  readonly openings: readonly Opening[];
  readonly pitchDeg: number;
  /** From the back edge down the slope to the front edge, overhang included. */
  readonly reachMm: number;
  readonly areaM2: number;
}

/** Between neighbouring lids, mm: wood swells, and each must swing by itself. */
export const PLAY_MM = 4;

/** Builds the lids: frames lying flat on the slope with their glazing, or windows as they are. */
export function slopedLids(s: LidSite): Lids {
  const called = s.called ?? LIDS;
  const One = capital(called.one);
  const dy = s.front.y - s.back.y;
  const dz = s.front.z - s.back.z;
  const onBox = Math.hypot(dy, dz);
  const reach = onBox + s.overhangMm;
  const down: Vec3 = [0, dy / onBox, dz / onBox];
  const up: Vec3 = [0, -down[1], -down[2]];
  const normal: Vec3 = [0, down[2], -down[1]];
  const at = (x: number, r: number, off: number): Vec3 => [
    x,
    s.back.y + down[1] * r + normal[1] * off,
    s.back.z + down[2] * r + normal[2] * off,
  ];
  const pitchDeg = (Math.atan2(-dz, Math.abs(dy)) * 180) / Math.PI;
  // Loose ones lie side by side.
  const play = s.hinged ? PLAY_MM : 0;
  const each = (s.x1 - s.x0 - (s.lids - 1) * play) / s.lids;
  const framed = s.glazing !== 'old-window';
  const { thicknessMm: t, widthMm: w } = boardShape(s.frame);
  const { panes, bars } = framed ? panesAndBars(s, each, w) : { panes: 1, bars: 0 };
  const lidXs = Array.from({ length: s.lids }, (_, i) => s.x0 + i * (each + play));
  /** Middles of the stiles and bars of a lid, from its left edge. */
  const barXs = (xa: number): readonly number[] =>
    Array.from({ length: bars + 2 }, (_, k) => xa + w / 2 + ((each - w) * k) / (bars + 1));
  const members: Member[] = [];
  const panels: Panel[] = [];
  const sheets: SheetPart[] = [];
  const openings: Opening[] = [];
  // Loose lids are framed as they are; only of hung ones the bars are asked for.
  const asked = s.hinged
    ? { id: 'bars', now: bars, words: ['bar in each lid', 'bars in each lid'] as const }
    : undefined;
  const stiles: Member[] = [];
  let panelCount = 0;

  for (const [i, xa] of lidXs.entries()) {
    const xb = xa + each;
    const bx = barXs(xa);
    const letter = s.lids === 1 ? 'K' : `K${i + 1}`;
    const mine: Member[] = [];
    const myPanels: Panel[] = [];
    if (framed) {
      const rail = (tag: string, part: string, r: number): Member =>
        piece(tag, part, s.frame, at(xa, r, t / 2), at(xb, r, t / 2), down);
      mine.push(
        rail(`${letter}a`, `${One} rail, ${called.upper}`, w / 2),
        rail(`${letter}b`, `${One} rail, ${called.lower}`, reach - w / 2),
      );
      bx.forEach((x, k) => {
        const stile = k === 0 || k === bars + 1;
        mine.push({
          ...piece(
            `${letter}${String.fromCharCode(99 + k)}`,
            stile ? `${One} stile` : `${One} bar`,
            s.frame,
            at(x, w, t / 2),
            at(x, reach - w, t / 2),
            [1, 0, 0],
          ),
          ...(asked && { asked }),
        });
      });
      stiles.push(...mine.slice(2));
      // Marks for the stiles and bars, along both rails in tape order.
      for (const k of [0, 1]) {
        const m = mine[k];
        if (m)
          mine[k] = { ...m, marks: bx.slice(1, -1).map((x, j) => ({ atMm: x - xa, label: mine[j + 3]?.tag ?? '' })) };
      }
    }
    const top = framed ? t : 0;
    if (s.glazing === 'film-both') {
      const corners = (off: number): readonly Vec3[] => [
        at(xa, 0, off),
        at(xb, 0, off),
        at(xb, reach, off),
        at(xa, reach, off),
      ];
      for (const [k, off] of [t, 0].entries())
        sheets.push({
          tag: `F${2 * i + k + 1}`,
          part: `Film ${k === 0 ? 'over' : 'under'} the ${called.one}`,
          cover: s.cover,
          rollKey: s.roll,
          across: [
            { what: 'Down the slope', mm: reach },
            { what: 'Wrapped round the frame, both edges', mm: 2 * 3 * MM_PER_INCH },
          ],
          along: [
            { what: `Along the ${called.one}`, mm: each },
            { what: 'Wrapped round the frame, both edges', mm: 2 * 3 * MM_PER_INCH },
          ],
          faces: [corners(off)],
        });
    } else {
      // Joints lie on the middle of a bar; corrugated sheets lap over it by one wave.
      const lap = s.glazing === 'corrugated' ? LAP_MM / 2 : 0;
      const edge = (k: number): number =>
        k === 0 ? xa : k === panes ? xb : framed ? (bx[(k * (bars + 1)) / panes] ?? xa) : xa + (each * k) / panes;
      for (let k = 0; k < panes; k++) {
        const from = edge(k) - (k > 0 ? lap : 0);
        const to = edge(k + 1) + (k < panes - 1 ? lap : 0);
        myPanels.push(
          rectangle(
            `${called.pane}${++panelCount}`,
            s.glazing === 'old-window' ? 'Old window' : 'Glazing',
            stiffSheet(s.site.catalog, s.glazing),
            at(from, reach, top),
            [1, 0, 0],
            up,
            [to - from, reach],
            s.glazing === 'old-window' ? undefined : 'v',
          ),
        );
      }
    }
    members.push(...mine);
    panels.push(...myPanels);
    const skins = sheets.filter((x) => [`F${2 * i + 1}`, `F${2 * i + 2}`].includes(x.tag));
    openings.push({
      name: s.lids === 1 ? One : `${One} ${i + 1}`,
      by: s.hinged ? 'lid' : 'lift-off',
      tags: [...mine, ...skins, ...myPanels].map((p) => p.tag),
      line: [at(xa, 0, 0), at(xb, 0, 0)],
      travel: { deg: s.hinged ? 60 : 0 },
      shut: s.hinged ? [...(s.latches > 0 ? [`latches ${i + 1}`] : []), ...(s.opener ? [`openers ${i + 1}`] : [])] : [],
      open: s.hinged ? [...(s.stays > 0 ? [`stays ${i + 1}`] : []), ...(s.opener ? [`openers ${i + 1}`] : [])] : [],
      reachedFrom: 'near',
      ...(s.screened && { screened: true }),
      lift: {
        motion: s.hinged ? 'hinged' : 'carried',
        extraKg: 0,
        people: s.people,
        ...(s.hinged && {
          hung: {
            alongMm: each,
            reachMm: reach,
            pitchDeg,
            opener: s.opener && {
              ...s.opener,
              liftsKg: s.opener.liftsKg * s.openers,
              holdsN: s.opener.holdsN * s.openers,
            },
          },
        }),
      },
    });
  }

  const joints = lidJoints(s, {
    called,
    at,
    each,
    reach,
    onBox,
    xs: lidXs,
    barXs,
    members,
    stiles,
    panels,
    sheets,
    openings,
  });
  return {
    glazing: s.glazing,
    called,
    members,
    panels,
    sheets,
    joints,
    openings,
    pitchDeg,
    reachMm: reach,
    areaM2: (reach * (s.x1 - s.x0)) / 1e6,
  };
}
