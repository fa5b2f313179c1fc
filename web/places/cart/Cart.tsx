import { buyAlso } from '../../../core/commands/covers';
import { JobSays } from '../../parts/JobSays';
import type { ReactNode } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { Cover } from '../../../core/garden/garden';
import { shoppingCsv, shoppingText } from '../../../core/show/csv';
import { formatFully, formatMoney } from '../../../core/base/amount';
import { countOf } from '../../../core/catalog/counted';
import { PlaceHead } from '../../app/PlaceHead';
import { Strip } from '../../app/Strip';
import { useAwake } from '../../app/awake';
import { useCurrent } from '../../app/current';
import { useAppDispatch, useRun, useUnits } from '../../app/hooks';
import { noticeShown } from '../../app/state';
import { useWay } from '../../app/way';
import { useOutline } from '../../background/useOutline';
import { useWork } from '../../background/usePlan';
import { Button } from '../../parts/controls';
import { CountedThings } from '../../parts/CountedThings';
import { saveFile } from '../../parts/saveFile';
import { Body, PanelBox } from '../../parts/layout';
import { CartTable } from '../../parts/CartTable';

const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  min-width: 0;
  padding: 0.5rem 1.25rem 1rem;
  @media (max-width: 760px) {
    padding: 0.5rem 0.6rem 1rem;
  }
`;

/** Things that no part of the cover asks for, bought with it all the same. */
function AlsoBuy({ cover }: { readonly cover: Cover }): ReactNode {
  const run = useRun();
  return (
    <section aria-label="Also buy" data-testid="also">
      <h2>Also buy</h2>
      <CountedThings
        counts={Object.fromEntries(cover.also.map((a) => [a.itemKey, a.count]))}
        onSet={(item, count) => run((g) => buyAlso(g, cover.id, item, count))}
        first="seam-tape"
        labels={{ which: 'What else to buy', howMany: 'How many of it to buy', of: 'Also buy' }}
      />
    </section>
  );
}

/** Buy it once: by aisle, in packs, less what is owned. */
export function Cart(): ReactNode {
  useAwake();
  const way = useWay();
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const units = useUnits();
  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  if (!outlined?.ok) return <Navigate to={way('bench', cover.id)} replace />;
  const list = work.value?.shopping;
  return (
    <>
      <PlaceHead title="Shopping list" subtitle={cover.name}>
        <Button onPress={() => void navigate(way('together', 'cart'))}>All covers</Button>
        {work.value && (
          <Button
            onPress={() =>
              work.value &&
              void navigator.clipboard.writeText(shoppingText({ garden: outlined.value.garden, ...work.value })).then(
                () => dispatch(noticeShown('The list is copied: paste it into a message.')),
                () =>
                  dispatch(noticeShown('This browser does not let the list be copied. Save it as CSV or print it.')),
              )
            }
          >
            Copy as text
          </Button>
        )}
        {work.value && (
          <Button
            onPress={() =>
              work.value &&
              saveFile(
                `${cover.name} shopping.csv`,
                'text/csv',
                shoppingCsv({ garden: outlined.value.garden, ...work.value }),
              )
            }
          >
            Save as CSV
          </Button>
        )}
        <Button $strong onPress={() => void navigate(way('paper', cover.id))}>
          Print
        </Button>
      </PlaceHead>
      <Body>
        <Scroll tabIndex={0} role="region" aria-label="Shopping list">
          <JobSays job={work} doing="Working out the list" />
          {list && <CartTable list={list} typed />}
        </Scroll>
        <PanelBox aria-label="What it comes to">
          {list && (
            <section aria-label="Paid and used">
              <h2>Paid and used</h2>
              <p>
                You pay <b className="measure">{formatMoney(list.paid, units.currency)}</b> for whole bars, rolls and
                packs. This cover uses up <b className="measure">{formatMoney(list.used, units.currency)}</b> of it; the
                rest goes to the shelf for the next one.
              </p>
            </section>
          )}
          <section aria-label="Prices">
            <h2>Prices</h2>
            <p>
              The shipped prices are made up. Type your shop’s over them: they stay with this garden, for every cover.
            </p>
          </section>
          <AlsoBuy cover={cover} />
          {list && list.lines.some((l) => l.leftOver > 0) && (
            <section aria-label="Left over">
              <h2>Left over from packs</h2>
              <ul>
                {list.lines
                  .filter((l) => l.leftOver > 0)
                  .map((l) => (
                    <li key={l.key}>
                      <span className="measure">{formatFully(l.leftOver, countOf(l.unit, 0).quantity, units)}</span>{' '}
                      {l.unit === 'm' && 'of '}
                      {l.name}
                    </li>
                  ))}
              </ul>
            </section>
          )}
        </PanelBox>
        <Strip cover={cover} outline={outlined.value} work={work} />
      </Body>
    </>
  );
}
