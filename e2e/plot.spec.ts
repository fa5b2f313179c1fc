import { expect, openDemo, test } from './app';

test('the plot shows beds and covers, and the place is set where it is shown', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Plot' }).click();
  for (const name of ['Long bed', 'Metric bed', 'Crooked bed', 'South wall bed'])
    await expect(page.getByRole('link', { name: `Bed: ${name}` })).toBeVisible();

  const latitude = page.getByLabel('Latitude, degrees north');
  await latitude.fill('95');
  await latitude.press('Enter');
  await expect(page.getByRole('alert')).toContainText('From -89 to 89');
  await expect(latitude).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(latitude).toHaveValue('44.1');
  await latitude.fill('60,2');
  await latitude.press('Enter');
  await expect(latitude).toHaveValue('60.2');

  const money = page.getByLabel('Currency, a three-letter code');
  await money.fill('pounds');
  await money.press('Enter');
  await expect(page.getByRole('alert')).toContainText('three-letter');
  await page.keyboard.press('Escape');
  await money.fill('eur');
  await money.press('Enter');
  await page.getByRole('link', { name: 'Winter greens lid, hinged hoop lid' }).click();
  await expect(page.getByTestId('strip-price')).toContainText('€');
  await page.getByRole('button', { name: 'Undo: Set the currency' }).click();
  await expect(page.getByTestId('strip-price')).toContainText('$');
});

test('a bed redraws out of square and level, says so, and refuses what cannot be', async ({ page }) => {
  await openDemo(page);
  await page.goto('/bed/long');
  const survey = page.getByTestId('survey');
  await page.getByTestId('bed-rising').fill('11 ft 6');
  await page.getByTestId('bed-rising').press('Enter');
  await expect(survey.locator('div', { hasText: 'Diagonals differ by' })).not.toContainText('0"');
  await expect(page.getByText(/cannot all be true|square frame will hang over/).first()).toBeVisible();
  await page.getByTestId('bed-nearLeft').fill('1/2');
  await page.getByTestId('bed-nearLeft').press('Enter');
  await expect(survey.locator('div', { hasText: 'Packer, near left' })).toContainText('1/2"');
  await page.getByTestId('bed-wallHeight').fill('9 ft');
  await page.getByTestId('bed-wallHeight').press('Enter');
  await expect(page.getByRole('alert')).toContainText('must be at most 1500 mm');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('bed-wallHeight')).toHaveValue('11"');
});
