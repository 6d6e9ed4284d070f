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
  'finger',
  'rag',
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
  finger: app('finger', 'with the finger', 30, [10, 80]),
  rag: app('rag', 'with a rag', 10, [3, 25]),
};

/** What is left of a film after it was wiped, scraped or painted out. */
export const LEFT_FRACTION = {
  all: { value: 1, source: 'by definition' },
  half: { value: 0.5, source: 'by definition' },
  trace: { value: 0.05, source: 'judgement: a stain in the hollows of the surface' },
  nothing: { value: 0, source: 'by definition: wiped clean' },
} as const;
export type Left = keyof typeof LEFT_FRACTION;

/** What paint is taken off with. */
export const REMOVAL_TOOLS = ['rag', 'finger', 'wipe-out-tool', 'brush', 'knife'] as const;
export type RemovalTool = (typeof REMOVAL_TOOLS)[number];
