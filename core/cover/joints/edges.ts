/** What keeps film from the edges it lies on; each also says so where nothing does. */
import { type JointKind, said } from './kind';

/** PVC painted by the tin or taped by the metre, or bare. */
export const guardPvc: JointKind = {
  name: ['pipe guarded from film', 'pipes guarded from film'],
  takes: (j) => {
    const how = j.with?.['how'];
    if (how === 'paint') return [{ itemKey: 'paint', count: said(j, 'tins', 1) }];
    return how === 'tape' ? [{ itemKey: 'pipe-tape', count: said(j, 'metres', 1) }] : [];
  },
  tools: [],
  minutes: 0,
  symbol: 'none',
  guards: (j) => ({ what: 'bare PVC', guarded: j.with?.['how'] !== 'none' }),
};

/** Split hose over a plywood edge, counted in metres, or a bare edge. */
export const edgeGuard: JointKind = {
  name: ['metre of guarded edge', 'metres of guarded edge'],
  takes: (j, n) => (j.with?.['how'] === 'bare' ? [] : [{ itemKey: 'edge-guard', count: n }]),
  tools: [],
  minutes: 1,
  symbol: 'line',
  guards: (j) => ({ what: 'plywood edge', guarded: j.with?.['how'] !== 'bare' }),
};

/** Timber corners rounded with a rasp or taped, or left sharp: nothing is bought for it. */
export const roundedEdge: JointKind = {
  name: ['rounded corner', 'rounded corners'],
  takes: () => [],
  tools: ['rasp'],
  minutes: 0,
  symbol: 'none',
  guards: (j) => ({ what: 'timber corner', guarded: j.with?.['how'] !== 'bare' }),
};

/** Caps on pipe ends, or sleeves on cut wire ends, that would cut the cover; or open ends. */
export const cap: JointKind = {
  name: ['capped end', 'capped ends'],
  takes: (j, n) =>
    j.with?.['how'] === 'bare' ? [] : [{ itemKey: j.with?.['of'] === 'wire' ? 'end-sleeve' : 'end-cap', count: n }],
  tools: [],
  minutes: 0.3,
  symbol: 'point',
  guards: (j) => ({ what: 'pipe end', guarded: j.with?.['how'] !== 'bare' }),
};
