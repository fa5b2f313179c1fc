import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Preferences } from '../../../core/base/amount';
import { failAll, ok } from '../../../core/base/result';
import type { Answers } from '../../../core/cover/answers/parameter';
import { familyOf } from '../../../core/cover/families/registry';
import { demoGarden } from '../../../core/garden/demo';
import type { Cover, Garden } from '../../../core/garden/garden';
import { type CoverLayout, cachedLayout } from '../../../core/layout';
import { lazyPart } from '../../app/appUpdate';
import { ShownUnits } from '../../app/hooks';
import type { Pulling } from '../../drawing/Handles';
import { PulledView } from '../../drawing/PulledView';
import { usePull } from '../../drawing/usePull';
import { useSize } from '../../drawing/useSize';

const Try = styled.section`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 0.6rem;
  min-height: 0;
  min-width: 0;
  .drawing {
    min-height: 18rem;
    display: grid;
    place-items: center;
  }
  .figures {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 1.6rem;
    padding: 0.7rem 1rem;
    background: var(--strip);
    color: var(--strip-ink);
  }
  .figures span {
    display: block;
    color: var(--strip-quiet);
    font-size: 0.8125rem;
  }
  .figures b {
    font-size: 1.1rem;
  }
`;

// The drawing first: what it comes to is fetched beside it, and its place is kept.
const TO_COME = (
  <div>
    <span>&nbsp;</span>
    <b>&nbsp;</b>
  </div>
);
const TryFigures = lazyPart(() => import('./TryFigures').then((m) => m.TryFigures), TO_COME);

/** The cover that the first page shows, of the demo garden. */
const SHOWN = 'salad-tunnel';

/** A cover to be pulled at before anything is named: what it is made of, what it carries and what it costs follow. */
export function TryIt({ units }: { readonly units: Preferences & Pick<Garden['units'], 'stock'> }): ReactNode {
  const garden = useMemo(() => ({ ...demoGarden(), units }), [units]);
  const first = garden.covers.find((c) => c.id === SHOWN);
  const [answers, setAnswers] = useState<Answers>();
  const cover = useMemo(() => first && ({ ...first, answers: answers ?? first.answers } as Cover), [first, answers]);
  return cover ? (
    <ShownUnits value={units}>
      <Pulled garden={garden} cover={cover} setAnswers={setAnswers} />
    </ShownUnits>
  ) : null;
}

function Pulled({
  garden,
  cover,
  setAnswers,
}: {
  readonly garden: Garden;
  readonly cover: Cover;
  readonly setAnswers: (answers: Answers) => void;
}): ReactNode {
  const built = cachedLayout(garden, cover);
  const good = built.ok ? built.value : undefined;
  const pull = usePull(good, (_, answers) => setAnswers(answers));
  const tried = pull.answers ? cachedLayout(garden, { ...cover, answers: pull.answers } as Cover) : built;
  const o = tried.ok ? tried.value : good;
  return o && good ? <Drawn outline={o} setAnswers={setAnswers} pulling={pull.pulling} /> : null;
}

function Drawn({
  outline: o,
  setAnswers,
  pulling,
}: {
  readonly outline: CoverLayout;
  readonly setAnswers: (answers: Answers) => void;
  readonly pulling: Pulling;
}): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const told = useDeferredValue<CoverLayout | null>(o, null);
  const onSet = (id: string, mm: number) => {
    const family = familyOf(o.cover.family);
    const changed = family.dimension(o.cover.answers, id, mm, o);
    if (!changed.ok) return changed;
    const drawn = family.assemble(changed.value, o.site);
    if (!drawn.ok) return failAll(drawn.faults);
    setAnswers(changed.value);
    return ok(true);
  };
  return (
    <Try aria-label="Try it">
      <p>
        <b>Pull at a ring, or type over a measure.</b> Pipe, film, snow and price follow.
      </p>
      <div className="drawing" ref={ref}>
        {size && <PulledView outline={o} view="end" cell={size} onSet={onSet} pulling={pulling} joints="all" />}
      </div>
      <div className="figures" data-testid="try-figures">
        {size && told ? <TryFigures laid={told} /> : TO_COME}
      </div>
    </Try>
  );
}
