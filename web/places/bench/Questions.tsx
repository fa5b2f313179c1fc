import { setAnswer } from '../../../core/commands/design';
import type { CoverLayout } from '../../../core/layout';
import { type ComponentProps, type ReactNode, memo, useCallback, useState } from 'react';
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

type Answer = (questionId: string, value: string | number) => void;

/** One choice: what it does stays the same from one drawing to the next, so that it is not drawn again unchanged. */
function AskedChoice({
  id,
  answer,
  onOpen,
  ...choice
}: {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly options: readonly Picked[];
  readonly answer: Answer;
  readonly onOpen: (id: string) => void;
}): ReactNode {
  const onChange = useCallback((value: string) => answer(id, value), [answer, id]);
  const open = useCallback(() => onOpen(id), [onOpen, id]);
  return <Choice {...choice} onChange={onChange} onOpen={open} />;
}

/** One count, likewise. */
function AskedCount({
  id,
  answer,
  ...count
}: Omit<ComponentProps<typeof Stepper>, 'onChange'> & { readonly id: string; readonly answer: Answer }): ReactNode {
  const onChange = useCallback((value: number) => answer(id, value), [answer, id]);
  return <Stepper {...count} onChange={onChange} />;
}

const Asked = memo(function Asked({ outline: o, leaf, title, costs, opened, onOpen }: AskedProps): ReactNode {
  const dispatch = useAppDispatch();
  const run = useRun();
  const family = familyOf(o.cover.family);
  const coverId = o.cover.id;
  const set = (id: string, value: string | number) => run((g) => setAnswer(g, coverId, id, value));
  const answer = useCallback(
    (id: string, value: string | number): void => {
      const made = run((g) => setAnswer(g, coverId, id, value));
      if (!made.ok) dispatch(noticeShown(made.faults[0]?.message ?? 'That cannot be used here.'));
    },
    [run, dispatch, coverId],
  );
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
                <AskedChoice
                  key={q.id}
                  id={q.id}
                  label={q.label}
                  value={q.value}
                  options={priced(q.id, q.value, q.options)}
                  answer={answer}
                  onOpen={onOpen}
                />
              );
            case 'count':
              return (
                <Field key={q.id}>
                  <span className="name">{q.label}</span>
                  <AskedCount id={q.id} label={q.label} value={q.value} min={q.min} max={q.max} answer={answer} />
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
