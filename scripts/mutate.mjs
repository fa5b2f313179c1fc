/** npm run mutate [-- floor or file...]: small faults put into core/ one at a time; prints the table that docs/mutation.md keeps. */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

const FLOORS = ['base', 'catalog', 'site', 'build', 'make', 'judge', 'garden', 'root', 'show'];
const asked = process.argv.slice(2);
const unknown = asked.filter((x) => !FLOORS.includes(x) && !(x.startsWith('core/') && existsSync(join(ROOT, x))));
if (unknown.length > 0) {
  process.stderr.write(`No floor or file ${unknown.join(', ')}: floors are ${FLOORS.join(', ')}.\n`);
  process.exit(2);
}
const parts = asked.length > 0 ? asked : FLOORS;
const stryker = join(ROOT, 'node_modules', '.bin', 'stryker');
const rows = parts.map((part) => {
  spawnSync(stryker, ['run', 'stryker.config.mjs'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, MUTATE: part },
  });
  const file = join(ROOT, '.reports', `mutation-${part.replace(/\W+/g, '-')}.json`);
  if (!existsSync(file)) return `| ${part} | not finished | | |`;
  const files = Object.values(JSON.parse(readFileSync(file, 'utf8')).files);
  const states = files.flatMap((f) => f.mutants.map((m) => m.status));
  const count = (...which) => states.filter((s) => which.includes(s)).length;
  const seen = count('Killed', 'Timeout');
  const run = seen + count('Survived', 'NoCoverage');
  return `| ${part} | ${run} | ${seen} | ${run === 0 ? '-' : `${((100 * seen) / run).toFixed(0)} %`} |`;
});
process.stdout.write(`\n| part | faults put in | seen | |\n|---|---|---|---|\n${rows.join('\n')}\n`);
