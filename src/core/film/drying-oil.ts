export interface UnsaturatedAcidsPct {
  oleic: number;
  linoleic: number;
  linolenic: number;
}

/**
 * Drying index: linoleic % + 2 linolenic %. Greaves, Oil and Colour Trades Journal (1948), repeated in
 * Wicks, Jones & Pappas; from memory. For unpolymerised oils only.
 */
export const dryingIndex = (acids: Pick<UnsaturatedAcidsPct, 'linoleic' | 'linolenic'>): number =>
  acids.linoleic + 2 * acids.linolenic;

/** Over 70 drying, 50-70 semi-drying, below non-drying (the lower bound is a judgement). */
export const dryingClass = (index: number): 'drying' | 'semi-drying' | 'non-drying' =>
  index > 70 ? 'drying' : index >= 50 ? 'semi-drying' : 'non-drying';

/** Iodine value, g I2 per 100 g, from the acids as triglycerides: the AOCS Cd 1c-85 calculation; from memory. */
export const iodineValue = (acids: UnsaturatedAcidsPct): number =>
  0.86 * acids.oleic + 1.732 * acids.linoleic + 2.616 * acids.linolenic;
