import type { Page } from '@playwright/test';
import { choose, expect, openDemo, test } from './app';

test('from an empty garden to a chosen cover that holds, by keyboard alone', async ({ page }) => {
  test.slow();
  await page.goto('/');
  /** Goes to a thing and presses it, as the tab key and Enter do. */
  const press = async (role: 'button' | 'link' | 'option', name: string | RegExp): Promise<void> => {
    const thing = page.getByRole(role, { name, exact: true }).first();
    await thing.focus();
    await page.keyboard.press('Enter');
  };
  const write = async (label: string, text: string): Promise<void> => {
    await page.getByLabel(label).focus();
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  };
  await press('button', 'Start my own garden');
  await press('button', 'Start the garden');
  await press('button', 'Add a bed');
  await press('link', 'Choose');
  await expect(page.getByTestId('brief-sentence')).toHaveText('A cover of any kind, for anything.');
  // Before anything is said there are whole briefs to press, and every kind has its price.
  await expect(page.getByRole('region', { name: 'What most gardeners want' }).getByRole('button')).toHaveCount(4);
  await expect(page.getByRole('button', { name: 'To Staked tunnel' })).toContainText('$');
  await press('button', /^Add a crop/);
  await expect(page.getByRole('option', { name: 'spinach' })).toBeVisible();
  await page.keyboard.type('spin');
  await page.keyboard.press('Enter');
  await press('button', 'through the winter');
  await write('Wet snow that it must carry; nothing means any', '6 in');
  await write('Most money; nothing means any', 'a lot');
  await expect(page.getByText('A number from 0 to 1000000, or nothing for any.')).toBeVisible();
  await write('Most money; nothing means any', '150');
  await expect(page.getByTestId('brief-sentence')).toHaveText(
    'A cover for spinach, through the winter, that carries 6" of wet snow and costs no more than $150.00.',
  );
  await press('button', 'Find the best covers');
  await press('button', /^Choose .*, /);
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByRole('img', { name: /Fails/ })).toHaveCount(0);
  await expect(page.getByTestId('strip-price')).toContainText('$');
  // What it was chosen for stays beside it, with what it does not do any more.
  const forWhat = page.getByRole('region', { name: 'What it is for' });
  await expect(forWhat).toContainText('that carries 6" of wet snow and costs no more than $150.00.');
  await expect(forWhat).toContainText('It does all of that.');
});

/** An A-frame for kale that carries 4 in of wet snow, searched for on the demo's bed. */
async function askForAFrame(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole('link', { name: 'Choose' }).click();
  await choose(page, 'Add a crop', 'kale');
  await page.getByText('Liked and refused').click();
  await choose(page, 'Add a kind', 'a-frame');
  await page.getByLabel('Wet snow that it must carry; nothing means any').fill('4 in');
  await page.getByLabel('Wet snow that it must carry; nothing means any').press('Enter');
  await page.getByRole('button', { name: 'Find the best covers' }).click();
}

test('a brief is answered with designs, what wishes cost and why not mine; the brief stays with the bed', async ({
  page,
}) => {
  test.slow();
  await askForAFrame(page);
  const offers = page.getByTestId('offers');
  await expect(offers.getByRole('listitem').first()).toContainText('The cheapest');
  await expect(offers.getByRole('listitem').first()).toContainText(/A-frame, \$\d/, { timeout: 45_000 });
  await expect(page.getByTestId('wish-costs')).toContainText('of wet snow instead of 4" of wet snow', {
    timeout: 45_000,
  });
  await expect(page.getByTestId('why-not')).toContainText('room for kale');
  await page.reload();
  await expect(page.getByTestId('brief-sentence')).toContainText('An a-frame for kale, that carries 4" of wet snow');
  await page.getByLabel('Most money; nothing means any').fill('3');
  await page.getByLabel('Most money; nothing means any').press('Enter');
  await page.getByRole('button', { name: 'Find the best covers' }).click();
  await expect(page.getByTestId('ruled-out')).toContainText('No a-frame was found that costs no more than $3.00', {
    timeout: 45_000,
  });
  await expect(page.getByTestId('nearest')).toContainText('Misses');
});

test('what a wish would cost is taken as a cover of its own, for the brief that asks more', async ({ page }) => {
  test.slow();
  await askForAFrame(page);
  await page.getByRole('button', { name: 'Choose the one 6" of wet snow instead of 4"' }).click({ timeout: 60_000 });
  await expect(page).toHaveURL(/\/bench\//);
  await expect(page.getByRole('region', { name: 'What it is for' })).toContainText('that carries 6" of wet snow');
  await expect(page.getByRole('region', { name: 'What it is for' })).toContainText('It does all of that.');
});
