/** A family from its declarations: schema, first answers, questions, setters; and its recipe. */
import { type Family, registerFamily } from './registry';
import { assembled } from '../joints/derive';
import { structureOf } from '../structure/structure';
import { withExtra } from '../parts/extra';
import { splitEqualBars } from '../parts/equalBars';
import type { OfEveryCover } from '../answers/place';
import * as z from 'zod/mini';
import { issueFaults } from '../../base/issues';
import { type Result, fail, ok } from '../../base/result';
import { type Catalog, sectionsWhere } from '../../catalog/catalog';
import type { BuildSite } from '../../site/buildSite';
import { cropUnder } from '../assembly/crop';
import { mirrored } from '../assembly/mirror';
import type { Assembly, AssemblySpec } from '../assembly/types';
import type { Answers, Parameter, AnswerChange, ResolvedParameters, Declared, Question } from '../answers/parameter';

/** What a family says of itself. */
export interface Recipe<D extends Declared & OfEveryCover> {
  readonly key: string;
  readonly name: string;
  readonly sentence: string;
  /** Its place among the families, from the lightest to the largest. */
  readonly rank: number;
  /** In the order they are asked. */
  readonly answers: D;
  readonly standsOn?: NonNullable<Family['standsOn']>;
  /** Other answers that follow when one is set; `id` is the one that was. */
  readonly settle?: (answers: Answers, id: string, site: BuildSite) => Answers;
  readonly assemble: (chosen: ResolvedParameters<D>, site: BuildSite) => Result<AssemblySpec>;
}

/** An assembly whose every piece can be cut from some bar; else a fault that says which cannot. */
function possible(a: Assembly): Result<Assembly> {
  const long = a.members.find((m) => m.lengthMm > Math.max(...m.section.stock.map((bar) => bar.lengthMm)) + 0.5);
  if (long)
    return fail(
      'height',
      `${long.part} ${long.tag} would be longer than any ${long.section.name} on sale. Make the cover ${isUpright(long) ? 'lower' : 'narrower or shorter'}.`,
    );
  const short = a.members.find((m) => m.lengthMm < 10);
  return short
    ? fail('height', `There is no room for ${short.part} ${short.tag}: make the cover higher, or leave it out.`)
    : ok(a);
}

/** Whether a piece rises more than it runs: then a lower cover makes it shorter. */
function isUpright(m: Assembly['members'][number]): boolean {
  if (m.shape.kind === 'curve') return true;
  const { from, to } = m.shape;
  return Math.abs(to[2] - from[2]) > Math.hypot(to[0] - from[0], to[1] - from[1]);
}

/** A garden's own bars stand among the options beside the one each was made after. */
function withOwn(q: Question, catalog: Catalog, takes: (value: string) => boolean): Question {
  if (q.kind !== 'choice') return q;
  const own = sectionsWhere(catalog, (s) => s.like !== undefined);
  if (own.length === 0) return q;
  const options = q.options.flatMap((o) => [
    o,
    ...own
      .filter((s) => s.like === o.value && takes(s.key))
      .map((s) => ({ value: s.key, label: s.name, why: s.source })),
  ]);
  return { ...q, options };
}

function offers(q: Question | undefined, value: string | number): boolean {
  if (!q) return false;
  if (q.kind === 'choice') return q.options.some((o) => o.value === value);
  return q.kind !== 'count' || (Number(value) >= q.min && Number(value) <= q.max);
}

