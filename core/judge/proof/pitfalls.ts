/**
 * What goes wrong with covers, each caught before any wood is cut. A pitfall speaks only where a design would suffer it.
 * Others of the trade's list have checks of their own: snow, bend, push on rails, sleeves, width of the sheet, crop, lifts, wind.
 */
import { boardCorners } from '../../build/assembly/solids';
import { mainCover } from '../../build/assembly/enclosure';
import type { Vec3 } from '../../base/geometry';
import { soilZ } from '../../build/assembly/crop';
import { crop } from '../../site/crops';
import type { Assembly, Contact } from '../../build/assembly/types';
import { CORNERS, CORNER_NAMES } from '../../site/bed';
import { thicknessMm } from '../../catalog/sections';
import { sheetSize } from '../../make/rolls/rolls';
import { type Phrase, amount } from '../../base/figure';
import { bendBand, fibreStrainPercent } from '../../build/hoop/strain';
import { moreOf } from './timberChecks';
import { ASK, type Check, type CheckSite, type Verdict } from './check';

type Pitfall = (a: Assembly, site: CheckSite) => Check | undefined;

/** Where a pitfall is shown, beside the shape that shows them all. */
const LEAF: Readonly<Record<string, Check['leaf']>> = {
  bulge: 'stand',
  'cold bend': 'stand',
  sail: 'skin',
  wear: 'skin',
  staples: 'skin',
  'bare pvc': 'skin',
  'no uv': 'skin',
  'huge sheet': 'skin',
  panel: 'skin',
  cooks: 'air',
  animals: 'air',
  'screen and arm': 'air',
  'latched opener': 'air',
  insects: 'air',
};

function said(id: string, verdict: Verdict, text: Phrase, tries: Check['tries'] = []): Check {
  const leaf = LEAF[id];
  return { id, ...(leaf && { leaf }), verdict, text, figure: undefined, caution: ASK, tries };
}
const answer = (label: string, id: string, value: string | number): Check['tries'][number] => ({
  label: [label],
  change: { kind: 'answer', id, value },
});

/** What brings a frame to the size of its bed: glazing that is cut to size, or the wall to sit on. */
const FITTING = [
  answer('Twin-wall, cut to size', 'glazing', 'twin-wall-6'),
  answer('Film on both faces, made to size', 'glazing', 'film-both'),
  answer('On the wall', 'sits', 'on'),
];

/** Butt joints forgotten, or a window that is not the size of its bed. */
const fits: Pitfall = ({ footing }, { site }) => {
  if (!footing.stiff || footing.on === 'ground' || footing.on === 'soil') return undefined;
  const want = footing.on === 'wall' ? site.survey.frameOn : site.survey.frameIn;
  const whole = footing.lengthMm > want.lengthMm - 1;
  const over = Math.max(footing.widthMm - want.widthMm, footing.lengthMm - want.lengthMm);
  const under = Math.max(want.widthMm - footing.widthMm, whole ? want.lengthMm - footing.lengthMm : 0);
  const wall = site.bed.wall.thicknessMm;
  if (over > 3)
    return said(
      'fits',
      over > wall / 2 ? 'fails' : 'tight',
      [
        'The frame is ',
        amount(over, 'length'),
        ` larger than the bed it goes ${footing.on === 'wall' ? 'on' : 'into'}. Count the butt joints, or choose another size.`,
      ],
      FITTING,
    );
  if (footing.on === 'wall' && under > wall)
    return said(
      'fits',
      'fails',
      ['The frame is ', amount(under, 'length'), ' smaller than the bed and would fall inside its walls.'],
      FITTING,
    );
  return undefined;
};

/** A stud sold as 8 ft may be a little short: a piece that is the whole of it comes out wrong. */
const wholeBar: Pitfall = ({ members }) => {
  const found = members.find((m) => {
    const s = m.section;
    return s.shape.kind === 'board' && s.stock.some((bar) => Math.abs(bar.lengthMm - m.lengthMm) < 3);
  });
  return (
    found &&
    said('whole bar', 'tight', [
      `${found.tag} is as long as a whole ${found.section.name}, which may be sold a little short or long. Measure the board before you count on it.`,
    ])
  );
};

