import { expect, openDemo, test } from './app';

test.use({ serviceWorkers: 'allow' });

test('in a shop with no network: the app opens, and ticks are kept', async ({ page, context }) => {
  await openDemo(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state), { timeout: 30_000 })
    .toBe('activated');
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('link', { name: 'Cart' }).click();
  const hinge = page.getByRole('checkbox', { name: /In the basket: butt hinge/ });
  await hinge.check({ force: true });
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByTestId('proof')).toContainText('Proven.');
  await page.waitForTimeout(1200);
  await page.goto('/g/demo/cart/winter-lid');
  await expect(hinge).toBeChecked();
});
