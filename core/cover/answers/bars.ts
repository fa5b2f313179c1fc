/** Answers that name a board, a pipe or a sheet of the catalogue. */
import { treatedKey } from '../../catalog/treatment';
import * as z from 'zod/mini';
import { between, text, word } from '../../base/schema';
import { type Catalog, coverMaterial, section } from '../../catalog/catalog';
import { lifeText } from '../../catalog/covers';
import { stockFor } from '../../catalog/market';
import { shippedKey } from '../../catalog/sections';
import type { CoverMaterial, Section } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import {
  type Parameter,
  type Asking,
  type Extras,
  type First,
  type Option,
  type ParameterWords,
  parameter,
  choice,
  mapParameter,
  roundedForMarket,
} from './parameter';

const key = word(60);

/** First what the shops here sell in place of a North American section. */
export const sold =
  (northAmerican: string) =>
  ({ market }: BuildSite): string =>
    stockFor(market, northAmerican);

type More = Pick<Asking<unknown>, 'leaf' | 'when'> & Extras<string, string>;

function ofCatalog<C>(
  label: string,
  first: First<string>,
  options: (catalog: Catalog) => readonly Option[],
  chosen: (value: string, catalog: Catalog) => C,
  against: (value: string, catalog: Catalog) => string | undefined,
  { leaf, when, ...more }: More,
): Parameter<string, C> {
  return mapParameter(
    parameter<string>(key, first, {
      against,
      asking: {
        label,
        ...(leaf && { leaf }),
        ...(when && { when }),
        show: (value, { site }) => ({ kind: 'choice', value, options: options(site.catalog) }),
        read: String,
      },
      ...more,
    }),
    (value, { catalog }) => chosen(value, catalog),
  );
}

/** Why one would take a board, by its key. */
const BOARDS: Readonly<Record<string, string>> = {
  '1x3': 'Lightest; short pieces only.',
  '1x4': 'Light to lift; bows soonest.',
  '1x6': 'Light and thin: cold, and short-lived.',
  '2x2': 'Light and square: the usual one for lids and covers.',
  '2x3': 'Stiffer, for longer ones.',
  '2x4': 'Stiff and strong, and heavy to lift.',
  '2x6': 'Deep: for long spans and deep snow.',
  '2x8': 'The usual height of a box.',
  '2x10': 'For taller greens.',
  '2x12': 'Eleven inches high in one board: no joint in the sides.',
  '38x63 mm': 'The light metric board.',
  '38x89 mm': 'The usual metric board.',
  '45x45 mm': 'The metric square.',
  '45x70 mm': 'The deeper metric one.',
  '45x145 mm': 'The lower metric board of a box.',
  '45x195 mm': 'The higher metric board of a box.',
};

/** A board, of those offered here or of the garden's own. */
export function board(label: string, values: readonly string[], first: First<string>, more: More = {}) {
  const whys = Object.fromEntries(Object.entries(BOARDS).filter(([key]) => values.includes(key)));
  return ofCatalog(
    label,
    first,
    (catalog) => barOptions(catalog, whys),
    (value, catalog) => section(catalog, value),
    (value, catalog) =>
      catalog.bar.get(value)?.shape.kind === 'board' ? undefined : 'must be a board in the catalogue',
    more,
  );
}

/** Reasons of bars by key; with a word of its own where the bar is used for something that its name does not say. */
type Whys = Readonly<Record<string, string | readonly [label: string, why: string]>>;

const barOptions = (catalog: Catalog, whys: Whys): readonly Option[] =>
  Object.entries(whys).map(([value, said]) => {
    const [label, why] = typeof said === 'string' ? [section(catalog, value).name, said] : said;
    return { value, label, why };
  });

/**
 * A pipe, rod or wire, of those offered here or of the garden's own.
 * @param fits which of the catalogue's will do, in words; every pipe when not said
 */
export function tube(
  label: string,
  whys: Whys,
  first: First<string>,
  { fits, ...more }: More & { readonly fits?: { readonly test: (s: Section) => boolean; readonly words: string } } = {},
) {
  return ofCatalog(
    label,
    first,
    (catalog) => barOptions(catalog, whys),
    (value, catalog) => section(catalog, value),
    (value, catalog) => {
      const found = catalog.bar.get(value);
      if (found?.shape.kind !== 'tube') return fits?.words ?? 'must be a pipe in the catalogue';
      return fits && !fits.test(found) ? fits.words : undefined;
    },
    more,
  );
}

/** A bar of any kind: pipe or board. */
export function anyBar(label: string, whys: Whys, first: First<string>, more: More = {}) {
  return ofCatalog(
    label,
    first,
    (catalog) => barOptions(catalog, whys),
    (value, catalog) => section(catalog, value),
    (value, catalog) => (catalog.bar.has(value) ? undefined : 'must be a section in the catalogue'),
    more,
  );
}

