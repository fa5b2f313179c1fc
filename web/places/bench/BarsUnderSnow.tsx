/** Snow laid on a cover that stands by straight bars: how they sag under it, and what is too much. */
import { type ReactNode, useState } from 'react';
import type { BeamRow } from '../../../core/cover/assembly/rows';
import { memberPoints } from '../../../core/cover/assembly/solids';
import type { Vec3 } from '../../../core/base/geometry';
import { MM_PER_INCH, isMetric } from '../../../core/base/length';
import { formatAmount } from '../../../core/base/amount';
import { type BeamUnder, beamUnder, timesBorne, timesUntil } from '../../../core/judge/strength/beam';
import { type DesignSnow, designSnow, driftAtPa, driftOf, snowDepthMm } from '../../../core/judge/strength/snow';
import type { Assessment } from '../../../core/assessment';
import { useUnits } from '../../app/hooks';
import { type DrawingScale, toScreen } from '../../drawing/Shapes';
import { Choice } from '../../parts/controls';
import { VerdictMark } from '../../parts/VerdictMark';
import { SnowOn, TALL_PX, strain } from './BentDrawing';
import { Controls, KindChoice, SnowSlide, LoadWords } from './LoadControls';
import { type LoadKind, kindAsked, slideMost } from './underLoad';

interface Laid {
  readonly kind: LoadKind;
  readonly depthMm: number;
  readonly times: 1 | 5 | 20;
}

interface Bar {
  readonly beam: BeamRow;
  readonly under: BeamUnder;
}

interface BarsUnder {
  readonly laid: Laid;
  readonly lay: (more: Partial<Laid>) => void;
  readonly bars: readonly Bar[];
  readonly snow: DesignSnow;
  /** Depth asked for, and depth at which the first of them bears no more, of the kind that is laid, mm. */
  readonly askedMm: number;
  readonly carriedMm: number;
  readonly mostMm: number;
}

/** Deeper than this nobody asks. */
const DEEPEST_MM = 2000;
const METRE_MM = 1000;

export function useBarsUnder(o: Assessment): BarsUnder {
  const { site } = o.garden;
  const { beams } = o.assembly;
  const asked = kindAsked(o);
  const [laid, setLaid] = useState<Laid>({ kind: asked, depthMm: snowDepthMm(o.snow.groundPa, asked), times: 5 });
  const snowOf = (depthMm: number): DesignSnow =>
    designSnow({ by: 'depth', depthMm, kind: laid.kind }, site.exposure, site);
  const metre = snowOf(METRE_MM);
  const carriedMm = Math.min(DEEPEST_MM, ...beams.map((beam) => METRE_MM * timesUntil(beam, metre)));
  const askedMm = snowDepthMm(o.snow.groundPa, laid.kind);
  const snow = snowOf(laid.depthMm);
  return {
    laid,
    lay: (more) => setLaid((l) => ({ ...l, ...more })),
    bars: beams.map((beam) => ({ beam, under: beamUnder(beam, snow) })),
    snow,
    askedMm,
    carriedMm,
    mostMm: slideMost(askedMm, carriedMm, DEEPEST_MM),
  };
}

/** Shape of a bar between its supports, 1 in its middle: (16 / 5) (t - 2 t^3 + t^4). */
const sagAt = (t: number): number => (16 / 5) * (t - 2 * t ** 3 + t ** 4);
const STEPS = 12;

interface Line {
  readonly bar: Bar;
  readonly from: Vec3;
  readonly to: Vec3;
}

/** The bars that are seen from the end, each line once: all that are made as those that are judged. */
function linesOf({ assembly }: Assessment, bars: readonly Bar[]): readonly Line[] {
  const all = bars.flatMap((bar) => {
    const parts = new Set(assembly.members.filter((m) => bar.beam.tags.includes(m.tag)).map((m) => m.part));
    return assembly.members
      .filter((m) => parts.has(m.part))
      .flatMap((m): readonly Line[] => {
        const points = memberPoints(m);
        const [from, to] = [points[0], points.at(-1)];
        if (!from || !to || Math.abs(from[1] - to[1]) < LEAST_ACROSS_MM) return [];
        return [from[1] < to[1] ? { bar, from, to } : { bar, from: to, to: from }];
      });
  });
  const where = ({ from, to }: Line): string => [from[1], from[2], to[1], to[2]].map(Math.round).join(' ');
  return all.filter((l, i) => all.findIndex((other) => where(other) === where(l)) === i);
}
const LEAST_ACROSS_MM = 60;

