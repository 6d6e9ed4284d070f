import { LOOKING } from '@/data/looking';
import { intentOf } from '@/core/looking/edit';
import { viewFrom } from '@/core/looking/distance';
import { proposeCorners } from '@/core/looking/find-corners';
import { snapCorners } from '@/core/looking/snap-corners';
import { profileOf } from '@/core/looking/graded';
import { changed, look, prepare, type PassageAsked, type Prepared } from '@/core/looking/look';
import { mapOf, shrunk } from '@/core/looking/maps';
import { marksSeen, type MarksSeen } from '@/core/looking/marks';
import { labelsOf } from '@/core/looking/passages';
import type { Photo, Point, Raster } from '@/core/looking/photo';
import { gradedOf } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import { passageHistogram, passageValues } from '@/core/looking/values';
import { lightnessOf } from '@/core/optics/colour';
import {
  cornersRequestSchema,
  lookRequestSchema,
  mapRequestSchema,
  stepRequestSchema,
  type CornersReply,
  type LookReply,
  type LookRequest,
  type MapReply,
  type StepReply,
} from './looking-protocol';
import { replyLater, type Reply } from './protocol';

/** Decodes a JPEG; the browser's own means, handed in so that the rest runs anywhere. */
export type Decode = (jpeg: string) => Promise<Photo>;

/** Marks are looked for on a picture of this size: a brush of a millimetre is still a pixel of a metre. */
const MARKS_PX = 1200;

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

/** Marks finer than a brush, and what is left of them from afar; 0 m: from near. */
function marksOf(raster: Raster, brushMm: number, distanceM: number): MarksSeen {
  const small = shrunk(raster, MARKS_PX);
  const far = distanceM > 0 ? viewFrom(small, distanceM).map(lightnessOf) : small.L;
  return marksSeen(small.L, far, small.width, small.height, brushMm * small.pxPerMm);
}

/** How sure a place is that a finger has set, px of the photo. */
const tapSigma = ({ width }: Picture): number =>
  Math.max(LOOKING.loupeSigmaPx, width / LOOKING.tapScreenPx);

/** The passages that are outlined and still there, as they are meant. */
const passagesOf = ({
  looking,
  passageIds,
}: Pick<LookRequest, 'looking' | 'passageIds'>): PassageAsked[] =>
  looking.outlines
    .filter((o) => passageIds.includes(o.id))
    .map((o) => {
      const { departs } = intentOf(looking, o.id);
      return {
        id: o.id,
        rings: o.rings,
        above: o.above,
        ...(departs !== null && { departure: departs === 'free' ? departs : { L: departs } }),
        ...(intentOf(looking, o.id).graded && { graded: true as const }),
      };
    });

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

  return {
    look: (raw: unknown, onProgress?: (share: number) => unknown): Promise<Reply> =>
      replyLater(async (): Promise<LookReply> => {
        const request = lookRequestSchema.parse(raw);
        const { support, work, looking } = request;
        const own = passagesOf(request);
        const design = request.design ? await prepared(request.design, support) : null;
        void onProgress?.(0.2);
        const designLabels = design && labelsOf(design.raster, own);
        const meant = design ? passageValues(design.raster, designLabels!) : [];
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
            viewM: request.viewM,
            cornerSigmaPx: work.picture.onEdges ? LOOKING.snappedSigmaPx : tapSigma(work.picture),
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
        const labels = labelsOf(now.raster, own);
        const before = request.before && (await prepared(request.before, support));
        return {
          looked,
          design: meant,
          change: before && changed(before, now, own),
          beforeLevel: before && before.trust.level,
          designGraded: design
            ? own.flatMap((p, i) => {
                if (!p.graded) return [];
                const profile = profileOf(design.raster, designLabels!, i);
                return profile.length < 3 ? [] : [{ id: p.id, ...gradedOf(profile) }];
              })
            : [],
          histograms: own.map((p, i) => ({
            id: p.id,
            work: passageHistogram(now.raster, labels, i),
            design: design && passageHistogram(design.raster, designLabels!, i),
          })),
          marks:
            request.brushMm === null
              ? null
              : marksOf(now.raster, request.brushMm, request.distancesM[0] ?? 0),
        };
      }),

    map: (raw: unknown): Promise<Reply> =>
      replyLater(async (): Promise<MapReply> => {
        const asked = mapRequestSchema.parse(raw);
        const { raster } = await prepared(asked.shot, asked.support);
        const against = asked.against && (await prepared(asked.against, asked.support)).raster;
        return mapOf(raster, asked, against);
      }),

    corners: (raw: unknown): Promise<Reply> =>
      replyLater(async (): Promise<CornersReply> => {
        const { support, jpeg, corners } = cornersRequestSchema.parse(raw);
        const photo = await decode(jpeg);
        const share = ([x, y]: Point): Point => [x / photo.width, y / photo.height];
        const snapped =
          corners === null
            ? proposeCorners(photo, support)
            : snapCorners(
                photo,
                corners.map(([x, y]): Point => [x * photo.width, y * photo.height]),
              );
        return snapped
          ? { corners: snapped.corners.map(share), found: snapped.found }
          : { corners: null, found: false };
      }),

    step: (raw: unknown): Promise<Reply> =>
      replyLater(async (): Promise<StepReply> => {
        const request = stepRequestSchema.parse(raw);
        const own = passagesOf(request);
        const before = request.before && (await prepared(request.before, request.support));
        const now = await prepared(request.now, request.support);
        return {
          values: passageValues(now.raster, labelsOf(now.raster, own)),
          level: now.trust.level,
          change: before && changed(before, now, own),
        };
      }),
  };
}
export type Looker = ReturnType<typeof looker>;
