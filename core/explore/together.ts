/** Several covers cut and bought at once: what is left of one is used in the next. */
import type { Assessment } from '../assessment';
import { type CutProgress, type CutCover, cutAndShop } from '../cut';
import type { Assembly } from '../cover/assembly/types';
import { rollPrice, sheetPrice } from '../catalog/prices';
import { planRolls } from '../make/rolls/rolls';
import { planSheets } from '../make/cutting/panels';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import type { Cover, Garden } from '../garden/garden';
import { evaluate } from '../evaluate';
import { type Result, failAll, ok } from '../base/result';

/** Cuts and purchases of several covers as one; pieces carry the number of their cover before their tag. */
export interface MergeProposal extends CutCover {
  readonly covers: readonly { readonly number: number; readonly id: string; readonly name: string }[];
  /** What they would cost one by one, and how much less it is together. */
  readonly apart: number;
  readonly saved: number;
}

/** Every piece, sheet and fitting of several covers, tags made distinct. */
export function gather(outlines: readonly Assessment[]): Pick<Assembly, 'members' | 'sheets' | 'panels' | 'hardware'> {
  const named = outlines.map((o, i) => {
    const tag = (t: string): string => `${i + 1}.${t}`;
    const { members, sheets, panels, hardware } = o.assembly;
    return {
      members: members.map((m) => ({
        ...m,
        tag: tag(m.tag),
        ...(m.sawnFrom !== undefined && { sawnFrom: tag(m.sawnFrom) }),
      })),
      sheets: sheets.map((s) => ({ ...s, tag: tag(s.tag) })),
      panels: panels.map((p) => ({ ...p, tag: tag(p.tag) })),
      hardware: hardware.map((h) => ({ ...h, joint: `${i + 1}: ${h.joint}` })),
    };
  });
  return {
    members: named.flatMap((n) => n.members),
    sheets: named.flatMap((n) => n.sheets),
    panels: named.flatMap((n) => n.panels),
    hardware: named.flatMap((n) => n.hardware),
  };
}

/**
 * Plans covers together. A cover that cannot be built stops it, and the fault names which.
 * @param onCut hears how far it is: first cover by cover, without a plan yet, then section by section with the best so far
 */
export function planTogether(
  garden: Garden,
  covers: readonly Cover[],
  solver: IntegerSolver,
  onCut?: (progress: CutProgress, best: () => MergeProposal | undefined) => void,
): Result<MergeProposal> {
  const outlines: Assessment[] = [];
  let apart = 0;
  for (const [i, cover] of covers.entries()) {
    onCut?.({ solved: i, sections: covers.length, nextPieces: 0, best: () => undefined }, () => undefined);
    const found = evaluate(garden, cover);
    if (!found.ok) return failAll(found.faults.map((f) => ({ ...f, message: `${cover.name}: ${f.message}` })));
    outlines.push(found.value);
    const alone = cutAndShop(found.value, solver);
    if (!alone.ok) return alone;
    apart += alone.value.shopping.paid;
  }
  const assembly = gather(outlines);
  const { prices, shelfFlat } = garden;
  const cutFlat = covers.flatMap((c, i) => c.cutFlat.map((d) => ({ ...d, tag: `${i + 1}.${d.tag}` })));
  const done = covers.flatMap((c, i) => c.cut.map((d) => ({ ...d, tag: `${i + 1}.${d.tag}` })));
  const whole = {
    covers: covers.map((c, i) => ({ number: i + 1, id: c.id, name: c.name })),
    apart,
    garden,
    done,
    also: outlines.flatMap((o, i) => o.also.map((h) => ({ ...h, joint: `${i + 1}: ${h.joint}` }))),
    assembly,
    rolls: planRolls(assembly.sheets, (roll) => rollPrice(prices, roll), shelfFlat, cutFlat),
    sheets: planSheets(assembly.panels, (size) => sheetPrice(prices, size), shelfFlat, cutFlat),
  };
  const priced = (cut: Pick<CutCover, 'cuts' | 'shopping'>): MergeProposal => ({
    ...whole,
    ...cut,
    saved: apart - cut.shopping.paid,
  });
  const cut = cutAndShop(whole, solver, (progress) =>
    onCut?.(progress, () => {
      const best = progress.best();
      return best && priced(best);
    }),
  );
  if (!cut.ok) return cut;
  return ok(priced(cut.value));
}
