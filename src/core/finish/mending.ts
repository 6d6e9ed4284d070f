import { FINISH } from '@/data/finish';
import { correctionCoat } from '../painting/corrections';
import { nextPlanned, topLaid, type PaintingAssessment } from '../painting/layer';
import type { Bother, Coat, CoatRole } from '../painting/schema';
import { readiness } from '../today/row';
import type { BotherKind } from './vocabulary';

const ROLE: Record<BotherKind, CoatRole> = {
  value: 'overpainting',
  edge: 'overpainting',
  drawing: 'detail',
  colour: 'glaze',
  surface: 'oiling-out',
  dirt: 'overpainting',
};

const LETTERS = 60;

/**
 * A coat that mends a bother: oiling out for a surface; else the mix that lies on top of the passage, as a spot of it.
 * Null where nothing lies there to repeat: then the painter begins a coat of his own.
 */
export function mendingCoat(
  assessment: PaintingAssessment,
  bother: Bother,
  id: string,
): Coat | null {
  const { painting } = assessment;
  const passageIds = bother.passageId ? [bother.passageId] : painting.passages.map((p) => p.id);
  const name = `Mend: ${bother.text}`.slice(0, LETTERS).trim();
  if (bother.kind === 'surface')
    return { ...correctionCoat('oiled-out', id, passageIds), name, improvised: false };
  const here = assessment.passages.find((p) => p.passage.id === passageIds[0]);
  const last = here && topLaid(here.base);
  const lastCoat = painting.coats.find((c) => last?.film.coatIds.includes(c.id));
  if (!lastCoat || lastCoat.recipe.material !== undefined || lastCoat.recipe.mix.length === 0)
    return null;
  return {
    id,
    name,
    role: bother.kind ? ROLE[bother.kind] : lastCoat.role,
    passageIds,
    recipe: lastCoat.recipe,
    application: lastCoat.application,
    onto: 'touch-dry',
    spot: { name: bother.text.slice(0, LETTERS).trim(), share: FINISH.mendSpotShare },
    fineness: 'fine',
    why: bother.text,
  };
}

/** When a passage takes a coat again, ms; null where drying stands still, 0 where nothing lies there. */
export function takesACoatMs(assessment: PaintingAssessment, passageId: string): number | null {
  const here = assessment.passages.find((p) => p.passage.id === passageId);
  const top = here && topLaid(here.base);
  if (!top) return 0;
  return readiness(nextPlanned(here.base)?.onto ?? null, top);
}
