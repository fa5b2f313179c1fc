import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { formatAmount } from '../../../core/base/amount';
import { phraseText } from '../../../core/base/figure';
import type { Tonight } from '../../../core/judge/season/tonight';
import { useUnits } from '../../app/hooks';
import { useWay } from '../../app/way';
import { MoodMark } from '../../weather/MoodMark';

/** Tonight's word under a cover of the list; the day book tells the rest. */
export function TonightWord({ word, id }: { readonly word: Tonight; readonly id: string }): ReactNode {
  const units = useUnits();
  const way = useWay();
  return (
    <Link className="tonight" to={way('book')} data-testid={`tonight-${id}`}>
      <MoodMark mood={word.mood} /> {phraseText(word.word, units)}; low{' '}
      <span className="measure">{formatAmount(word.low.insideC, 'temperature', units)}</span>
    </Link>
  );
}
