/** What a fresh clone needs before anything runs: dependencies, a built app, a browser. Node's own modules only. */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
export const CHROMIUM = '/usr/bin/chromium';

/** Says one clear line and stops. */
export function giveUp(message) {
  process.stderr.write(`cabanon: ${message}\n`);
  process.exit(1);
}

function say(message) {
  process.stderr.write(`cabanon: ${message}\n`);
}

function run(command, args, hint) {
  try {
    execFileSync(command, args, { cwd: ROOT, stdio: ['ignore', 2, 2] });
  } catch {
    giveUp(hint);
  }
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) hash.update(path).update(readFileSync(join(ROOT, path)));
  return hash.digest('hex');
}

function filesUnder(folder) {
  return readdirSync(join(ROOT, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name).slice(ROOT.length + 1))
    .sort();
}

/** Installs dependencies when the lock file is newer than what is installed. */
export function ensureModules() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) giveUp(`needs Node 20.19 or later; this is ${process.versions.node}`);
  const stamp = join(ROOT, 'node_modules', '.cabanon-lock');
  const wanted = hashOf(['package-lock.json']);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('installing dependencies (npm ci) ...');
  run('npm', ['ci', '--no-audit', '--no-fund'], 'npm ci failed: is the npm registry reachable?');
  writeFileSync(stamp, wanted);
}

/** Builds the app when a source file has changed since the last build. */
export function ensureBuild() {
  const stamp = join(ROOT, 'dist', '.built');
  const sources = ['package-lock.json', 'vite.config.ts', ...filesUnder('core'), ...filesUnder('web')].filter(
    (p) => !/\.test\.tsx?$/.test(p),
  );
  const wanted = hashOf(sources);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('building the app ...');
  run(
    process.execPath,
    [join(ROOT, 'node_modules', 'vite', 'bin', 'vite.js'), 'build', '--logLevel', 'error'],
    'the build failed; the lines above say where',
  );
  writeFileSync(stamp, wanted);
}

/** Installs Debian's Chromium when it is missing. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  say('installing Chromium from Debian (apt-get) ...');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => [...sudo, 'apt-get', ...args];
  for (const [command, ...args] of [
    apt('update', '-qq'),
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium'),
  ])
    run(command, args, 'Chromium could not be installed with apt-get: it needs root or sudo and Debian packages');
}
