import { addCrop, removeCrop, setCrop } from '../../../core/commands/catalog';
import { type ReactNode, useState } from 'react';
import { celsiusOf, degreesIn, formatAmount } from '../../../core/base/amount';
import { freshName } from '../../../core/base/ids';
import { ok } from '../../../core/base/result';
import { SHIPPED } from '../../../core/catalog/catalog';
import type { Crop } from '../../../core/catalog/crops';
import type { OwnCrop } from '../../../core/catalog/own';
import { useCatalog, useRun, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { Button, Choice, Row } from '../../parts/controls';
import { ListTable } from '../../parts/lists';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { Adding } from './Sizes';

const SEASONS = { winter: 'stands through the winter', cool: 'cool weather', warm: 'wants warmth' } as const;
const INSECTS = { no: 'no', self: 'sets by itself', yes: 'bees must reach it' } as const;
const RAISED = { yes: 'raised, then planted out', no: 'sown where it stands' } as const;

const options = <K extends string>(words: Readonly<Record<K, string>>) =>
  (Object.keys(words) as K[]).map((value) => ({ value, label: words[value] }));

/** Every crop that a cover can be for, and the gardener's own among them. */
export function Crops(): ReactNode {
  const catalog = useCatalog();
  const units = useUnits();
  const run = useRun();
  const all = [...catalog.crop.values()];
  const [key, setKey] = useState('spinach');
  const picked = catalog.crop.get(key) ?? all[0];
  if (!picked) return null;
  const mine = !SHIPPED.crop.has(picked.key);
  const degrees = (c: number): string => formatAmount(c, 'temperature', units);
  return (
    <section aria-label="Crops" data-testid="crops" style={{ display: 'grid', gap: '1rem' }}>
      <div style={{ maxWidth: '26rem' }}>
        <Choice
          label="Crop"
          value={picked.key}
          options={all.map((c) => ({ value: c.key, label: `${c.name}${SHIPPED.crop.has(c.key) ? '' : ', your own'}` }))}
          onChange={setKey}
        />
      </div>
      {mine ? <OwnFields key={picked.key} crop={picked} onGone={() => setKey('spinach')} /> : <Known crop={picked} />}
      {!mine && (
        <Adding>
          <span>One of your own like this, called</span>
          <TypedField
            label={`Name of a crop of your own like ${picked.name}`}
            shown="a name"
            boxed
            take={(text) => {
              const made: OwnCrop = {
                ...picked,
                key: `own-${newId()}`,
                name: freshName(
                  text.trim(),
                  all.map((c) => c.name),
                ),
              };
              const answer = run((g) => addCrop(g, made));
              if (answer.ok) setKey(made.key);
              return answer;
            }}
          />
        </Adding>
      )}
      <ListTable>
        <thead>
          <tr>
            <th scope="col">Crop</th>
            <th scope="col">Dies at</th>
            <th scope="col">Too hot above</th>
            <th scope="col">Grows</th>
            <th scope="col">To harvest</th>
          </tr>
        </thead>
        <tbody>
          {all.map((c) => (
            <tr key={c.key}>
              <td>
                {c.name}
                {!SHIPPED.crop.has(c.key) && <span className="quiet"> your own</span>}
              </td>
              <td className="measure">{degrees(c.killingC)}</td>
              <td className="measure">{degrees(c.hotC)}</td>
              <td className="measure">{formatAmount(c.heightMm, 'growth', units)}</td>
              <td className="measure">{c.days} days</td>
            </tr>
          ))}
        </tbody>
      </ListTable>
    </section>
  );
}

function Known({ crop }: { readonly crop: Crop }): ReactNode {
  const units = useUnits();
  const degrees = (c: number): string => formatAmount(c, 'temperature', units);
  return (
    <p>
      Dies at {degrees(crop.killingC)} at the leaves, too hot above {degrees(crop.hotC)}; grows{' '}
      {formatAmount(crop.heightMm, 'growth', units)} high, {crop.days} days from sowing to harvest;{' '}
      {SEASONS[crop.season]}; {crop.raised ? RAISED.yes : RAISED.no}. Insects: {INSECTS[crop.insects]}. Typical figures:
      your variety may differ.
    </p>
  );
}

function OwnFields({ crop, onGone }: { readonly crop: Crop; readonly onGone: () => void }): ReactNode {
  const units = useUnits();
  const { temperature } = units;
  const run = useRun();
  const [fault, setFault] = useState<string>();
  const set = (more: Partial<OwnCrop>) => run((g) => setCrop(g, crop, more));
  const fahrenheit = temperature === 'F';
  const degrees = (name: string, label: string, field: 'killingC' | 'hotC' | 'soilC', from: number, to: number) => (
    <Row name={name} unit={`°${temperature}`}>
      <NumberField
        label={`${label} of ${crop.name}`}
        value={degreesIn(crop[field], units)}
        decimals={fahrenheit ? 0 : 1}
        min={Math.round(degreesIn(from, units))}
        max={Math.round(degreesIn(to, units))}
        onSet={(x) => set({ [field]: celsiusOf(x, units) })}
      />
    </Row>
  );
  const whole = (name: string, unit: string, field: 'days' | 'sowWeeks' | 'flowerDays', from: number, to: number) => (
    <Row name={name} unit={unit}>
      <NumberField
        label={`${name} of ${crop.name}`}
        value={crop[field] ?? crop.days}
        decimals={0}
        min={from}
        max={to}
        onSet={(x) => set({ [field]: Math.round(x) })}
      />
    </Row>
  );
  return (
    <div style={{ maxWidth: '34rem' }}>
      <Row name="Name">
        <TypedField
          label="Name of your own crop"
          shown={crop.name}
          boxed
          take={(text) => {
            const answer = set({ name: text.trim() });
            return answer.ok ? ok(text) : answer;
          }}
        />
      </Row>
      {degrees('Dies at', 'Killing temperature', 'killingC', -40, 10)}
      {degrees('Too hot above', 'Heat', 'hotC', 10, 50)}
      <Row name="Grows high">
        <LengthField
          label={`Height of ${crop.name}`}
          valueMm={crop.heightMm}
          boxed
          positive
          onSet={(heightMm) => set({ heightMm })}
        />
      </Row>
      <Choice
        label="Season"
        value={crop.season}
        options={options(SEASONS)}
        onChange={(x) => void set({ season: x as Crop['season'] })}
      />
      <Choice
        label="Begun"
        value={crop.raised ? 'yes' : 'no'}
        options={options(RAISED)}
        onChange={(x) => void set({ raised: x === 'yes' })}
      />
      {whole('Sown after the last frost', 'weeks; less than none is before it', 'sowWeeks', -20, 20)}
      {whole('From sowing to harvest', 'days', 'days', 10, 400)}
      {degrees('Soil to come up in', 'Soil', 'soilC', 0, 30)}
      <Choice
        label="Insects"
        value={crop.insects}
        options={options(INSECTS)}
        onChange={(x) => void set({ insects: x as Crop['insects'] })}
      />
      {crop.insects === 'yes' && whole('From sowing to flower', 'days', 'flowerDays', 10, 400)}
      <Adding style={{ paddingTop: '0.6rem' }}>
        <Button
          onPress={() => {
            const answer = run((g) => removeCrop(g, crop));
            if (answer.ok) onGone();
            else setFault('A cover is for it: choose another crop there first.');
          }}
        >
          Remove it
        </Button>
        {fault !== undefined && <span role="alert">{fault}</span>}
      </Adding>
    </div>
  );
}
