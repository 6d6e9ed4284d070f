import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { loggerReading, type LoggerReading } from './logger';

export interface ClimateOptions {
  seed?: number;
  /** How often the live logger speaks, ms. */
  everyMs?: number;
  now?: () => number;
}

const HOUR_MS = 3_600_000;
const SEED = 11;
const EVERY_MS = 10_000;
const MOST_HOURS = 24 * 400;

const time = z.iso.datetime({ error: 'Must be a date and time such as 2026-02-17T10:00:00.000Z.' });
const historyQuery = z
  .object({ from: time, to: time })
  .refine(({ from, to }) => Date.parse(to) >= Date.parse(from), { error: '"to" is before "from".' })
  .refine(({ from, to }) => Date.parse(to) - Date.parse(from) <= MOST_HOURS * HOUR_MS, {
    error: 'At most 400 days at a time.',
  });
const batterySchema = z.object({ out: z.boolean() });

/**
 * A simulated wireless logger: what it has stored, hour by hour, and what it says now, as server-sent events.
 * Its battery can be taken out, so that an app can be shown to stand the loss.
 */
export function climateRoutes({
  seed = SEED,
  everyMs = EVERY_MS,
  now = Date.now,
}: ClimateOptions = {}): Router {
  const router = Router();
  let batteryOut = false;
  const listeners = new Set<Response>();

  router.get('/history', (request: Request, response: Response) => {
    if (batteryOut) {
      response.status(503).json({ error: 'The logger does not answer. Try again later.' });
      return;
    }
    const query = historyQuery.safeParse(request.query);
    if (!query.success) {
      response.status(400).json({ error: query.error.issues[0]!.message });
      return;
    }
    const from = Math.ceil(Date.parse(query.data.from) / HOUR_MS) * HOUR_MS;
    const readings: LoggerReading[] = [];
    for (let ms = from; ms <= Date.parse(query.data.to); ms += HOUR_MS) {
      const reading = loggerReading(seed, ms);
      if (reading) readings.push(reading);
    }
    response.set('Cache-Control', 'no-store').json({ readings });
  });

  router.get('/stream', (request: Request, response: Response) => {
    if (batteryOut) {
      response.status(503).json({ error: 'The logger does not answer. Try again later.' });
      return;
    }
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    });
    const say = () => {
      const reading = loggerReading(seed, now());
      if (reading) response.write(`event: reading\ndata: ${JSON.stringify(reading)}\n\n`);
      // Out of reach: the line stays open and silent.
      else response.write(': out of reach\n\n');
    };
    say();
    const timer = setInterval(say, everyMs);
    listeners.add(response);
    request.on('close', () => {
      clearInterval(timer);
      listeners.delete(response);
    });
  });

  router.put('/battery', (request: Request, response: Response) => {
    let body = '';
    request.on('data', (chunk: Buffer) => (body += chunk.toString()));
    request.on('end', () => {
      const wanted = batterySchema.safeParse(parseJson(body));
      if (!wanted.success) {
        response.status(400).json({ error: 'Send {"out": true} or {"out": false}.' });
        return;
      }
      batteryOut = wanted.data.out;
      if (batteryOut) listeners.forEach((listener) => listener.end());
      response.json({ out: batteryOut });
    });
  });
  return router;
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
