import {
  assessPainting,
  type AssessOptions,
  type Painting,
  type PaintingAssessment,
} from '@/core/painting';
import { rememberLast } from '@/core/remember';

/** The last assessment of a painting: a tap changes one painting, not two hundred. */
export const assessOne = rememberLast(
  'assessment',
  (painting: Painting, options: AssessOptions): PaintingAssessment =>
    assessPainting(painting, options),
);

export const assessAll = (paintings: Painting[], options: AssessOptions): PaintingAssessment[] =>
  paintings.map((p) => assessOne(p, options));
