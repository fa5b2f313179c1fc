import { type ReactNode, Suspense } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { Gardens } from '../places/gardens/Gardens';
import { Boundary } from './Boundary';
import { Demo, Gate, OldAddress, Waiting } from './Gate';
import { Shell } from './Shell';
import { lazyPart } from './fresh';
import { useWay } from './way';

const Plot = lazyPart(() => import('../places/plot/Plot').then((m) => m.Plot));
const BedPlace = lazyPart(() => import('../places/bed/BedPlace').then((m) => m.BedPlace));
const Bench = lazyPart(() => import('../places/bench/Bench').then((m) => m.Bench));
const Saw = lazyPart(() => import('../places/saw/Saw').then((m) => m.Saw));
const Cart = lazyPart(() => import('../places/cart/Cart').then((m) => m.Cart));
const Choose = lazyPart(() => import('../places/choose/Choose').then((m) => m.Choose));
const Build = lazyPart(() => import('../places/build/Build').then((m) => m.Build));
const Together = lazyPart(() => import('../places/together/Together').then((m) => m.Together));
const Book = lazyPart(() => import('../places/book/Book').then((m) => m.Book));
const Shelf = lazyPart(() => import('../places/shelf/Shelf').then((m) => m.Shelf));
const Settings = lazyPart(() => import('../places/settings/Settings').then((m) => m.Settings));
const Take = lazyPart(() => import('../places/take/Take').then((m) => m.Take));
const SideBySide = lazyPart(() => import('../places/sideBySide/SideBySide').then((m) => m.SideBySide));
const Paper = lazyPart(() => import('../places/paper/Paper').then((m) => m.Paper));

/** One place: what breaks in it is held there, and gone when another is gone to. */
function Place({ what, children }: { readonly what: string; readonly children: ReactNode }): ReactNode {
  return (
    <Boundary what={what} at={useLocation().pathname}>
      <Suspense fallback={<Waiting />}>{children}</Suspense>
    </Boundary>
  );
}

function ToPlot(): ReactNode {
  return <Navigate to={useWay()('plot')} replace />;
}

/** Every place by its address. */
export function App(): ReactNode {
  const place = (what: string, element: ReactNode): ReactNode => <Place what={what}>{element}</Place>;
  return (
    <Routes>
      <Route element={<Shell />}>
        <Route path="demo" element={place('The demo garden', <Demo />)} />
        <Route path="gardens" element={place('The list of gardens', <Gardens />)} />
        <Route path="take" element={place('The cover in the link', <Take />)} />
        <Route path="settings" element={place('The settings', <Settings />)} />
        <Route path="g/:gardenId" element={<Gate />}>
          <Route path="plot" element={place('The plot', <Plot />)} />
          <Route path="bed/:bedId" element={place('The bed', <BedPlace />)} />
          <Route path="choose/:bedId/:leaf?" element={place('The choice', <Choose />)} />
          <Route path="bench/:coverId/:leaf?" element={place('The bench', <Bench />)} />
          <Route path="saw/:coverId" element={place('The cut list', <Saw />)} />
          <Route path="cart/:coverId" element={place('The cart', <Cart />)} />
          <Route path="book/:leaf?" element={place('The day book', <Book />)} />
          <Route path="shelf/:leaf?" element={place('The shelf', <Shelf />)} />
          <Route path="settings" element={place('The settings', <Settings />)} />
          <Route path="versions/:coverId" element={place('The versions', <SideBySide />)} />
          <Route path="together/:leaf" element={place('The covers together', <Together />)} />
          <Route path="build/:coverId" element={place('The steps', <Build />)} />
          <Route path="paper/:coverId" element={place('The paper', <Paper />)} />
          <Route path="*" element={<ToPlot />} />
        </Route>
        <Route path="*" element={<OldAddress />} />
      </Route>
    </Routes>
  );
}
