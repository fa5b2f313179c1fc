import { type ReactNode, useState } from 'react';
import { phraseText } from '../../../core/base/figure';
import type { ComparisonAnswer } from '../../../core/explore/brief/compareDesigns';
import type { Cover } from '../../../core/garden/garden';
import type { Brief } from '../../../core/site/brief';
import { useUnits } from '../../app/hooks';
import type { ShownOffer } from '../../background/briefJobs';
import { useJob } from '../../background/useJob';
import { VerdictMark } from '../../parts/VerdictMark';
import { Choice } from '../../parts/controls';
import { JobSays } from '../../parts/JobSays';
import { ListTable } from '../../parts/lists';

/** A cover of this bed held against the design in hand, wish by wish. */
export function ComparisonPanel({
  covers,
  brief,
  bedId,
  offer,
}: {
  readonly covers: readonly Cover[];
  readonly brief: Brief;
  readonly bedId: string;
  readonly offer: ShownOffer;
}): ReactNode {
  const units = useUnits();
  const [chosen, choose] = useState('');
  const own = covers.find((c) => c.id === chosen) ?? covers[0];
  const job = useJob('whyNot', own && { bedId, brief, ownId: own.id, other: offer.cover });
  if (!own) return null;
  const held = job.value;
  const cell = ({ meets, said }: ComparisonAnswer['wishes'][number]['own']): ReactNode => (
    <td>
      <VerdictMark verdict={meets ? 'holds' : 'fails'} word={phraseText(said, units)} />
    </td>
  );
  return (
    <section aria-label="Why not mine" data-testid="why-not">
      <h2>Why not mine?</h2>
      <Choice
        label="Mine"
        value={own.id}
        options={covers.map((c) => ({ value: c.id, label: c.name }))}
        onChange={choose}
      />
      {!held && <JobSays job={job} doing="Holding the two against each other" />}
      {held && (
        <ListTable>
          <thead>
            <tr>
              <th scope="col">Wish</th>
              <th scope="col">Mine</th>
              <th scope="col">{offer.name}</th>
            </tr>
          </thead>
          <tbody>
            {held.wishes.map((w) => (
              <tr key={w.id}>
                <td>{phraseText(w.wish, units)}</td>
                {cell(w.own)}
                {cell(w.other)}
              </tr>
            ))}
          </tbody>
        </ListTable>
      )}
    </section>
  );
}
