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
  const text = JSON.stringify(withoutUsual(JSON.parse(writeGarden(parcel)) as Garden));
  const packed = await through(new Blob([text]).stream(), new CompressionStream('deflate-raw'), MOST_BYTES);
  if (!packed) return tooLong();
  const link = `${origin}/take#${toText(packed)}`;
  return link.length > MOST_LINK_CHARS ? tooLong() : ok(link);
}

type Fields = Readonly<Record<string, unknown>>;

/** What is left out of a link where it is as in a garden with nothing in it: each letter makes the code harder to read for a camera. */
function usualParts(): { readonly garden: Fields; readonly cover: Fields } {
  const { landmarks, plot, catalog, shelf, shelfFlat, prices, priceLists, log, got, owned, ownedWhere, notes } =
    emptyGarden('');
  return {
    garden: { landmarks, plot, catalog, shelf, shelfFlat, prices, priceLists, log, got, owned, ownedWhere, notes },
    cover: newWork(),
  };
}

const without = (of: Fields, usual: Fields): Fields =>
  Object.fromEntries(Object.entries(of).filter(([key, is]) => !(key in usual) || !same(is, usual[key])));

/** A garden without what is usual of it and of its covers. */
function withoutUsual(garden: Fields & Pick<Garden, 'covers'>): Fields {
  const usual = usualParts();
  return { ...without(garden, usual.garden), covers: garden.covers.map((c) => without(c, usual.cover)) };
}

/** The garden again; what is no garden is left for the reading to name. */
function withUsual(document: unknown): unknown {
  if (typeof document !== 'object' || document === null || Array.isArray(document)) return document;
  const usual = usualParts();
  const { covers, ...rest } = document as Fields;
  const whole = (c: unknown): unknown =>
    typeof c === 'object' && c !== null && !Array.isArray(c) ? { ...usual.cover, ...c } : c;
  return { ...usual.garden, ...rest, covers: Array.isArray(covers) ? covers.map(whole) : covers };
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
  let document: unknown;
  try {
    document = JSON.parse(new TextDecoder().decode(bytes));
  } catch {
    return fail('link', 'The link does not hold a cover: it was changed on its way. Ask for it again.');
  }
  const read = readGarden(JSON.stringify(withUsual(document)));
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
