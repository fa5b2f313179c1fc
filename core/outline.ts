import type { SnowStrength } from './judge/proof/strength';
import type { SheetCuts } from './make/cutting/panels';
import type { RollPlan } from './make/rolls/rolls';
import type { NoonAir } from './judge/climate/noon';
import type { Figure } from './base/figure';
import type { DesignSnow } from './judge/proof/snow';
import type { CutDone } from './make/cutting/onHand';
import type { Cover, Garden } from './garden/garden';
import type { Check } from './judge/proof/check';
import type { BuildSite } from './site/buildSite';
import type { Assembly, HardwareUse } from './build/assembly/types';
/** What a design is, before anything is cut: quick enough to follow every keystroke. */
export interface Outline {
  readonly garden: Garden;
  readonly cover: Cover;
  readonly site: BuildSite;
  readonly assembly: Assembly;
  readonly rolls: RollPlan;
  readonly sheets: SheetCuts;
  /** Pieces sawn already. */
  readonly done: readonly CutDone[];
  /** Things to buy that no part asks for: seams in sheets, and what the gardener adds. */
  readonly also: readonly HardwareUse[];
  readonly snow: DesignSnow;
  readonly checks: readonly Check[];
  readonly strengths: readonly SnowStrength[];
  readonly air: NoonAir;
  readonly hours: Figure;
  readonly coldest: Figure;
  /** Weight at the hand of everything that is lifted, carried or rolled. */
  readonly lifts: readonly Figure[];
}
