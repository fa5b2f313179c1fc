import { unitOf } from '../../../core/base/amount';
import { isMetric } from '../../../core/base/length';
import type { ReactNode } from 'react';
import { WINDS } from '../../../core/site/compass';
import type { Garden } from '../../../core/garden/garden';
import { useEdit, useTake } from '../../app/hooks';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { WhereFields } from '../../parts/UnitFields';
import { Choice, Row } from '../../parts/controls';

/** The nearest of the winds that one can choose. */
const nearestWind = (deg: number): number => (Math.round(deg / 45) % 8) * 45;

/** What the place is like, and how the plot is seen. */
export function ThePlace({ garden }: { readonly garden: Garden }): ReactNode {
  const edit = useEdit();
  const change = useTake();
  const { site, units, plot } = garden;
  const metric = isMetric(units.length);
  const gust = unitOf('speed', units);
  const high = metric ? { unit: 'm', name: 'meters', per: 1 } : { unit: 'ft', name: 'feet', per: 3.28084 };
  return (
    <section aria-label="The place">
      <h2>The place</h2>
      <Row name="Garden">
        <TypedField
          label="Name of the garden"
          shown={garden.name}
          boxed
          take={(text) => change('Name the garden', (g) => void (g.name = text.trim()))}
        />
      </Row>
      <Row name="Paths">
        <LengthField
          label="Width of the paths between beds"
          valueMm={plot.pathMm}
          boxed
          onSet={(mm) => change('Set the paths', (g) => void (g.plot.pathMm = mm))}
        />
      </Row>
      <Row name="Up is" unit="° from north">
        <NumberField
          label="Bearing that is up on the plot, degrees"
          value={plot.upDeg}
          decimals={0}
          min={0}
          max={360}
          onSet={(x) => change('Turn the plot', (g) => void (g.plot.upDeg = x))}
        />
      </Row>
      <WhereFields site={site} onSet={(label, where) => change(label, (g) => void Object.assign(g.site, where))} />
      <Row name="Height" unit={`${high.unit} above the sea`}>
        <NumberField
          label={`Height above the sea, ${high.name}`}
          value={site.elevationM * high.per}
          decimals={0}
          min={Math.ceil(-430 * high.per)}
          max={Math.floor(6000 * high.per)}
          onSet={(x) => change('Set the height', (g) => void (g.site.elevationM = x / high.per))}
        />
      </Row>
      <Row name="Worst gust" unit={gust.sign}>
        <NumberField
          label={`Worst gust, ${gust.name}`}
          value={site.gustMPerS * gust.per}
          decimals={0}
          min={0}
          max={Math.floor(90 * gust.per)}
          onSet={(x) =>
            change('Set the gust', (g) => {
              g.site.gustMPerS = x / gust.per;
              g.site.rough = g.site.rough.filter((r) => r !== 'gust');
            })
          }
        />
      </Row>
      <Choice
        label="Wind from"
        value={site.windFromDeg === null ? '' : String(nearestWind(site.windFromDeg))}
        options={[
          { value: '', label: 'not known' },
          ...WINDS.map((w) => ({ value: String(w.deg), label: `the ${w.name}` })),
        ]}
        onChange={(value) =>
          edit('Set the wind', (g) => void (g.site.windFromDeg = value === '' ? null : Number(value)))
        }
      />
    </section>
  );
}
