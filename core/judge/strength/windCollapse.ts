/** Hoops in the gust asked for: whether the wind folds them. */
import type { ArchRow } from '../../cover/assembly/rows';
import type { Assembly } from '../../cover/assembly/types';
import { MEASURED_AT_C, softensPerC, stiffAt, stiffnessNMm2 } from '../../catalog/sections';
import { amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { borneOn, keptLoadCurve } from '../frame/hoop';
import { aboutHoops } from './about';
import { type Check, type CheckSite, measured } from './check';
import { stouterHoops } from './hoopChecks';
import { curvatureLimitPerMm, givesBy } from './limits';
import { CORE_COUNTS } from './snowStrength';
import { reliabilityOf, reliabilityWords } from './reliability';
import { INSIDE, WIND_LEFT_OUT, gustPa, pressureOn } from './windLoads';

/** Pipe under film in the sun of a summer storm, C. Source: our own figure; a noon in spring warms it as much. */
export const WARM_C = 40;

/** Covers that let the wind through do not load their hoops so. */
const SOLID = ['film', 'fabric', 'shade'];

/** Loads on a shut hoop in the wind, by what presses inside it: as parts of the gust's pressure. What sucks is always worse on loose feet. */
const SUCKING = { name: 'wind, shut, sucking inside', inside: -INSIDE.shut };
const PRESSING = { name: 'wind, shut, pressing inside', inside: INSIDE.shut };

/**
 * A sheet that only lies weighted can be taken off before a storm, whatever its hoops are of; not before every fresh wind. Source: our own
 * figure, gusts of Beaufort 6, some days a month.
 */
const STRIPPED_M_PER_S = 12;

/** Followed no further than so many times what is asked: beyond, it holds. */
const FAR_ENOUGH = 3;

/** How many times the pressure of the gust a hoop of a row bears until it folds, kinks or yields; nothing over three times, or in no wind. */
export function gustBorne(
  arch: ArchRow,
  pa: number,
): { readonly times: number; readonly by: 'sway' | 'snap' | 'curvature' | 'drop' } | undefined {
  const { hoop, section, core, sprung, spacingMm } = arch;
  const span = hoop.spanMm;
  const stiff = (of: typeof section): number => stiffnessNMm2(of, 'fresh', 'thickness', WARM_C);
  const eiNMm2 = stiff(section) + (core ? CORE_COUNTS * stiff(core) : 0);
  const asked = ((pa * spacingMm) / 1e6) * (span ** 3 / eiNMm2);
  if (!(asked > 0)) return undefined;
  const bends = curvatureLimitPerMm(section, 'gust') * span;
  const cases = hoop.feet.kind === 'fixed' ? [SUCKING, PRESSING] : [SUCKING];
  return cases
    .flatMap(({ name, inside }) => {
      const load = { name, shape: () => 0, pressure: pressureOn(hoop.heightMm / span, inside) };
      const curve = keptLoadCurve(hoop, sprung, load, 0, bends, FAR_ENOUGH * asked);
      // A hoop that finds no rest by itself bears nothing.
      const { load: most, by } = curve ? borneOn(curve, bends, Infinity) : { load: 0, by: 'sway' as const };
      return most < FAR_ENOUGH * asked ? [{ times: most / asked, by }] : [];
    })
    .sort((a, b) => a.times - b.times)[0];
}

/** Whether the gust asked for folds the hoops of a row, shut. Wind along it is for posts and braces. */
export function blownCheck(arch: ArchRow, a: Assembly, site: CheckSite): readonly Check[] {
  if (!a.sheets.some((s) => SOLID.includes(s.cover.kind))) return [];
  const q = gustPa(site.gustMPerS, site.exposure);
  const found = gustBorne(arch, q);
  const what = arch.what ?? 'Hoops';
  const times = found?.times ?? FAR_ENOUGH;
  // The pressure grows with the square of the gust.
  const holdsToMPerS = site.gustMPerS * Math.sqrt(times);
  const stripped = times < 1 && a.enclosure.loose === true && holdsToMPerS >= STRIPPED_M_PER_S;
  const gives = found?.by === 'curvature' ? givesBy(arch.section.material) : 'fold';
  const { stiffness, limit } = arch.section.spreads;
  const of =
    found &&
    reliabilityOf(
      ([gust = 1, stiff = 1, bend = 1]) =>
        (times * (found.by === 'curvature' ? Math.min(stiff, bend) : stiff)) / gust ** 2,
      [site.gustSpread, stiffness, limit],
    );
  const figure = worked({
    label: 'Wind that the hoops bear',
    quantity: 'pressure',
    formula: 'wind borne = pressure near the ground × times it is borne',
    terms: [term('pressure near the ground', q, 'pressure'), term('times it is borne', times, 'times')],
    besides: [
      term('gust', site.gustMPerS, 'speed'),
      term('spacing of hoops', arch.spacingMm, 'length'),
      term('span', arch.hoop.spanMm, 'length'),
      term(
        `stiffness left at ${WARM_C} °C, of that at ${MEASURED_AT_C}`,
        stiffAt(softensPerC(arch.section.material), WARM_C),
        'ratio',
      ),
    ],
    source:
      'ASCE/SEI 7, fig. 27.3-3, arched roofs springing from the ground, with inside pressure of a shut cover; slender frame with large displacements, as for snow.',
    assumes: [
      'Fresh pipe, warm under its cover. Shut: with an end open to the wind it bears half of that or less.',
      ...(found ? [] : ['Followed to three times the pressure asked, no further.']),
      ...WIND_LEFT_OUT,
    ],
  });
  return [
    measured({
      id: 'blown',
      leaf: 'stand',
      about: aboutHoops(arch),
      under: 'gust',
      measure: { demand: q > 0 ? 1 : 0, capacity: times, ...(stripped && { mild: true }) },
      sure: of && { of, words: reliabilityWords(of, ['such a gust']) },
      text: found
        ? times < 1e-3
          ? [`${what} are bent so far that any wind makes them ${gives}.`]
          : phrase`Shut, ${what.toLowerCase()} ${gives} in a gust of ${amount(holdsToMPerS, 'speed')}; ${amount(site.gustMPerS, 'speed')} is asked.${stripped ? ' Take the sheet off before a stronger wind than that.' : ''}`
        : phrase`Shut in a gust of ${amount(site.gustMPerS, 'speed')}, ${what.toLowerCase()} would bear more than three times its pressure.`,
      figure,
      caution: WIND_LEFT_OUT[0],
      tries: stouterHoops(arch, site.site.catalog),
    }),
  ];
}
