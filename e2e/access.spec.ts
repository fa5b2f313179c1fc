import { expect, expectAccessible, openDemo, test } from './app';

const SCREENS = [
  '/gardens',
  '/plot',
  '/bed/crooked',
  '/choose/long',
  '/bench/winter-lid',
  '/bench/salad-tunnel/stand',
  '/bench/salad-tunnel/skin',
  '/bench/salad-tunnel/air',
  '/bench/salad-tunnel/round',
  '/saw/winter-lid',
  '/cart/winter-lid',
  '/versions/winter-lid',
  '/together/saw',
  '/shelf',
  '/shelf/catalogue',
  '/build/winter-lid',
  '/paper/winter-lid',
];

// Structure is the same in every theme, so it is read once; contrast is read in each.
for (const screen of SCREENS)
  test(`no access fault on ${screen} in any theme`, async ({ page }) => {
    test.setTimeout(120_000);
    await openDemo(page);
    await page.goto(screen);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    if (/saw|cart|paper/.test(screen)) await expect(page.getByText(/2x4/).first()).toBeVisible();
    await expect(page.getByText(/^(Trying|Working) .*…$/)).toHaveCount(0);
    for (const theme of ['day', 'evening', 'outdoor'] as const) {
      await page.getByLabel('Theme').selectOption(theme);
      await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
      await expectAccessible(page, theme === 'day' ? undefined : ['color-contrast']);
    }
  });
