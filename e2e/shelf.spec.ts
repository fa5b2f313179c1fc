import { readFile } from 'node:fs/promises';
import { expect, openDemo, price, test } from './app';

test('prices are kept as a list, saved and opened again; a bad row is named and nothing applied', async ({ page }) => {
  await openDemo(page);
  const before = await price(page).textContent();
  await page.getByRole('link', { name: 'Shelf' }).click();
  const lists = page.getByTestId('price-lists');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the prices in force as CSV' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  const give = (name: string, content: string) =>
    page.getByLabel('Price list file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) });

  await give('broken.csv', text.replace(/^(pack hinge,.*),5\.6$/m, '$1,plenty'));
  await expect(lists.getByRole('alert')).toContainText(/line \d+, price: must be a number such as 3.20, not "plenty"/);
  await expect(lists.getByText('The shipped prices are in force')).toBeVisible();

  await give('Corner shop.csv', text.replace(/^(pack hinge,.*),5\.6$/m, '$1,9.6'));
  await expect(lists.getByText('1 price differs from the shipped ones.')).toBeVisible();
  await expect(lists.getByText('Corner shop')).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(price(page)).not.toHaveText(before ?? '');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('button', { name: 'Use the shipped prices' }).click();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(price(page)).toHaveText(before ?? '');
});

test('what is on hand is taken off what is bought', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  const owned = page.getByTestId('owned');
  await owned.getByLabel('What to add').selectOption('hinge');
  await owned.getByLabel('How many of it are on hand').fill('4');
  await owned.getByLabel('How many of it are on hand').press('Enter');
  await expect(owned.getByLabel('On hand: butt hinge 3 in with screws')).toHaveValue('4');
  await page.getByRole('link', { name: 'Cart' }).click();
  await expect(page.locator('[data-line="hinge"]')).toContainText('$0.00');
});

test('in the shop: lines are ticked, the ticks outlive a reload, and the list is copied as text', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page);
  await page.getByRole('link', { name: 'Cart' }).click();
  const hinge = page.getByRole('checkbox', { name: /In the basket: butt hinge/ });
  await hinge.check();
  await page.getByRole('button', { name: 'Copy as text' }).click();
  await expect(page.getByText('The list is copied')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/Lumber\n {2}\d+ × 2x4/);
  await page.waitForTimeout(1200);
  await page.reload();
  await expect(hinge).toBeChecked();
});
