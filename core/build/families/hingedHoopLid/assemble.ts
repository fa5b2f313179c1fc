import { underLine, withFirmEnds } from '../../assembly/enclosure';
import type { Elastica } from '../../hoop/types';
import { placeExtent } from '../../answers/place';
import { BARE } from '../../assembly/bare';
import { buildFrame, withHoles } from '../../parts/frame';
import { firmEnds, ventOpenings } from '../../parts/ends';
import { endSheets, flapOpenings, framedSheet } from '../../parts/framedSheet';
import { PULL_MM } from '../../parts/hoopFrame';
import { guardPvc } from '../../parts/guard';
import { nest } from '../../parts/nested';
import { hoopDimensions } from '../../assembly/hoopDimensions';
import { hoopCurve } from '../../hoop/curve';
import { type RailFoot, hoopMembers, hoopPlaces, outerFace, springOnRail, underHoop } from '../../parts/hoops';
import { type Point2, pathLength } from '../../../base/geometry';
import { sheetRun } from '../../assembly/sheetRun';
import { buildRidge } from '../../parts/ridge';
import type { Dimension, Said } from '../../assembly/types';
import { stiffSheet } from '../../../catalog/catalog';
import { boardShape, thicknessMm } from '../../../catalog/sections';
import { type Result, fail, ok } from '../../../base/result';
import { type BuildSite, stock } from '../../../site/buildSite';
import type { HingedHoopLidAnswers } from './answers';
import { lidJoints, lidOpening } from './joints';
import { sidePurlins } from './sides';
import { lidSteps } from './steps';

/** How deep hoops stand in holes of the rail, and less than which they do not stand, mm. */
const HOLE_MM = 65;
const LEAST_HOLE_MM = 35;

