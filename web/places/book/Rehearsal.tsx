import { setAnswers } from '../../../core/commands/design';
import { type ReactNode, useEffect, useState } from 'react';
import styled from 'styled-components';
import { formatAmount } from '../../../core/base/amount';
import { sayDay } from '../../../core/base/days';
import { phraseText } from '../../../core/base/figure';
import { wetMm } from '../../../core/judge/climate/snowOnCover';
import type { Brushing } from '../../../core/judge/season/rehearsal';
import { capital } from '../../../core/base/figure';
import { coverMaterial, cropOf } from '../../../core/catalog/catalog';
import { useCurrent } from '../../app/current';
import { lazyPart } from '../../app/appUpdate';
import { useCatalog, useGarden, useRun, useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import { Button, Stepper } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { Pick } from '../../parts/Pick';
import { Trainer } from './Trainer';
import { useToday } from '../../app/clock';

// Charts come when they are looked at.
const OPENING = <p role="status">Opening the chart…</p>;
const WinterChart = lazyPart(() => import('./WinterChart').then((m) => m.WinterChart), OPENING);
const BandChart = lazyPart(() => import('./WinterChart').then((m) => m.BandChart), OPENING);

const Box = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
  .deeds {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 0.8rem;
    align-items: center;
  }
  .chart {
    height: 18.5rem;
    position: relative;
  }
  .chart > div {
    display: grid;
    grid-template-rows: minmax(0, 1fr) auto;
  }
  .pick {
    width: 14rem;
  }
  .end {
    font-size: 1.375rem;
    font-weight: 600;
    line-height: 1.3;
  }
  ol {
    columns: 2;
    column-gap: 2rem;
  }
  ol li {
    break-inside: avoid;
    border-top: 1px solid var(--hair);
    padding: 0.25rem 0;
    display: grid;
    grid-template-columns: 7.2rem 1fr;
    font-size: 0.9375rem;
  }
  @media (max-width: 760px) {
    ol {
      columns: 1;
    }
  }
`;

const COUNT = 100;
/** A winter of 166 days is watched in about half a minute. */
const DAY_MS = 180;

const BRUSHING: readonly { readonly value: Brushing; readonly label: string; readonly why: string }[] = [
  {
    value: 'mornings',
    label: 'Every morning',
    why: 'Somebody looks at eight, and brushes what lies deeper than a hand.',
  },
  { value: 'at once', label: 'As soon as it lies', why: 'Somebody is at home all day and all night.' },
  { value: 'never', label: 'Never', why: 'It lies until it thaws or slides.' },
];

const COVER_WORDS = { folded: 'The cover folded under snow', blown: 'The wind took the cover' } as const;
const CROP_WORDS = { killed: 'froze', cooked: 'scalded' } as const;

/** The year in which the winter that is coming, or that is here, began. */
const winterYear = (today: string, south: boolean): number => {
  const [year, month] = [Number(today.slice(0, 4)), Number(today.slice(5, 7))];
  return south ? (month > 10 ? year + 1 : year) : month < 5 ? year - 1 : year;
};

/** A winter played on this cover before it comes: watched day by day, ended with a ledger; and a hundred of them at once. */
export function Rehearsal(): ReactNode {
  const garden = useGarden();
  const { cover } = useCurrent();
  const [chosen, choose] = useState<string>();
  const [brushing, brush] = useState<Brushing>('mornings');
  const [number, setNumber] = useState(1);
  const today = useToday();
  const shown = garden.covers.find((c) => c.id === chosen) ?? cover;
  if (!shown) return <p>No cover is planned yet: a winter is rehearsed on one.</p>;
  const year = winterYear(today, garden.site.latitudeDeg < 0);
  return (
    <Box>
      <p>
        <span className="mark">Simulated winter</span> The winter from {year} on this design, tended as Air says.
        Strengths are those of Stand, as uncertain as they are said there. A planning aid, not a promise.
      </p>
      <div className="deeds">
        <div className="pick">
          <Pick
            label="Cover"
            value={shown.id}
            options={garden.covers.map((c) => ({ value: c.id, label: c.name }))}
            onChange={choose}
          />
        </div>
        <span>Snow is brushed</span>
        <div className="pick">
          <Pick label="Snow is brushed" value={brushing} options={BRUSHING} onChange={(b) => brush(b as Brushing)} />
        </div>
        <span>Winter</span>
        <Stepper label="Which winter" value={number} min={1} max={COUNT} onChange={setNumber} />
      </div>
      <OneWinter
        key={`${shown.id} ${number} ${brushing}`}
        coverId={shown.id}
        year={year}
        number={number}
        brushing={brushing}
        onBrush={brush}
      />
      <Trainer key={`${shown.id} ${number} evenings`} coverId={shown.id} year={year} number={number} />
      <Hundred key={`${shown.id} ${brushing} many`} coverId={shown.id} year={year} brushing={brushing} />
    </Box>
  );
}

function OneWinter({
  coverId,
  year,
  number,
  brushing,
  onBrush,
}: {
  readonly coverId: string;
  readonly year: number;
  readonly number: number;
  readonly brushing: Brushing;
  readonly onBrush: (b: Brushing) => void;
}): ReactNode {
  const units = useUnits();
  const run = useRun();
  const garden = useGarden();
  const catalog = useCatalog();
  const job = useJob('winter', { coverId, year, seed: `winter ${number}`, brushing });
  const [at, setAt] = useState<number>();
  const played = job.value;
  const last = (played?.winter.days.length ?? 1) - 1;
  const running = at !== undefined && at < last;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setAt((n) => Math.min(last, (n ?? 0) + 1)), DAY_MS);
    return () => clearInterval(timer);
  }, [running, last]);
  if (!played) return <JobSays job={job} doing="Playing the winter" />;
  const { winter, aged, helped } = played;
  const upTo = at ?? last;
  const date = winter.days[upTo]?.date ?? '';
  const found = garden.covers.find((c) => c.id === coverId);
  const row = cropOf(catalog, String((found?.answers as { crop?: string } | undefined)?.crop ?? 'spinach'));
  const told = winter.events.filter((e) => e.date <= date);
  const over = upTo >= last;
  return (
    <>
      <div className="deeds">
        {running ? (
          <Button onPress={() => setAt(last)}>To the end</Button>
        ) : (
          <Button $strong onPress={() => setAt(0)}>
            {at === undefined ? 'Watch it day by day' : 'Watch it again'}
          </Button>
        )}
        <b className="measure" aria-live="off">
          {sayDay(date)}
        </b>
      </div>
      <div className="chart">
        <WinterChart days={winter.days} upTo={upTo} killingC={row.killingC} cropName={row.name} />
      </div>
      {over && (
        <section aria-label="How it ended" data-testid="winter-end">
          <p className="end">
            {winter.cover === undefined ? 'The cover stood' : COVER_WORDS[winter.cover]}; {row.name}{' '}
            {winter.crop === undefined ? 'lived' : `${CROP_WORDS[winter.crop]} on day ${winter.sums.livedDays + 1}`}.
          </p>
          <p>
            Brushed {winter.sums.brushed} times; {winter.sums.nearNights} nights were near things;{' '}
            {winter.sums.hotHours} hours were too hot; at most{' '}
            {formatAmount(wetMm(winter.sums.mostSnowKgPerM2), 'snowDepth', units)} of wet snow lay on it, or its weight
            in fresh.
            {aged.map((l) => (
              <span key={l.coverKey}>
                {' '}
                {capital(coverMaterial(catalog, l.coverKey).name)} lay {Math.round(l.hours / 10) * 10} hours in
                daylight, {Math.round(100 * l.worn)} % of its life.
              </span>
            ))}
          </p>
          {helped && (
            <p style={{ marginTop: '0.4rem' }}>
              Most would have helped: <b>{phraseText(helped.label, units)}</b>
              {helped.cost > 0 && `, ≈ ${formatAmount(helped.cost, 'money', units)}`}. With it{' '}
              {helped.winter.cover === undefined ? 'the cover stands' : COVER_WORDS[helped.winter.cover].toLowerCase()}{' '}
              and {row.name}{' '}
              {helped.winter.crop === undefined ? 'lives' : `is lost on day ${helped.winter.sums.livedDays + 1}`}.{' '}
              <Button
                onPress={() => {
                  const { answers, brushing: b } = helped;
                  if (b) onBrush(b);
                  if (answers)
                    run((g) => setAnswers(g, coverId, answers, `Rehearsed: ${phraseText(helped.label, units)}`));
                }}
              >
                Take it
              </Button>
            </p>
          )}
        </section>
      )}
      <ol aria-label="Ledger" data-testid="ledger">
        {told.map((e, i) => (
          <li key={i}>
            <span className="quiet">{sayDay(e.date)}</span>
            <span>{phraseText(e.text, units)}</span>
          </li>
        ))}
      </ol>
    </>
  );
}

function Hundred({
  coverId,
  year,
  brushing,
}: {
  readonly coverId: string;
  readonly year: number;
  readonly brushing: Brushing;
}): ReactNode {
  const [asked, ask] = useState(false);
  const job = useJob('winters', asked ? { coverId, year, brushing, count: COUNT } : undefined);
  const found = job.state === 'done' ? job.value : undefined;
  return (
    <section aria-label="A hundred winters" data-testid="hundred">
      <h2>A hundred winters</h2>
      {!asked && <Button onPress={() => ask(true)}>Play a hundred winters at once</Button>}
      {asked && job.state === 'pending' && (
        <p role="status">
          {job.progress?.solved ?? 0} of {COUNT} played… <Button onPress={job.stop}>Stop</Button>
        </p>
      )}
      {asked && job.state !== 'pending' && !found && <JobSays job={job} doing="Playing a hundred winters" />}
      {found && (
        <>
          <p>
            The cover stood in <b className="measure">{found.cover.stood}</b>, folded in {found.cover.folded}, was blown
            away in {found.cover.blown}. The crop lived in <b className="measure">{found.crop.lived}</b>, froze in{' '}
            {found.crop.killed}, scalded in {found.crop.cooked}.
          </p>
          <div className="chart">
            <BandChart bands={found.bands} />
          </div>
        </>
      )}
    </section>
  );
}

/** What the rehearsal takes for granted. */
export function RehearsalPanel(): ReactNode {
  return (
    <section aria-label="What it takes for granted">
      <h2>What it takes for granted</h2>
      <p>
        Winters are made up for this place, with fronts, snow, gales and clear nights; the same number is the same
        winter.
      </p>
      <p style={{ marginTop: '0.7rem' }}>
        Each winter draws anew how strong the cover really is, within what Stand says.
      </p>
      <p style={{ marginTop: '0.7rem' }}>
        Snow weighs as fresh, goes in warm air, and slides when it is warm inside. Ice, drifts and wear are left out.
      </p>
      <p style={{ marginTop: '0.7rem' }}>Brush early and from outside; never stand under a loaded cover.</p>
    </section>
  );
}
