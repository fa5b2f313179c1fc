import type { ReactNode } from 'react';
import type { JointMark } from '../../core/show/jointMarks';
import { type DrawingScale, toScreen } from './Shapes';

interface MarksProps {
  readonly marks: readonly JointMark[];
  readonly sheet: DrawingScale;
  readonly picked: string | undefined;
  readonly onPick: (id: string) => void;
}

/** Half the size of a mark, px: a point, one of those along a line, and one that is picked. */
const SIZE = { point: 3, line: 1.3, picked: 5.5 } as const;

/** Where pieces are joined: a small diamond at each point, dots along what is fastened along a line. All of a joint is one path. */
export function JointMarks({ marks, sheet, picked, onPick }: MarksProps): ReactNode {
  return marks.map((m) => {
    const mine = m.id === picked;
    const r = mine ? SIZE.picked : SIZE[m.symbol];
    const d = m.at
      .map((p) => {
        const [x, y] = toScreen(sheet, p).map((v) => Math.round(v * 10) / 10);
        return `M${x} ${y}m0 ${-r}l${r} ${r}l${-r} ${r}l${-r} ${-r}z`;
      })
      .join('');
    const dots = m.symbol === 'line';
    return (
      <g key={m.id} onClick={() => onPick(m.id)} style={{ cursor: 'pointer' }} data-joint={m.id}>
        <title>{m.text}</title>
        <path
          d={d}
          fill={mine ? 'var(--chalk)' : dots ? 'var(--ink)' : 'var(--ground)'}
          stroke="var(--ink)"
          strokeWidth={dots ? 0 : 1}
        />
        {/* As far round as a finger reaches. */}
        <path d={d} fill="transparent" stroke="transparent" strokeWidth={12} />
      </g>
    );
  });
}
