import { type CutDone, type ShelfBar, isCut } from './onHand';
import type { Section } from '../../catalog/types';
import type { Assembly, Member } from '../../cover/assembly/types';
import { barPrice, type PriceList } from '../../catalog/prices';
import type { BarJob } from './job';
import type { CutPlan } from './bestFitDecreasing';

/** Half of a bowed board has a quarter of its bow: longer pieces are not cut from it. Source: the bow of an arc goes with the square of its length. */
const OF_BOWED = 0.5;

/** The cutting job of one section, with the members behind its pieces. */
export interface SectionJob {
  readonly section: Section;
  readonly job: BarJob;
  /** Real length of each stock entry; the job's length is this less the squared end. */
  readonly realLengthMm: readonly number[];
  /** Of the shelf bar that a stock entry is; undefined for bought ones. */
  readonly shelfIds: readonly (string | undefined)[];
  readonly members: readonly Member[];
  /** By the tag of a board, the other piece that comes out of it. */
  readonly sawnFrom: ReadonlyMap<string, string>;
}

/** Lengths are cut to a tenth of a millimetre; members that agree to that are one kind of piece. */
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** One cutting job for each section in an assembly: stock with prices, shelf pieces free, kerf, squared ends. */
export function sectionJobs(
  assembly: Pick<Assembly, 'members'>,
  prices: PriceList,
  shelf: readonly ShelfBar[],
  done: readonly CutDone[],
): readonly SectionJob[] {
  const sawnFrom = new Map(
    assembly.members.flatMap((m) => (m.sawnFrom === undefined ? [] : [[m.sawnFrom, m.tag] as const])),
  );
  const bySection = new Map<string, Member[]>();
  for (const member of assembly.members.filter((m) => m.sawnFrom === undefined && !isCut(done, m)))
    bySection.set(member.section.key, [...(bySection.get(member.section.key) ?? []), member]);
  return [...bySection.values()].flatMap((members) => {
    const s = members[0]?.section;
    if (!s) return [];
    const counts = new Map<number, number>();
    for (const m of members) counts.set(tenth(m.lengthMm), (counts.get(tenth(m.lengthMm)) ?? 0) + 1);
    const bought = s.stock.map((bar) => ({
      real: bar.lengthMm,
      price: barPrice(prices, s, bar),
      own: undefined,
    }));
    const owned = shelf
      .filter((bar) => bar.sectionKey === s.key && bar.quantity > 0 && bar.condition !== 'worn')
      .map((bar) => ({ real: bar.lengthMm, price: 0, own: bar }));
    const lengths = [...counts.keys()];
    // A board too short to be squared gives nothing.
    const stock = [...bought, ...owned].filter((bar) => usableLength(s, bar.real, lengths) > 0);
    return {
      section: s,
      members,
      sawnFrom,
      realLengthMm: stock.map((bar) => bar.real),
      shelfIds: stock.map((bar) => bar.own?.id),
      job: {
        kerf: s.tool.kerfMm,
        // A whole bar taken as it comes needs no squaring, so squaring counts only where a cut follows; see usableLength.
        stock: stock.map((bar) => ({
          length: usableLength(s, bar.real, lengths),
          price: bar.price,
          ...(bar.own && { available: bar.own.quantity }),
          ...(bar.own?.condition === 'bowed' && { longestPiece: bar.real * OF_BOWED }),
        })),
        pieces: [...counts].sort((a, b) => b[0] - a[0]).map(([length, quantity]) => ({ length, quantity })),
      },
    };
  });
}

/** A bar's length less the squared end, unless some piece is the whole bar, or half of it with half the saw's width off. */
function usableLength(s: Section, realMm: number, pieces: readonly number[]): number {
  const whole = pieces.flatMap((piece) => {
    const two = 2 * piece + s.tool.kerfMm;
    // Rounded to a tenth, two halves and the saw come to the bar within as much.
    if (Math.abs(two - realMm) < 0.15) return [two];
    return piece > realMm - s.squareMm && piece <= realMm + 0.05 ? [piece] : [];
  });
  return whole.length > 0 ? Math.max(realMm, ...whole) : realMm - s.squareMm;
}

