import { readFile } from 'node:fs/promises';
import { choose, expect, openDemo, test, type } from './app';

test('bars are drawn with marks, proven, and the shelf is cut first', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByTestId('proof')).toContainText('Proven.');
  await expect(page.getByRole('img', { name: /Pipe 1, 20' 0": H1 6' 4", mark 6' 4"/ })).toBeVisible();
  await choose(page, 'What to add to the shelf', '1/2 PVC');
  await page.getByLabel('Length of the bar to add').fill('20 ft');
  await page.getByLabel('Length of the bar to add').press('Enter');
  await expect(page.getByRole('img', { name: /20' 0", from the shelf: H1/ })).toBeVisible();
  await page.getByRole('link', { name: 'Cart' }).click();
  await expect(page.locator('[data-line^="pvc-1/2"]')).toHaveCount(0);
});

test('keys: the list opens with a question mark, places with Alt and a number', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+5');
  await expect(page).toHaveURL(/\/saw\//);
  await page.keyboard.press('Alt+1');
  await expect(page).toHaveURL(/\/plot/);
});

test('a bar is ticked off, a piece comes out short, and the rest is planned again; undo takes it back', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Saw' }).click();
  await page.getByRole('button', { name: 'Board 2 is cut' }).click();
  const sawn = page.getByTestId('sawn');
  await expect(sawn).toContainText('A2');
  await expect(page.getByRole('img', { name: /A2 10' 5"/ })).toHaveCount(0);
  await sawn.getByLabel('A2 came out short: how long it is').fill('9 ft');
  await sawn.getByLabel('A2 came out short: how long it is').press('Enter');
  await expect(page.getByRole('img', { name: /A2 10' 5"/ })).toBeVisible();
  await expect(page.getByTestId('shelf')).toContainText('2x4');
  await page.reload();
  await expect(page.getByTestId('sawn')).toContainText('A3');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('sawn')).toHaveCount(0);
});

test('a sheet is ticked off, what is left lies on the shelf, and the cut book is a PDF', async ({ page }) => {
  await openDemo(page);
  await page.goto('/g/demo/saw/window-frame');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Cut book' }).click(),
  ]);
  expect((await readFile(await download.path())).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('button', { name: 'Sheet 1 is cut' }).click();
  await expect(page.getByTestId('sawn')).toContainText('twin-wall 6 mm');
  await expect(page.getByRole('button', { name: 'Sheet 1 is cut' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByTestId('shelf-flat')).toContainText('twin-wall 6 mm');
});

test('what can be carried and how bars are halved are a garden’s own way: the bars follow', async ({ page }) => {
  await openDemo(page);
  await page.goto('/g/demo/saw/winter-lid');
  await expect(page.getByTestId('proof')).toContainText('Proven.');
  await expect(page.getByText(`12' 0"`).first()).toBeVisible();
  await type(page, 'carry', '9 ft');
  // Twelve-foot boards stay in the shop; the long rails come in parts.
  await expect(page.getByText(`12' 0"`)).toHaveCount(0);
  await expect(page.getByText('A1a').first()).toBeVisible();
  await type(page, 'carry', '1 ft');
  await expect(page.getByRole('alert')).toContainText('600 mm');
  await page.getByTestId('carry').press('Escape');
  await type(page, 'carry', '0');
  await expect(page.getByText(`12' 0"`).first()).toBeVisible();
  await choose(page, 'Equal pieces', 'Halved');
  await expect(page.getByRole('button', { name: 'Halved Equal pieces' })).toBeVisible();
});
