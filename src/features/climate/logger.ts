import { z } from 'zod';
import type { Reading } from '@/core/climate';
import { isPlausibleTime } from '@/core/climate/readings';
import { nowMs } from '@/store/clock';

/** What the logger says, checked. */
const saidSchema = z.object({
  at: z.iso.datetime(),
  temperatureC: z.number().min(-30).max(60),
  relativeHumidityPct: z.number().min(0).max(100),
});
const historySchema = z.object({
  readings: z.array(saidSchema).max(20_000),
  next: z.iso.datetime().nullable(),
});
/** A device that always has more to say is not listened to for ever. */
const MOST_PIECES = 40;

const readingOf = ({
  at,
  temperatureC,
  relativeHumidityPct,
}: z.infer<typeof saidSchema>): Reading => ({
  atMs: Date.parse(at),
  temperatureC,
  relativeHumidityPct,
});

/** What the logger has stored of a stretch of time. Rejects with the reason. */
export async function loggerHistory(fromMs: number, toMs: number): Promise<Reading[]> {
  const readings: Reading[] = [];
  let from: string | null = new Date(fromMs).toISOString();
  for (let piece = 0; from !== null && piece < MOST_PIECES; piece++) {
    const query = new URLSearchParams({ from, to: new Date(toMs).toISOString() });
    const response = await fetch(`/api/climate/history?${query.toString()}`);
    if (!response.ok) throw new Error(`The logger does not answer (${response.status}).`);
    const answer = historySchema.parse(await response.json());
    readings.push(
      ...answer.readings.map(readingOf).filter(({ atMs }) => isPlausibleTime(atMs, nowMs())),
    );
    // Each piece must lead on, or the asking would turn in a circle.
    from = answer.next !== null && answer.next > from ? answer.next : null;
  }
  return readings;
}

export interface LoggerListener {
  onReading(reading: Reading): void;
  onOpen(): void;
  onLost(): void;
}

const AGAIN_MS = 3000;

/** Listen to the logger until the returned function is called; a line that is lost is tried again and again. */
export function listenToLogger({ onReading, onOpen, onLost }: LoggerListener): () => void {
  let stopped = false;
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const connect = () => {
    source = new EventSource('/api/climate/stream');
    source.addEventListener('open', onOpen);
    source.addEventListener('reading', (event) => {
      const said = saidSchema.safeParse(JSON.parse((event as MessageEvent<string>).data));
      if (!said.success) return;
      const reading = readingOf(said.data);
      // A device whose clock has lost its year is not followed there.
      if (isPlausibleTime(reading.atMs, nowMs())) onReading(reading);
    });
    source.addEventListener('error', () => {
      source?.close();
      if (stopped) return;
      onLost();
      timer = setTimeout(connect, AGAIN_MS);
    });
  };
  connect();
  return () => {
    stopped = true;
    if (timer) clearTimeout(timer);
    source?.close();
  };
}
