/** What a browser, a server or a build may do to the page: the garden is safe, and the screen says what happened. */
import { readFile } from 'node:fs/promises';
import { test as plain } from '@playwright/test';
import { choose, chooseKind, dimension, expect, openDemo, price, test, type } from './app';
import { REFUSALS, type Refusal, keepsNothing, refuse } from './trials';

/** Of the refusals those that differ in what is seen; all of them are in `npm run hurt`. */
const TRIED: readonly Refusal[] = [
  'IndexedDB throws when it is looked at',
  'IndexedDB writes nothing',
  'localStorage throws',
  'BroadcastChannel throws',
];

for (const refusal of TRIED)
  test(`the app runs where ${refusal}`, async ({ page }) => {
    expect(REFUSALS[refusal]).toBeDefined();
    await refuse(page, refusal);
    await openDemo(page);
    await type(page, 'dim-pipeLength', '81');
    await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 9"`);
    const line = page.getByRole('alert').filter({ hasText: 'Not saved since' });
    if (!keepsNothing(refusal)) {
      await expect(line).toHaveCount(0);
      return;
    }
    await expect(line).toBeVisible();
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      line.getByRole('button', { name: 'Save to a file' }).click(),
    ]);
    expect(await readFile(await file.path(), 'utf8')).toContain('2057.4');
    // In every place.
    await page.getByRole('link', { name: 'Plot' }).click();
    await expect(line).toBeVisible();
    await page.getByRole('link', { name: 'Cabanon: all gardens' }).click();
    await expect(page.getByRole('region', { name: 'Gardens kept here' }).getByRole('listitem')).toHaveCount(1);
  });

test('a save that failed is kept as soon as writing works again', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { mend: () => void (IDBObjectStore.prototype.put = put) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no', 'UnknownError');
    };
  });
  await type(page, 'dim-pipeLength', '82');
  await expect(page.getByText('Not saved since')).toBeVisible();
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await expect(page.getByText('Not saved since')).toHaveCount(0);
  await page.reload();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
});

test('two tabs on two gardens stay where they are over a reload', async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto('/gardens');
  await other.getByRole('button', { name: 'Start my own garden' }).click();
  await other.getByRole('button', { name: 'Start the garden' }).click();
  await other.waitForURL(/\/g\/[^/]+\/plot/);
  await page.reload();
  await expect(dimension(page, 'pipeLength')).toBeVisible();
  await other.reload();
  await expect(other.getByRole('heading', { level: 1 })).toHaveText('My garden');
  await expect(other.getByText('Winter lid')).toHaveCount(0);
  // An address that is none leads to the garden that was open last.
  await page.goto('/nowhere');
  await expect(page).toHaveURL(/\/g\/[^/]+\/plot/);
});

test('two tabs change different things, then the same thing', async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  // The two do not hear of one another; they find out when they save.
  await refuse(other, 'BroadcastChannel throws');
  await other.goto(page.url());
  await type(other, 'dim-pipeLength', '82');
  await other.waitForTimeout(300);
  await page.getByRole('link', { name: 'Settings' }).click();
  await choose(page, 'Lengths', 'Centimetres');
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(dimension(page, 'pipeLength')).toHaveValue('208.3 cm');
  await page.getByRole('button', { name: 'Undo: Change units' }).click();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
  await type(page, 'dim-pipeLength', '83');
  await page.waitForTimeout(300);
  await type(other, 'dim-pipeLength', '84');
  const ask = other.getByRole('alertdialog', { name: 'Changed in two tabs' });
  await expect(ask).toContainText(`This tab: 7' 0"`);
  await ask.getByRole('radio', { name: `The other tab: 6' 11"` }).check({ force: true });
  await ask.getByRole('button', { name: 'Go on with these' }).click();
  await expect(ask).toHaveCount(0);
  await expect(dimension(other, 'pipeLength')).toHaveValue(`6' 11"`);
});

