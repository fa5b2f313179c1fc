/** A cover from the stages that build it. */
import type { Joint, Piece, AssemblySpec, Stage } from '../assembly/types';
import { cutStage, saidStep } from './stage';

/** The stages of a cover in building order; `cut` where all its pieces are sawn. */
export type Stages = readonly (Stage | 'cut')[];

/** Every piece that stages bring together, once, in the order it first comes to hand. */
export function piecesOf(stages: Stages): readonly Piece[] {
  const pieces = stages.flatMap((s) => (s === 'cut' ? [] : s.pieces));
  return [...new Map(pieces.map((p) => [p.tag, p])).values()];
}

/**
 * What a cover is made of, how it is joined and how it is built, from its stages: what no stage brings in is not in it.
 * @param beside joints that are there though no stage may make them: edges that are left bare
 */
export function built(
  stages: Stages,
  beside: readonly Joint[] = [],
): Pick<AssemblySpec, 'members' | 'sheets' | 'panels' | 'blocks' | 'joints' | 'steps'> {
  const pieces = piecesOf(stages);
  const sheets = pieces.flatMap((p) => ('cover' in p ? [p] : []));
  const members = pieces.flatMap((p) => ('section' in p ? [p] : []));
  // The second of two that come out of one board is not sawn by itself.
  const sawn = members.filter((m) => m.sawnFrom === undefined);
  return {
    members,
    // What covers it first; mesh stands under that.
    sheets: [...sheets.filter((s) => s.cover.kind !== 'mesh'), ...sheets.filter((s) => s.cover.kind === 'mesh')],
    panels: pieces.flatMap((p) => ('sheet' in p ? [p] : [])),
    blocks: pieces.flatMap((p) => ('itemKey' in p ? [p] : [])),
    joints: [...new Set([...stages.flatMap((s) => (s === 'cut' ? [] : s.joints)), ...beside])],
    steps: stages.map((s) => saidStep(s === 'cut' ? cutStage(sawn) : s)),
  };
}
