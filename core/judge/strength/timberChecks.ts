/** What is asked of straight bars, of stiff sheets between them, and of whoever lifts the parts. */
import type { Section } from '../../catalog/types';
import { type Catalog, sectionsLike } from '../../catalog/catalog';
import type { MovingPart } from '../../cover/assembly/openings';
import type { BeamRow } from '../../cover/assembly/rows';
import { boardShape } from '../../catalog/sections';
import type { Assembly } from '../../cover/assembly/types';
import { type Figure, type Phrase, amount, phrase, term } from '../../base/figure';
import { worked } from '../../base/formula';
import { aboutMoving, aboutTags } from './about';
import { type Check, measured, moreOf } from './check';
import { sureOfSnow } from './hoopChecks';
import { type DesignSnow, snowDepthMm } from './snow';
import { LEFT_OUT, type SnowStrength, PAST_LIMIT } from './snowStrength';

/** Boards of the same market with more depth, the least first. */
function stouterBoards(now: Section, catalog: Catalog): readonly Section[] {
  if (now.shape.kind !== 'board') return [];
  const size = (s: Section): number => boardShape(s).widthMm * boardShape(s).thicknessMm;
  return sectionsLike(catalog, now)
    .filter((s) => s.market === now.market && boardShape(s).widthMm <= 150 && size(s) > size(now))
    .sort((a, b) => size(a) - size(b))
    .slice(0, 4);
}

/** What makes bars carry more snow. */
export const beamTries = (beam: BeamRow, catalog: Catalog): Check['tries'] => [
  ...stouterBoards(beam.section, catalog).map((s) => ({
    label: [s.name] as Phrase,
    change: { kind: 'bar', key: s.key } as const,
  })),
  ...moreOf(beam.asked, 4),
];

/** Whether the bars carry the snow asked of them. */
export function beamCheck(
  a: Pick<Assembly, 'members'>,
  beam: BeamRow,
  strength: SnowStrength,
  snow: DesignSnow,
  catalog: Catalog,
): Check {
  const askedMm = snowDepthMm(snow.groundPa);
  const words = phrase`${beam.what}: ${amount(strength.wetSnowMm, 'snowDepth')} of wet snow is the most; you need ${amount(askedMm, 'length')}. With more ${PAST_LIMIT[strength.governs]}.`;
  return measured({
    id: `beam ${beam.what}`,
    leaf: 'stand',
    about: aboutTags(a, beam.tags),
    under: 'snow',
    measure: { demand: Number.isFinite(strength.ratio) ? 1 : 0, capacity: strength.ratio },
    sure: sureOfSnow(strength, snow),
    text: snow.flatPa === 0 || !Number.isFinite(strength.ratio) ? [`${beam.what}: no snow bends them.`] : words,
    figure: Number.isFinite(strength.wetSnowMm) ? strength.figures[0] : undefined,
    caution: LEFT_OUT.join(' '),
    tries: beamTries(beam, catalog),
  });
}

/** What one and two people lift, kg. */
const LIFT_KG = { 1: 15, 2: 30 } as const;

/** Whether a part can be lifted, carried or rolled, and whether an opener lifts its lid. */
export function liftCheck(a: Pick<Assembly, 'members'>, part: MovingPart, lift: Figure | undefined): readonly Check[] {
  if (!lift) return [];
  const most = LIFT_KG[part.people];
  const who = part.people === 1 ? 'one person' : 'two people';
  const checks: Check[] = [
    measured({
      id: `lift ${part.name.replace(/ \d+$/, '')}`,
      leaf: 'stand',
      about: aboutMoving(a, part),
      measure: { demand: lift.value, capacity: most },
      text: phrase`${part.name}: ${amount(lift.value, 'mass')}${part.motion === 'hinged' ? ' at the handle; ' : part.motion === 'rolled' ? ' to roll up; ' : ' to carry; '}${amount(most, 'mass')} is the most for ${who}.`,
      figure: lift,
      caution: undefined,
      tries: [
        { label: ['Lift it with two people'], change: { kind: 'answer', id: 'people', value: '2' } },
        { label: ['A roll bar of pipe'], change: { kind: 'answer', id: 'rollBar', value: 'emt-3/4' } },
        { label: ['A lighter frame'], change: { kind: 'answer', id: 'frame', value: '2x3' } },
        { label: ['The lightest frame'], change: { kind: 'answer', id: 'frame', value: '1x4' } },
        { label: ['Folded ends'], change: { kind: 'answer', id: 'ends', value: 'folded' } },
        { label: ['Twin-wall for the glass'], change: { kind: 'answer', id: 'glazing', value: 'twin-wall-6' } },
      ],
    }),
  ];
  const opener = part.hung?.opener;
  if (opener && part.hung) {
    // The arm pushes nearer the hinge than the middle of the lid, so it lifts more than the lid weighs.
    const need = worked({
      label: 'Lift asked of the opener',
      quantity: 'mass',
      formula: 'lift = weight of the lid × half its length / arm from the hinge',
      terms: [
        term('weight of the lid', 2 * lift.value, 'mass'),
        term('half its length', part.hung.reachMm / 2, 'length'),
        term('arm from the hinge', opener.armMm, 'length'),
      ],
      source: 'Moments about the hinge, with the lid shut, where the lift is greatest.',
      assumes: ['An opener of the usual size. Read the lift on its box.'],
    });
    checks.push(
      measured({
        id: 'opener',
        leaf: 'stand',
        about: aboutMoving(a, part),
        measure: { demand: need.value, capacity: opener.liftsKg },
        text: phrase`The wax opener must lift ${amount(need.value, 'mass')} where its arm pushes; it is made for ${amount(opener.liftsKg, 'mass')}.`,
        figure: need,
        caution: undefined,
        tries: [
          { label: ['Two openers'], change: { kind: 'answer', id: 'openers', value: 2 } },
          { label: ['Open it by hand'], change: { kind: 'answer', id: 'airing', value: 'prop' } },
        ],
      }),
    );
  }
  return checks;
}
