import { SHIPPED, section } from '../../catalog/catalog';
import type { ShelfBar } from './onHand';
import { piece as member } from '../../cover/assembly/pieces';
import { type SectionJob, sectionJobs } from './bars';

const board = (tag: string, lengthMm: number) =>
  member(tag, 'Rail', section(SHIPPED, '2x4'), [0, 0, 0], [lengthMm, 0, 0], [0, 0, 1]);
const own = (id: string, more: Partial<ShelfBar> = {}): ShelfBar => ({
  id,
  sectionKey: '2x4',
  lengthMm: 2000,
  quantity: 1,
  condition: 'sound',
  ...more,
});
const jobOf = (shelf: readonly ShelfBar[], prices = {}): SectionJob => {
  const [job] = sectionJobs({ members: [board('A1', 900), board('A2', 900), board('B1', 500)] }, prices, shelf, []);
  if (!job) throw new Error('a job');
  return job;
};
/** The stock entries that are of the shelf. */
const owned = ({ job, shelfIds }: SectionJob) => job.stock.filter((_, i) => shelfIds[i] !== undefined);

test('the shelf is stock without a price, as many as there are, less the squared end', () => {
  const squared = 25.4 / 4;
  expect(owned(jobOf([own('a', { quantity: 3 })]))).toEqual([{ length: 2000 - squared, price: 0, available: 3 }]);
  expect(owned(jobOf([own('a', { quantity: 0 }), own('b', { sectionKey: '2x2' })]))).toEqual([]);
});

test('bowed bars give pieces of at most half their length; worn ones are left where they are', () => {
  const [bowed] = owned(jobOf([own('a', { condition: 'bowed' }), own('b', { condition: 'worn' })]));
  expect(bowed?.longestPiece).toBe(1000);
  expect(owned(jobOf([own('a', { condition: 'bowed' }), own('b', { condition: 'worn' })]))).toHaveLength(1);
});

test('alike pieces are one kind; what is cut is asked for no more; own prices count', () => {
  expect(jobOf([]).job.pieces).toEqual([
    { length: 900, quantity: 2 },
    { length: 500, quantity: 1 },
  ]);
  expect(jobOf([], { 'bar 2x4 2438': 1 }).job.stock[0]?.price).toBe(1);
  const done = [{ tag: 'A1', sectionKey: '2x4', lengthMm: 900 }];
  const left = sectionJobs({ members: [board('A1', 900), board('A2', 900)] }, {}, [], done)[0];
  expect(left?.job.pieces).toEqual([{ length: 900, quantity: 1 }]);
});
