import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { ThingKind } from '../../../core/commands/change';
import { measureLandmark } from '../../../core/commands/things';
import type { Cover, CoverState, Garden } from '../../../core/garden/garden';
import type { Bed } from '../../../core/site/bed';
import { LANDMARKS, type Landmark } from '../../../core/site/landmark';
import { turnedTo } from '../../../core/site/plotting';
import { useRun } from '../../app/hooks';
import { useWay } from '../../app/way';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { Button, Choice, Row } from '../../parts/controls';
import type { Deeds } from './deeds';
import type { Thing } from './useLying';
import { DateField } from '../../parts/DateField';
import { ok } from '../../../core/base/result';

const Held = styled.div`
  display: grid;
  gap: 0.1rem;
  padding: 0.5rem 0.7rem 0.7rem;
  margin: 0.2rem -0.7rem 0;
  background: var(--ground);
  border-left: 4px solid var(--chalk);
  .deeds {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
    padding-top: 0.4rem;
  }
  .deeds button {
    padding: 0 0.6rem;
    font-size: 0.875rem;
  }
  .deeds a {
    font-weight: 600;
    padding: 0.4rem 0.3rem;
  }
`;

function Name({
  kind,
  thing,
  deeds,
}: {
  readonly kind: ThingKind;
  readonly thing: { id: string; name: string };
  readonly deeds: Deeds;
}): ReactNode {
  return (
    <Row name="Name">
      <TypedField
        label={`Name of ${thing.name}`}
        shown={thing.name}
        boxed
        take={(text) => deeds.rename(kind, thing.id, text)}
      />
    </Row>
  );
}

/** Where a thing lies, typed exactly. */
function Where({ thing, deeds }: { readonly thing: Thing; readonly deeds: Deeds }): ReactNode {
  const to = (at: Partial<Thing['at']>) => deeds.lay('Move', { ...thing, at: { ...thing.at, ...at } });
  return (
    <>
      <Row name="East">
        <LengthField
          label={`${thing.name}: near left corner, east`}
          valueMm={thing.at.xMm}
          boxed
          onSet={(xMm) => to({ xMm })}
        />
      </Row>
      <Row name="North">
        <LengthField
          label={`${thing.name}: near left corner, north`}
          valueMm={thing.at.yMm}
          boxed
          onSet={(yMm) => to({ yMm })}
        />
      </Row>
      <Row name="Points to" unit="°, from its left end to its right">
        <NumberField
          label={`${thing.name}: bearing, degrees`}
          value={thing.bearingDeg}
          decimals={thing.bearingDeg % 1 === 0 ? 0 : 1}
          min={0}
          max={360}
          onSet={(deg) => deeds.lay('Turn', turnedTo(thing, deg))}
        />
      </Row>
    </>
  );
}

function Ups({
  kind,
  thing,
  deeds,
}: {
  readonly kind: 'bed' | 'cover';
  readonly thing: { id: string; name: string };
  readonly deeds: Deeds;
}): ReactNode {
  return (
    <>
      <Button aria-label={`Move ${thing.name} up`} onPress={() => deeds.order(kind, thing.id, -1)}>
        Up
      </Button>
      <Button aria-label={`Move ${thing.name} down`} onPress={() => deeds.order(kind, thing.id, 1)}>
        Down
      </Button>
    </>
  );
}

interface InHandProps {
  readonly deeds: Deeds;
  readonly onHold: (id: string | undefined) => void;
}

/** A bed in hand: its name, where it lies, and what is done with it. */
export function BedInHand({
  bed,
  deeds,
  onHold,
  covers,
}: InHandProps & { readonly bed: Bed; readonly covers: number }): ReactNode {
  const way = useWay();
  return (
    <Held>
      <Name kind="bed" thing={bed} deeds={deeds} />
      <Where thing={bed} deeds={deeds} />
      <div className="deeds">
        <Link to={way('bed', bed.id)}>Measure it</Link>
        <Link to={way('choose', bed.id)}>Choose a cover</Link>
      </div>
      <div className="deeds">
        <Button onPress={() => onHold(deeds.copyBed(bed.id, false))}>Duplicate</Button>
        {covers > 0 && <Button onPress={() => onHold(deeds.copyBed(bed.id, true))}>Duplicate with covers</Button>}
        <Ups kind="bed" thing={bed} deeds={deeds} />
        <Button aria-label={`Take ${bed.name} away`} onPress={() => deeds.takeAway('bed', bed)}>
          Take away
        </Button>
      </div>
    </Held>
  );
}

