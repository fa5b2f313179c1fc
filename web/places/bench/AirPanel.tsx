import { setOperation, toggleDayOff } from '../../../core/commands/covers';
import { setNoon } from '../../../core/commands/place';
import { celsiusOf, degreesIn } from '../../../core/base/amount';
import { DateField } from '../../parts/DateField';
import type { Assessment } from '../../../core/assessment';
import type { Place } from '../../../core/site/place';
import type { ReactNode } from 'react';
import { type Result } from '../../../core/base/result';
import type { Operation } from '../../../core/judge/climate/operation';
import { USUAL_TENDING } from '../../../core/judge/climate/operation';
import { useRun, useUnits } from '../../app/hooks';
import { Choice, Row } from '../../parts/controls';
import { NumberField } from '../../parts/TypedField';
import { HourField } from '../../parts/HourField';
import { Toggles } from '../../parts/Toggle';

const WEEK = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa'] as const;
const WEEKDAYS = ['Sundays', 'Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays'] as const;

/** Who opens it and when, and the noon that its vents are sized for. */
export function AirPanel({ outline: o }: { readonly outline: Assessment }): ReactNode {
  const run = useRun();
  const { noon } = o.garden.site;
  const units = useUnits();
  const { temperature } = units;
  const set = (part: Partial<Place['noon']>): Result<unknown> => run((g) => setNoon(g, part));
  const shown = (c: number): number => degreesIn(c, units);
  const read = (x: number): number => celsiusOf(x, units);
  const step = temperature === 'F' ? 1.8 : 1;
  const { tending, id } = o.cover;
  const tend = (part: Partial<Operation>): Result<unknown> => run((g) => setOperation(g, id, part));
  const { warmth } = o.assembly;
  /** What is put on in the evening and off in the morning. */
  const nightly = warmth?.kind === 'blanket' || warmth?.kind === 'lights' ? warmth.kind : undefined;
  const opens = o.assembly.ventilation.byHandM2 > 0;
  return (
    <>
      <section aria-label="How it is tended">
        <h2>How it is tended</h2>
        {opens ? (
          <>
            <Choice
              label="By hand"
              value={tending.open ? 'open' : 'never'}
              options={[
                {
                  value: 'open',
                  label: 'Opened on mild days',
                  why: 'Somebody comes to open it in the morning and shut it in the afternoon.',
                },
                { value: 'never', label: 'Never opened', why: 'What does not open by itself stays shut.' },
              ]}
              onChange={(v) => void tend({ open: v === 'open' ? (USUAL_TENDING.open ?? { from: 9, to: 15 }) : null })}
            />
            {tending.open && (
              <>
                <Row name="Opened at">
                  <HourField
                    label="Opened at"
                    value={tending.open.from}
                    onSet={(h) => tend({ open: tending.open && { ...tending.open, from: h } })}
                  />
                </Row>
                <Row name="Shut at">
                  <HourField
                    label="Shut at"
                    value={tending.open.to}
                    ends
                    onSet={(h) => tend({ open: tending.open && { ...tending.open, to: h } })}
                  />
                </Row>
                <Row name="On days over" unit={`°${temperature}`}>
                  <NumberField
                    label="Opened on days that get warmer than"
                    value={shown(tending.fromC)}
                    decimals={0}
                    min={Math.round(shown(-30))}
                    max={Math.round(shown(40))}
                    onSet={(x) => tend({ fromC: read(x) })}
                  />
                </Row>
                <Row name="Nobody there on">
                  <Toggles
                    label="Days on which nobody comes"
                    options={WEEK.map((day, i) => ({ value: String(i), label: day, said: WEEKDAYS[i] ?? day }))}
                    chosen={tending.forgets.map(String)}
                    onChange={(days) => {
                      const turned = WEEK.findIndex((_, i) => days.includes(String(i)) !== tending.forgets.includes(i));
                      if (turned >= 0) void run((g) => toggleDayOff(g, id, turned));
                    }}
                  />
                </Row>
              </>
            )}
          </>
        ) : (
          <p>Nothing of it is opened by hand for air.</p>
        )}
        <Choice
          label="Snow"
          value={tending.brushes ? 'brushed' : 'left'}
          options={[
            { value: 'brushed', label: 'Brushed off in the mornings', why: 'Light comes in, and little ever lies.' },
            { value: 'left', label: 'Left to lie', why: 'It keeps warmth in and light out, and weighs on the cover.' },
          ]}
          onChange={(v) => void tend({ brushes: v === 'brushed' })}
        />
        {nightly && (
          <>
            <Row name={nightly === 'blanket' ? 'Blanket on' : 'Lights on'}>
              <HourField
                label={`${nightly} on at`}
                value={tending[nightly].from}
                onSet={(h) => tend({ [nightly]: { ...tending[nightly], from: h } })}
              />
            </Row>
            <Row name="Off at">
              <HourField
                label={`${nightly} off at`}
                value={tending[nightly].to}
                ends
                onSet={(h) => tend({ [nightly]: { ...tending[nightly], to: h } })}
              />
            </Row>
          </>
        )}
      </section>
      <section aria-label="The noon asked of it" style={{ marginTop: '1.2rem' }}>
        <h2>The noon asked of it</h2>
        <Row name="Date">
          <DateField label="Date of the noon" date={noon.date} onSet={(date) => set({ date: date })} />
        </Row>
        <Row name="Outside" unit={`°${temperature}`}>
          <NumberField
            label="Outside temperature"
            value={shown(noon.outsideC)}
            decimals={0}
            min={Math.round(shown(-40))}
            max={Math.round(shown(50))}
            onSet={(x) => set({ outsideC: read(x) })}
          />
        </Row>
        <Row name="Rise allowed" unit={`°${temperature}`}>
          <NumberField
            label="Rise allowed over outside"
            value={noon.allowedRiseC * step}
            decimals={0}
            min={1}
            max={40 * step}
            onSet={(x) => set({ allowedRiseC: x / step })}
          />
        </Row>
      </section>
    </>
  );
}
