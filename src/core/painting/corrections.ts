import { CORRECTIONS } from '@/data/corrections';
import { MATERIALS } from '@/data/materials';
import type { MediumPart } from '../film';
import type { Coat } from './schema';

/** Corrections that put something on, besides those that take something away (`reduceFilm`). */
export const ADDED_CORRECTIONS = ['redrawn', 'oiled-out'] as const;
export type AddedCorrection = (typeof ADDED_CORRECTIONS)[number];

const OILING_OUT: MediumPart[] = [
  { parts: 1, ingredient: 'linseed-refined' },
  { parts: 2, ingredient: 'mineral-spirits' },
];

/** The coat that drawing a passage again, or oiling it out, is. */
export const correctionCoat = (kind: AddedCorrection, id: string, passageIds: string[]): Coat => ({
  id,
  name: kind === 'redrawn' ? 'Drawing again' : 'Oiling out',
  role: kind === 'redrawn' ? 'drawing' : 'oiling-out',
  passageIds,
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
