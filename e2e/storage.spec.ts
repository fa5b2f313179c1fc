import { readFile } from 'node:fs/promises';
import { dimension, expect, openDemo, openFile, test, type } from './app';

test('reload and undo: nothing is lost, and the way back is kept', async ({ page }) => {
  await openDemo(page);
  await type(page, 'dim-pipeLength', '80');
  await type(page, 'dim-pipeLength', '84');
  await page.waitForTimeout(400);
  await page.reload();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`7' 0"`);
  await page.getByRole('button', { name: 'Undo: Set hoop, cut' }).click();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 8"`);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 4"`);
  await page.keyboard.press('Control+Shift+z');
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 8"`);
});

test('an edit survives a tab that is killed a second later', async ({ context, page }) => {
  await openDemo(page);
  await type(page, 'dim-pipeLength', '81');
  await page.waitForTimeout(900);
  const session = await context.newCDPSession(page);
  const other = await context.newPage();
  void session.send('Page.crash').catch(() => undefined);
  await other.goto('/g/demo/bench/winter-lid');
  await expect(dimension(other, 'pipeLength')).toHaveValue(`6' 9"`);
});

test('a second tab follows the first', async ({ context, page }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto('/g/demo/bench/winter-lid');
  await expect(dimension(other, 'pipeLength')).toHaveValue(`6' 4"`);
  await type(page, 'dim-pipeLength', '82');
  await expect(dimension(other, 'pipeLength')).toHaveValue(`6' 10"`);
  await expect(other.getByText('Brought up to date with your other tab.')).toBeVisible();
});

test('a garden goes to a file and comes back the same; a broken one changes nothing and says where', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/gardens');
  const save = page.getByRole('button', { name: 'Save Quillet Hollow to a file' });
  const [download] = await Promise.all([page.waitForEvent('download'), save.click()]);
  const text = await readFile(await download.path(), 'utf8');
  const give = (name: string, content: string) =>
    openFile(page, 'Open a garden file', { name, mimeType: 'application/json', buffer: Buffer.from(content) });

  const garden = JSON.parse(text) as { beds: { outside: { nearMm: unknown } }[]; version: number };
  const first = garden.beds[0];
  if (first) first.outside.nearMm = 'wide';
  await give('broken.json', JSON.stringify(garden));
  await expect(page.getByRole('alert')).toContainText('beds[0].outside.nearMm');
  await expect(page.getByRole('alert')).toContainText('Nothing has changed');
  await give('newer.json', text.replace('"version": 1', '"version": 9'));
  await expect(page.getByRole('alert')).toContainText('newer Cabanon');
  await give('noise.json', '{"format": "other"}');
  await expect(page.getByRole('alert')).toContainText('not a Cabanon garden');
  await expect(page.getByRole('region', { name: 'Gardens kept here' }).getByRole('listitem')).toHaveCount(1);

  await give('again.json', text);
  await page.waitForURL(/plot/);
  await page.goto('/gardens');
  await expect(page.getByRole('region', { name: 'Gardens kept here' }).getByRole('listitem')).toHaveCount(2);
  const [again] = await Promise.all([page.waitForEvent('download'), save.first().click()]);
  expect(await readFile(await again.path(), 'utf8')).toBe(text);
});
