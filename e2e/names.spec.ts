import { demoGarden } from '../core/garden/demo';
import { writeGarden } from '../core/garden/write';
import { expect, openFile, test } from './app';

const LONG = 'Donaudampfschifffahrtselektrizitaetenhauptbetriebswerkbau'.slice(0, 56);

/** The demo with the longest names there may be, without a place to break them. */
function longNames(): string {
  const garden = demoGarden();
  return writeGarden({
    ...garden,
    name: `${LONG}0`,
    beds: garden.beds.map((b, i) => ({ ...b, name: `${LONG}${i}` })),
    covers: garden.covers.map((c, i) => ({ ...c, name: `${LONG}C${i}` })),
  });
}

const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];

test('a long unbroken name breaks no layout, on a table or in the hand', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/gardens');
  const file = { name: 'long.json', mimeType: 'application/json', buffer: Buffer.from(longNames()) };
  await openFile(page, 'Open a garden file', file);
  await page.waitForURL(/\/plot/);
  const garden = page.url().replace(/\/plot$/, '');
  const places = [
    'plot',
    'bed/long',
    'choose/long',
    'bench/winter-lid',
    'bench/winter-lid/stand',
    'saw/winter-lid',
    'cart/winter-lid',
    'build/winter-lid',
    'paper/winter-lid',
    'versions/winter-lid',
    'together/saw',
    'together/cart',
    'shelf',
    'book',
    'book/year',
    'book/log',
  ];
  // A page is looked at in the size that it was opened in: a browser under load may resize the page before its media queries.
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await page.reload();
    for (const place of [...places, '/gardens']) {
      await page.evaluate(
        (path) => {
          history.pushState(null, '', path);
          dispatchEvent(new PopStateEvent('popstate'));
        },
        place.startsWith('/') ? place : `${garden}/${place}`,
      );
      await page.waitForTimeout(150);
      await expect(page.getByText('Opening…')).toHaveCount(0);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
      // Whatever reaches beyond the screen, but in what scrolls or is cut off on purpose.
      const beyond = () =>
        page.evaluate(() => {
          const clipped = (e: Element): boolean => {
            for (let up = e.parentElement; up; up = up.parentElement)
              if (['auto', 'scroll', 'hidden', 'clip'].includes(getComputedStyle(up).overflowX)) return true;
            return false;
          };
          return [...document.querySelectorAll('main *')]
            .filter((e) => e.textContent?.includes('Donau') && !(e instanceof SVGElement))
            .filter((e) => {
              const box = e.getBoundingClientRect();
              const cut =
                e.scrollWidth > e.clientWidth + 1 &&
                e.clientWidth > 0 &&
                getComputedStyle(e).overflowX === 'visible' &&
                getComputedStyle(e).display !== 'inline';
              return (box.right > innerWidth + 1 && !clipped(e)) || cut;
            })
            .map((e) => `${e.tagName}.${e.className}: ${e.textContent?.slice(0, 40)}`);
        });
      await expect.poll(beyond, `${place} at ${size.width}`).toEqual([]);
    }
  }
});
