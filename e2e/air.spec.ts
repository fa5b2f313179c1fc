import { choose, expect, openDemo, openFile, setDate, setHour, test } from './app';

const stamp = (h: number): string => new Date(Date.UTC(2027, 1, 1, h)).toISOString().slice(0, 16).replace('T', ' ');

test('any day of a year under the cover: by its name, by its date, as it is tended', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  const sums = page.getByTestId('air-sums');
  await expect(page.getByText('Simulated weather')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Coldest clear night' })).toBeChecked();
  await expect(sums).toContainText('what kills mizuna');
  await expect(page.getByRole('img', { name: /outside from .* inside from/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Hottest day' }).click();
  await expect(sums).toContainText('9:00–15:00');
  const tended = await sums.textContent();
  await setHour(page, 'Shut at', '17:30');
  await expect(sums).toContainText('9:00–17:00');
  await choose(page, 'By hand', 'Never opened');
  await expect(sums).toContainText('shut');
  expect(await sums.textContent()).not.toBe(tended);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sums).toContainText('9:00–17:00');
  await setDate(page, 'Day that is shown', '1999-01-01');
  await expect(page.getByRole('alert')).toContainText(/^From \d/);
  // What would make the coldest night milder is taken, and the nights follow.
  const warmer = page.getByTestId('warmer');
  await warmer
    .getByRole('row', { name: /Blanket at night/ })
    .getByRole('button', { name: 'Take it' })
    .click();
  await expect(page.getByRole('group', { name: 'blanket on at' })).toContainText('16:00');
});

test('a weather file with a gap and a bad row is taken, its columns picked, and put away again', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  await expect(page.getByText('Simulated weather')).toBeVisible();
  const give = (name: string, content: string) =>
    openFile(page, 'Open a weather file', { name, mimeType: 'text/csv', buffer: Buffer.from(content) });
  await give('empty.csv', 'nothing');
  await expect(page.getByRole('alert')).toContainText('“empty.csv” was not opened. Nothing has changed.');
  const rows = Array.from({ length: 96 }, (_, h) =>
    h >= 30 && h < 34
      ? ''
      : h === 60
        ? `${stamp(h)},warm,300`
        : `${stamp(h)},${20 + (h % 24)},${h % 24 > 8 && h % 24 < 16 ? 300 : 0}`,
  );
  await give('shed.csv', `when,shed,light\n${rows.filter(Boolean).join('\n')}`);
  await expect(page.getByRole('heading', { name: 'Columns of shed.csv' })).toBeVisible();
  await choose(page, 'What shed is', 'air temperature');
  await choose(page, 'Unit of shed', 'F');
  await choose(page, 'What light is', 'light on level ground');
  await page.getByRole('button', { name: 'Use this weather' }).click();
  const from = page.getByTestId('weather-from');
  await expect(from).toContainText('5 hours in 2 gaps had no reading');
  await expect(from).toContainText('line 58, shed: must be an air temperature in F, not "warm"');
  await expect(from).toContainText('shed.csv');
  await expect(page.getByRole('group', { name: 'Day that is shown' })).toHaveText(/^2\/[1-4]\/2027$/);
  // It is kept, and there again without being opened.
  await page.reload();
  await expect(from).toContainText('shed.csv');
  await page.getByRole('button', { name: 'Put it away' }).click();
  await expect(page.getByText('Simulated weather')).toBeVisible();
});

test('without the service the last weather stands, and where there is none a file can be opened', async ({
  page,
  context,
}) => {
  await context.route('**/api/**', (route) => route.fulfill({ status: 200, json: { nonsense: true } }));
  await openDemo(page);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  await expect(page.getByTestId('weather-from')).toContainText('The weather service does not answer');
  await context.unroute('**/api/**');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText('Simulated weather')).toBeVisible();
});
