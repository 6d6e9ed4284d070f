/**
 * One full pass of verdicts and forecasts over a generated painting of 60 coats on 8 passages, half of
 * them laid, against one frame of a 60 Hz screen; and how the time grows with the number of coats.
 */
import { performance } from 'node:perf_hooks';
import { REFERENCE_CLIMATE } from '../src/core/drying';
import { STUDIO_HANDBOOK } from '../src/core/handbook';
import { assessPainting, type Coat, type Painting, type PaintingEvent } from '../src/core/painting';
import { PIGMENT_ROWS } from '../src/data/pigments';

const FRAME_MS = 1000 / 60;
const NOW_MS = Date.UTC(2026, 1, 17, 10);
const DAY_MS = 86_400_000;
const RUNS = 40;

/** Lehmer generator, fixed seed: the same painting in every run. */
function generator(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

function painting(coatCount: number, passageCount: number): Painting {
  const random = generator(20_260_217);
  const passages = Array.from({ length: passageCount }, (_, i) => ({
    id: `p${i}`,
    name: `passage ${i}`,
    share: 1 / passageCount,
  }));
  const pigment = () => PIGMENT_ROWS[Math.floor(random() * PIGMENT_ROWS.length)]!.key;
  const coats: Coat[] = Array.from({ length: coatCount }, (_, i) => ({
    id: `c${i}`,
    name: `Coat ${i}`,
    role: 'overpainting',
    passageIds: passages.map((p) => p.id),
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
  }));
  const at = new Date(NOW_MS).toISOString();
  const events: PaintingEvent[] = coats.slice(0, coatCount / 2).map((coat, i) => ({
    id: `e${i}`,
    kind: 'laid',
    at: new Date(NOW_MS - (coatCount - i) * 4 * DAY_MS).toISOString(),
    coatId: coat.id,
    passageIds: coat.passageIds,
    spot: null,
    intoWet: false,
    name: coat.name,
    role: coat.role,
    recipe: coat.recipe,
  }));
  return {
    schemaVersion: 1,
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

function medianMs(subject: Painting): number {
  const options = { handbook: STUDIO_HANDBOOK, climate: REFERENCE_CLIMATE, nowMs: NOW_MS };
  for (let i = 0; i < 10; i++) assessPainting(subject, options);
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    assessPainting(subject, options);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(RUNS / 2)]!;
}

const full = medianMs(painting(60, 8));
console.log(
  `verdicts + forecasts, 60 coats x 8 passages, every school: ${full.toFixed(2)} ms = ${(full / FRAME_MS).toFixed(2)} of a 60 Hz frame (limit 1.00)`,
);
const small = medianMs(painting(30, 8));
console.log(`growth from 30 to 60 coats: x ${(full / small).toFixed(2)} (linear is 2.00)`);
if (full > FRAME_MS) process.exitCode = 1;
