import { useMemo, useRef, useState } from 'react';
import { type Phrase, phraseText } from '../../core/base/figure';
import { MM_PER_INCH, isMetric } from '../../core/base/length';
import type { Answers } from '../../core/cover/answers/parameter';
import type { CoverLayout } from '../../core/layout';
import { type Pull, pullOf, pulled } from '../../core/explore/pull';
import type { Pulling } from './Handles';

/** How near a hand must come to be drawn to something, px. */
const SNAP_PX = 9;

/** Gives the design in hand other answers, by a name that undo has for it. */
export type TakeAnswers = (label: string | Phrase, answers: Answers) => unknown;

interface InHand {
  readonly id: string;
  readonly answers: Answers;
  readonly said: string;
  readonly limit: string;
}

/** The design while it is pulled at in the drawing: what it would be, and one step of work once it is let go. */
export function usePull(
  o: CoverLayout | undefined,
  takeAnswers: TakeAnswers,
): { readonly pulling: Pulling; readonly answers: Answers | undefined } {
  const [now, show] = useState<InHand>();
  // A key pulls and lets go before anything is drawn again.
  const latest = useRef<InHand>(undefined);
  const held = useRef<{ readonly of: CoverLayout; readonly pull: Pull | undefined; readonly id: string }>(undefined);
  // The same until something of it changes: the drawings are drawn again only then.
  const pulling = useMemo((): Pulling => {
    const set = (hand: InHand | undefined): void => {
      latest.current = hand;
      show(hand);
    };
    const onCancel = (): void => {
      held.current = undefined;
      set(undefined);
    };
    const onPull: Pulling['onPull'] = (id, wayMm, way, mmPerPx) => {
      if (!o) return;
      if (held.current?.id !== id) held.current = { of: o, pull: pullOf(o, id), id };
      const { of, pull } = held.current;
      if (!pull) return;
      const { length } = of.garden.units;
      const metric = isMetric(length);
      const stepMm = metric ? 10 : MM_PER_INCH / 2;
      const asked = way.keys
        ? byKeys(of, pull, wayMm * (way.large ? 10 : 1), stepMm)
        : pulled(of, pull, wayMm, stepMm / 2, way.free ? 0 : SNAP_PX * mmPerPx);
      if (asked.ok) return set({ id, answers: asked.value.answers, said: said(asked.value.said, of), limit: '' });
      // At its limit it stays as far as it came.
      const before = latest.current?.answers ?? of.cover.answers;
      set({ id, answers: before, said: '', limit: asked.faults[0]?.message ?? 'It goes no farther.' });
    };
    const onDrop = (): void => {
      const { of, id } = held.current ?? {};
      const hand = latest.current;
      const label = of?.assembly.dimensions.find((d) => d.id === id)?.label ?? '';
      if (hand && of && hand.answers !== of.cover.answers) takeAnswers(`Set ${label}`, hand.answers);
      onCancel();
    };
    return { now, onPull, onDrop, onCancel };
  }, [o, now, takeAnswers]);
  return { pulling, answers: now?.answers };
}

const said = (phrase: Phrase, o: CoverLayout): string =>
  phrase.length === 0 ? '' : phraseText(phrase, o.garden.units);

/** Most steps of keys looked at, for what goes by whole pieces. */
const MOST_STEPS = 80;

/** The next value in the way of the arrows: a step on, and on until something that goes by whole pieces changes. */
function byKeys(o: CoverLayout, pull: Pull, steps: number, stepMm: number): ReturnType<typeof pulled> {
  const up = Math.sign(steps) * (Math.sign(pull.perMm) || 1);
  const { valueMm } = pull.dimension;
  // From where it is to whole steps.
  const first = up > 0 ? Math.floor(valueMm / stepMm + 1e-6) : Math.ceil(valueMm / stepMm - 1e-6);
  for (let more = 0; ; more++) {
    const target = (first + up * (Math.abs(steps) + more)) * stepMm;
    const asked = pulled(o, pull, (target - valueMm) / pull.perMm, 0, 0);
    if (!asked.ok || Math.abs(asked.value.valueMm - valueMm) > 0.01 || more >= MOST_STEPS) return asked;
  }
}
