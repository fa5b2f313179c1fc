import { forgetFrost, setFrost } from '../../../core/commands/place';
import type { ReactNode } from 'react';
import { isMonthDay, sayMonthDay } from '../../../core/base/days';
import { type Result, fail } from '../../../core/base/result';
import { frostOf } from '../../../core/judge/season/frost';
import { type FrostDates, FOUND_AT } from '../../../core/site/place';
import { useGarden, useRun } from '../../app/hooks';
import { Button, Row } from '../../parts/controls';
import { NumberField, TypedField } from '../../parts/TypedField';
import { monthDayOf } from '../../parts/monthDay';

/** When frost ends and begins here: asked where it is first needed, rough until it is said. */
export function FrostPanel(): ReactNode {
  const { site } = useGarden();
  const run = useRun();
  const frost = frostOf(site);
  const set = (more: Partial<FrostDates>): Result<unknown> => run((g) => setFrost(g, more));
  const field = (name: string, key: 'lastSpring' | 'firstAutumn'): ReactNode => (
    <Row name={name}>
      <TypedField
        label={`${name}, day and month`}
        shown={frost ? sayMonthDay(frost[key]) : 'none'}
        boxed
        take={(text) => {
          const date = monthDayOf(text);
          return date !== undefined && isMonthDay(date)
            ? set({ [key]: date })
            : fail('date', 'A day and a month, such as 22 May or 05-22.');
        }}
      />
    </Row>
  );
  return (
    <section aria-label="Frost here">
      <h2>Frost here</h2>
      {!frost && (
        <p>By its latitude and height it never freezes here, or never thaws: put your dates in if that is not so.</p>
      )}
      {frost?.rough && (
        <p>
          <b>Rough</b>, by latitude and height. {FOUND_AT.frost}
        </p>
      )}
      {field('Last in spring', 'lastSpring')}
      {field('First in autumn', 'firstAutumn')}
      <Row name="A year is off by" unit="days">
        <NumberField
          label="Days that a year may be off"
          value={frost?.spreadDays ?? 14}
          decimals={0}
          min={0}
          max={60}
          onSet={(x) => set({ spreadDays: Math.round(x) })}
        />
      </Row>
      {site.frost && <Button onPress={() => void run(forgetFrost)}>By latitude and height</Button>}
    </section>
  );
}
