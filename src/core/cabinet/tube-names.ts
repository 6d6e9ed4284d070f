import { BINDERS } from '@/data/binders';
import type { OwnTube } from '../film';
import { colourIndexOf, pigmentRow, shortPigmentName } from './paints';

/** A tube of the table, or one of the painter's own, whatever its parts. */
export type Tube = { own: OwnTube } | { pigment: string; binder: keyof typeof BINDERS };

/** What a tube is called: by its own name, or its pigment. */
export const tubeName = (tube: Tube): string =>
  'own' in tube ? tube.own.name : shortPigmentName(tube.pigment);

/** Its Colour Index codes, joined by "+"; empty where the table has none. */
export const tubeCodes = (tube: Tube): string =>
  'own' in tube ? colourIndexOf(tube.own) : (pigmentRow(tube.pigment)?.ci ?? '');

/** What it is ground in, in words. */
export const tubeBinder = (tube: Tube): string =>
  BINDERS['own' in tube ? tube.own.binder : tube.binder].name;

/** What is in it, parts by volume. */
export const tubePigments = (tube: Tube): { pigment: string; parts: number }[] =>
  'own' in tube ? tube.own.pigments : [{ pigment: tube.pigment, parts: 1 }];
