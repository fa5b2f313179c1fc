import { underLine } from '../assembly/enclosure';
import { endRun } from '../assembly/sheetRun';
import { soilZ } from '../assembly/crop';
import {
  acrossOf,
  aboveWall,
  drawnRun,
  endFaces,
  endOpenings,
  lyingOf,
  openSide,
  skirtDimension,
  skirtFaces,
  skirtOpening,
} from './looseSheet';
import { thicknessMm } from '../../catalog/sections';
import type { BuildSite } from '../../site/buildSite';
import { MM_PER_INCH } from '../../base/length';
import { hoopDimensions } from '../assembly/hoopDimensions';
import { underHoop } from './hoops';
import { type Point2, pathLength, sweptFaces } from '../../base/geometry';
import { flapOpenings } from './framedSheet';
import { looseHold } from './looseHold';
import type { LooseTunnelAnswers, TunnelRow } from './tunnelRow';
import type { Dimension, FootingOn, Joint, AssemblySpec, SheetPart, Stage } from '../assembly/types';
import { type Stages, built } from '../guide/built';
import { looseCoverStage } from './tunnelStages';

/** What is particular to a family of loose tunnels. */
interface TunnelParts {
  /** What keeps the film from the pipe, or that nothing does. */
  readonly guard?: readonly Joint[];
  readonly on: FootingOn;
  readonly dimensions: readonly Dimension[];
  /** How it is built, with the stage that covers it. */
  readonly stages: (cover: Stage) => Stages;
}

/** A row of hoops under a loose sheet that is clipped at the ends and weighted at the foot. */
export function looseTunnel(a: LooseTunnelAnswers, row: TunnelRow, site: BuildSite, parts: TunnelParts): AssemblySpec {
  const { xs, footY, footZ, baseY, baseZ, spanMm, pipe, cover } = row;
  const { hoop } = row.hoop;
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const { line, folds } = row.run;
  const soil = soilZ(site.bed);
  const rise = footZ + hoop.heightMm - baseZ;
  const run = last - first + thicknessMm(pipe);
  const faces = sweptFaces(line, first, last);
  const crownZ = footZ + hoop.heightMm + thicknessMm(pipe) / 2;
  const ends = row.pastMm.map((pastMm) => endRun(crownZ, pastMm, soil, site.bed));
  const lying = skirtFaces(a.skirtMm, row.run, first, last);
  const hold = looseHold(a, row, site);
  const top = [baseY, baseY + spanMm].map((y) => ({ y, z: crownZ })) as [Point2, Point2];
  const under = underHoop(hoop, pipe, footY, footZ);
  const sheet: SheetPart = {
    tag: 'S1',
    part: 'Cover',
    cover,
    rollKey: a.roll,
    across: acrossOf(a, row.run),
    along: [
      { what: 'First hoop to last', mm: run },
      ...(a.ends === 'flap'
        ? [{ what: 'Turned over both end hoops', mm: 2 * 4 * MM_PER_INCH }]
        : [
            { what: 'Down both ends', mm: ends.reduce((sum, end) => sum + pathLength(end), 0) },
            {
              what: a.ends === 'gathered' ? 'Gathered and weighted, both ends' : 'Folded and clipped, both ends',
              mm: 2 * (a.ends === 'gathered' ? 12 : 6) * MM_PER_INCH,
            },
          ]),
    ],
    faces: [...faces.strips, ...lying, ...(a.ends === 'flap' ? [] : endFaces(line, ends, first, last))],
    run: drawnRun(a.skirtMm, row.run, first),
    ...(a.ends === 'gathered' && { gathered: true }),
    ...lyingOf(a, row.run),
  };
  return {
    ...built(parts.stages(looseCoverStage(a, row, sheet, hold)), parts.guard),
    openings: [
      ...(folds[0] === 'hoop'
        ? [openSide(row.run, first, last, baseZ)]
        : hold.loose > 0
          ? [skirtOpening(row.run, first, last)]
          : a.ends === 'flap'
            ? []
            : endOpenings(top, a.ends, [first, last], rise)),
      ...flapOpenings(hold.flaps, hold.covered),
    ],
    under,
    reachMm: [first, last],
    footing: { on: parts.on, stiff: false, lengthMm: run, widthMm: spanMm },
    fixing: 'weights',
    enclosure: {
      ...underLine(cover, aboveWall(row.run, site), { lengthMm: run, widthMm: spanMm, heightMm: rise }),
      loose: true,
      ...(folds[0] === 'hoop' && { open: true }),
    },
    dimensions: [
      ...parts.dimensions,
      ...(lying.length > 0 ? [skirtDimension(a.skirtMm, row.run, first)] : []),
      ...hoopDimensions(a, site, {
        sprung: row.hoop,
        xs,
        footY,
        footZ,
        baseZ,
        heightLabel: 'crown above base',
        startMm: row.coverMm[0],
        endMm: row.coverMm[1],
        coverLabel: 'covered',
        offsetFromMm: row.startMm,
      }),
    ],
  };
}
