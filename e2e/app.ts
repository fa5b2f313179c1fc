import AxeBuilder from '@axe-core/playwright';
import { type Locator, type Page, test as base, expect } from '@playwright/test';

/** Every journey fails on a script error or anything that the content policy stops. */
export const test = base.extend({
  page: async ({ page }, use) => {
    const problems: string[] = [];
    page.on('pageerror', (error) => problems.push(error.message));
    page.on('console', (line) => {
      if (line.type() === 'error') problems.push(line.text());
    });
    await use(page);
    expect(problems).toEqual([]);
  },
});
export { expect };

/** Opens the demo garden and waits for its price. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/demo');
  await page.waitForURL(/\/bench\//);
  await expect(price(page)).toContainText('$');
}

export function price(page: Page) {
  return page.getByTestId('strip-price');
}

/** The price when its cuts are proven: until then the quick rule's stands there, marked so. */
export async function provenPrice(page: Page): Promise<string> {
  await expect(price(page)).toContainText(/^(Price|Still to pay)[^≈\d]*\d/);
  return (await price(page).textContent()) ?? '';
}

/** The value of one typed dimension. */
export function dimension(page: Page, id: string) {
  return page.getByTestId(`dim-${id}`);
}

/** Types into a field as a person does: press it, write, Enter. */
export async function type(page: Page, testId: string, text: string): Promise<void> {
  await page.getByTestId(testId).click();
  await page.getByTestId(testId).fill(text);
  await page.getByTestId(testId).press('Enter');
}

/** Chooses from a list: opens it by its name, takes the option of that name. */
export async function choose(
  page: Page,
  label: string,
  option: string | RegExp,
  within: Page | Locator = page,
): Promise<void> {
  await within
    .getByRole('button', { name: new RegExp(` ${label}$`) })
    .first()
    .click();
  await page.getByRole('option', { name: option, exact: true }).click();
}

/** Gives a file to the press that asks for one. */
export async function openFile(
  page: Page,
  press: string,
  file: string | { readonly name: string; readonly mimeType: string; readonly buffer: Buffer },
): Promise<void> {
  const [asked] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: press, exact: true }).first().click(),
  ]);
  await asked.setFiles(file);
}

/** Types a date part by part, in whatever order the garden has them. */
export async function setDate(page: Page, label: string, iso: string): Promise<void> {
  const [year = '', month = '', day = ''] = iso.split('-');
  const field = page.getByRole('group', { name: label, exact: true });
  await typeParts(page, field, { month, day, year });
}

/** Types an hour of the clock: 17:30. */
export async function setHour(page: Page, label: string, hour: string): Promise<void> {
  const [hours = '', minutes = ''] = hour.split(':');
  await typeParts(page, page.getByRole('group', { name: label, exact: true }), { hour: hours, minute: minutes });
}

async function typeParts(page: Page, field: Locator, parts: Readonly<Record<string, string>>): Promise<void> {
  for (const [part, text] of Object.entries(parts)) {
    await field.getByRole('spinbutton', { name: new RegExp(`^${part}`) }).click();
    await page.keyboard.type(text);
  }
  await page.keyboard.press('Enter');
}

/** Puts a new cover of a kind on a bed of the open garden: its bench comes next. */
export async function chooseKind(page: Page, bedId: string, name: string): Promise<void> {
  await page.goto(`/g/demo/choose/${bedId}/kinds`);
  await page.getByRole('button', { name: `Choose ${name}` }).click();
}

/** No violation of the given rules, or of any rule. */
export async function expectAccessible(page: Page, rules?: string[]): Promise<void> {
  // Only faults are wanted: naming every element that passes takes most of the time.
  // The app has no frames, so one run on the page finds all that a run frame by frame would, in a third of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true);
  const found = await (rules ? axe.withRules(rules) : axe).analyze();
  expect(
    found.violations.map(
      (v) => `${v.id}: ${v.nodes.map((n) => `${n.target.join(' ')} ${n.failureSummary ?? ''}`).join(' | ')}`,
    ),
  ).toEqual([]);
}
