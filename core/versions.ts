/** Versions of one cover, side by side: as it is, as it was kept, and the changes a gardener would try first. */
import { type Drawn, drawAssembly } from './assembly/project';
import { putInForce } from './catalog/own';
import { section, sectionKeys } from './catalog/sections';
import { type Measures, firstCover, measuresOf } from './compare';
import type { IntegerSolver } from './cutting/programme';
import { type Answers, familyOf } from './families';
import type { Change } from './families/family';
import type { Phrase } from './figure';
import type { Cover, Garden } from './files/garden';
import { cutAndShop, outline } from './plan';
import type { Verdict } from './proof/check';

/** One version, worked out; plain data. */
export interface Version {
  readonly id: string;
  readonly label: string;
  readonly cover: Cover;
  readonly shapes: readonly Drawn[];
  readonly measures: Measures;
  readonly used: number;
  readonly pieces: number;
  /** What is not well, worst first. */
  readonly ills: readonly { readonly verdict: Verdict; readonly text: Phrase }[];
}

/** The next stouter pipe of the same material, where there is one. */
function stouterPipe(key: string): string | undefined {
  const now = section(key);
  if (now.shape.kind !== 'tube') return undefined;
  const size = (k: string): number => {
    const { shape } = section(k);
    return shape.kind === 'tube' ? shape.outsideMm : 0;
  };
  // Metric pipe comes in whole metres; fittings and rods of one market do not fit the other's.
  const metric = (k: string): boolean => section(k).stock.every((bar) => bar.lengthMm % 1000 === 0);
  return sectionKeys((s) => s.material === now.material && s.shape.kind === 'tube' && s.stock.length > 0)
    .filter((k) => metric(k) === metric(key))
    .filter((k) => size(k) > size(key) + 1)
    .sort((a, b) => size(a) - size(b))[0];
}

/** Every version that can be built, the present one first. */
export function versionsOf(garden: Garden, cover: Cover, solver: IntegerSolver): readonly Version[] {
  putInForce(garden.catalog);
  const now = outline(garden, cover);
  if (!now.ok) return [];
  const family = familyOf(cover.family);
  const { assembly } = now.value;
  const arch = assembly.arches[0];
  const rows = arch?.tags.length ?? assembly.beams[0]?.tags.length ?? 0;
  const changed = (change: Change): Answers | undefined => family.change(cover.answers, change, assembly);
  const count = (n: number): Answers | undefined =>
    changed({ kind: 'hoops', count: n }) ?? changed({ kind: 'bars', count: n });
  const what = (arch?.what ?? (arch ? 'hoops' : 'bars')).toLowerCase();
  const pipe = arch && stouterPipe(arch.sectionKey);
  const kept = JSON.stringify(cover.kept) === JSON.stringify(cover.answers) ? undefined : (cover.kept ?? undefined);
  const own: readonly (readonly [id: string, label: string, answers: Answers | undefined])[] = [
    ['now', 'As it is', cover.answers],
    ['kept', 'As it was kept', kept],
    ['more', `${rows + 1} ${what}`, rows > 0 ? count(rows + 1) : undefined],
    ['fewer', `${rows - 1} ${what}`, rows > 2 ? count(rows - 1) : undefined],
    ['pipe', pipe ? `Of ${section(pipe).name}` : '', pipe ? changed({ kind: 'pipe', key: pipe }) : undefined],
    ['posted', 'Ridge on posts', changed({ kind: 'ridge', value: 'posted' })],
  ];
  const versions = own.flatMap(([id, label, answers]) =>
    answers ? [{ id, label, cover: { ...cover, answers } as Cover }] : [],
  );
  const conduit = firstCover(garden, cover.bedId, 'bent-conduit', cover.id, cover.name);
  if (conduit && cover.family !== 'bent-conduit' && arch && section(arch.sectionKey).material === 'pvc') {
    const { crop, rowFromEdgeMm } = cover.answers;
    const answers = { ...conduit.answers, crop, rowFromEdgeMm };
    versions.push({ id: 'conduit', label: 'Of bent conduit', cover: { ...conduit, answers } as Cover });
  }
  return versions.flatMap(({ id, label, cover: tried }): Version[] => {
    const found = outline(garden, tried);
    const cut = found.ok ? cutAndShop(found.value, solver) : found;
    if (!found.ok || !cut.ok) return [];
    const o = found.value;
    const { paid, used } = cut.value.shopping;
    return [
      {
        id,
        label,
        cover: tried,
        shapes: drawAssembly(o.assembly, o.site.bed, o.site.survey, 'end'),
        measures: { ...measuresOf(o), price: paid },
        used,
        pieces: o.assembly.members.length + o.assembly.panels.length,
        ills: o.checks.filter((c) => c.verdict !== 'holds').map((c) => ({ verdict: c.verdict, text: c.text })),
      },
    ];
  });
}