/** Whether a section is one of these, or the garden's own made after one. */
export const oneOf =
  (keys: Readonly<Record<string, unknown>>) =>
  (s: Section): boolean =>
    shippedKey(s) in keys;

/** What the wood near the soil is; `treat` gives the treated board where that is asked for. */
export const wood = choice(
  'Wood',
  {
    treated: ['Treated', 'Lasts where it touches soil; modern treatment only near food.'],
    untreated: ['Untreated', 'Cheaper and lighter; keep it off the soil.'],
  },
  'treated',
);
export function treat(site: BuildSite, s: Section, as: 'treated' | 'untreated'): Section {
  return as === 'treated' ? (site.catalog.bar.get(treatedKey(s.key)) ?? s) : s;
}

interface CoverMore {
  /** Which covers will do, and what is said of others. */
  readonly fits?: { readonly test: (c: CoverMaterial) => boolean; readonly words: string };
  readonly when?: Readonly<Record<string, unknown>>;
}

/** A cover that must be film off a roll. */
export const FILM = { test: (c: CoverMaterial) => c.kind === 'film', words: 'must be a film off a roll' };

/** The cover and its roll: another cover gives up the old roll. */
export function coverAnswers(first: First<string>, { fits, when }: CoverMore = {}) {
  const offRoll = (c: CoverMaterial): boolean => c.rolls.length > 0 && c.kind !== 'mesh' && (fits?.test(c) ?? true);
  return {
    cover: ofCatalog(
      'Cover',
      first,
      (catalog) =>
        [...catalog.cover.values()].filter(offRoll).map((c) => ({
          value: c.key,
          label: c.name,
          why: `Lets ${Math.round(c.light * 100)} % of the light in; lasts ${lifeText(c)}.`,
        })),
      (value, catalog) => coverMaterial(catalog, value),
      (value, catalog) => {
        const found = catalog.cover.get(value);
        return found && offRoll(found) ? undefined : (fits?.words ?? 'must be a cover off a roll');
      },
      { leaf: 'skin', resets: { roll: null }, ...(when && { when }) },
    ),
    /** null: the cheapest roll that fits. */
    roll: parameter<string | null>(z.nullable(text(80)), null, {
      changes: { roll: (change) => change.key },
      asking: {
        label: 'Roll',
        leaf: 'skin',
        ...(when && { when }),
        show: (value, { site, answers }) => {
          const name = String(answers['cover']);
          return {
            kind: 'choice',
            value: value ?? '',
            options: [
              { value: '', label: 'Cheapest', why: 'The cheapest roll that the sheet fits on.' },
              ...(site.catalog.cover.get(name)?.rolls ?? []).map((r) => ({
                value: r.key,
                label: r.key.slice(name.length + 1),
                why: 'This roll and no other.',
              })),
            ],
          };
        },
        read: (said) => (said === '' ? null : String(said)),
      },
    }),
  };
}

const INNER: ParameterWords<'fabric-19' | 'fabric-30' | 'fabric-50' | 'film-uv'> = {
  'fabric-19': ['Light fabric', 'A degree more, and little light lost.'],
  'fabric-30': ['Fabric', 'Film over fabric: two degrees more on the coldest nights.'],
  'fabric-50': ['Heavy fabric', 'Most frost help, least light.'],
  'film-uv': ['Film', 'Two films with air between; air both on sunny days.'],
};
type Inner = keyof typeof INNER;

/** Where the hoops of a second layer stand, of a cover that is opened like a lid. */
export const innerOn = choice(
  'It stands',
  {
    bed: ['In the bed', 'Stays when the lid is opened: plants are not chilled, and it is lifted by itself.'],
    lid: ['In the lid', 'A second row of hoops on the same rails: both open at once.'],
  },
  'bed',
  { leaf: 'skin', when: { inner: Object.keys(INNER) } },
);

/** A second layer inside the first, for deep winter, and the air between; null: none. */
export const innerAnswers = {
  inner: mapParameter(
    parameter<Inner | null>(z.nullable(z.enum(Object.keys(INNER) as [Inner, ...Inner[]])), null, {
      asking: {
        label: 'Second layer',
        leaf: 'skin',
        show: (value) => ({
          kind: 'choice',
          value: value ?? '',
          options: [
            { value: '', label: 'None', why: 'Enough for spring and autumn.' },
            ...Object.entries(INNER).map(([k, [label, why]]) => ({ value: k, label, why })),
          ],
        }),
        read: (said) => (said === '' ? null : String(said)),
      },
    }),
    (value, { catalog }) => (value === null ? null : coverMaterial(catalog, value)),
  ),
  innerGapMm: parameter<number>(between(20, 400), roundedForMarket(100), {
    asking: {
      label: 'Air between',
      leaf: 'skin',
      when: { inner: Object.keys(INNER) },
      show: (valueMm) => ({ kind: 'length', valueMm }),
      read: Number,
    },
  }),
};
