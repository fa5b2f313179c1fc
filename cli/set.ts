/** `cabanon set`: an edit as the bench makes it, by the same commands; the changed garden is the answer. */
import { parseLength } from '../core/base/length';
import { type Result, fail, ok } from '../core/base/result';
import type { Change } from '../core/commands/change';
import { setAnswer, setDimension } from '../core/commands/design';
import { familyOf } from '../core/cover/families/registry';
import type { Garden } from '../core/garden/garden';
import { writeGarden } from '../core/garden/write';
import { type CoverLayout, layoutCover } from '../core/layout';
import { type Options, type Partly, readCovers, someOf } from './read';

/** Sets one dimension or one answer of a cover. */
export async function setCommand(path: string, options: Options): Promise<Result<Partly>> {
  const { cover: coverId, dimension, answer, to } = options;
  if (coverId === undefined) return fail('--cover', 'say which cover');
  if ((dimension === undefined) === (answer === undefined))
    return fail('--dimension', 'give a --dimension or an --answer, one of the two');
  if (to === undefined) return fail('--to', 'say what it is to be');
  const read = await readCovers(path, coverId);
  if (!read.ok) return read;
  const { garden, covers } = read.value;
  const [cover] = covers;
  const laid = cover ? layoutCover(garden, cover) : fail('--cover', `no cover "${coverId}"`);
  if (!laid.ok) return laid;
  const made =
    dimension === undefined ? answered(laid.value, answer ?? '', to) : measured(garden, laid.value, dimension, to);
  return made.ok ? ok({ value: undefined, faults: [], text: writeGarden(made.value.garden) }) : made;
}

function measured(garden: Garden, { cover, assembly }: CoverLayout, id: string, to: string): Result<Change> {
  const typed = assembly.dimensions.filter((d) => d.typed).map((d) => d.id);
  if (!typed.includes(id)) return fail('--dimension', `there is no "${id}" to be set; there are ${someOf(typed)}`);
  const mm = parseLength(to, garden.units.length);
  if (!mm.ok) return fail('--to', mm.faults[0]?.message ?? 'is no length');
  return setDimension(garden, cover.id, id, mm.value);
}

function answered(laid: CoverLayout, id: string, to: string): Result<Change> {
  const { garden, cover } = laid;
  const questions = familyOf(cover.family).questions(cover.answers, laid);
  const q = questions.find((x) => x.id === id);
  if (!q) return fail('--answer', `there is no question "${id}"; there are ${someOf(questions.map((x) => x.id))}`);
  if (q.kind === 'choice') {
    const values = q.options.map((o) => String(o.value));
    return values.includes(to)
      ? setAnswer(garden, cover.id, id, to)
      : fail('--to', `"${to}" is no answer; there are ${someOf(values)}`);
  }
  if (q.kind === 'count') {
    const count = Number(to);
    return Number.isInteger(count) && count >= q.min && count <= q.max
      ? setAnswer(garden, cover.id, id, count)
      : fail('--to', `must be a whole number from ${q.min} to ${q.max}, not "${to}"`);
  }
  const mm = parseLength(to, garden.units.length);
  return mm.ok ? setAnswer(garden, cover.id, id, mm.value) : fail('--to', mm.faults[0]?.message ?? 'is no length');
}
