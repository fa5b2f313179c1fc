/** What is told and asked beside the drawing, once the cover is judged. */
import { type ReactNode, memo } from 'react';
import type { Cover } from '../../../core/garden/garden';
import { lazyPart } from '../../app/appUpdate';
import type { Assessment } from '../../../core/assessment';
import type { PlanWork } from '../../background/jobs';
import type { Job } from '../../background/useJob';
import { Checks, type ChecksProps } from './Checks';
import { Questions } from './Questions';

const StandPanel = lazyPart(() => import('./StandPanel').then((m) => m.StandPanel));
const AirPanel = lazyPart(() => import('./AirPanel').then((m) => m.AirPanel));
const ForWhat = lazyPart(() => import('./ForWhat').then((m) => m.ForWhat));

interface Asking {
  readonly outline: Assessment;
}

/** What the leaf asks. */
const Choices = memo(function Choices({ leaf, ...asked }: Asking & { readonly leaf: string }): ReactNode {
  switch (leaf) {
    case 'stand':
      return <StandPanel outline={asked.outline} />;
    case 'skin':
      return <Questions {...asked} leaf="skin" title="Covered with" />;
    case 'air':
      return <AirPanel outline={asked.outline} />;
    default:
      return <Questions {...asked} leaf="shape" title="Made of" />;
  }
});

interface ToldProps extends Asking, Omit<ChecksProps, 'ready' | 'only' | 'outline'> {
  readonly leaf: string;
  /** What is drawn, and whether its checks stand. */
  readonly told: { readonly cover: Cover; readonly work: Job<PlanWork> };
}

export function ChecksAndControls({ leaf, told, outline, ...checks }: ToldProps): ReactNode {
  return (
    <>
      <Checks
        {...checks}
        outline={outline}
        ready={told.work.state !== 'pending' && outline.cover === told.cover}
        only={leaf === 'shape' || leaf === 'round' ? undefined : leaf}
      />
      <div>
        <Choices leaf={leaf} outline={outline} />
        {leaf === 'shape' && told.cover.brief && <ForWhat outline={outline} brief={told.cover.brief} />}
      </div>
    </>
  );
}
