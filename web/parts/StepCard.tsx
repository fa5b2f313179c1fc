import { joinPhrases } from '../../core/base/figure';
import { toolName } from '../../core/catalog/handTools';
import { type Catalog, hardwareItem } from '../../core/catalog/catalog';
import type { Assessment } from '../../core/assessment';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { BuildStep } from '../../core/cover/assembly/types';
import { fitView } from '../../core/show/viewLayout';
import { ViewDrawing, useView } from '../drawing/ViewDrawing';
import { CloseUps } from '../drawing/CloseUps';
import { MarkedPiece } from '../drawing/MarkedPiece';
import { Sentence } from './Said';
import { Tick } from './Tick';

const Card = styled.article`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1rem;
  break-inside: avoid;
  .of {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  h2 {
    font-size: 1.5625rem;
    line-height: 1.2;
    outline: none;
  }
  ol {
    list-style: decimal;
    padding-left: 1.5rem;
    display: grid;
    gap: 0.5rem;
    font-size: 1.125rem;
  }
  .caution {
    padding: 0.8rem 1rem;
    border-left: 6px solid var(--tight);
    background: var(--caution);
    font-size: 1.0625rem;
    display: grid;
    gap: 0.4rem;
  }
  .tools {
    color: var(--quiet);
  }
  .checks li {
    border-top: 1px solid var(--hair);
  }
  .checks label {
    gap: 0.9rem;
    min-height: 3.2rem;
    padding: 0.3rem 0;
    font-size: 1.0625rem;
  }
  .checks .box {
    width: 1.9rem;
    height: 1.9rem;
  }
  figure {
    max-width: 100%;
    overflow: hidden;
  }
`;

/** What a step takes of the shopping list, each thing once. */
function taken({ takes }: BuildStep, catalog: Catalog): string {
  return [...new Set(takes.map((t) => t.itemKey))]
    .map((key) => {
      const { name, unit } = hardwareItem(catalog, key);
      const count = takes.reduce((sum, t) => sum + (t.itemKey === key ? t.count : 0), 0);
      return `${count} ${unit === 'm' ? 'm' : '×'} ${name}`;
    })
    .join(', ');
}

interface StepCardProps {
  readonly outline: Assessment;
  readonly step: BuildStep;
  readonly number: number;
  readonly of: number;
  readonly width: number;
  readonly done: readonly string[];
  /** Ticks a check; without it the boxes are to be ticked on paper. */
  readonly onTick?: (key: string, ticked: boolean) => void;
}

/** Height that the whole takes at most, px. */
const WHOLE_PX = 430;

/** A check's name in the list of what is ticked. */
export function checkKey(step: BuildStep, index: number): string {
  return `${step.id} ${index}`;
}

/** One step: the pieces in play, marks, work, cautions, checks. */
export function StepCard({ outline: o, step, number, of, width, done, onTick }: StepCardProps): ReactNode {
  const view = useView(o, step.view, true);
  const marked = o.assembly.members.filter((x) => step.tags.includes(x.tag) && x.marks.length > 0);
  // Pieces that are marked alike are shown once.
  const kinds = marked.filter(
    (x, i) => marked.findIndex((y) => JSON.stringify(y.marks) === JSON.stringify(x.marks)) === i,
  );
  return (
    <Card aria-label={step.title}>
      <header>
        <p className="of">
          Step {number} of {of}, about {Math.max(5, Math.round(step.minutes / 5) * 5)} minutes
        </p>
        <h2 tabIndex={-1}>{step.title}</h2>
      </header>
      {step.id !== 'cut' && step.tags.length > 0 && (
        <ViewDrawing
          outline={o}
          view={step.view}
          of={view}
          layout={fitView(view, { width, height: WHOLE_PX })}
          play={step.tags}
          joints={step.joints}
        />
      )}
      {step.id !== 'cut' && <CloseUps outline={o} step={step} of={view} width={width} />}
      {step.id !== 'cut' && kinds.slice(0, 4).map((x) => <MarkedPiece key={x.tag} member={x} width={width} />)}
      {step.cautions.length > 0 && (
        <div className="caution" role="note" aria-label="Caution">
          {step.cautions.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      )}
      <ol>
        {step.work.map((line, i) => (
          <li key={i}>
            <Sentence phrase={line} />
          </li>
        ))}
      </ol>
      {step.takes.length > 0 && <p className="tools">Have to hand: {taken(step, o.site.catalog)}.</p>}
      {step.tools.length > 0 && (
        <p className="tools">
          Tools: <Sentence phrase={joinPhrases(step.tools.map(toolName), '; ')} />.
        </p>
      )}
      {step.checks.length > 0 && (
        <ul className="checks">
          {step.checks.map((line, i) => (
            <li key={i}>
              <Tick on={done.includes(checkKey(step, i))} onChange={onTick && ((on) => onTick(checkKey(step, i), on))}>
                <span>
                  <Sentence phrase={line} />
                </span>
              </Tick>
            </li>
          ))}
        </ul>
      )}
    </Card>
  );
}
