import fc from 'fast-check';
import { LEARNING as L, type Finding } from '@/data/learning';
import { STUDIO_CONSTANTS } from '@/data/constants';
import {
  dryingTimes,
  ON_NEUTRAL_GROUND,
  quantileOf,
  REFERENCE_CLIMATE,
  type Below,
  type Climate,
} from '../drying';
import { filmOfRecipe, type Recipe } from '../film';
import { STUDIO_HANDBOOK } from '../handbook';
import { ALKYD, FLESH, part, recipe, tube } from '../tests/recipes';
import { choleskyFactor, choleskyInverse, choleskySolve, logDeterminant } from './cholesky';
import { explain, explanationSentence } from './explain';
import { priorSd, priorVariance, throughFeatures } from './features';
import { PRIOR_COAT_VARIANCE } from './fit';
import { withForgotten } from './forget';
import { GAUSS_HERMITE } from './gauss-hermite';
import { fitIntervals } from './intervals';
import { learn, NOTHING_LEARNED } from './learn';
import {
  answerChance,
  filmLogLikelihood,
  normalBetween,
  STUDIO_NOISE,
  touchInterval,
  twistInterval,
} from './likelihood';
import cases from './tests/interval-reference.json';
import { refusal } from '../tests/refusal';
import { touchWorth } from './worth';
import { featuresOf, learnedTimes, type FilmEvidence } from '.';

const LAID = Date.UTC(2026, 1, 1);
const DAY = 86_400_000;

interface Made {
  evidence: FilmEvidence;
  times: ReturnType<typeof dryingTimes>;
}
const made = (
  r: Recipe,
  id = 'film',
  tests: [atTouch: number, finding: Finding][] = [],
  {
    below = ON_NEUTRAL_GROUND,
    climate = REFERENCE_CLIMATE,
    laidAtMs = LAID,
  }: { below?: Below; climate?: Climate; laidAtMs?: number } = {},
): Made => {
  const film = filmOfRecipe(STUDIO_HANDBOOK, r);
  const times = dryingTimes(STUDIO_HANDBOOK, film, r.thicknessUm, below, climate);
  return {
    times,
    evidence: {
      id,
      laidAtMs,
      touch: times.touch,
      through: times.through,
      setOverTouch: times.setOverTouch,
      openOverTouch: times.openOverTouch,
      features: featuresOf(STUDIO_CONSTANTS, film, r.thicknessUm, below, climate),
      tests: tests.map(([at, finding], i) => ({
        id: `${id}-${i}`,
        atMs: laidAtMs + at * DAY,
        dose: times.touch.median * at,
        finding,
        twistMarks: false,
      })),
    },
  };
};

describe('interval-censored estimates', () => {
  // R 4, package survival, survreg with dist "lognormal"; written by bench/interval-reference.R.
  test.each(cases.map((c) => [c.name, c] as const))('as the survival package of R: %s', (_, c) => {
    const fit = fitIntervals(
      c.low.map((low, i) => ({ low, high: c.high[i] ?? null, z: c.z ? [c.z[i]!] : [] })),
    );
    c.coefficients.forEach((b, i) => expect(fit.coefficients[i]).toBeCloseTo(b, 5));
    expect(fit.sigma).toBeCloseTo(c.sigma, 5);
    expect(fit.logLikelihood).toBeCloseTo(c.logLik, 5);
  });

  // The printed reference of the model's description.
  test('the twelve printed intervals: mu 1.06097, sigma 0.64327, ln L -17.71794', () => {
    const [reference] = cases;
    const fit = fitIntervals(
      reference!.low.map((low, i) => ({ low, high: reference!.high[i] ?? null })),
    );
    expect(fit.coefficients[0]!.toFixed(5)).toBe('1.06097');
    expect(fit.sigma.toFixed(5)).toBe('0.64327');
    expect(fit.logLikelihood.toFixed(5)).toBe('-17.71794');
  });
});

