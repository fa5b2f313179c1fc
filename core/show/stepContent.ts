/** What a step says and shows, once for the screen and for paper. */
import { type Phrase, joinPhrases, phrase } from '../base/figure';
import { hardwareItem } from '../catalog/catalog';
import { countOf, countsByItem } from '../catalog/counted';
import { toolName } from '../catalog/handTools';
import type { BuildStep, Member } from '../cover/assembly/types';
import type { CoverLayout } from '../layout';

/** A line of a step: a caution before its work, what to do in turn, what to have at hand, or a check to tick. */
export interface StepLine {
  readonly kind: 'caution' | 'work' | 'takes' | 'tools' | 'check';
  readonly text: Phrase;
}

export interface StepContent {
  /** How long it takes one person, to five minutes. */
  readonly minutes: number;
  /** Whether it is drawn: cutting has its own drawings. */
  readonly drawn: boolean;
  /** Pieces to show with their marks; of those marked alike only the first. */
  readonly marked: readonly Member[];
  /** In the order of reading. */
  readonly lines: readonly StepLine[];
}

/** A page shows no more marked pieces than this. */
const MOST_MARKED = 4;

/** What a step takes of the shopping list, each thing once with its count. */
function takenItems({ takes }: BuildStep, { site: { catalog } }: CoverLayout): readonly Phrase[] {
  return [...countsByItem(takes)].map(([key, count]) => {
    const { name, unit } = hardwareItem(catalog, key);
    return phrase`${countOf(unit, count)} ${unit === 'm' ? 'of' : '\u00d7'} ${name}`;
  });
}

/** Lays out a step of a cover: its drawings and its lines, each line once. */
export function stepContent(o: CoverLayout, step: BuildStep): StepContent {
  const drawn = step.id !== 'cut' && step.tags.length > 0;
  const marks = new Map<string, Member>();
  for (const m of drawn ? o.assembly.members : [])
    if (step.tags.includes(m.tag) && m.marks.length > 0) {
      const alike = JSON.stringify(m.marks);
      if (!marks.has(alike)) marks.set(alike, m);
    }
  const line = (kind: StepLine['kind'], text: Phrase): StepLine => ({ kind, text });
  const takes = takenItems(step, o);
  return {
    minutes: Math.max(5, Math.round(step.minutes / 5) * 5),
    drawn,
    marked: [...marks.values()].slice(0, MOST_MARKED),
    lines: [
      ...step.cautions.map((text) => line('caution', [text])),
      ...step.work.map((text) => line('work', text)),
      ...(takes.length > 0 ? [line('takes', phrase`Have at hand: ${joinPhrases(takes, ', ')}.`)] : []),
      ...(step.tools.length > 0 ? [line('tools', phrase`Tools: ${joinPhrases(step.tools.map(toolName), '; ')}.`)] : []),
      ...step.checks.map((text) => line('check', text)),
    ],
  };
}
