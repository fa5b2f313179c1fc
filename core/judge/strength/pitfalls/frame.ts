/** Pitfalls of what stands: its size, its wood, its bend, and whether a hand gets in. */
import { boardCorners } from '../../../cover/assembly/solids';
import { soilZ } from '../../../cover/assembly/crop';
import { CORNERS, CORNER_NAMES } from '../../../site/bed';
import { thicknessMm } from '../../../catalog/sections';
import { IN_END_MM } from '../../../cover/structure/ends';
import { directionOf, isStraight, memberSolid } from '../../../cover/structure/solid';
import { amount, phrase } from '../../../base/figure';
import { bendBand, fibreStrainPercent } from '../../../cover/hoop/strain';
import { aboutAll, aboutFaces, aboutFeet, aboutHoops, aboutMembers } from '../about';
import { type Pitfall, answer, saidOn, tooFew } from './pitfall';

const said = saidOn();
const saidToStand = saidOn('stand');

/** What brings a frame to the size of its bed: glazing that is cut to size, or the wall to sit on. */
const FITTING = [
  answer('Twin-wall, cut to size', 'glazing', 'twin-wall-6'),
  answer('Film on both faces, made to size', 'glazing', 'film-both'),
  answer('On the wall', 'sits', 'on'),
];

/** Butt joints forgotten, or a window that is not the size of its bed. */
export const fits: Pitfall = (a, { site }) => {
  const { footing } = a;
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
      aboutAll(a),
      phrase`The frame is ${amount(over, 'length')} larger than the bed it goes ${footing.on === 'wall' ? 'on' : 'into'}. Count the butt joints, or choose another size.`,
      FITTING,
    );
  if (footing.on === 'wall' && under > wall)
    return said(
      'fits',
      'fails',
      aboutAll(a),
      phrase`The frame is ${amount(under, 'length')} smaller than the bed and would fall inside its walls.`,
      FITTING,
    );
  return undefined;
};

/** A stud sold as 8 ft may be a little short: a piece that is the whole of it comes out wrong. */
export const wholeBar: Pitfall = ({ members }) => {
  const found = members.find((m) => {
    const s = m.section;
    return s.shape.kind === 'board' && s.stock.some((bar) => Math.abs(bar.lengthMm - m.lengthMm) < 3);
  });
  return (
    found &&
    said('whole bar', 'tight', aboutMembers([found]), [
      `${found.tag} is as long as a whole ${found.section.name}, which may be sold a little short or long. Measure the board before you count on it.`,
    ])
  );
};

/**
 * A roof on a house wall with fewer anchors there, or brackets on its bed, than are usual: what holds one edge does not hold the other.
 * Source: our own figures, an anchor each 500 mm of its plate, at both ends of that, and two in each post; brackets as for any box.
 */
export const unheld: Pitfall = (a) =>
  tooFew(saidToStand, a, {
    id: 'wall anchors',
    kinds: ['wallAnchor'],
    one: 'anchor',
    what: 'the roof to the wall',
    loose: 'wind and snow work the plate loose, and it falls away from the wall',
    ask: 'wallAnchors',
  }) ??
  tooFew(saidToStand, a, {
    id: 'brackets',
    kinds: ['bracket'],
    one: 'bracket',
    what: 'the roof down to the bed',
    loose: 'wind lifts its front, and it swings up about the wall',
    ask: 'anchors',
  });

/** A springy pipe is no half circle: it bulges beyond its feet. */
export const bulge: Pitfall = ({ arches, footing }) => {
  const arch = arches.find(
    (x) =>
      x.sprung &&
      x.hoop.maxWidthMm > x.hoop.spanMm + 25 &&
      x.hoop.maxWidthMm + thicknessMm(x.section) > footing.widthMm + 25,
  );
  return (
    arch &&
    saidToStand(
      'bulge',
      'tight',
      aboutHoops(arch),
      phrase`The sprung hoop bulges ${amount((arch.hoop.maxWidthMm - arch.hoop.spanMm) / 2, 'length')} beyond its feet on each side: it is no half circle. Keep the path clear of it, or make it lower.`,
      [answer('Half circle', 'school', 'half-circle')],
    )
  );
};

/** Pipe that bends well in summer may kink on a cold day. */
export const coldBend: Pitfall = ({ arches }, { outsideC }) => {
  const arch = arches.find((x) => {
    const { behaviour } = x.section.material;
    if (!x.sprung || behaviour.kind !== 'plastic') return false;
    const strain = fibreStrainPercent(x.hoop.maxCurvaturePerMm, thicknessMm(x.section));
    return bendBand(behaviour, strain, 20) !== 'too far' && bendBand(behaviour, strain, outsideC) === 'too far';
  });
  return (
    arch &&
    saidToStand(
      'cold bend',
      'tight',
      aboutHoops(arch),
      phrase`At ${amount(outsideC, 'temperature')} this pipe kinks at such a bend. Bring it indoors overnight and bend it warm.`,
    )
  );
};

