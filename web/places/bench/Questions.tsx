import type { Outline } from '../../../core/outline';
import { type ReactNode, useEffect, useRef } from 'react';
import { familyOf } from '../../../core/build/families';
import { type Result, failAll, ok } from '../../../core/base/result';
import { useAppDispatch } from '../../app/hooks';
import { said } from '../../app/state';
import { Choice, Field, Stepper } from '../../parts/controls';
import { LengthField } from '../../parts/TypedField';

interface QuestionsProps {
  readonly outline: Outline;
  readonly leaf: 'shape' | 'skin';
  readonly title: string;
  readonly setAnswers: (label: string, answers: unknown) => readonly { field: string; message: string }[];
}

/** What the family asks that has no place in the drawing. A choice that could not be drawn is refused, with the reason. */
export function Questions({ outline: o, leaf, title, setAnswers }: QuestionsProps): ReactNode {
  const dispatch = useAppDispatch();
  const family = familyOf(o.cover.family);
  const set = (id: string, label: string, value: string | number): Result<unknown> => {
    const changed = family.answer(o.cover.answers, id, value, o);
    if (!changed.ok) return changed;
    const drawn = family.assemble(changed.value, o.site);
    if (!drawn.ok) return drawn;
    const faults = setAnswers(`Set ${label.toLowerCase()}`, changed.value);
    return faults.length > 0 ? failAll(faults) : ok(undefined);
  };
  const choose = (id: string, label: string, value: string | number): void => {
    const answer = set(id, label, value);
    if (!answer.ok) dispatch(said(answer.faults[0]?.message ?? 'That cannot be used here.'));
  };
  // Handlers stay the same from one drawing to the next, so that unchanged choices need not be drawn again.
  const latest = useRef(choose);
  useEffect(() => {
    latest.current = choose;
  });
  const handlers = useRef(new Map<string, (value: string | number) => void>());
  const handler = (id: string, label: string): ((value: string | number) => void) => {
    const known = handlers.current.get(id);
    if (known) return known;
    const made = (value: string | number): void => latest.current(id, label, value);
    handlers.current.set(id, made);
    return made;
  };
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      {family
        .questions(o.cover.answers, o)
        .filter((q) => (q.leaf ?? 'shape') === leaf)
        .map((q) => {
          switch (q.kind) {
            case 'choice':
              return (
                <Choice
                  key={q.id}
                  label={q.label}
                  value={q.value}
                  options={q.options}
                  onChange={handler(q.id, q.label)}
                />
              );
            case 'count':
              return (
                <Field key={q.id}>
                  <span className="name">{q.label}</span>
                  <Stepper label={q.label} value={q.value} min={q.min} max={q.max} onChange={handler(q.id, q.label)} />
                </Field>
              );
            case 'length':
              return (
                <Field key={q.id}>
                  <span className="name">{q.label}</span>
                  <span>
                    <LengthField label={q.label} valueMm={q.valueMm} boxed onSet={(mm) => set(q.id, q.label, mm)} />
                  </span>
                </Field>
              );
          }
        })}
    </section>
  );
}
