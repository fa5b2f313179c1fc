import { type ReactNode, useState } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { SECTIONS, section } from '../../../core/catalog/sections';
import type { CutPiece, SectionBar, SectionCuts } from '../../../core/cutting/bars';
import { cutBar, outgrown, spoil } from '../../../core/cutting/tickOff';
import type { Member } from '../../../core/assembly/types';
import { cutsCsv } from '../../../core/files/csv';
import type { Cover } from '../../../core/files/garden';
import { fail, failAll, ok } from '../../../core/result';
import { formatMoney } from '../../../core/units/amount';
import { sayTags } from '../../../core/guide/tags';
import { type LengthUnit, formatLength, parseLength } from '../../../core/units/length';
import { PlaceHead } from '../../app/Shell';
import { Strip } from '../../app/Strip';
import { useCurrent } from '../../app/current';
import { useEdit, useGarden, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { useOutline, useWork } from '../../app/usePlan';
import { BarDrawing, OffcutPattern } from '../../drawing/BarDrawing';
import { SheetDrawing } from '../../drawing/SheetDrawing';
import { useSize } from '../../drawing/useSize';
import { Button, Select } from '../../parts/controls';
import { saveFile } from '../../parts/saveFile';
import { LengthField, NumberField, TypedField } from '../../parts/TypedField';
import { Body, Panel } from '../../parts/layout';

const Bars = styled.div`
  overflow: auto;
  min-height: 0;
  min-width: 0;
  padding: 0.9rem 1.25rem;
  display: grid;
  align-content: start;
  gap: 0.9rem;
  @media (max-width: 760px) {
    padding: 0.9rem 0.6rem;
  }
  h2 {
    margin-bottom: 0.25rem;
  }
`;

export const Rows = styled.ul`
  li {
    display: grid;
    grid-template-columns: minmax(0, auto) 1fr auto;
    gap: 0.6rem;
    align-items: center;
    padding: 0.4rem 0;
    border-top: 1px solid var(--hair);
    font-size: 0.9375rem;
  }
  li > :last-child {
    text-align: right;
    font-weight: 600;
  }
`;

const BarRow = styled.div`
  display: flex;
  align-items: flex-start;
  gap: 8px;
`;
/** Room for the press that ticks a bar off. */
const CUT_PX = 70;

/** Bars of one section, all at one scale. */
export function SectionBars({
  cut,
  width,
  longestMm,
  onCut,
}: {
  readonly cut: SectionCuts;
  readonly width: number;
  readonly longestMm: number;
  /** Ticks a bar off as sawn; without it they are only shown. */
  readonly onCut?: (sectionKey: string, bar: SectionBar) => void;
}): ReactNode {
  return (
    <section aria-label={section(cut.sectionKey).name}>
      <h2>{section(cut.sectionKey).name}</h2>
      {cut.bars.map((bar) => (
        <BarRow key={bar.label}>
          <BarDrawing
            bar={bar}
            sectionKey={cut.sectionKey}
            width={width - (onCut ? CUT_PX : 0)}
            longestMm={longestMm}
          />
          {onCut && (
            <Button aria-label={`${bar.label} is cut`} onPress={() => onCut(cut.sectionKey, bar)}>
              Cut
            </Button>
          )}
        </BarRow>
      ))}
    </section>
  );
}

/** Coils are drawn only as far as they are used. */
const COIL_MM = 8000;

export function longestBar(cuts: readonly SectionCuts[]): number {
  const bars = cuts.flatMap((c) => c.bars);
  return Math.max(1, ...bars.map((b) => (b.lengthMm > COIL_MM ? b.lengthMm - b.offcutMm : b.lengthMm)));
}

/** How the ends of a piece are cut, where they are not square, or how it tapers. */
function endsText(p: CutPiece, unit: LengthUnit): string {
  if (p.taperMm) {
    const [from, to] = p.taperMm;
    const [a, b] = [formatLength(from, unit), formatLength(to, unit)];
    return Math.abs(from - to) < 0.5 ? `; ripped to ${a}` : `; tapers from ${a} to ${b}`;
  }
  return p.endAnglesDeg
    ? `; ends ${p.endAnglesDeg.map((deg) => `${Math.abs(deg).toFixed(1)}°`).join(' and ')} off square`
    : '';
}

/** Cut it: each bar to scale with marks from the tape's end. */
export function Saw(): ReactNode {
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  const [ref, size] = useSize<HTMLDivElement>();
  const navigate = useNavigate();
  const units = useUnits();
  const edit = useEdit();
  if (!cover || !bed) return <Navigate to="/plot" replace />;
  if (!outlined?.ok) return <Navigate to={`/bench/${cover.id}`} replace />;
  const cuts = work.work?.cuts;
  const cutOff = (sectionKey: string, bar: SectionBar): void =>
    void edit(`Cut ${bar.label.toLowerCase()}`, (g) =>
      cutBar(g, sectionKey, bar, (tag) => ({ coverId: cover.id, tag }), newId()),
    );
  const stops = cuts?.flatMap((cut) => {
    const groups = new Map<string, { sectionKey: string; mm: number; ends: string; tags: string[] }>();
    for (const piece of cut.bars.flatMap((b) => b.pieces)) {
      const ends = endsText(piece, units.length);
      const key = `${piece.lengthMm} ${ends}`;
      const group = groups.get(key) ?? { sectionKey: cut.sectionKey, mm: piece.lengthMm, ends, tags: [] };
      group.tags.push(piece.tag);
      groups.set(key, group);
    }
    return [...groups.values()];
  });
  return (
    <>
      <PlaceHead title="Cut list" subtitle={`${cover.name} on ${bed.name}`}>
        <Button onPress={() => void navigate('/together/saw')}>All covers</Button>
        {work.work && (
          <Button
            onPress={() =>
              work.work &&
              saveFile(`${cover.name} cuts.csv`, 'text/csv', cutsCsv({ garden: outlined.value.garden, ...work.work }))
            }
          >
            Save as CSV
          </Button>
        )}
        <Button $strong onPress={() => void navigate(`/paper/${cover.id}`)}>
          Print
        </Button>
      </PlaceHead>
      <Body>
        <Bars ref={ref} aria-busy={work.busy} tabIndex={0} role="region" aria-label="Bars to cut">
          <OffcutPattern />
          {work.problem !== undefined && <p role="alert">{work.problem}</p>}
          {!cuts && work.problem === undefined && <p>Working out the cuts…</p>}
          {size &&
            cuts?.map((cut) => (
              <SectionBars
                key={cut.sectionKey}
                cut={cut}
                width={size.width - (size.width < 500 ? 20 : 44)}
                longestMm={longestBar(cuts)}
                onCut={cutOff}
              />
            ))}
          {size && outlined.value.sheets.sheets.length > 0 && (
            <section aria-label="Stiff sheets">
              <h2>Stiff sheets</h2>
              {outlined.value.sheets.sheets.map((cut) => (
                <SheetDrawing key={cut.label} cut={cut} width={size.width - (size.width < 500 ? 20 : 44)} />
              ))}
            </section>
          )}
        </Bars>
        <Panel aria-label="How to cut">
          {cuts && (
            <section aria-label="Proof" data-testid="proof">
              <h2>Price of the bars</h2>
              {cuts.every((c) => c.proven) ? (
                <p>
                  <b style={{ color: 'var(--holds)' }}>Proven.</b> No cheaper way exists with these bars:{' '}
                  {cuts.reduce((n, c) => n + c.bars.length, 0)} bars,{' '}
                  <b className="measure">
                    {formatMoney(
                      cuts.reduce((sum, c) => sum + c.cost, 0),
                      units.currency,
                    )}
                  </b>{' '}
                  for those not on the shelf.
                </p>
              ) : (
                <p>
                  The best found; no plan can cost less than{' '}
                  <b className="measure">
                    {formatMoney(
                      cuts.reduce((sum, c) => sum + c.bound, 0),
                      units.currency,
                    )}
                  </b>
                  .
                </p>
              )}
            </section>
          )}
          {stops && (
            <section aria-label="Set the stop once">
              <h2>Set the stop once</h2>
              <Rows>
                {stops.map((s) => (
                  <li key={s.sectionKey + s.tags.join()}>
                    <b>{sayTags(s.tags)}</b>
                    <span>
                      {section(s.sectionKey).name}, {section(s.sectionKey).tool}
                      {s.ends}
                    </span>
                    <span className="measure">{formatLength(s.mm, units.length)}</span>
                  </li>
                ))}
              </Rows>
            </section>
          )}
          <Sawn cover={cover} members={outlined.value.assembly.members} />
          <OnHand />
          <p style={{ fontSize: '0.8125rem', color: 'var(--quiet)' }}>
            Marks run from the end where the tape hooks, after the squared end, and count the saw’s own width. Saw dust
            of PVC: outdoors, with a mask, or use a shear cutter. Treated wood: gloves and mask, never burn the scraps.
          </p>
        </Panel>
        <Strip cover={cover} outline={outlined.value} work={work} />
      </Body>
    </>
  );
}

/** What is sawn already; a piece that came out short is entered, and planned again from what there is. */
function Sawn({ cover, members }: { readonly cover: Cover; readonly members: readonly Member[] }): ReactNode {
  const { length } = useUnits();
  const edit = useEdit();
  const old = outgrown(cover.cut, members);
  if (cover.cut.length === 0) return null;
  return (
    <section aria-label="Sawn already" data-testid="sawn">
      <h2>Sawn already</h2>
      <Rows>
        {cover.cut.map((d) => (
          <li key={d.tag}>
            <b>{d.tag}</b>
            <span>
              {section(d.sectionKey).name}
              {old.some((x) => x.done === d) && '; the design has changed, and asks for another'}
            </span>
            <TypedField
              label={`${d.tag} came out short: how long it is`}
              shown={formatLength(d.lengthMm, length)}
              boxed
              take={(text) => {
                const read = parseLength(text, length);
                if (!read.ok) return read;
                if (read.value <= 0 || read.value > d.lengthMm + 0.5)
                  return fail('length', 'Write how long the spoilt piece is: less than it should be.');
                const faults = edit(`Spoil ${d.tag}`, (g) => spoil(g, cover.id, d.tag, read.value, newId()));
                return faults.length > 0 ? failAll(faults) : ok(read.value);
              }}
            />
          </li>
        ))}
      </Rows>
      <p style={{ fontSize: '0.8125rem', color: 'var(--quiet)' }}>
        Came out short? Type how long it is: it goes on the shelf, and the piece is planned again.
      </p>
    </section>
  );
}

/** Bars and pipes on hand: they are cut first and cost nothing. */
export function OnHand(): ReactNode {
  const garden = useGarden();
  const edit = useEdit();
  const [key, setKey] = useState('2x4');
  return (
    <section aria-label="On the shelf" data-testid="shelf">
      <h2>On the shelf</h2>
      <Rows>
        {garden.shelf.map((bar) => (
          <li key={bar.id}>
            <b>{section(bar.sectionKey).name}</b>
            <span style={{ display: 'flex', gap: '0.4rem', flexWrap: 'wrap' }}>
              <NumberField
                label={`How many ${section(bar.sectionKey).name}`}
                value={bar.quantity}
                decimals={0}
                min={0}
                max={999}
                onSet={(n) => {
                  const faults = edit('Change the shelf', (g) => {
                    const found = g.shelf.find((b) => b.id === bar.id);
                    if (found) found.quantity = Math.round(n);
                  });
                  return faults.length > 0 ? failAll(faults) : ok(n);
                }}
              />
              <LengthField
                label={`Real length of ${section(bar.sectionKey).name}`}
                valueMm={bar.lengthMm}
                boxed
                onSet={(mm) => {
                  if (mm <= 0) return fail('length', 'A bar is longer than nothing.');
                  const faults = edit('Change the shelf', (g) => {
                    const found = g.shelf.find((b) => b.id === bar.id);
                    if (found) found.lengthMm = mm;
                  });
                  return faults.length > 0 ? failAll(faults) : ok(mm);
                }}
              />
            </span>
            <Button
              aria-label={`Take ${section(bar.sectionKey).name} off the shelf`}
              onPress={() =>
                void edit('Take off the shelf', (g) => void (g.shelf = g.shelf.filter((b) => b.id !== bar.id)))
              }
            >
              Remove
            </Button>
          </li>
        ))}
        <li>
          <Select
            aria-label="What to add to the shelf"
            value={key}
            onChange={(e) => setKey(e.target.value)}
            style={{ width: '8rem' }}
          >
            {[...SECTIONS.all().values()]
              .filter((s) => s.stock.length > 0)
              .map((s) => (
                <option key={s.key} value={s.key}>
                  {s.name}
                </option>
              ))}
          </Select>
          <TypedField
            label="Length of the bar to add"
            shown="length"
            boxed
            take={(text) => {
              const read = parseLength(text, garden.units.length);
              if (!read.ok) return read;
              if (read.value <= 0) return fail('length', 'A bar is longer than nothing.');
              const faults = edit(
                'Put on the shelf',
                (g) => void g.shelf.push({ id: newId(), sectionKey: key, lengthMm: read.value, quantity: 1, condition: 'sound', where: '' }),
              );
              return faults.length > 0 ? failAll(faults) : ok(read.value);
            }}
          />
          <span style={{ fontWeight: 400, color: 'var(--quiet)' }}>Enter adds it</span>
        </li>
      </Rows>
    </section>
  );
}
