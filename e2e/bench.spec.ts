import { choose, dimension, expect, openDemo, setDate, test, type } from './app';

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
  await page.getByRole('link', { name: 'Settings' }).click();
  await choose(page, 'Lengths', 'Millimetres');
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(dimension(page, 'pipeLength')).toHaveValue('1930 mm');
  await type(page, 'dim-pipeLength', `6' 6`);
  await expect(dimension(page, 'pipeLength')).toHaveValue('1981 mm');
});

test('a failed check points at its cause; its mend is tried, taken and undone', async ({ page }) => {
  await openDemo(page);
  const snow = page.locator('[data-check="snow"]');
  await expect(snow).toHaveAttribute('data-verdict', 'fails');
  // Looked at, it lights its hoops; the sign stands in the drawing all the while.
  const end = page.locator('[data-view="end"]');
  await expect(end.locator('[data-flag="snow"]')).toBeVisible();
  await expect(end.locator('.lit')).toHaveCount(0);
  await snow.hover();
  await expect(end.locator('.lit')).not.toHaveCount(0);
  await snow.getByRole('button', { name: /hoops \+\$/ }).click();
  // Tried out it is a ghost in the drawing, with the figures it changes; nothing is changed yet.
  const tried = snow.getByRole('group', { name: 'With 6 hoops' });
  await expect(tried).toContainText('Pieces1819');
  await expect(page.locator('[data-view="side"] .ghost')).not.toHaveCount(0);
  await tried.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.locator('.ghost')).toHaveCount(0);
  await expect(snow).toHaveAttribute('data-verdict', 'fails');
  await snow.getByRole('button', { name: /hoops \+\$/ }).click();
  await tried.getByRole('button', { name: 'Take it' }).click();
  await expect(page.locator('[data-check="snow"][data-verdict="fails"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Mend: 6 hoops' }).click();
  await expect(snow).toHaveAttribute('data-verdict', 'fails');
});

test('the strip shows the change since the version last kept, and figures say why', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('since kept')).toHaveCount(0);
  await page.getByRole('button', { name: 'How many: more' }).click();
  await expect(page.getByTestId('strip-pieces')).toContainText('+1 since kept');
  await expect(page.getByTestId('strip-snow')).toContainText('since kept');
  await page.getByTestId('strip-snow').getByRole('button').click();
  await expect(page.getByRole('dialog')).toContainText('stiffness EI after weeks');
  await page.keyboard.press('Escape');
});

test('choices: feet, ridge, pipe, roll, crop; what cannot be drawn is refused with a reason', async ({ page }) => {
  await openDemo(page);
  await page.goto('/g/demo/bench/salad-tunnel');
  await choose(page, 'Feet', 'In the soil');
  await expect(dimension(page, 'bury')).toHaveValue('6"');
  await page.getByRole('button', { name: / Ridge$/ }).click();
  // Every option with its reason, and what it costs beside the chosen one.
  const posted = page.getByRole('option', { name: 'On posts' });
  await expect(posted).toContainText('A board on posts at both ends carries snow itself.');
  await expect(posted).toContainText(/\+\$\d/);
  await posted.click();
  await choose(page, 'Height', 'Sheet sets it');
  await page.getByRole('link', { name: 'Skin' }).click();
  await choose(page, 'Roll', '10x50 ft');
  await expect(page.getByTestId('sheet-S1-across')).toHaveText(`10' 0"`);
  await page.getByRole('link', { name: 'Shape' }).click();
  await choose(page, 'Crop', 'tomato');
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
  // What holds is folded into one line.
  await expect(page.locator('[data-check="snow"]')).toHaveCount(0);
  await page.getByRole('button', { name: /^Holds/ }).click();
  await expect(page.locator('[data-check="snow"]')).toHaveAttribute('data-verdict', 'holds');
  await page.getByRole('link', { name: 'Air' }).click();
  const rise = page.getByRole('button', { name: /Warmer than outside when shut/ });
  const before = await rise.innerText();
  await setDate(page, 'Date of the noon', '2026-12-21');
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

test('the drawing is pulled at: a crown and a hoop, by hand and by keys, each one step to undo; Escape puts it back', async ({
  page,
}) => {
  await openDemo(page);
  const height = dimension(page, 'height');
  const before = await height.inputValue();
  const crown = page.getByTestId('pull-height');
  const pull = async (dy: number): Promise<void> => {
    const box = await crown.boundingBox();
    if (!box) throw new Error('no handle');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + dy / 2, { steps: 4 });
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + dy, { steps: 4 });
  };
  await pull(31);
  // It follows while it is held, and says what it is drawn to.
  await expect(height).not.toHaveValue(before);
  await expect(page.locator('.snap')).toContainText('over half a circle');
  await page.keyboard.press('Escape');
  await expect(height).toHaveValue(before);
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await pull(31);
  await page.mouse.up();
  await expect(height).not.toHaveValue(before);
  await page.getByRole('button', { name: /^Undo: Set / }).click();
  await expect(height).toHaveValue(before);
  // Down to the soil it goes no farther, and says why.
  await pull(330);
  await expect(page.locator('.snap.limit')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.mouse.up();

  const hoop = page.getByTestId('pull-spacing');
  await expect(page.getByRole('textbox', { name: 'How many' })).toHaveValue('5');
  await hoop.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('textbox', { name: 'How many' })).toHaveValue('6');
  await crown.focus();
  await page.keyboard.press('ArrowUp');
  await expect(height).toHaveValue(`2' 4"`);
});

test('a view is made the large one, and back', async ({ page }) => {
  await openDemo(page);
  const side = page.locator('[data-view="side"] svg');
  const small = (await side.boundingBox())?.width ?? 0;
  await page.getByRole('button', { name: 'From the side: make it the large view' }).click();
  await expect.poll(async () => (await side.boundingBox())?.width ?? 0).toBeGreaterThan(1.5 * small);
  await page.getByRole('button', { name: 'From the end: make it the large view' }).click();
  await expect.poll(async () => (await side.boundingBox())?.width ?? 0).toBeCloseTo(small, 0);
});
