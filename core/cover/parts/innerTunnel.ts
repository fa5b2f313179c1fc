import { joint, pairsAt } from '../joints';
import type { Crop } from '../../catalog/crops';
import type { CoverMaterial, Section } from '../../catalog/types';
import { type BuildSite, stock } from '../../site/buildSite';
import { thicknessMm } from '../../catalog/sections';
import { amount, phrase } from '../../base/figure';
import { CAUTIONS } from '../joints/cautions';
import { MINUTES, saidStep, stage } from '../guide/stage';
import { solveHoop } from '../hoop/elastica';
import type { Elastica } from '../hoop/types';
import { type Result, fail, ok } from '../../base/result';
import { MM_PER_INCH } from '../../base/length';
import { soilZ } from '../assembly/crop';
import { rowsOf } from '../structure/arches';
import { hoopMembers, outerFace, underHoop } from './hoops';
import { type Point2, type Vec3, pathLength, sweptFaces } from '../../base/geometry';
import { sheetRun } from '../assembly/sheetRun';
import type { Member, AssemblySpec, SheetPart } from '../assembly/types';

const BURY_MM = 6 * MM_PER_INCH;
const FROM_WALL_MM = 20;
/** Less of the outer span, or lower, and nothing grows under it. */
const LEAST_SPAN = 0.4;
const LEAST_HEIGHT_MM = 200;
const TUCK_MM = 6 * MM_PER_INCH;
/** Between an outer hoop and an inner one beside it on the same rail. */
const BESIDE_MM = 30;

/** A second cover inside the first: what of, and the air between. */
interface Nested {
  readonly inner: CoverMaterial | null;
  readonly innerGapMm: number;
  readonly crop: Crop;
  readonly rowFromEdgeMm: number;
}

/** The rails of a lid that the inner hoops are strapped to, beside the outer ones, and how they stand there, mm. */
interface InLid {
  readonly rails: readonly Member[];
  readonly baseZ: number;
  readonly spanMm: number;
}

/**
 * Adds an inner row of hoops, shorter than the outer by an even gap, with its own loose cover; as it was where none is asked for.
 * The inner hoops stand in the soil under the outer ones, so that they stay when a lid is opened; or in the lid, and open with it.
 */
