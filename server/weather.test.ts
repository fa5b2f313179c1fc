import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedWeather } from '../core/judge/weather/simulated';
import type { Weather } from '../core/judge/weather/weather';
import { ASKED_A_MINUTE, weatherService } from './weather';

let server: Server;
let base: string;
beforeAll(async () => {
  server = express().use('/api', weatherService()).listen(0);
  await new Promise((ready) => server.once('listening', ready));
  base = `http://localhost:${(server.address() as AddressInfo).port}/api`;
});
afterAll(() => server.close());

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

test('one address asks so often and no more', async () => {
  const asked = await Promise.all(Array.from({ length: ASKED_A_MINUTE }, () => get('weather?')));
  expect(asked.some((a) => a.status === 429 && a.body.errors?.[0]?.field === 'request')).toBe(true);
});
