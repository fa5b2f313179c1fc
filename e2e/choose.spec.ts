import { choose, expect, openDemo, test } from './app';

test('kinds of cover are compared on the bed, filtered by tools and budget, and one is chosen', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Choose' }).click();
  await page.getByRole('link', { name: 'Every kind' }).click();
  await expect(page.locator('[data-family]', { hasText: 'the cheapest here' })).toHaveCount(1);
  await expect(page.getByRole('group', { name: /Wire tunnel: Price \$/ })).toBeVisible();
  await page.getByRole('checkbox', { name: 'drill' }).uncheck({ force: true });
  await expect(page.locator('[data-family="hinged-hoop-lid"]')).toContainText('needs drill');
  await page.getByLabel('Budget; nothing means any').fill('110');
  await page.getByLabel('Budget; nothing means any').press('Enter');
  await page.getByRole('checkbox', { name: 'drill' }).check({ force: true });
  await expect(page.locator('[data-family="staked-tunnel"]')).toContainText('over the budget');
  await page.getByLabel('Budget; nothing means any').fill('0');
  await page.getByLabel('Budget; nothing means any').press('Enter');
  await choose(page, 'Crop', 'kale');
  await expect(page.locator('[data-family="lift-off-cover"]')).toContainText('too low for this crop');
  await page.getByRole('button', { name: 'Choose Wire tunnel' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wire tunnel');
});

test('when the background breaks it says so, and can be asked again', async ({ page }) => {
  await page.addInitScript(() => {
    const post = Worker.prototype.postMessage as (this: Worker, ...sent: unknown[]) => void;
    Worker.prototype.postMessage = function (this: Worker, ...sent: unknown[]) {
      if ('broken' in window) this.dispatchEvent(new Event('error'));
      else post.apply(this, sent);
    };
  });
  await openDemo(page);
  await page.evaluate(() => Object.assign(window, { broken: true }));
  await page.getByRole('link', { name: 'Choose' }).click();
  await page.getByRole('link', { name: 'Every kind' }).click();
  const kinds = page.getByRole('list', { name: 'Kinds of cover' });
  await expect(kinds).toContainText('This could not be worked out');
  await page.evaluate(() => Reflect.deleteProperty(window, 'broken'));
  await kinds.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('[data-family]', { hasText: 'the cheapest here' })).toHaveCount(1);
});
