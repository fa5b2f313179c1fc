import {
  setExposure,
  setGust,
  setPractice,
  setRoughGust,
  setRoughSnow,
  setSnow,
  setSnowBy,
  setSnowFactor,
} from '../../../core/commands/place';
import { isMetric } from '../../../core/base/length';
import { unitOf } from '../../../core/base/amount';
import { conditionLines } from '../../../core/conditions';
import type { Assessment } from '../../../core/assessment';
import { FOUND_AT, type Place, ROUGH_GUST, ROUGH_SNOW } from '../../../core/site/place';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { PRACTICES, SNOW_DENSITY } from '../../../core/judge/strength/snow';
import { amount, phrase } from '../../../core/base/figure';
import { useRun, useUnits } from '../../app/hooks';
import { Button, Choice, Row } from '../../parts/controls';
import { Sentence } from '../../parts/Said';
import { LengthField, NumberField } from '../../parts/TypedField';
import { Folded } from '../../parts/Folded';

/** A figure that nobody has said: where it is found, and a class to start from. */
const Rough = styled.div`
  padding: 0.4rem 0.6rem;
  margin: 0.3rem 0;
  border-left: 4px solid var(--tight);
  background: var(--ground);
  font-size: 0.9375rem;
`;

const Factor = styled.div`
  p {
    color: var(--quiet);
    font-size: 0.8125rem;
    line-height: 1.3;
    padding-bottom: 0.3rem;
  }
`;

/** The factors of a snow practice, and what they mean. */
const FACTORS = [
  { key: 'exposure', name: 'Ce', why: 'Exposure: how much of the snow the wind leaves on the cover.' },
  { key: 'thermal', name: 'Ct', why: 'Heat: more than 1 where nothing from inside melts it.' },
  {
    key: 'importance',
    name: 'I',
    why: 'Importance: less than 1 where nobody is hurt if it folds; 1 where a person walks in.',
  },
] as const;

/** What snow and wind are asked of covers here. */
export function StandPanel({ outline: o }: { readonly outline: Assessment }): ReactNode {
  const run = useRun();
  const { snow, exposure, practice, snowFactors, rough, gustMPerS } = o.garden.site;
  const ce = PRACTICES[practice].exposure;
  const metric = isMetric(o.garden.units.length);
  const units = useUnits();
  const [speed, pressure] = [unitOf('speed', units), unitOf('pressure', units)];
  return (
    <section aria-label="Snow asked of it">
      <h2>Snow asked of it</h2>
      {(o.asked.snowBy === 'wish' || o.asked.gustBy === 'wish') &&
        conditionLines(o).map((line, i) => (
          <p key={i}>
            <Sentence phrase={line} />
          </p>
        ))}
      {rough.includes('snow') && (
        <Rough>
          <p>
            <b>Rough.</b> Nobody has said yet what snow lies here. {FOUND_AT.snow}
          </p>
          <Choice
            label="About"
            value={ROUGH_SNOW.find((c) => snow.by === 'depth' && snow.depthMm === c.depthMm)?.key ?? ''}
            options={ROUGH_SNOW.map(({ key, label, why }) => ({ value: key, label, why }))}
            onChange={(key) => void run((g) => setRoughSnow(g, ROUGH_SNOW.find((c) => c.key === key)?.depthMm ?? 0))}
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
        onChange={(by) => void run((g) => setSnowBy(g, by as Place['snow']['by']))}
      />
      {snow.by === 'depth' ? (
        <>
          <Row name="Depth">
            <LengthField
              label="Depth of snow"
              valueMm={snow.depthMm}
              boxed
              onSet={(mm) => run((g) => setSnow(g, { ...snow, depthMm: mm }))}
            />
          </Row>
          <Choice
            label="Kind"
            value={snow.kind}
            options={[
              {
                value: 'fresh',
                label: 'Fresh',
                why: phrase`Light powder, about ${amount(SNOW_DENSITY.fresh, 'density')}.`,
              },
              {
                value: 'settled',
                label: 'Settled',
                why: phrase`Days old, about ${amount(SNOW_DENSITY.settled, 'density')}.`,
              },
              {
                value: 'wet',
                label: 'Wet',
                why: phrase`Heavy, about ${amount(SNOW_DENSITY.wet, 'density')}: what folds tunnels.`,
              },
            ]}
            onChange={(kind) => void run((g) => setSnow(g, { ...snow, kind: kind as 'wet' }))}
          />
        </>
      ) : (
        <Row name="On the ground" unit={pressure.sign}>
          <NumberField
            label={`Ground snow load, ${pressure.name}`}
            value={snow.groundPa * pressure.per}
            decimals={metric ? 2 : 1}
            min={0}
            max={Math.floor(20_000 * pressure.per)}
            onSet={(x) => run((g) => setSnow(g, { by: 'ground', groundPa: x / pressure.per }))}
          />
        </Row>
      )}
      <Choice
        label="By"
        value={practice}
        options={[
          { value: 'asce', label: 'US practice', why: 'ASCE/SEI 7: by slope, and the lee half alone.' },
          {
            value: 'en',
            label: 'European practice',
            why: 'EN 1991-1-3: alike up to 60 degrees, and drifted to one side.',
          },
        ]}
        onChange={(value) => void run((g) => setPractice(g, value as Place['practice']))}
      />
      <Choice
        label="Wind here"
        value={exposure}
        options={[
          { value: 'exposed', label: 'Open', why: `Wind carries snow off: Ce ${ce.exposed}.` },
          { value: 'normal', label: 'Usual', why: `Some trees and houses: Ce ${ce.normal}.` },
          { value: 'sheltered', label: 'Sheltered', why: `Snow stays where it falls: Ce ${ce.sheltered}.` },
        ]}
        onChange={(value) => void run((g) => setExposure(g, value as Place['exposure']))}
      />
      <Folded title="Its factors">
        {FACTORS.map(({ key, name, why }) => (
          <Factor key={key}>
            <Row name={name}>
              <NumberField
                label={why}
                value={snowFactors[key] ?? o.snow[`${key}Factor`]}
                decimals={2}
                min={0.5}
                max={2}
                onSet={(x) => run((g) => setSnowFactor(g, key, name, x))}
              />{' '}
              {snowFactors[key] !== null && (
                <Button onPress={() => void run((g) => setSnowFactor(g, key, name, null))}>
                  As {PRACTICES[practice].name}
                </Button>
              )}
            </Row>
            <p>{why}</p>
          </Factor>
        ))}
      </Folded>
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
              void run((g) => setRoughGust(g, ROUGH_GUST.find((c) => c.key === key)?.gustMPerS ?? gustMPerS))
            }
          />
        </Rough>
      )}
      <Row name="Worst gust" unit={speed.sign}>
        <NumberField
          label={`Worst gust, ${speed.name}`}
          value={gustMPerS * speed.per}
          decimals={0}
          min={0}
          max={Math.floor(90 * speed.per)}
          onSet={(x) => run((g) => setGust(g, x / speed.per))}
        />
      </Row>
    </section>
  );
}
