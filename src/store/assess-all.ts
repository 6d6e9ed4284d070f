import {
  assessPainting,
  type AssessOptions,
  type Painting,
  type PaintingAssessment,
} from '@/core/painting';

/** The last assessment of each painting, and what it was made with: a tap changes one painting, not two hundred. */
const last = new WeakMap<Painting, { options: AssessOptions; assessment: PaintingAssessment }>();

export function assessOne(painting: Painting, options: AssessOptions): PaintingAssessment {
  const known = last.get(painting);
  if (known?.options === options) return known.assessment;
  const assessment = assessPainting(painting, options);
  last.set(painting, { options, assessment });
  return assessment;
}

export const assessAll = (paintings: Painting[], options: AssessOptions): PaintingAssessment[] =>
  paintings.map((p) => assessOne(p, options));
