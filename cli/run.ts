import type { Feet } from '../core/cover/hoop/types';
import { SHIPPED, sectionsWhere } from '../core/catalog/catalog';
import type { Section } from '../core/catalog/types';
import highsLoader from 'highs';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { MEASURED_AT_C, stiffnessNMm2, tubeShape } from '../core/catalog/sections';
import { highsSolver } from '../core/make/cutting/highs';
import type { IntegerSolver } from '../core/make/cutting/linearProgram';
import { readBarJob } from '../core/make/cutting/job';
import { solveSheetJob } from '../core/make/cutting/sheetJob';
import { solveBars } from '../core/make/cutting/solve';
import { cutBook } from '../core/show/cutBook';
import { cutsCsv, shoppingCsv } from '../core/show/csv';
import { booklet } from '../core/show/booklet';
import { tagSheet } from '../core/show/tagSheet';
import { dxf } from '../core/show/dxf';
import { gltf } from '../core/show/gltf';
import { viewSvg } from '../core/show/svg';
import { type HoopMeasures, solveHoop } from '../core/cover/hoop/elastica';
import { fibreStrainPercent } from '../core/cover/hoop/strain';
import { solveFrame } from '../core/judge/frame/answer';
import { type LoadShape, hoopCollapse } from '../core/judge/frame/hoop';
import { readFrameJob } from '../core/judge/frame/job';
import { curvatureLimitPerMm } from '../core/judge/strength/limits';
import { slopeFactor } from '../core/judge/strength/snow';
import { plan } from '../core/plan';
import { planReport } from '../core/show/report';
import { type Fault, type Result, fail, failAll, messageOf, ok } from '../core/base/result';
import { distinctNames } from '../core/base/ids';
import { parseLength } from '../core/base/length';
import { airCommand, seasonCommand, seasonFile, sunCommand } from './climate';
import { designCommand } from './design';
import { setCommand } from './set';
import { type Options, type Partly, json, readCovers, readText } from './read';

interface CommandAnswer {
  readonly code: 0 | 2;
  readonly out: string;
  readonly err: string;
}

/** The solver; by a clock only where somebody says for how long. */
const loadSolver = async (clock?: () => number): Promise<IntegerSolver> => highsSolver(await highsLoader(), clock);

const USAGE = `cabanon plan FILE [--cover ID] [--out DIR]
cabanon hoop --span LENGTH --length LENGTH [--height LENGTH] [--feet loose|pinned|ANGLE] [--pipe KEY]   (give two of span, length, height)
cabanon cut FILE [--sheets] [--seconds N]
cabanon frame FILE
cabanon collapse --span LENGTH --length LENGTH [--feet loose|pinned|ANGLE] [--load uniform|even|one-sided] [--pipe KEY] [--at C] [--for gust|weeks] [--ridge-spring N/mm]
cabanon sun --lat DEGREES --lon DEGREES [--date DATE] [--winter YEAR]
cabanon air FILE --cover ID --weather FILE
cabanon season FILE [--cover ID] [--from DATE] [--out DIR]
cabanon design BRIEF.json [--seed N]
cabanon set FILE --cover ID (--dimension ID | --answer ID) --to VALUE   (writes the changed garden)
`;

function readFeet(text: string): Result<Feet> {
  // Pinned is the trade's word; loose is what a gardener calls it.
  if (text === 'pinned' || text === 'loose') return ok({ kind: 'pinned' });
  const angleDeg = Number(text);
  return Number.isFinite(angleDeg) && text.trim() !== ''
    ? ok({ kind: 'fixed', angleDeg })
    : fail('--feet', `must be loose or an angle in degrees, not "${text}"`);
}

/** Lengths among the options, mm, by name. */
function lengthsOf(options: Options, names: readonly ('span' | 'length' | 'height')[]): Result<HoopMeasures> {
  const measures: Record<string, number> = {};
  for (const name of names) {
    const text = options[name];
    if (text === undefined) continue;
    const read = parseLength(text, 'in');
    if (!read.ok) return failAll(read.faults.map((f) => ({ field: `--${name}`, message: f.message })));
    measures[`${name}Mm`] = read.value;
  }
  return ok(measures);
}

