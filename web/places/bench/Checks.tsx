import { unsaid } from '../../../core/conditions';
import type { Assessment } from '../../../core/assessment';
import { type ReactNode, memo, useState } from 'react';
import styled from 'styled-components';
import { phraseText } from '../../../core/base/figure';
import { formatMoney } from '../../../core/base/amount';
import { type Check, checkStatus } from '../../../core/judge/strength/check';
import type { Fix } from '../../../core/explore/fixes';
import { stripFigures } from '../../app/figures';
import { useUnits } from '../../app/hooks';
import { useMends } from '../../background/usePlan';
import { Button } from '../../parts/controls';
import { Sentence } from '../../parts/Said';
import { VerdictMark } from '../../parts/VerdictMark';
import { Why } from '../../parts/Why';
import { Folded } from '../../parts/Folded';

const Section = styled.section`
  h2 {
    display: flex;
    align-items: baseline;
    flex-wrap: wrap;
    gap: 0 0.6rem;
    padding-bottom: 0.3rem;
  }
  small {
    font-weight: 400;
    color: var(--quiet);
    font-size: 0.8125rem;
  }
  li {
    display: grid;
    grid-template-columns: 4.4rem minmax(0, 1fr);
    gap: 0.3rem 0.6rem;
    margin: 0 -0.5rem;
    padding: 0.45rem 0.5rem;
    border-top: 1px solid var(--hair);
    font-size: 0.875rem;
    line-height: 1.3;
  }
  li[data-pointed='true'] {
    background: var(--ground);
  }
  li > span:first-child {
    font-size: 0.875rem;
    gap: 0.25rem;
  }
  .mends {
    grid-column: 2;
    display: flex;
    flex-wrap: wrap;
    gap: 0.4rem;
  }
  .mends button {
    font-size: 0.875rem;
    padding: 0 0.6rem;
    min-height: calc(var(--target) - 4px);
  }
  .sure {
    display: block;
    margin-top: 0.2rem;
  }
  .caution {
    grid-column: 2;
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  .sets {
    display: grid;
    gap: 0.4rem;
    padding: 0.5rem 0 0.6rem;
    border-top: 1px solid var(--hair);
    font-size: 0.875rem;
  }
  .sets .mends {
    grid-column: auto;
  }
  .sets button {
    text-align: left;
    white-space: normal;
    padding-block: 0.3rem;
  }
  .tried {
    grid-column: 1 / -1;
    display: grid;
    gap: 0.4rem;
    padding: 0.5rem 0.6rem;
    border-left: 4px solid var(--frost);
    background: var(--ground);
  }
  .tried .mends {
    grid-column: auto;
  }
  .tried dl {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 0.1rem 0.7rem;
  }
  .tried dt {
    color: var(--quiet);
  }
  .tried dd.now {
    font-weight: 600;
  }
  .tried dd.was {
    color: var(--quiet);
    text-align: right;
  }
`;

export interface ChecksProps {
  readonly outline: Assessment;
  /** The design is at rest and priced: mends can be looked for. */
  readonly ready: boolean;
  readonly only: string | undefined;
  /** The mend that is tried out, and what the design would be with it. */
  readonly tried: Fix | undefined;
  readonly mended: Assessment | undefined;
  readonly onTry: (mend: Fix | undefined) => void;
  readonly onTake: (mend: Fix) => void;
  readonly onPoint: (check: Check | undefined) => void;
}

/** Will it do? What fails and what is tight, with the mends that work and what they cost; what holds in one line. */
export const Checks = memo(function Checks(props: ChecksProps): ReactNode {
  return <Judged job={useMends(props.ready ? props.outline.cover : undefined)} {...props} />;
});

interface JudgedProps extends ChecksProps {
  readonly job: ReturnType<typeof useMends>;
}

const Judged = memo(function Judged({ job, ...props }: JudgedProps): ReactNode {
  const { outline: o, only } = props;
  // What is folded out stays so while the design changes.
  const [unfolded, unfold] = useState(false);
  const checks = o.judged().checks.filter((c) => only === undefined || c.leaf === only);
  if (checks.length === 0) return <div hidden />;
  const sets = job.state === 'done' ? (job.value?.filter((m) => m.checkId === undefined) ?? []) : [];
  const holding = checks.filter((c) => c.verdict === 'holds');
  const row = (c: Check): ReactNode => <Row key={c.id} check={c} job={job} {...props} />;
  return (
    <Section aria-label="Will it do?" data-testid="checks" tabIndex={0} onMouseLeave={() => props.onPoint(undefined)}>
      <h2>
        Will it do? <small>A planning aid; local codes come first.</small>
      </h2>
      {sets.length > 0 && (
        <div className="sets" role="group" aria-label="Make all of it hold">
          <b>All of it holds with</b>{' '}
          {sets.some((m) => m.proven) && <small>the cheapest of all that these checks ask for</small>}
          <Mends of={sets} {...props} />
        </div>
      )}
      <ul>{checks.filter((c) => c.verdict !== 'holds').map(row)}</ul>
      {holding.length > 0 && (
        <Folded
          isExpanded={unfolded}
          onExpandedChange={unfold}
          title={
            <>
              <VerdictMark verdict="holds" /> {holding.length} {holding.length === 1 ? 'check' : 'checks'}
            </>
          }
        >
          <ul>{holding.map(row)}</ul>
        </Folded>
      )}
    </Section>
  );
});

