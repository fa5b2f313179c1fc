import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import pino from 'pino';
import { messageOf } from '../core/base/result';
import { createApp } from './app';

function stop(message: string): never {
  process.stderr.write(`cabanon: ${message}\n`);
  process.exit(1);
}

function options(): { readonly port?: string | undefined; readonly path: string } {
  try {
    return parseArgs({ options: { port: { type: 'string' }, path: { type: 'string', default: '/' } } }).values;
  } catch (error) {
    const [, unknown] = /option '([^']+)'/.exec(messageOf(error)) ?? [];
    return stop(`there is no option ${unknown ?? ''} as it is written; there are --port NUMBER and --path /demo`);
  }
}

const { port: asked, path } = options();
const wanted = asked ?? process.env['PORT'] ?? '4173';
const port = Number(wanted);
if (!/^\d+$/.test(wanted) || port > 65535) stop(`the port must be a whole number from 0 to 65535, not "${wanted}"`);

// Only this machine can reach it unless it is said otherwise.
const host = process.env['HOST'] ?? '127.0.0.1';
if (host === '') stop('HOST must be an address of this machine, such as 0.0.0.0 for all of them, or left out');

const dist = join(dirname(dirname(fileURLToPath(import.meta.url))), 'dist');
if (!existsSync(join(dist, 'index.html'))) stop('the app is not built yet: run npm run build');
const log = pino(
  { level: process.env['LOG_LEVEL'] ?? 'info', base: null, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination(2),
);
const server = createApp(dist, log).listen(port, host, (error?: Error & { code?: string }) => {
  if (error)
    stop(
      error.code === 'EADDRINUSE'
        ? `port ${port} is taken: stop what runs there, or set another, for example PORT=${port + 1} npm run demo`
        : error.code === 'EADDRNOTAVAIL' || error.code === 'ENOTFOUND'
          ? `HOST "${host}" is no address of this machine`
          : error.message,
    );
  const address = server.address();
  const open = typeof address === 'object' && address ? address.port : port;
  process.stdout.write(`Cabanon is at http://localhost:${open}${path}   (Ctrl+C stops it)\n`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  });
