import type { Section } from '../../catalog/types';
import { type LengthUnit, formatLength } from '../../base/length';
import type { CutPiece, SectionCuts } from './bars';

/** Pieces that are cut with the stop of the saw in one place. */
interface StopGroup {
  readonly section: Section;
  readonly lengthMm: number;
  /** How their ends are cut, where they are not square; empty where they are. */
  readonly ends: string;
  readonly tags: readonly string[];
}

/** How the ends of a piece are cut, where they are not square, and how it tapers. */
function endsText({ taperMm, endAnglesDeg }: CutPiece, unit: LengthUnit): string {
  const [from, to] = (taperMm ?? []).map((mm) => formatLength(mm, unit));
  return [
    endAnglesDeg && `ends ${endAnglesDeg.map((deg) => `${Math.abs(deg).toFixed(1)}°`).join(' and ')} off square`,
    from && (from === to ? `ripped to ${from}` : `tapers from ${from} to ${to}`),
  ]
    .filter(Boolean)
    .join(', ');
}

/** Every piece by the stop it is cut at: one length and one kind of end to a group, in the order of cutting. */
export function stopGroups(cuts: readonly SectionCuts[], unit: LengthUnit): readonly StopGroup[] {
  return cuts.flatMap(({ section, bars }) => {
    const groups = new Map<string, StopGroup>();
    for (const piece of bars.flatMap((b) => b.pieces)) {
      const ends = endsText(piece, unit);
      const key = `${piece.lengthMm} ${ends}`;
      const tags = [...(groups.get(key)?.tags ?? []), piece.tag];
      groups.set(key, { section, lengthMm: piece.lengthMm, ends, tags });
    }
    return [...groups.values()];
  });
}
