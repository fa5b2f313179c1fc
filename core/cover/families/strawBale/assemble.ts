import { evenly, joint } from '../../joints';
import type { Vec3 } from '../../../base/geometry';
import { coverMaterial } from '../../../catalog/catalog';
import { alongBed, endHeight, endWidth } from '../../assembly/dimension';
import { piece } from '../../assembly/pieces';
import { built } from '../../guide/built';
import { glazingCover } from '../../parts/glazing';
import { slopedLids } from '../../parts/slopedLid';
import type { Block, AssemblySpec } from '../../assembly/types';
import type { BuildSite } from '../../../site/buildSite';
import { boardShape } from '../../../catalog/sections';
import { type Result, ok } from '../../../base/result';
import { BALE, type StrawBaleAnswers } from './answers';
import { strawBaleStages } from './stages';

/** How far the lids reach over the bales in front and behind. */
const REST_MM = 100;
/** To air, a lid is slid down until this much is open behind it. */
const GAP_MM = 100;

/**
 * Bales round a rectangle, each row starting at a corner and running past the next, so that none needs cutting.
 * The top course at the back stands on edge: that is what makes the lid slope.
 */
function bales(x0: number, x1: number, width: number, courses: number): readonly Block[] {
  const blocks: Block[] = [];
  const along = Math.ceil((x1 - x0) / BALE.longMm - 1e-6);
  const across = Math.ceil(width / BALE.longMm - 1e-6);
  const put = (low: Block['low'], high: Block['high']): void => {
    const tag = `W${blocks.length + 1}`;
    blocks.push({ tag, part: 'Straw bale', itemKey: 'straw-bale', low, high });
  };
  for (let c = 0; c < courses; c++) {
    const z = c * BALE.highMm;
    const edge = c === courses - 1;
    const top = z + BALE.highMm;
    for (let i = 0; i < along; i++) {
      put([x0 + i * BALE.longMm, -BALE.wideMm, z], [x0 + (i + 1) * BALE.longMm, 0, top]);
      const deep = edge ? BALE.highMm : BALE.wideMm;
      const high = edge ? z + BALE.wideMm : top;
      put([x1 - (i + 1) * BALE.longMm, width, z], [x1 - i * BALE.longMm, width + deep, high]);
    }
    for (let i = 0; i < across; i++) {
      put([x1, i * BALE.longMm, z], [x1 + BALE.wideMm, (i + 1) * BALE.longMm, top]);
      put([x0 - BALE.wideMm, width - (i + 1) * BALE.longMm, z], [x0, width - i * BALE.longMm, top]);
    }
  }
  return blocks;
}

/** Builds the frame: bales round the bed, supports across it, windows or stiff sheet on top, for one winter. */
export function assembleStrawBale(a: StrawBaleAnswers, site: BuildSite): Result<AssemblySpec> {
  const { bed, survey } = site;
  const width = survey.frameOn.widthMm;
  const [x0, x1] = a.extent;
  const length = x1 - x0;
  const blocks = bales(x0, x1, width, a.courses);
  const frontZ = a.courses * BALE.highMm;
  const backZ = frontZ + (BALE.wideMm - BALE.highMm);
  const support = boardShape(a.support);
  const t = support.thicknessMm;
  const slope = (backZ - frontZ) / (width + 2 * REST_MM);
  const angle = Math.atan(slope);
  const plane = (y: number): number => frontZ + slope * (y + REST_MM);
  const off = t / 2 / Math.cos(angle);
  const xs = Array.from({ length: a.lids + 1 }, (_, i) => {
    const inset = i === 0 ? support.widthMm / 2 : i === a.lids ? -support.widthMm / 2 : 0;
    return x0 + (length * i) / a.lids + inset;
  });
  // Each lid more brings a support under its joint.
  const asked = { id: 'lids', now: a.lids, words: ['lid', 'lids'] } as const;
  const supports = xs.map((x, i) => ({
    ...piece(
      `K0${String.fromCharCode(97 + i)}`,
      'Support',
      a.support,
      [x, -REST_MM, plane(-REST_MM) + off],
      [x, width + REST_MM, plane(width + REST_MM) + off],
      [1, 0, 0],
    ),
    asked,
  }));
  const weights = a.weights ?? (site.windy ? 5 : 2) * a.lids;
  const lids = slopedLids({
    x0,
    x1,
    back: { y: width + REST_MM, z: plane(width + REST_MM) + 2 * off },
    front: { y: -REST_MM, z: plane(-REST_MM) + 2 * off },
    overhangMm: 0,
    lids: a.lids,
    glazing: a.glazing,
    site,
    frame: a.lidFrame,
    bars: null,
    cover: coverMaterial(site.catalog, 'film-uv'),
    roll: null,
    latches: 0,
    stays: 0,
    people: a.people === '2' ? 2 : 1,
    opener: undefined,
    openers: 0,
    hinged: false,
    safetyFilm: a.safety === 'film',
  });
  const rim = [
    { y: -REST_MM, z: frontZ + t },
    { y: width + REST_MM, z: backZ + t },
  ].flatMap(({ y, z }) => evenly([x0, y, z], [x1, y, z], Math.ceil(weights / 2)));
  const stages = strawBaleStages(a, {
    airing: { slideMm: REST_MM + GAP_MM, gapMm: GAP_MM },
    blocks,
    supports,
    lids,
    bricks: joint('brick', 'weights', 'On the corners of the lids', lids.panels, rim.slice(0, weights), {
      ask: 'weights',
      with: { what: 'bricks on the lids' },
    }),
    rope: joint(
      'rope',
      'rope',
      'Round the bales, so that they stay together',
      blocks,
      blocks.map((b): Vec3 => [(b.low[0] + b.high[0]) / 2, (b.low[1] + b.high[1]) / 2, b.high[2]]),
      { count: Math.ceil((2 * (length + width)) / 1000) + 2 },
    ),
    laid: joint(
      'laid',
      'supports',
      'Supports across the bales',
      [...supports, ...blocks],
      xs.map((x): Vec3 => [x, width / 2, plane(width / 2)]),
    ),
  });
  const under = [0, width].map((y) => ({ y, z: plane(y) }));
  const mean = (plane(0) + plane(width)) / 2 - (bed.wall.heightMm - bed.soilBelowRimMm);
  return ok({
    ...built(stages),
    openings: lids.openings.map((o) => ({
      ...o,
      shut: ['weights'],
      airM2: (GAP_MM * (x1 - x0)) / lids.openings.length / 1e6,
    })),
    under,
    reachMm: [x0, x1],
    footing: { on: 'ground', stiff: false, lengthMm: length, widthMm: width + 2 * REST_MM },
    fixing: 'weights',
    enclosure: {
      skins: [{ cover: glazingCover(site.catalog, a.glazing), m2: lids.areaM2 }],
      walls: [{ kind: 'straw', thicknessMm: BALE.wideMm, m2: (2 * (length + width) * Math.max(0, mean)) / 1e6 }],
      floorM2: (length * width) / 1e6,
      volumeM3: (length * width * Math.max(50, mean)) / 1e9,
      heightM: (backZ + 50) / 1000,
    },
    dimensions: [
      endWidth('boxWidth', 'bed', x0, [0, width], false),
      endHeight('frontHeight', 'bales in front', 'left', [x0, -BALE.wideMm], [0, frontZ], false),
      endHeight('backHeight', 'bales behind', 'right', [x0, width + BALE.highMm], [0, backZ], false),
      ...alongBed(a, site, [x0, x1], 'covered'),
    ],
  });
}
