import { REPAIRS } from '@/data/repairs';
import type { IngredientKey } from '@/data/ingredients';
import { constantAir, openDose, quantileOf, type LogNormal } from '../drying';
import { verdictOf, type AssessOptions, type Coat, type Layer } from '../painting';
import type { Severity } from '../rules/severity';
import { SCHOOL_KEYS, type SchoolKey } from '../schools';
import { volumeOfPart, withMoreOf } from './amounts';
import { firstPassing } from './solve';
import { thicknessRange } from './by-laying';
import { aroundCoat, soundFilm, withCoat, type Around } from './trial';
import type { RepairRequest } from './types';

/** A wish in time for a coat that is laid at `layAtMs`: still open until, or touch-dry by, with a chance. */
export interface Wish {
  kind: 'open-until' | 'dry-by';
  atMs: number;
  layAtMs: number;
  /** Between 0 and 1; the usual is 0.9. */
  chance: number;
}

export type WishLever = 'as-it-is' | 'thickness' | 'medium' | 'slow-oil' | 'alkyd' | 'clove-oil';

export interface WishAnswer {
  lever: WishLever;
  changed: Coat;
  ingredient: IngredientKey | null;
  /** When the wished stage is reached with the wished chance. */
  reachedAtMs: number | null;
  /** Passes the painting's school as well as before, or better. */
  holds: boolean;
  satisfies: SchoolKey[];
}

/** The dose that decides: the latest still-open moment wants a low quantile, being dry a high one. */
const decidingDose = ({ times }: Layer, wish: Wish, options: AssessOptions): LogNormal =>
  wish.kind === 'dry-by' ? times.touch : openDose(options.handbook.constants, times);

/** When the stage is reached with the wished chance, at the place where it is hardest. Null: never in this climate. */
function reachedAt(layers: Layer[], wish: Wish, options: AssessOptions): number | null {
  const air = options.air ?? constantAir(options.handbook.constants, options.climate);
  const times = layers.map((layer) => {
    const clock = air.clock(layer.times.kind, wish.layAtMs, null);
    const p = wish.kind === 'dry-by' ? wish.chance : 1 - wish.chance;
    return clock.timeOf(quantileOf(decidingDose(layer, wish, options), p));
  });
  if (times.length === 0 || times.includes(null)) return null;
  return wish.kind === 'dry-by'
    ? Math.max(...(times as number[]))
    : Math.min(...(times as number[]));
}

const granted = (reached: number | null, wish: Wish): boolean =>
  wish.kind === 'dry-by'
    ? reached !== null && reached <= wish.atMs
    : reached === null || reached >= wish.atMs;

const PASSING = new Set(['ok', 'note', 'not-applicable']);
const holdsBy = (layers: Layer[], school: SchoolKey): boolean =>
  layers.every((l) => PASSING.has(verdictOf(l, school)?.verdict ?? 'ok'));

interface Lever {
  lever: WishLever;
  ingredient: IngredientKey | null;
  /** How far it can be pulled, and the coat when it is. */
  max: number;
  pull(by: number): Coat;
}

/** More of an ingredient, in parts of the medium or, without one, of the paint. */
const withIngredient = (coat: Coat, ingredient: IngredientKey, parts: number): Coat => ({
  ...coat,
  recipe: withMoreOf(coat.recipe, ingredient, parts),
});

/** More of an ingredient, told as its share of the whole mixture. */
function withShareOf(coat: Coat, ingredient: IngredientKey, share: number): Coat {
  const { recipe } = coat;
  const m = recipe.mediumShare;
  const total = recipe.medium.reduce((s, p) => s + p.parts, 0);
  const rest = m * (1 - share);
  const medium =
    m === 0
      ? [{ ingredient, parts: 1 }]
      : [
          ...recipe.medium.map((p) => ({ ...p, parts: (p.parts / total) * rest })),
          { ingredient, parts: share },
        ];
  return { ...coat, recipe: { ...recipe, medium, mediumShare: m === 0 ? share : rest + share } };
}

