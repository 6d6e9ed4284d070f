import { BINDERS } from '@/data/binders';
import type { ColouredBinder } from '@/data/optics';
import { binderOfPart, tubeConstituents, tubeKey, type OwnTube, type TubePart } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import type { Swatches } from './composition';
import type { OpticalPaint } from './paint';

/** A tube without its parts: of the table, or the painter's own. */
export type PaintTube = { own: OwnTube } | Omit<Extract<TubePart, { pigment: string }>, 'parts'>;

const COLOURED: Partial<Record<string, OpticalPaint['binder']>> = {
  walnut: 'walnut',
  poppy: 'poppy',
  safflower: 'safflower',
  'sun-thickened': 'sun-thickened',
};

/** A tube as colour: pigment solids by volume of the film core, the painter's swatches, the colour of its binder. */
export function opticalPaint(tube: PaintTube, swatches: Swatches): OpticalPaint {
  const solids = tubeConstituents(STUDIO_HANDBOOK, tube, 1);
  const key = 'own' in tube ? `own:${tube.own.id}` : tubeKey(tube.pigment, tube.binder);
  const correction = swatches.get(key)?.correction;
  const { kind, oil } = BINDERS[binderOfPart({ ...tube, parts: 1 } as TubePart)];
  const binder: ColouredBinder & NonNullable<OpticalPaint['binder']> =
    kind === 'oil' ? (COLOURED[oil ?? ''] ?? 'linseed') : kind;
  return { pigments: solids.pigments, binder, ...(correction && { correction }) };
}
