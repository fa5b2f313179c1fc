/** What opens, and what holds it open or shut. A new kind is one more entry. */
import { type JointKind, each, holdsAs } from './kind';

export const OPENING_JOINTS = {
  /** A butt hinge with its screws. */
  hinge: {
    name: ['hinge', 'hinges'],
    takes: each('hinge'),
    tools: ['driver'],
    minutes: 6,
    symbol: 'point',
    tip: ['Galvanised or stainless hinges and screws: plain steel rusts fast in a season of damp.'],
    holds: holdsAs('hinge'),
  },
  /** A cabin hook from a frame to the bed's wall. */
  hook: {
    name: ['hook to the bed', 'hooks to the bed'],
    takes: each('hook'),
    tools: ['driver'],
    minutes: 4,
    symbol: 'point',
    holds: holdsAs('hook'),
  },
  /** A pull handle with its screws. */
  handle: {
    name: ['handle', 'handles'],
    takes: each('handle'),
    tools: ['driver'],
    minutes: 5,
    symbol: 'point',
  },
  /** A hook and eye that holds a lid shut. */
  latch: {
    name: ['latch', 'latches'],
    takes: each('latch'),
    tools: ['driver'],
    minutes: 5,
    symbol: 'point',
    holds: holdsAs('latch'),
  },
  /** A wax opener between lid and back. */
  opener: {
    name: ['wax opener', 'wax openers'],
    takes: each('opener'),
    tools: ['driver'],
    minutes: 20,
    symbol: 'point',
  },
  /** A strip notched at both ends that holds a lid half open: nothing is bought but the strip. */
  prop: {
    name: ['prop', 'props'],
    takes: () => [],
    tools: ['hand saw'],
    minutes: 8,
    symbol: 'point',
  },
  /** A chain that holds a lid open. */
  stay: {
    name: ['stay', 'stays'],
    takes: each('stay'),
    tools: ['driver'],
    minutes: 5,
    symbol: 'point',
  },
  /** A metal hanger that carries the end of a rafter. */
  hanger: {
    name: ['rafter hanger', 'rafter hangers'],
    takes: each('rafter-hanger'),
    tools: ['driver'],
    minutes: 4,
    symbol: 'point',
  },
  /** The hinges and turn button of a vent's own flap. */
  ventFlap: {
    name: ['vent with its flap', 'vents with their flaps'],
    takes: each('vent-flap'),
    tools: ['driver'],
    minutes: 10,
    symbol: 'point',
  },
  /** A louvre that opens and shuts by its own thermostat. */
  louvre: {
    name: ['louvre', 'louvres'],
    takes: each('louvre'),
    tools: ['driver'],
    minutes: 15,
    symbol: 'point',
  },
} satisfies Readonly<Record<string, JointKind>>;