describe('data without a finite estimate are refused with the reason', () => {
  const rows = (list: [number, number | null][], z?: number[]) =>
    list.map(([low, high], i) => ({ low, high, ...(z ? { z: [z[i]!] } : {}) }));
  test.each([
    [
      'all still to come',
      rows([
        [1, null],
        [2, null],
        [3, null],
      ]),
      'no-estimate',
    ],
    [
      'all over already',
      rows([
        [0, 1],
        [0, 2],
        [0, 3],
      ]),
      'no-estimate',
    ],
    [
      'all may be at one moment',
      rows([
        [1, 3],
        [2, 4],
        [1.5, 5],
      ]),
      'no-estimate',
    ],
    [
      'one column as another',
      rows(
        [
          [1, 2],
          [2, 3],
          [4, 5],
          [1, 3],
        ],
        [1, 1, 1, 1],
      ),
      'no-estimate',
    ],
    [
      'a column that parts what is over from what is to come',
      rows(
        [
          [0, 1],
          [0, 2],
          [5, null],
          [6, null],
        ],
        [0, 0, 1, 1],
      ),
      'no-estimate',
    ],
    [
      'no interval',
      rows([
        [3, 2],
        [1, 2],
      ]),
      'range',
    ],
  ] as const)('%s', (_, data, code) => {
    expect(refusal(() => fitIntervals([...data]))).toBe(code);
  });
});

describe('likelihood', () => {
  test('Gauss-Hermite nodes: moments of the standard normal, and E exp(X) = exp(1/2)', () => {
    const e = (f: (x: number) => number) =>
      GAUSS_HERMITE.reduce((s, q) => s + q.weight * f(q.node), 0);
    expect(GAUSS_HERMITE).toHaveLength(21);
    [1, 0, 1, 0, 3].forEach((m, k) => expect(e((x) => x ** k)).toBeCloseTo(m, 12));
    expect(e(Math.exp)).toBeCloseTo(Math.exp(0.5), 12);
  });

  test('differences of Phi keep their digits in either tail', () => {
    // Abramowitz & Stegun 26.2.12: Q(9) = 1.1286e-19; from memory.
    expect(normalBetween(Infinity, 9) / 1.1286e-19).toBeCloseTo(1, 3);
    expect(normalBetween(-9, -Infinity) / 1.1286e-19).toBeCloseTo(1, 3);
    expect(normalBetween(Infinity, -Infinity)).toBe(1);
  });

  test('the answers to one touch are all there are: their chances make 1', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        (y, dose) => {
          const chances = (['wet', 'tacky', 'touch-dry', 'nail-hard'] as const).map((finding) =>
            answerChance(
              touchInterval({ id: '', atMs: 0, dose, finding, twistMarks: false })!,
              y,
              STUDIO_NOISE,
            ),
          );
          expect(chances.reduce((s, c) => s + c, 0)).toBeCloseTo(1, 8);
        },
      ),
      { seed: 7 },
    );
  });

  test('slopes are those of the value, by one test and by several', () => {
    const at = (d: number, low: number, high: number) => ({ d, low, high, floor: 0.0075 });
    const out = new Float64Array(3);
    const value = (tests: ReturnType<typeof at>[], mean: number) => {
      filmLogLikelihood(tests, mean, 0.25, STUDIO_NOISE, out);
      return Array.from(out);
    };
    for (const tests of [[at(0.3, 0, 0.9)], [at(0.1, -Infinity, 0), at(0.6, 0, 0.9)]])
      for (const mean of [-0.5, 0, 0.4, 0.9]) {
        const h = 1e-4;
        const [here, up, down] = [
          value(tests, mean),
          value(tests, mean + h),
          value(tests, mean - h),
        ];
        expect(here[1]).toBeCloseTo((up[0]! - down[0]!) / (2 * h), 3);
        expect(here[2]).toBeCloseTo((up[1]! - down[1]!) / (2 * h), 2);
      }
  });

  test('a test at no dose says nothing; a twist is told of the through-dry dose only', () => {
    const test = { id: 'a', atMs: 0, dose: 0, finding: 'wet' as const, twistMarks: true };
    expect(touchInterval(test)).toBeNull();
    expect(twistInterval(test)).toBeNull();
    expect(twistInterval({ ...test, dose: 3, finding: 'touch-dry', twistMarks: false })).toBeNull();
    expect(twistInterval({ ...test, dose: 3, finding: 'through-dry' })).toMatchObject({ low: 0 });
  });
});

test('Cholesky: solves, inverts and refuses what is not positive definite', () => {
  const a = Float64Array.from([4, 0, 0, 2, 5, 0, 1, 3, 6]);
  const l = choleskyFactor(a, 3)!;
  const x = choleskySolve(l, 3, Float64Array.from([7, 10, 10]));
  expect(Array.from(x).map((v) => +v.toFixed(9))).toEqual([1, 1, 1]);
  const inverse = choleskyInverse(l, 3);
  expect(4 * inverse[0]! + 2 * inverse[3]! + inverse[6]!).toBeCloseTo(1, 12);
  // det = 4(30-9) - 2(12-3) + 1(6-5) = 67.
  expect(Math.exp(logDeterminant(l, 3))).toBeCloseTo(67, 9);
  expect(choleskyFactor(Float64Array.from([1, 0, 2, 1]), 2)).toBeNull();
});

