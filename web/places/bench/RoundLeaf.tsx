import type { Assessment } from '../../../core/assessment';
import { type ReactNode, useEffect, useState } from 'react';
import styled from 'styled-components';
import type { BuildStep } from '../../../core/cover/assembly/types';
import { countOfJoint } from '../../../core/cover/joints/kind';
import { sayJoint } from '../../../core/show/jointMarks';
import { formatLength } from '../../../core/base/length';
import { Boundary } from '../../app/Boundary';
import { lazyPart } from '../../app/appUpdate';
import { useUnits } from '../../app/hooks';
import { Button, Field, Stepper } from '../../parts/controls';
import type { RoundColours } from '../../drawing/RoundView';
import { Folded } from '../../parts/Folded';
import { ToggleButton } from 'react-aria-components';

const RoundView = lazyPart(
  () => import('../../drawing/RoundView').then((m) => m.default),
  <p role="status">Opening the round view…</p>,
);

const Stage = styled.div`
  position: relative;
  min-height: 22rem;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  .turn {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem;
    align-items: center;
    padding: 0.4rem 0;
  }
  .picked {
    margin-left: auto;
    font-weight: 600;
  }
  canvas {
    touch-action: none;
  }
`;

const Pieces = styled.ul`
  columns: 2;
  column-gap: 0.8rem;
  button {
    width: 100%;
    min-height: 2rem;
    padding: 0.15rem 0.4rem;
    border: 0;
    background: none;
    text-align: left;
    font-size: 0.875rem;
    cursor: pointer;
  }
  button[data-selected] {
    background: var(--ink);
    color: var(--ground);
  }
`;

/** The theme's colours as they are now; followed when the theme changes. */
function useColours(): RoundColours {
  const read = (): RoundColours => {
    const style = getComputedStyle(document.documentElement);
    const role = (name: string): string => style.getPropertyValue(`--${name}`).trim();
    return {
      timber: role('timber'),
      pipe: role('pipe'),
      film: role('film-edge'),
      wall: role('wall'),
      soil: role('soil'),
      straw: role('straw'),
      plywood: role('timber-face'),
      ink: role('ink'),
      ground: role('ground'),
      chalk: role('chalk'),
    };
  };
  const [colours, setColours] = useState(read);
  useEffect(() => {
    const watch = new MutationObserver(() => setColours(read()));
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => watch.disconnect();
  }, []);
  return colours;
}

/** Whether this browser draws in three dimensions at all. */
function canDraw(): boolean {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
}

const LIFT_MM = 260;
const TURN_DEG = 20;

