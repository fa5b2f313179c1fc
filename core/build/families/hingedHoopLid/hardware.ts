import type { RidgeBuilt } from '../../parts/ridge';
import { hingeCount } from '../../parts/slopedLid';
import type { HardwareUse } from '../../assembly/types';
import { MM_PER_INCH } from '../../../base/length';
import type { HingedHoopLidAnswers } from './answers';
import type { Frame } from '../../parts/frame';

const FOOT_MM = 12 * MM_PER_INCH;

interface LidCounts {
  readonly hoops: number;
  readonly length: number;
  readonly width: number;
  readonly railHeight: number;
  readonly windy: boolean;
  readonly frame: Frame;
  readonly ridge: RidgeBuilt;
  readonly guard: readonly HardwareUse[];
}

/** Everything that fastens, hangs, latches and holds the lid, joint by joint. */
export function lidHardware(a: HingedHoopLidAnswers, c: LidCounts): readonly HardwareUse[] {
  const perCorner = c.railHeight > 60 ? 3 : 2;
  const battenScrews = c.frame.battens.reduce((sum, b) => sum + Math.ceil(b.lengthMm / 300) + 1, 0);
  const use = (itemKey: string, count: number, joint: string): HardwareUse => ({ itemKey, count, joint });
  const lines = [
    use('screw-3', 4 * perCorner, `Frame corners, ${perCorner} each`),
    ...(a.feet === 'sockets'
      ? [
          use('socket-cap', 2 * c.hoops, 'One under each hoop foot'),
          use('screw-1', 2 * c.hoops, 'One screw down through each cap'),
        ]
      : a.feet === 'screwed'
        ? [use('screw-1-5/8', 4 * c.hoops, 'Two through each hoop foot into the rail')]
        : [use('strap', 2 * c.hoops, 'One at each hoop foot'), use('screw-1', 4 * c.hoops, 'Two screws a strap')]),
    use('end-cap', a.feet === 'straps-outside' ? 2 * c.hoops : 0, 'Pipe ends outside the frame'),
    ...c.ridge.hardware,
    use('screw-2-1/2', 4 * c.frame.ties.length, 'Cross ties, two screws an end'),
    use('screw-2-1/2', 4 * c.frame.crossBoards.length, 'Board across the soil, two screws an end'),
    use('screw-1-5/8', battenScrews, 'Cover battens, one every 300 mm'),
    use(
      'staple',
      2 * Math.ceil(c.length / 150) + 2 * Math.ceil(c.width / 100),
      'Cover under the battens and on the end boards',
    ),
    use('hinge', hingeCount(c.length), 'Hinge rail to the bed'),
    use('handle', 1, 'Front rail, in the middle'),
    use('latch', a.latches ?? (c.windy ? 2 : 1), 'Front rail to the bed'),
    use('stay', a.stays ?? (c.length > 8 * FOOT_MM ? 2 : 1), 'Holds the lid open'),
    ...c.guard,
    ...c.frame.hardware,
  ];
  return lines.filter((line) => line.count > 0);
}
