/** A covered bed as the balance sees it: faces, air, soil, what stores warmth, what opens. */
import type { Assembly, ExtraWarmth } from '../../cover/assembly/types';
import { OPEN_HORIZON, type Horizon, horizonOf } from '../../site/horizon';
import { memoizeByIdentity } from '../../base/memoize';
import type { Bed } from '../../site/bed';
import type { Landmark } from '../../site/landmark';
import { middleOf } from '../../site/plotting';
import { type Draught, draughtOf, ventsOf } from './airing';
import { facesOf } from './faces';
import { leaksPerHour, wallsWPerK } from './losses';

/** A face in the directions of the world. */
export interface WorldFace {
  readonly east: number;
  readonly north: number;
  readonly up: number;
  readonly m2: number;
  readonly light: number;
  readonly uWPerM2K: number;
}

/** Water or stone that takes warmth in by day and gives it by night. */
interface Store {
  readonly jPerK: number;
  readonly wPerK: number;
  /** Part of the light inside that falls on it. */
  readonly share: number;
}

export interface BedModel {
  readonly faces: readonly WorldFace[];
  readonly horizon: Horizon;
  readonly floorM2: number;
  /** A grown crop as it is seen level: its long side and its end, each with the direction that it looks in. */
  readonly canopy: readonly { readonly east: number; readonly north: number; readonly m2: number }[];
  readonly volumeM3: number;
  readonly heightM: number;
  readonly wallsWPerK: number;
  /** Air changes an hour when shut, in light air; and between what they are said to be. */
  readonly leaksPerHour: number;
  readonly leaksRange: readonly [low: number, high: number];
  readonly draught: { readonly hand: Draught; readonly wax: Draught; readonly louvre: Draught };
  /** Length of the bed's walls, m, and how high they stand over the ground, m. */
  readonly sides: { readonly m: number; readonly highM: number; readonly wPerM2K: number };
  readonly store: Store | undefined;
  readonly blanketM2KPerW: number;
  readonly lightsW: number;
  /** Nothing is on it: no snow lies over it. */
  readonly bare?: true;
}

/** Corrections that a garden's own readings have taught; 1 is as reckoned. */
export interface Calibration {
  /** On all that is lost through the cover and by leaks. */
  readonly loss: number;
  /** On the sun that comes to warm it. */
  readonly gain: number;
}
export const UNCALIBRATED: Calibration = { loss: 1, gain: 1 };

const JUG_LITRES = 4;
/** One old-style string of lights of three metres, W. */
const STRING_W = 25;
/** A quilted blanket, m2K/W. Source: our own middle figure for 2 cm of wool or a moving blanket. */
export const BLANKET_M2K_PER_W = 0.35;
/** Stones between the rows, kg on a square metre of floor. */
const STONES_KG_PER_M2 = 25;
/** Through the bed's wall and the soil behind it, W/m2K; straw or soil heaped against it lets a third through. */
const SIDE_W_PER_M2K = 1.5;
const HEAPED = 1 / 3;

function storeOf(warmth: ExtraWarmth | undefined, floorM2: number): Store | undefined {
  if (warmth?.kind === 'jugs') {
    const litres = JUG_LITRES * warmth.count;
    // A jug of four litres shows the room 0.15 m2 and the sun a tenth of that over the floor it stands on.
    return {
      jPerK: 4186 * litres,
      wPerK: 10 * 0.15 * warmth.count,
      share: Math.min(0.25, (0.03 * warmth.count) / floorM2),
    };
  }
  if (warmth?.kind === 'stones')
    return { jPerK: 840 * STONES_KG_PER_M2 * floorM2, wPerK: 8 * 0.35 * floorM2, share: 0.2 };
  return undefined;
}

/** Air changes an hour over a bed with nothing on it: as many as through an open side. */
const OPEN_PER_HOUR = 1000;

/** The same bed with its cover off: all the light, and the air of outside. */
export const uncovered = (m: BedModel): BedModel => ({
  ...m,
  bare: true,
  faces: m.faces.map((f) => ({ ...f, light: 1 })),
  leaksPerHour: OPEN_PER_HOUR,
  leaksRange: [OPEN_PER_HOUR, OPEN_PER_HOUR],
});

const models = memoizeByIdentity<BedModel>();

/**
 * The bed under its cover; asked about again and again, which way its faces look is found once.
 * @param landmarks what stands on the plot; it shades the bed
 */
export const bedModel = (a: Assembly, bed: Bed, landmarks: readonly Landmark[] = NOTHING): BedModel =>
  models(a, [bed, landmarks], () => modelOf(a, bed, landmarks));
const NOTHING: readonly Landmark[] = [];

function modelOf(a: Assembly, bed: Bed, landmarks: readonly Landmark[]): BedModel {
  const { enclosure: e, warmth, crop, footing } = a;
  const highM = Math.max(0, crop.topZMm - crop.soilZMm) / 1000;
  const along = (bed.bearingDeg * Math.PI) / 180;
  const [ex, nx] = [Math.sin(along), Math.cos(along)];
  // Across is a quarter turn to the left of along, as seen from above.
  const [ey, ny] = [-nx, ex];
  const vents = ventsOf(a);
  const of = (...by: readonly string[]): Draught => draughtOf(vents.filter((v) => by.includes(v.by)));
  const ranges = e.skins.map((s) => s.cover.leaksRange);
  return {
    faces: facesOf(a).map(({ out: [x, y, up], ...rest }) => ({
      ...rest,
      east: x * ex + y * ey,
      north: x * nx + y * ny,
      up,
    })),
    horizon: landmarks.length > 0 ? horizonOf(landmarks, middleOf(bed), a.crop.soilZMm) : OPEN_HORIZON,
    floorM2: e.floorM2,
    canopy: [
      { east: ey, north: ny, m2: (footing.lengthMm / 1000) * highM },
      { east: ex, north: nx, m2: (footing.widthMm / 1000) * highM },
    ],
    volumeM3: e.volumeM3,
    heightM: e.heightM,
    wallsWPerK: wallsWPerK(e),
    leaksPerHour: leaksPerHour(e),
    leaksRange: [Math.min(...ranges.map((r) => r[0])), Math.max(...ranges.map((r) => r[1]))],
    draught: { hand: of('hand'), wax: of('wax'), louvre: of('louvre') },
    sides: {
      m: (2 * (a.footing.lengthMm + a.footing.widthMm)) / 1000,
      highM: bed.wall.heightMm / 1000,
      wPerM2K: SIDE_W_PER_M2K * (warmth?.kind === 'straw' || warmth?.kind === 'banked' ? HEAPED : 1),
    },
    store: storeOf(warmth, e.floorM2),
    blanketM2KPerW: warmth?.kind === 'blanket' ? BLANKET_M2K_PER_W : 0,
    lightsW: warmth?.kind === 'lights' ? STRING_W * warmth.count : 0,
  };
}