/** A landmark in hand: its name, size and place. */
export function LandmarkInHand({
  landmark: l,
  deeds,
  onHold,
}: InHandProps & { readonly landmark: Landmark }): ReactNode {
  const run = useRun();
  const size = (what: 'lengthMm' | 'widthMm' | 'heightMm', name: string): ReactNode => (
    <Row name={name}>
      <LengthField
        label={`${l.name}: ${name.toLowerCase()}`}
        valueMm={l[what]}
        boxed
        onSet={(mm) => run((g) => measureLandmark(g, l.id, what, mm))}
      />
    </Row>
  );
  return (
    <Held>
      <Name kind="landmark" thing={l} deeds={deeds} />
      {LANDMARKS[l.kind].round ? (
        size('lengthMm', 'Crown')
      ) : (
        <>
          {size('lengthMm', 'Length')}
          {size('widthMm', 'Width')}
        </>
      )}
      {l.kind !== 'path' && size('heightMm', 'Height')}
      <Where thing={l} deeds={deeds} />
      <div className="deeds">
        <Button onPress={() => onHold(deeds.copyLandmark(l.id))}>Duplicate</Button>
        <Button aria-label={`Take ${l.name} away`} onPress={() => deeds.takeAway('landmark', l)}>
          Take away
        </Button>
      </div>
    </Held>
  );
}

const STATES: readonly { readonly first: CoverState; readonly label: string; readonly why: string }[] = [
  { first: { is: 'planned' }, label: 'Planned', why: 'To be built; it is drawn on the plot.' },
  { first: { is: 'standing', since: null }, label: 'Standing', why: 'It is built and on its bed.' },
  { first: { is: 'stored', since: null, where: '' }, label: 'Stored', why: 'It is built, and put away for now.' },
  {
    first: { is: 'next-year' },
    label: 'Next year',
    why: 'Not for this year; it is left out of what is bought together.',
  },
];

/** A cover in hand: its name, its bed, whether it stands. */
export function CoverInHand({
  cover,
  garden,
  deeds,
  onHold,
}: InHandProps & { readonly cover: Cover; readonly garden: Garden }): ReactNode {
  const way = useWay();
  const { state } = cover;
  return (
    <Held>
      <Name kind="cover" thing={cover} deeds={deeds} />
      <Choice
        label="Bed"
        value={cover.bedId}
        options={garden.beds.map((b) => ({ value: b.id, label: b.name }))}
        onChange={(bedId) => deeds.moveCover(cover, bedId)}
      />
      <Choice
        label="It is"
        value={state.is}
        options={STATES.map((x) => ({ ...x, value: x.first.is }))}
        onChange={(is) => {
          const to = STATES.find((x) => x.first.is === is);
          if (to) deeds.setState(cover.id, to.first);
        }}
      />
      {state.is === 'standing' && (
        <Row name="Since">
          <DateField
            label={`${cover.name}: standing since`}
            date={state.since ?? null}
            onSet={(since) => ok(deeds.setState(cover.id, { is: 'standing', since }))}
          />
        </Row>
      )}
      <div className="deeds">
        <Link to={way('bench', cover.id)}>To the bench</Link>
        <Button onPress={() => onHold(deeds.copyCover(cover.id))}>Duplicate</Button>
        <Ups kind="cover" thing={cover} deeds={deeds} />
        <Button aria-label={`Take ${cover.name} away`} onPress={() => deeds.takeAway('cover', cover)}>
          Take away
        </Button>
      </div>
    </Held>
  );
}
