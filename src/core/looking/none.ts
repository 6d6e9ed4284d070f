import type { Looking } from './schema';

/** What a painting keeps of its pictures before there is one. Apart from the schema: the first page needs no schemas. */
export const NO_LOOKING: Looking = {
  pictures: [],
  outlines: [],
  intents: [],
  borders: [],
  points: [],
};

/** How wide a finest brush may paint, mm: a rigger's hair to a house painter's. */
export const BRUSH = { least: 0.1, most: 100 } as const;

/** How much a painting keeps of each. Schema, edits and screens go by these, so that what is kept can be read again. */
export const MOST = {
  pictures: 300,
  patches: 24,
  points: 60,
  rings: 12,
  outlines: 40,
  above: 20,
  borders: 200,
} as const;
