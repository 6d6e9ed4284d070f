import {
  belowOnGround,
  withFilm,
  type BelowSummary,
  type Finding,
  type RuleFilm,
  type RuleSite,
} from '../rules';
import { failedTest } from '../finish/tests';
import { judgedLayer, placeFilm } from './assess-layer';
import { contextOf, type Context } from './context';
import type { AssessOptions, Layer, PaintingAssessment, PlacedFilm, SiteStack } from './layer';
import { pairOf } from './pair';
import { filmsOf, type Stack } from './reduce';
import type { Painting } from './schema';
import { historyAt, historyOf, inTimeOrder, sitesOf, type Site } from './sites';

const ruleFilm = (context: Context, layer: PlacedFilm): RuleFilm => ({
  key: layer.film.key,
  name: layer.film.name,
  role: layer.film.role,
  kept: layer.kept,
  composition: layer.composition,
  thicknessUm: layer.thicknessUm,
  couchUm: layer.film.couchUm,
  times: layer.times,
  traits: context.traitsOf(layer.kept),
  planned: layer.planned,
  laidAtMs: layer.film.laidAtMs,
  onto: layer.onto,
  lossFraction: layer.film.lossFraction,
  sanded: layer.film.reductions.some((r) => r.how === 'sanded'),
  overruled: layer.film.overruled,
});

/** A film in its place, whatever comes above it but the time it is covered. */
interface Placed {
  layer: Layer;
  film: RuleFilm;
  /** What the rules are told of everything below the next film. */
  above: BelowSummary;
}

/** Where a film lies, as far as it changes what is said: the same for many sites. */
interface Place {
  coveredAtMs: number | null;
  top: boolean;
  large: boolean;
}

function findingsOf(
  context: Context,
  { placed, film, pair }: { placed: PlacedFilm; film: RuleFilm; pair: Layer['pair'] },
  layers: Layer[],
  below: BelowSummary,
  { top, large }: Place,
): Finding[] {
  const { handbook, climate, painting, nowMs, groundReadyAtMs } = context;
  const { cover } = placed;
  const lower = layers.at(-1);
  const atMs = placed.film.laidAtMs ?? nowMs;
  return context.judge({
    handbook,
    climate,
    support: painting.support,
    ground: painting.ground,
    groundReadyAtMs,
    large,
    film,
    below,
    lowerTouchDry: cover.touchDry,
    lowerThroughDry: pair?.lowerThroughDry ?? cover.throughDry,
    lowerTouchRatio: lower ? cover.dose / lower.times.touch.median : Infinity,
    lowerReaches: reaches(context, lower),
    // Asked by one rule in a few places: the clock of the body is looked for then.
    bodyHasHad: (dose) => {
      const body = layers.findLast((l) => l.film.key === below.body?.key);
      return hasHad(context, body)?.(dose) ?? null;
    },
    lastToReach: (doseOf) => lastToReach(layers, doseOf, atMs),
    trapIndex: pair?.trapIndex ?? null,
    failedTest: failedTest(context.painting, atMs),
    atMs,
    top,
    intoOpen: pair?.intoOpen ?? false,
  });
}

/** Of the laid oil films on each other, the one that is the last to have had a dose of its own. */
function lastToReach(
  layers: Layer[],
  doseOf: (times: Layer['times']) => number,
  atMs: number,
): { name: string; untilMs: number | null; dose: number } | null {
  let last: { name: string; untilMs: number | null; dose: number } | null = null;
  for (const { film, times, clock } of layers) {
    if (!clock || times.kind !== 'oil' || film.coatIds.length === 0) continue;
    const dose = doseOf(times);
    if (clock.doseAt(atMs) >= dose) continue;
    const untilMs = clock.timeOf(dose);
    if (last === null || (untilMs ?? Infinity) > (last.untilMs ?? Infinity))
      last = { name: film.name, untilMs, dose };
  }
  return last;
}

