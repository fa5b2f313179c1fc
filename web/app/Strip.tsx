import { type ReactNode, memo } from 'react';
import { useNavigate } from 'react-router';
import { formatAmount } from '../../core/base/amount';
import { quickShop } from '../../core/cut';
import type { Cover } from '../../core/garden/garden';
import type { Assessment } from '../../core/assessment';
import type { PlanWork } from '../background/jobs';
import type { Job } from '../background/useJob';
import { useOutline } from '../background/useOutline';
import { useWork } from '../background/usePlan';
import { Button } from '../parts/controls';
import { Why } from '../parts/Why';
import { SkeletonBar } from './StripToCome';
import { stripFigures } from './figures';
import { useUnits } from './hooks';
import { useWay } from './way';

interface StripProps {
  readonly cover: Cover;
  readonly outline: Assessment;
  readonly work: Job<PlanWork>;
}

/** What this design leads to, with the change since the version last kept; it never leaves the screen. */
export const Strip = memo(function Strip(props: StripProps): ReactNode {
  const { cover } = props;
  const keptCover = cover.kept ? ({ ...cover, answers: cover.kept } as Cover) : undefined;
  const changed = cover.kept !== null && JSON.stringify(cover.kept) !== JSON.stringify(cover.answers);
  const keptOutline = useOutline(changed ? keptCover : undefined);
  const keptWork = useWork(changed ? keptCover : undefined);
  const kept = keptOutline?.ok ? keptOutline.value : undefined;
  return <Cells kept={kept} keptShopping={keptWork.value?.shopping} {...props} />;
});

interface CellsProps extends StripProps {
  /** The version last kept, where this one differs from it. */
  readonly kept: Assessment | undefined;
  readonly keptShopping: PlanWork['shopping'] | undefined;
}

const Cells = memo(function Cells({ cover, outline: o, work, kept, keptShopping }: CellsProps): ReactNode {
  const way = useWay();
  const units = useUnits();
  const navigate = useNavigate();
  const before = kept ? stripFigures(kept, keptShopping, units) : [];
  const proven = work.state === 'pending' || o.cover !== cover ? undefined : work.value?.shopping;
  // Until it is proven, the price by the quick rule stands for it.
  const shopping = proven ?? quickShop(o);
  return (
    <SkeletonBar className="screen-only" aria-label="What it comes to" tabIndex={0}>
      {!shopping && (
        <div className="cell">
          <span className="name">Price</span>
          <span className="figure measure">–</span>
          <span className="since">see the cut list</span>
        </div>
      )}
      {stripFigures(o, shopping, units).map(({ id, name, figure, text }) => {
        const old = before.find((f) => f.id === id);
        const more = old ? figure.value - old.figure.value : 0;
        const quantity = figure.quantity === 'temperature' ? 'warming' : figure.quantity;
        return (
          <div className="cell" key={id} data-testid={`strip-${id}`}>
            <span className="name">{name}</span>
            <span className="figure measure">
              {id === 'price' && !proven && '≈ '}
              <Why figure={figure}>{text}</Why>
            </span>
            {old && old.text !== text && (
              <span className="since">
                {more > 0 ? '+' : '−'}
                {formatAmount(Math.abs(more), quantity, units)} since kept
              </span>
            )}
          </div>
        );
      })}
      {work.slow && (
        <div className="cell" role="status">
          <span className="name">
            Working out the cuts
            {work.progress && `: ${work.progress.solved} of ${work.progress.sections} kinds`}…
          </span>
          <Button onPress={work.stop}>Stop</Button>
        </div>
      )}
      <div className="deed">
        <Button onPress={() => void navigate(way('paper', cover.id))}>Paper to take along</Button>
      </div>
    </SkeletonBar>
  );
});
