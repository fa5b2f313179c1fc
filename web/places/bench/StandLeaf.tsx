import type { Assessment } from '../../../core/assessment';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { bendBand, bendLimitsPercent, fibreStrainPercent } from '../../../core/cover/hoop/strain';
import { thicknessMm } from '../../../core/catalog/sections';
import type { ArchRow } from '../../../core/cover/assembly/rows';
import { footThrustN, hoopFigures } from '../../../core/judge/strength/hoopFigures';
import type { Result } from '../../../core/base/result';
import { formatAmount } from '../../../core/base/amount';
import { useUnits } from '../../app/hooks';
import { FittedView } from '../../drawing/FittedView';
import { type DrawingScale, toScreen } from '../../drawing/Shapes';
import { FigureList } from '../../parts/Figures';
import { BarsControls, BarsDrawing, useBarsUnder } from './BarsUnderSnow';
import { BentDrawing } from './BentDrawing';
import { Brush, LoadControls } from './LoadControls';
import { useUnderLoad } from './underLoad';

interface LeafProps {
  readonly outline: Assessment;
  readonly onSet: (id: string, mm: number) => Result<unknown>;
}

const Area = styled.div`
  min-height: 0;
  overflow: auto;
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(16rem, 1fr);
  gap: 1.5rem;
  align-items: start;
  padding: 0.75rem 0;
  h2:not(:first-child),
  > div > div + * {
    margin-top: 1.2rem;
  }
  /* Stays in sight while what is laid on it is drawn along. */
  .drawing {
    position: sticky;
    top: 0;
    z-index: 1;
    height: min(40rem, calc(100vh - 13.5rem));
    min-height: 22rem;
    display: grid;
    place-items: center;
    background: var(--ground);
  }
  @media (max-width: 1000px) {
    /* The whole place scrolls. */
    overflow: visible;
  }
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    .drawing {
      height: 23rem;
    }
  }
`;

const Bands = styled.div`
  display: grid;
  gap: 0.4rem;
  margin-top: 1.2rem;
  font-size: 0.875rem;
  .scale {
    position: relative;
    display: flex;
    height: 1.7rem;
    border: 1px solid var(--ink);
  }
  .scale span {
    display: grid;
    place-items: center;
    font-size: 0.8125rem;
    border-right: 1px solid var(--ink);
    overflow: hidden;
    white-space: nowrap;
  }
  .scale span:last-of-type {
    border-right: 0;
    background: repeating-linear-gradient(45deg, transparent 0 5px, var(--hair) 5px 7px);
  }
  .scale i {
    position: absolute;
    top: -6px;
    bottom: -6px;
    width: 4px;
    margin-left: -2px;
    background: var(--chalk);
  }
`;

/** The loads on what carries, and how it bends under them. */
export function StandLeaf(props: LeafProps): ReactNode {
  return props.outline.assembly.arches.length > 0 ? <OnHoops {...props} /> : <OnBars {...props} />;
}

function OnHoops(leaf: LeafProps): ReactNode {
  const under = useUnderLoad(leaf.outline);
  return (
    <Stand
      {...leaf}
      drawn={(sheet) => <BentDrawing sheet={sheet} under={under} />}
      controls={<LoadControls outline={leaf.outline} under={under} />}
    />
  );
}

function OnBars(leaf: LeafProps): ReactNode {
  const under = useBarsUnder(leaf.outline);
  return (
    <Stand
      {...leaf}
      drawn={(sheet) => <BarsDrawing outline={leaf.outline} sheet={sheet} under={under} />}
      controls={<BarsControls under={under} />}
    />
  );
}

interface StandProps extends LeafProps {
  /** What bends, over the drawing; and what is laid on it. */
  readonly drawn: (sheet: DrawingScale) => ReactNode;
  readonly controls: ReactNode;
}

