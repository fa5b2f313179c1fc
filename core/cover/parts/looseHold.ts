/** What holds a loose sheet down on its hoops: clips, weights or bars on its skirts, flaps at its ends, battens on the wall. */
import { massKg, thicknessMm } from '../../catalog/sections';
import type { Point2, Vec3 } from '../../base/geometry';
import { type BuildSite, stock } from '../../site/buildSite';
import type { SkirtUnder } from '../answers/skin';
import { soilZ } from '../assembly/crop';
import { piece } from '../assembly/pieces';
import type { Fold } from '../assembly/sheetRun';
import type { Joint, Member, SheetPart } from '../assembly/types';
import { evenly, joint } from '../joints';
import { type FramedCover, clipPlaces, endSheets, flapJoints } from './framedSheet';
import { endsOfRow } from './hoops';
import { fastenedToWall, skirtLines } from './looseSheet';
import type { LooseTunnelAnswers, TunnelRow } from './tunnelRow';

/** What holds the sheet, and what belongs to it. */
export interface LooseHold {
  readonly joints: readonly Joint[];
  /** Boards or rods along the skirts. */
  readonly bars: readonly Member[];
  /** Sheets of their own at both ends, and what they close. */
  readonly flaps: readonly SheetPart[];
  readonly covered: FramedCover;
  /** How many long sides lie loose. */
  readonly loose: number;
}

/** Works out what holds the sheet of a row of hoops. */
export function looseHold(a: LooseTunnelAnswers, row: TunnelRow, site: BuildSite): LooseHold {
  const { xs, pipe } = row;
  const { line, folds } = row.run;
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const run = last - first + thicknessMm(pipe);
  const { heightMm } = row.hoop.hoop;
  const crownZ = row.footZ + heightMm + thicknessMm(pipe) / 2;
  const clips = Math.ceil((2 * heightMm) / 450) + 1;
  const lies = (fold: Fold | undefined): boolean => fold === 'ground' || fold === 'inside';
  const loose = folds.filter(lies).length;
  const barred = a.skirtUnder === 'boards' || a.skirtUnder === 'rods';
  const each = a.skirtUnder === 'bricks' ? 2 : 1;
  // One bag a metre and one at each corner; bars weight the skirts by themselves, and the ends keep their bags.
  const usual = barred ? 4 : each * (loose * Math.ceil(run / 1000) + 4);
  const bags = barred ? usual : (a.weights ?? usual);
  const sides = skirtLines(a.skirtMm, row.run);
  const skirts = sides
    .filter((_, i) => lies(folds[i]))
    .flatMap(({ y, z }) => evenly([first, y, z], [last, y, z], Math.max(0, Math.ceil((bags - 4) / loose))));
  const corners = [first - 200, last + 200].flatMap((x) => sides.map(({ y, z }): Vec3 => [x, y, z]));
  const sheet = [{ tag: 'S1' }];
  const bars = barred ? skirtBars(a.skirtUnder, sides, folds.map(lies), [first, last], site) : [];
  const endHoops = endsOfRow(row.hoops);
  const ys = line.map((p) => p.y);
  const covered = {
    line: row.run.line,
    x0: first,
    x1: last,
    lengthMm: run,
    riseMm: crownZ - (folds[1] === 'inside' ? soilZ(site.bed) : 0),
    widthMm: Math.max(...ys) - Math.min(...ys),
    wrapMm: 0,
  };
  const flaps = a.ends === 'flap' ? endSheets(a, covered) : [];
  const clippedHoops = a.clipped === 'every' ? row.hoops : endHoops;
  const joints: readonly Joint[] = [
    ...joint(
      'clip',
      'clips',
      `Cover to ${CLIPPED[a.clipped]}`,
      [...sheet, ...clippedHoops],
      clipPlaces(clippedHoops, clips),
    ),
    ...joint(
      a.skirtUnder === 'bricks' ? 'brick' : 'bag',
      'weights',
      loose === 0 || barred
        ? `Weights on the ${ENDS[a.ends]} ends`
        : `Weights on ${loose === 2 ? 'both skirts' : `the ${folds[0] === 'hoop' ? 'far' : 'near'} skirt`} and the ${ENDS[a.ends]} ends`,
      sheet,
      [...corners, ...skirts].slice(0, bags),
      {
        count: bags,
        // Weights on the ends alone hold the ends, not the sides: more of them are no mend.
        ...(!barred && loose > 0 && { ask: 'weights' }),
        with: { what: loose === 0 || barred ? 'weights on the ends' : 'weights on skirts and ends' },
        usual,
      },
    ),
    ...joint(
      'weightBar',
      'skirt bars',
      `${a.skirtUnder === 'rods' ? 'Rods rolled into' : 'Boards laid on'} ${loose === 2 ? 'both skirts' : 'the skirt'}`,
      [...sheet, ...bars],
      bars.flatMap((m) => (m.shape.kind === 'straight' ? evenly(m.shape.from, m.shape.to, 1) : [])),
      {
        count: bars.length,
        with: { kgEach: bars[0] ? massKg(bars[0].section, bars[0].lengthMm) : 0, what: 'bars on the skirts' },
      },
    ),
    ...(folds[0] === 'hoop'
      ? joint(
          'clip',
          'edge clips',
          'Edge of the open side to every hoop',
          [...sheet, ...row.hoops],
          xs.map((x): Vec3 => [x, line[0]?.y ?? 0, line[0]?.z ?? 0]),
        )
      : []),
    ...flapJoints(flaps, endHoops, covered),
    ...fastenedToWall(a.edges, row, sheet),
  ];
  return { joints, bars, flaps, covered, loose };
}

/** What its ends are called. */
const ENDS: Readonly<Record<LooseTunnelAnswers['ends'], string>> = {
  gathered: 'gathered',
  folded: 'folded',
  flap: 'flapped',
};

/** Bars laid end to end on the skirts: boards, or rods rolled into the edge. */
function skirtBars(
  under: SkirtUnder,
  sides: readonly Point2[],
  lies: readonly boolean[],
  [first, last]: readonly [number, number],
  site: BuildSite,
): readonly Member[] {
  const bar = stock(site, under === 'rods' ? 'rod-4' : '2x4 treated');
  const longest = Math.max(...bar.stock.map((s) => s.lengthMm)) - bar.squareMm;
  const parts = Math.max(1, Math.ceil((last - first) / longest));
  const half = thicknessMm(bar) / 2;
  return sides.flatMap(({ y, z }, i) =>
    lies[i]
      ? Array.from({ length: parts }, (_, k): Member => {
          const at = (n: number): Vec3 => [first + ((last - first) * n) / parts, y, z + half];
          return piece(
            `W${i * parts + k + 1}`,
            under === 'rods' ? 'Skirt rod' : 'Skirt board',
            bar,
            at(k),
            at(k + 1),
            [0, 1, 0],
          );
        })
      : [],
  );
}

/** The hoops that a sheet is clipped to, in words. */
export const CLIPPED: Readonly<Record<LooseTunnelAnswers['clipped'], string>> = {
  ends: 'the end hoops',
  every: 'every hoop',
};
