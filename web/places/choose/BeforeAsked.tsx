import { sentenceOf } from '../../../core/explore/brief/sentence';
import { type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { formatMoney } from '../../../core/base/amount';
import { phraseText } from '../../../core/base/figure';
import { commonBriefs } from '../../../core/explore/brief/common';
import { type Brief } from '../../../core/site/brief';
import { useGarden } from '../../app/hooks';
import { useWay } from '../../app/way';
import type { ShownKind } from '../../background/jobs';
import { useJob } from '../../background/useJob';
import { JobSays } from '../../parts/JobSays';
import { Button } from '../../parts/controls';
import { Lineup } from './Lineup';

const Common = styled.section`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
  gap: 0.6rem;
  button {
    display: grid;
    gap: 0.15rem;
    padding: 0.7rem 0.8rem;
    text-align: left;
    line-height: 1.3;
  }
  b {
    font-size: 1.0625rem;
  }
  span {
    color: var(--quiet);
    font-weight: 400;
  }
`;

/** What there is before anything was asked: whole briefs to begin from, and every kind as it usually is, with its price. */
export function BeforeAsked({
  bedId,
  cropKey,
  onAsk,
}: {
  readonly bedId: string;
  readonly cropKey: string;
  readonly onAsk: (name: string, brief: Brief) => void;
}): ReactNode {
  const garden = useGarden();
  const job = useJob('compare', { bedId, cropKey });
  const way = useWay();
  const navigate = useNavigate();
  const kinds = job.value ?? job.progress?.work ?? [];
  const stand = kinds.filter((c): c is ShownKind => 'cover' in c);
  return (
    <>
      <Common aria-label="What most gardeners want">
        {commonBriefs(garden).map(({ key, name, brief }) => (
          <Button key={key} onPress={() => onAsk(name, brief)}>
            <b>{name}</b>
            <span>{phraseText(sentenceOf(garden, brief), garden.units)}</span>
          </Button>
        ))}
      </Common>
      <section>
        <p>
          Press one of these, or say what you want; all of it may be left unsaid. Cabanon then tries every kind of cover
          on this bed, and changes its pipes, boards, sheets and openings until it does all that you ask for the least
          money.
        </p>
      </section>
      <section>
        <h2>Every kind, as it is usually built here</h2>
        <JobSays job={job} doing="Pricing every kind of cover" />
      </section>
      {stand.length > 0 && (
        <Lineup
          kinds={stand.map((kind) => ({ ...kind, word: `≈ ${formatMoney(kind.merits.price, garden.units.currency)}` }))}
          onGo={() => void navigate(`${way('choose', bedId)}/kinds`)}
        />
      )}
    </>
  );
}