function pipeOf(key: string): Result<Section> {
  const pipe = SHIPPED.bar.get(key);
  return pipe?.shape.kind === 'tube'
    ? ok(pipe)
    : fail(
        '--pipe',
        `there is no pipe "${key}"; there are ${sectionsWhere(SHIPPED, (s) => s.shape.kind === 'tube')
          .map((s) => s.key)
          .join(', ')}`,
      );
}

function hoopCommand(options: Options): Result<unknown> {
  const measures = lengthsOf(options, ['span', 'length', 'height']);
  if (!measures.ok) return measures;
  const feet = readFeet(options['feet'] ?? 'pinned');
  if (!feet.ok) return feet;
  const read = pipeOf(options['pipe'] ?? 'pvc-1/2');
  if (!read.ok) return read;
  const pipe = read.value;
  const hoop = solveHoop(feet.value, measures.value);
  if (!hoop.ok) return failAll(hoop.faults.map((f) => ({ field: `--${f.field}`, message: f.message })));
  const h = hoop.value;
  const eiNMm2 = stiffnessNMm2(pipe, 'fresh');
  return ok({
    feet: h.feet,
    pipe: pipe.key,
    spanMm: h.spanMm,
    lengthMm: h.lengthMm,
    heightMm: h.heightMm,
    maxWidthMm: h.maxWidthMm,
    footAngleDeg: h.footAngleDeg,
    thrustN: h.thrustOverEIPerMm2 * eiNMm2,
    thrustOverEIPerMm2: h.thrustOverEIPerMm2,
    footMomentNm: (h.footCurvaturePerMm * eiNMm2) / 1000,
    maxCurvaturePerMm: h.maxCurvaturePerMm,
    bendRadiusMm: 1 / h.maxCurvaturePerMm,
    strainPercent: fibreStrainPercent(h.maxCurvaturePerMm, tubeShape(pipe).outsideMm),
  });
}

/** Loads of `collapse`: everywhere alike, or as snow lies by slope (ASCE/SEI 7), on both sides or the right one. */
const LOADS: Readonly<Record<string, LoadShape>> = {
  uniform: () => 1,
  even: slopeFactor,
  'one-sided': (slopeDeg, across) => (across > 0.5 ? slopeFactor(slopeDeg) : 0),
};

function collapseCommand(options: Options): Result<unknown> {
  const measures = lengthsOf(options, ['span', 'length']);
  if (!measures.ok) return measures;
  const feet = readFeet(options['feet'] ?? 'pinned');
  if (!feet.ok) return feet;
  const loadName = options['load'] ?? 'even';
  const load = Object.hasOwn(LOADS, loadName) ? LOADS[loadName] : undefined;
  if (!load) return fail('--load', `must be ${Object.keys(LOADS).join(', ')}, not "${options['load'] ?? ''}"`);
  const pipe = options['pipe'] === undefined ? ok(undefined) : pipeOf(options['pipe']);
  if (!pipe.ok) return pipe;
  const spring = Number(options['ridge-spring'] ?? 0);
  if (!(spring >= 0 && spring <= 1e9)) return fail('--ridge-spring', 'must be N/mm from 0 to 1e9');
  if (spring > 0 && !pipe.value) return fail('--pipe', 'say which: a spring holds a stiff pipe less than a slack one');
  const hoop = solveHoop(feet.value, measures.value);
  if (!hoop.ok) return failAll(hoop.faults.map((f) => ({ field: `--${f.field}`, message: f.message })));
  const { spanMm } = hoop.value;
  const atC = Number(options['at'] ?? MEASURED_AT_C);
  if (!(atC >= -60 && atC <= 100)) return fail('--at', 'must be a temperature of the pipe in C, from -60 to 100');
  const lasts = options['for'] ?? 'gust';
  if (lasts !== 'gust' && lasts !== 'weeks') return fail('--for', `must be gust or weeks, not "${lasts}"`);
  const ei = pipe.value && stiffnessNMm2(pipe.value, lasts === 'weeks' ? 'weeks' : 'fresh', 'thickness', atC);
  const limit = pipe.value && curvatureLimitPerMm(pipe.value);
  const c = hoopCollapse(hoop.value, true, {
    shape: load,
    ...(ei && { ridge: (spring * spanMm ** 3) / ei }),
    ...(limit && { used: (curvatureTimesSpan: number) => curvatureTimesSpan / spanMm / limit }),
  });
  if (!c) return fail('--length', 'such a hoop does not give way under a load from above that this method can follow');
  return ok({
    wSpan3OverEI: c.load,
    mode: c.mode,
    crownBefore: c.crownBefore * spanMm,
    crownAtCollapse: c.crownAtCollapse * spanMm,
    ...(ei && { wNPerMm: (c.load * ei) / spanMm ** 3 }),
  });
}

