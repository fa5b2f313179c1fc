import type { BentHoop, Elastica } from '../../build/hoop/types';
import type { ArchRow } from '../../build/assembly/rows';
import { stiffnessNMm2, thicknessMm } from '../../catalog/sections';
import { type Figure, amount } from '../../base/figure';
import { fibreStrainPercent } from '../../build/hoop/strain';

const SOURCE =
  'Planar elastica: A. E. H. Love, Mathematical Theory of Elasticity, art. 262; elliptic integrals after Carlson.';
const ASSUMES = ['A straight pipe of even stiffness, bent in one plane, without weight.'];

/** Bending stiffness of one fresh hoop, N mm2: its pipe, and what goes inside it and springs with it. */
const rowStiffnessNMm2 = ({ section, core }: ArchRow): number =>
  stiffnessNMm2(section, 'fresh') + (core ? stiffnessNMm2(core, 'fresh') : 0);

/** Push of one foot outward, N: fresh pipe; none where hoops were bent to shape beforehand. */
export function footThrustN(arch: ArchRow): number {
  return arch.sprung ? arch.hoop.thrustOverEIPerMm2 * rowStiffnessNMm2(arch) : 0;
}

/** What one hoop of a row is like: size, angle, push, strain; each with its reason. */
export function hoopFigures(arch: ArchRow): readonly Figure[] {
  const { hoop } = arch;
  const s = arch.section;
  const ei = rowStiffnessNMm2(arch);
  const od = thicknessMm(s);
  if ('points' in hoop) return shapedFigures(arch, hoop);
  const loose = hoop.feet.kind === 'pinned';
  const given = [
    { name: 'span, centre to centre', ...amount(hoop.spanMm, 'length') },
    { name: 'sprung length of pipe', ...amount(hoop.lengthMm, 'length') },
  ];
  const figure = (
    label: string,
    value: number,
    quantity: Figure['quantity'],
    formula: string,
    terms: Figure['terms'],
  ): Figure => ({ label, value, quantity, formula, terms, source: SOURCE, assumes: ASSUMES });
  const strain = figure(
    'Fibre strain',
    fibreStrainPercent(hoop.maxCurvaturePerMm, od),
    'percent',
    'strain = outside radius / tightest bend radius',
    [
      { name: 'tightest bend radius', ...amount(1 / hoop.maxCurvaturePerMm, 'length') },
      { name: 'outside radius', ...amount(od / 2, 'length') },
    ],
  );
  const foot = { name: 'angle at the foot', ...amount(hoop.footAngleDeg, 'angle') };
  const half = Math.sin((hoop.footAngleDeg * Math.PI) / 360);
  // The complete integral that the length came out of: thrust / EI = (2 K / length)².
  const k = { name: 'K, complete elliptic integral of sin(a / 2)', ...amount(wholeK(hoop), 'plain') };
  const perMetre = (name: string, perMm: number): Figure['terms'][number] => ({
    name,
    ...amount(perMm * 1000, 'plain'),
  });
  const curvatures = [
    perMetre('crown curvature, 1/m', hoop.crownCurvaturePerMm),
    perMetre('foot curvature, 1/m', hoop.footCurvaturePerMm),
  ];
  const stiff = { name: 'stiffness E I, fresh', ...amount(ei / 1e6, 'stiffness') };
  const push = loose
    ? figure(
        'Push of one foot outward',
        footThrustN(arch),
        'force',
        'thrust = stiffness E I, fresh × (2 × K, complete elliptic integral of sin(a / 2) / sprung length of pipe)²',
        [...given, k, stiff],
      )
    : figure(
        'Push of one foot outward',
        footThrustN(arch),
        'force',
        'thrust = stiffness E I, fresh × (crown curvature, 1/m² − foot curvature, 1/m²) / (4 × sin² of half the angle)',
        [...given, foot, { name: 'sin² of half the angle', ...amount(half ** 2, 'plain') }, ...curvatures, stiff],
      );
  return [
    loose
      ? figure(
          'Crown above the feet',
          hoop.heightMm,
          'length',
          'height = sprung length of pipe × sin(angle at the foot / 2) / K, complete elliptic integral of sin(a / 2)',
          [...given, foot, k],
        )
      : figure(
          'Crown above the feet',
          hoop.heightMm,
          'length',
          'height = 2 × (1 − cos(angle at the foot)) / (crown curvature, 1/m + foot curvature, 1/m)',
          [...given, foot, ...curvatures],
        ),
    figure(
      'Widest point',
      hoop.maxWidthMm,
      'length',
      'twice the run from the crown to where the pipe stands upright',
      given,
    ),
    figure(
      'Angle at the foot',
      hoop.footAngleDeg,
      'angle',
      loose ? 'solved from span / length = 2E/K − 1, k = sin(a / 2)' : 'held by the rod or socket',
      given,
    ),
    figure('Tightest bend radius', 1 / hoop.maxCurvaturePerMm, 'length', 'radius = 1 / greatest curvature, 1/m', [
      ...given,
      perMetre('greatest curvature, 1/m', hoop.maxCurvaturePerMm),
    ]),
    ...(arch.sprung ? [push, strain] : []),
  ];
}

/** K of a hoop with loose feet, from its thrust: (2 K / length)² = thrust / EI. */
const wholeK = (hoop: Elastica): number => (hoop.lengthMm / 2) * Math.sqrt(Math.max(0, hoop.thrustOverEIPerMm2));

/** Of a hoop bent or joined to shape beforehand: only its geometry. */
function shapedFigures(arch: ArchRow, hoop: BentHoop): readonly Figure[] {
  const figure = (label: string, value: number, formula: string): Figure => ({
    label,
    value,
    quantity: 'length',
    formula,
    terms: [
      { name: 'span, centre to centre', ...amount(hoop.spanMm, 'length') },
      { name: 'developed length of the centre line', ...amount(hoop.lengthMm, 'length') },
    ],
    source: 'Geometry of straights and arcs.',
    assumes: ['Bent or joined as drawn.'],
  });
  return [
    figure('Crown above the feet', hoop.heightMm, 'height = highest point of the centre line'),
    figure('Pipe in one hoop', arch.cutMm, 'pipe = straights + arcs + what goes into sockets or holes'),
    ...(hoop.maxCurvaturePerMm > 0
      ? [figure('Bend radius', 1 / hoop.maxCurvaturePerMm, 'radius of the bender, on the centre line')]
      : []),
  ];
}
