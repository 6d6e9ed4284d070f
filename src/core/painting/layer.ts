import type {
  Climate,
  DryingClock,
  DryingTimes,
  DryingWindows,
  DryState,
  StudioAir,
} from '../drying';
import { isDrawing, type Composition, type Constituents } from '../film';
import type { Handbook } from '../handbook';
import type { Features, Learned } from '../learn';
import { measureOf, type JudgedFilm, type SchoolKey, type SchoolVerdict } from '../schools';
import type { Finding, RuleSite } from '../rules';
import type { Cover } from './pair';
import type { Film } from './reduce';
import type { Onto, Painting, Passage } from './schema';
import type { Site } from './sites';

/** How an upper film stands to the one below. */
export interface PairAssessment {
  /** Key of the film it is judged against; null on gesso. Differs from the film just below when a thin dry couch lies between. */
  againstKey: string | null;
  againstName: string;
  /** Where a school looks through more than a couch: what it is held to instead. */
  againstBySchool: Partial<Record<SchoolKey, { key: string; name: string }>>;
  lowerTouchDry: boolean;
  lowerThroughDry: boolean;
  /** A couch too thin to be judged lies between the two. */
  overThinCouch: boolean;
  /** Planned into a film that is open now: the two will be one, and nothing is judged between them. */
  intoOpen: boolean;
  /** Planned into the wet, but the film below is open no longer. */
  missedWet: boolean;
  /** How badly the lower film is shut in; null where it is not known. */
  trapIndex: number | null;
  bySchool: Record<SchoolKey, SchoolVerdict>;
}

/** A film in its place: what it is, how it dries, what lies below when it goes on. Nothing is judged yet. */
export interface PlacedFilm {
  readonly film: Film;
  readonly planned: boolean;
  readonly onto: Onto | null;
  /** After ground loss and removals: what the schools judge. */
  readonly kept: Constituents;
  readonly composition: Composition;
  readonly thicknessUm: number;
  readonly times: DryingTimes;
  /** The same as the schools see it. */
  readonly judged: JudgedFilm;
  /** Its dose over time, as it lies; null while planned. */
  readonly clock: DryingClock | null;
  /** What the learning calls it. */
  readonly evidenceId: string;
  readonly state: DryState | 'planned';
  readonly coveredAtMs: number | null;
  /** What it shares with other films that dry alike; worked out when a test asks. */
  readonly featuresOf: () => Features;
  /** The film below at the moment this one goes on. */
  readonly cover: Cover;
}

/** A film with everything that is known of it at one moment. */
export interface Layer extends PlacedFilm {
  readonly windows: DryingWindows | null;
  /** What it shares with other films that dry alike. Asked for only where a test is. */
  readonly features: Features;
  /** What the compatibility rules say to it, gravest first. */
  readonly findings: Finding[];
  /** Null for the lowest film on gesso. */
  readonly pair: PairAssessment | null;
}

export interface SiteStack {
  site: Site;
  layers: Layer[];
}

export interface PassageAssessment {
  passage: Passage;
  base: SiteStack;
  spots: SiteStack[];
}

export interface PaintingAssessment {
  painting: Painting;
  groundReadyAtMs: number | null;
  passages: PassageAssessment[];
}

export interface AssessOptions {
  handbook: Handbook;
  /** The air as it is now: what the rules go by. */
  climate: Climate;
  /** The air over time; always as it is now when absent. */
  air?: StudioAir;
  /** What touch tests have taught; the tables alone when absent. */
  learned?: Learned | null;
  nowMs: number;
  /** How the rules are asked; the usual way when absent. */
  judge?: (site: RuleSite) => Finding[];
}

/** The verdict of one school on a layer; null where there is nothing to compare (first film on gesso, one film). */
export const verdictOf = (layer: Layer, school: SchoolKey): SchoolVerdict | null =>
  layer.pair && !layer.pair.intoOpen ? layer.pair.bySchool[school] : null;

/** The film that a school holds a layer to: its key and name; null where there is none. */
export const againstOf = (
  { pair }: Layer,
  school: SchoolKey,
): { key: string | null; name: string } | null =>
  pair && (pair.againstBySchool[school] ?? { key: pair.againstKey, name: pair.againstName });

/** Width of the layer's step in the stair of a school; null where the school has no figure. */
export const stairWidth = (layer: Layer, school: SchoolKey): number | null =>
  measureOf(school, layer.judged);

/** The highest film that has been laid; null on a bare ground. */
export const topLaid = (stack: SiteStack): Layer | null =>
  stack.layers.filter((layer) => !layer.planned).at(-1) ?? null;

/** Whether a laid film was still open at a time: paint laid then goes into it, not onto it. By the median. */
export function openAt(layer: Layer, ms: number): boolean {
  const { laidAtMs } = layer.film;
  if (isDrawing(layer.film.asLaid)) return false;
  const until = layer.windows?.openUntil.p50;
  if (laidAtMs === null || layer.film.coatIds.length === 0 || ms < laidAtMs) return false;
  // Without an end (drying stands still) it stays open.
  return until === null || until === undefined || ms < until;
}

/** Whether a laid film was past open, but not yet touch-dry, at a time: a stroke then would lift it. */
export function liftsAt(layer: Layer, ms: number): boolean {
  const { laidAtMs } = layer.film;
  if (isDrawing(layer.film.asLaid)) return false;
  if (laidAtMs === null || layer.film.coatIds.length === 0 || ms < laidAtMs) return false;
  const dry = layer.windows?.touchDry.p50 ?? Infinity;
  return !openAt(layer, ms) && ms < dry;
}

/** The coat to come next. */
export const nextPlanned = (stack: SiteStack): Layer | null =>
  stack.layers.find((layer) => layer.planned) ?? null;

const WIPES_OFF: ReadonlySet<Layer['state']> = new Set(['open', 'setting', 'tacky']);

/** Whether a film still came off with a rag at the hour it is looked at. What has set has to be scraped or sanded. */
export const wipesOff = (top: Layer): boolean => WIPES_OFF.has(top.state);
