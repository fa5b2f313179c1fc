import { expect, openDemo, test } from './app';

test('kinds of cover are compared on the bed, filtered by tools and budget, and one is chosen', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Choose' }).click();
  const wire = page.locator('[data-family="wire-tunnel"]');
  await expect(wire).toContainText('the cheapest here');
  await expect(page.getByRole('img', { name: /Wire tunnel: Price \$/ })).toBeVisible();
  await page.getByRole('checkbox', { name: 'drill' }).uncheck();
  await expect(page.locator('[data-family="hinged-hoop-lid"]')).toContainText('needs drill');
  await page.getByLabel('Budget; nothing means any').fill('60');
  await page.getByLabel('Budget; nothing means any').press('Enter');
  await page.getByRole('checkbox', { name: 'drill' }).check();
  await expect(page.locator('[data-family="staked-tunnel"]')).toContainText('over the budget');
  await page.getByLabel('Crop', { exact: true }).selectOption('kale');
  await expect(wire).toContainText('too low for this crop');
  await page.getByRole('button', { name: 'Choose Wire tunnel' }).click();
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wire tunnel');
});
