/** A plane frame as it is solved: nodes, slender elements between them, holds, springs and loads. mm, N, rad; y is up. */

/** What a node can do, in this order: move along x, along y, turn against the clock. */
export const DOFS = ['x', 'y', 'turn'] as const;
export type Dof = 0 | 1 | 2;

export interface FrameNode {
  readonly x: number;
  readonly y: number;
}

/**
 * A slender piece between two nodes.
 * It is free of force when `naturalMm` long and bent so that its ends turn from its chord by `naturalAngles`: straight pipe
 * has none, however it is bent at first ("locked-in bending").
 */
export interface Beam {
  readonly kind: 'beam';
  readonly from: number;
  readonly to: number;
  readonly eaN: number;
  readonly eiNMm2: number;
  readonly naturalMm: number;
  readonly naturalAngles: readonly [number, number];
  /** Direction of its axis at both ends while the nodes have not turned, rad from x. */
  readonly tangents: readonly [number, number];
  /** Ends that turn freely at their node. */
  readonly hinged: readonly [boolean, boolean];
}

/** A straight piece without bending: a bar pushes and pulls, a tie only pulls. */
export interface FrameBar {
  readonly kind: 'bar' | 'tie';
  readonly from: number;
  readonly to: number;
  readonly eaN: number;
  readonly naturalMm: number;
}

export type Element = Beam | FrameBar;

/** A node held in one of its ways, moved by `move` (mm, rad) for each unit of the load factor. */
export interface Support {
  readonly node: number;
  readonly dof: Dof;
  readonly move: number;
}

/** A spring from a node to the ground, N/mm or N mm/rad; one that acts one way is slack on the other side. */
export interface Spring {
  readonly node: number;
  readonly dof: Dof;
  readonly stiffness: number;
  /** Where it pushes back: on both sides of where it starts, or only below or above it. */
  readonly acts: 'both' | 'below' | 'above';
}

/** A force on a node that keeps its direction, N or N mm; a constant one does not grow with the load factor. */
export interface Load {
  readonly node: number;
  readonly dof: Dof;
  readonly value: number;
  readonly constant?: boolean;
}

/** A load spread evenly along an element that keeps its direction and size, N for each mm of the element as it is drawn. */
export interface LineLoad {
  readonly element: number;
  readonly x: number;
  readonly y: number;
  readonly constant?: boolean;
}

/** A pressure that stays square to an element as it turns, N for each mm of it, positive to the left of from-to. */
export interface Pressure {
  readonly element: number;
  readonly perMm: number;
  readonly constant?: boolean;
}

export interface Frame {
  readonly nodes: readonly FrameNode[];
  readonly elements: readonly Element[];
  readonly holds: readonly Support[];
  readonly springs: readonly Spring[];
  readonly loads: readonly Load[];
  readonly lines: readonly LineLoad[];
  readonly pressures: readonly Pressure[];
}
