/** Files that are dropped on a page: what they are for is told by their name and how they begin. */
import { droppedFile, fileUse, readDropped } from './dropped';

test.each([
  ['Quillet Hollow.json', 'application/json', '{"version":1', 'garden'],
  ['Corner shop.csv', 'text/csv', 'key,aisle,name,size,price\r\npack strap,', 'prices'],
  ['shed.CSV', 'text/csv', 'when,shed,light\n2027-02-01 00:00,20,0', 'weather'],
  ['year.epw', '', 'LOCATION,Someplace', 'weather'],
  ['bed.jpg', 'image/jpeg', '', 'picture'],
  // The price of a word inside is no column.
  ['log.csv', 'text/csv', 'time,pricey heater on\n1,2', 'weather'],
  ['plan.pdf', 'application/pdf', '%PDF', undefined],
  ['noending', '', 'price', undefined],
])('%s (%s) that begins with %j is for: %s', async (name, type, text, use) => {
  expect(fileUse(name, type, text)).toBe(use);
  const file = new File([text], name, { type });
  expect(await readDropped(file)).toEqual(use && { use, file });
});

test('a file goes to the place that takes its kind, and to no other; what else stands in an address is nothing', () => {
  const file = new File(['{}'], 'a.json');
  expect(droppedFile({ use: 'garden', file }, 'garden')).toBe(file);
  expect(droppedFile({ use: 'garden', file }, 'prices')).toBeUndefined();
  for (const state of [null, undefined, 'garden', { use: 'garden' }, { use: 'garden', file: 'a.json' }])
    expect(droppedFile(state, 'garden')).toBeUndefined();
});
