import type { BentHoop, Elastica } from '../../cover/hoop/types';
import type { ArchRow } from '../../cover/assembly/rows';
import { stiffnessNMm2, thicknessMm } from '../../catalog/sections';
import { type Figure, type Term, term } from '../../base/figure';
import { worked } from '../../base/formula';

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
  const span = term('span, centre to centre', hoop.spanMm, 'length');
  const long = term('sprung length of pipe', hoop.lengthMm, 'length');
  const foot = term('angle at the foot', hoop.footAngleDeg, 'angle');
  const half = Math.sin((hoop.footAngleDeg * Math.PI) / 360);
  // The complete integral that the length came out of: thrust / EI = (2 K / length)².
  const k = term('K, complete elliptic integral of sin(a / 2)', wholeK(hoop), 'plain');
  const perMetre = (name: string, perMm: number): Term => term(name, perMm * 1000, 'plain');
  const curvatures = [
    perMetre('crown curvature, 1/m', hoop.crownCurvaturePerMm),
    perMetre('foot curvature, 1/m', hoop.footCurvaturePerMm),
  ];
  const stiff = term('stiffness E I, fresh', ei / 1e6, 'stiffness');
  const figure = (
    label: string,
    quantity: Figure['quantity'],
    formula: string,
    terms: readonly Term[],
    besides: readonly Term[] = [],
  ): Figure => worked({ label, quantity, formula, terms, besides, source: SOURCE, assumes: ASSUMES });
  /** What comes out of the curve as a whole, by no formula of its own. */
  const solved = (label: string, value: number, quantity: Figure['quantity'], formula: string): Figure => ({
    label,
    value,
    quantity,
    formula,
    terms: [],
    besides: [span, long],
    source: SOURCE,
    assumes: ASSUMES,
  });
  return [
    loose
      ? figure(
          'Crown above the feet',
          'length',
          'height = sprung length of pipe × sin(angle at the foot / 2) / K, complete elliptic integral of sin(a / 2)',
          [long, foot, k],
          [span],
        )
      : figure(
          'Crown above the feet',
          'length',
          'height = 2 × (1 − cos(angle at the foot)) / (crown curvature, 1/m + foot curvature, 1/m)',
          [foot, ...curvatures],
          [span, long],
        ),
    solved('Widest point', hoop.maxWidthMm, 'length', 'twice the run from the crown to where the pipe stands upright'),
    solved(
      'Angle at the foot',
      hoop.footAngleDeg,
      'angle',
      loose ? 'solved from span / length = 2E/K − 1, k = sin(a / 2)' : 'held by the rod or socket',
    ),
    figure(
      'Tightest bend radius',
      'length',
      'radius = 1 / greatest curvature, 1/m',
      [perMetre('greatest curvature, 1/m', hoop.maxCurvaturePerMm)],
      [span, long],
    ),
    ...(arch.sprung
      ? [
          loose
            ? figure(
                'Push of one foot outward',
                'force',
                'thrust = stiffness E I, fresh × (2 × K, complete elliptic integral of sin(a / 2) / sprung length of pipe)²',
                [long, k, stiff],
                [span],
              )
            : figure(
                'Push of one foot outward',
                'force',
                'thrust = stiffness E I, fresh × (crown curvature, 1/m² − foot curvature, 1/m²) / (4 × sin² of half the angle)',
                [term('sin² of half the angle', half ** 2, 'plain'), ...curvatures, stiff],
                [span, long, foot],
              ),
          figure('Fibre strain', 'percent', 'strain = outside radius / tightest bend radius', [
            term('tightest bend radius', 1 / hoop.maxCurvaturePerMm, 'length'),
            term('outside radius', od / 2, 'length'),
          ]),
        ]
      : []),
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
    terms: [],
    besides: [
      term('span, centre to centre', hoop.spanMm, 'length'),
      term('developed length of the centre line', hoop.lengthMm, 'length'),
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
