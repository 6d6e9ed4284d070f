import { z } from 'zod';
import type { Change } from './change';
import { EDGE_KINDS } from './edge-kinds';
import type { Looked } from './look';

/** What a look gives, as it leaves the worker and the command line. */

const figure = z.number();
const where = z.tuple([figure, figure]).readonly();
const share = z.object({ id: z.string(), share: figure });
const pair = z.object({ lighter: z.string(), darker: z.string() });

export const lookedShape = {
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
      centre: where,
      whole: z.boolean(),
      sigmaL: figure,
    }),
  ),
  neighbours: z.array(z.object({ a: z.string(), b: z.string(), lengthMm: figure })),
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
      quartilesMm: z.tuple([figure, figure]),
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
};
export const lookedSchema: z.ZodType<Looked> = z.object(lookedShape);

export const changeSchema: z.ZodType<Change> = z.object({
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
  registeredMm: figure.nullable(),
});
