import type { ReactNode } from 'react';
import styled from 'styled-components';
import { MM_PER_INCH, isMetric } from '../../../core/base/length';
import { formatAmount } from '../../../core/base/amount';
import { amount, phrase } from '../../../core/base/figure';
import { MEASURED_AT_C, softensPerC } from '../../../core/catalog/sections';
import { WARM_C } from '../../../core/judge/strength/windCollapse';
import type { LoadedHoop } from '../../../core/judge/strength/loaded';
import { SNOW_DENSITY } from '../../../core/judge/strength/snow';
import { brushBy, carriedMm as carriedBy, hoopStrength } from '../../../core/judge/strength/snowStrength';
import type { Assessment } from '../../../core/assessment';
import { useUnits } from '../../app/hooks';
import { Choice } from '../../parts/controls';
import { Sentence } from '../../parts/Said';
import { Slide } from '../../parts/Slide';
import { VerdictMark } from '../../parts/VerdictMark';
import type { LoadKind, UnderLoad } from './underLoad';

const GIVES = {
  sway: 'it sways to one side and lies down',
  'snapping through': 'it snaps through',
  kink: 'the pipe kinks',
  yield: 'the pipe takes a bend that stays',
} as const;

/** How far along the hoop something is, in words. */
const WHERE = ['left foot', 'left shoulder', 'crown', 'right shoulder', 'right foot'] as const;
const whereOn = (bent: LoadedHoop, at: number): string =>
  WHERE[Math.min(4, Math.max(0, Math.round((4 * at) / (bent.points.length - 1))))] ?? 'crown';

export const LoadWords = styled.p`
  padding: 0.5rem 0.7rem;
  border-left: 4px solid var(--holds);
  background: var(--ground);
  &.tight {
    border-color: var(--tight);
  }
  &.fails {
    border-color: var(--fails);
  }
  b {
    font-weight: 700;
  }
`;

export const Controls = styled.div`
  display: grid;
  gap: 0.7rem;
  .brush {
    justify-self: start;
    border-collapse: collapse;
    font-size: 0.9375rem;
  }
  .brush td {
    padding: 0.15rem 0.9rem 0.15rem 0;
    border-top: 1px solid var(--hair);
  }
  .small {
    color: var(--quiet);
    font-size: 0.875rem;
  }
`;

/** How deep the snow lies, with what is asked and what is carried marked on it. */
export function SnowSlide({
  laid,
  lay,
  askedMm,
  carriedMm,
  mostMm,
}: {
  readonly laid: { readonly kind: LoadKind; readonly depthMm: number };
  readonly lay: (more: { readonly depthMm: number }) => void;
  readonly askedMm: number;
  readonly carriedMm: number;
  readonly mostMm: number;
}): ReactNode {
  const units = useUnits();
  // Marks too near to one another or to the end have no room for their words.
  const apart = carriedMm < 0.95 * mostMm && Math.abs(carriedMm - askedMm) > 0.12 * mostMm;
  return (
    <Slide
      label={`Snow, ${laid.kind}, as deep as on the ground`}
      value={laid.depthMm}
      most={mostMm}
      step={isMetric(units.length) ? 10 : MM_PER_INCH / 2}
      say={(mm) => formatAmount(mm, 'snowDepth', units)}
      marks={[{ at: askedMm, word: 'asked' }, ...(apart ? [{ at: carriedMm, word: 'carries' }] : [])]}
      onChange={(depthMm) => lay({ depthMm })}
    />
  );
}

/** Fresh, settled or wet. */
export function KindChoice({
  kind,
  lay,
}: {
  readonly kind: LoadKind;
  readonly lay: (more: { readonly kind: LoadKind }) => void;
}): ReactNode {
  return (
    <Choice
      label="Kind"
      value={kind}
      options={(['fresh', 'settled', 'wet'] as const).map((k) => ({
        value: k,
        label: k[0]?.toUpperCase() + k.slice(1),
      }))}
      onChange={(k) => lay({ kind: k as LoadKind })}
    />
  );
}

