import { expect, expectAccessible, openDemo, test } from './app';

const SCREENS = [
  '/gardens',
  '/g/demo/plot',
  '/g/demo/bed/crooked',
  '/g/demo/choose/long',
  '/g/demo/choose/long/kinds',
  '/g/demo/bench/winter-lid',
  '/g/demo/bench/salad-tunnel/stand',
  '/g/demo/bench/salad-tunnel/skin',
  '/g/demo/bench/salad-tunnel/air',
  '/g/demo/bench/salad-tunnel/round',
  '/g/demo/book',
  '/g/demo/book/year',
  '/g/demo/book/log',
  '/g/demo/book/winter',
  '/g/demo/saw/winter-lid',
  '/g/demo/cart/winter-lid',
  '/g/demo/versions/winter-lid',
  '/g/demo/together/saw',
  '/g/demo/shelf',
  '/g/demo/shelf/catalogue',
  '/g/demo/build/winter-lid',
  '/g/demo/paper/winter-lid',
];

/** Two tests side by side, each of which loads the app once and walks through every other screen. */
const WALKS = [0, 1].map((first) => SCREENS.filter((_, i) => i % 2 === first));

for (const screens of WALKS)
  test(`no access fault in any theme on ${screens.join(', ')}`, async ({ page }) => {
    test.setTimeout(300_000);
    await openDemo(page);
    for (const screen of screens)
      await test.step(screen, async () => {
        await page.evaluate((path) => {
          history.pushState(null, '', path);
          dispatchEvent(new PopStateEvent('popstate'));
        }, screen);
        // The place before it is gone, and this one is there.
        await page.waitForTimeout(150);
        await expect(page.getByText('Opening…')).toHaveCount(0);
        await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
        if (/saw|cart|paper/.test(screen)) await expect(page.getByText(/2x4/).first()).toBeVisible();
        await expect(page.getByText(/^(Trying|Working) .*…$/)).toHaveCount(0);
        // Structure is the same in every theme, so it is read once; contrast is read in each.
        for (const theme of ['day', 'evening', 'outdoor'] as const) {
          await page.evaluate((name) => (document.documentElement.dataset['theme'] = name), theme);
          await expectAccessible(page, theme === 'day' ? undefined : ['color-contrast']);
        }
      });
  });
