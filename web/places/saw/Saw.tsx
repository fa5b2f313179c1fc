import { amount, phrase } from '../../../core/base/figure';
import { MM_PER_INCH } from '../../../core/base/length';
import type { Market } from '../../../core/catalog/market';
import { cutPieces, setCarry, setHalves, spoilPiece } from '../../../core/commands/saw';
import { JobSays } from '../../parts/JobSays';
import { FlatCuts, SectionBars, rollAsCut, sheetAsCut } from '../../parts/Cuts';
import { section } from '../../../core/catalog/catalog';
import type { ReactNode } from 'react';
import { Navigate, useNavigate } from 'react-router';
import styled from 'styled-components';
import { type SectionBar, type SectionCuts, longestDrawnMm } from '../../../core/make/cutting/bars';
import { type FlatCut, type Owner, outgrown } from '../../../core/make/cutting/tickOff';
import { stopGroups } from '../../../core/make/cutting/stops';
import type { Member } from '../../../core/cover/assembly/types';
import { cutsCsv } from '../../../core/show/csv';
import { entryOf } from '../../../core/catalog/own';
import type { Cover } from '../../../core/garden/garden';
import { fail } from '../../../core/base/result';
import { formatMoney } from '../../../core/base/amount';
import { sayTags } from '../../../core/cover/guide/tags';
import { formatLength, parseLength } from '../../../core/base/length';
import { PlaceHead } from '../../app/PlaceHead';
import { Strip } from '../../app/Strip';
import { useCurrent } from '../../app/current';
import { useCatalog, useRun, useGarden, useUnits } from '../../app/hooks';
import { newId } from '../../app/names';
import { useWay } from '../../app/way';
import { useOutline } from '../../background/useOutline';
import { useWork } from '../../background/usePlan';
import { OffcutPattern } from '../../drawing/Painted';
import { useSize } from '../../drawing/useSize';
import { Button, Choice, Field } from '../../parts/controls';
import { saveFile } from '../../parts/saveFile';
import { LengthField, TypedField } from '../../parts/TypedField';
import { Body, PanelBox } from '../../parts/layout';
import { Rows } from '../../parts/lists';
import { useCutBook } from '../../parts/cutBook';
import { BarsOnHand } from '../../parts/OnHand';

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

/** Cut it: each bar to scale with marks from the tape's end. */
export function Saw(): ReactNode {
  const way = useWay();
  const saveCutBook = useCutBook();
  const { cover, bed } = useCurrent();
  const outlined = useOutline(cover);
  const work = useWork(cover);
  const [ref, size] = useSize<HTMLDivElement>();
  const navigate = useNavigate();
  const units = useUnits();
  const run = useRun();
  if (!cover || !bed) return <Navigate to={way('plot')} replace />;
  if (!outlined?.ok) return <Navigate to={way('bench', cover.id)} replace />;
  const cuts = work.value?.cuts;
  const owner: Owner = (tag) => ({ coverId: cover.id, tag });
  const width = size && size.width - (size.width < 500 ? 20 : 44);
  const cutOff = (sectionKey: string, bar: SectionBar): void =>
    void run((g) => cutPieces(g, `Cut ${bar.label.toLowerCase()}`, { bars: [{ sectionKey, bar }] }, owner, newId));
  const cutOffFlat = (label: string, cut: FlatCut): void =>
    void run((g) => cutPieces(g, `Cut ${label.toLowerCase()}`, { flat: [cut] }, owner, newId));
  const allCut = (): void =>
    void run((g) => {
      const bars = (cuts ?? []).flatMap((cut) => cut.bars.map((bar) => ({ sectionKey: cut.section.key, bar })));
      const { sheets, rolls } = outlined.value;
      const flat = [...sheets.sheets.map(sheetAsCut), ...rolls.rolls.map(rollAsCut)];
      return cutPieces(g, 'Cut everything', { bars, flat }, owner, newId);
    });
  const uncut = cuts ? cuts.length + outlined.value.sheets.sheets.length + outlined.value.rolls.rolls.length : 0;
  const stops = cuts && stopGroups(cuts, units.length);
  return (
    <>
      <PlaceHead title="Cut list" subtitle={`${cover.name} on ${bed.name}`}>
        <Button onPress={() => void navigate(way('together', 'saw'))}>All covers</Button>
        {work.value && (
          <Button
            onPress={() =>
              work.value && saveCutBook({ ...outlined.value, ...work.value }, `${cover.name} on ${bed.name}`)
            }
          >
            Cut book
          </Button>
        )}
        {work.value && (
          <Button
            onPress={() =>
              work.value &&
              saveFile(`${cover.name} cuts.csv`, 'text/csv', cutsCsv({ garden: outlined.value.garden, ...work.value }))
            }
          >
            Save as CSV
          </Button>
        )}
        <Button $strong onPress={() => void navigate(way('paper', cover.id))}>
          Print
        </Button>
      </PlaceHead>
      <Body>
        <Bars ref={ref} aria-busy={work.state === 'pending'} tabIndex={0} role="region" aria-label="Bars to cut">
          <OffcutPattern />
          <JobSays job={work} doing="Working out the cuts" />
          {width !== undefined &&
            cuts?.map((cut) => (
              <SectionBars
                key={cut.section.key}
                cut={cut}
                width={width}
                longestMm={longestDrawnMm(cuts)}
                onCut={cutOff}
              />
            ))}
          {width !== undefined && (
            <FlatCuts sheets={outlined.value.sheets} rolls={outlined.value.rolls} width={width} onCut={cutOffFlat} />
          )}
        </Bars>
        <PanelBox aria-label="How to cut">
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
                  {work.state === 'stopped' ? 'Stopped: the best so far' : 'The best found'}; no plan can cost less than{' '}
                  <b className="measure">
                    {formatMoney(
                      cuts.reduce((sum, c) => sum + c.bound, 0),
                      units.currency,
                    )}
                  </b>
                  {': '}
                  {gapPercent(cuts).toFixed(1)} % less at the most.
                </p>
              )}
            </section>
          )}
          {stops && (
            <section aria-label="Set the stop once">
              <h2>Set the stop once</h2>
              <Rows>
                {stops.map((s) => (
                  <li key={s.section.key + s.tags.join()}>
                    <b>{sayTags(s.tags)}</b>
                    <span>
                      {s.section.name}, {s.section.tool.name}
                      {s.ends !== '' && `; ${s.ends}`}
                    </span>
                    <span className="measure">{formatLength(s.lengthMm, units.length)}</span>
                  </li>
                ))}
              </Rows>
            </section>
          )}
          {uncut > 0 && (
            <section aria-label="Done cutting">
              <Button onPress={allCut}>All of it is cut</Button>
              <p style={{ fontSize: '0.8125rem', color: 'var(--quiet)' }}>
                What is left of every bar, sheet and roll goes on the shelf.
              </p>
            </section>
          )}
          <YourWay />
          <Sawn cover={cover} members={outlined.value.assembly.members} />
          <BarsOnHand brief />
          <p style={{ fontSize: '0.8125rem', color: 'var(--quiet)' }}>
            Marks run from the end where the tape hooks, after the squared end, and count the saw’s own width. Saw dust
            of PVC: outdoors, with a mask, or use a shear cutter. Treated wood: gloves and mask, never burn the scraps.
          </p>
        </PanelBox>
        <Strip cover={cover} outline={outlined.value} work={work} />
      </Body>
    </>
  );
}

