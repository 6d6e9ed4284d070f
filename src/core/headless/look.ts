import { z } from 'zod';
import { LOOKING } from '@/data/looking';
import { CoreError } from '../errors';
import { labSchema } from '../cabinet/swatch-schema';
import { changeSchema, lookedShape } from '../looking/looked-schema';
import { proposeCorners } from '../looking/find-corners';
import { changed, look, prepare, type Flat, type Shot } from '../looking/look';
import { histogramOf, MASS_WAYS, massesOf, thresholdsOf } from '../looking/masses';
import { blurred } from '../looking/blur';
import { lightnessOf } from '../optics/colour';
import type { Patch } from '../looking/light';
import type { Photo, Point } from '../looking/photo';
import type { Around } from './verbs';
import type { DefineVerb } from './define';

const figure = z.number();
const point = z.tuple([figure, figure]);
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
  graded: z
    .union([z.object({ start: point, end: point }), z.literal(true)])
    .optional()
    .describe('from where to where it grades, or true: the way on which it changes most'),
});
const flat = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('border'), widthMm: figure.positive() }),
  z.object({ kind: z.literal('turned'), photo: photoSchema, corners: quad }),
  z.object({ kind: z.literal('board'), photo: photoSchema }),
]);

const lookInput = shot.extend({
  corners: quad.nullable().describe('null: looked for on the photo'),
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
  ...lookedShape,
  corners: z.array(point).length(4).describe('px of the photo: as given, or as found'),
  change: changeSchema.nullable(),
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
      const photo = photoOf(around, input.photo.path);
      const found = input.corners ? null : proposeCorners(photo, input.support);
      const corners = input.corners ?? found?.corners;
      const sigmaPx = input.cornerSigmaPx ?? (found?.found ? LOOKING.snappedSigmaPx : undefined);
      if (!corners)
        throw new CoreError(
          'corners',
          'corners',
          'Nothing on the photo stands out as a picture of this size. Give its four corners.',
        );
      const now: Shot = { photo, corners, patches: input.patches, flat: light };
      const prepared = prepare(now, input.support);
      const looked = look(
        prepared,
        {
          support: input.support,
          passages: input.passages,
          keyPoints: input.keyPoints,
          distancesM: input.distancesM,
          edges: input.edges,
          attention: input.attention,
          ...(sigmaPx !== undefined && { cornerSigmaPx: sigmaPx }),
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
            ? blurred(raster.Y, raster.width, raster.height, squintMm * raster.pxPerMm).map(
                lightnessOf,
              )
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
        ...looked,
        corners: corners.map(([x, y]): [number, number] => [x, y]),
        change: input.before
          ? changed(prepare(shotOf(input.before), input.support), prepared, input.passages)
          : null,
        masses,
      };
    },
  });
