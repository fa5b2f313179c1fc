import { expect, openDemo, test } from './app';

test('building keeps its place and its ticks over a reload, with marks and cautions at their step', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await expect(page.getByText(/Step 1 of 8/)).toBeVisible();
  await page.getByRole('button', { name: 'Done, next: mark both long rails' }).click();
  // The next step begins at its title.
  await expect(page.getByRole('heading', { name: 'Mark both long rails' })).toBeFocused();
  await expect(page.getByText(/Step 2 of 8/)).toBeInViewport();
  await expect(page.getByRole('img', { name: /A1 Front rail: H1 at 2", H2 at 2' 9"/ })).toBeVisible();
  await page.getByRole('button', { name: /Bend the hoops in/ }).click();
  await expect(page.getByRole('note', { name: 'Caution' })).toContainText('eye protection');
  // Five hoops, a strap at each foot with two screws.
  await expect(page.getByText('Have at hand: 10 × two-hole pipe strap, 20 × exterior screw 1 in.')).toBeVisible();
  const box = page.getByRole('checkbox').first();
  await box.check({ force: true });
  await page.waitForTimeout(400);
  await page.reload();
  await expect(page.getByText(/Step 4 of 8/)).toBeVisible();
  await expect(page.getByRole('checkbox').first()).toBeChecked();
  await page.getByRole('button', { name: 'Print the steps' }).click();
  await expect(
    page.getByTestId('paper-steps').getByRole('heading', { name: 'Level the bed and hang the lid' }),
  ).toBeVisible();
});
