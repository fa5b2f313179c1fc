import type { ReactNode } from 'react';
import styled from 'styled-components';
import { sayTags } from '../../core/cover/guide/tags';
import { type SectionBar, type SectionCuts, straightest } from '../../core/make/cutting/bars';
import type { SheetCut, SheetCuts } from '../../core/make/cutting/panels';
import type { FlatCut } from '../../core/make/cutting/tickOff';
import type { RollCut, RollPlan } from '../../core/make/rolls/rolls';
import { BarDrawing } from '../drawing/BarDrawing';
import { RollDrawing } from '../drawing/RollDrawing';
import { SheetDrawing } from '../drawing/SheetDrawing';
import { Button } from './controls';

const BarRow = styled.div`
  display: flex;
  align-items: flex-start;
  gap: 8px;
  > figure {
    flex: 1;
    min-width: 0;
  }
`;
/** Room for the press that ticks a bar off. */
const CUT_PX = 70;

/** Bars of one section, all at one scale. */
export function SectionBars({
  cut,
  width,
  longestMm,
  onCut,
}: {
  readonly cut: SectionCuts;
  readonly width: number;
  readonly longestMm: number;
  /** Ticks a bar off as sawn; without it they are only shown. */
  readonly onCut?: (sectionKey: string, bar: SectionBar) => void;
}): ReactNode {
  const straight = straightest(cut);
  return (
    <section aria-label={cut.section.name}>
      <h2>{cut.section.name}</h2>
      {straight.length > 0 && (
        <p style={{ fontSize: '0.875rem', color: 'var(--quiet)' }}>
          Keep the straightest for {sayTags(straight.map((bar) => bar.label))}: the long pieces show every bow.
        </p>
      )}
      {cut.bars.map((bar) => (
        <BarRow key={bar.label}>
          <BarDrawing bar={bar} section={cut.section} width={width - (onCut ? CUT_PX : 0)} longestMm={longestMm} />
          {onCut && (
            <Button
              className="screen-only"
              aria-label={`${bar.label} is cut`}
              onPress={() => onCut(cut.section.key, bar)}
            >
              Cut
            </Button>
          )}
        </BarRow>
      ))}
    </section>
  );
}

/** A sheet and a roll as they are ticked off. */
export function sheetAsCut(cut: SheetCut): FlatCut {
  const shelfId = cut.fromShelf ? cut.size.key : undefined;
  return { kind: 'sheet', key: cut.sheet.key, shelfId, placed: cut.placed, left: cut.left };
}
export function rollAsCut(cut: RollCut): FlatCut {
  return {
    kind: 'cover',
    key: cut.cover.key,
    shelfId: cut.fromShelf ? cut.roll.key : undefined,
    placed: cut.placed.map((p) => ({ tag: p.tag, widthMm: p.widthMm, lengthMm: p.runMm })),
    left: cut.left,
  };
}

/** Stiff sheets and rolls, each to scale with the order of its cuts. */
export function FlatCuts({
  sheets,
  rolls,
  width,
  onCut,
}: {
  readonly sheets: SheetCuts;
  readonly rolls: RollPlan;
  readonly width: number;
  /** Ticks a sheet or roll off as cut. */
  readonly onCut: (label: string, cut: FlatCut) => void;
}): ReactNode {
  const room = width - CUT_PX;
  const press = (label: string, cut: FlatCut): ReactNode => (
    <Button className="screen-only" aria-label={`${label} is cut`} onPress={() => onCut(label, cut)}>
      Cut
    </Button>
  );
  return (
    <>
      {sheets.sheets.length > 0 && (
        <section aria-label="Stiff sheets">
          <h2>Stiff sheets</h2>
          {sheets.sheets.map((cut) => (
            <BarRow key={cut.label} style={{ width }}>
              <SheetDrawing cut={cut} width={room} />
              {press(cut.label, sheetAsCut(cut))}
            </BarRow>
          ))}
        </section>
      )}
      {rolls.rolls.length > 0 && (
        <section aria-label="Rolls">
          <h2>Rolls</h2>
          {rolls.rolls.map((cut) => (
            <BarRow key={cut.label} style={{ width }}>
              <RollDrawing cut={cut} width={room} />
              {press(cut.label, rollAsCut(cut))}
            </BarRow>
          ))}
        </section>
      )}
    </>
  );
}