async function frameCommand(path: string): Promise<Result<unknown>> {
  const text = await readText(path);
  if (!text.ok) return text;
  const document = json(text.value);
  if (!document.ok) return document;
  const read = readFrameJob(document.value);
  return read.ok ? solveFrame(read.value) : read;
}

async function cutCommand(path: string, options: Options): Promise<Result<unknown>> {
  const seconds = options['seconds'] === undefined ? undefined : Number(options['seconds']);
  if (seconds !== undefined && !(seconds > 0 && seconds <= 3600))
    return fail('--seconds', 'must be seconds, more than 0 and at most 3600');
  const text = await readText(path);
  if (!text.ok) return text;
  const document = json(text.value);
  if (!document.ok) return document;
  const job = readBarJob(document.value);
  if (!job.ok) return job;
  const solver = await loadSolver(seconds === undefined ? undefined : () => performance.now());
  const solved = solveBars(job.value, solver, seconds);
  if (!solved.ok) return solved;
  const { cost, bars, bound, proven } = solved.value;
  return ok({
    cost,
    bars: bars.map(({ stockLength, price, pieces }) => ({ stockLength, price, pieces })),
    bound,
    proven,
    ...(!proven && seconds !== undefined && { stoppedAfterSeconds: seconds }),
  });
}

async function cutSheetsCommand(path: string): Promise<Result<unknown>> {
  const text = await readText(path);
  if (!text.ok) return text;
  const document = json(text.value);
  return document.ok ? solveSheetJob(document.value) : document;
}

/** Every cover that can be built is planned; of each that cannot the fault is told with its cover. */
async function planCommand(
  path: string,
  coverId: string | undefined,
  outDir: string | undefined,
): Promise<Result<Partly>> {
  const read = await readCovers(path, coverId);
  if (!read.ok) return read;
  const { garden, covers } = read.value;
  const solver = await loadSolver();
  const names = new Map(distinctNames(garden.covers.map((c) => c.id)).map((n, i) => [garden.covers[i]?.id, n]));
  const reports: unknown[] = [];
  const faults: Fault[] = [];
  for (const cover of covers) {
    const planned = plan(garden, cover, solver);
    if (!planned.ok) {
      faults.push(...planned.faults.map((f) => ({ field: `${cover.id}.${f.field}`, message: f.message })));
      continue;
    }
    const report = planReport(planned.value);
    reports.push(report);
    if (outDir === undefined) continue;
    await mkdir(outDir, { recursive: true });
    const file = (name: string): string => join(outDir, `${names.get(cover.id) ?? ''}-${name}`);
    await writeFile(file('plan.json'), `${JSON.stringify(report, null, 2)}\n`);
    await writeFile(file('cuts.csv'), cutsCsv(planned.value));
    await writeFile(file('cut-book.pdf'), await cutBook(planned.value, cover.name));
    await writeFile(file('shopping.csv'), shoppingCsv(planned.value));
    for (const view of ['end', 'side', 'plan'] as const)
      await writeFile(file(`${view}.svg`), viewSvg(planned.value, view));
    const paper = garden.units.stock === 'metric' ? 'a4' : 'letter';
    await writeFile(file('booklet.pdf'), await booklet(planned.value, paper));
    await writeFile(file('tags.pdf'), await tagSheet(planned.value, paper));
    await writeFile(file('drawing.dxf'), dxf(planned.value));
    await writeFile(file('round.gltf'), gltf(planned.value));
    await writeFile(file('season.ics'), seasonFile(garden, planned.value, Date.now()));
  }
  return reports.length > 0 ? ok({ value: { garden: garden.name, plans: reports }, faults }) : failAll(faults);
}

/** Faults that are told one by one. */
const MOST_FAULTS = 40;

function faultLines(faults: readonly Fault[]): string {
  const more = faults.length - MOST_FAULTS;
  const lines = faults.slice(0, MOST_FAULTS).map((f) => `${f.field}: ${f.message}\n`);
  return lines.join('') + (more > 0 ? `and ${more} more\n` : '');
}

