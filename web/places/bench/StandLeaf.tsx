import type { Outline } from '../../../core/outline';
import { FOUND_AT, type Place, ROUGH_GUST, ROUGH_SNOW } from '../../../core/site/place';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { SNOW_DENSITY, slopeFactor } from '../../../core/judge/proof/snow';
import { bendBand, bendLimitsPercent, fibreStrainPercent } from '../../../core/build/hoop/strain';
import { thicknessMm } from '../../../core/catalog/sections';
import { amount } from '../../../core/base/figure';
import type { ArchRow } from '../../../core/build/assembly/rows';
import { footThrustN, hoopFigures } from '../../../core/judge/proof/hoopFigures';
import { type Result, failAll, ok } from '../../../core/base/result';
import { formatAmount } from '../../../core/base/amount';
import { useEdit, useUnits } from '../../app/hooks';
import { FittedView } from '../../drawing/FittedView';
import { type Sheet, toScreen } from '../../drawing/Shapes';
import { Choice, Row } from '../../parts/controls';
import { Figures } from '../../parts/Figures';
import { LengthField, NumberField } from '../../parts/TypedField';

interface LeafProps {
  readonly outline: Outline;
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
  h2:not(:first-child) {
    margin-top: 1.2rem;
  }
  .drawing {
    height: 100%;
    min-height: 22rem;
    display: grid;
    place-items: center;
  }
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
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

/** The loads on the hoop and the hoop itself. */
export function StandLeaf({ outline: o, onSet }: LeafProps): ReactNode {
  const arch = o.assembly.arches[0];
  // Lids that are alike weigh alike: said once.
  const lifts = o.lifts.filter((f, i) => o.lifts.findIndex((g) => Math.abs(g.value - f.value) < 0.05) === i);
  const bars = o.strengths
    .filter((s) => s.what !== (arch?.what ?? 'Hoops') && Number.isFinite(s.wetSnowMm))
    .flatMap((s) => s.figures);
  return (
    <Area>
      <FittedView
        outline={o}
        view="end"
        abovePx={SNOW_PX}
        onSet={onSet}
        extra={(sheet) => <SnowAndPush outline={o} sheet={sheet} />}
      />
      <div>
        {arch && <BentHoop arch={arch} />}
        {bars.length > 0 && (
          <>
            <h2>The bars</h2>
            <Figures figures={bars} />
          </>
        )}
        {lifts.length > 0 && (
          <>
            <h2>What is lifted</h2>
            <Figures figures={lifts} />
          </>
        )}
      </div>
    </Area>
  );
}

/** The hoop's own figures, and how hard it is to bend. */
function BentHoop({ arch }: { readonly arch: ArchRow }): ReactNode {
  const units = useUnits();
  const strain = fibreStrainPercent(arch.hoop.maxCurvaturePerMm, thicknessMm(arch.section));
  return (
    <>
      <h2>{arch.sprung ? 'The bent hoop' : 'The hoop'}</h2>
      <Figures figures={hoopFigures(arch)} />
      {arch.sprung ? (
        <Bands>
          {[20, 0].map((t) => {
            const limits = bendLimitsPercent(t);
            const edges = [0, ...limits, 5];
            return (
              <div key={t}>
                Bent at {formatAmount(t, 'temperature', units)}: <b>{bendBand(strain, t)}</b>
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

const SNOW_PX = 54;

/** Even snow by local slope over the hoop, and the push of the feet. */
function SnowAndPush({ outline: o, sheet }: { readonly outline: Outline; readonly sheet: Sheet }): ReactNode {
  const units = useUnits();
  const { under } = o.assembly;
  const tall = 34;
  const crown = toScreen(sheet, [0, Math.max(...under.map((p) => p.z))])[1];
  const base = crown - 22;
  // Snow stands on each stretch of the cover by its own slope; nothing on what leans outward.
  const top = under.slice(1).flatMap((b, i) => {
    const a = under[i] ?? b;
    const angle = Math.atan2(b.z - a.z, b.y - a.y);
    const high = Math.abs(angle) > Math.PI / 2 ? 0 : tall * slopeFactor((angle * 180) / Math.PI);
    return [a, b].map((p) => [toScreen(sheet, [p.y, 0])[0], base - high] as const);
  });
  const first = top[0]?.[0] ?? 0;
  const last = top[top.length - 1]?.[0] ?? 0;
  const arch = o.assembly.arches[0];
  const push = arch ? footThrustN(arch) : 0;
  const outer = Math.max(o.site.survey.frameOn.widthMm, ...under.map((p) => p.y));
  const [fx, fy] = toScreen(sheet, [outer, arch?.footZMm ?? 0]);
  return (
    <g>
      <path
        d={`M${first} ${base} ${top.map(([x, y]) => `L${x} ${y}`).join(' ')} L${last} ${base} Z`}
        fill="var(--frost)"
        fillOpacity={0.22}
        stroke="var(--frost)"
        strokeWidth={1.3}
      />
      <text
        x={(first + last) / 2}
        y={base - tall - 7}
        textAnchor="middle"
        style={{ fill: 'var(--frost)', fontWeight: 600 }}
      >
        snow by slope, {formatAmount(o.snow.flatPa, 'pressure', units)} flat
      </text>
      {push > 0 && (
        <g stroke="var(--ink)" strokeWidth={1.8} fill="none">
          <path d={`M${fx + 8} ${fy - 8} h26 m0 0 l-7 -5 m7 5 l-7 5`} />
          <text x={fx + 6} y={fy - 17} stroke="none">
            {formatAmount(push, 'force', units)}
          </text>
        </g>
      )}
    </g>
  );
}

const MPH_PER_M_PER_S = 2.23694;

/** A figure that nobody has said: where it is found, and a class to start from. */
const Rough = styled.div`
  padding: 0.4rem 0.6rem;
  margin: 0.3rem 0;
  border-left: 4px solid var(--tight);
  background: var(--ground);
  font-size: 0.9375rem;
`;

/** What snow and wind are asked of covers here. */
export function StandPanel({ outline: o }: { readonly outline: Outline }): ReactNode {
  const edit = useEdit();
  const { snow, exposure, rough, gustMPerS } = o.garden.site;
  const metric = o.garden.units.length === 'cm' || o.garden.units.length === 'mm';
  const per = metric ? 1 : MPH_PER_M_PER_S;
  const change = (label: string, recipe: (site: Place) => void) => {
    const faults = edit(label, (garden) => recipe(garden.site));
    return faults.length > 0 ? failAll(faults) : ok(undefined);
  };
  /** What is typed or read off a table is rough no more. */
  const said = (what: Place['rough'][number]) => (site: Place) => {
    site.rough = site.rough.filter((r) => r !== what);
  };
  const set = (recipe: (site: Place) => void) =>
    change('Set the snow', (site) => {
      recipe(site);
      said('snow')(site);
    });
  return (
    <section aria-label="Snow asked of it">
      <h2>Snow asked of it</h2>
      {rough.includes('snow') && (
        <Rough>
          <p>
            <b>Rough.</b> Nobody has said yet what snow lies here. {FOUND_AT.snow}
          </p>
          <Choice
            label="About"
            value={ROUGH_SNOW.find((c) => snow.by === 'depth' && snow.depthMm === c.depthMm)?.key ?? ''}
            options={ROUGH_SNOW.map(({ key, label, why }) => ({ value: key, label, why }))}
            onChange={(key) =>
              change('Say about what snow lies', (site) => {
                const depthMm = ROUGH_SNOW.find((c) => c.key === key)?.depthMm ?? 0;
                site.snow = { by: 'depth', depthMm, kind: 'wet' };
              })
            }
          />
        </Rough>
      )}
      <Choice
        label="Known by"
        value={snow.by}
        options={[
          { value: 'depth', label: 'Depth', why: 'The most that may lie before you brush it off.' },
          {
            value: 'ground',
            label: 'Ground load',
            why: 'From your building office’s table; the cover stands the winter alone.',
          },
        ]}
        onChange={(by) =>
          set(
            (site) =>
              void (site.snow = by === 'depth' ? { by, depthMm: 150, kind: 'wet' } : { by: 'ground', groundPa: 2400 }),
          )
        }
      />
      {snow.by === 'depth' ? (
        <>
          <Row name="Depth">
            <LengthField
              label="Depth of snow"
              valueMm={snow.depthMm}
              boxed
              onSet={(mm) => set((site) => void (site.snow.by === 'depth' && (site.snow.depthMm = mm)))}
            />
          </Row>
          <Choice
            label="Kind"
            value={snow.kind}
            options={[
              {
                value: 'fresh',
                label: 'Fresh',
                why: ['Light powder, about ', amount(SNOW_DENSITY.fresh, 'density'), '.'],
              },
              {
                value: 'settled',
                label: 'Settled',
                why: ['Days old, about ', amount(SNOW_DENSITY.settled, 'density'), '.'],
              },
              {
                value: 'wet',
                label: 'Wet',
                why: ['Heavy, about ', amount(SNOW_DENSITY.wet, 'density'), ': what folds tunnels.'],
              },
            ]}
            onChange={(kind) => set((site) => void (site.snow.by === 'depth' && (site.snow.kind = kind as 'wet')))}
          />
        </>
      ) : (
        <Row name="On the ground" unit="kPa">
          <NumberField
            label="Ground snow load in kilopascals"
            value={snow.groundPa / 1000}
            decimals={2}
            min={0}
            max={20}
            onSet={(kPa) => set((site) => void (site.snow = { by: 'ground', groundPa: kPa * 1000 }))}
          />
        </Row>
      )}
      <Choice
        label="Wind here"
        value={exposure}
        options={[
          { value: 'exposed', label: 'Open', why: 'Wind carries snow off: Ce 0.9.' },
          { value: 'normal', label: 'Usual', why: 'Some trees and houses: Ce 1.0.' },
          { value: 'sheltered', label: 'Sheltered', why: 'Snow stays where it falls: Ce 1.2.' },
        ]}
        onChange={(value) => change('Set the wind', (site) => void (site.exposure = value as Place['exposure']))}
      />
      {rough.includes('gust') && (
        <Rough>
          <p>
            <b>Rough.</b> Nobody has said yet how it blows here. {FOUND_AT.gust}
          </p>
          <Choice
            label="About"
            value={ROUGH_GUST.find((c) => c.gustMPerS === gustMPerS)?.key ?? ''}
            options={ROUGH_GUST.map(({ key, label, why }) => ({ value: key, label, why }))}
            onChange={(key) =>
              change('Say about how it blows', (site) => {
                site.gustMPerS = ROUGH_GUST.find((c) => c.key === key)?.gustMPerS ?? site.gustMPerS;
              })
            }
          />
        </Rough>
      )}
      <Row name="Worst gust" unit={metric ? 'm/s' : 'mph'}>
        <NumberField
          label={`Worst gust, ${metric ? 'metres a second' : 'miles an hour'}`}
          value={gustMPerS * per}
          decimals={0}
          min={0}
          max={Math.floor(90 * per)}
          onSet={(x) =>
            change('Set the gust', (site) => {
              site.gustMPerS = x / per;
              said('gust')(site);
            })
          }
        />
      </Row>
    </section>
  );
}
