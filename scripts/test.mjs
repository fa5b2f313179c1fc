/** npm test: everything, from a fresh clone. Counts come from the runners' own reports. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuild, ensureModules } from './setup.mjs';

ensureModules();
// Chromium is not wanted before the browser tests: where it is missing, it comes meanwhile.
const chromium = new Promise((done) => {
  const install = "import { ensureChromium } from './scripts/setup.mjs'; ensureChromium();";
  spawn(process.execPath, ['--input-type=module', '-e', install], { cwd: ROOT, stdio: 'inherit' }).on('close', done);
});
const reports = join(ROOT, '.reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports);

let passed = 0;
let failed = 0;
const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

function step(title, command, args, env = {}) {
  process.stdout.write(`\n== ${title}\n`);
  return spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
}

/** Steps that are each one check, at the same time: one of them keeps no more than one core busy. What they say comes in their order. */
async function checks(...all) {
  const runs = all.map(([title, command, args]) => {
    const run = spawn(command, args, { cwd: ROOT });
    const said = [];
    run.stdout.on('data', (part) => said.push(part));
    run.stderr.on('data', (part) => said.push(part));
    return new Promise((done) => {
      run.on('error', (why) => done({ title, said: [String(why)], good: false }));
      run.on('close', (code) => done({ title, said, good: code === 0 }));
    });
  });
  for (const run of runs) {
    const { title, said, good } = await run;
    process.stdout.write(`\n== ${title}: ${good ? 'good' : 'failed'}\n${said.map(String).join('')}`);
    if (good) passed++;
    else failed++;
  }
}

function report(file, read) {
  try {
    const [good, bad] = read(JSON.parse(readFileSync(join(reports, file), 'utf8')));
    passed += good;
    failed += bad;
    return good + bad > 0;
  } catch {
    return false;
  }
}

await checks(
  ['lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
  ['types', bin('tsc'), ['--noEmit']],
);

const unitGood = step('unit tests', bin('jest'), ['--json', `--outputFile=${join(reports, 'unit.json')}`]);
if (
  !report('unit.json', (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites]) ||
  (!unitGood && failed === 0)
)
  failed++;

ensureBuild();
if ((await chromium) !== 0) process.exit(1);
const browserGood = step('browser tests', bin('playwright'), ['test'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'browser.json'),
});
if (
  !report('browser.json', (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected]) ||
  (!browserGood && failed === 0)
)
  failed++;

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
