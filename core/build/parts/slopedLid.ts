import { evenly, joint, spread } from '../joints';
import type { CoverMaterial, Section } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import { type Catalog, coverMaterial, stiffSheet } from '../../catalog/catalog';
import type { Vec3 } from '../../base/geometry';
import { boardShape } from '../../catalog/sections';
import { MM_PER_INCH } from '../../base/length';
import { endsOf, piece, rectangle } from '../assembly/pieces';
import type { BeamRow, Joint, Member, Opener, Opening, Panel, SheetPart, SheetSpan } from '../assembly/types';

/** What a lid is glazed with; film goes on both faces of its frame. */
export type Glazing = 'old-window' | 'twin-wall-6' | 'corrugated' | 'film-both';

/** A row of lids on a slope that falls from the far side to the near one, hinged at the far side. Lengths in mm. */
export interface LidSite {
  readonly x0: number;
  readonly x1: number;
  /** Upper edge of what the lid lies on, at the back and at the front. */
  readonly back: { readonly y: number; readonly z: number };
  readonly front: { readonly y: number; readonly z: number };
  readonly overhangMm: number;
  readonly lids: number;
  readonly site: BuildSite;
  readonly glazing: Glazing;
  readonly frame: Section;
  /** Bars along the slope between the stiles of each lid; null: as many as the sheet's joints ask for. */
  readonly bars: number | null;
  /** Film for both faces. */
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly latches: number;
  readonly stays: number;
  readonly people: 1 | 2;
  readonly opener: Opener | undefined;
  readonly openers: number;
  /** Loose lids are only laid on and weighted. */
  readonly hinged: boolean;
  readonly safetyFilm: boolean;
  /** A net lies under the lids. */
  readonly screened: boolean;
  readonly called?: LidWords;
}

/** What the lids are called, and their upper and lower sides; where they hang and where they shut. */
export interface LidWords {
  readonly one: string;
  readonly many: string;
  readonly upper: string;
  readonly lower: string;
  readonly hang: string;
  readonly shut: string;
  /** The letter of their panes' tags. */
  readonly pane: string;
}

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
  readonly called: LidWords;
  readonly members: readonly Member[];
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
  readonly joints: readonly Joint[];
  readonly openings: readonly Opening[];
  readonly beams: readonly BeamRow[];
  readonly spans: readonly SheetSpan[];
  readonly pitchDeg: number;
  /** From the back edge down the slope to the front edge, overhang included. */
  readonly reachMm: number;
  readonly areaM2: number;
}

const FOOT = 12 * MM_PER_INCH;
/** Corrugated sheets lap by one wave. */
const LAP_MM = 2 * MM_PER_INCH;

/** Hinges along a side: 2 to 5 ft, 3 to 10 ft, one more for each further 4 ft. */
export function hingeCount(lengthMm: number): number {
  // A hair under, so that exactly 5 ft is not taken for more.
  const feet = lengthMm / FOOT - 1e-6;
  if (feet <= 5) return 2;
  return feet <= 10 ? 3 : 3 + Math.ceil((feet - 10) / 4);
}

/** How wide one glazing sheet covers along the lid. */
export function paneWidth({ site, glazing }: Pick<LidSite, 'site' | 'glazing'>): number {
  if (glazing === 'old-window' || glazing === 'film-both') return Infinity;
  const widest = Math.max(...stiffSheet(site.catalog, glazing).sizes.map((x) => x.widthMm));
  return glazing === 'corrugated' ? widest - LAP_MM : widest;
}

/** Between neighbouring lids, mm: wood swells, and each must swing by itself. */
export const PLAY_MM = 4;

/** More sheets than this are no lid. */
const MOST_PANES = 60;

/**
 * How many sheets a lid is glazed with, and how many bars lie under it: every joint of two sheets on a bar, no sheet wider than is
 * sold, and all of them about as wide, so that no strip is left over.
 * @param each length of the lid, and w width of its stiles, mm
 */