/** @param covered something is to come on it */
function leversFor(coat: Coat, wish: Wish, covered: boolean): Lever[] {
  const { recipe } = coat;
  const h = recipe.thicknessUm;
  const withThickness = (thicknessUm: number): Coat => ({
    ...coat,
    recipe: { ...recipe, thicknessUm },
  });
  const longer = wish.kind === 'open-until';
  const [thinnest, thickest] = thicknessRange(coat);
  const thickness: Lever = {
    lever: 'thickness',
    ingredient: null,
    max: longer ? thickest - h : h - thinnest,
    pull: (by) => withThickness(longer ? h + by : h - by),
  };
  if (recipe.mix.length === 0) return [thickness];
  const mostParts = REPAIRS.mostWishedVolume / volumeOfPart(recipe);
  const medium: Lever = {
    lever: 'medium',
    ingredient: null,
    max: recipe.medium.length === 0 ? 0 : REPAIRS.mostMediumShare - recipe.mediumShare,
    pull: (by) => ({ ...coat, recipe: { ...recipe, mediumShare: recipe.mediumShare + by } }),
  };
  // In the order in which a painter would try them: oil of cloves last, and only where nothing comes on it.
  return longer
    ? [
        {
          lever: 'slow-oil',
          ingredient: 'poppy',
          max: mostParts,
          pull: (by) => withIngredient(coat, 'poppy', by),
        },
        medium,
        thickness,
        {
          lever: 'clove-oil',
          ingredient: 'clove-oil',
          max: covered ? 0 : REPAIRS.mostCloveShare,
          pull: (by) => withShareOf(coat, 'clove-oil', by),
        },
      ]
    : [
        {
          lever: 'alkyd',
          ingredient: 'alkyd-medium',
          max: mostParts,
          pull: (by) => withIngredient(coat, 'alkyd-medium', by),
        },
        medium,
        thickness,
      ];
}

/** A graver word than these is no price for an hour more. */
const BEARABLE: ReadonlySet<Severity> = new Set(['note', 'caution']);
/** What the coats to come are warned of, one by one. */
const warnings = (above: Layer[]): Set<string> =>
  new Set(
    above.flatMap((l) =>
      l.findings.filter((f) => f.severity !== 'note').map((f) => `${l.film.key} ${f.rule}`),
    ),
  );

/**
 * What to change in a planned coat so that it stays open, or is dry, when the painter wishes: a slow oil, alkyd medium,
 * share of medium, thickness as far as the way of laying goes, a trace of oil of cloves in a last coat. Each lever is
 * pulled as little as does it, found by bisection, only within the cap and what the rules allow, and never so that the
 * next coat is warned of it; those that keep the school come first, in the order in which a painter would try them.
 * An empty list is an answer: nothing sound grants it.
 */
export function wishesFor(
  request: RepairRequest,
  wish: Wish,
  options: AssessOptions,
): WishAnswer[] {
  const coat = request.painting.coats.find((c) => c.id === request.coatId);
  if (!coat || coat.recipe.material !== undefined) return [];
  const look = (c: Coat): Around => aroundCoat(withCoat(request.painting, c), c.id, options);
  const before = look(coat);
  if (before.own.length === 0) return [];
  const heldBefore = holdsBy([...before.own, ...before.above], request.school);
  const warnedBefore = warnings(before.above);
  const answer = (
    lever: WishLever,
    ingredient: IngredientKey | null,
    changed: Coat,
    { own, above }: Around,
  ): WishAnswer => ({
    lever,
    changed,
    ingredient,
    reachedAtMs: reachedAt(own, wish, options),
    holds: holdsBy([...own, ...above], request.school) || !heldBefore,
    satisfies: SCHOOL_KEYS.filter((s) => holdsBy(own, s)),
  });
  if (granted(reachedAt(before.own, wish, options), wish))
    return [answer('as-it-is', null, coat, before)];
  const gravely = (layers: Layer[]) =>
    new Set(
      layers.flatMap((l) => l.findings.filter((f) => !BEARABLE.has(f.severity)).map((f) => f.rule)),
    );
  const graveBefore = gravely(before.own);
  const sound = ({ own, above }: Around): boolean =>
    own.every((l) => soundFilm(l, options) || !before.own.every((b) => soundFilm(b, options))) &&
    [...gravely(own)].every((rule) => graveBefore.has(rule)) &&
    [...warnings(above)].every((warning) => warnedBefore.has(warning));
  return leversFor(coat, wish, before.above.length > 0)
    .flatMap(({ lever, ingredient, max, pull }): WishAnswer[] => {
      if (max <= 0) return [];
      const by = firstPassing(max, (x) =>
        granted(reachedAt(look(pull(x)).own, wish, options), wish),
      );
      if (by === null) return [];
      const after = look(pull(by));
      return sound(after) ? [answer(lever, ingredient, pull(by), after)] : [];
    })
    .sort((a, b) => Number(b.holds) - Number(a.holds));
}
