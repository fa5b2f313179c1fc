import { type ReactNode, useState } from 'react';
import styled from 'styled-components';
import {
  PAPERS,
  type PaperKey,
  type TemplatePage,
  offsetTable,
  printedArea,
  templatePages,
  barWords,
} from '../../../core/cover/parts/ends';
import type { Panel } from '../../../core/cover/assembly/types';
import { formatLength, isMetric } from '../../../core/base/length';
import { useUnits } from '../../app/hooks';
import { Choice, Button } from '../../parts/controls';

const Table = styled.table`
  border-collapse: collapse;
  font-size: 0.875rem;
  th,
  td {
    padding: 0.2rem 1.4rem 0.2rem 0;
    border-top: 1px solid var(--hair);
    text-align: left;
  }
`;

const Pages = styled.div`
  .page {
    position: relative;
    break-before: page;
    break-inside: avoid;
    border: 1px solid var(--hair);
    margin-bottom: 1rem;
    overflow: hidden;
  }
  @media print {
    .page {
      border: 0;
      margin: 0;
    }
  }
`;

/** A plywood end full size: the table of its offsets, and its outline on as many pages as it needs. */
export function Template({ panel }: { readonly panel: Panel }): ReactNode {
  const { length } = useUnits();
  const [paper, setPaper] = useState<PaperKey>(isMetric(length) ? 'a4' : 'letter');
  const [tiled, setTiled] = useState(false);
  const pages = templatePages(panel, paper);
  const text = (mm: number): string => formatLength(mm, length);
  const rows = offsetTable(panel.outline, isMetric(length) ? 50 : undefined);
  return (
    <section aria-label={`Template of ${panel.tag}`} data-testid={`template-${panel.tag}`}>
      <h2>
        {panel.tag} {panel.part}, {panel.sheet.name}, full size
      </h2>
      <p>
        Draw a base line on the board. At each place along it measure up to the edge, drive a nail, bend a thin strip
        round the nails and draw along it.
      </p>
      <Table>
        <thead>
          <tr>
            <th scope="col">Along the base</th>
            <th scope="col">Up to the edge</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.atMm}>
              <td className="measure">{text(r.atMm)}</td>
              <td className="measure">{text(r.toMm)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <div className="screen-only" style={{ display: 'grid', gap: '0.6rem', maxWidth: '26rem', paddingTop: '0.8rem' }}>
        <Choice
          label="Paper"
          value={paper}
          options={(Object.keys(PAPERS) as PaperKey[]).map((key) => ({
            value: key,
            label: PAPERS[key].name,
            why: `${templatePages(panel, key).length} pages, printed at 100 %.`,
          }))}
          onChange={(value) => setPaper(value as PaperKey)}
        />
        <Button onPress={() => setTiled(!tiled)}>
          {tiled ? 'Leave the pages out' : `Add its outline on ${pages.length} pages`}
        </Button>
      </div>
      {tiled && (
        <Pages>
          {pages.map((page) => (
            <Page key={`${page.column} ${page.row}`} panel={panel} page={page} paper={paper} />
          ))}
        </Pages>
      )}
    </section>
  );
}

const MARK_MM = 8;

/** One page of the outline at full size, with crosses in its corners that meet those of its neighbours. */
function Page(p: { readonly panel: Panel; readonly page: TemplatePage; readonly paper: PaperKey }): ReactNode {
  const { widthMm: w, heightMm: h } = printedArea(p.paper);
  const bar = PAPERS[p.paper].barMm;
  const { leftMm, bottomMm, column, row } = p.page;
  const path = (outline: Panel['outline']): string =>
    outline.map(([u, v]) => `${(u - leftMm).toFixed(2)},${(h - (v - bottomMm)).toFixed(2)}`).join(' ');
  const corners = [
    [0, 0],
    [w, 0],
    [0, h],
    [w, h],
  ] as const;
  return (
    <div className="page" style={{ width: `${w}mm`, height: `${h}mm` }}>
      <svg
        width={`${w}mm`}
        height={`${h}mm`}
        viewBox={`0 0 ${w} ${h}`}
        role="img"
        aria-label={`Template ${p.panel.tag}, column ${column + 1}, row ${row + 1}`}
      >
        {[p.panel.outline, ...p.panel.openings].map((outline, i) => (
          <polygon key={i} points={path(outline)} fill="none" stroke="#000" strokeWidth={0.5} />
        ))}
        {corners.map(([x, y]) => (
          <path
            key={`${x} ${y}`}
            d={`M${x - MARK_MM} ${y} H${x + MARK_MM} M${x} ${y - MARK_MM} V${y + MARK_MM}`}
            stroke="#000"
            strokeWidth={0.25}
          />
        ))}
        <path
          d={`M${(w - bar) / 2} ${h - 12} h${bar} m0 -2 v4 m${-bar} -4 v4`}
          fill="none"
          stroke="#000"
          strokeWidth={0.3}
        />
        <text x={w / 2} y={h - 14} textAnchor="middle" fontSize={4}>
          {barWords(p.paper)}
        </text>
        <text x={10} y={10} fontSize={5}>
          {p.panel.tag}: column {column + 1}, row {row + 1} from below left. Lay the corner crosses on one another.
        </text>
      </svg>
    </div>
  );
}
