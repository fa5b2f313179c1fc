/** What holds lids together, and what they hang by. */
import { GLAZING_SCREWS_MM } from './glazing';
import { capital } from '../../base/figure';
import type { Vec3 } from '../../base/geometry';
import { boardShape } from '../../catalog/sections';
import { endsOf } from '../assembly/pieces';
import type { Opening } from '../assembly/openings';
import type { Joint, Member, Panel, SheetPart } from '../assembly/types';
import { evenly, joint, spread } from '../joints';
import { hingeCount } from '../joints/hingeCount';
import type { LidSite, LidWords } from './lidSite';

/** Lids as they lie, lengths in mm. */
interface Laid {
  readonly called: LidWords;
  /** A place on the slope: along the bed, down from the back edge, and off the slope. */
  readonly at: (x: number, r: number, off: number) => Vec3;
  readonly each: number;
  readonly reach: number;
  readonly onBox: number;
  /** Left edge of every lid, and the middles of stiles and bars of one from its left edge. */
  readonly xs: readonly number[];
  readonly barXs: (xa: number) => readonly number[];
  readonly members: readonly Member[];
  /** Of them those that run down the slope. */
  readonly stiles: readonly Member[];
  readonly panels: readonly Panel[];
  readonly sheets: readonly SheetPart[];
  readonly openings: readonly Opening[];
}

/** Joints of lids by the work that makes them: their frames, what glazes them, and what they hang by and are held by. */
export interface LidJoints {
  readonly framed: readonly Joint[];
  readonly glazed: readonly Joint[];
  readonly hung: readonly Joint[];
}

/** Joints of every lid: frames, glazing, hinges, handles, and by lid what holds it shut and open. */
export function lidJoints(s: LidSite, laid: Laid): LidJoints {
  const { called, at, each, reach, onBox, xs, members, stiles, panels, sheets, openings } = laid;
  const framed = s.glazing !== 'old-window';
  const glazed = s.glazing === 'twin-wall-6' || s.glazing === 'corrugated';
  const t = boardShape(s.frame).thicknessMm;
  const metres = Math.ceil((s.lids * each) / 1000);
  const hands = xs.map((x): Vec3 => at(x + each / 2, reach, 0));
  const corners = xs.flatMap((x) => [x, x + each].flatMap((end) => [0, reach].map((r) => at(end, r, t))));
  const rows = xs.flatMap((x) => laid.barXs(x).flatMap((bx) => spread(at(bx, 0, t), at(bx, reach, t), 250)));
  /** What hangs each lid by itself, so that what holds one is known. */
  const onEach = (kind: 'latch' | 'stay' | 'opener', id: string, where: string, count: number, r: number) =>
    xs.flatMap((x, i) =>
      joint(
        kind,
        `${id} ${i + 1}`,
        where,
        openings[i] ? openings[i].tags.map((tag) => ({ tag })) : [],
        evenly(at(x + each * 0.15, r, 0), at(x + each * 0.85, r, 0), count),
      ),
    );
  return {
    framed: framed
      ? [
          ...joint('plate', 'lid corners', `${capital(called.one)} corners`, members, corners),
          ...joint(
            'buttScrew',
            'lid bars',
            `Rails into stiles and bars of the ${called.many}`,
            members,
            endsOf(stiles),
          ),
        ]
      : [],
    glazed: [
      ...(glazed
        ? joint('glazing', 'glazing', 'Glazing to stiles and bars', [...panels, ...stiles], rows, {
            count: Math.ceil((stiles.length * reach) / GLAZING_SCREWS_MM) + 4 * s.lids,
            with: {
              tapeM: s.glazing === 'twin-wall-6' ? 2 * metres : 0,
              stripM: s.glazing === 'corrugated' ? 2 * metres : 0,
              // Every joint of two sheets lies on a bar, under its strip.
              joinM: s.glazing === 'twin-wall-6' ? Math.ceil(((panels.length - s.lids) * reach) / 1000) : 0,
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
    ],
    hung: [
      ...(s.hinged
        ? joint(
            'hinge',
            'hinges',
            called.hang,
            [...members.filter((m) => m.part.endsWith(`rail, ${called.upper}`)), ...(framed ? [] : panels)],
            xs.flatMap((x) => evenly(at(x + each * 0.1, 0, 0), at(x + each * 0.9, 0, 0), hingeCount(each))),
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
    ],
  };
}
