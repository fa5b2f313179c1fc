import { type Result, ok } from '../../../base/result';
import { stiffSheet } from '../../../catalog/catalog';
import type { BuildSite } from '../../../site/buildSite';
import { BARE } from '../../assembly/bare';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import type { DriftedOn } from '../../assembly/rows';
import type { Said } from '../../assembly/types';
import { built } from '../../guide/built';
import { glazingCover } from '../../parts/glazing';
import { hungLids } from '../../parts/hungLids';
import type { LeanToAnswers } from './answers';
import { frameOf } from './frame';
import { leanToStages } from './stages';

/** The shutters lap over the header that they hang on. */
const LAP_MM = 38;

/** How the shutters are spoken of. */
const SHUTTERS = {
  one: 'shutter',
  many: 'shutters',
  upper: 'top',
  lower: 'bottom',
  hang: 'Shutters to the header',
  shut: 'Shutters to the sill',
  pane: 'J',
};

/** Builds the lean-to: rafters from a plate on the wall to a low front on the bed, shutters in front, glazed or under film. */
export function assembleLeanTo(a: LeanToAnswers, site: BuildSite): Result<Said> {
  const made = frameOf(a, site);
  if (!made.ok) return made;
  const f = made.value;
  const { x0, x1, z0, width, roof, xs, t } = f;
  const hangZ = f.headZ + LAP_MM;
  const shutters = hungLids(
    { ...a, glazing: a.glazing === 'film' ? 'film-both' : a.glazing, overhangMm: 0, bars: null },
    hangZ - z0,
    {
      x0,
      x1,
      back: { y: 0, z: hangZ },
      front: { y: 0, z: z0 },
      site,
      called: SHUTTERS,
    },
  );
  const spacing = (xs[1] ?? x1) - (xs[0] ?? x0) || x1 - x0;
  const rafters = { id: 'rafters', now: xs.length, words: ['rafter', 'rafters'] } as const;
  const drifted = (by: DriftedOn['by']): DriftedOn => ({ wallMm: a.wallOverMm, runMm: width, by });
  const bears = { across: 'width', gable: false } as const;
  const floorM2 = ((x1 - x0) * width) / 1e6;
  return ok({
    ...BARE,
    ...built(leanToStages(a, f, shutters, site)),
    openings: shutters.openings,
    beams: [
      {
        ...bears,
        tags: f.rafters.map((m) => m.tag),
        what: 'Rafters',
        section: a.rafter,
        spanMm: (width - 2 * t) / Math.cos(roof.angle),
        loadWidthMm: spacing,
        slopeDeg: roof.deg,
        drift: drifted('slope'),
        asked: rafters,
      },
      ...f.header.members.slice(0, 1).map((m) => ({
        ...bears,
        tags: [m.tag],
        what: 'Front header',
        section: m.section,
        spanMm: (x1 - x0) / a.lids,
        loadWidthMm: width / 2,
        slopeDeg: 0,
        drift: drifted('far end'),
      })),
    ],
    spans:
      a.glazing === 'film'
        ? []
        : [
            {
              sheet: stiffSheet(site.catalog, a.glazing),
              spanMm: spacing,
              slopeDeg: roof.deg,
              drift: drifted('strip'),
              asked: rafters,
            },
          ],
    under: [
      { y: 0, z: f.headZ },
      { y: t, z: Math.min(f.headZ, roof.under(t)) },
      { y: t, z: roof.under(t) },
      { y: width - t, z: roof.under(width - t) },
    ],
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, lengthMm: x1 - x0, widthMm: width },
    fixing: 'battens',
    enclosure: {
      skins: [
        {
          cover: a.glazing === 'film' ? a.cover : glazingCover(site.catalog, a.glazing),
          m2: (f.slopeMm * (x1 - x0) + width * (f.lowMm + f.highMm)) / 1e6 + shutters.areaM2,
        },
      ],
      floorM2,
      volumeM3: (floorM2 * (f.lowMm + f.highMm)) / 2e3,
      heightM: a.backMm / 1000,
    },
    dimensions: [
      endWidth('boxWidth', 'front to wall', x0, [0, width], false),
      endHeight('front', 'header above the bed', 'left', [x0, 0], [z0, z0 + a.frontMm]),
      endHeight('backHeight', 'wall plate above the bed', 'right', [x0, width], [z0, z0 + a.backMm]),
      leader(
        'rafterLength',
        'rafter, long points',
        'end',
        [x0, width / 2, roof.top(width / 2)],
        f.rafters[0]?.lengthMm ?? 0,
        false,
      ),
      ...alongBed(a, site, [x0, x1], 'frame', { xs, label: 'rafter to rafter' }),
    ],
    remarks: [
      'Snow that drifts against a bare wall is counted. Under a roof more blows and slides down, which is not: brace it for more, or ask an engineer.',
    ],
  });
}
