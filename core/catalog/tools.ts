import { MM_PER_INCH } from '../units/length';
import { table } from './table';

export type CutTool = 'circular saw' | 'hand saw' | 'shear';

/** What cuts bars, and the width of wood or pipe that it turns to dust. */
export interface Tool {
  readonly key: CutTool;
  readonly name: string;
  readonly kerfMm: number;
  readonly source: string;
}

const TRADE = 'Trade figure: 1/8 in for a circular saw, 1/16 in for a hand saw, nothing for a shear cutter';

const SHIPPED: readonly Tool[] = [
  { key: 'circular saw', name: 'circular saw', kerfMm: MM_PER_INCH / 8, source: TRADE },
  { key: 'hand saw', name: 'hand saw', kerfMm: MM_PER_INCH / 16, source: TRADE },
  { key: 'shear', name: 'shear cutter', kerfMm: 0, source: TRADE },
];

/** Every tool that cuts bars. */
export const TOOLS = table<Tool>('tool', SHIPPED);

/** Width that a tool turns to dust, mm. */
export function kerfMm(tool: CutTool): number {
  return TOOLS.get(tool).kerfMm;
}
