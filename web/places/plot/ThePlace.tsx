import { nameGarden, setGust, setPaths, setTown, setWhere, setWindFrom, turnPlot } from '../../../core/commands/place';
import { unitOf } from '../../../core/base/amount';
import type { ReactNode } from 'react';
import { WINDS } from '../../../core/site/compass';
import type { Garden } from '../../../core/garden/garden';
import { useRun } from '../../app/hooks';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { WhereFields } from '../../parts/UnitFields';
import { Choice, Row } from '../../parts/controls';

/** The nearest of the winds that one can choose. */
const nearestWind = (deg: number): number => (Math.round(deg / 45) % 8) * 45;

/** What the place is like, and how the plot is seen. */
export function ThePlace({ garden }: { readonly garden: Garden }): ReactNode {
  const run = useRun();
  const { site, units, plot } = garden;
  const gust = unitOf('speed', units);
  return (
    <section aria-label="The place">
      <h2>The place</h2>
      <Row name="Garden">
        <TypedField
          label="Name of the garden"
          shown={garden.name}
          boxed
          take={(text) => run((g) => nameGarden(g, text))}
        />
      </Row>
      <Row name="Paths">
        <LengthField
          label="Width of the paths between beds"
          valueMm={plot.pathMm}
          boxed
          onSet={(mm) => run((g) => setPaths(g, mm))}
        />
      </Row>
      <Row name="Up is" unit="° from north">
        <NumberField
          label="Bearing that is up on the plot, degrees"
          value={plot.upDeg}
          decimals={0}
          min={0}
          max={360}
          onSet={(x) => run((g) => turnPlot(g, x))}
        />
      </Row>
      <WhereFields
        site={site}
        onTown={(town) => run((g) => setTown(g, town))}
        onSet={(label, where) => run((g) => setWhere(g, label, where))}
      />
      <Row name="Worst gust" unit={gust.sign}>
        <NumberField
          label={`Worst gust, ${gust.name}`}
          value={site.gustMPerS * gust.per}
          decimals={0}
          min={0}
          max={Math.floor(90 * gust.per)}
          onSet={(x) => run((g) => setGust(g, x / gust.per))}
        />
      </Row>
      <Choice
        label="Wind from"
        value={site.windFromDeg === null ? '' : String(nearestWind(site.windFromDeg))}
        options={[
          { value: '', label: 'not known' },
          ...WINDS.map((w) => ({ value: String(w.deg), label: `the ${w.name}` })),
        ]}
        onChange={(value) => void run((g) => setWindFrom(g, value === '' ? null : Number(value)))}
      />
    </section>
  );
}
