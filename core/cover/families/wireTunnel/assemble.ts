import { joint } from '../../joints';
import { amount, phrase, phraseText } from '../../../base/figure';
import { type Result, fail, ok } from '../../../base/result';
import type { BuildSite } from '../../../site/buildSite';
import { soilZ } from '../../assembly/crop';
import type { AssemblySpec } from '../../assembly/types';
import { CAUTIONS } from '../../joints/cautions';
import { MINUTES, stage } from '../../guide/stage';
import { looseTunnel } from '../../parts/looseTunnel';
import { footDimension, tunnelRow } from '../../parts/tunnelRow';
import { holesStage, tunnelRidgeStages } from '../../parts/tunnelStages';
import { type WireTunnelAnswers, widestMm } from './answers';

const FROM_WALL_MM = 25;

/** Builds the tunnel: wire bent to shape beforehand, legs in the soil, light fabric weighted at the foot. */
export function assembleWireTunnel(a: WireTunnelAnswers, site: BuildSite): Result<AssemblySpec> {
  const spanMm = a.spanMm ?? site.bed.inside.widthMm - 2 * FROM_WALL_MM;
  const widest = widestMm(a.pipe);
  if (spanMm > widest + 0.5)
    return fail(
      'span',
      phraseText(
        phrase`${a.pipe.name} carries fabric over at most ${amount(widest, 'length')}. Make the span smaller${a.pipe.key === 'wire-10' ? ', or use 9 gauge.' : ', or choose a pipe tunnel.'}`,
        { length: 'in', temperature: 'C', currency: 'USD' },
      ),
    );
  const found = tunnelRow(
    a,
    {
      // Wire takes the bend it is given: a true arc that meets upright legs.
      feet: { kind: 'fixed', angleDeg: 90 },
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
  const shape = stage({
    id: 'bend',
    title: 'Bend the wire',
    view: 'end',
    pieces: row.hoops,
    work: [
      phrase`Bend each wire round a board or a bucket to the curve drawn, with a straight leg of ${amount(a.legDepthMm, 'length')} at both ends.`,
      'Lay it on the first one: all alike.',
      'Turn a small loop in each end that is left above the soil.',
    ],
    tools: ['pliers', 'gloves', 'eye protection'],
    checks: ['Every hoop lies on the first without a gap'],
    cautions: [CAUTIONS.wire],
    minutes: row.hoops.length * MINUTES.bend,
  });
  const feet = joint('wireInSoil', 'feet', 'Wire legs in the soil', row.hoops, row.feetAt);
  return ok(
    looseTunnel(a, row, site, {
      on: 'soil',
      dimensions: [footDimension('span', 'span', row, spanMm), footDimension('bury', 'in the soil', row, a.legDepthMm)],
      stages: (cover) => [
        'cut',
        shape,
        holesStage(row, a.legDepthMm, feet),
        ...tunnelRidgeStages(row),
        { ...cover, cautions: [CAUTIONS.snow] },
      ],
    }),
  );
}
