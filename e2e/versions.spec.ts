import { expect, openDemo, price, test } from './app';

test('versions stand side by side with only what differs, and one is taken', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Side by side' }).click();
  await expect(page.getByRole('columnheader', { name: /As it is/ })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: /6 hoops/ })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: /Of bent conduit/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Price paid/ })).toContainText('$');
  await page.getByRole('checkbox', { name: 'Of bent conduit' }).uncheck({ force: true });
  // Of hoops more or fewer the night is alike: nothing is said of it.
  await expect(page.getByRole('row', { name: /Coldest night/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Take 6 hoops' }).click();
  await expect(page).toHaveURL(/\/bench\/winter-lid/);
  await expect(price(page)).toContainText('$');
  await expect(page.getByRole('textbox', { name: 'How many' })).toHaveValue('6');
  await page.getByRole('button', { name: 'Undo' }).click();
});

test('rivals of other kinds are looked for, stand beside it, and one is taken and undone', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Side by side' }).click();
  const rival = page.getByRole('checkbox', { name: /^Rival: / }).first();
  await expect(rival).toBeVisible({ timeout: 45_000 });
  await page.getByRole('checkbox', { name: 'Of bent conduit' }).uncheck({ force: true });
  await rival.check({ force: true });
  const head = page.getByRole('columnheader', { name: /^Rival: / });
  await expect(head).toBeVisible();
  await page.getByRole('button', { name: /^Take Rival: / }).click();
  await expect(page).toHaveURL(/\/bench\/winter-lid/);
  await expect(page.getByText('Hinged hoop lid on Long bed')).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText('Hinged hoop lid on Long bed')).toBeVisible();
});
