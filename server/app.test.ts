import { mkdirSync, mkdtempSync, readFileSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import pino from 'pino';
import { createApp } from './app';

let server: Server;
let base: string;
let dist: string;
const lines: string[] = [];

beforeAll(async () => {
  dist = mkdtempSync(join(tmpdir(), 'cabanon-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), `<script nonce="__CSP_NONCE__"></script>${' '.repeat(3000)}`);
  writeFileSync(join(dist, 'assets', 'app-123.js'), 'export {}');
  writeFileSync(join(dist, 'assets', 'app-123.js.br'), brotliCompressSync('export {}'));
  writeFileSync(join(dist, 'assets', 'app-123.js.gz'), gzipSync('export {}'));
  server = createApp(dist, pino({ base: null }, { write: (line: string) => void lines.push(line) })).listen(0);
  await new Promise((ready) => server.once('listening', ready));
  base = `http://localhost:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
  server.closeAllConnections();
});

test('the page has its own nonce each time, in the policy and in the page', async () => {
  const [one, two] = await Promise.all([fetch(`${base}/bench/x`), fetch(`${base}/`)]);
  const policy = one.headers.get('content-security-policy') ?? '';
  const nonce = /'nonce-([^']+)'/.exec(policy)?.[1] ?? 'none';
  expect(await one.text()).toContain(`nonce="${nonce}"`);
  expect(two.headers.get('content-security-policy')).not.toBe(policy);
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toContain('unsafe-inline');
  expect(policy).not.toContain("'unsafe-eval'");
  expect(one.headers.get('cache-control')).toBe('no-cache');
  expect(one.headers.get('content-encoding')).toBe('gzip');
  expect(one.headers.get('x-powered-by')).toBeNull();
});

test('built files come as they were compressed when they were built', async () => {
  for (const encoding of ['br', 'gzip']) {
    const asset = await fetch(`${base}/assets/app-123.js`, { headers: { 'accept-encoding': encoding } });
    expect(asset.headers.get('content-encoding')).toBe(encoding);
    expect(await asset.text()).toBe('export {}');
    expect(asset.headers.get('cache-control')).toContain('immutable');
  }
});

test('/index.html is the page with its nonce, and a new build is served as soon as it is there', async () => {
  const nonceIn = (text: string): string => /nonce="([^"]+)"/.exec(text)?.[1] ?? '';
  const page = await fetch(`${base}/index.html`);
  expect(page.headers.get('content-security-policy')).toContain(`'nonce-${nonceIn(await page.text())}'`);
  const file = join(dist, 'index.html');
  const old = readFileSync(file, 'utf8');
  writeFileSync(file, `${old}<p>second</p>`);
  utimesSync(file, new Date(), new Date(Date.now() + 5000));
  expect(await (await fetch(`${base}/`)).text()).toContain('second');
  // While a build is going on there is none.
  rmSync(file);
  expect(await (await fetch(`${base}/`)).text()).toContain('second');
  writeFileSync(file, old);
  expect(await (await fetch(`${base}/plot`)).text()).not.toContain('second');
});

test('requests are logged without the address they came from, and too many pages are refused', async () => {
  await fetch(`${base}/bench/x?secret=1`);
  const line = lines.find((l) => l.includes('/bench/x')) ?? '';
  expect(JSON.parse(line)).toMatchObject({ method: 'GET', path: '/bench/x', status: 200 });
  expect(lines.join('')).not.toMatch(/127\.0\.0\.1|::1|secret/);
  const statuses = await Promise.all(Array.from({ length: 650 }, async () => (await fetch(`${base}/sw.js`)).status));
  expect(statuses).toContain(429);
  // What is only read from the disk is not counted.
  expect((await fetch(`${base}/assets/app-123.js`)).status).toBe(200);
});

test('built files are kept for good, missing ones are not pages', async () => {
  const asset = await fetch(`${base}/assets/app-123.js`);
  expect(asset.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect((await fetch(`${base}/assets/gone.js`)).status).toBe(404);
  expect((await fetch(`${base}/assets/..%2f..%2fetc%2fpasswd`)).status).toBeGreaterThanOrEqual(400);
});

test('health answers', async () => {
  expect(await (await fetch(`${base}/health`)).json()).toEqual({ ok: true });
});