interface RowProps extends JudgedProps {
  readonly check: Check;
}

/** Mends to try, and what the one that is tried changes. */
function Mends({
  of,
  outline: o,
  tried,
  mended,
  onTry,
  onTake,
}: Pick<ChecksProps, 'outline' | 'tried' | 'mended' | 'onTry' | 'onTake'> & {
  readonly of: readonly Fix[];
}): ReactNode {
  const units = useUnits();
  const mine = tried && of.includes(tried) ? tried : undefined;
  if (of.length === 0) return null;
  return (
    <>
      <span className="mends">
        {of.map((m) => {
          const label = phraseText(m.label, units);
          const cost = `${m.cost < 0 ? '−' : '+'}${formatMoney(Math.abs(m.cost), units.currency)}`;
          return (
            <Button
              key={label}
              aria-expanded={m === mine}
              $strong={m === mine}
              onPress={() => onTry(m === mine ? undefined : m)}
            >
              {label} <span className="measure">{cost}</span>
              {m.gives === 'tight' && <small> tight</small>}
            </Button>
          );
        })}
      </span>
      {mine && mended && (
        <div className="tried" role="group" aria-label={`With ${phraseText(mine.label, units)}`}>
          <Changed before={o} after={mended} cost={mine.cost} />
          <p>
            {mine.gives === 'holds' ? 'It then holds.' : 'It then holds, with little to spare.'}
            {mine.loosens.length > 0 && ` It loosens: ${mine.loosens.join(', ')}.`}
          </p>
          <span className="mends">
            <Button $strong onPress={() => onTake(mine)}>
              Take it
            </Button>
            <Button onPress={() => onTry(undefined)}>Leave it</Button>
          </span>
        </div>
      )}
    </>
  );
}

/** One check, its mends beside it; it points at its cause while it is looked at. */
function Row({ check: c, job, ready, only, tried, mended, outline: o, onTry, onTake, onPoint }: RowProps): ReactNode {
  const [pointed, point] = useState(false);
  const found = job.state === 'done' ? job.value : undefined;
  const mends = found?.filter((m) => m.checkId === c.id) ?? [];
  const set = (on: boolean): void => {
    point(on);
    onPoint(on ? c : undefined);
  };
  const units = useUnits();
  const wants = c.verdict === 'fails';
  return (
    <li
      data-check={c.id}
      data-verdict={c.verdict}
      data-pointed={pointed}
      onMouseEnter={() => set(true)}
      onMouseLeave={() => set(false)}
      onFocus={() => set(true)}
      onBlur={() => set(false)}
    >
      <VerdictMark verdict={checkStatus(c)} />
      <span>
        <Sentence phrase={c.text} /> {roughly(o, c) && <i>This is rough until you say on Stand {roughly(o, c)}.</i>}{' '}
        {c.figure && <Why figure={c.figure}>Why?</Why>}
        {c.sure && c.verdict !== 'holds' && (
          <span className="sure">
            <Sentence phrase={c.sure.words} />
          </span>
        )}
      </span>
      <Mends of={mends} outline={o} tried={tried} mended={mended} onTry={onTry} onTake={onTake} />
      {wants && mends.length === 0 && found && (
        <span className="caution">
          {found.some((m) => m.checkId === undefined)
            ? 'No change alone mends this: see the sets above.'
            : c.noMend
              ? phraseText(c.noMend, units)
              : 'Nothing that was tried mends this: ask less of it, or take another kind of cover.'}
        </span>
      )}
      {wants && (job.state === 'pending' || !ready) && <span className="caution">Looking for mends…</span>}
      {wants && (job.state === 'failed' || job.state === 'stopped') && (
        <span className="caution">
          Mends could not be looked for. <Button onPress={job.retry}>Try again</Button>
        </span>
      )}
      {c.caution !== undefined && only !== undefined && <span className="caution">{c.caution}</span>}
    </li>
  );
}

/** What of the place a check leans on that nobody has said yet. */
function roughly(o: Assessment, { under }: Check): string | undefined {
  const not = unsaid(o);
  if (under === undefined || !not[under]) return undefined;
  return under === 'snow' ? 'what snow lies here' : 'how it blows here';
}

/** The figures that a mend changes, as they would be and as they are. */
function Changed({
  before,
  after,
  cost,
}: {
  readonly before: Assessment;
  readonly after: Assessment;
  readonly cost: number;
}): ReactNode {
  const units = useUnits();
  const was = stripFigures(before, undefined, units);
  const changed = stripFigures(after, undefined, units).flatMap((f) => {
    const old = was.find((w) => w.id === f.id);
    return old && old.text !== f.text ? [{ ...f, old: old.text }] : [];
  });
  const failing = (o: Assessment): number => o.judged().checks.filter((c) => c.verdict === 'fails').length;
  return (
    <dl>
      <dt>Price</dt>
      <dd className="was" />
      <dd className="now measure">
        {cost < 0 ? '−' : '+'}
        {formatMoney(Math.abs(cost), units.currency)}
      </dd>
      {changed.map((f) => (
        <div key={f.id} style={{ display: 'contents' }}>
          <dt>{f.name}</dt>
          <dd className="was measure">{f.old}</dd>
          <dd className="now measure">{f.text}</dd>
        </div>
      ))}
      <dt>Checks that fail</dt>
      <dd className="was measure">{failing(before)}</dd>
      <dd className="now measure">{failing(after)}</dd>
    </dl>
  );
}
