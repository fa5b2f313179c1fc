/** Read before the rest of the program: the place that the address names is fetched while the program begins. */
import { LOADS, demoOf, placeAt } from './app/loads';

const place = placeAt(location.pathname);
const coming = [place && LOADS[place](), location.pathname === '/demo' && demoOf()];
// What does not come is told where it is gone to.
Promise.all(coming).catch(() => undefined);
