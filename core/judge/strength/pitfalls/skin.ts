/** Pitfalls of sheets: what tears, rubs, rots in the sun or is too large. */
import { mainCover } from '../../../cover/assembly/enclosure';
import type { Contact, Joint } from '../../../cover/assembly/types';
import { sheetSize } from '../../../make/rolls/rolls';
import { amount, phrase } from '../../../base/figure';
import { aboutFaces, aboutHoops, aboutJoints } from '../about';
import { largestFree } from '../filmFlutter';
import { type Check, moreOf } from '../check';
import { type Pitfall, answer, saidOn, tooFew } from './pitfall';

const said = saidOn('skin');

/** A flat side free between its fastenings: more than a bay of three feet by eight between studs is a sail. Our own figure. */
const SAIL_M2 = 2.25;
export const sail: Pitfall = (a) => {
  const free = largestFree(a);
  return free && (free.alongMm * free.acrossMm) / 1e6 > SAIL_M2
    ? said(
        'sail',
        'tight',
        aboutFaces([free]),
        phrase`A flat side of film, ${amount(free.alongMm, 'length')} by ${amount(free.acrossMm, 'length')}, hangs free between its fastenings (sheet ${free.tag}) and works loose like a sail. Fasten it between as well.`,
        [
          answer('A rope laced over it', 'slopes', 'rope'),
          answer('A batten on every leg', 'slopes', 'battens'),
          answer('A rope laced over it', 'lacing', 'rope'),
          answer('Clips on every hoop', 'clipped', 'every'),
          answer('Firm ends of plywood', 'ends', 'plywood'),
          ...moreOf(a.beams[0]?.asked, 1),
        ],
      )
    : undefined;
};

/**
 * A loose sheet with fewer weights than are usually laid on it, on its skirts and over straps: wind gets under its edge, however well the
 * hoops stand. Source: trade practice, one bag or two bricks a metre of skirt, and as many at each corner.
 */
export const unweighted: Pitfall = (a) =>
  tooFew(said, a, {
    id: 'weights',
    kinds: ['bag', 'brick'],
    one: 'weight',
    what: 'the loose sheet',
    loose: 'wind gets under its edge and takes it off, however well the hoops stand',
    ask: 'weights',
  });

/** A pane that nothing holds together when it breaks. */
export const bareGlass: Pitfall = ({ panels, joints }) =>
  panels.some((p) => p.sheet.key === 'old-window') && !joints.some((j) => j.with?.['item'] === 'safety-film')
    ? said(
        'bare glass',
        'tight',
        aboutFaces(panels.filter((p) => p.sheet.key === 'old-window')),
        [
          'A pane that breaks falls into the bed and on whoever leans on it. Stick safety film on it, or glaze with plastic.',
        ],
        [answer('Safety film', 'safety', 'film'), answer('Twin-wall', 'glazing', 'twin-wall-6')],
      )
    : undefined;

const RUBS: Readonly<
  Record<Exclude<Contact['what'], 'bare PVC'>, { readonly text: string; readonly mend: Check['tries'] }>
> = {
  'plywood edge': {
    text: 'Film wears through on a bare plywood edge. Pad it with split hose or tape.',
    mend: [answer('Guard the edge', 'edge', 'guarded')],
  },
  'pipe end': {
    text: 'Film wears through on an open pipe end. Cap every one.',
    mend: [answer('Straps inside', 'feet', 'straps-inside'), answer('Cap the ends', 'caps', 'capped')],
  },
  'timber corner': {
    text: 'Film wears through on a square timber corner. Round it with a rasp or tape it.',
    mend: [answer('Round the corners', 'edge', 'guarded')],
  },
};

/** Film rubs through where it lies on something sharp. */
export const wear: Pitfall = ({ contacts, enclosure, sheets }) => {
  if (mainCover(enclosure).kind !== 'film') return undefined;
  const bare = contacts.find((c) => !c.guarded && c.what !== 'bare PVC');
  const rub = bare && bare.what !== 'bare PVC' ? RUBS[bare.what] : undefined;
  return rub && said('wear', 'tight', aboutFaces(sheets), [rub.text], rub.mend);
};

