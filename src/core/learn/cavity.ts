import { siteSd, type Fit } from './fit';
import { filmLogLikelihood, STUDIO_NOISE } from './likelihood';
import type { Site } from './problem';

/** What everything but its own tests says of the logarithm of a film's dose: a normal for each spread of a coat. */
export interface Cavity {
  mean: number;
  /** Of the factors and of the coat itself. */
  variance: number;
  chance: number;
}

const out = new Float64Array(3);

/**
 * The posterior with the site's own tests taken out again, in the Gaussian approximation at the mode: for each spread
 * of a coat by itself, for only there is the posterior the normal that its tests were put into. Out of the mixture over
 * all spreads more may be taken than ever was in it, and what is left has no end. Never less is known than before any
 * test.
 */
export function cavityOf(site: Site, fits: Fit[], chances: number[]): Cavity[] {
  const { factor, loading } = site;
  const found = fits.map((fit, f): Cavity => {
    let eta = 0;
    let variance = 0;
    let prior = 0;
    for (let a = 0; a < factor.length; a++) {
      eta += loading[a]! * fit.mean[factor[a]!]!;
      prior += (loading[a]! * fit.priorSd[factor[a]!]!) ** 2;
      for (let b = 0; b < factor.length; b++)
        variance +=
          loading[a]! * loading[b]! * fit.covariance[factor[a]! * fit.mean.length + factor[b]!]!;
    }
    const sd = siteSd(site, fit.coatSd);
    filmLogLikelihood(site.tests, site.tables + eta, sd, STUDIO_NOISE, out);
    const precision = Math.max(1 / variance + out[2]!, 1 / prior);
    const mean = site.tables + eta - out[1]! / precision;
    const whole = 1 / precision + sd * sd;
    // How likely this spread was without the site: its evidence had the site's tests in it.
    filmLogLikelihood(site.tests, mean, Math.sqrt(whole), STUDIO_NOISE, out);
    return { mean, variance: whole, chance: chances[f]! / Math.exp(out[0]!) };
  });
  const total = found.reduce((s, c) => s + c.chance, 0);
  return found.map((c) => ({ ...c, chance: c.chance / total }));
}

/** The normal that has the mean and the spread of them all. */
export function asOne(cavity: Cavity[]): { mean: number; sd: number } {
  const mean = cavity.reduce((s, c) => s + c.chance * c.mean, 0);
  const variance = cavity.reduce((s, c) => s + c.chance * (c.variance + (c.mean - mean) ** 2), 0);
  return { mean, sd: Math.sqrt(variance) };
}
