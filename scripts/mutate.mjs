/** npm run mutate [-- floor...]: small faults put into core/ one at a time; the table of docs/mutation.md is printed at the end. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

const FLOORS = ['base', 'catalog', 'site', 'build', 'make', 'judge', 'garden', 'root', 'show'];
const asked = process.argv.slice(2);
const unknown = asked.filter((f) => !FLOORS.includes(f));
if (unknown.length > 0) {
  process.stderr.write(`No floor ${unknown.join(', ')}: there are ${FLOORS.join(', ')}.\n`);
  process.exit(2);
}
const stryker = join(ROOT, 'node_modules', '.bin', 'stryker');
for (const floor of asked.length > 0 ? asked : FLOORS)
  spawnSync(stryker, ['run', 'stryker.config.mjs'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, MUTATE_FLOOR: floor },
  });

process.stdout.write('\n| floor | faults | seen | of those run |\n|---|---|---|---|\n');
for (const floor of FLOORS) {
  const file = join(ROOT, '.reports', `mutation-${floor}.json`);
  if (!existsSync(file)) continue;
  const states = Object.values(JSON.parse(readFileSync(file, 'utf8')).files).flatMap((f) =>
    f.mutants.map((m) => m.status),
  );
  const count = (...which) => states.filter((s) => which.includes(s)).length;
  const seen = count('Killed', 'Timeout');
  const run = seen + count('Survived', 'NoCoverage');
  process.stdout.write(
    `| ${floor} | ${run} | ${seen} | ${run === 0 ? '-' : `${((100 * seen) / run).toFixed(1)} %`} |\n`,
  );
}
