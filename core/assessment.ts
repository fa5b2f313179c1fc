import type { NoonAir } from './judge/climate/noon';
import type { Figure } from './base/figure';
import type { DesignSnow } from './judge/strength/snow';
import type { CoverLayout, LaidParts } from './layout';
import type { DesignConditions } from './judge/strength/designConditions';
import type { Judgement } from './judge/strength/checks';

/** What a design comes to, before anything is cut: quick enough to follow every keystroke. */
export interface AssessedParts extends LaidParts {
  /** What it is judged for. */
  readonly asked: DesignConditions;
  readonly snow: DesignSnow;
  /** What holds and what does not: worked out when it is first asked for, so that a drawing does not wait for it. */
  readonly judged: () => Judgement;
  readonly air: NoonAir;
  readonly hours: Figure;
  readonly coldest: Figure;
  /** Weight at the hand of everything that is lifted, carried or rolled. */
  readonly lifts: readonly Figure[];
}

/** A cover assessed, with what it was assessed of. */
export type Assessment = AssessedParts & CoverLayout;
