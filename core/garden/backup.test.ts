import fc from 'fast-check';
import { readBackup, writeBackup } from './backup';
import { demoGarden } from './demo';
import { emptyGarden } from './garden';

const gardens = [demoGarden(), emptyGarden('Second')];

test('gardens come back as they were', () => {
  expect(readBackup(writeBackup(gardens))).toEqual({ ok: true, value: { gardens, left: [] } });
  expect(readBackup(writeBackup([]))).toEqual({ ok: true, value: { gardens: [], left: [] } });
});

test('a garden that does not read is named and left out; the others come back whole', () => {
  const bad = { ...demoGarden(), name: '' };
  const read = readBackup(writeBackup([bad, gardens[1]]));
  if (!read.ok) throw new Error('not read');
  expect(read.value.gardens).toEqual([gardens[1]]);
  expect(read.value.left.map((f) => f.field)).toEqual(['gardens[0].name']);
  expect(readBackup(writeBackup([bad])).ok).toBe(false);
});

test('what is no backup is refused by its field', () => {
  const field = (text: string): string | undefined => {
    const read = readBackup(text);
    return read.ok ? undefined : read.faults[0]?.field;
  };
  expect(field('not json')).toBe('file');
  expect(field('null')).toBe('format');
  expect(field('{"format": "cabanon-garden"}')).toBe('format');
  expect(field('{"format": "cabanon-gardens", "version": 2}')).toBe('version');
  expect(field('{"format": "cabanon-gardens", "version": 1, "gardens": 3}')).toBe('gardens');
  fc.assert(
    fc.property(fc.json(), (text) => {
      expect(() => readBackup(text)).not.toThrow();
    }),
  );
});
