/** Full-size outlines on as many pages of a PDF as they take. */
import { type Flat, clipped } from '../base/geometry';
import type { Panel } from '../cover/assembly/types';
import { type PaperKey, PAPERS, printedArea, templatePages, barWords } from '../cover/parts/ends';
import type { Assessment } from '../assessment';
import { POINTS_PER_MM, type Pen } from './pen';

/** Ends that are sawn to a curve, each kind once. */
export const curved = (o: Assessment): readonly Panel[] =>
  o.assembly.panels.filter(
    (p, i, all) => p.curved && all.findIndex((q) => JSON.stringify(q.outline) === JSON.stringify(p.outline)) === i,
  );

/** An outline at full size on as many pages as it takes, crosses in the corners to lay them by. */
export function templates(pen: Pen, panel: Panel, paper: PaperKey): void {
  const { widthMm, heightMm } = printedArea(paper);
  const margin = (PAPERS[paper].widthMm - widthMm) / 2;
  for (const at of templatePages(panel, paper)) {
    pen.newPage();
    const on = ([u, v]: Flat): Flat => [
      (margin + u - at.leftMm) * POINTS_PER_MM,
      (margin + v - at.bottomMm) * POINTS_PER_MM,
    ];
    const [x0, y0, x1, y1] = [margin, margin, margin + widthMm, margin + heightMm].map((mm) => mm * POINTS_PER_MM) as [
      number,
      number,
      number,
      number,
    ];
    for (const ring of [panel.outline, ...panel.openings])
      ring.forEach((a, i) => {
        const cut = clipped(on(a), on(ring[(i + 1) % ring.length] ?? a), [x0, y0, x1, y1]);
        if (cut) pen.line(cut[0][0], cut[0][1], cut[1][0], cut[1][1], 1.2);
      });
    for (const [x, y] of [
      [x0, y0],
      [x1, y0],
      [x0, y1],
      [x1, y1],
    ] as const) {
      pen.line(x - 12, y, x + 12, y, 0.6);
      pen.line(x, y - 12, x, y + 12, 0.6);
    }
    const bar = PAPERS[paper].barMm * POINTS_PER_MM;
    pen.line(x0 + 30, y0 + 30, x0 + 30 + bar, y0 + 30, 0.8);
    pen.text(`${barWords(paper)}; print at 100 %`, x0 + 30, y0 + 36, 8);
    pen.text(`${panel.tag}: column ${at.column + 1}, row ${at.row + 1} from below left`, x0 + 30, y0 + 16, 9, {
      bold: true,
    });
  }
}
