import type { BentHoop } from '../../build/hoop/types';
import type { ArchRow } from '../../build/assembly/types';
import { stiffnessNMm2, thicknessMm } from '../../catalog/sections';
import { type Figure, amount } from '../../base/figure';
import { fibreStrainPercent } from '../../build/hoop/strain';

const SOURCE =
  'Planar elastica: A. E. H. Love, Mathematical Theory of Elasticity, art. 262; elliptic integrals after Carlson.';
const ASSUMES = ['A straight pipe of even stiffness, bent in one plane, without weight.'];

/** Push of one foot outward, N: fresh pipe; none where hoops were bent to shape beforehand. */
export function footThrustN(arch: ArchRow): number {
  return arch.sprung ? arch.hoop.thrustOverEIPerMm2 * stiffnessNMm2(arch.section, 'fresh') : 0;
}

/** What one hoop of a row is like: size, angle, push, strain; each with its reason. */
export function hoopFigures(arch: ArchRow): readonly Figure[] {
  const { hoop } = arch;
  const s = arch.section;
  const ei = stiffnessNMm2(s, 'fresh');
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
    'strain = greatest curvature × outside radius',
    [
      { name: 'greatest curvature, 1 / radius of', ...amount(1 / hoop.maxCurvaturePerMm, 'length') },
      { name: 'outside radius', ...amount(od / 2, 'length') },
    ],
  );
  return [
    figure(
      'Crown above the feet',
      hoop.heightMm,
      'length',
      loose
        ? 'height = length × k / K(k), where span / length = 2E/K − 1'
        : 'height = 2 (1 − cos a) / (crown + foot curvature)',
      given,
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
      loose ? 'k = sin(a / 2)' : 'held by the rod or socket',
      given,
    ),
    figure(
      'Push of one foot outward',
      footThrustN(arch),
      'force',
      loose ? 'thrust = E I (2K / length)²' : 'thrust = E I m κ² / 4, κ the crown curvature',
      [...given, { name: 'stiffness E I, fresh', ...amount(ei / 1e6, 'stiffness') }],
    ),
    figure('Tightest bend radius', 1 / hoop.maxCurvaturePerMm, 'length', 'radius = 1 / greatest curvature', given),
    ...(arch.sprung ? [strain] : []),
  ];
}

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
