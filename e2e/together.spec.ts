import { expect, openDemo, test } from './app';

test('covers of the garden are cut and bought together, with fewer ticked when they are not built at one time', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Saw' }).click();
  await page.getByRole('button', { name: 'All covers' }).click();
  await expect(page.getByTestId('together-sum')).toContainText('less');
  await expect(page.getByRole('img', { name: /1\.A1 / }).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /2\.H1 / }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Board 1 is cut' }).click();
  await expect(page.getByRole('img', { name: /1\.A1 / })).toHaveCount(0);
  const before = await page.getByTestId('together-sum').textContent();
  await page.getByRole('checkbox', { name: 'Frost tunnel' }).uncheck({ force: true });
  await expect(page.getByTestId('together-sum')).not.toHaveText(before ?? '');
  await page.getByRole('link', { name: 'Shopping list' }).click();
  await expect(page.getByTestId('cart-paid')).toContainText('$');
  await expect(page.getByText(/1: Frame corners/)).toBeVisible();
});
