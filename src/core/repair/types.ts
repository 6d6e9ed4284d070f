import type { IngredientKey } from '@/data/ingredients';
import type { Coat, Painting } from '../painting';
import type { SchoolKey } from '../schools';

export type RepairKind =
  | 'add-oil'
  | 'more-medium'
  | 'less-medium'
  | 'leaner-below'
  | 'wait-through-dry'
  | 'thicker'
  | 'thinner'
  | 'other-order';

/** A change that makes a coat pass its school, with what it costs. */
export interface Repair {
  kind: RepairKind;
  /** The coat it changes: the failing one, or the planned one below. */
  coatId: string;
  changed: Coat;
  /** other-order: the coat goes one place down in the plan. */
  moveBy: -1 | 0;
  /** add-oil: parts of the medium (or of the paint where there is no medium); else null. */
  parts: number | null;
  ingredient: IngredientKey | null;
  /** Parts of which `parts` are a part: the medium's, or the tube paint's. */
  partsOf: 'medium' | 'paint';
  /** Oil or medium to add per 10 ml of tube paint, ml; null where nothing is added. */
  mlPer10MlPaint: number | null;
  /** wait-through-dry: from when, by the median, if what lies below is laid; else null. */
  fromMs: number | null;
  /** The school's figure of the coat after the repair. */
  figureAfter: number | null;
  touchDryDaysBefore: number;
  touchDryDaysAfter: number;
  /** Every school that this pair passes afterwards. */
  satisfies: SchoolKey[];
}

export interface RepairRequest {
  painting: Painting;
  coatId: string;
  school: SchoolKey;
}
