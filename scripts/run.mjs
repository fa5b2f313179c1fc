/** Runs a TypeScript file of this repository, installing dependencies first when they are missing. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, ensureBuild, ensureModules } from './setup.mjs';

const [script, ...args] = process.argv.slice(2);
ensureModules();
if (script.startsWith('server/') || /bench|hurt/.test(script) || script.includes('screenshots')) ensureBuild();
const tsx = import.meta.resolve('tsx');
const child = spawnSync(process.execPath, ['--import', tsx, join(ROOT, script), ...args], {
  stdio: 'inherit',
  cwd: process.env.INIT_CWD ?? process.cwd(),
});
process.exit(child.status ?? 1);
