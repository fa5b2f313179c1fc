import { MM_PER_INCH } from '../base/length';
import type { Tool } from './types';

const TRADE = 'Trade figure: 1/8 in for a circular saw, 1/16 in for a hand saw, nothing for a shear cutter';

/** Every tool that cuts bars. */
export const TOOLS: readonly Tool[] = [
  { key: 'circular saw', name: 'circular saw', kerfMm: MM_PER_INCH / 8, source: TRADE },
  { key: 'hand saw', name: 'hand saw', kerfMm: MM_PER_INCH / 16, source: TRADE },
  { key: 'shear', name: 'shear cutter', kerfMm: 0, source: TRADE },
];
