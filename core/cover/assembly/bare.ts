import type { AssemblySpec } from './types';

/** What most covers have none of; a family names only what it has. */
export const EMPTY_SPEC: Pick<
  AssemblySpec,
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
