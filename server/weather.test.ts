import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedWeather } from '../core/judge/weather/simulated';
import type { Weather } from '../core/judge/weather/weather';
import { ASKED_A_MINUTE, besideServer, inTurn, weatherService } from './weather';

let server: Server;
let base: string;
beforeAll(async () => {
  server = express().use('/api', weatherService()).listen(0);
  await new Promise((ready) => server.once('listening', ready));
  base = `http://localhost:${(server.address() as AddressInfo).port}/api`;
});
afterAll(() => {
  server.close();
  server.closeAllConnections();
});

const HERE = 'lat=44.1&lon=-72.6&elevation=380';
const get = async (path: string) => {
  const response = await fetch(`${base}/${path}`);
  return {
    status: response.status,
    body: (await response.json()) as Weather & { errors?: { field: string; message: string }[] },
  };
};

test('weather that has been, and what a forecast says of it: simulated, marked so, and the same when asked again', async () => {
  const past = await get(`weather?${HERE}&from=2027-01-15T00:00:00Z&hours=48`);
  expect(past.status).toBe(200);
  expect(past.body.simulated).toBe(true);
  expect(past.body.source).toContain('Simulated');
  const same = simulatedWeather(
    { latitudeDeg: 44.1, longitudeDeg: -72.6, elevationM: 380 },
    '',
    Date.parse('2027-01-15T00:00:00Z'),
    48,
  );
  past.body.airC.forEach((t, i) => expect(t).toBeCloseTo(same.airC[i] ?? NaN, 1));
  const told = await get(`forecast?${HERE}&issued=2027-01-15T06:00:00Z&hours=48`);
  expect(told.body.airC).toHaveLength(48);
  expect(told.body.airC).not.toEqual(past.body.airC);
  expect((await get(`forecast?${HERE}&issued=2027-01-15T06:00:00Z&hours=48`)).body).toEqual(told.body);
});

test('many years at once: each is worked out once, eight may wait, and the rest are told to come again', async () => {
  const turn = inTurn();
  const worked: number[] = [];
  const work = (n: number) => () => Promise.resolve(String(worked.push(n)));
  const asking = Array.from({ length: 10 }, (_, n) => turn(`year ${n}`, work(n)));
  expect(asking.map((a) => a !== undefined)).toEqual([...Array<boolean>(8).fill(true), false, false]);
  // The same question waits for the same answer.
  expect(turn('year 3', work(99))).toBe(asking[3]);
  await Promise.all(asking);
  expect(worked).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  // Kept, it is not worked out again; where there is room again another is.
  expect(await turn('year 3', work(99))).toBe(await asking[3]);
  await turn('year 9', work(9));
  expect(worked).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 9]);
  // One that breaks keeps nobody from the next.
  await expect(turn('broken', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
  expect(await turn('after', () => Promise.resolve('it goes on'))).toBe('it goes on');
});

test('years are worked out beside the server: what is asked meanwhile is answered first', async () => {
  const order: string[] = [];
  const years = Array.from({ length: 6 }, (_, n) =>
    get(`weather?lat=${30 + n}&lon=0&from=2027-01-01T00:00:00Z&hours=8760`).then(() => order.push('year')),
  );
  // The first one has begun.
  await new Promise((begun) => setTimeout(begun, 20));
  await get('weather?').then(() => order.push('at once'));
  expect(order).toEqual(['at once']);
  await Promise.all(years);
  expect(order).toHaveLength(7);
});

test('a question that breaks the process beside the server is refused, and the next is answered by another', async () => {
  const ask = besideServer();
  const question = {
    kind: 'past',
    latitudeDeg: 44,
    longitudeDeg: 0,
    elevationM: 0,
    seed: '',
    fromMs: 0,
    hours: 3,
  } as const;
  // A list cannot be longer than 2^32 - 1.
  await expect(ask({ ...question, hours: 2 ** 33 })).rejects.toThrow('could not be worked out');
  expect((JSON.parse(await ask(question)) as Weather).airC).toHaveLength(3);
});

