/** What a hoop is, sprung or made beforehand. */

/** Pinned feet turn freely; fixed feet keep the angle of the rod or socket they are on (90 = upright). */
export type Feet = { readonly kind: 'pinned' } | { readonly kind: 'fixed'; readonly angleDeg: number };

/** A point of a hoop in its own plane: y from the left foot, z above the feet (mm), and the tangent's angle there. */
export interface HoopPoint {
  readonly y: number;
  readonly z: number;
  /** Angle of the tangent above horizontal, walking from the left foot to the right, in radians. */
  readonly angle: number;
  /** Curvature per mm, positive where the pipe bends down as one walks over it. */
  readonly curvature: number;
}

/** A hoop's shape. Lengths in mm, curvature per mm; centre line to centre line. */
export interface Elastica {
  readonly feet: Feet;
  readonly spanMm: number;
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly maxWidthMm: number;
  readonly footAngleDeg: number;
  /** Outward push of one foot divided by EI, per mm^2; negative when the feet are pulled inward. */
  readonly thrustOverEIPerMm2: number;
  /** Greatest curvature anywhere, per mm. */
  readonly maxCurvaturePerMm: number;
  readonly crownCurvaturePerMm: number;
  /** Curvature at the foot, per mm; the moment there is EI times this. */
  readonly footCurvaturePerMm: number;
}

/** A hoop of straights and bends made beforehand: no spring in it. Lengths in mm, centre line to centre line. */
export interface BentHoop {
  readonly feet: Feet;
  readonly spanMm: number;
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly maxWidthMm: number;
  readonly footAngleDeg: number;
  readonly thrustOverEIPerMm2: 0;
  readonly maxCurvaturePerMm: number;
  readonly points: readonly HoopPoint[];
}
