import { choose, expect, openDemo, setDate, test } from './app';

test('the plot shows beds and covers, and the place is set where it is shown', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Plot' }).click();
  for (const name of ['Long bed', 'Metric bed', 'Crooked bed', 'South wall bed'])
    await expect(page.getByRole('button', { name: `Bed: ${name}` })).toBeVisible();

  const latitude = page.getByLabel('Latitude', { exact: true });
  await latitude.fill('95');
  await latitude.press('Enter');
  await expect(page.getByRole('alert')).toContainText('from 89 S to 89 N');
  await expect(latitude).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(latitude).toHaveValue('44.1° N');
  await latitude.fill("60° 12' N");
  await latitude.press('Enter');
  await expect(latitude).toHaveValue('60.2° N');

  await page.getByRole('link', { name: 'Settings' }).click();
  const money = page.getByLabel('Currency, a three-letter code');
  await money.fill('pounds');
  await money.press('Enter');
  await expect(page.getByRole('alert')).toContainText('three-letter');
  await page.keyboard.press('Escape');
  await money.fill('eur');
  await money.press('Enter');
  await page.getByRole('link', { name: 'Plot' }).click();
  await page.getByRole('link', { name: 'Winter greens lid, hinged hoop lid' }).click();
  await expect(page.getByTestId('strip-price')).toContainText('€');
  await page.getByRole('button', { name: 'Undo: Set the currency' }).click();
  await expect(page.getByTestId('strip-price')).toContainText('$');
});

