import type { Assembly } from './types';

/** What most covers have none of; a family names only what it has. */
export const BARE: Pick<
  Assembly,
  'panels' | 'blocks' | 'arches' | 'beams' | 'spans' | 'pushedRails' | 'sleeves' | 'moving' | 'contacts' | 'remarks'
> = {
  panels: [],
  blocks: [],
  arches: [],
  beams: [],
  spans: [],
  pushedRails: [],
  sleeves: [],
  moving: [],
  contacts: [],
  remarks: [],
};
