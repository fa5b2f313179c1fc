import type { ReactNode } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import { Boundary } from './Boundary';
import { Demo, Gate, Home } from './Gate';
import { PARTS, PLACES } from './places';
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
        <Route path="gardens" element={place('The list of gardens', <PARTS.gardens />)} />
        <Route path="take" element={place('The cover in the link', <PARTS.take />)} />
        <Route path="settings" element={place('The settings', <PARTS.settings />)} />
        <Route path="g/:gardenId" element={<Gate />}>
          {PLACES.map(([key, path, what]) => {
            const Part = PARTS[key];
            return <Route key={key} path={path} element={place(what, <Part />)} />;
          })}
          <Route path="*" element={<ToPlot />} />
        </Route>
        <Route path="*" element={<Home />} />
      </Route>
    </Routes>
  );
}
