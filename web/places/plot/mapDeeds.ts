import type { PlanPoint } from '../../../core/site/survey';
import type { Laying, Thing } from './useLying';

/** What can be done on the map. */
export interface PlotDeeds {
  readonly onHold: (id: string | undefined) => void;
  readonly onLay: (how: Laying, thing: Thing) => void;
  readonly onOpen: (bedId: string) => void;
  readonly onTakeAway: (thing: Thing) => void;
  readonly onUp: (upDeg: number) => void;
  /** A rectangle was drawn on the ground: its near left corner, its sides. */
  readonly drawing: boolean;
  readonly onDrawn: (at: PlanPoint, lengthMm: number, widthMm: number) => void;
}
