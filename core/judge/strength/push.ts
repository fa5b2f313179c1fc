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
  // About the edge on the lee side half of what holds is on the other one: forces at that other edge.
  const [rubs, tipping, keeps] = [
    FRICTION * Math.max(0, weight - lift) + held,
    lift / 2 + (push * quarterMm) / (2 * widthMm),
    (weight + held) / 2,
  ];
  const slides = push > 0 ? rubs / push : Infinity;
  const tips = tipping > 0 ? keeps / tipping : Infinity;
  // What must hold in all, for neither.
  const slip = SAFETY * push - FRICTION * Math.max(0, weight - lift);
  const turn = 2 * SAFETY * tipping - weight;
  const common = [term('weight of the cover', weight, 'force'), term('what holds it, all together', held, 'force')];
  const blowing = [
    term('pressure near the ground', q, 'pressure'),
    term('pressing and sucking, together', coefficient, 'ratio'),
    term('height at a quarter of the width', quarterMm, 'length'),
    term('length', lengthMm, 'length'),
  ];
  const pushed =
    'pressure near the ground × pressing and sucking, together × height at a quarter of the width × length';
  const rest = {
    quantity: 'force',
    source: 'ASCE/SEI 7, fig. 27.3-1 and 27.3-3; moments about the edge on the lee side.',
    assumes: [...WIND_LEFT_OUT, 'What holds stands half on each long side, and holds sideways as much as upward.'],
  } as const;
  const figure =
    slides <= tips
      ? worked({
          ...rest,
          label: 'Push of the wind from the side',
          formula: `push = ${pushed}`,
          terms: blowing,
          besides: [
            ...common,
            term('lift at the same time', lift, 'force'),
            term('friction', FRICTION, 'ratio'),
            term('what keeps it in its place', rubs, 'force'),
          ],
        })
      : worked({
          ...rest,
          label: 'What lifts its windward edge',
          formula: `lift of the edge = lift of the whole / 2 + ${pushed} × height at a quarter of the width / (2 × width)`,
          terms: [...blowing, term('lift of the whole', lift, 'force'), term('width', widthMm, 'length')],
          besides: [...common, term('what keeps the edge down', keeps, 'force')],
        });
  const [demand, capacity] = slides <= tips ? [push, rubs] : [tipping, keeps];
  return measured({
    id: 'push',
    leaf: 'stand',
    about: aboutHolds(a),
    under: 'gust',
    measure: { demand: push > 0 ? demand : 0, capacity, margin: WIND_MARGIN },
    text:
      push === 0
        ? ['No wind is asked of this cover.']
        : slides <= tips
          ? phrase`Wind from the side pushes with ${amount(demand, 'force')}. Friction and what holds it bear ${amount(capacity, 'force')} before it slides; you need ${amount(SAFETY * demand, 'force')}.`
          : phrase`Wind from the side lifts the edge that faces it with ${amount(demand, 'force')}. Weight and what holds it keep down ${amount(capacity, 'force')} before it tips over; you need ${amount(SAFETY * demand, 'force')}.`,
    figure,
    caution: WIND_LEFT_OUT[0],
    tries: Math.min(slides, tips) >= SAFETY ? [] : holdMore(a, Math.max(slip, turn) - held),
  });
}
