import { setAnswer } from '../../../core/commands/design';
import type { CoverLayout } from '../../../core/layout';
import { type ReactNode, memo, useEffect, useMemo, useRef, useState } from 'react';
import { familyOf } from '../../../core/cover/families/registry';
import { formatMoney } from '../../../core/base/amount';
import { useAppDispatch, useRun, useUnits } from '../../app/hooks';
import { useOptions } from '../../background/usePlan';
import { noticeShown } from '../../app/state';
import type { Option } from '../../../core/cover/answers/parameter';
import type { OptionCost } from '../../../core/explore/options';
import type { Picked } from '../../parts/picked';
import { Choice, Field, Stepper } from '../../parts/controls';
import { LengthField } from '../../parts/TypedField';

interface QuestionsProps {
  readonly outline: CoverLayout;
  readonly leaf: 'shape' | 'skin';
  readonly title: string;
}

/** What the family asks that has no place in the drawing. A choice that could not be drawn is refused, with the reason. */
export function Questions(props: QuestionsProps): ReactNode {
  const [opened, open] = useState<string>();
  const { value: costs } = useOptions(props.outline.cover, opened);
  return <Asked costs={costs} opened={opened} onOpen={open} {...props} />;
}

interface AskedProps extends QuestionsProps {
  readonly costs: readonly OptionCost[] | undefined;
  /** The question whose list stands open. */
  readonly opened: string | undefined;
  readonly onOpen: (id: string) => void;
}

const Asked = memo(function Asked({ outline: o, leaf, title, costs, opened, onOpen }: AskedProps): ReactNode {
  const dispatch = useAppDispatch();
  const run = useRun();
  const family = familyOf(o.cover.family);
  const set = (id: string, value: string | number) => run((g) => setAnswer(g, o.cover.id, id, value));
  const choose = (id: string, value: string | number): void => {
    const answer = set(id, value);
    if (!answer.ok) dispatch(noticeShown(answer.faults[0]?.message ?? 'That cannot be used here.'));
  };
  // Handlers stay the same from one drawing to the next, so that unchanged choices need not be drawn again.
  const latest = useRef(choose);
  useEffect(() => {
    latest.current = choose;
  });
  const handlers = useRef(new Map<string, (value: string | number) => void>());
  const handler = (id: string): ((value: string | number) => void) => {
    const known = handlers.current.get(id);
    if (known) return known;
    const made = (value: string | number): void => latest.current(id, value);
    handlers.current.set(id, made);
    return made;
  };
  const openers = useMemo(() => new Map<string, () => void>(), []);
  const opener = (id: string): (() => void) => {
    const known = openers.get(id) ?? ((): void => onOpen(id));
    openers.set(id, known);
    return known;
  };
  const { currency } = useUnits();
  /** Options with what they cost beside the chosen one, once that is known of the opened list. */
  const priced = (id: string, chosen: string, options: readonly Option[]): readonly Picked[] =>
    id !== opened || !costs
      ? options
      : options.map((option) => {
          const found = costs.find((c) => c.value === option.value);
          if (!found || option.value === chosen) return option;
          const { cost, not } = found;
          if (not !== undefined || cost === undefined) return { ...option, not: not ?? '' };
          const said =
            Math.abs(cost) < 0.005 ? 'same' : `${cost < 0 ? '−' : '+'}${formatMoney(Math.abs(cost), currency)}`;
          return { ...option, cost: said };
        });
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
                  options={priced(q.id, q.value, q.options)}
                  onChange={handler(q.id)}
                  onOpen={opener(q.id)}
                />
              );
            case 'count':
              return (
                <Field key={q.id}>
                  <span className="name">{q.label}</span>
                  <Stepper label={q.label} value={q.value} min={q.min} max={q.max} onChange={handler(q.id)} />
                </Field>
              );
            case 'length':
              return (
                <Field key={q.id}>
                  <span className="name">{q.label}</span>
                  <span>
                    <LengthField label={q.label} valueMm={q.valueMm} boxed onSet={(mm) => set(q.id, mm)} />
                  </span>
                </Field>
              );
          }
        })}
    </section>
  );
});
