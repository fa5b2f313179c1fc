/**
 * npm run mutate [-- floor or file...] [--sample N] [--seed S] [--near]: small faults put into core/ one at a time, each before every test that
 * comes by it, those that are near to it and quick first. Prints what survived, and the table that docs/mutation.md keeps.
 * With --sample only N places of each part are hurt, drawn at random: a floor in minutes, not hours. With --near only the tests nearest to a
 * fault are asked: what they do not see takes seconds, not minutes, and more may be seen than is said.
 *
 * The faults are Stryker's. Its own runner asks only tests that come by the fault themselves, and not those that look at what their file worked
 * out before them; and it loads every test file for each fault.
 */
import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { basename, dirname, join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { ROOT } from './setup.mjs';

const FLOORS = ['base', 'catalog', 'site', 'cover', 'make', 'judge', 'garden', 'root', 'explore', 'show'];
const { positionals: asked, values } = parseArgs({
  allowPositionals: true,
  options: {
    sample: { type: 'string' },
    near: { type: 'boolean', default: false },
    seed: { type: 'string', default: '1' },
    'at-once': { type: 'string', default: String(availableParallelism()) },
  },
});
const fail = (words) => {
  process.stderr.write(`${words}\n`);
  process.exit(2);
};
const unknown = asked.filter((x) => !FLOORS.includes(x) && !(x.startsWith('core/') && existsSync(join(ROOT, x))));
if (unknown.length > 0) fail(`No floor or file ${unknown.join(', ')}: floors are ${FLOORS.join(', ')}.`);
const whole = (name) => {
  const n = Number(values[name]);
  return Number.isInteger(n) && n > 0 ? n : fail(`--${name} wants a whole number.`);
};
const places = values.sample === undefined ? undefined : whole('sample');
const atOnce = whole('at-once');

const COPY = join(tmpdir(), `cabanon-mutate-${process.pid}`);
const REACHED = join(COPY, '.reports');
/** A place is so many lines; the faults that lie wholly in them are put in. */
const PLACE = 3;
/** A fault that makes tests take so many times as long is seen. */
const SLOWER = 5;
const START_MS = 30_000;
/** So long the nearest test files take that are asked before others, and before the rest (which --near leaves out), ms. */
const FIRST_MS = [5000, 25_000];
/** So long a test counts as a folder farther off. */
const FOLDER_MS = 4000;

/** Files of a part that are no tests, from the root of the program. */
function filesOf(part) {
  if (part.endsWith('.ts')) return [part];
  const dir = part === 'root' ? 'core' : `core/${part}`;
  return readdirSync(join(ROOT, dir), { recursive: part !== 'root' })
    .map((f) => `${dir}/${f}`)
    .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|demo\.ts$/.test(f))
    .sort();
}

/** Numbers from 0 to 1, the same for the same seed: mulberry32. */
function numbers(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** What is hurt of a part: files, and lines of each (all of it where nothing is drawn). */
function drawn(part) {
  const sources = filesOf(part).map((name) => ({ part, name, content: readFileSync(join(ROOT, name), 'utf8') }));
  if (places === undefined) return sources.map((s) => ({ ...s, mutate: true }));
  const lines = sources.flatMap(({ name, content }) =>
    content
      .split('\n')
      .flatMap((line, at) => (/^\s*(\/\/|\/?\*|import|export \{|$|[\])}])/.test(line) ? [] : [{ name, at }])),
  );
  const next = numbers(Number(values.seed));
  const taken = Array.from({ length: Math.min(places, lines.length) }, () => {
    const [line] = lines.splice(Math.floor(next() * lines.length), 1);
    return line;
  });
  return sources.flatMap((s) => {
    const mutate = taken
      .filter(({ name }) => name === s.name)
      .map(({ at }) => ({ start: { line: at, column: 0 }, end: { line: at + PLACE - 1, column: 10_000 } }));
    return mutate.length > 0 ? [{ ...s, mutate }] : [];
  });
}

/** A copy of the program with every fault in it, each asleep until it is named. */
async function hurtCopy(parts) {
  cpSync(ROOT, COPY, {
    recursive: true,
    filter: (from) => !/^(node_modules|dist|test-results|\.git|\.reports)$/.test(relative(ROOT, from)),
  });
  mkdirSync(REACHED, { recursive: true });
  symlinkSync(join(ROOT, 'node_modules'), join(COPY, 'node_modules'));
  const jest = readFileSync(join(COPY, 'jest.config.cjs'), 'utf8');
  writeFileSync(
    join(COPY, 'jest.config.cjs'),
    `${jest}\nObject.assign(module.exports, { testEnvironment: '<rootDir>/scripts/reached.mjs', testTimeout: 600_000 });\n`,
  );
  const sources = parts.flatMap(drawn);
  const quiet = { isDebugEnabled: () => false, debug: () => undefined, info: () => undefined, warn: () => undefined };
  const { files, mutants } = await new Instrumenter(quiet).instrument(sources, {
    // Words are not what a fault is.
    excludedMutations: ['StringLiteral', 'ObjectLiteral'],
    ignorers: [],
    plugins: null,
  });
  for (const { name, content } of files) writeFileSync(join(COPY, name), content);
  return mutants
    .filter((m) => m.status !== 'Ignored')
    .map((m) => {
      const { part, content } = sources.find((s) => s.name === m.fileName);
      return { ...m, part, was: content.split('\n')[m.location.start.line].trim() };
    });
}