/** The cover in the round: turn it, pick its pieces, build it up step by step. */
export function RoundLeaf({ outline: o }: { readonly outline: Assessment }): ReactNode {
  const { length } = useUnits();
  const colours = useColours();
  const [draws] = useState(canDraw);
  const [turn, setTurn] = useState(-35);
  const [tilt, setTilt] = useState(24);
  const [pick, setPick] = useState<{ readonly kind: 'piece' | 'joint'; readonly key: string }>();
  const building = o.assembly.steps.filter((s) => s.id !== 'cut' && s.tags.length > 0);
  const [upTo, setUpTo] = useState(building.length);
  const [apart, setApart] = useState(false);
  const [tagged, setTagged] = useState(true);
  const firstStep = (has: (s: BuildStep) => boolean): number => Math.max(0, building.findIndex(has));
  const first = (tag: string): number => firstStep((s) => s.tags.includes(tag));
  const firstMade = (id: string): number => firstStep((s) => s.joints.includes(id));
  const picked = pick?.kind === 'piece' ? pick.key : undefined;
  const joint = pick?.kind === 'joint' ? pick.key : undefined;
  const pickPiece = (key: string): void => setPick({ kind: 'piece', key });
  const pickJoint = (key: string): void => setPick({ kind: 'joint', key });
  const pickedJoint = o.assembly.joints.find((j) => j.id === joint);
  const member = o.assembly.members.find((m) => m.tag === picked);
  const other = [...o.assembly.sheets, ...o.assembly.panels, ...o.assembly.blocks].find((s) => s.tag === picked);
  const stage = Math.min(upTo, building.length);
  return (
    <Stage
      tabIndex={0}
      role="group"
      aria-label="In the round. Arrow keys turn it."
      onKeyDown={(e) => {
        if (e.target !== e.currentTarget) return;
        const [dTurn, dTilt] =
          { ArrowLeft: [-TURN_DEG, 0], ArrowRight: [TURN_DEG, 0], ArrowUp: [0, 10], ArrowDown: [0, -10] }[e.key] ?? [];
        if (dTurn === undefined || dTilt === undefined) return;
        e.preventDefault();
        setTurn(turn + dTurn);
        setTilt(Math.max(-5, Math.min(85, tilt + dTilt)));
      }}
    >
      {draws ? (
        <Boundary what="The round view">
          <RoundView
            outline={o}
            colours={colours}
            lift={(tag) => (apart ? first(tag) * LIFT_MM : 0)}
            shown={(tag) => first(tag) < stage}
            picked={picked}
            onPick={pickPiece}
            joint={joint}
            onPickJoint={pickJoint}
            made={(id) => firstMade(id) < stage}
            liftJoint={(id) => (apart ? firstMade(id) * LIFT_MM : 0)}
            turnDeg={turn}
            tiltDeg={tilt}
            tagged={tagged}
          />
        </Boundary>
      ) : (
        <p role="status">
          This browser cannot draw in the round: WebGL is missing or switched off. The pieces, joints and steps below
          say the same in words, and the end, the side and the plan are drawn on the leaf Shape.
        </p>
      )}
      <div className="turn">
        <Button onPress={() => setTurn(turn - TURN_DEG)}>Turn left</Button>
        <Button onPress={() => setTurn(turn + TURN_DEG)}>Turn right</Button>
        <Button onPress={() => setTagged(!tagged)}>{tagged ? 'Hide tags' : 'Show tags'}</Button>
        <Button onPress={() => setApart(!apart)}>{apart ? 'Put together' : 'Pull apart'}</Button>
        <span className="picked" role="status">
          {member && `${member.tag} ${member.part}, ${formatLength(member.lengthMm, length)}`}
          {other && `${other.tag} ${other.part}`}
          {pickedJoint && sayJoint(pickedJoint)}
        </span>
      </div>
      <RoundPanel
        outline={o}
        picked={picked}
        onPick={pickPiece}
        joint={joint}
        onPickJoint={pickJoint}
        stage={stage}
        steps={building.map((s) => s.title)}
        onStage={setUpTo}
      />
    </Stage>
  );
}

interface PanelProps {
  readonly outline: Assessment;
  readonly picked: string | undefined;
  readonly onPick: (tag: string) => void;
  readonly joint: string | undefined;
  readonly onPickJoint: (id: string) => void;
  readonly stage: number;
  readonly steps: readonly string[];
  readonly onStage: (stage: number) => void;
}

/** The same pieces and joints in words: every one can be picked, and the building followed, without the picture. */
function RoundPanel({ outline: o, picked, onPick, joint, onPickJoint, stage, steps, onStage }: PanelProps): ReactNode {
  const { length } = useUnits();
  return (
    <Folded title="Pieces, joints and steps in words">
      <Field>
        <span className="name">Built up to</span>
        <Stepper label="Built up to step" value={stage} min={1} max={steps.length} onChange={onStage} />
        <span className="why">{steps[stage - 1]}</span>
      </Field>
      <Pieces>
        {[
          ...o.assembly.members.map((m) => ({ tag: m.tag, text: `${m.part}, ${formatLength(m.lengthMm, length)}` })),
          ...[...o.assembly.panels, ...o.assembly.blocks, ...o.assembly.sheets].map((s) => ({
            tag: s.tag,
            text: s.part,
          })),
        ].map(({ tag, text }) => (
          <li key={tag}>
            <ToggleButton isSelected={picked === tag} onChange={() => onPick(tag)}>
              <b>{tag}</b> {text}
            </ToggleButton>
          </li>
        ))}
        {o.assembly.joints
          .filter((j) => countOfJoint(j) > 0)
          .map((j) => (
            <li key={j.id}>
              <ToggleButton isSelected={joint === j.id} onChange={() => onPickJoint(j.id)}>
                {sayJoint(j)}
              </ToggleButton>
            </li>
          ))}
      </Pieces>
    </Folded>
  );
}
