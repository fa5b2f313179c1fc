/** The whole way: a garden and one of its covers in; drawing, checks, cuts, sheets, prices and hours out. */
import type { Assembly, HardwareUse } from './assembly/types';
import { survey } from './bed/survey';
import { rollPrice, sheetPrice } from './catalog/prices';
import { coverMaterial } from './catalog/covers';
import { putInForce } from './catalog/own';
import { massKg, section } from './catalog/sections';
import { type NoonAir, noonAir } from './climate/noon';
import { panelAreaM2 } from './assembly/pieces';
import { stiffSheet } from './catalog/sheets';
import { type RollPlan, planRolls, seamHardware, sheetSize } from './cover/rolls';
import { type SectionCuts, type SectionJob, labelCuts, sectionJobs } from './cutting/bars';
import { readBarJob } from './cutting/job';
import { type SheetCuts, planSheets } from './cutting/panels';
import type { CutDone } from './cutting/tickOff';
import type { IntegerSolver } from './cutting/programme';
import { type CutPlan, quickPlan } from './cutting/quick';
import { solveBars } from './cutting/solve';
import { type ShoppingList, shoppingList } from './buying/shopping';
import { type Answers, familyOf } from './families';
import type { BuildSite } from './bed/buildSite';
import { type Figure, type Phrase, amount } from './figure';
import type { Cover, Garden } from './files/garden';
import { buildHours } from './guide/hours';
import { withSeams } from './guide/seamSteps';
import type { Check } from './proof/check';
import { checkAssembly } from './proof/checks';
import { type DesignSnow, designSnow } from './proof/snow';
import type { SnowStrength } from './proof/strength';
import { type Result, fail, failAll, ok } from './result';
import { crop } from './season/crops';

/** Gusts above this want a second latch, m/s (about 60 mph). */
const WINDY_M_PER_S = 27;
const LIGHT_AIR_M_PER_S = 1;

/** What a design is, before anything is cut: quick enough to follow every keystroke. */
export interface Outline {
  readonly garden: Garden;
  readonly cover: Cover;
  readonly site: BuildSite;
  readonly assembly: Assembly;
  readonly rolls: RollPlan;
  readonly sheets: SheetCuts;
  readonly done: readonly CutDone[];
  readonly also: readonly HardwareUse[];
  readonly snow: DesignSnow;
  readonly checks: readonly Check[];
  readonly strengths: readonly SnowStrength[];
  readonly air: NoonAir;
  readonly hours: Figure;
  readonly coldest: Figure;
  /** Weight at the hand of everything that is lifted, carried or rolled. */
  readonly lifts: readonly Figure[];
}

/** A mend that works: the changed answers, what it costs and which checks it leaves unwell. */
export interface Mend {
  readonly checkId: string;
  readonly label: Phrase;
  readonly cost: number;
  readonly answers: Answers;
}

/** What cutting and buying need to know of one cover, or of several together. */
export interface ToCut {
  readonly garden: Garden;
  readonly assembly: Pick<Assembly, 'members' | 'sheets' | 'panels' | 'hardware'>;
  readonly rolls: RollPlan;
  readonly sheets: SheetCuts;
  /** Pieces sawn already. */
  readonly done: readonly CutDone[];
  /** Things to buy that no part asks for: seams in sheets, and what the gardener adds. */
  readonly also: readonly HardwareUse[];
}

/** That, cut and bought. */
export interface Work extends ToCut {
  readonly cuts: readonly SectionCuts[];
  readonly shopping: ShoppingList;
}

/** The outline with its cuts, prices and mends. */
export interface Plan extends Outline {
  readonly cuts: readonly SectionCuts[];
  readonly shopping: ShoppingList;
  readonly mends: readonly Mend[];
}

/** The bed a cover stands on and what the place asks of it; the garden's own catalogue is in force from here on. */
export function buildSite(garden: Garden, bedId: string): BuildSite | undefined {
  putInForce(garden.catalog);
  const bed = garden.beds.find((b) => b.id === bedId);
  return (
    bed && {
      bed,
      survey: survey(bed),
      windy: garden.site.gustMPerS > WINDY_M_PER_S,
      market: garden.units.stock,
    }
  );
}

