import { type JointKind, each } from './kind';

/** One screw through each crown into a timber ridge. */
export const crownScrew: JointKind = {
  name: ['screw through a crown', 'screws through the crowns'],
  takes: each('screw-1-5/8'),
  tools: ['drill, 1/8 bit'],
  minutes: 0.6,
  symbol: 'point',
  tip: 'A 1/8 pilot through the pipe first, and the screw snug, not tight: plastic that is squeezed cracks in the cold.',
};
