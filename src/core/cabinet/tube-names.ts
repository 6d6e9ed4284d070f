import { BINDERS } from '@/data/binders';
import type { OwnTube } from '../film';
import { colourIndexOf, pigmentRow, shortPigmentName } from './paints';

/** A tube of the table, or one of the painter's own, whatever its parts. */
export type Tube = { own: OwnTube } | { pigment: string; binder: keyof typeof BINDERS };

export const tubeName = (tube: Tube): string =>
  'own' in tube ? tube.own.name : shortPigmentName(tube.pigment);

export const tubeCodes = (tube: Tube): string =>
  'own' in tube ? colourIndexOf(tube.own) : (pigmentRow(tube.pigment)?.ci ?? '');

export const tubeBinder = (tube: Tube): string =>
  BINDERS['own' in tube ? tube.own.binder : tube.binder].name;

export const tubePigments = (tube: Tube): { pigment: string; parts: number }[] =>
  'own' in tube ? tube.own.pigments : [{ pigment: tube.pigment, parts: 1 }];
