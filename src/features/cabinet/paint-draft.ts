import { z } from 'zod';
import { shortPigmentName, type CabinetPaint } from '@/core/cabinet';
import { cabinetPaintSchema } from '@/core/cabinet/schema';

export const newPaint = (id: string): CabinetPaint => ({
  id,
  name: '',
  pigments: [{ pigment: 'titanium-white', parts: 1 }],
  binder: 'linseed',
  extenderShare: 0,
  tubeMl: 37,
  price: null,
  left: 1,
  oilWtPct: null,
  dryingFactor: null,
  makeUpUnknown: false,
  archived: false,
});

/** Letters that a paint's name may have. */
const NAME_MAX = 60;

/** What a paint is called that nobody named: its pigments. */
export const nameOf = (paint: { pigments: { pigment: string }[] }): string =>
  paint.pigments
    .map((p) => shortPigmentName(p.pigment))
    .join(' + ')
    .slice(0, NAME_MAX);

/** The paint as it is kept: one without a name is called by its pigments. */
export const paintFormSchema: z.ZodType<CabinetPaint> = z.preprocess((raw) => {
  const named = z.object({
    name: z.string(),
    pigments: z.array(z.object({ pigment: z.string() })),
  });
  const found = named.safeParse(raw);
  return found.success && found.data.name.trim() === ''
    ? { ...(raw as object), name: nameOf(found.data) }
    : raw;
}, cabinetPaintSchema);
