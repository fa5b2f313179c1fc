import type { JointKind } from './kind';

/** Screws through a batten, the film and into what is under it, counted one by one. */
export const batten: JointKind = {
  name: ['screw through a batten', 'screws through the battens'],
  takes: (_, n) => [{ itemKey: 'screw-1-5/8', count: n }],
  tools: ['driver'],
  minutes: 0.6,
  symbol: 'line',
  divides: 'there',
  // Only on the wall of the bed do they hold a cover down; elsewhere the sheet on its own frame.
  holds: { key: 'batten-screw', worth: (j) => (j.with?.['holds'] === 'wall' ? 1 : 0) },
  tip: 'Pilot each screw through the lath, and drive it snug, not tight: a crushed lath splits.',
};
