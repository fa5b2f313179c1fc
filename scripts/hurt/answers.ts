/** Beds and answers drawn at random from what the schemas let through: assembled, judged, planned, drawn, written. */
import fc from 'fast-check';
import { quickShop } from '../../core/cut';
import { FAMILIES } from '../../core/cover/families';
import type { Family } from '../../core/cover/families/registry';
import { buildSite } from '../../core/garden/buildSite';
import { type Cover, type Garden, checkGarden, emptyGarden, newWork } from '../../core/garden/garden';
import type { IntegerSolver } from '../../core/make/cutting/linearProgram';
import type { Assessment } from '../../core/assessment';
import { assessCover, plan } from '../../core/plan';
import { cutsCsv, shoppingCsv } from '../../core/show/csv';
import { planReport } from '../../core/show/report';
import { viewSvg } from '../../core/show/svg';
import { type Bed, bedSchema, squareBed } from '../../core/site/bed';
import { drawn, near } from '../../core/testing/arbitrary';
import { type Tally, fails, notANumber, tally, thrownFrom, took } from './trial';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

/** Beds as there are in gardens, and any that a file may hold. */
const beds: fc.Arbitrary<Bed> = fc.oneof(
  {
    weight: 3,
    arbitrary: fc
      .record({ l: mm(600, 8000), w: mm(400, 2400), h: mm(0, 900), t: mm(5, 150), soil: mm(0, 300) })
      .map(({ l, w, h, t, soil }) => ({
        ...squareBed('b', 'Bed', l, w, { heightMm: h, thicknessMm: t }, { xMm: 0, yMm: 0 }),
        soilBelowRimMm: soil,
      })),
  },
  { weight: 1, arbitrary: (drawn(bedSchema) as fc.Arbitrary<Bed>).map((bed) => ({ ...bed, id: 'b', name: 'Bed' })) },
);

/** A garden of one cover of a family; what the catalogue has against an answer goes back to the first one. */
function gardens(family: Family): fc.Arbitrary<Garden> {
  return fc
    .tuple(beds, fc.constantFrom('imperial' as const, 'metric' as const), fc.boolean())
    .chain(([bed, stock, wild]) => {
      const empty = emptyGarden('G');
      const garden = { ...empty, beds: [bed], units: { ...empty.units, stock } };
      const site = buildSite(garden, 'b');
      if (!site) throw new Error('the garden has its bed');
      const first = family.defaults(site);
      const answers = wild
        ? (drawn(family.schema) as fc.Arbitrary<Record<string, unknown>>)
        : near(family.schema, first);
      return answers.map((said): Garden => {
        let answers = said;
        for (const { id } of family.against(answers, site.catalog)) answers = { ...answers, [id]: first[id] };
        const cover = { id: 'c', name: 'C', bedId: 'b', family: family.key, answers, ...newWork() };
        return { ...garden, covers: [cover as Cover] };
      });
    });
}

/** Longest that one cover may take, ms. */
const MOST_MS = 2000;
/** With its cuts proven and sets of mends gone through. */
const PROVEN_MOST_MS = 2 * MOST_MS;

function lookOver(t: Tally, o: Assessment, repro: unknown): void {
  const { members, sheets, hardware } = o.assembly;
  for (const m of members) if (!(m.lengthMm > 0)) fails(t, `${o.cover.family}: ${m.part} of ${m.lengthMm} mm`, repro);
  for (const s of sheets)
    for (const line of [...s.across, ...s.along])
      if (!(line.mm >= 0)) fails(t, `${o.cover.family}: ${line.what} of ${Math.round(line.mm)} mm`, repro);
  for (const h of hardware) if (!(h.count > 0)) fails(t, `${o.cover.family}: ${h.count} ${h.itemKey}`, repro);
  const bad = notANumber([o.assembly, o.judged().checks, o.judged().strengths, o.air, o.hours, o.coldest]);
  if (bad !== undefined) fails(t, `${o.cover.family}: no number at ${bad}`, repro);
}

/** Goes one garden's covers through to what is written of them; `solver` proves the cuts, else they are by the quick rule. */
export function goThrough(t: Tally, garden: Garden, solver: IntegerSolver | undefined): void {
  for (const cover of garden.covers) {
    const repro = { bed: garden.beds.find((b) => b.id === cover.bedId), family: cover.family, answers: cover.answers };
    const began = performance.now();
    try {
      const outlined = assessCover(garden, cover);
      if (!outlined.ok) {
        if (outlined.faults.some((f) => f.message.length > 400))
          fails(t, `${cover.family}: a fault too long to read`, repro);
        continue;
      }
      lookOver(t, outlined.value, repro);
      quickShop(outlined.value);
      for (const view of t.tried % 4 === 0 ? (['end', 'side', 'plan'] as const) : [])
        if (/NaN|Infinity/.test(viewSvg(outlined.value, view)))
          fails(t, `${cover.family}: no number in ${view}.svg`, repro);
      if (solver) {
        const planned = plan(garden, cover, solver);
        if (planned.ok) {
          const bad = notANumber(planReport(planned.value));
          if (bad !== undefined) fails(t, `${cover.family}: no number at ${bad}`, repro);
          if (/NaN|Infinity/.test(cutsCsv(planned.value) + shoppingCsv(planned.value)))
            fails(t, `${cover.family}: no number in a CSV`, repro);
        }
      }
      t.through++;
    } catch (error) {
      fails(t, `${cover.family}: ${thrownFrom(error)}`, repro);
    }
    took(t, cover.family, performance.now() - began, solver ? PROVEN_MOST_MS : MOST_MS, repro);
  }
}

/**
 * Tries covers of every family.
 * @param each how many of each family
 * @param proveEvery of so many one has its cuts proven
 */
export function tryAnswers(seed: number, each: number, solver: IntegerSolver, proveEvery = 40): Tally {
  const t = tally('answers of every family');
  const BATCH = 50;
  for (const family of FAMILIES)
    for (let done = 0; done < each; done += BATCH) {
      const batch = fc.sample(gardens(family), {
        seed: seed * 1_000_003 + done,
        numRuns: Math.min(BATCH, each - done),
      });
      for (const garden of batch) {
        t.tried++;
        const checked = checkGarden(garden);
        if (checked.ok) goThrough(t, checked.value, t.tried % proveEvery === 0 ? solver : undefined);
      }
    }
  return t;
}
