import { CORRECTIONS } from '@/data/corrections';
import { MATERIALS } from '@/data/materials';
import type { MediumPart } from '../film';
import { layCoat } from './events';
import { coatOf, type Making } from './making';
import { addCoat } from './coats';
import type { Coat, Painting } from './schema';

/** Corrections that put something on, besides those that take something away (`reduceFilm`). */
export const ADDED_CORRECTIONS = ['redrawn', 'oiled-out'] as const;
export type AddedCorrection = (typeof ADDED_CORRECTIONS)[number];

const OILING_OUT: MediumPart[] = [
  { parts: 1, ingredient: 'linseed-refined' },
  { parts: 2, ingredient: 'mineral-spirits' },
];

const coatFor = (kind: AddedCorrection, id: string, passageId: string): Coat => ({
  id,
  name: kind === 'redrawn' ? 'Drawing again' : 'Oiling out',
  role: kind === 'redrawn' ? 'drawing' : 'oiling-out',
  passageIds: [passageId],
  recipe:
    kind === 'redrawn'
      ? {
          mix: [],
          medium: [],
          mediumShare: 0,
          thicknessUm: MATERIALS.graphite.typicalUm,
          material: 'graphite',
        }
      : { mix: [], medium: OILING_OUT, mediumShare: 1, thicknessUm: CORRECTIONS.oilingOutUm },
  application: 'rubbed-on',
  onto: 'touch-dry',
  spot: null,
});

/** Draw a passage again, or oil it out: a coat put into the plan before what is still to come, and laid at once. */
export function correctPassage(
  painting: Painting,
  kind: AddedCorrection,
  passageId: string,
  at: string,
  making: Making,
): Painting {
  const laidIds = new Set(painting.events.flatMap((e) => (e.kind === 'laid' ? [e.coatId] : [])));
  const last = painting.coats.filter((c) => laidIds.has(c.id)).at(-1);
  const coat = coatFor(kind, making.newId(), passageId);
  const planned = addCoat(painting, coat, last?.id ?? null, making);
  return layCoat(
    planned,
    {
      coatId: coatOf(planned, coat.id).id,
      passageIds: [passageId],
      at,
      spot: null,
      intoWet: false,
    },
    making,
  );
}