/** Works out one cover as far as the drawing, checks and figures. */
export function outline(garden: Garden, cover: Cover): Result<Outline> {
  const site = buildSite(garden, cover.bedId);
  if (!site) return fail('bedId', `There is no bed "${cover.bedId}".`);
  const built = familyOf(cover.family).assemble(cover.answers, site);
  if (!built.ok) return built;
  const { prices, shelfFlat } = garden;
  const rolls = planRolls(built.value.sheets, (roll) => rollPrice(prices, roll), shelfFlat, cover.cutFlat);
  const assembly = { ...built.value, steps: withSeams(built.value.steps, rolls.seams) };
  const snow = designSnow(garden.site.snow, garden.site.exposure);
  const sheets = planSheets(assembly.panels, (size) => sheetPrice(prices, size), shelfFlat, cover.cutFlat);
  const air = noonAir(assembly.enclosure, { ...garden.site, ...garden.site.noon, windMPerS: LIGHT_AIR_M_PER_S });
  const lifts = assembly.moving.map((part) => liftFigure(assembly, part));
  const { checks, strengths } = checkAssembly(assembly, {
    rolls,
    sheets,
    snow,
    air,
    lifts,
    site,
    gustMPerS: garden.site.gustMPerS,
    exposure: garden.site.exposure,
    outsideC: garden.site.noon.outsideC,
  });
  return ok({
    garden,
    cover,
    site,
    assembly,
    rolls,
    sheets,
    done: cover.cut,
    also: [
      ...seamHardware(rolls.seams),
      ...cover.also.filter((a) => a.count > 0).map((a) => ({ ...a, joint: 'Added by you' })),
    ],
    snow,
    checks,
    strengths,
    air,
    hours: buildHours(assembly),
    coldest: coldestNight(assembly),
    lifts,
  });
}

/** Cutting while it is worked out: how far it is, how many pieces the next section has, and the best plan so far. */
export interface CutProgress {
  readonly solved: number;
  readonly sections: number;
  readonly nextPieces: number;
  readonly best: () => Pick<Plan, 'cuts' | 'shopping'> | undefined;
}

/**
 * The cuts, proven best where that can be, and what to buy for them.
 * @param onCut hears before every section how far it is
 */
export function cutAndShop(
  o: ToCut,
  solver: IntegerSolver,
  onCut: (progress: CutProgress) => void = () => undefined,
): Result<Pick<Plan, 'cuts' | 'shopping'>> {
  putInForce(o.garden.catalog);
  const jobs = cuttingJobs(o);
  if (!jobs.ok) return jobs;
  const plans: CutPlan[] = [];
  for (const { job } of jobs.value) {
    onCut({
      solved: plans.length,
      sections: jobs.value.length,
      nextPieces: job.pieces.reduce((sum, p) => sum + p.quantity, 0),
      best: () => {
        const cuts = filledUp(jobs.value, plans);
        return cuts && { cuts, shopping: shop(o, cuts) };
      },
    });
    const solved = solveBars(job, solver);
    if (!solved.ok) return solved;
    plans.push(solved.value);
  }
  const cuts = named(jobs.value, plans);
  return ok({ cuts, shopping: shop(o, cuts) });
}

/** The whole way for one cover. */
export function plan(garden: Garden, cover: Cover, solver: IntegerSolver): Result<Plan> {
  const outlined = outline(garden, cover);
  if (!outlined.ok) return outlined;
  const cut = cutAndShop(outlined.value, solver);
  return cut.ok ? ok({ ...outlined.value, ...cut.value, mends: findMends(outlined.value) }) : cut;
}

/** The cutting jobs of a cover, one a section; a piece longer than every bar is a fault. */
function cuttingJobs(o: ToCut): Result<readonly SectionJob[]> {
  const jobs = sectionJobs(o.assembly, o.garden.prices, o.garden.shelf, o.done);
  for (const { sectionKey, job } of jobs) {
    const { name } = section(sectionKey);
    const sound = readBarJob(job);
    if (!sound.ok) return failAll(sound.faults.map((f) => ({ field: name, message: `${name}: ${f.message} mm` })));
  }
  return ok(jobs);
}

/** Solved jobs as bars with tags and marks; boards and pipes are numbered through. */
function named(jobs: readonly SectionJob[], plans: readonly CutPlan[]): readonly SectionCuts[] {
  const numbers = { board: 1, tube: 1 };
  return jobs.flatMap((job, i) => {
    const solved = plans[i];
    if (!solved) return [];
    const { kind } = section(job.sectionKey).shape;
    const labelled = labelCuts(job, solved, numbers[kind]);
    numbers[kind] += labelled.bars.length;
    return [labelled];
  });
}

/** The plan by the quick rule for every job that is not solved yet; undefined where it finds none. */
function filledUp(jobs: readonly SectionJob[], solved: readonly CutPlan[]): readonly SectionCuts[] | undefined {
  const rest = jobs.slice(solved.length).map(({ job }) => quickPlan(job));
  const plans = [...solved, ...rest.filter((p) => p !== undefined)];
  return plans.length === jobs.length ? named(jobs, plans) : undefined;
}

function shop(o: ToCut, cuts: readonly SectionCuts[]): ShoppingList {
  const hardware = [...o.assembly.hardware, ...o.also];
  return shoppingList(hardware, cuts, o.rolls, o.sheets, o.garden.prices, o.garden.owned, o.garden.units.currency);
}

/** Price by the quick cutting rule: for comparing changes, where a dollar either way does not matter. */
export function quickPrice(o: Outline): number {
  return quickShop(o)?.paid ?? NaN;
}

