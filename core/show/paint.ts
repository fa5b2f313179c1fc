/** Paints lists of marks on the pages of a PDF. */
import { grayscale } from 'pdf-lib';
import type { Fill, Ink, Lettering, MarkList } from './drawing';
import { MARGIN, type Pen, plain } from './pen';

/** Grey of what is filled; what is left over and what has none is only drawn round. */
const TONES: Readonly<Record<Fill, number | undefined>> = {
  timber: 0.97,
  pipe: 0.93,
  film: 0.95,
  'left over': undefined,
  none: undefined,
};
const INKS: Readonly<Record<Ink, number>> = { ink: 0, mark: 0, quiet: 0.35 };

/** Letters of the paper's own fonts, in points. */
export const onPaper = (pen: Pen): Lettering => ({
  tag: 9,
  smallTag: 8,
  figure: 8,
  other: 6.5,
  quiet: 8,
  widthOf: (text, size, bold) => (bold ? pen.bold : pen.font).widthOfTextAtSize(plain(text), size),
});

/** Paints a drawing at the left margin from where the pen stands, and moves the pen below it. */
export function paintMarks(pen: Pen, list: MarkList): void {
  pen.ensureSpace(list.height);
  const top = pen.y;
  const [across, up] = [(x: number): number => MARGIN + x, (y: number): number => top - y];
  for (const m of list.marks) {
    switch (m.kind) {
      case 'outline': {
        const [low, , high] = m.points;
        if (m.fill === 'none' && low && high) {
          // What has no face is a box to tick.
          pen.box(across(low[0]), up(high[1]), high[0] - low[0], high[1] - low[1]);
          break;
        }
        const tone = TONES[m.fill];
        const over = m.fill === 'left over';
        // The path goes down the page from its start.
        const path = m.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join(' ');
        pen.page.drawSvgPath(`${path} Z`, {
          x: across(0),
          y: up(0),
          borderColor: grayscale(over ? INKS.quiet : 0),
          borderWidth: over ? 0.5 : 0.9,
          ...(over && { borderDashArray: [3, 2] }),
          ...(tone !== undefined && { color: grayscale(tone) }),
        });
        break;
      }
      case 'line':
        pen.page.drawLine({
          start: { x: across(m.from[0]), y: up(m.from[1]) },
          end: { x: across(m.to[0]), y: up(m.to[1]) },
          thickness: m.thick,
          color: grayscale(INKS[m.ink]),
        });
        break;
      case 'hole':
        pen.page.drawCircle({
          x: across(m.at[0]),
          y: up(m.at[1]),
          size: m.radius,
          borderColor: grayscale(0),
          borderWidth: 0.9,
          color: grayscale(1),
        });
        break;
      case 'text': {
        const bold = m.bold === true && m.figure !== true;
        const wide = (bold ? pen.bold : pen.font).widthOfTextAtSize(plain(m.text), m.size);
        const x = across(m.at[0]) - (m.anchor === 'end' ? wide : 0);
        const options = { bold, quiet: m.ink === 'quiet', centre: m.anchor === 'middle' };
        pen.text(m.text, x, up(m.at[1]), m.size, options);
      }
    }
  }
  pen.y = top - list.height;
}