describe('factors', () => {
  test('the spread before any test is that of the tables, whatever the film', () => {
    const wet = { surface: null, cure: 0.4 };
    for (const [r, below] of [
      [recipe(FLESH), ON_NEUTRAL_GROUND],
      [recipe([tube('raw-umber')], 0.3, [part('stand-oil'), part('mineral-spirits')], 15), wet],
      [recipe(FLESH, 0.25, ALKYD, 25), ON_NEUTRAL_GROUND],
    ] as const) {
      const { times, evidence } = made(r, 'film', [], { below });
      // What a mixture or a little medium leaves of the split is a surplus of the tables, and no factor.
      expect(priorVariance(evidence.features)).toBeLessThanOrEqual(
        times.touch.sigma ** 2 - L.coatSd ** 2 + 1e-9,
      );
      expect(learnedTimes(NOTHING_LEARNED, evidence.features, times, 'film', LAID)).toBe(times);
    }
    // The split of the model: 0.35, 0.18, 0.12 and 0.18 make 0.45.
    expect(L.studioSd ** 2 + L.paintSd ** 2 + L.mediumSd ** 2 + L.coatSd ** 2).toBeCloseTo(
      0.45 ** 2,
      2,
    );
  });

  test('a factor that nobody knows is refused; through-dry shares a part of what touch-dry does', () => {
    expect(() => priorSd('moon')).toThrow(/moon/);
    expect(throughFeatures({ studio: 1, thickness: 0.3 })).toEqual({
      through: 1,
      'through-thickness': 0.3,
      studio: 0.7,
    });
  });
});

