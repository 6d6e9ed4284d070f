import { BINDERS } from '@/data/binders';
import { tubeConstituents, tubePaint, type OwnTube, type TubePart } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { OIL_COLOUR, type Swatches } from './composition';
import type { OpticalPaint } from './paint';

/** A tube without its parts: of the table, or the painter's own. */
export type PaintTube = { own: OwnTube } | Omit<Extract<TubePart, { pigment: string }>, 'parts'>;

/** A tube as colour: pigment solids by volume of the film core, the painter's swatches, the colour of its binder. */
export function opticalPaint(tube: PaintTube, swatches: Swatches): OpticalPaint {
  const solids = tubeConstituents(STUDIO_HANDBOOK, tube, 1);
  const { key, binder: ground } = tubePaint(STUDIO_HANDBOOK, tube);
  const correction = swatches.get(key)?.correction;
  const { kind, oil } = BINDERS[ground];
  const binder = kind === 'oil' ? (oil ? OIL_COLOUR[oil] : 'linseed') : kind;
  return { pigments: solids.pigments, binder, ...(correction && { correction }) };
}
