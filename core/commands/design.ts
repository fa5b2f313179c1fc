/** What is answered of a cover: its questions, its dimensions, whole designs taken over. */
import type { Draft } from 'immer';
import { type Phrase, phraseText } from '../base/figure';
import { freshName } from '../base/ids';
import { type Result, fail } from '../base/result';
import type { Answers } from '../cover/answers/parameter';
import { familyOf } from '../cover/families/registry';
import type { Cover, Garden } from '../garden/garden';
import { type CoverLayout, cachedLayout } from '../layout';
import { type Change, change, changeCover, notThere, withThing } from './change';

function layoutOf(garden: Garden, coverId: string): Result<CoverLayout> {
  const cover = garden.covers.find((c) => c.id === coverId);
  return cover ? cachedLayout(garden, cover) : notThere('cover', coverId);
}

/**
 * Gives a cover other answers, whole.
 * @param label as undo names it
 * @returns the fault where it could not be drawn with them; the layout is remembered for the drawing that follows
 */
export function setAnswers(garden: Garden, coverId: string, answers: Answers, label: string | Phrase): Result<Change> {
  const text = typeof label === 'string' ? label : phraseText(label, garden.units);
  const made = changeCover(garden, coverId, text, (c) => void (c.answers = answers as Draft<Cover['answers']>));
  if (!made.ok) return made;
  const drawn = layoutOf(made.value.garden, coverId);
  return drawn.ok ? made : drawn;
}

/**
 * Answers one question of a cover.
 * @param questionId as `family.questions` names it
 * @example setAnswer(demoGarden(), 'winter-lid', 'hoops', 6).value.label // "Set how many"
 */
export function setAnswer(garden: Garden, coverId: string, questionId: string, value: string | number): Result<Change> {
  const laid = layoutOf(garden, coverId);
  if (!laid.ok) return laid;
  const { cover } = laid.value;
  const family = familyOf(cover.family);
  const question = family.questions(cover.answers, laid.value).find((q) => q.id === questionId);
  if (!question) return fail(questionId, 'This is not asked of such a cover.');
  const answers = family.answer(cover.answers, questionId, value, laid.value);
  return answers.ok ? setAnswers(garden, coverId, answers.value, `Set ${question.label.toLowerCase()}`) : answers;
}

/**
 * Sets a dimension of a cover's drawing; what else must follow does.
 * @param dimensionId as the assembly names it
 */
export function setDimension(garden: Garden, coverId: string, dimensionId: string, mm: number): Result<Change> {
  const laid = layoutOf(garden, coverId);
  if (!laid.ok) return laid;
  const { cover, assembly } = laid.value;
  const answers = familyOf(cover.family).dimension(cover.answers, dimensionId, mm, laid.value);
  if (!answers.ok) return answers;
  const label = assembly.dimensions.find((d) => d.id === dimensionId)?.label ?? dimensionId;
  return setAnswers(garden, coverId, answers.value, `Set ${label}`);
}

/** Keeps the design as it is, to be compared with and gone back to. */
export const keepVersion = (garden: Garden, coverId: string): Result<Change> =>
  changeCover(garden, coverId, 'Keep this version', (c) => void (c.kept = c.answers));

/** Puts a version of a cover, or a rival to it, in its place. */
export const takeVersion = (garden: Garden, coverId: string, version: Cover, label: string): Result<Change> =>
  changeCover(garden, coverId, `Take the version: ${label}`, (c) => {
    const kept = c.family === version.family ? c.kept : null;
    Object.assign(c, { ...version, kept });
  });

/** Puts a design on its bed as a cover of its own. */
export const addDesign = (garden: Garden, design: Cover, id: string, name: string): Result<Change> =>
  withThing(garden, 'bed', design.bedId, (bed) => {
    const taken = garden.covers.map((c) => c.name);
    const cover = { ...design, id, name: freshName(name, taken) };
    return change(garden, `Cover ${bed}`, (g) => void g.covers.push(cover as Draft<Cover>));
  });
