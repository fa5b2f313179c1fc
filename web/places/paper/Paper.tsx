import { STATUS_WORDS, checkStatus } from '../../../core/judge/strength/check';
import { JobSays } from '../../parts/JobSays';
import type { Assessment } from '../../../core/assessment';
import { SectionBars } from '../../parts/Cuts';
import { SaveDrawing } from '../../parts/SaveDrawing';
import { SheetSums } from '../../parts/SheetSums';
import type { ReactNode } from 'react';
import { Navigate } from 'react-router';
import styled from 'styled-components';
import { familyOf } from '../../../core/cover/families/registry';
import { phraseText } from '../../../core/base/figure';
import { formatAmount, formatMoney } from '../../../core/base/amount';
import { formatLength } from '../../../core/base/length';
import { PlaceHead } from '../../app/PlaceHead';
import { useCurrent } from '../../app/current';
import { useUnits } from '../../app/hooks';
import { useWay } from '../../app/way';
import { useOutline } from '../../background/useOutline';
import { useWork } from '../../background/usePlan';
import { OffcutPattern } from '../../drawing/Painted';
import { SheetDrawing } from '../../drawing/SheetDrawing';
import { useSize } from '../../drawing/useSize';
import { planVerdict } from '../../../core/show/verdict';
import { fitView, layoutView } from '../../../core/show/viewLayout';
import { ViewDrawing, useView } from '../../drawing/ViewDrawing';
import { Button } from '../../parts/controls';
import { StepCard } from '../../parts/StepCard';
import { CartTable } from '../../parts/CartTable';
import { longestDrawnMm } from '../../../core/make/cutting/bars';
import { Template } from './Template';

const WIDTH = 700;

const Scroll = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 1.25rem;
  @media print {
    overflow: visible;
    padding: 0;
  }
`;

const Leaf = styled.article`
  width: ${WIDTH}px;
  max-width: 100%;
  margin: 0 auto;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.6rem;
  > section {
    break-inside: auto;
    overflow-x: auto;
  }
  h2 {
    margin-bottom: 0.5rem;
    border-bottom: 1.5px solid var(--ink);
    break-after: avoid;
  }
  .title {
    font-size: 1.25rem;
    font-weight: 600;
  }
  .keep {
    break-inside: avoid;
  }
  figure,
  svg,
  tr {
    break-inside: avoid;
  }
  .views {
    display: grid;
    justify-items: start;
    gap: 0.3rem;
  }
  .cautions li {
    padding: 0.15rem 0 0.15rem 0.8rem;
    border-left: 3px solid var(--tight);
    margin-bottom: 0.3rem;
    font-size: 0.9375rem;
  }
  .steps {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 2rem;
  }
  .steps h2 {
    border: 0;
  }
  .small {
    font-size: 0.8125rem;
    color: var(--quiet);
  }
  @media print {
    width: auto;
  }
`;

const Marks = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 0.9375rem;
  td {
    padding: 0.3rem 0.5rem 0.3rem 0;
    border-top: 1px solid var(--hair);
    vertical-align: top;
  }
`;

/** Everything to take along, as it prints. */
export function Paper(): ReactNode {
  const way = useWay();
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  if (!outlined?.ok) return <Navigate to={way('bench', cover.id)} replace />;
  return (
    <>
      <PlaceHead title="Paper" subtitle={`${cover.name} on ${bed.name}`}>
        {work.value && <SaveDrawing outline={outlined.value} work={work.value} />}
        <Button $strong isDisabled={!work.value} onPress={() => window.print()}>
          Print it
        </Button>
      </PlaceHead>
      <Scroll tabIndex={0} role="region" aria-label="The printed pages">
        <Sheets outline={outlined.value} work={work.value} />
        <div className="screen-only">
          <JobSays job={work} doing="Working out the cuts" />
        </div>
      </Scroll>
    </>
  );
}

