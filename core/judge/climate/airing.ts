/** How much air goes through what stands open: by its own warmth and by the wind. */
import { GRAVITY } from '../../base/gravity';
import { type Opening, freeAirM2, opensAlone } from '../../cover/assembly/openings';
import type { Assembly } from '../../cover/assembly/types';

const DISCHARGE = 0.6;
/** Part of the wind's way through an opening. Source: handbook rule Q = 0.3 A V. */
const WIND_PART = 0.3;

/** An opening as the air sees it: free area, m2, and from where to where it reaches, m above the soil. */
export interface Vent {
  readonly name: string;
  readonly m2: number;
  readonly lowM: number;
  readonly highM: number;
  /** What moves it: a hand, wax, a thermostat, or nothing: it stands open. */
  readonly by: 'hand' | 'wax' | 'louvre' | 'open';
}

/** A lid that is propped for air stands so steep, degrees. */
const PROPPED_DEG = 45;

function span(o: Opening, soilZMm: number): { readonly lowM: number; readonly highM: number } {
  const zs = o.line.map((p) => p[2]);
  const [low, high] = [(Math.min(...zs) - soilZMm) / 1000, (Math.max(...zs) - soilZMm) / 1000];
  const hung = o.lift?.hung;
  if (hung) return { lowM: low, highM: low + (hung.reachMm / 1000) * Math.sin((PROPPED_DEG * Math.PI) / 180) };
  if ('mm' in o.travel) return { lowM: Math.max(0, low), highM: Math.max(0, low) + o.travel.mm / 1000 };
  // A hole turned open about a line: about as high as it is wide.
  return { lowM: low, highM: Math.max(high, low + Math.sqrt(freeAirM2(o))) };
}

/** Everything of a cover that lets air out. */
export function ventsOf({ openings, crop }: Pick<Assembly, 'openings' | 'crop'>): readonly Vent[] {
  return openings.flatMap((o): readonly Vent[] => {
    const m2 = freeAirM2(o);
    if (m2 <= 0) return [];
    const by = !opensAlone(o) ? 'hand' : o.by === 'open' ? 'open' : o.by === 'louvre' ? 'louvre' : 'wax';
    return [{ name: o.name, m2, ...span(o, crop.soilZMm), by }];
  });
}

/** What one group of openings passes, all as far open as each other: by 1 K of warmth over 1 K of air, and by 1 m/s of wind. */
export interface Draught {
  readonly m2: number;
  /** m3/s for the root of (difference / outside, kelvin). */
  readonly byWarmth: number;
  /** m3/s for 1 m/s of wind. */
  readonly byWind: number;
}

/**
 * Flow through openings of several heights.
 * In at the low ones and out at the high ones Cd A sqrt(2 g h dT/T), A of both in series; through each by itself
 * Cd A/3 sqrt(g h dT/T) (CIBSE Guide A, table 4.22); by wind 0.3 A V. All of them as the root of the summed squares.
 * @example draughtOf([{ name: '', m2: 0.1, lowM: 0, highM: 0.2, by: 'hand' }]).byWind // 0.03
 */
export function draughtOf(vents: readonly Vent[]): Draught {
  const m2 = vents.reduce((sum, v) => sum + v.m2, 0);
  if (m2 <= 0) return { m2: 0, byWarmth: 0, byWind: 0 };
  const middle = (v: Vent): number => (v.lowM + v.highM) / 2;
  const mean = vents.reduce((sum, v) => sum + v.m2 * middle(v), 0) / m2;
  const group = (high: boolean): { readonly m2: number; readonly at: number } => {
    const mine = vents.filter((v) => middle(v) > mean + 1e-9 === high);
    const sum = mine.reduce((a, v) => a + v.m2, 0);
    return { m2: sum, at: sum > 0 ? mine.reduce((a, v) => a + v.m2 * middle(v), 0) / sum : mean };
  };
  const [low, high] = [group(false), group(true)];
  const series = low.m2 > 0 && high.m2 > 0 ? (low.m2 * high.m2) / Math.hypot(low.m2, high.m2) : 0;
  const through = DISCHARGE * series * Math.sqrt(2 * GRAVITY * Math.max(0, high.at - low.at));
  const each = vents.reduce((sum, v) => sum + (DISCHARGE * v.m2 * Math.sqrt(GRAVITY * (v.highM - v.lowM))) / 3, 0);
  return { m2, byWarmth: Math.hypot(through, each), byWind: WIND_PART * m2 };
}
