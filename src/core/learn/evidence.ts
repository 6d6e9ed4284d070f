import { z } from 'zod';
import { FINDINGS } from '@/data/learning';

/** One look at a film: the dose it had had, and what the finger found. */
export const testEvidenceSchema = z.object({
  id: z.string(),
  atMs: z.number(),
  /** Reference-days the film had had; a test at dose 0 says nothing. */
  dose: z.number().nonnegative(),
  finding: z.enum(FINDINGS),
  /** A thumb twist on a witness dab that left a mark: not dry through. */
  twistMarks: z.boolean(),
});
export type TestEvidence = z.infer<typeof testEvidenceSchema>;

/** A film that was tested: what the tables say of it, what it is made of, and its tests. */
export const filmEvidenceSchema = z.object({
  id: z.string(),
  laidAtMs: z.number(),
  /** Median doses of the tables, reference-days, and the spread of their logarithms. */
  touch: z.object({ median: z.number().positive(), sigma: z.number().positive() }),
  through: z.object({ median: z.number().positive(), sigma: z.number().positive() }),
  /** Where it turns from set to tacky, as a share of touch-dry; as most films where it is not said. */
  setOverTouch: z.number().positive().max(1).optional(),
  /** Up to where it is open, likewise. */
  openOverTouch: z.number().positive().max(1).optional(),
  features: z.record(z.string(), z.number()),
  tests: z.array(testEvidenceSchema),
});
export type FilmEvidence = z.infer<typeof filmEvidenceSchema>;
