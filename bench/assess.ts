/**
 * One full pass of verdicts, rules and forecasts over generated paintings, against one frame of a 60 Hz screen;
 * and how the time grows with the number of coats. Every pass gets a fresh copy of the painting, so that
 * nothing is carried over from the pass before.
 */
import { laidEntry } from './laid';
import { performance } from 'node:perf_hooks';
import { REFERENCE_CLIMATE } from '../src/core/drying';
import { STUDIO_HANDBOOK } from '../src/core/handbook';
import {
  assessPainting,
  PAINTING_SCHEMA_VERSION,
  type Coat,
  type Painting,
  type PaintingEvent,
} from '../src/core/painting';
import { PIGMENT_ROWS } from '../src/data/pigments';

const FRAME_MS = 1000 / 60;
const LIMIT_MS = 4;
/** Growth from 10 to 1000 coats that still counts as linear: a hundredfold, and half as much again. */
const LINEAR_LIMIT = 150;
const NOW_MS = Date.UTC(2026, 1, 17, 10);
const DAY_MS = 86_400_000;

/** Lehmer generator, fixed seed: the same painting in every run. */
function generator(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** @param apart every coat on one passage only, so that no two passages share anything */
function painting(coatCount: number, passageCount: number, apart: boolean): Painting {
  const random = generator(20_260_217);
  const passages = Array.from({ length: passageCount }, (_, i) => ({
    id: `p${i}`,
    name: `passage ${i}`,
    share: 1 / passageCount,
  }));
  const pigment = () => PIGMENT_ROWS[Math.floor(random() * PIGMENT_ROWS.length)]!.key;
  const places = apart ? passages.map((p) => [p.id]) : [passages.map((p) => p.id)];
  const coats: Coat[] = Array.from({ length: coatCount }, (_, i) =>
    places.map((passageIds, place): Coat => ({
      id: `c${i}-${place}`,
      name: `Coat ${i}`,
      role: 'overpainting',
      passageIds,
      recipe: {
        mix: [1, 2, 3].map((parts) => ({ parts, pigment: pigment(), binder: 'linseed' as const })),
        medium: [
          { parts: 1, ingredient: 'stand-oil' as const },
          { parts: 2, ingredient: 'mineral-spirits' as const },
        ],
        mediumShare: 0.05 + 0.4 * random(),
        thicknessUm: 8 + 60 * random(),
      },
      application: 'brush-coat',
      onto: 'touch-dry',
      spot: null,
    })),
  ).flat();
  const at = new Date(NOW_MS).toISOString();
  const events: PaintingEvent[] = coats
    .slice(0, coats.length / 2)
    .map((coat, i) => laidEntry(`e${i}`, coat, NOW_MS - (coats.length - i) * (DAY_MS / 4)));
  return {
    schemaVersion: PAINTING_SCHEMA_VERSION,
    id: 'bench',
    revision: 0,
    createdAt: at,
    updatedAt: at,
    title: 'Bench',
    support: { kind: 'canvas', widthMm: 1000, heightMm: 800 },
    ground: { kind: 'acrylic-gesso', coats: 4 },
    method: 'direct-start',
    school: 'total-oil',
    passages,
    touches: [],
    coats,
    events,
  };
}

const OPTIONS = { handbook: STUDIO_HANDBOOK, climate: REFERENCE_CLIMATE, nowMs: NOW_MS };

function medianMs(subject: Painting, runs: number, fresh = true): number {
  const times = Array.from({ length: runs }, () => {
    const copy = fresh ? structuredClone(subject) : subject;
    const start = performance.now();
    assessPainting(copy, OPTIONS);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)]!;
}

// The compiler of the machine needs some passes before it is what it is after a minute of use.
medianMs(painting(60, 8, true), 60);

const shared = medianMs(painting(60, 8, false), 60);
const apart = medianMs(painting(60, 8, true), 40);
const told = (ms: number) => `${ms.toFixed(2)} ms = ${(ms / FRAME_MS).toFixed(2)} of a 60 Hz frame`;
console.log(
  `verdicts, rules, forecasts, every school; 60 coats, each over 8 passages: ${told(shared)} (limit ${LIMIT_MS} ms)`,
);
console.log(`the same with nothing shared, 480 coats on one passage each: ${told(apart)}`);

const again = medianMs(painting(60, 8, true), 40, false);
console.log(`and looked at again, unchanged: ${told(again)}`);

const ten = medianMs(painting(10, 8, false), 200);
const thousand = medianMs(painting(1000, 8, false), 15);
console.log(
  `growth from 10 to 1000 coats: x ${(thousand / ten).toFixed(0)} (linear is 100, limit ${LINEAR_LIMIT})`,
);
if (shared > LIMIT_MS || thousand / ten > LINEAR_LIMIT) process.exitCode = 1;
