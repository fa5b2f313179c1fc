import { Time } from '@internationalized/date';
import { type ReactNode, useState } from 'react';
import { DateInput, DateSegment, I18nProvider, TimeField } from 'react-aria-components';
import styled from 'styled-components';
import { type Result, ok } from '../../core/base/result';
import { useLocale } from '../app/hooks';
import { FaultBelow, segments } from './segments';

const Field = styled(TimeField)`
  position: relative;
  display: inline-block;
  .react-aria-DateInput {
    ${segments}
  }
`;

interface HourProps {
  readonly label: string;
  /** Hours since midnight, 0 to 24. */
  readonly value: number;
  readonly onSet: (hour: number) => Result<unknown>;
}

/** An hour of the clock, typed part by part; taken with Enter or when it is left. Midnight is the end of the day. */
export function HourField({ label, value, onSet }: HourProps): ReactNode {
  const locale = useLocale();
  const [draft, setDraft] = useState<number>();
  const [fault, setFault] = useState<string>();
  const shown = draft ?? value;
  const take = (): void => {
    setDraft(undefined);
    const answer = draft === undefined || draft === value ? ok(undefined) : onSet(draft);
    setFault(answer.ok ? undefined : answer.faults[0]?.message);
  };
  return (
    <I18nProvider locale={locale}>
      <Field
        aria-label={label}
        // As hours stand in sentences.
        hourCycle={24}
        value={new Time(Math.floor(shown) % 24, Math.round((shown % 1) * 60))}
        isInvalid={fault !== undefined}
        onChange={(time) => {
          setFault(undefined);
          if (time) setDraft(time.hour + time.minute / 60 || 24);
        }}
        onBlur={take}
      >
        <div
          onKeyDownCapture={(e) => {
            if (e.key === 'Enter') take();
            else if (e.key === 'Escape') setDraft(undefined);
          }}
        >
          <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
        </div>
        {fault !== undefined && <FaultBelow role="alert">{fault}</FaultBelow>}
      </Field>
    </I18nProvider>
  );
}
