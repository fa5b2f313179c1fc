import { sentenceOf } from '../../../core/explore/brief/sentence';
import { FoundDesigns } from './FoundDesigns';
import { BeforeAsked } from './BeforeAsked';
import { setBrief } from '../../../core/commands/things';
import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { phraseText } from '../../../core/base/figure';
import type { Bed } from '../../../core/site/bed';
import { type Brief, NOTHING_SAID } from '../../../core/site/brief';
import { useGarden, useRun, useUnits } from '../../app/hooks';
import type { SearchFor } from './searchFor';
import { Button } from '../../parts/controls';
import { Body, PanelBox } from '../../parts/layout';
import { BriefForm } from './BriefForm';
import { ChooseLeaves } from './ChooseLeaves';

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-auto-rows: max-content;
  align-content: start;
  > nav,
  > .said,
  > section,
  > ul {
    margin: 0 1.25rem;
  }
  .said {
    padding: 0.8rem 0;
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1rem;
    align-items: center;
    justify-content: space-between;
  }
  .said p {
    flex: 1 1 20rem;
    font-size: 1.0625rem;
  }
  .quiet {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  > section {
    padding: 0.9rem 0;
  }
  @media (max-width: 760px) {
    > .said,
    > section,
    > ul {
      margin: 0 0.6rem;
    }
  }
`;

/** What the kinds are judged for as long as no crop is said. */
const USUAL_CROP = 'spinach';

/** From what a cover is for to the best designs for it. */
export function SayWhatFor({ bed }: { readonly bed: Bed }): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const run = useRun();
  const brief = bed.brief ?? NOTHING_SAID;
  const [asked, ask] = useState<SearchFor & { readonly n: number }>();
  const set = (label: string, part: Partial<Brief>) => run((g) => setBrief(g, bed.id, label, part));
  const find = (what: Brief): void => ask({ garden, bedId: bed.id, brief: what, n: (asked?.n ?? 0) + 1 });
  const changed = asked !== undefined && JSON.stringify(asked.brief) !== JSON.stringify(brief);
  return (
    <Body>
      <Page tabIndex={0} role="region" aria-label="Say what for">
        <ChooseLeaves />
        <div className="said">
          <p data-testid="brief-sentence">{phraseText(sentenceOf(garden, brief), units)}</p>
          <Button $strong onPress={() => find(brief)}>
            {asked === undefined ? 'Find the best covers' : 'Find again'}
          </Button>
        </div>
        {asked === undefined ? (
          <BeforeAsked
            bedId={bed.id}
            cropKey={brief.crops[0] ?? USUAL_CROP}
            onAsk={(name, whole) => {
              set(name, whole);
              find(whole);
            }}
          />
        ) : (
          <FoundDesigns key={asked.n} bed={bed} of={asked} stale={changed} />
        )}
      </Page>
      <PanelBox aria-label="What it is for">
        <BriefForm brief={brief} onSet={set} />
      </PanelBox>
    </Body>
  );
}
