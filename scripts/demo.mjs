/** npm run demo: from a fresh clone to the demo garden in a browser. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, ensureBuild, ensureModules } from './setup.mjs';

ensureModules();
ensureBuild();
const child = spawn(
  process.execPath,
  ['--import', import.meta.resolve('tsx'), join(ROOT, 'server/main.ts'), '--path', '/demo'],
  { stdio: 'inherit', cwd: ROOT },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
