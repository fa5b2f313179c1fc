import { TwoFiguresLater } from './TwoFiguresLater';
import { meritPhrase, type MeritKey } from '../../../core/explore/merits';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { formatMoney } from '../../../core/base/amount';
import { familyOf } from '../../../core/cover/families';
import { phraseText } from '../../../core/base/figure';
import type { Cover } from '../../../core/garden/garden';
import type { Bed } from '../../../core/site/bed';
import { type Brief } from '../../../core/site/brief';
import { useGarden, useUnits } from '../../app/hooks';
import { useJob } from '../../background/useJob';
import type { ShownOffer } from '../../background/briefJobs';
import type { SearchFor } from './searchFor';
import { JobSays } from '../../parts/JobSays';
import { Button } from '../../parts/controls';
import { ComparisonPanel } from './ComparisonPanel';
import { Lineup } from './Lineup';
import { useChosen } from './useChosen';
import { COMPARED } from './compared';
import { WishCosts } from './WishCosts';

const Offers = styled.ul`
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.2rem 1rem;
    align-items: center;
    padding: 0.6rem 0.6rem;
    border-top: 1px solid var(--hair);
  }
  > li.held {
    background: var(--sheet);
    box-shadow: inset 4px 0 0 var(--chalk);
  }
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 1.2rem;
    font-size: 0.875rem;
    grid-column: 1 / -1;
  }
  .figures dt {
    color: var(--quiet);
    font-size: 0.8125rem;
  }
  .figures dd {
    font-weight: 600;
  }
  .deeds {
    display: flex;
    gap: 0.4rem;
  }
  @media (max-width: 760px) {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** Designs that are listed at first. */
const ROWS = 5;

/** What a search has come to: the designs, those that come nearest where none does it all, and what the wishes cost. */
export function FoundDesigns({
  bed,
  of,
  stale,
}: {
  readonly bed: Bed;
  readonly of: SearchFor;
  readonly stale: boolean;
}): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const [chosen, hold] = useState<string>();
  const [all, showAll] = useState(false);
  const { garden: then, ...asked } = of;
  const { brief } = of;
  const job = useJob('find', asked, { garden: then });
  const { state, stop } = job;
  const found = job.value ?? job.progress?.work;
  const offers = found?.offers ?? [];
  const held = offers.find((o) => o.id === chosen) ?? offers[0];
  const choose = useChosen();
  const open = ({ name, cover }: Pick<ShownOffer, 'name' | 'cover'>): void =>
    choose({ name, cover: { ...cover, brief } });
  const take = (cover: Cover, asked: Brief): void =>
    choose({ name: familyOf(cover.family).name, cover: { ...cover, brief: asked } });
  const price = (o: Pick<ShownOffer, 'proven' | 'price'>): string =>
    `${o.proven ? '' : '≈ '}${formatMoney(o.price, garden.units.currency)}`;
  if (!found)
    return (
      <section>
        {state === 'pending' ? (
          <p role="status">
            Trying every kind of cover on this bed: {job.progress?.solved ?? 0} designs judged so far…{' '}
            <Button onPress={stop}>Stop</Button>
          </p>
        ) : (
          <JobSays job={job} doing="Trying every kind of cover" />
        )}
      </section>
    );
  const never = found.kinds.filter((k) => k.ruledOut !== undefined);
  return (
    <>
      {stale && (
        <p className="said" role="status">
          What follows answers the brief as it was before.
        </p>
      )}
      {state === 'pending' && (
        <div className="said" role="status">
          <span className="quiet">Still looking: {found.judged} designs judged so far.</span>
          <Button onPress={stop}>Stop here</Button>
        </div>
      )}
      {state !== 'pending' && (
        <p className="said quiet">
          {found.judged} designs were judged. That is not all there are: a cheaper one may be left.
        </p>
      )}
      {offers.length === 0 ? (
        state !== 'pending' && (
          <>
            <section>
              <p>
                <b>Nothing was found that does all of it.</b> These come nearest; below stands what rules each kind out:
                let go of one of those wishes.
              </p>
            </section>
            <Lineup
              kinds={found.nearest.map((o) => ({ key: o.id, name: o.name, shapes: o.shapes, word: price(o) }))}
              label="Designs that come nearest, on one ground line"
              onGo={() => undefined}
            />
            <Offers aria-label="Nearest designs" data-testid="nearest">
              {found.nearest.map((o) => (
                <li key={o.id}>
                  <div>
                    <b>
                      {o.name}, <span className="measure">{price(o)}</span>
                    </b>
                    <div>Misses {o.misses.map((m) => phraseText(m, units)).join('; ')}.</div>
                  </div>
                  <div className="deeds">
                    <Button aria-label={`Choose ${o.name} all the same`} onPress={() => open(o)}>
                      Choose it all the same
                    </Button>
                  </div>
                </li>
              ))}
            </Offers>
          </>
        )
      ) : (
        <Lineup
          kinds={offers.map((o) => ({ key: o.id, name: o.name, shapes: o.shapes, word: price(o) }))}
          label="Designs that nothing else beats, on one ground line"
          onGo={(id) => {
            hold(id);
            showAll(offers.findIndex((o) => o.id === id) >= ROWS || all);
          }}
        />
      )}
      <Offers aria-label="Designs" data-testid="offers">
        {(all ? offers : offers.slice(0, ROWS)).map((o) => (
          <li key={o.id} className={o === held ? 'held' : ''}>
            <div>
              <b>
                {o.name}, <span className="measure">{price(o)}</span>
              </b>
              {o.equal && o !== offers[0] && <span className="quiet"> as cheap as the cheapest, as prices go</span>}
              <div>{phraseText(o.apart, units)}</div>
              {o.tight.length > 0 && (
                <div className="quiet">
                  <b>Mind:</b> {o.tight.map((text) => phraseText(text, units)).join(' ')}
                </div>
              )}
            </div>
            <div className="deeds">
              {o !== held && (
                <Button aria-label={`Look closer at ${o.name}, ${price(o)}`} onPress={() => hold(o.id)}>
                  Look closer
                </Button>
              )}
              <Button $strong={o === held} aria-label={`Choose ${o.name}, ${price(o)}`} onPress={() => open(o)}>
                Choose
              </Button>
            </div>
            <dl className="figures">
              {COMPARED.filter((w) => w.key !== 'price').map(({ key, label, quantity }) => (
                <div key={key}>
                  <dt>{label}</dt>
                  <dd className="measure">{phraseText(meritPhrase(o.weighed.figures[key], quantity), units)}</dd>
                </div>
              ))}
            </dl>
          </li>
        ))}
      </Offers>
      {offers.length > ROWS && !all && (
        <div className="said">
          <Button onPress={() => showAll(true)}>Show the other {offers.length - ROWS}</Button>
        </div>
      )}
      {offers.length > 1 && (
        <section aria-label="Two figures against each other">
          <h2>Two figures against each other</h2>
          <TwoFiguresLater
            points={offers.map((o) => ({
              id: o.id,
              name: o.name,
              value: (key) => (key === 'price' ? o.price : o.weighed.figures[key as MeritKey]),
            }))}
            figures={COMPARED}
            first={['price', 'hours']}
            held={held?.id}
            onHold={hold}
          />
        </section>
      )}
      {state === 'done' && !stale && held && <WishCosts key={held.id} offerId={held.id} of={of} onTake={take} />}
      {never.length > 0 && (
        <section aria-label="Kinds that cannot">
          <h2>Kinds that cannot</h2>
          <ul data-testid="ruled-out">
            {never.map((k) => (
              <li key={k.key}>{phraseText(k.ruledOut ?? [], units)}</li>
            ))}
          </ul>
        </section>
      )}
      {state === 'done' && held && garden.covers.some((c) => c.bedId === bed.id) && (
        <ComparisonPanel
          covers={garden.covers.filter((c) => c.bedId === bed.id)}
          brief={brief}
          bedId={bed.id}
          offer={held}
        />
      )}
    </>
  );
}
