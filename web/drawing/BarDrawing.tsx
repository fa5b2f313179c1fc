import type { ReactNode } from 'react';
import { formatLength } from '../../core/base/length';
import type { Section } from '../../core/catalog/types';
import type { SectionBar } from '../../core/make/cutting/bars';
import { barDrawing } from '../../core/show/barDrawing';
import { ON_SCREEN } from '../../core/show/drawing';
import { useUnits } from '../app/hooks';
import { Painted } from './Painted';

/** Room for a bar's name beside it, and the width under which it stands above. */
const BESIDE = 128;
const NARROW = 480;
const BAR_HIGH = 32;

interface BarProps {
  readonly bar: SectionBar;
  readonly section: Section;
  readonly width: number;
  /** Longest bar of the page, so that all are at one scale. */
  readonly longestMm: number;
}

/** One bar to scale, on the screen. */
export function BarDrawing({ bar, section, width, longestMm }: BarProps): ReactNode {
  const { length: unit } = useUnits();
  const size = (mm: number): string => formatLength(mm, unit);
  const beside = width < NARROW ? 0 : BESIDE;
  const room = { width, longestMm, unit, lettering: ON_SCREEN, barHigh: BAR_HIGH, beside };
  const pieces = bar.pieces.map((p) => `${p.tag} ${size(p.lengthMm)}, mark ${size(p.markMm)}`).join('; ');
  return (
    <Painted
      list={barDrawing(bar, section, room)}
      said={`${bar.label}, ${size(bar.lengthMm)}${bar.fromShelf ? ', from the shelf' : ''}: ${pieces}`}
    />
  );
}