describe('learning', () => {
  const films = (finding: Finding, at: number, n = 6): FilmEvidence[] =>
    Array.from(
      { length: n },
      (_, i) =>
        made(recipe([tube(i % 2 ? 'yellow-ochre' : 'titanium-white')]), `f${i}`, [[at, finding]], {
          laidAtMs: LAID + i * DAY,
        }).evidence,
    );
  const forecast = (evidence: FilmEvidence[], r = recipe([tube('titanium-white')])) => {
    const { times, evidence: film } = made(r, 'new');
    return {
      before: times,
      after: learnedTimes(learn(evidence).learned, film.features, times, 'new', LAID + 7 * DAY),
    };
  };

  test('still wet where the tables say dry: everything that is shared gets slower and surer', () => {
    const { before, after } = forecast(films('wet', 1.1));
    expect(after.touch.median).toBeGreaterThan(1.2 * before.touch.median);
    expect(after.touch.sigma).toBeLessThan(before.touch.sigma);
    expect(after.through.median).toBeGreaterThan(before.through.median);
    const quick = forecast(films('nail-hard', 1));
    expect(quick.after.touch.median).toBeLessThan(0.8 * quick.before.touch.median);
  });

  test('only "already dry": the prior keeps the estimate from running away', () => {
    const { before, after } = forecast(films('touch-dry', 1, 12));
    expect(after.touch.median / before.touch.median).toBeGreaterThan(0.4);
    expect(after.touch.median / before.touch.median).toBeLessThan(1);
  });

  test('a paint that was tested is known better than one that was not', () => {
    const evidence = films('wet', 1.1, 8);
    const known = forecast(evidence);
    const strange = forecast(evidence, recipe([tube('alizarin-crimson')]));
    const ratio = (f: typeof known) => f.after.touch.sigma / f.before.touch.sigma;
    expect(ratio(known)).toBeLessThan(ratio(strange));
  });

  test('a film with tests of its own lies between them', () => {
    const own = made(recipe([tube('titanium-white')]), 'mine', [
      [1.3, 'wet'],
      [2, 'touch-dry'],
    ]);
    const { learned } = learn([own.evidence]);
    const { touch } = learnedTimes(learned, own.evidence.features, own.times, 'mine', LAID);
    const tau = own.times.touch.median;
    // Wet at 1.3: above 1.3/0.7; touch-dry at 2.
    expect(touch.median).toBeGreaterThan(1.5 * tau);
    expect(touch.median).toBeLessThan(2.1 * tau);
    const told = [0.1, 0.25, 0.5, 0.75, 0.9].map((p) => quantileOf(touch, p));
    expect([...told].sort((a, b) => a - b)).toEqual(told);
  });

  /** Wet, then tacky, then dry, as a finger finds it on one film that is so much slower than the tables. */
  const ordinary = (paint: string, um: number, slow: number, at: number[]): Made =>
    made(
      recipe([tube(paint)], 0, [], um),
      'one',
      (['wet', 'tacky', 'touch-dry'] as const)
        .slice(0, at.length)
        .map((finding, i): [number, Finding] => [slow * at[i]!, finding]),
    );

  test('the tests of one film by itself never make it dry at once, or never', () => {
    let histories = 0;
    let called = 0;
    for (const paint of ['titanium-white', 'burnt-umber', 'ivory-black'])
      for (const um of [15, 50, 120])
        for (const slow of [0.45, 0.7, 1, 1.3, 1.7, 2.4])
          for (const wet of [0.3, 0.5, 0.65])
            for (const tacky of [0.75, 0.85, 0.95])
              for (const dry of [null, 1.1, 1.6]) {
                const film = ordinary(paint, um, slow, dry ? [wet, tacky, dry] : [wet, tacky]);
                const { learned, conflicts } = learn([film.evidence]);
                const { touch } = learnedTimes(
                  learned,
                  film.evidence.features,
                  film.times,
                  'one',
                  LAID,
                );
                const tables = film.times.touch;
                const told = [0.1, 0.25, 0.5, 0.75, 0.9].map((p) => quantileOf(touch, p));
                expect([...told].sort((a, b) => a - b)).toEqual(told);
                expect(told.every((dose) => Number.isFinite(dose) && dose > 0)).toBe(true);
                // Between what was found; beyond it, no farther than the tables are wide.
                expect(told[0]!).toBeGreaterThan(
                  dry ? 0.5 * slow * wet * tables.median : slow * tacky * tables.median,
                );
                expect(told[4]!).toBeLessThan(4 * Math.max(1, slow) * tables.median);
                expect(touch.sigma).toBeLessThan(1.05 * tables.sigma);
                histories += 1;
                if (conflicts.length > 0) called += 1;
              }
    expect(histories).toBe(1458);
    expect(called / histories).toBeLessThan(0.01);
  });

  test('white in linseed, wet after 3.0 days and tacky after 3.4: it has not dried, and nothing was misread', () => {
    const film = made(recipe([tube('titanium-white')], 0, [], 50), 'white');
    film.evidence.tests = [
      { id: 'a', atMs: LAID + 3 * DAY, dose: 3, finding: 'wet', twistMarks: false },
      { id: 'b', atMs: LAID + 3.4 * DAY, dose: 3.4, finding: 'tacky', twistMarks: false },
    ];
    const { learned, conflicts } = learn([film.evidence]);
    const { touch } = learnedTimes(learned, film.evidence.features, film.times, 'white', LAID);
    expect(conflicts).toEqual([]);
    expect(quantileOf(touch, 0.1)).toBeGreaterThan(3.4);
    expect(quantileOf(touch, 0.5)).toBeGreaterThan(3.6);
    expect(quantileOf(touch, 0.9)).toBeLessThan(8);
  });

  test('five tacky mornings on a tone in slow oil are no misreadings', () => {
    const slow = made(
      recipe(
        [tube('titanium-white', 1, 'poppy')],
        0.25,
        [part('poppy'), part('mineral-spirits')],
        20,
      ),
      'tone',
      [0.45, 0.55, 0.65, 0.8, 0.95].map((at): [number, Finding] => [at, 'tacky']),
    );
    const { learned, conflicts } = learn([slow.evidence]);
    expect(conflicts).toEqual([]);
    const { touch } = learnedTimes(learned, slow.evidence.features, slow.times, 'tone', LAID);
    expect(touch.median / slow.times.touch.median).toBeGreaterThan(0.95);
    expect(touch.median / slow.times.touch.median).toBeLessThan(1.3);
    // In linseed paint that early tackiness would be a slow film, and speak against the later mornings.
    const quick = made(recipe([tube('titanium-white')], 0, [], 20), 'quick');
    expect(slow.times.setOverTouch).toBeLessThan(0.45);
    expect(quick.times.setOverTouch).toBe(STUDIO_CONSTANTS.setOverTouch);
  });

  test('what was found last is a floor, or a ceiling, even against everything else', () => {
    const others = films('touch-dry', 1, 12);
    const base = recipe([tube('titanium-white')]);
    const told = (tests: [number, Finding][]) => {
      const film = made(base, 'late', tests);
      const { learned } = learn([...others, film.evidence]);
      const { touch } = learnedTimes(learned, film.evidence.features, film.times, 'late', LAID);
      return [0.1, 0.75].map((p) => quantileOf(touch, p) / film.times.touch.median);
    };
    const [soon, likely] = told([[3, 'tacky']]);
    expect(soon!).toBeGreaterThanOrEqual(3);
    expect(likely!).toBeGreaterThan(3.03);
    // Dry against all expectation is dry.
    expect(told([[0.3, 'touch-dry']])[1]!).toBeLessThanOrEqual(0.3);
    // What still blends under the brush is open, and was.
    const blends = told([[0.9, 'still blends']]);
    expect(made(base).times.openOverTouch * blends[0]!).toBeGreaterThanOrEqual(0.9);
    // The order of entering does not matter, only when it was.
    const film = made(base, 'late', [
      [0.8, 'wet'],
      [1.4, 'tacky'],
      [1.9, 'touch-dry'],
    ]);
    const swapped = { ...film.evidence, tests: [...film.evidence.tests].reverse() };
    const q = (e: FilmEvidence) => learn([...others, e]).learned.films.late!.touch!;
    q(film.evidence).forEach((x, i) => expect(q(swapped)[i]).toBeCloseTo(x, 6));
  });

  test('one odd test does not wreck it, and is named', () => {
    const sound = films('tacky', 0.85, 10);
    const odd = made(recipe([tube('titanium-white')]), 'odd', [[4, 'wet']]).evidence;
    const plain = forecast(sound);
    const wrecked = forecast([...sound, odd]);
    expect(Math.abs(Math.log(wrecked.after.touch.median / plain.after.touch.median))).toBeLessThan(
      0.12,
    );
    const { conflicts } = learn([...sound, odd]);
    expect(conflicts.map((c) => c.testId)).toEqual(['odd-0']);
    expect(conflicts[0]!.misread).toBeGreaterThan(0.5);
  });

  test('two tests of one film that cannot both hold are named too', () => {
    const film = made(recipe([tube('titanium-white')]), 'two', [
      [0.6, 'nail-hard'],
      [1.4, 'wet'],
      [1.5, 'wet'],
      [1.6, 'wet'],
    ]).evidence;
    expect(learn([film]).conflicts.map((c) => c.testId)).toContain('two-0');
  });

  test('forecasts that keep missing widen every window', () => {
    const wild = Array.from(
      { length: 24 },
      (_, i) =>
        made(recipe([tube('titanium-white')]), `w${i}`, [i % 2 ? [1.2, 'wet'] : [0.7, 'touch-dry']])
          .evidence,
    );
    expect(learn(wild).learned.widen).toBeGreaterThan(1.1);
    expect(learn(films('tacky', 0.85, 10)).learned.widen).toBeLessThan(1.1);
  });

  test('a thumb twist teaches through-dry, and nothing else does', () => {
    const base = made(recipe([tube('titanium-white')]), 'dab');
    const twisted = (finding: Finding, twistMarks: boolean): FilmEvidence => ({
      ...base.evidence,
      tests: [{ id: 't', atMs: LAID, dose: base.times.through.median * 1.2, finding, twistMarks }],
    });
    const through = (e: FilmEvidence) => learn([e]).learned.films.dab!.through;
    expect(through(twisted('nail-hard', false))).toBeNull();
    expect(Math.exp(through(twisted('nail-hard', true))![2]!)).toBeGreaterThan(
      base.times.through.median,
    );
    expect(Math.exp(through(twisted('through-dry', false))![2]!)).toBeLessThan(
      base.times.through.median,
    );
  });

  test('an old studio drifts: what is far beyond the tests is less sure', () => {
    const { learned } = learn(films('wet', 1.1, 10));
    const { times, evidence } = made(recipe([tube('titanium-white')]), 'later');
    const at = (days: number) =>
      learnedTimes(learned, evidence.features, times, 'later', LAID + days * DAY).touch.sigma;
    expect(at(10)).toBeLessThan(at(400));
    expect(at(4000)).toBeLessThanOrEqual(times.touch.sigma * learned.widen + 1e-9);
  });

  test('no evidence, nothing learned; the same evidence, the same answer', () => {
    expect(learn([]).learned).toEqual(NOTHING_LEARNED);
    expect(learn(films('wet', 1.1))).toEqual(learn(films('wet', 1.1)));
    expect(PRIOR_COAT_VARIANCE).toBeGreaterThan(L.coatSd ** 2);
  });

  test('a forgotten paint teaches no more, the rest goes on', () => {
    const evidence = films('wet', 1.1, 6);
    const factor = 'paint:titanium-white|linseed';
    const at = new Date(LAID + 30 * DAY).toISOString();
    const renamed = withForgotten(evidence, [{ factor, at }]);
    const { learned } = learn(renamed);
    expect(learned.factors).not.toContain(factor);
    expect(learned.factors).toContain(`${factor}#before`);
    expect(learned.mean[learned.factors.indexOf('studio')]!).toBeGreaterThan(0.1);
    expect(withForgotten(evidence, [{ factor, at: new Date(LAID - DAY).toISOString() }])).toEqual(
      evidence,
    );
  });

  test('explained in a sentence; a paint that never came without its medium is not told by itself', () => {
    const { learned } = learn(films('wet', 1.1, 12));
    const told = explain(learned, LAID + 12 * DAY);
    expect(told.studio!.factor).toBeGreaterThan(1.1);
    expect(told.studio!.low).toBeLessThan(told.studio!.factor);
    const sentence = explanationSentence(told, (key) => key);
    expect(sentence).toMatch(/^Coats here dry \d\.\d times slower than the tables .*from 12 tests/);
    expect(told.factors.map((f) => f.key)).not.toContain('medium:none');
    expect(explanationSentence(explain(NOTHING_LEARNED, LAID), String)).toMatch(/tables alone/);
  });

  test('a touch is worth most where the answer is open', () => {
    const { times, evidence } = made(recipe(FLESH));
    const worth = (at: number) =>
      touchWorth(null, evidence.features, times, times.touch.median * at);
    expect(worth(1)).toBeGreaterThan(worth(0.5));
    expect(worth(1)).toBeGreaterThan(worth(2.5));
    expect(worth(0)).toBe(0);
  });
});