/** Tests that are running. */
const running = new Set();

/** Runs tests in the copy: whether they pass. What takes too long does not. @param told whether it is said what fails, as jest says it */
function passes(files, workers, mostMs, env, told = false) {
  return new Promise((resolve) => {
    const jest = join('node_modules', 'jest', 'bin', 'jest.js');
    const only = files.length > 0 ? ['--bail', '--runTestsByPath', ...files] : [];
    const child = spawn(process.execPath, [jest, '--silent', '-w', String(workers), ...only], {
      cwd: COPY,
      stdio: ['ignore', 'ignore', told ? 'inherit' : 'ignore'],
      env: { ...process.env, ...env },
    });
    running.add(child);
    const timer = setTimeout(() => child.kill('SIGKILL'), mostMs);
    child.on('exit', (code) => {
      running.delete(child);
      clearTimeout(timer);
      resolve(code === 0);
    });
  });
}

/** How late a test file is asked about a fault: folders up from the one and down to the other, and how long it takes; its own is the first. */
const lateness = (file, { file: test, tookMs }) =>
  relative(dirname(file), dirname(test)).split('/').filter(Boolean).length +
  (basename(test) === `${basename(file, '.ts')}.test.ts` ? 0 : 0.5 + tookMs / FOLDER_MS);

/** Whether any test sees a fault. */
async function seen(mutant, tests) {
  const name = mutant.fileName;
  let ms = 0;
  const inOrder = [...tests]
    .sort((a, b) => lateness(name, a) - lateness(name, b))
    // The nearest is asked however long it takes.
    .map((t, i) => ({ ...t, untilMs: i === 0 ? 0 : (ms += t.tookMs) }));
  const [first, near] = FIRST_MS;
  const tiers = [
    [0, first],
    [first, near],
    [near, values.near ? near : Infinity],
  ];
  for (const [from, to] of tiers) {
    const some = inOrder.filter((t) => t.untilMs >= from && t.untilMs < to);
    const mostMs = START_MS + SLOWER * some.reduce((sum, t) => sum + t.tookMs, 0);
    const files = some.map((t) => t.file);
    if (some.length > 0 && !(await passes(files, 1, mostMs, { __STRYKER_ACTIVE_MUTANT__: mutant.id }))) return true;
  }
  return false;
}

// However it ends, what runs in the copy goes, and the copy.
process.on('exit', () => {
  for (const child of running) child.kill('SIGKILL');
  rmSync(COPY, { recursive: true, force: true });
});
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => process.exit(130));

const parts = asked.length > 0 ? asked : FLOORS;
const mutants = await hurtCopy(parts);
process.stdout.write(`${mutants.length} faults; which tests come by them ...\n`);
if (!(await passes([], atOnce, 3_600_000, { REACHED }, true))) fail('The tests fail with no fault put in.');
const reached = readdirSync(REACHED)
  .map((f) => JSON.parse(readFileSync(join(REACHED, f), 'utf8')))
  .map((r) => ({ ...r, file: relative(COPY, r.file) }));

const results = [];
// What is stopped says what it has: something of each part.
const waiting = mutants.map((m, i) => ({ m, at: numbers(i + 1)() })).sort((a, b) => a.at - b.at);
async function work() {
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { m } = next;
    const tests = reached.filter((r) => r.reached.includes(m.id));
    const found = await seen(m, tests);
    results.push({ ...m, found });
    const place = `${m.fileName}:${m.location.start.line + 1}`;
    process.stdout.write(
      found
        ? `${results.length}/${mutants.length} seen ${place}\n`
        : `${results.length}/${mutants.length} SURVIVED, ${tests.length} test files: ${place} ${m.mutatorName}\n  - ${m.was}\n  + ${m.replacement}\n`,
    );
  }
}
/** The table of what is done. */
function tell() {
  const rows = parts.map((part) => {
    const own = results.filter((r) => r.part === part);
    const found = own.filter((r) => r.found).length;
    return `| ${part} | ${own.length} | ${found} | ${own.length === 0 ? '-' : `${((100 * found) / own.length).toFixed(0)} %`} |`;
  });
  process.stdout.write(`\n| part | faults put in | seen | |\n|---|---|---|---|\n${rows.join('\n')}\n`);
}
process.on('exit', tell);
await Promise.all(Array.from({ length: atOnce }, work));