function Stand({ outline: o, onSet, drawn, controls }: StandProps): ReactNode {
  const arch = o.assembly.arches[0];
  // Lids that are alike weigh alike: said once.
  const lifts = o.lifts.filter((f, i) => o.lifts.findIndex((g) => Math.abs(g.value - f.value) < 0.05) === i);
  const bars = o
    .judged()
    .strengths.filter((s) => s.what !== (arch?.what ?? 'Hoops') && Number.isFinite(s.wetSnowMm))
    .flatMap((s) => s.figures.map((f) => ({ ...f, label: `${s.what}: ${f.label.toLowerCase()}` })));
  return (
    <Area>
      <FittedView
        outline={o}
        view="end"
        abovePx={SNOW_PX}
        onSet={onSet}
        extra={(sheet) => (
          <>
            {drawn(sheet)}
            <Push outline={o} sheet={sheet} />
          </>
        )}
      />
      <div>
        {controls}
        <Brush outline={o} />
        {arch && <BentHoop arch={arch} />}
        {bars.length > 0 && (
          <>
            <h2>The bars</h2>
            <FigureList figures={bars} />
          </>
        )}
        {lifts.length > 0 && (
          <>
            <h2>What is lifted</h2>
            <FigureList figures={lifts} />
          </>
        )}
      </div>
    </Area>
  );
}

/** The hoop's own figures, and how hard it is to bend. */
function BentHoop({ arch }: { readonly arch: ArchRow }): ReactNode {
  const units = useUnits();
  const plastic = arch.section.material.behaviour;
  const strain = fibreStrainPercent(arch.hoop.maxCurvaturePerMm, thicknessMm(arch.section));
  return (
    <>
      <h2>{arch.sprung ? 'The bent hoop' : 'The hoop'}</h2>
      <FigureList figures={hoopFigures(arch)} />
      {arch.sprung && plastic.kind === 'plastic' ? (
        <Bands>
          {[20, 0].map((t) => {
            const limits = bendLimitsPercent(plastic, t);
            const edges = [0, ...limits, 5];
            return (
              <div key={t}>
                Bent at {formatAmount(t, 'temperature', units)}: <b>{bendBand(plastic, strain, t)}</b>
                <div
                  className="scale"
                  role="img"
                  aria-label={`Strain ${strain.toFixed(1)} percent; easy below ${limits[0]}, firm below ${limits[1]}, hard below ${limits[2]}`}
                >
                  {['easy', 'firm', 'hard', 'too far'].map((name, i) => (
                    <span key={name} style={{ width: `${(((edges[i + 1] ?? 0) - (edges[i] ?? 0)) / 5) * 100}%` }}>
                      {name}
                    </span>
                  ))}
                  <i style={{ left: `${Math.min(100, strain * 20)}%` }} />
                </div>
              </div>
            );
          })}
        </Bands>
      ) : (
        <p style={{ margin: '1rem 0' }}>Shaped beforehand: nothing springs, and the feet do not push.</p>
      )}
    </>
  );
}

/** Room over the hoop for the snow on it, px. */
const SNOW_PX = 54;

/** The push of the feet. */
function Push({ outline: o, sheet }: { readonly outline: Assessment; readonly sheet: DrawingScale }): ReactNode {
  const units = useUnits();
  const { under } = o.assembly;
  const arch = o.assembly.arches[0];
  const push = arch ? footThrustN(arch) : 0;
  const outer = Math.max(o.site.survey.frameOn.widthMm, ...under.map((p) => p.y));
  const [fx, fy] = toScreen(sheet, [outer, arch?.footZMm ?? 0]);
  return push > 0 ? (
    <g stroke="var(--ink)" strokeWidth={1.8} fill="none">
      <path d={`M${fx + 8} ${fy - 8} h26 m0 0 l-7 -5 m7 5 l-7 5`} />
      <text x={fx + 6} y={fy - 17} stroke="none">
        {formatAmount(push, 'force', units)}
      </text>
    </g>
  ) : null;
}
