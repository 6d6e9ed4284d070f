/**
 * A studio that has been kept for years: 200 paintings with 20,000 entries, 2,000 sessions and 500 photos. Every fourth
 * painting is still in work; the others have all their coats.
 */
import type { Painting, PaintingEvent } from '../src/core/painting';
import { beginSession, endSession, finishWork, type Session } from '../src/core/session';
import { startPainting } from '../src/core/painting/start';
import { laidEntry } from './laid';

export const PAINTINGS = 200;
export const ENTRIES = 20_000;
export const SESSIONS = 2000;
export const PHOTOS = 500;
const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;
const FINDINGS = ['wet', 'tacky', 'touch-dry', 'nail-hard'] as const;
const PASSAGES = ['sky', 'far hills', 'trees', 'meadow', 'water', 'figures'];
const METHODS = ['oil-under-glaze', 'direct-start', 'alkyd-three-stage'] as const;

const maker = () => {
  let ids = 0;
  return (ms: number) => ({ now: new Date(ms).toISOString(), newId: () => `b${++ids}` });
};

export const inWork = (n: number): boolean => n % 4 === 0;

function painting(n: number, nowMs: number, making: ReturnType<typeof maker>): Painting {
  const age = inWork(n) ? 30 : 60 + 10 * n;
  const base = startPainting(
    {
      title: `Bench ${n}`,
      support: { kind: 'canvas', widthMm: 500, heightMm: 400 },
      ground: { kind: 'acrylic-gesso', coats: 4 },
      method: METHODS[n % METHODS.length]!,
      passages: PASSAGES.map((name) => ({ name, share: 1 / PASSAGES.length })),
    },
    making(nowMs - age * DAY_MS),
  );
  const coats = inWork(n) ? base.coats.slice(0, Math.ceil(base.coats.length / 2)) : base.coats;
  const laid = coats.map((coat, i) =>
    laidEntry(`e${n}-${i}`, coat, nowMs - (age - 8 * i) * DAY_MS),
  );
  // A log is mostly touches; those of old pictures are set aside, those of five teach. Some entries wipe paint back.
  const more = Array.from({ length: ENTRIES / PAINTINGS - laid.length }, (_, i): PaintingEvent => {
    const at = new Date(nowMs - (4 - (3 * i) / 100) * DAY_MS).toISOString();
    const passageId = base.passages[i % base.passages.length]!.id;
    return i % 10 === 0
      ? {
          id: `r${n}-${i}`,
          kind: 'reduced',
          at,
          passageId,
          spotName: null,
          how: 'wiped',
          left: 'all',
        }
      : {
          id: `t${n}-${i}`,
          kind: 'touched',
          at,
          passageId,
          spotName: null,
          finding: FINDINGS[Math.floor(i / 25)]!,
          twistMarks: false,
          ...(n % 40 === 0 ? {} : { setAside: true }),
        };
  });
  return { ...base, id: `p${n}`, events: [...laid, ...more] };
}

function session(
  i: number,
  of: Painting,
  nowMs: number,
  making: ReturnType<typeof maker>,
): Session {
  const begun = nowMs - (i + 1) * DAY_MS;
  const s = beginSession(
    {
      works: [
        {
          paintingId: of.id,
          passageIds: [of.passages[0]!.id],
          coatId: of.coats[0]!.id,
          name: of.coats[0]!.name,
          plannedMinutes: 30,
        },
      ],
      boxMinutes: 60,
      goal: '',
    },
    making(begun),
  );
  const ended = making(begun + HOUR_MS);
  const done = endSession(finishWork(s, s.works[0]!.id, ended), ended);
  if (i >= PHOTOS) return done;
  const photo = {
    id: `ph${i}`,
    paintingId: of.id,
    takenAt: ended.now,
    width: 1600,
    height: 1200,
  };
  return { ...done, photos: [photo] };
}

export function yearsOfStudio(nowMs: number): { paintings: Painting[]; sessions: Session[] } {
  const making = maker();
  const paintings = Array.from({ length: PAINTINGS }, (_, n) => painting(n, nowMs, making));
  const sessions = Array.from({ length: SESSIONS }, (_, i) =>
    session(i, paintings[i % PAINTINGS]!, nowMs, making),
  );
  return { paintings, sessions };
}
