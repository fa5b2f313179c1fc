import { Children, type ReactNode, Suspense, lazy, memo, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { Button } from '../parts/controls';
import { useCurrent } from './current';
import { useApp, useAppDispatch } from './hooks';
import { Keys, useKeys } from './keys';
import { warmUp } from '../background/planClient';
import { AskTabs, KeptLine } from './Kept';
import { quiet } from './fresh';
import { said } from './state';
import { redo, undo } from './store';
import { useReminding } from '../weather/reminding';
import { useWay } from './way';

const Reminders = lazy(() => import('../weather/Reminders'));

const Frame = styled.div`
  display: grid;
  grid-template-columns: 6.5rem minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr);
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
    flex: 0 1 4.9rem;
    min-height: 3rem;
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
      font-size: min(0.875rem, 3vw);
      justify-content: center;
      border-top: 0;
      border-left: 1.5px solid var(--rule-line);
    }
    .leaf:last-child {
      border-bottom: 0;
    }
    /* The foot of a phone has room for the work; what is set once is reached from the plot. */
    .leaf.aside {
      display: none;
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

/** The way to every place; drawn again when another bed or cover is in hand. */
const Places = memo(function Places({
  bedId,
  coverId,
}: {
  readonly bedId: string | undefined;
  readonly coverId: string | undefined;
}): ReactNode {
  const open = useApp((s) => s.open !== null);
  const way = useWay();
  const places: readonly { readonly to: string; readonly name: string; readonly aside?: boolean }[] = open
    ? [
        { to: way('plot'), name: 'Plot' },
        ...(bedId
          ? [
              { to: way('bed', bedId), name: 'Bed' },
              { to: way('choose', bedId), name: 'Choose' },
            ]
          : []),
        ...(coverId
          ? [
              { to: way('bench', coverId), name: 'Bench' },
              { to: way('saw', coverId), name: 'Saw' },
              { to: way('cart', coverId), name: 'Cart' },
              { to: way('build', coverId), name: 'Build' },
            ]
          : []),
        { to: way('book'), name: 'Day book' },
        { to: way('shelf'), name: 'Shelf' },
        { to: way('settings'), name: 'Settings', aside: true },
      ]
    : [{ to: '/settings', name: 'Settings' }];
  return (
    <Rule aria-label="Places" className="screen-only">
      <NavLink className="mark" to="/gardens" aria-label="Cabanon: all gardens">
        Cabanon
      </NavLink>
      {places.map((p) => (
        <NavLink key={p.to} className={p.aside ? 'leaf aside' : 'leaf'} to={p.to}>
          {p.name}
        </NavLink>
      ))}
    </Rule>
  );
});

/** The frame round every place: the rule, notices, what to ask when two tabs disagree. */
export function Shell(): ReactNode {
  const { bed, cover } = useCurrent();
  const notice = useApp((s) => s.notice);
  const open = useApp((s) => s.open !== null);
  const reminding = useReminding();
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

  return (
    <Frame>
      <Places bedId={bed?.id} coverId={cover?.id} />
      <Main>
        <Outlet />
      </Main>
      <AskTabs />
      {open && reminding && (
        <Suspense>
          <Reminders />
        </Suspense>
      )}
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
  position: relative;
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
    flex: 1 1 8rem;
    min-width: 0;
  }
  .where span {
    color: var(--quiet);
  }
  h1,
  .where span {
    min-width: 2rem;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  h1 {
    flex: 0 1 auto;
  }
  .ways,
  .deeds {
    display: flex;
    gap: 0.5rem;
    align-items: center;
  }
  .deeds button {
    white-space: nowrap;
  }
  .more {
    display: none;
  }
  .ways button {
    display: inline-flex;
    align-items: center;
    gap: 0.4rem;
  }
  @media (max-width: 760px) {
    flex-wrap: nowrap;
    min-height: 3.25rem;
    padding: 0.3rem 0.6rem;
    gap: 0.4rem;
    .where {
      flex: 1 1 0;
      display: block;
      line-height: 1.2;
    }
    .where span {
      display: block;
      font-size: 0.8125rem;
    }
    h1 {
      font-size: 1.0625rem;
    }
    .ways {
      gap: 0.3rem;
    }
    .ways button {
      min-width: var(--target);
      padding: 0;
      justify-content: center;
    }
    .ways .word {
      display: none;
    }
    .more {
      display: block;
      flex: none;
    }
    .deeds {
      display: none;
    }
    .deeds.open {
      position: absolute;
      z-index: 40;
      top: 100%;
      right: 0.6rem;
      display: grid;
      gap: 0.5rem;
      padding: 0.7rem;
      background: var(--sheet);
      border: 1.5px solid var(--ink);
      border-radius: 2px;
      box-shadow: 0 4px 16px rgb(0 0 0 / 0.25);
    }
  }
`;

interface PlaceHeadProps {
  readonly title: string;
  readonly subtitle: string;
  /** What is done at this place. */
  readonly children?: ReactNode;
}

/** Undo and redo: the same everywhere, and drawn again only when they change. */
const Ways = memo(function Ways(): ReactNode {
  const last = useApp((s) => s.open?.edits[s.open.at - 1]?.label);
  const next = useApp((s) => s.open?.edits[s.open.at]?.label);
  const open = useApp((s) => s.open !== null);
  const dispatch = useAppDispatch();
  if (!open) return null;
  const arrow = (path: string): ReactNode => (
    <svg width="16" height="14" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.8">
      <path d={path} />
    </svg>
  );
  return (
    <div className="ways">
      <Button isDisabled={!last} onPress={() => dispatch(undo())} aria-label={last ? `Undo: ${last}` : 'Undo'}>
        {arrow('M6 1 L2 5 L6 9 M2 5 H10 A4 4 0 0 1 10 13 H6')}
        <span className="word">Undo</span>
      </Button>
      <Button isDisabled={!next} onPress={() => dispatch(redo())} aria-label={next ? `Redo: ${next}` : 'Redo'}>
        {arrow('M10 1 L14 5 L10 9 M14 5 H6 A4 4 0 0 0 6 13 H10')}
        <span className="word">Redo</span>
      </Button>
    </div>
  );
});

/** A place's name, the ways back and forth, and its own deeds; one row on a phone, the deeds behind one press. */
export function PlaceHead({ title, subtitle, children }: PlaceHeadProps): ReactNode {
  const [open, setOpen] = useState(false);
  const many = Children.toArray(children).length > 0;
  return (
    <Head className="screen-only">
      <div className="where">
        <h1>{title}</h1>
        {subtitle && <span>{subtitle}</span>}
      </div>
      <Ways />
      {many && (
        <>
          <span className="more">
            <Button aria-label="What can be done here" aria-expanded={open} onPress={() => setOpen(!open)}>
              ⋯
            </Button>
          </span>
          <div className={`deeds ${open ? 'open' : ''}`} onClickCapture={() => setOpen(false)}>
            {children}
          </div>
        </>
      )}
      <KeptLine />
    </Head>
  );
}
