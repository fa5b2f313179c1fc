/** What is asked when two tabs changed the same thing. */
import { type ReactNode, useState } from 'react';
import { Label, Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import type { Preferences } from '../../core/base/amount';
import { formatLength } from '../../core/base/length';
import type { Garden } from '../../core/garden/garden';
import { type FieldPath, changesBetween } from '../../core/garden/difference';
import { Button } from '../parts/controls';
import { useApp, useAppDispatch, useUnits } from './hooks';
import { settle } from './saving';
import { overPage } from '../parts/look';

const Ask = styled.div`
  position: fixed;
  z-index: 70;
  right: 1rem;
  bottom: 1rem;
  width: min(34rem, calc(100vw - 2rem));
  max-height: 70dvh;
  overflow: auto;
  display: grid;
  gap: 0.7rem;
  padding: 1rem;
  ${overPage}
  .react-aria-RadioGroup {
    border-top: 1px solid var(--hair);
    padding: 0.5rem 0;
  }
  .react-aria-Label {
    font-weight: 600;
  }
  .react-aria-Radio {
    position: relative;
    display: flex;
    gap: 0.6rem;
    align-items: center;
    min-height: var(--target);
    overflow-wrap: anywhere;
    cursor: pointer;
  }
  .react-aria-Radio::before {
    content: '';
    flex: none;
    width: 1.2rem;
    height: 1.2rem;
    border: 1.5px solid var(--ink);
    border-radius: 50%;
  }
  .react-aria-Radio[data-selected]::before {
    background: radial-gradient(circle, var(--ink) 45%, transparent 50%);
  }
  .react-aria-Radio[data-focus-visible]::before {
    outline: 3px solid var(--chalk);
    outline-offset: 2px;
  }
`;

/** A path as a person would say it: Winter lid, pipe length. */
function said(garden: Garden, path: FieldPath): string {
  if (path.length === 0) return 'The garden as a whole';
  const named = [...garden.beds, ...garden.covers, ...garden.priceLists];
  const words = path
    .filter((step, i) => !(i === 0 && path.length > 1) && step !== 'answers')
    .map((step) => named.find((n) => n.id === step)?.name ?? (step.startsWith('\u0000') ? 'the order' : spoken(step)));
  return words.join(', ');
}
const spoken = (key: string): string => key.replace(/Mm$/, '').replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

/** A value of one tab in words; of a whole thing, what of it is another than in the other tab. */
function shown(value: unknown, other: unknown, path: FieldPath, units: Preferences): string {
  if (value === undefined) return 'taken away';
  if (typeof value === 'number' && path.at(-1)?.endsWith('Mm')) return formatLength(value, units.length);
  if (typeof value !== 'object' || value === null) return String(value).slice(0, 80);
  const differs = typeof other === 'object' ? changesBetween(other, value) : [];
  const words = differs
    .filter((c) => typeof c.is !== 'object')
    .map((c) => `${spoken(c.path.at(-1) ?? '')} ${shown(c.is, c.was, c.path, units)}`);
  const more = differs.length - MOST_WORDS;
  return words.length === 0
    ? 'as it stands there'
    : words.slice(0, MOST_WORDS).join(', ') + (more > 0 ? ` and ${more} more` : '');
}
const MOST_WORDS = 4;

/** Asks, showing both, what two tabs changed differently; work goes on meanwhile. */
export function AskTabs(): ReactNode {
  const asking = useApp((s) => s.open?.asking);
  const doc = useApp((s) => s.open?.doc);
  const dispatch = useAppDispatch();
  const units = useUnits();
  const [theirs, setTheirs] = useState<readonly string[]>([]);
  if (!asking || !doc) return null;
  const key = (path: FieldPath): string => JSON.stringify(path);
  return (
    <Ask role="alertdialog" aria-label="Changed in two tabs">
      <b>This was changed in two tabs.</b>
      <p>Everything else has its place already. Which shall stay?</p>
      {asking.clashes.map((c) => {
        const at = key(c.path);
        return (
          <RadioGroup
            key={at}
            value={theirs.includes(at) ? 'theirs' : 'mine'}
            onChange={(is) => setTheirs((list) => [...list.filter((p) => p !== at), ...(is === 'mine' ? [] : [at])])}
          >
            <Label>{said(doc, c.path)}</Label>
            <Radio value="mine">This tab: {shown(c.mine, c.theirs, c.path, units)}</Radio>
            <Radio value="theirs">The other tab: {shown(c.theirs, c.mine, c.path, units)}</Radio>
          </RadioGroup>
        );
      })}
      <div>
        <Button
          $strong
          onPress={() => void dispatch(settle((path) => (theirs.includes(key(path)) ? 'theirs' : 'mine')))}
        >
          Go on with these
        </Button>
      </div>
    </Ask>
  );
}