/** What to buy by the quick cutting rule; undefined where it cannot be cut. */
export function quickShop(o: Outline): ShoppingList | undefined {
  const jobs = cuttingJobs(o);
  const cuts = jobs.ok ? filledUp(jobs.value, []) : undefined;
  return cuts && shop(o, cuts);
}

const MENDS_PER_CHECK = 3;

/** For every check that fails or is tight, the changes that make it hold or at least no longer fail, cheapest first. */
export function findMends(o: Outline): readonly Mend[] {
  const family = familyOf(o.cover.family);
  const now = quickPrice(o);
  return o.checks
    .filter((check) => check.verdict !== 'holds')
    .flatMap((check) => {
      const working: Mend[] = [];
      const kinds = new Set<string>();
      for (const { label, change } of check.tries) {
        // Tries of one kind run from small to large: the first that works is the least that does.
        const kind = change.kind === 'answer' ? `answer ${change.id}` : change.kind;
        if (kinds.has(kind)) continue;
        const answers = family.change(o.cover.answers, change, o.assembly);
        if (!answers) continue;
        const changed = outline(o.garden, { ...o.cover, answers } as Cover);
        if (!changed.ok) continue;
        const after = changed.value.checks.find((c) => c.id === check.id);
        const newFailure = changed.value.checks.some(
          (c) => c.verdict === 'fails' && !o.checks.some((old) => old.id === c.id && old.verdict === 'fails'),
        );
        const better =
          after === undefined || (check.verdict === 'fails' ? after.verdict !== 'fails' : after.verdict === 'holds');
        if (!better || newFailure) continue;
        kinds.add(kind);
        working.push({ checkId: check.id, label, cost: quickPrice(changed.value) - now, answers });
      }
      return working.sort((a, b) => a.cost - b.cost).slice(0, MENDS_PER_CHECK);
    });
}

function coldestNight(assembly: Assembly): Figure {
  const c = crop(assembly.crop.cropKey);
  const cover = coverMaterial(assembly.enclosure.coverKey);
  const { innerKey } = assembly.enclosure;
  const inner = innerKey === undefined ? undefined : coverMaterial(innerKey);
  return {
    label: `${c.name.charAt(0).toUpperCase()}${c.name.slice(1)} lives down to`,
    value: c.killingC - cover.frostHelpC - (inner?.frostHelpC ?? 0),
    quantity: 'temperature',
    formula: 'coldest night = killing temperature − help of the cover',
    terms: [
      { name: `${c.name} dies at`, ...amount(c.killingC, 'temperature') },
      { name: `${cover.name} helps by`, ...amount(cover.frostHelpC, 'warming') },
      ...(inner ? [{ name: `${inner.name} inside it by`, ...amount(inner.frostHelpC, 'warming') }] : []),
    ],
    source: 'Trade figures for crops and covers; later your own readings replace them.',
    assumes: [
      'Hardened, well-rooted plants; a shut cover; one night, not a week of frost.',
      'A planning aid, not a promise.',
    ],
  };
}

/** Half the weight of a hinged lid is lifted at its handle; what is carried or rolled is lifted whole. */
function liftFigure(assembly: Assembly, part: Assembly['moving'][number]): Figure {
  const members = assembly.members.filter((m) => part.memberTags.includes(m.tag));
  const wood = members.reduce((sum, m) => sum + massKg(section(m.sectionKey), m.lengthMm), 0);
  const sheet =
    assembly.sheets
      .filter((s) => part.sheetTags.includes(s.tag))
      .reduce(
        (sum, s) => sum + ((sheetSize(s).acrossMm * sheetSize(s).alongMm) / 1e6) * coverMaterial(s.coverKey).kgPerM2,
        0,
      ) +
    assembly.panels
      .filter((p) => part.panelTags.includes(p.tag))
      .reduce((sum, p) => sum + panelAreaM2(p) * stiffSheet(p.sheetKey).kgPerM2, 0);
  const whole = wood + sheet + part.extraKg;
  const hinged = part.motion === 'hinged';
  return {
    label: hinged ? `${part.name}: lift at the handle` : `${part.name}: weight ${part.motion}`,
    value: hinged ? whole / 2 : whole,
    quantity: 'mass',
    formula: hinged ? 'lift = weight of the lid / 2' : 'weight = members + sheets + hardware',
    terms: [
      { name: 'boards and pipes', ...amount(wood, 'mass') },
      { name: 'sheets', ...amount(sheet, 'mass') },
      ...(part.extraKg > 0 ? [{ name: 'hardware that moves with it', ...amount(part.extraKg, 'mass') }] : []),
    ],
    source: 'Sections and lengths of the parts; densities from the catalogue.',
    assumes: ['Dry wood, no snow on it. Screws and hinges are left out.'],
  };
}
