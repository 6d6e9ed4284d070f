import { Router, type Request, type Response } from 'express';
import { z } from 'zod';
import { smallBody } from './guard';
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
/** Hours in one answer: what is asked for beyond comes in further pieces, so that none holds up the others. */
const PIECE_HOURS = 24 * 31;
/** More pages than any studio has open at once. */
const MOST_STREAMS = 24;
/** Bytes that a listener may leave unread. */
const MOST_UNREAD = 64 * 1024;

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
}: ClimateOptions = {}): { router: Router; endStreams(): void } {
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
    const to = Date.parse(query.data.to);
    const end = Math.min(to, from + (PIECE_HOURS - 1) * HOUR_MS);
    for (let ms = from; ms <= end; ms += HOUR_MS) {
      const reading = loggerReading(seed, ms);
      if (reading) readings.push(reading);
    }
    response.set('Cache-Control', 'no-store').json({
      readings,
      /** From where to ask for the rest; null where this is all. */
      next: end + HOUR_MS <= to ? new Date(end + HOUR_MS).toISOString() : null,
    });
  });

  router.get('/stream', (request: Request, response: Response) => {
    if (batteryOut) {
      response.status(503).json({ error: 'The logger does not answer. Try again later.' });
      return;
    }
    if (listeners.size >= MOST_STREAMS) {
      response.status(503).json({ error: 'Too many pages listen to the logger. Close some.' });
      return;
    }
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    });
    const say = () => {
      const reading = loggerReading(seed, now());
      // A page that no longer reads what it is sent is let go.
      if (response.writableLength > MOST_UNREAD) return void response.destroy();
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

  router.put('/battery', smallBody, (request: Request, response: Response) => {
    const wanted = batterySchema.safeParse(request.body);
    if (!wanted.success) {
      response.status(400).json({ error: 'Send {"out": true} or {"out": false}.' });
      return;
    }
    batteryOut = wanted.data.out;
    if (batteryOut) endStreams();
    response.json({ out: batteryOut });
  });
  const endStreams = () => listeners.forEach((listener) => listener.end());
  return { router, endStreams };
}
