import { dimension, expect, openDemo, price, test, type } from './app';

test('a dimension is typed by keyboard alone, in any unit, and everything follows', async ({ page }) => {
  await openDemo(page);
  const before = await page.getByTestId('strip-sheet').innerText();
  const field = dimension(page, 'pipeLength');
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('Tab');
    if (await field.evaluate((e) => e === document.activeElement)) break;
  }
  await expect(field).toBeFocused();
  await page.keyboard.type('208 cm');
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue(`6' 9 7/8"`);
  await expect(field).toBeFocused();
  await expect(page.getByTestId('strip-sheet')).not.toHaveText(before);
  await expect(dimension(page, 'height')).toHaveValue(`2' 6 3/4"`);

  await page.keyboard.type('3 apples');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('is not a length');
  await expect(field).toBeFocused();
  await expect(dimension(page, 'height')).toHaveValue(`2' 6 3/4"`);
  await page.keyboard.press('Escape');
  await expect(field).toHaveValue(`6' 9 7/8"`);
  await page.keyboard.type('20 in');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('longer than the span');
  await page.keyboard.press('Escape');
});

test('units change everywhere and metric typing still mixes', async ({ page }) => {
  await openDemo(page);
  await page.getByLabel('Units').selectOption('mm');
  await expect(dimension(page, 'pipeLength')).toHaveValue('1930 mm');
  await type(page, 'dim-pipeLength', `6' 6`);
  await expect(dimension(page, 'pipeLength')).toHaveValue('1981 mm');
});

test('a failed check is mended with a press, and the mend is undone', async ({ page }) => {
  await openDemo(page);
  const snow = page.locator('[data-check="snow"]');
  await expect(snow).toHaveAttribute('data-verdict', 'fails');
  await snow.getByRole('button', { name: /hoops \+\$/ }).click();
  await expect(snow).not.toHaveAttribute('data-verdict', 'fails');
  await page.getByRole('button', { name: 'Undo: Mend: 10 hoops' }).click();
  await expect(snow).toHaveAttribute('data-verdict', 'fails');
});

test('the strip shows the change since the version last kept, and figures say why', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(price(page)).toContainText('as kept');
  await page.getByRole('button', { name: 'How many: more' }).click();
  await expect(page.getByTestId('strip-pieces')).toContainText('+1 since kept');
  await expect(page.getByTestId('strip-snow')).toContainText('since kept');
  await page.getByTestId('strip-snow').getByRole('button').click();
  await expect(page.getByRole('dialog')).toContainText('stiffness EI after weeks');
  await page.keyboard.press('Escape');
});

test('choices: feet, ridge, pipe, roll, crop; what cannot be drawn is refused with a reason', async ({ page }) => {
  await openDemo(page);
  await page.goto('/bench/salad-tunnel');
  await page.getByRole('radio', { name: 'In the soil' }).check({ force: true });
  await expect(dimension(page, 'bury')).toHaveValue('6"');
  await page.getByLabel('Ridge', { exact: true }).selectOption('posted');
  await expect(page.getByText('A board on posts at both ends carries snow itself.')).toBeVisible();
  await page.getByLabel('Height', { exact: true }).selectOption('sheet');
  await page.getByRole('link', { name: 'Skin' }).click();
  await page.getByLabel('Roll', { exact: true }).selectOption({ label: '10x50 ft' });
  await expect(page.getByTestId('sheet-S1-across')).toHaveText(`10' 0"`);
  await page.getByRole('link', { name: 'Shape' }).click();
  await page.getByLabel('Crop', { exact: true }).selectOption('tomato');
  await expect(page.locator('[data-check="crop"]')).toHaveAttribute('data-verdict', 'fails');
  await type(page, 'dim-span', '9 ft');
  await expect(page.getByRole('alert')).toContainText('outside the bed');
  await page.keyboard.press('Escape');
  await type(page, 'dim-coverLength', '5 ft');
  await expect(dimension(page, 'coverLength')).toHaveValue(`5' 0"`);
});

test('snow and air follow what is asked of them', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Stand' }).click();
  await page.getByLabel('Depth of snow').fill('1 in');
  await page.getByLabel('Depth of snow').press('Enter');
  await expect(page.locator('[data-check="snow"]')).toHaveAttribute('data-verdict', 'holds');
  await page.getByRole('link', { name: 'Air' }).click();
  const rise = page.getByRole('button', { name: /Warmer than outside when shut/ });
  const before = await rise.innerText();
  await page.getByLabel('Date of the noon').fill('2026-12-21');
  await page.getByLabel('Date of the noon').press('Enter');
  await expect(rise).not.toHaveText(before);
});

test('a touch on a phone types a dimension too', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  await openDemo(page);
  await dimension(page, 'pipeLength').tap();
  await dimension(page, 'pipeLength').fill('80');
  await dimension(page, 'pipeLength').press('Enter');
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 8"`);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await context.close();
});

test('in the round: opened when asked, turned by keys, pieces picked and built up in words too', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Round' }).click();
  await expect(page.locator('canvas')).toBeVisible();
  await page.getByRole('group', { name: /In the round/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await page.getByText('Pieces, joints and steps in words').click();
  await page.getByRole('button', { name: /^H3/ }).click();
  await expect(page.getByRole('status').filter({ hasText: `H3 Hoop, 6' 4"` })).toBeVisible();
  await page.getByRole('button', { name: 'Built up to step: fewer' }).click();
  await page.getByRole('button', { name: 'Pull apart' }).click();
  await expect(page.getByRole('button', { name: 'Put together' })).toBeVisible();
});
