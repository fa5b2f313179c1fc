import type { SnowStrength } from './judge/strength/snowStrength';
import type { NoonAir } from './judge/climate/noon';
import type { Figure } from './base/figure';
import type { DesignSnow } from './judge/strength/snow';
import type { CoverLayout } from './layout';
import type { DesignConditions } from './judge/strength/designConditions';
import type { Check } from './judge/strength/check';
/** What a design is, before anything is cut: quick enough to follow every keystroke. */
export interface Assessment extends CoverLayout {
  /** What it is judged for. */
  readonly asked: DesignConditions;
  readonly snow: DesignSnow;
  readonly checks: readonly Check[];
  readonly strengths: readonly SnowStrength[];
  /** Parts that bear snow and are not judged. */
  readonly unjudged: readonly string[];
  readonly air: NoonAir;
  readonly hours: Figure;
  readonly coldest: Figure;
  /** Weight at the hand of everything that is lifted, carried or rolled. */
  readonly lifts: readonly Figure[];
}
