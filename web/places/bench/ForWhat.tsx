import { sentenceOf } from '../../../core/explore/brief/sentence';
import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import { scoreIn } from '../../../core/explore/brief/evaluator';
import { gardenFor, wishesOf } from '../../../core/explore/brief/wishes';
import type { Assessment } from '../../../core/assessment';
import type { Brief } from '../../../core/site/brief';
import { useWay } from '../../app/way';
import { Sentence } from '../../parts/Said';

/** What the cover was chosen for, and what of it the design as it stands now does not do. */
export function ForWhat({ outline: o, brief }: { readonly outline: Assessment; readonly brief: Brief }): ReactNode {
  const way = useWay();
  const misses = useMemo(() => {
    // Judged by the snow and the gust that were asked for, which may be others than the garden's.
    const garden = gardenFor(o.garden, brief);
    const wishes = wishesOf(garden, brief);
    const found = scoreIn(garden, o.cover, wishes, brief);
    return found && wishes.filter((w) => w.id in found.w.misses);
  }, [o, brief]);
  return (
    <section aria-label="What it is for">
      <h2>What it is for</h2>
      <p>
        <Sentence phrase={sentenceOf(o.garden, brief)} />
      </p>
      {misses?.length === 0 && <p>It does all of that.</p>}
      {misses && misses.length > 0 && (
        <p role="status">
          <b>Not any more:</b>{' '}
          {misses.map(({ id, thing }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <Sentence phrase={thing} />
            </span>
          ))}
          .
        </p>
      )}
      <p>
        <Link to={way('choose', o.cover.bedId)}>Say anew what for</Link>
      </p>
    </section>
  );
}
