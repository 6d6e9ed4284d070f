import { LOOKING } from '@/data/looking';
import { blurred } from '@/core/looking/blur';
import { viewFrom } from '@/core/looking/distance';
import { changed, look, prepare, type PassageAsked, type Prepared } from '@/core/looking/look';
import { histogramOf, massesOf, thresholdsOf } from '@/core/looking/masses';
import { labelsOf } from '@/core/looking/passages';
import type { Photo, Point, Raster } from '@/core/looking/photo';
import type { Picture } from '@/core/looking/schema';
import { passageValues } from '@/core/looking/values';
import { lightnessOf, WARM } from '@/core/optics/colour';
import { linearOf } from '@/core/optics/screen';
import { fromLinear } from '@/core/optics/srgb';
import {
  lookRequestSchema,
  mapRequestSchema,
  type LookReply,
  type LookRequest,
  type MapReply,
  type MapRequest,
} from './looking-protocol';
import { replyLater, type Reply } from './protocol';

/** Decodes a JPEG; the browser's own means, handed in so that the rest runs anywhere. */
export type Decode = (jpeg: string) => Promise<Photo>;

/** A painter goes to and fro between two or three pictures: so many stand ready. */
const READY = 3;

const px = (at: readonly [number, number], p: Picture): Point => [
  at[0] * p.width,
  at[1] * p.height,
];
const WHOLE: [number, number][] = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];
/** Where the corners of a picture are, px: those that were set, or the whole, for a file of the design itself. */
const cornersOf = (p: Picture): Point[] => (p.corners ?? WHOLE).map((c) => px(c, p));

/** How sure a place is that a finger has set, px of the photo. */
const tapSigma = ({ width }: Picture): number =>
  Math.max(LOOKING.loupeSigmaPx, width / LOOKING.tapScreenPx);

/** The jobs of the worker that looks at pictures. */
export function looker(decode: Decode) {
  /** Promises, so that two that ask for one photo at once wait for one decoding. */
  const ready = new Map<string, Promise<Prepared>>();
  function prepared(shot: LookRequest['work'], support: LookRequest['support']): Promise<Prepared> {
    const { id, corners, patches } = shot.picture;
    const key = JSON.stringify([id, corners, patches, support.widthMm, support.heightMm]);
    const known = ready.get(key);
    if (known) return known;
    const made = prepareShot(shot, support);
    ready.set(key, made);
    // What could not be made is tried anew when it is asked for again.
    made.catch(() => ready.delete(key));
    while (ready.size > READY) ready.delete(ready.keys().next().value!);
    return made;
  }
  async function prepareShot(
    { picture, jpeg }: LookRequest['work'],
    support: LookRequest['support'],
  ): Promise<Prepared> {
    const photo = await decode(jpeg);
    const scaled = { ...picture, width: photo.width, height: photo.height };
    return prepare(
      {
        photo,
        corners: cornersOf(scaled),
        patches: picture.patches.map(({ quad, L }) => ({
          L,
          quad: quad.map((at) => px(at, scaled)),
        })),
      },
      support,
    );
  }

  const passagesOf = ({ looking, passageIds }: LookRequest): PassageAsked[] =>
    looking.outlines
      .filter((o) => passageIds.includes(o.id))
      .map((o) => {
        const departs = looking.intents.find((i) => i.id === o.id)?.departs ?? null;
        return {
          id: o.id,
          rings: o.rings,
          above: o.above,
          ...(departs !== null && { departure: departs === 'free' ? departs : { L: departs } }),
        };
      });

  return {
    look: (raw: unknown, onProgress?: (share: number) => unknown): Promise<Reply> =>
      replyLater(async (): Promise<LookReply> => {
        const request = lookRequestSchema.parse(raw);
        const { support, work, looking } = request;
        const own = passagesOf(request);
        const design = request.design ? await prepared(request.design, support) : null;
        void onProgress?.(0.2);
        const meant = design ? passageValues(design.raster, labelsOf(design.raster, own)) : [];
        const passages = own.map((p) => {
          const v = meant.find((x) => x.id === p.id);
          return v ? { ...p, designLab: [v.L, v.a, v.b] as [number, number, number] } : p;
        });
        void onProgress?.(0.3);
        const now = await prepared(work, support);
        const corners = cornersOf(work.picture);
        const looked = look(
          now,
          {
            support,
            passages,
            edges: request.edges,
            attention: request.edges,
            distancesM: request.distancesM,
            cornerSigmaPx: tapSigma(work.picture),
            keyPoints: work.picture.marks.flatMap((m) => {
              const point = looking.points.find((p) => p.id === m.id);
              return point
                ? [
                    {
                      id: m.id,
                      design: point.at,
                      photo: px(m.at, work.picture),
                      sigmaPx: tapSigma(work.picture),
                    },
                  ]
                : [];
            }),
          },
          { corners },
          (share) => {
            void onProgress?.(0.3 + 0.6 * share);
            return false;
          },
        )!;
        const before = request.before && (await prepared(request.before, support));
        return {
          looked,
          design: meant,
          change: before && changed(before, now, own),
          beforeLevel: before && before.trust.level,
        };
      }),

    map: (raw: unknown): Promise<Reply> =>
      replyLater(async (): Promise<MapReply> => {
        const asked = mapRequestSchema.parse(raw);
        const { raster } = await prepared(asked.shot, asked.support);
        return mapOf(raster, asked);
      }),
  };
}
export type Looker = ReturnType<typeof looker>;

