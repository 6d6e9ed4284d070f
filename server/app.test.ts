import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createApp } from './app';

const HASHED = '/_expo/static/js/web/entry-0123456789abcdef0123456789abcdef.js';
const SCRIPT = `console.log(${JSON.stringify('paint '.repeat(500))});`;

/** A small export of the app in a folder of its own, served on a free port. */
async function serve(demo: boolean, built = true) {
  const distDir = mkdtempSync(path.join(tmpdir(), 'tawny-dist-'));
  if (built) {
    writeFileSync(path.join(distDir, 'index.html'), '<!doctype html><title>Tawny Hour</title>');
    mkdirSync(path.join(distDir, path.dirname(HASHED)), { recursive: true });
    writeFileSync(path.join(distDir, HASHED), SCRIPT);
  }
  const server: Server = createApp({ distDir, demo }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    get: (url: string, init?: RequestInit) => fetch(base + url, init),
    close: () => server.close(),
  };
}

let site: Awaited<ReturnType<typeof serve>>;
beforeAll(async () => {
  site = await serve(true);
});
afterAll(() => site.close());

test('every route falls back to the page; a missing file does not', async () => {
  for (const url of ['/', '/paintings/new', '/paintings/abc/def']) {
    const response = await site.get(url);
    expect([response.status, response.headers.get('cache-control')]).toEqual([200, 'no-cache']);
    expect(await response.text()).toContain('Tawny Hour');
  }
  expect((await site.get('/missing.js')).status).toBe(404);
  expect((await site.get('/api/none')).status).toBe(404);
  expect((await site.get('/paintings', { method: 'POST' })).status).toBe(404);
});

// OWASP Secure Headers Project names these headers; from memory.
test('the headers allow nothing but the own origin, and no eval', async () => {
  const { headers } = await site.get('/');
  const policy = headers.get('content-security-policy')!;
  for (const part of [
    "default-src 'self'",
    "script-src 'self'",
    "worker-src 'self'",
    "font-src 'self'",
    "object-src 'none'",
    "frame-ancestors 'none'",
  ]) {
    expect(policy.split(';')).toContain(part);
  }
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).not.toContain('http');
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('referrer-policy')).toBe('no-referrer');
  expect(headers.get('x-powered-by')).toBeNull();
});

test('hashed files are compressed and kept for a year', async () => {
  const response = await site.get(HASHED, { headers: { 'Accept-Encoding': 'br' } });
  expect(response.headers.get('content-encoding')).toBe('br');
  expect(response.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(await response.text()).toBe(SCRIPT);
});

test('it says whether it is well and whether it is the demo', async () => {
  expect(await (await site.get('/healthz')).json()).toEqual({ ok: true });
  expect(await (await site.get('/api/studio')).json()).toEqual({ demo: true });
  const bare = await serve(false, false);
  expect(await (await bare.get('/healthz')).json()).toEqual({ ok: false });
  expect(await (await bare.get('/api/studio')).json()).toEqual({ demo: false });
  bare.close();
});