/** A springy pipe is no half circle: it bulges beyond its feet. */
const bulge: Pitfall = ({ arches, footing }) => {
  const arch = arches.find(
    (x) =>
      x.sprung &&
      x.hoop.maxWidthMm > x.hoop.spanMm + 25 &&
      x.hoop.maxWidthMm + thicknessMm(x.section) > footing.widthMm + 25,
  );
  return (
    arch &&
    said(
      'bulge',
      'tight',
      [
        'The sprung hoop bulges ',
        amount((arch.hoop.maxWidthMm - arch.hoop.spanMm) / 2, 'length'),
        ' beyond its feet on each side: it is no half circle. Keep the path clear of it, or make it lower.',
      ],
      [answer('Half circle', 'school', 'half-circle')],
    )
  );
};

/** Pipe that bends well in summer may kink on a cold day. */
const coldBend: Pitfall = ({ arches }, { outsideC }) => {
  if (outsideC >= 5) return undefined;
  const arch = arches.find((x) => {
    if (!x.sprung || x.section.materialKey !== 'pvc') return false;
    const strain = fibreStrainPercent(x.hoop.maxCurvaturePerMm, thicknessMm(x.section));
    return bendBand(strain, 20) !== 'too far' && bendBand(strain, outsideC) === 'too far';
  });
  return (
    arch &&
    said('cold bend', 'tight', [
      'At ',
      amount(outsideC, 'temperature'),
      ' this pipe kinks at such a bend. Bring it indoors overnight and bend it warm.',
    ])
  );
};

/** One flat side between supports: a sail. */
const SAIL_M2 = 1.5;
const sail: Pitfall = (a) => {
  const rows = Math.max(0, ...a.arches.map((x) => x.tags.length), ...a.beams.map((x) => x.tags.length));
  const bays = Math.max(1, rows - 1);
  const areas = a.sheets
    .filter((s) => s.cover.kind === 'film')
    .flatMap((s) => s.faces)
    .filter((face) => new Set(face.map((p) => Math.round(p[0]))).size > 1)
    .map((face) => faceArea(face) / 1e6 / bays);
  const largest = Math.max(0, ...areas);
  return largest > SAIL_M2 && a.fixing !== 'channel' && a.fixing !== 'battens'
    ? said(
        'sail',
        'tight',
        [
          'A flat ',
          amount(largest, 'area'),
          ' of film hangs free between its supports and works loose like a sail. Batten it along every bar, or lace a rope over it.',
        ],
        [answer('Battens', 'fixing', 'battens'), ...moreOf(a.beams[0]?.asked, 1)],
      )
    : undefined;
};

function faceArea(face: readonly Vec3[]): number {
  const [p, q, r] = face;
  if (!p || !q || !r) return 0;
  const u = [q[0] - p[0], q[1] - p[1], q[2] - p[2]] as const;
  const v = [r[0] - q[0], r[1] - q[1], r[2] - q[2]] as const;
  return Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]);
}

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
const wear: Pitfall = ({ contacts, enclosure }) => {
  if (mainCover(enclosure).kind !== 'film') return undefined;
  const bare = contacts.find((c) => !c.guarded && c.what !== 'bare PVC');
  const rub = bare && bare.what !== 'bare PVC' ? RUBS[bare.what] : undefined;
  return rub && said('wear', 'tight', [rub.text], rub.mend);
};

/** Staples and pins alone tear out of film. */
const staples: Pitfall = ({ fixing, sheets }) =>
  fixing === 'staples' && sheets.some((s) => s.cover.kind === 'film')
    ? said(
        'staples',
        'fails',
        ['Staples alone tear the film at the first wind. Screw a batten over them.'],
        [answer('Battens', 'fixing', 'battens')],
      )
    : undefined;

const barePvc: Pitfall = ({ contacts, enclosure }) =>
  mainCover(enclosure).kind === 'film' && contacts.some((c) => c.what === 'bare PVC' && !c.guarded)
    ? said(
        'bare pvc',
        'tight',
        ['Bare PVC against film shortens its life to a year or two. Paint or tape the pipe where they touch.'],
        [answer('Paint the pipe', 'paint', 'paint')],
      )
    : undefined;

const noUv: Pitfall = ({ sheets }) =>
  sheets.some((s) => s.cover.key === 'film-clear')
    ? said(
        'no uv',
        'tight',
        ['Film without UV protection falls apart within a season of sun.'],
        [answer('UV film', 'cover', 'film-uv')],
      )
    : undefined;

