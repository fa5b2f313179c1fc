// A rival may be of any kind.
import { MERIT_QUANTITY, meritPhrase } from '../../../core/explore/merits';
import { takeVersion } from '../../../core/commands/design';
import '../../../core/cover/families';
import { JobSays } from '../../parts/JobSays';
import { useJob } from '../../background/useJob';
import type { ShownVersion } from '../../background/jobs';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { bounds } from '../../../core/show/project';
import { phraseText } from '../../../core/base/figure';
import type { Cover } from '../../../core/garden/garden';
import type { Quantity } from '../../../core/base/amount';
import { PlaceHead } from '../../app/PlaceHead';
import { useCurrent } from '../../app/current';
import { useRun, useGarden, useUnits } from '../../app/hooks';
import { useWay } from '../../app/way';
import { Shape } from '../../drawing/Shapes';
import { Button } from '../../parts/controls';
import { Ticks } from '../../parts/lists';
import { Body, PanelBox } from '../../parts/layout';
import { Sentence } from '../../parts/Said';
import { VerdictMark } from '../../parts/VerdictMark';
import type { Bed } from '../../../core/site/bed';
import { NOTHING_SAID } from '../../../core/site/brief';
import type { Rival } from '../../../core/explore/versions';
import { Tick } from '../../parts/Tick';

const MOST = 4;
const DRAWING = { width: 190, height: 150 };

const Page = styled.div`
  overflow: auto;
  min-height: 0;
  padding: 0.9rem 1.25rem;
  table {
    border-collapse: collapse;
    font-size: 0.9375rem;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 0.45rem 1.4rem 0.45rem 0;
    border-top: 1px solid var(--hair);
    font-weight: 400;
    min-width: 11rem;
  }
  thead td,
  thead th {
    border-top: 0;
    vertical-align: bottom;
    font-weight: 600;
  }
  tbody th {
    color: var(--quiet);
    min-width: 8rem;
  }
  td.measure {
    font-weight: 600;
  }
  .ill {
    display: grid;
    grid-template-columns: 4.6rem 1fr;
    gap: 0.2rem 0.5rem;
    font-size: 0.8125rem;
    max-width: 17rem;
    padding-bottom: 0.4rem;
  }
  @media (max-width: 760px) {
    padding: 0.9rem 0.6rem;
  }
`;

/** What versions may differ in, as a gardener asks for it. */
const ROWS: readonly {
  readonly label: string;
  readonly of: (v: ShownVersion) => number;
  readonly quantity: Quantity;
}[] = [
  { label: 'Price paid', of: (v) => v.merits.price, quantity: 'money' },
  { label: 'Of it used up', of: (v) => v.used, quantity: 'money' },
  { label: 'Pieces', of: (v) => v.pieces, quantity: 'count' },
  { label: 'Weight', of: (v) => v.merits.massKg, quantity: 'mass' },
  { label: 'Over the crop', of: (v) => v.merits.clearanceMm, quantity: MERIT_QUANTITY.clearanceMm },
  { label: 'Height', of: (v) => v.merits.heightMm, quantity: MERIT_QUANTITY.heightMm },
  { label: 'Coldest night', of: (v) => v.merits.coldestC, quantity: 'livesTo' },
  { label: 'Wet snow', of: (v) => v.merits.wetSnowMm, quantity: 'snowDepth' },
  { label: 'Hours', of: (v) => v.merits.hours, quantity: 'hours' },
];

/** The cheapest designs of this many other kinds stand beside a cover. */
const RIVALS = 3;

/** What stands against a cover on its bed: the cheapest of other kinds for what it is for, as soon as there is a full answer. */
function useRivals(cover: Cover, bed: Bed): { readonly looking: boolean; readonly rivals: readonly Rival[] } {
  const garden = useGarden();
  // As it was when this was opened: taking a rival must not start it anew.
  const [asked] = useState(() => {
    const crop = String((cover.answers as Readonly<Record<string, unknown>>)['crop'] ?? '');
    const said = cover.brief ?? bed.brief;
    const brief = said ?? { ...NOTHING_SAID, crops: crop === '' ? [] : [crop] };
    return { garden, bedId: bed.id, brief };
  });
  const { garden: then, ...question } = asked;
  const { state, value, progress, stop } = useJob('find', question, { garden: then });
  const found = value ?? progress?.work;
  const full = found?.full === true;
  useEffect(() => {
    if (full && state === 'pending') stop();
  });
  const rivals = useMemo(
    () =>
      (found?.offers ?? [])
        .filter(
          (o, i, all) =>
            o.cover.family !== cover.family && all.findIndex((x) => x.cover.family === o.cover.family) === i,
        )
        .slice(0, RIVALS)
        .map(({ cover: { family, answers, coats } }): Rival => ({ family, answers, coats })),
    [found, cover.family],
  );
  return { looking: !full && state === 'pending', rivals };
}

