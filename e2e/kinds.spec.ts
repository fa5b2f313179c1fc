import { choose, chooseKind, dimension, expect, openDemo, price, test, type } from './app';

test('a frame of bent conduit: chosen, shaped in the drawing, marked for the bender, its end on paper full size', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openDemo(page);
  await chooseKind(page, 'metric', 'Bent-conduit frame');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bent-conduit frame');
  await type(page, 'dim-shoulder', '16 in');
  await expect(dimension(page, 'shoulder')).toHaveValue(`1' 4"`);
  await type(page, 'dim-height', '10 in');
  await expect(page.getByRole('alert')).toContainText('crown must stand above the shoulders');
  await dimension(page, 'height').press('Escape');
  await expect(price(page)).toContainText('$');

  await page.getByRole('link', { name: 'Skin' }).click();
  await choose(page, 'Ends', 'Plywood');
  await expect(page.getByText(/3\/8 in plywood/).first()).toBeVisible();

  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByText('2. Bend the conduit').click();
  await expect(page.getByRole('img', { name: /H1 Hoop: shoulder starts at/ })).toBeVisible();
  await expect(page.getByText(/the crown gains/)).toBeVisible();

  await page.goto(page.url().replace('/build/', '/paper/'));
  const template = page.getByTestId('template-E1');
  await expect(template.getByRole('row').nth(3)).toContainText('"');
  await template.getByRole('button', { name: /Add its outline on \d+ pages/ }).click();
  await expect(page.getByRole('img', { name: 'Template E1, column 1, row 1' })).toBeAttached();
});

test('a cold frame: windows decide the box, and what goes wrong is said and mended', async ({ page }) => {
  await openDemo(page);
  await chooseKind(page, 'metric', 'Sloped cold frame');
  await expect(price(page)).toContainText('$');
  await choose(page, 'Lid', 'Old windows');
  await choose(page, 'What comes first', 'The windows');
  await page.getByLabel('Window, front to back').fill('30');
  await page.getByLabel('Window, front to back').press('Enter');
  await expect(page.locator('[data-check="fits"]')).toContainText('smaller than the bed');
  await choose(page, 'What comes first', 'The bed');
  await expect(page.locator('[data-check="fits"]')).toHaveCount(0);
  await choose(page, 'Lid', 'Twin-wall');
  // Low enough, both tapered sides come out of one board.
  await type(page, 'dim-front', '4');
  await type(page, 'dim-backHeight', '7');
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByRole('img', { name: /G1 / })).toBeVisible();
  await expect(page.getByText(/C1 \+ D1/)).toBeVisible();
});

test('a walk-in house names its limits, and turns in the round with its tags', async ({ page }) => {
  await openDemo(page);
  await chooseKind(page, 'long', 'Walk-in hoop house');
  await type(page, 'dim-width', '20 ft');
  await expect(page.getByRole('alert')).toContainText('3 to 14 ft');
  await dimension(page, 'width').press('Escape');
  await expect(page.locator('[data-check^="remark"]')).toContainText('licensed engineer');
  await page.getByRole('link', { name: 'Round' }).click();
  await expect(page.locator('canvas')).toBeVisible();
  await page.getByRole('button', { name: 'Hide tags' }).click();
  await page.getByText('Pieces, joints and steps in words').click();
  await page.getByRole('button', { name: /^E5 Door header/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'E5 Door header' })).toBeVisible();
  await page
    .getByRole('button', { name: /door hinges: / })
    .first()
    .click();
  await expect(page.getByRole('status').filter({ hasText: /^\d+ door hinges: / })).toBeVisible();
  // Few posts, and rails between them that carry the hoops: a step of their own.
  await page.getByRole('link', { name: 'Shape' }).click();
  await choose(page, 'Posts are', 'Corner posts and side rails');
  await choose(page, 'Posts of', 'Two 2x4, nailed');
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByText('Hang the side rails').click();
  await expect(page.getByText(/Screw a block, Y1 to Y\d+, to the outer face of each post/)).toBeVisible();
});

test('a lean-to against the wall: fixed to it, reached into by its shutters, its joints marked where they are', async ({
  page,
}) => {
  await openDemo(page);
  await chooseKind(page, 'wall', 'Lean-to');
  await expect(price(page)).toContainText('$');
  await type(page, 'dim-backHeight', '40 in');
  await expect(dimension(page, 'backHeight')).toHaveValue(`3' 4"`);
  await type(page, 'dim-backHeight', '15 in');
  await expect(page.getByRole('alert')).toContainText('too flat');
  await dimension(page, 'backHeight').press('Escape');
  await page.locator('[data-view="side"] [data-joint="wall anchors"] path').first().dispatchEvent('click');
  await expect(page.locator('[data-view="side"] figcaption')).toContainText('wall anchors: Wall plate and posts');
  await choose(page, 'Roof and ends', 'Film');
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByRole('img', { name: /S1/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByText('3. Fix the wall plate').click();
  await expect(page.getByText(/find the cables and pipes in it/)).toBeVisible();
});
