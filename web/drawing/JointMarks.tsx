import type { ReactNode } from 'react';
import type { JointMark } from '../../core/show/jointMarks';
import { type Sheet, toScreen } from './Shapes';

interface MarksProps {
  readonly marks: readonly JointMark[];
  readonly sheet: Sheet;
  readonly picked: string | undefined;
  readonly onPick: (id: string) => void;
}

/** Where pieces are joined: a small diamond at each point, dots along what is fastened along a line. */
export function JointMarks({ marks, sheet, picked, onPick }: MarksProps): ReactNode {
  return marks.map((m) => (
    <g key={m.id} onClick={() => onPick(m.id)} style={{ cursor: 'pointer' }} data-joint={m.id}>
      <title>{m.text}</title>
      {m.at.map((p, i) => {
        const [x, y] = toScreen(sheet, p);
        const r = m.id === picked ? 5.5 : m.symbol === 'point' ? 3 : 1.3;
        return (
          <g key={i} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}>
            {m.symbol === 'point' ? (
              <path
                d={`M0 ${-r}L${r} 0L0 ${r}L${-r} 0Z`}
                fill={m.id === picked ? 'var(--chalk)' : 'var(--ground)'}
                stroke="var(--ink)"
                strokeWidth={1}
              />
            ) : (
              <circle r={r} fill={m.id === picked ? 'var(--chalk)' : 'var(--ink)'} />
            )}
            <circle className="reach" r={8} fill="transparent" />
          </g>
        );
      })}
    </g>
  ));
}
