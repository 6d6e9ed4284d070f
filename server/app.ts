import compression from 'compression';
import express, { type Express } from 'express';
import staticWithCompressed from 'express-static-gzip';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { climateRoutes, type ClimateOptions } from './climate';
import { ownNamesOnly, ownPagesOnly, plainErrors } from './guard';

export interface AppOptions {
  /** Folder of the exported web app. */
  distDir: string;
  /** Tell the app to open the demo studio when it is empty. */
  demo: boolean;
  /** The stand-in for the logger on the studio wall. */
  climate?: ClimateOptions;
  /** The name it is reached by, beside those of this machine. */
  host?: string | null;
}

const YEAR_S = 31_536_000;
/** Metro puts the content hash into these names, so they may be kept for ever. */
const HASHED = /[.-][0-9a-f]{20,}\.\w+$/;
const COMPRESSED = /\.(br|gz)$/;

/**
 * The server as a value, without a port, so that tests can run it. Serves the exported app compressed,
 * with every route falling back to its page, under headers that allow nothing but its own origin.
 */
export function createApp({
  distDir,
  demo,
  climate,
  host = null,
}: AppOptions): Express & { endStreams(): void } {
  const app = express();
  app.disable('x-powered-by');
  app.use(ownNamesOnly(host));
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          // React Native for web and the font loader add style elements; nothing else is inline.
          styleSrc: ["'self'", "'unsafe-inline'"],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // Served over plain HTTP on the loopback address: there is nothing to upgrade to.
      strictTransportSecurity: false,
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  // A stream is sent as it comes; compressing it would hold readings back.
  app.use(
    compression({
      filter: (request, response) =>
        !request.path.endsWith('/stream') && compression.filter(request, response),
    }),
  );
  app.get('/healthz', (_request, response) => {
    response
      .set('Cache-Control', 'no-store')
      .json({ ok: existsSync(path.join(distDir, 'index.html')) });
  });
  app.get('/api/studio', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ demo });
  });
  const { router, endStreams } = climateRoutes(climate);
  app.use('/api', ownPagesOnly);
  app.use('/api/climate', router);
  // Browsers ask for this name whatever the page says.
  app.get('/favicon.ico', (_request, response) => response.redirect(301, '/favicon.svg'));
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'There is nothing at this address.' });
  });
  // The build has compressed every file as small as it goes; what a browser cannot read is sent as it is.
  const files = staticWithCompressed(distDir, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: {
      setHeaders: (response, file) => {
        response.setHeader(
          'Cache-Control',
          HASHED.test(file.replace(COMPRESSED, ''))
            ? `public, max-age=${YEAR_S}, immutable`
            : 'no-cache',
        );
      },
    },
  });
  app.use(files);
  app.use((request, response, next) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') return next();
    // A missing script or font is an error, not a page.
    if (path.extname(request.path) !== '') {
      response.status(404).type('text/plain').send('Not found.');
      return;
    }
    // Every other address is a screen of the one page.
    request.url = '/index.html';
    files(request, response, next);
  });
  app.use(plainErrors);
  return Object.assign(app, { endStreams });
}
