import { cutPieces } from '../../../core/commands/saw';
import { JobSays } from '../../parts/JobSays';
import { useJob } from '../../background/useJob';
import { FlatCuts, SectionBars } from '../../parts/Cuts';
import { type ReactNode, useState } from 'react';
import { NavLink, Navigate, useParams } from 'react-router';
import styled from 'styled-components';
import { type SectionBar, longestDrawnMm } from '../../../core/make/cutting/bars';
import { type Owner } from '../../../core/make/cutting/tickOff';
import { cutsCsv, shoppingCsv } from '../../../core/show/csv';
import type { MergeProposal as Plan } from '../../../core/explore/together';
import { formatMoney } from '../../../core/base/amount';
import { PlaceHead } from '../../app/PlaceHead';
import { useRun, useGarden, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';
import { OffcutPattern } from '../../drawing/Painted';
import { useSize } from '../../drawing/useSize';
import { Button } from '../../parts/controls';
import { Ticks } from '../../parts/lists';
import { Body, PanelBox } from '../../parts/layout';
import { saveFile } from '../../parts/saveFile';
import { CartTable } from '../../parts/CartTable';
import { useCutBook } from '../../parts/cutBook';
import { Tick } from '../../parts/Tick';

const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  min-width: 0;
  padding: 0.9rem 1.25rem;
  display: grid;
  align-content: start;
  gap: 0.9rem;
  nav {
    display: flex;
    gap: 0.25rem;
  }
  nav a {
    padding: 0.55rem 1.05rem;
    color: var(--quiet);
    font-weight: 600;
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  nav a[aria-current='page'] {
    color: var(--ink);
    border-bottom-color: var(--chalk);
  }
  @media (max-width: 760px) {
    padding: 0.9rem 0.6rem;
  }
`;

/** Covers of the garden as one: a board left over from one is cut for the next, and everything is bought once. */
export function MergeScreen(): ReactNode {
  const way = useWay();
  const saveCutBook = useCutBook();
  const garden = useGarden();
  const units = useUnits();
  const run = useRun();
  const { leaf = 'saw' } = useParams();
  // What stands, lies in store or waits for next year needs nothing now.
  const [without, setWithout] = useState<readonly string[]>(() =>
    garden.covers.filter((c) => c.state.is !== 'planned').map((c) => c.id),
  );
  const ids = garden.covers.map((c) => c.id).filter((id) => !without.includes(id));
  const job = useJob('together', ids.length > 0 ? ids : undefined);
  const { progress, stop } = job;
  const pending = job.state === 'pending';
  const [ref, size] = useSize<HTMLDivElement>();
  if (garden.covers.length === 0) return <Navigate to={way('plot')} replace />;
  const plan = pending ? undefined : job.value;
  const width = size ? size.width - (size.width < 500 ? 20 : 44) : 0;
  const save = (p: Plan): void =>
    leaf === 'saw'
      ? saveFile(`${garden.name} cuts.csv`, 'text/csv', cutsCsv(p))
      : saveFile(`${garden.name} shopping.csv`, 'text/csv', shoppingCsv(p));
  const owner =
    (p: Plan): Owner =>
    (tag) => {
      const [number, ...rest] = tag.split('.');
      const cover = p.covers.find((c) => String(c.number) === number);
      return cover && { coverId: cover.id, tag: rest.join('.') };
    };
  const cutOff = (p: Plan, sectionKey: string, bar: SectionBar): void =>
    void run((g) => cutPieces(g, `Cut ${bar.label.toLowerCase()}`, { bars: [{ sectionKey, bar }] }, owner(p), newId));
  return (
    <>
      <PlaceHead title="All together" subtitle={`covers of ${garden.name}`}>
        {plan && leaf === 'saw' && (
          <Button onPress={() => saveCutBook(plan, `All covers of ${garden.name}`)}>Cut book</Button>
        )}
        {plan && <Button onPress={() => save(plan)}>Save as CSV</Button>}
        <Button $strong isDisabled={!plan} onPress={() => window.print()}>
          Print
        </Button>
      </PlaceHead>
      <Body>
        <Scroll ref={ref} tabIndex={0} role="region" aria-label="Covers together" aria-busy={pending}>
          <nav className="screen-only" aria-label="Cut or buy">
            <NavLink to={way('together', 'saw')}>Cut list</NavLink>
            <NavLink to={way('together', 'cart')}>Shopping list</NavLink>
          </nav>
          <OffcutPattern />
          {ids.length === 0 && <p>Tick the covers that you build at one time.</p>}
          {pending && (
            <p role="status">
              Working out all covers as one
              {progress && !progress.work && `: cover ${progress.solved + 1} of ${progress.sections} by itself`}
              {progress?.work && (
                <>
                  : {progress.solved} of {progress.sections} kinds done, the best so far{' '}
                  <b className="measure">{formatMoney(progress.work.shopping.paid, units.currency)}</b>{' '}
                  <Button onPress={stop}>Stop and keep it</Button>
                </>
              )}
              …
            </p>
          )}
          {!pending && <JobSays job={job} doing="Working out all covers as one" />}
          {plan && leaf === 'cart' && <CartTable list={plan.shopping} typed />}
          {plan && leaf === 'saw' && size && (
            <>
              {plan.cuts.map((cut) => (
                <SectionBars
                  key={cut.section.key}
                  cut={cut}
                  width={width}
                  longestMm={longestDrawnMm(plan.cuts)}
                  onCut={(sectionKey, bar) => cutOff(plan, sectionKey, bar)}
                />
              ))}
              <FlatCuts
                sheets={plan.sheets}
                rolls={plan.rolls}
                width={width}
                onCut={(label, cut) =>
                  void run((g) => cutPieces(g, `Cut ${label.toLowerCase()}`, { flat: [cut] }, owner(plan), newId))
                }
              />
            </>
          )}
        </Scroll>
        <PanelBox aria-label="Which covers">
          <section aria-label="Which covers">
            <h2>Built at one time</h2>
            <Ticks>
              {garden.covers.map((c) => {
                const number = plan?.covers.find((x) => x.id === c.id)?.number;
                return (
                  <li key={c.id}>
                    <Tick
                      on={!without.includes(c.id)}
                      onChange={(on) => setWithout(on ? without.filter((id) => id !== c.id) : [...without, c.id])}
                    >
                      {number !== undefined && <b className="measure">{number}</b>}
                      {c.name}
                    </Tick>
                  </li>
                );
              })}
            </Ticks>
            <p style={{ fontSize: '0.875rem', color: 'var(--quiet)' }}>
              A tag such as 2.A1 is piece A1 of the second cover ticked.
            </p>
          </section>
          {plan && (
            <section aria-label="What it comes to" data-testid="together-sum">
              <h2>What it comes to</h2>
              <p>
                Together <b className="measure">{formatMoney(plan.shopping.paid, units.currency)}</b>; each by itself{' '}
                <b className="measure">{formatMoney(plan.apart, units.currency)}</b>
                {plan.saved > 0.005 && (
                  <>
                    . That is <b className="measure">{formatMoney(plan.saved, units.currency)}</b> less
                  </>
                )}
                .
              </p>
              <p>
                {plan.cuts.reduce((n, c) => n + c.bars.length, 0)} bars,{' '}
                {plan.cuts.every((c) => c.proven) ? 'proven the cheapest' : 'the best found'}.
              </p>
            </section>
          )}
        </PanelBox>
      </Body>
    </>
  );
}
