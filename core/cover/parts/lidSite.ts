import type { CoverMaterial, Section } from '../../catalog/types';
import type { BuildSite } from '../../site/buildSite';
import type { Opener } from '../assembly/openings';
import type { Glazing } from './glazing';

/** A row of lids on a slope that falls from the far side to the near one, hinged at the far side. Lengths in mm. */
export interface LidSite {
  readonly x0: number;
  readonly x1: number;
  /** Upper edge of what the lid lies on, at the back and at the front. */
  readonly back: { readonly y: number; readonly z: number };
  readonly front: { readonly y: number; readonly z: number };
  readonly overhangMm: number;
  readonly lids: number;
  readonly site: BuildSite;
  readonly glazing: Glazing;
  readonly frame: Section;
  /** Bars along the slope between the stiles of each lid; null: as many as the sheet's joints ask for. */
  readonly bars: number | null;
  /** Film for both faces. */
  readonly cover: CoverMaterial;
  readonly roll: string | null;
  readonly latches: number;
  readonly stays: number;
  readonly people: 1 | 2;
  readonly opener: Opener | undefined;
  readonly openers: number;
  /** Loose lids are only laid on and weighted. */
  readonly hinged: boolean;
  readonly safetyFilm?: boolean;
  /** A net lies under the lids. */
  readonly screened?: boolean;
  readonly called?: LidWords;
}

/** What the lids are called, and their upper and lower sides; where they hang and where they shut. */
export interface LidWords {
  readonly one: string;
  readonly many: string;
  readonly upper: string;
  readonly lower: string;
  readonly hang: string;
  readonly shut: string;
  /** The letter of their panes' tags. */
  readonly pane: string;
}
