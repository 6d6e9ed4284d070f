/**
 * Invented studios with hidden true factors and climates: how often the true time lies inside the stated windows,
 * and how much the windows narrow. Prints one row per kind of studio; docs/method.md holds the figures.
 * Run: npm run simulate -- [studios] [kinds, with commas] [exact: the scores of the exact posterior beside them]
 */
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { followedAir, hoursOf, type FollowedAir } from '../src/core/climate';
import { dryingTimes, quantileOf, type Climate, type ClimateUntil } from '../src/core/drying';
import { filmOfRecipe, type Recipe } from '../src/core/film';
import { STUDIO_HANDBOOK as H } from '../src/core/handbook';
import {
  factorsSay,
  featuresOf,
  learnedTimes,
  type FilmEvidence,
  type Learned,
} from '../src/core/learn';
import { priorSd, type Features } from '../src/core/learn/features';
import { learn, NOTHING_LEARNED } from '../src/core/learn/learn';
import { LEARNING as L, type Finding } from '../src/data/learning';
import { loggerReading } from '../server/logger';
import { exactPosterior } from './exact-posterior';

const DAY = 86_400_000;
const HOUR = 3_600_000;
const START = Date.UTC(2026, 0, 5, 9);
const DAYS = 150;
const DRIFT_DAYS = 40;
const COUNTS = [0, 5, 10, 30];
const NEW_FILMS = 12;

const PAINTS = [
  'titanium-white',
  'yellow-ochre',
  'raw-umber',
  'ultramarine-blue',
  'cadmium-red',
  'ivory-black',
];
const MEDIUMS: Recipe['medium'][] = [
  [],
  [
    { ingredient: 'stand-oil', parts: 1 },
    { ingredient: 'mineral-spirits', parts: 1 },
  ],
  [{ ingredient: 'alkyd-medium', parts: 1 }],
];

class Dice {
  private readonly rng;
  constructor(seed: number) {
    this.rng = xoroshiro128plus(seed);
  }
  uniform = (): number => uniformFloat64(this.rng);
  pick = <T>(list: readonly T[]): T => list[Math.floor(this.uniform() * list.length)]!;
  normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - this.uniform())) * Math.cos(2 * Math.PI * this.uniform());
  /** Student's t with 3 degrees of freedom: one in twenty-five beyond 2.5 of its spreads. */
  heavy = (): number => {
    const chi = this.normal() ** 2 + this.normal() ** 2 + this.normal() ** 2;
    return this.normal() / Math.sqrt(chi / 3);
  };
}

export type Break = 'none' | 'drift' | 'heavy' | 'misdeclared';

interface Studio {
  dice: Dice;
  theta: Record<string, number>;
  coatSd: number;
  break: Break;
  air: FollowedAir;
  /** The air as known at a moment: readings until then. */
  airAt(ms: number): FollowedAir;
  drift: number[];
}

const CLIMATE: Climate = { temperatureC: 19, relativeHumidityPct: 50, light: 'room', air: 'room' };

function studio(seed: number, kind: Break): Studio {
  const dice = new Dice(seed);
  const readings = [];
  for (let t = START - 30 * DAY; t < START + (DAYS + 150) * DAY; t += HOUR) {
    const r = loggerReading(seed, t);
    if (r) readings.push({ ...r, atMs: t });
  }
  const hours = hoursOf(readings);
  const air = (upTo: number) =>
    followedAir(H.constants, {
      climate: CLIMATE,
      dayNight: null,
      hours: hours.filter((h) => (h[0] + 1) * HOUR <= upTo),
      utcOffsetHours: 0,
    });
  const known = new Map<number, FollowedAir>();
  // The whole studio changes its pace by a third to a half within forty days, once: another heating, a move.
  const turn = (dice.uniform() < 0.5 ? -1 : 1) * (0.4 + 0.4 * dice.uniform());
  const turnsOn = Math.floor((DAYS - DRIFT_DAYS) * dice.uniform());
  const drift = Array.from({ length: DAYS + 200 }, (_, d) =>
    kind === 'drift' ? turn * Math.min(1, Math.max(0, (d - turnsOn) / DRIFT_DAYS)) : 0,
  );
  return {
    dice,
    theta: {},
    coatSd: L.coatSd * Math.exp(L.coatSdSpread * dice.normal()),
    break: kind,
    air: air(Infinity),
    airAt(ms) {
      const day = Math.floor(ms / DAY);
      const at = known.get(day) ?? air(day * DAY);
      known.set(day, at);
      return at;
    },
    drift,
  };
}

const HEAVY_MISREADS = 0.06;
const MISDECLARED = 'yellow-ochre';
const MISDECLARED_LN = Math.log(9 / 5);

function factor(s: Studio, key: string): number {
  s.theta[key] ??= priorSd(key) * s.dice.normal();
  return s.break === 'misdeclared' && key === `paint:${MISDECLARED}|linseed`
    ? s.theta[key]! + MISDECLARED_LN
    : s.theta[key]!;
}

