/** The weather service: simulated, and marked so in every answer. A real one would answer the same questions in the same form. */
import express, { Router, type NextFunction, type Request, type Response } from 'express';
import { type ChildProcess, fork } from 'node:child_process';
import * as z from 'zod/mini';
import { between, text, whole } from '../core/base/schema';
import { bedModelSchema, pairReadings } from '../core/judge/climate/thermometer';
import { tendingSchema } from '../core/judge/climate/operation';
import { atMostAMinute, refuse } from './refusing';
import type { WeatherQuestion } from './weatherBeside';

/** Questions of one address in a minute. */
export const ASKED_A_MINUTE = 120;
const MOST_HOURS = 24 * 366;
const MOST_FORECAST_HOURS = 24 * 10;
/** The longest that a watched pair waits from hour to hour: a fortnight of hours goes by in half a minute. */
const MOST_PACE_MS = 80;
const MOST_PAIR_HOURS = 24 * 60;
const MOST_BODY = '60kb';

/** A number as an address writes it; nothing at all is no number. */
const number = (least: number, most: number) =>
  z.pipe(
    z.pipe(
      z.string().check(z.regex(/^-?\d{1,6}(\.\d{1,9})?$/, `must be a number from ${least} to ${most}`)),
      z.transform(Number),
    ),
    between(least, most),
  );
const count = (most: number) =>
  z.pipe(
    z.pipe(z.string().check(z.regex(/^\d{1,6}$/, `must be a whole number from 1 to ${most}`)), z.transform(Number)),
    between(1, most),
  );
const instant = z.iso.datetime({ offset: true, message: 'must be a time such as 2027-01-15T14:00:00Z' });
const placeSchema = z.strictObject({
  lat: number(-90, 90),
  lon: number(-180, 180),
  elevation: z._default(number(-500, 9000), 0),
  seed: z._default(text(40), ''),
});
const pastSchema = z.extend(placeSchema, { from: instant, hours: count(MOST_HOURS) });
const forecastSchema = z.extend(placeSchema, { issued: instant, hours: count(MOST_FORECAST_HOURS) });

/** Answers that are kept, the last asked for; a year of hours is about half a megabyte of text. */
const KEPT = 24;
/** Answers that may be worked out or wait for it at one time. */
const MOST_WAITING = 8;

/** Works answers out one at a time, each question once. */
export function inTurn(): (question: string, work: () => Promise<string>) => Promise<string> | undefined {
  const kept = new Map<string, string>();
  const coming = new Map<string, Promise<string>>();
  let last: Promise<unknown> = Promise.resolve();
  return (question, work) => {
    const known = kept.get(question);
    if (known !== undefined) {
      kept.delete(question);
      kept.set(question, known);
      return Promise.resolve(known);
    }
    const already = coming.get(question);
    if (already || coming.size >= MOST_WAITING) return already;
    const answer = last
      .then(work)
      .then((text) => {
        kept.set(question, text);
        const [oldest] = kept.keys();
        if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest);
        return text;
      })
      .finally(() => coming.delete(question));
    last = answer.catch(() => undefined);
    coming.set(question, answer);
    return answer;
  };
}

/** Asks a process beside the server, one question at a time; it is started by the first, and again where it broke. */
export function besideServer(): (question: WeatherQuestion) => Promise<string> {
  let beside: ChildProcess | undefined;
  const started = (): ChildProcess => {
    const child = fork(new URL('./weatherBeside.ts', import.meta.url), { execArgv: ['--import', 'tsx'] });
    // It ends with the server, and keeps it from ending at no time.
    child.unref();
    child.channel?.unref();
    const gone = (): void => {
      if (beside === child) beside = undefined;
    };
    // An error that nobody hears would end the server.
    child.on('exit', gone).on('error', gone);
    return child;
  };
  return (question) =>
    new Promise((answer, fail) => {
      const child = (beside ??= started());
      const broke = (): void => fail(new Error('the weather could not be worked out'));
      child.once('exit', broke).once('error', broke);
      child.once('message', (text: string) => {
        child.off('exit', broke).off('error', broke);
        answer(text);
      });
      child.send(question);
    });
}

