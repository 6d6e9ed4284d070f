import type { Looking } from './schema';

/** What a painting keeps of its pictures before there is one. Apart from the schema: the first page needs no schemas. */
export const NO_LOOKING: Looking = {
  pictures: [],
  outlines: [],
  intents: [],
  borders: [],
  points: [],
};
