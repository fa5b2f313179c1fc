/**
 * npm run mutate [-- floor or file...] [--sample N] [--seed S] [--all]: small faults put into core/ one at a time; prints the table that
 * docs/mutation.md keeps. With --sample only N places of each part are hurt, drawn at random: a floor in minutes, not hours. With --all each
 * fault is put before every test of core/ that runs it, not only those near it.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { FLOORS } from '../stryker.config.mjs';
import { ROOT } from './setup.mjs';

const { positionals: asked, values } = parseArgs({
  allowPositionals: true,
  options: {
    sample: { type: 'string' },
    seed: { type: 'string', default: '1' },
    all: { type: 'boolean', default: false },
  },
});
const fail = (words) => {
  process.stderr.write(`${words}\n`);
  process.exit(2);
};
const unknown = asked.filter((x) => !FLOORS.includes(x) && !(x.startsWith('core/') && existsSync(join(ROOT, x))));
if (unknown.length > 0) fail(`No floor or file ${unknown.join(', ')}: floors are ${FLOORS.join(', ')}.`);
const places = values.sample === undefined ? undefined : Number(values.sample);
if (places !== undefined && !(Number.isInteger(places) && places > 0)) fail('--sample wants a whole number of places.');

/** Lines that one place takes: faults that lie wholly in them are put in. */
const PLACE = 3;

/** Places of a part drawn at random: mulberry32, so that the same seed hurts the same places. */
function drawn(part, count) {
  const dir = part === 'root' ? 'core' : `core/${part}`;
  const files = part.endsWith('.ts')
    ? [part]
    : readdirSync(join(ROOT, dir), { recursive: part !== 'root' }).map((f) => `${dir}/${f}`);
  const lines = files
    .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|demo\.ts$/.test(f))
    .sort()
    .flatMap((file) => {
      const text = readFileSync(join(ROOT, file), 'utf8').split('\n');
      return text.flatMap((line, i) =>
        /^\s*(\/\/|\/?\*|import|export \{|$|[\])}])/.test(line) ? [] : [{ file, at: i + 1 }],
      );
    });
  let state = Number(values.seed) >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return Array.from({ length: Math.min(count, lines.length) }, () => {
    const [{ file, at }] = lines.splice(Math.floor(next() * lines.length), 1);
    return `${file}:${at}-${at + PLACE - 1}`;
  });
}

const stryker = join(ROOT, 'node_modules', '.bin', 'stryker');
const rows = (asked.length > 0 ? asked : FLOORS).map((part) => {
  const file = join(ROOT, '.reports', `mutation-${part.replace(/\W+/g, '-')}.json`);
  if (existsSync(file)) writeFileSync(file, '');
  const only = places === undefined ? '' : drawn(part, places).join(',');
  spawnSync(stryker, ['run', 'stryker.config.mjs'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, MUTATE: part, MUTATE_ONLY: only, MUTATE_BEFORE: values.all ? 'all' : 'near' },
  });
  const report = existsSync(file) ? readFileSync(file, 'utf8') : '';
  if (report === '') return `| ${part} | not finished | | |`;
  const states = Object.values(JSON.parse(report).files).flatMap((f) => f.mutants.map((m) => m.status));
  const count = (...which) => states.filter((s) => which.includes(s)).length;
  const seen = count('Killed', 'Timeout');
  const run = seen + count('Survived', 'NoCoverage');
  return `| ${part} | ${run} | ${seen} | ${run === 0 ? '-' : `${((100 * seen) / run).toFixed(0)} %`} |`;
});
process.stdout.write(`\n| part | faults put in | seen | |\n|---|---|---|---|\n${rows.join('\n')}\n`);
