import type { Said } from './types';

/** What most covers have none of; a family names only what it has. */
export const BARE: Pick<
  Said,
  | 'panels'
  | 'blocks'
  | 'arches'
  | 'beams'
  | 'spans'
  | 'pushedRails'
  | 'sleeves'
  | 'posts'
  | 'endBars'
  | 'openings'
  | 'remarks'
> = {
  panels: [],
  blocks: [],
  arches: [],
  beams: [],
  spans: [],
  pushedRails: [],
  sleeves: [],
  posts: [],
  endBars: [],
  openings: [],
  remarks: [],
};
