import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const NONCE = '__CSP_NONCE__';

/** Serves the built app from a folder: compressed, cached by content hash, under a content policy with a nonce for each page. */
export function createApp(dist: string): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  app.use((_request, response, next) => {
    response.locals['nonce'] = randomBytes(16).toString('base64');
    next();
  });
  app.use((request, response, next) => {
    const nonce = `'nonce-${String(response.locals['nonce'])}'`;
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          // The integer-programme solver is WebAssembly.
          scriptSrc: ["'self'", "'wasm-unsafe-eval'", nonce],
          styleSrc: ["'self'", nonce],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'none'"],
          frameAncestors: ["'none'"],
        },
      },
      // The demo is plain http on the gardener's own machine.
      strictTransportSecurity: false,
    })(request, response, next);
  });
  app.get('/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ ok: true });
  });
  app.use('/assets', express.static(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  // Asked for anew each time, so that a new version is seen on the next visit.
  app.get('/sw.js', (_request, response) =>
    response.sendFile(join(dist, 'sw.js'), { cacheControl: false, headers: { 'Cache-Control': 'no-cache' } }),
  );
  app.use(express.static(dist, { index: false, maxAge: '1h' }));
  app.get('/{*path}', (_request, response) => {
    response
      .set('Cache-Control', 'no-cache')
      .type('html')
      .send(page.replaceAll(NONCE, String(response.locals['nonce'])));
  });
  app.use(
    (error: { status?: number }, _request: express.Request, response: express.Response, next: express.NextFunction) => {
      if (response.headersSent) next(error);
      else
        response
          .status(error.status ?? 500)
          .json({ error: error.status === 404 ? 'not found' : 'the request could not be answered' });
    },
  );
  return app;
}
