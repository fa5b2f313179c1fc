import { setCalibration } from '../../../core/commands/covers';
import { type ReactNode, useState } from 'react';
import { formatAmount } from '../../../core/base/amount';
import type { Cover } from '../../../core/garden/garden';
import { LEAST_READINGS, type Reading } from '../../../core/judge/climate/fit';
import { type Weather } from '../../../core/judge/weather/weather';
import { useCurrent } from '../../app/current';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import { Button, Choice } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { useWeather } from '../../weather/useWeather';
import { Pair } from './Pair';
import { PicturesRoom } from './Pictures';

/** What the readings of the cover in hand teach of it. */
export function LogPanel(): ReactNode {
  const garden = useGarden();
  const { cover } = useCurrent();
  const [chosen, choose] = useState<string>();
  const shown = garden.covers.find((c) => c.id === chosen) ?? cover;
  const { weather } = useWeather();
  if (!shown) return null;
  const readings = garden.log.filter(
    (e) => e.coverId === shown.id && (e.insideLowC !== null || e.insideHighC !== null),
  );
  return (
    <section aria-label="What the readings teach">
      <h2>What the readings teach</h2>
      <Choice
        label="Cover"
        value={shown.id}
        options={garden.covers.map((c) => ({ value: c.id, label: c.name }))}
        onChange={choose}
      />
      {readings.length < LEAST_READINGS ? (
        <p>
          {readings.length} of at least {LEAST_READINGS} readings of lows or highs inside: until then the figures of the
          catalogue stand.
        </p>
      ) : weather ? (
        <Fitted cover={shown} readings={readings} weather={weather} />
      ) : (
        <p role="status">Asking for the weather of those days…</p>
      )}
      {shown.taught && <Taught cover={shown} />}
      <Pair cover={shown} />
      <PicturesRoom />
    </section>
  );
}

function Taught({ cover }: { readonly cover: Cover }): ReactNode {
  const run = useRun();
  return (
    <p style={{ marginTop: '0.8rem' }}>
      In force since {cover.taught?.readings} readings: loses {cover.taught?.loss.toFixed(2)} times, takes in{' '}
      {cover.taught?.gain.toFixed(2)} times as much as reckoned.{' '}
      <Button onPress={() => void run((g) => setCalibration(g, cover.id, null))}>Forget it</Button>
    </p>
  );
}

function Fitted({
  cover,
  readings,
  weather,
}: {
  readonly cover: Cover;
  readonly readings: readonly Reading[];
  readonly weather: Weather;
}): ReactNode {
  const units = useUnits();
  const run = useRun();
  const input = {
    coverId: cover.id,
    readings: readings.map(({ date, insideLowC, insideHighC }) => ({ date, insideLowC, insideHighC })),
  };
  const job = useJob('fit', input, { weather });
  const fit = job.value;
  // What there was stays while it is worked out anew, so that nothing moves under the hand; taken is only what is of today's readings.
  if (!fit && job.state !== 'done') return <JobSays job={job} doing="Setting what was read beside what was reckoned" />;
  if (!fit) return <p>Too few of the readings lie in days whose weather is known.</p>;
  const said = (factor: number, sure: number | null, what: string): ReactNode =>
    sure !== null && (
      <p>
        It {what} <b className="measure">{factor.toFixed(2)}</b> times as much as reckoned, nine times in ten from{' '}
        {(factor / sure).toFixed(2)} to {(factor * sure).toFixed(2)}.
      </p>
    );
  return (
    <div data-testid="fit">
      {said(fit.taught.loss, fit.sure.loss, 'loses')}
      {said(fit.taught.gain, fit.sure.gain, 'takes in')}
      <p className="quiet">
        From {fit.lows} lows and {fit.highs} highs of days in {weather.simulated ? 'simulated weather' : weather.source}
        . The middle reading was off by {formatAmount(fit.offBeforeC, 'warming', units)}, and is by{' '}
        {formatAmount(fit.offAfterC, 'warming', units)} with it.
      </p>
      <Button
        $strong
        isDisabled={job.state !== 'done'}
        onPress={() =>
          void run((g) => {
            const { loss, gain } = fit.taught;
            return setCalibration(g, cover.id, { loss, gain, readings: fit.lows + fit.highs });
          })
        }
      >
        Correct it to this garden
      </Button>
    </div>
  );
}
