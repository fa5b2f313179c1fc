/** Two equal pieces out of one bar, sawn on its middle line, as carpenters do. */
import type { Section } from '../../catalog/types';
import { sayTags } from '../guide/tags';
import type { Member, AssemblySpec } from '../assembly/types';

/** Pieces that agree to this are equal, mm. */
const ALIKE_MM = 0.05;

/** Half of a bar less half the saw's width, where two of such a piece would come out of the bar but for the saw. */
function halfOf(section: Section, lengthMm: number): number | undefined {
  const { kerfMm } = section.tool;
  // What is sold in that length is bought so.
  if (section.stock.some(({ lengthMm: real }) => Math.abs(real - lengthMm) < ALIKE_MM)) return undefined;
  const bar = section.stock.find(
    ({ lengthMm: real }) => 2 * lengthMm <= real + ALIKE_MM && 2 * lengthMm + kerfMm > real + ALIKE_MM,
  );
  return bar && (bar.lengthMm - kerfMm) / 2;
}

/**
 * Pairs of equal square-cut pieces that fill a bar but for the saw's width: all pieces of that length are made half a saw's width
 * shorter, so that two come out of one bar, and the cut step says so.
 */
export function splitEqualBars<A extends Pick<AssemblySpec, 'members' | 'steps'>>(a: A): A {
  const lengths = new Map<string, number>();
  const keyOf = (m: Member): string => `${m.section.key} ${Math.round(m.lengthMm / ALIKE_MM)}`;
  const square = (m: Member): boolean => m.shape.kind === 'straight' && m.ends.every((end) => end === 'square');
  for (const m of a.members.filter(square)) lengths.set(keyOf(m), (lengths.get(keyOf(m)) ?? 0) + 1);
  const shorter = new Map(
    a.members.flatMap((m) => {
      const half = square(m) && (lengths.get(keyOf(m)) ?? 0) > 1 ? halfOf(m.section, m.lengthMm) : undefined;
      return half === undefined ? [] : [[m.tag, half] as const];
    }),
  );
  if (shorter.size === 0) return a;
  return {
    ...a,
    members: a.members.map((m) => ({ ...m, lengthMm: shorter.get(m.tag) ?? m.lengthMm })),
    steps: a.steps.map((s) =>
      s.id === 'cut'
        ? {
            ...s,
            work: [
              ...s.work,
              `${sayTags([...shorter.keys()])}: two out of one bar, sawn on its middle line; each is half a saw’s width shorter than drawn.`,
            ],
          }
        : s,
    ),
  };
}
