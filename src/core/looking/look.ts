import { LOOKING } from '@/data/looking';
import { lightnessOf, type Lab } from '../optics/colour';
import { fromLinear } from '../optics/srgb';
import { changeOf, type Change } from './change';
import { detailLeft, ORDINARY, viewFrom, type Eye } from './distance';
import { driftOf, type Drift, type KeyPoint } from './drawing';
import { edgeOf, leastBlurMm, type EdgeFound } from './edges';
import { pullsOf, type Pull } from './pull';
import { profileOf } from './graded';
import { aspectProblem, placeSigma, seenFrom, type Homography } from './homography';
import { fieldOfBoard, fieldOfBorder, fieldOfTurned, lightAt, type Field } from './field';
import { placeOf, readPatch, undoPhoto, type Patch } from './light';
import { labelsOf, neighboursOf, type Labels, type Neighbours, type Outlined } from './passages';
import type { Curve, Photo, Point, Raster, Support } from './photo';
import { rectify } from './rectify';
import {
  gradedOf,
  keyOf,
  orderOf,
  type Departure,
  type Graded,
  type Key,
  type Order,
} from './relations';
import { pairSigma, trustOf, valueSigma, type Trust } from './trust';
import { passageValues, rangeOf, type PassageValue, type Range } from './values';

/** What tells how the light fell: a border of one colour, the picture turned upside down, a board in its place. */
export type Flat =
  | { kind: 'border'; widthMm: number }
  | { kind: 'turned'; photo: Photo; corners: readonly Point[] }
  | { kind: 'board'; photo: Photo };

/** A photo of a picture, as much of it as is known. */
export interface Shot {
  photo: Photo;
  corners: readonly Point[];
  patches?: readonly Patch[];
  flat?: Flat | undefined;
}

/** A photo brought onto its support, its tone curve and light undone as far as is known. */
export interface Prepared {
  raster: Raster;
  h: Homography;
  trust: Trust;
  /** Corners against size. */
  doubt: string | null;
}

/** @throws CoreError where corners or support cannot be right */
export function prepare({ photo, corners, patches = [], flat }: Shot, support: Support): Prepared {
  const h = seenFrom(corners, support);
  const read = patches.flatMap((p) => readPatch(photo, p) ?? []);
  const light = ((): ((curve: Curve) => Field) | null => {
    if (!flat) return null;
    if (flat.kind === 'border')
      return (curve) => fieldOfBorder(photo, h, support, flat.widthMm, curve);
    if (flat.kind === 'board') return (curve) => fieldOfBoard(flat.photo, h, support, curve);
    const turned = seenFrom(flat.corners, support);
    return (curve) => fieldOfTurned(photo, h, flat.photo, turned, support, curve);
  })();
  const { curve, field } = undoPhoto(read, h, support, light);
  const raster = rectify(photo, corners, support, curve, field);
  // What the patches come out as now: two like ones in two places tell the light.
  const seen = read.map((p) => {
    const [u, v] = placeOf(h, support, p.at);
    const code = Math.round(255 * fromLinear(Math.min(1, p.linear[1])));
    return lightnessOf(curve[1][code]! / lightAt(field, u, v));
  });
  return {
    raster,
    h,
    trust: trustOf(read, seen, flat?.kind ?? 'none', raster.clipped),
    doubt: aspectProblem(corners, photo, support),
  };
}

export interface PassageAsked extends Outlined {
  /** As the design has it. */
  designLab?: Lab | undefined;
  departure?: Departure | undefined;
  /** From where to where it grades; true: the way on which it changes most. */
  graded?: { start: Point; end: Point } | true | undefined;
}

export interface Asked {
  support: Support;
  passages: readonly PassageAsked[];
  keyPoints?: readonly KeyPoint[];
  cornerSigmaPx?: number;
  distancesM?: readonly number[];
  eye?: Eye;
  viewM?: number;
  attention?: boolean;
  edges?: boolean;
}

export interface ValueFound extends PassageValue {
  sigmaL: number;
}

export interface Looked {
  trust: Trust & { sigmaL: number };
  geometry: { pxPerMm: number; sigmaMm: number; doubt: string | null };
  values: ValueFound[];
  neighbours: Neighbours[];
  order: Order | null;
  key: Key | null;
  range: Range;
  graded: (Graded & { id: string })[];
  edges: EdgeFound[];
  drift: Drift | null;
  distance: { m: number; passages: { id: string; detailLeft: number }[] }[];
  attention: Pull[];
}

/** Told how far along a look is, share; what answers true stops it. */
export type OnProgress = (share: number) => boolean | void;

