import highsLoader from 'highs';
import { PDFDocument } from 'pdf-lib';
import { highsSolver } from '../make/cutting/highs';
import type { IntegerSolver } from '../make/cutting/linearProgram';
import { type Plan, plan } from '../plan';
import { planTogether } from '../explore/together';
import { cutBook } from './cutBook';
import { demoGarden } from '../garden/demo';
import type { Cover, Garden } from '../garden/garden';

let solver: IntegerSolver;
beforeAll(async () => {
  solver = highsSolver(await highsLoader());
});
const planned = (garden: Garden, at = 0): Plan => {
  const made = plan(garden, garden.covers[at] as Cover, solver);
  if (!made.ok) throw new Error(JSON.stringify(made.faults));
  return made.value;
};
const pagesOf = async (bytes: Uint8Array) => (await PDFDocument.load(bytes)).getPages();

test('the same work is the same file, on the paper of its market', async () => {
  const garden = demoGarden();
  const p = planned(garden);
  const bytes = await cutBook(p, 'Lid');
  expect(Buffer.from(bytes.slice(0, 5)).toString()).toBe('%PDF-');
  expect(await cutBook(p, 'Lid')).toEqual(bytes);
  expect((await pagesOf(bytes))[0]?.getSize()).toEqual({ width: 612, height: 792 });
  const metric = { ...garden, units: { ...garden.units, stock: 'metric' as const, length: 'mm' as const } };
  const a4 = (await pagesOf(await cutBook(planned(metric, 1), 'Tunnel')))[0]?.getSize();
  expect(a4?.height).toBeCloseTo(841.89, 2);
});

test('all covers of a garden go on as many pages as they need, whatever letters their names are of', async () => {
  const garden = demoGarden();
  const all = planTogether(garden, garden.covers, solver);
  if (!all.ok) throw new Error(JSON.stringify(all.faults));
  const one = await pagesOf(await cutBook(planned(garden), 'Zimní kryt − żółty 苗'));
  const many = await pagesOf(await cutBook(all.value, 'All'));
  expect(many.length).toBeGreaterThan(one.length);
});
