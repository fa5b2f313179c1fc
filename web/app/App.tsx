import type { ReactNode } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { Gardens } from '../places/gardens/Gardens';
import { Boundary } from './Boundary';
import { Demo, Gate, OldAddress } from './Gate';
import { PLACES, Settings, Take } from './places';
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
          {PLACES.map(({ path, what, Part }) => (
            <Route key={path} path={path} element={place(what, <Part />)} />
          ))}
          <Route path="*" element={<ToPlot />} />
        </Route>
        <Route path="*" element={<OldAddress />} />
      </Route>
    </Routes>
  );
}
