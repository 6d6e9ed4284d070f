import { z } from 'zod';
import { CoreError } from '../errors';
import { labSchema } from '../cabinet/swatch-schema';
import { EDGE_KINDS } from '../looking/edge-kinds';
import { changed, look, prepare, type Flat, type Shot } from '../looking/look';
import { histogramOf, MASS_WAYS, massesOf, thresholdsOf } from '../looking/masses';
import { blurred } from '../looking/blur';
import { lOfY, type Patch } from '../looking/light';
import type { Photo, Point } from '../looking/photo';
import type { Around } from './verbs';
import type { DefineVerb } from './define';

const figure = z.number();
const point = z.tuple([figure, figure]);
const where = point.readonly();
const quad = z.array(point).length(4, { error: 'Needs four corners.' });
const photoSchema = z.object({
  path: z.string().min(1).describe('a JPEG or PNG file; it is turned upright'),
});
const patches = z
  .array(z.object({ quad, L: figure.min(0).max(100).nullable() }))
  .max(40)
  .default([]);
const shot = z.object({ photo: photoSchema, corners: quad, patches });
const passage = z.object({
  id: z.string().min(1).max(80),
  rings: z.array(z.array(point).min(3)).min(1).describe('mm on the support'),
  above: figure.default(0),
  designLab: labSchema.optional(),
  departure: z.union([z.object({ L: figure }), z.literal('free')]).optional(),
  graded: z.object({ start: point, end: point }).optional(),
});
const flat = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('border'), widthMm: figure.positive() }),
  z.object({ kind: z.literal('turned'), photo: photoSchema, corners: quad }),
  z.object({ kind: z.literal('board'), photo: photoSchema }),
]);
const share = z.object({ id: z.string(), share: figure });
const pair = z.object({ lighter: z.string(), darker: z.string() });

const lookInput = shot.extend({
  support: z.object({ widthMm: figure.positive(), heightMm: figure.positive() }),
  cornerSigmaPx: figure.positive().optional(),
  flat: flat.optional(),
  passages: z.array(passage).max(60),
  keyPoints: z
    .array(
      z.object({
        id: z.string(),
        design: point,
        photo: point,
        sigmaPx: figure.positive().optional(),
      }),
    )
    .max(200)
    .default([]),
  edges: z.boolean().default(false),
  attention: z.boolean().default(false),
  viewM: figure.positive().max(100).optional(),
  distancesM: z.array(figure.positive().max(100)).max(8).default([]),
  eye: z
    .object({ gain: figure.positive(), scale: figure.positive(), luminance: figure.positive() })
    .optional(),
  before: shot.optional(),
  masses: z
    .object({
      k: z.number().int().min(2).max(9),
      way: z.enum(MASS_WAYS).default('breaks'),
      squintMm: figure.min(0).max(200).default(0),
      leastMm2: figure.min(0).default(0),
      png: z.string().optional().describe('a file to write them to'),
    })
    .optional(),
});

