import type { Joint } from '../assembly/types';
import { type JointKind, said } from './kind';

/** The end of a pipe, a wire or a prong pushed in the soil. */
const pushed = (key: string, one: string, many: string): JointKind => ({
  name: [one, many],
  takes: () => [],
  tools: ['iron bar'],
  minutes: 0.3,
  symbol: 'point',
  holds: { key, worth: () => 1, inSoil: true },
});
export const pipeInSoil = pushed('pipe-in-soil', 'pipe end in the soil', 'pipe ends in the soil');
export const wireInSoil = pushed('wire-in-soil', 'wire leg in the soil', 'wire legs in the soil');
export const prong = { ...pushed('prong', 'prong in the soil', 'prongs in the soil'), minutes: 0.1 };

/** A post in the ground, driven or dug in with a bag of mix: it holds by its depth. */
export const post: JointKind = {
  name: ['post in the ground', 'posts in the ground'],
  takes: (j: Joint, n) => (j.with?.['set'] === 'dug' ? [{ itemKey: 'post-mix', count: n }] : []),
  tools: ['level'],
  minutes: 0,
  symbol: 'point',
  holds: { key: 'post', worth: (j) => said(j, 'depthMm', 600) / 600, inSoil: true },
};
