import { type Result, ok } from '../../../base/result';
import { stiffSheet } from '../../../catalog/catalog';
import type { BuildSite } from '../../../site/buildSite';
import { placeExtent } from '../../answers/place';
import { BARE } from '../../assembly/bare';
import { alongBed, endHeight, endWidth, leader } from '../../assembly/dimension';
import { mirrored } from '../../assembly/mirror';
import type { DriftedOn } from '../../assembly/rows';
import type { Said } from '../../assembly/types';
import { crossBoards } from '../../parts/crossBoards';
import { hungLids } from '../../parts/hungLids';
import { glazingCover } from '../../parts/glazing';
import type { LeanToAnswers } from './answers';
import { buildFrame } from './frame';
import { buildSkin } from './skin';
import { leanToSteps } from './steps';

/** The shutters lap over the header that they hang on. */
const LAP_MM = 38;

/** Builds the lean-to: rafters from a plate on the wall to a low front on the bed, shutters in front, glazed or under film. */
export function assembleLeanTo(a: LeanToAnswers, site: BuildSite): Result<Said> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  const { startMm: x0, endMm: x1 } = extent.value;
  const width = survey.frameOn.widthMm;
  const z0 = bed.wall.heightMm;
  const built = buildFrame(a, site, x0, x1);
  if (!built.ok) return built;
  const frame = built.value;
  const { roof, xs, plateMm: t } = frame;
  const skin = buildSkin(a, frame, site, x0, x1);
  const hangZ = frame.headZ + LAP_MM;
  const shutters = hungLids(
    { ...a, glazing: a.glazing === 'film' ? 'film-both' : a.glazing, overhangMm: 0, bars: null },
    hangZ - z0,
    {
      x0,
      x1,
      back: { y: 0, z: hangZ },
      front: { y: 0, z: z0 },
      site,
      safetyFilm: false,
      screened: false,
      behindScreen: false,
      called: {
        one: 'shutter',
        many: 'shutters',
        upper: 'top',
        lower: 'bottom',
        hang: 'Shutters to the header',
        shut: 'Shutters to the sill',
        pane: 'J',
      },
    },
  );
  const across = crossBoards('C', x0, x1, site);
  const spacing = (xs[1] ?? x1) - (xs[0] ?? x0) || x1 - x0;
  const slopeDeg = (roof.angle * 180) / Math.PI;
  const spanMm = (width - 2 * t) / Math.cos(roof.angle);
  const under = [
    { y: 0, z: frame.headZ },
    { y: t, z: Math.min(frame.headZ, roof.under(t)) },
    { y: t, z: roof.under(t) },
    { y: width - t, z: roof.under(width - t) },
  ];
  const joints = [...frame.joints, ...skin.joints, ...shutters.joints, ...across.joints];
  const rafters = { id: 'rafters', now: frame.rafters.length, words: ['rafter', 'rafters'] } as const;
  const drifted = (by: DriftedOn['by']): DriftedOn => ({ wallMm: a.wallOverMm, runMm: width, by });
  const assembly: Said = {
    ...BARE,
    members: [
      ...frame.plates,
      ...frame.uprights,
      ...frame.rafters,
      ...skin.battens,
      ...shutters.members,
      ...across.members,
    ],
    sheets: [...skin.sheets, ...shutters.sheets],
    panels: [...skin.panels, ...shutters.panels],
    joints,
    openings: shutters.openings,
    beams: [
      {
        tags: frame.rafters.map((m) => m.tag),
        what: 'Rafters',
        section: a.rafter,
        across: 'width',
        spanMm,
        loadWidthMm: spacing,
        slopeDeg,
        gable: false,
        drift: drifted('slope'),
        asked: rafters,
      },
      ...frame.header.slice(0, 1).map((m) => ({
        tags: [m.tag],
        what: 'Front header',
        section: m.section,
        across: 'width' as const,
        spanMm: (x1 - x0) / a.lids,
        loadWidthMm: width / 2,
        slopeDeg: 0,
        gable: false,
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
              slopeDeg,
              drift: drifted('strip'),
              asked: rafters,
            },
          ],
    under,
    reachMm: [x0, x1],
    footing: { on: 'wall', stiff: true, lengthMm: x1 - x0, widthMm: width },
    fixing: 'battens',
    enclosure: {
      skins: [
        {
          cover: a.glazing === 'film' ? a.cover : glazingCover(site.catalog, a.glazing),
          m2: skin.areaM2 + shutters.areaM2,
        },
      ],
      floorM2: ((x1 - x0) * width) / 1e6,
      volumeM3: ((x1 - x0) * width * (roof.top(0) + roof.top(width) - 2 * z0)) / 2e9,
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
        frame.rafters[0]?.lengthMm ?? 0,
        false,
      ),
      ...alongBed(a, site, [x0, x1], 'frame', { xs, label: 'rafter to rafter' }),
    ],
    steps: leanToSteps(a, { frame, skin, shutters, crossBoards: across.members, joints, survey, slopeDeg }),
    remarks: [
      'Snow that drifts against a bare wall is counted. Under a roof more blows and slides down, which is not: brace it for more, or ask an engineer.',
    ],
  };
  return ok(a.back === 'near' ? mirrored(assembly, width) : assembly);
}
