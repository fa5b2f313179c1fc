import { Time } from '@internationalized/date';
import type { ReactNode } from 'react';
import { DateInput, DateSegment, I18nProvider, TimeField } from 'react-aria-components';
import styled from 'styled-components';
import type { Result } from '../../core/base/result';
import { useLocale } from '../app/hooks';
import { FaultBelow, segments } from './look';
import { useTaken } from './useTaken';

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
  /** It ends something: midnight is 24 then, and else 0. */
  readonly ends?: boolean;
  readonly onSet: (hour: number) => Result<unknown>;
}

/** An hour of the clock, typed part by part; taken with Enter or when it is left. */
export function HourField({ label, value, ends = false, onSet }: HourProps): ReactNode {
  const locale = useLocale();
  const { shown, fault, take, type, onKeyDownCapture } = useTaken(value, onSet);
  return (
    <I18nProvider locale={locale}>
      <Field
        aria-label={label}
        // As hours stand in sentences.
        hourCycle={24}
        value={new Time(Math.floor(shown) % 24, Math.round((shown % 1) * 60))}
        isInvalid={fault !== undefined}
        onChange={(time) => time && type(time.hour + time.minute / 60 || (ends ? 24 : 0))}
        onBlur={() => take()}
      >
        <div onKeyDownCapture={onKeyDownCapture}>
          <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
        </div>
        {fault !== undefined && <FaultBelow role="alert">{fault}</FaultBelow>}
      </Field>
    </I18nProvider>
  );
}
