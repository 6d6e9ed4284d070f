import { spawn } from 'node:child_process';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { createApp } from './app';
import { boundServer } from './guard';

const HOUR_MS = 3_600_000;
const FROM = Date.UTC(2026, 0, 5);
const app = createApp({
  distDir: '/nowhere',
  demo: false,
  climate: { seed: 3, everyMs: 20, now: () => FROM },
  host: 'easel.example',
});
const server = app.listen(0, '127.0.0.1');
boundServer(server);
const port = () => (server.address() as AddressInfo).port;
beforeAll(
  () =>
    new Promise((resolve) =>
      server.listening ? resolve(null) : server.once('listening', resolve),
    ),
);
afterAll(() => {
  app.endStreams();
  server.close();
  server.closeAllConnections();
});

interface Answer {
  status: number;
  text: string;
}

/** A request as a browser or an attacker would send it, with any headers. */
const ask = (
  url: string,
  {
    method = 'GET',
    headers = {},
    body = '',
  }: { method?: string; headers?: http.OutgoingHttpHeaders; body?: string } = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const request = http.request(
      { host: '127.0.0.1', port: port(), path: url, method, headers, agent: false },
      (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode!, text }));
        response.on('error', reject);
      },
    );
    request.on('error', reject);
    request.end(body);
  });

const battery = (headers: http.OutgoingHttpHeaders, body = '{"out":false}') =>
  ask('/api/climate/battery', { method: 'PUT', headers, body });

// DNS rebinding: OWASP, "Testing for Host Header Injection"; from memory.
test.each([
  ['127.0.0.1', 200],
  ['localhost:4173', 200],
  ['[::1]:80', 200],
  ['easel.example', 200],
  ['EASEL.example:8080', 200],
  ['evil.example', 421],
  ['127.0.0.1.evil.example', 421],
  ['easel.example@evil.example', 421],
])('under the name "%s" it answers %i', async (host, status) => {
  expect((await ask('/api/studio', { headers: { host } })).status).toBe(status);
});

test('pages of other origins may look, and change nothing', async () => {
  const own = `http://127.0.0.1:${port()}`;
  expect((await battery({ origin: own })).status).toBe(200);
  expect((await battery({})).status).toBe(200);
  for (const headers of [
    { origin: 'http://evil.example' },
    { origin: 'null' },
    { origin: `http://localhost:${port()}` },
    { 'sec-fetch-site': 'cross-site' },
    { 'sec-fetch-site': 'same-site' },
  ]) {
    const refused = await battery(headers, '{"out":true}');
    expect([headers, refused.status]).toEqual([headers, 403]);
  }
  expect((await ask('/api/climate/history?from=x&to=y')).status).toBe(400);
});

test('bodies are small, and what is wrong with them is told without the inside of the program', async () => {
  const large = await battery({}, JSON.stringify({ out: false, more: 'x'.repeat(20_000) }));
  expect(large.status).toBe(413);
  const torn = await battery({}, '{"out":');
  expect(torn.status).toBe(400);
  const shape = await battery({}, '{"out":"yes"}');
  expect(shape.status).toBe(400);
  for (const { text } of [large, torn, shape])
    expect(text).not.toMatch(/\bat \w|node_modules|\.ts|Error/);
});

test('a body that goes on and on is cut off long before it is read', async () => {
  const sent = await new Promise<number>((resolve) => {
    let bytes = 0;
    const chunk = Buffer.alloc(64 * 1024, 'x');
    const request = http.request({
      host: '127.0.0.1',
      port: port(),
      path: '/api/climate/battery',
      method: 'PUT',
      headers: { 'content-length': 600_000_000 },
    });
    const done = () => {
      request.destroy();
      resolve(bytes);
    };
    request.on('response', done);
    request.on('error', done);
    const more = (): void => {
      if (request.destroyed) return;
      bytes += chunk.length;
      if (request.write(chunk)) setImmediate(more);
      else request.once('drain', more);
    };
    more();
  });
  expect(sent).toBeLessThan(50_000_000);
});

test('a long history comes in pieces that leave out and repeat no hour', async () => {
  const to = FROM + 100 * 24 * HOUR_MS;
  const all: string[] = [];
  let from: string | null = new Date(FROM).toISOString();
  let pieces = 0;
  while (from !== null) {
    const query = new URLSearchParams({ from, to: new Date(to).toISOString() });
    const { text } = await ask(`/api/climate/history?${query.toString()}`);
    const answer = JSON.parse(text) as { readings: { at: string }[]; next: string | null };
    expect(answer.readings.length).toBeLessThanOrEqual(31 * 24);
    all.push(...answer.readings.map((r) => r.at));
    from = answer.next;
    pieces += 1;
  }
  expect(pieces).toBe(4);
  expect(new Set(all).size).toBe(all.length);
  expect([...all].sort()).toEqual(all);
  expect(Date.parse(all.at(-1)!)).toBeGreaterThan(to - 12 * HOUR_MS);
});

test('listeners are bounded, and each that goes makes room', async () => {
  const open: http.ClientRequest[] = [];
  const listen = () =>
    new Promise<number>((resolve) => {
      const request = http.get(
        { host: '127.0.0.1', port: port(), path: '/api/climate/stream', agent: false },
        (response) => {
          response.resume();
          resolve(response.statusCode!);
        },
      );
      request.on('error', () => undefined);
      open.push(request);
    });
  const codes: number[] = [];
  for (let i = 0; i < 40; i++) codes.push(await listen());
  expect(codes.filter((c) => c === 200)).toHaveLength(24);
  expect(codes.filter((c) => c === 503)).toHaveLength(16);
  open.forEach((request) => request.destroy());
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(await listen()).toBe(200);
  open.at(-1)!.destroy();
});

test('it ends within a second of being asked, although a page listens', async () => {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
    cwd: path.resolve(__dirname, '..'),
    env: { ...process.env, PORT: '0' },
  });
  const line = await new Promise<string>((resolve) =>
    child.stdout.once('data', (chunk: Buffer) => resolve(chunk.toString())),
  );
  const base = /http:\/\/\S+:\d+/.exec(line)![0];
  const stream = await fetch(`${base}/api/climate/stream`);
  expect(stream.status).toBe(200);
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const timer = setTimeout(() => child.kill('SIGKILL'), 10_000);
  const from = Date.now();
  child.kill('SIGINT');
  // Killed hard after ten seconds it would have no code.
  expect(await ended).toBe(0);
  clearTimeout(timer);
  expect(Date.now() - from).toBeLessThan(10_000);
  await stream.text().catch(() => '');
});
