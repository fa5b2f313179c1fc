import { readFile, writeFile } from 'node:fs/promises';
import { choose, expect, openDemo, openFile, price, provenPrice, test } from './app';

test('prices are kept as a list, saved and opened again; a bad row is named and nothing applied', async ({ page }) => {
  await openDemo(page);
  const before = await provenPrice(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  const lists = page.getByTestId('price-lists');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the prices in force as CSV' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');
  const give = (name: string, content: string) =>
    openFile(page, 'Open a price list', { name, mimeType: 'text/csv', buffer: Buffer.from(content) });

  await give('broken.csv', text.replace(/^(pack hinge,.*),5\.6$/m, '$1,plenty'));
  await expect(lists.getByRole('alert')).toContainText(/line \d+, price: must be a number such as 3.20, not "plenty"/);
  await expect(lists.getByText('The shipped prices are in force')).toBeVisible();

  await give('Corner shop.csv', text.replace(/^(pack hinge,.*),5\.6$/m, '$1,9.6'));
  await expect(lists.getByText('1 price differs from the shipped ones.')).toBeVisible();
  await expect(lists.getByText('Corner shop')).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(price(page)).not.toHaveText(before);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('button', { name: 'Use the shipped prices' }).click();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(price(page)).toHaveText(before);
});

test('a price list that is dropped on the bench is taken at the shelf; what is for nothing here is said', async ({
  page,
}, info) => {
  await openDemo(page);
  const drop = async (name: string, content: string): Promise<void> => {
    const file = info.outputPath(name);
    await writeFile(file, content);
    const browser = await page.context().newCDPSession(page);
    for (const type of ['dragEnter', 'dragOver', 'drop'] as const) {
      const data = { items: [], files: [file], dragOperationsMask: 1 };
      await browser.send('Input.dispatchDragEvent', { type, x: 400, y: 300, data });
    }
  };
  await drop('plan.pdf', '%PDF');
  await expect(page.getByRole('region', { name: 'News' })).toContainText('“plan.pdf” is no garden');
  await drop('Corner shop.csv', 'key,price\r\npack hinge,9.6\r\n');
  await expect(page.getByTestId('price-lists')).toContainText('1 price differs from the shipped ones.');
  await expect(page.getByTestId('price-lists')).toContainText('Corner shop');
});

test('what is on hand is taken off what is bought', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  const owned = page.getByTestId('owned');
  await choose(page, 'What to add', 'butt hinge 3 in with screws');
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
  await hinge.check({ force: true });
  await page.getByRole('button', { name: 'Copy as text' }).click();
  await expect(page.getByText('The list is copied')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/Lumber\n {2}\d+ × 2x4/);
  await page.waitForTimeout(1200);
  await page.reload();
  await expect(hinge).toBeChecked();
});

test('a figure of the catalogue is changed and every plan follows; a thing of one’s own is offered; all is reset', async ({
  page,
}) => {
  await openDemo(page);
  const snow = page.getByTestId('strip-snow');
  const before = await snow.textContent();
  const fromAbove = page.getByLabel('The garden from above');
  await page.getByRole('link', { name: 'Plot' }).click();
  const drawn = await fromAbove.innerHTML();
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('link', { name: 'Catalogue' }).click();
  await choose(page, 'Aisle', 'Pipes, rods, wire');
  await choose(page, 'Thing', '1/2 PVC');
  const outside = page.getByLabel('Outside diameter of 1/2 PVC');
  await outside.fill('0.6');
  await outside.press('Enter');
  await expect(page.getByRole('alert')).toContainText('the inside of 1/2 PVC must be less than its outside');
  await outside.fill('0.9');
  await outside.press('Enter');
  await expect(page.getByTestId('own-figures')).toContainText('0.900 in');
  // A thicker pipe is drawn thicker on the plot, too.
  await page.getByRole('link', { name: 'Plot' }).click();
  await expect(fromAbove).toBeVisible();
  await expect.poll(() => fromAbove.innerHTML()).not.toBe(drawn);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('link', { name: 'Catalogue' }).click();
  await choose(page, 'Aisle', 'Pipes, rods, wire');
  await choose(page, 'Thing', '1/2 PVC, changed');
  const name = page.getByLabel('Name of one of your own like 1/2 PVC');
  await name.fill('Grey conduit');
  await name.press('Enter');
  await expect(page.getByRole('button', { name: 'Grey conduit, your own Thing' })).toBeVisible();

  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(snow).not.toHaveText(before ?? '');
  await choose(page, 'Hoops', 'Grey conduit');
  await page.getByRole('link', { name: 'Cart' }).click();
  await expect(page.getByText('Grey conduit, 20').first()).toBeVisible();

  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('link', { name: 'Catalogue' }).click();
  await page.getByRole('button', { name: 'Reset every figure to what ships' }).click();
  await choose(page, 'Aisle', 'Pipes, rods, wire');
  await choose(page, 'Thing', 'Grey conduit, your own');
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByRole('alert')).toContainText('A cover is made of it');
  await page.getByRole('link', { name: 'Bench' }).click();
  await choose(page, 'Hoops', '1/2 PVC');
  await expect(snow).toHaveText(before ?? '');
});

test('a roll on the shelf is cut first, and notes go with the list', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await choose(page, 'Sheet or roll to add', 'UV film 6 mil');
  for (const [side, length] of [
    ['Width', '12 ft'],
    ['Length', '20 ft'],
  ] as const) {
    await page.getByLabel(`${side} of the sheet or roll to add`).fill(length);
    await page.getByLabel(`${side} of the sheet or roll to add`).press('Enter');
  }
  await expect(page.getByTestId('shelf-flat')).toContainText('UV film 6 mil');
  await page.getByRole('link', { name: 'Cart' }).click();
  await expect(page.locator('[data-line="hinge"]')).toBeVisible();
  await expect(page.locator('[data-line^="film-uv"]')).toHaveCount(0);
  await page.getByLabel('Note on butt hinge 3 in with screws').fill('the brass ones');
  await page.getByLabel('Note on butt hinge 3 in with screws').press('Enter');
  await choose(page, 'What else to buy', 'brick or paver');
  await page.getByLabel('How many of it to buy').fill('6');
  await page.getByLabel('How many of it to buy').press('Enter');
  await expect(page.locator('[data-line="brick"]')).toContainText('Added by you');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  expect(await readFile(await download.path(), 'utf8')).toContain('the brass ones');
});
