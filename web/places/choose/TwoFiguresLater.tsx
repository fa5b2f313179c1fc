import { lazyPart } from '../../app/appUpdate';

/** The chart of two figures, fetched when it is first shown. */
export const TwoFiguresLater = lazyPart(
  () => import('./TwoFigures').then((m) => m.default),
  <p role="status">Opening the chart…</p>,
);
