import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { placesService } from './places';
import { weatherService } from './weather';

const NONCE = '__CSP_NONCE__';

/** The built page, read anew when a build has put another in its place; while one is being built, the last one stands. */
function pageOf(dist: string): () => string {
  const file = join(dist, 'index.html');
  let text = readFileSync(file, 'utf8');
  let read = statSync(file).mtimeMs;
  return () => {
    const now = statSync(file, { throwIfNoEntry: false })?.mtimeMs;
    if (now !== undefined && now !== read) {
      try {
        text = readFileSync(file, 'utf8');
        read = now;
      } catch {
        // It was there a moment ago; asked again with the next request.
      }
    }
    return text;
  };
}

/** Pages asked for by one address in a minute: each is made and compressed for whoever asks. */
const PAGES_A_MINUTE = 600;

/**
 * Serves the built app from a folder: compressed when it was built, cached by content hash, under a content policy with a nonce
 * for each page.
 * @param log hears of every request, without the address it came from
 */
export function createApp(dist: string, log?: Logger): Express {
  const page = pageOf(dist);
  const app = express();
  app.disable('x-powered-by');
  app.use((request, response, next) => {
    const began = performance.now();
    // What follows the question mark is nobody's business.
    const path = request.path;
    response.once('finish', () =>
      // Built files that are there are many, and tell little.
      log?.[path.startsWith('/assets/') && response.statusCode < 400 ? 'debug' : 'info'](
        {
          method: request.method,
          path,
          status: response.statusCode,
          ms: Math.round(performance.now() - began),
        },
        'request',
      ),
    );
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
  const built = (folder: string, serveStatic: object): express.Handler =>
    expressStaticGzip(folder, { index: false, enableBrotli: true, orderPreference: ['br', 'gzip'], serveStatic });
  app.use('/assets', built(join(dist, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  app.use('/api', compression(), placesService(), weatherService());
  app.use('/api', (_request, response) => response.status(404).json({ error: 'not found' }));
  app.use(rateLimit({ windowMs: 60_000, limit: PAGES_A_MINUTE, standardHeaders: true, legacyHeaders: false }));
  app.use(compression());
  // Asked for anew each time, so that a new version is seen on the next visit.
  app.get('/sw.js', (_request, response) =>
    response.sendFile(join(dist, 'sw.js'), { cacheControl: false, headers: { 'Cache-Control': 'no-cache' } }),
  );
  const sendPage: express.Handler = (_request, response) => {
    response
      .set('Cache-Control', 'no-cache')
      .type('html')
      .send(page().replaceAll(NONCE, String(response.locals['nonce'])));
  };
  app.get('/index.html', sendPage);
  app.use(built(dist, { maxAge: '1h' }));
  app.get('/{*path}', sendPage);
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
