import { REPAIRS } from '@/data/repairs';
import { verdictOf, type AssessOptions, type Making, type Painting } from '../painting';
import { CoreError } from '../errors';
import { issuesOf } from '../issues';
import { coatSchema } from '../painting/schema';
import { changeCoat, moveCoat } from '../painting/coats';
import { otherOrder, thicker, thinner, waitThroughDry } from './by-laying';
import { addOil, leanerBelow, lessMedium, moreMedium } from './by-medium';
import type { Before } from './describe';
import { layersOf } from './trial';
import type { Repair, RepairKind, RepairRequest } from './types';

const TOUCHES_OTHERS: ReadonlySet<RepairKind> = new Set(['leaner-below', 'other-order']);
const weight = (repair: Repair): number => {
  if (repair.kind === 'wait-through-dry') return REPAIRS.waitWeighsMl;
  if (TOUCHES_OTHERS.has(repair.kind)) return Infinity;
  return repair.mlPer10MlPaint ?? 0;
};

/** Put a repair into the painting. Throws `invalid-coat` where what came of it is no coat that could be entered. */
export function applyRepair(
  painting: Painting,
  repair: Repair,
  making: Pick<Making, 'now'>,
): Painting {
  if (repair.moveBy !== 0) return moveCoat(painting, repair.coatId, repair.moveBy, making);
  const parsed = coatSchema.safeParse(repair.changed);
  if (parsed.success) return changeCoat(painting, parsed.data, false, making);
  const [issue] = issuesOf(parsed.error);
  throw new CoreError('invalid-coat', issue!.where, `The cure would not hold: ${issue!.message}`);
}

const FAILS = new Set(['fail', 'caution', 'undecided']);

/**
 * Changes that make a planned coat pass its painting's school wherever it lies, smallest first.
 * Amounts are solved by bisection on the whole assessment (ground loss, merging and all passages
 * included) and rounded up to what can be measured. Every repair keeps the cap on medium (a third; lifted for glazes of at most 20 um),
 * reduced PVC of at least 0.45, and adds nothing that a compatibility rule refuses.
 * An empty list is an answer: there is no sound repair.
 */
export function repairsFor(request: RepairRequest, options: AssessOptions): Repair[] {
  const coat = request.painting.coats.find((c) => c.id === request.coatId);
  if (!coat || coat.recipe.material !== undefined) return [];
  const all = layersOf(request.painting, coat.id, options);
  const layer = all.find((l) => FAILS.has(verdictOf(l, request.school)?.verdict ?? 'ok'));
  if (!layer) return [];
  const before: Before = { layer, all };
  const found = [
    waitThroughDry(request, coat, before, options),
    addOil(request, coat, before, options),
    moreMedium(request, coat, before, options),
    lessMedium(request, coat, before, options),
    thicker(request, coat, before, options),
    thinner(request, coat, before, options),
    leanerBelow(request, before, options),
    otherOrder(request, before, options),
  ].filter((r): r is Repair => r !== null);
  return found.sort((a, b) => (weight(a) === weight(b) ? 0 : weight(a) - weight(b)));
}
