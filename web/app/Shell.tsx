import { type ReactNode, memo, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import type { LengthUnit } from '../../core/base/length';
import { Button, Select } from '../parts/controls';
import { useCurrent } from './current';
import { useApp, useAppDispatch, useEdit } from './hooks';
import { Keys, useKeys } from './keys';
import { warmUp } from '../background/planClient';
import { AskTabs, KeptLine } from './Kept';
import { quiet } from './fresh';
import { remembering } from '../keep/browser';
import { said } from './state';
import { redo, undo } from './store';
import { useWay } from './way';
import { THEMES, type ThemeName } from './theme';

const Frame = styled.div`
  display: grid;
  grid-template-columns: 6.5rem minmax(0, 1fr);
  height: 100dvh;
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
  }
  @media print {
    display: block;
    height: auto;
  }
`;

/** A folding rule standing on end: one leaf a place, a pin at each joint, tape marks down its right edge. */
const Rule = styled.nav`
  position: relative;
  display: flex;
  flex-direction: column;
  background: var(--rule);
  border-right: 2px solid var(--ink);
  color: var(--rule-ink);
  &::after {
    content: '';
    position: absolute;
    inset: 0 0 0 auto;
    width: 16px;
    pointer-events: none;
    background:
      repeating-linear-gradient(to bottom, var(--rule-line) 0 1.5px, transparent 1.5px 40px) right / 16px 100% no-repeat,
      repeating-linear-gradient(to bottom, var(--rule-line) 0 1px, transparent 1px 8px) right / 7px 100% no-repeat;
  }
  .mark {
    height: 4rem;
    display: grid;
    place-items: center start;
    padding-left: 0.75rem;
    font-weight: 700;
    font-size: 0.9375rem;
    text-decoration: none;
  }
  .leaf {
    position: relative;
    display: flex;
    align-items: center;
    min-height: 4.9rem;
    padding-left: 0.75rem;
    border-top: 2px solid var(--rule-line);
    font-weight: 600;
    text-decoration: none;
    overflow-wrap: normal;
  }
  .leaf::before {
    content: '';
    position: absolute;
    z-index: 1;
    top: -6px;
    right: 5px;
    width: 10px;
    height: 10px;
    border: 1.5px solid var(--rule-line);
    border-radius: 50%;
    background: var(--rule);
  }
  .leaf:last-child {
    border-bottom: 2px solid var(--rule-line);
  }
  .leaf[aria-current='page'] {
    z-index: 2;
    background: var(--strip);
    color: var(--act);
  }
  .leaf:focus-visible {
    z-index: 3;
  }
  @media (max-width: 760px) {
    grid-row: 2;
    flex-direction: row;
    border-right: 0;
    border-top: 2px solid var(--ink);
    &::after,
    .mark {
      display: none;
    }
    .leaf {
      flex: 1 1 0;
      min-height: 3.5rem;
      padding: 0;
      /* As large as the longest name goes into its share of the foot, whatever the theme's size. */
      font-size: min(0.875rem, 3.3vw);
      justify-content: center;
      border-top: 0;
      border-left: 1.5px solid var(--rule-line);
    }
    .leaf:last-child {
      border-bottom: 0;
    }
    .leaf::before {
      display: none;
    }
  }
`;

const Main = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  min-width: 0;
`;

const Notice = styled.div`
  position: fixed;
  z-index: 60;
  right: 1rem;
  bottom: 8rem;
  max-width: 26rem;
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.7rem 0.9rem;
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  box-shadow: 0 4px 16px rgb(0 0 0 / 0.25);
`;

const THEME_KEY = 'cabanon.theme';

function readTheme(): ThemeName {
  const stored = remembering.get(THEME_KEY);
  return THEMES.find((t) => t.value === stored)?.value ?? 'day';
}

/** The theme belongs to the screen in front of the gardener, not to the garden. */
function useTheme(): [ThemeName, (theme: ThemeName) => void] {
  const [theme, setTheme] = useState(readTheme);
  useEffect(() => {
    document.documentElement.dataset['theme'] = theme;
    remembering.set(THEME_KEY, theme);
  }, [theme]);
  return [theme, setTheme];
}

const UNITS: readonly { readonly value: LengthUnit; readonly label: string }[] = [
  { value: 'ftin', label: 'Feet and inches' },
  { value: 'in', label: 'Inches' },
  { value: 'cm', label: 'Centimetres' },
  { value: 'mm', label: 'Millimetres' },
];

/** The frame round every place: the rule, notices, what to ask when two tabs disagree. */
export function Shell(): ReactNode {
  const { bed, cover } = useCurrent();
  const notice = useApp((s) => s.notice);
  const way = useWay();
  const open = useApp((s) => s.open !== null);
  const dispatch = useAppDispatch();
  const location = useLocation();
  const navigate = useNavigate();
  useKeys(navigate, { bedId: bed?.id, coverId: cover?.id });

  useEffect(() => {
    if (open) warmUp();
  }, [open]);
  useEffect(() => {
    if (notice === null) return;
    const timer = setTimeout(() => dispatch(said(null)), 8000);
    return () => clearTimeout(timer);
  }, [notice, dispatch]);
  useEffect(() => {
    const [first = '', , place] = location.pathname.split('/').slice(1);
    document.title = `${(first === 'g' ? place : first) || 'Cabanon'} · Cabanon`.replace(/^./, (c) => c.toUpperCase());
    quiet();
  }, [location.pathname]);

  const places = open
    ? [
        { to: way('plot'), name: 'Plot' },
        ...(bed
          ? [
              { to: way('bed', bed.id), name: 'Bed' },
              { to: way('choose', bed.id), name: 'Choose' },
            ]
          : []),
        ...(cover
          ? [
              { to: way('bench', cover.id), name: 'Bench' },
              { to: way('saw', cover.id), name: 'Saw' },
              { to: way('cart', cover.id), name: 'Cart' },
              { to: way('build', cover.id), name: 'Build' },
            ]
          : []),
        { to: way('shelf'), name: 'Shelf' },
      ]
    : [];
  return (
    <Frame>
      <Rule aria-label="Places" className="screen-only">
        <NavLink className="mark" to="/gardens" aria-label="Cabanon: all gardens">
          Cabanon
        </NavLink>
        {places.map((p) => (
          <NavLink key={p.to} className="leaf" to={p.to}>
            {p.name}
          </NavLink>
        ))}
      </Rule>
      <Main>
        <Outlet />
      </Main>
      <AskTabs />
      {notice !== null && (
        <Notice role="status">
          <span>{notice}</span>
          <Button onPress={() => dispatch(said(null))}>OK</Button>
        </Notice>
      )}
      <Keys />
    </Frame>
  );
}

const Head = styled.header`
  display: flex;
  align-items: center;
  gap: 0.6rem 1rem;
  min-height: 4rem;
  padding: 0.5rem 1.25rem;
  border-bottom: 1px solid var(--hair);
  flex-wrap: wrap;
  .where {
    display: flex;
    align-items: baseline;
    gap: 0.9rem;
    flex: 1 1 14rem;
    min-width: 0;
  }
  .where span {
    color: var(--quiet);
  }
  @media (min-width: 761px) {
    h1,
    .where span {
      white-space: nowrap;
    }
    h1,
    .where span {
      min-width: 2rem;
      overflow: hidden;
      text-overflow: ellipsis;
    }
    h1 {
      flex: 0 1 auto;
    }
  }
  .deeds {
    display: flex;
    gap: 0.5rem;
    align-items: center;
    flex-wrap: wrap;
  }
  select {
    width: auto;
  }
  @media (max-width: 760px) {
    padding: 0.5rem 0.9rem;
    .wide-only {
      display: none;
    }
  }
`;

interface PlaceHeadProps {
  readonly title: string;
  readonly subtitle: string;
  readonly children?: ReactNode;
}

/** Undo, redo, units and theme: the same everywhere, and drawn again only when they change. */
const Standing = memo(function Standing(): ReactNode {
  const last = useApp((s) => s.open?.edits[s.open.at - 1]?.label);
  const next = useApp((s) => s.open?.edits[s.open.at]?.label);
  const length = useApp((s) => s.open?.doc.units.length);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [theme, setTheme] = useTheme();
  return (
    <>
      {length && (
        <>
          <Button isDisabled={!last} onPress={() => dispatch(undo())} aria-label={last ? `Undo: ${last}` : 'Undo'}>
            Undo
          </Button>
          <Button isDisabled={!next} onPress={() => dispatch(redo())} aria-label={next ? `Redo: ${next}` : 'Redo'}>
            Redo
          </Button>
          <Select
            className="wide-only"
            aria-label="Units"
            value={length}
            onChange={(e) => edit('Change units', (g) => void (g.units.length = e.target.value as LengthUnit))}
          >
            {UNITS.map((u) => (
              <option key={u.value} value={u.value}>
                {u.label}
              </option>
            ))}
          </Select>
        </>
      )}
      <Select aria-label="Theme" value={theme} onChange={(e) => setTheme(e.target.value as ThemeName)}>
        {THEMES.map((t) => (
          <option key={t.value} value={t.value}>
            {t.label}
          </option>
        ))}
      </Select>
    </>
  );
});

/** A place's name and its own deeds after the standing ones. */
export function PlaceHead({ title, subtitle, children }: PlaceHeadProps): ReactNode {
  return (
    <Head className="screen-only">
      <div className="where">
        <h1>{title}</h1>
        <span>{subtitle}</span>
      </div>
      <div className="deeds">
        <Standing />
        {children}
      </div>
      <KeptLine />
    </Head>
  );
}
