import { z } from 'zod';
import { type Painting } from '@/core/painting';
import { paintingSchema } from '@/core/painting/schema';
import type { Particulars } from '@/core/painting/coats';

export const particularsOf = ({ title, passages, touches }: Particulars): Particulars => ({
  title,
  passages,
  touches,
});

/** The rules for a painting's particulars are those of the whole painting that they are part of. */
export const particularsSchema = (painting: Painting): z.ZodType<Particulars> =>
  z
    .custom<Particulars>()
    .transform((typed) => ({ ...painting, ...typed }))
    .pipe(paintingSchema)
    .transform(particularsOf);
