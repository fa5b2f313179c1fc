import { type ReactNode, lazy, Suspense, useEffect, useState } from 'react';
import { Navigate, Route, Routes, useNavigate } from 'react-router';
import { Gardens } from '../places/gardens/Gardens';
import { Shell } from './Shell';
import { useApp, useAppDispatch } from './hooks';
import { addGarden, closeGarden, openStored } from './store';
import { database, lastOpen } from './world';

const Plot = lazy(() => import('../places/plot/Plot').then((m) => ({ default: m.Plot })));
const BedPlace = lazy(() => import('../places/bed/BedPlace').then((m) => ({ default: m.BedPlace })));
const Bench = lazy(() => import('../places/bench/Bench').then((m) => ({ default: m.Bench })));
const Saw = lazy(() => import('../places/saw/Saw').then((m) => ({ default: m.Saw })));
const Cart = lazy(() => import('../places/cart/Cart').then((m) => ({ default: m.Cart })));
const Choose = lazy(() => import('../places/choose/Choose').then((m) => ({ default: m.Choose })));
const Build = lazy(() => import('../places/build/Build').then((m) => ({ default: m.Build })));
const Together = lazy(() => import('../places/together/Together').then((m) => ({ default: m.Together })));
const Shelf = lazy(() => import('../places/shelf/Shelf').then((m) => ({ default: m.Shelf })));
const SideBySide = lazy(() => import('../places/sideBySide/SideBySide').then((m) => ({ default: m.SideBySide })));
const Paper = lazy(() => import('../places/paper/Paper').then((m) => ({ default: m.Paper })));

const DEMO_ID = 'demo';

/** Opens the demo garden, made afresh when it is not in this browser yet. */
function Demo(): ReactNode {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  useEffect(() => {
    const open = async (): Promise<void> => {
      const there = (await database.gardens.get(DEMO_ID)) !== undefined && (await dispatch(openStored(DEMO_ID)));
      const { demoGarden } = await import('../../core/garden/demo');
      if (!there) await dispatch(addGarden(DEMO_ID, demoGarden()));
      void navigate('/bench/winter-lid', { replace: true });
    };
    void open();
  }, [dispatch, navigate]);
  return <Waiting />;
}

function Waiting(): ReactNode {
  return (
    <p role="status" style={{ padding: '1.25rem' }}>
      Opening…
    </p>
  );
}

/** Every place by its address; without an open garden they all lead to the list of gardens. */
export function App(): ReactNode {
  const dispatch = useAppDispatch();
  const open = useApp((s) => s.open !== null);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    const id = lastOpen();
    const begin = id === null ? Promise.resolve(void dispatch(closeGarden())) : dispatch(openStored(id));
    begin.then(
      () => setReady(true),
      () => setReady(true),
    );
  }, [dispatch]);
  if (!ready) return <Waiting />;
  const place = (element: ReactNode): ReactNode =>
    open ? <Suspense fallback={<Waiting />}>{element}</Suspense> : <Navigate to="/gardens" replace />;
  return (
    <Routes>
      <Route path="demo" element={<Demo />} />
      <Route element={<Shell />}>
        <Route path="gardens" element={<Gardens />} />
        <Route path="plot" element={place(<Plot />)} />
        <Route path="bed/:bedId" element={place(<BedPlace />)} />
        <Route path="choose/:bedId" element={place(<Choose />)} />
        <Route path="bench/:coverId/:leaf?" element={place(<Bench />)} />
        <Route path="saw/:coverId" element={place(<Saw />)} />
        <Route path="cart/:coverId" element={place(<Cart />)} />
        <Route path="shelf/:leaf?" element={place(<Shelf />)} />
        <Route path="versions/:coverId" element={place(<SideBySide />)} />
        <Route path="together/:leaf" element={place(<Together />)} />
        <Route path="build/:coverId" element={place(<Build />)} />
        <Route path="paper/:coverId" element={place(<Paper />)} />
        <Route path="*" element={<Navigate to={open ? '/plot' : '/gardens'} replace />} />
      </Route>
    </Routes>
  );
}