/** What lies on a place of a bar, Pa: by its slope, and beside a wall what drifts against that. */
function liesAt({ beam, under }: Bar, snow: DesignSnow, fromWallMm: number): number {
  const drifted = beam.drift ? driftAtPa(driftOf(snow, beam.drift.wallMm), fromWallMm) : 0;
  return snow.flatPa * under.lies + drifted;
}

/** The bars as they sag, and the snow on them. */
export function BarsDrawing({
  outline: o,
  sheet,
  under: { bars, laid, snow, mostMm },
}: {
  readonly outline: Assessment;
  readonly sheet: DrawingScale;
  readonly under: BarsUnder;
}): ReactNode {
  const lines = linesOf(o, bars);
  const steps = Array.from({ length: STEPS + 1 }, (_, k) => k / STEPS);
  const still = lines
    .flatMap(({ bar, from, to }) =>
      steps.map((t) => ({
        y: from[1] + t * (to[1] - from[1]),
        z: from[2] + t * (to[2] - from[2]),
        // The wall stands at the upper end.
        snowPa: liesAt(bar, snow, (from[2] > to[2] ? t : 1 - t) * (to[1] - from[1])),
        windPa: 0,
        used: 0,
      })),
    )
    .sort((a, b) => a.y - b.y);
  return (
    <g aria-hidden="true">
      <SnowOn sheet={sheet} still={still} tall={TALL_PX * Math.min(1, laid.depthMm / mostMm)} />
      {lines.map(({ bar, from, to }, i) => {
        const [dy, dz] = [to[1] - from[1], to[2] - from[2]];
        const long = Math.hypot(dy, dz);
        const points = steps.map((t) => {
          // Square to the bar, down.
          const down = (laid.times * bar.under.sagMm * sagAt(t)) / long;
          return toScreen(sheet, [from[1] + t * dy + down * dz, from[2] + t * dz - down * dy]).join(',');
        });
        const { colour, wide } = strain(1 / timesBorne(bar.under));
        return (
          <polyline
            key={i}
            points={points.join(' ')}
            fill="none"
            stroke={colour}
            strokeWidth={wide}
            strokeLinecap="round"
          />
        );
      })}
    </g>
  );
}

/** Snow to lay on the bars, and what they do under it. */
export function BarsControls({ under }: { readonly under: BarsUnder }): ReactNode {
  const units = useUnits();
  const { laid, lay, bars, carriedMm } = under;
  const depth = (mm: number): string => formatAmount(mm, 'snowDepth', units);
  const [weakest] = [...bars].sort((a, b) => timesBorne(a.under) - timesBorne(b.under));
  if (!weakest) return null;
  const { beam, under: u } = weakest;
  const used = 1 / timesBorne(u);
  const verdict = used > 1 ? 'fails' : used > 0.8 ? 'tight' : 'holds';
  const what = beam.what.toLowerCase();
  const finest = isMetric(units.length) ? 1 : MM_PER_INCH / 16;
  return (
    <Controls>
      <h2>Try snow on it</h2>
      <SnowSlide {...under} />
      <LoadWords className={verdict} role="status">
        <VerdictMark verdict={verdict} />{' '}
        {used > 1 ? (
          <>
            <b>Too much from {depth(carriedMm)} on:</b>{' '}
            {u.bending < u.sagging
              ? `more stress in the ${what} than the stuff bears; it may break`
              : `more sag of the ${what} than a 180th of the span`}
            .
          </>
        ) : (
          <>
            <b>It stands.</b> Nearest the limit: {what}, at {Math.round(100 * used)} % of it
            {u.sagMm > finest && `, sagging ${formatAmount(u.sagMm, 'length', units)}`}.
          </>
        )}
      </LoadWords>
      <div>
        <KindChoice kind={laid.kind} lay={lay} />
        <Choice
          label="Drawn"
          value={String(laid.times)}
          options={[
            { value: '1', label: 'As far as it sags' },
            { value: '5', label: 'Five times as far', why: 'To see which way it goes.' },
            { value: '20', label: 'Twenty times as far', why: 'Boards sag little before they break.' },
          ]}
          onChange={(times) => lay({ times: times === '20' ? 20 : times === '5' ? 5 : 1 })}
        />
      </div>
    </Controls>
  );
}