const codeTable = Uint8ClampedArray.from({ length: 1001 }, (_, i) => {
  const [g] = linearOf([i / 10, 0, 0]);
  return Math.round(255 * fromLinear(Math.min(1, Math.max(0, g))));
});
const codeOfL = (L: number): number => codeTable[Math.min(1000, Math.max(0, Math.round(L * 10)))]!;

/** A raster reduced to what a screen shows, as means of light. */
function shrunk(raster: Raster, mostPx: number): Raster {
  const by = Math.max(1, Math.ceil(Math.max(raster.width, raster.height) / mostPx));
  if (by === 1) return raster;
  const width = Math.floor(raster.width / by);
  const height = Math.floor(raster.height / by);
  const mean = (plane: Float32Array): Float32Array => {
    const out = new Float32Array(width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let sum = 0;
        for (let j = 0; j < by; j++)
          for (let i = 0; i < by; i++) sum += plane[(y * by + j) * raster.width + x * by + i]!;
        out[y * width + x] = sum / (by * by);
      }
    return out;
  };
  const Y = mean(raster.Y);
  return {
    ...raster,
    width,
    height,
    pxPerMm: raster.pxPerMm / by,
    Y,
    L: Y.map(lightnessOf),
    a: mean(raster.a),
    b: mean(raster.b),
  };
}

function mapOf(whole: Raster, asked: MapRequest): MapReply {
  const raster = shrunk(whole, asked.mostPx);
  const { width, height, pxPerMm } = raster;
  const seen = asked.distanceM === null ? raster.Y : viewFrom(raster, asked.distanceM);
  const Y = asked.squintMm > 0 ? blurred(seen, width, height, asked.squintMm * pxPerMm) : seen;
  const L = Y === raster.Y ? raster.L : Y.map(lightnessOf);
  const rgba = new Uint8ClampedArray(width * height * 4);
  const put = (i: number, r: number, g: number, b: number): void => {
    rgba[4 * i] = r;
    rgba[4 * i + 1] = g;
    rgba[4 * i + 2] = b;
    rgba[4 * i + 3] = 255;
  };
  if (asked.view === 'masses') {
    const thresholds = asked.thresholds ?? thresholdsOf(histogramOf(L), asked.k, asked.way);
    const { map, means, shares } = massesOf(L, raster, thresholds, 0);
    const codes = means.map(codeOfL);
    for (let i = 0; i < map.length; i++) {
      const v = codes[map[i]!]!;
      put(i, v, v, v);
    }
    return { width, height, rgba, thresholds, shares };
  }
  if (asked.view === 'warmth') {
    const sigma = Math.max(1, asked.squintMm * pxPerMm);
    const soft = (p: Float32Array) => blurred(p, width, height, sigma);
    const [a, b] = [soft(raster.a), soft(raster.b)];
    let mean = 0;
    const warm = new Float32Array(a.length);
    for (let i = 0; i < a.length; i++) {
      warm[i] = a[i]! * WARM[0] + b[i]! * WARM[1];
      mean += warm[i]! / a.length;
    }
    for (let i = 0; i < a.length; i++) {
      // A neutral has no temperature; a cast of the photo goes with the mean.
      const t =
        Math.hypot(a[i]!, b[i]!) < LOOKING.neutralChroma
          ? 0
          : Math.min(1, Math.max(-1, (warm[i]! - mean) / 40));
      const [r, g, bl] =
        t > 0
          ? [233 - 60 * t, 233 - 140 * t, 232 - 190 * t]
          : [233 + 150 * t, 233 + 95 * t, 232 + 30 * t];
      put(i, r, g, bl);
    }
    return { width, height, rgba, thresholds: [], shares: [] };
  }
  for (let i = 0; i < L.length; i++) {
    if (asked.view === 'grey') {
      const v = codeOfL(L[i]!);
      put(i, v, v, v);
      continue;
    }
    const [r, g, b] = linearOf([L[i]!, raster.a[i]!, raster.b[i]!]);
    const code = (v: number) => 255 * fromLinear(Math.min(1, Math.max(0, v)));
    put(i, code(r), code(g), code(b));
  }
  return { width, height, rgba, thresholds: [], shares: [] };
}
