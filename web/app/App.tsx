import type { ReactNode } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { Gardens } from '../places/gardens/Gardens';
import { Boundary } from './Boundary';
import { Demo, Gate, OldAddress } from './Gate';
import {
  BedPlace,
  Bench,
  Book,
  Build,
  Cart,
  Choose,
  Paper,
  Plot,
  Saw,
  Settings,
  Shelf,
  SideBySide,
  Take,
  Together,
} from './places';
import { Shell } from './Shell';
import { useWay } from './way';

/** One place: what breaks in it is held there, and gone when another is gone to. */
function Place({ what, children }: { readonly what: string; readonly children: ReactNode }): ReactNode {
  return (
    <Boundary what={what} at={useLocation().pathname}>
      {children}
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
