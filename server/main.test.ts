import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';

/** Starts the server as its users do, and gathers what it says. */
function start(...args: string[]): { child: ChildProcess; said: () => string; ended: Promise<number | null> } {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts', ...args], { stdio: 'pipe' });
  let text = '';
  child.stdout?.on('data', (chunk: Buffer) => void (text += chunk.toString()));
  child.stderr?.on('data', (chunk: Buffer) => void (text += chunk.toString()));
  return { child, said: () => text, ended: new Promise((done) => child.once('exit', done)) };
}
async function until(test: () => boolean): Promise<void> {
  for (let i = 0; i < 400 && !test(); i++) await new Promise((wait) => setTimeout(wait, 25));
}

beforeAll(() => {
  // Unit tests may run before the app is built; any page will do here.
  if (existsSync('dist/index.html')) return;
  mkdirSync('dist', { recursive: true });
  writeFileSync('dist/index.html', '<p>not built yet</p>');
});

test('a free port: it says where it is, answers, and stops when asked', async () => {
  const { child, said, ended } = start('--port', '0', '--path', '/demo');
  await until(() => said().includes('http'));
  const address = /http:\/\/localhost:\d+/.exec(said())?.[0];
  expect(said()).toContain('/demo');
  expect((await fetch(`${address}/health`)).status).toBe(200);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
});

test('a taken port is one clear line that says what to do', async () => {
  const holder = createServer().listen(0);
  await new Promise((ready) => holder.once('listening', ready));
  const { port } = holder.address() as AddressInfo;
  const { said, ended } = start('--port', String(port));
  expect(await ended).toBe(1);
  expect(said().trim()).toBe(
    `cabanon: port ${port} is taken: stop what runs there, or set another, for example PORT=${port + 1} npm run demo`,
  );
  holder.close();
});

test.each(['-1', '99999', 'http'])('port %s is refused', async (port) => {
  const { said, ended } = start(`--port=${port}`);
  expect(await ended).toBe(1);
  expect(said()).toContain('must be a whole number from 0 to 65535');
});
