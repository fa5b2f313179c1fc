import type { ReactNode } from 'react';
import { Label, Slider, SliderOutput, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';

const Slid = styled(Slider)`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.1rem 0.6rem;
  align-items: baseline;
  label {
    color: var(--quiet);
    font-size: 0.9375rem;
  }
  output {
    font-family: var(--mono);
    font-weight: 600;
    font-size: 1.125rem;
  }
  .track {
    grid-column: 1 / -1;
    position: relative;
    height: var(--target);
    /* Room for half the thumb at both ends. */
    margin: 0 0.7rem;
    touch-action: none;
  }
  .track::before {
    content: '';
    position: absolute;
    top: 50%;
    left: -0.7rem;
    right: -0.7rem;
    border-top: 2px solid var(--ink);
  }
  .mark {
    position: absolute;
    top: calc(50% - 0.5rem);
    height: 1rem;
    border-left: 2px solid var(--ink);
  }
  .mark span {
    position: absolute;
    top: 1rem;
    transform: translateX(-50%);
    font-size: 0.8125rem;
    white-space: nowrap;
    color: var(--quiet);
  }
  .thumb {
    top: 50%;
    width: 1.4rem;
    height: 1.4rem;
    background: var(--sheet);
    border: 2.5px solid var(--chalk);
    border-radius: 2px;
    cursor: ew-resize;
  }
  .thumb[data-dragging],
  .thumb[data-focus-visible] {
    background: var(--chalk);
    outline: none;
  }
`;

/** A value drawn along a line, with marks that say what stands where. */
export function Slide({
  label,
  value,
  most,
  step,
  say,
  marks,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly most: number;
  readonly step: number;
  readonly say: (value: number) => string;
  readonly marks: readonly { readonly at: number; readonly word: string }[];
  readonly onChange: (value: number) => void;
}): ReactNode {
  return (
    <Slid
      value={value}
      minValue={0}
      maxValue={most}
      step={step}
      onChange={(v) => onChange(Array.isArray(v) ? (v[0] ?? 0) : v)}
    >
      <Label>{label}</Label>
      <SliderOutput>{() => say(value)}</SliderOutput>
      <SliderTrack className="track">
        {marks
          .filter((m) => m.at >= 0 && m.at <= most)
          .map((m) => (
            <i key={m.word} className="mark" style={{ left: `${(100 * m.at) / most}%` }}>
              <span>{m.word}</span>
            </i>
          ))}
        <SliderThumb className="thumb" aria-label={label} />
      </SliderTrack>
    </Slid>
  );
}
