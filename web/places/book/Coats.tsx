import { addSeasonalCover, removeSeasonalCover, setSeasonalCover } from '../../../core/commands/covers';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { isMonthDay, sayMonthDay } from '../../../core/base/days';
import { coverMaterial } from '../../../core/catalog/catalog';
import { formatAmount } from '../../../core/base/amount';
import { fail } from '../../../core/base/result';
import { evaluate } from '../../../core/evaluate';
import { MOST_COATS, canWear, coatWorth, enclosureIn } from '../../../core/judge/season/seasonalCovers';
import { useCurrent } from '../../app/current';
import { useCatalog, useGarden, useRun, useUnits } from '../../app/hooks';
import { Button, Choice, Row } from '../../parts/controls';
import { TypedField } from '../../parts/TypedField';
import { useState } from 'react';
import { monthDayOf } from '../../parts/monthDay';

const Box = styled.section`
  display: grid;
  gap: 0.3rem;
  .coat {
    border-top: 1px solid var(--hair);
    padding: 0.4rem 0;
  }
  .worth {
    color: var(--quiet);
    font-size: 0.875rem;
  }
`;

const NOTHING = 'nothing';
/** What the frame wears through the year beside its own cover: each a sheet of its own in the cuts and the cart. */
export function Coats(): ReactNode {
  const garden = useGarden();
  const units = useUnits();
  const catalog = useCatalog();
  const run = useRun();
  const inHand = useCurrent().cover;
  const [chosen, choose] = useState<string>();
  const cover = garden.covers.find((c) => c.id === chosen) ?? inHand;
  if (!cover) return null;
  const o = evaluate(garden, cover);
  const pick = (
    <Choice
      label="Cover"
      value={cover.id}
      options={garden.covers.map((c) => ({ value: c.id, label: c.name }))}
      onChange={choose}
    />
  );
  if (!o.ok || !canWear(o.value.assembly))
    return (
      <Box aria-label="Sheets by season">
        <h2>Sheets by season</h2>
        {pick}
        <p>A stiff cover stays the same all year.</p>
      </Box>
    );
  const { enclosure } = o.value.assembly;
  const own = coatWorth(enclosure);
  const covers = [...catalog.cover.values()].filter((c) => c.rolls.length > 0 && c.kind !== 'mesh');
  const date = (i: number, key: 'from' | 'to'): ReactNode => (
    <Row name={key === 'from' ? 'On' : 'Off'}>
      <TypedField
        label={`Sheet ${i + 1} ${key === 'from' ? 'on' : 'off'}, day and month`}
        shown={sayMonthDay(cover.coats[i]?.[key] ?? '01-01')}
        boxed
        take={(text) => {
          const d = monthDayOf(text);
          if (d === undefined || !isMonthDay(d)) return fail('date', 'A day and a month, such as 15 April or 04-15.');
          return run((g) => setSeasonalCover(g, cover.id, i, { [key]: d }));
        }}
      />
    </Row>
  );
  return (
    <Box aria-label="Sheets by season" data-testid="coats">
      <h2>Sheets by season</h2>
      {pick}
      <p className="worth">
        Its own: {enclosure.skins[0].cover.name}; {Math.round(100 * own.light)} % of the light, nights{' '}
        {formatAmount(own.frostHelpC, 'warming', units)} milder.
      </p>
      {cover.coats.map((coat, i) => {
        const worth =
          coat.coverKey === null ? undefined : coatWorth(enclosureIn(enclosure, coverMaterial(catalog, coat.coverKey)));
        return (
          <div className="coat" key={i}>
            <Choice
              label={`Sheet ${i + 1}`}
              value={coat.coverKey ?? NOTHING}
              options={[
                ...covers.map((c) => ({ value: c.key, label: c.name })),
                { value: NOTHING, label: 'nothing: bare hoops' },
              ]}
              onChange={(key) =>
                void run((g) => setSeasonalCover(g, cover.id, i, { coverKey: key === NOTHING ? null : key }))
              }
            />
            {date(i, 'from')}
            {date(i, 'to')}
            {worth && (
              <p className="worth">
                {Math.round(100 * worth.light)} % of the light ({signed(Math.round(100 * (worth.light - own.light)))}{' '}
                %), nights {formatAmount(worth.frostHelpC, 'warming', units)} milder
              </p>
            )}
            <Button onPress={() => void run((g) => removeSeasonalCover(g, cover.id, i))}>
              Take sheet {i + 1} away
            </Button>
          </div>
        );
      })}
      <div>
        <Button
          isDisabled={cover.coats.length >= MOST_COATS}
          onPress={() => void run((g) => addSeasonalCover(g, cover.id))}
        >
          Add a sheet for a season
        </Button>
      </div>
    </Box>
  );
}

const signed = (n: number): string => (n < 0 ? `−${-n}` : `+${n}`);