/** Untreated wood that lies on the soil or on the ground. */
export const rot: Pitfall = ({ members }, { site }) => {
  const soil = soilZ(site.bed);
  const { lengthMm, widthMm } = site.survey.frameOn;
  const wall = site.bed.wall.thicknessMm;
  const wet = members.find((m) => {
    const s = m.section;
    const { behaviour } = s.material;
    if (behaviour.kind !== 'wood' || !behaviour.rots) return false;
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
    aboutMembers([wet]),
    [
      `${wet.part} ${wet.tag} is untreated wood at the soil: ${thin ? 'thin as it is, it rots in a season' : 'it rots in a few years'}. Use treated wood there, or set it on bricks.`,
    ],
    [answer('Treated wood', 'wood', 'treated')],
  );
};

/** Room that a row of posts takes from a bed, told roughly, mm. */
const POST_ROOM_MM = 100;

/** A wall of a house that would stand in its bed. */
export const wallInBed: Pitfall = (a, { site }) => {
  const { posts, members, footing } = a;
  const tags = new Set(posts.flatMap((p) => p.tags));
  const { lengthMm, widthMm } = site.survey.frameOn;
  // How far each post that stands in the bed stands in it, across and along.
  const inBed = members.flatMap((m) => {
    if (!tags.has(m.tag) || m.shape.kind !== 'straight') return [];
    const [x, y] = m.shape.to;
    return x > 0 && x < lengthMm && y > 0 && y < widthMm
      ? [{ tag: m.tag, across: Math.min(y, widthMm - y), along: Math.min(x, lengthMm - x) }]
      : [];
  });
  const [first] = inBed;
  if (!first) return undefined;
  // The house grows on both sides alike: each post must come out one way or the other.
  const most = (of: readonly number[]): number => Math.ceil(Math.max(0, ...of));
  const wider = footing.widthMm + 2 * most(inBed.filter((p) => p.across <= p.along).map((p) => p.across));
  const longer = footing.lengthMm + 2 * most(inBed.filter((p) => p.across > p.along).map((p) => p.along));
  return said(
    'wall in bed',
    'fails',
    aboutFeet(
      a,
      inBed.map((p) => p.tag),
    ),
    phrase`Post ${first.tag} would stand in the bed, and a row of them takes ${amount(POST_ROOM_MM, 'length')} of it. Make the house larger: ${amount(wider, 'length')} wide and ${amount(longer, 'length')} long at the least.`,
    [
      { label: phrase`${amount(wider, 'length')} wide`, change: { kind: 'answer', id: 'widthMm', value: wider } },
      { label: phrase`${amount(longer, 'length')} long`, change: { kind: 'answer', id: 'lengthMm', value: longer } },
    ],
  );
};

/** Nothing that opens lets a hand in. */
export const noWayIn: Pitfall = (a) =>
  a.openings.every((o) => o.reachedFrom === 'none')
    ? said(
        'way in',
        'fails',
        aboutFaces([...a.sheets, ...a.panels]),
        [
          a.openings.length === 0
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

/** Hoops nearer than this are more work than a stouter pipe or another kind, mm. Source: our own, from a foot. */
const CROWDED_MM = 290;

/** What hangs over a path lower than this is walked into, mm. Source: our own, a tall gardener in a hat. */
const HEAD_MM = 2000;
/** Lower than this it is a step to get over, no head is in danger, mm. */
const KNEE_MM = 700;

/** What hangs across a house that one walks through, at the height of a head. */
export const head: Pitfall = ({ members, openings, arches }) => {
  const xs = arches.flatMap((row) => row.xsMm);
  if (!openings.some((o) => o.by === 'door')) return undefined;
  const hung = members.flatMap((m) => {
    if (!isStraight(m)) return [];
    const [x] = m.shape.from;
    const across = Math.abs(directionOf(m)[1]) > Math.SQRT1_2;
    const { middle, room } = memberSolid(m);
    const underMm = middle[2] - room[2];
    // What is in an end stands beside its door or over it.
    const inside = xs.some((h) => h < x - IN_END_MM) && xs.some((h) => h > x + IN_END_MM);
    return across && inside && underMm > KNEE_MM && underMm < HEAD_MM ? [{ m, underMm }] : [];
  });
  const [first] = hung;
  return (
    first &&
    saidToStand(
      'head',
      'tight',
      aboutMembers(hung.map((h) => h.m)),
      phrase`${hung.length === 1 ? first.m.part : `${hung.length} pieces`} across the house ${hung.length === 1 ? 'hangs' : 'hang'} at head height: ${amount(Math.min(...hung.map((h) => h.underMm)), 'length')} are clear under it. Hang a bright rag on it, or type it higher.`,
      [answer('Without cross ties', 'crossTies', 0)],
    )
  );
};

/** More hoops than anyone would bend. */
export const crowded: Pitfall = ({ arches }) => {
  const near = arches.find((row) => row.xsMm.length > 2 && row.spacingMm < CROWDED_MM);
  return (
    near &&
    said(
      'crowded',
      'tight',
      aboutHoops(near),
      phrase`${near.xsMm.length} hoops, one every ${amount(near.spacingMm, 'length')}: a stouter pipe, a ridge or another kind of cover is less work and carries as much.`,
      [answer('A rope along the ridge', 'ridge', 'rope')],
    )
  );
};

/** What keeps a stiff frame from sitting down. */
export const sits: Pitfall = (a, { site }) => {
  const { footing } = a;
  if (!footing.stiff || footing.on === 'ground' || footing.on === 'soil') return undefined;
  const { bed, survey } = site;
  if (bed.wateringOverWall)
    return said('sits', 'tight', aboutAll(a), [
      'Watering lines cross the wall: the frame cannot sit down on them. Notch the frame over each, or lead them under the wall.',
    ]);
  const low = CORNERS.filter((c) => survey.packersMm[c] > 3);
  const skew = Math.abs(survey.skewMm) > 10;
  if (low.length === 0 && !skew) return undefined;
  const packers = low.flatMap(
    (c, i) => phrase`${i > 0 ? ', ' : ''}${CORNER_NAMES[c]} ${amount(survey.packersMm[c], 'length')}`,
  );
  return said('sits', 'tight', aboutAll(a), [
    ...(low.length > 0 ? phrase`The bed is not level: put packers under its corners: ${packers}. ` : []),
    ...(skew
      ? phrase`The bed is ${amount(Math.abs(survey.skewMm), 'length')} out of square: build the frame to the bed’s place.`
      : []),
  ]);
};
