import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from './app';
import { isOutOfReach, loggerReading } from './logger';

const HOUR_MS = 3_600_000;
const FROM = Date.UTC(2026, 0, 5);
let server: Server;
let base = '';
beforeAll(async () => {
  const app = createApp({
    distDir: '/nowhere',
    demo: false,
    climate: { seed: 3, everyMs: 20, now: () => FROM },
  });
  await new Promise<void>((resolve) => {
    server = app.listen(0, '127.0.0.1', () => resolve());
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/climate`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

const history = (from: number, to: number) =>
  fetch(
    `${base}/history?${new URLSearchParams({ from: new Date(from).toISOString(), to: new Date(to).toISOString() })}`,
  );
const battery = (out: unknown) =>
  fetch(`${base}/battery`, { method: 'PUT', body: JSON.stringify({ out }) });

describe('the simulated logger', () => {
  const hours = (days: number, seed = 3, from = FROM) =>
    Array.from({ length: days * 24 }, (_, i) => loggerReading(seed, from + i * HOUR_MS));

  test('is a function of its seed and the time, and drops out now and then', () => {
    expect(hours(3)).toEqual(hours(3));
    expect(hours(3, 4)).not.toEqual(hours(3));
    const year = hours(365);
    const out = year.filter((r) => r === null).length;
    expect(out).toBeGreaterThan(50);
    expect(out).toBeLessThan(500);
    expect(year.filter((r) => r === null).length).toBe(
      Array.from({ length: 365 * 24 }, (_, i) => isOutOfReach(3, FROM + i * HOUR_MS)).filter(
        Boolean,
      ).length,
    );
  });

  test('has seasons, heated days, cooler nights and plausible air', () => {
    const mean = (from: number, hour: number) => {
      const r = hours(20, 3, from)
        .filter((_, i) => i % 24 === hour)
        .flatMap((x) => (x ? [x.temperatureC] : []));
      return r.reduce((s, x) => s + x, 0) / r.length;
    };
    expect(mean(FROM, 12)).toBeGreaterThan(mean(FROM, 3) + 2);
    expect(mean(Date.UTC(2026, 6, 10), 3)).toBeGreaterThan(mean(FROM, 3) + 2);
    for (const r of hours(365)) {
      if (!r) continue;
      expect(r.temperatureC).toBeGreaterThan(10);
      expect(r.temperatureC).toBeLessThan(35);
      expect(r.relativeHumidityPct).toBeGreaterThanOrEqual(15);
      expect(r.relativeHumidityPct).toBeLessThanOrEqual(95);
    }
  });
});

describe('its addresses', () => {
  test('history tells hours; a stretch that is none, or too long, is refused with a reason', async () => {
    const { readings } = (await (await history(FROM, FROM + 24 * HOUR_MS)).json()) as {
      readings: unknown[];
    };
    expect(readings.length).toBeGreaterThan(0);
    const backwards = await history(FROM, FROM - HOUR_MS);
    expect(backwards.status).toBe(400);
    expect(((await backwards.json()) as { error: string }).error).toMatch(/before/);
    expect((await history(FROM, FROM + 500 * 24 * HOUR_MS)).status).toBe(400);
    expect((await fetch(`${base}/history?from=soon&to=later`)).status).toBe(400);
  });

  test('the stream speaks, is not held back by compression, and ends with the battery', async () => {
    const response = await fetch(`${base}/stream`);
    expect(response.headers.get('content-type')).toMatch(/event-stream/);
    expect(response.headers.get('content-encoding')).toBeNull();
    const reader = response.body!.getReader();
    const first = new TextDecoder().decode((await reader.read()).value);
    expect(first).toMatch(/^(event: reading\ndata: \{"at"|: out of reach)/);
    expect(await (await battery(true)).json()).toEqual({ out: true });
    for (;;) if ((await reader.read()).done) break;
    expect((await history(FROM, FROM + HOUR_MS)).status).toBe(503);
    expect((await fetch(`${base}/stream`)).status).toBe(503);
    await battery(false);
    expect((await history(FROM, FROM + HOUR_MS)).status).toBe(200);
    expect((await battery('perhaps')).status).toBe(400);
  });
});
