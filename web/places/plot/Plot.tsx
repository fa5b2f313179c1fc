import { turnPlot } from '../../../core/commands/place';
import { type ReactNode, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { formatLength } from '../../../core/base/length';
import { familyOf } from '../../../core/cover/families/registry';
import { type Cover, isInUse } from '../../../core/garden/garden';
import { LANDMARKS, LANDMARK_KINDS, type LandmarkKind } from '../../../core/site/landmark';
import { survey } from '../../../core/site/survey';
import { PlaceHead } from '../../app/PlaceHead';
import { useRun, useGarden } from '../../app/hooks';
import { useWay } from '../../app/way';
import { Pick } from '../../parts/Pick';
import { Button } from '../../parts/controls';
import { Body, PanelBox } from '../../parts/layout';
import { useForecast } from '../../weather/useForecast';
import { useTonight } from '../../weather/useTonight';
import { BedInHand, CoverInHand, LandmarkInHand } from './InHand';
import { PlotMap } from './PlotMap';
import { ThePlace } from './ThePlace';
import { TonightWord } from './TonightWord';
import { usePlotDeeds } from './deeds';
import { Toggle } from '../../parts/Toggle';

const Ground = styled.div`
  min-height: 0;
  min-width: 0;
  height: 100%;
  padding: 0.8rem 1.25rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  gap: 0.5rem;
  .add {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
  }
  .add .pick {
    width: auto;
  }
  @media (max-width: 1000px) {
    height: 26rem;
    padding: 0.6rem;
  }
`;

const List = styled.ul`
  > li {
    padding: 0.35rem 0;
    border-top: 1px solid var(--hair);
  }
  .row {
    display: flex;
    align-items: center;
    gap: 0.2rem 0.6rem;
  }
  .row a {
    flex: 1 1 auto;
    min-width: 0;
    padding: 0.3rem 0;
  }
  .row > span {
    color: var(--quiet);
    font-size: 0.8125rem;
    white-space: nowrap;
  }
  .row button {
    min-width: var(--target);
    min-height: 2.2rem;
    padding: 0;
    border-color: var(--hair);
  }
  .row button[aria-expanded='true'] {
    background: var(--ink);
    color: var(--ground);
  }
  .tonight {
    display: block;
    padding: 0 0 0.5rem 0.9rem;
    font-size: 0.875rem;
    color: var(--quiet);
    text-decoration: none;
  }
  ul .row {
    padding-left: 0.9rem;
    font-size: 0.9375rem;
  }
`;

const STATE_WORDS = { planned: '', standing: 'standing', stored: 'stored', 'next-year': 'next year' } as const;

/** The garden from above, to scale: beds, covers and what else is there, kept in order. */
export function Plot(): ReactNode {
  const way = useWay();
  const garden = useGarden();
  const run = useRun();
  const navigate = useNavigate();
  const deeds = usePlotDeeds();
  const [held, hold] = useState<string>();
  const [drawing, setDrawing] = useState(false);
  const { length } = garden.units;
  const { forecast } = useForecast();
  const words = useTonight(
    forecast,
    garden.covers.filter(isInUse).map((c) => c.id),
  );

  const more = (id: string, name: string): ReactNode => (
    <Button
      aria-label={`More about ${name}`}
      aria-expanded={held === id}
      onPress={() => hold(held === id ? undefined : id)}
    >
      ⋯
    </Button>
  );
  const coverRow = (c: Cover): ReactNode => {
    const word = words?.find((w) => w.id === c.id)?.word;
    return (
      <li key={c.id}>
        <div className="row">
          <Link to={way('bench', c.id)}>
            {c.name}, {familyOf(c.family).name.toLowerCase()}
          </Link>
          {c.state.is !== 'planned' && <span>{STATE_WORDS[c.state.is]}</span>}
          {more(c.id, c.name)}
        </div>
        {word && <TonightWord word={word} id={c.id} />}
        {held === c.id && <CoverInHand cover={c} garden={garden} deeds={deeds} onHold={hold} />}
      </li>
    );
  };
  return (
    <>
      <PlaceHead title={garden.name} subtitle={garden.site.place === garden.name ? '' : garden.site.place}>
        <Button onPress={() => void navigate('/gardens')}>All gardens</Button>
        <Button onPress={() => void navigate(way('settings'))}>Settings</Button>
      </PlaceHead>
      <Body>
        <Ground>
          <div className="add">
            <Button
              $strong
              onPress={() => {
                const id = deeds.addBed();
                if (id) hold(id);
              }}
            >
              Add a bed
            </Button>
            <Toggle isSelected={drawing} onChange={setDrawing}>
              {drawing ? 'Give up drawing' : 'Draw a bed'}
            </Toggle>
            <Pick
              className="pick"
              label="Add to the plot"
              value=""
              empty="Add a path, wall or tree"
              options={LANDMARK_KINDS.map((kind) => ({ value: kind, label: LANDMARKS[kind].name }))}
              onChange={(kind) => hold(deeds.addLandmark(kind as LandmarkKind))}
            />
          </div>
          <PlotMap
            garden={garden}
            held={held}
            deeds={{
              onHold: hold,
              onLay: deeds.lay,
              onOpen: (id) => void navigate(way('bed', id)),
              onTakeAway: (thing) => deeds.takeAway('outside' in thing ? 'bed' : 'landmark', thing),
              onUp: (upDeg) => run((g) => turnPlot(g, upDeg)),
              drawing,
              onDrawn: (at, lengthMm, widthMm) => {
                setDrawing(false);
                hold(deeds.addBed({ at, lengthMm, widthMm }));
              },
            }}
          />
        </Ground>
        <PanelBox aria-label="Beds and covers">
          <section>
            <h2>Beds and covers</h2>
            {garden.beds.length === 0 && <p>Add a bed, then measure it where it stands.</p>}
            <List>
              {garden.beds.map((bed) => {
                const covers = garden.covers.filter((c) => c.bedId === bed.id);
                const { frameOn } = survey(bed);
                return (
                  <li key={bed.id}>
                    <div className="row">
                      <Link to={way('bed', bed.id)}>
                        <b>{bed.name}</b>
                      </Link>
                      <span className="measure">
                        {formatLength(frameOn.lengthMm, length)} × {formatLength(frameOn.widthMm, length)}
                      </span>
                      {more(bed.id, bed.name)}
                    </div>
                    {held === bed.id && <BedInHand bed={bed} covers={covers.length} deeds={deeds} onHold={hold} />}
                    <ul>
                      {covers.map(coverRow)}
                      {covers.length === 0 && (
                        <li className="row">
                          <span>no cover yet</span>
                        </li>
                      )}
                    </ul>
                  </li>
                );
              })}
            </List>
          </section>
          {garden.landmarks.length > 0 && (
            <section>
              <h2>On the plot</h2>
              <List>
                {garden.landmarks.map((l) => (
                  <li key={l.id}>
                    <div className="row">
                      <span style={{ flex: '1 1 auto', color: 'var(--ink)' }}>{l.name}</span>
                      {l.heightMm > 0 && <span className="measure">{formatLength(l.heightMm, length)} high</span>}
                      {more(l.id, l.name)}
                    </div>
                    {held === l.id && <LandmarkInHand landmark={l} deeds={deeds} onHold={hold} />}
                  </li>
                ))}
              </List>
            </section>
          )}
          <ThePlace garden={garden} />
        </PanelBox>
      </Body>
    </>
  );
}
