import { family } from '../family';
import { answers } from './answers';
import { assembleSlopedColdFrame } from './assemble';

/** A solid board box, back higher than front, with a glazed lid. */
export const slopedColdFrame = family({
  key: 'sloped-cold-frame',
  name: 'Sloped cold frame',
  sentence: 'A board box with its glazed lid leaning to the noon sun: the warmest for its price, for low crops.',
  rank: 70,
  answers,
  settle: (now, id, { catalog }) => {
    const shape = catalog.bar.get(String(now['board']))?.shape;
    const [front, back] = [Number(now['frontMm']), Number(now['backMm'])];
    if (shape?.kind !== 'board') return now;
    const w = shape.widthMm;
    // The sides taper within one board: a lower front brings the back down with it.
    if (id === 'frontMm') return { ...now, backMm: Math.min(back, front + w) };
    if (id !== 'board') return now;
    // As many whole boards in front as now, and near one more behind.
    const frontMm = w * Math.max(1, Math.round(front / w));
    return { ...now, frontMm, backMm: Math.round(frontMm + w - 15) };
  },
  assemble: assembleSlopedColdFrame,
});