/** Answers with what a schema reads of the question, or says of each field what would be right. */
function answering<T>(
  schema: z.ZodMiniType<T>,
  turn: ReturnType<typeof inTurn>,
  answer: (asked: T) => Promise<string>,
) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const read = schema.safeParse(request.query);
    response.set('Cache-Control', 'no-store');
    if (!read.success) return refuse(response, read.error);
    const coming = turn(`${request.path} ${JSON.stringify(read.data)}`, () => answer(read.data));
    if (coming) return void coming.then((text) => response.type('json').send(text), next);
    response
      .status(503)
      .set('Retry-After', '10')
      .json({ errors: [{ field: 'request', message: `at most ${MOST_WAITING} answers are worked out at one time` }] });
  };
}

const pairSchema = z.strictObject({
  lat: between(-90, 90),
  lon: between(-180, 180),
  elevation: between(-500, 9000),
  exposure: z.enum(['exposed', 'normal', 'sheltered']),
  utcHours: between(-14, 14),
  bed: bedModelSchema,
  // Who says nothing of snow brushes it off.
  tending: z.extend(tendingSchema, { brushes: z._default(z.boolean(), true) }),
  from: instant,
  hours: whole(1, MOST_PAIR_HOURS),
  seed: text(60),
  /** From one reading to the next, ms: a pair that is watched sends them one by one. */
  paceMs: z._default(whole(0, MOST_PACE_MS), 0),
});

/** A stream of readings: a line of JSON for each hour, as a pair of thermometers would send them; it ends when nobody hears it any more. */
async function streamPair(request: Request, response: Response): Promise<void> {
  const read = pairSchema.safeParse(request.body);
  response.set('Cache-Control', 'no-store');
  if (!read.success) return refuse(response, read.error);
  const q = read.data;
  const { store, ...bed } = q.bed;
  const place = {
    latitudeDeg: q.lat,
    longitudeDeg: q.lon,
    elevationM: q.elevation,
    exposure: q.exposure,
    utcHours: q.utcHours,
  };
  const readings = pairReadings({ ...bed, store }, place, q.tending, Date.parse(q.from), q.hours, q.seed);
  response.type('application/x-ndjson');
  response.write(`${JSON.stringify({ source: 'Simulated thermometers', simulated: true })}\n`);
  for (const [i, r] of readings.entries()) {
    if (!response.write(`${JSON.stringify(r)}\n`)) await new Promise((drained) => response.once('drain', drained));
    if (response.destroyed) return;
    // Others are served in between.
    if (q.paceMs > 0) await new Promise((next) => setTimeout(next, q.paceMs));
    else if (i % 200 === 199) await new Promise((next) => setImmediate(next));
  }
  response.end();
}

/**
 * `GET /api/weather?lat&lon&elevation&from&hours`: hours that have been.
 * `GET /api/forecast?lat&lon&elevation&issued&hours`: what a forecast issued then says of the hours after it.
 * `POST /api/thermometers`: what a pair of thermometers in and beside a bed showed, hour by hour, as lines of JSON.
 */
export function weatherService(): Router {
  const router = Router();
  router.use(atMostAMinute(ASKED_A_MINUTE));
  const turn = inTurn();
  const worked = besideServer();
  const asked = (kind: WeatherQuestion['kind'], q: z.infer<typeof placeSchema>, from: string, hours: number) =>
    worked({
      kind,
      latitudeDeg: q.lat,
      longitudeDeg: q.lon,
      elevationM: q.elevation,
      seed: q.seed,
      fromMs: Date.parse(from),
      hours,
    });
  router.get(
    '/weather',
    answering(pastSchema, turn, (q) => asked('past', q, q.from, q.hours)),
  );
  router.get(
    '/forecast',
    answering(forecastSchema, turn, (q) => asked('forecast', q, q.issued, q.hours)),
  );
  router.post('/thermometers', express.json({ limit: MOST_BODY }), (request, response, next) => {
    streamPair(request, response).catch(next);
  });
  return router;
}
