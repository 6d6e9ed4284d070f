import type { placesOf } from './normal-table';
import { NORMALS, spreadTable } from './normal-table';
import type { PlanProblem, SharedLogNormal } from './problem';

/** Scenarios that are played side by side: enough that what a work has in common is asked for once for all of them. */
export const BATCH = 256;
/** Places are drawn by threes; the last may be one too many. */
export const PLACES = 3 * Math.ceil(BATCH / 3);

/** Doses to draw, column by column: median, own spread, and the group of films that share their shared part. */
interface Columns {
  median: Float64Array;
  own: Float64Array;
  group: Int32Array;
}

/** Films with the same loadings have the same shared part in every scenario; it is summed up once for all of them. */
function columnsOf(problem: PlanProblem) {
  const loadings: number[][] = [];
  const known = new Map<string, number>();
  const group = ({ shared }: SharedLogNormal): number => {
    const key = shared.join();
    const at = known.get(key);
    if (at !== undefined) return at;
    known.set(key, loadings.length);
    loadings.push(shared);
    return loadings.length - 1;
  };
  const columns = (of: 'touch' | 'through'): Columns => ({
    median: Float64Array.from(problem.films, (film) => film[of].median),
    own: Float64Array.from(problem.films, (film) => film[of].own),
    group: Int32Array.from(problem.films, (film) => group(film[of])),
  });
  return { loadings, touchOf: columns('touch'), throughOf: columns('through') };
}

/** Films of which more than touch-dry is asked. */
function askedThrough(problem: PlanProblem): Set<number> {
  const out = new Set<number>();
  const lags = [...problem.works.flatMap((w) => w.lags), ...problem.goals.flatMap((g) => g.ends)];
  for (const { film, stage } of lags)
    if (film !== null && stage !== 'touch-dry' && stage !== 'order') out.add(film);
  return out;
}

export interface DrawnFilms {
  /** Doses of film `f` in scenario `d` of the batch, at `f * BATCH + d`. */
  touch: Float32Array;
  through: Float32Array;
  /** Draw a batch anew: the shared factors once for each scenario, every film by itself. */
  draw(): void;
}

/** The films of a problem with what chance draws for each, laid out for the play. */
export function drawnFilms(problem: PlanProblem, fill: ReturnType<typeof placesOf>): DrawnFilms {
  const { loadings, touchOf, throughOf } = columnsOf(problem);
  const asked = askedThrough(problem);
  const count = problem.films.length;
  const factors = Math.max(0, ...loadings.map((l) => l.length));
  const touch = new Float32Array(count * BATCH);
  const through = new Float32Array(count * BATCH);
  const factor = new Float64Array(factors * BATCH);
  const group = new Float64Array(loadings.length * BATCH);
  const places = new Int32Array(PLACES);
  const normal = NORMALS();

  function drawShared(): void {
    for (let f = 0; f < factors; f++) {
      fill(places);
      for (let d = 0; d < BATCH; d++) factor[f * BATCH + d] = normal[places[d]!]!;
    }
    group.fill(0);
    loadings.forEach((loading, g) => {
      for (let f = 0; f < loading.length; f++) {
        const by = loading[f]!;
        if (by === 0) continue;
        for (let d = 0; d < BATCH; d++) group[g * BATCH + d]! += by * factor[f * BATCH + d]!;
      }
      for (let d = 0; d < BATCH; d++) group[g * BATCH + d] = Math.exp(group[g * BATCH + d]!);
    });
  }
  function drawOne({ median, own, group: of }: Columns, f: number, out: Float32Array): void {
    const table = spreadTable(own[f]!);
    const shared = group;
    const at = places;
    const m = median[f]!;
    const row = of[f]! * BATCH;
    fill(at);
    for (let d = 0; d < BATCH; d++) out[f * BATCH + d] = m * shared[row + d]! * table[at[d]!]!;
  }
  return {
    touch,
    through,
    draw() {
      drawShared();
      for (let f = 0; f < count; f++) drawOne(touchOf, f, touch);
      for (const f of asked) drawOne(throughOf, f, through);
    },
  };
}
