/** npm run screenshots: one current picture of each main view, from the demo garden, into docs/screenshots/. */
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const PORT = 4392;
const VIEWS: readonly {
  readonly name: string;
  readonly path: string;
  readonly phone?: boolean;
  readonly theme?: string;
  /** Buttons that are pressed first, and what then stands there. */
  readonly press?: readonly string[];
  readonly until?: string;
}[] = [
  { name: 'gardens', path: '/gardens' },
  { name: 'plot', path: '/g/demo/plot' },
  { name: 'bed', path: '/g/demo/bed/crooked' },
  {
    name: 'choose',
    path: '/g/demo/choose/long',
    press: ['through the winter', 'against insects', 'Find the best covers'],
    until: 'What each wish costs',
  },
  { name: 'bench', path: '/g/demo/bench/winter-lid' },
  { name: 'stand', path: '/g/demo/bench/winter-lid/stand' },
  { name: 'skin', path: '/g/demo/bench/salad-tunnel/skin' },
  { name: 'air', path: '/g/demo/bench/winter-lid/air' },
  { name: 'round', path: '/g/demo/bench/winter-lid/round' },
  { name: 'versions', path: '/g/demo/versions/winter-lid', until: 'Wet snow' },
  { name: 'year', path: '/g/demo/book/year' },
  { name: 'saw', path: '/g/demo/saw/winter-lid' },
  { name: 'cart', path: '/g/demo/cart/winter-lid' },
  { name: 'build', path: '/g/demo/build/winter-lid' },
  { name: 'paper', path: '/g/demo/paper/winter-lid' },
  { name: 'catalogue', path: '/g/demo/shelf/catalogue?kind=cover&thing=film-uv', theme: 'evening' },
  { name: 'bench-outdoor-phone', path: '/g/demo/bench/salad-tunnel', theme: 'outdoor', phone: true },
  { name: 'bed-phone', path: '/g/demo/bed/long', phone: true },
  { name: 'build-phone', path: '/g/demo/build/salad-tunnel', phone: true },
];

const server = spawn(
  process.execPath,
  [
    '--import',
    import.meta.resolve('tsx'),
    new URL('../server/main.ts', import.meta.url).pathname,
    '--port',
    String(PORT),
  ],
  {
    stdio: ['ignore', 'pipe', 'inherit'],
  },
);
await new Promise<void>((ready) => server.stdout.once('data', () => ready()));
const chrome = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
});
try {
  // All of them, or those that are named.
  for (const view of VIEWS.filter((v) => process.argv.length < 3 || process.argv.includes(v.name))) {
    const page = await chrome.newPage({
      viewport: view.phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    });
    await page.goto(`http://localhost:${PORT}/demo`);
    await page.getByTestId('strip-price').waitFor();
    await page.evaluate((theme) => localStorage.setItem('cabanon.theme', theme), view.theme ?? 'day');
    await page.goto(`http://localhost:${PORT}${view.path}`);
    await page.waitForLoadState('networkidle');
    // The drawing comes first, what is said of it after.
    if (view.path.startsWith('/bench')) await page.getByTestId('strip-price').waitFor();
    for (const name of view.press ?? []) await page.getByRole('button', { name, exact: true }).click();
    if (view.until !== undefined) await page.getByText(view.until).first().waitFor({ timeout: 300_000 });
    await page.waitForTimeout(1500);
    await page.screenshot({ path: new URL(`../docs/screenshots/${view.name}.png`, import.meta.url).pathname });
    await page.close();
  }
} finally {
  await chrome.close();
  server.kill();
}
