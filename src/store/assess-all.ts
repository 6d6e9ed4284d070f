import {
  assessPainting,
  type AssessOptions,
  type Painting,
  type PaintingAssessment,
} from '@/core/painting';
import { isAtRest, onlyLater } from '@/core/painting/at-rest';
import { rememberLast } from '@/core/remember';
import { inSlices } from './in-slices';

/** Drying does not move faster: what was judged this long ago still holds of a painting to which nothing was done. */
const FRESH_MS = 60_000;

/**
 * The last assessment of a painting, for all screens: a tap changes one painting, not two hundred, and a picture whose
 * films are all dry is not judged anew because time has gone by.
 */
export const assessOne = rememberLast(
  'assessment',
  (painting: Painting, options: AssessOptions): PaintingAssessment =>
    assessPainting(painting, options),
  (was, now, assessment) =>
    onlyLater(was, now) && (now.nowMs - was.nowMs < FRESH_MS || isAtRest(assessment)),
);

export const assessAll = (paintings: Painting[], options: AssessOptions): PaintingAssessment[] =>
  paintings.map((p) => assessOne(p, options));

/** Judges all paintings bit by bit, so that whoever asks for all of them at once need not wait for it. */
export async function assessAhead(paintings: Painting[], options: AssessOptions): Promise<void> {
  const each = function* () {
    for (const painting of paintings) yield assessOne(painting, options);
  };
  await inSlices(each());
}
