import { addCover } from '../../../core/commands/addCover';
import { measureBed, takeMeasure } from '../../../core/commands/things';
import { type ReactNode, useState } from 'react';
import { Link, Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { type Bed, CORNERS, CORNER_NAMES, MEASURE_IDS, type MeasureId } from '../../../core/site/bed';
import { survey } from '../../../core/site/survey';
import { FAMILY_KEYS, familyOf } from '../../../core/cover/families';
import { type Result } from '../../../core/base/result';
import { formatLength } from '../../../core/base/length';
import { PlaceHead } from '../../app/PlaceHead';
import { useCurrent } from '../../app/current';
import { useRun, useGarden } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';
import { Button, Choice, Row } from '../../parts/controls';
import { Sentence } from '../../parts/Said';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { Facts } from '../../parts/lists';
import { Body, PanelBox } from '../../parts/layout';
import { BedDrawing } from './BedDrawing';
import { OneAtATime } from './OneAtATime';

const Remarks = styled.ul`
  display: grid;
  gap: 0.4rem;
  li {
    padding: 0.5rem 0.7rem;
    border-left: 4px solid var(--hair);
    background: var(--ground);
    font-size: 0.9375rem;
  }
  li.mend {
    border-left-color: var(--tight);
    background: var(--caution);
  }
`;

const Families = styled.ul`
  display: grid;
  gap: 0.5rem;
  li {
    border-top: 1px solid var(--hair);
    padding-top: 0.6rem;
    display: grid;
    gap: 0.35rem;
    font-size: 0.9375rem;
  }
  button {
    justify-self: start;
  }
`;

/** A screen in the hand, px: one measure at a time is what fits there. */
const PHONE_PX = 760;

/** At the bed with a tape. */
export function BedPlace(): ReactNode {
  const way = useWay();
  const { bed } = useCurrent();
  const garden = useGarden();
  const run = useRun();
  const navigate = useNavigate();
  const [stepwise, measureStepwise] = useState(() => window.innerWidth <= PHONE_PX);
  if (!bed) return <Navigate to={way('plot')} replace />;
  const s = survey(bed);
  const { length } = garden.units;
  const show = (mm: number): string => formatLength(mm, length);

  const set = (label: string, next: Bed): Result<unknown> => run((g) => measureBed(g, next, label));
  const take = (id: MeasureId, mm: number): Result<unknown> => run((g) => takeMeasure(g, bed.id, id, mm));
  const measured = MEASURE_IDS.filter((id) => bed.measured.includes(id)).length;

  const cover = (key: string): void => {
    const id = newId();
    if (run((g) => addCover(g, bed.id, key, id)).ok) void navigate(way('bench', id));
  };
  const covers = garden.covers.filter((c) => c.bedId === bed.id);

  return (
    <>
      <PlaceHead title={bed.name} subtitle="measured where it stands">
        <Button onPress={() => measureStepwise(!stepwise)}>{stepwise ? 'The whole drawing' : 'One at a time'}</Button>
        <Button onPress={() => void navigate(way('plot'))}>All beds</Button>
      </PlaceHead>
      <Body>
        {stepwise ? (
          <OneAtATime bed={bed} survey={s} onTake={take} onDone={() => measureStepwise(false)} />
        ) : (
          <div style={{ padding: '0.9rem 1.25rem 0', minHeight: 0, minWidth: 0 }}>
            <BedDrawing bed={bed} survey={s} onTake={take} />
          </div>
        )}
        <PanelBox aria-label="What the measures say">
          <section aria-label="What the measures say" data-testid="survey">
            <h2>What the measures say</h2>
            {measured < MEASURE_IDS.length && (
              <p>
                {measured === 0
                  ? 'Nothing is measured yet: it stands as a square bed of a usual size.'
                  : `${measured} of ${MEASURE_IDS.length} are measured; the others are grey in the drawing. Sides, diagonals and the inside follow from what is measured until they are measured too.`}
              </p>
            )}
            <Facts>
              <div>
                <dt>Diagonals differ by</dt>
                <dd className="measure">{show(Math.abs(s.diagonalDifferenceMm))}</dd>
              </div>
              <div>
                <dt>Out of square, over the width</dt>
                <dd className="measure">{show(Math.abs(s.skewMm))}</dd>
              </div>
              <div>
                <dt>Out of level</dt>
                <dd className="measure">{show(s.outOfLevelMm)}</dd>
              </div>
              {s.outOfLevelMm > 0 &&
                CORNERS.map((c) => (
                  <div key={c}>
                    <dt>Packer, {CORNER_NAMES[c]}</dt>
                    <dd className="measure">{s.packersMm[c] === 0 ? 'none' : show(s.packersMm[c])}</dd>
                  </div>
                ))}
            </Facts>
            <h2 style={{ marginTop: '1rem' }}>A square frame for it</h2>
            <Facts>
              <div>
                <dt>Sits on it</dt>
                <dd className="measure">
                  {show(s.frameOn.lengthMm)} × {show(s.frameOn.widthMm)}
                </dd>
              </div>
              <div>
                <dt>Drops inside</dt>
                <dd className="measure">
                  {show(s.frameIn.lengthMm)} × {show(s.frameIn.widthMm)}
                </dd>
              </div>
            </Facts>
          </section>
          {s.remarks.length > 0 && (
            <Remarks>
              {s.remarks.map((r, i) => (
                <li key={i} className={r.severity}>
                  <Sentence phrase={r.text} />
                </li>
              ))}
            </Remarks>
          )}
          <section aria-label="The bed">
            <Row name="Name">
              <TypedField
                label="Name of the bed"
                shown={bed.name}
                boxed
                take={(text) => set('the name', { ...bed, name: text.trim() })}
              />
            </Row>
            <Row name="Long side" unit="° from north">
              <NumberField
                label="Bearing from the left end to the right end, degrees"
                value={bed.bearingDeg}
                decimals={0}
                min={0}
                max={360}
                onSet={(x) => set('the bearing', { ...bed, bearingDeg: x })}
              />
            </Row>
            <Row name="On the plot">
              <LengthField
                label="Near left corner, to the east"
                valueMm={bed.at.xMm}
                boxed
                onSet={(xMm) => set('where it is', { ...bed, at: { ...bed.at, xMm } })}
              />{' '}
              east,{' '}
              <LengthField
                label="Near left corner, to the north"
                valueMm={bed.at.yMm}
                boxed
                onSet={(yMm) => set('where it is', { ...bed, at: { ...bed.at, yMm } })}
              />{' '}
              north
            </Row>
            <Choice
              label="Soil"
              value={bed.soil}
              options={[
                { value: 'soft', label: 'Soft mix', why: 'Rods go in by hand and hold half of what they do in loam.' },
                { value: 'loam', label: 'Loam', why: 'Holds a rod well.' },
                { value: 'clay', label: 'Clay', why: 'Holds best, a fifth more than loam; drive when damp.' },
                { value: 'stony', label: 'Stony', why: 'Rods wander and hold a fifth less: try before you buy.' },
              ]}
              onChange={(soil) => set('soil', { ...bed, soil: soil as Bed['soil'] })}
            />
            <Choice
              label="Watering"
              value={bed.wateringOverWall ? 'over' : 'clear'}
              options={[
                { value: 'clear', label: 'Clear of the wall', why: 'Nothing keeps a frame from sitting down.' },
                { value: 'over', label: 'Over the wall', why: 'A frame must be notched over each line.' },
              ]}
              onChange={(way) => set('watering', { ...bed, wateringOverWall: way === 'over' })}
            />
          </section>
          <section aria-label="Covers for this bed">
            <h2>{covers.length > 0 ? 'Covers on this bed' : 'Cover this bed'}</h2>
            <Families>
              {covers.map((c) => (
                <li key={c.id}>
                  <Link to={way('bench', c.id)}>
                    {c.name}, {familyOf(c.family).name.toLowerCase()}
                  </Link>
                </li>
              ))}
              <li>
                <Link to={way('choose', bed.id)}>Compare every kind on this bed</Link>
              </li>
              {FAMILY_KEYS.map((key) => (
                <li key={key}>
                  <span>{familyOf(key).sentence}</span>
                  <Button onPress={() => cover(key)}>New {familyOf(key).name.toLowerCase()}</Button>
                </li>
              ))}
            </Families>
          </section>
        </PanelBox>
      </Body>
    </>
  );
}
