import fc from 'fast-check';
import { demoGarden } from '../../core/garden/demo';
import { emptyGarden } from '../../core/garden/garden';
import { writeGarden } from '../../core/garden/write';
import { parcelOf } from '../../core/commands/parcel';
import { MOST_LINK_CHARS, linkOf, readLink } from './link';

const garden = demoGarden();

test('every cover of the demo goes through a link and comes out the same', async () => {
  for (const { id } of garden.covers) {
    const parcel = parcelOf(garden, id);
    if (!parcel.ok) throw new Error(id);
    const link = await linkOf(parcel.value, 'https://cabanon.example');
    if (!link.ok) throw new Error(link.faults[0]?.message);
    // Short enough to be drawn as a code that a phone reads.
    expect(link.value.length).toBeLessThan(1800);
    const read = await readLink(new URL(link.value).hash);
    expect(read).toEqual({ ok: true, value: parcel.value });
  }
});

test('too much for a link is said, and a file is offered', async () => {
  const notes = Object.fromEntries(
    Array.from({ length: 3000 }, (_, i) => [`bar ${i * 7919}`, `${(i * 104729) % 99991}`]),
  );
  const link = await linkOf({ ...garden, notes }, 'https://cabanon.example');
  expect(link.ok ? '' : link.faults[0]?.message).toContain('Save it to a file');
});

test('whatever stands after # does no harm', async () => {
  await fc.assert(
    fc.asyncProperty(fc.oneof(fc.string({ maxLength: 300 }), fc.base64String({ maxLength: 400 })), async (text) => {
      const read = await readLink(`#${text}`);
      expect(read.ok).toBe(false);
    }),
    { numRuns: 200 },
  );
  expect((await readLink('#' + 'A'.repeat(MOST_LINK_CHARS + 1))).ok).toBe(false);
});

test('what unfolds to far more than it is, and what is no single cover, is refused', async () => {
  const packed = async (text: string): Promise<string> => {
    const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('deflate-raw'));
    return Buffer.from(await new Response(stream).arrayBuffer()).toString('base64url');
  };
  const field = async (text: string): Promise<string | undefined> => {
    const read = await readLink(`#${await packed(text)}`);
    return read.ok ? undefined : read.faults[0]?.field;
  };
  expect(await field(' '.repeat(5_000_000))).toBe('link');
  expect(await field('{}')).toBe('format');
  expect(await field(writeGarden(emptyGarden('Nothing')))).toBe('covers');
  // Cut short on its way.
  const whole = await packed(writeGarden(garden));
  expect((await readLink(`#${whole.slice(0, 400)}`)).ok).toBe(false);
});
