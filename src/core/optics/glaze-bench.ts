import type { Age, Finish } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { dryingTimes, REFERENCE_CLIMATE, type DryingTimes } from '../drying';
import { filmOfRecipe, type Recipe } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { labOf, valueOfLab, type Lab } from './colour';
import { filmOfConstituents, type Swatches } from './composition';
import { over, plateOf, thicker, type OpticalFilm } from './films';
import { groundSpectrum } from './pigments';
import { flat, type Spectrum } from './spectrum';
import { seen } from './surface';
import { seenUneven, streaks } from './look';
import { coatsToCover, hidingUm, showsThrough, type Cover, type Through } from './hiding';
import { gradedThickness } from './coats';
import { changeOf } from './words';

/** A glaze on the bench: one mix, every thickness, over several tones. */

/** What it goes over. */
export interface Undertone {
  key: string;
  name: string;
  inner: Spectrum;
  /** As it looks now, with its own surface, where it is a place of a picture; else by its reflectance. */
  lab?: Lab;
}

export interface WedgeRow {
  key: string;
  name: string;
  /** As it is without the film. */
  before: Lab;
  /** At 0, one step, ... the whole thickness. */
  labs: Lab[];
}

/** A mix per um, whatever thickness its recipe has; null for what has no colour of its own. */
export const perUm = (recipe: Recipe, swatches: Swatches, age: Age = 'fresh'): OpticalFilm | null =>
  filmOfConstituents(filmOfRecipe(STUDIO_HANDBOOK, { ...recipe, thicknessUm: 1 }), swatches, age);

/**
 * What is seen of a mix from nothing to `mostUm`, over several undertones, laid as unevenly as `cv` says. The plates of
 * the film do not depend on what lies below, so each is worked out once.
 */
export function wedgeRows(
  film: OpticalFilm,
  undertones: readonly Undertone[],
  { mostUm, steps, finish, cv }: { mostUm: number; steps: number; finish: Finish; cv: number },
): WedgeRow[] {
  const labs = undertones.map(({ inner }) => [labOf(seen(inner, finish))]);
  const plate = { r: new Float64Array(film.kh.length), t: new Float64Array(film.kh.length) };
  const held = new Float64Array(film.kh.length);
  const thin = undertones.map(() => new Float64Array(film.kh.length));
  for (let n = 1; n <= steps; n++) {
    const um = (mostUm * n) / steps;
    for (const [pass, share] of (cv === 0 ? [1] : [1 - cv, 1 + cv]).entries()) {
      plateOf(thicker(film, um * share), plate);
      undertones.forEach(({ inner }, i) => {
        seen(over(plate, inner, held), finish, held);
        if (pass === 0) thin[i]!.set(held);
        else for (let b = 0; b < held.length; b++) thin[i]![b] = (thin[i]![b]! + held[b]!) / 2;
      });
    }
    undertones.forEach((_, i) => labs[i]!.push(labOf(thin[i]!)));
  }
  return undertones.map(({ key, name, lab }, i) => ({
    key,
    name,
    before: lab ?? labs[i]![0]!,
    labs: labs[i]!,
  }));
}

/** A row of the wedge at a thickness: between two steps straight, past the last the last. */
export function labAt({ labs }: WedgeRow, um: number, mostUm: number): Lab {
  const at = Math.min(1, Math.max(0, um / mostUm)) * (labs.length - 1);
  const low = Math.min(labs.length - 2, Math.floor(at));
  const [a, b] = [labs[low]!, labs[low + 1]!];
  return a.map((v, c) => v + (b[c]! - v) * (at - low)) as Lab;
}

/** Tones of an underpainting in greys, lightest first: Munsell values 9, 7, 5, 3 and 1. */
export const GREY_SCALE: readonly Undertone[] = (
  [
    ['light', 0.89],
    ['half', 0.66],
    ['tone', 0.36],
    ['shade', 0.13],
    ['dark', 0.02],
  ] as const
).map(([name, inner]) => ({ key: name, name, inner: flat(inner) }));

/** White as a primed ground is: for what a glaze does at its most. */
export const WHITE_TONE: Undertone = {
  key: 'white',
  name: 'white',
  inner: groundSpectrum('opaque-titanium-white'),
};

/** One generous coat against several thin ones: the same colour, other days. */
export interface CoatPlan {
  coats: number;
  um: number;
  /** Median days until the last is touch-dry, each laid when the one before is; null where drying stands still. */
  days: number | null;
}

const PLANS = [1, 2, 3, 5];

/**
 * The same thickness in one coat and in several, on a dry film. Drying by the film core.
 * @param daysOf days that a dose takes in the air of the studio
 */
export function coatPlans(
  recipe: Recipe,
  um: number,
  daysOf: (kind: DryingTimes['kind'], dose: number) => number | null,
): CoatPlan[] {
  return PLANS.filter((n) => um / n >= 1).map((coats) => {
    const each = { ...recipe, thicknessUm: um / coats };
    const film = filmOfRecipe(STUDIO_HANDBOOK, each);
    const dry = { surface: null, cure: 1 };
    const { kind, touch } = dryingTimes(STUDIO_HANDBOOK, film, um / coats, dry, REFERENCE_CLIMATE);
    return { coats, um: um / coats, days: daysOf(kind, coats * touch.median) };
  });
}

/** What a coat so thick covers, lets through and does at its edges. */
export interface BenchFacts {
  /** um at which the mix hides by the contrast of a drawdown; null where it never does. */
  hidingUm: number | null;
  cover: Cover;
  /** A charcoal line of half a millimetre under it, from arm's length. */
  line: Through;
  /** Thin and thick places of the coat as it is laid. */
  streaks: { thin: Lab; thick: Lab };
  /** The same, meant or not: 30 % thinner and thicker. */
  between: [Lab, Lab];
  /** Thickness at five stations of an even passage from nothing to this; null where lightness turns. */
  graded: number[] | null;
  /** What the coat does to warmth over the darkest tone: a veil of white cools. */
  veilWarmth: number;
}

const CHARCOAL = flat(OPTICS_BENCH.charcoalInner);
const LINE = { lineMm: OPTICS_BENCH.lineMm, distanceMm: OPTICS_BENCH.armMm };
const STATIONS = 5;

/** Facts of a mix at a thickness over what it is laid on, among the darkest and lightest tones of the bench. */
export function benchFacts(
  film: OpticalFilm,
  um: number,
  below: Spectrum,
  undertones: readonly Undertone[],
  { finish, cv }: { finish: Finish; cv: number },
): BenchFacts {
  const coat = thicker(film, um);
  const byValue = [...undertones].sort(
    (a, b) => valueOfLab(labOf(seen(a.inner, finish))) - valueOfLab(labOf(seen(b.inner, finish))),
  );
  const darkest = byValue[0]?.inner ?? CHARCOAL;
  const lightest = byValue.at(-1)?.inner ?? below;
  const at = (share: number): Lab => labOf(seenUneven(thicker(coat, share), below, finish, cv));
  return {
    hidingUm: hidingUm(film),
    cover: coatsToCover(coat, darkest, lightest),
    line: showsThrough(coat, CHARCOAL, below, LINE),
    streaks: streaks(coat, below, finish, cv),
    between: [at(1 - OPTICS_BENCH.brushedThickness), at(1 + OPTICS_BENCH.brushedThickness)],
    graded: gradedThickness(coat, um, below, STATIONS, finish),
    veilWarmth: changeOf(labOf(seen(darkest, finish)), labOf(seenUneven(coat, darkest, finish, cv)))
      .warmth,
  };
}
