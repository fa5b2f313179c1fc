/** What every box is that stands on its bed's wall and is lower in front than at its back. */
import type { BuildSite } from '../../site/buildSite';
import { alongBed, endHeight, endWidth } from '../assembly/dimension';
import type { BoxPlace, Enclosure, AssemblySpec } from '../assembly/types';

/** What its dimensions are called on the drawings. */
type Called = readonly [width: string, front: string, back: string, along: string];

/**
 * Its footing, its air and its dimensions.
 * @param closed by what, its lids and roof among it
 * @param inside heights of its air in front and at its back, mm, where they are not those that are measured
 */
export function slopedBoxShell(
  a: Parameters<typeof alongBed>[0],
  site: BuildSite,
  { x0, x1, y0, y1, z0, frontMm, backMm }: BoxPlace,
  [width, front, back, along]: Called,
  closed: Pick<Enclosure, 'skins' | 'walls'>,
  each?: Parameters<typeof alongBed>[4],
  inside: readonly [frontMm: number, backMm: number] = [frontMm, backMm],
): Pick<AssemblySpec, 'footing' | 'fixing' | 'enclosure' | 'dimensions'> {
  const [lengthMm, widthMm] = [x1 - x0, y1 - y0];
  const floorM2 = (lengthMm * widthMm) / 1e6;
  return {
    footing: { on: 'wall', stiff: true, lengthMm, widthMm },
    fixing: 'battens',
    enclosure: { ...closed, floorM2, volumeM3: (floorM2 * (inside[0] + inside[1])) / 2e3, heightM: backMm / 1000 },
    dimensions: [
      endWidth('boxWidth', width, x0, [y0, y1], false),
      endHeight('front', front, 'left', [x0, y0], [z0, z0 + frontMm]),
      endHeight('backHeight', back, 'right', [x0, y1], [z0, z0 + backMm]),
      ...alongBed(a, site, [x0, x1], along, each),
    ],
  };
}
