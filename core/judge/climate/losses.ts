/** How a covered bed loses heat when it is shut: through what closes it, and by the air that leaks. */
import { meanOf } from '../../cover/assembly/enclosure';
import type { Enclosure, Skin } from '../../cover/assembly/types';
import type { CoverMaterial } from '../../catalog/types';
import { wallU } from '../../catalog/walls';

/** Heat that a cubic metre of air carries, J/m3K, at 20 C and the level of the sea. */
export const AIR_J_PER_M3K = 1206;
/** Edges that lie weighted and are lifted every day leak so much more than fastened ones. Source: trade ranges, loose film 1 to 4. */
const LOOSE = 2;
/** Air changes an hour with one long side open: 0.3 A V of a light air through a hole a third as large as the floor, over a low tunnel. */
const OPEN_SIDE = 1000;

/** Heat that one layer lets through, W/m2K. */
const layerU = (c: CoverMaterial): number => c.uWPerM2K ?? c.throughWPerM2K;

/** Heat that a skin loses by day, W/m2K: two tight layers resist one after the other, and cloth passes air and radiation. */
export const skinU = ({ cover, inner }: Skin): number =>
  inner ? 1 / (1 / layerU(cover) + 1 / layerU(inner)) : layerU(cover);

/** Air changes an hour through a skin: of two layers the tighter one counts. */
const leaksOf = ({ cover, inner }: Skin): number => Math.min(cover.leaksPerHour, inner?.leaksPerHour ?? Infinity);

/** Air changes an hour when shut, in light air. */
export const leaksPerHour = (e: Pick<Enclosure, 'skins' | 'loose' | 'open'>): number =>
  e.open ? OPEN_SIDE : meanOf(e, leaksOf) * (e.loose ? LOOSE : 1);

/** Heat that goes through boards, plywood and bales, W/K. */
export const wallsWPerK = ({ walls = [] }: Pick<Enclosure, 'walls'>): number =>
  walls.reduce((sum, w) => sum + w.m2 * wallU(w.kind, w.thicknessMm), 0);
