import { verdictOf, type AssessOptions, type Coat, type Layer } from '../painting';
import { SCHOOL_KEYS, type SchoolKey } from '../schools';
import { passes, trial } from './trial';
import type { Repair, RepairKind, RepairRequest } from './types';

/** What every repair begins with; each kind fills in what it knows. */
export const blank = (
  kind: RepairKind,
  changed: Coat,
  before: Layer,
  layers: Layer[],
  school: SchoolKey,
) => ({
  kind,
  coatId: changed.id,
  changed,
  moveBy: 0 as const,
  parts: null,
  ingredient: null,
  partsOf: 'medium' as const,
  mlPer10MlPaint: null,
  fromMs: null,
  figureAfter: layers[0]?.pair?.bySchool[school].upper ?? null,
  touchDryDaysBefore: before.times.touch.median,
  touchDryDaysAfter: layers[0]?.times.touch.median ?? before.times.touch.median,
});

/** The coat as it fails now. */
export interface Before {
  layer: Layer;
  all: Layer[];
}

/** A changed coat as a repair: what it satisfies, what it costs in drying; null where it does not hold after all. */
export function describe(
  request: RepairRequest,
  before: Before,
  kind: RepairKind,
  changed: Coat,
  options: AssessOptions,
): Repair | null {
  const { layers, passes: mended, sound } = trial(request, changed, options, before.all);
  if (!layers[0] || !mended || !sound) return null;
  return {
    ...blank(kind, changed, before.layer, layers, request.school),
    satisfies: SCHOOL_KEYS.filter((school) => layers.every((l) => passes(l, school))),
  };
}

/** What a school accepts after waiting: over a thin lean stain a refusal becomes a note. */
const ACCEPTED = new Set(['ok', 'note', 'not-applicable']);
/** Whether a school finds nothing wrong with any of these layers. */
export const accepted = (layers: Layer[], school: SchoolKey): boolean =>
  layers.every((l) => ACCEPTED.has(verdictOf(l, school)?.verdict ?? 'ok'));
