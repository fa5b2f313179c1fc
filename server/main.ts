import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { createApp } from './app';

const { values } = parseArgs({ options: { port: { type: 'string' }, path: { type: 'string', default: '/' } } });
const wanted = values.port ?? process.env['PORT'] ?? '4173';
const port = Number(wanted);

function stop(message: string): never {
  process.stderr.write(`cabanon: ${message}\n`);
  process.exit(1);
}

if (!Number.isInteger(port) || port < 0 || port > 65535)
  stop(`the port must be a whole number from 0 to 65535, not "${wanted}"`);

const dist = join(dirname(dirname(fileURLToPath(import.meta.url))), 'dist');
const server = createApp(dist).listen(port, (error?: Error & { code?: string }) => {
  if (error)
    stop(
      error.code === 'EADDRINUSE'
        ? `port ${port} is taken: stop what runs there, or set another, for example PORT=${port + 1} npm run demo`
        : error.message,
    );
  const address = server.address();
  const open = typeof address === 'object' && address ? address.port : port;
  process.stdout.write(`Cabanon is at http://localhost:${open}${values.path}   (Ctrl+C stops it)\n`);
});

for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  });
