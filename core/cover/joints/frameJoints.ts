/** How a frame is put together: boards, pipes, rods and what stands on the bed. A new kind is one more entry. */
import { phrase } from '../../base/figure';
import { bit } from '../../catalog/handTools';
import { CAUTIONS } from './cautions';
import { type JointKind, each, holdsAs, said } from './kind';

const PILOT = phrase`A ${bit('screw')} pilot through the pipe first, and the screw snug, not tight: plastic that is squeezed cracks in the cold.`;

export const FRAME_JOINTS = {
  /** Boards butted and screwed: which screw and how many at each place is the joint's own. */
  buttScrew: {
    name: ['screwed butt joint', 'screwed butt joints'],
    takes: (j, n) => [{ itemKey: String(j.with?.['screw'] ?? 'screw-2-1/2'), count: n * said(j, 'each', 2) }],
    tools: ['screw bit', 'driver'],
    minutes: 2.4,
    symbol: 'point',
  },
  /** Nails through two boards face to face: how many at each place is the joint's own. */
  nail: {
    name: ['nailed place', 'nailed places'],
    takes: (j, n) => [{ itemKey: 'nail-3', count: n * said(j, 'each', 2) }],
    tools: ['hammer'],
    minutes: 0.5,
    symbol: 'point',
  },
  /** Two screws through the foot of a pipe into its rail. */
  throughScrew: {
    name: ['foot screwed through', 'feet screwed through'],
    takes: (_, n) => [{ itemKey: 'screw-1-5/8', count: 2 * n }],
    tools: ['screw bit'],
    minutes: 1.2,
    symbol: 'point',
    tip: PILOT,
  },
  /** One screw through each crown into a timber ridge. */
  crownScrew: {
    name: ['screw through a crown', 'screws through the crowns'],
    takes: each('screw-1-5/8'),
    tools: ['screw bit'],
    minutes: 0.6,
    symbol: 'point',
    tip: PILOT,
  },
  /** Self-drilling screws through steel, or through a moulded socket into its pipe. */
  tekScrew: {
    name: ['self-drilling screw', 'self-drilling screws'],
    takes: (j, n) => [{ itemKey: 'tek-screw', count: n * said(j, 'each', 1) }],
    tools: ['drill'],
    minutes: 0.6,
    symbol: 'point',
  },
  /** An angle bracket from a frame to the bed's wall. */
  bracket: {
    name: ['bracket to the bed', 'brackets to the bed'],
    takes: each('bracket'),
    tools: ['driver'],
    minutes: 4,
    symbol: 'point',
    holds: holdsAs('bracket'),
  },
  /** A mending plate with its own screws over a joint. */
  plate: {
    name: ['plate', 'plates'],
    takes: each('corner-plate'),
    tools: ['driver'],
    minutes: 1.2,
    symbol: 'point',
  },
  /** A U-bolt round a crown and its ridge. */
  uBolt: {
    name: ['U-bolt', 'U-bolts'],
    takes: each('u-bolt'),
    tools: ['wrench'],
    minutes: 2.4,
    symbol: 'point',
  },
  /** UV cable ties, two of them crossed where a ridge meets a crown. */
  tie: {
    name: ['tie', 'ties'],
    takes: (j, n) => [{ itemKey: 'cable-tie', count: n * said(j, 'each', 2) }],
    tools: ['knife'],
    minutes: 1.2,
    symbol: 'point',
  },
  /** A clamp where a purlin crosses a hoop. */
  crossing: {
    name: ['clamp at a crossing', 'clamps at the crossings'],
    takes: each('cross-connector'),
    tools: ['driver'],
    minutes: 2,
    symbol: 'point',
  },
  /** A coupler where two pipes meet. */
  coupler: {
    name: ['coupler', 'couplers'],
    takes: each('coupler'),
    tools: [],
    minutes: 1,
    symbol: 'point',
  },
  /** A moulded fitting that pipes are pushed into: which one is the joint's own. */
  fitting: {
    name: ['fitting', 'fittings'],
    takes: (j, n) => [{ itemKey: String(j.with?.['fitting'] ?? 'tee'), count: n }],
    tools: ['rubber mallet'],
    minutes: 2,
    symbol: 'point',
  },
  /** The foot of a hoop in a hole bored into its rail: nothing is bought for it. */
  blindHole: {
    name: ['foot in its hole', 'feet in their holes'],
    takes: () => [],
    tools: ['spade bit'],
    minutes: 3,
    symbol: 'point',
  },
  /** A socket cap screwed down on the rail: the hoop's foot stands in it and lifts out. */
  socket: {
    name: ['socket', 'sockets'],
    takes: (_, n) => [
      { itemKey: 'socket-cap', count: n },
      { itemKey: 'screw-1', count: n },
    ],
    tools: ['strap bit'],
    minutes: 1.2,
    symbol: 'point',
  },
  /** A two-hole pipe strap and its two screws. */
  strap: {
    name: ['strap', 'straps'],
    takes: (_, n) => [
      { itemKey: 'strap', count: n },
      { itemKey: 'screw-1', count: 2 * n },
    ],
    tools: ['strap bit'],
    minutes: 1.2,
    symbol: 'point',
    holds: holdsAs('strap'),
  },
  /** A conduit strap and its two screws. */
  uStrap: {
    name: ['conduit strap', 'conduit straps'],
    takes: (j, n) => [
      { itemKey: 'u-strap', count: n },
      { itemKey: String(j.with?.['screw'] ?? 'screw-1'), count: 2 * n },
    ],
    tools: ['driver'],
    minutes: 1.2,
    symbol: 'point',
  },
  /** A rod driven in the soil with the pipe of a hoop over it: nothing is bought but the rod. */
  drivenRod: {
    name: ['pipe over a driven rod', 'pipes over driven rods'],
    takes: () => [],
    tools: ['level'],
    minutes: 4,
    symbol: 'point',
    holds: { ...holdsAs('rod'), inSoil: true },
    caution: CAUTIONS.rods,
  },
  /** Laid on what bears it: weight alone keeps it there. */
  laid: {
    name: ['piece laid in place', 'pieces laid in place'],
    takes: () => [],
    tools: ['level'],
    minutes: 4,
    symbol: 'none',
  },
  /** Something bought that is only put in its place: a jug, a film on a pane. Which one is the joint's own. */
  put: {
    name: ['thing put in place', 'things put in place'],
    takes: (j, n) => [{ itemKey: String(j.with?.['item'] ?? ''), count: n }],
    tools: [],
    minutes: 0,
    symbol: 'none',
  },
} satisfies Readonly<Record<string, JointKind>>;
