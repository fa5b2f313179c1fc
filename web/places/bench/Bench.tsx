import type { Outline } from '../../../core/outline';
import type { View } from '../../../core/base/geometry';
import { type ReactNode, Suspense, memo, useCallback } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { familyOf } from '../../../core/build/families';
import { type Result, failAll, ok } from '../../../core/base/result';
import { PlaceHead } from '../../app/Shell';
import { Strip } from '../../app/Strip';
import { useCurrent } from '../../app/current';
import { useApp, useAppDispatch, useEdit, useSetAnswers } from '../../app/hooks';
import { lazyPart } from '../../app/fresh';
import { undo } from '../../app/store';
import { useWay } from '../../app/way';
import { useOutline, useWork } from '../../background/usePlan';
import { Button } from '../../parts/controls';
import { Leaves } from '../../parts/Leaves';
import { Body, Panel } from '../../parts/layout';
import { useSize } from '../../drawing/useSize';
import { marginOf, ViewDrawing, useViewFrame } from '../../drawing/ViewDrawing';
import { Checks } from './Checks';
import { Headroom } from './Headroom';
import { Questions } from './Questions';

// Leaves come when they are turned to; the shape is there at once.
const StandLeaf = lazyPart(() => import('./StandLeaf').then((m) => m.StandLeaf));
const StandPanel = lazyPart(() => import('./StandLeaf').then((m) => m.StandPanel));
const SkinLeaf = lazyPart(() => import('./SkinLeaf').then((m) => m.SkinLeaf));
const AirLeaf = lazyPart(() => import('./AirLeaf').then((m) => m.AirLeaf));
const AirPanel = lazyPart(() => import('./AirLeaf').then((m) => m.AirPanel));
const RoundLeaf = lazyPart(() => import('./RoundLeaf').then((m) => m.RoundLeaf));

const Stage = styled.div`
  min-width: 0;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr) auto;
  padding: 0 1.25rem 0;
  > section:last-child {
    max-height: 10rem;
    overflow: auto;
    margin: 0 -1.25rem;
    padding: 0.5rem 1.25rem 0.4rem;
    border-top: 1px solid var(--hair);
  }
  @media (max-width: 1000px) {
    > section:last-child {
      max-height: none;
    }
  }
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

const Views = styled.div`
  min-height: 0;
  min-width: 0;
  overflow: auto;
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  grid-template-rows: auto auto;
  justify-content: start;
  align-content: safe center;
  column-gap: 0.5rem;
  &.narrow {
    display: flex;
    flex-direction: column;
    align-items: center;
    overflow: visible;
    gap: 0.5rem;
  }