/** Values of the passages with their errors. */
export function valuesOf(raster: Raster, labels: Labels, trust: Trust): ValueFound[] {
  return passageValues(raster, labels).map((v) => ({
    ...v,
    sigmaL: valueSigma(trust, v.L, v.areaCm2),
  }));
}

/** Of two passages the error of their difference on this photo, L*. */
export function pairSigmas(
  values: readonly PassageValue[],
  trust: Trust,
  support: Support,
): (one: string, two: string) => number {
  const byId = new Map(values.map((v) => [v.id, v]));
  const diagonal = Math.hypot(support.widthMm, support.heightMm);
  return (one, two) => {
    const [p, q] = [byId.get(one), byId.get(two)];
    return p && q ? pairSigma(trust, p, q, diagonal) : Infinity;
  };
}

/** Everything that is asked of one photo. Null when it was stopped. */
export function look(
  prepared: Prepared,
  asked: Asked,
  shot: Pick<Shot, 'corners'>,
  onProgress: OnProgress = () => undefined,
): Looked | null {
  const { raster, trust } = prepared;
  const { support, passages } = asked;
  const labels = labelsOf(raster, passages);
  const values = valuesOf(raster, labels, trust);
  if (onProgress(0.3)) return null;
  const pairs = passages.flatMap(({ id, designLab, departure }) => {
    const value = values.find((v) => v.id === id);
    return value && designLab
      ? [{ id, designL: designLab[0], workL: value.L, ...(departure && { departure }) }]
      : [];
  });
  const key = keyOf(pairs);
  const neighbours = neighboursOf(labels, raster);
  if (onProgress(0.4)) return null;
  const edges =
    asked.edges || asked.attention
      ? neighbours.flatMap(({ a, b, lengthMm }) => {
          const edge = edgeOf(raster, labels, a, b, leastBlurMm(raster), asked.viewM);
          return edge ? [{ ...edge, lengthMm }] : [];
        })
      : [];
  if (onProgress(0.7)) return null;
  const centre: Point = [support.widthMm / 2, support.heightMm / 2];
  const sigma = placeSigma(
    shot.corners,
    support,
    centre,
    asked.cornerSigmaPx ?? LOOKING.loupeSigmaPx,
  );
  const area = values.reduce((s, v) => s + v.areaCm2, 0);
  const meanChroma = values.reduce((s, v) => s + v.chroma * v.areaCm2, 0) / (area || 1);
  const distance = (asked.distancesM ?? []).map((m) => ({
    m,
    passages: detailLeft(raster, labels, viewFrom(raster, m, asked.eye ?? ORDINARY)),
  }));
  if (onProgress(1)) return null;
  return {
    trust: {
      ...trust,
      sigmaL: Math.hypot(trust.sigmaCurve, trust.sigmaLight, LOOKING.sigmaGlossLight),
    },
    geometry: {
      pxPerMm: raster.pxPerMm,
      sigmaMm: Math.hypot(sigma.x, sigma.y) / Math.SQRT2,
      doubt: prepared.doubt,
    },
    values,
    neighbours,
    order:
      pairs.length < 2 ? null : orderOf(pairs, pairSigmas(values, trust, support), key?.slope ?? 1),
    key,
    range: rangeOf(raster, labels),
    graded: passages.flatMap((p, i) => {
      if (!p.graded) return [];
      const way = p.graded === true ? null : ([p.graded.start, p.graded.end] as const);
      const profile = profileOf(raster, labels, i, way);
      return profile.length < 3 ? [] : [{ id: p.id, ...gradedOf(profile) }];
    }),
    edges,
    drift: asked.keyPoints?.length
      ? driftOf(shot.corners, support, asked.keyPoints, asked.cornerSigmaPx)
      : null,
    distance,
    attention: asked.attention
      ? pullsOf(
          values.map((v) => v.id),
          edges,
          new Map(values.map((v) => [v.id, v.chroma - meanChroma])),
          asked.viewM,
        )
      : [],
  };
}

/** What changed from an earlier photo to this one. */
export function changed(before: Prepared, after: Prepared, passages: readonly Outlined[]): Change {
  const valuesBefore = valuesOf(before.raster, labelsOf(before.raster, passages), before.trust);
  const valuesAfter = valuesOf(after.raster, labelsOf(after.raster, passages), after.trust);
  const sigma = (trust: Trust) => (v: PassageValue) => valueSigma(trust, v.L, v.areaCm2);
  return changeOf(before.raster, after.raster, valuesBefore, valuesAfter, {
    before: sigma(before.trust),
    after: sigma(after.trust),
  });
}