function Sheets({
  outline: o,
  work,
}: {
  readonly outline: Assessment;
  readonly work: ReturnType<typeof useWork>['value'];
}): ReactNode {
  const units = useUnits();
  // A phone shows the leaf as wide as it is; paper is never narrower than its own measure.
  const [ref, size] = useSize<HTMLElement>();
  const wide = Math.min(WIDTH, size?.width ?? WIDTH);
  const [end, side] = [useView(o, 'end'), useView(o, 'side')];
  // Both at one scale.
  const cell = { width: wide, height: 380 };
  const scale = Math.min(fitView(end, cell).scale, fitView(side, cell).scale);
  // Ends that are alike need one template.
  const templates = o.assembly.panels.filter(
    (p, i, all) => p.curved && all.findIndex((q) => JSON.stringify(q.outline) === JSON.stringify(p.outline)) === i,
  );
  const marked = o.assembly.members.filter((m) => m.marks.length > 0);
  const verdict = planVerdict(o.judged().checks);
  return (
    <Leaf ref={ref}>
      <header>
        <p className="title">{o.cover.name}</p>
        <p>
          {familyOf(o.cover.family).name} on {o.site.bed.name}, {o.garden.name}. A planning aid: local codes come first.
        </p>
      </header>
      <section aria-label="Checks" className="keep">
        <h2>Will it do?</h2>
        <p>
          <b>{verdict.line}</b>
        </p>
        <ul>
          {[...verdict.open, ...verdict.settled].map((c) => (
            <li key={c.id}>
              <b>{STATUS_WORDS[checkStatus(c)]}</b>: {phraseText(c.text, units)}
            </li>
          ))}
        </ul>
        <p className="small">{o.judged().checks.find((c) => c.caution !== undefined)?.caution}</p>
      </section>
      <section aria-label="Before you start" className="keep">
        <h2>Before you start</h2>
        <ul className="cautions">
          {[...new Set(o.assembly.steps.flatMap((s) => s.cautions))].map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
      <section aria-label="Drawings" className="keep">
        <h2>Drawings</h2>
        <div className="views">
          <ViewDrawing outline={o} view="end" of={end} layout={layoutView(end, scale)} />
          <ViewDrawing outline={o} view="side" of={side} layout={layoutView(side, scale)} />
        </div>
      </section>
      {work && (
        <section aria-label="Cut list" data-testid="paper-cuts">
          <h2>Cut list</h2>
          <OffcutPattern />
          {work.cuts.map((cut) => (
            <SectionBars key={cut.section.key} cut={cut} width={wide - 10} longestMm={longestDrawnMm(work.cuts)} />
          ))}
          {o.sheets.sheets.map((cut) => (
            <SheetDrawing key={cut.label} cut={cut} width={wide - 10} />
          ))}
          <p className="small">
            Marks run from the tape’s end, after the squared end, and count the saw’s own width. PVC dust: outdoors with
            a mask, or a shear cutter.
          </p>
        </section>
      )}
      <section aria-label="Marks along the pieces" className="keep">
        <h2>Marks along the pieces</h2>
        <Marks>
          <tbody>
            {marked.map((m) => (
              <tr key={m.tag}>
                <td>
                  <b>{m.tag}</b>
                </td>
                <td>{m.part}</td>
                <td className="measure">
                  {m.marks.map((k) => `${k.label} ${formatLength(k.atMm, units.length)}`).join('   ')}
                </td>
              </tr>
            ))}
          </tbody>
        </Marks>
      </section>
      {o.assembly.sheets.length > 0 && (
        <section aria-label="Sheet" data-testid="paper-sheet" className="keep">
          <h2>Sheet</h2>
          {o.rolls.rolls.map((r, i) => (
            <p key={i}>
              {r.cover.name}, roll {formatLength(r.roll.widthMm, units.length)} ×{' '}
              {formatLength(r.roll.lengthMm, units.length)}; {formatAmount(r.leftMm, 'byEye', units)} left over.
            </p>
          ))}
          {o.assembly.sheets.map((part) => (
            <SheetSums key={part.tag} part={part} />
          ))}
        </section>
      )}
      {templates.map((panel) => (
        <Template key={panel.tag} panel={panel} />
      ))}
      {work && (
        <section aria-label="Shopping list" data-testid="paper-cart">
          <h2>Shopping list, {formatMoney(work.shopping.paid, units.currency)}</h2>
          <CartTable list={work.shopping} typed={false} />
        </section>
      )}
      <section aria-label="Building it" data-testid="paper-steps">
        <h2>Building it</h2>
        <div className="steps">
          {o.assembly.steps.map((s, i) => (
            <StepCard
              key={s.id}
              outline={o}
              step={s}
              number={i + 1}
              of={o.assembly.steps.length}
              width={WIDTH - 10}
              done={[]}
            />
          ))}
        </div>
      </section>
    </Leaf>
  );
}
