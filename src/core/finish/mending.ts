import { FINISH } from '@/data/finish';
import { correctionCoat } from '../painting/corrections';
import { topLaid, type PaintingAssessment } from '../painting/layer';
import type { Bother, Coat } from '../painting/schema';

/** As many as a coat's and a spot's name hold. */
const LETTERS = 60;
/** Cut to a name, never through a letter of two halves. */
const cut = (text: string): string =>
  text
    .slice(0, LETTERS)
    .replace(/[\uD800-\uDBFF]$/, '')
    .trim();

/**
 * A coat that mends a bother: oiling out for a surface; else the mix that lies on top of the passage, as a spot of it.
 * Null where nothing lies there to repeat, or no passage is named: then the painter begins a coat of his own.
 */
export function mendingCoat(
  assessment: PaintingAssessment,
  bother: Bother,
  id: string,
): Coat | null {
  const { painting } = assessment;
  const { passageId } = bother;
  const name = cut(`Mend: ${bother.text}`);
  if (bother.kind === 'surface')
    return {
      ...correctionCoat(
        'oiled-out',
        id,
        passageId === null ? painting.passages.map((p) => p.id) : [passageId],
      ),
      name,
      improvised: false,
    };
  if (passageId === null) return null;
  const here = assessment.passages.find((p) => p.passage.id === passageId);
  const last = here && topLaid(here.base);
  const lastCoat = painting.coats.find((c) => last?.film.coatIds.includes(c.id));
  if (!lastCoat || lastCoat.recipe.material !== undefined || lastCoat.recipe.mix.length === 0)
    return null;
  return {
    id,
    name,
    role: bother.kind === 'drawing' ? 'detail' : lastCoat.role,
    passageIds: [passageId],
    recipe: lastCoat.recipe,
    application: lastCoat.application,
    onto: 'touch-dry',
    spot: { name: cut(bother.text), share: FINISH.mendSpotShare },
    fineness: 'fine',
    why: bother.text,
  };
}
