import { LEARNING as L } from '@/data/learning';
import { DAY_MS } from '../drying';
import { asOne, type Cavity } from './cavity';
import { filmLogLikelihood, STUDIO_NOISE } from './likelihood';
import type { Site } from './problem';

const out = new Float64Array(3);

/** How well forecasts without the film's own tests foretold them, as a function of how wide they were. */
const WIDENINGS = Array.from({ length: L.widenSteps }, (_, i) => 1 + i * L.widenStep);

const STRICT_NOISE = { ...STUDIO_NOISE, eps: STUDIO_NOISE.eps * L.misreadExcuse };

/** The widening that would have made the past forecasts most likely, the late ones above all. */
export function wideningOf(sites: { site: Site; cavity: Cavity[] }[]): number {
  const latest = Math.max(...sites.flatMap(({ site }) => site.testedAt));
  const forecasts = sites.map(({ site, cavity }) => ({
    site,
    weights: site.testedAt.map(
      (at) => 0.5 ** ((latest - at) / (L.scoreHalfLifeDays * DAY_MS)) / site.tests.length,
    ),
    ...asOne(cavity),
  }));
  const score = (widen: number): number => {
    const prior = -0.5 * (Math.log(widen) / L.widenSpread) ** 2;
    return forecasts.reduce((s, { site, weights, mean, sd }) => {
      return (
        s +
        site.tests.reduce((sum, test, j) => {
          const strict = { ...test, floor: test.floor * L.misreadExcuse };
          filmLogLikelihood([strict], mean, widen * sd, STRICT_NOISE, out);
          return sum + weights[j]! * out[0]!;
        }, 0)
      );
    }, prior);
  };
  const scores = WIDENINGS.map(score);
  return WIDENINGS[scores.indexOf(Math.max(...scores))]!;
}
