/** Rows of the storage. */
import type { Weather, WeatherPlace } from '../../core/judge/weather/weather';
import type { Fault } from '../../core/base/result';
import type { Garden } from '../../core/garden/garden';
import type { Edit, Replayed, Step } from '../../core/garden/history';

export interface GardenRow {
  id: string;
  name: string;
  doc: Garden;
  /** Grows by one with each save; a save on top of another tab's work is refused. */
  revision: number;
  /** How many of the kept edits are done; the rest can be redone. */
  at: number;
  /** By tab, the last step of its journal that this garden has. */
  seen: Readonly<Record<string, number>>;
  savedAt: number;
}

/** A step of work, written before the screen is drawn again; `tab` and `n` say whether a saved garden has it already. */
export interface JournalRow {
  gardenId: string;
  tab: string;
  n: number;
  /** When it was made, ms since 1970: steps of several tabs follow one another by it. */
  at: number;
  step: Step;
}

export interface EditRow extends Edit {
  gardenId: string;
  seq: number;
}

/** A stored garden. */
export interface Stored {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  /** The document as it is stored. */
  readonly raw: unknown;
  /** As this build reads it, or why it does not. */
  readonly read:
    { readonly ok: true; readonly value: Garden } | { readonly ok: false; readonly faults: readonly Fault[] };
  readonly edits: readonly Edit[];
  readonly at: number;
  /** The garden with the work of a tab that ended before it was saved; undefined when there is none such. */
  readonly late: (Replayed & { readonly seen: Readonly<Record<string, number>> }) | undefined;
  /** What of the rows beside the document did not read. */
  readonly damage: readonly string[];
  /** Rows of the journal that do not read, as they were found. */
  readonly spoilt: readonly unknown[];
}

export const isWhole = (value: unknown): value is number =>
  typeof value === 'number' && Number.isSafeInteger(value) && value >= 0;
/** The revision of a row; one that is not a number counts as the first. */
export const revisionOf = (row: { readonly revision?: unknown }): number => (isWhole(row.revision) ? row.revision : 0);

/** A picture of a garden's day book. */
export interface PictureRow {
  readonly gardenId: string;
  readonly key: string;
  readonly picture: Blob;
}

/** Weather of a garden: a year as the service told it, or what was read from a file. */
export interface WeatherRow {
  readonly gardenId: string;
  readonly kind: 'year' | 'file' | 'forecast';
  /** When it was told, ms since 1970. */
  readonly at: number;
  readonly place: WeatherPlace;
  readonly weather: Weather;
}
