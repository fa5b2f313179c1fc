/** A hoop under a load of one's choosing, as it bends: for the drawing. */
import type { ArchRow } from '../../cover/assembly/rows';
import { stiffnessNMm2 } from '../../catalog/sections';
import { crownLost, crownOf, greatestCurvature, hoopFrame, nodeCurvatures } from '../frame/hoop';
import { frameModel } from '../frame/model';
import { loadPath } from '../frame/path';
import { type DesignSnow, type DriftBeside, archCases, driftedCase, snowOf } from './snow';
import { curvatureLimitPerMm, givesBy } from './limits';
import { hungN, partKept, partOfPipe, ridgeSpringNPerMm } from './snowStrength';
import { INSIDE, pressureOn } from './windLoads';

/** What lies and blows on it. */
export interface Loading {
  readonly snowCase: 'even' | 'one-sided' | 'drifted';
  /** The wall that it drifts against, on the right. */
  readonly drift?: DriftBeside;
  /** Snow on a flat roof, Pa. */
  readonly flatPa: number;
  /** Pressure of the gust near the ground, Pa; it blows from the left. */
  readonly windPa: number;
  readonly ends: keyof typeof INSIDE;
  /** How warm the pipe is, C; as its stiffness was measured when not said. */
  readonly atC?: number;
}

export interface LoadedPoint {
  readonly y: number;
  readonly z: number;
  /** How much of its limit the pipe has reached there: 1 and it kinks or yields. */
  readonly used: number;
  /** Snow on level ground there, and pressure of the wind square to the hoop, inward positive, Pa. */
  readonly snowPa: number;
  readonly windPa: number;
}

export interface LoadedHoop {
  /** As it stands without a load, and as it stands under what it bears of this one; mm in the end view. */
  readonly still: readonly LoadedPoint[];
  readonly points: readonly LoadedPoint[];
  /** The part of the load at which it gives way; nothing where it bears all of it. */
  readonly gives:
    | { readonly part: number; readonly by: 'sway' | 'snapping through' | 'kink' | 'yield'; readonly at: number }
    | undefined;
  readonly crownDownMm: number;
  /** The crown's way to the right. */
  readonly asideMm: number;
}

/**
 * Bends a hoop of a row under a load, from none up to all of it or until it gives way.
 * Weeks-long stiffness and limit under snow, fresh in a gust alone. Sources as `hoopStrength`; wind as `archPressures`.
 * @param practice the snow practice and its factors; its own load does not count
 */
export function loadHoop(arch: ArchRow, practice: DesignSnow, loading: Loading): LoadedHoop {
  const { hoop, section, spacingMm } = arch;
  const span = hoop.spanMm;
  const snowy = loading.flatPa > 0;
  const ei = stiffnessNMm2(section, snowy ? 'weeks' : 'fresh', 'thickness', loading.atC);
  const lying =
    loading.snowCase === 'drifted' && loading.drift && snowy
      ? driftedCase(snowOf(practice, loading.flatPa), loading.drift, span)
      : archCases(practice, hoop).find((c) => c.snowCase === loading.snowCase);
  const shape = lying?.shape ?? (() => 0);
  const part = lying ? partOfPipe(arch, lying) : 1;
  const per = (part * (spacingMm / 1e6) * span ** 3) / ei;
  const blows = pressureOn(hoop.heightMm / span, INSIDE[loading.ends]);
  const windAt = (across: number): number => loading.windPa * blows(across);
  const frame = hoopFrame(hoop, arch.sprung, {
    shape,
    size: loading.flatPa * per * (lying ? partKept(arch, lying) : 1),
    pressure: (across) => windAt(across) * per,
    own: (part * (arch.weighsNPerMm ?? 0) * span ** 3) / ei,
    crown: (part * hungN(arch) * span ** 2) / ei,
    ridge: (ridgeSpringNPerMm(arch) * span ** 3) / ei,
  });
  const limit = curvatureLimitPerMm(section, snowy || loading.windPa === 0 ? 'lasting' : 'gust') * span;
  const crown = crownOf(frame.nodes);
  const lost = crownLost(frame);
  const path = loadPath(frameModel(frame), {
    most: 1,
    used: (r) => Math.max(greatestCurvature(frame, r) / limit, lost(r)),
  });
  const pointsOf = (rest: (typeof path.rests)[number] | undefined): readonly LoadedPoint[] => {
    const bends = rest ? nodeCurvatures(frame, rest) : new Float64Array(frame.nodes.length);
    return frame.nodes.map((n, i) => {
      const [before, after] = [frame.nodes[i - 1] ?? n, frame.nodes[i + 1] ?? n];
      const angle = Math.atan2(after.y - before.y, after.x - before.x);
      return {
        y: arch.footYMm + span * (n.x + (rest?.state[3 * i] ?? 0)),
        z: arch.footZMm + span * (n.y + (rest?.state[3 * i + 1] ?? 0)),
        used: Math.abs(bends[i] ?? 0) / limit,
        snowPa: Math.abs(angle) < Math.PI / 2 ? loading.flatPa * shape((angle * 180) / Math.PI, n.x) : 0,
        windPa: windAt(n.x),
      };
    });
  };
  const [first, last] = [path.rests[0], path.rests.at(-1)];
  const points = pointsOf(last);
  const at = points.reduce((most, p, i) => (p.used > (points[most]?.used ?? 0) ? i : most), 0);
  const bent = (points[at]?.used ?? 0) > 0.99;
  return {
    still: pointsOf(first),
    points,
    gives:
      path.ended === 'most'
        ? undefined
        : {
            part: last?.factor ?? 0,
            by: bent ? givesBy(section.material) : path.limit?.mode === 'sway' ? 'sway' : 'snapping through',
            at: bent ? at : crown,
          },
    crownDownMm: -span * ((last?.state[3 * crown + 1] ?? 0) - (first?.state[3 * crown + 1] ?? 0)),
    asideMm: span * (last?.state[3 * crown] ?? 0),
  };
}
