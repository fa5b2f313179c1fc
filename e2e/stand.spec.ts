import { choose, chooseKind, expect, openDemo, test } from './app';

test('snow is drawn along until the hoop gives way; the whole cover is made to hold with two presses', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Stand' }).click();
  const snow = page.getByRole('slider', { name: /^Snow/ });
  const said = page.getByRole('status').filter({ hasText: /stands|Gives way/ });
  // What is asked lies on it at first, and the check says that it is too much.
  await expect(said).toContainText('Gives way at');
  await expect(said).toContainText('kinks at the left shoulder');
  await snow.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
  await expect(said).toContainText('It stands. The crown sinks');
  await choose(page, 'Lies', 'On the lee side');
  await expect(said).toContainText(/leans .* to the left/);
  // Wind from the left leans it the other way.
  await snow.focus();
  await page.keyboard.press('Home');
  await page.getByRole('slider', { name: /^Gust/ }).focus();
  await page.keyboard.press('PageUp');
  await page.keyboard.press('PageUp');
  await expect(said).toContainText(/to the right/);
  await expect(page.getByRole('row', { name: 'wet snow' })).toContainText('3 1/2"');

  // More wind than its latches bear beside more snow than its hoops do: two changes at once, tried, then taken.
  await page.getByLabel(/^Worst gust/).fill('110');
  await page.keyboard.press('Enter');
  const sets = page.getByRole('group', { name: 'Make all of it hold' });
  await sets.getByRole('button', { name: /hoops and 8 latches/ }).click();
  await sets.getByRole('button', { name: 'Take it' }).click();
  await expect(page.locator('[data-verdict="fails"]')).toHaveCount(0);
  await expect(said).toContainText('It stands.');
});

test('a cover of straight bars is tried under snow too: how they sag, and from what depth it is too much', async ({
  page,
}) => {
  await openDemo(page);
  await chooseKind(page, 'long', 'Sloped cold frame');
  await page.getByRole('link', { name: 'Stand' }).click();
  const snow = page.getByRole('slider', { name: /^Snow, wet/ });
  const word = page.getByRole('status').filter({ hasText: /It stands|Too much/ });
  await expect(word).toContainText('It stands.');
  await snow.focus();
  await page.keyboard.press('End');
  await expect(word).toContainText(/Too much from .* on: more (stress|sag)/);
  await page.keyboard.press('Home');
  await expect(word).toContainText('It stands.');
});

test('beside a wall the drift is laid on the hoops; warm pipe bends more', async ({ page }) => {
  await openDemo(page);
  await chooseKind(page, 'wall', 'Hinged hoop lid');
  await page.getByRole('link', { name: 'Stand' }).click();
  const said = page.getByRole('status').filter({ hasText: /stands|Gives way/ });
  await expect(said).toContainText('It stands.');
  await choose(page, 'Lies', /^Drifted against House wall/);
  await expect(said).toContainText(/leans .* to the left|Gives way/);
  const drift = page.locator('[data-check="drift"]');
  await expect(drift).toContainText('Snow drifts against House wall');
  // Nothing but wind, cool and warm.
  await choose(page, 'Lies', /^On both sides/);
  await page.getByRole('slider', { name: /^Snow/ }).focus();
  await page.keyboard.press('Home');
  await page.getByRole('slider', { name: /^Gust/ }).focus();
  await page.keyboard.press('End');
  await expect(said).toContainText(/to the right|Gives way/);
  const cool = await said.textContent();
  await choose(page, 'Pipe', /^Warm/);
  await expect(said).not.toHaveText(cool ?? '');
});