/** Snow and wind to lay on the hoops, and what they do under it. */
export function LoadControls({
  outline: o,
  under,
}: {
  readonly outline: Assessment;
  readonly under: UnderLoad;
}): ReactNode {
  const units = useUnits();
  const { laid, lay, bent, wall, carriedMm, mostGust } = under;
  const arch = o.assembly.arches[0];
  const metric = isMetric(units.length);
  const gust = (mPerS: number): string => formatAmount(mPerS, 'speed', units);
  const used = Math.max(0, ...(bent?.points.map((p) => p.used) ?? []));
  const verdict = bent?.gives ? 'fails' : used > 0.8 ? 'tight' : 'holds';
  const depth = (mm: number): string => formatAmount(mm, 'snowDepth', units);
  const finest = metric ? 5 : MM_PER_INCH / 4;
  const felt = (mm: number): string => formatAmount(Math.round(Math.abs(mm) / finest) * finest, 'length', units);
  const propped = arch && hoopStrength(arch, o.snow, undefined, true);
  return (
    <Controls>
      <h2>Try snow and wind on it</h2>
      <SnowSlide {...under} />
      <Slide
        label={`Gust from the left, ${laid.ends === 'shut' ? 'shut' : 'an end open'}`}
        value={laid.gustMPerS}
        most={mostGust}
        step={1}
        say={gust}
        marks={[{ at: o.asked.gustMPerS, word: 'asked' }]}
        onChange={(gustMPerS) => lay({ gustMPerS })}
      />
      <LoadWords className={verdict} role="status">
        {bent && <VerdictMark verdict={verdict} />}{' '}
        {bent === undefined ? (
          'Bending it…'
        ) : bent.gives ? (
          <>
            <b>
              Gives way at{' '}
              {laid.depthMm > 0
                ? depth(bent.gives.part * laid.depthMm)
                : gust(Math.sqrt(bent.gives.part) * laid.gustMPerS)}
              {laid.depthMm > 0 && laid.gustMPerS > 0 ? ' and that part of the gust' : ''}:
            </b>{' '}
            {GIVES[bent.gives.by]}
            {bent.gives.by === 'kink' || bent.gives.by === 'yield' ? ` at the ${whereOn(bent, bent.gives.at)}` : ''}.
          </>
        ) : (
          <>
            <b>It stands.</b>{' '}
            {Math.abs(bent.crownDownMm) < finest / 2
              ? 'The crown stays where it is'
              : `The crown ${bent.crownDownMm >= 0 ? 'sinks' : 'rises'} ${felt(bent.crownDownMm)}`}
            {Math.abs(bent.asideMm) > finest
              ? ` and leans ${felt(bent.asideMm)} to the ${bent.asideMm > 0 ? 'right' : 'left'}`
              : ''}
            ; the pipe is bent to {Math.round(100 * used)} % of its limit.
          </>
        )}
      </LoadWords>
      <div>
        <KindChoice kind={laid.kind} lay={lay} />
        <Choice
          label="Lies"
          value={laid.snowCase}
          options={[
            { value: 'even', label: 'On both sides', why: 'As it falls in still air.' },
            { value: 'one-sided', label: 'On the lee side', why: 'As the wind leaves it: the other half bare.' },
            ...(wall
              ? [
                  {
                    value: 'drifted',
                    label: `Drifted against ${wall.name}`,
                    why: 'As the wall gathers it, if nobody brushes.',
                  },
                ]
              : []),
          ]}
          onChange={(snowCase) => lay({ snowCase: snowCase as typeof laid.snowCase })}
        />
        <Choice
          label="Ends"
          value={laid.ends}
          options={[
            { value: 'shut', label: 'Shut' },
            { value: 'open', label: 'One open to the wind', why: 'The wind gets under the cover and lifts it.' },
          ]}
          onChange={(ends) => lay({ ends: ends as typeof laid.ends })}
        />
        {arch && softensPerC(arch.section.material) > 0 && (
          <Choice
            label="Pipe"
            value={laid.warm ? 'warm' : 'cool'}
            options={[
              { value: 'cool', label: `As measured, at ${formatAmount(MEASURED_AT_C, 'temperature', units)}` },
              {
                value: 'warm',
                label: `Warm in the sun, ${formatAmount(WARM_C, 'temperature', units)}`,
                why: 'Plastic is softer then. What frost adds is not counted.',
              },
            ]}
            onChange={(v) => lay({ warm: v === 'warm' })}
          />
        )}
        <Choice
          label="Drawn"
          value={String(laid.times)}
          options={[
            { value: '1', label: 'As far as it bends' },
            { value: '5', label: 'Five times as far', why: 'To see which way it goes.' },
          ]}
          onChange={(times) => lay({ times: times === '5' ? 5 : 1 })}
        />
      </div>
      {propped &&
        arch.ridge.kind !== 'posted' &&
        propped.wetSnowMm > (1.1 * (carriedMm * SNOW_DENSITY[laid.kind])) / SNOW_DENSITY.wet && (
          <p>
            <Sentence
              phrase={phrase`For one storm: a post with a padded board under the crown of each hoop, ${amount(arch.hoop.heightMm + arch.footZMm - o.assembly.crop.soilZMm, 'length')} from the soil, carries ${amount(propped.wetSnowMm, 'snowDepth')} of wet snow.`}
            />
          </p>
        )}
    </Controls>
  );
}

/** When to brush, by the weakest of all that carries snow. */
export function Brush({ outline: o }: { readonly outline: Assessment }): ReactNode {
  const units = useUnits();
  const [weakest] = o.judged().strengths;
  const snowMm = carriedBy(o.judged().strengths, o.judged().unjudged);
  if (!Number.isFinite(snowMm) || snowMm <= 0) return null;
  return (
    <Controls>
      <h2>Brush it by</h2>
      <table className="brush">
        <tbody>
          {brushBy(snowMm).map((b) => (
            <tr key={b.kind}>
              <td>{b.kind} snow</td>
              <td className="measure">{formatAmount(b.depthMm, 'snowDepth', units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">
        A fifth of the strength of its {weakest?.what.toLowerCase()} is left then. More is forecast than that? Brush
        while it falls, from outside, or prop it first.
      </p>
    </Controls>
  );
}
