/** What a browser, a server and a build may do to an open page, each in a real Chromium against the built app. */
import { type Browser, type BrowserContext, type Page, chromium } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { REFUSALS, type Refusal, keepsNothing, refuse } from '../../e2e/trials';
import { createApp } from '../../server/app';
import { type Tally, fails, tally, thrownFrom } from './trial';

const ARGS = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];
const BENCH = '/g/demo/bench/winter-lid';

interface Tried {
  readonly browser: Browser;
  readonly base: string;
  /** The folder that is served. */
  readonly dist: string;
}

const pipe = (page: Page) => page.getByTestId('dim-pipeLength');

async function openDemo({ base }: Tried, page: Page): Promise<void> {
  await page.goto(`${base}/demo`);
  await pipe(page).waitFor({ timeout: 30_000 });
}

/** Types so many inches and gives the time at which the page took them. */
async function typeInches(page: Page, inches: number): Promise<void> {
  await pipe(page).click();
  await pipe(page).fill(String(inches));
  await pipe(page).press('Enter');
}

/** One trial in a browser of its own; whatever it throws has failed. */
async function one(
  t: Tally,
  tried: Tried,
  what: string,
  trial: (context: BrowserContext, page: Page) => Promise<void>,
): Promise<void> {
  t.tried++;
  const began = performance.now();
  const context = await tried.browser.newContext({ serviceWorkers: 'block', viewport: { width: 1280, height: 800 } });
  try {
    // What runs these scripts marks their functions with a helper that pages do not have.
    await context.addInitScript('globalThis.__name ??= (it) => it');
    await trial(context, await context.newPage());
    t.through++;
  } catch (error) {
    fails(t, `${what}: ${thrownFrom(error)}`, what);
  }
  t.worstMs = Math.max(t.worstMs, performance.now() - began);
  await context.close().catch(() => undefined);
}

function must(so: boolean, what: string): void {
  if (!so) throw new Error(what);
}

async function refusals(tried: Tried): Promise<Tally> {
  const t = tally('a browser that refuses something');
  for (const refusal of Object.keys(REFUSALS) as Refusal[])
    await one(t, tried, refusal, async (_context, page) => {
      await refuse(page, refusal);
      await openDemo(tried, page);
      await typeInches(page, 81);
      const line = page.getByRole('alert').filter({ hasText: 'Not saved since' });
      if (keepsNothing(refusal)) await line.waitFor({ timeout: 15_000 });
      else {
        await page.waitForTimeout(300);
        must((await line.count()) === 0, 'it says that nothing is kept');
        await page.reload();
        await pipe(page).waitFor();
      }
      must((await pipe(page).inputValue()) === `6' 9"`, 'the edit is lost');
    });
  return t;
}

/** How old an edit may be and be lost, ms. */
const OLD_MS = 50;

async function kills(tried: Tried, seed: number, count: number): Promise<Tally> {
  const t = tally(`a page killed, edits older than ${OLD_MS} ms`);
  for (let n = 0; n < count; n++)
    await one(t, tried, `kill ${n}`, async (context, page) => {
      await openDemo(tried, page);
      const session = await context.newCDPSession(page);
      const sure: number[] = [];
      // A run of edits; the page dies at any moment of it.
      for (let inches = 76; inches < 79 + (n % 4); inches++) {
        await typeInches(page, inches);
        sure.push(inches);
        await page.waitForTimeout(((seed * 7 + n * 13) % 5) * 10);
      }
      await page.waitForTimeout(OLD_MS);
      void session.send('Page.crash').catch(() => undefined);
      const next = await context.newPage();
      await next.goto(`${tried.base}${BENCH}`);
      await pipe(next).waitFor();
      const want = sure.at(-1) ?? 0;
      const shown = await pipe(next).inputValue();
      const feet = Math.floor(want / 12);
      must(shown === `${feet}' ${want - feet * 12}"`, `${want} in was typed, ${shown} is there`);
    });
  return t;
}

/** The whole browser killed, as when the machine runs out of memory. */
async function browserKills({ base }: Tried, count: number): Promise<Tally> {
  const t = tally(`the browser killed, edits older than ${OLD_MS} ms`);
  for (let n = 0; n < count; n++) {
    t.tried++;
    const began = performance.now();
    const profile = mkdtempSync(join(tmpdir(), 'cabanon-profile-'));
    const open = () =>
      chromium.launchPersistentContext(profile, {
        executablePath: '/usr/bin/chromium',
        args: ARGS,
        serviceWorkers: 'block',
      });
    try {
      const page = await (await open()).newPage();
      await page.goto(`${base}/demo`);
      await pipe(page).waitFor();
      for (const inches of [77, 78, 80]) await typeInches(page, inches);
      await page.waitForTimeout(OLD_MS);
      spawnSync('pkill', ['-9', '-f', profile]);
      const again = await open();
      const next = await again.newPage();
      await next.goto(`${base}${BENCH}`);
      await pipe(next).waitFor();
      must((await pipe(next).inputValue()) === `6' 8"`, `${await pipe(next).inputValue()} is there`);
      t.through++;
      await again.close();
    } catch (error) {
      fails(t, thrownFrom(error), `browser kill ${n}`);
    }
    t.worstMs = Math.max(t.worstMs, performance.now() - began);
    rmSync(profile, { recursive: true, force: true });
  }
  return t;
}

