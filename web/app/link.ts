/** A cover in the part of an address after its `#`: it is sent to no server. */
import { type Result, fail, ok } from '../../core/base/result';
import { type Garden, emptyGarden, newWork } from '../../core/garden/garden';
import { same } from '../../core/garden/difference';
import { readGarden } from '../../core/garden/read';
import { writeGarden } from '../../core/garden/write';

/** A longer one is refused by some that hand addresses on; and what it may unfold to, bytes. */
export const MOST_LINK_CHARS = 8000;
const MOST_BYTES = 2_000_000;
/** As an address is written. */
const WRITTEN = /^[A-Za-z0-9_-]+$/;

/** @returns a fault where it would be too long: then a file does */
export async function linkOf(parcel: Garden, origin: string): Promise<Result<string>> {
  const text = JSON.stringify(withoutUsual(JSON.parse(writeGarden(parcel)), { ...emptyGarden(''), ...newWork() }));
  const packed = await through(new Blob([text]).stream(), new CompressionStream('deflate-raw'), MOST_BYTES);
  if (!packed) return tooLong();
  const link = `${origin}/take#${toText(packed)}`;
  return link.length > MOST_LINK_CHARS ? tooLong() : ok(link);
}

/** What reading puts in by itself need not be said: each letter makes the code harder to read for a camera. */
const USUAL = [
  'landmarks',
  'plot',
  'catalog',
  'shelfFlat',
  'priceLists',
  'got',
  'ownedWhere',
  'notes',
  'state',
  'cut',
  'cutFlat',
  'also',
];

function withoutUsual(value: unknown, usual: Readonly<Record<string, unknown>>): unknown {
  if (Array.isArray(value)) return value.map((entry: unknown) => withoutUsual(entry, usual));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key, is]) => !USUAL.includes(key) || !same(is, usual[key]))
      .map(([key, is]) => [key, withoutUsual(is, usual)]),
  );
}

const tooLong = (): Result<never> =>
  fail('link', 'This cover, with the catalogue that it needs, is too large for a link. Save it to a file instead.');

/** Reads a cover from an address; whatever is in it, nothing is changed and little is used. */
export async function readLink(hash: string): Promise<Result<Garden>> {
  const text = hash.replace(/^#/, '');
  if (text === '') return fail('link', 'There is no cover in this address: the part after # is missing.');
  if (text.length > MOST_LINK_CHARS) return fail('link', `The part after # is longer than ${MOST_LINK_CHARS} letters.`);
  if (!WRITTEN.test(text))
    return fail('link', 'The part after # has letters that no link of ours has: it was changed on its way.');
  let bytes: Uint8Array<ArrayBuffer> | undefined;
  try {
    const packed = new Blob([fromText(text)]).stream();
    bytes = await through(packed, new DecompressionStream('deflate-raw'), MOST_BYTES);
  } catch {
    return fail('link', 'The link cannot be unfolded: it was cut short or changed on its way. Ask for it again.');
  }
  if (!bytes) return fail('link', 'The link unfolds to more than a cover can be.');
  const read = readGarden(new TextDecoder().decode(bytes));
  if (!read.ok) return read;
  return read.value.covers.length === 1 && read.value.beds.length === 1
    ? read
    : fail('covers', 'A link holds one cover on one bed.');
}

/** A stream through another, to its end; undefined as soon as it is more than so many bytes. */
async function through(
  from: ReadableStream<Uint8Array<ArrayBuffer>>,
  by: CompressionStream | DecompressionStream,
  most: number,
): Promise<Uint8Array<ArrayBuffer> | undefined> {
  const reader = from
    .pipeThrough(by as ReadableWritablePair<Uint8Array<ArrayBuffer>, Uint8Array<ArrayBuffer>>)
    .getReader();
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader.cancel();
      return undefined;
    }
    parts.push(value);
  }
  return new Uint8Array(await new Blob(parts).arrayBuffer());
}

const toText = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

const fromText = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (c) => c.charCodeAt(0));