interface Film {
  id: string;
  laidAtMs: number;
  paints: string[];
  /** Times of the tables and features, with the air as known when it was laid. */
  forecast(nowMs: number): { times: ReturnType<typeof dryingTimes>; features: Features };
  trueDose: number;
}

function film(s: Studio, id: string, laidAtMs: number): Film {
  const { dice } = s;
  const paints = Array.from({ length: 1 + Math.floor(3 * dice.uniform()) }, () =>
    dice.pick(PAINTS),
  );
  const medium = dice.pick(MEDIUMS);
  const recipe: Recipe = {
    mix: [...new Set(paints)].map((pigment) => ({
      pigment,
      binder: 'linseed' as const,
      parts: 1 + Math.floor(3 * dice.uniform()),
    })),
    medium,
    mediumShare: medium.length === 0 ? 0 : 0.1 + 0.2 * dice.uniform(),
    thicknessUm: Math.exp(Math.log(12) + Math.log(100 / 12) * dice.uniform()),
  };
  const below = { surface: null, cure: dice.uniform() < 0.7 ? 1 : 0.5 + 0.5 * dice.uniform() };
  const asLaid = filmOfRecipe(H, recipe);
  const look = (air: FollowedAir) => {
    const clock = air.clock('oil', laidAtMs, null);
    const until: ClimateUntil = (dose) => {
      const toMs = clock.timeOf(dose)!;
      return {
        climate: air.meanBetween(laidAtMs, toMs),
        weatherSigma: air.weatherSigma(laidAtMs, toMs),
      };
    };
    const times = dryingTimes(H, asLaid, recipe.thicknessUm, below, until);
    return {
      times,
      features: featuresOf(
        H.constants,
        asLaid,
        recipe.thicknessUm,
        below,
        until(times.touch.median).climate,
      ),
    };
  };
  const truth = look(s.air);
  let eta = Math.log(truth.times.touch.median);
  for (const key in truth.features) eta += truth.features[key]! * factor(s, key);
  eta += s.coatSd * (s.break === 'heavy' ? dice.heavy() : dice.normal());
  eta += s.drift[Math.floor((laidAtMs - START) / DAY)]!;
  return {
    id,
    laidAtMs,
    paints: recipe.mix.map((p) => ('pigment' in p ? p.pigment : '')),
    forecast: (nowMs) => look(s.airAt(nowMs)),
    trueDose: Math.exp(eta),
  };
}

/** @param set where the film turns tacky, as a share of touch-dry */
function finding(s: Studio, dose: number, trueDose: number, set: number): Finding {
  const { dice } = s;
  if (dice.uniform() < (s.break === 'heavy' ? HEAVY_MISREADS : L.misreadRate))
    return dice.pick(['wet', 'tacky', 'touch-dry', 'nail-hard'] as const);
  const ratio = (dose / trueDose) * Math.exp(L.readingNoise * dice.normal());
  const hard = H.constants.dryHardOverTouch;
  return ratio < set ? 'wet' : ratio < 1 ? 'tacky' : ratio < hard ? 'touch-dry' : 'nail-hard';
}

export interface Tally {
  films: number;
  in50: number;
  in90: number;
  before90: number;
  /** Sum of weighted interval scores of the logarithm of the time; smaller is better. */
  score: number;
  /** The same of the exact posterior; 0 where it was not asked for. */
  exact: number;
  width: number;
  testedFilms: number;
  testedWidth: number;
  widen: number;
  studios: number;
}
const empty = (): Tally => ({
  films: 0,
  in50: 0,
  in90: 0,
  before90: 0,
  score: 0,
  exact: 0,
  width: 0,
  testedFilms: 0,
  testedWidth: 0,
  widen: 0,
  studios: 0,
});

/** Weighted interval score of the 50 % and 90 % windows and the median: Bracher et al., PLoS Comput. Biol. 17 (2021). */
function intervalScore(y: number, quantile: (p: number) => number): number {
  const ofWindow = (alpha: number): number => {
    const low = quantile(alpha / 2);
    const high = quantile(1 - alpha / 2);
    const miss = Math.max(0, low - y) + Math.max(0, y - high);
    return (alpha / 2) * (high - low + (2 / alpha) * miss);
  };
  return (0.5 * Math.abs(y - quantile(0.5)) + ofWindow(0.5) + ofWindow(0.1)) / 2.5;
}