function panesAndBars(s: LidSite, each: number, w: number): { readonly panes: number; readonly bars: number } {
  const most = s.glazing === 'corrugated' ? paneWidth(s) + LAP_MM : paneWidth(s);
  const lap = s.glazing === 'corrugated' ? LAP_MM : 0;
  for (let panes = 1; ; panes++) {
    const inner = (each - w) / panes + (panes > 2 ? lap : 0);
    const outer = panes === 1 ? each : (each - w) / panes + w / 2 + lap / 2;
    // A sheet narrower than the stile it lies on is too large however many there are: the checks say so.
    if (panes < MOST_PANES && Math.max(outer, panes > 2 ? inner : 0) > most + 0.5) continue;
    const wanted = Math.max(s.bars ?? 0, panes - 1);
    return { panes, bars: panes * Math.ceil((wanted + 1) / panes) - 1 };
  }
}

/** Builds the lids: frames lying flat on the slope with their glazing, or windows as they are. */
export function slopedLids(s: LidSite): Lids {
  const called = s.called ?? LIDS;
  const One = called.one.charAt(0).toUpperCase() + called.one.slice(1);
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
  const members: Member[] = [];
  const panels: Panel[] = [];
  const sheets: SheetPart[] = [];
  const openings: Opening[] = [];
  const beamTags: string[] = [];
  let panelCount = 0;

  for (let i = 0; i < s.lids; i++) {
    const xa = s.x0 + i * (each + play);
    const xb = xa + each;
    /** Middle of the k-th stile or bar from the left. */
    const barX = (k: number): number => xa + w / 2 + ((each - w) * k) / (bars + 1);
    const letter = s.lids === 1 ? 'K' : `K${i + 1}`;
    const mine: Member[] = [];
    const myPanels: Panel[] = [];
    if (framed) {
      const rail = (tag: string, part: string, r: number): Member =>
        piece(tag, part, s.frame, at(xa, r, t / 2), at(xb, r, t / 2), down);
      const xs = Array.from({ length: bars + 2 }, (_, k) => barX(k));
      mine.push(
        rail(`${letter}a`, `${One} rail, ${called.upper}`, w / 2),
        rail(`${letter}b`, `${One} rail, ${called.lower}`, reach - w / 2),
      );
      xs.forEach((x, k) => {
        const stile = k === 0 || k === bars + 1;
        mine.push(
          piece(
            `${letter}${String.fromCharCode(99 + k)}`,
            stile ? `${One} stile` : `${One} bar`,
            s.frame,
            at(x, w, t / 2),
            at(x, reach - w, t / 2),
            [1, 0, 0],
          ),
        );
      });
      beamTags.push(...mine.slice(2).map((m) => m.tag));
      // Marks for the stiles and bars, along both rails in tape order.
      for (const k of [0, 1]) {
        const m = mine[k];
        if (m)
          mine[k] = { ...m, marks: xs.slice(1, -1).map((x, j) => ({ atMm: x - xa, label: mine[j + 3]?.tag ?? '' })) };
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
        k === 0 ? xa : k === panes ? xb : framed ? barX((k * (bars + 1)) / panes) : xa + (each * k) / panes;
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
      screened: s.screened,
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

  // Loose lids are framed as they are; only of hung ones the bars are asked for.
  const asked =
    framed && s.hinged
      ? { asked: { id: 'bars', now: bars, words: ['bar in each lid', 'bars in each lid'] } as const }
      : {};
  const metres = Math.ceil((s.lids * each) / 1000);
  const barLength = (bars + 2) * s.lids * reach;
  const spacing = (each - w) / (bars + 1);
  const glazed = s.glazing === 'twin-wall-6' || s.glazing === 'corrugated';
  const lidXs = Array.from({ length: s.lids }, (_, i) => s.x0 + i * (each + play));
  const hands = lidXs.map((x): Vec3 => at(x + each / 2, reach, 0));
  const corners = lidXs.flatMap((x) => [x, x + each].flatMap((end) => [0, reach].map((r) => at(end, r, t))));
  const stiles = members.filter((m) => beamTags.includes(m.tag));
  const barJoints = endsOf(stiles);
  const rows = lidXs.flatMap((x) =>
    Array.from({ length: bars + 2 }, (_, k) => x + w / 2 + ((each - w) * k) / (bars + 1)).flatMap((bx) =>
      spread(at(bx, 0, t), at(bx, reach, t), 250),
    ),
  );
  /** What hangs each lid by itself, so that what holds one is known. */
  const onEach = (
    kind: 'latch' | 'stay' | 'opener',
    id: string,
    where: string,
    count: number,
    r: number,
    ask?: string,
  ) =>
    lidXs.flatMap((x, i) =>
      joint(
        kind,
        `${id} ${i + 1}`,
        where,
        openings[i] ? openings[i].tags.map((tag) => ({ tag })) : [],
        evenly(at(x + each * 0.15, r, 0), at(x + each * 0.85, r, 0), count),
        ask === undefined ? {} : { ask },
      ),
    );
  const joints: readonly Joint[] = [
    ...(framed
      ? [
          ...joint('plate', 'lid corners', `${One} corners`, members, corners),
          ...joint('buttScrew', 'lid bars', `Rails into stiles and bars of the ${called.many}`, members, barJoints),
        ]
      : []),
    ...(glazed
      ? joint('glazing', 'glazing', 'Glazing to stiles and bars, every 250 mm', [...panels, ...stiles], rows, {
          count: Math.ceil(barLength / 250) + 4 * s.lids,
          with: {
            tapeM: s.glazing === 'twin-wall-6' ? 2 * metres : 0,
            stripM: s.glazing === 'corrugated' ? 2 * metres : 0,
          },
        })
      : []),
    ...(s.glazing === 'film-both'
      ? joint('staple', 'skins', `Film round the ${called.one} frames`, [...sheets, ...members], corners, {
          count: Math.ceil((4 * (each + reach) * s.lids) / 75),
        })
      : []),
    ...(!framed && s.safetyFilm
      ? joint('put', 'safety film', 'On the glass, so that it holds together when it breaks', panels, [], {
          count: s.lids,
          with: { item: 'safety-film' },
        })
      : []),
    ...(s.hinged
      ? joint(
          'hinge',
          'hinges',
          called.hang,
          [...members.filter((m) => m.part.endsWith(`rail, ${called.upper}`)), ...(framed ? [] : panels)],
          lidXs.flatMap((x) => evenly(at(x + each * 0.1, 0, 0), at(x + each * 0.9, 0, 0), hingeCount(each))),
          // Hinges hold the lid; what holds the box down are its own brackets.
          { with: { holds: 'nothing' } },
        )
      : []),
    ...(s.hinged
      ? joint('seal', 'seals', `Along the edges where the ${called.many} rest`, [...members, ...panels], [], {
          count: Math.ceil((s.lids * 2 * (each + onBox)) / 1000),
        })
      : []),
    ...joint('handle', 'handles', `At the ${called.lower} of each ${called.one}`, [...panels, ...members], hands),
    ...(s.hinged
      ? [
          ...onEach('latch', 'latches', called.shut, s.latches, reach).map((j) => ({
            ...j,
            with: { holds: 'nothing' },
          })),
          ...onEach('stay', 'stays', `Hold the ${called.many} open`, s.stays, reach * 0.8),
        ]
      : []),
    ...(s.opener
      ? onEach('opener', 'openers', `Lifts the ${called.one} when it is warm`, s.openers, s.opener.armMm)
      : []),
  ];
  return {
    called,
    members,
    panels,
    sheets,
    joints,
    openings,
    beams:
      beamTags.length > 0
        ? [
            {
              tags: beamTags,
              what: `${One} bars`,
              section: s.frame,
              across: 'thickness',
              spanMm: onBox,
              loadWidthMm: bars > 0 ? spacing : spacing / 2,
              slopeDeg: pitchDeg,
              gable: false,
              ...asked,
            },
          ]
        : [],
    spans:
      s.glazing === 'film-both'
        ? []
        : [
            {
              sheet: stiffSheet(s.site.catalog, s.glazing),
              spanMm: framed ? spacing : each,
              slopeDeg: pitchDeg,
              ...asked,
            },
          ],
    pitchDeg,
    reachMm: reach,
    areaM2: (reach * (s.x1 - s.x0)) / 1e6,
  };
}

/** The cover that lids of a glazing are, in the table of light and warmth. */
export function glazingCover(catalog: Catalog, glazing: Glazing): CoverMaterial {
  return coverMaterial(
    catalog,
    glazing === 'film-both' ? 'film-double' : (stiffSheet(catalog, glazing).coverKey ?? 'glass'),
  );
}
