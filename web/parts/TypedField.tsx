import { type ReactNode, useId, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import styled from 'styled-components';
import { formatLength, parseLength } from '../../core/base/length';
import { type Result, fail, ok } from '../../core/base/result';
import { useUnits } from '../app/hooks';
import { FaultBelow, typedInto, typedText } from './look';

const Wrap = styled.span`
  position: relative;
  display: inline-block;
  input {
    height: var(--field-height, 2rem);
    padding: 0 0.35rem;
    border: 1.5px solid transparent;
    border-radius: 2px;
    background: var(--field-ground, var(--ground));
    ${typedText}
    text-align: center;
    cursor: text;
  }
  &.boxed input {
    border-color: var(--chalk);
  }
  input:hover {
    border-color: var(--chalk);
  }
  input:focus {
    ${typedInto}
  }
  input[aria-invalid='true'] {
    border-color: var(--fails);
    box-shadow: 0 0 0 2px var(--fails);
  }
`;

interface TypedProps {
  /** What the measure is, for those who do not see the drawing. */
  readonly label: string;
  /** The value as it is shown. */
  readonly shown: string;
  /** Takes what was typed; faults keep the old value and are said. */
  readonly take: (text: string) => Result<unknown>;
  /** After Enter took what stands there: what one goes on to. */
  readonly onEnter?: (() => void) | undefined;
  readonly boxed?: boolean;
  readonly testId?: string | undefined;
}

/**
 * A value that is typed where it stands. Enter or leaving takes it; Escape gives it up.
 * What cannot be taken is said beneath, the old value stays, and focus does not move.
 */
export function TypedField({ label, shown, take, onEnter, boxed, testId }: TypedProps): ReactNode {
  const [draft, setDraft] = useState<string>();
  const [fault, setFault] = useState<string>();
  const input = useRef<HTMLInputElement>(null);
  const faultId = useId();
  // Shown as it was taken, and selected again, once that is drawn, or when the next key comes first, so that fast typing is not cut in two.
  // Text put into a focused field while the drawing changes would have the whole page laid out twice.
  const settlePending = useRef<'shown' | 'typed'>(undefined);
  const settleNow = (): typeof settlePending.current => {
    const text = settlePending.current;
    settlePending.current = undefined;
    if (text === 'shown') flushSync(() => setDraft(undefined));
    // A hand that has gone on to the next field is not called back.
    if (text && document.activeElement === input.current) input.current?.select();
    return text;
  };
  const settle = (text: 'shown' | 'typed'): void => {
    settlePending.current = text;
    requestAnimationFrame(settleNow);
  };

  /** Takes what was typed; true where it could be. */
  const commit = (): boolean => {
    const answer = draft === undefined || draft.trim() === shown ? ok(undefined) : take(draft);
    setFault(answer.ok ? undefined : (answer.faults[0]?.message ?? 'That cannot be used here.'));
    return answer.ok;
  };

  return (
    <Wrap className={boxed ? 'boxed' : ''}>
      <input
        ref={input}
        aria-label={label}
        data-testid={testId}
        value={draft ?? shown}
        size={Math.min(MOST_CHARS, Math.max(4, (draft ?? shown).length))}
        inputMode="text"
        autoComplete="off"
        spellCheck={false}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : faultId}
        onFocus={(e) => {
          setFault(undefined);
          e.currentTarget.select();
        }}
        onChange={(e) => {
          settlePending.current = undefined;
          setDraft(e.target.value);
        }}
        onBlur={() => {
          if (settlePending.current === undefined) commit();
          setDraft(undefined);
        }}
        onKeyDown={(e) => {
          const settled = settleNow();
          if (e.key === 'Enter') {
            e.preventDefault();
            // Nothing was typed since it was taken.
            if (settled !== 'shown') {
              const taken = commit();
              settle(taken ? 'shown' : 'typed');
              if (taken) onEnter?.();
            }
          } else if (e.key === 'Escape') {
            setFault(undefined);
            settle('shown');
          }
        }}
      />
      {fault !== undefined && (
        <FaultBelow id={faultId} role="alert">
          {fault}
        </FaultBelow>
      )}
    </Wrap>
  );
}

/** A field is no wider than its panel; longer words run on within it. */
const MOST_CHARS = 18;

interface LengthProps {
  readonly label: string;
  /** Undefined where it is not known yet: then the hint stands in its place. */
  readonly valueMm: number | undefined;
  readonly hint?: string;
  /** Nothing and less is refused. */
  readonly positive?: boolean;
  /** How what is typed is read, where it may be more than a length. */
  readonly read?: (text: string) => Result<number>;
  readonly onSet: (mm: number) => Result<unknown>;
  readonly onEnter?: () => void;
  readonly boxed?: boolean;
  readonly testId?: string;
}

/** A length, typed in any unit and shown in the garden's own. */
export function LengthField({
  label,
  valueMm,
  hint,
  positive,
  read: reads,
  onSet,
  onEnter,
  boxed,
  testId,
}: LengthProps): ReactNode {
  const { length } = useUnits();
  return (
    <TypedField
      label={label}
      shown={valueMm === undefined ? (hint ?? 'length') : formatLength(valueMm, length)}
      boxed={boxed ?? false}
      testId={testId}
      onEnter={onEnter}
      take={(text) => {
        const read = reads ? reads(text) : parseLength(text, length);
        if (!read.ok) return read;
        if (positive && read.value <= 0) return fail('length', 'It is longer than nothing.');
        return onSet(read.value);
      }}
    />
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly decimals: number;
  readonly min: number;
  readonly max: number;
  readonly onSet: (value: number) => Result<unknown>;
}

/** A plain number within bounds. */
export function NumberField({ label, value, decimals, min, max, onSet }: NumberProps): ReactNode {
  return (
    <TypedField
      label={label}
      shown={value.toFixed(decimals)}
      boxed
      take={(text) => {
        const clean = text.trim().replace('−', '-').replace(',', '.');
        const read = Number(clean);
        if (clean === '' || !Number.isFinite(read))
          return { ok: false, faults: [{ field: label, message: `“${text}” is not a number. Try ${min}.` }] };
        if (read < min || read > max)
          return { ok: false, faults: [{ field: label, message: `From ${min} to ${max}, please.` }] };
        const answer = onSet(read);
        return answer.ok ? ok(read) : answer;
      }}
    />
  );
}