/** When a laid film, left alone, has had a dose. */
function hasHad(
  { air }: Context,
  layer: Layer | undefined,
): ((dose: number) => number | null) | null {
  if (!layer || layer.film.laidAtMs === null) return null;
  const clock = air.clock(layer.times.kind, layer.film.laidAtMs, null);
  return (dose) => clock.timeOf(dose);
}

/** The same in multiples of its touch-dry dose. */
function reaches(context: Context, lower: Layer | undefined): RuleSite['lowerReaches'] {
  const had = hasHad(context, lower);
  return had && lower ? (touchRatio) => had(touchRatio * lower.times.touch.median) : null;
}

interface Known extends Place, Placed {}

/**
 * Reckons films in their places, each once: two sites that share a chain of films share its layers, unless one
 * of them covers the film at another time.
 */
function placer(context: Context) {
  const known = new Map<Stack, Known[]>();
  const onGround = belowOnGround(context.painting.ground);
  return (stack: Stack, layers: Layer[], lower: Placed | null, place: Place): Placed => {
    const entries = known.get(stack) ?? [];
    const found = entries.find(
      (k) => k.coveredAtMs === place.coveredAtMs && k.top === place.top && k.large === place.large,
    );
    if (found) return found;
    const below = lower?.above ?? onGround;
    const placed = placeFilm(context, stack.film, layers, place.coveredAtMs);
    const film = ruleFilm(context, placed);
    const onOldPainting = context.painting.ground.kind === 'old-painting';
    const pair = pairOf(context, onOldPainting, layers, placed, placed.cover);
    const findings = findingsOf(context, { placed, film, pair }, layers, below, place);
    const layer = judgedLayer(context, placed, pair, findings);
    const made: Known = { layer, film, above: withFilm(below, film, context.handbook), ...place };
    known.set(stack, [...entries, made]);
    return made;
  };
}

/** Whether the same films lie on two places, as thick and as old. */
const sameFilms = (a: SiteStack, b: SiteStack): boolean =>
  a.layers.length === b.layers.length &&
  a.layers.every((layer, i) => {
    const other = b.layers[i]!;
    return (
      layer.film.key === other.film.key &&
      layer.film.laidAtMs === other.film.laidAtMs &&
      layer.thicknessUm === other.thicknessUm
    );
  });

/**
 * Everything that can be said of a painting at one moment: the films of every passage and spot, their
 * figures, state and windows, the verdict of every school on every pair and what the compatibility rules say.
 *
 * Pure: `nowMs` (ms since the epoch) and the climate are arguments. Linear in coats x passages.
 */
export function assessPainting(painting: Painting, options: AssessOptions): PaintingAssessment {
  const context = contextOf(painting, options);
  const ordered = inTimeOrder(painting.events);
  const placed = placer(context);
  const assessSite = (
    site: Site,
    history: ReturnType<typeof historyOf>,
    share: number,
  ): SiteStack => {
    const { events, planned } = historyAt(history, site);
    const films = filmsOf(context.stacks.stackOf(events, planned));
    const large = site.share * share >= context.handbook.constants.largeShare;
    const layers: Layer[] = [];
    let lower: Placed | null = null;
    films.forEach((stack, i) => {
      const above = films[i + 1];
      lower = placed(stack, layers, lower, {
        coveredAtMs: above?.film.laidAtMs ?? null,
        top: above === undefined,
        large,
      });
      layers.push(lower.layer);
    });
    return { site, layers };
  };
  return {
    painting,
    groundReadyAtMs: context.groundReadyAtMs,
    passages: painting.passages.map((passage) => {
      const history = historyOf(painting, passage.id, ordered);
      const [base, ...spots] = sitesOf(passage.id, history).map((site) =>
        assessSite(site, history, passage.share),
      );
      // A part that became one film with the rest is no place of its own any more.
      return { passage, base: base!, spots: spots.filter((spot) => !sameFilms(spot, base!)) };
    }),
  };
}