/** Binds a recipe: everything but the assembly itself follows from the declared answers. */
export function family<D extends Declared & OfEveryCover>(recipe: Recipe<D>): Family {
  const declared: readonly (readonly [string, Parameter])[] = Object.entries(recipe.answers);
  const schema = z.strictObject(Object.fromEntries(declared.map(([id, a]) => [id, a.schema])));
  const against: Family['against'] = (answers, catalog) =>
    declared.flatMap(([id, a]) => {
      const message = a.against(answers[id], catalog);
      return message === undefined ? [] : [{ id, message }];
    });
  const applies = (a: Parameter, answers: Answers): boolean =>
    Object.entries(a.asking?.when ?? {}).every(([id, want]) =>
      Array.isArray(want) ? want.includes(answers[id]) : answers[id] === want,
    );
  const idOf = (id: string, a: Parameter): string => a.asking?.id ?? id;
  /** Answers with some set, checked against the schema and the catalogue; faults are said of what was asked. */
  const set = (answers: Answers, values: Answers, site: BuildSite, askedAs: string): Result<Answers> => {
    const changed = Object.keys(values).reduce<Answers>((now, id) => ({ ...now, ...recipe.answers[id]?.resets }), {
      ...answers,
      ...values,
    });
    const settled = Object.keys(values).reduce((now, id) => recipe.settle?.(now, id, site) ?? now, changed);
    const read = schema.safeParse(settled);
    if (!read.success)
      return { ok: false, faults: issueFaults(read.error.issues).map((f) => ({ ...f, field: askedAs })) };
    const [wrong] = against(read.data, site.catalog);
    return wrong ? fail(askedAs, wrong.message) : ok(read.data);
  };
  const questions: Family['questions'] = (answers, at) =>
    declared.flatMap(([id, a]): readonly Question[] => {
      const { asking } = a;
      if (!asking || !applies(a, answers)) return [];
      const made = {
        ...asking.show(answers[id], { ...at, answers }),
        id: idOf(id, a),
        label: asking.label,
        ...(asking.leaf && { leaf: asking.leaf }),
      } as Question;
      return [withOwn(made, at.site.catalog, (key) => set(answers, { [id]: key }, at.site, id).ok)];
    });
  const answer: Family['answer'] = (answers, askedAs, said, at) => {
    const found = declared.find(([id, a]) => idOf(id, a) === askedAs && a.asking);
    if (!found?.[1].asking) return fail(askedAs, 'This cover asks no such question.');
    const [id, { asking }] = found;
    return set(answers, { [id]: asking.read(said, answers[id], { ...at, answers }) }, at.site, askedAs);
  };
  return registerFamily({
    ...recipe,
    schema,
    against,
    defaults: (site) => Object.fromEntries(declared.map(([id, a]) => [id, a.first(site)])),
    questions,
    answer,
    dimension: (answers, dimension, valueMm, at) => {
      for (const [id, a] of declared) {
        const typed = a.dimensions[dimension];
        if (!typed) continue;
        const value = typed(valueMm, answers[id], { ...at, answers });
        return value.ok ? set(answers, { [id]: value.value }, at.site, dimension) : value;
      }
      return fail(dimension, 'This dimension follows from the others and cannot be typed.');
    },
    change: (answers, change, at) => {
      if (change.kind === 'answer') {
        // An answer means something only where the question is asked, and it is on offer.
        const q = questions(answers, at).find((x) => x.id === change.id);
        const changed = offers(q, change.value) ? answer(answers, change.id, change.value, at) : undefined;
        return changed?.ok ? changed.value : undefined;
      }
      const values = declared.flatMap(([id, a]) => {
        const changed = a.changes[change.kind] as
          ((c: AnswerChange, value: unknown, at: unknown) => unknown) | undefined;
        const value = changed?.(change, answers[id], { ...at, answers });
        return value === undefined ? [] : [[id, value] as const];
      });
      if (values.length === 0) return undefined;
      const result = set(answers, Object.fromEntries(values), at.site, change.kind);
      return result.ok ? result.value : undefined;
    },
    labelOf: (id) => {
      const a = recipe.answers[id];
      const words = Object.keys(a?.dimensions ?? {})[0] ?? id;
      return a?.asking?.label ?? words.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`);
    },
    assemble: (answers, site) => {
      const kept = schema.parse(answers);
      const chosen = Object.fromEntries(
        declared.map(([id, a]) => [id, a.chosen(kept[id], site)]),
      ) as ResolvedParameters<OfEveryCover>;
      if (chosen.extent && chosen.extent[1] > site.survey.frameOn.lengthMm + 0.5)
        return fail('coverLength', 'The cover runs past the end of the bed: make it shorter or start it sooner.');
      const built = recipe.assemble(chosen as ResolvedParameters<D>, site);
      if (!built.ok) return built;
      // A family builds one way; what is higher on one side is turned round when asked.
      const stands = chosen.back === 'near' ? mirrored(built.value, site.survey.frameOn.widthMm) : built.value;
      // Extra warmth and a crop go into any cover, so they are put in once for all.
      const said = withExtra(stands, chosen.extra);
      return possible({
        ...assembled(site.catalog.halves === 'middle' ? splitEqualBars(said) : said, site),
        ...structureOf(said, site),
        crop: cropUnder(site, chosen.crop, chosen.rowFromEdgeMm, said.under),
      });
    },
  });
}
