import type { ReactNode } from 'react';
import type { Mood } from '../../core/judge/season/tonight';
import { VerdictMark } from '../parts/VerdictMark';

const VERDICT = { fine: 'holds', watch: 'tight', danger: 'fails' } as const;
const WORD = { fine: 'Fine', watch: 'Watch', danger: 'At risk' } as const;

/** How a night stands with a crop: by word, shape and colour. */
export const MoodMark = ({ mood }: { readonly mood: Mood }): ReactNode => (
  <VerdictMark verdict={VERDICT[mood]} word={WORD[mood]} />
);
