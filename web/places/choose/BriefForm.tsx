import { plainToolName, type ToolKey } from '../../../core/catalog/handTools';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { celsiusOf, degreesIn, unitOf } from '../../../core/base/amount';
import { amount, phrase } from '../../../core/base/figure';
import { type Result, fail } from '../../../core/base/result';
import { FAMILIES } from '../../../core/cover/families';
import { placeWeather } from '../../../core/explore/brief/common';
import { type Brief, PURPOSES, PURPOSE_KEYS } from '../../../core/site/brief';
import { useCatalog, useGarden, useUnits } from '../../app/hooks';
import { TypedField } from '../../parts/TypedField';
import { Button, Choice, Field, Row } from '../../parts/controls';
import { monthDayOf } from '../../parts/monthDay';
import { Maybe, MaybeLength, Several } from './BriefFields';
import { Folded } from '../../parts/Folded';
import { Toggle, Toggles } from '../../parts/Toggle';

const Form = styled.section`
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 0.35rem;
  }
  .chips button {
    min-height: 2.2rem;
    padding: 0 0.6rem;
  }
`;

/** Tools that may not be at hand, without the rare ones. */
const TOOLS: readonly ToolKey[] = [
  'drill',
  'hand saw',
  'circular saw',
  'jigsaw',
  'hacksaw',
  'stapler',
  'conduit bender',
  'bolt cutter',
  'iron bar',
  'mallet',
];

type Set = (label: string, part: Partial<Brief>) => Result<unknown>;
interface FormProps {
  readonly brief: Brief;
  readonly onSet: Set;
}

