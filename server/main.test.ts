import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';
import { networkInterfaces } from 'node:os';

let env = process.env;

/** Starts the server as its users do, and gathers what it says. */
function start(...args: string[]): { child: ChildProcess; said: () => string; ended: Promise<number | null> } {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts', ...args], { stdio: 'pipe', env });
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
  const holder = createServer().listen(0, '127.0.0.1');
  await new Promise((ready) => holder.once('listening', ready));
  const { port } = holder.address() as AddressInfo;
  const { said, ended } = start('--port', String(port));
  expect(await ended).toBe(1);
  expect(said().trim()).toBe(
    `cabanon: port ${port} is taken: stop what runs there, or set another, for example PORT=${port + 1} npm run demo`,
  );
  holder.close();
});

test('only this machine reaches it, unless HOST says otherwise', async () => {
  const { child, said } = start('--port', '0');
  await until(() => said().includes('http'));
  const port = /localhost:(\d+)/.exec(said())?.[1] ?? '';
  const others = Object.values(networkInterfaces()).flatMap((list) => list ?? []);
  const outside = others.find((a) => a.family === 'IPv4' && !a.internal)?.address;
  if (outside) await expect(fetch(`http://${outside}:${port}/health`)).rejects.toThrow();
  expect((await fetch(`http://127.0.0.1:${port}/health`)).status).toBe(200);
  child.kill('SIGTERM');
});

test('an option that is not there, or a port that is empty, is one line', async () => {
  const wrong = start('--prot', '80');
  expect(await wrong.ended).toBe(1);
  expect(wrong.said()).toBe(
    'cabanon: there is no option --prot as it is written; there are --port NUMBER and --path /demo\n',
  );
  env = { ...process.env, PORT: '' };
  const empty = start();
  env = process.env;
  expect(await empty.ended).toBe(1);
  expect(empty.said()).toBe('cabanon: the port must be a whole number from 0 to 65535, not ""\n');
});

test.each(['-1', '99999', 'http', '1e3', ''])('port %s is refused', async (port) => {
  const { said, ended } = start(`--port=${port}`);
  expect(await ended).toBe(1);
  expect(said()).toContain('must be a whole number from 0 to 65535');
});
