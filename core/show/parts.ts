/** What a cover comes apart into: its pieces by tag, its sheets and its small things, so that nothing is missing when it goes up again. */
import { type Preferences, formatAmount } from '../base/amount';
import { formatLength } from '../base/length';
import { capital } from '../base/figure';
import { hardwareItem } from '../catalog/catalog';
import { countsByItem } from '../catalog/counted';
import type { HardwareItem } from '../catalog/types';
import { sheetSize } from '../make/rolls/rolls';
import type { Assessment } from '../assessment';

/** A line of the list: what, how many, how large, by which tags. */
interface PartLine {
  readonly what: string;
  readonly count: number;
  readonly size: string;
  readonly tags: readonly string[];
}

/** Pieces of one name, bar and length are a line; so are sheets of one size, panels of one kind, and each small thing. */
export function partsOf({ assembly: a, also, site: { catalog } }: Assessment, units: Preferences): readonly PartLine[] {
  const thing = ({ name, unit }: HardwareItem, count: number): PartLine => ({
    what: capital(name),
    ...(unit === 'm'
      ? { count: 1, size: formatAmount(count, 'coil', units) }
      : { count: Math.ceil(count - 1e-9), size: '' }),
    tags: [],
  });
  const lines = new Map<string, PartLine>();
  const add = (what: string, size: string, tag: string): void => {
    const key = `${what} ${size}`;
    const { tags = [] } = lines.get(key) ?? {};
    lines.set(key, { what, count: tags.length + 1, size, tags: [...tags, tag] });
  };
  for (const m of a.members)
    add(`${capital(m.part)}, ${m.section.name}`, formatLength(m.lengthMm, units.length), m.tag);
  for (const s of a.sheets) {
    const { acrossMm, alongMm } = sheetSize(s);
    add(
      `${capital(s.part)}, ${s.cover.name}`,
      `${formatAmount(alongMm, 'film', units)} × ${formatAmount(acrossMm, 'film', units)}`,
      s.tag,
    );
  }
  for (const p of a.panels) {
    const [xs, ys] = [p.outline.map((q) => q[0]), p.outline.map((q) => q[1])];
    const long = (list: readonly number[]): number => Math.max(...list) - Math.min(...list);
    add(
      `${capital(p.part)}, ${p.sheet.name}`,
      `${formatLength(long(xs), units.length)} × ${formatLength(long(ys), units.length)}`,
      p.tag,
    );
  }
  for (const b of a.blocks) add(capital(b.part), '', b.tag);
  const blocks = new Set(a.blocks.map((b) => b.itemKey));
  const things = [...countsByItem([...a.hardware, ...also])].flatMap(([key, count]): readonly PartLine[] =>
    blocks.has(key) ? [] : [thing(hardwareItem(catalog, key), count)],
  );
  return [...lines.values(), ...things];
}