`;

/** The bench: shape the cover, see it stand, skin it, air it. */
export function Bench(): ReactNode {
  const way = useWay();
  const { cover, bed } = useCurrent();
  const { leaf = 'shape' } = useParams();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  const edit = useEdit();
  const setAnswers = useSetAnswers(cover?.id ?? '');
  const navigate = useNavigate();

  const good = outlined?.ok ? outlined.value : undefined;

  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  const family = familyOf(cover.family);
  const keep = (): void =>
    void edit('Keep this version', (garden) => {
      const found = garden.covers.find((c) => c.id === cover.id);
      if (found) found.kept = found.answers;
    });
  const kept = JSON.stringify(cover.kept) === JSON.stringify(cover.answers);

  return (
    <>
      <PlaceHead title={cover.name} subtitle={`${family.name} on ${bed.name}`}>
        <Button onPress={() => void navigate(way('versions', cover.id))}>Side by side</Button>
        <Button $strong onPress={keep} isDisabled={kept}>
          {kept ? 'Kept' : 'Keep this version'}
        </Button>
      </PlaceHead>
      {good ? (
        <Body>
          <Stage>
            <Leaves label="Leaves of the bench" to={way('bench', cover.id)} leaves={LEAVES} />
            <Suspense fallback={<p role="status">Opening…</p>}>
              <Leaf leaf={leaf} outline={good} setAnswers={setAnswers} />
            </Suspense>
            <Checks
              outline={good}
              priced={work.state !== 'pending'}
              only={leaf === 'shape' || leaf === 'round' ? undefined : leaf}
              setAnswers={setAnswers}
            />
          </Stage>
          <Panel aria-label="Choices">
            <Suspense>
              <Choices leaf={leaf} outline={good} setAnswers={setAnswers} />
            </Suspense>
          </Panel>
          <Strip cover={cover} outline={good} work={work} />
        </Body>
      ) : (
        <Broken faults={outlined && !outlined.ok ? outlined.faults.map((f) => f.message) : []} />
      )}
    </>
  );
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
  readonly outline: Outline;
  readonly setAnswers: (label: string, answers: unknown) => readonly { field: string; message: string }[];
}

/** Sets a typed dimension: refused, with the reason, where the design could not be drawn any more. */
function useDimension({ outline: o, setAnswers }: ViewsProps): (id: string, mm: number) => Result<unknown> {
  return useCallback(
    (id, mm) => {
      const family = familyOf(o.cover.family);
      const changed = family.dimension(o.cover.answers, id, mm, o);
      if (!changed.ok) return changed;
      const drawn = family.assemble(changed.value, o.site);
      if (!drawn.ok) return drawn;
      const label = o.assembly.dimensions.find((d) => d.id === id)?.label ?? id;
      const faults = setAnswers(`Set ${label}`, changed.value);
      return faults.length > 0 ? failAll(faults) : ok(undefined);
    },
    [o, setAnswers],
  );
}

/** What the leaf asks. */
const Choices = memo(function Choices({
  leaf,
  outline,
  setAnswers,
}: ViewsProps & { readonly leaf: string }): ReactNode {
  switch (leaf) {
    case 'stand':
      return <StandPanel outline={outline} />;
    case 'skin':
      return <Questions outline={outline} leaf="skin" title="Covered with" setAnswers={setAnswers} />;
    case 'air':
      return <AirPanel outline={outline} />;
    default:
      return <Questions outline={outline} leaf="shape" title="Made of" setAnswers={setAnswers} />;
  }
});

/** The leaf in hand; drawn again only when the design changes, not when a price comes in. */
const Leaf = memo(function Leaf({ leaf, ...views }: ViewsProps & { readonly leaf: string }): ReactNode {
  const onSet = useDimension(views);
  switch (leaf) {
    case 'stand':
      return <StandLeaf outline={views.outline} onSet={onSet} />;
    case 'skin':
      return <SkinLeaf outline={views.outline} />;
    case 'air':
      return <AirLeaf outline={views.outline} onSet={onSet} />;
    case 'round':
      return <RoundLeaf outline={views.outline} />;
    default:
      return <ShapeViews outline={views.outline} onSet={onSet} />;
  }
});

/** End, side and plan at one scale. */
function ShapeViews({
  outline: o,
  onSet,
}: {
  readonly outline: Outline;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
}): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const end = useViewFrame(o, 'end');
  const side = useViewFrame(o, 'side');
  const plan = useViewFrame(o, 'plan');
  const across = (v: View): number => marginOf(o, v).left + marginOf(o, v).right;
  const down = (v: View): number => marginOf(o, v).top + marginOf(o, v).bottom;
  const narrow = size !== undefined && size.width < 640;
  const wideScale = size
    ? Math.min(
        (size.width - across('end') - Math.max(across('side'), across('plan')) - 8) /
          (end.widthMm + Math.max(side.widthMm, plan.widthMm)),
        (size.height - Math.max(down('end'), down('side')) - down('plan') - 4) /
          (Math.max(end.heightMm, side.heightMm) + plan.heightMm),
      )
    : 0;
  const scaleOf = (v: View, widthMm: number): number =>
    narrow ? ((size?.width ?? 0) - across(v)) / widthMm : Math.max(0.05, wideScale);
  const views = { end, side, plan };
  return (
    <Views ref={ref} className={narrow ? 'narrow' : ''}>
      {size &&
        (['end', 'side', 'plan'] as const).map((v) => (
          <div
            key={v}
            style={
              narrow
                ? undefined
                : {
                    gridColumn: v === 'end' ? 1 : 2,
                    gridRow: v === 'plan' ? 2 : 1,
                    alignSelf: v === 'plan' ? 'start' : 'end',
                  }
            }
          >
            <ViewDrawing
              outline={o}
              view={v}
              frame={views[v]}
              scale={scaleOf(v, views[v].widthMm)}
              onSet={onSet}
              joints="all"
            />
          </div>
        ))}
      {size && (
        <div style={narrow ? undefined : { gridColumn: 1, gridRow: 2 }}>
          <Headroom outline={o} />
        </div>
      )}
    </Views>
  );
}
