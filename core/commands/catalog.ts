/** The gardener's own catalogue: figures, sizes, things and crops beside what ships. */
import { treatedKey } from '../catalog/treatment';
import type { Result } from '../base/result';
import type { EntryKind } from '../catalog/catalog';
import type { OwnCatalog } from '../catalog/own';
import type { Garden } from '../garden/garden';
import { type Change, change } from './change';
import { withoutKey } from './shelf';

type Own = { -readonly [K in keyof OwnCatalog]: OwnCatalog[K] };
type OwnCrop = OwnCatalog['crops'][number];

/** An entry of the catalogue, as its figures go by. */
interface EntryRef {
  readonly kind: EntryKind;
  readonly entry: { readonly key: string; readonly name: string };
}

const changeOwn = (garden: Garden, label: string, part: (own: OwnCatalog) => Partial<Own>): Result<Change> =>
  change(garden, label, (g) => void Object.assign(g.catalog, part(garden.catalog)));

const isFigure =
  ({ kind, entry }: EntryRef, figure: string) =>
  (f: OwnCatalog['figures'][number]): boolean =>
    f.kind === kind && f.key === entry.key && f.figure === figure;
/** The figures but for those of one size of an entry. */
const withoutSize = (figures: OwnCatalog['figures'], { kind, entry }: EntryRef, size: string): OwnCatalog['figures'] =>
  figures.filter((f) => f.kind !== kind || f.key !== entry.key || !f.figure.endsWith(` ${size}`));

/** Sets a figure of an entry, in the unit that the catalogue has it in. */
export const setFigure = (garden: Garden, of: EntryRef, figure: string, value: number): Result<Change> =>
  changeOwn(garden, `Change ${of.entry.name}`, ({ figures }) => {
    const known = figures.some(isFigure(of, figure));
    const { kind, entry } = of;
    return {
      figures: known
        ? figures.map((f) => (isFigure(of, figure)(f) ? { ...f, value } : f))
        : [...figures, { kind, key: entry.key, figure, value, note: '' }],
    };
  });

/** Says where a figure of one's own comes from. */
export const noteFigure = (garden: Garden, of: EntryRef, figure: string, note: string): Result<Change> =>
  changeOwn(garden, `Note on ${of.entry.name}`, ({ figures }) => ({
    figures: figures.map((f) => (isFigure(of, figure)(f) ? { ...f, note: note.trim() } : f)),
  }));

/** Takes the shipped figure again. */
export const resetFigure = (garden: Garden, of: EntryRef, figure: string): Result<Change> =>
  changeOwn(garden, `Reset ${of.entry.name}`, ({ figures }) => ({
    figures: figures.filter((f) => !isFigure(of, figure)(f)),
  }));

/** Takes every shipped figure again. */
export const resetAllFigures = (garden: Garden): Result<Change> =>
  changeOwn(garden, 'Reset the figures to those shipped', () => ({ figures: [] }));

/** Takes the shipped price and the nominal sides of one size again. */
export const resetSize = (garden: Garden, of: EntryRef, priceKey: string, size: string): Result<Change> =>
  change(garden, `Reset ${of.entry.name}`, (g) => {
    g.prices = withoutKey(g.prices, priceKey);
    g.catalog.figures = [...withoutSize(garden.catalog.figures, of, size)];
  });

/** Adds a size that an entry is sold in. */
export const addSize = (garden: Garden, of: EntryRef, size: OwnCatalog['sizes'][number]): Result<Change> =>
  changeOwn(garden, `Add a size of ${of.entry.name}`, ({ sizes }) => ({ sizes: [...sizes, size] }));

/** Takes a size of one's own out, with its figures. @param name as its figures end */
export const removeSize = (
  garden: Garden,
  of: EntryRef,
  size: OwnCatalog['sizes'][number],
  name: string,
): Result<Change> =>
  changeOwn(garden, `Remove a size of ${of.entry.name}`, ({ sizes, figures }) => ({
    sizes: sizes.filter((s) => s.key !== size.key || s.lengthMm !== size.lengthMm || s.widthMm !== size.widthMm),
    figures: withoutSize(figures, of, name),
  }));

/** Adds a thing of one's own, like one that ships. */
export const addThing = (garden: Garden, thing: OwnCatalog['things'][number]): Result<Change> =>
  changeOwn(garden, `Add ${thing.name}`, ({ things }) => ({ things: [...things, thing] }));

/** Gives a thing of one's own another name. */
export const nameOwnThing = (garden: Garden, key: string, name: string): Result<Change> =>
  changeOwn(garden, `Name ${name.trim()}`, ({ things }) => ({
    things: things.map((t) => (t.key === key ? { ...t, name: name.trim() } : t)),
  }));

/** Takes a thing of one's own out, with its figures and sizes; refused while something is made of it. */
export function removeOwnThing(garden: Garden, thing: OwnCatalog['things'][number]): Result<Change> {
  const of = (x: { readonly kind: string; readonly key: string }): boolean =>
    x.kind === thing.kind && (x.key === thing.key || x.key === treatedKey(thing.key));
  return changeOwn(garden, `Remove ${thing.name}`, ({ things, figures, sizes }) => ({
    things: things.filter((t) => t.key !== thing.key),
    figures: figures.filter((f) => !of(f)),
    sizes: sizes.filter((s) => !of(s)),
  }));
}

/** Adds a crop of one's own. */
export const addCrop = (garden: Garden, crop: OwnCrop): Result<Change> =>
  changeOwn(garden, `Add ${crop.name}`, ({ crops }) => ({ crops: [...crops, crop] }));

/** Says more of a crop of one's own. */
export const setCrop = (
  garden: Garden,
  crop: { readonly key: string; readonly name: string },
  part: Partial<OwnCrop>,
): Result<Change> =>
  changeOwn(garden, `Change ${crop.name}`, ({ crops }) => ({
    crops: crops.map((c) => (c.key === crop.key ? { ...c, ...part } : c)),
  }));

/** Takes a crop of one's own out. */
export const removeCrop = (garden: Garden, crop: { readonly key: string; readonly name: string }): Result<Change> =>
  changeOwn(garden, `Remove ${crop.name}`, ({ crops }) => ({ crops: crops.filter((c) => c.key !== crop.key) }));
