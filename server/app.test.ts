import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';

let server: Server;
let base: string;

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'cabanon-dist-'));
  mkdirSync(join(dist, 'assets'));
  writeFileSync(join(dist, 'index.html'), `<script nonce="__CSP_NONCE__"></script>${' '.repeat(3000)}`);
  writeFileSync(join(dist, 'assets', 'app-123.js'), 'export {}');
  server = createApp(dist).listen(0);
  await new Promise((ready) => server.once('listening', ready));
  base = `http://localhost:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

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

test('built files are kept for good, missing ones are not pages', async () => {
  const asset = await fetch(`${base}/assets/app-123.js`);
  expect(asset.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect((await fetch(`${base}/assets/gone.js`)).status).toBe(404);
  expect((await fetch(`${base}/assets/..%2f..%2fetc%2fpasswd`)).status).toBeGreaterThanOrEqual(400);
});

test('health answers', async () => {
  expect(await (await fetch(`${base}/health`)).json()).toEqual({ ok: true });
});
