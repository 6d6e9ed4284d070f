import { dryingWindows, type DryingTimes, type StudioAir } from '../drying';
import type { Constants } from '@/data/constants';
import type { Layer, PassageAssessment } from '../painting/layer';
import type { Step } from './steps';
import type { Odds } from './odds';

/** One film of a lane: laid, or to be laid; with the moments at which it passes from state to state. */
export interface LaneFilm {
  key: string;
  layer: Layer;
  /** Null while it is laid already. */
  step: Step | null;
  laidMs: number;
  /** By when it is laid with nine chances in ten; the same as `laidMs` where it is laid. */
  laidByMs: number;
  openMs: number;
  setMs: number;
  touchMs: number;
  throughMs: number;
  /** Touch-dry with nine chances in ten. */
  touchByMs: number;
}

const or = (ms: number | null): number => ms ?? Infinity;

function filmAt(
  layer: Layer,
  step: Step | null,
  laidMs: number,
  laidByMs: number,
  windows: ReturnType<typeof dryingWindows>,
): LaneFilm {
  return {
    key: layer.film.key,
    layer,
    step,
    laidMs,
    laidByMs,
    openMs: or(windows.openUntil.p50),
    setMs: or(windows.set.p50),
    touchMs: or(windows.touchDry.p50),
    throughMs: or(windows.throughDry.p50),
    touchByMs: or(windows.touchDry.p90),
  };
}

/**
 * The film of a passage over the weeks: what lies there, then each coat from the moment the plan lays it. A coat that
 * has no place in the plan is left out.
 * @param endOf when the work of a step ends by the plan, ms
 */
export function laneOf(
  { base }: PassageAssessment,
  steps: Step[],
  endOf: (step: Step) => number | null,
  works: Map<string, Odds['works'][number]>,
  constants: Constants,
  air: StudioAir,
): LaneFilm[] {
  const out: LaneFilm[] = [];
  for (const layer of base.layers) {
    if (layer.film.coatIds.length === 0) continue;
    if (!layer.planned) {
      const { windows } = layer;
      const laid = layer.film.laidAtMs;
      if (windows && laid !== null) out.push(filmAt(layer, null, laid, laid, windows));
      continue;
    }
    const coats = layer.film.coatIds;
    const step = steps.find(
      (s) => s.coat.id === coats.at(-1) && s.passageIds.includes(base.site.passageId),
    );
    const laid = step ? endOf(step) : null;
    if (!step || laid === null) continue;
    const by = works.get(step.workIds.at(-1)!)?.p90Ms ?? laid;
    const times: DryingTimes = layer.times;
    const clock = air.clock(times.kind, laid, null);
    out.push(filmAt(layer, step, laid, Math.max(laid, by), dryingWindows(constants, times, clock)));
  }
  return out;
}
