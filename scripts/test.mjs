/** npm test: everything, from a fresh clone. Counts come from the runners' own reports. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, ensureBuild, ensureChromium, ensureModules } from './setup.mjs';

ensureModules();
ensureChromium();
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

/** A step that is itself one check. */
function check(title, command, args) {
  if (step(title, command, args)) passed++;
  else failed++;
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

check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
check('types', bin('tsc'), ['--noEmit']);

const unitGood = step('unit tests', bin('jest'), ['--json', `--outputFile=${join(reports, 'unit.json')}`]);
if (
  !report('unit.json', (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites]) ||
  (!unitGood && failed === 0)
)
  failed++;

ensureBuild();
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
