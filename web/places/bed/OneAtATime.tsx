import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import { formatLength } from '../../../core/base/length';
import type { Result } from '../../../core/base/result';
import type { Bed, MeasureId } from '../../../core/site/bed';
import {
  type Against,
  MEASURES,
  type BedMeasure,
  measuredAgainst,
  otherDiagonal,
  readMeasure,
} from '../../../core/site/measures';
import type { PlanPoint, Survey } from '../../../core/site/survey';
import { useUnits } from '../../app/hooks';
import { useSize } from '../../drawing/useSize';
import { LengthField } from '../../parts/TypedField';
import { Button } from '../../parts/controls';
import { TapeLine } from './TapeLine';
import {
  type Draft,
  EMPTY,
  type Key,
  PAD_UNITS,
  type PadUnit,
  fraction,
  inUnit,
  isInches,
  pressed,
  shownAs,
  valueOf,
} from './keypad';
import { Toggle, Toggles } from '../../parts/Toggle';

const Page = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.5rem;
  padding: 0.5rem 0.6rem 0.8rem;
  .of {
    display: flex;
    justify-content: space-between;
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  h2 {
    font-size: 1.25rem;
  }
  .value {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 0.6rem;
    padding: 0.3rem 0.8rem;
    border: 2px solid var(--chalk);
    background: var(--sheet);
    font-size: 1.9rem;
    font-weight: 600;
    color: var(--chalk-ink);
    white-space: nowrap;
  }
  .value.old {
    color: var(--quiet);
    border-color: var(--hair);
  }
  .value small {
    font-size: 0.875rem;
    font-weight: 400;
  }
  .keys {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 0.35rem;
  }
  .keys button {
    min-height: 3.1rem;
    padding: 0;
    font-size: 1.25rem;
    background: var(--sheet);
  }
  .keys button[data-selected] {
    background: var(--ink);
  }
  .parts {
    grid-template-columns: repeat(8, 1fr);
  }
  .parts button {
    font-size: 0.9375rem;
    min-height: 2.7rem;
  }
  [role='radiogroup'] {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 0.35rem;
  }
  [role='radiogroup'] button {
    min-height: 2.7rem;
    padding: 0;
  }
  .go {
    display: grid;
    grid-template-columns: 1fr 2fr;
    gap: 0.5rem;
  }
  .go button {
    min-height: 3.4rem;
    font-size: 1.0625rem;
  }
  .fault {
    border-left: 4px solid var(--fails);
    padding: 0.3rem 0.6rem;
    background: var(--sheet);
  }
`;

const AGAINST = [
  { value: 'itself', label: 'its length' },
  { value: 'longer', label: 'longer by' },
  { value: 'shorter', label: 'shorter by' },
] as const;

interface OneAtATimeProps {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly onTake: (id: MeasureId, mm: number) => Result<unknown>;
  /** Where to begin: again at one measure, or at the first. */
  readonly onDone: () => void;
}

/** One measure at a time, the drawing close to where the tape runs, on keys for gloves. */
export function OneAtATime({ bed, survey, onTake, onDone }: OneAtATimeProps): ReactNode {
  const { length: own } = useUnits();
  const [unit, setUnit] = useState<PadUnit>(own);
  const [against, setAgainst] = useState<Against>('itself');
  const [at, go] = useState(0);
  const [taken, take] = useState<ReadonlySet<string>>(new Set());
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const [fault, setFault] = useState('');
  const measure = MEASURES[at];
  if (!measure) return null;
  const press = (key: Key): void => {
    setFault('');
    setDraft(pressed(draft, key, unit));
  };
  const move = (to: number): void => {
    setDraft(EMPTY);
    setFault('');
    setAgainst('itself');
    if (to >= MEASURES.length) onDone();
    else go(Math.max(0, to));
  };
  const set = (mm: number): Result<unknown> => {
    const answer = onTake(measure.id, mm);
    if (answer.ok) take(new Set([...taken, measure.id]));
    return answer;
  };
  const next = (): void => {
    // Taken as it stands it is measured too.
    const typed = valueOf(draft, unit);
    const answer = set(typed === undefined ? measure.of(bed) : measuredAgainst(bed, measure.id, against, typed));
    if (!answer.ok) return setFault(answer.faults[0]?.message ?? 'That cannot be.');
    move(at + 1);
  };
  const left = MEASURES.length - taken.size;
  const digit = (n: number): ReactNode => (
    <Button key={n} onPress={() => press({ digit: String(n) })}>
      {n}
    </Button>
  );
  return (
    <Page aria-label="One measure at a time">
      <p className="of">
        <span>
          Measure {at + 1} of {MEASURES.length}
        </span>
        <span>{left === 0 ? 'all taken' : `${left} left`}</span>
      </p>
      <h2>{measure.label}</h2>
      <Close bed={bed} survey={survey} measure={measure} />
      <p>{measure.tip}</p>
      <output className={`value measure ${draft.fresh ? 'old' : ''}`} aria-live="polite">
        {draft.fresh ? formatLength(measure.of(bed), own) : shownAs(draft, unit)}
        <small>{!draft.fresh ? 'new' : bed.measured.includes(measure.id) ? 'as it is now' : 'not measured yet'}</small>
      </output>
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      {otherDiagonal(measure.id) && (
        <Toggles
          label="This diagonal against the other"
          one
          options={AGAINST}
          chosen={[against]}
          onChange={([to = 'itself']) => setAgainst(to)}
        />
      )}
      <Toggles
        label="Measured in"
        one
        options={PAD_UNITS.map((value) => ({ value, label: value === 'ftin' ? 'ft in' : value }))}
        chosen={[unit]}
        onChange={([to = own]) => {
          setUnit(to);
          setDraft(inUnit(draft, to));
        }}
      />
      <div className="keys" role="group" aria-label="Keys">
        {[7, 8, 9].map(digit)}
        <Button aria-label="Take back the last key" onPress={() => press('back')}>
          ⌫
        </Button>
        {[4, 5, 6].map(digit)}
        {unit === 'ftin' ? (
          <Toggle isSelected={!draft.fresh && draft.at === 'feet'} onChange={() => press({ to: 'feet' })}>
            ft
          </Toggle>
        ) : (
          <span />
        )}
        {[1, 2, 3].map(digit)}
        {unit === 'ftin' ? (
          <Toggle isSelected={draft.at === 'inches'} onChange={() => press({ to: 'inches' })}>
            in
          </Toggle>
        ) : (
          <span />
        )}
        <span />
        {digit(0)}
        {unit === 'cm' || unit === 'm' ? (
          <Button aria-label="Decimal point" onPress={() => press('point')}>
            .
          </Button>
        ) : (
          <span />
        )}
        <span />
      </div>
      {isInches(unit) && (
        <div className="keys parts" role="group" aria-label="Sixteenths of an inch">
          {Array.from({ length: 16 }, (_, n) => (
            <Toggle
              key={n}
              isSelected={!draft.fresh && draft.sixteenths === n}
              onChange={() => press({ sixteenths: n })}
            >
              {n === 0 ? '0' : fraction(n)}
            </Toggle>
          ))}
        </div>
      )}
      <div className="go">
        <Button isDisabled={at === 0} onPress={() => move(at - 1)}>
          Back
        </Button>
        <Button $strong onPress={next}>
          {draft.fresh ? 'It is right: next' : 'Take it: next'}
        </Button>
      </div>
      <p>
        Or typed, or spoken to your keyboard:{' '}
        <LengthField
          label={measure.label}
          valueMm={measure.of(bed)}
          boxed
          read={(text) => readMeasure(bed, measure.id, text, own)}
          onSet={set}
          onEnter={() => move(at + 1)}
        />
      </p>
      <Button onPress={onDone}>The whole drawing</Button>
    </Page>
  );
}

const HIGH_PX = 150;
const PAD_PX = 26;

/** The bed from above, as close as shows both ends of the tape; or cut across, where it is a matter of the wall. */
function Close({
  bed,
  survey: s,
  measure,
}: {
  readonly bed: Bed;
  readonly survey: Survey;
  readonly measure: BedMeasure;
}): ReactNode {
  const [ref, size] = useSize<HTMLDivElement>();
  const width = size?.width ?? 0;
  return (
    <div ref={ref}>
      <svg width={width} height={HIGH_PX} role="img" aria-label={`Where it is taken: ${measure.label}`}>
        {width > 0 &&
          (measure.where.kind === 'wall' ? (
            <CutAcross bed={bed} measure={measure} width={width} />
          ) : (
            <FromAbove bed={bed} survey={s} measure={measure} width={width} />
          ))}
      </svg>
    </div>
  );
}

interface ShownProps {
  readonly bed: Bed;
  readonly measure: BedMeasure;
  readonly width: number;
}

function FromAbove({ bed, survey: s, measure, width }: ShownProps & { readonly survey: Survey }): ReactNode {
  const { where } = measure;
  const t = bed.wall.thicknessMm;
  const c = s.corners;
  const mid = (a: PlanPoint, b: PlanPoint, f: number): PlanPoint => ({
    x: a.x + (b.x - a.x) * f,
    y: a.y + (b.y - a.y) * f,
  });
  const ends: readonly [PlanPoint, PlanPoint] =
    where.kind === 'between'
      ? [c[where.from], c[where.to]]
      : where.kind === 'corner'
        ? [c[where.corner], c[where.corner]]
        : where.kind === 'inside' && where.way === 'along'
          ? [
              { ...mid(c.nearLeft, c.farLeft, 0.5), x: mid(c.nearLeft, c.farLeft, 0.5).x + t },
              { ...mid(c.nearRight, c.farRight, 0.5), x: mid(c.nearRight, c.farRight, 0.5).x - t },
            ]
          : [
              { ...mid(c.nearLeft, c.nearRight, 0.5), y: mid(c.nearLeft, c.nearRight, 0.5).y + t },
              { ...mid(c.farLeft, c.farRight, 0.5), y: mid(c.farLeft, c.farRight, 0.5).y - t },
            ];
  const [a, b] = ends;
  const round = where.kind === 'corner' ? 500 : t * 2;
  const [x0, x1] = [Math.min(a.x, b.x) - round, Math.max(a.x, b.x) + round];
  const [y0, y1] = [Math.min(a.y, b.y) - round, Math.max(a.y, b.y) + round];
  const scale = Math.min((width - 2 * PAD_PX) / (x1 - x0), (HIGH_PX - 2 * PAD_PX) / (y1 - y0));
  const on = (p: PlanPoint): readonly [number, number] => [
    width / 2 + (p.x - (x0 + x1) / 2) * scale,
    HIGH_PX / 2 - (p.y - (y0 + y1) / 2) * scale,
  ];
  const outer = [c.nearLeft, c.nearRight, c.farRight, c.farLeft];
  const inner = [
    { x: c.nearLeft.x + t, y: c.nearLeft.y + t },
    { x: c.nearRight.x - t, y: c.nearRight.y + t },
    { x: c.farRight.x - t, y: c.farRight.y - t },
    { x: c.farLeft.x + t, y: c.farLeft.y - t },
  ];
  const text = (list: readonly PlanPoint[]): string => list.map((p) => on(p).join(',')).join(' ');
  const [from, to] = [on(a), on(b)];
  return (
    <>
      <polygon points={text(outer)} fill="var(--wall)" stroke="var(--timber-edge)" />
      <polygon points={text(inner)} fill="var(--soil)" stroke="var(--timber-edge)" strokeWidth={0.8} />
      {where.kind === 'corner' ? (
        <circle cx={from[0]} cy={from[1]} r={14} fill="none" stroke="var(--chalk)" strokeWidth={3} />
      ) : (
        <TapeLine a={from} b={to} wide />
      )}
    </>
  );
}

/** The near wall cut across, with what is measured of it. */
function CutAcross({ bed, measure, width }: ShownProps): ReactNode {
  const { heightMm: h, thicknessMm: t } = bed.wall;
  const scale = Math.min((HIGH_PX - 2 * PAD_PX) / Math.max(1, h), 0.6);
  const x = width / 2 - 40;
  const ground = HIGH_PX - PAD_PX;
  const top = ground - h * scale;
  const soil = top + bed.soilBelowRimMm * scale;
  const wide = Math.max(10, t * scale);
  const line =
    measure.id === 'wallHeight'
      ? ([
          [x - 18, ground],
          [x - 18, top],
        ] as const)
      : measure.id === 'wallThickness'
        ? ([
            [x, top - 12],
            [x + wide, top - 12],
          ] as const)
        : ([
            [x + wide + 22, top],
            [x + wide + 22, soil],
          ] as const);
  return (
    <>
      <rect x={x + wide} y={soil} width={width - x - wide} height={ground - soil} fill="var(--soil)" />
      <rect x={x} y={top} width={wide} height={h * scale} fill="var(--wall)" stroke="var(--timber-edge)" />
      <line x1={0} x2={width} y1={ground} y2={ground} stroke="var(--ink)" strokeWidth={1.5} />
      <TapeLine a={line[0]} b={line[1]} wide />
    </>
  );
}