test.each([
  ['weather?lon=0&from=2027-01-15T00:00:00Z&hours=2', 'lat'],
  ['weather?lat=&lon=0&from=2027-01-15T00:00:00Z&hours=2', 'lat'],
  ['weather?lat=91&lon=0&from=2027-01-15T00:00:00Z&hours=2', 'lat'],
  ['weather?lat=1&lon=0&from=soon&hours=2', 'from'],
  ['weather?lat=1&lon=0&from=2027-01-15T00:00:00Z&hours=1e9', 'hours'],
  ['weather?lat=1&lon=0&from=2027-01-15T00:00:00Z&hours=100000', 'hours'],
  ['weather?lat=1&lat=2&lon=0&from=2027-01-15T00:00:00Z&hours=2', 'lat'],
  ['forecast?lat=1&lon=0&issued=2027-01-15T00:00:00Z&hours=300', 'hours'],
])('%s is refused, naming the field', async (path, field) => {
  const { status, body } = await get(path);
  expect(status).toBe(400);
  expect(body.errors?.map((e) => e.field)).toContain(field);
});

const BED = {
  faces: [{ east: 0, north: 0, up: 1, m2: 4, light: 0.9, uWPerM2K: 6.3 }],
  horizon: [],
  floorM2: 3,
  canopy: [{ east: 0, north: 1, m2: 0.5 }],
  volumeM3: 1.5,
  heightM: 0.6,
  wallsWPerK: 0,
  leaksPerHour: 1.2,
  leaksRange: [0.5, 2],
  draught: Object.fromEntries(['hand', 'wax', 'louvre'].map((k) => [k, { m2: 0, byWarmth: 0, byWind: 0 }])),
  sides: { m: 0, highM: 0, wPerM2K: 0 },
  blanketM2KPerW: 0,
  lightsW: 0,
};
const PAIR = {
  lat: 44.1,
  lon: -72.6,
  elevation: 380,
  exposure: 'normal',
  utcHours: -5,
  bed: BED,
  tending: {
    open: null,
    fromC: 7,
    forgets: [],
    blanket: { from: 16, to: 8 },
    lights: { from: 20, to: 7 },
    brushes: true,
  },
  from: '2027-03-01T05:00:00Z',
  hours: 120,
  seed: 'a bed',
};
const post = (body: unknown): Promise<globalThis.Response> =>
  fetch(`${base}/thermometers`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

test('a pair of thermometers sends an hour a line, marked as simulated, the same when asked again', async () => {
  const lines = async (): Promise<{ ms?: number; insideC?: number; outsideC?: number; simulated?: boolean }[]> =>
    (await (await post(PAIR)).text())
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { ms?: number });
  const [head, ...hours] = await lines();
  expect(head?.simulated).toBe(true);
  expect(hours.length).toBeGreaterThan(110);
  expect(hours.length).toBeLessThanOrEqual(120);
  expect(Math.max(...hours.map((h) => (h.insideC ?? 0) - (h.outsideC ?? 0)))).toBeGreaterThan(5);
  expect((await lines()).slice(1)).toEqual(hours);
});

test('a pair that is watched sends its hours one by one, and stops when nobody hears it', async () => {
  const parts = async (paceMs: number): Promise<number> => {
    const reader = (await post({ ...PAIR, hours: 24, paceMs })).body?.getReader();
    let come = 0;
    while (!((await reader?.read()) ?? { done: true }).done) come++;
    return come;
  };
  expect(await parts(20)).toBeGreaterThan(5);
  const left = await post({ ...PAIR, hours: 1440, paceMs: 80 });
  await left.body?.cancel();
  expect((await post({ ...PAIR, paceMs: 5000 })).status).toBe(400);
});

test('what is no bed is refused by its field, and what is too large is not read', async () => {
  const refused = await post({ ...PAIR, bed: { ...BED, floorM2: 0 }, hours: 1e9 });
  expect(refused.status).toBe(400);
  const { errors } = (await refused.json()) as { errors: { field: string }[] };
  expect(errors.map((e) => e.field)).toEqual(expect.arrayContaining(['bed.floorM2', 'hours']));
  expect((await post({ ...PAIR, seed: 'x'.repeat(100_000) })).status).toBe(413);
});

test('one address asks so often and no more', async () => {
  const asked = await Promise.all(Array.from({ length: ASKED_A_MINUTE }, () => get('weather?')));
  expect(asked.some((a) => a.status === 429 && a.body.errors?.[0]?.field === 'request')).toBe(true);
});
