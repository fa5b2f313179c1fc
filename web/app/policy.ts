/** Read before any schema is made: the page's content policy allows no code that is made at run time, and asking for it is slow. */
import { config } from 'zod/mini';

config({ jitless: true });
