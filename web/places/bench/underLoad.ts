/** What is laid on the hoops to see them bend, and what comes of it. */
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { GRAVITY } from '../../../core/base/gravity';
import { WARM_C } from '../../../core/judge/strength/windCollapse';
import { driftBeside } from '../../../core/judge/strength/drift';
import type { LoadedHoop, Loading } from '../../../core/judge/strength/loaded';
import { type DriftBeside, SNOW_DENSITY, snowDepthMm } from '../../../core/judge/strength/snow';
import { gustPa } from '../../../core/judge/strength/windLoads';
import type { Assessment } from '../../../core/assessment';
import { nearestObstacle } from '../../../core/site/plotting';
import { useJob } from '../../background/useJob';

export type LoadKind = keyof typeof SNOW_DENSITY;

interface SnowOnSlider {
  readonly kind: LoadKind;
  readonly depthMm: number;
  readonly gustMPerS: number;
  readonly snowCase: Loading['snowCase'];
  readonly ends: Loading['ends'];
  /** Warm under its cover, so that plastic is softer. */
  readonly warm: boolean;
  /** How many times over the bending is drawn. */
  readonly times: 1 | 5;
}

export interface UnderLoad {
  readonly laid: SnowOnSlider;
  readonly lay: (more: Partial<SnowOnSlider>) => void;
  readonly bent: LoadedHoop | undefined;
  /** The wall that snow drifts against, where one stands near enough. */
  readonly wall: { readonly name: string; readonly drift: DriftBeside } | undefined;
  /** Depth asked for, and depth that the weakest of its parts carries, of the kind that is laid, mm. */
  readonly askedMm: number;
  readonly carriedMm: number;
  /** Ends of the sliders. */
  readonly mostMm: number;
  readonly mostGust: number;
}

/** The kind of snow that a place is known by. */
export const kindAsked = ({ asked: { snow } }: Assessment): LoadKind => (snow.by === 'depth' ? snow.kind : 'wet');

/** The end of a slider of snow: well beyond what is asked and carried, and no deeper than anybody asks. */
export const slideMost = (askedMm: number, carriedMm: number, deepestMm: number): number =>
  Math.max(100, Math.min(deepestMm, 1.5 * Math.max(askedMm, carriedMm)));

const DEEPEST_MM = 4000;

export function useUnderLoad(o: Assessment): UnderLoad {
  const { exposure } = o.garden.site;
  const { gustMPerS } = o.asked;
  const { flatPerGround } = o.snow;
  const asked = kindAsked(o);
  const [laid, setLaid] = useState<SnowOnSlider>({
    kind: asked,
    depthMm: snowDepthMm(o.snow.groundPa, asked),
    gustMPerS: 0,
    snowCase: 'even',
    ends: 'shut',
    warm: false,
    times: 1,
  });
  const lay = useCallback((more: Partial<SnowOnSlider>) => setLaid((l) => ({ ...l, ...more })), []);
  const { depthMm, kind, snowCase, ends, warm } = laid;
  const { landmarks } = o.garden;
  const { bed } = o.site;
  const { snow } = o;
  const wall = useMemo(() => {
    const beside = nearestObstacle(bed, landmarks);
    const drift = beside && driftBeside(beside, bed, snow);
    return drift && { name: beside.name, drift };
  }, [bed, landmarks, snow]);
  const loading = useMemo(
    (): Loading => ({
      snowCase,
      ends,
      flatPa: (depthMm / 1000) * SNOW_DENSITY[kind] * GRAVITY * flatPerGround,
      windPa: gustPa(laid.gustMPerS, exposure),
      ...(wall && { drift: wall.drift }),
      ...(warm && { atC: WARM_C }),
    }),
    [snowCase, ends, depthMm, kind, exposure, flatPerGround, laid.gustMPerS, wall, warm],
  );
  const { value: bent } = useJob(
    'loaded',
    { coverId: o.cover.id, row: 0, loading: useDeferredValue(loading) },
    { live: true },
  );
  const askedMm = snowDepthMm(o.snow.groundPa, kind);
  const hoops = o.judged().strengths.find((s) => s.what === (o.assembly.arches[0]?.what ?? 'Hoops'));
  const carriedMm = ((hoops?.wetSnowMm ?? 0) * SNOW_DENSITY.wet) / SNOW_DENSITY[kind];
  return {
    laid,
    lay,
    bent,
    wall,
    askedMm,
    carriedMm,
    mostMm: slideMost(askedMm, carriedMm, DEEPEST_MM),
    mostGust: Math.max(40, Math.ceil(1.3 * gustMPerS)),
  };
}
