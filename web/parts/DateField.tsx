import { parseDate } from '@internationalized/date';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  Group,
  Heading,
  I18nProvider,
  Popover,
} from 'react-aria-components';
import styled from 'styled-components';
import type { Result } from '../../core/base/result';
import { useLocale } from '../app/hooks';
import { FaultBelow, overPage, segments } from './look';
import { useTaken } from './useTaken';

const Picker = styled(DatePicker)`
  position: relative;
  display: inline-block;
  .field {
    ${segments}
  }
  .field button {
    width: var(--target);
    min-height: var(--target);
    display: grid;
    place-items: center;
    border: 0;
    background: transparent;
    color: var(--ink);
    cursor: pointer;
  }
`;

const Sheet = styled(Popover)`
  padding: 0.6rem;
  ${overPage}
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
  h2 {
    margin: 0;
    font-size: 1rem;
  }
  header button,
  td > div {
    width: var(--target);
    height: var(--target);
    display: grid;
    place-items: center;
    border: 0;
    border-radius: 2px;
    background: transparent;
    color: var(--ink);
    cursor: pointer;
  }
  td > div:hover {
    background: var(--hair);
  }
  td > div[data-selected] {
    background: var(--ink);
    color: var(--ground);
  }
  td > div[data-outside-month] {
    visibility: hidden;
  }
  td > div[data-unavailable],
  td > div[data-disabled] {
    color: var(--quiet);
    text-decoration: line-through;
    cursor: default;
  }
  th {
    color: var(--quiet);
    font-size: 0.8125rem;
    font-weight: 600;
  }
`;

interface DateProps {
  readonly label: string;
  /** YYYY-MM-DD; null where there is none yet. */
  readonly date: string | null;
  readonly onSet: (date: string) => Result<unknown>;
  readonly first?: string;
  readonly last?: string;
}

/**
 * A date in the garden's own order, typed part by part or picked from a month. It is taken when it is picked, with Enter, or when the
 * field is left: not at each part of it.
 */
export function DateField({ label, date, onSet, first, last }: DateProps): ReactNode {
  const locale = useLocale();
  const [open, setOpen] = useState(false);
  const { shown, fault, take, type, onKeyDownCapture } = useTaken(date, onSet);
  return (
    <I18nProvider locale={locale}>
      <Picker
        aria-label={label}
        granularity="day"
        value={shown === null ? null : parseDate(shown)}
        {...(first !== undefined && { minValue: parseDate(first) })}
        {...(last !== undefined && { maxValue: parseDate(last) })}
        isOpen={open}
        onOpenChange={setOpen}
        isInvalid={fault !== undefined}
        onChange={(value) => {
          if (value === null) return;
          if (open) take(value.toString());
          else type(value.toString());
        }}
        onBlur={() => take()}
      >
        <Group className="field" onKeyDownCapture={onKeyDownCapture}>
          <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
          <Button aria-label={`${label}: calendar`}>
            <CalendarDays size={18} aria-hidden />
          </Button>
        </Group>
        {fault !== undefined && <FaultBelow role="alert">{fault}</FaultBelow>}
        <Sheet>
          <Dialog>
            <Calendar>
              <header>
                <Button slot="previous">
                  <ChevronLeft size={18} aria-hidden />
                </Button>
                <Heading />
                <Button slot="next">
                  <ChevronRight size={18} aria-hidden />
                </Button>
              </header>
              <CalendarGrid>{(day) => <CalendarCell date={day} />}</CalendarGrid>
            </Calendar>
          </Dialog>
        </Sheet>
      </Picker>
    </I18nProvider>
  );
}
