import { some, use } from '../../assembly/pieces';
import type { HardwareUse, Member } from '../../assembly/types';
import type { WalkInAnswers } from './answers';
import type { House } from './frame';

interface HouseCounts {
  readonly house: House;
  readonly ends: readonly Member[];
  readonly doors: number;
  readonly rollBars: readonly Member[];
  readonly anchors: number;
  readonly guard: readonly HardwareUse[];
}

/** Everything that holds the house together, joint by joint. */
export function houseHardware(a: WalkInAnswers, c: HouseCounts): readonly HardwareUse[] {
  const { house } = c;
  const n = house.xs.length;
  const length = house.x1 - house.x0;
  const purlinRuns = a.purlins === 'three' ? 3 : 1;
  const roll = a.sides === 'roll-up';
  // Film is held along hip and base boards; a rolled side only at the hip.
  const lines = a.sheets === 'roof-and-curtains' ? (roll ? 2 : 4) : roll ? 0 : 2;
  const metres = Math.ceil((lines * length) / 1000);
  const studs = c.ends.filter((m) => m.ends[1] === 'curve').length;
  const endMetres = Math.ceil((2 * (house.y1 - house.y0 + 2 * house.crownZ)) / 1000);
  return some([
    use('tek-screw', 4 * n, 'Two through each hoop foot into its post'),
    use('cross-connector', purlinRuns * n, 'Purlins to every hoop'),
    use('u-strap', house.boards.length > 2 ? 4 * n : 2 * n, 'Base and hip boards to the posts'),
    use('screw-1-5/8', house.boards.length > 2 ? 8 * n : 4 * n, 'Two screws a strap into the boards'),
    use('post-mix', a.posts === 'dug' ? 2 * n : 0, 'One bag round each post'),
    use('screw-3', 2 * c.ends.length, 'Frames of the ends'),
    use('u-strap', 2 * studs, 'Studs to the end hoops, two each'),
    use('screw-1', 4 * studs, 'Two screws a strap at the studs'),
    use('screw-2-1/2', 12 * c.doors, 'Frame of each door'),
    use('corner-plate', 4 * c.doors, 'Corners of each door'),
    use('door-hinge', 3 * c.doors, 'Three to a door'),
    use('door-latch', c.doors, 'One to a door'),
    use('handle', c.doors, 'One to a door'),
    use('screw-2-1/2', 4 * house.ties.length, 'Cross ties to the hoops'),
    use('channel', a.fixing === 'channel' ? metres + endMetres : 0, 'Along boards and end hoops'),
    use('spring-wire', a.fixing === 'channel' ? metres + endMetres : 0, 'In the channel'),
    use('tek-screw', a.fixing === 'channel' ? 3 * (metres + endMetres) : 0, 'Channel to boards and hoops'),
    use('staple', a.fixing === 'channel' ? 0 : 8 * (metres + endMetres), 'Film along boards and ends'),
    use('screw-1-5/8', a.fixing === 'battens' ? 4 * (metres + endMetres) : 0, 'Battens, one every 250 mm'),
    use('clip', 2 * n, 'Cover to the hoops at the hip, a sleeve under each'),
    use('crank', roll ? 2 : 0, 'One to each roll-up side'),
    use('roll-clip', roll ? 2 * Math.ceil(length / 300) : 0, 'Film on the roll bars'),
    use(
      'rope',
      roll ? Math.ceil((2 * Math.hypot(a.sidewallMm, house.spacingMm) * n) / 1000) + 4 : 0,
      'Tied down zigzag over both sides',
    ),
    use(
      'coupler',
      Math.max(0, c.rollBars.filter((m) => m.section.shape.kind === 'tube').length - 2),
      'Joints of the roll bars',
    ),
    use('ground-anchor', c.anchors, 'Corners and every other hoop'),
    ...c.guard,
    ...house.hardware,
  ]);
}
