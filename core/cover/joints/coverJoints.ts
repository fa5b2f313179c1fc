/** How a cover is fastened to its frame. A new kind is one more entry. */
import { type JointKind, each, said } from './kind';

export const COVER_JOINTS = {
  /** Screws through a batten, the film and into what is under it, counted one by one. */
  batten: {
    name: ['screw through a batten', 'screws through the battens'],
    takes: (_, n) => [{ itemKey: 'screw-1-5/8', count: n }],
    tools: ['driver'],
    minutes: 0.6,
    symbol: 'line',
    divides: 'there',
    // Only on the wall of the bed do they hold a cover down; elsewhere the sheet on its own frame.
    holds: { key: 'batten-screw', worth: (j) => (j.with?.['holds'] === 'wall' ? 1 : 0) },
    tip: ['Pilot each screw through the lath, and drive it snug, not tight: a crushed lath splits.'],
  },
  /** Staples: they hold a cover until something better does, or a net for good. */
  staple: {
    name: ['staple', 'staples'],
    takes: each('staple'),
    tools: ['stapler'],
    minutes: 0.15,
    symbol: 'line',
    divides: 'there',
  },
  /** A spring clip over film and pipe, a soft sleeve under it. */
  clip: {
    name: ['clip', 'clips'],
    takes: each('clip'),
    tools: [],
    minutes: 0.6,
    symbol: 'point',
    divides: 'there',
  },
  /** Film channel with its spring wire and a screw each third of a metre; counted in metres. */
  channel: {
    name: ['metre of channel', 'metres of channel'],
    takes: (j, n) => [
      { itemKey: 'channel', count: n },
      { itemKey: 'spring-wire', count: n },
      { itemKey: String(j.with?.['screw'] ?? 'tek-screw'), count: 3 * n },
    ],
    tools: ['drill', 'hacksaw'],
    minutes: 3,
    symbol: 'line',
    divides: 'there',
  },
  /** A rope over a flat side or a whole sheet, counted in metres; where it is laced, a screw at both ends of each crossing. */
  lacing: {
    name: ['metre of rope', 'metres of rope'],
    takes: (j, n) => [
      { itemKey: 'rope', count: n },
      { itemKey: 'screw-2-1/2', count: said(j, 'screws', 2) * j.places.length },
    ],
    tools: ['knife'],
    minutes: 0.6,
    symbol: 'line',
    divides: 'across',
  },
  /** Rope, counted in metres. */
  rope: {
    name: ['metre of rope', 'metres of rope'],
    takes: each('rope'),
    tools: ['knife'],
    minutes: 0.4,
    symbol: 'line',
  },
  /** Stiff sheet on its bars: screws with washers, and by its kind tape over open ends, strips under the waves or over the joints. */
  glazing: {
    name: ['screw of the glazing', 'screws of the glazing'],
    takes: (j, n) => [
      { itemKey: 'glazing-screw', count: n },
      { itemKey: 'edge-tape', count: said(j, 'tapeM', 0) },
      { itemKey: 'glazing-strip', count: said(j, 'stripM', 0) },
      { itemKey: 'joining-strip', count: said(j, 'joinM', 0) },
    ],
    tools: ['sheet bit', 'driver'],
    minutes: 1,
    symbol: 'line',
  },
  /** Self-adhesive foam where a lid rests or two films must not touch, counted in metres. */
  seal: {
    name: ['metre of foam strip', 'metres of foam strip'],
    takes: each('foam-strip'),
    tools: [],
    minutes: 0.5,
    symbol: 'none',
  },
  /** Clear tape over a stapled edge of film, counted in metres. */
  tapedEdge: {
    name: ['metre of taped edge', 'metres of taped edge'],
    takes: each('seam-tape'),
    tools: [],
    minutes: 0.5,
    symbol: 'none',
  },
} satisfies Readonly<Record<string, JointKind>>;