/** What goes over staples, by the question that leaves them alone. */
const OVER_STAPLES: Readonly<Record<NonNullable<Joint['alone']>, Check['tries'][number]>> = {
  fixing: answer('Battens', 'fixing', 'battens'),
  edges: answer('Battens', 'edges', 'battened'),
  tape: answer('Tape over every edge', 'tape', 'tape'),
};

/** Staples and pins alone tear out of film, and in time out of fleece; a woven net holds them. */
export const staples: Pitfall = ({ joints, sheets }) => {
  const stapled = joints.filter((j) => j.alone);
  const ask = stapled[0]?.alone;
  const torn = sheets.find((s) => s.cover.kind === 'film' || s.cover.kind === 'fabric');
  return torn && ask
    ? said(
        'staples',
        // A stud at every second hand holds more than a rail along the edge.
        torn.cover.kind === 'film' && ask !== 'tape' ? 'fails' : 'tight',
        aboutJoints(stapled),
        [
          `Staples alone tear the ${torn.cover.kind} at the first wind. ${ask === 'tape' ? 'Lay clear tape' : 'Screw a batten'} over them.`,
        ],
        [OVER_STAPLES[ask]],
      )
    : undefined;
};

export const barePvc: Pitfall = ({ contacts, enclosure, arches, sheets }) =>
  mainCover(enclosure).kind === 'film' && contacts.some((c) => c.what === 'bare PVC' && !c.guarded)
    ? said(
        'bare pvc',
        'tight',
        arches[0] ? aboutHoops(arches[0]) : aboutFaces(sheets),
        ['Bare PVC against film shortens its life to a year or two. Paint or tape the pipe where they touch.'],
        [answer('Paint the pipe', 'paint', 'paint')],
      )
    : undefined;

export const noUv: Pitfall = ({ sheets }) =>
  sheets.some((s) => s.cover.key === 'film-clear')
    ? said(
        'no uv',
        'tight',
        aboutFaces(sheets.filter((s) => s.cover.key === 'film-clear')),
        ['Film without UV protection falls apart within a season of sun.'],
        [answer('UV film', 'cover', 'film-uv')],
      )
    : undefined;

/** White film keeps plants asleep: what grows under it starves for light. */
export const whiteFilm: Pitfall = ({ sheets, crop: row }) =>
  sheets.some((s) => s.cover.key === 'film-white')
    ? said(
        'white film',
        'tight',
        aboutFaces(sheets.filter((s) => s.cover.key === 'film-white')),
        [
          `White film lets a third of the light in: right for plants that sleep the winter, and too dark for ${row.crop.name} that is to grow.`,
        ],
        [answer('UV film', 'cover', 'film-uv')],
      )
    : undefined;

const HUGE_M2 = 40;
const HUGE_MM = 11000;
export const hugeSheet: Pitfall = ({ sheets }) => {
  const big = sheets.find((s) => {
    const { acrossMm, alongMm } = sheetSize(s);
    return (acrossMm * alongMm) / 1e6 > HUGE_M2 || alongMm > HUGE_MM;
  });
  if (!big) return undefined;
  const { acrossMm, alongMm } = sheetSize(big);
  return said(
    'huge sheet',
    'tight',
    aboutFaces([big]),
    phrase`Sheet ${big.tag} is ${amount((acrossMm * alongMm) / 1e6, 'area')}: one person cannot handle it. Take helpers and a still day, or smaller sheets with a lap.`,
    [
      answer('Roof and two ends', 'sheets', 'roof-and-ends'),
      answer('Roof and curtains', 'sheets', 'roof-and-curtains'),
    ],
  );
};

export const tooLargeSheet: Pitfall = (_, { sheets }) => {
  const first = sheets.tooLarge[0];
  return (
    first &&
    said(
      'panel',
      'fails',
      aboutFaces([first]),
      [`Piece ${first.tag} is larger than any sheet of its kind on sale, the way its channels must run.`],
      [
        answer('Corrugated sheet, which is sold longer', 'glazing', 'corrugated'),
        answer('Film on both faces of the lids', 'glazing', 'film-both'),
        answer('Film', 'glazing', 'film'),
      ],
    )
  );
};
