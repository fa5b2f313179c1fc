import { type ReactNode, memo, useEffect, useRef } from 'react';
import { Button as AriaButton, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { useCurrent, useKeepInHand } from './current';
import { useApp } from './hooks';
import { Keys, useKeys } from './keys';
import { warmUp } from '../background/workers';
import { lazyPart, quiet } from './appUpdate';
import { fetchAhead } from './places';
import { News } from './News';
import { useReminding } from '../weather/reminding';
import { useFileDrop } from './useFileDrop';
import { useWay } from './way';
import { overPage } from '../parts/look';

const AskTabs = lazyPart(() => import('./AskTabs').then((m) => m.AskTabs));
const Reminders = lazyPart(() => import('../weather/Reminders').then((m) => m.default));

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
  .leaf:last-of-type {
    border-bottom: 2px solid var(--rule-line);
  }
  .leaf.more {
    display: none;
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
    .leaf:last-of-type {
      border-bottom: 0;
    }
    .leaf.rest {
      display: none;
    }
    .leaf.more {
      display: flex;
      border-top: 0;
      border-right: 0;
      border-bottom: 0;
      background: transparent;
      color: inherit;
      font-family: inherit;
      cursor: pointer;
    }
    .leaf.more[data-current='true'] {
      background: var(--strip);
      color: var(--act);
    }
    .leaf::before {
      display: none;
    }
  }
`;

const MenuSheet = styled(Popover)`
  min-width: 12rem;
  ${overPage}
  .react-aria-Menu {
    outline: none;
  }
  .react-aria-MenuItem {
    display: flex;
    align-items: center;
    min-height: 3.2rem;
    padding: 0 1rem;
    border-top: 1px solid var(--hair);
    font-weight: 600;
    outline: none;
    cursor: pointer;
  }
  .react-aria-MenuItem[data-focused] {
    background: var(--hair);
  }
`;

const Main = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  min-width: 0;
`;

const DropHere = styled.div`
  position: fixed;
  z-index: 70;
  inset: 0.5rem;
  display: grid;
  place-items: center;
  border: 3px dashed var(--chalk);
  background: var(--ground);
  opacity: 0.9;
  font-size: 1.25rem;
  font-weight: 600;
  pointer-events: none;
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
  const navigate = useNavigate();
  const { pathname } = useLocation();
  // The foot of a phone has room for what is used in the garden and the shop; the rest is behind one press.
  const places: readonly { readonly to: string; readonly name: string; readonly rest?: boolean }[] = open
    ? [
        { to: way('plot'), name: 'Plot' },
        ...(bedId
          ? [
              { to: way('bed', bedId), name: 'Bed', rest: true },
              { to: way('choose', bedId), name: 'Choose', rest: true },
            ]
          : []),
        ...(coverId
          ? [
              { to: way('bench', coverId), name: 'Bench' },
              { to: way('saw', coverId), name: 'Saw', rest: true },
              { to: way('cart', coverId), name: 'Cart' },
              { to: way('build', coverId), name: 'Build' },
            ]
          : []),
        { to: way('book'), name: 'Day book' },
        { to: way('shelf'), name: 'Shelf', rest: true },
        { to: way('settings'), name: 'Settings', rest: true },
      ]
    : [{ to: '/settings', name: 'Settings' }];
  return (
    <Rule aria-label="Places" className="screen-only">
      <NavLink className="mark" to="/gardens" aria-label="Cabanon: all gardens">
        Cabanon
      </NavLink>
      {places.map((p) => (
        <NavLink
          key={p.to}
          className={p.rest ? 'leaf rest' : 'leaf'}
          to={p.to}
          onPointerEnter={() => fetchAhead(p.to)}
          onFocus={() => fetchAhead(p.to)}
        >
          {p.name}
        </NavLink>
      ))}
      {open && (
        <MenuTrigger>
          <AriaButton className="leaf more" data-current={places.some((p) => p.rest && pathname.startsWith(p.to))}>
            More
          </AriaButton>
          <MenuSheet>
            <Menu onAction={(to) => void navigate(String(to))}>
              {[...places.filter((p) => p.rest), { to: '/gardens', name: 'All gardens' }].map((p) => (
                <MenuItem key={p.to} id={p.to}>
                  {p.name}
                </MenuItem>
              ))}
            </Menu>
          </MenuSheet>
        </MenuTrigger>
      )}
    </Rule>
  );
});

/** The frame round every place: the rule, notices, what to ask when two tabs disagree. */
export function Shell(): ReactNode {
  const { bed, cover } = useCurrent();
  useKeepInHand();
  const asking = useApp((all) => (all.open?.asking ?? null) !== null);
  const open = useApp((s) => s.open !== null);
  const reminding = useReminding();
  const location = useLocation();
  const navigate = useNavigate();
  const frame = useRef<HTMLDivElement>(null);
  const { dropProps, isDropTarget } = useFileDrop(frame, cover?.id);
  useKeys(navigate, { bedId: bed?.id, coverId: cover?.id });

  useEffect(() => {
    if (open) warmUp();
  }, [open]);
  useEffect(() => {
    const [first = '', , place] = location.pathname.split('/').slice(1);
    document.title = `${(first === 'g' ? place : first) || 'Cabanon'} · Cabanon`.replace(/^./, (c) => c.toUpperCase());
    quiet();
  }, [location.pathname]);

  return (
    <Frame ref={frame} {...dropProps}>
      <Places bedId={bed?.id} coverId={cover?.id} />
      <Main>
        <Outlet />
      </Main>
      {asking && <AskTabs />}
      {open && reminding && <Reminders />}
      {isDropTarget && <DropHere>A garden, a price list, weather or a picture: let go</DropHere>}
      <News />
      <Keys />
    </Frame>
  );
}