describe('a studio that changes its pace', () => {
  /** Films of one paint, one every four days; found tacky and dry about a dose of `pace` touch-dry. */
  const films = (pace: (i: number) => number, count = 16) =>
    Array.from({ length: count }, (_, i) =>
      made(
        recipe(FLESH, 0, [], 30),
        `f${i}`,
        [
          [0.9 * pace(i), 'tacky'],
          [1.1 * pace(i), 'touch-dry'],
        ],
        { laidAtMs: LAID + i * 4 * DAY },
      ),
    );
  const forecast = (made_: Made[]) => {
    const { learned } = learn(made_.map((m) => m.evidence));
    const { evidence, times } = made(recipe(FLESH, 0, [], 30), 'new', [], {
      laidAtMs: LAID + 64 * DAY,
    });
    const { touch } = learnedTimes(learned, evidence.features, times, 'new', LAID + 64 * DAY);
    return {
      factor: touch.median / times.touch.median,
      sigma: touch.sigma / times.touch.sigma,
      learned,
    };
  };

  test('is followed within a few tests, while a steady one is not doubted', () => {
    const steady = forecast(films(() => 1));
    const turned = forecast(films((i) => (i < 10 ? 1 : 1.8)));
    expect(steady.factor).toBeGreaterThan(0.93);
    expect(steady.factor).toBeLessThan(1.07);
    // Half of the change at least, and nearer to it than to the mean of all tests (1.25).
    expect(turned.factor).toBeGreaterThan(1.45);
    expect(turned.sigma).toBeGreaterThan(steady.sigma);
    expect(turned.learned.drift.sd).toBeGreaterThan(1.5 * steady.learned.drift.sd);
  });

  test('what the tables allow beyond the split narrows in proportion, and is a window unchanged before any test', () => {
    const { sigma } = forecast(films(() => 1));
    expect(sigma).toBeLessThan(0.6);
    expect(forecast([]).sigma).toBe(1);
    const { evidence } = made(recipe(FLESH, 0.1, ALKYD, 30), 'a', [], {
      below: { surface: null, cure: 0.5 },
    });
    expect(
      Object.keys(evidence.features).filter((k) => /mixture|none|little|half/.test(k)),
    ).toEqual([]);
  });
});