test('a garden deleted in another tab stays deleted, and says so', async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto('/gardens');
  await other.getByRole('button', { name: 'Delete Quillet Hollow' }).click();
  await other.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(page.getByText('Deleted in another tab.')).toBeVisible();
  await type(page, 'dim-pipeLength', '82');
  await other.reload();
  await expect(other.getByRole('region', { name: 'Gardens kept here' }).getByRole('listitem')).toHaveCount(0);
  await page.getByRole('button', { name: 'Keep it after all' }).click();
  await expect(page.getByText('Deleted in another tab.')).toHaveCount(0);
  await page.reload();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
});

test('a stored garden of another version is looked at and saved as it is, and the demo does not take its place', async ({
  page,
}) => {
  await openDemo(page);
  await page.waitForTimeout(300);
  await page.goto('/gardens');
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const open = indexedDB.open('cabanon');
        open.onsuccess = () => {
          const store = open.result.transaction('gardens', 'readwrite').objectStore('gardens');
          const get = store.get('demo') as IDBRequest<{ doc: { covers: { family: string }[] } }>;
          get.onsuccess = () => {
            const [first] = get.result.doc.covers;
            if (first) first.family = 'of-tomorrow';
            store.put(get.result).onsuccess = () => done();
          };
        };
      }),
  );
  await page.goto('/g/demo/plot');
  await expect(page.getByRole('alert')).toContainText('does not read as a whole');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save it to a file as it is' }).click(),
  ]);
  expect(await readFile(await file.path(), 'utf8')).toContain('of-tomorrow');
  await page.getByRole('button', { name: 'Look at what reads' }).click();
  await expect(page.getByText('Looked at only.')).toBeVisible();
  await page.goto('/demo');
  await page.waitForURL(/\/g\/demo-2\/bench/);
  await page.goto('/g/demo/plot');
  await expect(page.getByRole('alert')).toContainText('does not read as a whole');
});

// From here on the console has errors to tell of, as it should.
plain('a part that does not come is said, and fetched again', async ({ page }) => {
  await openDemo(page);
  await page.route('**/assets/Saw-*.js', (route) => route.abort());
  await page.route('**/', (route) => route.abort());
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A part of Cabanon did not come');
  await expect(page.getByText('Your garden is safe')).toBeVisible();
  await page.getByRole('button', { name: 'Fetch it again' }).click();
  await expect(page.getByText('It cannot be reached yet')).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(price(page)).toContainText('$');
  await page.unroute('**/assets/Saw-*.js');
  await page.unroute('**/');
  await page.getByRole('link', { name: 'Saw' }).click();
  await expect(page.getByTestId('proof')).toContainText('Proven.');
});

plain(
  'easy cuts are proven without the solver; where it does not come for hard ones it is said, and asked again',
  async ({ page }) => {
    await page.route('**/*.wasm', (route) => route.abort());
    await openDemo(page);
    await page.getByRole('link', { name: 'Saw' }).click();
    await expect(page.getByTestId('proof')).toContainText('Proven.');
    await chooseKind(page, 'long', 'Double-wall cold frame');
    await page.getByRole('link', { name: 'Saw' }).click();
    await expect(page.getByText('the part that proves hard cuts did not come')).toBeVisible();
    await page.unroute('**/*.wasm');
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('img', { name: /^Board 1,/ })).toBeVisible();
    await expect(page.getByText('did not come')).toHaveCount(0);
  },
);

plain('a newer build under an open page: the part that is gone brings the new page, by itself', async ({ page }) => {
  await openDemo(page);
  // The part is gone until the page itself is fetched anew.
  let gone = true;
  page.on('request', (request) => {
    if (request.isNavigationRequest()) gone = false;
  });
  await page.route('**/assets/Saw-*.js', (route) => (gone ? route.fulfill({ status: 404 }) : route.continue()));
  await type(page, 'dim-pipeLength', '82');
  const anew = page.waitForEvent('load');
  await page.getByRole('link', { name: 'Saw' }).click();
  await anew;
  await expect(page.getByTestId('proof')).toContainText('Proven.');
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
});

