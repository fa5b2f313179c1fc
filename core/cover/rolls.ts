import type { SheetPart } from '../assembly/types';
import { type Roll, coverMaterial } from '../catalog/covers';

/** A sheet's cut size: the sum of its allowances, mm. */
export interface SheetSize {
  readonly acrossMm: number;
  readonly alongMm: number;
}

/** Adds a sheet's allowances up. */
export function sheetSize(part: SheetPart): SheetSize {
  const total = (lines: SheetPart['across']): number => lines.reduce((sum, line) => sum + line.mm, 0);
  return { acrossMm: total(part.across), alongMm: total(part.along) };
}

/** Where a sheet is cut from a roll; `turned` lies with its long way across the roll. */
export interface Placed {
  readonly tag: string;
  readonly part: string;
  readonly atMm: number;
  readonly sideMm: number;
  readonly runMm: number;
  readonly widthMm: number;
  readonly turned: boolean;
}

/** One roll to buy and what is cut from it. */
export interface RollCut {
  readonly coverKey: string;
  readonly roll: Roll;
  readonly placed: readonly Placed[];
  /** Full-width length left on the roll. */
  readonly leftMm: number;
  readonly usedShare: number;
}

/** Rolls for all sheets, and the tags of sheets that no roll is wide enough for. */
export interface RollPlan {
  readonly rolls: readonly RollCut[];
  readonly tooWide: readonly { readonly tag: string; readonly needMm: number; readonly widestMm: number }[];
}

const EDGE_MM = 0.5;

/** Lays sheets on rolls of one kind, side by side where two fit, first fit by length; undefined when one does not fit. */
function layOut(parts: readonly SheetPart[], roll: Roll): RollCut[] | undefined {
  interface Row {
    atMm: number;
    runMm: number;
    freeMm: number;
  }
  const rolls: { rows: Row[]; placed: Placed[]; endMm: number }[] = [];
  const sized = parts.map((part) => {
    const { acrossMm, alongMm } = sheetSize(part);
    const straight = acrossMm <= roll.widthMm + EDGE_MM && alongMm <= roll.lengthMm + EDGE_MM;
    const sideways = alongMm <= roll.widthMm + EDGE_MM && acrossMm <= roll.lengthMm + EDGE_MM;
    // The shorter run wastes less roll where both ways fit.
    const turned = sideways && (!straight || acrossMm < alongMm);
    return {
      part,
      fits: straight || sideways,
      turned,
      runMm: turned ? acrossMm : alongMm,
      widthMm: turned ? alongMm : acrossMm,
    };
  });
  if (sized.some((s) => !s.fits)) return undefined;
  sized.sort((a, b) => b.runMm - a.runMm);
  for (const s of sized) {
    let done = false;
    for (const r of rolls) {
      const row = r.rows.find((w) => w.freeMm >= s.widthMm - EDGE_MM && w.runMm >= s.runMm - EDGE_MM);
      if (row) {
        r.placed.push({
          tag: s.part.tag,
          part: s.part.part,
          atMm: row.atMm,
          sideMm: roll.widthMm - row.freeMm,
          runMm: s.runMm,
          widthMm: s.widthMm,
          turned: s.turned,
        });
        row.freeMm -= s.widthMm;
        done = true;
      } else if (r.endMm + s.runMm <= roll.lengthMm + EDGE_MM) {
        r.placed.push({
          tag: s.part.tag,
          part: s.part.part,
          atMm: r.endMm,
          sideMm: 0,
          runMm: s.runMm,
          widthMm: s.widthMm,
          turned: s.turned,
        });
        r.rows.push({ atMm: r.endMm, runMm: s.runMm, freeMm: roll.widthMm - s.widthMm });
        r.endMm += s.runMm;
        done = true;
      }
      if (done) break;
    }
    if (!done)
      rolls.push({
        rows: [{ atMm: 0, runMm: s.runMm, freeMm: roll.widthMm - s.widthMm }],
        placed: [
          {
            tag: s.part.tag,
            part: s.part.part,
            atMm: 0,
            sideMm: 0,
            runMm: s.runMm,
            widthMm: s.widthMm,
            turned: s.turned,
          },
        ],
        endMm: s.runMm,
      });
  }
  const coverKey = parts[0]?.coverKey ?? '';
  return rolls.map((r) => ({
    coverKey,
    roll,
    placed: r.placed,
    leftMm: Math.max(0, roll.lengthMm - r.endMm),
    usedShare: r.placed.reduce((sum, p) => sum + p.runMm * p.widthMm, 0) / (roll.lengthMm * roll.widthMm),
  }));
}

/**
 * Chooses rolls for every sheet: the asked one, or the cheapest that all sheets of a cover fit on.
 * @param price what a roll costs in this garden
 */
export function planRolls(parts: readonly SheetPart[], price: (roll: Roll) => number): RollPlan {
  const groups = new Map<string, SheetPart[]>();
  for (const part of parts) {
    const key = `${part.coverKey}|${part.rollKey ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), part]);
  }
  const rolls: RollCut[] = [];
  const tooWide: RollPlan['tooWide'][number][] = [];
  for (const group of groups.values()) {
    const first = group[0];
    if (!first) continue;
    const offered = coverMaterial(first.coverKey).rolls.filter(
      (r) => first.rollKey === null || r.key === first.rollKey,
    );
    let best: { cuts: RollCut[]; cost: number } | undefined;
    for (const roll of offered) {
      const cuts = layOut(group, roll);
      const cost = (cuts?.length ?? 0) * price(roll);
      if (cuts && (!best || cost < best.cost)) best = { cuts, cost };
    }
    if (best) rolls.push(...best.cuts);
    else {
      const widest = Math.max(0, ...offered.map((r) => r.widthMm));
      for (const part of group) {
        const { acrossMm, alongMm } = sheetSize(part);
        if (Math.min(acrossMm, alongMm) > widest || offered.every((r) => Math.max(acrossMm, alongMm) > r.lengthMm))
          tooWide.push({ tag: part.tag, needMm: Math.min(acrossMm, alongMm), widestMm: widest });
      }
    }
  }
  return { rolls, tooWide };
}