export function addInnerTunnel(outer: AssemblySpec, a: Nested, site: BuildSite, inLid?: InLid): Result<AssemblySpec> {
  const [row] = rowsOf(outer.members);
  if (a.inner === null || !row) return ok(outer);
  const { bed, survey } = site;
  const width = survey.frameOn.widthMm;
  const pipe =
    row.pieces[0].section.material.behaviour.kind === 'plastic' ? row.pieces[0].section : stock(site, 'pvc-1/2');
  const cover = a.inner;
  const od = thicknessMm(pipe);
  const base = inLid?.baseZ ?? soilZ(bed);
  const buryMm = inLid ? 0 : BURY_MM;
  const top = Math.max(...outer.under.map((p) => p.z));
  const inside = {
    spanMm: row.bow.hoop.spanMm,
    pipe,
    base,
    top,
    width,
    roomMm: bed.inside.widthMm - 2 * FROM_WALL_MM - od,
  };
  const found = inLid ? lowerHoop(inside, inLid.spanMm, a.innerGapMm) : innerHoop(outer.under, inside, a.innerGapMm);
  if (!found)
    return fail('innerGapMm', 'There is no room for a second layer with so much air between: make the gap smaller.');
  const { hoop, spanMm, heightMm } = found;
  const cutMm = hoop.lengthMm + 2 * buryMm;
  const longest = Math.max(...pipe.stock.map((bar) => bar.lengthMm));
  if (cutMm > longest) return fail('innerGapMm', 'The inner hoops need more pipe than the longest on sale.');
  const footY = (width - spanMm) / 2;
  const xs = row.xs.map((x, i) =>
    inLid
      ? // Beside the outer hoop, toward the middle.
        x + (i < row.xs.length / 2 ? 1 : -1) * (od + BESIDE_MM)
      : i === 0
        ? Math.max(x, outer.reachMm[0]) + a.innerGapMm
        : i === row.xs.length - 1
          ? Math.min(x, outer.reachMm[1]) - a.innerGapMm
          : x,
  );
  const [first = 0, last = 0] = [xs[0], xs[xs.length - 1]];
  if (last - first < 200)
    return fail('innerGapMm', 'There is no length left for a second layer: make the gap smaller.');
  const hoops = hoopMembers({ hoop, cutMm }, pipe, xs, { footY, footZ: base, tailMm: buryMm }).map((m) => ({
    ...m,
    tag: m.tag.replace('H', 'N'),
    part: 'Inner hoop',
  }));
  const line = sheetRun(outerFace(hoop, pipe, footY, base), [
    { y: footY - od / 2, z: base },
    { y: footY + spanMm + od / 2, z: base },
  ]);
  const faces = sweptFaces(line, first, last);
  const sheet: SheetPart = {
    tag: 'SN',
    part: 'Inner cover',
    cover,
    rollKey: null,
    across: [
      { what: 'Over the inner hoop, foot to foot', mm: pathLength(line) },
      { what: inLid ? 'Stapled to the rails, both sides' : 'Tucked under, both sides', mm: 2 * TUCK_MM },
    ],
    along: [
      { what: 'First inner hoop to last', mm: last - first },
      { what: 'End height, both ends', mm: 2 * heightMm },
      { what: inLid ? 'Stapled to the end boards, both ends' : 'Tucked under, both ends', mm: 2 * TUCK_MM },
    ],
    faces: [...faces.strips, ...faces.ends],
  };
  const clips = joint(
    'clip',
    'inner clips',
    'Inner cover to its hoops, four each',
    [sheet, ...hoops],
    xs.flatMap((x) => [0.15, 0.38, 0.62, 0.85].map((f): Vec3 => onLine(line, x, f))),
  );
  const feetAt = pairsAt(xs, [footY, footY + spanMm], base);
  // They stand under the outer cover, which takes the wind.
  const idle = { with: { holds: 'nothing' } };
  const feet = inLid
    ? [
        ...joint('strap', 'inner feet', 'Inner hoops to the rails', [...hoops, ...inLid.rails], feetAt, idle),
        ...joint('staple', 'inner staples', 'Inner cover to the rails', [sheet, ...inLid.rails], feetAt, {
          count: 2 * Math.ceil((last - first) / 150),
        }),
      ]
    : joint('pipeInSoil', 'inner feet', 'Inner hoops in the soil', hoops, feetAt, idle);
  const under = underHoop(hoop, pipe, footY, base);
  return ok({
    ...outer,
    members: [...outer.members, ...hoops],
    sheets: [...outer.sheets, sheet],
    joints: [...outer.joints, ...feet, ...clips],
    // What stands in the lid is lifted with it.
    openings: inLid
      ? outer.openings.map((o) =>
          o.by === 'lid' ? { ...o, tags: [...o.tags, ...hoops.map((m) => m.tag), sheet.tag] } : o,
        )
      : outer.openings,
    under,
    enclosure: { ...outer.enclosure, skins: doubled(outer.enclosure, cover) },
    steps: [
      ...outer.steps,
      saidStep(
        stage({
          id: 'inner',
          title: 'Set the second layer inside',
          view: 'end',
          pieces: [...hoops, sheet],
          work: [
            phrase`Cut the inner hoops to ${amount(cutMm, 'length')}${inLid ? ' and strap both ends inside the rails, beside the outer hoops.' : phrase` and push both ends ${amount(buryMm, 'length')} into the soil.`}`,
            phrase`They stand ${amount(spanMm, 'length')} apart at the feet, and leave ${amount(a.innerGapMm, 'length')}${inLid ? ' of air at the crown, less toward the rails.' : ' of air all round.'}`,
            [
              inLid
                ? `Pull ${cover.name} over them from inside, clip it, and staple it to rails and end boards.`
                : `Lay ${cover.name} over them, clip it, and tuck it in. Take it off by day when it is mild.`,
            ],
          ],
          tools: ['shear', 'tape', 'eye protection'],
          checks: ['The two layers nowhere touch'],
          cautions: [CAUTIONS.bend],
          joints: [...feet, ...clips],
          minutes: MINUTES.start + hoops.length * (MINUTES.bend + MINUTES.pipeCut) + MINUTES.sheet,
        }),
      ),
    ],
  });
}

