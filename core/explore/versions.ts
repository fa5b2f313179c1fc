/** Versions of one cover, side by side: as it is, as it was kept, and the changes a gardener would try first. */
import { type Merits, meritsOf } from './merits';
import type { Assessment } from '../assessment';
import type { Section } from '../catalog/types';
import { cutAndShop } from '../cut';
import type { Answers, AnswerChange } from '../cover/answers/parameter';
import { type Catalog, sectionsLike } from '../catalog/catalog';
import { firstCover } from './firstDesigns';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { familyOf } from '../cover/families/registry';
import type { Phrase } from '../base/figure';
import { type Cover, type Garden, newWork } from '../garden/garden';
import { evaluate } from '../evaluate';
import { checkStatus, type CheckStatus } from '../judge/strength/check';

/** One version, worked out; plain data. */
export interface Version {
  readonly id: string;
  readonly label: string;
  readonly cover: Cover;
  readonly outline: Assessment;
  readonly merits: Merits;
  readonly used: number;
  readonly pieces: number;
  /** What is not well, worst first. */
  readonly ills: readonly { readonly status: CheckStatus; readonly text: Phrase }[];
}

/** The next stouter pipe of the same material, where there is one. */
function stouterPipe(now: Section, catalog: Catalog): Section | undefined {
  const size = ({ shape }: Section): number => (shape.kind === 'tube' ? shape.outsideMm : 0);
  return sectionsLike(catalog, now)
    .filter((s) => s.market === now.market && size(s) > size(now) + 1)
    .sort((a, b) => size(a) - size(b))[0];
}

/** Another design for the same bed, as a search found it. */
export type Rival = Pick<Cover, 'family' | 'answers' | 'coats'>;

/**
 * Every version that can be built, the present one first.
 * @param rivals other designs for the same bed, told apart by their kind
 */
export function versionsOf(
  garden: Garden,
  cover: Cover,
  solver: IntegerSolver,
  rivals: readonly Rival[] = [],
): readonly Version[] {
  const now = evaluate(garden, cover);
  if (!now.ok) return [];
  const family = familyOf(cover.family);
  const { assembly } = now.value;
  const arch = assembly.arches[0];
  const counted = assembly.beams[0]?.asked;
  const rows = arch?.xsMm.length ?? counted?.now ?? 0;
  const changed = (change: AnswerChange): Answers | undefined => family.change(cover.answers, change, now.value);
  const count = (n: number): Answers | undefined =>
    arch ? changed({ kind: 'hoops', count: n }) : counted && changed({ kind: 'answer', id: counted.id, value: n });
  const what = arch ? (arch.what ?? 'hoops').toLowerCase() : (counted?.words[1] ?? '');
  const pipe = arch && stouterPipe(arch.section, now.value.site.catalog);
  const kept = JSON.stringify(cover.kept) === JSON.stringify(cover.answers) ? undefined : (cover.kept ?? undefined);
  const own: readonly (readonly [id: string, label: string, answers: Answers | undefined])[] = [
    ['now', 'As it is', cover.answers],
    ['kept', 'As it was kept', kept],
    ['more', `${rows + 1} ${what}`, rows > 0 ? count(rows + 1) : undefined],
    ['fewer', `${rows - 1} ${what}`, rows > 2 ? count(rows - 1) : undefined],
    ['pipe', pipe ? `Of ${pipe.name}` : '', pipe ? changed({ kind: 'pipe', key: pipe.key }) : undefined],
    ['posted', 'Ridge on posts', changed({ kind: 'ridge', value: 'posted' })],
  ];
  const versions = own.flatMap(([id, label, answers]) =>
    answers ? [{ id, label, cover: { ...cover, answers } }] : [],
  );
  const conduit = firstCover(garden, cover.bedId, 'bent-conduit', cover.id, cover.name);
  if (conduit && arch?.section.material.behaviour.kind === 'plastic') {
    const { crop, rowFromEdgeMm } = cover.answers;
    const answers = { ...conduit.answers, crop, rowFromEdgeMm };
    versions.push({ id: 'conduit', label: 'Of bent conduit', cover: { ...conduit, answers } });
  }
  for (const [i, { family: kind, answers, coats }] of rivals.entries())
    versions.push({
      id: `rival-${i}`,
      label: `Rival: ${familyOf(kind).name.toLowerCase()}`,
      cover: { ...cover, ...newWork(), state: cover.state, brief: cover.brief, family: kind, answers, coats } as Cover,
    });
  return versions.flatMap(({ id, label, cover: tried }): Version[] => {
    const found = evaluate(garden, tried);
    const cut = found.ok ? cutAndShop(found.value, solver) : found;
    if (!found.ok || !cut.ok) return [];
    const o = found.value;
    const { paid, used } = cut.value.shopping;
    return [
      {
        id,
        label,
        cover: tried,
        outline: o,
        merits: { ...meritsOf(o), price: paid },
        used,
        pieces: o.assembly.members.length + o.assembly.panels.length,
        ills: o
          .judged()
          .checks.filter((c) => c.verdict !== 'holds')
          .map((c) => ({ status: checkStatus(c), text: c.text })),
      },
    ];
  });
}
