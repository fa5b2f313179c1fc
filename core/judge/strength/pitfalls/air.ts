/** Pitfalls of air: what gets too hot, what gets in, and what hinders an opener. */
import { mainCover } from '../../../cover/assembly/enclosure';
import { amount, phrase } from '../../../base/figure';
import { aboutAir, aboutCrop, aboutJoints, aboutOpenings } from '../about';
import { MORE_AIR, ventsWantedM2 } from '../vents';
import { type Pitfall, answer, saidOn } from './pitfall';

const said = saidOn('air');

/** Inside temperatures that harm, C. */
const COOKS_C = 32;
/** Shut it gets too hot: what opens by itself must let the heat out, or a hand must come every such morning. */
export const cooks: Pitfall = (a, { air, outsideC }) => {
  const { ventilation } = a;
  const need = ventsWantedM2(air);
  const hot = outsideC + air.riseShutC;
  if (hot <= COOKS_C || ventilation.aloneM2 >= need) return undefined;
  const words = phrase`Shut on a sunny noon it reaches about ${amount(hot, 'temperature')} inside and cooks the plants. `;
  const { aloneM2, byHandM2 } = ventilation;
  if (aloneM2 > 0)
    return said(
      'cooks',
      'tight',
      aboutAir(a),
      phrase`${words}What opens by itself frees ${amount(aloneM2, 'area')} of ${amount(need, 'area')} wanted: open more of it by hand.`,
      MORE_AIR,
    );
  return said(
    'cooks',
    'tight',
    aboutAir(a),
    [
      ...words,
      ...(byHandM2 >= need
        ? ['Opened by hand it lets enough out: somebody must be there every such morning.']
        : ['Even all open it is too hot: take the cover off on such days.']),
    ],
    MORE_AIR,
  );
};

export const animals: Pitfall = ({ ventilation, openings }, { air, outsideC }) =>
  (ventilation.by === 'lid' || ventilation.by === 'opener') &&
  !ventilation.screened &&
  outsideC + air.riseShutC > COOKS_C
    ? said(
        'animals',
        'tight',
        aboutOpenings(openings),
        ['A lid that stands open all day lets cats, birds and rabbits in. A net under it keeps them out.'],
        [answer('A net under the lid', 'screen', 'screen')],
      )
    : undefined;

/** A crop that bees must reach, under a cover that keeps them out. */
export const pollination: Pitfall = (a) => {
  const { crop: row, enclosure, ventilation } = a;
  const c = row.crop;
  if (c.insects !== 'yes' || mainCover(enclosure).kind === 'mesh') return undefined;
  const netted = mainCover(enclosure).kind === 'net' || ventilation.screened;
  return said('insects', 'tight', aboutCrop(a), [
    `When ${c.name} flowers, bees must reach it: ${netted ? 'the net keeps them out, so take it off then' : 'open the cover each day from then on, or take it off'}.`,
  ]);
};

export const screenArm: Pitfall = (a) =>
  a.moving.some((m) => m.hung?.opener?.behindScreen)
    ? said(
        'screen and arm',
        'fails',
        aboutOpenings(a.openings),
        ['The opener’s arm and the insect screen collide. Give the opener a pocket of its own beside the screen.'],
        [answer('A pocket for the opener', 'pocket', 'pocket')],
      )
    : undefined;

/** A wax opener lifts only what is not latched. */
export const latchedOpener: Pitfall = (a) =>
  a.moving.some((m) => m.hung?.opener && m.hung.latches.count > 0)
    ? said(
        'latched opener',
        'fails',
        aboutJoints(a.joints.filter((j) => j.kind === 'latch')),
        [
          'The opener cannot lift a latched lid: it bends its arm, and the plants cook. Have one or the other; in a gale pull the opener’s pin and tie the lid down by hand.',
        ],
        [answer('No latches', 'latches', 0), answer('By hand, with a latch', 'airing', 'prop')],
      )
    : undefined;
