import { said, type JointKind } from './kind';

/** Stiff sheet on its bars: screws with washers, and by its kind tape over open ends, strips under the waves or over the joints. */
export const glazing: JointKind = {
  name: ['screw of the glazing', 'screws of the glazing'],
  takes: (j, n) => [
    { itemKey: 'glazing-screw', count: n },
    { itemKey: 'edge-tape', count: said(j, 'tapeM', 0) },
    { itemKey: 'glazing-strip', count: said(j, 'stripM', 0) },
    { itemKey: 'joining-strip', count: said(j, 'joinM', 0) },
  ],
  tools: ['drill, 1/4 bit', 'driver'],
  minutes: 1,
  symbol: 'line',
};
