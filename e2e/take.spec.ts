import { dimension, expect, openDemo, test, type } from './app';

test('a cover goes by link to another browser, is looked at, and put where one says; a broken link changes nothing', async ({
  page,
  browser,
}) => {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await openDemo(page);
  await type(page, 'dim-pipeLength', '80');
  await page.getByRole('button', { name: 'To my phone' }).click();
  const dialog = page.getByRole('dialog', { name: 'Take it along' });
  await expect(dialog.getByRole('img', { name: /Code for a phone/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Copy a link' }).click();
  await expect(dialog.getByRole('status')).toContainText('Copied');
  const link = await page.evaluate(() => navigator.clipboard.readText());

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const there = await phone.newPage();
  await there.goto(link);
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('Winter greens lid');
  await expect(there.getByText('Hinged hoop lid on Long bed, Quillet Hollow')).toBeVisible();
  await there.getByRole('button', { name: 'Into a garden of its own' }).click();
  await expect(dimension(there, 'pipeLength')).toHaveValue(`6' 8"`);

  // A second time it goes into the garden that is there now.
  await there.goto(link);
  await there.getByRole('button', { name: 'Into Winter greens lid, on its own bed there' }).click();
  await expect(there.getByRole('heading', { level: 1 })).toHaveText('Winter greens lid 2');

  await there.goto(link.slice(0, -200));
  await expect(there.getByRole('alert')).toContainText('Nothing has been changed');
  await there.goto(link.replace('#', '#<script>'));
  await expect(there.getByRole('alert')).toContainText('it was changed on its way');
  await there.goto('/gardens');
  await expect(there.getByRole('region', { name: 'Gardens kept here' }).getByRole('listitem')).toHaveCount(1);
  await phone.close();
});