test('a bed redraws out of square and level, says so, and refuses what cannot be', async ({ page }) => {
  await openDemo(page);
  await page.goto('/g/demo/bed/long');
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

test('beds and covers are renamed, copied, moved and taken away, and undo brings all of it back', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Plot' }).click();
  const list = page.getByRole('complementary', { name: 'Beds and covers' });
  await list.getByRole('button', { name: 'More about Long bed' }).click();
  const name = page.getByLabel('Name of Long bed');
  await name.fill('');
  await name.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await name.fill('Kitchen bed');
  await name.press('Enter');
  await expect(list.getByRole('link', { name: 'Kitchen bed' })).toBeVisible();
  await list.getByRole('button', { name: 'Duplicate with covers' }).click();
  await expect(list.getByRole('link', { name: 'Kitchen bed 2' })).toBeVisible();
  await expect(list.getByRole('link', { name: 'Winter greens lid 2, hinged hoop lid' })).toBeVisible();
  await list.getByRole('button', { name: 'Take Kitchen bed 2 away' }).click();
  await expect(page.getByRole('region', { name: 'News' })).toContainText('with its cover. Undo brings it back');
  await expect(list.getByRole('link', { name: 'Kitchen bed 2' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Take Kitchen bed 2 away' }).click();
  await expect(list.getByRole('link', { name: 'Winter greens lid 2, hinged hoop lid' })).toBeVisible();

  await list.getByRole('button', { name: 'More about Salad tunnel' }).click();
  await choose(page, 'It is', 'Standing');
  await setDate(page, 'Salad tunnel: standing since', '2027-03-15');
  await choose(page, 'Bed', 'South wall bed', list);
  await expect(page.getByRole('region', { name: 'News' })).toContainText('Salad tunnel is on South wall bed now');
  await list.getByRole('button', { name: 'Take Salad tunnel away' }).click();
  await expect(list.getByRole('link', { name: /^Salad tunnel,/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo: Take Salad tunnel away' }).click();
  await expect(page.getByRole('group', { name: 'Salad tunnel: standing since' })).toHaveText('3/15/2027');
});

test('the plot is worked on directly: a bed is moved, turned and drawn, a tree is put there', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Plot' }).click();
  const bed = page.getByRole('button', { name: 'Bed: Metric bed' });
  const box = await bed.boundingBox();
  if (!box) throw new Error('no bed');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 + 25, { steps: 5 });
  await page.mouse.up();
  const east = page.getByLabel('Metric bed: near left corner, east');
  const dragged = await east.inputValue();
  await expect(page.getByRole('button', { name: 'Undo: Move Metric bed' })).toBeEnabled();
  await bed.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(east).not.toHaveValue(dragged);
  await page.getByRole('slider', { name: 'Turn Metric bed' }).focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByLabel('Metric bed: bearing, degrees')).toHaveValue('105');
  // Far beyond any garden it is refused.
  await east.fill('2 km');
  await east.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Draw a bed' }).click();
  const ground = await page.getByTestId('plot-ground').boundingBox();
  if (!ground) throw new Error('no ground');
  await page.mouse.move(ground.x + 60, ground.y + 40);
  await page.mouse.down();
  await page.mouse.move(ground.x + 200, ground.y + 90, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: 'Bed: New bed' })).toBeVisible();
  await choose(page, 'Add to the plot', 'Tree');
  await expect(page.getByRole('button', { name: 'Landmark: Tree' })).toBeVisible();
  await page.getByLabel('Tree: height').fill('6 m');
  await page.getByLabel('Tree: height').press('Enter');
  await expect(page.getByText(`19' 8 1/4" high`)).toBeVisible();

  // A hedge is pulled longer by its corner, by hand and by keys.
  await choose(page, 'Add to the plot', 'Hedge');
  const long = page.getByLabel('Hedge: length', { exact: true });
  const first = await long.inputValue();
  const corner = page.getByRole('slider', { name: 'Size of Hedge' });
  const knob = await corner.boundingBox();
  if (!knob) throw new Error('no corner');
  await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height / 2);
  await page.mouse.down();
  await page.mouse.move(knob.x + knob.width / 2 + 50, knob.y + knob.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(long).not.toHaveValue(first);
  const pulled = await long.inputValue();
  await corner.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(long).not.toHaveValue(pulled);
  await page.getByRole('button', { name: 'Undo: Size Hedge' }).click();
  await page.getByRole('button', { name: 'Undo: Size Hedge' }).click();
  await expect(long).toHaveValue(first);
});

test('on a phone a bed is measured one measure at a time, on keys, to a saved survey', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openDemo(page);
  // The foot of a phone has five places; the others are behind one press.
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Bed' }).click();
  const keys = page.getByRole('group', { name: 'Keys' });
  const press = async (...names: readonly string[]): Promise<void> => {
    for (const name of names) await keys.getByRole('button', { name, exact: true }).click();
  };
  await expect(page.getByText('15 left')).toBeVisible();
  await press('1', '1', 'ft', 'in', '6');
  await page.getByRole('group', { name: 'Sixteenths of an inch' }).getByRole('button', { name: '3/8' }).click();
  await expect(page.locator('output')).toContainText(`11' 6 3/8"`);
  await page.getByRole('button', { name: 'Take it: next' }).click();
  await expect(page.getByRole('heading', { name: 'Outside width, right end' })).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.locator('output')).toContainText(`11' 6 3/8"`);
  // In any other unit: the figure, then what it is measured in; or typed, and Enter goes on to the next.
  await press('3', '5', '2');
  await page.getByRole('radio', { name: 'cm', exact: true }).click();
  await expect(page.locator('output')).toContainText('352 cm');
  await page.getByRole('radio', { name: 'ft in' }).click();
  await page.getByRole('textbox', { name: 'Outside length, near side' }).fill(`11' 6 3/8"`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Outside width, right end' })).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  // One that cannot be is said, and the old one stays.
  await press('9', '9', 'ft');
  await page.getByRole('button', { name: 'Take it: next' }).click();
  await expect(page.getByRole('alert')).toContainText('at most');
  await page.getByRole('button', { name: 'The whole drawing' }).last().click();
  await expect(page.getByTestId('bed-near')).toHaveValue(`11' 6 3/8"`);
  await page.reload();
  await page.getByRole('button', { name: 'The whole drawing' }).last().click();
  await expect(page.getByTestId('bed-near')).toHaveValue(`11' 6 3/8"`);
  // A diagonal by how much longer it is than the other.
  await page.getByTestId('bed-falling').fill(`12' 6"`);
  await page.getByTestId('bed-falling').press('Enter');
  await page.getByTestId('bed-rising').fill('1 in longer');
  await page.getByTestId('bed-rising').press('Enter');
  await expect(page.getByTestId('bed-rising')).toHaveValue(`12' 7"`);
});
