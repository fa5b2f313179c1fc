import { amount, phraseText } from '../../../base/figure';
import { type Result, fail, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import { soilZ } from '../../assembly/crop';
import type { Assembly, Step } from '../../assembly/types';
import { CAUTIONS } from '../../guide/cautions';
import { MINUTES, cutStep, step } from '../../guide/step';
import { footDimension, looseTunnel, tunnelRow } from '../../parts/looseTunnel';
import { holesStep, looseCoverStep, tunnelRidge } from '../../parts/tunnelSteps';
import { type WireTunnelAnswers, widestMm } from './answers';

const FROM_WALL_MM = 25;

/** Builds the tunnel: wire bent to shape beforehand, legs in the soil, light fabric weighted at the foot. */
export function assembleWireTunnel(a: WireTunnelAnswers, site: BuildSite): Result<Assembly> {
  const spanMm = a.spanMm ?? site.bed.inside.widthMm - 2 * FROM_WALL_MM;
  const widest = widestMm(a.pipe);
  if (spanMm > widest + 0.5)
    return fail(
      'span',
      phraseText(
        [
          `${a.pipe.name} carries fabric over at most `,
          amount(widest, 'length'),
          '. Make the span smaller',
          a.pipe.key === 'wire-10' ? ', or use 9 gauge.' : ', or choose a pipe tunnel.',
        ],
        { length: 'in', temperature: 'C', currency: 'USD' },
      ),
    );
  const found = tunnelRow(
    a,
    {
      // Wire takes the bend it is given: a true arc that meets upright legs.
      feet: { kind: 'held', angleDeg: 90 },
      spanMm,
      baseZ: soilZ(site.bed),
      aboveMm: 0,
      belowMm: a.legDepthMm,
      endInsetMm: site.bed.wall.thicknessMm,
      sprung: false,
    },
    site,
  );
  if (!found.ok) return found;
  const row = found.value;
  const shape: Step = step({
    id: 'bend',
    title: 'Bend the wire',
    view: 'end',
    tags: row.hoops.map((h) => h.tag),
    work: [
      [
        'Bend each wire round a board or a bucket to the curve drawn, with a straight leg of ',
        amount(a.legDepthMm, 'length'),
        ' at both ends.',
      ],
      ['Lay it on the first one: all alike.'],
      ['Turn a small loop in each end that stays above the soil, or cap it.'],
    ],
    tools: ['pliers', 'gloves', 'eye protection'],
    checks: [['Every hoop lies on the first without a gap']],
    cautions: ['A sprung wire end finds an eye: wear eye protection, and hold both ends when you cut.'],
    minutes: row.hoops.length * MINUTES.bend,
  });
  return ok(
    looseTunnel(a, row, site, {
      members: [],
      hardware: [],
      on: 'soil',
      holdDowns: [{ what: 'wire legs in the soil', count: 2 * row.hoops.length, eachN: 20 }],
      contacts: [],
      sleeves: [],
      dimensions: [footDimension('span', 'span', row, spanMm), footDimension('bury', 'in the soil', row, a.legDepthMm)],
      steps: (hardware) => [
        cutStep(row.hoops),
        shape,
        holesStep(row, a.legDepthMm),
        ...tunnelRidge(a, row, hardware),
        { ...looseCoverStep(a, row, hardware), cautions: [CAUTIONS.snow] },
      ],
      remarks: [],
    }),
  );
}
