import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { sayDay } from '../../../core/base/days';
import { phraseText } from '../../../core/base/figure';
import { type Decision, EVENINGS } from '../../../core/judge/season/trainer';
import { useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import { Button } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { Toggle } from '../../parts/Toggle';

const Box = styled.section`
  border-top: 1px solid var(--hair);
  padding-top: 0.8rem;
  display: grid;
  gap: 0.6rem;
  li {
    border-top: 1px solid var(--hair);
    padding: 0.35rem 0;
  }
`;

const sky = (cloud: number): string => (cloud < 0.35 ? 'clear' : cloud < 0.7 ? 'some cloud' : 'grey');
const NOTHING: Decision = { blanket: false, open: false, brush: false };
const said = ({ blanket, open, brush }: Decision): string =>
  `${blanket ? 'blanket' : 'no blanket'}, ${open ? 'open from 9 to 15' : 'shut all day'}${brush ? ', snow brushed off' : ''}`;

/** Five evenings in March: decide from the forecast, and see afterwards what it cost. */
export function Trainer({
  coverId,
  year,
  number,
}: {
  readonly coverId: string;
  readonly year: number;
  readonly number: number;
}): ReactNode {
  const units = useUnits();
  const [decisions, setDecisions] = useState<readonly Decision[]>();
  const [now, setNow] = useState(NOTHING);
  const input = decisions && { coverId, year, seed: `evenings ${number}`, decisions };
  const job = useJob('evenings', input);
  const say = (c: number): string => formatAmount(c, 'temperature', units);
  if (!decisions)
    return (
      <Box aria-label="You decide">
        <h2>You decide</h2>
        <p>
          Five evenings in early spring, when a night can freeze and a noon can scald. You see the forecast; the days
          come as they come.
        </p>
        <div>
          <Button onPress={() => setDecisions([])}>Begin the first evening</Button>
        </div>
      </Box>
    );
  const found = job.value;
  const { next } = found ?? {};
  return (
    <Box aria-label="You decide" data-testid="trainer">
      <h2>You decide</h2>
      {!found && <JobSays job={job} doing="Looking at the evening" />}
      {found && (
        <ul aria-label="Days that went">
          {found.outcomes.map((o) => (
            <li key={o.date}>
              <b>{sayDay(o.date)}</b>, {said(o.decision)}. {phraseText(o.word, units)}
              {o.better && (
                <>
                  {' '}
                  Better: {said(o.better.decision)}: {say(o.better.day.lowC)} to {say(o.better.day.highC)}.
                </>
              )}
            </li>
          ))}
        </ul>
      )}
      {next && found?.outcomes.length === decisions.length && (
        <>
          <p>
            <b>
              Evening {decisions.length + 1} of {EVENINGS}.
            </b>{' '}
            <span className="mark">Simulated forecast</span> for {sayDay(next.date)}: {say(next.lowC)} to{' '}
            {say(next.highC)}, {sky(next.cloud)}
            {next.snowMm > 10 ? `, snow ${formatAmount(next.snowMm, 'snowDepth', units)}` : ''}
            {next.gustMPerS > 15 ? ', gusty' : ''}.
          </p>
          <div className="deeds">
            <Toggle isSelected={now.blanket} onChange={(blanket) => setNow((d) => ({ ...d, blanket }))}>
              Blanket tonight
            </Toggle>
            <Toggle isSelected={now.open} onChange={(on) => setNow((d) => ({ ...d, open: on }))}>
              Open tomorrow
            </Toggle>
            <Toggle isSelected={now.brush} onChange={(brush) => setNow((d) => ({ ...d, brush }))}>
              Brush snow at eight
            </Toggle>
            <Button
              $strong
              onPress={() => {
                setDecisions([...decisions, now]);
                setNow(NOTHING);
              }}
            >
              Good night
            </Button>
          </div>
        </>
      )}
      {found && !next && (
        <div className="deeds">
          <b>
            {found.outcomes.filter((o) => !o.better).length} of {EVENINGS} decisions were the best there was.
          </b>
          <Button onPress={() => setDecisions([])}>Play the evenings again</Button>
        </div>
      )}
    </Box>
  );
}
