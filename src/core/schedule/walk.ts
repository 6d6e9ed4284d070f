import { SEARCH } from '@/data/search';
import type { Found } from './anneal';
import { beam } from './beam';
import type { Compiled } from './compile';
import type { Front } from './front';
import type { PlanWeights } from './problem';
import { isStudio } from './ruin';
import { UNPLACED, type PlanState } from './state';

/** Walks through the calendar by beam search, as many and as wide as the time for a plan allows. */
export class Walk {
  /** Windows up to the last work of the first plan: so far a walk goes, about. */
  private readonly windows: number;
  private readonly spare: Front[] = [];
  private readonly beams: number;
  /** What of the plans of a studio's walks this problem is worth. */
  private readonly share: number;

  constructor(
    private readonly of: Compiled,
    private readonly weights: PlanWeights,
    private readonly tails: Float64Array,
    private readonly random: () => number,
    first: PlanState,
    /** How many times the usual time there is. */
    private readonly effort: number,
    private readonly stopped: () => boolean,
  ) {
    this.windows = 1 + this.lastWindow(first.start);
    const studio = isStudio(of);
    this.beams = studio ? SEARCH.beams : SEARCH.beamsSmall;
    this.share = effort * (studio ? 1 : SEARCH.walkShareSmall);
  }

  private lastWindow(start: Int32Array): number {
    const { window } = this.of.slots;
    return start.reduce((last, t) => (t === UNPLACED ? last : Math.max(last, window[t]!)), 0);
  }

  /** Plans to begin from: the best of each of some walks. */
  fronts(count: number): Found[] {
    const { beams } = this;
    const { beamTries, beamPlans, beamMostSlots } = SEARCH;
    const wide = (this.share * beamPlans) / beams / this.windows / beamTries;
    const width = Math.max(1, Math.floor(Math.min(wide, beamMostSlots / this.of.slots.count)));
    return Array.from({ length: beams }, () =>
      beam(this.of, this.weights, this.tails, this.random, {
        width,
        tries: beamTries,
        most: Math.ceil(count / beams),
        spare: this.spare,
        stopped: this.stopped,
      }),
    )
      .flat()
      .sort((a, b) => a.cost - b.cost)
      .slice(0, count);
  }

  /** The plan walked again from somewhere on, mended, and kept if it is no worse; some times. */
  again(plan: Found, mend: (found: Found) => Found): Found {
    const { againWidth, againTries, againPlans, againMost, againUpTo } = SEARCH;
    const walks = (this.share * againPlans) / againWidth / againTries / this.windows;
    let best = plan;
    let walked = 0;
    // Mending takes its time too, however short the calendar.
    for (let k = 0; k < this.effort * againMost && walked < walks && !this.stopped(); k++) {
      const last = this.lastWindow(best.start);
      const window = Math.floor(this.random() * last * againUpTo);
      walked += 1 - window / (last + 1);
      const [found] = beam(this.of, this.weights, this.tails, this.random, {
        width: againWidth,
        tries: againTries,
        most: 1,
        from: { plan: best, window },
        spare: this.spare,
        stopped: this.stopped,
      });
      if (!found) break;
      const mended = mend(found);
      if (mended.cost <= best.cost) best = mended;
    }
    return best;
  }
}
