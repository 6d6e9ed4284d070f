import type { Studio } from '@/core/formats';
import type { Support } from '@/core/painting';

/** Sizes are kept in mm and shown in the painter's unit. An inch is 25.4 mm by definition. */
export const MM_PER: Record<Studio['units'], number> = { cm: 10, inch: 25.4 };

const tidy = (value: number): string => String(Number(value.toFixed(1)));

/** "50 × 40 cm", "20 × 16 in". */
export function sizeWords(support: Support, units: Studio['units']): string {
  const of = (mm: number) => tidy(mm / MM_PER[units]);
  return `${of(support.widthMm)} × ${of(support.heightMm)} ${units === 'inch' ? 'in' : 'cm'}`;
}
