/** Mutated calendar files: each is read, refused in words, or ended by the clock as the page would end it. */
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { busyOf } from '../src/core/formats/calendar-in';

const FROM_MS = Date.UTC(2026, 10, 1);
const TO_MS = Date.UTC(2027, 1, 1);
/** As in src/workers/files-client.ts. */
const MOST_MS = 15_000;

export const CALENDAR = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//invented//EN',
  ...[
    ['a', 'FREQ=WEEKLY;BYDAY=MO,WE;COUNT=40'],
    ['b', 'FREQ=DAILY;INTERVAL=2;UNTIL=20270201T000000Z'],
    ['c', 'FREQ=MONTHLY;BYDAY=2TU;BYMONTH=1,3,12'],
  ].flatMap(([uid, rule]) => [
    'BEGIN:VEVENT',
    `UID:${uid}`,
    'DTSTART:20261102T090000Z',
    'DTEND:20261102T103000Z',
    `RRULE:${rule}`,
    'EXDATE:20261109T090000Z',
    'SUMMARY:Invented, with a comma',
    'END:VEVENT',
  ]),
  'END:VCALENDAR',
  '',
].join('\r\n');

type Read = 'taken' | 'refused' | { broken: string };

/** Reads one here. Refused means in words: a sentence, not a name of code. */
export function readCalendar(text: string): Read {
  try {
    const busy = busyOf(text, FROM_MS, TO_MS);
    return busy.every((b) => Number.isFinite(b.fromMs) && b.toMs >= b.fromMs)
      ? 'taken'
      : { broken: 'a time that is none, or ends before it begins' };
  } catch (error) {
    return error instanceof RangeError && /[a-z]{3}.*[.)]/.test(error.message)
      ? 'refused'
      : { broken: String(error) };
  }
}

/** The same in a thread that can be ended, since a rule may turn for ever; `file` is the bundle this is in. */
export function calendarThread(file: string) {
  let worker: Worker | null = null;
  const read = (text: string): Promise<Read | 'ended'> =>
    new Promise((resolve) => {
      worker ??= new Worker(file);
      const own = worker;
      const timer = setTimeout(() => {
        worker = null;
        void own.terminate();
        resolve('ended');
      }, MOST_MS);
      own.once('message', (answer: Read) => {
        clearTimeout(timer);
        resolve(answer);
      });
      own.postMessage(text);
    });
  return { read, end: () => void worker?.terminate() };
}

if (!isMainThread && parentPort) {
  const port = parentPort;
  port.on('message', (text: string) => port.postMessage(readCalendar(text)));
}
