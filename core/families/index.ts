import type { Assembly } from '../assembly/types';
import { issueFaults } from '../issues';
import { section, SECTIONS } from '../catalog/sections';
import { type Result, fail, ok } from '../result';
import { extraQuestion, withExtra } from './extra';
import type { Change, Family, Question } from './family';
import type { Extra } from './questions';
import type { BuildSite } from '../bed/buildSite';
import { hingedHoopLid } from './hingedHoopLid';
import { liftOffCover } from './liftOffCover';
import { bentConduit } from './bentConduit';
import { aFrame } from './aFrame';
import { slopedColdFrame } from './slopedColdFrame';
import { doubleWallColdFrame } from './doubleWallColdFrame';
import { strawBale } from './strawBale';
import { fittingGable } from './fittingGable';
import { meshArch } from './meshArch';
import { walkIn } from './walkIn';
import { stakedTunnel } from './stakedTunnel';
import { wireTunnel } from './wireTunnel';

/** Every family, in the order they are offered. A new family is one folder and one line here and in the garden's schema. */
const FAMILIES = {
  'staked-tunnel': stakedTunnel,
  'wire-tunnel': wireTunnel,
  'hinged-hoop-lid': hingedHoopLid,
  'lift-off-cover': liftOffCover,
  'bent-conduit': bentConduit,
  'a-frame': aFrame,
  'sloped-cold-frame': slopedColdFrame,
  'double-wall-cold-frame': doubleWallColdFrame,
  'straw-bale': strawBale,
  'fitting-gable': fittingGable,
  'mesh-arch': meshArch,
  'walk-in': walkIn,
} as const;

export type FamilyKey = keyof typeof FAMILIES;
export const FAMILY_KEYS = Object.keys(FAMILIES) as FamilyKey[];

/** Answers of one family, as plain data; the bound family checks them. */
export type Answers = Readonly<Record<string, unknown>>;

/** A family with the type of its answers hidden, so that nothing downstream needs to know which it is. */
export interface BoundFamily {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
  readonly defaults: (site: BuildSite) => Answers;
  readonly questions: (answers: Answers, built: Assembly | undefined) => readonly Question[];
  readonly answer: (
    answers: Answers,
    id: string,
    value: string | number,
    built: Assembly | undefined,
  ) => Result<Answers>;
  readonly dimension: (answers: Answers, id: string, valueMm: number, site: BuildSite) => Result<Answers>;
  readonly change: (answers: Answers, change: Change, built: Assembly) => Answers | undefined;
  readonly assemble: (answers: Answers, site: BuildSite) => Result<Assembly>;
}

function longestBar(sectionKey: string): number {
  return Math.max(...section(sectionKey).stock.map((bar) => bar.lengthMm));
}

/** An assembly whose every piece can be cut from some bar; else a fault that says which cannot. */
function possible(a: Assembly): Result<Assembly> {
  const long = a.members.find((m) => m.lengthMm > longestBar(m.sectionKey) + 0.5);
  if (long)
    return fail(
      'height',
      `${long.part} ${long.tag} would be longer than any ${section(long.sectionKey).name} on sale. Make the cover lower.`,
    );
  const short = a.members.find((m) => m.lengthMm < 10);
  return short
    ? fail('height', `There is no room for ${short.part} ${short.tag}: make the cover higher, or leave it out.`)
    : ok(a);
}

/** A garden's own bars stand among the options beside the one each was made after. */
function withOwn(questions: readonly Question[], takes: (id: string, value: string) => boolean): readonly Question[] {
  const own = [...SECTIONS.all().values()].filter((s) => s.like !== undefined);
  if (own.length === 0) return questions;
  return questions.map((q) =>
    q.kind === 'choice'
      ? {
          ...q,
          options: q.options.flatMap((o) => [
            o,
            ...own
              .filter((s) => s.like === o.value && takes(q.id, s.key))
              .map((s) => ({ value: s.key, label: s.name, why: s.source })),
          ]),
        }
      : q,
  );
}

function asks(questions: readonly Question[], { id, value }: Change & { readonly kind: 'answer' }): boolean {
  const q = questions.find((x) => x.id === id);
  if (!q) return false;
  if (q.kind === 'choice') return q.options.some((o) => o.value === value);
  return q.kind !== 'count' || (Number(value) >= q.min && Number(value) <= q.max);
}

function bind<A extends object>(family: Family<A>): BoundFamily {
  const read = (answers: Answers): A => family.schema.parse(answers);
  const plain = (answers: A): Answers => answers as Answers;
  const checked = (answers: A, id: string): Result<Answers> => {
    const result = family.schema.safeParse(answers);
    if (result.success) return { ok: true, value: plain(result.data) };
    return { ok: false, faults: issueFaults(result.error.issues).map((fault) => ({ ...fault, field: id })) };
  };
  // Extra warmth goes into any cover, so it is asked once for all.
  const extraOf = (answers: Answers): Extra => (answers['extra'] as Extra | undefined) ?? 'none';
  const takes = (answers: Answers, id: string, value: string): boolean =>
    family.schema.safeParse({ ...answers, [id]: value }).success;
  const asked = (answers: Answers, built: Assembly | undefined): readonly Question[] => [
    ...withOwn(family.questions(read(answers), built), (id, value) => takes(answers, id, value)),
    extraQuestion(extraOf(answers)),
  ];
  return {
    key: family.key,
    name: family.name,
    sentence: family.sentence,
    defaults: (site) => plain(family.defaults(site)),
    questions: asked,
    answer: (answers, id, value, built) => checked(family.answer(read(answers), id, value, built), id),
    dimension: (answers, id, valueMm, site) => {
      const changed = family.dimension(read(answers), id, valueMm, site);
      return changed.ok ? checked(changed.value, id) : changed;
    },
    change: (answers, change, built) => {
      // An answer means something only where the question is asked, and it is on offer.
      if (change.kind === 'answer' && !asks(asked(answers, built), change)) return undefined;
      const changed =
        change.kind === 'answer'
          ? family.answer(read(answers), change.id, change.value, built)
          : family.change(read(answers), change, built);
      return changed && family.schema.safeParse(changed).success ? plain(changed) : undefined;
    },
    assemble: (answers, site) => {
      const built = family.assemble(read(answers), site);
      return built.ok ? possible(withExtra(built.value, extraOf(answers))) : built;
    },
  };
}

const BOUND: Readonly<Record<FamilyKey, BoundFamily>> = {
  'staked-tunnel': bind(stakedTunnel),
  'wire-tunnel': bind(wireTunnel),
  'hinged-hoop-lid': bind(hingedHoopLid),
  'lift-off-cover': bind(liftOffCover),
  'bent-conduit': bind(bentConduit),
  'a-frame': bind(aFrame),
  'sloped-cold-frame': bind(slopedColdFrame),
  'double-wall-cold-frame': bind(doubleWallColdFrame),
  'straw-bale': bind(strawBale),
  'fitting-gable': bind(fittingGable),
  'mesh-arch': bind(meshArch),
  'walk-in': bind(walkIn),
};

/** The family of a key. */
export function familyOf(key: FamilyKey): BoundFamily {
  return BOUND[key];
}