/** Untreated wood that lies on the soil or on the ground. */
const rot: Pitfall = ({ members }, { site }) => {
  const soil = soilZ(site.bed);
  const { lengthMm, widthMm } = site.survey.frameOn;
  const wall = site.bed.wall.thicknessMm;
  const wet = members.find((m) => {
    const s = m.section;
    if (s.materialKey !== 'spruce') return false;
    return boardCorners(m).some(([x, y, z]) => {
      const inside = y > wall && y < widthMm - wall && x > wall && x < lengthMm - wall;
      return z < (inside ? soil : 0) + 5;
    });
  });
  if (!wet) return undefined;
  const thin = thicknessMm(wet.section) < 26;
  return said(
    'rot',
    thin ? 'fails' : 'tight',
    [
      `${wet.part} ${wet.tag} is untreated wood at the soil: ${thin ? 'thin as it is, it rots in a season' : 'it rots in a few years'}. Use treated wood there, or set it on bricks.`,
    ],
    [answer('Treated wood', 'wood', 'treated')],
  );
};

const HUGE_M2 = 40;
const HUGE_MM = 11000;
const hugeSheet: Pitfall = ({ sheets }) => {
  const big = sheets.find((s) => {
    const { acrossMm, alongMm } = sheetSize(s);
    return (acrossMm * alongMm) / 1e6 > HUGE_M2 || alongMm > HUGE_MM;
  });
  if (!big) return undefined;
  const { acrossMm, alongMm } = sheetSize(big);
  return said(
    'huge sheet',
    'tight',
    [
      `Sheet ${big.tag} is `,
      amount((acrossMm * alongMm) / 1e6, 'area'),
      ': one person cannot handle it. Take helpers and a still day, or smaller sheets with a lap.',
    ],
    [
      answer('Roof and two ends', 'sheets', 'roof-and-ends'),
      answer('Roof and curtains', 'sheets', 'roof-and-curtains'),
    ],
  );
};

/** Inside temperatures that harm, C. */
const COOKS_C = 32;
/** Shut it gets too hot: what opens by itself must let the heat out, or a hand must come every such morning. */
const cooks: Pitfall = ({ ventilation }, { air, outsideC }) => {
  const need = 2 * air.ventEachM2;
  const hot = outsideC + air.riseShutC;
  if (hot <= COOKS_C || ventilation.aloneM2 >= need) return undefined;
  const words: Phrase = [
    'Shut on a sunny noon it reaches about ',
    amount(hot, 'temperature'),
    ' inside and cooks the plants. ',
  ];
  const { aloneM2, byHandM2 } = ventilation;
  const tries = [
    answer('A wax opener', 'airing', 'opener'),
    answer('Two openers', 'openers', 2),
    answer('Thermostat louvres', 'vents', 'louvres'),
    answer('Vents in the ends', 'vents', 'vents'),
    answer('Doors at both ends', 'doors', 'two'),
  ];
  if (aloneM2 > 0)
    return said(
      'cooks',
      'tight',
      [
        ...words,
        'What opens by itself frees ',
        amount(aloneM2, 'area'),
        ' of ',
        amount(need, 'area'),
        ' wanted: open more of it by hand.',
      ],
      tries,
    );
  return said(
    'cooks',
    'tight',
    [
      ...words,
      ...(byHandM2 >= need
        ? [
            'Opened by hand it lets enough out, ',
            amount(byHandM2, 'area'),
            ' of ',
            amount(need, 'area'),
            ': somebody must be there every such morning.',
          ]
        : [
            'All that opens frees ',
            amount(byHandM2, 'area'),
            ' of ',
            amount(need, 'area'),
            ' wanted: take the cover off on such days.',
          ]),
    ],
    tries,
  );
};

const animals: Pitfall = ({ ventilation }, { air, outsideC }) =>
  (ventilation.by === 'lid' || ventilation.by === 'opener') &&
  !ventilation.screened &&
  outsideC + air.riseShutC > COOKS_C
    ? said(
        'animals',
        'tight',
        ['A lid that stands open all day lets cats, birds and rabbits in. A net under it keeps them out.'],
        [answer('A net under the lid', 'screen', 'screen')],
      )
    : undefined;