/** Options of each command; those without a value are true. */
const OPTIONS = {
  plan: { cover: 'string', out: 'string' },
  hoop: { span: 'string', length: 'string', height: 'string', feet: 'string', pipe: 'string' },
  cut: { sheets: 'boolean', seconds: 'string' },
  frame: {},
  collapse: {
    span: 'string',
    length: 'string',
    feet: 'string',
    load: 'string',
    pipe: 'string',
    at: 'string',
    for: 'string',
    'ridge-spring': 'string',
  },
  sun: { lat: 'string', lon: 'string', date: 'string', winter: 'string' },
  air: { cover: 'string', weather: 'string' },
  season: { cover: 'string', from: 'string', out: 'string' },
  design: { seed: 'string' },
  set: { cover: 'string', dimension: 'string', answer: 'string', to: 'string' },
} as const;

/** Commands that read no file. */
const WITHOUT_FILE: Readonly<Partial<Record<keyof typeof OPTIONS, (options: Options) => Result<unknown>>>> = {
  hoop: hoopCommand,
  collapse: collapseCommand,
  sun: sunCommand,
};

const isCommand = (name: string | undefined): name is keyof typeof OPTIONS =>
  name !== undefined && Object.hasOwn(OPTIONS, name);

/** A number below nothing after an option would be taken for an option: the two are written as one. */
const negatives = (args: readonly string[]): string[] =>
  args.flatMap((arg, i) => {
    if (/^-[.\d]/.test(arg) && /^--[a-z-]+$/.test(args[i - 1] ?? '')) return [];
    const next = args[i + 1] ?? '';
    return [/^--[a-z-]+$/.test(arg) && /^-[.\d]/.test(next) ? `${arg}=${next}` : arg];
  });

const whole = (answer: Result<unknown>): Result<Partly> =>
  answer.ok ? ok({ value: answer.value, faults: [] }) : answer;

async function dispatch([command, ...rest]: readonly string[]): Promise<Result<Partly>> {
  if (!isCommand(command))
    return fail(
      'command',
      `must be ${Object.keys(OPTIONS).join(', ')}, not "${(command ?? '').slice(0, 40)}"\n${USAGE.trimEnd()}`,
    );
  const known = Object.entries(OPTIONS[command]);
  let parsed;
  try {
    const options = Object.fromEntries(known.map(([name, type]) => [name, { type }]));
    parsed = parseArgs({ args: negatives(rest), allowPositionals: true, options });
  } catch (error) {
    const [, wrong] = /[Oo]ption '(--?[^' ]+)/.exec(messageOf(error)) ?? [];
    const said = known.some(([name]) => wrong === `--${name}`) ? 'wants a value' : `is no option of ${command}`;
    return fail(
      'options',
      `${wrong ?? 'what is written'} ${said}; there are ${known.map(([n]) => `--${n}`).join(', ')}`,
    );
  }
  const options = parsed.values as Options;
  const [file, ...more] = parsed.positionals;
  try {
    const alone = WITHOUT_FILE[command];
    if (alone) return file === undefined ? whole(alone(options)) : fail('FILE', `${command} reads no file`);
    if (file === undefined) return fail('FILE', `say which file\n${USAGE.trimEnd()}`);
    if (more.length > 0) return fail('FILE', `say one file, not ${more.length + 1}`);
    if (command === 'plan') return await planCommand(file, options['cover'], options['out']);
    if (command === 'air') return await airCommand(file, options);
    if (command === 'season') return await seasonCommand(file, options, Date.now());
    if (command === 'design') return whole(await designCommand(file, options, await loadSolver()));
    if (command === 'set') return await setCommand(file, options);
    if (command === 'frame') return whole(await frameCommand(file));
    return whole(await (parsed.values['sheets'] === true ? cutSheetsCommand(file) : cutCommand(file, options)));
  } catch (error) {
    return fail(command, messageOf(error));
  }
}

/** Runs one command line: JSON to standard output and 0; where there are faults one line for each, and 2. */
export async function runCommand(args: readonly string[]): Promise<CommandAnswer> {
  const answer = await dispatch(args);
  const faults = answer.ok ? answer.value.faults : answer.faults;
  return {
    code: faults.length > 0 ? 2 : 0,
    out: answer.ok ? (answer.value.text ?? `${JSON.stringify(answer.value.value, null, 2)}\n`) : '',
    err: faultLines(faults),
  };
}