/** A piece on a bar, with the mark from the tape's end where it is cut off. */
export interface CutPiece {
  readonly tag: string;
  readonly part: string;
  readonly lengthMm: number;
  readonly markMm: number;
  /** Degrees off square of its ends, and the widths it tapers between; see Member. */
  readonly endAnglesDeg?: readonly [number, number];
  readonly taperMm?: readonly [number, number];
  /** Another piece that is sawn out of this one. */
  readonly holds?: string;
}

/** One bar as it is cut. */
export interface SectionBar {
  readonly label: string;
  readonly lengthMm: number;
  readonly price: number;
  readonly fromShelf: boolean;
  readonly shelfId: string | undefined;
  readonly squareMm: number;
  readonly pieces: readonly CutPiece[];
  /** What is left after the last cut, mm. */
  readonly offcutMm: number;
}

/** All bars of one section and what is proven about their price. */
export interface SectionCuts {
  readonly section: Section;
  readonly bars: readonly SectionBar[];
  readonly cost: number;
  readonly bound: number;
  readonly proven: boolean;
  readonly kerfMm: number;
}

/** Puts names on a solved job: which member is cut where, with marks that run from the tape's end and count the kerf. */
export function labelCuts(sectionJob: SectionJob, plan: CutPlan, firstBar: number): SectionCuts {
  const s = sectionJob.section;
  const { kerf } = sectionJob.job;
  const waiting = [...sectionJob.members];
  const ordered = [...plan.bars].sort(
    (a, b) => Math.max(...b.pieces) - Math.max(...a.pieces) || b.stockLength - a.stockLength,
  );
  const bars = ordered.map((bar, i): SectionBar => {
    const lengthMm = sectionJob.realLengthMm[bar.stock] ?? bar.stockLength;
    const squareMm = Math.max(0, lengthMm - bar.stockLength);
    let at = squareMm;
    const pieces = bar.pieces.map((length): CutPiece => {
      const index = waiting.findIndex((m) => tenth(m.lengthMm) === length);
      const member = waiting.splice(index, 1)[0];
      const markMm = at + length;
      at = markMm + kerf;
      const holds = sectionJob.sawnFrom.get(member?.tag ?? '');
      return {
        tag: member?.tag ?? '',
        part: member?.part ?? '',
        lengthMm: length,
        markMm,
        ...(member?.endAnglesDeg && { endAnglesDeg: member.endAnglesDeg }),
        ...(member?.taperMm && { taperMm: member.taperMm }),
        ...(holds !== undefined && { holds }),
      };
    });
    return {
      label: `${s.shape.kind === 'tube' ? 'Pipe' : 'Board'} ${firstBar + i}`,
      lengthMm,
      price: bar.price,
      fromShelf: sectionJob.shelfIds[bar.stock] !== undefined,
      shelfId: sectionJob.shelfIds[bar.stock],
      squareMm,
      pieces,
      offcutMm: Math.max(0, lengthMm - at),
    };
  });
  return {
    section: s,
    bars,
    cost: plan.cost,
    bound: plan.bound,
    proven: plan.proven,
    kerfMm: kerf,
  };
}

/** From here a bow in a board shows, mm. */
const LONG_MM = 1200;

/**
 * Boards that the straightest are kept for: those that hold a long piece where others hold only short ones. Empty where it does not
 * matter which board is taken, and for pipes.
 */
export function straightest(cuts: SectionCuts): readonly SectionBar[] {
  if (cuts.section.shape.kind === 'tube') return [];
  const long = cuts.bars.filter((bar) => bar.pieces.some((p) => p.lengthMm >= LONG_MM));
  return long.length < cuts.bars.length ? long : [];
}

/** Coils are drawn only as far as they are used, mm. */
const COIL_MM = 8000;

/** The longest bar as it is drawn, mm, so that all stand at one scale. */
export function longestDrawnMm(cuts: readonly SectionCuts[]): number {
  const bars = cuts.flatMap((c) => c.bars);
  return Math.max(1, ...bars.map((b) => (b.lengthMm > COIL_MM ? b.lengthMm - b.offcutMm : b.lengthMm)));
}
