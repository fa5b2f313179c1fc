/** Wind from the side: whether it pushes a cover off its place, or over. */
import type { Assembly } from '../../cover/assembly/types';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { aboutHolds } from './about';
import { type Check, type CheckSite, measured } from './check';
import {
  SAFETY,
  WIND_LEFT_OUT,
  WIND_MARGIN,
  archPressures,
  holdMore,
  gustPa,
  liftCoefficient,
  riseToSpan,
  weightN,
} from './windLoads';

/** What rubs of the weight that is left on a wall or on soil. Source: our own low figure for wood on wood and on earth. */
const FRICTION = 0.4;
/** Push on an upright side and suction behind the other, together. Source: ASCE/SEI 7, fig. 27.3-1. */
const ON_SIDES = 1.3;

/** How high the cover stands above its feet a part of its width in from the side, mm. */
function heightAt(a: Assembly, part: number): number {
  const ys = a.under.map((p) => p.y);
  const [left, right, base] = [Math.min(...ys), Math.max(...ys), Math.min(...a.under.map((p) => p.z))];
  const y = left + part * (right - left);
  // The highest of what is there: a side may lean out.
  const over = a.under.slice(1).flatMap((q, i) => {
    const p = a.under[i] ?? q;
    if ((p.y - y) * (q.y - y) > 0) return [];
    const along = q.y === p.y ? 0 : (y - p.y) / (q.y - p.y);
    return [Math.max(p.z + along * (q.z - p.z), q.y === p.y ? q.z : -Infinity)];
  });
  return Math.max(0, ...over) - base;
}

/**
 * Whether wind from the side pushes a cover off its place, or over the edge on its lee side.
 * Pressures as `archPressures`: what presses on the windward quarter and sucks at the lee one works on their height.
 */
export function pushCheck(a: Assembly, site: CheckSite): Check {
  const q = gustPa(site.gustMPerS, site.exposure);
  const { lengthMm, widthMm, holdDowns } = a.footing;
  const r = riseToSpan(a);
  const { windward, lee } = archPressures(r);
  const quarterMm = heightAt(a, 0.25);
  const upright = heightAt(a, 0.02) > quarterMm / 2;
  const coefficient = upright ? ON_SIDES : windward - lee;
  const push = (q * coefficient * quarterMm * lengthMm) / 1e6;
  const lift = q * liftCoefficient(r) * ((lengthMm * widthMm) / 1e6);
  const weight = weightN(a);
  const held = holdDowns.reduce((sum, h) => sum + h.count * h.eachN, 0);
  const slides = push > 0 ? (FRICTION * Math.max(0, weight - lift) + held) / push : Infinity;
  // About the edge on the lee side: half of what holds is on the other one.
  const over = (lift * widthMm) / 2 + (push * quarterMm) / 2;
  const tips = over > 0 ? (weight * (widthMm / 2) + (held / 2) * widthMm) / over : Infinity;
  const times = Math.min(slides, tips);
  // What must hold in all, for neither.
  const slip = SAFETY * push - FRICTION * Math.max(0, weight - lift);
  const turn = (2 * (SAFETY * over - weight * (widthMm / 2))) / widthMm;
  const figure = worked({
    label: 'Push of the wind from the side',
    quantity: 'force',
    formula:
      'push = pressure near the ground × pressing and sucking, together × height at a quarter of the width × length',
    terms: [
      term('pressure near the ground', q, 'pressure'),
      term('pressing and sucking, together', coefficient, 'ratio'),
      term('height at a quarter of the width', quarterMm, 'length'),
      term('length', lengthMm, 'length'),
    ],
    besides: [
      term('lift at the same time', lift, 'force'),
      term('weight of the cover', weight, 'force'),
      term('what holds it, all together', held, 'force'),
      term('friction', FRICTION, 'ratio'),
      term('holds against sliding, times the push', slides, 'times'),
      term('holds against tipping, times what tips it', tips, 'times'),
      term('times wanted', SAFETY, 'times'),
    ],
    source: 'ASCE/SEI 7, fig. 27.3-1 and 27.3-3; moments about the edge on the lee side.',
    assumes: [...WIND_LEFT_OUT, 'What holds stands half on each long side, and holds sideways as much as upward.'],
  });
  return measured({
    id: 'push',
    leaf: 'stand',
    about: aboutHolds(a),
    under: 'gust',
    measure: { demand: push > 0 ? 1 : 0, capacity: times, margin: WIND_MARGIN },
    text:
      push === 0
        ? ['No wind is asked of this cover.']
        : phrase`Wind from the side pushes with ${amount(push, 'force')}: it ${slides < tips ? 'slides' : 'tips'} first, ${amount(times, 'times')} times the wind asked for; a half more is wanted.`,
    figure,
    caution: WIND_LEFT_OUT[0],
    tries: times >= SAFETY ? [] : holdMore(a, Math.max(slip, turn) - held),
  });
}
