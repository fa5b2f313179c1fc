import type { ReactNode } from 'react';
import styled from 'styled-components';
import { type Flat, flatten } from '../../core/base/geometry';
import type { Joint, BuildStep } from '../../core/cover/assembly/types';
import { jointKind } from '../../core/cover/joints';
import type { CoverLayout } from '../../core/layout';
import { sayJoint } from '../../core/show/jointMarks';
import { type LayoutOf, layoutView } from '../../core/show/viewLayout';
import { ViewDrawing } from './ViewDrawing';

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
  gap: 0.8rem;
  p {
    font-size: 0.9375rem;
    font-weight: 600;
    padding-bottom: 0.3rem;
  }
  figure {
    border: 1px solid var(--hair);
    background: var(--sheet);
  }
  figcaption {
    left: 0.4rem;
    top: 0.2rem;
    font-weight: 400;
  }
`;

/** What of the drawing is seen in a close-up, mm. */
const SEEN_MM = { width: 420, height: 300 } as const;
const MOST = 2;

interface CloseUpsProps {
  readonly outline: CoverLayout;
  readonly step: BuildStep;
  /** The whole view that the step shows. */
  readonly of: LayoutOf;
  readonly width: number;
}

/** The joints that are made in a step, the first of each kind close up. */
export function CloseUps({ outline: o, step, of, width }: CloseUpsProps): ReactNode {
  const joints = step.joints.flatMap((id) => o.assembly.joints.filter((j) => j.id === id && isSeen(j)));
  const shown = joints.filter((j, i) => joints.findIndex((k) => k.kind === j.kind) === i).slice(0, MOST);
  if (shown.length === 0) return null;
  const cell = width < 520 || shown.length === 1 ? Math.min(width, 460) : (width - 13) / 2;
  return (
    <Row>
      {shown.map((j) => {
        const [place] = j.places;
        if (!place) return null;
        const near = around(of, flatten(place, step.view));
        return (
          <div key={j.id}>
            <p>{sayJoint(j)}</p>
            <ViewDrawing
              outline={o}
              view={step.view}
              of={near}
              layout={bare(near, (cell - 2) / SEEN_MM.width)}
              play={[...step.tags, ...j.tags]}
              joints={[j.id]}
            />
          </div>
        );
      })}
    </Row>
  );
}

/** Whether a joint is at places that can be shown. */
const isSeen = (j: Joint): boolean => j.places.length > 0 && jointKind(j.kind).symbol !== 'none';

/** The view cut down to what lies round a point. */
function around(of: LayoutOf, [u, v]: Flat): LayoutOf {
  const { width: widthMm, height: heightMm } = SEEN_MM;
  return {
    ...of,
    tags: [],
    dimensions: [],
    frame: { ...of.frame, widthMm, heightMm, u0: u - widthMm / 2, v1: v + heightMm / 2 },
  };
}

/** A view to the edge of its paper, with nothing round it. */
function bare(of: LayoutOf, scale: number): ReturnType<typeof layoutView> {
  const [width, height] = [of.frame.widthMm * scale, of.frame.heightMm * scale];
  return { ...layoutView(of, scale), width, height, box: { x0: 0, y0: 0, x1: width, y1: height } };
}