plain('an assembly that throws is held in its place; the others go on', async ({ page }) => {
  await openDemo(page);
  await page.evaluate(() => {
    Map.prototype.get = new Proxy(Map.prototype.get, {
      apply(get, map, args: [unknown]) {
        if (args[0] === 'staked-tunnel') throw new Error('an assembly that throws');
        return Reflect.apply(get, map, args) as unknown;
      },
    });
  });
  await page.getByRole('link', { name: 'Plot' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The plot could not be shown');
  await expect(page.getByText('Your garden is safe')).toBeVisible();
  await page.getByText('Details, to copy into a report').click();
  await expect(page.getByText('an assembly that throws')).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  expect(await readFile(await file.path(), 'utf8')).toContain('Quillet Hollow');
  await page.getByRole('link', { name: 'Go on at the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf');
});

plain('without WebGL the round view says so and the rest of the bench goes on', async ({ page }) => {
  await page.addInitScript(() => {
    HTMLCanvasElement.prototype.getContext = () => null;
  });
  await openDemo(page);
  await page.getByRole('link', { name: 'Round' }).click();
  await expect(page.getByText('This browser cannot draw in the round')).toBeVisible();
  await page.getByRole('link', { name: 'Shape' }).click();
  await expect(dimension(page, 'pipeLength')).toBeVisible();
});

/** Keeps every store of a page's storage to itself, until what it gives is called. */
function busyStorage(): Promise<() => void> {
  return new Promise((busy) => {
    const open = indexedDB.open('cabanon');
    open.onsuccess = () => {
      let held = true;
      const store = open.result.transaction([...open.result.objectStoreNames], 'readwrite').objectStore('gardens');
      const hold = (): void => {
        if (held) store.count().onsuccess = hold;
      };
      hold();
      busy(() => void (held = false));
    };
  });
}

plain(
  'the drawing waits neither for what judges it nor for storage, and what is done meanwhile is kept',
  async ({ page, context }) => {
    let letGo: () => void = () => undefined;
    const held = new Promise<void>((go) => (letGo = go));
    const other = await context.newPage();
    await other.goto('/gardens');
    await other.getByRole('heading', { level: 1 }).waitFor();
    const letStorageGo = await other.evaluateHandle(busyStorage);
    await page.route(/assets\/evaluate-.*\.js$/, async (route) => {
      await held;
      await route.continue();
    });
    await page.goto('/demo');
    await expect(page.locator('[data-view="end"]')).toBeVisible();
    await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 4"`);
    await type(page, 'dim-pipeLength', '82');
    await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
    await expect(price(page)).toHaveCount(0);
    letGo();
    await letStorageGo.evaluate((go) => go());
    await expect(price(page)).toContainText('$');
    await expect(page.locator('[data-check]').first()).toBeVisible();
    await page.waitForTimeout(800);
    await page.reload();
    await expect(dimension(page, 'pipeLength')).toHaveValue(`6' 10"`);
  },
);

plain('storage that does not come is said; once it comes the work of meanwhile is in it', async ({ page, context }) => {
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open;
    Object.assign(window, { mend: () => void (IDBFactory.prototype.open = open) });
    IDBFactory.prototype.open = () => {
      throw new DOMException('denied', 'SecurityError');
    };
  });
  await openDemo(page);
  const warning = page.getByRole('alert').filter({ hasText: 'this browser lets Cabanon keep nothing' });
  await expect(warning).toContainText('Not saved since');
  await type(page, 'dim-pipeLength', '83');
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await expect(warning).toHaveCount(0, { timeout: 30_000 });
  const next = await context.newPage();
  await next.goto(page.url());
  await expect(dimension(next, 'pipeLength')).toHaveValue(`6' 11"`);
});
