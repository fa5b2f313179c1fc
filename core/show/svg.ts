import type { Assessment } from '../assessment';
import type { View } from '../base/geometry';
import { type Drawn, type Stuff, bounds, drawAssembly } from './project';
import { formatLength } from '../base/length';

/** Black and white for paper: every stuff by line and hatching, not colour. */
const LOOK: Readonly<Record<Stuff, string>> = {
  wall: 'fill="#fff" stroke="#000" stroke-width="3"',
  soil: 'fill="#eee" stroke="none"',
  timber: 'fill="#fff" stroke="#000" stroke-width="3"',
  pipe: 'fill="none" stroke="#000" stroke-linejoin="round"',
  rod: 'fill="none" stroke="#555"',
  plywood: 'fill="#fff" stroke="#000" stroke-width="3"',
  glazing: 'fill="#000" fill-opacity="0.04" stroke="#000" stroke-width="3"',
  opening: 'fill="#fff" stroke="#000" stroke-width="2" stroke-dasharray="6 4"',
  straw: 'fill="#fff" stroke="#000" stroke-width="4" stroke-dasharray="3 3"',
  mesh: 'fill="none" stroke="#000" stroke-width="3"',
  'film line': 'fill="none" stroke="#000" stroke-dasharray="14 8"',
  film: 'fill="#000" fill-opacity="0.06" stroke="#000" stroke-width="2" stroke-dasharray="14 8"',
};

function shape(d: Drawn): string {
  const points = d.points.map(([u, v]) => `${u.toFixed(1)},${(-v).toFixed(1)}`).join(' ');
  return d.widthMm === undefined
    ? `<polygon points="${points}" ${LOOK[d.stuff]}/>`
    : `<polyline points="${points}" ${LOOK[d.stuff]} stroke-width="${d.widthMm.toFixed(1)}"/>`;
}

/** One view of a cover as an SVG drawing in millimetres, with its measures listed under it. */
export function viewSvg(o: Assessment, view: View): string {
  const shapes = drawAssembly(o.assembly, o.site.bed, o.site.survey, view);
  const { u0, v0, u1, v1 } = bounds(shapes);
  const margin = 80;
  const lines = o.assembly.dimensions
    .filter((d) => d.view === view)
    .map((d) => `${d.label}: ${formatLength(d.valueMm, o.garden.units.length)}`);
  const text = Math.max(30, (u1 - u0) / 40);
  const height = v1 - v0 + 2 * margin + lines.length * text * 1.4;
  const words = lines.map(
    (line, i) =>
      `<text x="${u0.toFixed(0)}" y="${(-v0 + margin + (i + 0.6) * text * 1.4).toFixed(0)}" font-family="sans-serif" font-size="${text.toFixed(0)}">${line.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</text>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${u0 - margin} ${-v1 - margin} ${u1 - u0 + 2 * margin} ${height}" width="${u1 - u0 + 2 * margin}mm" height="${height}mm">\n${[...shapes.map(shape), ...words].join('\n')}\n</svg>\n`;
}