/** A point of a cross-section's line, so far along it, at a place along the bed. */
function onLine(line: readonly Point2[], x: number, part: number): Vec3 {
  const p = line[Math.round(part * (line.length - 1))] ?? { y: 0, z: 0 };
  return [x, p.y, p.z];
}

/** What an inner hoop stands under, mm. */
interface Inside {
  readonly spanMm: number;
  readonly pipe: Section;
  readonly base: number;
  readonly top: number;
  readonly width: number;
  readonly roomMm: number;
}

interface Inner {
  readonly hoop: Elastica;
  readonly spanMm: number;
  readonly heightMm: number;
}

/** A lower hoop on the same rails: the gap is kept at the crown. */
function lowerHoop(i: Inside, spanMm: number, gapMm: number): Inner | undefined {
  const heightMm = i.top - gapMm - thicknessMm(i.pipe) / 2 - i.base;
  if (heightMm < LEAST_HEIGHT_MM) return undefined;
  const hoop = solveHoop({ kind: 'pinned' }, { spanMm, heightMm });
  return hoop.ok ? { hoop: hoop.value, spanMm, heightMm } : undefined;
}

/**
 * The largest inner hoop that keeps the gap everywhere: narrower and lower by the gap, and by as much more as its shoulders come
 * too near. Two sprung pipes of different lengths do not bend alike.
 */
function innerHoop(outer: readonly Point2[], i: Inside, gapMm: number): Inner | undefined {
  const od = thicknessMm(i.pipe);
  const at = (more: number): Inner | undefined => {
    const spanMm = Math.min(i.spanMm - 2 * gapMm - od, i.roomMm) - 2 * more;
    const heightMm = i.top - gapMm - od / 2 - i.base - more;
    if (spanMm < LEAST_SPAN * i.spanMm || heightMm < LEAST_HEIGHT_MM) return undefined;
    const hoop = solveHoop({ kind: 'pinned' }, { spanMm, heightMm });
    return hoop.ok ? { hoop: hoop.value, spanMm, heightMm } : undefined;
  };
  const clear = ({ hoop, spanMm }: Inner): boolean =>
    outerFace(hoop, i.pipe, (i.width - spanMm) / 2, i.base).every(
      (p) => p.z < i.base + gapMm || distanceTo(outer, p) >= gapMm - 0.5,
    );
  // Coarsely to the first that is clear, then back in small steps to the largest.
  for (let more = 0; more <= i.spanMm / 4; more += 16) {
    const inner = at(more);
    if (!inner) return undefined;
    if (!clear(inner)) continue;
    const larger = [14, 12, 10, 8, 6, 4, 2].map((less) => at(Math.max(0, more - less)));
    return larger.find((x) => x && clear(x)) ?? inner;
  }
  return undefined;
}

/** Distance from a point to a line through points. */
function distanceTo(line: readonly Point2[], p: Point2): number {
  let best = Infinity;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1], line[i]];
    if (!a || !b) continue;
    const [dy, dz] = [b.y - a.y, b.z - a.z];
    const long = dy * dy + dz * dz;
    const f = long === 0 ? 0 : Math.max(0, Math.min(1, ((p.y - a.y) * dy + (p.z - a.z) * dz) / long));
    best = Math.min(best, (a.y + f * dy - p.y) ** 2 + (a.z + f * dz - p.z) ** 2);
  }
  return Math.sqrt(best);
}

/** Every skin with a second layer inside it: the inner cover goes all round. */
function doubled(
  { skins: [first, ...more] }: AssemblySpec['enclosure'],
  inner: CoverMaterial,
): AssemblySpec['enclosure']['skins'] {
  return [{ ...first, inner }, ...more.map((s) => ({ ...s, inner }))];
}
