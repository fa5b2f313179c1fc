import { expect, openDemo, price, test, type } from './app';

test('first visit to printed list: measure a bed, cover it, take the paper along', async ({ page }) => {
  await page.goto('/');
  // Something to pull at before anything is named.
  const figures = page.getByTestId('try-figures');
  const before = await figures.textContent();
  await page.getByTestId('pull-height').focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(figures).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Start my own garden' }).click();
  await page.getByRole('button', { name: 'Use my place' }).click();
  await expect(page.getByText(/did not give its place/)).toBeVisible();
  // What is refused is not passed over.
  const latitude = page.getByLabel('Latitude', { exact: true });
  await latitude.fill('44.1 W');
  await page.getByRole('button', { name: 'Start the garden' }).click();
  await expect(latitude).toBeFocused();
  // A town says where, how one measures and what one pays with.
  const town = page.getByRole('combobox', { name: 'Town' });
  await town.fill('zurich');
  await page.getByRole('option', { name: 'Zürich, ZH, Switzerland' }).click();
  await expect(latitude).toHaveValue('47.4° N');
  await expect(page.getByLabel('Currency, a three-letter code')).toHaveValue('CHF');
  await town.fill('burlington, vt');
  await expect(page.getByRole('option', { name: 'Burlington, VT, United States' })).toBeVisible();
  await town.press('ArrowDown');
  await town.press('Enter');
  await expect(latitude).toHaveValue('44.5° N');
  await expect(page.getByLabel('Currency, a three-letter code')).toHaveValue('USD');
  await page.getByRole('button', { name: 'Start the garden' }).click();
  await page.getByRole('button', { name: 'Add a bed' }).click();
  await page.getByRole('link', { name: 'Measure it' }).click();

  await type(page, 'bed-near', '10 ft');
  await type(page, 'bed-far', '10 ft');
  await type(page, 'bed-insideLength', `9' 9"`);
  const diagonal = `129 1/4`;
  await type(page, 'bed-rising', diagonal);
  await type(page, 'bed-falling', diagonal);
  await type(page, 'bed-farRight', '3/4');
  const survey = page.getByTestId('survey');
  await expect(survey).toContainText(`10' 0" × 4' 0"`);
  await expect(survey.locator('div', { hasText: 'Packer, far right' })).toContainText('3/4"');
  await expect(survey.locator('div', { hasText: 'Diagonals differ by' })).toContainText('0"');

  await page.getByRole('button', { name: 'New staked tunnel' }).click();
  await expect(page.getByTestId('strip-price')).toContainText('$');
  await type(page, 'dim-height', '30');
  await expect(page.getByTestId('dim-height')).toHaveValue(`2' 6"`);

  // What nobody has said of the place is rough until it is typed.
  await page.getByRole('link', { name: 'Stand' }).click();
  await expect(page.getByText('Nobody has said yet what snow lies here')).toBeVisible();
  await expect(page.getByText('Nobody has said yet how it blows here')).toBeVisible();
  await page.getByLabel('Depth of snow').fill('4 in');
  await page.getByLabel('Depth of snow').press('Enter');
  await expect(page.getByText('Nobody has said yet what snow lies here')).toHaveCount(0);
  await expect(page.getByText('Nobody has said yet how it blows here')).toBeVisible();

  await page.getByRole('button', { name: 'Paper to take along' }).click();
  await expect(
    page
      .getByTestId('paper-cuts')
      .getByRole('img', { name: /H1 .*mark/ })
      .first(),
  ).toBeVisible();
  await expect(page.getByTestId('paper-sheet')).toContainText('Cut it');
  await expect(page.getByTestId('paper-cart')).toContainText('In all');
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.getByRole('button', { name: 'Print it' }).click();
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  const pdf = await page.pdf({ format: 'Letter' });
  expect(pdf.length).toBeGreaterThan(20_000);
});

test('a lid on a measured bed counts its joints and hardware', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Cart' }).click();
  const table = page.getByRole('table');
  await expect(table.locator('[data-line="hinge"]')).toContainText('4');
  await expect(table.locator('[data-line="strap"]')).toContainText('10: Hoop feet to the rails');
  const before = await page.getByTestId('cart-paid').innerText();
  await page.getByRole('textbox', { name: 'Price of UV film' }).fill('30');
  await page.getByRole('textbox', { name: 'Price of UV film' }).press('Enter');
  await expect(page.getByTestId('cart-paid')).not.toHaveText(before);
  await page.getByRole('textbox', { name: 'Owned: butt hinge' }).fill('4');
  await page.getByRole('textbox', { name: 'Owned: butt hinge' }).press('Enter');
  await expect(table.locator('[data-line="hinge"] td').nth(4)).toHaveText('0');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Winter greens lid shopping.csv');
});

test('the demo is made where an address of it is followed before anything else', async ({ page }) => {
  await page.goto('/g/demo/bench/winter-lid');
  await expect(price(page)).toContainText('$');
});