/** A crop that bees must reach, under a cover that keeps them out. */
const pollination: Pitfall = ({ crop: row, enclosure, ventilation }) => {
  const c = crop(row.cropKey);
  if (c.insects !== 'yes' || mainCover(enclosure).kind === 'mesh') return undefined;
  const netted = mainCover(enclosure).kind === 'net' || ventilation.screened;
  return said('insects', 'tight', [
    `When ${c.name} flowers, bees must reach it: ${netted ? 'the net keeps them out, so take it off then' : 'open the cover each day from then on, or take it off'}.`,
  ]);
};

/** Nothing that opens lets a hand in. */
const noWayIn: Pitfall = ({ openings }) =>
  openings.every((o) => o.reachedFrom === 'none')
    ? said(
        'way in',
        'fails',
        [
          openings.length === 0
            ? 'No way in: nothing of it opens. To water, pick or let warm air out you unscrew it and lift the whole cover off.'
            : 'No way in: what opens is for air alone. To water or pick you take the whole cover apart.',
        ],
        [
          answer('Hinge it to the bed', 'mount', 'hinged'),
          answer('A flap at each end', 'ends', 'flap'),
          answer('Clips instead of battens', 'fixing', 'clips'),
          answer('No net under the lid', 'screen', 'none'),
        ],
      )
    : undefined;

const screenArm: Pitfall = ({ moving }) =>
  moving.some((m) => m.hung?.opener?.behindScreen)
    ? said(
        'screen and arm',
        'fails',
        ['The opener’s arm and the insect screen collide. Give the opener a pocket of its own beside the screen.'],
        [answer('A pocket for the opener', 'pocket', 'pocket')],
      )
    : undefined;

/** A wax opener lifts only what is not latched. */
const latchedOpener: Pitfall = ({ moving }) =>
  moving.some((m) => m.hung?.opener && m.hung.latches.count > 0)
    ? said(
        'latched opener',
        'fails',
        [
          'The opener cannot lift a latched lid: it bends its arm, and the plants cook. Have one or the other; in a gale pull the opener’s pin and tie the lid down by hand.',
        ],
        [answer('No latches', 'latches', 0), answer('By hand, with a latch', 'airing', 'prop')],
      )
    : undefined;

/** What keeps a stiff frame from sitting down. */
const sits: Pitfall = ({ footing }, { site }) => {
  if (!footing.stiff || footing.on === 'ground' || footing.on === 'soil') return undefined;
  const { bed, survey } = site;
  if (bed.wateringOverWall)
    return said('sits', 'tight', [
      'Watering lines cross the wall: the frame cannot sit down on them. Notch the frame over each, or lead them under the wall.',
    ]);
  const low = CORNERS.filter((c) => survey.packersMm[c] > 3);
  const skew = Math.abs(survey.skewMm) > 10;
  if (low.length === 0 && !skew) return undefined;
  return said('sits', 'tight', [
    ...(low.length > 0
      ? [
          'The bed is not level: packers go under ',
          ...low.flatMap((c, i) => [`${i > 0 ? ', ' : ''}${CORNER_NAMES[c]} `, amount(survey.packersMm[c], 'length')]),
          '. ',
        ]
      : []),
    ...(skew
      ? [
          'The bed is ',
          amount(Math.abs(survey.skewMm), 'length'),
          ' out of square: build the frame to the bed’s place.',
        ]
      : []),
  ]);
};

const tooLargeSheet: Pitfall = (_, { sheets }) => {
  const first = sheets.tooLarge[0];
  return (
    first &&
    said(
      'panel',
      'fails',
      [`Piece ${first.tag} is larger than any sheet of its kind on sale, the way its channels must run.`],
      [
        answer('Corrugated sheet, which is sold longer', 'glazing', 'corrugated'),
        answer('Film on both faces of the lids', 'glazing', 'film-both'),
        answer('Film', 'glazing', 'film'),
      ],
    )
  );
};

const ALL: readonly Pitfall[] = [
  fits,
  wholeBar,
  bulge,
  coldBend,
  sail,
  wear,
  staples,
  barePvc,
  noUv,
  rot,
  hugeSheet,
  cooks,
  animals,
  noWayIn,
  pollination,
  screenArm,
  latchedOpener,
  sits,
  tooLargeSheet,
];

/** Every pitfall that this design would fall into. */
export function pitfalls(a: Assembly, site: CheckSite): readonly Check[] {
  return ALL.flatMap((p) => p(a, site) ?? []);
}
