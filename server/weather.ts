/** The weather service: simulated, and marked so in every answer. A real one would answer the same questions in the same form. */
import { Router, type Request, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { issueFaults } from '../core/base/issues';
import { simulatedForecast, simulatedWeather } from '../core/judge/weather/simulated';
import { WEATHER_LISTS, type Weather } from '../core/judge/weather/weather';

/** Questions of one address in a minute. */
export const ASKED_A_MINUTE = 120;
const MOST_HOURS = 24 * 366;
const MOST_FORECAST_HOURS = 24 * 10;

/** A number as an address writes it; nothing at all is no number. */
const number = (least: number, most: number) =>
  z
    .string()
    .regex(/^-?\d{1,6}(\.\d{1,9})?$/, `must be a number from ${least} to ${most}`)
    .transform(Number)
    .pipe(z.number().min(least).max(most));
const count = (most: number) =>
  z
    .string()
    .regex(/^\d{1,6}$/, `must be a whole number from 1 to ${most}`)
    .transform(Number)
    .pipe(z.number().min(1).max(most));
const instant = z.iso.datetime({ offset: true, message: 'must be a time such as 2027-01-15T14:00:00Z' });
const place = {
  lat: number(-90, 90),
  lon: number(-180, 180),
  elevation: number(-500, 9000).default(0),
  seed: z.string().max(40).default(''),
};
const pastSchema = z.strictObject({ ...place, from: instant, hours: count(MOST_HOURS) });
const forecastSchema = z.strictObject({
  ...place,
  issued: instant,
  hours: count(MOST_FORECAST_HOURS),
});

const DECIMALS: Readonly<Partial<Record<keyof Weather, number>>> = { sunWPerM2: 0, cloud: 2, rainMm: 2, snowMm: 1 };
/** As finely as weather is known: a tenth. */
function rounded(w: Weather): Weather {
  return WEATHER_LISTS.reduce((all, k) => ({ ...all, [k]: w[k].map((x) => Number(x.toFixed(DECIMALS[k] ?? 1))) }), w);
}

/** Answers with what a schema reads of the question, or says of each field what would be right. */
function answering<T>(schema: z.ZodType<T>, answer: (asked: T) => unknown) {
  return (request: Request, response: Response): void => {
    const read = schema.safeParse(request.query);
    response.set('Cache-Control', 'no-store');
    if (read.success) response.json(answer(read.data));
    else response.status(400).json({ errors: issueFaults(read.error.issues) });
  };
}

/**
 * `GET /api/weather?lat&lon&elevation&from&hours`: hours that have been.
 * `GET /api/forecast?lat&lon&elevation&issued&hours`: what a forecast issued then says of the hours after it.
 */
export function weatherService(): Router {
  const router = Router();
  router.use(
    rateLimit({
      windowMs: 60_000,
      limit: ASKED_A_MINUTE,
      standardHeaders: true,
      legacyHeaders: false,
      message: { errors: [{ field: 'request', message: `at most ${ASKED_A_MINUTE} questions a minute` }] },
    }),
  );
  const where = (q: { lat: number; lon: number; elevation: number }) => ({
    latitudeDeg: q.lat,
    longitudeDeg: q.lon,
    elevationM: q.elevation,
  });
  router.get(
    '/weather',
    answering(pastSchema, (q) => rounded(simulatedWeather(where(q), q.seed, Date.parse(q.from), q.hours))),
  );
  router.get(
    '/forecast',
    answering(forecastSchema, (q) => rounded(simulatedForecast(where(q), q.seed, Date.parse(q.issued), q.hours))),
  );
  return router;
}
