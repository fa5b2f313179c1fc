import express from 'express';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { placesService, townsCalled } from './places';

const called = (q: string) => townsCalled(q).map((t) => `${t.name} ${t.region} ${t.country}`);

test('a town is found by the beginning of its name, with or without its marks, the one called so first', () => {
  expect(called('zurich')[0]).toBe('Zürich ZH CH');
  expect(called('Zürich')).toEqual(called('zurich'));
  // Montpelier of Vermont is small, but Montpellier is called otherwise.
  expect(called('montpelier')[0]).toBe('Montpelier VT US');
  expect(called('springf').length).toBeGreaterThan(3);
  expect(called('')).toEqual([]);
  expect(called('xqzzy')).toEqual([]);
});

test('a comma says where', () => {
  expect(called('springfield, il')).toEqual(expect.arrayContaining(['Springfield IL US']));
  expect(called('springfield, il').every((t) => t.includes(' IL '))).toBe(true);
  expect(called('paris, us').every((t) => t.endsWith(' US'))).toBe(true);
  // As the field itself writes a town that was chosen, while it is typed too.
  expect(called('Oslo, Norway')).toEqual(called('oslo, no'));
  expect(called('Springfield, IL, United Sta')).toEqual(called('springfield, il'));
  expect(called('oslo, atlantis')).toEqual([]);
});

test('Burlington of Vermont lies where it lies', () => {
  const [town] = townsCalled('burlington, vt');
  expect(town?.latitudeDeg).toBeCloseTo(44.5, 1);
  expect(town?.longitudeDeg).toBeCloseTo(-73.2, 1);
});

describe('asked over the network', () => {
  let server: Server;
  let base: string;
  beforeAll(async () => {
    server = express().use('/api', placesService()).listen(0);
    await new Promise((ready) => server.once('listening', ready));
    base = `http://localhost:${(server.address() as AddressInfo).port}/api/places`;
  });
  afterAll(() => {
    server.close();
    server.closeAllConnections();
  });

  test('towns come as a list; a bad question is refused by its field', async () => {
    const good = await fetch(`${base}?q=oslo`);
    expect(((await good.json()) as { towns: { name: string }[] }).towns[0]?.name).toBe('Oslo');
    for (const bad of ['', '?q=', '?q=a', `?q=${'x'.repeat(61)}`, '?q=oslo&q=rome', '?q=oslo&more=1']) {
      const refused = await fetch(base + bad);
      expect(refused.status).toBe(400);
      expect(((await refused.json()) as { errors: { field: string }[] }).errors.length).toBeGreaterThan(0);
    }
  });
});
