import express, { type ErrorRequestHandler, type RequestHandler } from 'express';
import type { Server } from 'node:http';

/** The most a request may send, bytes: nothing here needs more than a line of JSON. */
const MOST_BODY = 16 * 1024;
const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);
const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** Name without its port; null where the header is none. */
function nameOf(host: string | undefined): string | null {
  const match = /^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(:\d{1,5})?$/i.exec(host ?? '');
  return match ? match[1]!.toLowerCase() : null;
}

/**
 * Answers only under the names of this machine and one that was configured: a page elsewhere that has its own name
 * lead here (DNS rebinding) is none of them.
 */
export const ownNamesOnly =
  (configured: string | null): RequestHandler =>
  (request, response, next) => {
    const name = nameOf(request.headers.host);
    if (name !== null && (LOOPBACK.has(name) || name === configured?.toLowerCase())) return next();
    response.status(421).json({
      error:
        'This server does not answer to that name. Set TAWNY_HOST to the name it is reached by.',
    });
  };

/** What changes something is refused from pages of other origins. */
export const ownPagesOnly: RequestHandler = (request, response, next) => {
  if (!WRITES.has(request.method)) return next();
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const own =
    (origin === undefined || origin === `http://${host}` || origin === `https://${host}`) &&
    (site === undefined || site === 'same-origin' || site === 'none');
  if (own) return next();
  response.status(403).json({ error: 'Only pages of this server may change anything here.' });
};

/**
 * A body that is too long, or does not say how long it is, is refused by its headers and the line is cut: a reader of
 * bodies would otherwise read it to its end first, to throw it away.
 */
const lengthFirst: RequestHandler = (request, response, next) => {
  const length = Number(request.headers['content-length'] ?? NaN);
  const unsaid = request.headers['transfer-encoding'] !== undefined;
  if (!unsaid && !(length > MOST_BODY)) return next();
  response
    .status(unsaid ? 411 : 413)
    .set('Connection', 'close')
    .json({ error: 'That is more than the server reads.' });
  response.once('finish', () => request.socket.destroySoon());
};

/** JSON of a few kilobytes, whatever it calls itself; more is not read. */
export const smallBody: RequestHandler[] = [
  lengthFirst,
  express.json({
    limit: MOST_BODY,
    type: () => true,
    strict: false,
  }),
];

/** Whatever goes wrong is told without what the program looks like inside. */
export const plainErrors: ErrorRequestHandler = (error, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = Number((error as { status?: unknown }).status);
  const known = Number.isInteger(status) && status >= 400 && status < 500;
  response.status(known ? status : 500).json({
    error: known ? 'The server does not understand that.' : 'The server could not do that.',
  });
};

const SECOND_MS = 1000;

/** Slow and many requests are bounded: none holds a place for ever. */
export function boundServer(server: Server): void {
  server.headersTimeout = 10 * SECOND_MS;
  server.requestTimeout = 15 * SECOND_MS;
  server.keepAliveTimeout = 5 * SECOND_MS;
  server.maxConnections = 512;
  server.maxHeadersCount = 60;
}
