import type { Check } from '../../../core/judge/strength/check';
import { type ReactNode, memo, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { phrase } from '../../../core/base/figure';
import { keepVersion, setAnswers, setDimension } from '../../../core/commands/design';
import type { Answers } from '../../../core/cover/answers/parameter';
import { familyOf } from '../../../core/cover/families/registry';
import type { Cover, Garden } from '../../../core/garden/garden';
import { type CoverLayout, cachedLayout } from '../../../core/layout';
import type { Fix } from '../../../core/explore/fixes';
import { PlaceHead } from '../../app/PlaceHead';
import { StripToCome } from '../../app/StripToCome';
import { useCurrent } from '../../app/current';
import { useApp, useAppDispatch, useGarden, useRun } from '../../app/hooks';
import { lazyPart, onceDrawn } from '../../app/appUpdate';
import { undo } from '../../app/store';
import { useWay } from '../../app/way';
import { useJudged } from '../../background/useJudged';
import { useWork } from '../../background/usePlan';
import { Button } from '../../parts/controls';
import { Leaves } from '../../parts/Leaves';
import { Body, PanelBox } from '../../parts/layout';
import type { Pulling } from '../../drawing/Handles';
import { ShapeViews } from './ShapeViews';
import { type TakeAnswers, usePull } from '../../drawing/usePull';

const OPENING = <p role="status">Opening…</p>;
// Leaves come when they are turned to; the shape is there at once.
const Strip = lazyPart(() => import('../../app/Strip').then((m) => m.Strip), <StripToCome />);
const Told = lazyPart(() => import('./ChecksAndControls').then((m) => m.ChecksAndControls));
const StandLeaf = lazyPart(() => import('./StandLeaf').then((m) => m.StandLeaf), OPENING);
const SkinLeaf = lazyPart(() => import('./SkinLeaf').then((m) => m.SkinLeaf), OPENING);
const AirLeaf = lazyPart(() => import('./AirLeaf').then((m) => m.AirLeaf), OPENING);
const TakeAlong = lazyPart(() => import('../../parts/TakeAlong').then((m) => m.default));
const RoundLeaf = lazyPart(() => import('./RoundLeaf').then((m) => m.RoundLeaf), OPENING);

const Stage = styled.div`
  min-width: 0;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  padding: 0 1.25rem;
  @media (max-width: 760px) {
    padding: 0 0.6rem 0.5rem;
  }
`;

const LEAVES = [
  { key: '', name: 'Shape' },
  { key: 'stand', name: 'Stand' },
  { key: 'skin', name: 'Skin' },
  { key: 'air', name: 'Air' },
  { key: 'round', name: 'Round' },
] as const;

const Empty = styled.div`
  padding: 2rem 1.25rem;
  max-width: 40rem;
  display: grid;
  gap: 1rem;
  align-content: start;
`;

/** Checks over, choices under them, each with a way to go through it by itself. */
const Beside = styled(PanelBox)`
  padding: 0;
  overflow: hidden;
  grid-template-rows: minmax(0, auto) minmax(12rem, 1fr);
  gap: 0;
  > * {
    min-height: 0;
    overflow: auto;
    padding: 0.8rem 1.1rem;
  }
  > * + * {
    border-top: 2px solid var(--ink);
  }
  @media (max-width: 1000px) {
    display: block;
    overflow: visible;
  }
`;

/** The bench: shape the cover, see it stand, skin it, air it. */
export function Bench(): ReactNode {
  const way = useWay();
  const { cover, bed } = useCurrent();
  const { leaf = 'shape' } = useParams();
  const garden = useGarden();
  const built = cover && cachedLayout(garden, cover);
  const working = useWork(cover);
  const run = useRun();
  const coverId = cover?.id ?? '';
  const takeAnswers = useCallback<TakeAnswers>(
    (label, answers) => run((g) => setAnswers(g, coverId, answers, label)),
    [run, coverId],
  );
  const [taking, takeAlong] = useState(false);
  const startTaking = useCallback(() => takeAlong(true), []);
  const [pointed, point] = useState<Check>();
  const [tried, tryOut] = useState<Fix>();

  const good = built?.ok ? built.value : undefined;
  const pull = usePull(good, takeAnswers);
  // While it is pulled at, everything shows what it would be.
  const drawn = useDraft(garden, good, pull.answers);
  // The drawing first; what is told of it, and what it costs, as soon as there is time.
  const now = useMemo(() => (drawn && cover ? { laid: drawn, cover, work: working } : null), [drawn, cover, working]);
  const told = useDeferredValue(now, null);
  const judged = useJudged(told?.laid);
  // What tells it, beside what judges it. What does not come is told where it is drawn.
  useEffect(() => onceDrawn(() => void Promise.all([Told.ahead(), Strip.ahead()]).catch(() => undefined)), []);
  const mended = useDraft(garden, good, tried && pull.answers === undefined ? tried.answers : undefined);
  const mendedJudged = useJudged(tried && mended);

  const takeMend = useCallback(
    (mend: Fix): void => {
      tryOut(undefined);
      takeAnswers(phrase`Mend: ${mend.label}`, mend.answers);
    },
    [takeAnswers],
  );
  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  return (
    <>
      <Head
        coverId={cover.id}
        title={cover.name}
        subtitle={`${familyOf(cover.family).name} on ${bed.name}`}
        kept={JSON.stringify(cover.kept) === JSON.stringify(cover.answers)}
        onTakeAlong={startTaking}
      />
      {good && drawn ? (
        <Body>
          <Stage>
            <Leaves label="Leaves of the bench" to={way('bench', cover.id)} leaves={LEAVES} />
            <Leaf
              leaf={leaf}
              outline={drawn}
              takeAnswers={takeAnswers}
              pulling={pull.pulling}
              mended={mended === good ? undefined : mended}
              pointed={pointed}
            />
          </Stage>
          <Beside aria-label="Checks and choices">
            {told && judged && (
              <Told
                leaf={leaf}
                outline={judged}
                told={told}
                mended={mendedJudged}
                tried={tried}
                onTry={tryOut}
                onTake={takeMend}
                onPoint={point}
              />
            )}
          </Beside>
          {told && judged ? <Strip outline={judged} cover={told.cover} work={told.work} /> : <StripToCome />}
        </Body>
      ) : (
        <Broken faults={built && !built.ok ? built.faults.map((f) => f.message) : []} />
      )}
      {taking && <TakeAlong coverId={cover.id} onClose={() => takeAlong(false)} />}
    </>
  );
}

interface HeadProps {
  readonly coverId: string;
  readonly title: string;
  readonly subtitle: string;
  /** The design is as it was last kept. */
  readonly kept: boolean;
  readonly onTakeAlong: () => void;
}

/** Its name and what is done with the whole of it; not drawn again with every step. */
const Head = memo(function Head({ coverId, title, subtitle, kept, onTakeAlong }: HeadProps): ReactNode {
  const way = useWay();
  const run = useRun();
  const navigate = useNavigate();
  const keep = (): void => void run((g) => keepVersion(g, coverId));
  return (
    <PlaceHead title={title} subtitle={subtitle}>
      <Button onPress={onTakeAlong}>To my phone</Button>
      <Button onPress={() => void navigate(way('versions', coverId))}>Side by side</Button>
      <Button $strong onPress={keep} isDisabled={kept}>
        {kept ? 'Kept' : 'Keep this version'}
      </Button>
    </PlaceHead>
  );
});

/** The design with other answers, where it can be built with them; else as it is. */
function useDraft(garden: Garden, o: CoverLayout | undefined, answers: Answers | undefined): CoverLayout | undefined {
  // The same while nothing changes: what is told of it later must not have it drawn again.
  return useMemo(() => {
    if (!o || !answers) return o;
    const found = cachedLayout(garden, { ...o.cover, answers } as Cover);
    return found.ok ? found.value : o;
  }, [garden, o, answers]);
}

/** A design that cannot be drawn: why, and the way back. */
function Broken({ faults }: { readonly faults: readonly string[] }): ReactNode {
  const dispatch = useAppDispatch();
  const canUndo = useApp((s) => (s.open?.at ?? 0) > 0);
  return (
    <Empty role="alert">
      <h2>This cover cannot be drawn on its bed as it is.</h2>
      {faults.map((f) => (
        <p key={f}>{f}</p>
      ))}
      <div>
        <Button $strong isDisabled={!canUndo} onPress={() => dispatch(undo())}>
          Undo the last change
        </Button>
      </div>
    </Empty>
  );
}

interface ViewsProps {
  readonly outline: CoverLayout;
  readonly takeAnswers: TakeAnswers;
}

interface LeafProps extends ViewsProps {
  readonly leaf: string;
  readonly pulling: Pulling;
  readonly mended: CoverLayout | undefined;
  readonly pointed: Check | undefined;
}

/** The leaf in hand; drawn again only when the design changes, not when a price comes in. */
const Leaf = memo(function Leaf({ leaf, pulling, mended, pointed, ...views }: LeafProps): ReactNode {
  const run = useRun();
  const { id } = views.outline.cover;
  const onSet = useCallback(
    (dimension: string, mm: number) => run((g) => setDimension(g, id, dimension, mm)),
    [run, id],
  );
  const shape = !LEAVES.some(({ key }) => key === leaf);
  const judged = useJudged(shape ? undefined : views.outline);
  if (shape)
    return <ShapeViews outline={views.outline} onSet={onSet} pulling={pulling} mended={mended} pointed={pointed} />;
  if (!judged) return OPENING;
  switch (leaf) {
    case 'stand':
      return <StandLeaf outline={judged} onSet={onSet} />;
    case 'skin':
      return <SkinLeaf outline={judged} />;
    case 'air':
      return <AirLeaf outline={judged} onSet={onSet} takeAnswers={views.takeAnswers} />;
    default:
      return <RoundLeaf outline={judged} />;
  }
});
