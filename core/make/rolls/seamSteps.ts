import type { BuildStep } from '../../cover/assembly/types';
import { SEAM_ROWS, type Seam } from './rolls';
import { amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../../cover/joints/cautions';
import { saidStep, stage } from '../../cover/guide/stage';

/** Minutes that a metre of seam takes. */
const MINUTES_A_METRE = 4;

/** Making one sheet of strips: on the floor, before it goes over the frame. */
function seamStep({ tag, cover, strips, lapMm, lengthMm }: Seam): BuildStep {
  const film = cover.kind === 'film';
  const made = stage({
    id: `seam-${tag}`,
    title: `Join the strips of ${tag}`,
    view: 'plan',
    pieces: [],
    work: [
      phrase`Lay strips ${tag}-1 to ${tag}-${strips} flat on a clean floor, all with the same face up, lapped ${amount(lapMm, 'length')}.`,
      film
        ? ['Wipe the lap dry and clean, press tape over the edge, turn the sheet and tape the other edge.']
        : [
            `Pin the lap outside the seam and sew it with ${SEAM_ROWS} rows, one near each edge; then take the pins out.`,
          ],
      ['Put the seam where rain runs over the upper lap and off, never into it.'],
    ],
    checks: [['The joined sheet measures what the list says'], ['No pin or loose edge left in it']],
    cautions: [CAUTIONS.knife],
    minutes: Math.round((lengthMm / 1000) * MINUTES_A_METRE),
  });
  return { ...saidStep(made), tags: [tag], takes: [] };
}

/** The steps with every seam made before the step in which its sheet is first in play. */
export function withSeams(steps: readonly BuildStep[], seams: readonly Seam[]): readonly BuildStep[] {
  return seams.reduce<readonly BuildStep[]>((list, seam) => {
    const found = list.findIndex((s) => s.tags.includes(seam.tag));
    const at = found < 0 ? list.length : found;
    return [...list.slice(0, at), seamStep(seam), ...list.slice(at)];
  }, steps);
}
