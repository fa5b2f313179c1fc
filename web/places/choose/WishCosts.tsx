import type { ReactNode } from 'react';
import { formatMoney } from '../../../core/base/amount';
import { phraseText } from '../../../core/base/figure';
import type { Brief } from '../../../core/site/brief';
import type { Cover } from '../../../core/garden/garden';
import type { WishCost } from '../../../core/explore/brief/costs';
import { useGarden, useUnits } from '../../app/hooks';
import type { SearchFor } from './searchFor';
import { useJob } from '../../background/useJob';
import { JobSays } from '../../parts/JobSays';
import { ListTable } from '../../parts/lists';
import { Button } from '../../parts/controls';

/** Less than this is no difference between two shops, in the garden's currency. */
const NOTHING = 0.005;

/** What each wish of the brief costs beside the design in hand, as it becomes known; each answer can be taken. */
export function WishCosts({
  offerId,
  of,
  onTake,
}: {
  readonly offerId: string;
  readonly of: SearchFor;
  readonly onTake: (cover: Cover, brief: Brief) => void;
}): ReactNode {
  const units = useUnits();
  const { currency } = useGarden().units;
  const { garden, ...asked } = of;
  const job = useJob('costs', { ...asked, offerId }, { garden });
  const known = job.value ?? job.progress?.work;
  const word = (c: WishCost): string => {
    if (c.change === undefined) return 'none found';
    if (Math.abs(c.change) < NOTHING) return 'the same';
    return c.change > 0 ? `+${formatMoney(c.change, currency)}` : `−${formatMoney(-c.change, currency)}`;
  };
  const rows = (how: WishCost['how']): readonly WishCost[] => (known ?? []).filter((c) => c.how === how);
  const table = (title: string, list: readonly WishCost[]): ReactNode =>
    list.length > 0 && (
      <ListTable>
        <caption style={{ textAlign: 'left', fontWeight: 600, padding: '0.4rem 0' }}>{title}</caption>
        <tbody>
          {list.map((c, i) => (
            <tr key={i}>
              <td>{phraseText(c.said, units)}</td>
              <td className="measure" style={{ textAlign: 'right', whiteSpace: 'nowrap', width: '7rem' }}>
                {word(c)}
              </td>
              <td style={{ textAlign: 'right', width: '6.5rem' }}>
                {c.cover && (
                  <Button
                    aria-label={`Choose the one ${phraseText(c.said, units)}`}
                    onPress={() => c.cover && onTake(c.cover, c.brief)}
                  >
                    Choose
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </ListTable>
    );
  const binds = rows('without').filter((c) => c.change !== undefined && c.change < -NOTHING);
  return (
    <section aria-label="What each wish costs" data-testid="wish-costs">
      <h2>What each wish costs</h2>
      {!known && <JobSays job={job} doing="Trying the brief without each wish" />}
      {known && (
        <>
          {table('Found meanwhile', rows('again'))}
          {table('Left out', binds)}
          {job.state === 'done' && binds.length === 0 && <p>No single wish makes it dearer.</p>}
          {table('Asked for more', rows('more'))}
          {table('A little less would do', rows('less'))}
          {job.state === 'pending' && (
            <p role="status">
              Still trying others… <Button onPress={job.stop}>Stop</Button>
            </p>
          )}
        </>
      )}
    </section>
  );
}
