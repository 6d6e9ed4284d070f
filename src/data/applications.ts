import type { Confidence } from './constants';

/** Dry film thickness by the way paint is put on, um: typical and usual range. */
export interface Application {
  key: ApplicationKey;
  name: string;
  typicalUm: number;
  rangeUm: [number, number];
  source: string;
  confidence: Confidence;
}

export const APPLICATION_KEYS = [
  'stain',
  'scrub-in',
  'glaze',
  'scumble',
  'brush-coat',
  'knife',
  'impasto',
  'rubbed-on',
] as const;
export type ApplicationKey = (typeof APPLICATION_KEYS)[number];

const SOURCE = "from practice, coverage of painters' coats; from memory";
const app = (
  key: ApplicationKey,
  name: string,
  typicalUm: number,
  rangeUm: [number, number],
  confidence: Confidence = 'low',
): Application => ({
  key,
  name,
  typicalUm,
  rangeUm,
  source: SOURCE,
  confidence,
});

export const APPLICATIONS: Record<ApplicationKey, Application> = {
  stain: app('stain', 'stain', 8, [3, 15]),
  'scrub-in': app('scrub-in', 'scrub-in', 20, [10, 30]),
  glaze: app('glaze', 'glaze', 15, [5, 30], 'medium'),
  scumble: app('scumble', 'scumble', 20, [10, 30]),
  'brush-coat': app('brush-coat', 'brush coat', 75, [50, 150], 'medium'),
  knife: app('knife', 'knife', 300, [150, 500]),
  impasto: app('impasto', 'impasto', 1000, [500, 5000], 'medium'),
  'rubbed-on': app('rubbed-on', 'rubbed on and wiped', 2, [1, 6]),
};

/** What is left of a film after it was wiped, scraped or painted out. */
export const LEFT_FRACTION = {
  all: { value: 1, source: 'by definition' },
  half: { value: 0.5, source: 'by definition' },
  trace: { value: 0.05, source: 'judgement: a stain in the hollows of the surface' },
} as const;
export type Left = keyof typeof LEFT_FRACTION;