/** How this garden buys and halves its bars; every cover follows. */
function YourWay(): ReactNode {
  const { catalog, units } = useGarden();
  const run = useRun();
  return (
    <section aria-label="Your way" data-testid="your-way">
      <h2>Your way</h2>
      <Field>
        <span className="name">Longest you carry</span>
        <span>
          <LengthField
            label="Longest bar or sheet that you carry home; 0 for any"
            valueMm={catalog.carryMm ?? undefined}
            hint="any"
            boxed
            testId="carry"
            onSet={(mm) => run((g) => setCarry(g, mm === 0 ? null : mm))}
          />
        </span>
        <p className="why">What is sold longer is left there, or cut at the shop where nothing shorter is sold.</p>
      </Field>
      <Choice
        label="Equal pieces"
        value={catalog.halves}
        options={halves(units.stock)}
        onChange={(value) => void run((g) => setHalves(g, value === 'middle' ? 'middle' : 'full'))}
      />
    </section>
  );
}
/** How equal pieces may come out of a bar, told with one that this garden's shops sell. */
const halves = (market: Market) => {
  const barMm = market === 'metric' ? 2000 : 96 * MM_PER_INCH;
  return [
    {
      value: 'full',
      label: 'At full length',
      why: phrase`Two ${amount(barMm / 2, 'length')} pieces want more than a bar of ${amount(barMm, 'length')}: the saw takes its width.`,
    },
    {
      value: 'middle',
      label: 'Halved',
      why: ['Two out of one bar, sawn on its middle line: each half a saw’s width shorter.'],
    },
  ];
};

/** How much less than this plan the best one may cost, in percent. */
function gapPercent(cuts: readonly SectionCuts[]): number {
  const cost = cuts.reduce((sum, c) => sum + c.cost, 0);
  const bound = cuts.reduce((sum, c) => sum + c.bound, 0);
  return cost > 0 ? (100 * (cost - bound)) / cost : 0;
}

/** What is sawn already; a piece that came out short is entered, and planned again from what there is. */
function Sawn({ cover, members }: { readonly cover: Cover; readonly members: readonly Member[] }): ReactNode {
  const { length } = useUnits();
  const run = useRun();
  const catalog = useCatalog();
  const old = outgrown(cover.cut, members);
  const lines = [
    ...cover.cut.map((d) => ({
      tag: d.tag,
      lengthMm: d.lengthMm,
      of: section(catalog, d.sectionKey).name,
      old: old.some((x) => x.done === d),
    })),
    ...cover.cutFlat.map((d) => ({
      tag: d.tag,
      lengthMm: d.lengthMm,
      of: entryOf(catalog, d.kind, d.key)?.name ?? d.key,
      old: false,
    })),
  ];
  if (lines.length === 0) return null;
  return (
    <section aria-label="Sawn already" data-testid="sawn">
      <h2>Sawn already</h2>
      <Rows>
        {lines.map((d) => (
          <li key={d.tag}>
            <b>{d.tag}</b>
            <span>
              {d.of}
              {d.old && '; the design has changed, and asks for another'}
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
                return run((g) => spoilPiece(g, cover.id, d.tag, read.value, newId()));
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