/** What the cover is for, typed or pressed; all of it may be left unsaid. */
export function BriefForm({ brief: b, onSet }: FormProps): ReactNode {
  const garden = useGarden();
  const catalog = useCatalog();
  const units = useUnits();
  const [speed, mass] = [unitOf('speed', units), unitOf('mass', units)];
  const { temperature } = units;
  const materials = [...new Set([...catalog.bar.values()].map((x) => x.materialKey))].map((value) => ({
    value,
    label: catalog.material.get(value)?.name ?? value,
  }));
  const kinds = FAMILIES.map((f) => ({ value: f.key, label: f.name.toLowerCase() }));
  const bars = [...new Set(garden.shelf.filter((s) => s.quantity > 0).map((s) => s.sectionKey))].map((value) => ({
    value,
    label: catalog.bar.get(value)?.name ?? value,
  }));
  const date = (name: 'from' | 'until', label: string): ReactNode => (
    <Row name={label}>
      <TypedField
        label={`${label}, day and month; nothing means all year`}
        shown={b[name] ?? 'any'}
        boxed
        take={(text) => {
          if (text.trim() === '' || text.trim() === 'any') return onSet('When', { from: null, until: null });
          const day = monthDayOf(text);
          if (day === undefined) return fail(label, 'A day and a month, such as 1 October or 10-01.');
          // The other end is half a year off until it is said.
          const other = name === 'from' ? b.until : b.from;
          const far = `${String(((Number(day.slice(0, 2)) + 5) % 12) + 1).padStart(2, '0')}-01`;
          return onSet(
            'When',
            name === 'from' ? { from: day, until: other ?? far } : { until: day, from: other ?? far },
          );
        }}
      />
    </Row>
  );
  return (
    <Form aria-label="What it is for">
      <h2>What it is for</h2>
      <Several
        name="Crops"
        add="Add a crop"
        chosen={b.crops}
        options={[...catalog.crop.values()].map((c) => ({
          value: c.key,
          label: c.name,
          why: phrase`Grows ${amount(c.heightMm, 'growth')} high; dies at ${amount(c.killingC, 'temperature')}.`,
        }))}
        onSet={(crops) => void onSet('Crops', { crops })}
      />
      <Field>
        <span className="name">Wanted</span>
        <Toggles
          label="Wanted"
          options={PURPOSE_KEYS.map((p) => ({ value: p, label: PURPOSES[p] }))}
          chosen={b.purposes}
          onChange={(purposes) => void onSet('Wanted', { purposes: [...purposes] })}
        />
      </Field>
      <Maybe
        name="Most money"
        label="Most money"
        unit={b.price === null ? '' : garden.units.currency}
        value={b.price}
        least={0}
        most={1e6}
        onSet={(price) => onSet('Most money', { price })}
      />
      <Maybe
        name="Coldest night"
        label="Coldest night outside"
        unit={`°${temperature}`}
        value={b.coldestC === null ? null : degreesIn(b.coldestC, units)}
        least={degreesIn(-60, units)}
        most={degreesIn(20, units)}
        onSet={(x) => onSet('Coldest night', { coldestC: x === null ? null : celsiusOf(x, units) })}
      />
      <MaybeLength
        name="Wet snow"
        label="Wet snow that it must carry"
        valueMm={b.wetSnowMm}
        onSet={(wetSnowMm) => onSet('Wet snow', { wetSnowMm })}
      />
      <Maybe
        name="Gust"
        label="Gust"
        unit={speed.sign}
        value={b.gustMPerS === null ? null : b.gustMPerS * speed.per}
        least={0}
        most={Math.floor(80 * speed.per)}
        onSet={(x) => onSet('Gust', { gustMPerS: x === null ? null : x / speed.per })}
      />
      <Maybe
        name="Least light"
        label="Least light that comes in"
        unit="%"
        value={b.lightPercent}
        least={10}
        most={95}
        onSet={(lightPercent) => onSet('Light', { lightPercent })}
      />
      <div style={{ padding: '0.3rem 0' }}>
        <Button onPress={() => void onSet('As this place is', placeWeather(garden))}>As this place is</Button>
      </div>
      <Choice
        label="Opened"
        value={b.reach ?? 'any'}
        options={[
          { value: 'any', label: 'from anywhere' },
          { value: 'near', label: 'from the near side' },
          { value: 'far', label: 'from the far side' },
          { value: 'both sides', label: 'from both sides' },
          { value: 'ends', label: 'from the ends' },
        ]}
        onChange={(x) => void onSet('Opened', { reach: x === 'any' ? null : (x as Brief['reach']) })}
      />
      <Field>
        <span className="name">With</span>
        <span className="chips">
          <Toggle isSelected={b.oneHand} onChange={(oneHand) => void onSet('One hand', { oneHand })}>
            one hand
          </Toggle>
        </span>
      </Field>
      <Folded title="Work, tools and weight">
        <Maybe
          name="Most hours"
          label="Most hours of building"
          unit="h"
          value={b.hours}
          least={0.5}
          most={1000}
          onSet={(hours) => onSet('Most hours', { hours })}
        />
        <Choice
          label="Hands"
          value={String(b.hands ?? 'any')}
          options={[
            { value: 'any', label: 'as it comes' },
            { value: '1', label: 'one person' },
            { value: '2', label: 'two people' },
          ]}
          onChange={(x) => void onSet('Hands', { hands: x === 'any' ? null : x === '1' ? 1 : 2 })}
        />
        <Maybe
          name="Heaviest lift"
          label="Heaviest lift"
          unit={mass.sign}
          value={b.liftKg === null ? null : b.liftKg * mass.per}
          least={Math.round(5 * mass.per) / 10}
          most={Math.floor(500 * mass.per)}
          onSet={(x) => onSet('Heaviest lift', { liftKg: x === null ? null : x / mass.per })}
        />
        <Several
          name="Not at hand"
          add="Add a tool"
          chosen={b.without}
          options={TOOLS.map((t) => ({ value: t, label: plainToolName(t) }))}
          onSet={(without) => void onSet('Tools', { without })}
        />
        <MaybeLength
          name="In the car"
          label="Longest piece in the car"
          valueMm={b.carryMm}
          onSet={(carryMm) => onSet('Longest piece', { carryMm })}
        />
      </Folded>
      <Folded title="When, and put away">
        {date('from', 'From')}
        {date('until', 'Until')}
        <MaybeLength
          name="Put away"
          label="Longest piece when it is put away"
          valueMm={b.storeMm}
          onSet={(storeMm) => onSet('Put away', { storeMm })}
        />
        <MaybeLength
          name="First row"
          label="First row from the wall"
          valueMm={b.rowFromEdgeMm}
          onSet={(rowFromEdgeMm) => onSet('First row', { rowFromEdgeMm })}
        />
      </Folded>
      <Folded title="Liked and refused">
        <Several
          name="Only"
          add="Add a kind"
          chosen={b.kinds}
          options={kinds}
          onSet={(x) => void onSet('Only', { kinds: x })}
        />
        <Several
          name="No"
          add="Refuse a kind"
          chosen={b.notKinds}
          options={kinds}
          onSet={(notKinds) => void onSet('Refused', { notKinds })}
        />
        <Several
          name="Without"
          add="Refuse a material"
          chosen={b.notMaterials}
          options={materials}
          onSet={(notMaterials) => void onSet('Refused', { notMaterials })}
        />
        {bars.length > 0 && (
          <Several
            name="Use up"
            add="Add from the shelf"
            chosen={b.use}
            options={bars}
            onSet={(use) => void onSet('Use up', { use })}
          />
        )}
      </Folded>
    </Form>
  );
}