/** Run one studio: test films one by one; after some of the counts, forecast new films and see what came true. */
function run(seed: number, kind: Break, tallies: Map<number, Tally>, withExact: boolean): void {
  const s = studio(seed, kind);
  const evidence: FilmEvidence[] = [];
  const tested = new Map<string, number>();
  let learned: Learned = NOTHING_LEARNED;
  let now = START;
  const total = COUNTS.at(-1)!;
  const score = (n: number) => {
    const tally = tallies.get(n)!;
    tally.widen += learned.widen;
    tally.studios += 1;
    const exact = withExact && n > 0 ? exactPosterior(evidence) : null;
    for (let i = 0; i < NEW_FILMS; i++) {
      const f = film(s, `new-${n}-${i}`, now + (i % 5) * DAY + 0.3 * DAY);
      const { times, features } = f.forecast(now);
      const { touch } = learnedTimes(learned, features, times, f.id, f.laidAtMs);
      const clock = s.airAt(now).clock('oil', f.laidAtMs, null);
      const truth = s.air.clock('oil', f.laidAtMs, null).timeOf(f.trueDose)!;
      const at = (p: number) => clock.timeOf(quantileOf(touch, p))!;
      tally.films += 1;
      if (truth >= at(0.25) && truth <= at(0.75)) tally.in50 += 1;
      if (truth >= at(0.05) && truth <= at(0.95)) tally.in90 += 1;
      if (truth <= at(0.9)) tally.before90 += 1;
      tally.score += intervalScore(Math.log(truth - f.laidAtMs), (p) =>
        Math.log(at(p) - f.laidAtMs),
      );
      if (exact) {
        const logDose = exact(times.touch, features, f.laidAtMs);
        tally.exact += intervalScore(Math.log(truth - f.laidAtMs), (p) =>
          Math.log(clock.timeOf(Math.exp(logDose(p)))! - f.laidAtMs),
        );
      }
      tally.width += touch.sigma / times.touch.sigma;
      // A paint counts as tested with two tests to its name.
      if (f.paints.every((p) => (tested.get(p) ?? 0) >= 2)) {
        tally.testedFilms += 1;
        tally.testedWidth += touch.sigma / times.touch.sigma;
      }
    }
  };
  if (COUNTS.includes(0)) score(0);
  for (let n = 1; n <= total; n++) {
    now = START + (n * DAYS * DAY) / (total + 2);
    // Of what was laid these days the film that teaches most is touched, as the app advises.
    const f = [0, 1, 2]
      .map((i) => film(s, `film-${n}-${i}`, now))
      .map((candidate) => ({
        candidate,
        worth: factorsSay(learned, candidate.forecast(now).features).variance,
      }))
      .sort((a, b) => b.worth - a.worth)[0]!.candidate;
    const before = f.forecast(now);
    const expected = learnedTimes(learned, before.features, before.times, f.id, now).touch.median;
    // Touched near the forecast, as the app advises; the finger comes round once a morning.
    const wish = s
      .airAt(now)
      .clock('oil', now, null)
      .timeOf(expected * Math.exp(0.15 * s.dice.normal()))!;
    const touchedAt = Math.min(wish, now + 40 * DAY);
    const dose = s.air.clock('oil', now, null).doseAt(touchedAt);
    const { times, features } = f.forecast(touchedAt);
    evidence.push({
      id: f.id,
      laidAtMs: now,
      touch: times.touch,
      through: times.through,
      setOverTouch: times.setOverTouch,
      features,
      tests: [
        {
          id: `t${n}`,
          atMs: touchedAt,
          dose,
          finding: finding(s, dose, f.trueDose, times.setOverTouch),
          twistMarks: false,
        },
      ],
    });
    f.paints.forEach((p) => tested.set(p, (tested.get(p) ?? 0) + 1));
    learned = learn(evidence).learned;
    if (COUNTS.includes(n)) score(n);
  }
}

export function simulate(
  studios: number,
  kind: Break,
  seed = 1,
  withExact = false,
): Map<number, Tally> {
  const tallies = new Map(COUNTS.map((n) => [n, empty()]));
  for (let i = 0; i < studios; i++) run(seed * 7919 + i * 104_729, kind, tallies, withExact);
  return tallies;
}

const share = (n: number, of: number) => ((100 * n) / of).toFixed(1).padStart(5);

if (process.argv[1]?.includes('simulate-learning')) {
  const studios = Number(process.argv[2] ?? 200);
  console.log(
    'studios      tests   in 50 %  in 90 %  by 90 %   spread all   spread tested   widened   score   exact',
  );
  for (const kind of (process.argv[3]?.split(',') ?? [
    'none',
    'drift',
    'heavy',
    'misdeclared',
  ]) as Break[]) {
    for (const [n, t] of simulate(studios, kind, 1, process.argv[4] === 'exact')) {
      console.log(
        [
          kind.padEnd(12),
          String(n).padStart(4),
          share(t.in50, t.films),
          share(t.in90, t.films),
          share(t.before90, t.films),
          share(t.width, t.films),
          t.testedFilms === 0 ? '    –' : share(t.testedWidth, t.testedFilms),
          (t.widen / t.studios).toFixed(2),
          (t.score / t.films).toFixed(4),
          t.exact === 0 ? '–' : (t.exact / t.films).toFixed(4),
        ].join('     '),
      );
    }
  }
}
