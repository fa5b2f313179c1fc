/** Tags written on the pieces of a drawing, so that a step's words can be found in it. */
import type { Flat } from '../base/geometry';
import { sayTags } from '../cover/guide/tags';
import { type Drawn, bounds } from './project';

/** A tag where it is written: the middle of its letters, in the units that it was placed in. */
interface PieceTag {
  readonly text: string;
  readonly at: Flat;
}

/** How a drawing is painted: its points, and the size of a tag's letters. */
interface Painter {
  readonly on: (p: Flat) => Flat;
  readonly widthOf: (text: string) => number;
  readonly high: number;
  /** No tag is written past these. */
  readonly left: number;
  readonly right: number;
}

/** Parts of the way along a piece where its tag may stand, the best first. */
const PLACES = [0.5, 0.35, 0.65, 0.2, 0.8] as const;

/** A point of a shape: along the line of a pipe, or along the longer side of an area. */
function along(shape: Drawn, part: number): Flat {
  if (shape.widthMm === undefined) {
    const { u0, v0, u1, v1 } = bounds([shape]);
    const level = u1 - u0 >= v1 - v0;
    return level ? [u0 + part * (u1 - u0), (v0 + v1) / 2] : [(u0 + u1) / 2, v0 + part * (v1 - v0)];
  }
  const lengths = shape.points.slice(1).map(([u, v], i) => {
    const [pu, pv] = shape.points[i] ?? [u, v];
    return Math.hypot(u - pu, v - pv);
  });
  let left = part * lengths.reduce((sum, x) => sum + x, 0);
  for (const [i, length] of lengths.entries()) {
    const [from, to] = [shape.points[i], shape.points[i + 1]];
    if (from && to && left <= length && length > 0) {
      const t = left / length;
      return [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
    }
    left -= length;
  }
  return shape.points[0] ?? [0, 0];
}

/** Pieces that lie behind one another share their corners to this, mm. */
const BEHIND_MM = 15;

/** H2 before H10. */
const inOrder = new Intl.Collator('en', { numeric: true }).compare;

/** More tags than these are named by the first and the last. */
const MOST_NAMED = 2;

function shortly(tags: readonly string[]): string {
  const said = sayTags(tags);
  return said.split(', ').length > MOST_NAMED ? `${tags[0]} \u2026 ${tags[tags.length - 1]}` : said;
}

/** Pieces in play that are seen as one, with their tags; the first shape of a piece stands for it. */
function seenAsOne(shapes: readonly Drawn[], play: ReadonlySet<string>): readonly { shape: Drawn; tags: string[] }[] {
  const groups = new Map<string, { shape: Drawn; tags: string[] }>();
  const placed = new Set<string>();
  for (const shape of shapes) {
    const tags = [shape.tag, ...(shape.behind ?? [])].filter((tag) => play.has(tag) && !placed.has(tag));
    if (tags.length === 0) continue;
    for (const tag of tags) placed.add(tag);
    const key = Object.values(bounds([shape]))
      .map((x) => Math.round(x / BEHIND_MM))
      .join();
    const group = groups.get(key);
    if (group) group.tags.push(...tags);
    else groups.set(key, { shape, tags });
  }
  return [...groups.values()];
}

/**
 * Places the tags of the pieces in play, each on its piece, none over another; pieces behind one another are named together.
 * A tag that finds no free place is left out.
 */
export function pieceTags(
  shapes: readonly Drawn[],
  play: ReadonlySet<string>,
  { on, widthOf, high, left, right }: Painter,
): readonly PieceTag[] {
  const placed: (PieceTag & { readonly half: number })[] = [];
  for (const { shape, tags } of seenAsOne(shapes, play)) {
    const text = shortly(tags.sort(inOrder));
    const half = widthOf(text) / 2;
    const clamp = (x: number): number => Math.min(Math.max(x, left + half), right - half);
    const at = PLACES.map((part): Flat => {
      const [x, y] = on(along(shape, part));
      return [clamp(x), y];
    }).find(([x, y]) => placed.every((p) => Math.abs(p.at[0] - x) > p.half + half || Math.abs(p.at[1] - y) > high));
    if (at) placed.push({ text, at, half });
  }
  return placed;
}