const lookOutput = z.object({
  trust: z.object({
    level: z.enum(['order', 'relative', 'steps']),
    sigmaL: figure,
    sigmaCurve: figure,
    sigmaLight: figure,
    why: z.array(z.string()),
  }),
  geometry: z.object({ pxPerMm: figure, sigmaMm: figure, doubt: z.string().nullable() }),
  values: z.array(
    z.object({
      id: z.string(),
      areaCm2: figure,
      L: figure,
      medianL: figure,
      spread: figure,
      a: figure,
      b: figure,
      chroma: figure,
      warm: figure,
      glareShare: figure,
      mixed: z.boolean(),
      fools: figure,
      sigmaL: figure,
    }),
  ),
  order: z
    .object({
      tau: figure.nullable(),
      turned: z.array(pair.extend({ byL: figure, sigmaL: figure })),
      tooClose: z.array(pair),
      held: figure,
    })
    .nullable(),
  key: z
    .object({
      slope: figure,
      intercept: figure,
      residuals: z.array(z.object({ id: z.string(), L: figure })),
      mayBeExposure: z.boolean(),
    })
    .nullable(),
  range: z.object({
    p005: figure,
    p995: figure,
    lightest: z.array(share),
    darkest: z.array(share),
  }),
  graded: z.array(
    z.object({
      id: z.string(),
      monotone: figure,
      reversalL: figure,
      reversalAt: figure,
      fromLineL: figure,
      biggestStepL: figure,
      banded: z.boolean(),
      smooth: z.array(figure),
    }),
  ),
  edges: z.array(
    z.object({
      a: z.string(),
      b: z.string(),
      lengthMm: figure,
      widthMm: figure,
      quartilesMm: point,
      atMost: z.boolean(),
      lostShare: figure,
      kind: z.enum(EDGE_KINDS),
      dL: figure,
      dab: figure,
    }),
  ),
  drift: z
    .object({
      scale: figure,
      rotationDeg: figure,
      offsetMm: where,
      points: z.array(
        z.object({
          id: z.string(),
          moved: where,
          mm: figure,
          stray: where,
          strayMm: figure,
          sigmaMm: figure,
          tells: z.boolean(),
          strays: z.boolean(),
        }),
      ),
    })
    .nullable(),
  distance: z.array(
    z.object({
      m: figure,
      passages: z.array(z.object({ id: z.string(), detailLeft: figure })),
    }),
  ),
  attention: z.array(
    z.object({
      id: z.string(),
      pull: figure,
      value: figure,
      colour: figure,
      edge: z.string().nullable(),
    }),
  ),
  change: z
    .object({
      passages: z.array(
        z.object({
          id: z.string(),
          byL: figure,
          byChroma: figure,
          byWarm: figure,
          changed: z.boolean(),
        }),
      ),
      shareChanged: figure,
      work: figure,
    })
    .nullable(),
  masses: z
    .object({
      thresholds: z.array(figure),
      shares: z.array(figure),
      means: z.array(figure),
    })
    .nullable(),
});

/** The photo of a path, as the shell has read it. */
function photoOf(around: Around | undefined, path: string): Photo {
  const photo = around?.photo?.(path);
  if (!photo)
    throw new CoreError(
      'document-unreadable',
      'photo',
      `There is no picture at "${path}" that can be read. Give a JPEG or PNG.`,
    );
  return photo;
}

/** look: a photo of a picture -> values, order, key, edges, drift, what is left at a distance, masses. */
export const lookVerb = (define: DefineVerb) =>
  define({
    name: 'look',
    summary: 'a photo of a picture, its corners and passages -> values, order, key, edges, drift',
    input: lookInput,
    output: lookOutput,
    run: (input, around) => {
      const shotOf = (s: {
        photo: { path: string };
        corners: Point[];
        patches: Patch[];
      }): Shot => ({
        photo: photoOf(around, s.photo.path),
        corners: s.corners,
        patches: s.patches,
      });
      const light = ((): Flat | undefined => {
        const { flat: by } = input;
        if (!by || by.kind === 'border') return by;
        return { ...by, photo: photoOf(around, by.photo.path) };
      })();
      const now = { ...shotOf(input), flat: light };
      const prepared = prepare(now, input.support);
      const found = look(
        prepared,
        {
          support: input.support,
          passages: input.passages,
          keyPoints: input.keyPoints,
          distancesM: input.distancesM,
          edges: input.edges,
          attention: input.attention,
          ...(input.cornerSigmaPx !== undefined && { cornerSigmaPx: input.cornerSigmaPx }),
          ...(input.eye && { eye: input.eye }),
          ...(input.viewM !== undefined && { viewM: input.viewM }),
        },
        now,
      )!;
      const masses = ((): { thresholds: number[]; shares: number[]; means: number[] } | null => {
        if (!input.masses) return null;
        const { k, way, squintMm, leastMm2, png } = input.masses;
        const { raster } = prepared;
        const L =
          squintMm > 0
            ? blurred(raster.Y, raster.width, raster.height, squintMm * raster.pxPerMm).map(lOfY)
            : raster.L;
        const made = massesOf(L, raster, thresholdsOf(histogramOf(L), k, way), leastMm2);
        if (png !== undefined)
          around?.picture?.(png, {
            width: raster.width,
            height: raster.height,
            grey: Uint8Array.from(made.map, (m) => Math.round(2.55 * made.means[m]!)),
          });
        return { thresholds: made.thresholds, shares: made.shares, means: made.means };
      })();
      return {
        ...found,
        change: input.before
          ? changed(prepare(shotOf(input.before), input.support), prepared, input.passages)
          : null,
        masses,
      };
    },
  });