async function builds(tried: Tried): Promise<Tally> {
  const t = tally('parts that do not come, builds that change');
  const places: readonly (readonly [link: string, part: string])[] = [
    ['Plot', 'Plot'],
    ['Bed', 'BedPlace'],
    ['Choose', 'Choose'],
    ['Saw', 'Saw'],
    ['Cart', 'Cart'],
    ['Build', 'Build'],
    ['Shelf', 'Shelf'],
    ['Stand', 'StandLeaf'],
    ['Air', 'AirLeaf'],
    ['Round', 'RoundView'],
  ];
  for (const [link, part] of places)
    await one(t, tried, `${part} is blocked`, async (_context, page) => {
      await openDemo(tried, page);
      await page.route(`**/assets/${part}-*.js`, (route) => route.abort());
      await page.route(`${tried.base}/`, (route) => route.abort());
      await page.getByRole('link', { name: link, exact: true }).first().click();
      await page.getByText('A part of Cabanon did not come').waitFor();
      must(await page.getByText('Your garden is safe').isVisible(), 'it does not say that the garden is safe');
    });
  for (const [link] of places.slice(0, 7))
    await one(t, tried, `a new build before ${link}`, async (_context, page) => {
      await openDemo(tried, page);
      await typeInches(page, 80);
      // Every part has another name in the new build, as when everything changed.
      const undo = newBuild(tried.dist);
      try {
        await page.getByRole('link', { name: link, exact: true }).first().click();
        await page.waitForURL(new RegExp(`/${link.toLowerCase()}`));
        await page.locator('h1').first().waitFor();
        await page.getByText('A part of Cabanon did not come').waitFor({ state: 'detached', timeout: 15_000 });
        await page.goto(`${tried.base}${BENCH}`);
        await pipe(page).waitFor();
        must((await pipe(page).inputValue()) === `6' 8"`, 'the edit is lost');
      } finally {
        undo();
      }
    });
  await one(t, tried, 'the server is gone', async (context, page) => {
    await openDemo(tried, page);
    await context.setOffline(true);
    await page.getByRole('link', { name: 'Cart', exact: true }).first().click();
    await page.getByText('A part of Cabanon did not come').waitFor();
    await context.setOffline(false);
    await page.getByRole('button', { name: 'Fetch it again' }).click();
    await page.getByRole('heading', { level: 1, name: 'Shopping list' }).waitFor();
  });
  for (const [what, hurt] of [
    ['Worker is not there', () => Object.defineProperty(window, 'Worker', { value: undefined })],
    [
      'Worker throws',
      () =>
        Object.defineProperty(window, 'Worker', {
          value: function () {
            throw new DOMException('denied', 'SecurityError');
          },
        }),
    ],
  ] as const)
    await one(t, tried, what, async (_context, page) => {
      await page.addInitScript(hurt);
      await openDemo(tried, page);
      await page.getByRole('link', { name: 'Choose', exact: true }).click();
      await page.getByText('This could not be worked out').first().waitFor();
    });
  await one(t, tried, 'the worker’s part is gone', async (_context, page) => {
    await page.route('**/assets/jobs.worker-*.js', (route) => route.abort());
    await openDemo(tried, page);
    await page.getByRole('link', { name: 'Choose', exact: true }).click();
    await page.getByText('This could not be worked out').first().waitFor();
  });
  await one(t, tried, 'WebGL is not there', async (_context, page) => {
    await page.addInitScript(() => {
      HTMLCanvasElement.prototype.getContext = () => null;
    });
    await openDemo(tried, page);
    await page.getByRole('link', { name: 'Round', exact: true }).click();
    await page.getByText('This browser cannot draw in the round').waitFor();
  });
  return t;
}

/** Puts a build in place of the one that is served, in which every part has another name; gives the way back. */
function newBuild(dist: string): () => void {
  const kept = `${dist}-kept`;
  cpSync(dist, kept, { recursive: true });
  const assets = join(dist, 'assets');
  const names = readdirSync(assets).filter((f) => f.endsWith('.js'));
  const renamed = new Map(names.map((name) => [name, name.replace(/\.js$/, 'N.js')]));
  const rewrite = (text: string): string => {
    for (const [from, to] of renamed) text = text.replaceAll(from, to);
    return text;
  };
  for (const file of readdirSync(assets)) if (/\.(br|gz)$/.test(file)) rmSync(join(assets, file));
  for (const [from, to] of renamed) {
    const text = rewrite(readFileSync(join(assets, from), 'utf8'));
    renameSync(join(assets, from), join(assets, to));
    writeFileSync(join(assets, to), text);
  }
  writeFileSync(join(dist, 'index.html'), rewrite(readFileSync(join(dist, 'index.html'), 'utf8')));
  return () => {
    rmSync(dist, { recursive: true });
    renameSync(kept, dist);
  };
}

/** Every browser trial. */
export async function tryBrowser(seed: number, killed = 60): Promise<readonly Tally[]> {
  const dist = join(mkdtempSync(join(tmpdir(), 'cabanon-')), 'dist');
  cpSync('dist', dist, { recursive: true });
  const server: Server = createApp(dist).listen(0, '127.0.0.1');
  await new Promise((ready) => server.once('listening', ready));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ARGS });
  const tried = { browser, base, dist };
  try {
    return [
      await refusals(tried),
      await builds(tried),
      await kills(tried, seed, killed),
      await browserKills(tried, 10),
    ];
  } finally {
    await browser.close();
    server.close();
    server.closeAllConnections();
  }
}
