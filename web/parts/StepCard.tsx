import type { Phrase } from '../../core/base/figure';
import type { Assessment } from '../../core/assessment';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { BuildStep } from '../../core/cover/assembly/types';
import { type StepLine, stepContent } from '../../core/show/stepContent';
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
  const { minutes, drawn, marked, lines } = stepContent(o, step);
  const linesOf = (kind: StepLine['kind']): readonly Phrase[] =>
    lines.flatMap((l) => (l.kind === kind ? [l.text] : []));
  const [cautions, checks] = [linesOf('caution'), linesOf('check')];
  return (
    <Card aria-label={step.title}>
      <header>
        <p className="of">
          Step {number} of {of}, about {minutes} minutes
        </p>
        <h2 tabIndex={-1}>{step.title}</h2>
      </header>
      {drawn && (
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
      {marked.map((x) => (
        <MarkedPiece key={x.tag} member={x} width={width} />
      ))}
      {cautions.length > 0 && (
        <div className="caution" role="note" aria-label="Caution">
          {cautions.map((line, i) => (
            <p key={i}>
              <Sentence phrase={line} />
            </p>
          ))}
        </div>
      )}
      <ol>
        {linesOf('work').map((line, i) => (
          <li key={i}>
            <Sentence phrase={line} />
          </li>
        ))}
      </ol>
      {[...linesOf('takes'), ...linesOf('tools')].map((line, i) => (
        <p key={i} className="tools">
          <Sentence phrase={line} />
        </p>
      ))}
      {checks.length > 0 && (
        <ul className="checks">
          {checks.map((line, i) => (
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
