/** Every family. A new one is a folder and a line here. */
export { aFrame } from './aFrame';
export { bentConduit } from './bentConduit';
export { doubleWallColdFrame } from './doubleWallColdFrame';
export { fittingGable } from './fittingGable';
export { hingedHoopLid } from './hingedHoopLid';
export { leanTo } from './leanTo';
export { liftOffCover } from './liftOffCover';
export { meshArch } from './meshArch';
export { slopedColdFrame } from './slopedColdFrame';
export { stakedTunnel } from './stakedTunnel';
export { strawBale } from './strawBale';
export { walkIn } from './walkIn';
export { wireTunnel } from './wireTunnel';