/** Builds the lid: a frame the size of the bed, hoops in it, ridge, cover, hinges along one long side. */
export function assembleHingedHoopLid(a: HingedHoopLidAnswers, site: BuildSite): Result<Said> {
  const { bed, survey } = site;
  const extent = placeExtent(a.extent, survey.frameOn.lengthMm);
  if (!extent.ok) return extent;
  // Firm ends stand outside the end boards, flush with the bed.
  const firm = stiffSheet(site.catalog, a.plywood);
  const ply = a.ends === 'plywood' ? firm.thicknessMm : 0;
  const [x0, x1] = [extent.value.startMm + ply, extent.value.endMm - ply];
  const length = x1 - x0 + 2 * ply;
  const width = survey.frameOn.widthMm;
  const board = boardShape(a.frame);
  const t = a.stand === 'on edge' ? board.thicknessMm : board.widthMm;
  const railHeight = a.stand === 'on edge' ? board.widthMm : board.thicknessMm;
  if (width - 2 * t < 200)
    return fail(
      'frame',
      'The boards leave no room between them on so narrow a bed. Stand them on edge or use a thinner board.',
    );
  const z0 = bed.wall.heightMm;
  const railTop = z0 + railHeight;
  const od = thicknessMm(a.pipe);

  const { spanMm, z, on } = {
    'straps-inside': { spanMm: width - 2 * t - od, z: z0 + 10, on: 'inner face' },
    sockets: { spanMm: width - t, z: railTop, on: 'inner face' },
    'straps-outside': { spanMm: width + od, z: z0 + 10, on: 'outer face' },
    // Bored to a finger over the bottom of the rail, which holds it upright.
    holes: { spanMm: width - t, z: Math.max(z0 + 10, railTop - HOLE_MM), on: 'both' },
    // Two screws, 1 and 3 in from the end, hold it to the board.
    screwed: { spanMm: width - 2 * t - od, z: z0 + 10, on: 'both' },
  }[a.feet] as { readonly spanMm: number; readonly z: number; readonly on: RailFoot['on'] };
  if (a.feet === 'holes' && (od > t - 12 || railTop - z < LEAST_HOLE_MM))
    return fail(
      'feet',
      'The rail is too thin or too low for such holes: choose a thicker board on edge, or thinner pipe.',
    );
  const footY = (width - spanMm) / 2;
  const outward = a.feet === 'straps-outside' ? od : 0;
  const outline = (hoop: Elastica, footZ: number): readonly Point2[] =>
    sheetRun(
      [...outerFace(hoop, a.pipe, footY, footZ), { y: 0, z: railTop }, { y: width, z: railTop }],
      [
        { y: -outward, z: z0 },
        { y: width + outward, z: z0 },
      ],
    );
  const rolls = a.cover.rolls.filter((roll) => a.roll === null || roll.key === a.roll);
  const sprung = springOnRail(
    a.shape,
    a.pipe,
    { on, spanMm, footZ: z, boardTopZ: a.feet === 'sockets' ? z : railTop },
    {
      sheetAcrossMm: (hoop, foot) => pathLength(outline(hoop, foot)) + 2 * a.battenWrapMm + PULL_MM,
      widestRollMm: Math.max(0, ...rolls.map((roll) => roll.widthMm)),
    },
  );
  if (!sprung.ok) return sprung;
  const { hoop, cutMm, footZ, heldMm } = sprung.value;
  const places = hoopPlaces(x0, x1, Math.max(a.endOffsetMm, t + od / 2), a.hoops, a.maxSpacingMm);
  if (!places.ok) return places;
  const xs = places.value;
  const n = xs.length;
  const spacingMm = ((xs[n - 1] ?? x1) - (xs[0] ?? x0)) / (n - 1);
  const crownZ = footZ + hoop.heightMm;

  const open = (x: number, edge: number): boolean => Math.abs(x - edge) > 1 + ply;
  const hung = a.hinges === 'near' ? 'hinged near' : 'hinged far';
  const frame = buildFrame(
    {
      site,
      frame: a.frame,
      stand: a.stand,
      joint: hung,
      meet: a.corners,
      crossTies: a.crossTies,
      battens: true,
      endBattens: a.ends === 'folded',
      corner: { screw: 'screw-3', each: railHeight > 60 ? 3 : 2 },
    },
    {
      x0,
      x1,
      y0: 0,
      pipeMm: od,
      width,
      z0,
      t,
      railHeight,
      xs,
      outward,
      inside: { fromY: bed.wall.thicknessMm, toY: bed.wall.thicknessMm + bed.inside.widthMm },
      openEnds: [...(open(x0, 0) ? [x0] : []), ...(open(x1, survey.frameOn.lengthMm) ? [x1] : [])],
    },
  );
  const rails = a.feet === 'holes' ? frame.rails.map((m) => withHoles(m, railTop - z, od)) : frame.rails;
  const hoops = hoopMembers(sprung.value, a.pipe, xs, footY, footZ, heldMm);
  const ridge = buildRidge(
    a.ridge,
    {
      site,
      pipe: a.pipe,
      hoopXs: xs,
      y: width / 2,
      crownZ,
      post: { section: stock(site, '2x2'), xs: [x0 + t / 2, x1 - t / 2], footZ: railTop, inSoilMm: 0 },
    },
    hoops,
  );
  const under = underHoop(hoop, a.pipe, footY, footZ);
  const centre = hoopCurve(hoop, 200).map((p) => ({ y: footY + p.y, z: footZ + p.z }));
  const sided = sidePurlins(a, hoops, { under, centre }, [footZ + hoop.heightMm / 3, xs], width);
  if (!sided.ok) return sided;
  const sides = sided.value;
  const lid = [
    ...rails,
    ...frame.endBoards,
    ...hoops,
    ...ridge.members,
    ...sides.members,
    ...frame.ties,
    ...frame.battens,
  ];
  const guard = guardPvc(a.paint, a.cover, a.pipe, hoops);
  const line = outline(hoop, footZ);
  const rise = crownZ + od / 2 - z0;
  const covered = { line, x0, x1, lengthMm: length, riseMm: rise, widthMm: width, wrapMm: a.battenWrapMm };
  const sheets = [framedSheet(a, a.ends, covered), ...(a.ends === 'flap' ? endSheets(a, covered) : [])];
  const flaps = sheets.slice(1);
  const made = ply === 0 ? ok([]) : firmEnds(firm, line, [x0, x1], a.vents);
  if (!made.ok) return made;
  const panels = made.value;
  const joints = lidJoints(a, {
    frame,
    panels,
    hoops,
    ridge,
    sides: sides.joints,
    guard,
    sheets,
    covered,
    x0,
    x1,
    width,
    z0,
    footY,
    spanMm,
    footZ: z,
    xs,
    windy: site.windy,
  });
  const first = xs[0] ?? x0;
  const fixed = (
    id: string,
    label: string,
    side: Dimension['side'],
    to: Dimension['to'],
    valueMm: number,
  ): Dimension => ({ id, label, view: 'end', side, row: 1, from: [first, 0, 0], to, valueMm, typed: false });

  return nest(
    {
      ...BARE,
      members: [...lid, ...frame.crossBoards],
      sheets,
      joints,
      panels,
      openings: [
        lidOpening(a, [...lid, ...sheets, ...panels], { x0, x1, width, z0 }),
        ...flapOpenings(flaps, covered),
        ...ventOpenings(panels, a.vents),
      ],
      arches: [
        {
          tags: hoops.map((h) => h.tag),
          section: a.pipe,
          hoop,
          sprung: true,
          xsMm: xs,
          spacingMm,
          footYMm: footY,
          footZMm: footZ,
          baseZMm: footZ,
          cutMm,
          ridge: ridge.ridge,
        },
      ],
      pushedRails: [
        {
          tag: 'A1',
          section: a.frame,
          across: a.stand === 'on edge' ? 'thickness' : 'width',
          freeLengthMm: frame.freeRailMm,
          pushesAtMm: spacingMm,
        },
      ],
      under,
      reachMm: [x0 + t, x1 - t],
      footing: { on: 'wall', stiff: true, lengthMm: length, widthMm: width },
      fixing: 'battens',
      enclosure: withFirmEnds(
        underLine(a.cover, line, { lengthMm: length, widthMm: width, heightMm: rise }),
        panels,
        site.catalog,
      ),
      dimensions: [
        fixed('frameWidth', 'frame', 'below', [first, width, 0], width),
        fixed('wallHeight', 'bed wall', 'left', [first, 0, z0], z0),
        ...hoopDimensions(a, site, {
          sprung: sprung.value,
          xs,
          footY,
          footZ,
          baseZ: footZ,
          heightLabel: heldMm > 0 ? 'crown above the rail' : 'crown above feet',
          startMm: x0 - ply,
          endMm: x1 + ply,
          coverLabel: 'frame',
          offsetFromMm: x0,
        }),
      ],
      steps: lidSteps(a, { frame, panels, hoops, ridge, sides, joints, spacingMm, survey, sheets }),
      remarks:
        a.feet === 'straps-outside'
          ? ['Pipe ends stand outside the frame: cap every one, they are sharp and at face height when you kneel.']
          : [],
    },
    a,
    site,
    a.innerOn === 'lid' ? { rails, baseZ: z0 + 10, spanMm: width - 2 * t - od } : undefined,
  );
}