/** Versions of one cover, and its rivals, at one scale, with only what differs. */
export function SideBySide(): ReactNode {
  const way = useWay();
  const { cover, bed } = useCurrent();
  return cover && bed ? <Versions key={cover.id} cover={cover} bed={bed} /> : <Navigate to={way('plot')} replace />;
}

function Versions({ cover, bed }: { readonly cover: Cover; readonly bed: Bed }): ReactNode {
  const way = useWay();
  const units = useUnits();
  const run = useRun();
  const navigate = useNavigate();
  const { looking, rivals } = useRivals(cover, bed);
  const job = useJob('versions', { coverId: cover.id, rivals });
  // While rivals come, what there was stays.
  const found = job.value;
  const [picked, setPicked] = useState<readonly string[]>(['now', 'kept', 'more', 'conduit']);
  const shown = (found ?? []).filter((v) => picked.includes(v.id)).slice(0, MOST);
  const scale = Math.min(
    ...shown.map(({ shapes }) => {
      const b = bounds(shapes);
      return Math.min(DRAWING.width / (b.u1 - b.u0), DRAWING.height / (b.v1 - b.v0));
    }),
  );
  const texts = (of: (v: ShownVersion) => number, quantity: Quantity): readonly string[] =>
    shown.map((v) => phraseText(meritPhrase(of(v), quantity), units));
  const use = (v: ShownVersion): void => {
    const used = run((g) => takeVersion(g, cover.id, v.cover, v.label));
    if (used.ok) void navigate(way('bench', cover.id));
  };
  return (
    <>
      <PlaceHead title="Side by side" subtitle={`versions of ${cover.name} on ${bed.name}`} />
      <Body>
        <Page tabIndex={0} role="region" aria-label="Versions">
          {!found && <JobSays job={{ ...job, value: undefined }} doing="Working the versions out" />}
          {found?.length === 0 && <p>This cover cannot be drawn as it is: mend it at the bench first.</p>}
          {shown.length > 0 && (
            <table>
              <thead>
                <tr>
                  <td />
                  {shown.map((v) => (
                    <th key={v.id} scope="col">
                      <EndDrawing version={v} scale={scale} />
                      {v.label}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {ROWS.map(({ label, of, quantity }) => {
                  const row = texts(of, quantity);
                  if (shown.length > 1 && new Set(row).size === 1) return null;
                  return (
                    <tr key={label}>
                      <th scope="row">{label}</th>
                      {row.map((text, i) => (
                        <td key={shown[i]?.id} className="measure">
                          {text}
                        </td>
                      ))}
                    </tr>
                  );
                })}
                <tr>
                  <th scope="row">What is not well</th>
                  {shown.map((v) => (
                    <td key={v.id}>
                      {v.ills.length === 0 && 'nothing'}
                      {v.ills.slice(0, 4).map((ill, i) => (
                        <div className="ill" key={i}>
                          <VerdictMark verdict={ill.status} />
                          <span>
                            <Sentence phrase={ill.text} />
                          </span>
                        </div>
                      ))}
                    </td>
                  ))}
                </tr>
                <tr>
                  <th scope="row">
                    <span className="screen-only">Take it</span>
                  </th>
                  {shown.map((v) => (
                    <td key={v.id}>
                      {v.id === 'now' ? (
                        'in hand'
                      ) : (
                        <Button aria-label={`Take ${v.label}`} onPress={() => use(v)}>
                          Take it
                        </Button>
                      )}
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          )}
        </Page>
        <PanelBox aria-label="Which versions">
          <section aria-label="Which versions">
            <h2>Which versions</h2>
            <Ticks>
              {found?.map((v) => {
                const on = picked.includes(v.id);
                const full = shown.length >= MOST && !on;
                return (
                  <li key={v.id}>
                    <Tick
                      on={on}
                      isDisabled={full}
                      onChange={(ticked) => setPicked(ticked ? [...picked, v.id] : picked.filter((id) => id !== v.id))}
                    >
                      {v.label}
                    </Tick>
                  </li>
                );
              })}
            </Ticks>
            {looking && <p role="status">Looking for rivals among the other kinds…</p>}
            <p style={{ fontSize: '0.875rem', color: 'var(--quiet)' }}>
              Two to four at a time; rows that are alike are left out. A planning aid: local codes come first.
            </p>
          </section>
        </PanelBox>
      </Body>
    </>
  );
}

function EndDrawing({ version: v, scale }: { readonly version: ShownVersion; readonly scale: number }): ReactNode {
  const b = bounds(v.shapes);
  const sheet = { scale, left: 2, top: 4, u0: b.u0, v1: b.v1 };
  return (
    <svg
      width={(b.u1 - b.u0) * scale + 6}
      height={(b.v1 - b.v0) * scale + 8}
      role="img"
      aria-label={`${v.label}, from the end`}
      style={{ display: 'block' }}
    >
      {v.shapes.map((drawn, i) => (
        <Shape key={i} drawn={drawn} sheet={sheet} />
      ))}
    </svg>
  );
}
